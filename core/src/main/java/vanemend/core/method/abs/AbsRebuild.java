package vanemend.core.method.abs;

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
import vanemend.core.trade.TradeBook;

/** ABS rebuild with solvent resin: cracks held tight, a bead over each at the back, a missing piece let in. */
public final class AbsRebuild extends MethodPage {
    /** The method. */
    public static final Method METHOD = Method.of(MethodId.ABS_REBUILD, AbsLayout::new);

    static final String CRACKS = "resin";
    static final String JOINT = "joint";
    static final String REOPENED = "reopened";

    private final boolean cracked;
    private final boolean missing;

    private AbsRebuild(Kit kit, boolean cracked, boolean missing) {
        super(kit);
        this.cracked = cracked;
        this.missing = missing;
    }

    /**
     * The steps.
     *
     * @param cracked whether there is a crack
     * @param missing whether a piece is let in
     */
    static MethodSteps lay(Kit kit, boolean cracked, boolean missing) {
        AbsRebuild p = new AbsRebuild(kit, cracked, missing);
        p.strip();
        p.bites();
        p.hold();
        p.bead();
        p.firstWait();
        p.fullWait();
        p.finish();
        return p.laid("ABS rebuild with solvent resin");
    }

    /** Solvent leaves in its own time. */
    @Override
    protected Step waitAgain() {
        return waitAgain(longer(
                        "Wait a little longer",
                        "No heat: it bubbles the resin and lets the part creep. Supported and still.")
                .zone(Zone.Kind.BEAD));
    }

    private void strip() {
        add(step("strip", Kind.DO, "Tape and sealant residue off")
                .detail("Fully, both sides; then its oil washed off.")
                .zone(Zone.Kind.BACK_CLEAN)
                .material(name(Role.REMOVE))
                .active(TradeBook.value("minutes.wash-part"))
                .caution("solvent"));
        wash(Zone.Kind.BACK_CLEAN, "The remover's oil has to go: resin does not bite through it.");
        add(clean("clean", "Clean both sides", "No acetone: it eats ABS.", Zone.Kind.BACK_CLEAN));
    }

    /** The resin is a solution of the plastic itself: what it does not soften it does not hold. */
    private void bites() {
        add(look(
                        "bites",
                        "Try a drop at a hidden place of the back",
                        "A drop of the resin, left as long as its label says, then tried with a pin: ABS and ASA go soft beneath it.",
                        Zone.Kind.BACK_CLEAN,
                        gate(
                                "Softened beneath the drop, nothing crazed beside it?",
                                "It bites",
                                missing ? "cut the piece" : "tape the face",
                                "It does not",
                                stop(
                                        "hard",
                                        "It stays hard, or crazes",
                                        "It is no ABS, or one that this resin does not mend: find out what it is, plan anew.",
                                        Weight.STOP)))
                .material(name(Role.BACK))
                .caution("solvent"));
    }

    private void hold() {
        if (missing) {
            add(cut(
                    "cut-piece",
                    "Cut the piece from matching ABS",
                    "From its template, edges square, a close fit; holes are drilled after cure.",
                    "piece",
                    Zone.Kind.DAMAGE));
        }
        add(step("tape", Kind.DO, "Tape the face, cracks tight")
                .detail("Faces flush, cracks closed tight from the face. No resin in the crack itself: it distorts.")
                .zone(Zone.Kind.FACE_TAPE)
                .material(name(Role.HOLD))
                .active(TradeBook.value("minutes.tape") * 2)
                .acts(Act.TAPE_FACE));
        if (missing) {
            add(step("set-piece", Kind.DO, "Set the piece in")
                    .detail(
                            "Into the tape from behind, flush with the face, the same hair of gap all round; it touches nowhere.")
                    .zone(Zone.Kind.DAMAGE)
                    .layer("piece")
                    .material(kit.portion("piece").material())
                    .portion("piece")
                    .active(TradeBook.value("minutes.tape")));
        }
        add(look(
                "supported",
                "Support it, look along the line",
                "Blocks under the face on both sides of every line, close to it and of one height, so that nothing hangs or"
                        + " springs; a straightedge across the line in three places. What is crooked now stays crooked.",
                Zone.Kind.FACE_TAPE,
                gate(
                        "Straightedge lies flat across every line, nothing hangs?",
                        "Flush",
                        "resin next",
                        "Not yet",
                        branch("step", "A step, or it springs", "support it, tape again", "align-again"))));
        loop(
                "align-again",
                "Align and support again",
                step("align", Kind.DO, "Tape off there, align, support, tape again")
                        .detail("A block higher on the low side; tape across the line first, then along it.")
                        .zone(Zone.Kind.FACE_TAPE)
                        .material(name(Role.HOLD))
                        .active(TradeBook.value("minutes.tape")));
    }

