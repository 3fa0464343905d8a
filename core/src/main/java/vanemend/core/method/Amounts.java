package vanemend.core.method;

import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.cure.CureLaw;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.Peroxide;
import vanemend.core.cure.Wait;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Reach;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.MaterialClass.Surface;
import vanemend.core.material.ShelfItem;
import vanemend.core.mix.Again;
import vanemend.core.mix.BeadRule;
import vanemend.core.mix.Dose;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Pace;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Portions;
import vanemend.core.mix.Pour;
import vanemend.core.mix.Tin;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** What a repair takes from the shelf, as it is laid out. What cannot be laid in time becomes a blocker. */
public final class Amounts {
    private static final int TOO_MANY_BATCHES = 12;

    private final Job job;
    private final List<String> blockers;
    private final Waits waits;
    private final Map<String, MixPlan> mixes = new LinkedHashMap<>();
    private final Map<String, Portion> portions = new LinkedHashMap<>();

    Amounts(Job job, List<String> blockers, Waits waits) {
        this.job = job;
        this.blockers = blockers;
        this.waits = waits;
    }

    /** Filler and cream by id, in the order they were laid out. */
    public Map<String, MixPlan> mixes() {
        return Collections.unmodifiableMap(mixes);
    }

    /** Everything else by id, in the order it was laid out. */
    public Map<String, Portion> portions() {
        return Collections.unmodifiableMap(portions);
    }

    /** How long {@code item} stays workable today, and how fast these hands lay it; {@code handsMin} besides, such as for plies. */
    public Pace pace(ShelfItem item, double handsMin) {
        OptionalDouble today = job.times().workMin(item);
        return new Pace(today.orElse(item.workMin().orElse(0.0)), job.shop().spreadMlPerMin(), handsMin);
    }

    /** Takes {@code p}. */
    public void portion(Portion p) {
        portions.put(p.id(), p);
        if (Portions.hopeless(p)) {
            blockers.add(p.material() + ": " + p.notes().getLast());
        }
    }

    /** {@code filler} on {@code ground}, with putty stirred in where the house thins it. */
    public Tin thinned(ShelfItem filler, Surface ground) {
        return job.house().is("filler-thinned", "putty")
                ? Tin.thinned(filler, job.stack().item(Role.FINISH), ground)
                : Tin.of(filler);
    }

    /** How {@code tin} cures: as what of it may be sanded last today. */
    private CureLaw law(Tin tin) {
        double airC = job.shop().air().tempC();
        return tin.both()
                .map(job.times()::law)
                .max(Comparator.comparingDouble(l -> l.sandMinAt(airC, 1).orElse(Double.MAX_VALUE)))
                .orElseThrow();
    }

    /** Film for each of {@code over}, larger all round; nothing where the stack has none. */
    public void film(List<Geometry> over) {
        double past = TradeBook.value("roll.film-past");
        job.stack()
                .item(Role.FILM)
                .ifPresent(i -> portion(Portions.cut(
                        "film",
                        "Film",
                        i,
                        over.stream().map(g -> Reach.grow(g, past)).toList(),
                        Text.book("roll.film-past") + " larger all round")));
    }

    /** Film for what lies under {@code zone}, which says itself how far it reaches; nothing where the stack has none. */
    public void film(Zone zone, String note) {
        job.stack()
                .item(Role.FILM)
                .ifPresent(i -> portion(Portions.cut("film", "Film", i, List.of(zone.shape()), note)));
    }

    /** {@code n} coats of what does {@code role} over {@code zone}; nothing where the stack has none. */
    public void coats(
            String id, String title, Portion.Form form, Role role, Zone.Kind zone, Footprint f, double n, String per) {
        job.stack().item(role).ifPresent(i -> portion(Portions.coats(id, title, form, i, f.areaMm2(zone), n, per)));
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

    /** Filler and cream, with the wait until it may be sanded; {@code again} in mL. */
    public MixPlan tin(
            String id, String title, ShelfItem item, FillVolume volume, double deepMm, Zone zone, Again again) {
        return tin(id, title, Tin.of(item), volume, deepMm, zone, again, 0);
    }

    /** As above, for many small places: laying all of them takes {@code handsMin} at least, however little goes into each. */
    public MixPlan tin(
            String id,
            String title,
            Tin tin,
            FillVolume volume,
            double deepMm,
            Zone zone,
            Again again,
            double handsMin) {
        ShelfItem item = tin.item();
        if (item.workMin().isEmpty() || item.sand().isEmpty()) {
            throw new IllegalStateException(item.name() + " was matched without a work time and a time to sand");
        }
        double airC = job.shop().air().tempC();
        CureLaw law = law(tin);
        double labelWork = tin.labelWorkMin();
        Envelope over = zone.shape().getEnvelopeInternal();
        double width = Math.min(over.getWidth(), over.getHeight());
        BiFunction<Double, Integer, Pour> at = (dose, batches) -> Dose.pour(
                tin,
                volume,
                deepMm,
                width,
                law.workMinAt(labelWork, airC, Peroxide.of(dose).factorOrNone().orElse(1)),
                dose,
                job.shop().spreadMlPerMin(),
                again,
                batches,
                handsMin,
                job.wishes().spreaderMm().orElse(TradeBook.value("spread.width")));
        double percent = Dose.housePercent(job.house(), BeadRule.puddleMm(volume.totalMl()));
        if (job.house().is("peroxide-dose", "weigh-2") && item.dosePercent().isPresent()) {
            percent = item.dosePercent().get();
        }
        if (job.house().is("peroxide-dose", "by-air")) {
            percent = Dose.byAir(item.dosePercent().orElse(percent), law.workMinAt(labelWork, airC, 1) / labelWork);
        }
        Pour pour = at.apply(percent, 1);
        if (job.house().is("peroxide-dose", "ribbon-half")) {
            pour = ribbon(pour, at);
        }
        Peroxide effect = Peroxide.of(pour.percent());
        double factor = effect.factorOrNone().orElse(1);
        DryingRoute air = DryingRoute.air(law, airC, factor);
        DryingRoute lamp =
                waits.warmed(DryingRoute.Kind.LAMP, item, law, factor, deepMm, TradeBook.value("heat.lamp-plateau"));
        DryingRoute route = job.wishes().drying(id) == DryingRoute.Kind.LAMP && lamp.cures() ? lamp : air;
        MixPlan mix = new MixPlan(id, title, pour, law, labelWork, List.of(air, lamp), route, effect.said());
        mixes.put(id, mix);
        waits.put(new Wait(
                id,
                title + ": sand from",
                item.name(),
                mix.routes(),
                route,
                "Nail leaves no mark on the thin edge, paper does not clog?",
                Waits.label(law),
                Optional.of(law),
                Optional.empty()));
        if (pour.batches() >= TOO_MANY_BATCHES) {
            blockers.add(item.name() + ": " + pour.notes().getFirst());
        }
        if (effect instanceof Peroxide.Fails f) {
            blockers.add(item.name() + ": " + f.message());
        }
        return mix;
    }
}
