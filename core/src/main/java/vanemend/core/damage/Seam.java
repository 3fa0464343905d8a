package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A seam that was welded and now wants a finish.
 *
 * @param trace where it runs, mm
 * @param widthMm width of the weld, mm
 * @param groundBelow whether the weld is ground just below the face
 * @param sunk how far the sheet has sunk along it; nowhere where it is not read, as in plastic
 */
public record Seam(Trace trace, double widthMm, boolean groundBelow, Along sunk) implements Damage {
    /** Deepest that the sheet has sunk along it, mm. */
    public double depthMm() {
        return sunk.deepestMm();
    }

    @Override
    public Kind kind() {
        return Kind.SEAM;
    }

    @Override
    public Geometry outline() {
        return trace.strip(widthMm);
    }
}
