package vanemend.core.method.seam;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Gate;
import vanemend.core.method.Kit;
import vanemend.core.method.MetalPage;
import vanemend.core.method.Method;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step.Clock;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.part.Part;
import vanemend.core.sanding.Tool;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/**
 * A weld seam in steel skin, finished: the weld judged, the back primed, a bare band, filler twice and far past it, putty, handed to the
 * primer. The order is the order of the work; each private method is one heading of it.
 */
public final class SeamPage extends MetalPage {
    /** The method. */
    public static final Method METHOD = Method.of(MethodId.METAL_SEAM, SeamLayout::new);

    /** Legs of the ladder. */
    static final String BARE = "strip";

    static final String DULL = "dull";
    static final String FIBRE = "fibre-level";
    static final String FIRST = "first";
    static final String SECOND = "shape";
    static final String FINE = "fine";

    /**
     * What the page turns on besides its kit.
     *
     * @param deepMm deepest that the sheet has sunk along the seam, mm
     * @param pinholed whether glass-fibre filler closes pinholes first
     * @param primerSandMin time until epoxy primer can be scuffed, min; empty where the house fills on bare metal
     * @param backDryMin time until the primer behind is dry today, min; empty where its label gives none
     */
    record Found(double deepMm, boolean pinholed, Optional<Double> primerSandMin, OptionalDouble backDryMin) {}

    private final Found found;

    private SeamPage(Kit kit, Found found) {
        super(kit);
        this.found = found;
    }

    /** The steps for what was found. */
    static MethodSteps lay(Kit kit, Found found) {
        SeamPage p = new SeamPage(kit, found);
        p.wash();
        p.weld();
        p.sunk();
        p.bare();
        p.back();
        found.primerSandMin().ifPresent(min -> p.primed(Zone.Kind.STRIP, min));
        if (found.pinholed()) {
            p.fibre();
        }
        p.fill();
        p.second();
        p.putty();
        p.palm();
        p.behind();
        return p.laid("Weld seam in steel");
    }

    /** Glass-fibre filler is sanded with the mask that fibre asks for. */
    @Override
    protected String dustOf(String leg) {
        return leg.equals(FIBRE) ? "fibre-dust" : super.dustOf(leg);
    }

    /** What carries is judged while it can be seen. */
    private void weld() {
        List<Gate.Branch> not = new ArrayList<>();
        not.add(branch("proud", "It stands proud, or is still blue", "grind on", "grind-again"));
        if (!found.pinholed()) {
            not.add(stop(
                    "pinholes",
                    "Light through pinholes",
                    "Glass-fibre filler closes them first: plan anew that way, or weld them shut.",
                    Weight.STOP));
        }
        not.add(stop(
                "open",
                "A hole, a crack or an undercut",
                "It is welded again first: filler carries nothing, and water gets in behind it.",
                Weight.STOP));
        add(look(
                "weld",
                "Look the weld over, a lamp behind it",
                "A magnifier along it, front and back: no hole, no crack, no notch beside it. Ground flush or up to "
                        + mm("steel-seam.ground-below") + " below the face, the blue of the heat off, no spatter.",
                Zone.Kind.DAMAGE,
                gate(
                        found.pinholed()
                                ? "Sound but for pinholes, ground, no blue left?"
                                : "Sound, ground, no blue left?",
                        "Sound",
                        "read along it",
                        "Not so",
                        not.toArray(Gate.Branch[]::new))));
        loop(
                "grind-again",
                "Grind on",
                step("grind", Kind.SAND, "Grind the weld flush")
                        .detail("A fine flap disc, moving: what turns blue warps. Never thin beside the weld.")
                        .zone(Zone.Kind.DAMAGE)
                        .layer("part")
                        .tool(Tool.BELT_OR_DA.word())
                        .paper("80")
                        .active(hands("minutes.scuff", Zone.Kind.DAMAGE))
                        .caution("dust")
                        .caution("metalwork")
                        .caution("hot-work"));
    }

    private void sunk() {
        add(
                deepest(
                                "Read how far it has sunk",
                                found.deepMm(),
                                Text.book("limit.metal-depth.upTo"),
                                "bare it",
                                stop("deep", "Too deep", STRAIGHTEN, Weight.STOP),
                                Watch.planned(
                                        "depth",
                                        Quantity.DEPTH_MM,
                                        found.deepMm(),
                                        "filler",
                                        "Depth other than planned",
                                        "The first mix follows the depth that was read."),
                                Watch.limit(
                                        "too-deep",
                                        Quantity.DEPTH_MM,
                                        Watch.Sense.AT_MOST,
                                        "limit.metal-depth.upTo",
                                        Weight.STOP,
                                        "Too deep to fill",
                                        STRAIGHTEN))
                        .detail(
                                "Straightedge across it every " + mm("steel-seam.read-every")
                                        + ", depth gauge at the weld; the deepest counts. Then along it: what stands proud is tapped down first."));
    }

