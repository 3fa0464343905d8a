package vanemend.core.run;

import java.util.List;
import java.util.Optional;
import vanemend.core.method.Gate;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.mix.Again;
import vanemend.core.mix.Dose;
import vanemend.core.mix.Portion;
import vanemend.core.plan.Plan;
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
        String asked = gate.text();
        return readings.reversed().stream()
                .filter(r -> r.quantity() == Quantity.DEPTH_MM)
                .filter(r -> r.step().equals(asked) || r.step().startsWith(path))
                .findFirst()
                .map(RunState.Reading::value)
                .or(() -> answer.equals(Gate.PINHOLES) ? Optional.of(0.0) : Optional.empty());
    }

    /** How much {@code again} makes of what was read for the step {@code id}; empty outside rework and where no depth is known. */
    public static Optional<Double> amount(RunStepId id, Optional<Again> again, List<RunState.Reading> readings) {
        return of(id).flatMap(r -> r.depthMm(readings)).flatMap(mm -> again.map(a -> a.amount(mm)));
    }

    /** Whether what was read for the step {@code id} takes more than one mix that can be spread in time. */
    static boolean inRounds(RunStepId id, Optional<Again> again, List<RunState.Reading> readings) {
        return of(id).flatMap(r -> r.depthMm(readings))
                .filter(mm -> again.filter(a -> a.inRounds(mm)).isPresent())
                .isPresent();
    }

    /** {@code step} as it stands under {@code id}: in rework its amount and its minutes follow the depth that was read. */
    static Step fitted(Plan plan, RunStepId id, Step step, List<RunState.Reading> readings) {
        boolean laid = step.kind() == Step.Kind.MIX || step.kind() == Step.Kind.SPREAD;
        if (!laid || of(id).isEmpty()) {
            return step;
        }
        if (!step.mix().isEmpty()) {
            MixPlan mix = plan.mix(step.mix());
            return amount(id, mix.pour().again(), readings)
                    .map(g -> step.amounting(
                            Text.of(g, "g") + ", cream "
                                    + Text.of(Dose.creamG(g, mix.pour().percent()), "g"),
                            step.kind() == Step.Kind.MIX ? Text.of(g, "g") : "",
                            step.kind() == Step.Kind.SPREAD
                                    ? step.activeMin() * g / mix.pour().fillerG()
                                    : step.activeMin()))
                    .orElse(step);
        }
        return plan.portions().stream()
                .filter(p -> p.id().equals(step.portion()))
                .findFirst()
                .flatMap(p -> amount(id, p.again(), readings).map(ml -> portioned(step, p, ml)))
                .orElse(step);
    }

    private static Step portioned(Step step, Portion p, double amount) {
        String said = Text.of(amount, p.unit());
        return step.amounting(said, said, step.activeMin());
    }
}
