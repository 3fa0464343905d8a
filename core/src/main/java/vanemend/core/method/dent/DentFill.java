package vanemend.core.method.dent;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Gate;
import vanemend.core.method.Job;
import vanemend.core.method.Kit;
import vanemend.core.method.Loop;
import vanemend.core.method.Method;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.method.Step.Clock;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.sanding.Rung;
import vanemend.core.sanding.Tool;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/**
 * Metal dent fill: dents left after straightening, mended with polyester filler and putty. The order is the order of the work;
 * each private method is one heading of it.
 */
public final class DentFill extends DentRaising {
    /** The method. */
    public static final Method METHOD = Method.of(
            MethodId.METAL_DENT,
            (job, blockers) -> job.recipe().way().equals("FEATHER")
                    ? new FeatherLayout(job, blockers)
                    : new DentLayout(job, blockers));

    private DentFill(Kit kit, Found found) {
        super(kit, found);
    }

    /** The steps for what was found. */
    static MethodSteps lay(Kit kit, Found found) {
        return new DentFill(kit, found).lay();
    }

    private MethodSteps lay() {
        wash();
        mark();
        pushedOut();
        if (pulled() > 0) {
            pull();
        }
        if (straightens()) {
            straighten();
        }
        List<Integer> scratches = found.hollows().stream()
                .filter(Hollow::scratch)
                .map(Hollow::damage)
                .toList();
        if (!scratches.isEmpty()) {
            nailAlongIt(hurt(scratches));
        }
        measure();
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
            add(curing(mix, s.mix() + "-wait", forHollows(s), Zone.Kind.FILLER, firstPaper())
                    .layer("filler"));
        }
    }

    /** Which hollows a mix is for; empty where one mix is for all. */
    private String forHollows(Serving s) {
        return found.servings().size() == 1 ? "" : ", " + called(kit.job(), drawn(s.hollows()));
    }

    /** Where hollows stand in the draft: by that place they are numbered on the drawing. */
    private List<Integer> drawn(List<Integer> hollows) {
        return hollows.stream().map(i -> found.hollows().get(i).damage()).toList();
    }

    /** Dents by their numbers on the drawing, given their places in the draft. */
    static String called(Job job, List<Integer> hollows) {
        String numbers =
                hollows.stream().map(i -> String.valueOf(job.number(i))).collect(Collectors.joining(", "));
        return (hollows.size() == 1 ? "dent " : "dents ") + numbers;
    }

    private void cheese(MixPlan mix, Serving s) {
        String first = s.mix().equals("filler") ? "" : s.mix() + "-";
        add(cheesing(first + "cheese", mix, forHollows(s)));
        add(filing(first + "file", forHollows(s)).active(DentLadder.filedMin(kit.footprint()) * share(mix)));
    }

    private StepBuilder cheesing(String id, MixPlan mix, String of) {
        return step(id, Kind.WAIT, "Wait for the cheese stage" + of)
                .detail("Firm, not hard: a thumbnail dents it, nothing sticks to the file.")
                .zone(Zone.Kind.FILLER)
                .layer("filler")
                .clock(
                        Clock.Kind.FROM,
                        "File from",
                        mix.route().minutes() * TradeBook.value("cure.cheese-share"),
                        Text.book("cure.cheese-share") + " of the time to sand; the thumbnail decides")
                .gate(new Gate(
                        "Firm as cheese?",
                        "Firm",
                        "file now",
                        "Too soft",
                        List.of(new Gate.Branch("soft", "Too soft", "wait and try again", "wait-again"))));
    }

    private StepBuilder filing(String id, String of) {
        return step(id, Kind.DO, "File off the excess" + of)
                .detail("Grating file inside the filler only; leave enough for " + firstPaper() + ".")
                .zone(Zone.Kind.FILLER)
                .layer("filler")
                .tool("Grating file")
                .caution("dust");
    }

    /** What {@code mix} is of all the filler. */
    private double share(MixPlan mix) {
        double all = found.servings().stream()
                .mapToDouble(s -> allGrams(kit.mix(s.mix())))
                .sum();
        return allGrams(mix) / all;
    }

    private static double allGrams(MixPlan mix) {
        return mix.pour().fillerG() * mix.pour().batches();
    }

    /** The first paper on the filler. */
    private Optional<Rung> firstRung() {
        return kit.ladder().rungs().stream()
                .filter(r -> r.leg().equals(DentLadder.SHAPE))
                .findFirst();
    }

    private String firstPaper() {
        return firstRung().map(r -> String.valueOf(r.grade())).orElse("80");
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
                    .detail(whose(i - 1) + "Guide coat left dark is low. "
                            + (found.whole() ? "Paint cut through" : "Metal showing proud")
                            + " is high. Light from the side.")
                    .howDeep()
                    .zone(DentFootprint.rim(kit.footprint()))
                    .layer("filler")
                    .active(TradeBook.value("minutes.gate"))
                    .gate(new Gate(
                            found.whole()
                                    ? "Flat, its edge whole, no high or low spot?"
                                    : "Four fifths formed, whole feather edge showing, no high or low spot?",
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
        if (!alone || !found.whole()) {
            dullForPutty();
        }
        prepareMix(mix, "putty", Zone.Kind.PUTTY);
        batches(
                mix,
                "putty",
                "",
                "putty",
                Zone.Kind.PUTTY,
                n -> alone ? "Spread the putty" : "Skim putty over the entire repair",
                n -> (alone ? ofBatch(n, mix) : "")
                        + (alone ? "Fill the hollow in " + lifts(mix) + ", then over all. " : "")
                        + (found.whole()
                                ? "Over the ding and out to nothing inside the dulled ring. "
                                : "From paint edge to paint edge, past the feathered clear: it seals the base and prevents rings. ")
                        + first(strokes(mix)) + " a pass.",
                Act.FINISH_COAT);
        cure(mix, "putty", Zone.Kind.PUTTY, "180");
    }

    /** Which hollows batch {@code n} of the putty is for, where they are shared out; empty where each batch is for all. */
    private String ofBatch(int n, MixPlan mix) {
        int batches = mix.pour().batches();
        int all = found.hollows().size();
        return batches == 1 || all < batches
                ? ""
                : IntStream.range(0, all)
                        .filter(i -> i * batches / all == n - 1)
                        .mapToObj(this::whose)
                        .collect(Collectors.joining());
    }

    /** What the putty lies on was sanded before it, and no dust is on it. */
    private void dullForPutty() {
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
                            whose(i - 1)
                                    + "Flat hand, all directions: flat, no bulge, no pinholes, no straight lines, dull everywhere.")
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
        readyForPrimer("");
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
                        + (r.tool() == Tool.FILE_BOARD
                                        && firstRung().filter(r::equals).isPresent()
                                ? " " + longBoard(Zone.Kind.FILLER)
                                : "")
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
        List<Loop> out = new ArrayList<>(loops);
        out.add(new Loop("wait-again", "Wait, then try again", List.of(waitAgain())));
        if (straightens() || pulled() > 0) {
            out.add(straightenAgain());
        }
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
        // The papers that the thickness asks, at the rates of the first time: what stands proud is not cut with 180 by
        // hand; where it is filed off, the second round is filed as well.
        double share = house().is("local-correction", "spot") ? area(Zone.Kind.DAMAGE) / area(zone) : 1;
        if (filler && house().is("first-grade", "file-cheese")) {
            all.add(cheesing("cheese", mix, ""));
            all.add(filing("file", "").active(Math.max(1, DentLadder.filedMin(kit.footprint()) * share)));
        }
        all.add(curing(mix, "wait", zone, "180"));
        kit.ladder().rungs().stream()
                .filter(r -> r.leg().equals(filler ? DentLadder.SHAPE : DentLadder.REFINE))
                .map(r -> sanding(r).active(Math.max(1, r.minutes() * share)))
                .forEach(all::add);
        return chain("", all.toArray(StepBuilder[]::new));
    }
}
