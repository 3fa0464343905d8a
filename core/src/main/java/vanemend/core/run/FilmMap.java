package vanemend.core.run;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Point;
import vanemend.core.damage.DamageDraft;
import vanemend.core.damage.Dent;
import vanemend.core.damage.DepthField;
import vanemend.core.damage.Oval;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Ring;
import vanemend.core.method.Gate;
import vanemend.core.method.Step;
import vanemend.core.part.Part;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.sanding.Rung;
import vanemend.core.trade.Check;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.JudgedRepair;
import vanemend.core.verdict.Limits;

/**
 * What lies where on the part, reckoned from the hollow that was measured, from what was spread and from the spots that gates found low:
 * what a gauge reads instead counts over it. Where a hollow is filled level what lies in it is as thick as it is deep; where a spot is low
 * as much is missing as was read there, until it is filled again.
 *
 * @param x0Mm left edge of the field of cells, from the part's left edge, mm
 * @param y0Mm its lower edge, from the part's lower edge, mm
 * @param cellMm side of a cell, mm
 * @param columns cells across
 * @param thickMm what lies in the middle of each cell, mm to 0.1, row by row from below
 * @param thickest the thickest of all; empty while nothing lies there
 * @param spots drawn so far, in order
 * @param rounds rework so far, in order
 * @param warnings what to look at before more is laid or taken
 */
