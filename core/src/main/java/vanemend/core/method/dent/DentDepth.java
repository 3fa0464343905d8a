package vanemend.core.method.dent;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import vanemend.core.damage.Dent;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Gate;
import vanemend.core.method.Kit;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** What was found in the sheet, and how deep it may be: each hollow is read, and over its most nothing is filled. */
abstract class DentDepth extends MetalFace {
    /**
     * What the page turns on besides its kit.
     *
     * @param hollows each dent or scratch, in the order of the draft; one at least
     * @param servings which of them each mix of filler serves, in the order it is mixed; empty where putty alone fills
     * @param whole whether the paint is kept whole and only dulled
     * @param puttyMostMm deepest that putty fills here without filler beneath it, mm
     * @param primerSandMin time until epoxy primer can be scuffed, min; absent where none is asked
     * @param sealerDryMin time until pinhole sealer is dry today, min; absent where its label gives none
     */
    record Found(
            List<Hollow> hollows,
            List<Serving> servings,
            boolean whole,
            double puttyMostMm,
            Optional<Double> primerSandMin,
            Optional<Double> sealerDryMin) {}

    /**
     * A dent, a scratch or a chip.
     *
     * @param damage its place in the draft, from 0
     * @param deepMm deepest, mm
     * @param share what a mm more of it takes, as a share of what a mm more of the largest takes
     * @param scratch whether it is a scratch or a chip, which nothing straightens
     */
    record Hollow(int damage, double deepMm, double share, boolean scratch) {}

    /**
     * Hollows that one mix fills.
     *
     * @param mix its id
     * @param hollows places in the list of hollows, from 0
     */
    record Serving(String mix, List<Integer> hollows) {}

    private static final String OVER_PAINT = "stack.whole-paint-deep";
    private static final String OPEN_IT =
            "Straightened and filled in opened coats, never over them: plan anew without whole paint.";

    private static final String ANEW =
            "Straightened where it can be, else filler beneath the putty: plan anew with what was read.";

    final Found found;

    DentDepth(Kit kit, Found found) {
        super(kit);
        this.found = found;
    }

    Optional<MixPlan> filler() {
        return kit.has("filler") ? Optional.of(kit.mix("filler")) : Optional.empty();
    }

    MixPlan putty() {
        return kit.mix("putty");
    }

    /** Nothing is straightened under paint that is kept, nor along a scratch. */
    boolean straightens() {
        return !found.whole() && tapped() > 0;
    }

    /** Hollow {@code i} by its name on the drawing, as a sentence; empty where there is only one. */
    String whose(int i) {
        int damage = found.hollows().get(i).damage();
        return found.hollows().size() == 1
                ? ""
                : kit.job().damages().get(damage).kind().mark() + " "
                        + kit.job().number(damage) + ". ";
    }

    /** How many dents are tapped. */
    long tapped() {
        return found.hollows().stream().filter(h -> !h.scratch()).count() - pulled();
    }

    /** How many dents are pulled. */
    long pulled() {
        return dents(Dent.Raising.PULLED).size();
    }

    /** Studs or rings that they are pulled with. */
    int studs() {
        return dents(Dent.Raising.PULLED).stream()
                .mapToInt(i -> ((Dent) kit.job().damages().get(i)).studs())
                .sum();
    }

    /** Places in the draft of the dents that are raised so. */
    List<Integer> dents(Dent.Raising raising) {
        return IntStream.range(0, kit.job().damages().size())
                .filter(i -> kit.job().damages().get(i) instanceof Dent d && d.raising() == raising)
                .boxed()
                .toList();
    }

    void measure() {
        boolean one = found.hollows().size() == 1;
        for (int i = 0; i < found.hollows().size(); i++) {
            Hollow h = found.hollows().get(i);
            String of = one ? "" : ", " + (i + 1) + " of " + found.hollows().size();
            add(step(one ? "depth" : "depth-" + (i + 1), Kind.GATE, "Measure the depth left" + of)
                    .detail(whose(i) + "Straightedge across the " + hurt(List.of(h.damage()))
                            + ", depth gauge at the deepest place.")
                    .zone(Zone.Kind.DAMAGE)
                    .layer("part")
                    .tool("Straightedge, depth gauge")
                    .figure(Text.of(h.deepMm(), "mm"))
                    .active(TradeBook.value("minutes.measure"))
                    .asks(Quantity.DEPTH_MM)
                    .watches(one ? depthWatches(h, mixOf(i)) : eachWatches(h, i))
                    .gate(new Gate(
                                    "Depth left read, " + Text.of(h.deepMm(), "mm") + " planned, never over "
                                            + mostSaid() + "?",
                                    "Shallow enough",
                                    i + 1 < found.hollows().size()
                                            ? "the next dent"
                                            : found.whole() ? "look at the paint" : "open the coats",
                                    "Too deep",
                                    List.of(tooDeepFor(h)))
                            .reading(Quantity.DEPTH_MM)));
        }
    }

