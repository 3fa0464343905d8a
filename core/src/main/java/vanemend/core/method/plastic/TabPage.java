package vanemend.core.method.plastic;

import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.Method;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step.Clock;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.Step.Resource;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Weight;
import vanemend.core.sanding.Tool;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.TradeBook;

/** A torn tab or screw hole that only locates: its shape taken, cloth in adhesive on both sides, trimmed, drilled and bent at full strength. */
public final class TabPage extends PlasticPage {
    /** The method. */
    public static final Method METHOD = Method.of(MethodId.PLASTIC_TAB, TabLayout::new);

    private final boolean pieceKept;

    private TabPage(Kit kit, boolean pieceKept) {
        super(kit);
        this.pieceKept = pieceKept;
    }

    /**
     * The steps.
     *
     * @param pieceKept whether the broken piece is at hand and gives the shape
     */
    static MethodSteps lay(Kit kit, boolean pieceKept) {
        TabPage p = new TabPage(kit, pieceKept);
        p.holds();
        p.washAndClean(true);
        p.shape();
        p.key();
        p.firstSide();
        p.secondSide();
        p.trim();
        p.fullStrength();
        return p.laid("Plastic tab or screw hole built anew");
    }

    private void holds() {
        add(look(
                        "holds",
                        "What hangs on it?",
                        "Put the twin or the neighbour to it: what would come off, swing or point elsewhere if it let go?",
                        Zone.Kind.DAMAGE,
                        gate(
                                "It only locates: no lamp, sensor, latch, shutter, belt or load hangs on it?",
                                "Only locates",
                                "wash it",
                                "Something hangs on it",
                                stop(
                                        "carries",
                                        "Something hangs on it",
                                        "It must not come off: the part is replaced.",
                                        Weight.NEVER)))
                .caution("calibration"));
    }

    private void shape() {
        add(step("shape", Kind.DO, "Take its shape")
                .detail((pieceKept
                                ? "The broken piece set back in place, its face level to a fingertip. "
                                : "From a sound twin: foil tape, film or putty pressed to it, lifted off, set to the root. ")
                        + "Its outline and the middle of its hole marked; a form of foil tape behind it.")
                .zone(Zone.Kind.DAMAGE)
                .material(name(Role.HOLD))
                .active(TradeBook.value("minutes.tape")));
    }

    private void key() {
        addAll(sanding("back", "part", false, "", Act.SAND_BACK));
        addAll(sanding("face", "part", false, "", Act.SAND_FACE));
        add(step("wedge", Kind.SAND, "Wedge the broken edge, drill it for keying")
                .detail(mm("tab.wedge") + " from both sides to a point; holes of " + mm("tab.key")
                        + " through the root, where the adhesive keys. Slow: it smears when it gets hot.")
                .zone(Zone.Kind.DAMAGE)
                .layer("part")
                .tool(Tool.BELT_OR_DA.word())
                .paper("80")
                .active(hands("minutes.scuff", Zone.Kind.DAMAGE))
                .caution("dust")
                .needs(Resource.SANDER)
                .acts(Act.SAND_FACE, Act.SAND_BACK));
        add(look(
                        "shine",
                        "Look for shine, both sides",
                        "Tilt it against the light: any gloss is a place that will not hold.",
                        Zone.Kind.FACE_SAND,
                        gate(
                                "No shine where the adhesive goes, on either side?",
                                "All dull",
                                "first side",
                                "Shine left",
                                branch("shine", "Shine left", "sand again", "shine-again")))
                .acts(Act.NO_SHINE));
        loop(
                "shine-again",
                "Sand both sides again",
                join(
                                sanding("back", "part", false, "", Act.SAND_BACK),
                                sanding("face", "part", false, "", Act.SAND_FACE)
                                        .toArray(StepBuilder[]::new))
                        .toArray(StepBuilder[]::new));
        add(dustOff("key-dust", Zone.Kind.BACK_SAND));
        add(cut(
                "cut-cloth",
                "Cut two cloths",
                "From their template, over the tab and " + mm("tab.past") + " past its root, one for each side.",
                "cloth",
                Zone.Kind.CLOTH));
    }

