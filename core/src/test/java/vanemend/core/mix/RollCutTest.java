package vanemend.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import vanemend.core.Seeds;

@DisplayName(
        "cloth off a roll: pieces lie straight in rows, no row is wider than the roll, and no less is taken than they cover")
class RollCutTest {
    private static Geometry box(double w, double h) {
        return new GeometryFactory().toGeometry(new Envelope(10, 10 + w, 20, 20 + h));
    }

    @Test
    @DisplayName("worked by hand: on 250 mm, 120 × 80 twice in a row with 5 mm between, then 200 × 60: 80 + 5 + 60 mm")
    void byHand() {
        List<Geometry> p = List.of(box(200, 60), box(80, 120), box(120, 80));
        assertThat(RollCut.of(p, 250, 5).orElseThrow().alongMm()).isCloseTo(145, within(1e-9));
        assertThat(RollCut.of(p, 1000, 5).orElseThrow().alongMm()).isCloseTo(80, within(1e-9));
        assertThat(RollCut.of(p, 1000, 5).orElseThrow().acrossMm())
                .as("of the 1000 mm only what is used")
                .isCloseTo(120 + 5 + 120 + 5 + 200, within(1e-9));
    }

    @Test
    @DisplayName("what is longer than the roll is wide lies along it; what is wider both ways cannot be cut")
    void largeOnes() {
        assertThat(RollCut.of(List.of(box(400, 90)), 100, 5).orElseThrow().alongMm())
                .isCloseTo(400, within(1e-9));
        assertThat(RollCut.of(List.of(box(400, 120)), 100, 5)).isEmpty();
        assertThat(RollCut.of(List.of(), 100, 5).orElseThrow().alongMm()).isZero();
    }

    @Test
    @DisplayName(
            "never less than the pieces cover, never more than one after the other, never over 1.7 times the least and one row")
    void bounds() {
        Seeds.forEach(300, (r, i) -> {
            double roll = Seeds.between(r, 200, 1200);
            List<Geometry> p = new ArrayList<>();
            for (int k = r.nextInt(12); k >= 0; k--) {
                p.add(box(Seeds.between(r, 20, 190), Seeds.between(r, 20, 190)));
            }
            RollCut.Block cut = RollCut.of(p, roll, 0).orElseThrow();
            double length = cut.alongMm();
            assertThat(cut.acrossMm()).isLessThanOrEqualTo(roll);
            double area = p.stream().mapToDouble(Geometry::getArea).sum();
            double one = p.stream()
                    .mapToDouble(g -> Math.min(
                            g.getEnvelopeInternal().getWidth(),
                            g.getEnvelopeInternal().getHeight()))
                    .sum();
            assertThat(length * cut.acrossMm()).isGreaterThanOrEqualTo(area - 1e-6);
            assertThat(length).isLessThanOrEqualTo(one + 1e-9);
            assertThat(RollCut.of(p, roll, 5).orElseThrow().alongMm()).isGreaterThanOrEqualTo(length - 1e-9);
        });
    }
}
