package vanemend.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.TestShop;
import vanemend.core.trade.Air;

@DisplayName("what the shop's air does to label times")
class AirEffectTest {
    private static List<AirEffect> in(double c, double rh) {
        return AirEffect.of(TestShop.fullShelf(), new Air(c, rh));
    }

    @Test
    void atTheLabelsOwnTemperatureNothingChanges() {
        assertThat(in(21, 50)).isNotEmpty().allSatisfy(e -> {
            if (e.what() != AirEffect.What.SAND || e.labelC() == 21) {
                assertThat(e.todayMin().orElseThrow())
                        .as(e.name() + " " + e.what())
                        // A law fitted through several label times passes near each, not through it.
                        .isCloseTo(e.labelMin(), within(0.1 * e.labelMin()));
            }
        });
    }

    /** Common practice: colder is slower, damper flashes slower. */
    @Test
    void colderIsNeverQuickerAndDamperNeverFlashesQuicker() {
        for (double c = 8; c < 30; c += 1) {
            List<AirEffect> cold = in(c, 50);
            List<AirEffect> warm = in(c + 1, 50);
            List<AirEffect> damp = in(c, 85);
            for (int i = 0; i < cold.size(); i++) {
                double never = Double.MAX_VALUE;
                assertThat(cold.get(i).todayMin().orElse(never))
                        .as(cold.get(i).name() + " at " + c)
                        .isGreaterThanOrEqualTo(warm.get(i).todayMin().orElse(never));
                if (cold.get(i).what() == AirEffect.What.FLASH) {
                    assertThat(damp.get(i).todayMin().orElseThrow())
                            .isGreaterThan(cold.get(i).todayMin().orElseThrow());
                }
            }
        }
    }

    /** Below the least temperature of its class (10 °C by default) it does not cure: said so, never a long number. */
    @Test
    void belowTheLeastTemperatureItDoesNotCure() {
        assertThat(in(8, 50))
                .filteredOn(e -> e.what() == AirEffect.What.SAND)
                .anySatisfy(e -> assertThat(e.todayMin()).isEmpty());
    }

    @Test
    void eachClassIsToldOnce() {
        List<AirEffect> all = in(17, 58);
        assertThat(all.stream().map(e -> e.name() + e.what()).toList()).doesNotHaveDuplicates();
        assertThat(all).extracting(AirEffect::what).contains(AirEffect.What.WORK, AirEffect.What.SAND);
    }
}
