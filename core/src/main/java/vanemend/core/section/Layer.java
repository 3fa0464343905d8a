package vanemend.core.section;

import java.util.List;

/**
 * One layer in the cut, a closed polygon.
 *
 * @param id name code and drawing ask by
 * @param word as said
 * @param kind what it is in a stack of many; where not all can be named, bond lines go first, then plies
 * @param hatch name of its drawing pattern
 * @param thickestMm thickest place, mm
 * @param areaMm2 area in the cut, mm²
 * @param xz x and z in turn, mm; x along the cut, z up from the painted face
 */
public record Layer(
        String id, String word, Kind kind, String hatch, double thickestMm, double areaMm2, List<Double> xz) {
    /** What a layer is in a stack of many. */
    public enum Kind {
        LAYER,
        PLY,
        BOND
    }
}
