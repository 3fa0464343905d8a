package vanemend.core.method;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vanemend.core.cure.Wait;
import vanemend.core.footprint.Reach;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Step.Clock;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.Step.Resource;
import vanemend.core.mix.Portion;
import vanemend.core.sanding.Rung;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.PlasticRow;

/** What the pages of all methods share. */
public abstract class MethodPage extends CoatPage {
    protected MethodPage(Kit kit) {
        super(kit);
    }

    protected MethodSteps laid(String method) {
        if (leadsTo(WAIT_AGAIN)) {
            loops.add(new Loop(WAIT_AGAIN, "Wait, then try again", List.of(waitAgain())));
        }
        return new MethodSteps(
                method,
                StepOrder.chained(Asides.intoWaits(steps)),
                () -> List.copyOf(loops),
                List.copyOf(kit.mixes().values()));
    }

    private static final String WAIT_AGAIN = "wait-again";

    /** Whether a look of this page, or of one of its loops, or what is watched there, leads to {@code loop}. */
    private boolean leadsTo(String loop) {
        return Stream.concat(steps.stream(), loops.stream().flatMap(l -> l.steps().stream()))
                .anyMatch(s -> s.gate().stream()
                                .flatMap(g -> g.branches().stream())
                                .anyMatch(b -> b.loop().equals(loop))
                        || s.watches().stream().anyMatch(w -> w.loop().equals(loop)));
    }

    // --- steps that several methods have

    protected void wash(Zone.Kind zone, String more) {
        add(step("wash", Kind.DO, "Wash the whole part")
                .detail("Soap and water, both sides: it spreads no dirt and shows hidden damage. " + more)
                .zone(zone)
                .material(name(Role.WASH))
                .active(TradeBook.value("minutes.wash-part"))
                .caution("calibration")
                .acts(Act.CLEAN));
    }

    protected boolean asks(PlasticRow.Condition c) {
        return PlasticRow.conditions(kit.job().part().substrate()).contains(c);
    }

    /** The stack on a hidden spot before it meets the face of a plastic that may craze, or on which it may not hold. */
    protected void trialSpot() {
        if (asks(PlasticRow.Condition.TRIAL_SPOT) || asks(PlasticRow.Condition.ALCOHOL_ONLY)) {
            add(look(
                            "trial-spot",
                            "Try all of it on a hidden spot",
                            "Every remover, cleaner, promoter and adhesive of this stack, in its order, as its label says.",
                            Zone.Kind.CLEAN,
                            gate(
                                    "Nothing crazes or softens, and it does not peel?",
                                    "Holds",
                                    "go on",
                                    "It does not",
                                    stop(
                                            "crazes",
                                            "It crazes, softens or peels",
                                            "No repair holds on it, or it cracks later: replace the part, or ask its maker.",
                                            Weight.STOP)))
                    .caution("solvent"));
        }
    }

    /** A plastic that takes up water is dried through; how long is told by the scale, or by a cloth in the break. */
    protected void dryPart() {
        if (asks(PlasticRow.Condition.DRY_FIRST)) {
            add(look(
                            "dry-part",
                            "Dry the part through",
                            "Warm, below its heat limit, in dry air; cold it takes " + Text.book("plastic.dry-air")
                                    + " or so. Weigh it, and again later: dry is when it no longer gets lighter. Its maker's"
                                    + " time where there is one.",
                            Zone.Kind.CLEAN,
                            gate(
                                    "Two weighings the same?",
                                    "Dry",
                                    "go on",
                                    "Still getting lighter",
                                    branch("damp", "Still getting lighter", "dry on, weigh again", "dry-again")))
                    .caution("lamp"));
            loop(
                    "dry-again",
                    "Dry on",
                    step("dry", Kind.DO, "Dry on, weigh again")
                            .detail("Warm, below its heat limit, in dry air.")
                            .zone(Zone.Kind.CLEAN)
                            .active(TradeBook.value("minutes.measure"))
                            .caution("lamp"));
        }
        if (asks(PlasticRow.Condition.DRY_INSIDE)) {
            add(look(
                    "dry-inside",
                    "Press a dry cloth into the damage",
                    "Foam drinks water, and warmed under a cover it blows bubbles.",
                    Zone.Kind.DAMAGE,
                    gate(
                            "The cloth stays dry?",
                            "Dry",
                            "go on",
                            "Damp",
                            branch("damp", "Damp", "warm the water out", "degas"))));
            loop(
                    "degas",
                    "Warm the water out",
                    step("degas", Kind.WAIT, "Keep it warm")
                            .detail("Even and gentle, " + Text.book("plastic.degas-heat")
                                    + " at most and below its heat limit, held so that it does not sag.")
                            .zone(Zone.Kind.CLEAN)
                            .clock(
                                    Clock.Kind.FROM,
                                    "Press the cloth in again from",
                                    TradeBook.value("plastic.degas"),
                                    TradeBook.shipped().turn("plastic.degas").shown())
                            .caution("lamp"));
        }
    }

