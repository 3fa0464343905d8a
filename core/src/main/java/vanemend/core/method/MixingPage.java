package vanemend.core.method;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.IntFunction;
import java.util.stream.Stream;
import vanemend.core.cure.CureLaw;
import vanemend.core.cure.DryingRoute;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Step.Clock;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.Step.Resource;
import vanemend.core.mix.Again;
import vanemend.core.stack.StackChoice;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Schools;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Steps in order, and filler and cream on their way from the tin to the part: what every page has under it. */
public abstract class MixingPage {
    protected final Kit kit;
    protected final List<Step> steps = new ArrayList<>();

    protected MixingPage(Kit kit) {
        this.kit = kit;
    }

    /** The schools that are followed. */
    protected Schools house() {
        return kit.job().house();
    }

    /** Hands-on minutes of one pass over {@code zone}: see {@link #hands(String, Zone.Kind, double)}. */
    protected double hands(String valueId, Zone.Kind zone) {
        return hands(valueId, zone, 1);
    }

    /**
     * Hands-on minutes of {@code passes} over {@code zone}, min: setting up once, then each pass at the book's rate per 100 cm²; at
     * least one.
     */
    protected double hands(String valueId, Zone.Kind zone, double passes) {
        double rate = TradeBook.value(valueId + ".per-100cm2");
        double min = TradeBook.value(valueId) + passes * rate * kit.footprint().areaMm2(zone) / 100 / 100;
        return Math.max(1, min);
    }

    /** What is taken from the shelf. */
    protected StackChoice stack() {
        return kit.job().stack();
    }

    protected void mixAndSpread(
            MixPlan mix, String prefix, String layer, Zone.Kind zone, String title, String detail, Act... acts) {
        prepareMix(mix, prefix, zone);
        batches(mix, prefix, "", layer, zone, title, detail, acts);
    }

    /** Tin, cream, board and hands ready. */
    protected void prepareMix(MixPlan mix, String prefix, Zone.Kind zone) {
        add(step(prefix + "-prepare", Kind.DO, "Stir the tin, knead the cream")
                .detail(
                        (mix.pour().thinner().isPresent() ? "Both tins stirred. " : "")
                                + "Board, spreaders and scale laid out. Never cardboard: it drinks resin and sheds fibre. Hands free until it is spread.")
                .material(mix.pour().said())
                .zone(zone)
                .active(TradeBook.value("minutes.prepare-mix"))
                .acts(Act.STIR));
    }

    /** The batches of {@code mix}, each mixed and spread; {@code what} says what they are for, empty for all of it. */
    protected void batches(
            MixPlan mix,
            String prefix,
            String what,
            String layer,
            Zone.Kind zone,
            String title,
            String detail,
            Act... acts) {
        batches(mix, prefix, what, layer, zone, b -> title, b -> detail, acts);
    }

    /** As above; {@code title} and {@code detail} say what each batch is, from 1. */
    protected void batches(
            MixPlan mix,
            String prefix,
            String what,
            String layer,
            Zone.Kind zone,
            IntFunction<String> title,
            IntFunction<String> detail,
            Act... acts) {
        for (int b = 1; b <= mix.pour().batches(); b++) {
            boolean only = mix.pour().batches() == 1;
            String of = what + (only ? "" : ", batch " + b + " of " + mix.pour().batches());
            batch(mix, prefix, only ? "" : "-" + b, of, layer, zone, title.apply(b), detail.apply(b), acts);
        }
    }

    protected void batch(
            MixPlan mix,
            String prefix,
            String suffix,
            String of,
            String layer,
            Zone.Kind zone,
            String title,
            String detail,
            Act... acts) {
        add(
                mixing(mix, prefix + "-mix" + suffix, of, zone),
                spreading(mix, prefix + "-spread" + suffix, title + of, detail, layer, zone)
                        .acts(acts));
    }

    protected StepBuilder mixing(MixPlan mix, String id, String of, Zone.Kind zone) {
        String grams = grams(mix);
        String cream = creamAcross()
                ? base(mix) + "spread to a flat puddle "
                        + Text.of(Math.round(mix.pour().puddleMm()), "mm") + " across; then a bead of cream "
                        + Text.of(Math.round(mix.pour().beadMm()), "mm") + " long across it, weighed all the same"
                        + both(mix) + "."
                : base(mix) + "then cream to what was really weighed" + both(mix) + ", beside it on the board.";
        return step(id, Kind.MIX, "Weigh and mix" + of)
                .detail(cream + folded(mix))
                .zone(zone)
                .tool("Scale, board")
                .material(mix.pour().said())
                .amount(grams)
                .figure(Text.of(mix.pour().fillerG(), "g"))
                .active(mix.pour().mixMin())
                .mix(mix.id())
                .clock(
                        Clock.Kind.BY,
                        "On the part by",
                        mix.pour().onPartByMin(),
                        Text.book("mix.work-share") + " of " + Text.of(mix.labelWorkMin(), "min")
                                + " label work time, at today's air and dose")
                .asks(Quantity.FILLER_G, Quantity.CREAM_G)
                .caution("styrene")
                .caution("peroxide");
    }

