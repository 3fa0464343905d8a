/**
 * Answers: values of the trade with their provenance, house rules, cautions, and how bad input is told.
 *
 * <p>In: data files; what was typed. Out: TradeValue in its own unit; InputProblem with field, given and expected.
 */
package vanemend.core.trade;
