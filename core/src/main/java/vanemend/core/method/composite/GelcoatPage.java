package vanemend.core.method.composite;

import java.util.ArrayList;
import java.util.List;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.Method;
import vanemend.core.method.MethodPage;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.mix.Portion;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Chip or scratch in gelcoat alone: its colour tried, opened, paste under film, levelled, polished. */
public final class GelcoatPage extends MethodPage {
    /** The method. */
    public static final Method METHOD = Method.of(MethodId.GELCOAT, GelcoatLayout::new);

    /** Leg of the ladder that opens it. */
    static final String OPEN = "open";

    /** Leg of the ladder around it. */
    static final String EDGE = "edge";

    /** Leg of the ladder on the paste. */
    static final String LEVEL = "level";

    /** Leg of the ladder out to the old gloss. */
    static final String REFINE = "refine";

    private static final String ON = "On the part";

    private static final String DEEPER = "It is no chip in gelcoat: plan anew as a gouge, laminate first.";

    private GelcoatPage(Kit kit) {
        super(kit);
    }

    /**
     * The steps.
     *
     * @param deepMm deepest, mm
     */
    static MethodSteps lay(Kit kit, double deepMm) {
        GelcoatPage p = new GelcoatPage(kit);
        p.gelcoatOnly();
        p.colour();
        p.open(deepMm);
        p.fill();
        p.level();
        p.polish();
        return p.laid("Gelcoat chip or scratch");
    }

    private void gelcoatOnly() {
        add(clean("clean", "Wax and grease remover", "Off with a second cloth while it is wet.", Zone.Kind.CLEAN));
        add(look(
                "sound",
                "Tap round it, look with a glass",
                "Coin or knuckle, from sound laminate inwards. Chalk dust or a drop of ink wiped off shows fine cracks.",
                Zone.Kind.RING_180,
                gate(
                        "Bright all round, dry, no crack running from it?",
                        "Gelcoat only",
                        "try its colour",
                        "Not so",
                        stop(
                                "dull",
                                "It taps dull",
                                "The laminate beneath has let go: plan anew with what was found.",
                                Weight.STOP),
                        stop(
                                "star",
                                "Cracks run from it",
                                "They are opened to their root first: plan anew as hairline or crack.",
                                Weight.STOP),
                        stop(
                                "damp",
                                "Damp in it",
                                "Nothing holds on what is damp: dried until it stays dry overnight, then planned anew.",
                                Weight.STOP))));
    }

    /** Gelcoat ages: what comes out of the tin is looked at hard and dry, beside the old, before any of it goes on. */
    private void colour() {
        add(cutFilm(Zone.Kind.DISH));
        add(trial("trial"));
        add(trialWait("trial-wait")
                .gate(gate(
                        "Hard and wiped dry, beside it in daylight: the same colour?",
                        "The same",
                        "open it",
                        "Not the same",
                        branch("tint", "Another colour", "tint it, try again", "tint-again")))
                .acts(Act.COLOUR_TRIED));
        loop("tint-again", "Tint it and try again", trial("trial"), trialWait("wait"));
    }

    private StepBuilder trial(String id) {
        return byHand(
                        id,
                        "Try its colour on scrap",
                        "trial",
                        "Both parts together",
                        "A stroke as thick as the repair, film over it. Write down what was put in.")
                .zone(Zone.Kind.DAMAGE)
                .caution("styrene")
                .caution("liquid-peroxide");
    }

    private StepBuilder trialWait(String id) {
        StepBuilder b = step(id, Kind.WAIT, "Let the trial cure")
                .detail("Wet paste has another colour than hard gelcoat.")
                .zone(Zone.Kind.DAMAGE)
                .material(name(Role.FILL));
        kit.waited("trial").ifPresent(w -> clock(b, w, "Look from"));
        return b;
    }

