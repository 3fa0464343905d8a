package vanemend.core.damage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Geometry;

@DisplayName("a trace as a strip, held against a general geometry library's buffer")
class TraceTest {
    @Test
    @DisplayName("a straight one: the same strip, corner for corner, whatever its bearing, length and width")
    void straight() {
        Random r = new Random(5);
        for (int i = 0; i < 2_000; i++) {
            List<Double> xy = List.of(
                    r.nextDouble(-400, 400),
                    r.nextDouble(-400, 400),
                    r.nextInt(5) == 0 ? 12.0 : r.nextDouble(-400, 400),
                    r.nextInt(5) == 0 ? 7.5 : r.nextDouble(-400, 400));
            double width = r.nextDouble(0.2, 120);
            Trace t = new Trace(xy);
            Geometry ours = t.strip(width);
            Geometry theirs = t.line().buffer(width / 2, 16);
            assertThat(ours.isValid()).isTrue();
            assertThat(ours.symDifference(theirs).getArea())
                    .as("%s, %s mm", xy, width)
                    .isLessThan(1e-6 * theirs.getArea());
            assertThat(Orientation.isCCW(ours.getCoordinates())).isEqualTo(Orientation.isCCW(theirs.getCoordinates()));
            // Length times width and a circle of 64 corners.
            double circle = 32 * Math.sin(Math.PI / 32) * width * width / 4;
            assertThat(ours.getArea()).isCloseTo(t.lengthMm() * width + circle, within(1e-6 * ours.getArea()));
        }
    }

    @Test
    @DisplayName("one that goes nowhere, has no width, or bends is the library's")
    void others() {
        assertThat(new Trace(List.of(3.0, 4.0, 3.0, 4.0)).strip(10).getArea()).isCloseTo(78.4, within(0.2));
        assertThat(new Trace(List.of(0.0, 0.0, 9.0, 0.0)).strip(0).isEmpty()).isTrue();
        Trace bent = new Trace(List.of(0.0, 0.0, 50.0, 0.0, 50.0, 40.0));
        assertThat(bent.strip(6).equalsTopo(bent.line().buffer(3, 16))).isTrue();
    }
}
