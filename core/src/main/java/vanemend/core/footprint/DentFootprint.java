package vanemend.core.footprint;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
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
import vanemend.core.damage.DepthField;
import vanemend.core.part.Part;
import vanemend.core.trade.Check;
import vanemend.core.trade.TradeBook;

/**
 * Zones of a dent filled in metal: each the dents' outline offset outward with round corners, cut at the part's edges, and at
 * body lines that the opening does not touch.
 */
public final class DentFootprint {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();
    private static final int SEGMENTS_A_QUARTER = 16;

    private DentFootprint() {}

    /** Nominal distances past the dent's outline, mm, from the trade's values. */
    public static Map<Zone.Kind, Double> distances() {
        Map<Zone.Kind, Double> d = new EnumMap<>(Zone.Kind.class);
        double opening = TradeBook.value("dent.opening-past");
        double feather = opening + TradeBook.value("dent.feather-width");
        double putty = feather + TradeBook.value("dent.putty-past-feather");
        double fine320 = putty + TradeBook.value("dent.320-past");
        d.put(Zone.Kind.DAMAGE, 0.0);
        d.put(Zone.Kind.FILLER, TradeBook.value("dent.filler-past"));
        d.put(Zone.Kind.OPENING, opening);
        d.put(Zone.Kind.FEATHER, feather);
        d.put(Zone.Kind.PUTTY, putty);
        d.put(Zone.Kind.REFINE_180, putty + TradeBook.value("dent.refine-past-putty"));
        d.put(Zone.Kind.FINE_240, putty + TradeBook.value("dent.240-past"));
        d.put(Zone.Kind.FINE_320, fine320);
        d.put(Zone.Kind.CLEAN, fine320 + TradeBook.value("dent.clean-past"));
        return d;
    }

    /** Damage that shares the piece of sheet its outer zones may use. */
    private record Group(Geometry damage, Geometry side) {}

    /** The zones of {@code dents} on {@code part}. */
    public static Footprint of(Part part, DepthField dents) {
        Polygon sheet = part.shape();
        Map<Zone.Kind, Double> past = distances();
        Set<String> flags = new LinkedHashSet<>();
        List<Group> groups = groups(part, sheet, dents.outline(), past, flags);
        List<Map<Zone.Kind, Geometry>> pieces =
                groups.stream().map(g -> pieces(g, sheet, past)).toList();
        Map<Zone.Kind, Zone> zones = new EnumMap<>(Zone.Kind.class);
        Geometry inner = null;
        for (Zone.Kind kind : Zone.Kind.values()) {
            List<Geometry> all =
                    new ArrayList<>(pieces.stream().map(m -> m.get(kind)).toList());
            // Pieces on two sides of a body line may each stop there: a zone still holds all that lies inside it.
            if (inner != null && all.size() > 1) {
                all.add(inner);
            }
            Geometry g = all.size() == 1 ? all.getFirst() : OverlayNGRobust.union(all);
            zones.put(kind, new Zone(kind, past.get(kind), g));
            inner = g;
        }
        edges(part, zones.get(Zone.Kind.FINE_320), flags);
        return new Footprint(zones, List.copyOf(flags));
    }

    /** Dents that no body line holds up go together; a field that one does stands by itself. */
    private static List<Group> groups(
            Part part, Polygon sheet, Geometry damage, Map<Zone.Kind, Double> past, Set<String> flags) {
        if (part.bodyLines().isEmpty()) {
            return List.of(new Group(damage, sheet));
        }
        Geometry opening = grow(damage, past.get(Zone.Kind.OPENING));
        List<Group> out = new ArrayList<>();
        List<Geometry> free = new ArrayList<>();
        for (int i = 0; i < opening.getNumGeometries(); i++) {
            Geometry field = opening.getGeometryN(i);
            Geometry own = opening.getNumGeometries() == 1
                    ? damage
                    : OverlayNGRobust.overlay(damage, field, OverlayNG.INTERSECTION);
            Geometry side = side(part, sheet, field, past, own, flags);
            if (side == sheet) {
                free.add(own);
            } else {
                out.add(new Group(own, side));
            }
        }
        if (!free.isEmpty()) {
            out.add(new Group(free.size() == 1 ? free.getFirst() : OverlayNGRobust.union(free), sheet));
        }
        return out;
    }