public record FilmMap(
        double x0Mm,
        double y0Mm,
        double cellMm,
        int columns,
        List<Double> thickMm,
        Optional<Thickest> thickest,
        List<SpotMark> spots,
        List<ReworkRound> rounds,
        List<FilmWarning> warnings) {
    private static final int MOST_ACROSS = 48;
    private static final double FINEST_MM = 2;
    private static final double MARGIN_MM = 10;
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    /** What lies at one place. */
    public record Thickest(double xMm, double yMm, double mm) {}

    /**
     * One round of rework.
     *
     * @param gate what asked for it
     * @param answer what was wrong, as said
     * @param spots drawn for it
     * @param deepestMm of them, mm; empty where none is a hollow
     * @param laid what was weighed or used, as said; empty where nothing was laid yet
     */
    public record ReworkRound(String gate, String answer, int spots, Optional<Double> deepestMm, String laid) {}

    /**
     * A spot as it is marked.
     *
     * @param said what is wrong there, as said
     * @param depthMm how deep a low one is, mm
     */
    public record SpotMark(String said, Oval place, Optional<Double> depthMm) {}

    /** What to look at. */
    public enum Sign {
        TOO_THICK,
        PAST_SANDED,
        THROUGH
    }

    /**
     * A warning.
     *
     * @param sign what it is about
     * @param title what is wrong
     * @param said with its figures, and what to do
     */
    public record FilmWarning(Sign sign, String title, String said) {}

    /** The map of {@code frozen} as its run stands; empty where no depth is known and no spot is drawn, so that there is nothing to show. */
    public static Optional<FilmMap> of(FrozenPlan frozen, RunState state) {
        Reckoning r = new Reckoning(frozen, state);
        return r.hollows.isEmpty() && state.spots().isEmpty() ? Optional.empty() : Optional.of(r.map());
    }

    /** What is looked up once for a map. */
    private static final class Reckoning {
        private final FrozenPlan frozen;
        private final RunState state;
        private final Part part;
        private final List<Dent> hollows;
        private final boolean filled;
        private final List<Dent> open = new ArrayList<>();
        private final List<Dent> again = new ArrayList<>();

        Reckoning(FrozenPlan frozen, RunState state) {
            this.frozen = frozen;
            this.state = state;
            RepairDraft known = Known.into(frozen.draft(), frozen.plan(), state.readings());
            Check check = new Check();
            this.part = known.part().check(check);
            this.hollows = DamageDraft.checkAll(known.damages(), known.part(), part, check).stream()
                    .filter(Dent.class::isInstance)
                    .map(Dent.class::cast)
                    .filter(Dent::filled)
                    .toList();
            this.filled = state.steps().stream()
                    .anyMatch(s -> laid(s) && s.at().rounds().isEmpty());
            for (RunState.Spot s : state.spots()) {
                s.bowl().filter(b -> s.branch().equals(Gate.LOW)).ifPresent(b -> (laidFor(s) ? again : open).add(b));
            }
        }

        private static boolean laid(RunState.RunStep s) {
            return s.step().kind() == Step.Kind.SPREAD && s.doneAt().isPresent() && !s.scrapped();
        }

        /** Whether the rework that {@code spot} was drawn for has laid anything. */
        private boolean laidFor(RunState.Spot spot) {
            return state.steps().stream()
                    .filter(FilmMap.Reckoning::laid)
                    .anyMatch(s -> Rework.of(s.at())
                            .filter(r -> r.gate().text().equals(spot.step()))
                            .isPresent());
        }

        private FilmMap map() {
            Envelope box = new Envelope();
            hollows.forEach(d -> box.expandToInclude(d.outline().getEnvelopeInternal()));
            state.spots().forEach(s -> box.expandToInclude(s.place().polygon().getEnvelopeInternal()));
            box.expandBy(MARGIN_MM);
            double cell = Math.max(FINEST_MM, Math.max(box.getWidth(), box.getHeight()) / MOST_ACROSS);
            int columns = (int) Math.ceil(box.getWidth() / cell);
            int rows = (int) Math.ceil(box.getHeight() / cell);
            Optional<DepthField> hollow = field(hollows);
            Optional<DepthField> low = field(open);
            Optional<DepthField> refilled = field(again);
            List<Double> mm = new ArrayList<>(columns * rows);
            Optional<Thickest> thickest = Optional.empty();
            for (int i = 0; i < rows; i++) {
                for (int j = 0; j < columns; j++) {
                    double x = box.getMinX() + (j + 0.5) * cell;
                    double y = box.getMinY() + (i + 0.5) * cell;
                    double level = filled ? Math.max(at(hollow, x, y), at(refilled, x, y)) : 0;
                    double lies = Math.max(0, level - at(low, x, y));
                    mm.add(tenth(lies));
                    if (lies > thickest.map(Thickest::mm).orElse(0.0)) {
                        thickest = Optional.of(new Thickest(x, y, lies));
                    }
                }
            }
            return new FilmMap(
                    tenth(box.getMinX()),
                    tenth(box.getMinY()),
                    cell,
                    columns,
                    List.copyOf(mm),
                    thickest.map(t -> new Thickest(tenth(t.xMm()), tenth(t.yMm()), tenth(t.mm()))),
                    state.spots().stream().map(this::mark).toList(),
                    rounds(),
                    warnings());
        }

        private static Optional<DepthField> field(List<Dent> some) {
            return some.isEmpty() ? Optional.empty() : Optional.of(new DepthField(some));
        }

        private static double at(Optional<DepthField> field, double x, double y) {
            return field.map(f -> f.depthAt(x, y)).orElse(0.0);
        }

        private static double tenth(double mm) {
            return Math.round(mm * 10) / 10.0;
        }

        private SpotMark mark(RunState.Spot spot) {
            String said = gate(spot.step())
                    .flatMap(s -> s.step().gate())
                    .flatMap(g -> g.branch(spot.branch()))
                    .map(Gate.Branch::label)
                    .orElse(spot.branch());
            return new SpotMark(said, spot.place(), spot.depthMm());
        }

        private Optional<RunState.RunStep> gate(String id) {
            return state.steps().stream().filter(s -> s.id().equals(id)).findFirst();
        }

        private List<ReworkRound> rounds() {
            Map<String, ReworkRound> out = new LinkedHashMap<>();
            for (RunState.RunStep s : state.steps()) {
                Rework.of(s.at()).filter(r -> s.doneAt().isPresent()).ifPresent(r -> {
                    ReworkRound was = out.computeIfAbsent(r.path(), p -> begun(r, s.loop()));
                    if (laid(s)) {
                        out.put(
                                r.path(),
                                new ReworkRound(
                                        was.gate(),
                                        was.answer(),
                                        was.spots(),
                                        was.deepestMm(),
                                        s.step().amount()));
                    }
                });
            }
            return List.copyOf(out.values());
        }

        private ReworkRound begun(Rework r, String loop) {
            List<RunState.Spot> spots = state.spots().stream()
                    .filter(s -> s.step().equals(r.gate().text()))
                    .toList();
            String title = gate(r.gate().text()).map(s -> s.step().title()).orElse("");
            return new ReworkRound(
                    title,
                    loop,
                    spots.size(),
                    spots.stream().flatMap(s -> s.depthMm().stream()).max(Comparator.naturalOrder()),
                    "");
        }

        private List<FilmWarning> warnings() {
            List<FilmWarning> out = new ArrayList<>();
            tooThick().ifPresent(out::add);
            pastSanded().ifPresent(out::add);
            through().ifPresent(out::add);
            return List.copyOf(out);
        }

        /** Filler is never thicker than the limit once it is finished, wherever a hollow turned out deeper or a spot was low beside it. */
        private Optional<FilmWarning> tooThick() {
            Limits.Rule rule = Limits.rule("metal-too-deep");
            double most = rule.from().orElseThrow();
            double thick = List.of(hollows, open, again).stream()
                    .flatMap(List::stream)
                    .mapToDouble(Dent::depthMm)
                    .max()
                    .orElse(0);
            return rule.materials().contains(JudgedRepair.material(part)) && thick > most
                    ? Optional.of(new FilmWarning(
                            Sign.TOO_THICK,
                            rule.title(),
                            "It would be " + Text.underMost(thick, "mm", true) + " thick once it is level, at most "
                                    + Text.atMost(most, "mm") + ". " + rule.instead()))
                    : Optional.empty();
        }

        /** A spot is filled on sanded ground alone. */
        private Optional<FilmWarning> pastSanded() {
            double past = 0;
            String zone = "";
            for (RunState.Spot s : state.spots()) {
                Optional<DrawnZone> ground = laidFor(s) ? Optional.empty() : ground(s.step());
                double mm = ground.map(z -> past(s.place().polygon(), z)).orElse(0.0);
                if (mm > past) {
                    past = mm;
                    zone = ground.orElseThrow().word();
                }
            }
            return past < 1
                    ? Optional.empty()
                    : Optional.of(
                            new FilmWarning(
                                    Sign.PAST_SANDED,
                                    "Past the sanded ground",
                                    "A spot reaches " + Text.of(Math.ceil(past), "mm") + " past “" + zone
                                            + "”. Nothing is laid there before it is dulled and wiped; where it is large, plan anew."));
        }

        private Optional<DrawnZone> ground(String gate) {
            return gate(gate).stream()
                    .flatMap(s -> s.step().zone().stream())
                    .flatMap(k -> frozen.workup().drawing().zones().stream().filter(z -> z.kind() == k))
                    .findFirst();
        }

        private static double past(Geometry spot, DrawnZone zone) {
            Geometry ground = Ring.shape(zone.rings());
            double most = 0;
            for (Coordinate c : spot.getCoordinates()) {
                Point p = GEOMETRY.createPoint(c);
                most = Math.max(most, ground.distance(p));
            }
            return most;
        }

        /**
         * Before the papers beside the fill are through the coats: each takes the scratch of its own grain (a share of it, the book's), and
         * another round of them would take as much again.
         */
        private Optional<FilmWarning> through() {
            double share = TradeBook.value("ladder.scratch-share");
            List<Rung> beside = beside();
            double round = beside.stream().mapToDouble(Rung::grainUm).sum() * share;
            double taken = 0;
            for (RunState.RunStep s : state.steps()) {
                taken += s.doneAt().isEmpty()
                        ? 0
                        : beside.stream()
                                        .filter(r -> r.id().equals(s.step().id()))
                                        .mapToDouble(Rung::grainUm)
                                        .sum()
                                * share;
            }
            double coats = (part.coatsMm(true) + part.coatsMm(false)) * 1000;
            return state.finishedAt().isPresent() || taken == 0 || coats == 0 || taken + round <= coats
                    ? Optional.empty()
                    : Optional.of(new FilmWarning(
                            Sign.THROUGH,
                            "Near the metal beside the repair",
                            "The papers have taken about " + Text.of(Math.round(taken), "µm") + " of "
                                    + Text.of(Math.round(coats), "µm")
                                    + " of coats, reckoned by their scratch; one more round takes "
                                    + Text.of(Math.round(round), "µm")
                                    + ". Read the film there first; what comes bare is primed."));
        }

        /** Papers that reach past all that is filled. */
        private List<Rung> beside() {
            double fill = frozen.workup().drawing().zones().stream()
                    .filter(z -> state.steps().stream()
                            .anyMatch(s -> s.step().kind() == Step.Kind.SPREAD
                                    && s.step().zone().filter(z.kind()::equals).isPresent()))
                    .mapToDouble(DrawnZone::areaMm2)
                    .max()
                    .orElse(0);
            return frozen.plan().ladder().rungs().stream()
                    .filter(r -> frozen.workup().drawing().zones().stream()
                            .anyMatch(z -> z.kind() == r.zone() && z.areaMm2() > fill))
                    .toList();
        }
    }
}
