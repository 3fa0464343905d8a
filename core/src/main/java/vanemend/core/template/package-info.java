/**
 * Answers: what is cut to shape, 1:1, nested on its sheet.
 *
 * <p>In: pieces, mm. Out: lines and words on a sheet, mm; SVG and DXF.
 */
package vanemend.core.template;
