package vanemend.core.damage;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;

/**
 * A line on the part from corner to corner, such as a crack follows.
 *
 * @param xy x and y in turn, mm; two corners or more
 */
public record Trace(List<Double> xy) {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();
    private static final int SEGMENTS_A_QUARTER = 16;

    public Trace {
        if (xy.size() < 4 || xy.size() % 2 != 0) {
            throw new IllegalArgumentException("a trace needs two corners or more, has " + xy.size() + " numbers");
        }
        xy = List.copyOf(xy);
    }

    /** As a line. */
    public LineString line() {
        Coordinate[] cs = new Coordinate[xy.size() / 2];
        for (int i = 0; i < cs.length; i++) {
            cs[i] = new Coordinate(xy.get(2 * i), xy.get(2 * i + 1));
        }
        return GEOMETRY.createLineString(cs);
    }

    /** Length along it, mm. */
    public double lengthMm() {
        return line().getLength();
    }

    /** As a strip {@code widthMm} wide with round ends. */
    public Geometry strip(double widthMm) {
        double dx = xy.get(2) - xy.get(0);
        double dy = xy.get(3) - xy.get(1);
        // What is straight needs nobody to look where it crosses itself.
        return xy.size() == 4 && widthMm > 0 && Math.hypot(dx, dy) > 0
                ? straight(Math.atan2(dy, dx), widthMm / 2)
                : line().buffer(widthMm / 2, SEGMENTS_A_QUARTER);
    }

    /** Half a circle about either end, clockwise as a buffer is. */
    private Geometry straight(double bearing, double radius) {
        int half = 2 * SEGMENTS_A_QUARTER;
        Coordinate[] cs = new Coordinate[2 * half + 3];
        for (int end = 0; end < 2; end++) {
            for (int k = 0; k <= half; k++) {
                double at = bearing + Math.PI / 2 + end * Math.PI - Math.PI * k / half;
                cs[end * (half + 1) + k] = new Coordinate(
                        xy.get(2 - 2 * end) + radius * Math.cos(at), xy.get(3 - 2 * end) + radius * Math.sin(at));
            }
        }
        cs[cs.length - 1] = cs[0].copy();
        return GEOMETRY.createPolygon(cs);
    }

    /** Whether it starts within {@code mm} of where {@code other} starts. */
    public boolean startsNear(Trace other, double mm) {
        return Math.hypot(xy.get(0) - other.xy.get(0), xy.get(1) - other.xy.get(1)) <= mm;
    }
}
