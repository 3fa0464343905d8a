package vanemend.core.damage;

import java.util.EnumSet;
import java.util.Set;
import org.locationtech.jts.geom.Geometry;

/**
 * A divot, damaged grain or residue on trim, the worn field that the road leaves on a cover,
 * or a chip out of paint or gelcoat.
 *
 * @param kind divot, residue, road rash, chip in paint or in gelcoat
 * @param place where it is, mm
 * @param depthMm deepest, mm; 0 for residue
 */
public record Blemish(Kind kind, Oval place, double depthMm) implements Damage {
    private static final Set<Kind> KINDS =
            EnumSet.of(Kind.DIVOT, Kind.RESIDUE, Kind.RASH, Kind.PAINT_CHIP, Kind.GELCOAT_CHIP);

    public Blemish {
        if (!KINDS.contains(kind)) {
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
