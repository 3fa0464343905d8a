package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A crack.
 *
 * @param trace where it runs, mm; on glass it starts at the impact
 * @param depth through the part, or in its outer layer only
 * @param ends which ends a tool gets to
 * @param fromChip on glass: whether it starts at a chip
 */
public record Crack(Trace trace, Depth depth, Ends ends, boolean fromChip) implements Damage {
    /** How wide a crack is drawn, mm: it does not gape. What gapes is a hole, with a width that was measured. */
    static final double DRAWN_WIDTH_MM = 1;

    /** Next to nothing, mm: zones of a crack are offsets of its line, and are grown from an area. */
    static final double LINE_WIDTH_MM = 0.01;

    /** How deep a crack goes. */
    public enum Depth {
        THROUGH,
        OUTER_LAYER
    }

    /** Which ends of a crack a tool gets to. */
    public enum Ends {
        BOTH,
        ONE,
        NONE
    }

    /** Its length, mm. */
    public double lengthMm() {
        return trace.lengthMm();
    }

    @Override
    public Kind kind() {
        return Kind.CRACK;
    }

    @Override
    public Geometry outline() {
        return trace.strip(DRAWN_WIDTH_MM);
    }

    @Override
    public Geometry core() {
        return trace.strip(LINE_WIDTH_MM);
    }
}
