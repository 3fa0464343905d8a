package vanemend.core.method.plastic;

import vanemend.core.footprint.Zone;
import vanemend.core.method.Kit;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

/** Plastic, road rash and gouges in covers that flex: flexible filler alone over what the road left, nothing dished. */
final class PlasticFiller extends PlasticPage {
    private static final String BACK_IT =
            "Too little of the wall is left to do without a back: plan anew with what was read.";

    private PlasticFiller(Kit kit) {
        super(kit);
    }

    /**
     * The steps.
     *
     * @param deepMm deepest, mm
     * @param mostMm deepest that is filled without a back, mm
     */
    static MethodSteps lay(Kit kit, double deepMm, double mostMm) {
        PlasticFiller p = new PlasticFiller(kit);
        p.washAndClean(false);
        p.fuzz();
        p.lookAndRead(deepMm, mostMm);
        p.dullFace();
        p.fillFace();
        p.shapeFace();
        p.seal();
        return p.laid("Plastic, flexible filler alone");
    }

    @Override
    String filled() {
        return "the damage";
    }

    private void fuzz() {
        add(step("fuzz", Kind.DO, "Cut the fuzz and strings off")
                .detail(
                        "A sharp blade held flat. Cut, not pulled, and never smeared down by a hot paper: filler holds on the wall, not on hair.")
                .zone(Zone.Kind.DAMAGE)
                .layer("part")
                .tool("Sharp blade, scraper")
                .active(hands("minutes.scuff", Zone.Kind.DAMAGE)));
    }

    /** White lines are a crack to come, and a thin wall flexes under its filler: both are backed. */
    private void lookAndRead(double deepMm, double mostMm) {
        add(look(
                "stress",
                "Look for white lines, bend it",
                "Bent by hand as far as it bends in use, both ways, light from the side; the back looked at where it can be reached.",
                Zone.Kind.RING_180,
                gate(
                        "No white line, no crack, no hole?",
                        "Whole",
                        "read how deep",
                        "Not whole",
                        stop(
                                "white",
                                "White lines or a crack",
                                "It is backed first: plan anew as a crack, with what was seen.",
                                Weight.STOP))));
        add(deepest(
                "Read how deep it is",
                deepMm,
                Text.atMost(mostMm, "mm"),
                "dull it",
                stop("deep", "Too deep to fill alone", BACK_IT, Weight.STOP),
                Watch.planned(
                        "depth",
                        Quantity.DEPTH_MM,
                        deepMm,
                        "filler",
                        "Depth other than planned",
                        "The first mix follows the depth that was read."),
                Watch.limit(
                                "too-deep",
                                Quantity.DEPTH_MM,
                                Watch.Sense.AT_MOST,
                                "gouge.backed-from",
                                Weight.STOP,
                                "Too deep to fill alone",
                                BACK_IT)
                        .at(mostMm)));
    }
}
