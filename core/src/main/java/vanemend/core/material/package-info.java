/**
 * Answers: what is on the shelf, and what do its labels say.
 *
 * <p>In: class data, shelf items. Out: label times min at °C, density g/mL.
 */
package vanemend.core.material;
