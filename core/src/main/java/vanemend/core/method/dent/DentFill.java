package vanemend.core.method.dent;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Gate;
import vanemend.core.method.Kit;
import vanemend.core.method.Loop;
import vanemend.core.method.Method;
import vanemend.core.method.MethodPage;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.method.Step.Clock;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.Step.Resource;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.part.Coat;
import vanemend.core.part.Metal;
import vanemend.core.sanding.Rung;
import vanemend.core.sanding.Tool;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/**
 * Metal dent fill: dents left after straightening, mended with polyester filler and putty. The order is the order of the work;
 * each private method is one heading of it.
 */
public final class DentFill extends MethodPage {
    /** The method. */
    public static final Method METHOD = Method.of(MethodId.METAL_DENT, DentLayout::new);

    /**
     * What the page turns on besides its kit.
     *
     * @param hollows each dent or scratch, in the order of the draft; one at least
     * @param servings which of them each mix of filler serves, in the order it is mixed; empty where putty alone fills
     * @param whole whether the paint is kept whole and only dulled
     * @param primerSandMin time until epoxy primer can be scuffed, min; absent where none is asked
     * @param sealerDryMin time until pinhole sealer is dry today, min; absent where its label gives none
     */
    record Found(
            List<Hollow> hollows,
            List<Serving> servings,
            boolean whole,
            Optional<Double> primerSandMin,
            Optional<Double> sealerDryMin) {}

    /**
     * A dent or a scratch.
     *
     * @param damage its place in the draft, from 0
     * @param deepMm deepest, mm
     * @param share what a mm more of it takes, as a share of what a mm more of the largest takes
     */
    record Hollow(int damage, double deepMm, double share) {}

    /**
     * Hollows that one mix fills.
     *
     * @param mix its id
     * @param hollows places in the list of hollows, from 0
     */
    record Serving(String mix, List<Integer> hollows) {}

    private final Found found;

    private DentFill(Kit kit, Found found) {
        super(kit);
        this.found = found;
    }

    /** The steps for what was found. */
    static MethodSteps lay(Kit kit, Found found) {
        return new DentFill(kit, found).lay();
    }

    private Metal metal() {
        return (Metal) kit.job().part().substrate();
    }

    private Optional<MixPlan> filler() {
        return kit.has("filler") ? Optional.of(kit.mix("filler")) : Optional.empty();
    }

    private MixPlan putty() {
        return kit.mix("putty");
    }

    private MethodSteps lay() {
        wash();
        straighten();
        if (found.whole()) {
            dullWholePaint();
        } else {
            openTheCoats();
        }
        if (filler().isPresent()) {
            fill();
            shape();
        }
        skim();
        refine();
        sealAndPass();
        return new MethodSteps(
                "Metal dent fill",
                List.copyOf(steps),
                this::rework,
                List.copyOf(kit.mixes().values()));
    }

    private void wash() {
        add(step("wash", Kind.DO, "Wash, then degrease")
                .detail("Soap and water over the whole part. Then "
                        + name(Role.CLEAN).toLowerCase(Locale.ROOT)
                        + ", wiped off with a second clean cloth while wet.")
                .zone(Zone.Kind.CLEAN)
                .material(name(Role.CLEAN))
                .active(TradeBook.value("minutes.wash"))
                .caution("solvent")
                .acts(Act.CLEAN));
    }

