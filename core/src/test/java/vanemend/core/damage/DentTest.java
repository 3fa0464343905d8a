package vanemend.core.damage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;

class DentTest {
    @Test
    void depthIsFullInTheMiddleNothingAtTheRimAndNothingOutside() {
        Seeds.forEach(200, (r, i) -> {
            Dent d = TestShop.dents(r).getFirst();
            assertThat(d.depthAt(d.xMm(), d.yMm())).isCloseTo(d.depthMm(), within(1e-9));
            double t = Math.toRadians(d.angleDeg());
            for (double share : new double[] {1.0, 1.2}) {
                double x = d.xMm() + share * d.a() * Math.cos(t);
                double y = d.yMm() + share * d.a() * Math.sin(t);
                assertThat(d.depthAt(x, y)).isCloseTo(0, within(1e-9));
            }
        });
    }

    @Test
    void theFieldIsAsDeepAsItsDeepestDentEverywhere() {
        Seeds.forEach(150, (r, i) -> {
            List<Dent> dents = TestShop.dents(r);
            DepthField field = new DepthField(dents);
            double x = Seeds.between(r, 0, 700);
            double y = Seeds.between(r, 0, 500);
            double deepest =
                    dents.stream().mapToDouble(d -> d.depthAt(x, y)).max().orElse(0);
            assertThat(field.depthAt(x, y)).isCloseTo(deepest, within(1e-9));
            assertThat(field.deepest().depthMm())
                    .isEqualTo(dents.stream().mapToDouble(Dent::depthMm).max().orElse(0));
        });
    }

    @Test
    @DisplayName("outline: 96 corners on an ellipse take at most 0.1 % off π·a·b (textbook)")
    void outlineArea() {
        Seeds.forEach(100, (r, i) -> {
            Dent d = TestShop.dents(r).getFirst();
            double area = Math.PI * d.a() * d.b();
            assertThat(d.outline().getArea()).isBetween(area * 0.999, area);
        });
    }

    @Test
    void turningADentTurnsItsExtent() {
        Dent level = new Dent(300, 200, 120, 60, 0, 2, Dent.Profile.BOWL);
        Dent upright = new Dent(300, 200, 120, 60, 90, 2, Dent.Profile.BOWL);
        assertThat(level.halfAcross()).isCloseTo(60, within(1e-9));
        assertThat(level.halfUp()).isCloseTo(30, within(1e-9));
        assertThat(upright.halfAcross()).isCloseTo(30, within(1e-9));
        assertThat(upright.halfUp()).isCloseTo(60, within(1e-9));
        assertThat(new DepthField(List.of(level)).integrated())
                .isCloseTo(new DepthField(List.of(upright)).integrated(), within(1.0));
    }

    @Test
    void volumeGrowsWithDepthLengthAndWidth() {
        Seeds.forEach(100, (r, i) -> {
            Dent d = TestShop.dents(r).getFirst();
            double v = d.volumeMm3();
            assertThat(new Dent(d.xMm(), d.yMm(), d.lengthMm() + 1, d.widthMm(), d.angleDeg(), d.depthMm(), d.profile())
                            .volumeMm3())
                    .isGreaterThan(v);
            assertThat(new Dent(d.xMm(), d.yMm(), d.lengthMm(), d.widthMm() + 1, d.angleDeg(), d.depthMm(), d.profile())
                            .volumeMm3())
                    .isGreaterThan(v);
            assertThat(new Dent(
                                    d.xMm(),
                                    d.yMm(),
                                    d.lengthMm(),
                                    d.widthMm(),
                                    d.angleDeg(),
                                    d.depthMm() + 0.1,
                                    d.profile())
                            .volumeMm3())
                    .isGreaterThan(v);
        });
    }

    @Test
    void aFieldNeedsADent() {
        assertThatThrownBy(() -> new DepthField(List.of())).hasMessageContaining("needs a dent");
    }
}
