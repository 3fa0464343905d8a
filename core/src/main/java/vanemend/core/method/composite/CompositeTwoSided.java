package vanemend.core.method.composite;

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
import vanemend.core.method.Weight;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.TradeBook;

/** Composite, two-sided: cloth at the back, a pyramid of plies in a dish on the face, cream over it. */
public final class CompositeTwoSided extends MethodPage {
    /** The method. */
    public static final Method METHOD = Method.of(MethodId.COMPOSITE, CompositeLayout::new);

    /**
     * What the page turns on.
     *
     * @param plies in the pyramid
     * @param backPlies at the back; 0 where the damage does not go through
     * @param backOnFilm the back built on film and lifted to it as one
     * @param onFilm plies built on film, the largest first, and laid in whole
     * @param cream cut just below and finished with cream; false where one material is sanded level
     * @param laminate wetted by hand with laminating resin, not from a cartridge
     */
    public record Build(
            int plies, int backPlies, boolean backOnFilm, boolean onFilm, boolean cream, boolean laminate) {}

    private final Build build;

    private CompositeTwoSided(Kit kit, Build build) {
        super(kit);
        this.build = build;
    }

    /** The steps. */
    static MethodSteps lay(Kit kit, Build build) {
        CompositeTwoSided p = new CompositeTwoSided(kit, build);
        p.dryOut();
        p.cleanMasked();
        p.tap();
        p.openUp();
        if (build.backPlies() > 0) {
            p.backing();
        }
        p.pyramid();
        p.level();
        if (build.cream()) {
            p.cream();
        }
        p.refine();
        return p.laid("Composite, two-sided");
    }

    private void dryOut() {
        add(step("warm", Kind.DO, "Part at room temperature, warm the damage dry")
                .detail(
                        "Gentle heat drives moisture out of the fibres: hand-warm, moving, both sides. Wet fibres do not take"
                                + " resin.")
                .zone(Zone.Kind.FACE_SAND)
                .tool("Warm air")
                .active(TradeBook.value("minutes.wash"))
                .caution("lamp")
                .caution("calibration"));
    }

    /** Every sanding here is of fibre or of filler with fibre in it. */
    @Override
    protected String dustOf(String leg) {
        return "fibre-dust";
    }

    /** What is loose beyond the dish is found by ear before anything is opened. */
    private void tap() {
        add(look(
                "tap",
                "Tap round the damage",
                "Coin or knuckle, from sound laminate inwards; mark where it turns dull.",
                Zone.Kind.DISH,
                gate(
                        "Bright everywhere outside the dish?",
                        "Bright",
                        "open it",
                        "Dull further out",
                        stop(
                                "dull",
                                "Dull beyond the dish",
                                "The laminate has let go further than was seen: plan anew with the outline that was marked.",
                                Weight.STOP))));
    }

    /** Amine that rises to the face of a cured epoxy is washed off before anything goes on. */
    private StepBuilder blush(String id) {
        return step(id, Kind.DO, "Wash the cured face")
                .detail("Clean water and a pad, then dry: amine blush lets nothing hold. Film of the lay-up off first.")
                .zone(Zone.Kind.DISH)
                .active(hands("minutes.wipe", Zone.Kind.DISH))
                .acts(Act.CLEAN);
    }

    private void cleanMasked() {
        add(step("mask", Kind.DO, "Tape over the open fibres")
                .detail("No solvent into fibres.")
                .zone(Zone.Kind.DAMAGE)
                .material(name(Role.HOLD))
                .active(TradeBook.value("minutes.tape"))
                .acts(Act.MASK_FIBRES));
        add(clean(
                "clean",
                "Wax and grease remover, then untape",
                "Face and back, off with a second cloth.",
                Zone.Kind.CLEAN));
    }

    private void openUp() {
        addAll(sanding(
                "dish",
                "part",
                false,
                "Broken fibre out; rounded, no sharp edge: a sharp one prints through the paint.",
                Act.SAND_FACE));
        if (build.backPlies() > 0) {
            addAll(sanding("back", "part", false, "", Act.SAND_BACK));
        }
        add(dustOff("dust", Zone.Kind.FACE_SAND));
    }

    private void mixReady(String id, String portion) {
        if (build.laminate()) {
            add(resinMix(id, portion));
        } else {
            cartridgeReady(id, portion);
        }
    }

    /** The face's material made ready for a second round. */
    private StepBuilder mixReadyAgain() {
        return build.laminate() ? again("face", resinMix("ready", "face")) : purgedAgain("ready", "face");
    }