    private void straighten() {
        StepBuilder straighten = step("straighten", Kind.DO, "Straighten")
                .detail(
                        "Pull or tap as near to flat as it goes. Weld studs only where needed, grind no more than their spot.")
                .zone(Zone.Kind.DAMAGE)
                .layer("part")
                .tool("Hammer, dolly, studs")
                .active(TradeBook.value("minutes.per-dent.straighten")
                        * found.hollows().size())
                .caution("metalwork")
                .caution("hot-work");
        if (metal().kind() == Metal.Kind.GALVANISED_STEEL) {
            straighten.caution("zinc-fume");
        }
        add(straighten);
        boolean one = found.hollows().size() == 1;
        for (int i = 0; i < found.hollows().size(); i++) {
            Hollow h = found.hollows().get(i);
            String of = one ? "" : ", " + (i + 1) + " of " + found.hollows().size();
            add(step(one ? "depth" : "depth-" + (i + 1), Kind.GATE, "Measure the depth left" + of)
                    .detail("Straightedge across the dent, depth gauge at the deepest place.")
                    .zone(Zone.Kind.DAMAGE)
                    .layer("part")
                    .tool("Straightedge, depth gauge")
                    .figure(Text.of(h.deepMm(), "mm"))
                    .active(TradeBook.value("minutes.measure"))
                    .asks(Quantity.DEPTH_MM)
                    .watches(one ? depthWatches(h, mixOf(i)) : eachWatches(h, i))
                    .gate(new Gate(
                                    "Depth left read, " + Text.of(h.deepMm(), "mm") + " planned, never over "
                                            + Text.book("limit.metal-depth.upTo") + "?",
                                    "Shallow enough",
                                    i + 1 < found.hollows().size() ? "the next dent" : "open the coats",
                                    "Too deep",
                                    List.of(new Gate.Branch(
                                            "deep", "Too deep", "straighten again", "straighten-again")))
                            .reading(Quantity.DEPTH_MM)));
        }
    }

    /** Each dent is read by itself: what is wrong with one is not put right by another. */
    private Watch[] eachWatches(Hollow h, int i) {
        return Stream.of(depthWatches(h, mixOf(i)))
                .map(w -> w.called(w.id() + "-" + (i + 1)).of(new Watch.OfDamage(h.damage(), h.share())))
                .toArray(Watch[]::new);
    }

    /** The mix that fills hollow {@code i}. */
    private String mixOf(int i) {
        return found.servings().stream()
                .filter(s -> s.hollows().contains(i))
                .map(Serving::mix)
                .findFirst()
                .orElse("putty");
    }

    /** Between the aim and the most, amounts and lifts follow what is read; over the most nothing is filled. */
    private Watch[] depthWatches(Hollow h, String mix) {
        Watch most = tooDeep();
        Watch planned = Watch.planned(
                "depth",
                Quantity.DEPTH_MM,
                h.deepMm(),
                mix,
                "Depth other than planned",
                "The first mix follows the depth that was read.");
        Watch shallow = Watch.limit(
                "shallow",
                Quantity.DEPTH_MM,
                Watch.Sense.AT_MOST,
                "limit.metal-shallow.upTo",
                Weight.OTHER,
                "Deeper than the aim",
                "Straighten more if it can be; else thin lifts.");
        double aim = TradeBook.shipped().turn("limit.metal-shallow.upTo").value();
        return h.deepMm() <= aim ? new Watch[] {planned, shallow, most} : new Watch[] {planned, most};
    }

    private static Watch tooDeep() {
        return Watch.limit(
                        "too-deep",
                        Quantity.DEPTH_MM,
                        Watch.Sense.AT_MOST,
                        "limit.metal-depth.upTo",
                        Weight.STOP,
                        "Too deep to fill",
                        "Back to straightening, then measure again: thicker filler cracks and prints through.")
                .leaving("straighten-again");
    }

    /** Small dings: the paint stays whole, and is dulled as far as anything will lie on it. */
    private void dullWholePaint() {
        add(look(
                "paint-sound",
                "Is the paint sound?",
                "Tape pressed on over the ding and pulled off; a nail along any edge.",
                Zone.Kind.OPENING,
                gate(
                        "No flake, no crack at the ding, the tape takes nothing?",
                        "Sound",
                        "dull it",
                        "It lets go",
                        stop(
                                "lets-go",
                                "The paint lets go",
                                "Nothing holds on paint that does not: plan anew with the coats opened.",
                                Weight.STOP))));
        double cm2 = area(Zone.Kind.OPENING) / 100;
        add(step("open", Kind.SAND, "Dull the whole paint, none of it off")
                .detail(
                        "The ding itself by finger and paper, then around it; dull all over, no bare metal looked for. A spot that"
                                + " goes bare is feathered and primed first.")
                .zone(Zone.Kind.OPENING)
                .layer("coats")
                .tool("Flat DA, finger")
                .paper("120")
                .active(Math.max(1, TradeBook.value("minutes.sand.per-100cm2") * cm2 / 100))
                .caution("dust")
                .caution("old-paint")
                .needs(Resource.SANDER)
                .acts(Act.SAND_FACE));
        wipeOpened();
    }