    private void open(double deepMm) {
        addAll(sanding(OPEN, "part", false, "No deeper than the chip: gelcoat left is gelcoat saved.", Act.SAND_FACE));
        addAll(sanding(EDGE, "part", false, "", Act.SAND_FACE));
        add(deepest(
                "Read how deep it is now",
                deepMm,
                Text.book("limit.composite-gelcoat-deep.from"),
                "look at its bottom",
                stop("deep", "Too deep for gelcoat", DEEPER, Weight.STOP),
                Watch.planned(
                        "depth",
                        Quantity.DEPTH_MM,
                        deepMm,
                        "face",
                        "Depth other than planned",
                        "The mix follows the depth that was read."),
                Watch.limit(
                        "too-deep",
                        Quantity.DEPTH_MM,
                        Watch.Sense.AT_MOST,
                        "limit.composite-gelcoat-deep.from",
                        Weight.STOP,
                        "Too deep for gelcoat",
                        DEEPER)));
        add(look(
                "bottom",
                "Look at its bottom",
                "Light from the side, a glass: fibre is a bright thread, air a dark pit.",
                Zone.Kind.DISH,
                gate(
                        "Only gelcoat, no fibre, no air, all dull?",
                        "Only gelcoat",
                        "acetone next",
                        "Not so",
                        branch("loose", "A loose chip or gloss left", "open it again", "open-again"),
                        stop("fibre", "Fibre seen", DEEPER, Weight.STOP))));
        loop(
                "open-again",
                "Open it again",
                sanding(OPEN, "part", false, "", Act.SAND_FACE).toArray(StepBuilder[]::new));
    }

    private List<StepBuilder> acetone(String prefix) {
        return List.of(
                dustOff(prefix + "dust", Zone.Kind.RING_180),
                step(prefix + "acetone", Kind.DO, "Acetone, with a brush")
                        .detail(
                                "Into the dish and its edge, off with a clean cloth. Its bottle closed and away before the"
                                        + " peroxide is opened.")
                        .zone(Zone.Kind.RING_180)
                        .material(name(Role.WIPE))
                        .portion("acetone")
                        .active(hands("minutes.wipe", Zone.Kind.RING_180))
                        .caution("solvent")
                        .acts(Act.WIPE_AGAIN),
                drying(
                        prefix + "dry",
                        "Let it dry",
                        "Until no edge of it is dark or cold to the back of a finger.",
                        "acetone",
                        Zone.Kind.RING_180,
                        "Dry all over, no dark or cold place?"));
    }

    private void fill() {
        addAll(acetone(""));
        inItsWindow();
        add(paste("face-ready"));
        Portion p = kit.portion("face");
        List<StepBuilder> goes = inGoes(
                "fill",
                "Paste into it, proud",
                "Pressed into its bottom first, air out from the middle; " + mm("gelcoat.proud")
                        + " proud, no further than the dull edge.",
                "face",
                "face",
                Zone.Kind.DISH,
                Act.APPLY_FACE);
        if (p.batches() == 1) {
            // What is mixed is as much as a scale can dose; most of it never gets to the part.
            goes.getFirst().amount(figure(p, ON)).figure(figure(p, ON));
        }
        addAll(goes);
        add(filmOver("film"));
        add(cured("face-wait", "Wait for the gelcoat", "face", "face", Zone.Kind.DISH, "Sand from", Act.CURE_FACE));
        add(filmOff("film-off"));
    }

    /** Colder it never sets through, warmer it is gone before the film is on: read where the part stands. */
    private void inItsWindow() {
        String from = Text.book("gelcoat.air-least");
        String to = Text.book("gelcoat.air-most");
        add(look(
                        "air",
                        "Read the air and the face",
                        "Thermometer beside the part, then on it: " + from + " to " + to + ", or as its label says.",
                        Zone.Kind.DISH,
                        gate(
                                "Air and face between " + from + " and " + to + "?",
                                "Inside",
                                "weigh and mix",
                                "Not so",
                                branch("outside", "Colder or warmer", "bring it in, read again", "air-again")))
                .asks(Quantity.SURFACE_C, Quantity.AIR_C)
                .watches(
                        window("cold", Quantity.SURFACE_C, Watch.Sense.AT_LEAST, "gelcoat.air-least", "Too cold"),
                        window("hot", Quantity.SURFACE_C, Watch.Sense.AT_MOST, "gelcoat.air-most", "Too warm"),
                        window("cold-air", Quantity.AIR_C, Watch.Sense.AT_LEAST, "gelcoat.air-least", "Air too cold"),
                        window("hot-air", Quantity.AIR_C, Watch.Sense.AT_MOST, "gelcoat.air-most", "Air too warm")));
        loop(
                "air-again",
                "Bring it into its window",
                longer(
                                "Warm or cool the shop and the part",
                                "Slowly; no flame and no lamp near acetone or peroxide. Read again.")
                        .zone(Zone.Kind.DISH)
                        .asks(Quantity.SURFACE_C, Quantity.AIR_C));
    }

