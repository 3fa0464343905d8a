/**
 * Answers: how much to mix, with how much cream, in how many batches.
 *
 * <p>In: areas mm², volumes mL, work time min. Out: grams, mL, mm of bead.
 */
package vanemend.core.mix;