    private void firstSide() {
        addAll(promoter(
                "back-promoter", Role.PROMOTE, Zone.Kind.BACK_SAND, "promoter", Act.PROMOTE_BACK, Act.FLASH_BACK));
        cartridgeReady("back-ready", "back");
        addAll(inGoes(
                cloths(1),
                "back-fill",
                "First side: tight coat, cloth, bury it",
                "Into the holes and against the form first, cloth over root and tab, then more until no weave shows. Rounded at the"
                        + " root: no notch.",
                "back",
                "back",
                Zone.Kind.CLOTH,
                Act.APPLY_BACK,
                Act.LAY_CLOTH));
        add(cured(
                "back-wait",
                "Wait for the first side",
                "back",
                "back",
                Zone.Kind.CLOTH,
                "Turn over from",
                Act.CURE_BACK));
        add(step("form-off", Kind.DO, "Turn over, the form off")
                .detail("What came through is sanded off; the holes are full.")
                .zone(Zone.Kind.DAMAGE)
                .active(TradeBook.value("minutes.untape")));
    }

    private void secondSide() {
        add(dustOff("face-dust", Zone.Kind.FACE_SAND));
        addAll(promoter("face-promoter", Role.PROMOTE, Zone.Kind.FACE_SAND, "promoter", Act.PROMOTE, Act.FLASH));
        cartridgeReady("face-ready", "face");
        addAll(inGoes(
                cloths(1),
                "face-fill",
                "Second side: tight coat, cloth, bury it",
                "As the first: cloth over root and tab, buried, rounded at the root; " + mm("tab.root")
                        + " thick there in all.",
                "face",
                "face",
                Zone.Kind.CLOTH,
                Act.APPLY_FACE));
        add(cured(
                "face-wait", "Wait for the second side", "face", "face", Zone.Kind.CLOTH, "Trim from", Act.CURE_FACE));
    }

    private void trim() {
        add(step("trim", Kind.SAND, "Trim to the marked outline")
                .detail(
                        "Saw or belt, then by hand: round at the root, no notch in which a crack begins. Held against its neighbour.")
                .zone(Zone.Kind.CLOTH)
                .layer("face")
                .tool(Tool.BELT_OR_DA.word())
                .paper("80")
                .active(hands("minutes.scuff", Zone.Kind.CLOTH))
                .caution("dust")
                .caution("fibre-dust")
                .needs(Resource.SANDER));
        add(look(
                "root",
                "A fingertip round the root",
                "Both sides, light from behind: no notch, no air, no dry cloth.",
                Zone.Kind.CLOTH,
                gate(
                        "Round at the root, no air, no dry cloth?",
                        "Sound",
                        "let it rest",
                        "Not so",
                        branch("notch", "A notch at the root", "round it", "round-again"),
                        stop(
                                "dry",
                                "Air or dry cloth in it",
                                "It breaks there: ground off and laid again. Plan anew.",
                                Weight.STOP))));
        loop(
                "round-again",
                "Round the root",
                step("round", Kind.SAND, "Round the root")
                        .detail("By hand, along the curve.")
                        .zone(Zone.Kind.CLOTH)
                        .tool(Tool.HAND_BLOCK.word())
                        .paper("80")
                        .active(hands("minutes.scuff", Zone.Kind.DAMAGE))
                        .caution("dust")
                        .caution("fibre-dust"));
    }

    private void fullStrength() {
        add(step("full", Kind.WAIT, "Leave it for full strength")
                .detail("Nothing hung on it, not drilled, not bent. Its label's time where that is longer.")
                .zone(Zone.Kind.CLOTH)
                .material(name(Role.BACK))
                .clock(
                        Clock.Kind.FROM,
                        "Drill and bend from",
                        TradeBook.value("tab.full"),
                        TradeBook.shipped().turn("tab.full").shown()));
        add(step("drill", Kind.DO, "Drill its hole")
                .detail("At the mark, from both sides, slowly; a washer under a screw.")
                .zone(Zone.Kind.DAMAGE)
                .layer("face")
                .tool("Drill")
                .active(TradeBook.value("minutes.measure"))
                .caution("dust")
                .caution("fibre-dust"));
        add(look(
                "bend",
                "Bend it by hand",
                "As far as its twin bends in use, both ways; look along the root, and listen.",
                Zone.Kind.DAMAGE,
                gate(
                        "It bends as its twin, no white line, no crack heard?",
                        "Holds",
                        "refit it",
                        "It does not",
                        stop(
                                "white",
                                "A white line, or it cracks",
                                "It lets go in use: built again from the root, or the part replaced.",
                                Weight.STOP))));
        ready("Ready to refit", "Set in by hand, nothing forced.");
    }
}
