package vanemend.core.footprint;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.MultiPolygon;
import org.locationtech.jts.geom.Polygon;

/**
 * Cuts along straight lines, as most parts and feature lines ask for. Whatever is not that simple (a side that bulges inward, a piece that
 * would fall in two, more corners than {@value #MOST_CORNERS}) is answered by nothing and left to the general overlay, whose answer it is
 * held against. With the general one alone a preview of two dents beside a line takes a third longer.
 */
final class Straight {
    private static final int MOST_CORNERS = 64;

    private Straight() {}

    /**
     * {@code g} as far as it lies in {@code side}: itself where that is all of it. Empty where {@code side} bulges inward or a cut would
     * not leave one piece of each of {@code g}'s.
     */
    static Optional<Geometry> within(Geometry g, Geometry side) {
        if (!(side instanceof Polygon s)) {
            return Optional.empty();
        }
        return convex(s)
                .flatMap(by -> g instanceof Polygon p
                        ? cut(p, by).map(Geometry.class::cast)
                        : g instanceof MultiPolygon m ? each(m, by) : Optional.empty());
    }

    private static Optional<Geometry> each(MultiPolygon m, List<Coordinate> by) {
        Polygon[] out = new Polygon[m.getNumGeometries()];
        boolean whole = true;
        for (int i = 0; i < out.length; i++) {
            Polygon p = (Polygon) m.getGeometryN(i);
            Optional<Polygon> cut = cut(p, by);
            if (cut.isEmpty()) {
                return Optional.empty();
            }
            out[i] = cut.get();
            whole &= out[i] == p;
        }
        return Optional.of(whole ? m : m.getFactory().createMultiPolygon(out));
    }

    private static Optional<Polygon> cut(Polygon p, List<Coordinate> by) {
        if (holds(by, p.getEnvelopeInternal())) {
            return Optional.of(p);
        }
        List<Coordinate> whole = open(p);
        List<Coordinate> ring = whole;
        for (int i = 0; i < by.size(); i++) {
            Optional<List<Coordinate>> cut = cut(ring, by.get(i), by.get((i + 1) % by.size()));
            if (cut.isEmpty()) {
                return Optional.empty();
            }
            ring = cut.get();
        }
        if (ring == whole) {
            return Optional.of(p);
        }
        return p.getNumInteriorRing() > 0 ? Optional.empty() : Optional.of(polygon(ring, p));
    }

    /** Whether all of a box lies inside {@code by} or on its outline. */
    private static boolean holds(List<Coordinate> by, Envelope box) {
        for (int i = 0; i < by.size(); i++) {
            Coordinate a = by.get(i);
            Coordinate b = by.get((i + 1) % by.size());
            // Of the four corners the one farthest to the right of this edge.
            double x = b.y >= a.y ? box.getMaxX() : box.getMinX();
            double y = b.x >= a.x ? box.getMinY() : box.getMaxY();
            if (left(a, b, x, y) < 0) {
                return false;
            }
        }
        return true;
    }

    /** The part of {@code sheet} on the side of {@code line} where {@code here} lies; empty where the sheet bulges inward. */
    static Optional<Polygon> side(Polygon sheet, LineString line, Coordinate here) {
        Coordinate a = line.getCoordinateN(0);
        Coordinate b = line.getCoordinateN(line.getNumPoints() - 1);
        boolean left = left(a, b, here) >= 0;
        return convex(sheet)
                .flatMap(ring -> cut(ring, left ? a : b, left ? b : a))
                .map(ring -> polygon(ring, sheet));
    }

    /** Corners of a polygon without holes that nowhere bulges inward, counter-clockwise. */
    private static Optional<List<Coordinate>> convex(Polygon p) {
        if (p.getNumInteriorRing() > 0 || p.getNumPoints() > MOST_CORNERS) {
            return Optional.empty();
        }
        List<Coordinate> ring = open(p);
        boolean turnsLeft = false;
        boolean turnsRight = false;
        for (int i = 0; i < ring.size(); i++) {
            double turn = left(ring.get(i), ring.get((i + 1) % ring.size()), ring.get((i + 2) % ring.size()));
            turnsLeft |= turn > 0;
            turnsRight |= turn < 0;
        }
        if (turnsLeft == turnsRight) {
            return Optional.empty();
        }
        return Optional.of(turnsLeft ? ring : ring.reversed());
    }

    private static List<Coordinate> open(Polygon p) {
        Coordinate[] cs = p.getExteriorRing().getCoordinates();
        return List.of(cs).subList(0, cs.length - 1);
    }

    /** What of a ring lies left of the line from {@code a} to {@code b}; empty where that is nothing or more than one piece. */
    private static Optional<List<Coordinate>> cut(List<Coordinate> ring, Coordinate a, Coordinate b) {
        int n = ring.size();
        double[] left = new double[n];
        int inside = 0;
        for (int i = 0; i < n; i++) {
            left[i] = left(a, b, ring.get(i));
            inside += left[i] >= 0 ? 1 : 0;
        }
        if (inside == n) {
            return Optional.of(ring);
        }
        List<Coordinate> out = new ArrayList<>(n + 2);
        int changes = 0;
        for (int i = 0; i < n; i++) {
            int next = (i + 1) % n;
            if (left[i] >= 0) {
                out.add(ring.get(i));
            }
            if (left[i] >= 0 != left[next] >= 0) {
                changes++;
                // On the line already: no second corner in the same place.
                if (left[i] != 0 && left[next] != 0) {
                    out.add(between(ring.get(i), ring.get(next), left[i] / (left[i] - left[next])));
                }
            }
        }
        return changes == 2 && out.size() >= 3 ? Optional.of(out) : Optional.empty();
    }

    private static Coordinate between(Coordinate p, Coordinate q, double share) {
        return new Coordinate(p.x + share * (q.x - p.x), p.y + share * (q.y - p.y));
    }

    /** Above 0 where {@code p} lies left of the line from {@code a} to {@code b}. */
    private static double left(Coordinate a, Coordinate b, Coordinate p) {
        return left(a, b, p.x, p.y);
    }

    private static double left(Coordinate a, Coordinate b, double x, double y) {
        return (b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x);
    }

    private static Polygon polygon(List<Coordinate> ring, Polygon like) {
        Coordinate[] cs = new Coordinate[ring.size() + 1];
        for (int i = 0; i < cs.length; i++) {
            cs[i] = ring.get(i % ring.size()).copy();
        }
        return like.getFactory().createPolygon(cs);
    }
}
