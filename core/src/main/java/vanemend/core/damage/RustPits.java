package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * Sheet metal that rust has pitted, with no hole through it.
 *
 * @param place where the pits are, mm
 * @param depthMm deepest pit once loose rust is off, mm
 */
public record RustPits(Oval place, double depthMm) implements Damage {
    @Override
    public Kind kind() {
        return Kind.RUST_PITS;
    }

    @Override
    public Geometry outline() {
        return place.polygon();
    }
}
