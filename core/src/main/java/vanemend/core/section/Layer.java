package vanemend.core.section;

import java.util.List;

/**
 * One layer in the cut, a closed polygon.
 *
 * @param id name code and drawing ask by
 * @param word as said
 * @param hatch name of its drawing pattern
 * @param thickestMm thickest place, mm
 * @param areaMm2 area in the cut, mm²
 * @param xz x and z in turn, mm; x along the cut, z up from the painted face
 */
public record Layer(String id, String word, String hatch, double thickestMm, double areaMm2, List<Double> xz) {}
