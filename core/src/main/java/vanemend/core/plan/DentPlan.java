package vanemend.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import vanemend.core.cure.CureLaw;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.Peroxide;
import vanemend.core.damage.Dent;
import vanemend.core.damage.DepthField;
import vanemend.core.footprint.DentFootprint;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.MaterialClass.Surface;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.MetalDentFill;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.mix.BeadRule;
import vanemend.core.mix.Dose;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Pour;
import vanemend.core.part.Material;
import vanemend.core.part.Metal;
import vanemend.core.part.Part;
import vanemend.core.sanding.DentLadder;
import vanemend.core.sanding.Ladder;
import vanemend.core.section.DentSection;
import vanemend.core.section.Section;
import vanemend.core.stack.Need;
import vanemend.core.stack.StackChoice;
import vanemend.core.trade.Check;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;

/** Footprint, section, mixes, ladder and steps of dents in sheet metal. */
final class DentPlan {
    private static final int TOO_MANY_BATCHES = 12;

    private final RepairDraft draft;
    private final Conditions shop;
    private final HouseRules house;
    private final Part part;
    private final Metal metal;
    private final DepthField field;
    private final StackChoice stack;

    DentPlan(
            RepairDraft draft,
            Conditions shop,
            HouseRules house,
            Part part,
            Metal metal,
            List<Dent> dents,
            StackChoice stack) {
        this.draft = draft;
        this.shop = shop;
        this.house = house;
        this.part = part;
        this.metal = metal;
        this.field = new DepthField(dents);
        this.stack = stack;
    }

    /** The plan; nothing where {@code blockers} holds or then holds why not. */
    Planner.Worked work(List<String> blockers) {
        Footprint footprint = DentFootprint.of(part, field);
        Ladder ladder = DentLadder.of(footprint, house, stack.papers(), !stack.puttyAlone());
        if (!ladder.whole()) {
            blockers.add(ladder.missing());
        }
        Optional<Plan> plan = blockers.isEmpty() ? planOf(stack, footprint, ladder, blockers) : Optional.empty();
        return new Planner.Worked(mark(), drawing(footprint, stack.puttyAlone()), plan);
    }

    private Optional<Plan> planOf(StackChoice stack, Footprint footprint, Ladder ladder, List<String> blockers) {
        Optional<MixPlan> filler = stack.item(Role.FILL).map(i -> fillerMix(i, footprint));
        MixPlan putty = puttyMix(stack.item(Role.FINISH).orElseThrow(), footprint, stack.puttyAlone());
        List<MixPlan> mixes = new ArrayList<>();
        filler.ifPresent(mixes::add);
        mixes.add(putty);
        for (MixPlan m : mixes) {
            if (!m.route().cures()) {
                blockers.add(m.pour().material() + ": " + m.route().note());
            }
            if (m.pour().batches() >= TOO_MANY_BATCHES) {
                blockers.add(m.pour().material() + ": " + m.pour().notes().getFirst());
            }
            if (Peroxide.of(m.pour().percent()) instanceof Peroxide.Fails f) {
                blockers.add(m.pour().material() + ": " + f.message());
            }
        }
        Optional<Double> primer = stack.item(Role.PRIME)
                .map(i -> CureLaw.of(i).sandMinAt(shop.air().tempC(), 1).orElse(-1));
        if (primer.isPresent() && primer.get() < 0) {
            blockers.add(
                    "Epoxy primer does not cure at " + Check.shown(shop.air().tempC()) + " °C: warm the shop.");
        }
        if (!blockers.isEmpty()) {
            return Optional.empty();
        }
        MethodSteps laid = MetalDentFill.lay(new MetalDentFill.Found(
                metal,
                field.dents().size(),
                field.deepest().depthMm(),
                stack,
                footprint,
                ladder,
                house,
                filler,
                putty,
                primer,
                sealerDryMin(stack)));
        double promised = draft.promisedAt() == null
                ? Double.NaN
                : Duration.between(shop.now(), draft.promisedAt()).toSeconds() / 60.0;
        List<PlannedStep> steps = Schedule.of(laid.steps(), promised);
        double total = steps.stream()
                .mapToDouble(s -> s.earliestMin() + Schedule.minutes(s.step()))
                .max()
                .orElse(0);
        Map<String, String> schools = new LinkedHashMap<>();
        HouseRules.schools().stream()
                .filter(s -> s.followed()
                        && (s.materials().isEmpty() || s.materials().contains(Material.METAL.name())))
                .forEach(s -> schools.put(s.question(), house.label(s.id())));
        return Optional.of(new Plan(
                laid.method(),
                steps,
                laid.loops(),
                laid.mixes(),
                ladder,
                schools,
                shop.air(),
                laid.steps().stream().mapToDouble(Step::activeMin).sum(),
                total,
                Double.isNaN(promised) ? Optional.empty() : Optional.of(promised - total),
                TradeBook.shipped().closing()));
    }

