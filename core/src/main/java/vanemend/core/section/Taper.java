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
    private final double[] crossings;
    private final List<double[]> near = new ArrayList<>();
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
            near.add(new double[] {a.x, a.y, b.x, b.y});
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
        for (double[] s : near) {
            if (x >= Math.min(s[0], s[2]) - width && x <= Math.max(s[0], s[2]) + width) {
                least2 = Math.min(least2, distance2(s, x, cutY));
            }
        }
        return Math.sqrt(least2) / width;
    }

    private static double distance2(double[] s, double x, double y) {
        double dx = s[2] - s[0];
        double dy = s[3] - s[1];
        double length2 = dx * dx + dy * dy;
        double t = length2 == 0 ? 0 : Math.clamp(((x - s[0]) * dx + (y - s[1]) * dy) / length2, 0, 1);
        double ex = x - s[0] - t * dx;
        double ey = y - s[1] - t * dy;
        return ex * ex + ey * ey;
    }
}
