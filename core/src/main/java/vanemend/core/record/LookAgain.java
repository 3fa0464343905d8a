package vanemend.core.record;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import vanemend.core.method.Methods;
import vanemend.core.plan.Plan;
import vanemend.core.run.RunState;
import vanemend.core.trade.Text;

/**
 * A later look at the repair.
 *
 * @param due when
 * @param what what to look for, and what follows
 * @param shown where that comes from
 */
public record LookAgain(Instant due, String what, String shown) {
    /** What the method of {@code plan} asks to be looked at again, counted from the day it was finished. */
    static List<LookAgain> of(Plan plan, RunState state) {
        return state.finishedAt().stream()
                .flatMap(done -> Methods.of(plan.method()).later().stream()
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
