package vanemend.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;

@DisplayName("a shop's own warm-up tells its time constant: first-order lag (textbook), made up here with a known one")
class WarmUpTest {
    private static List<WarmUp.Point> curve(
            double tau, double from, double plateau, double lastMin, int n, Random noise, double offK) {
        List<WarmUp.Point> out = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double t = lastMin * i / (n - 1);
            double off = i == 0 ? 0 : offK * (noise.nextDouble() * 2 - 1);
            out.add(new WarmUp.Point(t, plateau - (plateau - from) * Math.exp(-t / tau) + off));
        }
        return out;
    }

    @Test
    @DisplayName("exact readings give it back, whatever the plateau; what cools afterwards changes nothing")
    void exact() {
        Seeds.forEach(200, (r, i) -> {
            double tau = Seeds.between(r, 1, 25);
            double from = Seeds.between(r, 8, 25);
            List<WarmUp.Point> p =
                    curve(tau, from, from + Seeds.between(r, 20, 45), tau * Seeds.between(r, 1.2, 4), 12, r, 0);
            assertThat(WarmUp.tauMin(p).orElseThrow()).isCloseTo(tau, within(tau * 1e-3));
            List<WarmUp.Point> cooled = new ArrayList<>(p);
            cooled.add(new WarmUp.Point(p.getLast().min() + 5, p.getLast().surfaceC() - 6));
            cooled.add(new WarmUp.Point(p.getLast().min() + 10, p.getLast().surfaceC() - 10));
            assertThat(WarmUp.tauMin(cooled)).isEqualTo(WarmUp.tauMin(p));
        });
    }

    @Test
    @DisplayName("a thermometer that is off by up to half a kelvin still tells it within a quarter")
    void noisy() {
        Seeds.forEach(200, (r, i) -> {
            double tau = Seeds.between(r, 2, 15);
            List<WarmUp.Point> p = curve(tau, 20, Seeds.between(r, 42, 60), tau * 3, 25, r, 0.5);
            assertThat(WarmUp.tauMin(p).orElseThrow()).isCloseTo(tau, within(tau * 0.25));
        });
    }

    @Test
    @DisplayName("too few readings, too little risen, too short to bend, or no such curve tell nothing")
    void tellsNothing() {
        Random r = new Random(4);
        assertThat(WarmUp.tauMin(List.of())).isEmpty();
        assertThat(WarmUp.tauMin(curve(5, 20, 45, 15, 5, r, 0))).as("few").isEmpty();
        assertThat(WarmUp.tauMin(curve(5, 20, 25, 15, 12, r, 0)))
                .as("hardly warmed")
                .isEmpty();
        assertThat(WarmUp.tauMin(curve(20, 20, 60, 10, 12, r, 0)))
                .as("half a time constant")
                .isEmpty();
        List<WarmUp.Point> late = new ArrayList<>();
        for (int t = 0; t < 20; t++) {
            late.add(new WarmUp.Point(t, t < 12 ? 20 : 45));
        }
        assertThat(WarmUp.tauMin(late)).as("the lamp came on later").isEmpty();
    }
}
