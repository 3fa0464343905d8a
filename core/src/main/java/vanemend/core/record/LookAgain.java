package vanemend.core.record;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import vanemend.core.method.Methods;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.Plan;
import vanemend.core.run.RunState;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Text;

/**
 * A later look at the repair.
 *
 * @param due when
 * @param what what to look for, and what follows
 * @param shown where that comes from
 */
public record LookAgain(Instant due, String what, String shown) {
    /** What the methods of {@code frozen} ask to be looked at again, counted from the day it was finished. */
    static List<LookAgain> of(FrozenPlan frozen, RunState state) {
        Plan plan = frozen.plan();
        List<MethodId> methods = frozen.workup().sites().isEmpty()
                ? List.of(plan.method())
                : frozen.workup().sites().stream()
                        .flatMap(s -> s.method().stream())
                        .distinct()
                        .toList();
        return state.finishedAt().stream()
                .flatMap(done -> methods.stream()
                        .flatMap(m -> Methods.of(m).later().stream())
                        .filter(l -> l.step().isEmpty()
                                || plan.steps().stream()
                                        .anyMatch(s ->
                                                s.step().id().equals(l.step().get())))
                        .map(l -> new LookAgain(
                                done.atOffset(ZoneOffset.UTC)
                                        .plusMonths(l.months())
                                        .toInstant(),
                                "After " + Text.of(l.months(), "months") + ": " + l.what(),
                                l.shown())))
                .toList();
    }
}
