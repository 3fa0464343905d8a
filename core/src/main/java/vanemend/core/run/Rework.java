package vanemend.core.run;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import vanemend.core.method.Act;
import vanemend.core.method.Gate;
import vanemend.core.method.Loop;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.mix.Again;
import vanemend.core.mix.Dose;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Pour;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.sanding.Rung;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

/**
 * A round of rework that a gate's answer put into the run.
 *
 * @param gate the gate as it was asked then
 * @param answer branch that was taken
 * @param path what the ids of its steps begin with
 */
public record Rework(RunStepId gate, String answer, String path) {
    /** The innermost rework that {@code step} belongs to; empty for a step of the plan. */
    public static Optional<Rework> of(RunStepId step) {
        if (step.rounds().isEmpty()) {
            return Optional.empty();
        }
        RunStepId.Round last = step.rounds().getLast();
        List<RunStepId.Round> outer = step.rounds().subList(0, step.rounds().size() - 1);
        return Optional.of(new Rework(new RunStepId(outer, last.gate(), last.time()), last.answer(), step.path()));
    }

    /**
     * Depth of the hollow that is to be filled again, mm: the last read in the rework itself, else the deepest that was drawn at the gate,
     * else the last read there. Pinholes are no hollow: they take a coat, unless a depth was read all the same.
     */
    Optional<Double> depthMm(Seen seen) {
        return readAgain(seen)
                .or(() -> deepest(drawn(seen)))
                .or(() -> read(Quantity.DEPTH_MM, seen.readings()))
                .or(() -> answer.equals(Gate.PINHOLES) ? Optional.of(0.0) : Optional.empty());
    }

    /** Spots that were drawn at the gate. */
    private List<RunState.Spot> drawn(Seen seen) {
        return seen.at(gate.text());
    }

    private static Optional<Double> deepest(List<RunState.Spot> spots) {
        return spots.stream().flatMap(s -> s.depthMm().stream()).max(Double::compare);
    }

    /** Depth that was read in the rework itself, mm. */
    private Optional<Double> readAgain(Seen seen) {
        return seen.readings().reversed().stream()
                .filter(r -> r.quantity() == Quantity.DEPTH_MM && r.step().startsWith(path))
                .findFirst()
                .map(RunState.Reading::value);
    }

    /** How far across the spot is at its widest, mm; empty where it was not read, so that it counts as large as the damage. */
    private OptionalDouble acrossMm(List<RunState.Reading> readings) {
        return read(Quantity.SPOT_MM, readings).map(OptionalDouble::of).orElse(OptionalDouble.empty());
    }

    private Optional<Double> read(Quantity quantity, List<RunState.Reading> readings) {
        String asked = gate.text();
        return readings.reversed().stream()
                .filter(r -> r.quantity() == quantity)
                .filter(r -> r.step().equals(asked) || r.step().startsWith(path))
                .findFirst()
                .map(RunState.Reading::value);
    }

    /** How much {@code again} makes of what was read and drawn in {@code state} for the step {@code id}; empty where nothing was. */
    public static Optional<Double> amount(RunStepId id, Optional<Again> again, RunState state) {
        return amount(id, again, new Seen(state.readings(), state.spots()));
    }

    /** How much {@code again} makes of what was read and drawn for the step {@code id}; empty outside rework and where no depth is known. */
    static Optional<Double> amount(RunStepId id, Optional<Again> again, Seen seen) {
        return of(id).flatMap(r -> again.flatMap(a -> r.amount(a, seen)));
    }

    private Optional<Double> amount(Again again, Seen seen) {
        List<RunState.Spot> spots = drawn(seen);
        OptionalDouble hollow = hollowMl(again, seen);
        if (hollow.isPresent()) {
            return Optional.of(again.spots(Seen.areaMm2(spots), hollow.getAsDouble()));
        }
        boolean coat = depthMm(seen).map(d -> d == 0).orElse(!spots.isEmpty());
        if (coat) {
            return Optional.of(
                    answer.equals(Gate.PINHOLES)
                            ? again.pinholes(Seen.area(spots))
                            : spots.isEmpty() ? again.amount(0) : again.spots(Seen.areaMm2(spots), 0));
        }
        return depthMm(seen).map(mm -> again.amount(mm, acrossMm(seen.readings())));
    }

