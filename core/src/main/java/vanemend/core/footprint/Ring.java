package vanemend.core.footprint;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
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

    private static final GeometryFactory GEOMETRY = new GeometryFactory();
    private static final double SHARE_OF_SIZE = 0.003;
    private static final double SMALL_MM = 40;

    /** What {@code rings} cover. */
    public static Geometry shape(List<Ring> rings) {
        Geometry out = GEOMETRY.createPolygon();
        for (Ring r : rings) {
            Coordinate[] cs = new Coordinate[r.xy().size() / 2 + 1];
            for (int i = 0; i < cs.length - 1; i++) {
                cs[i] = new Coordinate(r.xy().get(2 * i), r.xy().get(2 * i + 1));
            }
            cs[cs.length - 1] = cs[0];
            // A ring kept to the tenth of a millimetre may touch itself.
            Geometry g = GEOMETRY.createPolygon(cs).buffer(0);
            out = r.hole() ? out.difference(g) : out.union(g);
        }
        return out;
    }

    /** The box round {@code rings}. */
    public static Envelope box(List<Ring> rings) {
        Envelope box = new Envelope();
        for (Ring r : rings) {
            for (int i = 0; i < r.xy().size(); i += 2) {
                box.expandToInclude(r.xy().get(i), r.xy().get(i + 1));
            }
        }
        return box;
    }

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