    private void wipeOpened() {
        add(step("wipe", Kind.DO, "Blow off, " + name(Role.WIPE).toLowerCase(Locale.ROOT))
                .detail("Clean dry oil-free air, then wipe. Fingers off from here.")
                .zone(Zone.Kind.PUTTY)
                .material(name(Role.WIPE))
                .active(hands("minutes.wipe", Zone.Kind.PUTTY))
                .caution("solvent")
                .acts(Act.WIPE_AGAIN));
    }

    private void openTheCoats() {
        List<Coat> on = kit.job().part().coats();
        boolean coats = house().is("filler-base", "sound-coats")
                && on.stream().anyMatch(c -> c.kind().isGround());
        boolean bare = on.isEmpty();
        String kept = on.stream()
                .filter(c -> c.kind().isGround())
                .map(c -> c.kind().word())
                .collect(Collectors.joining(" and "));
        double cm2 = area(Zone.Kind.FEATHER) / 100;
        StepBuilder open = step(
                        "open",
                        Kind.SAND,
                        bare ? "Sand the bare metal" : coats ? "Open the coats, keep " + kept : "Strip to bare metal")
                .detail(
                        bare
                                ? "Bright and dull all over; bare metal flash-rusts: fill it the same hour."
                                : (coats
                                                ? "Take off what lies over it inside the opening; sand what stays. "
                                                : "Everything off inside the opening. ")
                                        + "Feather the paint edge " + mm("dent.feather-width") + " wide.")
                .zone(Zone.Kind.FEATHER)
                .layer("coats")
                .tool("Flat DA")
                .paper(filler().isPresent() ? "80" : "180")
                .active(TradeBook.value("minutes.open.per-100cm2") * cm2 / 100)
                .caution("dust")
                .needs(Resource.SANDER)
                .acts(Act.SAND_FACE);
        if (!bare) {
            open.caution("old-paint");
        }
        if (metal().kind() == Metal.Kind.ALUMINIUM) {
            open.caution("aluminium-dust");
        }
        add(open);
        wipeOpened();
        found.primerSandMin().ifPresent(min -> {
            add(step("prime", Kind.DO, "Prime the bare metal")
                    .detail("Epoxy primer over the opening, even wet coat, by its label.")
                    .zone(Zone.Kind.OPENING)
                    .layer("coats-kept")
                    .material(name(Role.PRIME))
                    .amount(needed(kit.portion("primer")))
                    .portion("primer")
                    .active(hands("minutes.prime", Zone.Kind.OPENING))
                    .caution("primer"));
            add(step("prime-wait", Kind.WAIT, "Wait to scuff the primer")
                    .detail("Label time at today's temperature, then by touch.")
                    .zone(Zone.Kind.OPENING)
                    .clock(Clock.Kind.FROM, "Scuff from", min, "label of " + name(Role.PRIME))
                    .gate(new Gate(
                            "Does a fingernail leave no mark?",
                            "No mark",
                            "scuff it",
                            "Still soft",
                            List.of(new Gate.Branch("soft", "Still soft", "wait and try again", "wait-again")))));
            add(step("scuff", Kind.SAND, "Scuff the primer, wipe")
                    .detail("Dull all over, not through. Blow off and wipe.")
                    .zone(Zone.Kind.OPENING)
                    .tool("Hand pad")
                    .paper("180")
                    .active(hands("minutes.scuff", Zone.Kind.OPENING))
                    .caution("dust"));
        });
    }