    /**
     * What the low spots that were drawn hold, mL, where the size of a spot bears on the amount; a depth that was read in the rework speaks
     * for the deepest, and the rest in proportion.
     */
    private OptionalDouble hollowMl(Again again, Seen seen) {
        List<RunState.Spot> spots = drawn(seen);
        Optional<Double> deepest = deepest(spots);
        if (deepest.isEmpty() || again.perMl() == 0) {
            return OptionalDouble.empty();
        }
        double times = readAgain(seen).orElse(deepest.get()) / deepest.get();
        return OptionalDouble.of(Seen.volumeMl(spots) * times);
    }

    /** How thick what this round lays is at its thickest, mm; empty where no depth is known or nothing is known of the coat. */
    private OptionalDouble laidMm(Again again, Seen seen) {
        Optional<Double> deep = depthMm(seen);
        if (deep.isEmpty() || again.lay().isEmpty()) {
            return OptionalDouble.empty();
        }
        Again.Lay lay = again.lay().get();
        return OptionalDouble.of(
                deep.get() > 0 || !answer.equals(Gate.PINHOLES) ? deep.get() + lay.coatMm() : lay.thinMm());
    }

    /** Filler to weigh for {@code mix} at {@code id}, g: as planned, in rework or after a depth that was read as much as that takes. */
    static double fillerG(Plan plan, RunStepId id, MixPlan mix, Seen seen) {
        return amount(id, mix.pour().again(), seen)
                .or(() -> deeper(plan, id, mix, seen.readings()).map(g -> within(mix, g)))
                .orElse(mix.pour().fillerG());
    }

    /** Whether {@code step} is one of this round. */
    boolean holds(RunStepId step) {
        return of(step).filter(other -> other.path().equals(path)).isPresent();
    }

    /** Whether what was read or drawn for {@code mix} at {@code id} takes more than can be spread in time. */
    static boolean inRounds(Plan plan, RunStepId id, MixPlan mix, Seen seen) {
        return of(id).filter(r -> mix.pour()
                                .again()
                                .filter(a -> r.inRounds(a, seen))
                                .isPresent())
                        .isPresent()
                || deeper(plan, id, mix, seen.readings())
                        .filter(g -> g > within(mix, g) + 1e-9)
                        .isPresent();
    }

    private boolean inRounds(Again again, Seen seen) {
        OptionalDouble hollow = hollowMl(again, seen);
        return hollow.isPresent()
                ? again.spotsInRounds(Seen.areaMm2(drawn(seen)), hollow.getAsDouble())
                : depthMm(seen)
                        .filter(mm -> again.inRounds(mm, acrossMm(seen.readings())))
                        .isPresent();
    }

    /**
     * Filler for one batch of the plan's own {@code mix} where another depth was read than the plan was made for, g, whole, before it is
     * held against what can be spread: what was planned and, for each mm more or less, what a mm of the same hollow takes (geometry: a
     * hollow of one outline and one profile holds in proportion to its depth). Empty where nothing else was read.
     */
    private static Optional<Double> deeper(Plan plan, RunStepId id, MixPlan mix, List<RunState.Reading> readings) {
        if (of(id).isPresent() || mix.pour().again().isEmpty()) {
            return Optional.empty();
        }
        double perMm = mix.pour().again().get().perMm() / mix.pour().batches();
        double more = 0;
        boolean other = false;
        for (PlannedStep p : plan.steps()) {
            for (Watch w : p.step().watches()) {
                Optional<Double> mm =
                        w.mix().equals(mix.id()) ? last(p.step().id(), w.quantity(), readings) : Optional.empty();
                if (mm.filter(x -> Math.abs(x - w.limit()) > 1e-9).isPresent()) {
                    double share = w.of().map(Watch.OfDamage::share).orElse(1.0);
                    more += perMm * share * (mm.get() - w.limit());
                    other = true;
                }
            }
        }
        return other ? Optional.of(Math.ceil(mix.pour().fillerG() + more - 1e-9)) : Optional.empty();
    }

    /** The newest of {@code quantity} read at the plan's {@code step}, the first time it was asked or any time after. */
    static Optional<Double> last(String step, Quantity quantity, List<RunState.Reading> readings) {
        // Asked for every gate at every event: no stream.
        for (int i = readings.size() - 1; i >= 0; i--) {
            RunState.Reading r = readings.get(i);
            if (r.quantity() == quantity && (r.step().equals(step) || r.step().startsWith(step + "~"))) {
                return Optional.of(r.value());
            }
        }
        return Optional.empty();
    }

    /** No less than can be dosed, no more than can be spread; what the plan itself asks always can. */
    private static double within(MixPlan mix, double g) {
        Again again = mix.pour().again().orElseThrow();
        double most = Math.max(again.most(), mix.pour().fillerG());
        double least = Math.min(again.least(), mix.pour().fillerG());
        return Math.min(most, Math.max(least, g));
    }

