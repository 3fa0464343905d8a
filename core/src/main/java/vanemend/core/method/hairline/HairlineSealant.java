package vanemend.core.method.hairline;

import java.util.Optional;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.Method;
import vanemend.core.method.MethodPage;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Weight;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Composite hairline in a flexing panel: ends drilled, a V opened, flexible sealant pressed in. */
public final class HairlineSealant extends MethodPage {
    private static final String NEIGHBOUR_OFF = "neighbour-off";

    /** The method. */
    public static final Method METHOD = Method.of(
            MethodId.HAIRLINE,
            HairlineLayout::new,
            later("hairline.look-hidden", Optional.of(NEIGHBOUR_OFF)),
            later("hairline.look-first", Optional.empty()),
            later("hairline.look-second", Optional.empty()));

    private static Method.Later later(String valueId, Optional<String> step) {
        return new Method.Later(
                (int) TradeBook.value(valueId),
                "look past both stop holes. A crack beyond one means it is loaded: refer.",
                TradeBook.shipped().entry(valueId).shown(),
                step);
    }

    private final double lengthMm;
    private final double depthMm;

    private final boolean hidden;

    private HairlineSealant(Kit kit, double lengthMm, double depthMm, boolean hidden) {
        super(kit);
        this.hidden = hidden;
        this.lengthMm = lengthMm;
        this.depthMm = depthMm;
    }

    /**
     * The steps.
     *
     * @param lengthMm of the hairline
     * @param depthMm of the groove
     * @param hidden whether an end lies under a neighbour
     */
    static MethodSteps lay(Kit kit, double lengthMm, double depthMm, boolean hidden) {
        HairlineSealant p = new HairlineSealant(kit, lengthMm, depthMm, hidden);
        p.neighbour();
        p.ends();
        p.groove();
        p.seal();
        return p.laid("Composite hairline in a flexing panel");
    }

    /** Sealant cures by the damp in the air, and its tape has a moment to leave. */
    @Override
    protected Step waitAgain() {
        return waitAgain(longer(
                        "Wait a little longer",
                        "No heat: it cures by the damp in the air. Look often: the tape leaves while it still tacks.")
                .zone(Zone.Kind.GROOVE));
    }

    private void neighbour() {
        if (hidden) {
            add(step(NEIGHBOUR_OFF, Kind.DO, "Neighbour off, if it can be")
                    .detail(
                            "Lamp or strip off, its sealant cut clean. If it cannot come off, the stop hole goes as near as can be,"
                                    + " and it is looked at after " + Text.book("hairline.look-hidden") + " too.")
                    .zone(Zone.Kind.CLEAN)
                    .active(TradeBook.value("minutes.per-dent.straighten"))
                    .caution("calibration"));
        }
    }

    /** What was opened beside it is closed again, or was never touched. */
    private void reseal() {
        add(look(
                "neighbour",
                "Neighbours: left alone, or sealed again?",
                "Lamps, strips and joints that the line runs up to.",
                Zone.Kind.CLEAN,
                gate(
                        "Every neighbour's seal whole, or sealed again by its label?",
                        "Whole",
                        "refit",
                        "One is open",
                        branch("open", "A seal is open", "clean it, seal it again", "seal-neighbour"))));
        loop(
                "seal-neighbour",
                "Seal the neighbour again",
                step("seal", Kind.DO, "Clean it, seal it again")
                        .detail("Old sealant out, dry, new sealant by its label; nothing loaded until it has skinned.")
                        .zone(Zone.Kind.CLEAN)
                        .material(name(Role.SEAL))
                        .active(TradeBook.value("minutes.bead"))
                        .caution("isocyanate"));
    }

    private void ends() {
        add(look(
                        "ends",
                        "Find both ends",
                        "Magnifier, light from the side, a drop of cleaner drawn into the line shows where it stops.",
                        Zone.Kind.DAMAGE,
                        gate(
                                "Both ends seen and marked?",
                                "Marked",
                                "drill",
                                "Not sure",
                                branch("lost", "An end is lost", "clean and look again", "look-again"),
                                stop(
                                        "longer",
                                        "It runs further, or branches",
                                        "Draw it as it is, plan anew: past its limit it is laminated.",
                                        Weight.STOP)))
                .material(name(Role.CLEAN)));
        loop(
                "look-again",
                "Clean and look again",
                step("again", Kind.DO, "Clean the line, look again")
                        .detail("Brush, clean, wait until dry, magnifier.")
                        .zone(Zone.Kind.DAMAGE)
                        .active(TradeBook.value("minutes.measure"))
                        .caution("solvent"));
        add(step("drill", Kind.DO, "Stop-drill past each end")
                .detail(mm("stop-hole.diameter") + ", " + mm("stop-hole.past")
                        + " beyond the visible end, through the cracked layer only. Start the point in a knife nick.")
                .zone(Zone.Kind.STOP_HOLE)
                .layer("part")
                .tool("Drill " + mm("stop-hole.diameter"))
                .active(TradeBook.value("minutes.measure") * 2)
                .caution("fibre-dust")
                .acts(Act.STOP_DRILL));
    }