    private String mostSaid() {
        if (found.whole()) {
            return Text.book(OVER_PAINT);
        }
        return filler().isPresent() ? Text.book("limit.metal-depth.upTo") : Text.atMost(found.puttyMostMm(), "mm");
    }

    private Gate.Branch tooDeepFor(Hollow h) {
        if (found.whole()) {
            return stop("deep", "Too deep", OPEN_IT, Weight.STOP);
        }
        return h.scratch()
                ? stop("deep", "Too deep", ANEW, Weight.STOP)
                : new Gate.Branch("deep", "Too deep", "straighten again", "straighten-again");
    }

    /** Each dent is read by itself: what is wrong with one is not put right by another. */
    private Watch[] eachWatches(Hollow h, int i) {
        return Stream.of(depthWatches(h, mixOf(i)))
                .map(w -> w.called(w.id() + "-" + (i + 1)).of(new Watch.OfDamage(h.damage(), h.share())))
                .toArray(Watch[]::new);
    }

    /** The mix that fills hollow {@code i}. */
    private String mixOf(int i) {
        return found.servings().stream()
                .filter(s -> s.hollows().contains(i))
                .map(Serving::mix)
                .findFirst()
                .orElse("putty");
    }

    /** Between the aim and the most, amounts and lifts follow what is read; over the most nothing is filled. */
    private Watch[] depthWatches(Hollow h, String mix) {
        Watch most = most(h);
        Watch planned = Watch.planned(
                "depth",
                Quantity.DEPTH_MM,
                h.deepMm(),
                mix,
                "Depth other than planned",
                "The first mix follows the depth that was read.");
        Watch shallow = Watch.limit(
                "shallow",
                Quantity.DEPTH_MM,
                Watch.Sense.AT_MOST,
                "limit.metal-shallow.upTo",
                Weight.OTHER,
                "Deeper than the aim",
                "Straighten more if it can be; else thin lifts.");
        double aim = TradeBook.shipped().turn("limit.metal-shallow.upTo").value();
        return h.deepMm() <= aim && filler().isPresent()
                ? new Watch[] {planned, shallow, most}
                : new Watch[] {planned, most};
    }

    private Watch most(Hollow h) {
        if (found.whole()) {
            return tooDeepForPaint();
        }
        Watch most = filler().isPresent() ? tooDeep() : tooDeepForPutty();
        return h.scratch() ? most : most.leaving("straighten-again");
    }

    private Watch tooDeepForPutty() {
        TradeBook.Turn aim = TradeBook.shipped().turn("limit.metal-shallow.upTo");
        return new Watch(
                "too-deep",
                Quantity.DEPTH_MM,
                Watch.Sense.AT_MOST,
                found.puttyMostMm(),
                Weight.STOP,
                false,
                "",
                "",
                1,
                "Too deep for putty alone",
                ANEW,
                found.puttyMostMm() < aim.value() ? "typical: read the label" : aim.shown(),
                Optional.empty());
    }

    private static Watch tooDeepForPaint() {
        return Watch.limit(
                "too-deep",
                Quantity.DEPTH_MM,
                Watch.Sense.AT_MOST,
                OVER_PAINT,
                Weight.STOP,
                "Too deep to fill over paint",
                OPEN_IT);
    }

    private static Watch tooDeep() {
        return Watch.limit(
                "too-deep",
                Quantity.DEPTH_MM,
                Watch.Sense.AT_MOST,
                "limit.metal-depth.upTo",
                Weight.STOP,
                "Too deep to fill",
                "Back to straightening, then measure again: thicker filler cracks and prints through.");
    }
}
