/**
 * Answers: the whole repair computed from a draft, with earliest and latest starts.
 *
 * <p>In: RepairDraft, shop conditions, shelf, time. Out: Workup and the frozen Plan.
 */
package vanemend.core.plan;
