/**
 * Answers: the methods of repair, each as its page of the trade reads.
 *
 * <p>In: verdict, stack, footprint, doses, ladder. Out: steps with gates and loops.
 */
package vanemend.core.method;
