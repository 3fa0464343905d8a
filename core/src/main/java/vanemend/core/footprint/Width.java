package vanemend.core.footprint;

import java.util.Arrays;
import java.util.Comparator;
import org.locationtech.jts.geom.Coordinate;

/**
 * Least width of a set of points: the narrowest strip that holds them has an edge of their convex hull on one side (textbook geometry). The
 * general library's answer is what this is held against; its exact predicates took a seventh of a preview's time.
 */
final class Width {
    private Width() {}

    /** Least width of {@code points}, mm; 0 where they lie on a line. */
    static double leastMm(Coordinate[] points) {
        Coordinate[] hull = hull(points);
        if (hull.length < 3) {
            return 0;
        }
        double least = Double.POSITIVE_INFINITY;
        int far = 1;
        for (int i = 0; i < hull.length; i++) {
            Coordinate a = hull[i];
            Coordinate b = hull[(i + 1) % hull.length];
            while (turn(a, b, hull[(far + 1) % hull.length]) > turn(a, b, hull[far])) {
                far = (far + 1) % hull.length;
            }
            least = Math.min(least, turn(a, b, hull[far]) / a.distance(b));
        }
        return least;
    }

    /** Corners of the convex hull, counter-clockwise, none twice: a lower and an upper chain from left to right. */
    private static Coordinate[] hull(Coordinate[] points) {
        Coordinate[] sorted = points.clone();
        Arrays.sort(sorted, Comparator.comparingDouble((Coordinate c) -> c.x).thenComparingDouble(c -> c.y));
        Coordinate[] out = new Coordinate[2 * sorted.length];
        int n = 0;
        for (int side = 0; side < 2; side++) {
            int start = n;
            for (int i = 0; i < sorted.length; i++) {
                Coordinate c = side == 0 ? sorted[i] : sorted[sorted.length - 1 - i];
                while (n - start >= 2 && turn(out[n - 2], out[n - 1], c) <= 0) {
                    n--;
                }
                out[n++] = c;
            }
            n--;
        }
        return Arrays.copyOf(out, Math.max(0, n));
    }

    /** Twice the area of the triangle; over 0 where {@code c} lies left of the line from {@code a} to {@code b}. */
    private static double turn(Coordinate a, Coordinate b, Coordinate c) {
        return (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
    }
}
