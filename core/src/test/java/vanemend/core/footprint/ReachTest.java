package vanemend.core.footprint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;

class ReachTest {
    private static final GeometryFactory G = new GeometryFactory();

    @Test
    @DisplayName(
            "the narrow way across: a turned rectangle's short side, a disc's diameter, of several pieces the widest (textbook geometry)")
    void narrowWay() {
        Geometry bar = AffineTransformation.rotationInstance(0.7)
                .transform(G.createLineString(new Coordinate[] {new Coordinate(0, 0), new Coordinate(300, 0)})
                        .buffer(20, 16, org.locationtech.jts.operation.buffer.BufferParameters.CAP_FLAT));
        assertThat(Reach.acrossMm(bar)).isCloseTo(40, within(1e-6));
        Geometry disc = G.createPoint(new Coordinate(1000, 0)).buffer(50, 64);
        assertThat(Reach.acrossMm(disc)).isCloseTo(100, within(0.1));
        assertThat(Reach.acrossMm(bar.union(disc))).isCloseTo(100, within(0.1));
    }
}
