package vanemend.core.damage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * A few ovals, grown outward. An oval's outline offset by a distance is its parallel curve, each point moved along its normal (textbook
 * geometry), and what is grown of several together is each of them grown, joined. The general library's answer, outlines offset by a buffer,
 * is what these are held against: with it alone a preview takes half as long again.
 */
public final class Ovals {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    /** Between two corners a round edge turns no further than this: a sixteenth of a quarter. */
    private static final double MOST_TURN = Math.PI / 32;

    private static final double COS_MOST_TURN = Math.cos(MOST_TURN);

    /** Corners of a convex polygon, counter-clockwise, the first not repeated, and the box around it. */
    private record Convex(double[] x, double[] y, Envelope box) {
        int corners() {
            return x.length;
        }

        Polygon polygon() {
            Coordinate[] ring = new Coordinate[corners() + 1];
            for (int i = 0; i < corners(); i++) {
                ring[i] = new Coordinate(x[i], y[i]);
            }
            ring[corners()] = ring[0].copy();
            return GEOMETRY.createPolygon(ring);
        }

        /** Whether a point lies inside or on the outline: between two rays from the first corner, then on which side of one edge. */
        boolean holds(double px, double py) {
            int low = 1;
            int high = corners() - 1;
            if (turn(0, low, px, py) < 0 || turn(0, high, px, py) > 0) {
                return false;
            }
            while (high - low > 1) {
                int mid = (low + high) / 2;
                if (turn(0, mid, px, py) >= 0) {
                    low = mid;
                } else {
                    high = mid;
                }
            }
            return turn(low, high, px, py) >= 0;
        }

        private double turn(int from, int to, double px, double py) {
            return (x[to] - x[from]) * (py - y[from]) - (y[to] - y[from]) * (px - x[from]);
        }
    }

    /** Points of an ellipse and the directions of their normals: its parallel curve at any distance lies that far along them. */
    private record Outline(double[] x, double[] y, double[] nx, double[] ny) {
        /** The ellipse's point by the direction φ of its normal: (a²·cos φ, b²·sin φ)/√(a²·cos²φ + b²·sin²φ). */
        static Outline of(Oval o) {
            double cos = Math.cos(Math.toRadians(o.angleDeg()));
            double sin = Math.sin(Math.toRadians(o.angleDeg()));
            double a = o.lengthMm() / 2;
            double b = o.widthMm() / 2;
            double[] normals = normals(a, b);
            int n = normals.length / 2;
            Outline out = new Outline(new double[n], new double[n], new double[n], new double[n]);
            for (int i = 0; i < n; i++) {
                double c = normals[2 * i];
                double s = normals[2 * i + 1];
                double reach = Math.sqrt(a * a * c * c + b * b * s * s);
                double u = a * a * c / reach;
                double v = b * b * s / reach;
                out.x[i] = o.xMm() + u * cos - v * sin;
                out.y[i] = o.yMm() + u * sin + v * cos;
                out.nx[i] = c * cos - s * sin;
                out.ny[i] = c * sin + s * cos;
            }
            return out;
        }

