package vanemend.core.method.dent;

import java.util.List;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

/** Scratches and stone chips that end in the coats: pointed out where they corrode, feathered, dulled, handed to the primer. */
final class FeatherPage extends MetalFace {
    /** Leg of the ladder on the edge. */
    static final String FEATHER = "feather";

    /** Leg of the ladder around it. */
    static final String FINE = "fine";

    private FeatherPage(Kit kit) {
        super(kit);
    }

    /**
     * The steps.
     *
     * @param deepMm deepest, mm
     * @param damages places in the draft
     */
    static MethodSteps lay(Kit kit, double deepMm, List<Integer> damages) {
        FeatherPage p = new FeatherPage(kit);
        p.wash();
        p.nailAlongIt(p.hurt(damages));
        p.depth(deepMm);
        p.feather();
        p.dull();
        p.pass();
        return p.laid("Metal, edges feathered");
    }

    private void depth(double deepMm) {
        add(deepest(
                "Measure how deep it is",
                deepMm,
                Text.book("scratch.putty-from"),
                "feather it",
                stop("deep", "Too deep for paint alone", PUTTY, Weight.STOP),
                Watch.planned(
                        "depth",
                        Quantity.DEPTH_MM,
                        deepMm,
                        "",
                        "Depth other than planned",
                        "Within what paint hides: go on."),
                Watch.limit(
                        "too-deep",
                        Quantity.DEPTH_MM,
                        Watch.Sense.AT_MOST,
                        "scratch.putty-from",
                        Weight.STOP,
                        "Too deep for paint alone",
                        PUTTY)));
    }

    private static final String PUTTY = "It shows through: plan anew, with putty.";

    private void feather() {
        addAll(featherAgain(aluminium() ? AluminiumSkin.sanded().strip() : ""));
        add(look(
                "edge",
                "A nail over the edge, light from the side",
                "Every edge round the damage, out to whole paint.",
                Zone.Kind.FEATHER,
                gate(
                        "No step, no edge that lifts?",
                        "Feathered",
                        "dull around it",
                        "Not yet",
                        branch("step", "A step", "feather on", "feather-again"),
                        stop(
                                "lifts",
                                "The edge lifts",
                                "Nothing holds on paint that does not: it comes off to where it holds. Plan anew, larger.",
                                Weight.STOP))));
        loop("feather-again", "Feather on", featherAgain("").toArray(StepBuilder[]::new));
        add(dustOff("dust", Zone.Kind.FEATHER));
    }

    private List<StepBuilder> featherAgain(String more) {
        List<StepBuilder> out = sanding(FEATHER, "coats", false, more, Act.SAND_FACE);
        out.forEach(b -> b.caution("old-paint"));
        if (aluminium()) {
            out.forEach(b -> b.caution("aluminium-dust"));
        }
        return out;
    }

    private List<StepBuilder> dulled(String more) {
        return sanding(FINE, "coats", true, more, Act.PAPER);
    }

    private void dull() {
        addAll(dulled("Off the edge of the part and of body lines."));
    }

    private void pass() {
        add(look(
                "palm",
                "Palm test",
                "Flat hand, all directions; light from the side.",
                Zone.Kind.FINE_320,
                gate(
                        "No edge felt, dull everywhere?",
                        "Passed",
                        "blow off, wipe",
                        "Not yet",
                        branch("edge", "An edge is felt", "feather on", "feather-again"),
                        branch("shine", "Shine left", "dull again", "dull-again"))));
        loop("dull-again", "Dull again", dulled("").toArray(StepBuilder[]::new));
        readyForPrimer("Where metal shows it is primed by the primer's label before anything else."
                + (aluminium() ? AluminiumSkin.bare() : " Bare steel flash-rusts: the same hour."));
    }
}
