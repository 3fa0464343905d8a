package vanemend.core.damage;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Geometry;

/**
 * A scratch or gouge.
 *
 * @param trace where it runs, mm
 * @param widthMm across, mm
 * @param depthMm deepest, from the face, mm
 */
public record Scratch(Trace trace, double widthMm, double depthMm) implements Damage {
    @Override
    public Kind kind() {
        return Kind.SCRATCH;
    }

    @Override
    public Geometry outline() {
        return trace.strip(widthMm);
    }

    /**
     * As a row of narrow hollows, one a leg of the trace with a width to spare at each end: a little more than its V, and what a
     * spreader sees.
     */
    public List<Dent> hollows() {
        List<Dent> out = new ArrayList<>();
        List<Double> xy = trace.xy();
        for (int i = 0; i + 3 < xy.size(); i += 2) {
            double dx = xy.get(i + 2) - xy.get(i);
            double dy = xy.get(i + 3) - xy.get(i + 1);
            out.add(new Dent(
                    xy.get(i) + dx / 2,
                    xy.get(i + 1) + dy / 2,
                    Math.hypot(dx, dy) + 2 * widthMm,
                    widthMm,
                    Math.toDegrees(Math.atan2(dy, dx)),
                    depthMm,
                    Dent.Profile.POINT));
        }
        return out;
    }
}
