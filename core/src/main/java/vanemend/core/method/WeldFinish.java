package vanemend.core.method;

import vanemend.core.footprint.Zone;
import vanemend.core.method.Step.Kind;

/** Welded plastic, cosmetic finish: epoxy face adhesive over a weld ground just below, never polyester putty. */
public final class WeldFinish extends PlasticPage {
    private final boolean groundBelow;

    private WeldFinish(Kit kit, boolean groundBelow) {
        super(kit);
        this.groundBelow = groundBelow;
    }

    /**
     * The steps.
     *
     * @param groundBelow whether the weld is ground just below the face already
     */
    public static MethodSteps lay(Kit kit, boolean groundBelow) {
        WeldFinish p = new WeldFinish(kit, groundBelow);
        p.washAndClean(false);
        p.grind();
        p.dullFace();
        p.faceAdhesive();
        p.shapeFace();
        p.seal();
        return p.laid("Welded plastic, cosmetic finish");
    }

    private void grind() {
        add(step("grind", Kind.SAND, groundBelow ? "Check the weld lies below" : "Grind the weld just below")
                .detail("A straightedge rocks on a proud weld. Just below the face, " + mm("seam.fill")
                        + " or so, and no hollow beside it.")
                .zone(Zone.Kind.DAMAGE)
                .layer("part")
                .tool("Belt or DA")
                .paper("80")
                .active(minutesFor("minutes.dish.per-100cm2", Zone.Kind.ADHESIVE))
                .caution("dust")
                .needs(Step.Resource.SANDER)
                .acts(Act.DISH, Act.SAND_FACE));
    }
}
