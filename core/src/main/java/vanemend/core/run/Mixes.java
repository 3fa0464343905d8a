package vanemend.core.run;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import vanemend.core.cure.Peroxide;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.mix.Dose;
import vanemend.core.plan.Plan;
import vanemend.core.run.RunState.MixDone;
import vanemend.core.run.RunState.Reading;
import vanemend.core.trade.Quantity;

/**
 * What was mixed in a run: what was weighed, when it went live, when it was on the part, whether it was thrown away.
 *
 * @param slots all steps so far
 * @param seen what was read and drawn in the whole run
 */
record Mixes(Plan plan, List<Slot> slots, Seen seen) {
    /** The mix that the step at {@code i} makes. */
    MixDone at(int i) {
        Slot s = slots.get(i);
        MixPlan mix = plan.mix(s.step.mix());
        Optional<Double> filler = last(s.id, Quantity.FILLER_G);
        Optional<Double> cream = last(s.id, Quantity.CREAM_G);
        Optional<Double> percent = percent(filler, cream);
        Optional<Instant> spread = Optional.empty();
        Optional<String> scrapped = s.scrapped() ? Optional.of(s.remark) : Optional.empty();
        for (int j = i + 1; j < slots.size() && slots.get(j).step.kind() != Step.Kind.MIX; j++) {
            Slot laid = slots.get(j);
            if (laid.step.kind() == Step.Kind.SPREAD) {
                spread = laid.scrapped() ? Optional.empty() : laid.done;
                scrapped = laid.scrapped() ? Optional.of(laid.remark) : scrapped;
                break;
            }
        }
        double target = Rework.fillerG(plan, s.at, mix, seen);
        return new MixDone(
                s.id,
                mix.id(),
                target,
                filler,
                cream,
                mix.pour().creamFor(filler.orElse(target)),
                percent,
                saidOf(s.at, mix, percent),
                s.clock,
                spread,
                scrapped,
                s.carried);
    }

    /** Dose that was weighed at {@code step}, % of the filler; empty before both are weighed. */
    Optional<Double> percent(Slot step) {
        return percent(last(step.id, Quantity.FILLER_G), last(step.id, Quantity.CREAM_G));
    }

    private static Optional<Double> percent(Optional<Double> filler, Optional<Double> cream) {
        return filler.isPresent() && cream.isPresent() && filler.get() > 0
                ? Optional.of(Dose.percent(filler.get(), cream.get()))
                : Optional.empty();
    }

    private String saidOf(RunStepId step, MixPlan mix, Optional<Double> percent) {
        String dose = percent.map(p -> Peroxide.of(p).said()).orElse("");
        boolean more = Rework.inRounds(plan, step, mix, seen);
        return more
                ? (dose + " More than one mix can be spread in time: this now, the rest in one more round.").strip()
                : dose;
    }

    private Optional<Double> last(String step, Quantity quantity) {
        List<Reading> readings = seen.readings();
        for (int i = readings.size() - 1; i >= 0; i--) {
            if (readings.get(i).quantity() == quantity && readings.get(i).step().equals(step)) {
                return Optional.of(readings.get(i).value());
            }
        }
        return Optional.empty();
    }

    /** Where what is in hand at {@code hand} was set going; -1 where nothing mixed is. */
    int setGoing(int hand) {
        Slot now = slots.get(hand);
        if (now.step.goesLive()) {
            return hand;
        }
        if (now.step.kind() != Step.Kind.SPREAD) {
            return -1;
        }
        for (int i = hand - 1; i >= 0; i--) {
            Step s = slots.get(i).step;
            boolean same = s.mix().equals(now.step.mix()) && s.portion().equals(now.step.portion());
            if (s.goesLive() && same) {
                return i;
            }
            if (s.kind() == Step.Kind.SPREAD) {
                break;
            }
        }
        return hand;
    }
}
