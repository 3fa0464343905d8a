package vanemend.core.method.glass;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.cure.Daylight;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.Pane;
import vanemend.core.cure.Sun;
import vanemend.core.cure.UvCure;
import vanemend.core.cure.Wait;
import vanemend.core.damage.BreakVolume;
import vanemend.core.damage.Chip;
import vanemend.core.damage.Crack;
import vanemend.core.damage.Damage;
import vanemend.core.damage.Oval;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Conditions;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.mix.Drops;
import vanemend.core.mix.Portion.Figure;
import vanemend.core.mix.Portions;
import vanemend.core.part.Glass;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.section.Cut;
import vanemend.core.section.Section;
import vanemend.core.section.Taper;
import vanemend.core.trade.Text;
import vanemend.core.verdict.SightZone;

/** Windscreen chip: drops, vacuum or pressure, light by the sun's height or a lamp. */
final class ChipLayout extends Layout {
    static final String FIRST = "resin";
    static final String MORE = "more";
    static final String BEAD = "bead";

    ChipLayout(Job job, List<String> blockers) {
        super(job, blockers);
    }

    /** Where the injector sits: the pit of a chip, the start of a crack. */
    private Coordinate pit() {
        Damage d = job.damages().getFirst();
        return switch (d) {
            case Chip c -> new Coordinate(c.xMm(), c.yMm());
            case Crack c -> c.trace().line().getCoordinateN(0);
            default -> d.outline().getCentroid().getCoordinate();
        };
    }

    private double pitMm() {
        return job.all(Chip.class).stream().mapToDouble(Chip::pitMm).max().orElse(2);
    }

    @Override
    public Laid laid() {
        boolean vacuum = job.house().is("chip", "vacuum-pressure");
        Coordinate at = pit();
        Geometry pit = round(at, pitMm());
        Footprint f = job.grown()
                .shape(Zone.Kind.PIT, 0, pit)
                .shape(Zone.Kind.INJECTOR, 0, round(at, value("glass.injector")))
                .shape(Zone.Kind.FILM, 0, film(at))
                .out(Zone.Kind.CLEAN, value("glass.clean-past"))
                .footprint();
        Ladder ladder = byHand(SurfaceLadder.of(
                f, job.stack().papers(), List.of(), "none: blade flat over it, blade upright to scrape"));
        if (blockers.isEmpty()) {
            ShelfItem resin = need(Role.FILL);
            drops(resin, vacuum);
            amounts.film(f.zone(Zone.Kind.FILM), Text.book("glass.film-past") + " past the injector's mark");
            light(resin);
        }
        boolean inSight = job.damages().stream().anyMatch(this::inSight);
        return laid(
                part().substrate().word(),
                f,
                () -> section(),
                ladder,
                () -> GlassChip.lay(kit(f, ladder), vacuum, inSight));
    }

    /** Film covers pit and injector's mark and reaches past them: air keeps the face of a bead soft. */
    private Geometry film(Coordinate at) {
        return round(at, Math.max(pitMm(), value("glass.injector")) + 2 * value("glass.film-past"));
    }

    /** A crack counts as inside the wiper's sweep, which is the stricter zone. */
    private boolean inSight(Damage d) {
        boolean swept = !(d instanceof Chip c) || c.inSweep();
        return swept && SightZone.of((Glass) part().substrate(), d.outline()).inSight();
    }

    private void drops(ShelfItem resin, boolean vacuum) {
        double breakMl = BreakVolume.ml(job.damages());
        Drops drops = Drops.of(breakMl, vacuum);
        Figure holds = new Figure(
                "The break holds about",
                Math.max(0.01, Math.round(breakMl * 100) / 100.0),
                "mL",
                "gap, depth and legs recalled, verify");
        amounts.portion(
                Portions.drops(
                        FIRST,
                        vacuum ? "Resin under vacuum" : "Resin, first fill",
                        resin,
                        drops.first(),
                        List.of(
                                holds,
                                new Figure(
                                        "Lay out in all", drops.all(), "drops", "further fill and last bead with it")),
                        List.of(
                                "Resin stays off paint and skin. Sun sets it: keep the bottle shut and the chip in the shade.")));
        amounts.portion(
                Portions.drops(
                        MORE,
                        "Resin, each further fill",
                        resin,
                        drops.more(),
                        List.of(),
                        List.of(
                                "From the bottle, as often as the break takes more: dark is air. What is kept for the bead stays apart.")));
        amounts.portion(
                Portions.drops(BEAD, "Resin, kept for the last bead", resin, drops.bead(), List.of(), List.of()));
    }

