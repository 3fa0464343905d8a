package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A divot, damaged grain or residue on trim, or the worn field that the road leaves on a cover.
 *
 * @param kind divot, residue or road rash
 * @param place where it is, mm
 * @param depthMm deepest, mm; 0 for residue
 */
public record Blemish(Kind kind, Oval place, double depthMm) implements Damage {
    public Blemish {
        if (kind != Kind.DIVOT && kind != Kind.RESIDUE && kind != Kind.RASH) {
            throw new IllegalArgumentException(kind + " is no blemish");
        }
    }

    /** As a hollow: deepest in its middle, nothing at its rim. */
    public Dent hollow() {
        return new Dent(
                place.xMm(),
                place.yMm(),
                place.lengthMm(),
                place.widthMm(),
                place.angleDeg(),
                depthMm,
                Dent.Profile.BOWL);
    }

    @Override
    public Geometry outline() {
        return place.polygon();
    }
}
