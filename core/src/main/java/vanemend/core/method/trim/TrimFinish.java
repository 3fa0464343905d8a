package vanemend.core.method.trim;

import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.Method;
import vanemend.core.method.MethodPage;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.mix.Portion;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.PlasticRow;

/** Trim: residue, divot, grain, colour. Nothing coarser than 180 on trim, cleaned before every step, far past the repair. */
public final class TrimFinish extends MethodPage {
    /** The portion of the first coat of colour. */
    static final String FIRST_COLOUR = "colour-first";

    /** The method. */
    public static final Method METHOD = Method.of(MethodId.TRIM, TrimLayout::new);

    private final boolean residue;
    private final boolean divot;
    private final boolean whole;

    private TrimFinish(Kit kit, boolean residue, boolean divot, boolean whole) {
        super(kit);
        this.residue = residue;
        this.divot = divot;
        this.whole = whole;
    }

    /**
     * The steps for glue residue, a divot, or both.
     *
     * @param whole whether the part is so small that all of it is coloured
     */
    static MethodSteps lay(Kit kit, boolean residue, boolean divot, boolean whole) {
        TrimFinish p = new TrimFinish(kit, residue, divot, whole);
        p.trialSpot();
        if (residue) {
            p.glueOff();
        }
        p.wash(Zone.Kind.CLEAN, "The remover's oil has to go.");
        p.cleanFar("clean");
        p.dryPart();
        if (divot) {
            p.fill();
        }
        p.dull();
        p.grain();
        p.colour();
        return p.laid("Trim: residue, divot, grain, colour");
    }

    private void glueOff() {
        add(step("soften", Kind.DO, "Soft glue: remover, scrub")
                .detail("Let it work, then scrub; a plastic edge, no blade.")
                .zone(Zone.Kind.DAMAGE)
                .material(name(Role.REMOVE))
                .active(TradeBook.value("minutes.residue"))
                .caution("solvent"));
        addAll(
                sanding(
                        "residue",
                        "part",
                        false,
                        "Hard glue only. If it will not move, 180 on the glue alone, nothing coarser on trim, then back to 320."));
    }

    /** Clean, and see that it is. */
    private void cleanFar(String id) {
        add(clean(id, "Clean far past the repair", "Coatings fail at the uncleaned rim.", Zone.Kind.CLEAN));
        add(look(
                id + "-gate",
                "Watch the cleaner dry",
                "It must flash off in one film.",
                Zone.Kind.CLEAN,
                gate(
                        "No beads, no eyes as it dries?",
                        "One film",
                        "go on",
                        "It beads or opens",
                        branch("beads", "Beads or eyes", "clean again, wider", "clean-again"))));
        if (loops.stream().noneMatch(l -> l.id().equals("clean-again"))) {
            loop(
                    "clean-again",
                    "Clean again",
                    clean("again", "Clean again, wider", "Fresh cloths, twice.", Zone.Kind.CLEAN));
        }
    }

    private void fill() {
        if (kit.portion("face").form() == Portion.Form.GEL) {
            add(apply(
                            "gel",
                            "Gel into the divot, level with a card",
                            "A little over full, drawn level. Then the activator, from a distance: it sets at once and nothing moves"
                                    + " after.",
                            "face",
                            "face",
                            Zone.Kind.DAMAGE,
                            TradeBook.value("minutes.card"))
                    .caution("cyanoacrylate")
                    .acts(Act.APPLY_FACE));
            add(step("activate", Kind.DO, "Activator over the gel")
                    .detail("One light pass. Heat as it sets: small fills only."
                            + (asks(PlasticRow.Condition.ALCOHOL_ONLY)
                                    ? " Never near a screw, a clip or a tight bend: it crazes there."
                                    : ""))
                    .zone(Zone.Kind.DAMAGE)
                    .material(name(Role.ACTIVATE))
                    .active(TradeBook.value("minutes.untape"))
                    .caution("spray")
                    .acts(Act.CURE_FACE));
        } else {
            addAll(promoter("face-promoter", Role.PROMOTE, Zone.Kind.FINE_320, "promoter", Act.PROMOTE, Act.FLASH));
            cartridgeReady("face-ready", "face");
            add(apply(
                            "fill",
                            "Adhesive into the divot, level with a card",
                            "Pressed in, a little proud.",
                            "face",
                            "face",
                            Zone.Kind.DAMAGE,
                            TradeBook.value("minutes.card"))
                    .caution("epoxy")
                    .acts(Act.APPLY_FACE));
            add(cured("face-wait", "Wait to sand", "face", "face", Zone.Kind.DAMAGE, "Sand from", Act.CURE_FACE));
        }
    }

