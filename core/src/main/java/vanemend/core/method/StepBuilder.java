package vanemend.core.method;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntUnaryOperator;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import vanemend.core.cure.Wait;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Step.Clock;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.Step.Resource;
import vanemend.core.trade.Caution;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.TradeBook;

/** Collects a step's fields by name. */
public final class StepBuilder {
    private final String id;
    private final Kind kind;
    private final String title;
    private final Map<String, String> text = new HashMap<>();
    private final List<Caution> cautions = new ArrayList<>();
    private final List<Resource> resources = new ArrayList<>();
    private final List<Quantity> asks = new ArrayList<>();
    private Optional<Zone.Kind> zone = Optional.empty();
    private Optional<Clock> clock = Optional.empty();
    private Optional<Gate> gate = Optional.empty();
    private double active;
    private final Set<Act> acts = EnumSet.noneOf(Act.class);
    private final List<Watch> watches = new ArrayList<>();
    private Optional<Step.Wanted> wanted = Optional.empty();
    private List<String> sites = List.of();

    StepBuilder(String id, Kind kind, String title) {
        this.id = id;
        this.kind = kind;
        this.title = title;
    }

    /** Everything of {@code s} under another id and title. */
    static StepBuilder of(String id, String title, Step s) {
        StepBuilder b = new StepBuilder(id, s.kind(), title)
                .detail(s.detail())
                .layer(s.layer())
                .tool(s.tool())
                .paper(s.paper())
                .material(s.material())
                .amount(s.amount())
                .figure(s.figure())
                .mix(s.mix())
                .portion(s.portion())
                .active(s.activeMin());
        b.sites = s.sites();
        b.zone = s.zone();
        b.clock = s.clock();
        b.gate = s.gate();
        b.wanted = s.wanted();
        b.asks.addAll(s.asks());
        b.cautions.addAll(s.cautions());
        b.resources.addAll(s.resources());
        b.acts.addAll(s.acts());
        b.watches.addAll(s.watches());
        return b;
    }

    public StepBuilder detail(String s) {
        text.put("detail", s);
        return this;
    }

    /** Puts {@code s} before what is said already. */
    public StepBuilder detailFirst(String s) {
        return detail(s + text.getOrDefault("detail", ""));
    }

    /** Asks for depth and size of a spot here: a second round then takes as much as that hollow needs. */
    public StepBuilder howDeep() {
        String how = text.getOrDefault("detail", "");
        return detail(
                        kind == Kind.GATE
                                ? how + " A low spot: read how deep and how far across, the amount follows."
                                : "Read how deep it is, how far across: the amount follows. " + how)
                .asks(Quantity.DEPTH_MM, Quantity.SPOT_MM);
    }

    public StepBuilder layer(String s) {
        text.put("layer", s);
        return this;
    }

    public StepBuilder tool(String s) {
        text.put("tool", s);
        return this;
    }

    public StepBuilder paper(String s) {
        text.put("paper", s);
        return this;
    }

    public StepBuilder material(String s) {
        text.put("material", s);
        return this;
    }

    public StepBuilder amount(String s) {
        text.put("amount", s);
        return this;
    }

    public StepBuilder figure(String s) {
        text.put("figure", s);
        return this;
    }

    public StepBuilder mix(String s) {
        text.put("mix", s);
        return this;
    }

    public StepBuilder zone(Zone.Kind z) {
        zone = Optional.of(z);
        return this;
    }

    public StepBuilder active(double min) {
        active = min;
        return this;
    }

    /** Hands do this much more there, min. */
    public StepBuilder besides(double min) {
        return active(active + min);
    }

    public StepBuilder clock(Clock.Kind k, String label, double minutes, String note) {
        clock = Optional.of(new Clock(k, label, minutes, note, ""));
        return this;
    }

    /** The clock of a wait of the plan. */
    public StepBuilder clock(String label, Wait w) {
        clock = Optional.of(new Clock(Clock.Kind.FROM, label, w.route().minutes(), w.source(), w.id()));
        return this;
    }

    public StepBuilder gate(Gate g) {
        gate = Optional.of(g);
        return this;
    }

    public StepBuilder asks(Quantity... all) {
        asks.addAll(List.of(all));
        return this;
    }

    /** A reading taken here is held against {@code all}. */
    public StepBuilder watches(Watch... all) {
        watches.addAll(List.of(all));
        return this;
    }

    StepBuilder wanted(Step.Wanted w) {
        wanted = Optional.of(w);
        return this;
    }

    public StepBuilder caution(String cautionId) {
        return caution(TradeBook.shipped().caution(cautionId));
    }

    public StepBuilder caution(Caution c) {
        cautions.add(c);
        return this;
    }

    public StepBuilder portion(String s) {
        text.put("portion", s);
        return this;
    }

    public StepBuilder acts(Act... all) {
        acts.addAll(List.of(all));
        return this;
    }

    public StepBuilder needs(Resource... all) {
        resources.addAll(List.of(all));
        return this;
    }

    Step build(List<String> after) {
        if (active > 0 && !resources.contains(Resource.HANDS)) {
            resources.addFirst(Resource.HANDS);
        }
        return new Step(
                id,
                kind,
                title,
                get("detail"),
                zone,
                get("layer"),
                get("tool"),
                get("paper"),
                get("material"),
                get("amount"),
                get("figure"),
                active,
                clock,
                gate,
                get("mix"),
                List.copyOf(asks),
                List.copyOf(cautions),
                List.copyOf(resources),
                after,
                List.copyOf(acts),
                get("portion"),
                wanted,
                List.copyOf(watches),
                sites);
    }

    /** Where {@code s} is done: its zone, its layer, its site. */
    StepBuilder at(Step s) {
        zone = s.zone();
        sites = s.sites();
        return layer(s.layer());
    }

    /** Needs no hands. */
    StepBuilder handsFree() {
        resources.remove(Resource.HANDS);
        return this;
    }

    StepBuilder sites(List<String> some) {
        sites = List.copyOf(some);
        return this;
    }

    /** Mix, portion, wait, loops and watches are called by {@code named}, and damage stands at {@code damage}. */
    StepBuilder knowing(UnaryOperator<String> named, IntUnaryOperator damage) {
        Stream.of("mix", "portion")
                .forEach(k -> text.computeIfPresent(k, (n, id) -> id.isEmpty() ? id : named.apply(id)));
        clock = clock.map(c -> c.waitId().isEmpty()
                ? c
                : new Clock(c.kind(), c.label(), c.minutes(), c.note(), named.apply(c.waitId())));
        gate = gate.map(g -> g.into(named));
        List<Watch> there = watches.stream().map(w -> w.at(named, damage)).toList();
        watches.clear();
        watches.addAll(there);
        return this;
    }

    private String get(String name) {
        return text.getOrDefault(name, "");
    }
}
