/**
 * Answers: what is the part, what is it made of, which coats and lines does it have.
 *
 * <p>In: PartDraft, mm and µm. Out: Part, mm and µm.
 */
package vanemend.core.part;