    /** Mix after mix, each for its own dents: what was spread first cures while the next is mixed and spread. */
    private void fill() {
        prepareMix(filler().orElseThrow(), "filler", Zone.Kind.FILLER);
        for (Serving s : found.servings()) {
            MixPlan mix = kit.mix(s.mix());
            batches(
                    mix,
                    s.mix(),
                    forHollows(s),
                    "filler",
                    Zone.Kind.FILLER,
                    n -> n == 1 ? "Spread the tight coat, then build" : "Build on",
                    n -> (n == 1
                                    ? "Press a thin tight coat into the scratches first, then build in " + lifts(mix)
                                            + "."
                                            + (mix.pour().lifts() > 1
                                                    ? " Its label says whether a lift sets before the next."
                                                    : "")
                                    : "On what lies there, as its label lets the next lift follow; no tight coat again.")
                            + " Each stroke overlaps the last by a third, " + strokes(mix) + " a pass."
                            + (n == mix.pour().batches()
                                    ? " Taper the edges inside the "
                                            + (found.whole() ? "dulled ring" : "feathered paint") + "; end "
                                            + mm("dent.proud") + " proud."
                                    : ""),
                    Act.BODY_FILLER);
            // Cheese is a moment: what waits for it is filed before the next is mixed.
            if (house().is("first-grade", "file-cheese")) {
                cheese(mix, s);
            }
        }
        for (Serving s : found.servings()) {
            MixPlan mix = kit.mix(s.mix());
            add(curing(mix, s.mix() + "-wait", forHollows(s), Zone.Kind.FILLER, "80")
                    .layer("filler"));
        }
    }

    /** Which hollows a mix is for; empty where one mix is for all. */
    private String forHollows(Serving s) {
        return found.servings().size() == 1 ? "" : ", " + called(s.hollows());
    }

    /** Dents by their numbers, from 1. */
    static String called(List<Integer> hollows) {
        String numbers = hollows.stream().map(i -> String.valueOf(i + 1)).collect(Collectors.joining(", "));
        return (hollows.size() == 1 ? "dent " : "dents ") + numbers;
    }

    private void cheese(MixPlan mix, Serving s) {
        String first = s.mix().equals("filler") ? "" : s.mix() + "-";
        double cheese = mix.route().minutes() * TradeBook.value("cure.cheese-share");
        add(step(first + "cheese", Kind.WAIT, "Wait for the cheese stage" + forHollows(s))
                .detail("Firm, not hard: a thumbnail dents it, nothing sticks to the file.")
                .zone(Zone.Kind.FILLER)
                .layer("filler")
                .clock(
                        Clock.Kind.FROM,
                        "File from",
                        cheese,
                        Text.book("cure.cheese-share") + " of the time to sand; the thumbnail decides")
                .gate(new Gate(
                        "Firm as cheese?",
                        "Firm",
                        "file now",
                        "Too soft",
                        List.of(new Gate.Branch("soft", "Too soft", "wait and try again", "wait-again")))));
        add(step(first + "file", Kind.DO, "File off the excess" + forHollows(s))
                .detail("Grating file inside the filler only; leave enough for 80.")
                .zone(Zone.Kind.FILLER)
                .layer("filler")
                .tool("Grating file")
                .active(TradeBook.value("minutes.file"))
                .caution("dust"));
    }

    private void shape() {
        kit.ladder().rungs().stream()
                .filter(r -> r.leg().equals(DentLadder.SHAPE))
                .forEach(this::sand);
        int n = found.hollows().size();
        boolean one = n == 1;
        for (int i = 1; i <= n; i++) {
            String of = one ? "" : ", " + i + " of " + n;
            add(step(one ? "shape-gate" : "shape-gate-" + i, Kind.GATE, "Look for high, low, pinholes" + of)
                    .detail("Guide coat left dark is low. Metal showing proud is high. Light from the side.")
                    .howDeep()
                    .zone(Zone.Kind.FEATHER)
                    .layer("filler")
                    .active(TradeBook.value("minutes.gate"))
                    .gate(new Gate(
                            "Four fifths formed, whole feather edge showing, no high or low spot?",
                            "Good",
                            i < n ? "the next dent" : "putty next",
                            "Not yet",
                            List.of(
                                    new Gate.Branch("high", "High spot", "tap down, skim all", "high"),
                                    new Gate.Branch("low", "Low spot", "fill the hollow, skim all", "low"),
                                    new Gate.Branch("pinholes", "Pinholes", "fill, thin coat over all", "pinholes")))));
        }
    }