    /** What lies on the scale before the cream: of thinned filler both, and both count for the dose. */
    private static String base(MixPlan mix) {
        return mix.pour()
                .thinner()
                .map(t -> "Filler first, then putty to "
                        + Text.of(Math.round(t.share() * 100), "%")
                        + " of both, folded in to one colour; ")
                .orElse("Filler first, ");
    }

    private static String both(MixPlan mix) {
        return mix.pour().thinner().isPresent() ? " of both" : "";
    }

    /** Whether the cream is laid as a bead across the puddle, so that its length is said. */
    private boolean creamAcross() {
        return house().is("cream-place", "across")
                || house().is("peroxide-dose", "bead")
                || house().is("peroxide-dose", "ribbon-half");
    }

    /** A mix of a rework: its amount follows the depth that is read. */
    protected StepBuilder mixingAgain(MixPlan mix, Zone.Kind zone) {
        StepBuilder b =
                mixing(mix, "mix", "", zone).amount(said(mix)).figure("").asks(Quantity.DEPTH_MM, Quantity.SPOT_MM);
        return creamAcross()
                ? b.detail(base(mix) + "spread to a flat puddle; then a bead of cream across it, weighed all the same"
                        + both(mix) + "." + folded(mix))
                : b;
    }

    /** Spreading of a rework. */
    protected StepBuilder spreadingAgain(MixPlan mix, String title, String detail, String layer, Zone.Kind zone) {
        return spreading(mix, "spread", title, detail, layer, zone).amount(said(mix));
    }

    private static String said(MixPlan mix) {
        return said(mix.pour().again().orElseThrow(), "g");
    }

    /** How much a second round takes, before its depth is known. */
    protected static String said(Again again, String unit) {
        String coat = Text.of(again.amount(0), unit) + " for a coat";
        long more = Math.round(Math.ceil(again.perMm()));
        return more > 0
                ? coat + ", up to " + Text.of(more, unit) + " more for each " + Text.of(1, "mm") + " of depth"
                : coat;
    }

    private static String folded(MixPlan mix) {
        return " Press down, fold, do not whip; one even colour inside "
                + Text.of(Math.round(mix.pour().mixMin() * 60), "s") + ".";
    }

    protected StepBuilder spreading(MixPlan mix, String id, String title, String detail, String layer, Zone.Kind zone) {
        return step(id, Kind.SPREAD, title)
                .detail(detail)
                .zone(zone)
                .layer(layer)
                .tool("Spreader " + Text.of(mix.pour().spreaderMm(), "mm"))
                .material(mix.pour().said())
                .amount(grams(mix))
                .active(Math.min(
                        Math.max(1, mix.pour().spreadMin()),
                        mix.pour().onPartByMin() - mix.pour().mixMin()))
                .mix(mix.id())
                .caution("styrene");
    }

    protected void cure(MixPlan mix, String prefix, Zone.Kind zone, String paper) {
        add(curing(mix, prefix + "-wait", zone, paper));
    }

    protected StepBuilder curing(MixPlan mix, String id, Zone.Kind zone, String paper) {
        return curing(mix, id, "", zone, paper);
    }

    /** As above; {@code what} says what of it cures, empty for all. */
    protected StepBuilder curing(MixPlan mix, String id, String what, Zone.Kind zone, String paper) {
        return curing(mix, id, what, zone, paper, Act.CURE_FACE);
    }

    /** As above; {@code cured} is what has cured then. */
    protected StepBuilder curing(MixPlan mix, String id, String what, Zone.Kind zone, String paper, Act cured) {
        DryingRoute route = mix.route();
        boolean lamp = route.kind().heats();
        StepBuilder b = step(id, Kind.WAIT, (lamp ? "Dry under the lamp" : "Wait to sand") + what)
                .detail(WIPED + (lamp ? route.note() + " Then cool. " : "")
                        + "Thin edges cure last. The surface may stay slightly tacky: try a corner with " + paper + ".")
                .zone(zone)
                .layer(mix.id())
                .material(mix.pour().material())
                .mix(mix.id())
                .active(TradeBook.value("minutes.clean-up"))
                .asks(Quantity.SURFACE_C)
                .watches(notOver(mix.law()))
                .clock(
                        Clock.Kind.FROM,
                        "Sand from",
                        route.minutes(),
                        lamp
                                ? "ramp, hold and cool"
                                : "label " + Text.of(Math.round(mix.law().sandMin()), "min") + " at "
                                        + Text.of(mix.law().refC(), "°C"))
                .gate(new Gate(
                        "Nail leaves no mark on the thin edge, paper does not clog?",
                        "Hard",
                        "sand now",
                        "Still soft",
                        List.of(new Gate.Branch("soft", "Still soft", "wait and try again", "wait-again"))))
                .acts(cured);
        return lamp ? b.caution("lamp").needs(Resource.LAMP).acts(Act.HEAT, Act.COOL) : b;
    }

