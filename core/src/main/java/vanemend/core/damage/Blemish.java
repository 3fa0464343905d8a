package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A divot, damaged grain or residue on trim.
 *
 * @param kind divot or residue
 * @param place where it is, mm
 * @param depthMm deepest, mm; 0 for residue
 */
public record Blemish(Kind kind, Oval place, double depthMm) implements Damage {
    public Blemish {
        if (kind != Kind.DIVOT && kind != Kind.RESIDUE) {
            throw new IllegalArgumentException(kind + " is no blemish of trim");
        }
    }

    @Override
    public Geometry outline() {
        return place.polygon();
    }
}