    /** The deepest place of all read before anything is opened; {@code most} as said, {@code watches} what it is held against. */
    protected StepBuilder deepest(
            String title, double deepMm, String most, String next, Gate.Branch tooDeep, Watch... watches) {
        return look(
                        "depth",
                        title,
                        "Straightedge across it, depth gauge at the deepest place of all.",
                        Zone.Kind.DAMAGE,
                        gate(
                                        "Deepest place read, " + Text.of(deepMm, "mm") + " planned, never over " + most
                                                + "?",
                                        "Shallow enough",
                                        next,
                                        "Too deep",
                                        tooDeep)
                                .reading(Quantity.DEPTH_MM))
                .figure(Text.of(deepMm, "mm"))
                .tool("Straightedge, depth gauge")
                .active(TradeBook.value("minutes.measure"))
                .asks(Quantity.DEPTH_MM)
                .watches(watches);
    }

    protected StepBuilder clean(String id, String title, String detail, Zone.Kind zone) {
        return step(id, Kind.DO, title)
                .detail(detail)
                .zone(zone)
                .material(name(Role.CLEAN))
                .active(hands("minutes.wipe", zone))
                .caution("solvent")
                .acts(Act.CLEAN);
    }

    protected StepBuilder dustOff(String id, Zone.Kind zone) {
        String how = switch (house().of("cleaning-dust")) {
            case "air" -> "Blow off with clean dry air. Nothing wet near fresh material.";
            case "tack" -> "Tack cloth, opened, balled loosely, light touch.";
            default -> "Clean dry air, then a wipe by the label. Fingers off from here.";
        };
        return step(id, Kind.DO, "Dust off")
                .detail(how)
                .zone(zone)
                .active(hands("minutes.wipe", zone))
                .caution("solvent")
                .acts(Act.WIPE_AGAIN);
    }

    protected void cartridgeReady(String id, String portion) {
        add(purged(id, portion));
    }

    /** A cartridge made ready: both sides level, mixer on, purged. */
    protected StepBuilder purged(String id, String portion) {
        Portion p = kit.portion(portion);
        return step(id, Kind.DO, "Equalise, fit the mixer, purge")
                .detail(p.notes().getFirst() + " " + goes(p) + "Hands free until it is spread.")
                .material(p.material())
                .amount(figure(p, "Cartridges") + ", " + figure(p, "Mixers"))
                .portion(portion)
                .active(TradeBook.value("minutes.cartridge"))
                .caution("epoxy")
                .acts(Act.EQUALISE, Act.FIT_MIXER, Act.PURGE);
    }

    /** The same for a second round: one go, whatever the first took. */
    protected StepBuilder purgedAgain(String id, String portion) {
        Portion p = kit.portion(portion);
        return purged(id, portion)
                .detail(p.notes().getFirst() + " Hands free until it is spread.")
                .amount(Text.of(1, "mixers"));
    }

