package vanemend.core.plan;

/**
 * A change that a technician made to the plan.
 *
 * @param kind what is changed
 * @param step step it is about
 * @param after for a move: the step it now follows; empty for the first place
 * @param minutes for other minutes: hands-on, min
 */
public record PlanEditDraft(Kind kind, String step, String after, Double minutes) {
    /** What can be changed. */
    public enum Kind {
        SKIP,
        MOVE,
        MINUTES
    }
}
