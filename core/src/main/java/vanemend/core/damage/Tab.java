package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A tab that is torn off, or a screw hole that is torn out, where something is only located.
 *
 * @param place the tab as it was, from its root outwards; it may stand out past the edge of the part, mm
 * @param pieceKept whether the broken piece is at hand
 */
public record Tab(Oval place, boolean pieceKept) implements Damage {
    @Override
    public Kind kind() {
        return Kind.TAB;
    }

    @Override
    public Geometry outline() {
        return place.polygon();
    }
}
