package vanemend.core.record;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import vanemend.core.method.HairlineSealant;
import vanemend.core.plan.Plan;
import vanemend.core.run.RunState;

/**
 * A later look at the repair.
 *
 * @param due when
 * @param what what to look for, and what follows
 * @param shown where that comes from
 */
public record LookAgain(Instant due, String what, String shown) {
    /** A sealed hairline is looked at again after 6 and 12 months (common practice); no other method has a later check of its own. */
    static List<LookAgain> of(Plan plan, RunState state) {
        if (state.finishedAt().isEmpty() || !has(plan)) {
            return List.of();
        }
        return List.of(in(6, state), in(12, state));
    }

    /** Whether the method of {@code plan} has a later look. */
    public static boolean has(Plan plan) {
        return plan.method().equals(HairlineSealant.METHOD);
    }

    private static LookAgain in(int months, RunState state) {
        Instant due = state.finishedAt()
                .orElseThrow()
                .atOffset(ZoneOffset.UTC)
                .plusMonths(months)
                .toInstant();
        return new LookAgain(
                due,
                "After " + months + " months: look past both stop holes. A crack beyond one means it is loaded: refer.",
                "common practice");
    }
}
