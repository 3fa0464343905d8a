/**
 * Answers: what was planned against what was done.
 *
 * <p>In: frozen Plan, bench events. Out: RepairRecord with deviations.
 */
package vanemend.core.record;
