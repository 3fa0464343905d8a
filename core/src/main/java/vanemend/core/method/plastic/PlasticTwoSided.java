package vanemend.core.method.plastic;

import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step.Kind;
import vanemend.core.trade.TradeBook;

/** Plastic, the back first: adhesive and cloth, or mesh and flexible filler, cured; then the face dished until it just shows. */
final class PlasticTwoSided extends PlasticPage {
    private PlasticTwoSided(Kit kit) {
        super(kit);
    }

    /** The steps with adhesive and cloth at the back. */
    static MethodSteps lay(Kit kit) {
        PlasticTwoSided p = new PlasticTwoSided(kit);
        return p.backFirst(p::cloth, "Plastic, two-sided adhesive");
    }

    /** The steps with mesh and flexible filler at the back. */
    static MethodSteps onMesh(Kit kit) {
        PlasticTwoSided p = new PlasticTwoSided(kit);
        return p.backFirst(p::mesh, "Plastic, mesh at the back first");
    }

    private MethodSteps backFirst(Runnable back, String title) {
        washAndClean(true);
        tapeFace();
        dullBack();
        back.run();
        turnOver();
        dish(true);
        dullFace();
        fillFace();
        shapeFace();
        seal();
        return laid(title);
    }

    private void tapeFace() {
        add(step("tape", Kind.DO, "Tape the face flush")
                .detail("Foil tape over the damage, faces level to a fingertip, edges aligned. Turn it over.")
                .zone(Zone.Kind.DISH)
                .material(name(Role.HOLD))
                .active(TradeBook.value("minutes.tape"))
                .acts(Act.TAPE_FACE));
    }

    private void mesh() {
        cutMesh();
        addAll(promoter(
                "back-promoter", Role.PROMOTE, Zone.Kind.BACK_SAND, "promoter", Act.PROMOTE_BACK, Act.FLASH_BACK));
        mixAndSpread(
                kit.mix("back"),
                "back",
                "back",
                Zone.Kind.MESH,
                "Mesh on film to the back",
                "Filler on the mesh on film, no weave dry, pressed to the back from the middle out: no air under it, the tape on"
                        + " the face holds what comes through.",
                Act.APPLY_BACK,
                Act.LAY_CLOTH);
        add(curing(kit.mix("back"), "back-wait", " the back", Zone.Kind.MESH, "80", Act.CURE_BACK));
        filmOff(Act.CURE_BACK);
    }

    private void cloth() {
        add(cut(
                "cut-cloth",
                "Cut the cloth",
                "From its template, " + mm("mesh.past") + " past the damage all round.",
                "cloth",
                Zone.Kind.CLOTH));
        addAll(promoter(
                "back-promoter", Role.PROMOTE, Zone.Kind.BACK_SAND, "promoter", Act.PROMOTE_BACK, Act.FLASH_BACK));
        cartridgeReady("back-ready", "back");
        addAll(inGoes(
                cloths(1),
                "back-fill",
                "Tight coat, cloth, bury it",
                "Tight coat pressed in, cloth into it wet, then more over it until no weave shows. Never cloth dry on the part."
                        + " Short work time: the slow grade for a hot shop or a large patch.",
                "back",
                "back",
                Zone.Kind.CLOTH,
                Act.APPLY_BACK,
                Act.LAY_CLOTH));
        add(cured("back-wait", "Wait for the back", "back", "back", Zone.Kind.CLOTH, "Turn over from", Act.CURE_BACK));
    }

    private void turnOver() {
        add(step("untape", Kind.DO, "Turn over, tape off")
                .detail("Look at the line: faces level, nothing squeezed through. What came through is sanded off.")
                .zone(Zone.Kind.DISH)
                .active(TradeBook.value("minutes.untape"))
                .acts(Act.UNTAPE_FACE));
    }
}
