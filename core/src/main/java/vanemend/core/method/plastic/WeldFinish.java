package vanemend.core.method.plastic;

import vanemend.core.footprint.Zone;
import vanemend.core.method.Kit;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step;
import vanemend.core.method.Step.Clock;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.Weight;
import vanemend.core.sanding.Tool;
import vanemend.core.trade.TradeBook;

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
        p.fused();
        p.grind(
                "grind",
                groundBelow ? "Check the weld lies below" : "Grind the weld just below",
                "A straightedge rocks on a proud weld. Just below the face, " + mm("seam.fill")
                        + " or so, and no hollow beside it. Fuzzy swarf off.",
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

    /** What carries is judged while it can be seen: rod and part are one, and this rod holds on this plastic. */
    private void fused() {
        add(look(
                "weld-fused",
                "Is the weld sound?",
                "Cold to the hand, " + mm("weld.cool")
                        + " after the torch at least. A nail drawn across it finds no line between rod and"
                        + " part; the root is filled, or the second side is welded.",
                Zone.Kind.DAMAGE,
                gate(
                        "Cold, fused all along, root filled?",
                        "Fused",
                        "bend a scrap",
                        "Not so",
                        branch("warm", "Still warm", "let it cool", "cool-again"),
                        stop(
                                "line",
                                "A line under the nail, or an open root",
                                "It is welded again first: the finish over it carries nothing.",
                                Weight.STOP))));
        loop(
                "cool-again",
                "Let it cool",
                step("cool", Kind.WAIT, "Let the weld cool")
                        .detail("In still air; cooled with water or air it warps and cracks.")
                        .zone(Zone.Kind.DAMAGE)
                        .clock(
                                Clock.Kind.FROM,
                                "Look again from",
                                TradeBook.value("weld.cool"),
                                TradeBook.shipped().turn("weld.cool").shown()));
        add(look(
                "weld-scrap",
                "Bend a welded scrap",
                "A scrap of the same plastic welded with the same rod, bent by " + mm("weld.bend")
                        + " across the weld.",
                Zone.Kind.DAMAGE,
                gate(
                        "Rod and scrap did not part?",
                        "Held",
                        "grind it",
                        "Parted",
                        stop(
                                "parted",
                                "The rod parts from the plastic",
                                "Another plastic than thought, or another rod: find out which, then weld again.",
                                Weight.STOP))));
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
