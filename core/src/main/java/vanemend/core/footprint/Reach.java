package vanemend.core.footprint;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.polygonize.Polygonizer;
import vanemend.core.part.Part;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** How far a zone reaches: out by a distance, up to an edge, up to a feature line. */
public final class Reach {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();
    private static final int SEGMENTS_A_QUARTER = 16;

    private Reach() {}

    /** Outline offset by {@code mm}, round corners. Area of a segment L by r: 2·r·L + π·r² (stadium, textbook). */
    public static Geometry grow(Geometry g, double mm) {
        if (mm == 0) {
            return g;
        }
        return g.buffer(mm, SEGMENTS_A_QUARTER, BufferParameters.CAP_ROUND);
    }

    /** The narrowest way across the widest piece of {@code g}, mm: least width of its convex hull (rotating calipers). */
    public static double acrossMm(Geometry g) {
        double most = 0;
        for (int i = 0; i < g.getNumGeometries(); i++) {
            most = Math.max(most, Width.leastMm(g.getGeometryN(i).getCoordinates()));
        }
        return most;
    }

    /**
     * {@code damage} grown to {@code mm}, where it was grown to {@code reached} as {@code grown} already: discs add up. One damage is
     * quicker grown anew, with its few corners; many that have met need not be joined again.
     */
    static Geometry further(Geometry damage, Geometry grown, double reached, double mm, Grower grower) {
        return damage.getNumGeometries() == 1 || mm < reached
                ? grower.grow(damage, mm)
                : grower.grow(grown, mm - reached);
    }

    /** {@code g} as far as it lies in {@code side}. */
    public static Geometry within(Geometry g, Geometry side) {
        return Straight.within(g, side)
                .orElseGet(() -> side.contains(g) ? g : OverlayNGRobust.overlay(g, side, OverlayNG.INTERSECTION));
    }

    /** The piece of the sheet that this field's outer zones may use. */
    public static Geometry side(
            Part part, Polygon sheet, Geometry field, double reach, Geometry own, Set<String> flags) {
        Geometry side = sheet;
        double near = TradeBook.value("dent.body-line-near");
        for (Part.BodyLine l : part.bodyLines()) {
            LineString line = across(l, sheet);
            double away = line.distance(own);
            if (line.intersects(field)) {
                flags.add("The repair crosses the " + l.name()
                        + ": shape one side to tape along it, then the other. Fine zones run over it.");
            } else if (away < reach) {
                side = within(pieceWith(sheet, line, field), side);
                flags.add("320 stops at the " + l.name() + ", " + mm(away) + " from the damage.");
            } else if (away - reach <= near) {
                flags.add("The " + l.name() + " lies " + mm(away - reach) + " past the 320: take the 320 up to it.");
            }
        }
        return side;
    }

    public static void edges(Part part, Geometry outer, String what, Set<String> flags) {
        Envelope e = outer.getEnvelopeInternal();
        List<String> met = new ArrayList<>();
        if (e.getMinX() <= 0) {
            met.add("left");
        }
        if (e.getMaxX() >= part.widthMm()) {
            met.add("right");
        }
        if (e.getMinY() <= 0) {
            met.add("lower");
        }
        if (e.getMaxY() >= part.heightMm()) {
            met.add("upper");
        }
        if (!met.isEmpty()) {
            flags.add(what + " stops at the " + String.join(" and ", met) + " edge of the part.");
        }
    }

    /** The line run on past the sheet at both ends. */
    static LineString across(Part.BodyLine l, Polygon sheet) {
        double length = Math.hypot(l.x2Mm() - l.x1Mm(), l.y2Mm() - l.y1Mm());
        double reach = sheet.getEnvelopeInternal().getDiameter() / length + 1;
        double dx = (l.x2Mm() - l.x1Mm()) * reach;
        double dy = (l.y2Mm() - l.y1Mm()) * reach;
        return GEOMETRY.createLineString(new Coordinate[] {
            new Coordinate(l.x1Mm() - dx, l.y1Mm() - dy), new Coordinate(l.x2Mm() + dx, l.y2Mm() + dy)
        });
    }

    private static Geometry pieceWith(Polygon sheet, LineString line, Geometry field) {
        // The line does not meet the field, so that any of its points tells on which side it lies.
        return Straight.side(sheet, line, field.getCoordinate())
                .<Geometry>map(p -> p)
                .orElseGet(() -> polygonized(sheet, line, field));
    }

    private static Geometry polygonized(Polygon sheet, LineString line, Geometry field) {
        Polygonizer cutter = new Polygonizer();
        cutter.add(sheet.getExteriorRing().union(line));
        @SuppressWarnings("unchecked")
        Collection<Polygon> cut = cutter.getPolygons();
        return cut.stream()
                .filter(p -> p.contains(field.getInteriorPoint()))
                .findFirst()
                .<Geometry>map(p -> p)
                .orElse(sheet);
    }

    private static String mm(double v) {
        return Text.of(Math.round(v), "mm");
    }
}
