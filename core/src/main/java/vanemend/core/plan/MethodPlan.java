package vanemend.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import vanemend.core.cure.CureLaw;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.Flash;
import vanemend.core.cure.Peroxide;
import vanemend.core.cure.Wait;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Piece;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Interlock;
import vanemend.core.method.Kit;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.mix.BeadRule;
import vanemend.core.mix.Dose;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Portions;
import vanemend.core.mix.Pour;
import vanemend.core.mix.Shopping;
import vanemend.core.part.Part;
import vanemend.core.sanding.FilmBudget;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.Leg;
import vanemend.core.section.Section;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.Check;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;

/** What the plans of all methods share: from footprint, amounts, waits and ladder to the finished plan. */
abstract class MethodPlan {
    private static final int TOO_MANY_BATCHES = 12;

    final Job job;
    final List<String> blockers;
    final Map<String, MixPlan> mixes = new LinkedHashMap<>();
    final Map<String, Portion> portions = new LinkedHashMap<>();
    final Map<String, Wait> waits = new LinkedHashMap<>();
    final List<Piece> pieces = new ArrayList<>();

    MethodPlan(Job job, List<String> blockers) {
        this.job = job;
        this.blockers = blockers;
    }

    /** Zones, cut and plan; no plan where {@code blockers} holds or then holds why not. */
    abstract Planner.Worked work();

    // --- values and items

    static double value(String id) {
        return TradeBook.value(id);
    }

    double airC() {
        return job.shop().air().tempC();
    }

    Optional<ShelfItem> item(Role role) {
        return job.stack().item(role);
    }

    ShelfItem need(Role role) {
        return item(role).orElseThrow(() -> new IllegalStateException("no " + role + " in the stack"));
    }

    Part part() {
        return job.part();
    }

    // --- cure

    /** Time constant of the part under a lamp, min. */
    double tau() {
        return value(
                switch (part().substrate()) {
                    case vanemend.core.part.Composite c -> "heat.tau.composite";
                    case vanemend.core.part.Plastic p -> "heat.tau.plastic";
                    default -> "heat.tau.steel";
                });
    }

    /** A wait for a two-part material; nothing where its label gives no time. */
    void curing(String id, String title, ShelfItem item, double peroxideFactor, String sign) {
        if (item.sand().isEmpty()) {
            return;
        }
        CureLaw law = CureLaw.of(item);
        List<DryingRoute> routes = new ArrayList<>();
        routes.add(DryingRoute.air(law, airC(), peroxideFactor));
        double cap = Math.min(
                law.capC(), job.heatCapC().map(c -> c - value("heat.below-cap")).orElse(law.capC()));
        double lamp = Math.min(item.materialClass().figure("heatC").orElse(value("heat.lamp-plateau")), cap);
        routes.add(DryingRoute.heated(DryingRoute.Kind.LAMP, law, airC(), peroxideFactor, tau(), lamp));
        if (cap >= value("heat.oven-plateau")) {
            routes.add(DryingRoute.heated(
                    DryingRoute.Kind.OVEN, law, airC(), peroxideFactor, tau(), value("heat.oven-plateau")));
        }
        DryingRoute route = chosen(routes);
        if (!route.cures()) {
            blockers.add(item.name() + ": " + route.note());
        }
        waits.put(
                id,
                new Wait(
                        id,
                        title,
                        item.name(),
                        List.copyOf(routes),
                        route,
                        sign,
                        route.kind().heats()
                                ? "ramp, hold and cool"
                                : "label " + Math.round(law.sandMin()) + " min at " + Check.shown(law.refC()) + " °C"
                                        + (law.fitted() ? ", from its own times" : "")));
    }

    private DryingRoute chosen(List<DryingRoute> routes) {
        return routes.stream()
                .filter(r -> r.kind() == job.draft().drying() && r.cures())
                .findFirst()
                .orElse(routes.getFirst());
    }

    /** A wait that no lamp shortens, {@code minutes} today. */
    void still(String id, String title, String material, double minutes, String sign, String source) {
        DryingRoute air = DryingRoute.still(DryingRoute.Kind.AIR, minutes, airC(), "");
        waits.put(id, new Wait(id, title, material, List.of(air), air, sign, source));
    }

