package vanemend.core.plan;

/**
 * A change that a technician made to the plan.
 *
 * @param kind what is changed
 * @param step step it is about
 * @param after for a move: the step it now follows; empty for the first place
 * @param minutes for other minutes: hands-on, min
 * @param paper for another paper: shelf item
 */
public record PlanEditDraft(Kind kind, String step, String after, Double minutes, String paper) {
    /** The same change of the step called {@code other}. */
    PlanEditDraft of(String other) {
        return new PlanEditDraft(kind, other, after, minutes, paper);
    }

    /** What can be changed. */
    public enum Kind {
        SKIP,
        MOVE,
        MINUTES,
        PAPER
    }
}
