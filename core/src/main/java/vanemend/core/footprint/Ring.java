package vanemend.core.footprint;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;

/**
 * A closed line on the part.
 *
 * @param xy x and y in turn, mm to 0.1 (small shapes to 0.01), first point not repeated
 * @param hole true where it cuts out of the ring before it
 */
public record Ring(List<Double> xy, boolean hole) {
    /** A quarter of what one dot of a screen shows of the usual part. */
    private static final double DRAWING_TOLERANCE_MM = 0.3;

    private static final double SHARE_OF_SIZE = 0.003;
    private static final double SMALL_MM = 40;

    /** All rings of a polygon or several. */
    public static List<Ring> of(Geometry g) {
        List<Ring> out = new ArrayList<>();
        for (int i = 0; i < g.getNumGeometries(); i++) {
            if (g.getGeometryN(i) instanceof Polygon p && !p.isEmpty()) {
                out.add(ring(p.getExteriorRing(), false));
                for (int h = 0; h < p.getNumInteriorRing(); h++) {
                    out.add(ring(p.getInteriorRingN(h), true));
                }
            }
        }
        return List.copyOf(out);
    }

    private static Ring ring(LineString line, boolean hole) {
        Coordinate[] cs = line.getCoordinates();
        double size = line.getEnvelopeInternal().getDiameter();
        double tolerance = Math.min(DRAWING_TOLERANCE_MM, size * SHARE_OF_SIZE);
        double step = size < SMALL_MM ? 100 : 10;
        List<Double> xy = new ArrayList<>();
        int from = 0;
        while (from < cs.length - 1) {
            xy.add(Math.round(cs[from].x * step) / step);
            xy.add(Math.round(cs[from].y * step) / step);
            int to = from + 1;
            while (to + 1 < cs.length && straight(cs, from, to + 1, tolerance)) {
                to++;
            }
            from = to;
        }
        return new Ring(List.copyOf(xy), hole);
    }

    /** Whether every corner between two lies within the tolerance of the line through them. */
    private static boolean straight(Coordinate[] cs, int from, int to, double tolerance) {
        double dx = cs[to].x - cs[from].x;
        double dy = cs[to].y - cs[from].y;
        double most = tolerance * tolerance * (dx * dx + dy * dy);
        for (int i = from + 1; i < to; i++) {
            double off = dx * (cs[i].y - cs[from].y) - dy * (cs[i].x - cs[from].x);
            double along = dx * (cs[i].x - cs[from].x) + dy * (cs[i].y - cs[from].y);
            if (off * off > most || along < 0 || along > dx * dx + dy * dy) {
                return false;
            }
        }
        return true;
    }
}
