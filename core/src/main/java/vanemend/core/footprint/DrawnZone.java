package vanemend.core.footprint;

import java.util.List;

/**
 * A zone ready for drawing and keeping.
 *
 * @param kind which
 * @param word as said
 * @param note what it is for
 * @param pastMm nominal distance past the dent, mm
 * @param areaMm2 area, mm²
 * @param rings outlines, mm
 */
public record DrawnZone(Zone.Kind kind, String word, String note, double pastMm, double areaMm2, List<Ring> rings) {
    /** From the exact zone. */
    public static DrawnZone of(Zone z) {
        return new DrawnZone(
                z.kind(), z.kind().word(), z.kind().note(), z.pastMm(), Math.round(z.areaMm2()), z.rings());
    }
}