    private static final String STRAIGHTEN =
            "Raise it from behind or shrink it, then measure again: thicker filler cracks and prints through.";

    private void bare() {
        List<StepBuilder> bare = sanding(
                BARE,
                "coats",
                false,
                "Bare steel flash-rusts: filler or primer covers it within " + minutes("steel-seam.bare") + ".",
                Act.SAND_FACE);
        bare.getFirst().caution("old-paint");
        addAll(bare);
        addAll(sanding(
                DULL,
                "coats",
                false,
                "The coats stay from here on: filler runs out over them.",
                Act.SAND_FACE,
                Act.DULL));
        add(dustOff("bare-dust", Zone.Kind.PUTTY));
    }

    private void back() {
        boolean reached = kit.job().part().reach() == Part.Reach.BOTH_SIDES;
        addAll(dew(Zone.Kind.PRIME_BACK));
        add(step("prime-back", Kind.DO, "Prime behind the seam")
                .detail((reached
                                ? "Burnt paint and scale off, dust out. "
                                : "Through the nearest opening, with a wand; looked at with a mirror or a probe. ")
                        + "Even wet coats past the seam, into the lap. Drain holes stay open.")
                .zone(Zone.Kind.PRIME_BACK)
                .material(name(Role.SEAL))
                .amount(needed(kit.portion("primer-back")))
                .portion("primer-back")
                .active(hands("minutes.prime", Zone.Kind.PRIME_BACK, TradeBook.value("coat.primer-coats")))
                .caution("primer")
                .acts(Act.PRIME_BACK));
    }

    private void fibre() {
        mixAndSpread(
                kit.mix("fibre"),
                "fibre",
                "fibre",
                Zone.Kind.FIBRE,
                "Press it into the weld, thin and firm",
                "Into every pinhole first, then thin over the weld. Bare metal only, never over paint.",
                Act.FIBRE_FILLER);
        cure(kit.mix("fibre"), "fibre", Zone.Kind.FIBRE, "80");
        addAll(sanding(FIBRE, "fibre", true, "It is very hard: patience. Dry only.", Act.PAPER));
        add(dustOff("fibre-dust", Zone.Kind.FIBRE));
    }

    private void fill() {
        mixAndSpread(
                kit.mix("filler"),
                "filler",
                "filler",
                Zone.Kind.FILLER,
                "Spread far past the seam",
                "A tight coat first, then " + lifts(kit.mix("filler")) + " drawn out " + past()
                        + " to each side: a long taper hides the ridge, a short one shows it.",
                Act.BODY_FILLER);
        cure(kit.mix("filler"), "filler", Zone.Kind.FILLER, "80");
        addAll(sanding(
                FIRST,
                "filler",
                true,
                "The second coat is planned: leave the lows. " + longBoard(Zone.Kind.FILLER),
                Act.PAPER));
    }

    /** How far past the weld the filler of this plan runs, to a whole mm. */
    private String past() {
        return Text.of(Math.round(kit.footprint().zone(Zone.Kind.FILLER).pastMm()), "mm");
    }

    private void second() {
        add(dustOff("second-dust", Zone.Kind.FILLER));
        mixAndSpread(
                kit.mix("second"),
                "second",
                "filler",
                Zone.Kind.FILLER,
                "Second coat, thin over all",
                "Tight and thin from edge to edge: into what stayed dark, and over the whole taper.",
                Act.BODY_FILLER);
        add(curing(kit.mix("second"), "second-wait", Zone.Kind.FILLER, "80").layer("filler"));
        addAll(secondPapers("Along and across: a board along the seam alone leaves a roof."));
        add(look(
                        "shape-gate",
                        "Sight along the seam",
                        "Light from the side, flat hand across and along; guide coat left dark is low, metal showing is high.",
                        Zone.Kind.DULLED,
                        gate(
                                "No ridge, no low, no pinhole, edges whole?",
                                "Good",
                                "putty over all",
                                "Not yet",
                                branch("low", "Low spot", "fill it, coat over all", "fill-again"),
                                branch("pinholes", "Pinholes", "a coat over all", "fill-again"),
                                stop(
                                        "ridge",
                                        "The weld itself stands proud",
                                        "Filler cannot hide what is higher than the face: tap or grind it down, plan anew.",
                                        Weight.STOP)))
                .howDeep());
        loop(
                "fill-again",
                "Fill and coat again",
                again("second", "Fill and skim over all", Zone.Kind.FILLER, Act.BODY_FILLER, secondPapers("")));
    }