    /** What is done at once while a mix cures. */
    protected static final String WIPED = "Spreader and board wiped clean at once. ";

    /** What cures by {@code law} is kept under its cap; over it nothing goes on until it is read cooler. */
    protected static Watch notOver(CureLaw law) {
        return new Watch(
                "hot",
                Quantity.SURFACE_C,
                Watch.Sense.AT_MOST,
                law.capC(),
                Weight.STOP,
                false,
                "wait-again",
                "",
                1,
                "Over its cap",
                "Heat off, let it cool, read again: over its cap it shrinks and lifts at the edge.",
                law.capC() == TradeBook.value("cure.polyester.cap")
                        ? TradeBook.shipped().entry("cure.polyester.cap").shown()
                        : "figure of its material class",
                Optional.empty());
    }

    /** What "still soft" and "still wet" lead to: heat only as far as what cures, and what it lies on, stand it. */
    protected Step waitAgain() {
        OptionalDouble cap = kit.waits().values().stream()
                .flatMap(w -> w.law().stream())
                .mapToDouble(CureLaw::capC)
                .min();
        String warm = cap.isPresent()
                ? " Warm the panel to "
                        + Text.atMost(
                                Math.min(cap.getAsDouble(), kit.job().warmestC().orElse(Double.MAX_VALUE)), "°C")
                        + " at most."
                : "";
        return waitAgain(longer("Wait a little longer", "Longer does no harm." + warm)
                .zone(Zone.Kind.DAMAGE)
                .asks(Quantity.SURFACE_C)
                .watches(laws().min(Comparator.comparingDouble(CureLaw::capC)).stream()
                        .map(MixingPage::notOver)
                        .toArray(Watch[]::new)));
    }

    /** Laws of everything that cures in this plan. */
    private Stream<CureLaw> laws() {
        return Stream.concat(
                kit.waits().values().stream().flatMap(w -> w.law().stream()),
                kit.mixes().values().stream().map(MixPlan::law));
    }

    /** {@code more} as the one step of its loop. */
    protected static Step waitAgain(StepBuilder more) {
        return chain("", more).getFirst();
    }

    /** A wait until the sign is tried again. */
    protected static StepBuilder longer(String title, String detail) {
        return step("more", Kind.WAIT, title)
                .detail(detail)
                .clock(
                        Clock.Kind.FROM,
                        "Try again from",
                        TradeBook.value("minutes.retest"),
                        TradeBook.shipped().entry("minutes.retest").shown());
    }

    protected Step named(String id) {
        return steps.stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("no step " + id))
                .as(id, List.of());
    }

    protected String grams(MixPlan mix) {
        double both = mix.pour().fillerG();
        String putty = mix.pour()
                .thinner()
                .map(t -> ", " + Text.of(t.of(both), "g") + " of it putty")
                .orElse("");
        return Text.of(both, "g") + putty + ", cream " + Text.of(mix.pour().creamG(), "g");
    }

    protected static String strokes(MixPlan mix) {
        int n = mix.pour().strokes();
        return n == 1 ? "one stroke" : n + " strokes";
    }

    protected static String lifts(MixPlan mix) {
        int n = mix.pour().lifts();
        return n == 1 ? "one lift" : n + " thin lifts";
    }

    protected String name(Role role) {
        return stack().item(role).map(ShelfItem::name).orElse(role.word());
    }

    protected static String mm(String valueId) {
        return Text.book(valueId);
    }

    protected static String minutes(String valueId) {
        return Text.book(valueId);
    }

    protected static String first(String s) {
        return Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }

    protected void add(StepBuilder... b) {
        steps.addAll(chain(steps.isEmpty() ? "" : steps.getLast().id(), b));
    }

    /** Builds steps so that each follows the one before it, the first {@code last}; empty for none. */
    protected static List<Step> chain(String last, StepBuilder... builders) {
        List<Step> out = new ArrayList<>();
        for (StepBuilder b : builders) {
            Step s = b.build(last.isEmpty() ? List.of() : List.of(last));
            out.add(s);
            last = s.id();
        }
        return out;
    }

    protected static StepBuilder step(String id, Kind kind, String title) {
        return new StepBuilder(id, kind, title);
    }
}
