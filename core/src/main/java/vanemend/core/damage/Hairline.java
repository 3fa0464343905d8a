package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A hairline in gelcoat or another outer layer.
 *
 * @param trace where it runs, mm
 */
public record Hairline(Trace trace) implements Damage {
    @Override
    public Kind kind() {
        return Kind.HAIRLINE;
    }

    @Override
    public Geometry outline() {
        return trace.strip(Crack.DRAWN_WIDTH_MM);
    }

    @Override
    public Geometry core() {
        return trace.strip(Crack.LINE_WIDTH_MM);
    }
}
