/**
 * Answers: which papers in which order, how far out each.
 *
 * <p>In: papers on the shelf, scratch µm, areas mm². Out: ladder with minutes and discs.
 */
package vanemend.core.sanding;