    private void bead() {
        String on = mm("bead.diameter") + " bead over the line, pressed to both sides of it, none between the faces. ";
        if (cracked) {
            add(resin("bead", "Bead over each crack, at the back", on + "Clips or tape at the back stay.", CRACKS)
                    .acts(Act.APPLY_BACK));
        }
        if (missing) {
            add(resin(
                            "joint",
                            "Bond the piece: bead around it, at the back",
                            on + "All round without a gap, the ends joined while both are wet.",
                            JOINT)
                    .acts(Act.APPLY_BACK));
        }
    }

    private StepBuilder resin(String id, String title, String detail, String portion) {
        return apply(id, title, detail, portion, "bead", Zone.Kind.BEAD, TradeBook.value("minutes.lay"))
                .caution("solvent")
                .acts(Act.RESIN_BEAD);
    }

    private void firstWait() {
        add(cured(
                        "handle",
                        "Leave it before the back tape moves",
                        "handle",
                        "bead",
                        Zone.Kind.BEAD,
                        "Back tape from",
                        Act.RESIN_4H)
                .detail("The face tape stays on."));
        add(step("where-tape-was", Kind.DO, "Back tape off, bead where it was")
                .detail("The gaps in the bead closed, joined to what is set.")
                .zone(Zone.Kind.BEAD)
                .layer("bead")
                .material(name(Role.BACK))
                .active(TradeBook.value("minutes.lay"))
                .caution("solvent")
                .acts(Act.BACK_TAPE_OFF));
    }

    private void fullWait() {
        add(cured("full", "Leave it for full strength", "full", "bead", Zone.Kind.BEAD, "Flex from", Act.RESIN_24H)
                .detail("Solvent leaves slowly: thickness counts squared. The face tape stays on."));
        add(step("untape", Kind.DO, "Face tape off")
                .detail("Pulled along the line, low.")
                .zone(Zone.Kind.FACE_TAPE)
                .active(TradeBook.value("minutes.untape"))
                .acts(Act.UNTAPE_FACE));
    }

    private void finish() {
        add(look(
                "flex",
                "Flex test",
                "By hand, as far as it bends in use, both ways; look and listen along the line.",
                Zone.Kind.DAMAGE,
                gate(
                        "Nothing opens, nothing creaks?",
                        "Holds",
                        "finish",
                        "It opens",
                        branch("opens", "The line opens", "bead where it opened, a day more", "bead-again"))));
        StepBuilder more = step("wait", Kind.WAIT, "A day more")
                .detail("As before; support it meanwhile.")
                .zone(Zone.Kind.BEAD)
                .layer("bead")
                .acts(Act.RESIN_24H);
        kit.waited("full").ifPresent(w -> more.clock("Flex from", w));
        loop(
                "bead-again",
                "Bead where it opened",
                resin(
                                "bead",
                                "Bead again where it opened",
                                "Old bead there roughened and wiped; closed and supported as before. Wider than the first. Type what it"
                                        + " took.",
                                REOPENED)
                        .amount(needed(kit.portion(REOPENED)) + " for each " + mm("bead.stretch") + " that opened")
                        .figure(""),
                more);
        if (missing) {
            add(step("drill", Kind.DO, "Drill and trim the new piece")
                    .detail("Holes from the old part's measure; edges flush.")
                    .zone(Zone.Kind.DAMAGE)
                    .layer("piece")
                    .active(TradeBook.value("minutes.file"))
                    .caution("dust"));
        }
        add(step("dull", Kind.DO, "Wipe thin resin into the dulled face")
                .detail(
                        "A trace on a cloth brings the gloss back where tape or cleaner dulled it. Then paint, once it is dry.")
                .zone(Zone.Kind.FACE_TAPE)
                .material(name(Role.BACK))
                .active(hands("minutes.brush", Zone.Kind.FACE_TAPE))
                .caution("solvent"));
        ready("Ready for paint or to refit", "");
    }
}
