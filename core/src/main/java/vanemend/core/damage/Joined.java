package vanemend.core.damage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.algorithm.RayCrossingCounter;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.CoordinateSequence;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * Shapes as one. Fields that lie apart, within each other, or whose outlines cross twice and clearly are joined by walking their outlines;
 * what is not that simple is the general library's, and all of it is held against that.
 */
public final class Joined {
    /** Of two directions' lengths: what turns less than this is on the line, and left to the library. */
    private static final double ON_THE_LINE = 1e-9;

    private Joined() {}

    /** All of {@code some}, one or more whose own pieces lie apart, together. */
    public static Geometry of(List<Geometry> some) {
        Optional<Geometry> out = Optional.of(some.getFirst());
        for (Geometry g : some.subList(1, some.size())) {
            out = out.flatMap(o -> simply(o, g));
        }
        return out.orElseGet(() -> OverlayNGRobust.union(some));
    }

    /** Each piece of the second taken to those it meets; empty where two of them are not simple to join. */
    private static Optional<Geometry> simply(Geometry a, Geometry b) {
        List<Polygon> out = new ArrayList<>();
        List<Polygon> more = new ArrayList<>();
        if (!polygons(a, out) || !polygons(b, more)) {
            return Optional.empty();
        }
        for (Polygon next : more) {
            Polygon piece = next;
            for (Iterator<Polygon> it = out.iterator(); it.hasNext(); ) {
                Met met = Met.of(it.next(), piece);
                if (met.how() == How.NOT_SIMPLE) {
                    return Optional.empty();
                }
                if (met.how() == How.ONE) {
                    piece = met.one();
                    it.remove();
                }
            }
            out.add(piece);
        }
        return Optional.of(a.getFactory().buildGeometry(out));
    }

    /** The pieces of {@code g} into {@code out}; false where one of them is none, or empty. */
    private static boolean polygons(Geometry g, List<Polygon> out) {
        for (int i = 0; i < g.getNumGeometries(); i++) {
            if (!(g.getGeometryN(i) instanceof Polygon p) || p.isEmpty()) {
                return false;
            }
            out.add(p);
        }
        return true;
    }

    private enum How {
        APART,
        ONE,
        NOT_SIMPLE
    }

    /** How two meet, with what they are together where that is one. */
    private record Met(How how, Polygon one) {
        private static final Met APART = new Met(How.APART, null);
        private static final Met NOT_SIMPLE = new Met(How.NOT_SIMPLE, null);

        static Met of(Polygon a, Polygon b) {
            Envelope common = a.getEnvelopeInternal().intersection(b.getEnvelopeInternal());
            if (common.isNull()) {
                return APART;
            }
            if (a.getNumInteriorRing() + b.getNumInteriorRing() > 0) {
                return NOT_SIMPLE;
            }
            Coordinate[] p = counterClockwise(a);
            Coordinate[] q = counterClockwise(b);
            List<Crossing> crossings = new ArrayList<>(2);
            if (!crossings(p, q, common, crossings)) {
                return NOT_SIMPLE;
            }
            return switch (crossings.size()) {
                case 0 -> nested(a, p, b, q);
                case 2 -> around(a, p, q, crossings);
                default -> NOT_SIMPLE;
            };
        }

        private static Met nested(Polygon a, Coordinate[] p, Polygon b, Coordinate[] q) {
            int aInB = RayCrossingCounter.locatePointInRing(p[0], q);
            int bInA = RayCrossingCounter.locatePointInRing(q[0], p);
            if (aInB == Location.BOUNDARY || bInA == Location.BOUNDARY) {
                return NOT_SIMPLE;
            }
            return aInB == Location.INTERIOR
                    ? new Met(How.ONE, b)
                    : bInA == Location.INTERIOR ? new Met(How.ONE, a) : APART;
        }

