package vanemend.core.footprint;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.part.Part;

/**
 * Zones grown outward from a damage's outline, inner to outer on each side of the part. Every zone holds the one before it on its
 * side. A zone ends where the part ends; a fine one also at a feature line that the work does not cross; a patch may run past an edge.
 */
public final class Grown {
    private final Part part;
    private final Geometry damage;
    private final Grower grower;
    private final Polygon sheet;
    private final Map<Zone.Kind, Zone> zones = new LinkedHashMap<>();
    private final Set<String> flags = new LinkedHashSet<>();
    /** The damage grown as far as the last zone asked, before it is cut at an edge. */
    private Geometry grown;

    private double reached;
    private Zone lastFace;
    private Zone lastBack;

    private Grown(Part part, Geometry outline, Geometry core, Grower grower) {
        this.part = part;
        this.grower = grower;
        this.sheet = part.shape();
        this.damage = core;
        this.grown = core;
        put(Zone.Kind.DAMAGE, 0, Reach.within(outline, sheet));
    }

    /** Starts with the damage itself, mm. */
    public static Grown on(Part part, Geometry damage) {
        return new Grown(part, damage, damage, new Grower());
    }

    /** Starts with the damage as it is drawn, {@code outline}, and grows from its {@code core}, mm; {@code grower} may know of it already. */
    public static Grown on(Part part, Geometry outline, Geometry core, Grower grower) {
        return new Grown(part, outline, core, grower);
    }

    /** A zone {@code pastMm} past the damage, up to the part's edge. */
    public Grown out(Zone.Kind kind, double pastMm) {
        return put(kind, pastMm, Reach.within(grown(pastMm), sheet));
    }

    /** A zone that also stops at a feature line which the work inside it does not cross. */
    public Grown fine(Zone.Kind kind, double pastMm) {
        Geometry grown = Reach.within(grown(pastMm), sheet);
        Geometry side = Reach.side(part, sheet, last(kind).shape(), pastMm, damage, flags);
        Geometry cut = side == sheet
                ? grown
                : OverlayNGRobust.union(
                        List.of(Reach.within(grown, side), last(kind).shape()));
        Reach.edges(part, cut, kind.word(), flags);
        return put(kind, pastMm, cut);
    }

    /** A patch: it may hang over the part's edge, to be trimmed after sanding, and is warmed over feature lines. */
    public Grown patch(Zone.Kind kind, double pastMm, String word) {
        Geometry whole = grown(pastMm);
        if (!sheet.contains(whole)) {
            flags.add("The " + word + " runs past the part's edge: trim it after sanding.");
        }
        part.bodyLines().stream()
                .filter(l -> Reach.across(l, sheet).intersects(whole))
                .forEach(l -> flags.add(
                        "The " + word + " crosses the " + l.name() + ": warm it and press it into the line."));
        return put(kind, pastMm, whole);
    }

    /** A zone of its own shape, such as stop holes. */
    public Grown shape(Zone.Kind kind, double pastMm, Geometry shape) {
        zones.put(kind, new Zone(kind, pastMm, shape));
        return this;
    }

    /** Something to know of lines and edges. */
    public Grown flag(String said) {
        flags.add(said);
        return this;
    }

    private Geometry grown(double pastMm) {
        grown = Reach.further(damage, grown, reached, pastMm, grower);
        reached = pastMm;
        return grown;
    }

    private Zone last(Zone.Kind kind) {
        return kind.side() == Zone.Side.BACK && lastBack != null ? lastBack : lastFace;
    }

    private Grown put(Zone.Kind kind, double pastMm, Geometry shape) {
        Zone zone = new Zone(kind, pastMm, shape);
        zones.put(kind, zone);
        if (kind.side() == Zone.Side.BACK) {
            lastBack = zone;
        } else {
            lastFace = zone;
        }
        return this;
    }

    /** All zones, and what lines and edges do to them. */
    public Footprint footprint() {
        return new Footprint(new LinkedHashMap<>(zones), List.copyOf(flags));
    }
}
