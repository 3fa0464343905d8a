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
        return line().buffer(widthMm / 2, SEGMENTS_A_QUARTER);
    }

    /** Whether it starts within {@code mm} of where {@code other} starts. */
    public boolean startsNear(Trace other, double mm) {
        return Math.hypot(xy.get(0) - other.xy.get(0), xy.get(1) - other.xy.get(1)) <= mm;
    }
}
