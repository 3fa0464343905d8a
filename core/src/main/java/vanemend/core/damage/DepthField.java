package vanemend.core.damage;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.union.UnaryUnionOp;

/**
 * All dents of a part as one hollow surface: where dents overlap the deeper counts. Lengths mm, volumes mm³.
 *
 * @param dents at least one
 */
public record DepthField(List<Dent> dents) {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();
    private static final int OUTLINE_POINTS = 96;

    /** Nodes and weights of 12-point Gauss–Legendre quadrature on [−1, 1] (textbook). */
    private static final double[] NODE = {
        0.1252334085114689,
        0.3678314989981802,
        0.5873179542866175,
        0.7699026741943047,
        0.9041172563704749,
        0.9815606342467192
    };

    private static final double[] WEIGHT = {
        0.2491470458134028,
        0.2334925365383548,
        0.2031674267230659,
        0.1600783285433462,
        0.1069393259953184,
        0.0471753363865118
    };

    public DepthField {
        if (dents.isEmpty()) {
            throw new IllegalArgumentException("a depth field needs a dent");
        }
        dents = List.copyOf(dents);
    }

    /** Depth at a point, mm. */
    public double depthAt(double x, double y) {
        double d = 0;
        for (Dent dent : dents) {
            d = Math.max(d, dent.depthAt(x, y));
        }
        return d;
    }

    /** The deepest dent. */
    public Dent deepest() {
        Dent best = dents.getFirst();
        for (Dent d : dents) {
            if (d.depthMm() > best.depthMm()) {
                best = d;
            }
        }
        return best;
    }

    /** Outline of one dent as a polygon of 96 corners on the ellipse (area 0.07 % below the ellipse's). */
    public static Polygon outline(Dent d) {
        Coordinate[] ring = new Coordinate[OUTLINE_POINTS + 1];
        double turn = Math.toRadians(d.angleDeg());
        for (int i = 0; i < OUTLINE_POINTS; i++) {
            double t = 2 * Math.PI * i / OUTLINE_POINTS;
            double u = d.a() * Math.cos(t);
            double v = d.b() * Math.sin(t);
            ring[i] = new Coordinate(
                    d.xMm() + u * Math.cos(turn) - v * Math.sin(turn),
                    d.yMm() + u * Math.sin(turn) + v * Math.cos(turn));
        }
        ring[OUTLINE_POINTS] = ring[0].copy();
        return GEOMETRY.createPolygon(ring);
    }

    /** Outline of all dents together. */
    public Geometry outline() {
        List<Geometry> all = new ArrayList<>();
        dents.forEach(d -> all.add(outline(d)));
        return UnaryUnionOp.union(all);
    }

    /**
     * Volume of the hollow, mm³: depth integrated over the outline by scan lines. Along x each stretch between the ends of
     * dents is mapped by a sine, which takes the square-root ends of an ellipse out of the integrand; along y each stretch
     * between the ends of the dents' chords is integrated by itself. Composite 12-point Gauss–Legendre both ways.
     */
    public double volumeMm3() {
        List<Double> xs = new ArrayList<>();
        for (Dent d : dents) {
            xs.add(d.xMm() - d.halfAcross());
            xs.add(d.xMm() + d.halfAcross());
        }
        xs.sort(null);
        double sum = 0;
        for (int i = 1; i < xs.size(); i++) {
            sum += stretch(xs.get(i - 1), xs.get(i));
        }
        return sum;
    }

    private double stretch(double from, double to) {
        if (to - from < 1e-9) {
            return 0;
        }
        double mid = (from + to) / 2;
        double half = (to - from) / 2;
        double sum = 0;
        for (int piece = 0; piece < 2; piece++) {
            double centre = piece == 0 ? -Math.PI / 4 : Math.PI / 4;
            for (int k = 0; k < NODE.length; k++) {
                for (int sign = -1; sign <= 1; sign += 2) {
                    double t = centre + sign * NODE[k] * Math.PI / 4;
                    sum += WEIGHT[k] * Math.PI / 4 * half * Math.cos(t) * chord(mid + half * Math.sin(t));
                }
            }
        }
        return sum;
    }

    private double chord(double x) {
        List<Double> ys = new ArrayList<>();
        for (Dent d : dents) {
            double[] cut = chordEnds(d, x);
            if (cut.length == 2) {
                ys.add(cut[0]);
                ys.add(cut[1]);
                // A point or a bowl is not smooth across its own middle: split there.
                ys.add((cut[0] + cut[1]) / 2);
            }
        }
        ys.sort(null);
        double sum = 0;
        for (int i = 1; i < ys.size(); i++) {
            double from = ys.get(i - 1);
            double half = (ys.get(i) - from) / 2;
            if (half < 1e-9) {
                continue;
            }
            double mid = from + half;
            for (int k = 0; k < NODE.length; k++) {
                sum += WEIGHT[k] * half * (depthAt(x, mid - half * NODE[k]) + depthAt(x, mid + half * NODE[k]));
            }
        }
        return sum;
    }

    /** The two y at which the vertical line at {@code x} cuts the dent's outline, or none. */
    private static double[] chordEnds(Dent d, double x) {
        double t = Math.toRadians(d.angleDeg());
        double c = Math.cos(t);
        double s = Math.sin(t);
        double ia = 1 / (d.a() * d.a());
        double ib = 1 / (d.b() * d.b());
        double dx = x - d.xMm();
        double qa = s * s * ia + c * c * ib;
        double qb = 2 * dx * c * s * (ia - ib);
        double qc = dx * dx * (c * c * ia + s * s * ib) - 1;
        double disc = qb * qb - 4 * qa * qc;
        if (disc <= 0) {
            return new double[0];
        }
        double root = Math.sqrt(disc);
        return new double[] {d.yMm() + (-qb - root) / (2 * qa), d.yMm() + (-qb + root) / (2 * qa)};
    }
}
