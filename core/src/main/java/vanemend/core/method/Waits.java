package vanemend.core.method;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import vanemend.core.cure.CureLaw;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.Flash;
import vanemend.core.cure.Lag;
import vanemend.core.cure.Wait;
import vanemend.core.material.ShelfItem;
import vanemend.core.part.Composite;
import vanemend.core.part.Metal;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** The waits of a repair, each with its ways to cure, as they are laid out. A way that never cures becomes a blocker. */
public final class Waits {
    private final Job job;
    private final List<String> blockers;
    private final Map<String, Wait> waits = new LinkedHashMap<>();

    Waits(Job job, List<String> blockers) {
        this.job = job;
        this.blockers = blockers;
    }

    /** All of them by id, in the order they were laid out. */
    public Map<String, Wait> all() {
        return Collections.unmodifiableMap(waits);
    }

    /** Takes {@code w}, whose way may be one that never cures. */
    public void put(Wait w) {
        waits.put(w.id(), w);
        if (w.law().isPresent() && !w.route().cures()) {
            blockers.add(w.material() + ": " + w.route().note());
        }
    }

    /** How slowly the part follows a lamp with {@code fillMm} of filler on it. */
    private Lag lag(double fillMm) {
        return switch (job.part().substrate()) {
            case Composite c -> lag(Lag.Build.COMPOSITE, TradeBook.value("heat.tau.composite"));
            case Metal m -> {
                boolean aluminium = m.kind() == Metal.Kind.ALUMINIUM;
                yield lag(
                        aluminium ? Lag.Build.ALUMINIUM : Lag.Build.STEEL,
                        m.gaugeMm() * TradeBook.value(aluminium ? "heat.tau.aluminium" : "heat.tau.steel")
                                + fillMm * TradeBook.value("heat.tau.filler"));
            }
            default -> lag(Lag.Build.PLASTIC, TradeBook.value("heat.tau.plastic"));
        };
    }

    private Lag lag(Lag.Build build, double recalledMin) {
        return job.shop().heat().lag(build, recalledMin);
    }

    /** Warmed to {@code wantedC}, or a margin below what material and part stand; as long as the label prints where it prints that. */
    DryingRoute warmed(
            DryingRoute.Kind kind, ShelfItem item, CureLaw law, double factor, double fillMm, double wantedC) {
        double airC = job.shop().air().tempC();
        Lag lag = lag(fillMm);
        Optional<ShelfItem.LabelTime> printed = item.sand().stream()
                .filter(t -> t.atC() >= TradeBook.value("heat.printed-from") && Math.abs(t.atC() - wantedC) < 1)
                .findFirst();
        double part = job.warmestC().orElse(Double.MAX_VALUE);
        if (printed.isPresent() && wantedC <= Math.min(law.capC(), part)) {
            return DryingRoute.held(
                            kind,
                            law,
                            airC,
                            lag.tauMin(),
                            wantedC,
                            printed.get().minutes())
                    .following(lag);
        }
        double most = Math.min(law.capC() - TradeBook.value("heat.below-cap"), part);
        return DryingRoute.heated(kind, law, airC, factor, lag.tauMin(), Math.min(wantedC, most))
                .following(lag);
    }

    /** A wait for a two-part material; nothing where its label gives no time. */
    public void curing(String id, String title, ShelfItem item, double peroxideFactor, String sign) {
        if (item.sand().isEmpty()) {
            return;
        }
        double airC = job.shop().air().tempC();
        CureLaw law = job.times().law(item);
        List<DryingRoute> routes = new ArrayList<>();
        routes.add(DryingRoute.air(law, airC, peroxideFactor));
        double cap = Math.min(law.capC(), job.warmestC().orElse(law.capC()));
        double lamp = item.materialClass().figure("heatC").orElse(TradeBook.value("heat.lamp-plateau"));
        routes.add(warmed(DryingRoute.Kind.LAMP, item, law, peroxideFactor, 0, lamp));
        double oven = TradeBook.value("heat.oven-plateau");
        if (cap >= oven) {
            routes.add(warmed(DryingRoute.Kind.OVEN, item, law, peroxideFactor, 0, oven));
        }
        DryingRoute route = chosen(id, routes);
        put(new Wait(
                id,
                title,
                item.name(),
                List.copyOf(routes),
                route,
                sign,
                route.kind().heats()
                        ? "ramp, hold and cool"
                        : label(law) + (law.fitted() ? ", from its own times" : ""),
                Optional.of(law),
                Optional.empty()));
    }

    /** Where the time of {@code law} comes from, as said. */
    static String label(CureLaw law) {
        return "label " + Text.of(Math.round(law.sandMin()), "min") + " at " + Text.of(law.refC(), "°C");
    }

    private DryingRoute chosen(String id, List<DryingRoute> routes) {
        return routes.stream()
                .filter(r -> r.kind() == job.wishes().drying(id) && r.cures())
                .findFirst()
                .orElse(routes.getFirst());
    }

    /** A wait that no lamp shortens, {@code minutes} today. */
    public void still(String id, String title, String material, double minutes, String sign, String source) {
        DryingRoute air = DryingRoute.still(
                DryingRoute.Kind.AIR, minutes, job.shop().air().tempC(), "");
        put(new Wait(id, title, material, List.of(air), air, sign, source, Optional.empty(), Optional.empty()));
    }

    /** What dries by its label, at today's air; nothing where its label gives no time. */
    public void drying(String id, ShelfItem item, String sign) {
        OptionalDouble today = job.times().sandMin(item);
        if (today.isPresent()) {
            still(
                    id,
                    item.name() + ": dry from",
                    item.name(),
                    today.getAsDouble(),
                    sign,
                    "label of " + item.name() + " at today's air");
        }
    }

    /** Flash by the label; else what its class usually takes. The school for a promoter's spray is not its. */
    public void flashByClass(String id, ShelfItem item) {
        double typical = item.materialClass().figure("flash").orElseThrow();
        flash(id, item, typical, "typical of its class ");
    }

    /** Flash of a promoter: its label; else the house's school; stretched by cold and damp. */
    public void flash(String id, ShelfItem item) {
        double school =
                TradeBook.value(job.house().is("promoter-flash", "five") ? "promoter.flash-short" : "promoter.flash");
        flash(id, item, school, "house rule ");
    }

    private void flash(String id, ShelfItem item, double unlabelled, String from) {
        double label = item.flashMin().orElse(unlabelled);
        double today = label * Math.max(1, Flash.factor(job.shop().air()));
        still(
                id,
                item.name() + ": flash",
                item.name(),
                today,
                "Dry to the touch, shine gone?",
                (item.flashMin().isPresent() ? "label " : from) + Text.of(label, "min")
                        + ", stretched by today's air; recalled, verify");
    }
}