    private static Watch window(String id, Quantity q, Watch.Sense sense, String book, String title) {
        return Watch.limit(id, q, sense, book, Weight.STOP, title, "Bring it inside its label's window, read again.")
                .leaving("air-again");
    }

    private StepBuilder paste(String id) {
        return byHand(id, "Weigh and mix the paste", "face", "Both parts together", "Hands free until the film is on.")
                .zone(Zone.Kind.DISH)
                .caution("styrene")
                .caution("liquid-peroxide");
    }

    private StepBuilder filmOver(String id) {
        return step(id, Kind.DO, "Film over it")
                .detail("Laid from one edge, a spreader over it flat: no air beneath, its edges past the paste.")
                .zone(Zone.Kind.DISH)
                .material(name(Role.FILM))
                .active(TradeBook.value("minutes.tape"))
                .acts(Act.FILM_OVER);
    }

    private StepBuilder filmOff(String id) {
        return step(id, Kind.DO, "Film off")
                .detail("Flat back over itself. What stayed sticky at its edge is scraped off, not sanded.")
                .zone(Zone.Kind.DISH)
                .active(TradeBook.value("minutes.untape"))
                .acts(Act.FILM_OFF);
    }

    private void level() {
        addAll(sanding(LEVEL, "face", true, "On the paste first; the face beside it is thin.", Act.PAPER));
        add(look(
                        "level-gate",
                        "Level, no pinhole, edge whole?",
                        "Straightedge across it, light from the side, a fingernail over its edge.",
                        Zone.Kind.RING_180,
                        gate(
                                "Level, no pinhole, no edge under a nail?",
                                "Good",
                                "finer papers",
                                "Not yet",
                                branch("proud", "Still proud", "240 again", "level-again"),
                                branch("low", "Low or pinholes", "open them, paste again", "fill-again"),
                                stop(
                                        "through",
                                        "Laminate shows beside it",
                                        "The gelcoat is sanded through: plan anew, with that place.",
                                        Weight.STOP)))
                .howDeep());
        loop(
                "level-again",
                "240 again",
                sanding(LEVEL, "face", true, "", Act.PAPER).toArray(StepBuilder[]::new));
        List<StepBuilder> again = new ArrayList<>(sanding(EDGE, "face", false, "", Act.SAND_FACE));
        again.addAll(acetone(""));
        again.getFirst().howDeep();
        again.addAll(List.of(
                again("face", paste("mix")),
                applyAgain(
                                "fill",
                                "Paste again",
                                "Into the low place, pressed in, proud.",
                                "face",
                                "face",
                                Zone.Kind.DISH)
                        .caution("styrene")
                        .acts(Act.APPLY_FACE),
                filmOver("film"),
                cured("wait", "Wait for it", "face", "face", Zone.Kind.DISH, "Sand from", Act.CURE_FACE),
                filmOff("film-off")));
        again.addAll(sanding(LEVEL, "face", true, "", Act.PAPER));
        loop("fill-again", "Paste again", again.toArray(StepBuilder[]::new));
    }

    private void polish() {
        addAll(sanding(REFINE, "face", true, "", Act.PAPER));
        add(step("polish", Kind.DO, "Polish")
                .detail("Slowly, cool between passes: gelcoat chalks when it is burnt.")
                .zone(Zone.Kind.LEVEL)
                .layer("face")
                .material(name(Role.POLISH))
                .active(minutesFor("minutes.polish.per-100cm2", Zone.Kind.LEVEL)));
        add(look(
                "daylight",
                "Look in daylight",
                "Wiped dry, from three sides, and along the face.",
                Zone.Kind.LEVEL,
                gate(
                        "No edge, no lines, the gloss beside it?",
                        "Passed",
                        "done",
                        "Not yet",
                        branch("lines", "Lines or dull", "finer papers again", "refine-again"))));
        loop(
                "refine-again",
                "Finer papers and polish again",
                join(
                                sanding(REFINE, "face", true, "", Act.PAPER),
                                step("polish", Kind.DO, "Polish again")
                                        .detail("Slowly, cool between passes.")
                                        .zone(Zone.Kind.LEVEL)
                                        .layer("face")
                                        .material(name(Role.POLISH))
                                        .active(minutesFor("minutes.polish.per-100cm2", Zone.Kind.LEVEL)))
                        .toArray(StepBuilder[]::new));
        ready("Wipe down, hand it back", "");
    }
}
