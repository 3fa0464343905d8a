package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A scratch or gouge.
 *
 * @param trace where it runs, mm
 * @param widthMm across, mm
 * @param depthMm deepest, from the face, mm
 */
public record Scratch(Trace trace, double widthMm, double depthMm) implements Damage {
    @Override
    public Kind kind() {
        return Kind.SCRATCH;
    }

    @Override
    public Geometry outline() {
        return trace.strip(widthMm);
    }
}
