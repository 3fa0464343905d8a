package vanemend.core.method.plastic;

import vanemend.core.footprint.Zone;
import vanemend.core.method.Kit;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.Weight;
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
        p.weld();
        p.dullFace();
        p.fillFace();
        p.shapeFace();
        p.seal();
        return p.laid("Welded plastic, cosmetic finish");
    }

    @Override
    String filled() {
        return "the weld";
    }

    /** The finish carries nothing: a weld that is open is welded again before anything lies over it. */
    private void weld() {
        add(look(
                "weld",
                "Look the weld over",
                "A magnifier along it, front and back; then bent by hand as far as the part bends in use, both ways.",
                Zone.Kind.DAMAGE,
                gate(
                        "No crack, no pinhole, nothing opens, nothing stands proud?",
                        "Sound",
                        "dull it",
                        "Not so",
                        branch("proud", "It stands proud", "grind on", "grind-again"),
                        stop(
                                "open",
                                "A crack or a hole in the weld",
                                "It is welded again first: the finish over it carries nothing.",
                                Weight.STOP))));
        loop(
                "grind-again",
                "Grind on",
                step("grind", Kind.SAND, "Grind it just below")
                        .detail("Slow and moving: it smears when it gets hot.")
                        .zone(Zone.Kind.DAMAGE)
                        .tool(Tool.BELT_OR_DA.word())
                        .paper("80")
                        .active(hands("minutes.scuff", Zone.Kind.DAMAGE))
                        .caution("dust")
                        .needs(Step.Resource.SANDER));
    }
}
