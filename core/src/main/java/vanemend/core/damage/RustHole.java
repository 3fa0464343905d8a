package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A hole that rust has eaten through sheet metal.
 *
 * @param hole what is gone, mm
 * @param rustPastMm how far rust reaches past the hole before the metal is sound, mm
 */
public record RustHole(Oval hole, double rustPastMm) implements Damage {
    @Override
    public Kind kind() {
        return Kind.RUST_HOLE;
    }

    @Override
    public Geometry outline() {
        return hole.polygon();
    }
}