    private void dull() {
        addAll(sanding(
                "dull",
                divot ? "face" : "part",
                false,
                "Nothing coarser than 180 anywhere on trim.",
                Act.SAND_FACE,
                Act.PAPER));
        add(look(
                "level",
                "Look for the divot's edge",
                "Fingertip and a low light.",
                Zone.Kind.FINE_320,
                gate(
                        "Level, dull all over, no edge?",
                        "Level",
                        "clean, promoter",
                        "Not yet",
                        branch("edge", "Edge or shine", "320 again", "dull-again"))));
        loop(
                "dull-again",
                "320 again",
                sanding("dull", "part", false, "", Act.PAPER).getLast());
        cleanFar("clean-2");
        addAll(promoter("seal", Role.SEAL, Zone.Kind.TEXTURE, "seal", Act.PROMOTE_SEAL, Act.FLASH_SEAL));
    }

    private void grain() {
        add(step("scrap", Kind.DO, "Try the texture on scrap")
                .detail("Distance, burst and heat change the grain: note what matched, then repeat it.")
                .material(name(Role.TEXTURE))
                .active(TradeBook.value("minutes.file"))
                .caution("spray"));
        coats("texture", "Texture", "Bursts from the distance that matched.", Zone.Kind.TEXTURE);
        add(look(
                "grain",
                "Compare the grain",
                "From where the driver sits, and from a hand's breadth.",
                Zone.Kind.TEXTURE,
                gate(
                        "Grain runs into its neighbour?",
                        "It blends",
                        "colour next",
                        "Not yet",
                        branch("thin", "Too smooth", "one more coat", "texture-again"))));
        loop(
                "texture-again",
                "One more coat of texture",
                coat(
                        "texture",
                        "One more coat of texture",
                        "As before.",
                        "texture",
                        Zone.Kind.TEXTURE,
                        coatsOf("texture")),
                dries("texture-dry", "texture", Zone.Kind.TEXTURE));
    }

    /** The coats of {@code portion}, each dry before the next. */
    private void coats(String portion, String title, String detail, Zone.Kind zone) {
        int n = coatsOf(portion);
        for (int i = 1; i <= n; i++) {
            add(coat(portion + "-" + i, title + ", coat " + i + " of " + n, detail, portion, zone, n));
            add(dries(portion + "-dry-" + i, portion, zone));
        }
    }

    private static int coatsOf(String portion) {
        return (int) TradeBook.value("coat." + portion + "-coats");
    }

    /** One of the {@code coats} that {@code portion} is for. */
    private StepBuilder coat(String id, String title, String detail, String portion, Zone.Kind zone, int coats) {
        Portion p = kit.portion(portion);
        return step(id, Kind.DO, title)
                .detail(detail)
                .zone(zone)
                .layer(portion.equals(FIRST_COLOUR) ? "colour" : portion)
                .material(p.material())
                .amount(Text.of(Math.ceil(p.needed() / coats * 2 - 1e-9) / 2, p.unit()))
                .portion(portion)
                .active(hands("minutes.prime", zone))
                .caution("spray")
                .acts(Act.PRIMER);
    }

    private StepBuilder dries(String id, String portion, Zone.Kind zone) {
        return drying(
                id,
                "Let it dry",
                "Touched beside the work, not on it; thick places last.",
                portion + "-dry",
                zone,
                "Dry to the touch, no print?");
    }

    /** The first coat shows the repair's own colour; only those after it reach past it. */
    private void colour() {
        int n = coatsOf("colour");
        add(coat(
                "colour-1",
                "Colour on the repair alone, coat 1 of " + n,
                "Light: it need not cover.",
                FIRST_COLOUR,
                Zone.Kind.TEXTURE,
                1));
        add(dries("colour-dry-1", "colour", Zone.Kind.TEXTURE));
        for (int i = 2; i <= n; i++) {
            add(coat(
                    "colour-" + i,
                    (whole ? "Colour over the whole part" : "Colour") + ", coat " + i + " of " + n,
                    "Fuller, from " + Text.book("coat.colour-from") + " to " + Text.book("coat.colour-to") + "."
                            + (whole ? " Edges and returns too." : ""),
                    "colour",
                    Zone.Kind.COLOUR,
                    n - 1));
            add(dries("colour-dry-" + i, "colour", Zone.Kind.COLOUR));
        }
        ready("Refit, look from the seat", "");
    }
}