        /** Along the first from where it leaves the second to where it enters, then along the second. */
        private static Met around(Polygon a, Coordinate[] p, Coordinate[] q, List<Crossing> crossings) {
            Crossing leaves = crossings.get(crossings.get(0).enters() ? 1 : 0);
            Crossing enters = crossings.get(crossings.get(0).enters() ? 0 : 1);
            // Both on one edge, or one way both times: it hangs on the last digits where they cross.
            if (leaves.enters() || !enters.enters() || leaves.i() == enters.i() || leaves.j() == enters.j()) {
                return NOT_SIMPLE;
            }
            List<Coordinate> ring = new ArrayList<>(p.length + q.length);
            ring.add(leaves.at());
            chain(p, leaves.i(), enters.i(), ring);
            ring.add(enters.at());
            chain(q, enters.j(), leaves.j(), ring);
            ring.add(leaves.at().copy());
            return new Met(How.ONE, a.getFactory().createPolygon(ring.toArray(Coordinate[]::new)));
        }

        /** Corners after the edge {@code from} up to where the edge {@code to} begins. */
        private static void chain(Coordinate[] c, int from, int to, List<Coordinate> ring) {
            int edges = c.length - 1;
            int i = from;
            do {
                i = (i + 1) % edges;
                ring.add(c[i]);
            } while (i != to);
        }
    }

    /** Where the edge {@code i} of the first crosses the edge {@code j} of the second, and whether the first goes in there. */
    private record Crossing(int i, int j, boolean enters, Coordinate at) {}

    private static Coordinate[] counterClockwise(Polygon polygon) {
        CoordinateSequence ring = polygon.getExteriorRing().getCoordinateSequence();
        Coordinate[] corners = ring.toCoordinateArray();
        if (Orientation.isCCW(ring)) {
            return corners;
        }
        Coordinate[] out = new Coordinate[corners.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = corners[out.length - 1 - i];
        }
        return out;
    }

    /** Into {@code out} where the outlines cross, as far as two; false where an end lies on the other's edge, or nearly. */
    private static boolean crossings(Coordinate[] p, Coordinate[] q, Envelope common, List<Crossing> out) {
        int[] there = in(q, common);
        for (int i : in(p, common)) {
            Coordinate a = p[i];
            Coordinate b = p[i + 1];
            double left = Math.min(a.x, b.x);
            double right = Math.max(a.x, b.x);
            double low = Math.min(a.y, b.y);
            double high = Math.max(a.y, b.y);
            for (int j : there) {
                Coordinate c = q[j];
                Coordinate d = q[j + 1];
                if (Math.max(c.x, d.x) < left
                        || Math.min(c.x, d.x) > right
                        || Math.max(c.y, d.y) < low
                        || Math.min(c.y, d.y) > high) {
                    continue;
                }
                double least = ON_THE_LINE * length(a, b) * length(c, d);
                double ofA = turn(c, d, a);
                double ofB = turn(c, d, b);
                double ofC = turn(a, b, c);
                double ofD = turn(a, b, d);
                if (Math.min(Math.min(Math.abs(ofA), Math.abs(ofB)), Math.min(Math.abs(ofC), Math.abs(ofD))) <= least) {
                    return false;
                }
                if (ofA > 0 != ofB > 0 && ofC > 0 != ofD > 0) {
                    if (out.size() == 2) {
                        return false;
                    }
                    double t = ofA / (ofA - ofB);
                    out.add(new Crossing(i, j, ofB > 0, new Coordinate(a.x + t * (b.x - a.x), a.y + t * (b.y - a.y))));
                }
            }
        }
        return true;
    }

    private static double length(Coordinate a, Coordinate b) {
        return Math.abs(b.x - a.x) + Math.abs(b.y - a.y);
    }

    private static double turn(Coordinate from, Coordinate to, Coordinate at) {
        return (to.x - from.x) * (at.y - from.y) - (to.y - from.y) * (at.x - from.x);
    }

    /** The edges whose box meets {@code common}. */
    private static int[] in(Coordinate[] ring, Envelope common) {
        int[] out = new int[ring.length];
        int n = 0;
        for (int i = 0; i + 1 < ring.length; i++) {
            if (common.intersects(ring[i], ring[i + 1])) {
                out[n++] = i;
            }
        }
        return Arrays.copyOf(out, n);
    }
}
