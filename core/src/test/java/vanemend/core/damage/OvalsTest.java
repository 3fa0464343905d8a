package vanemend.core.damage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.Seeds;

@DisplayName("ovals grown outward, checked against a general geometry library's buffer and union")
class OvalsTest {
    private static Oval oval(Random r) {
        double length = Seeds.between(r, 10, 220);
        return new Oval(
                Seeds.between(r, 200, 500),
                Seeds.between(r, 150, 350),
                length,
                Seeds.between(r, 10, length),
                Seeds.between(r, -90, 90));
    }

    /** The same by the library: a fine outline, buffered with many corners, joined. */
    private static Geometry outside(List<Oval> some, double mm) {
        Geometry all = OverlayNGRobust.union(
                some.stream().map(Oval::polygon).map(Geometry.class::cast).toList());
        return mm == 0 ? all : all.buffer(mm, 64);
    }

    @Test
    void aCircleGrownIsACircleAndAnOvalGrownHasSteinersArea() {
        Oval circle = new Oval(0, 0, 100, 100, 0);
        // A regular polygon of n corners in a circle: n/2·r²·sin(2π/n) (textbook).
        assertThat(new Ovals(List.of(circle)).grown(25).getArea())
                .isCloseTo(48 * 75 * 75 * Math.sin(2 * Math.PI / 96), within(1e-6));
        // Steiner: area + perimeter·d + π·d² for a convex outline.
        Oval oval = new Oval(300, 200, 160, 90, 20);
        Geometry at = oval.polygon();
        for (double d : new double[] {5, 40, 150}) {
            double steiner = at.getArea() + at.getLength() * d + Math.PI * d * d;
            assertThat(new Ovals(List.of(oval)).grown(d).getArea()).isCloseTo(steiner, within(steiner * 0.0015));
        }
    }

    @Test
    void twoAreWhatTheLibraryMakesOfThemWhereverTheyLie() {
        Seeds.forEach(400, (r, i) -> {
            Oval one = oval(r);
            Oval other = oval(r);
            double mm = i % 4 == 0 ? 0 : Seeds.between(r, 1, 190);
            Geometry ours = new Ovals(List.of(one, other)).grown(mm);
            Geometry theirs = outside(List.of(one, other), mm);
            assertThat(ours.isValid()).isTrue();
            assertThat(ours.getArea()).isCloseTo(theirs.getArea(), within(theirs.getArea() * 0.002));
            assertThat(ours.symDifference(theirs).getArea()).isLessThan(theirs.getArea() * 0.004);
        });
    }

    @Test
    void ofSeveralEachIsGrownAndThoseThatMeetAreOne() {
        Seeds.forEach(200, (r, i) -> {
            List<Oval> some =
                    IntStream.range(0, 3 + i % 3).mapToObj(k -> oval(r)).toList();
            double mm = i % 5 == 0 ? 0 : Seeds.between(r, 1, 190);
            Geometry ours = new Ovals(some).grown(mm);
            Geometry theirs = outside(some, mm);
            assertThat(ours.isValid()).isTrue();
            assertThat(ours.getNumGeometries()).isEqualTo(theirs.getNumGeometries());
            assertThat(ours.symDifference(theirs).getArea()).isLessThan(theirs.getArea() * 0.004);
        });
    }

    @Test
    void oneInsideTheOtherIsTheOtherAndFarApartStayTwo() {
        Oval big = new Oval(300, 200, 200, 150, 10);
        Oval small = new Oval(310, 205, 30, 20, 40);
        assertThat(new Ovals(List.of(big, small)).grown(12).getArea())
                .isEqualTo(new Ovals(List.of(big)).grown(12).getArea());
        assertThat(new Ovals(List.of(small, big)).grown(12).getArea())
                .isEqualTo(new Ovals(List.of(big)).grown(12).getArea());
        Oval far = new Oval(900, 200, 30, 20, 40);
        assertThat(new Ovals(List.of(big, far)).grown(12).getNumGeometries()).isEqualTo(2);
        // A thin one across another: no simple case, the library joins them.
        Oval thin = new Oval(300, 200, 400, 4, 90);
        assertThat(new Ovals(List.of(big, thin)).grown(0).getArea())
                .isCloseTo(outside(List.of(big, thin), 0).getArea(), within(0.1));
    }

    @Test
    void fartherHoldsNearer() {
        Seeds.forEach(200, (r, i) -> {
            Oval one = oval(r);
            Oval other = oval(r);
            double mm = Seeds.between(r, 0, 100);
            Geometry near = new Ovals(List.of(one, other)).grown(mm);
            Geometry far = new Ovals(List.of(one, other)).grown(mm + Seeds.between(r, 2, 60));
            assertThat(far.contains(near)).isTrue();
        });
    }
}
