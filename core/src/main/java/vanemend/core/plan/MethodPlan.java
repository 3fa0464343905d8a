package vanemend.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Supplier;
import org.locationtech.jts.geom.Envelope;
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
import vanemend.core.mix.Again;
import vanemend.core.mix.BeadRule;
import vanemend.core.mix.Dose;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Pace;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Portions;
import vanemend.core.mix.Pour;
import vanemend.core.mix.Shopping;
import vanemend.core.part.Part;
import vanemend.core.sanding.FilmBudget;
import vanemend.core.sanding.Grains;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.Leg;
import vanemend.core.sanding.PaperSwap;
import vanemend.core.section.Section;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.Check;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;

/** What the plans of all methods share: from footprint, amounts, waits and ladder to the finished plan. */
abstract class MethodPlan {
    private static final int TOO_MANY_BATCHES = 12;
    private static final double MM2_IN_100_CM2 = 1e4;
    private static final double MARGIN_MM = 10;

    final Job job;
    final List<String> blockers;
    final Map<String, MixPlan> mixes = new LinkedHashMap<>();
    final Map<String, Portion> portions = new LinkedHashMap<>();
    final Map<String, Wait> waits = new LinkedHashMap<>();
    final List<Piece> pieces = new ArrayList<>();
    private final List<Interlock.Broken> paperFaults = new ArrayList<>();

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
        CureLaw law = job.times().law(item);
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
                                        + (law.fitted() ? ", from its own times" : ""),
                        Optional.of(law),
                        Optional.empty()));
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
        waits.put(
                id, new Wait(id, title, material, List.of(air), air, sign, source, Optional.empty(), Optional.empty()));
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

    /** How long {@code item} stays workable today, and how fast these hands lay it; {@code handsMin} besides, such as for plies. */
    Pace pace(ShelfItem item, double handsMin) {
        return new Pace(workMin(item), job.shop().spreadMlPerMin(), handsMin);
    }

    private double workMin(ShelfItem item) {
        OptionalDouble today = job.times().workMin(item);
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
        item(role).ifPresent(i -> portion(Portions.coats(id, title, form, i, f.areaMm2(zone), n, per)));
    }

    /**
     * A ribbon's dose goes with the puddle it lies across, and the puddle with the batches that the dose leaves time for. Batches never
     * get fewer from one try to the next, and a smaller puddle takes a larger share: the tries come to rest.
     */
    private static Pour ribbon(Pour first, BiFunction<Double, Integer, Pour> at) {
        Pour pour = first;
        while (pour.halfBeadPercent() != pour.percent() && pour.batches() < TOO_MANY_BATCHES) {
            pour = at.apply(pour.halfBeadPercent(), pour.batches());
        }
        return pour;
    }

    /** Filler and cream; {@code again} in mL. */
    MixPlan tin(String id, String title, ShelfItem item, FillVolume volume, double deepMm, Zone zone, Again again) {
        if (item.workMin().isEmpty() || item.sand().isEmpty()) {
            throw new IllegalStateException(item.name() + " was matched without a work time and a time to sand");
        }
        CureLaw law = job.times().law(item);
        double labelWork = item.workMin().orElseThrow();
        double width = Math.min(
                zone.shape().getEnvelopeInternal().getWidth(),
                zone.shape().getEnvelopeInternal().getHeight());
        BiFunction<Double, Integer, Pour> at = (dose, batches) -> Dose.pour(
                item,
                volume,
                deepMm,
                width,
                law.workMinAt(
                        labelWork, airC(), Peroxide.of(dose).factorOrNone().orElse(1)),
                dose,
                job.shop().spreadMlPerMin(),
                again,
                batches);
        double percent = Dose.housePercent(job.house(), BeadRule.puddleMm(volume.totalMl()));
        if (job.house().is("peroxide-dose", "weigh-2") && item.dosePercent().isPresent()) {
            percent = item.dosePercent().get();
        }
        Pour pour = at.apply(percent, 1);
        if (job.house().is("peroxide-dose", "ribbon-half")) {
            pour = ribbon(pour, at);
        }
        Peroxide effect = Peroxide.of(pour.percent());
        double factor = effect.factorOrNone().orElse(1);
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
                        "label " + Math.round(law.sandMin()) + " min at " + Check.shown(law.refC()) + " °C",
                        Optional.of(law),
                        Optional.empty()));
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

    /** A leg of one paper over a zone that takes the minutes per 100 cm² of the trade value {@code minutesId}. */
    static Leg over(
            String id,
            String stage,
            int grade,
            Zone.Kind zone,
            Footprint f,
            String minutesId,
            String tool,
            String sign) {
        double stock = value(minutesId)
                * f.areaMm2(zone)
                / MM2_IN_100_CM2
                * value("ladder.rate.da")
                * Grains.micrometres("P", grade);
        return leg(id, stage, grade, grade, stock, zone, zone, zone, tool, "slow and moving", sign);
    }

    /** A leg of one paper that dulls a zone. */
    static Leg dulls(String id, String stage, int grade, Zone.Kind zone, Footprint f, String tool, String sign) {
        return over(id, stage, grade, zone, f, "minutes.sand.per-100cm2", tool, sign);
    }

    // --- the plan

    /** {@code laid} with the papers that were chosen by hand; what they break is kept for the plan. */
    Ladder byHand(Ladder laid) {
        Ladder now = laid;
        for (PlanEditDraft e : job.draft().edits()) {
            if (e.kind() != PlanEditDraft.Kind.PAPER) {
                continue;
            }
            Optional<ShelfItem> paper = job.stack().papers().stream()
                    .filter(i -> i.id().equals(e.paper()))
                    .findFirst();
            if (paper.isPresent()) {
                now = PaperSwap.on(now, e.step(), paper.get());
            } else {
                fault(new PaperSwap.Fault(
                        "paper-gone",
                        e.step(),
                        "The paper that was chosen is no longer on the shelf.",
                        "another paper",
                        "The planned one is used."));
            }
        }
        if (laid.whole()) {
            PaperSwap.faults(laid, now).forEach(this::fault);
        }
        return now;
    }

    private void fault(PaperSwap.Fault f) {
        paperFaults.add(new Interlock.Broken(f.id(), f.rung(), "", f.said(), f.missing(), f.follows()));
    }

    /** What the order of steps and the papers break, with the titles that the plan shows. */
    private List<Interlock.Broken> broken(List<Step> laid, List<Step> edited) {
        List<Interlock.Broken> out = new ArrayList<>(Interlock.broken(laid, edited));
        for (Interlock.Broken b : paperFaults) {
            // A paper that was left out again breaks nothing.
            edited.stream()
                    .filter(s -> s.id().equals(b.step()))
                    .findFirst()
                    .ifPresent(s -> out.add(new Interlock.Broken(
                            b.interlock(), b.step(), s.title(), b.said(), b.missing(), b.follows())));
        }
        return List.copyOf(out);
    }

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
                job.extent() == Extent.SKETCH ? List.of() : laid.rework().get(),
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
                broken(laid.steps(), edited)));
    }

    private Map<String, String> schools() {
        Map<String, String> schools = new LinkedHashMap<>();
        String material = job.material().name();
        String letter = job.recipe().map(Recipe::letter).orElse("");
        HouseRules.schools().stream()
                .filter(s -> (s.materials().isEmpty() || s.materials().contains(material))
                        && (s.methods().isEmpty() || s.methods().contains(letter)))
                .forEach(s -> schools.put(s.question(), job.house().label(s.id())));
        return schools;
    }

    private List<Shopping> shopping(Ladder ladder) {
        Map<String, Double> needed = new LinkedHashMap<>();
        mixes.values()
                .forEach(m -> needed.merge(
                        m.pour().itemId(), m.pour().fillerG() * m.pour().batches(), Double::sum));
        portions.values().forEach(p -> needed.merge(p.itemId(), p.needed(), Double::sum));
        ladder.rungs().forEach(r -> needed.merge(r.itemId(), (double) r.discs(), Double::sum));
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

    /** Left and right end of the cut: the zone and a margin, no further than the part goes at that height. */
    double[] ends(Footprint f, Zone.Kind zone) {
        Envelope e = f.zone(zone).shape().getEnvelopeInternal();
        Envelope across = new Envelope(0, part().widthMm(), cutY(), cutY());
        Envelope on = part().shape()
                .intersection(part().shape().getFactory().toGeometry(across))
                .getEnvelopeInternal();
        double from = Math.max(on.getMinX(), e.getMinX() - MARGIN_MM);
        double to = Math.min(on.getMaxX(), e.getMaxX() + MARGIN_MM);
        // A cut that misses the zone, or the part, still shows where it lies.
        return from < to ? new double[] {from, to} : new double[] {0, part().widthMm()};
    }

    void ladderHolds(Ladder ladder) {
        if (!ladder.whole()) {
            blockers.add(ladder.missing());
        }
    }
}
