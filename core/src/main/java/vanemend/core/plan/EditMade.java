package vanemend.core.plan;

/**
 * An edit of a plan as it is told.
 *
 * @param kind what was changed
 * @param step step it is about
 * @param title of that step, as its page calls it; empty where this plan has no such step any more
 */
public record EditMade(PlanEditDraft.Kind kind, String step, String title) {}