    /** Flash of a promoter: its label; else the house's school; stretched by cold and damp. */
    void flash(String id, ShelfItem item) {
        double school = job.house().is("promoter-flash", "five") ? 5 : value("promoter.flash");
        double label = item.flashMin().orElse(school);
        double today = label * Math.max(1, Flash.factor(job.shop().air()));
        still(
                id,
                item.name() + ": flash",
                item.name(),
                today,
                "Dry to the touch, shine gone?",
                (item.flashMin().isPresent() ? "label " : "house rule ") + Check.shown(label)
                        + " min, stretched by today's air; recalled, verify");
    }

    // --- amounts

    double workMin(ShelfItem item) {
        OptionalDouble today = new TimesToday(airC()).workMin(item);
        return today.orElse(item.workMin().orElse(0.0));
    }

    void portion(Portion p) {
        portions.put(p.id(), p);
        if (Portions.hopeless(p)) {
            blockers.add(p.material() + ": " + p.notes().getLast());
        }
    }

    void coats(
            String id, String title, Portion.Form form, Role role, Zone.Kind zone, Footprint f, double n, String per) {
        item(role).ifPresent(i -> portion(Portions.coats(id, title, form, i, f.areaMm2(zone), n, value(per))));
    }

    /** Filler and cream. */
    MixPlan tin(String id, String title, ShelfItem item, FillVolume volume, double deepMm, Zone zone) {
        if (item.workMin().isEmpty() || item.sand().isEmpty()) {
            throw new IllegalStateException(item.name() + " was matched without a work time and a time to sand");
        }
        CureLaw law = CureLaw.of(item);
        double percent = Dose.housePercent(job.house(), BeadRule.puddleMm(volume.totalMl()));
        if (job.house().is("peroxide-dose", "weigh-2") && item.dosePercent().isPresent()) {
            percent = item.dosePercent().get();
        }
        Peroxide effect = Peroxide.of(percent);
        double factor = effect.factorOrNone().orElse(1);
        double labelWork = item.workMin().orElseThrow();
        double work = law.workMinAt(labelWork, airC(), factor);
        double width = Math.min(
                zone.shape().getEnvelopeInternal().getWidth(),
                zone.shape().getEnvelopeInternal().getHeight());
        Pour pour =
                Dose.pour(item, volume, deepMm, width, work, percent, job.shop().spreadMlPerMin());
        DryingRoute air = DryingRoute.air(law, airC(), factor);
        double cap = Math.min(
                Math.min(value("heat.lamp-plateau"), law.capC()),
                job.heatCapC().map(c -> c - value("heat.below-cap")).orElse(Double.MAX_VALUE));
        DryingRoute lamp = DryingRoute.heated(DryingRoute.Kind.LAMP, law, airC(), factor, tau(), cap);
        DryingRoute route = job.draft().drying() == DryingRoute.Kind.LAMP && lamp.cures() ? lamp : air;
        MixPlan mix = new MixPlan(id, title, pour, law, labelWork, List.of(air, lamp), route, effect.said());
        mixes.put(id, mix);
        waits.put(
                id,
                new Wait(
                        id,
                        title + ": sand from",
                        item.name(),
                        mix.routes(),
                        route,
                        "Nail leaves no mark on the thin edge, paper does not clog?",
                        "label " + Math.round(law.sandMin()) + " min at " + Check.shown(law.refC()) + " °C"));
        if (!route.cures()) {
            blockers.add(item.name() + ": " + route.note());
        }
        if (pour.batches() >= TOO_MANY_BATCHES) {
            blockers.add(item.name() + ": " + pour.notes().getFirst());
        }
        if (effect instanceof Peroxide.Fails f) {
            blockers.add(item.name() + ": " + f.message());
        }
        return mix;
    }

    // --- ladder

    /** A leg from one grade to another; see {@link Leg}. */
    static Leg leg(
            String id,
            String stage,
            int from,
            int to,
            double stockMm3,
            Zone.Kind first,
            Zone.Kind middle,
            Zone.Kind last,
            String tool,
            String motion,
            String sign) {
        return new Leg(
                id,
                stage,
                from,
                to,
                value("ladder.ratio.quick"),
                stockMm3,
                value("ladder.rate.da"),
                value("ladder.scratch-share"),
                first,
                middle,
                last,
                tool,
                motion,
                sign,
                false,
                Leg.Grades.CHEAPEST);
    }

