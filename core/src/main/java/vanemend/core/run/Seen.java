package vanemend.core.run;

import java.util.List;
import java.util.OptionalDouble;
import vanemend.core.damage.Dent;
import vanemend.core.damage.DepthField;
import vanemend.core.method.Gate;

/**
 * What was read and what was drawn in a run, in the order it came.
 *
 * @param readings typed or off a device
 * @param spots drawn at gates
 */
record Seen(List<RunState.Reading> readings, List<RunState.Spot> spots) {
    /** Spots drawn at the gate {@code step}, of any kind. */
    List<RunState.Spot> at(String step) {
        return spots.stream().filter(s -> s.step().equals(step)).toList();
    }

    /** What spots cover together, mm²; each by itself, so that where two meet it is never too little. */
    static double areaMm2(List<RunState.Spot> some) {
        return some.stream().mapToDouble(RunState.Spot::areaMm2).sum();
    }

    /** The area of {@code some}; empty for no spot. */
    static OptionalDouble area(List<RunState.Spot> some) {
        return some.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(areaMm2(some));
    }

    /**
     * What low spots hold together, mL: each a bowl by its outline and depth (geometry: half of area times depth), where two meet the
     * deeper counts.
     */
    static double volumeMl(List<RunState.Spot> some) {
        List<Dent> bowls = some.stream()
                .filter(s -> s.branch().equals(Gate.LOW))
                .flatMap(s -> s.bowl().stream())
                .toList();
        return bowls.isEmpty() ? 0 : new DepthField(bowls).volumeMm3() / 1000;
    }
}
