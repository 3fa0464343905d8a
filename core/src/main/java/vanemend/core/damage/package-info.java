/**
 * Answers: what happened to it: shape, place and depth.
 *
 * <p>In: DentDraft, mm. Out: Dent and DepthField; depth mm, volume mm³.
 */
package vanemend.core.damage;