    private StepBuilder resinMix(String id, String portion) {
        return byHand(
                        id,
                        "Weigh and mix the resin",
                        portion,
                        "Resin with hardener",
                        "Hands free until the plies are down.")
                .caution("epoxy")
                .caution("liquid-peroxide");
    }

    private void backing() {
        add(step("tape-face", Kind.DO, "Tape the face")
                .detail("So that nothing squeezes through; faces flush.")
                .zone(Zone.Kind.DISH)
                .material(name(Role.HOLD))
                .active(TradeBook.value("minutes.tape"))
                .acts(Act.TAPE_FACE));
        add(cut(
                "cut-back",
                "Cut the cloth for the back",
                mm("mesh.past") + " past the damage all round, " + plies(build.backPlies()) + ".",
                "back-cloth",
                Zone.Kind.CLOTH));
        if (build.backOnFilm()) {
            add(cutFilm(Zone.Kind.CLOTH));
        }
        mixReady("back-ready", "back");
        addAll(inGoes(
                cloths(build.backPlies()),
                "back-fill",
                build.backOnFilm() ? "Build it on film, lift it to the back" : "Adhesive, cloth, adhesive over",
                (build.backOnFilm()
                                ? "Flat on the film, then lifted as one and rolled from the middle; the film stays on until it has set. "
                                : "")
                        + "Cloth saturated, no white left, "
                        + (build.backPlies() > 1 ? "second ply for support, " : "")
                        + "air spread out from the middle.",
                "back",
                "back",
                Zone.Kind.CLOTH,
                Act.APPLY_BACK,
                Act.LAY_CLOTH));
        StepBuilder wait = cured(
                        "back-wait",
                        "Cure the back, cut the plies",
                        "back",
                        "back",
                        Zone.Kind.CLOTH,
                        "Go on from",
                        Act.CURE_BACK)
                .besides(TradeBook.value("minutes.cut-cloth"))
                .acts(Act.CUT_CLOTH);
        add(wait.detailFirst(cutPlies() + " "));
        add(step("untape", Kind.DO, "Face tape off")
                .detail((build.backOnFilm() ? "Film off the back. " : "") + "Look for what came through.")
                .zone(Zone.Kind.DISH)
                .active(TradeBook.value("minutes.untape"))
                .acts(Act.UNTAPE_FACE));
        add(look(
                "squeeze",
                "Squeeze-through sanded off",
                "The dish clean and dull again, dust out.",
                Zone.Kind.DISH,
                gate(
                        "Nothing left that came through, dish dull?",
                        "Clean",
                        "plies next",
                        "Not yet",
                        branch("through", "Some came through", "sand it off", "dish-again"))));
        loop(
                "dish-again",
                "Sand the dish again",
                sanding("dish", "part", false, "", Act.SAND_FACE).getLast());
    }

    private static String plies(int n) {
        return n == 1 ? "one ply" : n + " plies";
    }

    private String cutPlies() {
        return build.plies() + " plies cut from their templates, smallest to largest, each marked.";
    }

    /** The plies that a go lays, by their numbers: 1 is the smallest. */
    private Go pliesOf(int go, int goes) {
        int from = (go - 1) * build.plies() / goes + 1;
        int to = go * build.plies() / goes;
        // On film the largest of a go is laid first; each go is laid in by itself, the smallest plies at the bottom.
        int first = build.onFilm() ? to : from;
        int last = build.onFilm() ? from : to;
        return from > to
                ? new Go("No ply of its own: to fill and to proud, no air.", true)
                : new Go(from == to ? "Ply " + first + ". " : "Plies " + first + " to " + last + ". ", false);
    }

    private void pyramid() {
        if (build.backPlies() == 0) {
            add(cut("cut-plies", "Cut the plies", cutPlies(), "plies", Zone.Kind.DISH));
        }
        // One cut of film serves both sides where the back was built on it too.
        if (build.onFilm() && !build.backOnFilm()) {
            add(cutFilm(Zone.Kind.DISH));
        }
        mixReady("face-ready", "face");
        addAll(inGoes(
                this::pliesOf,
                "plies",
                build.onFilm() ? "Build on film, lay in whole" : "Lay the plies, smallest first",
                build.onFilm()
                        ? "On film the largest first, each next smaller, adhesive thin under each; lay the whole in, the smallest"
                                + " against the bottom; roll the air out from the middle."
                                + (kit.portion("face").batches() > 1
                                        ? " Wet into wet: the film comes off each go before the next is laid on it; the last keeps its film until it has set."
                                        : " Film off after set.")
                        : "The smallest against the bottom of the dish, thin adhesive under each, no air; the last just inside the"
                                + " dish's edge.",
                "face",
                "ply-1",
                Zone.Kind.DISH,
                Act.APPLY_FACE,
                Act.LAY_CLOTH));
        add(cured("face-wait", "Cure the plies", "face", "ply-1", Zone.Kind.DISH, "Sand from", Act.CURE_FACE));
    }

