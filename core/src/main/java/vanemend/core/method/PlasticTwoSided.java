package vanemend.core.method;

import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Step.Kind;
import vanemend.core.trade.TradeBook;

/** Plastic, two-sided: the back bedded in adhesive and cloth and cured, then the face dished until the backing just shows. */
public final class PlasticTwoSided extends PlasticPage {
    private PlasticTwoSided(Kit kit) {
        super(kit);
    }

    /** The steps. */
    public static MethodSteps lay(Kit kit) {
        PlasticTwoSided p = new PlasticTwoSided(kit);
        p.washAndClean(true);
        p.tapeFace();
        p.dullBack();
        p.back();
        p.turnOver();
        p.dish(true);
        p.dullFace();
        if (kit.has("filler")) {
            p.polyesterFace();
        } else {
            p.faceAdhesive();
        }
        p.shapeFace();
        p.seal();
        return p.laid("Plastic, two-sided adhesive");
    }

    private void tapeFace() {
        add(step("tape", Kind.DO, "Tape the face flush")
                .detail("Foil tape over the damage, faces level to a fingertip, edges aligned. Turn it over.")
                .zone(Zone.Kind.DISH)
                .material(name(Role.HOLD))
                .active(TradeBook.value("minutes.tape"))
                .acts(Act.TAPE_FACE));
    }

    private void back() {
        add(cut(
                "cut-cloth",
                "Cut the cloth",
                "From its template, " + mm("mesh.past") + " past the damage all round.",
                "cloth",
                Zone.Kind.CLOTH));
        addAll(promoter(
                "back-promoter", Role.PROMOTE, Zone.Kind.BACK_SAND, "promoter", Act.PROMOTE_BACK, Act.FLASH_BACK));
        cartridgeReady("back-ready", "back");
        add(apply(
                        "back-fill",
                        "Tight coat, cloth, bury it",
                        "Tight coat pressed in, cloth into it wet, then more over it until no weave shows. Never cloth dry on"
                                + " the part. Short work time: the slow grade for a hot shop or a large patch.",
                        "back",
                        "back",
                        Zone.Kind.CLOTH,
                        spreadMin("back"))
                .acts(Act.APPLY_BACK, Act.LAY_CLOTH)
                .caution("epoxy"));
        add(cured("back-wait", "Wait for the back", "back", "back", Zone.Kind.CLOTH, "Turn over from", Act.CURE_BACK));
    }

    private void turnOver() {
        add(step("untape", Kind.DO, "Turn over, tape off")
                .detail("Look at the line: faces level, nothing squeezed through. What came through is sanded off.")
                .zone(Zone.Kind.DISH)
                .active(TradeBook.value("minutes.untape"))
                .acts(Act.UNTAPE_FACE));
    }

    private void polyesterFace() {
        addAll(facePromoter("face-promoter"));
        mixAndSpread(
                kit.mix("filler"),
                "face",
                "filler",
                Zone.Kind.RING_180,
                "Tight coat, then build",
                "Press a tight coat in, then thin lifts, edges tapered; end proud.",
                Act.APPLY_FACE);
        add(curing(kit.mix("filler"), "face-wait", Zone.Kind.RING_180, "180").acts(Act.CURE_FACE));
    }

    @Override
    String fillId() {
        return kit.has("filler") ? "filler" : "face";
    }

    @Override
    StepBuilder secondCoat() {
        return kit.has("filler")
                ? step("fill", Kind.DO, "Second coat, the same filler")
                        .detail("Weigh and mix as before, press it in, keep it thin.")
                        .zone(Zone.Kind.RING_180)
                        .layer("filler")
                        .material(kit.mix("filler").pour().material())
                        .active(TradeBook.value("minutes.prepare-mix"))
                        .caution("styrene")
                        .acts(Act.APPLY_FACE)
                : super.secondCoat();
    }
}
