package vanemend.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.damage.BreakVolume;
import vanemend.core.damage.Chip;

@DisplayName("drops of glass resin follow what the break holds")
class DropsTest {
    private static Chip chip(double body, double span, double pit) {
        return new Chip(Chip.Type.COMBINATION, 0, 0, body, span, pit, Double.POSITIVE_INFINITY, true, false);
    }

    @Test
    @DisplayName(
            "by hand: cone π·3²/12·1.4 = 3.30, disc π·20²/4·0.1 = 31.42, six legs of 15 mm · 1.4 · 0.1 = 12.6 mm³ (closed forms)")
    void volumeByHand() {
        assertThat(BreakVolume.ml(List.of(chip(20, 50, 3)))).isCloseTo(0.04732, within(1e-5));
    }

    @Test
    @DisplayName(
            "a usual chip takes the first fill of six (common practice); a wide break what it holds, half as much again over 0.03 mL (recalled)")
    void neverLessThanTheFirstFill() {
        assertThat(Drops.of(0.01, false)).isEqualTo(new Drops(6, 4, 3));
        assertThat(Drops.of(0.2, false).first()).isEqualTo(10);
        // Under vacuum three quarters go in: of ten, four stay for the bead.
        assertThat(Drops.of(0.2, true).bead()).isEqualTo(4);
        assertThat(Drops.of(0.2, true).all()).isEqualTo(18);
    }

    @Test
    void moreBreakNeverTakesFewerDrops() {
        Seeds.forEach(300, (r, i) -> {
            double body = Seeds.between(r, 0, 50);
            double span = body + Seeds.between(r, 0, 60);
            double pit = Seeds.between(r, 1, 9);
            double less = BreakVolume.ml(List.of(chip(body, span, pit)));
            double more = BreakVolume.ml(List.of(chip(body, span, pit + 1), chip(5, 5, 1)));
            assertThat(more).isGreaterThan(less);
            assertThat(Drops.of(more, r.nextBoolean()).first())
                    .isGreaterThanOrEqualTo(Drops.of(less, r.nextBoolean()).first());
        });
    }
}
