package vanemend.core.plan;

import java.time.Instant;

/**
 * A plan as it was when the work began; later rules never reach it.
 *
 * @param frozenAt when
 * @param by who started it
 * @param draft what it was made from
 * @param workup what was computed, with the rule book's version
 */
public record FrozenPlan(Instant frozenAt, String by, RepairDraft draft, Workup workup) {
    public FrozenPlan {
        if (workup.plan().isEmpty()) {
            throw new IllegalArgumentException("only a repair with a plan can be started");
        }
    }

    /** The steps. */
    public Plan plan() {
        return workup.plan().orElseThrow();
    }
}
