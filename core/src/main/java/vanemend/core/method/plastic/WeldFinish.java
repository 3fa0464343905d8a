package vanemend.core.method.plastic;

import vanemend.core.footprint.Zone;
import vanemend.core.method.Kit;
import vanemend.core.method.MethodSteps;
import vanemend.core.sanding.Tool;

/** Welded plastic, cosmetic finish: epoxy face adhesive over a weld ground just below, never polyester putty. */
final class WeldFinish extends PlasticPage {
    private WeldFinish(Kit kit) {
        super(kit);
    }

    /**
     * The steps.
     *
     * @param groundBelow whether the weld is ground just below the face already
     */
    static MethodSteps lay(Kit kit, boolean groundBelow) {
        WeldFinish p = new WeldFinish(kit);
        p.washAndClean(false);
        p.grind(
                "grind",
                groundBelow ? "Check the weld lies below" : "Grind the weld just below",
                "A straightedge rocks on a proud weld. Just below the face, " + mm("seam.fill")
                        + " or so, and no hollow beside it.",
                Tool.BELT_OR_DA,
                Zone.Kind.DAMAGE);
        p.dullFace();
        p.fillFace();
        p.shapeFace();
        p.seal();
        return p.laid("Welded plastic, cosmetic finish");
    }
}
