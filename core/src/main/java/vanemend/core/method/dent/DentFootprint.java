package vanemend.core.method.dent;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.locationtech.jts.algorithm.locate.SimplePointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.damage.Dent;
import vanemend.core.damage.DepthField;
import vanemend.core.damage.Joined;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Reach;
import vanemend.core.footprint.Zone;
import vanemend.core.part.Part;
import vanemend.core.trade.TradeBook;

/**
 * Zones of a dent filled in metal: each the dents' outline offset outward with round corners, cut at the part's edges, and at
 * body lines that the opening does not touch.
 */
public final class DentFootprint {
    private DentFootprint() {}

    /** Nominal distances past the dent's outline, mm, from the trade's values. */
    public static Map<Zone.Kind, Double> distances() {
        Map<Zone.Kind, Double> d = new EnumMap<>(Zone.Kind.class);
        double opening = TradeBook.value("dent.opening-past");
        double feather = opening + TradeBook.value("dent.feather-width");
        double putty = feather + TradeBook.value("dent.putty-past-feather");
        d.put(Zone.Kind.DAMAGE, 0.0);
        d.put(Zone.Kind.FILLER, TradeBook.value("dent.filler-past"));
        d.put(Zone.Kind.OPENING, opening);
        d.put(Zone.Kind.FEATHER, feather);
        d.put(Zone.Kind.PUTTY, putty);
        outwards(d, putty);
        return d;
    }

    /** The papers past {@code rim}, mm, each finer one further, and what is cleaned. */
    private static void outwards(Map<Zone.Kind, Double> d, double rim) {
        double fine320 = rim + TradeBook.value("dent.320-past");
        d.put(Zone.Kind.REFINE_180, rim + TradeBook.value("dent.refine-past-putty"));
        d.put(Zone.Kind.FINE_240, rim + TradeBook.value("dent.240-past"));
        d.put(Zone.Kind.FINE_320, fine320);
        d.put(Zone.Kind.CLEAN, fine320 + TradeBook.value("dent.clean-past"));
    }

    /** The same where the paint is kept whole: nothing is opened, and all that is laid ends inside the dulled ring. */
    public static Map<Zone.Kind, Double> distancesOverPaint() {
        Map<Zone.Kind, Double> d = new EnumMap<>(Zone.Kind.class);
        double dulled = TradeBook.value("over-paint.dulled-past");
        d.put(Zone.Kind.DAMAGE, 0.0);
        d.put(Zone.Kind.FILLER, TradeBook.value("over-paint.filler-past"));
        d.put(Zone.Kind.PUTTY, TradeBook.value("over-paint.putty-past"));
        d.put(Zone.Kind.DULLED, dulled);
        outwards(d, dulled);
        return d;
    }

    /** The zone that the last paper on the filler reaches: the feathered paint, or the dulled ring where it is kept whole. */
    static Zone.Kind rim(Footprint f) {
        return f.has(Zone.Kind.FEATHER) ? Zone.Kind.FEATHER : Zone.Kind.DULLED;
    }

    /** Where putty has its full thickness; from there it tapers out. */
    static Zone.Kind full(Footprint f) {
        return Stream.of(Zone.Kind.FEATHER, Zone.Kind.FILLER)
                .filter(f::has)
                .findFirst()
                .orElse(Zone.Kind.DAMAGE);
    }

    /** {@code past} where putty alone fills: no filler stops anywhere. */
    static Map<Zone.Kind, Double> withoutFiller(Map<Zone.Kind, Double> past) {
        Map<Zone.Kind, Double> d = new EnumMap<>(past);
        d.remove(Zone.Kind.FILLER);
        return d;
    }

    /** Dents that share the piece of sheet which their outer zones may use. */
    private record Group(DepthField dents, Geometry side) {}

    /** The zones of {@code dents} on {@code part}. */
    public static Footprint of(Part part, DepthField dents) {
        return of(part, dents, distances());
    }

    /** The zones of {@code dents} on {@code part}, each so far {@code past} them, mm. */
    static Footprint of(Part part, DepthField dents, Map<Zone.Kind, Double> past) {
        Polygon sheet = part.shape();
        Set<String> flags = new LinkedHashSet<>();
        List<Group> groups = groups(part, sheet, dents, past, flags);
        List<Map<Zone.Kind, Geometry>> pieces =
                groups.stream().map(g -> pieces(g, sheet, past)).toList();
        Map<Zone.Kind, Zone> zones = new EnumMap<>(Zone.Kind.class);
        for (Zone.Kind kind : past.keySet()) {
            List<Geometry> all = pieces.stream().map(m -> m.get(kind)).toList();
            zones.put(kind, new Zone(kind, past.get(kind), Joined.of(all)));
        }
        Reach.edges(part, zones.get(Zone.Kind.FINE_320).shape(), "320", flags);
        return new Footprint(zones, List.copyOf(flags));
    }

