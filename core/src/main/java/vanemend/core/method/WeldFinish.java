package vanemend.core.method;

import vanemend.core.footprint.Zone;

/** Welded plastic, cosmetic finish: epoxy face adhesive over a weld ground just below, never polyester putty. */
public final class WeldFinish extends PlasticPage {
    private WeldFinish(Kit kit) {
        super(kit);
    }

    /**
     * The steps.
     *
     * @param groundBelow whether the weld is ground just below the face already
     */
    public static MethodSteps lay(Kit kit, boolean groundBelow) {
        WeldFinish p = new WeldFinish(kit);
        p.washAndClean(false);
        p.grind(
                "grind",
                groundBelow ? "Check the weld lies below" : "Grind the weld just below",
                "A straightedge rocks on a proud weld. Just below the face, " + mm("seam.fill")
                        + " or so, and no hollow beside it.",
                "Belt or DA",
                Zone.Kind.DAMAGE);
        p.dullFace();
        p.fillFace();
        p.shapeFace();
        p.seal();
        return p.laid("Welded plastic, cosmetic finish");
    }
}