    /** Two parts mixed by hand; {@code both} is the figure of its portion that tells how much. */
    protected StepBuilder byHand(String id, String title, String portion, String both, String then) {
        Portion p = kit.portion(portion);
        return step(id, Kind.DO, title)
                .detail(p.notes().getFirst() + " " + then)
                .material(p.material())
                .amount(figure(p, both))
                .figure(figure(p, both))
                .portion(portion)
                .active(TradeBook.value("minutes.prepare-mix"))
                .acts(Act.HAND_MIX);
    }

    /** As {@code mixing} says, but as much as the depth that was read asks. */
    protected StepBuilder again(String portion, StepBuilder mixing) {
        Portion p = kit.portion(portion);
        return mixing.amount(said(p.again().orElseThrow(), p.unit())).figure("");
    }

    private static String goes(Portion p) {
        return p.batches() == 1 ? "" : p.batches() + " goes, a fresh mixer each. ";
    }

    /** A figure of a portion as said. */
    protected static String figure(Portion p, String word) {
        return p.figures().stream()
                .filter(f -> f.word().equals(word))
                .findFirst()
                .map(f -> Text.of(f.value(), f.unit()))
                .orElseThrow(() -> new IllegalStateException("portion " + p.id() + " has no figure " + word));
    }

    /** How much of a portion, in the unit of the shelf. */
    protected static String needed(Portion p) {
        return Text.of(p.needed(), p.unit());
    }

    /** Material laid on within its work time. */
    protected StepBuilder apply(
            String id, String title, String detail, String portion, String layer, Zone.Kind zone, double min) {
        Portion p = kit.portion(portion);
        StepBuilder b = step(id, Kind.SPREAD, title)
                .detail(detail)
                .zone(zone)
                .layer(layer)
                .material(p.material())
                .amount(needed(p))
                .figure(needed(p))
                .portion(portion)
                .active(min);
        used(b, p);
        if (p.form() == Portion.Form.CARTRIDGE) {
            b.acts(Act.DISPENSE);
        }
        return p.workMin() > 0
                ? b.clock(
                        Clock.Kind.BY,
                        "On the part by",
                        p.onPartByMin(),
                        Text.book("mix.work-share") + " of the label's work time, at today's air"
                                + (p.batches() > 1 ? "; each go" : ""))
                : b;
    }

    /** Material laid on once more: its amount follows the depth that is read. */
    protected StepBuilder applyAgain(
            String id, String title, String detail, String portion, String layer, Zone.Kind zone) {
        Portion p = kit.portion(portion);
        // A spot is one ply's worth at most, however many the first round laid.
        double most = TradeBook.value("minutes.lay");
        return apply(id, title, detail, portion, layer, zone, Math.min(handsOn(p), most))
                .amount(said(p.again().orElseThrow(), p.unit()))
                .figure("");
    }

    /** The caution for what {@code p} gives off and does to skin while it is live. */
    private String live(Portion p) {
        return stack().lines().stream()
                        .flatMap(l -> l.chosen().stream())
                        .anyMatch(i -> i.item().id().equals(p.itemId())
                                && i.item().materialClass().chemistry() == MaterialClass.Chemistry.POLYESTER)
                ? "styrene"
                : "epoxy";
    }

    /** Hands-on for one go: at least a minute, but never past its own deadline. */
    private static double handsOn(Portion p) {
        double least = Math.max(1, p.spreadMin());
        return p.workMin() > 0 ? Math.min(least, p.onPartByMin()) : least;
    }

    /** What was really used is asked where the shelf counts it by weight or volume. */
    protected static void used(StepBuilder b, Portion p) {
        switch (p.unit()) {
            case "mL" -> b.asks(Quantity.USED_ML);
            case "g" -> b.asks(Quantity.USED_G);
            default -> {}
        }
    }

    /** A mix laid in its goes, each within its own clock; from the second on with a fresh mixer or a fresh mix. */
    protected List<StepBuilder> inGoes(
            String id, String title, String detail, String portion, String layer, Zone.Kind zone, Act... acts) {
        return inGoes((go, goes) -> Go.ALIKE, id, title, detail, portion, layer, zone, acts);
    }

