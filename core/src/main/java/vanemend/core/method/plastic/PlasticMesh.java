package vanemend.core.method.plastic;

import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.MethodSteps;
import vanemend.core.sanding.Tool;

/** Plastic through-hole, flexible filler and mesh: back and face wet in wet, one cure. */
final class PlasticMesh extends PlasticPage {
    private PlasticMesh(Kit kit) {
        super(kit);
    }

    /** The steps. */
    static MethodSteps lay(Kit kit) {
        PlasticMesh p = new PlasticMesh(kit);
        p.trialSpot();
        p.add(p.clean(
                        "clean",
                        "Clean the back, then the face",
                        "On with one cloth, off with a second while wet.",
                        Zone.Kind.BACK_CLEAN)
                .caution("calibration"));
        p.dryPart();
        p.dullBack();
        p.grind(
                "dish",
                "Bevel the face",
                "Wide and shallow around the hole, rounded, no kink at its rim.",
                Tool.DA,
                Zone.Kind.DISH);
        p.dullFace();
        p.meshAndFill();
        p.shapeFace();
        p.seal();
        return p.laid("Plastic through-hole with flexible filler and mesh");
    }

    /** Back and face are laid wet in wet, so their promoter flashes together. */
    private void bothPromoters() {
        if (stack().item(Role.PROMOTE).isPresent()) {
            addAll(dew(Zone.Kind.BACK_SAND));
            add(promoterCoat("back-promoter", Role.PROMOTE, Zone.Kind.BACK_SAND, "promoter", Act.PROMOTE_BACK));
            add(promoterCoat("face-promoter", Role.PROMOTE, Zone.Kind.RING_180, "promoter", Act.PROMOTE));
            add(promoterFlash(
                    "face-promoter",
                    Role.PROMOTE,
                    Zone.Kind.RING_180,
                    "promoter",
                    Act.PROMOTE,
                    Act.FLASH,
                    Act.FLASH_BACK));
        }
    }

    private void meshAndFill() {
        cutMesh();
        bothPromoters();
        mixAndSpread(
                kit.mix("filler"),
                "filler",
                "filler",
                Zone.Kind.MESH,
                "Mesh on film to the back, fill the face",
                "Filler on the mesh on film, press it to the back; at once, wet in wet, fill the face from the front, edges"
                        + " tapered, a little proud.",
                Act.APPLY_BACK,
                Act.LAY_CLOTH,
                Act.APPLY_FACE);
        cure(kit.mix("filler"), "filler", Zone.Kind.RING_180, "80");
        filmOff(Act.CURE_FACE);
    }
}
