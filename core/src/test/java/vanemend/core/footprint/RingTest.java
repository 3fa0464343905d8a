package vanemend.core.footprint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.algorithm.distance.DiscreteHausdorffDistance;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.io.ParseException;
import org.locationtech.jts.io.WKTReader;

class RingTest {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    private static Geometry drawn(Ring ring) {
        List<Double> xy = ring.xy();
        Coordinate[] cs = new Coordinate[xy.size() / 2 + 1];
        for (int i = 0; i < cs.length - 1; i++) {
            cs[i] = new Coordinate(xy.get(2 * i), xy.get(2 * i + 1));
        }
        cs[cs.length - 1] = cs[0];
        return GEOMETRY.createPolygon(cs);
    }

    /** Held against the general-purpose distance between shapes of JTS. */
    @ParameterizedTest
    @ValueSource(doubles = {2, 12, 55, 185, 600})
    void aDrawnRingStaysWithinThreeTenthsOfTheExactOne(double past) throws ParseException {
        Geometry exact = new WKTReader()
                .read("MULTIPOLYGON (((0 0, 80 10, 70 60, 30 40, 0 0)), ((300 0, 340 0, 340 90, 300 0)))")
                .buffer(past, 24);
        List<Ring> rings = Ring.of(exact);
        assertThat(rings).hasSize(exact.getNumGeometries());
        for (int i = 0; i < rings.size(); i++) {
            Geometry one = exact.getGeometryN(i);
            Geometry ring = drawn(rings.get(i));
            assertThat(DiscreteHausdorffDistance.distance(one.getBoundary(), ring.getBoundary(), 0.05))
                    .as("how far the lines part, %s mm past", past)
                    .isLessThan(0.3 + 0.08);
            assertThat(ring.getNumPoints()).isLessThanOrEqualTo(one.getNumPoints());
            assertThat(Math.abs(ring.getArea() - one.getArea())).isLessThan(0.38 * one.getLength());
        }
    }

    @Test
    void cornersAndHolesStay() throws ParseException {
        Geometry frame = new WKTReader()
                .read("POLYGON ((0 0, 50 0, 100 0, 100 60, 0 60, 0 0), (20 20, 20 40, 40 40, 40 20, 20 20))");
        List<Ring> rings = Ring.of(frame);
        assertThat(rings).extracting(Ring::hole).containsExactly(false, true);
        assertThat(rings.getFirst().xy()).containsExactly(0.0, 0.0, 100.0, 0.0, 100.0, 60.0, 0.0, 60.0);
        assertThat(rings.getLast().xy()).containsExactly(20.0, 20.0, 20.0, 40.0, 40.0, 40.0, 40.0, 20.0);
    }
}