    private Optional<Double> sealerDryMin(StackChoice stack) {
        OptionalDouble today = stack.item(Role.PINHOLE)
                .map(i -> new TimesToday(shop.air().tempC()).sandMin(i))
                .orElse(OptionalDouble.empty());
        return today.isPresent() ? Optional.of(today.getAsDouble()) : Optional.empty();
    }

    private MixPlan fillerMix(ShelfItem item, Footprint f) {
        FillVolume volume = FillVolume.of(
                field.volumeMm3(),
                f.areaMm2(Zone.Kind.DAMAGE),
                f.areaMm2(Zone.Kind.FILLER),
                offMm(),
                TradeBook.value("dent.proud"),
                TradeBook.value("dent.tight-coat"),
                TradeBook.value("mix.board-loss"));
        return mix("filler", "Filler", item, volume, field.deepest().depthMm(), f.zone(Zone.Kind.FILLER));
    }

    private MixPlan puttyMix(ShelfItem item, Footprint f, boolean alone) {
        FillVolume volume = FillVolume.of(
                alone ? field.volumeMm3() : 0,
                f.areaMm2(Zone.Kind.FEATHER),
                f.areaMm2(Zone.Kind.PUTTY),
                alone ? offMm() : 0,
                TradeBook.value("dent.putty-spread"),
                0,
                TradeBook.value("mix.board-loss"));
        double deep =
                TradeBook.value("dent.putty-spread") + (alone ? field.deepest().depthMm() : 0);
        return mix("putty", "Putty", item, volume, deep, f.zone(Zone.Kind.PUTTY));
    }

    private MixPlan mix(String id, String title, ShelfItem item, FillVolume volume, double deepMm, Zone zone) {
        CureLaw law = CureLaw.of(item);
        double percent = Dose.housePercent(house, BeadRule.puddleMm(volume.totalMl()));
        if (house.is("peroxide-dose", "weigh-2") && item.dosePercent().isPresent()) {
            percent = item.dosePercent().get();
        }
        Peroxide effect = Peroxide.of(percent);
        double factor = effect.factorOrNone().orElse(1);
        double labelWork = item.workMin().orElseThrow();
        double work = law.workMinAt(labelWork, shop.air().tempC(), factor);
        double width = Math.min(
                zone.shape().getEnvelopeInternal().getWidth(),
                zone.shape().getEnvelopeInternal().getHeight());
        Pour pour = Dose.pour(item, volume, deepMm, width, work, percent, shop.spreadMlPerMin());
        DryingRoute air = DryingRoute.air(law, shop.air().tempC(), factor);
        DryingRoute lamp = DryingRoute.lamp(law, shop.air().tempC(), factor);
        DryingRoute route = draft.drying() == DryingRoute.Kind.LAMP && lamp.cures() ? lamp : air;
        return new MixPlan(id, title, pour, law, labelWork, List.of(air, lamp), route, effect.said());
    }

    private Drawing drawing(Footprint footprint, boolean puttyAlone) {
        double cut = draft.cutYMm() == null ? field.deepest().yMm() : draft.cutYMm();
        Section section = DentSection.of(
                footprint, field, new DentSection.Build(metal.gaugeMm(), keptMm(), offMm(), !puttyAlone), cut);
        return new Drawing(
                part.widthMm(),
                part.heightMm(),
                Planner.corners(part),
                part.bodyLines(),
                Planner.drawn(field.dents()),
                footprint.zones().values().stream().map(DrawnZone::of).toList(),
                footprint.flags(),
                Optional.of(section));
    }

    private boolean keepsGround() {
        return Need.metalGround(part, metal, house) == Surface.SANDED_COAT;
    }

    /** Coats that stay under the filler, mm. */
    private double keptMm() {
        return switch (Need.metalGround(part, metal, house)) {
            case SANDED_COAT -> part.coatsMm(true);
            case EPOXY_PRIMER -> TradeBook.value("coat.epoxy-primer") / 1000;
            default -> 0;
        };
    }

    /** Coats that come off in the opening and are made up again, mm. */
    private double offMm() {
        return part.coatsMm(false) + part.coatsMm(true) - keptMm();
    }

    private String mark() {
        String coats = keepsGround()
                ? part.coats().stream()
                        .filter(c -> c.kind().isGround())
                        .map(c -> c.kind().word())
                        .findFirst()
                        .map(w -> w + " kept")
                        .orElse("")
                : house.is("filler-base", "epoxy-primer") ? "epoxy primed" : "bare";
        return metal.word() + " " + Check.shown(metal.gaugeMm()) + " mm" + (coats.isEmpty() ? "" : ", " + coats);
    }
}
