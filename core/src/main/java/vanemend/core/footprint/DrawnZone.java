package vanemend.core.footprint;

import java.util.List;

/**
 * A zone ready for drawing and keeping.
 *
 * @param kind which
 * @param word as said
 * @param note what it is for
 * @param pastMm nominal distance past the damage, mm
 * @param areaMm2 area, mm²
 * @param rings outlines, mm
 * @param side of the part; a back is drawn as seen through the face
 */
public record DrawnZone(
        Zone.Kind kind, String word, String note, double pastMm, double areaMm2, List<Ring> rings, Zone.Side side) {
    public DrawnZone {
        side = side == null ? Zone.Side.FACE : side;
    }

    /** From the exact zone. */
    public static DrawnZone of(Zone z) {
        return new DrawnZone(
                z.kind(),
                z.kind().word(),
                z.kind().note(),
                z.pastMm(),
                Math.round(z.areaMm2()),
                z.rings(),
                z.kind().side());
    }
}
