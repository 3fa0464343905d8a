package vanemend.core.run;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.mix.Again;
import vanemend.core.mix.Dose;
import vanemend.core.mix.Portion;
import vanemend.core.plan.Plan;
import vanemend.core.trade.Check;

/**
 * A round of rework that a gate's answer put into the run, told from the id of one of its steps: gate, how often it was asked, answer.
 *
 * @param gate instance of the gate that was answered
 * @param answer branch that was taken
 * @param prefix what the ids of its steps begin with
 */
public record Rework(String gate, String answer, String prefix) {
    private static final String PINHOLES = "pinholes";

    /** The rework that {@code step} belongs to; empty for a step of the plan. */
    public static Optional<Rework> of(String step) {
        int last = step.lastIndexOf('.');
        int before = step.lastIndexOf('.', last - 1);
        if (last < 0 || before < 0) {
            return Optional.empty();
        }
        String asked = step.substring(0, before);
        // The first time a gate is asked it has no number of its own.
        String gate = asked.endsWith("#1") ? asked.substring(0, asked.length() - 2) : asked;
        return Optional.of(new Rework(gate, step.substring(before + 1, last), step.substring(0, last + 1)));
    }

    /**
     * Depth of the hollow that is to be filled again, mm: the last read at the gate or in the rework itself. Pinholes are no hollow: they
     * take a coat, unless a depth was read all the same.
     */
    public Optional<Double> depthMm(List<RunState.Reading> readings) {
        return readings.reversed().stream()
                .filter(r -> r.quantity() == Step.Ask.DEPTH_MM)
                .filter(r -> r.step().equals(gate) || r.step().startsWith(prefix))
                .findFirst()
                .map(RunState.Reading::value)
                .or(() -> answer.equals(PINHOLES) ? Optional.of(0.0) : Optional.empty());
    }

    /** How much {@code again} makes of what was read for the step {@code id}; empty outside rework and where no depth is known. */
    public static Optional<Double> amount(String id, Optional<Again> again, List<RunState.Reading> readings) {
        return of(id).flatMap(r -> r.depthMm(readings)).flatMap(mm -> again.map(a -> a.amount(mm)));
    }

    /** Whether what was read for the step {@code id} takes more than one mix that can be spread in time. */
    static boolean inRounds(String id, Optional<Again> again, List<RunState.Reading> readings) {
        return of(id).flatMap(r -> r.depthMm(readings))
                .filter(mm -> again.filter(a -> a.inRounds(mm)).isPresent())
                .isPresent();
    }

    /** {@code step} as it stands under {@code id}: in rework its amount and its minutes follow the depth that was read. */
    static Step fitted(Plan plan, String id, Step step, List<RunState.Reading> readings) {
        boolean laid = step.kind() == Step.Kind.MIX || step.kind() == Step.Kind.SPREAD;
        if (!laid || of(id).isEmpty()) {
            return step;
        }
        if (!step.mix().isEmpty()) {
            MixPlan mix = plan.mix(step.mix());
            return amount(id, mix.pour().again(), readings)
                    .map(g -> step.amounting(
                            Check.shown(g) + " g, cream "
                                    + String.format(
                                            Locale.ROOT,
                                            "%.1f",
                                            Dose.creamG(g, mix.pour().percent())) + " g",
                            step.kind() == Step.Kind.MIX ? Check.shown(g) + " g" : "",
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
        String said = Check.shown(amount) + " " + p.unit();
        return step.amounting(said, said, step.activeMin());
    }
}
