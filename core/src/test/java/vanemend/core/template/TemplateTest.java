package vanemend.core.template;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import vanemend.core.Seeds;
import vanemend.core.damage.Oval;
import vanemend.core.footprint.Piece;
import vanemend.core.footprint.Zone;

@DisplayName("templates: true to size, nothing over another, a rule of 100 mm on every sheet")
class TemplateTest {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    private static Piece piece(int n, double length, double width, int count, Zone.Side side) {
        return Piece.of(
                "p" + n, "Piece " + n, "cloth", count, side, new Oval(200, 150, length, width, 20 * n).polygon());
    }

    private static List<Polygon> cuts(Template t) {
        List<Polygon> out = new ArrayList<>();
        for (Template.Line l : t.lines()) {
            if (l.kind() == Template.Line.Kind.CUT) {
                int n = l.xy().size() / 2;
                Coordinate[] ring = new Coordinate[n + 1];
                for (int i = 0; i < n; i++) {
                    ring[i] = new Coordinate(l.xy().get(2 * i), l.xy().get(2 * i + 1));
                }
                ring[n] = ring[0].copy();
                out.add(GEOMETRY.createPolygon(ring));
            }
        }
        return out;
    }

    @Test
    void nestedPiecesKeepTheirAreaLieApartAndInsideTheSheet() {
        Seeds.forEach(200, (r, i) -> {
            List<Piece> pieces = new ArrayList<>();
            int count = 0;
            for (int n = 1; n <= 1 + r.nextInt(8); n++) {
                Piece p = piece(
                        n,
                        Seeds.between(r, 20, 420),
                        Seeds.between(r, 15, 200),
                        1 + r.nextInt(2),
                        Zone.Side.values()[r.nextInt(2)]);
                pieces.add(p);
                count += p.count();
            }
            Template t = Template.of("Repair 7", pieces);
            List<Polygon> cuts = cuts(t);
            assertThat(cuts).hasSize(count);
            double on = cuts.stream().mapToDouble(Polygon::getArea).sum();
            double off = pieces.stream()
                    .mapToDouble(p -> p.count() * shoelace(p.rings().getFirst().xy()))
                    .sum();
            assertThat(on).isCloseTo(off, within(off * 1e-6));
            for (int a = 0; a < cuts.size(); a++) {
                Geometry one = cuts.get(a);
                assertThat(one.getEnvelopeInternal().getMinX()).isGreaterThanOrEqualTo(-1e-6);
                assertThat(one.getEnvelopeInternal().getMaxX()).isLessThanOrEqualTo(t.widthMm() + 1e-6);
                assertThat(one.getEnvelopeInternal().getMaxY()).isLessThanOrEqualTo(t.heightMm() + 1e-6);
                for (int b = 0; b < a; b++) {
                    assertThat(one.intersects(cuts.get(b))).isFalse();
                }
            }
        });
    }

    private static double shoelace(List<Double> xy) {
        double sum = 0;
        int n = xy.size() / 2;
        for (int i = 0; i < n; i++) {
            int j = (i + 1) % n;
            sum += xy.get(2 * i) * xy.get(2 * j + 1) - xy.get(2 * j) * xy.get(2 * i + 1);
        }
        return Math.abs(sum) / 2;
    }

    @Test
    void nestingBeatsOnePieceBelowAnother() {
        List<Piece> pieces = new ArrayList<>();
        double stacked = 0;
        for (int n = 1; n <= 6; n++) {
            Piece p = piece(n, 90 + 12 * n, 40 + 8 * n, 1, Zone.Side.FACE);
            pieces.add(p);
            stacked += p.heightMm() + 6;
        }
        Template t = Template.of("Plies", pieces);
        double widest = pieces.stream().mapToDouble(Piece::widthMm).max().orElseThrow();
        assertThat(t.widthMm() * t.heightMm()).isLessThan(widest * stacked);
    }

    @Test
    void theBackIsCutAsItLiesWhenThePartIsTurnedOver() {
        Geometry hook = GEOMETRY.createPolygon(new Coordinate[] {
            new Coordinate(10, 10),
            new Coordinate(90, 10),
            new Coordinate(90, 20),
            new Coordinate(20, 20),
            new Coordinate(20, 60),
            new Coordinate(10, 60),
            new Coordinate(10, 10)
        });
        Piece face = Piece.of("a", "Hook", "cloth", 1, Zone.Side.FACE, hook);
        Piece back = Piece.of("b", "Hook", "cloth", 1, Zone.Side.BACK, hook);
        assertThat(face.rings().getFirst().xy()).contains(0.0, 50.0);
        List<Double> f = face.rings().getFirst().xy();
        List<Double> b = back.rings().getFirst().xy();
        for (int i = 0; i < f.size(); i += 2) {
            assertThat(b.get(i)).isCloseTo(80 - f.get(i), within(1e-6));
            assertThat(b.get(i + 1)).isCloseTo(f.get(i + 1), within(1e-6));
        }
    }

    @Test
    void theCheckRuleIsAHundredMillimetresAndNothingToCutIsRefused() {
        Template t = Template.of("Repair 7", List.of(piece(1, 120, 80, 1, Zone.Side.FACE)));
        Template.Line rule = t.lines().stream()
                .filter(l -> l.kind() == Template.Line.Kind.CHECK)
                .findFirst()
                .orElseThrow();
        assertThat(rule.xy().get(2) - rule.xy().get(0)).isEqualTo(100);
        assertThat(t.words()).anyMatch(w -> w.text().equals("Repair 7"));
        assertThatThrownBy(() -> Template.of("Repair 7", List.of())).hasMessageContaining("nothing is cut");
        assertThat(DxfSheet.of(t)).startsWith("  0\nSECTION").endsWith("  0\nEOF\n");
        assertThat(SvgSheet.of(Template.of("A & B <1>", List.of(piece(1, 30, 20, 1, Zone.Side.FACE)))))
                .contains("A &amp; B &lt;1&gt;");
    }
}
