package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A hole or tear through a plastic or composite part.
 *
 * @param hole what is open, mm
 */
public record Hole(Oval hole) implements Damage {
    @Override
    public Kind kind() {
        return Kind.HOLE;
    }

    @Override
    public Geometry outline() {
        return hole.polygon();
    }
}