    /**
     * {@code step} as it stands under {@code id}: in rework its amount and its minutes follow what was read and drawn, and so do the minutes
     * of papers where the spot alone is corrected.
     */
    static Step fitted(Plan plan, RunStepId id, Step step, Seen seen) {
        if (step.kind() == Step.Kind.SAND) {
            return of(id).flatMap(r -> r.laying(plan).map(a -> a.share(Seen.area(r.drawn(seen)))))
                    .filter(share -> share < 1)
                    .map(share -> step.lasting(Math.max(Math.min(1, step.activeMin()), step.activeMin() * share)))
                    .orElse(step);
        }
        if (step.kind() != Step.Kind.MIX && step.kind() != Step.Kind.SPREAD) {
            return step;
        }
        if (!step.mix().isEmpty()) {
            MixPlan mix = plan.mix(step.mix());
            Optional<Double> more = of(id).isPresent()
                    ? amount(id, mix.pour().again(), seen)
                    : deeper(plan, id, mix, seen.readings()).map(g -> within(mix, g));
            return more.map(g -> step.amounting(
                            Text.of(g, "g") + ", cream "
                                    + Text.of(Dose.creamG(g, mix.pour().percent()), "g"),
                            step.kind() == Step.Kind.MIX ? Text.of(g, "g") : "",
                            step.kind() == Step.Kind.SPREAD ? spreading(step, mix.pour(), g) : step.activeMin()))
                    .orElse(step);
        }
        return portion(plan, step)
                .flatMap(p -> amount(id, p.again(), seen).map(ml -> portioned(step, p, ml)))
                .orElse(step);
    }

    private static Optional<Portion> portion(Plan plan, Step step) {
        return plan.portions().stream()
                .filter(p -> p.id().equals(step.portion()))
                .findFirst();
    }

    /** What a round of this rework lays; empty where it lays nothing of which that is known. */
    private Optional<Again> laying(Plan plan) {
        return loop(plan)
                .flatMap(l -> l.steps().stream()
                        .filter(s -> s.kind() == Step.Kind.SPREAD)
                        .flatMap(s -> (s.mix().isEmpty()
                                        ? portion(plan, s).flatMap(Portion::again)
                                        : plan.mix(s.mix()).pour().again())
                                .stream())
                        .findFirst());
    }

    private Optional<Loop> loop(Plan plan) {
        return plan.steps().stream()
                .map(PlannedStep::step)
                .filter(s -> s.id().equals(gate.base()))
                .flatMap(s -> s.gate().stream())
                .flatMap(g -> g.branch(answer).stream())
                .findFirst()
                .flatMap(b -> plan.loops().stream()
                        .filter(l -> l.id().equals(b.loop()))
                        .findFirst());
    }

    /**
     * Whether the paper {@code step} of this rework is coarser than what was laid asks: what was laid thin is not begun with the paper that
     * levels a whole fill. Nothing is too coarse where no depth is known, and one paper is always left.
     */
    boolean tooCoarse(Plan plan, Step step, Seen seen) {
        Optional<Again> laying = laying(plan);
        if (step.kind() != Step.Kind.SAND || !step.acts().contains(Act.PAPER) || laying.isEmpty()) {
            return false;
        }
        OptionalDouble laid = laidMm(laying.get(), seen);
        OptionalInt grade = grade(plan, step);
        if (laid.isEmpty() || grade.isEmpty()) {
            return false;
        }
        int coarsest = laying.get().lay().orElseThrow().papers().coarsest(laid.getAsDouble());
        return grade.getAsInt() < coarsest
                && loop(plan).stream()
                        .flatMap(l -> l.steps().stream())
                        .filter(s -> s.acts().contains(Act.PAPER))
                        .anyMatch(s -> grade(plan, s).orElse(0) >= coarsest);
    }

    private static OptionalInt grade(Plan plan, Step step) {
        return plan.ladder().rungs().stream()
                .filter(r -> r.id().equals(step.id()))
                .mapToInt(Rung::grade)
                .findFirst();
    }

    /** Spreading follows the amount, but that nothing is spread in seconds. */
    private static double spreading(Step step, Pour pour, double g) {
        return Math.max(Math.min(1, step.activeMin()), step.activeMin() * g / pour.fillerG());
    }

    private static Step portioned(Step step, Portion p, double amount) {
        String said = Text.of(amount, p.unit());
        return step.amounting(said, said, step.activeMin());
    }
}