    /** Dents that no body line holds up go together; a field that one does stands by itself. */
    private static List<Group> groups(
            Part part, Polygon sheet, DepthField dents, Map<Zone.Kind, Double> past, Set<String> flags) {
        if (part.bodyLines().isEmpty()) {
            return List.of(new Group(dents, sheet));
        }
        double mm = past.getOrDefault(Zone.Kind.OPENING, past.get(Zone.Kind.PUTTY));
        Geometry opening = dents.grown(mm).orElseGet(() -> Reach.grow(dents.outline(), mm));
        List<Group> out = new ArrayList<>();
        List<Dent> free = new ArrayList<>();
        for (int i = 0; i < opening.getNumGeometries(); i++) {
            Polygon field = (Polygon) opening.getGeometryN(i);
            DepthField own = only(dents, in(field, dents));
            Geometry side = Reach.side(part, sheet, field, past.get(Zone.Kind.FINE_320), own.outline(), flags);
            if (side == sheet) {
                free.addAll(own.dents());
            } else {
                out.add(new Group(own, side));
            }
        }
        if (!free.isEmpty()) {
            out.add(new Group(only(dents, free), sheet));
        }
        return out;
    }

    /** A dent lies in one field only, and its middle with it. */
    private static List<Dent> in(Polygon field, DepthField dents) {
        return dents.dents().stream()
                .filter(d -> SimplePointInAreaLocator.containsPointInPolygon(new Coordinate(d.xMm(), d.yMm()), field))
                .toList();
    }

    private static DepthField only(DepthField all, List<Dent> some) {
        return some.size() == all.dents().size() ? all : new DepthField(some);
    }

    /**
     * A group's zones. One dent or two are grown anew; of more each zone is grown from the one inside it: discs add up, so this is the
     * damage grown by the whole distance, and fields that have met need not be joined again.
     */
    private static Map<Zone.Kind, Geometry> pieces(Group group, Polygon sheet, Map<Zone.Kind, Double> past) {
        Map<Zone.Kind, Geometry> out = new EnumMap<>(Zone.Kind.class);
        Geometry grown = group.dents().outline();
        double reached = 0;
        for (Map.Entry<Zone.Kind, Double> e : past.entrySet()) {
            double mm = e.getValue();
            Geometry inner = grown;
            double further = mm - reached;
            grown = group.dents().grown(mm).orElseGet(() -> Reach.grow(inner, further));
            reached = mm;
            boolean stops = e.getKey().compareTo(Zone.Kind.OPENING) > 0 && e.getKey() != Zone.Kind.CLEAN;
            out.put(e.getKey(), Reach.within(grown, stops ? group.side() : sheet));
        }
        if (past.containsKey(Zone.Kind.DULLED)) {
            dulledTogether(group, past.get(Zone.Kind.DULLED), out);
        }
        return out;
    }

    /** Dings over whole paint that lie close are dulled as one field: what is between each two of them too, and in every zone outside. */
    private static void dulledTogether(Group group, double pastMm, Map<Zone.Kind, Geometry> pieces) {
        double near = TradeBook.value("dings.one-field");
        List<Geometry> outlines =
                group.dents().dents().stream().map(Dent::outline).toList();
        List<Geometry> between = new ArrayList<>();
        for (int i = 0; i < outlines.size(); i++) {
            for (int k = i + 1; k < outlines.size(); k++) {
                Geometry a = outlines.get(i);
                Geometry b = outlines.get(k);
                if (a.isWithinDistance(b, near)) {
                    between.add(Reach.grow(
                            a.getFactory()
                                    .createGeometryCollection(new Geometry[] {a, b})
                                    .convexHull(),
                            pastMm));
                }
            }
        }
        if (between.isEmpty()) {
            return;
        }
        Geometry field = Reach.within(OverlayNGRobust.union(between), group.side());
        pieces.replaceAll((kind, shape) ->
                kind.compareTo(Zone.Kind.DULLED) < 0 ? shape : OverlayNGRobust.overlay(shape, field, OverlayNG.UNION));
    }
}
