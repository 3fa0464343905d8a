package vanemend.core.run;

import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.Lag;
import vanemend.core.cure.Wait;
import vanemend.core.cure.WarmUp;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.TradeBook;

/**
 * What a wait under a lamp or in an oven told of this shop's own heat, from the readings that a thermometer logged by itself.
 *
 * @param step instance of the wait
 * @param build what was warmed
 * @param factor measured time constant over the one the rule book recalls
 */
public record MeasuredWarmUp(String step, Lag.Build build, double factor) {
    private static final double SECONDS = 60;

    /** Every wait of {@code state} that is over and tells. */
    public static List<MeasuredWarmUp> of(Plan plan, RunState state) {
        return state.steps().stream()
                .filter(s -> s.step().kind() == Step.Kind.WAIT && s.doneAt().isPresent())
                .flatMap(s -> of(plan, state, s).stream())
                .toList();
    }

    private static Optional<MeasuredWarmUp> of(Plan plan, RunState state, RunState.RunStep s) {
        Optional<Lag> lag = route(plan, s).flatMap(DryingRoute::lag);
        if (lag.isEmpty()) {
            return Optional.empty();
        }
        List<RunState.Reading> read = state.readings().stream()
                .filter(r -> r.logged()
                        && r.quantity() == Quantity.SURFACE_C
                        && r.step().equals(s.id()))
                .sorted(Comparator.comparing(RunState.Reading::at))
                .toList();
        OptionalDouble tau = WarmUp.tauMin(read.stream()
                .map(r -> new WarmUp.Point(
                        Duration.between(read.getFirst().at(), r.at()).toMillis() / 1000.0 / SECONDS, r.value()))
                .toList());
        double range = TradeBook.value("heat.warm-up-range");
        return tau.stream()
                .map(t -> t / lag.get().recalledMin())
                .filter(f -> f <= range && f >= 1 / range)
                .mapToObj(f -> new MeasuredWarmUp(s.id(), lag.get().build(), f))
                .findFirst();
    }

    private static Optional<DryingRoute> route(Plan plan, RunState.RunStep s) {
        String wait = s.step().clock().map(Step.Clock::waitId).orElse("");
        return Stream.concat(
                        plan.waits().stream().filter(w -> w.id().equals(wait)).map(Wait::route),
                        plan.mixes().stream()
                                .filter(m -> m.id().equals(s.step().mix()))
                                .map(MixPlan::route))
                .findFirst();
    }
}
