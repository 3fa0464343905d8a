package vanemend.core.footprint;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;

/**
 * A closed line on the part.
 *
 * @param xy x and y in turn, mm to 0.1, first point not repeated
 * @param hole true where it cuts out of the ring before it
 */
public record Ring(List<Double> xy, boolean hole) {
    /** A quarter of what one dot of a screen shows of the usual part. */
    private static final double DRAWING_TOLERANCE_MM = 0.15;

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
        DouglasPeuckerSimplifier fewer = new DouglasPeuckerSimplifier(line);
        fewer.setDistanceTolerance(DRAWING_TOLERANCE_MM);
        fewer.setEnsureValid(false);
        Coordinate[] cs = fewer.getResultGeometry().getCoordinates();
        List<Double> xy = new ArrayList<>(2 * cs.length);
        for (int i = 0; i < cs.length - 1; i++) {
            xy.add(Math.round(cs[i].x * 10) / 10.0);
            xy.add(Math.round(cs[i].y * 10) / 10.0);
        }
        return new Ring(List.copyOf(xy), hole);
    }
}