    /**
     * What one of several goes lays.
     *
     * @param words of its own; empty where all are alike
     * @param alone whether they say all that there is to do in it
     */
    protected record Go(String words, boolean alone) {
        static final Go ALIKE = new Go("", false);

        /** Every page may make one. */
        public Go {}
    }

    /** What each of several goes lays, the first being 1. */
    protected interface OfGo {
        Go said(int go, int goes);
    }

    /** Which of {@code cloths} each go lays: they are shared out among the goes, with material under the first and over the last. */
    protected static OfGo cloths(int cloths) {
        return (go, goes) -> {
            List<Integer> now = new ArrayList<>();
            int before = 0;
            for (int c = 1; c <= cloths; c++) {
                long in = Math.max(1, Math.round((double) c * goes / (cloths + 1)));
                if (in == go) {
                    now.add(c);
                }
                before += in < go ? 1 : 0;
            }
            if (now.isEmpty()) {
                return new Go(
                        before == 0
                                ? "Tight coat pressed in, then the bed that the cloth goes into with the next."
                                : before < cloths
                                        ? "The bed between the cloths, no air beneath."
                                        : "Over the cloth until no weave shows, air spread out from the middle.",
                        true);
            }
            String which = now.stream().map(String::valueOf).collect(Collectors.joining(" and "));
            String them = cloths == 1
                    ? "The cloth goes"
                    : "Cloth " + which + " of " + cloths + (now.size() > 1 ? " go" : " goes");
            return new Go(them + " into this one. ", false);
        };
    }

    /** As above; {@code of} says what each go lays where there are several. */
    protected List<StepBuilder> inGoes(
            OfGo of,
            String id,
            String title,
            String detail,
            String portion,
            String layer,
            Zone.Kind zone,
            Act... acts) {
        Portion p = kit.portion(portion);
        List<StepBuilder> out = new ArrayList<>();
        for (int go = 1; go <= p.batches(); go++) {
            boolean only = p.batches() == 1;
            String again =
                    go == 1 ? "" : p.form() == Portion.Form.CARTRIDGE ? "Fresh mixer, purged. " : "A fresh mix. ";
            Go own = only ? Go.ALIKE : of.said(go, p.batches());
            StepBuilder b = apply(
                            only ? id : id + "-" + go,
                            only ? title : title + ", go " + go + " of " + p.batches(),
                            again + own.words() + (own.alone() ? "" : detail),
                            portion,
                            layer,
                            zone,
                            handsOn(p))
                    .acts(acts)
                    .caution(live(p));
            out.add(only ? b : b.amount(p.eachGo() + " of " + needed(p)));
        }
        return out;
    }

    /** Whether what cures was laid with a spreader, which is wiped before it sets. */
    private boolean spread(String portion) {
        return kit.has(portion)
                && EnumSet.of(Portion.Form.CARTRIDGE, Portion.Form.HAND_MIXED)
                        .contains(kit.portion(portion).form());
    }

    /** A wait for cure with its sign as a gate. */
    protected StepBuilder cured(
            String id, String title, String wait, String layer, Zone.Kind zone, String label, Act act) {
        Optional<Wait> w = kit.waited(wait);
        boolean heat = w.filter(x -> x.route().kind().heats()).isPresent();
        String how = heat
                ? w.orElseThrow().route().note() + " Then cool to " + Text.book("heat.cool-to")
                        + ": no sanding while warm. "
                : "";
        StepBuilder b = step(
                        id,
                        Kind.WAIT,
                        heat ? title + " " + w.orElseThrow().route().kind().word() : title)
                .detail((spread(wait) ? WIPED : "")
                        + how
                        + (w.isEmpty() ? "By test: the label gives no time. " : "")
                        + "Thin edges cure last.")
                .zone(zone)
                .layer(layer)
                .active(spread(wait) ? TradeBook.value("minutes.clean-up") : 0)
                .gate(gate(
                        w.map(Wait::sign).orElse("A fingernail leaves no mark on the thin edge?"),
                        "Hard",
                        "go on",
                        "Still soft",
                        branch("soft", "Still soft", "wait and try again", "wait-again")))
                .acts(act);
        w.ifPresent(x -> {
            b.material(x.material());
            clock(b, x, label);
            // Surface readings move the clock where the label's own times say how.
            x.law().ifPresent(l -> b.asks(Quantity.SURFACE_C).watches(notOver(l)));
        });
        return b;
    }