        /** The same directions at every distance, so that what is grown farther holds what is grown less. */
        Convex parallel(double mm) {
            double[] px = new double[x.length];
            double[] py = new double[x.length];
            double left = Double.POSITIVE_INFINITY;
            double right = Double.NEGATIVE_INFINITY;
            double low = Double.POSITIVE_INFINITY;
            double high = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < x.length; i++) {
                px[i] = x[i] + mm * nx[i];
                py[i] = y[i] + mm * ny[i];
                left = Math.min(left, px[i]);
                right = Math.max(right, px[i]);
                low = Math.min(low, py[i]);
                high = Math.max(high, py[i]);
            }
            return new Convex(px, py, new Envelope(left, right, low, high));
        }
    }

    private final List<Outline> outlines;

    /** One oval or more. */
    public Ovals(List<Oval> ovals) {
        this.outlines = ovals.stream().map(Outline::of).toList();
    }

    /** All of it grown by {@code mm}, 0 or more, joined where it meets; 96 corners or more on each parallel curve. */
    public Geometry grown(double mm) {
        List<Geometry> fields = fields(mm).stream().map(Ovals::joined).toList();
        return fields.size() == 1 ? fields.getFirst() : GEOMETRY.buildGeometry(polygons(fields));
    }

    private static List<Geometry> polygons(List<Geometry> fields) {
        List<Geometry> out = new ArrayList<>();
        for (Geometry f : fields) {
            for (int i = 0; i < f.getNumGeometries(); i++) {
                out.add(f.getGeometryN(i));
            }
        }
        return out;
    }

    /** What is grown, those together whose boxes meet, or meet by others between them. */
    private List<List<Convex>> fields(double mm) {
        List<List<Convex>> fields = new ArrayList<>();
        for (Outline o : outlines) {
            Convex c = o.parallel(mm);
            List<Convex> field = new ArrayList<>();
            Iterator<List<Convex>> it = fields.iterator();
            while (it.hasNext()) {
                List<Convex> f = it.next();
                if (f.stream().anyMatch(x -> x.box().intersects(c.box()))) {
                    field.addAll(f);
                    it.remove();
                }
            }
            field.add(c);
            fields.add(field);
        }
        return fields;
    }

    private static Geometry joined(List<Convex> field) {
        if (field.size() == 1) {
            return field.getFirst().polygon();
        }
        return Optional.of(field)
                .filter(f -> f.size() == 2)
                .flatMap(f -> joined(f.getFirst(), f.getLast()))
                .orElseGet(() -> Joined.of(field.stream()
                        .map(Convex::polygon)
                        .map(Geometry.class::cast)
                        .toList()));
    }

    /**
     * Cosine and sine of the normals' directions in turn: at the 96 corners of an ellipse, counter-clockwise, and between them where its
     * narrow end turns fast. At the corner (a·cos t, b·sin t) the normal goes as (b·cos t, a·sin t).
     */
    private static double[] normals(double a, double b) {
        double[] out = new double[6 * Oval.CORNERS];
        int n = 0;
        double c = 1;
        double s = 0;
        for (int i = 1; i <= Oval.CORNERS; i++) {
            double nextC = b * Oval.cos(i);
            double nextS = a * Oval.sin(i);
            double length = Math.sqrt(nextC * nextC + nextS * nextS);
            nextC /= length;
            nextS /= length;
            out[n++] = c;
            out[n++] = s;
            double cosTurn = c * nextC + s * nextS;
            if (cosTurn < COS_MOST_TURN) {
                double from = Math.atan2(s, c);
                double turn = Math.atan2(c * nextS - s * nextC, cosTurn);
                int steps = (int) Math.ceil(turn / MOST_TURN - 1e-9);
                for (int k = 1; k < steps; k++) {
                    out[n++] = Math.cos(from + turn * k / steps);
                    out[n++] = Math.sin(from + turn * k / steps);
                }
            }
            c = nextC;
            s = nextS;
        }
        return Arrays.copyOf(out, n);
    }

    /** Two that cross each other twice, or of which one holds the other; empty where it is not that simple. */
    private static Optional<Geometry> joined(Convex a, Convex b) {
        boolean[] inB = held(a, b);
        boolean[] inA = held(b, a);
        int leavesB = change(inB, true);
        int leavesA = change(inA, true);
        if (changes(inB) == 0 && changes(inA) == 0) {
            // Not a corner of the other outside: it lies within. None of either inside: apart, or crossing without a
            // corner.
            return inB[0] ? Optional.of(b.polygon()) : inA[0] ? Optional.of(a.polygon()) : Optional.empty();
        }
        if (changes(inB) != 2 || changes(inA) != 2) {
            return Optional.empty();
        }
        int entersB = change(inB, false);
        int entersA = change(inA, false);
        double[] xy = new double[2 * (a.corners() + b.corners() + 3)];
        int n = chain(a, leavesB, entersB, xy, 0);
        n = crossing(a, entersB, b, leavesA, xy, n);
        n = n < 0 ? n : chain(b, leavesA, entersA, xy, n);
        n = n < 0 ? n : crossing(b, entersA, a, leavesB, xy, n);
        if (n < 0) {
            return Optional.empty();
        }
        xy[n] = xy[0];
        xy[n + 1] = xy[1];
        return Optional.of(ring(Arrays.copyOf(xy, n + 2)));
    }

    private static boolean[] held(Convex some, Convex by) {
        boolean[] out = new boolean[some.corners()];
        for (int i = 0; i < out.length; i++) {
            double x = some.x()[i];
            double y = some.y()[i];
            out[i] = by.box().contains(x, y) && by.holds(x, y);
        }
        return out;
    }

    private static int changes(boolean[] inside) {
        int n = 0;
        for (int i = 0; i < inside.length; i++) {
            n += inside[i] == inside[(i + 1) % inside.length] ? 0 : 1;
        }
        return n;
    }

    /** The corner whose edge goes from inside to outside, or from outside to inside. */
    private static int change(boolean[] inside, boolean leaving) {
        for (int i = 0; i < inside.length; i++) {
            if (inside[i] == leaving && inside[(i + 1) % inside.length] != leaving) {
                return i;
            }
        }
        return -1;
    }

    /** The corners after {@code leaves} up to {@code enters}. */
    private static int chain(Convex c, int leaves, int enters, double[] xy, int n) {
        int i = leaves;
        do {
            i = i + 1 == c.corners() ? 0 : i + 1;
            xy[n++] = c.x()[i];
            xy[n++] = c.y()[i];
        } while (i != enters);
        return n;
    }

    /** Where the edge of {@code a} after {@code i} crosses the edge of {@code b} after {@code j}; negative where it does not. */
    private static int crossing(Convex a, int i, Convex b, int j, double[] xy, int n) {
        int i1 = (i + 1) % a.corners();
        int j1 = (j + 1) % b.corners();
        double ax = a.x()[i1] - a.x()[i];
        double ay = a.y()[i1] - a.y()[i];
        double bx = b.x()[j1] - b.x()[j];
        double by = b.y()[j1] - b.y()[j];
        double across = ax * by - ay * bx;
        double dx = b.x()[j] - a.x()[i];
        double dy = b.y()[j] - a.y()[i];
        double t = (dx * by - dy * bx) / across;
        double s = (dx * ay - dy * ax) / across;
        if (!(t >= 0 && t <= 1 && s >= 0 && s <= 1)) {
            return -1;
        }
        xy[n] = a.x()[i] + t * ax;
        xy[n + 1] = a.y()[i] + t * ay;
        return n + 2;
    }

    private static Polygon ring(double[] xy) {
        Coordinate[] cs = new Coordinate[xy.length / 2];
        for (int i = 0; i < cs.length; i++) {
            cs[i] = new Coordinate(xy[2 * i], xy[2 * i + 1]);
        }
        return GEOMETRY.createPolygon(cs);
    }
}
