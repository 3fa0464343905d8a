package vanemend.core.run;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import vanemend.core.method.Gate;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.mix.Again;
import vanemend.core.mix.Dose;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Pour;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
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
     * Depth of the hollow that is to be filled again, mm: the last read at the gate or in the rework itself. Pinholes are no hollow: they
     * take a coat, unless a depth was read all the same.
     */
    public Optional<Double> depthMm(List<RunState.Reading> readings) {
        return read(Quantity.DEPTH_MM, readings)
                .or(() -> answer.equals(Gate.PINHOLES) ? Optional.of(0.0) : Optional.empty());
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

    /** How much {@code again} makes of what was read for the step {@code id}; empty outside rework and where no depth is known. */
    public static Optional<Double> amount(RunStepId id, Optional<Again> again, List<RunState.Reading> readings) {
        return of(id).flatMap(r ->
                r.depthMm(readings).flatMap(mm -> again.map(a -> a.amount(mm, r.acrossMm(readings)))));
    }

    /** Filler to weigh for {@code mix} at {@code id}, g: as planned, in rework or after a depth that was read as much as that takes. */
    static double fillerG(Plan plan, RunStepId id, MixPlan mix, List<RunState.Reading> readings) {
        return amount(id, mix.pour().again(), readings)
                .or(() -> deeper(plan, id, mix, readings).map(g -> within(mix, g)))
                .orElse(mix.pour().fillerG());
    }

    /** Whether what was read for {@code mix} at {@code id} takes more than can be spread in time. */
    static boolean inRounds(Plan plan, RunStepId id, MixPlan mix, List<RunState.Reading> readings) {
        Optional<Again> again = mix.pour().again();
        return of(id).filter(r -> r.depthMm(readings)
                                .filter(mm -> again.filter(a -> a.inRounds(mm, r.acrossMm(readings)))
                                        .isPresent())
                                .isPresent())
                        .isPresent()
                || deeper(plan, id, mix, readings)
                        .filter(g -> g > within(mix, g) + 1e-9)
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
        return readings.reversed().stream()
                .filter(r -> r.quantity() == quantity)
                .filter(r -> r.step().equals(step) || r.step().startsWith(step + "~"))
                .findFirst()
                .map(RunState.Reading::value);
    }

    /** No less than can be dosed, no more than can be spread; what the plan itself asks always can. */
    private static double within(MixPlan mix, double g) {
        Again again = mix.pour().again().orElseThrow();
        double most = Math.max(again.most(), mix.pour().fillerG());
        double least = Math.min(again.least(), mix.pour().fillerG());
        return Math.min(most, Math.max(least, g));
    }

    /** {@code step} as it stands under {@code id}: in rework its amount and its minutes follow the depth that was read. */
    static Step fitted(Plan plan, RunStepId id, Step step, List<RunState.Reading> readings) {
        boolean laid = step.kind() == Step.Kind.MIX || step.kind() == Step.Kind.SPREAD;
        if (!laid) {
            return step;
        }
        if (!step.mix().isEmpty()) {
            MixPlan mix = plan.mix(step.mix());
            Optional<Double> more = of(id).isPresent()
                    ? amount(id, mix.pour().again(), readings)
                    : deeper(plan, id, mix, readings).map(g -> within(mix, g));
            return more.map(g -> step.amounting(
                            Text.of(g, "g") + ", cream "
                                    + Text.of(Dose.creamG(g, mix.pour().percent()), "g"),
                            step.kind() == Step.Kind.MIX ? Text.of(g, "g") : "",
                            step.kind() == Step.Kind.SPREAD ? spreading(step, mix.pour(), g) : step.activeMin()))
                    .orElse(step);
        }
        if (of(id).isEmpty()) {
            return step;
        }
        return plan.portions().stream()
                .filter(p -> p.id().equals(step.portion()))
                .findFirst()
                .flatMap(p -> amount(id, p.again(), readings).map(ml -> portioned(step, p, ml)))
                .orElse(step);
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
