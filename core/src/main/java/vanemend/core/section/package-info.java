/**
 * Answers: what lies over what in the cut.
 *
 * <p>In: footprint and depth field, mm. Out: layers as polygons, mm.
 */
package vanemend.core.section;