    private void groove() {
        double per = TradeBook.value("minutes.groove.per-100mm") * lengthMm / 100;
        add(step("groove", Kind.DO, "Open a V, end to end")
                .detail("Conical cutter, " + mm("groove.width") + " wide and " + Text.of(depthMm, "mm")
                        + " deep at most, never through. Chamfer its edges with 80.")
                .zone(Zone.Kind.GROOVE)
                .layer("part")
                .tool("Conical cutter")
                .paper("80")
                .active(Math.max(2, per))
                .caution("fibre-dust")
                .acts(Act.GROOVE));
        add(look(
                        "bottom",
                        "Look along the bottom of the V",
                        "A lamp behind it, a fingernail along it, tap beside it.",
                        Zone.Kind.GROOVE,
                        gate(
                                "No light through, nothing loose, no dull sound beside it?",
                                "Sound",
                                "tape the outline",
                                "Not so",
                                stop(
                                        "through",
                                        "It goes through, or sounds dull",
                                        "More than its outer layer is broken: sealant holds nothing there. Plan it anew as a laminate.",
                                        Weight.STOP)))
                .layer("part"));
        add(step("outline", Kind.DO, "Tape the outline")
                .detail("A clean straight edge " + mm("tape.past") + " past the groove.")
                .zone(Zone.Kind.TAPE)
                .material(name(Role.HOLD))
                .active(TradeBook.value("minutes.tape"))
                .acts(Act.OUTLINE_TAPE));
        add(step("dry", Kind.DO, "Acetone and a brush, dry")
                .detail("Dust out of the groove; then leave it until no smell is left.")
                .zone(Zone.Kind.GROOVE)
                .material(name(Role.CLEAN))
                .active(hands("minutes.wipe", Zone.Kind.GROOVE))
                .caution("solvent")
                .acts(Act.CLEAN));
    }

    private void seal() {
        add(apply(
                        "sealant",
                        "Press the sealant in",
                        "From one end, pressed to the bottom with a blade, a little over full: it swells slightly as it cures.",
                        "sealant",
                        "sealant",
                        Zone.Kind.GROOVE,
                        TradeBook.value("minutes.bead"))
                .caution("isocyanate")
                .acts(Act.SEALANT));
        StepBuilder skin = step("skin", Kind.WAIT, "Wait for the first skin")
                .detail(
                        "Tape off while it still tacks: later it tears. Then smooth with a finger wet with a trace of mineral"
                                + " spirit.")
                .zone(Zone.Kind.GROOVE)
                .layer("sealant")
                .gate(gate(
                        "Skin just forming, still tacky?",
                        "Skinning",
                        "tape off, smooth",
                        "Still wet",
                        branch("wet", "Still wet", "wait and try again", "wait-again")));
        kit.waited("skin").ifPresent(w -> clock(skin, w, "Tape off from"));
        add(skin);
        add(step("tape-off", Kind.DO, "Tape off, smooth it")
                .detail("Pull the tape back on itself. One stroke, wet finger, no more.")
                .zone(Zone.Kind.TAPE)
                .active(TradeBook.value("minutes.untape"))
                .caution("solvent")
                .acts(Act.TAPE_WHILE_TACKY));
        StepBuilder full = step("refit-wait", Kind.WAIT, "Leave it before refitting")
                .detail("It cures from the skin inward, by the damp in the air.")
                .zone(Zone.Kind.GROOVE)
                .layer("sealant")
                .gate(gate(
                        "Firm right through, no tack, no smell?",
                        "Firm",
                        "refit",
                        "Soft beneath",
                        branch("soft", "Soft beneath", "wait and try again", "wait-again")));
        kit.waited("refit").ifPresent(w -> clock(full, w, "Refit from"));
        add(full);
        reseal();
        ready(
                "Refit the panel",
                "Look again after " + (hidden ? Text.book("hairline.look-hidden") + ", " : "")
                        + Text.book("hairline.look-first") + " and " + Text.book("hairline.look-second")
                        + ": a crack past its stop hole is referred.");
    }
}