    /** A leg of one paper that dulls a zone. */
    static Leg dulls(String id, String stage, int grade, Zone.Kind zone, Footprint f, String tool, String sign) {
        double scuff = value("ladder.scuff") / 1000 * f.areaMm2(zone);
        return leg(id, stage, grade, grade, scuff, zone, zone, zone, tool, "slow and moving", sign);
    }

    // --- the plan

    Kit kit(Footprint f, Ladder ladder) {
        return new Kit(part(), job.stack(), job.house(), job.shop().air(), f, ladder, mixes, portions, waits);
    }

    /** The plan of a method's page; nothing where blockers hold. */
    Optional<Plan> finish(Supplier<MethodSteps> page, Ladder ladder, Optional<FilmBudget> budget) {
        if (!blockers.isEmpty()) {
            return Optional.empty();
        }
        MethodSteps laid = page.get();
        double promised = job.draft().promisedAt() == null
                ? Double.NaN
                : Duration.between(job.shop().now(), job.draft().promisedAt()).toSeconds() / 60.0;
        List<Step> edited = job.draft().edits().isEmpty()
                ? laid.steps()
                : PlanEdits.apply(laid.steps(), job.draft().edits());
        List<PlannedStep> steps = Schedule.of(edited, promised);
        double total = steps.stream()
                .mapToDouble(s -> s.earliestMin() + Schedule.minutes(s.step()))
                .max()
                .orElse(0);
        return Optional.of(new Plan(
                laid.method(),
                steps,
                laid.loops(),
                laid.mixes(),
                ladder,
                schools(),
                job.shop().air(),
                edited.stream().mapToDouble(Step::activeMin).sum(),
                total,
                Double.isNaN(promised) ? Optional.empty() : Optional.of(promised - total),
                TradeBook.shipped().closing(),
                List.copyOf(portions.values()),
                List.copyOf(waits.values()),
                budget,
                pieces,
                shopping(ladder),
                Interlock.broken(laid.steps(), edited)));
    }

    private Map<String, String> schools() {
        Map<String, String> schools = new LinkedHashMap<>();
        String material = job.material().name();
        String letter = job.recipe().map(Recipe::letter).orElse("");
        HouseRules.schools().stream()
                .filter(s -> s.followed()
                        && (s.materials().isEmpty() || s.materials().contains(material))
                        && (s.methods().isEmpty() || s.methods().contains(letter)))
                .forEach(s -> schools.put(s.question(), job.house().label(s.id())));
        return schools;
    }

    private List<Shopping> shopping(Ladder ladder) {
        Map<String, Double> needed = Shopping.list();
        mixes.values()
                .forEach(m -> Shopping.add(
                        needed, m.pour().itemId(), m.pour().fillerG() * m.pour().batches()));
        portions.values().forEach(p -> Shopping.add(needed, p.itemId(), p.needed()));
        ladder.rungs().forEach(r -> Shopping.add(needed, r.itemId(), r.discs()));
        return Shopping.of(needed, job.shop().shelf());
    }

    // --- the drawing

    Drawing drawing(Footprint f, Section section) {
        return new Drawing(
                part().widthMm(),
                part().heightMm(),
                Planner.corners(part()),
                Planner.lines(part()),
                Planner.drawn(job.damages()),
                f.zones().values().stream().map(DrawnZone::of).toList(),
                f.flags(),
                Optional.of(section));
    }

    /** Height of the cut: as typed, else through the middle of the first damage. */
    double cutY() {
        Double typed = job.draft().cutYMm();
        return typed != null
                ? typed
                : job.damages().getFirst().outline().getEnvelopeInternal().centre().y;
    }

    /** Left and right end of the cut: the zone and a margin, within the part. */
    double[] ends(Footprint f, Zone.Kind zone) {
        var e = f.zone(zone).shape().getEnvelopeInternal();
        double margin = 10;
        return new double[] {Math.max(0, e.getMinX() - margin), Math.min(part().widthMm(), e.getMaxX() + margin)};
    }

    void ladderHolds(Ladder ladder) {
        if (!ladder.whole()) {
            blockers.add(ladder.missing());
        }
    }
}