    private void skim() {
        MixPlan mix = putty();
        boolean alone = filler().isEmpty();
        add(step("putty-dull", Kind.SAND, "180 out past where the putty will end")
                .detail("Into the clear, straight lines out of it, dull all over: putty never lies on gloss.")
                .zone(Zone.Kind.REFINE_180)
                .layer("coats")
                .tool(Tool.HAND_BLOCK.word())
                .paper("180")
                .active(hands("minutes.scuff", Zone.Kind.REFINE_180))
                .caution("dust")
                .acts(Act.DULL));
        add(dustOff("putty-dust", Zone.Kind.REFINE_180));
        mixAndSpread(
                mix,
                "putty",
                "putty",
                Zone.Kind.PUTTY,
                alone ? "Spread the putty" : "Skim putty over the entire repair",
                (alone ? "Fill the hollow in " + lifts(mix) + ", then over all. " : "")
                        + (found.whole()
                                ? "Over the ding and out to nothing inside the dulled ring. "
                                : "From paint edge to paint edge, past the feathered clear: it seals the base and prevents rings. ")
                        + first(strokes(mix)) + " a pass.",
                Act.FINISH_COAT);
        cure(mix, "putty", Zone.Kind.PUTTY, "180");
    }

    private void refine() {
        kit.ladder().rungs().stream()
                .filter(r -> r.leg().equals(DentLadder.REFINE))
                .forEach(this::sand);
    }

    private void sealAndPass() {
        add(dustOff("seal-dust", Zone.Kind.PUTTY));
        add(step("seal", Kind.DO, "Rub in pinhole sealer")
                .detail("Wipe off flush. A second pass where pinholes show.")
                .zone(Zone.Kind.PUTTY)
                .layer("putty")
                .material(name(Role.PINHOLE))
                .active(hands("minutes.seal", Zone.Kind.PUTTY))
                .caution("solvent"));
        StepBuilder wait = step("seal-wait", Kind.WAIT, "Let the sealer dry")
                .detail(
                        found.sealerDryMin().isPresent()
                                ? "Label time at today's temperature, then by touch."
                                : "By test: the label gives no time.")
                .zone(Zone.Kind.PUTTY)
                .layer("putty")
                .gate(new Gate(
                        "Dry to the touch?",
                        "Dry",
                        "palm test next",
                        "Still wet",
                        List.of(new Gate.Branch("wet", "Still wet", "wait and try again", "wait-again"))));
        found.sealerDryMin()
                .ifPresent(dry -> wait.clock(
                        Clock.Kind.FROM, "Dry from", dry, "label of " + name(Role.PINHOLE) + " at today's air"));
        add(wait);
        int n = found.hollows().size();
        for (int i = 1; i <= n; i++) {
            add(step(n == 1 ? "palm" : "palm-" + i, Kind.GATE, "Palm test" + (n == 1 ? "" : ", " + i + " of " + n))
                    .detail(
                            "Flat hand, all directions: flat, no bulge, no pinholes, no straight lines, dull everywhere.")
                    .howDeep()
                    .zone(Zone.Kind.FINE_320)
                    .layer("putty")
                    .active(TradeBook.value("minutes.gate"))
                    .gate(new Gate(
                            "Flat, no pinholes, no lines, dull everywhere?",
                            "Passed",
                            i < n ? "the next dent" : "blow off, wipe",
                            "Not yet",
                            List.of(
                                    new Gate.Branch("pinholes", "Pinholes", "seal again", "seal-again"),
                                    new Gate.Branch("low", "Low spot", "putty again", "putty-again"),
                                    new Gate.Branch("shine", "Shine left", "320 again", "dull-again")))));
        }
        add(step("ready", Kind.DO, "Blow off and wipe: ready for primer")
                .detail(TradeBook.shipped().closing())
                .zone(Zone.Kind.CLEAN)
                .material(name(Role.WIPE))
                .active(hands("minutes.wipe", Zone.Kind.CLEAN))
                .caution("solvent")
                .acts(Act.WIPE_AGAIN, Act.READY));
    }

    private void sand(Rung r) {
        add(sanding(r));
    }

    private StepBuilder sanding(Rung r) {
        boolean onFiller = r.leg().equals(DentLadder.SHAPE);
        return step(
                        r.id(),
                        Kind.SAND,
                        "Guide coat, " + r.paper() + " by " + r.tool().within())
                .detail(first(r.motion()) + ". Stop when: " + r.sign() + "."
                        + (onFiller ? " Coarse marks on paint cannot be got out." : ""))
                .zone(r.zone())
                .layer(onFiller ? "filler" : "putty")
                .tool(r.tool().word())
                .paper(r.paper())
                .amount(r.discs() + (r.discs() == 1 ? " sheet" : " sheets"))
                .active(r.minutes())
                .caution("dust")
                .needs(sander(r))
                .acts(Act.GUIDE, Act.PAPER);
    }

