package vanemend.core.section;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/**
 * Rises from 0 to 1 over {@code width} along the cut: outward from a zone's edge, or inward from it. Only stretches of the
 * edge that come nearer to the cut than that width can matter.
 */
public final class Taper {
    /** A stretch of the edge from x, y on, mm, and where along the cut it can matter. */
    private record Stretch(double x, double y, double dx, double dy, double from, double to) {
        double distance2(double px, double py) {
            double length2 = dx * dx + dy * dy;
            double t = length2 == 0 ? 0 : Math.clamp(((px - x) * dx + (py - y) * dy) / length2, 0, 1);
            double ex = px - x - t * dx;
            double ey = py - y - t * dy;
            return ex * ex + ey * ey;
        }
    }

    private final double[] crossings;
    private final List<Stretch> near = new ArrayList<>();
    private final double cutY;
    private final double width;
    private final boolean outward;

    /** Over {@code width} mm from the edge of {@code zone}, in the cut at {@code cutY}. */
    public Taper(Geometry zone, double width, boolean outward, double cutY) {
        this.width = width;
        this.outward = outward;
        this.cutY = cutY;
        List<Double> crossed = new ArrayList<>();
        Geometry edge = zone.getBoundary();
        for (int i = 0; i < edge.getNumGeometries(); i++) {
            Coordinate[] c = edge.getGeometryN(i).getCoordinates();
            for (int k = 1; k < c.length; k++) {
                look(c[k - 1], c[k], crossed);
            }
        }
        this.crossings =
                crossed.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    }

    private void look(Coordinate a, Coordinate b, List<Double> crossed) {
        if (cutY >= Math.min(a.y, b.y) - width && cutY <= Math.max(a.y, b.y) + width) {
            near.add(new Stretch(
                    a.x, a.y, b.x - a.x, b.y - a.y, Math.min(a.x, b.x) - width, Math.max(a.x, b.x) + width));
        }
        if ((a.y > cutY) != (b.y > cutY)) {
            crossed.add(a.x + (cutY - a.y) / (b.y - a.y) * (b.x - a.x));
        }
    }

    /** Even-odd along the cut: inside after an odd number of edges. */
    public boolean inside(double x) {
        int before = 0;
        while (before < crossings.length && crossings[before] <= x) {
            before++;
        }
        return before % 2 == 1;
    }

    /** Share at {@code x}: 0 on the near side of the edge, 1 from {@code width} on. */
    public double at(double x) {
        if (inside(x) == outward) {
            return 0;
        }
        double least2 = width * width;
        for (Stretch s : near) {
            if (x >= s.from && x <= s.to) {
                least2 = Math.min(least2, s.distance2(x, cutY));
            }
        }
        return Math.sqrt(least2) / width;
    }
}
