package vanemend.core.cure;

import java.util.Map;
import java.util.Optional;
import vanemend.core.trade.Ordered;

/**
 * What a shop's own warm-ups say of its lamps and ovens.
 *
 * @param by build; one that was not measured is absent
 */
public record MeasuredHeat(Map<Lag.Build, Measured> by) {
    /**
     * What was measured on one build.
     *
     * @param factor measured time constant over the recalled one
     * @param warmUps how many it is the median of
     */
    public record Measured(double factor, int warmUps) {}

    public MeasuredHeat {
        by = Ordered.copyOf(by);
    }

    /** Nothing measured yet. */
    public static MeasuredHeat none() {
        return new MeasuredHeat(Map.of());
    }

    /** How slowly {@code build} follows, that the rule book recalls as {@code recalledMin}. */
    public Lag lag(Lag.Build build, double recalledMin) {
        return Optional.ofNullable(by.get(build))
                .map(m -> new Lag(build, recalledMin, m.factor(), m.warmUps()))
                .orElseGet(() -> new Lag(build, recalledMin, 1, 0));
    }
}
