package vanemend.core.method;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Reach;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Chemistry;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.mix.Portions;
import vanemend.core.sanding.Grains;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.Leg;
import vanemend.core.sanding.Rung;
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.sanding.Tool;
import vanemend.core.section.Section;
import vanemend.core.section.Taper;
import vanemend.core.trade.TradeBook;

/**
 * Surfacer or filling primer over what a method laid out, sprayed and blocked here: one zone, one portion, one wait and two legs more,
 * whatever the method. It lies on the fine field and ends inside it, half way between what was sanded coarser and the field's rim.
 */
public final class Surfacing {
    /** How far its rim tapers as drawn, mm. */
    private static final double RIM_MM = 6;

    private final Job job;
    private final Layout layout;
    private final Laid laid;
    private final ShelfItem item;
    private final Zone field;
    private final Footprint footprint;

    private Surfacing(Job job, Layout layout, Laid laid, ShelfItem item) {
        this.job = job;
        this.layout = layout;
        this.laid = laid;
        this.item = item;
        List<Zone> faces = laid.footprint().zones().values().stream()
                .filter(z -> z.kind().side() == Zone.Side.FACE && z.kind() != Zone.Kind.CLEAN)
                .sorted(Comparator.comparingDouble(Zone::pastMm))
                .toList();
        this.field = faces.getLast();
        this.footprint = with(surfaced(faces.get(faces.size() - 2)));
    }

    /** {@code laid} with surfacer over it where the stack has one; else as it is. */
    public static Laid over(Job job, Layout layout, Laid laid) {
        return job.stack()
                .item(Role.SURFACE)
                .map(i -> new Surfacing(job, layout, laid, i).laid())
                .orElse(laid);
    }

    private static double value(String id) {
        return TradeBook.value(id);
    }

    private boolean polyester() {
        return item.materialClass().chemistry() == Chemistry.POLYESTER;
    }

    private Zone surfaced(Zone coarse) {
        double past = (coarse.pastMm() + field.pastMm()) / 2;
        Geometry grown = job.grown()
                .fine(Zone.Kind.SURFACED, past)
                .footprint()
                .zone(Zone.Kind.SURFACED)
                .shape();
        Geometry over = OverlayNGRobust.union(List.of(grown, coarse.shape()));
        return new Zone(Zone.Kind.SURFACED, past, Reach.within(over, field.shape()));
    }

    /** All zones with {@code one} just inside the field. */
    private Footprint with(Zone one) {
        Map<Zone.Kind, Zone> zones = new LinkedHashMap<>();
        laid.footprint().zones().forEach((kind, z) -> {
            if (kind == field.kind()) {
                zones.put(one.kind(), one);
            }
            zones.put(kind, z);
        });
        return new Footprint(zones, laid.footprint().flags());
    }

    private Laid laid() {
        SurfacePage.Build build = build();
        Ladder blocked = layout.byHand(SurfaceLadder.of(
                footprint, job.stack().papers(), legs(build), job.house().label("surfacer")));
        if (layout.open()) {
            layout.ladderHolds(blocked);
            layout.amounts()
                    .portion(Portions.film(
                            SurfacePage.PORTION,
                            polyester() ? "Polyester surfacer" : "Filling primer",
                            item,
                            footprint.areaMm2(Zone.Kind.SURFACED),
                            build.coats(),
                            build.wetUm(),
                            build.wetUm() * build.coats() * solids(),
                            polyester() ? "surface.polyester.wet" : "surface.primer.solids"));
            layout.waits().flashByClass(SurfacePage.FLASH, item);
            layout.waits()
                    .curing(
                            SurfacePage.WAIT,
                            item.name() + ": block from",
                            item,
                            1,
                            "A nail leaves no mark where it is thickest, the paper powders?");
        }
        Ladder all = joined(laid.ladder(), blocked);
        return new Laid(
                laid.mark(),
                footprint,
                () -> drawn(laid.section().get(), build),
                all,
                laid.pieces(),
                () -> SurfacePage.onto(laid.page().get(), layout.kit(footprint, all), build));
    }

    /** The cut with what stands of it once it is blocked. */
    private Section drawn(Section cut, SurfacePage.Build build) {
        Taper rim = new Taper(footprint.zone(Zone.Kind.SURFACED).shape(), RIM_MM, false, cut.cutYMm());
        return cut.coated(
                SurfacePage.LAYER,
                build.polyester() ? "Surfacer" : "Filling primer",
                "finish",
                x -> build.leftUm() / 1000 * rim.at(x));
    }

    /** As many coats as what lies beneath asks: its last lines want more where they are coarser than the fine field's usual paper. */
    private SurfacePage.Build build() {
        double last =
                laid.ladder().rungs().stream().mapToDouble(Rung::grainUm).min().orElse(0);
        boolean coarse = last > Grains.micrometres("P", 240) * 1.01;
        int coats = (int) value(coarse ? "surface.coats-most" : "surface.coats");
        double wet = polyester() ? value("surface.polyester.wet") : value("surface.primer.dry") / solids();
        double left = wet * coats * solids() * (1 - value("surface.block-off"));
        return new SurfacePage.Build(polyester(), coats, wet, left, field.kind());
    }

    /** Share of what is sprayed that stays when it is dry. */
    private double solids() {
        return value(polyester() ? "surface.polyester.solids" : "surface.primer.solids");
    }

    private List<Leg> legs(SurfacePage.Build build) {
        double off = build.wetUm() * build.coats() * solids() / 1000 * value("surface.block-off");
        List<Leg> legs = new ArrayList<>();
        legs.add(Legs.leg(
                SurfacePage.BLOCK,
                "On the surfacer",
                polyester() ? 180 : 320,
                polyester() ? 240 : 400,
                off * footprint.areaMm2(Zone.Kind.SURFACED),
                Zone.Kind.SURFACED,
                Zone.Kind.SURFACED,
                Zone.Kind.SURFACED,
                Tool.BOARD,
                "the long board level, both diagonals, off the edges",
                "no guide coat left"));
        int last = (int) value("surface.last");
        legs.add(Legs.leg(
                        SurfacePage.FINE,
                        "For the paint",
                        polyester() ? 400 : last,
                        last,
                        value("ladder.scuff") / 1000 * footprint.areaMm2(field.kind()),
                        field.kind(),
                        field.kind(),
                        field.kind(),
                        Tool.DA,
                        "slow and moving, by hand at edges and lines",
                        "dull everywhere, no line of the board left")
                .wet());
        return legs;
    }

    private static Ladder joined(Ladder a, Ladder b) {
        List<Rung> rungs = new ArrayList<>(a.rungs());
        rungs.addAll(b.rungs());
        return new Ladder(
                List.copyOf(rungs),
                Math.max(a.ratioLimit(), b.ratioLimit()),
                a.school(),
                b.scratchLeftUm(),
                a.minutes() + b.minutes(),
                (a.missing() + " " + b.missing()).strip());
    }
}