    private List<Loop> rework() {
        List<Loop> out = new ArrayList<>();
        out.add(new Loop("wait-again", "Wait, then try again", List.of(waitAgain())));
        out.add(new Loop(
                "straighten-again",
                "Straighten again",
                chain(
                        "",
                        step("straighten", Kind.DO, "Straighten again")
                                .detail("Back to hammer, dolly or studs. Filler is never the way out of a deep dent.")
                                .zone(Zone.Kind.DAMAGE)
                                .layer("part")
                                .active(TradeBook.value("minutes.per-dent.straighten"))
                                .caution("metalwork"))));
        filler().ifPresent(filler -> {
            out.add(new Loop(
                    "high",
                    "High spot",
                    rework(
                            filler,
                            Optional.of("Tap the high spot down"),
                            correction("Skim the spot again", "Skim all over again"))));
            out.add(new Loop(
                    "low",
                    "Low spot",
                    rework(
                            filler,
                            Optional.empty(),
                            correction(
                                    "Fill the hollow, the spot only", "Fill the hollow, then skim over the whole"))));
            out.add(new Loop(
                    "pinholes",
                    "Pinholes",
                    rework(
                            filler,
                            Optional.empty(),
                            correction(
                                    "Fill the pinholes, the spot only",
                                    "Fill the pinholes, then a thin coat over all"))));
        });
        out.add(new Loop(
                "putty-again",
                "Putty again",
                rework(
                        putty(),
                        Optional.empty(),
                        correction("Putty the low spot only", "Putty the low spot, then skim over the whole"))));
        out.add(new Loop("seal-again", "Seal again", List.of(named("seal"), named("seal-wait"))));
        out.add(new Loop(
                "dull-again",
                "Dull again",
                kit.ladder().rungs().isEmpty()
                        ? List.of(named("wipe"))
                        : List.of(named(kit.ladder().rungs().getLast().id()))));
        return List.copyOf(out);
    }

    private String correction(String spot, String whole) {
        return house().is("local-correction", "spot") ? spot : whole;
    }

    private List<Step> rework(MixPlan mix, Optional<String> before, String spread) {
        boolean filler = mix != putty();
        String layer = filler ? "filler" : "putty";
        Zone.Kind zone = filler ? Zone.Kind.FILLER : Zone.Kind.PUTTY;
        List<StepBuilder> all = new ArrayList<>();
        before.ifPresent(title -> all.add(step("tap", Kind.DO, title)
                .detail("Below the surface, no more.")
                .howDeep()
                .zone(Zone.Kind.DAMAGE)
                .layer("part")
                .tool("Hammer, dolly")
                .active(TradeBook.value("minutes.measure"))
                .caution("metalwork")));
        all.add(step("clean", Kind.DO, "Blow off and wipe")
                .detail("All dust out of the hollow.")
                .howDeep()
                .zone(zone)
                .material(name(Role.WIPE))
                .active(hands("minutes.wipe", zone))
                .caution("solvent")
                .acts(Act.WIPE_AGAIN));
        all.add(mixingAgain(mix, zone));
        all.add(spreadingAgain(
                        mix,
                        spread,
                        correction(
                                "Tight, thin, tapered to nothing: its rim can show.",
                                "Tight, thin, from edge to edge."),
                        layer,
                        zone)
                .acts(filler ? Act.BODY_FILLER : Act.FINISH_COAT));
        all.add(curing(mix, "wait", zone, "180"));
        // The papers that the thickness asks, at the rates of the first time: what stands proud is not cut with 180 by
        // hand.
        double share = house().is("local-correction", "spot") ? area(Zone.Kind.DAMAGE) / area(zone) : 1;
        kit.ladder().rungs().stream()
                .filter(r -> r.leg().equals(filler ? DentLadder.SHAPE : DentLadder.REFINE))
                .map(r -> sanding(r).active(Math.max(1, r.minutes() * share)))
                .forEach(all::add);
        return chain("", all.toArray(StepBuilder[]::new));
    }

    private double area(Zone.Kind kind) {
        return kit.footprint().areaMm2(kind);
    }
}
