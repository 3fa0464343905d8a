package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A piece that is broken out or a corner that is gone.
 *
 * @param gone what is missing, mm
 * @param soundMm sound plastic all round that a backing can lie on, mm
 * @param pieceKept whether the piece is at hand
 */
public record Missing(Oval gone, double soundMm, boolean pieceKept) implements Damage {
    @Override
    public Kind kind() {
        return Kind.MISSING;
    }

    @Override
    public Geometry outline() {
        return gone.polygon();
    }
}
