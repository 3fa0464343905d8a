package vanemend.core.damage;

import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * An ellipse on the part.
 *
 * @param xMm centre, from the part's left edge, mm
 * @param yMm centre, from the part's lower edge, mm
 * @param lengthMm whole length, mm
 * @param widthMm whole width, mm
 * @param angleDeg turn of the length, counter-clockwise from level, degrees
 */
public record Oval(double xMm, double yMm, double lengthMm, double widthMm, double angleDeg) {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    /** Corners of a whole ellipse. */
    static final int CORNERS = 96;

    private static final double[] COS = new double[CORNERS + 1];
    private static final double[] SIN = new double[CORNERS + 1];

    static {
        for (int i = 0; i <= CORNERS; i++) {
            // The last is the first again, to the last digit.
            double t = 2 * Math.PI * (i % CORNERS) / CORNERS;
            COS[i] = Math.cos(t);
            SIN[i] = Math.sin(t);
        }
    }

    /** Cosine of the parameter of corner {@code i}, 0 to {@link #CORNERS}, which is the first again. */
    static double cos(int i) {
        return COS[i];
    }

    /** Sine of the same. */
    static double sin(int i) {
        return SIN[i];
    }

    /** As a polygon of 96 corners on the ellipse (area 0.07 % below the ellipse's). */
    public Polygon polygon() {
        Coordinate[] ring = new Coordinate[CORNERS + 1];
        double cos = Math.cos(Math.toRadians(angleDeg));
        double sin = Math.sin(Math.toRadians(angleDeg));
        for (int i = 0; i <= CORNERS; i++) {
            double u = lengthMm / 2 * COS[i];
            double v = widthMm / 2 * SIN[i];
            ring[i] = new Coordinate(xMm + u * cos - v * sin, yMm + u * sin + v * cos);
        }
        return GEOMETRY.createPolygon(ring);
    }

    /** The larger of its two measures: what its enclosing circle is across, mm. */
    public double acrossMm() {
        return Math.max(lengthMm, widthMm);
    }
}
