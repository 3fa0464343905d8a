/**
 * Answers: how far out each zone goes.
 *
 * <p>In: Part and DepthField, mm. Out: zones as polygons, mm and mm².
 */
package vanemend.core.footprint;
