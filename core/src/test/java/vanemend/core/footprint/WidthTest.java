package vanemend.core.footprint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.algorithm.MinimumDiameter;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;

@DisplayName("the least width of an outline")
class WidthTest {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    private static double width(double... xy) {
        return Width.leastMm(IntStream.range(0, xy.length / 2)
                .mapToObj(i -> new Coordinate(xy[2 * i], xy[2 * i + 1]))
                .toArray(Coordinate[]::new));
    }

    @Test
    @DisplayName("by hand: of a rectangle its shorter side, of an equilateral triangle its height, of a line nothing")
    void byHand() {
        assertThat(width(0, 0, 40, 0, 40, 30, 0, 30, 0, 0)).isCloseTo(30, within(1e-9));
        assertThat(width(0, 0, 20, 0, 10, 10 * Math.sqrt(3))).isCloseTo(10 * Math.sqrt(3), within(1e-9));
        assertThat(width(0, 0, 3, 4, 6, 8)).isZero();
        assertThat(width(5, 5)).isZero();
        assertThat(width(5, 5, 5, 5, 5, 5)).isZero();
    }

    @Test
    @DisplayName("of any points it is what a general-purpose geometry library says")
    void asTheLibrary() {
        Random r = new Random(20261201);
        for (int n = 0; n < 500; n++) {
            double narrow = 1 + r.nextDouble() * 60;
            double turned = r.nextDouble() * Math.PI;
            Coordinate[] some = IntStream.range(0, 3 + r.nextInt(120))
                    .mapToObj(i -> {
                        double x = r.nextGaussian() * 60;
                        double y = r.nextGaussian() * narrow;
                        return new Coordinate(
                                300 + x * Math.cos(turned) - y * Math.sin(turned),
                                200 + x * Math.sin(turned) + y * Math.cos(turned));
                    })
                    .toArray(Coordinate[]::new);
            double theirs = new MinimumDiameter(GEOMETRY.createMultiPointFromCoords(some)).getLength();
            assertThat(Width.leastMm(some)).isCloseTo(theirs, within(1e-6));
        }
    }
}