    private void level() {
        add(blush("blush"));
        addAll(sanding(
                "level",
                "face",
                true,
                build.cream()
                        ? "Cut just below the face, " + mm("composite.low")
                                + ": room for the cream. Do not chase the cloth."
                        : "Level with the face.",
                Act.PAPER));
        add(look(
                "level-gate",
                build.cream() ? "Just below, all over?" : "Level?",
                "Straightedge across, light from the side; tap it all over: dull is air.",
                Zone.Kind.DISH,
                gate(
                        build.cream()
                                ? "A little light under the straightedge, no white cloth, bright all over when tapped?"
                                : "No light under the straightedge, bright all over when tapped?",
                        "Good",
                        build.cream() ? "cream next" : "refine",
                        "Not yet",
                        branch("proud", "Still proud", "80 again", "level-again"),
                        branch("air", "Air or dry cloth", "open it, adhesive, cure", "air-again"))));
        loop(
                "level-again",
                "80 again",
                sanding("level", "face", true, "", Act.PAPER).getFirst());
        loop(
                "air-again",
                "Open and fill again",
                blush("blush"),
                dustOff("dust", Zone.Kind.DISH).howDeep(),
                mixReadyAgain(),
                applyAgain(
                                "fill",
                                "Adhesive into the opened place",
                                "Down to sound cloth, pressed in.",
                                "face",
                                "face",
                                Zone.Kind.DISH)
                        .caution("epoxy")
                        .acts(Act.APPLY_FACE),
                cured("wait", "Cure it", "face", "face", Zone.Kind.DISH, "Sand from", Act.CURE_FACE));
    }

    private void cream() {
        add(dustOff("cream-dust", Zone.Kind.ADHESIVE));
        add(creamMix("cream-mix"));
        addAll(inGoes(
                "cream-spread",
                "Cream over all, feathered out",
                "Tight first, then to the face and " + mm("composite.cream-past") + " past the dish, out to nothing.",
                "cream",
                "cream",
                Zone.Kind.ADHESIVE,
                Act.FINISH_COAT));
        add(cured(
                "cream-wait",
                "Wait to sand the cream",
                "cream",
                "cream",
                Zone.Kind.ADHESIVE,
                "Sand from",
                Act.CURE_FACE));
    }

    private StepBuilder creamMix(String id) {
        return byHand(id, "Mix the cream by hand", "cream", "Both parts together", "One even colour.")
                .caution("epoxy");
    }

    private void refine() {
        addAll(sanding("fine", build.cream() ? "cream" : "face", true, "", Act.PAPER));
        List<StepBuilder> again = build.cream()
                ? List.of(
                        dustOff("dust", Zone.Kind.ADHESIVE).howDeep(),
                        again("cream", creamMix("mix")),
                        applyAgain(
                                        "cream",
                                        "Cream again",
                                        "Into the low place or pinhole, thin.",
                                        "cream",
                                        "cream",
                                        Zone.Kind.ADHESIVE)
                                .caution("epoxy")
                                .acts(Act.FINISH_COAT),
                        cured("wait", "Wait to sand", "cream", "cream", Zone.Kind.ADHESIVE, "Sand from", Act.CURE_FACE))
                : List.of(
                        dustOff("dust", Zone.Kind.DISH).howDeep(),
                        mixReadyAgain(),
                        applyAgain(
                                        "fill",
                                        "The same material again",
                                        "Thin, pressed in.",
                                        "face",
                                        "face",
                                        Zone.Kind.DISH)
                                .caution("epoxy")
                                .acts(Act.APPLY_FACE),
                        cured("wait", "Wait to sand", "face", "face", Zone.Kind.DISH, "Sand from", Act.CURE_FACE));
        loop(
                "fill-again",
                "Fill again",
                join(again, sanding("fine", "face", true, "", Act.PAPER).getFirst())
                        .toArray(StepBuilder[]::new));
        add(look(
                        "palm",
                        "Palm test",
                        "Flat hand, all directions: flat, no edge of the dish, no pinholes, dull everywhere.",
                        Zone.Kind.FINE_320,
                        gate(
                                "Flat, no edge, no pinholes, dull everywhere?",
                                "Passed",
                                "wipe, primer next",
                                "Not yet",
                                branch("low", "Low spot", "fill again", "fill-again"),
                                branch("pinholes", "Pinholes", "a coat over all", "fill-again")))
                .howDeep());
        ready("Blow off and wipe: ready for primer", "Full cure before paint: what is not cured prints a halo.");
    }
}
