/**
 * Answers: where a repair stands, computed from what happened at the bench.
 *
 * <p>In: frozen Plan, bench events. Out: RunState with clocks.
 */
package vanemend.core.run;