    private List<StepBuilder> secondPapers(String more) {
        return sanding(SECOND, "filler", true, more, Act.PAPER);
    }

    private List<StepBuilder> finePapers(String more) {
        return sanding(FINE, "putty", true, more, Act.PAPER);
    }

    private void putty() {
        add(step("putty-dull", Kind.SAND, "180 out past where the putty will end")
                .detail("Into the coats, straight lines out of them, dull all over: putty never lies on gloss.")
                .zone(Zone.Kind.DULLED)
                .layer("coats")
                .tool(Tool.HAND_BLOCK.word())
                .paper("180")
                .active(hands("minutes.scuff", Zone.Kind.DULLED))
                .caution("dust")
                .acts(Act.DULL));
        add(dustOff("putty-dust", Zone.Kind.PUTTY));
        mixAndSpread(
                kit.mix("putty"),
                "putty",
                "putty",
                Zone.Kind.PUTTY,
                "Skim putty over all of it",
                "From paint edge to paint edge, past the filler, out to nothing on the dulled paint.",
                Act.FINISH_COAT);
        cure(kit.mix("putty"), "putty", Zone.Kind.PUTTY, "180");
        addAll(finePapers(""));
    }

    private void palm() {
        add(look(
                        "palm",
                        "Palm test",
                        "Flat hand, all directions: flat, no line of the seam, no pinholes, dull everywhere.",
                        Zone.Kind.FINE_320,
                        gate(
                                "No seam felt, no pinholes, dull everywhere?",
                                "Passed",
                                "close it behind",
                                "Not yet",
                                branch("low", "Low spot", "putty again", "putty-again"),
                                branch("pinholes", "Pinholes", "putty again", "putty-again"),
                                branch("shine", "Shine left", "dull again", "dull-again")))
                .howDeep());
        loop(
                "putty-again",
                "Putty again",
                again("putty", "Fill and skim over all", Zone.Kind.PUTTY, Act.FINISH_COAT, finePapers("")));
        loop("dull-again", "Dull again", finePapers("").toArray(StepBuilder[]::new));
    }

    private void behind() {
        StepBuilder dry = step("prime-back-dry", Kind.WAIT, "Look behind: is the primer dry?")
                .detail("A gloved finger leaves no print where it lies thickest.")
                .zone(Zone.Kind.PRIME_BACK)
                .material(name(Role.SEAL))
                .gate(gate(
                        "No string, no print?",
                        "Dry",
                        "sealer on it",
                        "Not yet",
                        branch("wet", "Not dry yet", "wait and try again", "wait-again")));
        double left = found.backDryMin().orElse(0) - curedMeanwhileMin();
        if (left > 0) {
            dry.clock(
                    Clock.Kind.FROM,
                    "Go on from",
                    left,
                    "label of " + name(Role.SEAL) + " at today's air, less what has cured on the face meanwhile");
        }
        add(dry);
        add(step("seal-behind", Kind.DO, "Seam sealer behind")
                .detail(
                        "By its label, along the whole lap; drain holes stay open. Cavity wax by its label once the paint is done.")
                .zone(Zone.Kind.PRIME_BACK)
                .active(hands("minutes.brush", Zone.Kind.PRIME_BACK))
                .caution("solvent"));
        readyForPrimer("Where metal shows it is primed by the primer's label before anything else.");
    }

    /** What passes between the primer behind and the look at it, whoever works: every mix of this plan has cured on the face, min. */
    private double curedMeanwhileMin() {
        return kit.mixes().values().stream()
                .mapToDouble(m -> m.route().minutes())
                .sum();
    }

    /** Dust off, a mix for the depth that is read, spread, cured, papers: what a low spot takes. */
    private StepBuilder[] again(String mix, String title, Zone.Kind zone, Act act, List<StepBuilder> papers) {
        String layer = mix.equals("putty") ? "putty" : "filler";
        List<StepBuilder> all = new ArrayList<>();
        all.add(dustOff("dust", zone).howDeep());
        all.add(mixingAgain(kit.mix(mix), zone));
        all.add(spreadingAgain(kit.mix(mix), title, "Tight and thin.", layer, zone)
                .acts(act));
        all.add(curing(kit.mix(mix), "wait", zone, mix.equals("putty") ? "180" : "80")
                .layer(layer));
        all.addAll(papers);
        return all.toArray(StepBuilder[]::new);
    }
}
