/**
 * Answers: may it be mended, with which limits, by which rule.
 *
 * <p>In: Part, depth mm, shop air °C and %. Out: Verdict with every rule that bears.
 */
package vanemend.core.verdict;
