package vanemend.core.footprint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.io.ParseException;
import org.locationtech.jts.io.WKTReader;
import vanemend.core.Seeds;
import vanemend.core.damage.Oval;
import vanemend.core.damage.Ovals;

@DisplayName("straight cuts, checked against a general geometry library's overlay")
class StraightTest {
    private static final GeometryFactory G = new GeometryFactory();
    private static final Polygon SHEET = (Polygon) G.toGeometry(new Envelope(0, 700, 0, 480));

    /** A sheet, or what a slanted line leaves of it. */
    private static Polygon side(Random r, int i) {
        LineString line = G.createLineString(new Coordinate[] {
            new Coordinate(-1000, Seeds.between(r, -400, 400)), new Coordinate(1700, Seeds.between(r, -400, 400))
        });
        return i % 2 == 0
                ? SHEET
                : Straight.side(SHEET, line, new Coordinate(350, 10_000)).orElse(SHEET);
    }

    @Test
    void whatLiesOnTheSheetIsWhatTheLibrarySays() {
        int[] simple = {0};
        int[] apart = {0};
        int[] whole = {0};
        Seeds.forEach(800, (r, i) -> {
            Polygon side = side(r, i);
            Oval one = new Oval(Seeds.between(r, 0, 700), Seeds.between(r, 0, 480), 120, Seeds.between(r, 20, 120), 30);
            Oval other =
                    new Oval(Seeds.between(r, 0, 700), Seeds.between(r, 0, 480), 90, Seeds.between(r, 20, 90), -50);
            Geometry g = new Ovals(List.of(one, other)).grown(Seeds.between(r, 1, 150));
            Optional<Geometry> ours = Straight.within(g, side);
            ours.ifPresent(o -> {
                simple[0]++;
                apart[0] += g.getNumGeometries() - 1;
                whole[0] += o == g ? 1 : 0;
                assertThat(o == g).isEqualTo(side.covers(g));
                Geometry theirs = g.intersection(side);
                assertThat(o.isValid()).isTrue();
                assertThat(o.getArea()).isCloseTo(theirs.getArea(), within(1e-6));
                assertThat(o.symDifference(theirs).getArea()).isLessThan(1e-6);
            });
        });
        assertThat(simple[0]).isGreaterThan(200);
        assertThat(whole[0]).isBetween(50, simple[0] - 100);
        assertThat(apart[0]).isGreaterThan(10);
    }

    @Test
    void whatLiesInsideStaysWhatItIs() throws ParseException {
        WKTReader wkt = new WKTReader();
        for (String inside : new String[] {
            "POLYGON((10 10, 90 10, 90 90, 10 90, 10 10))",
            "POLYGON((0 0, 700 0, 700 480, 0 480, 0 0))",
            "POLYGON((10 10, 90 10, 90 90, 10 90, 10 10), (20 20, 20 30, 30 30, 30 20, 20 20))",
            "MULTIPOLYGON(((10 10, 90 10, 90 90, 10 10)), ((200 200, 290 210, 290 290, 200 200)))"
        }) {
            Geometry g = wkt.read(inside);
            assertThat(Straight.within(g, SHEET)).containsSame(g);
        }
        Geometry ring =
                wkt.read("POLYGON((-10 10, 90 10, 90 90, -10 90, -10 10), (20 20, 20 30, 30 30, 30 20, 20 20))");
        assertThat(Straight.within(ring, SHEET)).isEmpty();
        assertThat(Reach.within(ring, SHEET).getArea()).isCloseTo(90 * 80 - 100, within(1e-9));
    }

    @Test
    void aLinePartsTheSheetAndTheTwoSidesMakeTheWhole() {
        Seeds.forEach(200, (r, i) -> {
            LineString line = G.createLineString(new Coordinate[] {
                new Coordinate(-1000, Seeds.between(r, 20, 460)), new Coordinate(1700, Seeds.between(r, 20, 460))
            });
            Polygon above =
                    Straight.side(SHEET, line, new Coordinate(350, 10_000)).orElseThrow();
            Polygon below =
                    Straight.side(SHEET, line, new Coordinate(350, -10_000)).orElseThrow();
            assertThat(above.getArea() + below.getArea()).isCloseTo(SHEET.getArea(), within(1e-6));
            assertThat(above.intersection(below).getArea()).isLessThan(1e-6);
            assertThat(above.getCentroid().getY())
                    .isGreaterThan(below.getCentroid().getY());
        });
    }

    @Test
    void whatIsNotSimpleIsLeftToTheLibrary() throws ParseException {
        WKTReader wkt = new WKTReader();
        // A horseshoe over an edge would fall into two.
        Geometry horseshoe =
                wkt.read("POLYGON((100 -50, 300 -50, 300 80, 250 80, 250 -20, 150 -20, 150 80, 100 80, 100 -50))");
        assertThat(Straight.within(horseshoe, SHEET)).isEmpty();
        Geometry bulging = wkt.read("POLYGON((0 0, 700 0, 350 100, 700 480, 0 480, 0 0))");
        assertThat(Straight.within(new Ovals(List.of(new Oval(350, 200, 80, 60, 0))).grown(5), bulging))
                .isEmpty();
        assertThat(Straight.within(new Ovals(List.of(new Oval(2000, 200, 80, 60, 0))).grown(5), SHEET))
                .isEmpty();
    }
}