    /**
     * A group's zones. Each is grown from the one inside it: discs add up, so this is the damage grown by the whole distance, and
     * fields that have met need not be joined again.
     */
    private static Map<Zone.Kind, Geometry> pieces(Group group, Polygon sheet, Map<Zone.Kind, Double> past) {
        Map<Zone.Kind, Geometry> out = new EnumMap<>(Zone.Kind.class);
        Geometry grown = group.damage();
        double reached = 0;
        for (Map.Entry<Zone.Kind, Double> e : past.entrySet()) {
            grown = grow(grown, e.getValue() - reached);
            reached = e.getValue();
            boolean stops = e.getKey().compareTo(Zone.Kind.OPENING) > 0 && e.getKey() != Zone.Kind.CLEAN;
            out.put(e.getKey(), within(grown, stops ? group.side() : sheet));
        }
        return out;
    }

    /** Outline offset by {@code mm}, round corners. Area of a segment L by r: 2·r·L + π·r² (stadium, textbook). */
    public static Geometry grow(Geometry g, double mm) {
        if (mm == 0) {
            return g;
        }
        return g.buffer(mm, SEGMENTS_A_QUARTER, BufferParameters.CAP_ROUND);
    }

    private static Geometry within(Geometry g, Geometry side) {
        return side.contains(g) ? g : OverlayNGRobust.overlay(g, side, OverlayNG.INTERSECTION);
    }

    /** The piece of the sheet that this field's outer zones may use. */
    private static Geometry side(
            Part part, Polygon sheet, Geometry field, Map<Zone.Kind, Double> past, Geometry own, Set<String> flags) {
        Geometry side = sheet;
        double reach = past.get(Zone.Kind.FINE_320);
        double near = TradeBook.value("dent.body-line-near");
        for (Part.BodyLine l : part.bodyLines()) {
            LineString line = across(l, sheet);
            double away = line.distance(own);
            if (line.intersects(field)) {
                flags.add("The repair crosses the " + l.name()
                        + ": shape one side to tape along it, then the other. Fine zones run over it.");
            } else if (away < reach) {
                side = OverlayNGRobust.overlay(side, pieceWith(sheet, line, field), OverlayNG.INTERSECTION);
                flags.add("320 stops at the " + l.name() + ", " + mm(away) + " mm from the dent.");
            } else if (away - reach <= near) {
                flags.add("The " + l.name() + " lies " + mm(away - reach) + " mm past the 320: take the 320 up to it.");
            }
        }
        return side;
    }

    private static void edges(Part part, Zone outer, Set<String> flags) {
        Envelope e = outer.shape().getEnvelopeInternal();
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
            flags.add("320 stops at the " + String.join(" and ", met) + " edge of the part.");
        }
    }

    /** The line run on past the sheet at both ends. */
    private static LineString across(Part.BodyLine l, Polygon sheet) {
        double length = Math.hypot(l.x2Mm() - l.x1Mm(), l.y2Mm() - l.y1Mm());
        double reach = sheet.getEnvelopeInternal().getDiameter() / length + 1;
        double dx = (l.x2Mm() - l.x1Mm()) * reach;
        double dy = (l.y2Mm() - l.y1Mm()) * reach;
        return GEOMETRY.createLineString(new Coordinate[] {
            new Coordinate(l.x1Mm() - dx, l.y1Mm() - dy), new Coordinate(l.x2Mm() + dx, l.y2Mm() + dy)
        });
    }

    private static Geometry pieceWith(Polygon sheet, LineString line, Geometry field) {
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
        return Check.shown((double) Math.round(v));
    }
}
