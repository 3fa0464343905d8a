/**
 * Answers: which materials from the shelf, and what is ruled out and why.
 *
 * <p>In: Part, shelf, air °C. Out: StackChoice by role.
 */
package vanemend.core.stack;
