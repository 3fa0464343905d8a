/** Answers: what does a line of plain words say of a part and its damage. */
package vanemend.core.intake;