    /** The rungs of one leg, as steps. */
    protected List<StepBuilder> sanding(String leg, String layer, boolean guideCoat, String more, Act... acts) {
        List<StepBuilder> out = new ArrayList<>();
        for (Rung r : kit.ladder().rungs()) {
            if (r.leg().equals(leg)) {
                out.add(step(
                                r.id(),
                                Kind.SAND,
                                (guideCoat ? "Guide coat, " : r.stage() + ", ") + r.paper() + " by "
                                        + r.tool().within())
                        .detail(first(r.motion()) + ". Stop when: " + r.sign() + "."
                                + (out.isEmpty() ? more(more) : ""))
                        .zone(r.zone())
                        .layer(layer)
                        .tool(r.tool().word())
                        .paper(r.paper() + (r.note().isEmpty() ? "" : ", " + r.note()))
                        .amount(r.discs() + (r.discs() == 1 ? " disc" : " discs"))
                        .active(r.minutes())
                        .caution(dustOf(leg))
                        .acts(acts)
                        .needs(sander(r)));
            }
        }
        if (guideCoat) {
            out.forEach(b -> b.acts(Act.GUIDE));
        }
        return out;
    }

    /** How long a board has to be: shorter than what it levels it rides in the hollow, longer it rests on what is sound (practice). */
    protected String longBoard(Zone.Kind levelled) {
        double across = Reach.acrossMm(kit.footprint().zone(levelled).shape());
        return "A board longer than " + Text.of(Math.ceil(across), "mm") + " rests on sound panel at both ends.";
    }

    /** What is said once, where it applies: at the first paper of a leg. */
    private static String more(String more) {
        return more.isEmpty() ? "" : " " + more;
    }

    /** The caution for the dust of a leg. */
    protected String dustOf(String leg) {
        return "dust";
    }

    /** The sander that a rung takes, if it takes one. */
    protected static Resource[] sander(Rung r) {
        return r.tool().machine() ? new Resource[] {Resource.SANDER} : new Resource[0];
    }

    protected void addAll(List<StepBuilder> all) {
        add(all.toArray(StepBuilder[]::new));
    }

    protected StepBuilder cut(String id, String title, String detail, String portion, Zone.Kind zone) {
        Portion p = kit.portion(portion);
        return step(id, Kind.DO, title)
                .detail(detail)
                .zone(zone)
                .material(p.material())
                .amount(p.unit().equals(ShelfItem.OFF_A_ROLL) ? figure(p, "Cut") + ", " + needed(p) : needed(p))
                .portion(portion)
                .active(TradeBook.value("minutes.cut-cloth"))
                .acts(Act.CUT_CLOTH);
    }

    /** Film for what is laid on it. */
    protected StepBuilder cutFilm(Zone.Kind zone) {
        return cut(
                "cut-film",
                "Cut the film",
                mm("roll.film-past") + " larger than what it carries, all round.",
                "film",
                zone);
    }

    protected void ready(String title, String detail) {
        add(step("ready", Kind.DO, title)
                .detail(detail + " " + TradeBook.shipped().closing())
                .zone(Zone.Kind.CLEAN)
                .active(hands("minutes.wipe", Zone.Kind.CLEAN))
                .acts(Act.READY));
    }

    protected double minutesFor(String valueId, Zone.Kind zone) {
        return Math.max(1, TradeBook.value(valueId) * kit.footprint().areaMm2(zone) / 100 / 100);
    }
}