    private static Geometry round(Coordinate at, double mm) {
        return new Oval(at.x, at.y, mm, mm, 0).polygon();
    }

    /** How high the sun stands when the light is planned for, in words; a time gone by is not one to plan on. */
    private String height(double up, boolean ahead) {
        String when = ahead ? "then" : job.wishes().lightAt().isEmpty() ? "now" : "now (the time given is past)";
        return up <= 0 ? "the sun is down " + when : "sun " + Text.of(Math.round(up), "°") + " high " + when;
    }

    /** Sun, cloud and lamp side by side; the lamp where nothing else is asked for or the sun is down. */
    private void light(ShelfItem resin) {
        Conditions.Place place = job.shop().place();
        Instant now = job.shop().now();
        Instant lit = job.wishes().lightAt().filter(at -> at.isAfter(now)).orElse(now);
        boolean ahead = lit.isAfter(now);
        Sun.Place sun = Sun.at(lit, place.latitudeDeg(), place.longitudeDeg());
        Optional<Pane> pane = job.wishes().pane();
        double up = pane.map(p -> p.heightDeg(sun)).orElse(sun.elevationDeg());
        String height = height(sun.elevationDeg(), ahead) + onPane(pane, up, sun);
        DryingRoute lamp = DryingRoute.still(
                DryingRoute.Kind.UV_LAMP, value("uv.lamp-minutes"), airC(), "By the lamp's own label; film stays on.");
        List<DryingRoute> routes = new ArrayList<>(List.of(lamp));
        routes.add(by(DryingRoute.Kind.SUN, UvCure.sunMin(up, school()), height));
        routes.add(by(DryingRoute.Kind.CLOUD, UvCure.cloudMin(up), height + ", a quarter of its light comes through"));
        DryingRoute route = routes.stream()
                .filter(r -> r.kind() == job.wishes().drying("light") && r.cures())
                .findFirst()
                .orElse(lamp);
        waits.put(new Wait(
                "light",
                "Resin: film off from",
                resin.name(),
                List.copyOf(routes),
                route,
                "Bead hard under the film's edge to a blade?",
                route.kind() == DryingRoute.Kind.UV_LAMP
                        ? "label of the lamp"
                        : height + "; " + Text.book("uv.sun-minutes") + " at " + Text.book("uv.sun-elevation")
                                + ", and never less than the school's own; recalled, verify",
                Optional.empty(),
                route.kind() == DryingRoute.Kind.UV_LAMP
                        ? Optional.empty()
                        : Optional.of(new Daylight(place.latitudeDeg(), place.longitudeDeg(), up, pane))));
    }

    private UvCure.School school() {
        return switch (job.house().of("chip-light")) {
            case "label" -> UvCure.School.LABEL;
            case "model" -> UvCure.School.MODEL;
            default -> UvCure.School.CAREFUL;
        };
    }

    private static String onPane(Optional<Pane> pane, double up, Sun.Place sun) {
        if (sun.elevationDeg() <= 0) {
            return "";
        }
        return pane.isEmpty()
                ? ", pane taken as level"
                : up <= 0
                        ? ", the pane in its own shade: turn the vehicle"
                        : ", " + Text.of(Math.round(up), "°") + " over the pane";
    }

    private DryingRoute by(DryingRoute.Kind kind, OptionalDouble minutes, String height) {
        return DryingRoute.still(
                kind,
                minutes.orElse(Double.NaN),
                airC(),
                minutes.isPresent() ? height : height + ": too low to plan on, take the lamp");
    }

    private Section section() {
        Coordinate at = pit();
        double outer = value("glass.ply");
        double inner = outer + value("glass.interlayer");
        double deep = Math.min(value("glass.break-depth"), outer * 0.9);
        double half = Math.max(15, job.outline().getEnvelopeInternal().getWidth());
        double from = Math.max(0, at.x - half);
        double to = Math.min(part().widthMm(), at.x + half);
        Taper cone = new Taper(round(at, Math.max(pitMm() * 2.2, 4)), Math.max(pitMm() * 1.1, 2), false, cutY());
        Taper legs = new Taper(job.outline(), 2, false, cutY());
        return new Cut(cutY(), from, to, x -> -inner - outer)
                .layer("inner", "Inner ply", "coat", x -> -inner)
                .layer("interlayer", "Interlayer", "rubber", x -> -outer)
                .layer("outer", "Outer ply", "part", x -> -Math.max(deep * cone.at(x), 0.25 * deep * legs.at(x)))
                .layer("resin", "Resin", "resin", x -> 0)
                .section();
    }

    @Override
    protected double cutY() {
        return job.wishes().cutYMm().orElseGet(() -> pit().y);
    }
}
