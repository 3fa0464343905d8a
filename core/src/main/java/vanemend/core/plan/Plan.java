package vanemend.core.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import vanemend.core.method.Loop;
import vanemend.core.method.MixPlan;
import vanemend.core.sanding.Ladder;
import vanemend.core.trade.Air;

/**
 * The whole repair, step by step.
 *
 * @param method name
 * @param steps in working order with earliest and latest starts
 * @param loops rework by id
 * @param mixes mixes by id
 * @param ladder papers
 * @param schools question to the option followed, as shown
 * @param air shop air the times hold for
 * @param activeMin hands-on, min
 * @param totalMin start to finish, min
 * @param spareMin promised time less finish, min; empty where none was made
 * @param closing who decides before this plan does
 */
public record Plan(
        String method,
        List<PlannedStep> steps,
        List<Loop> loops,
        List<MixPlan> mixes,
        Ladder ladder,
        Map<String, String> schools,
        Air air,
        double activeMin,
        double totalMin,
        Optional<Double> spareMin,
        String closing) {
    /** The plan as read before the work begins: rework is walked only in a run. */
    public Plan withoutRework() {
        return new Plan(method, steps, List.of(), mixes, ladder, schools, air, activeMin, totalMin, spareMin, closing);
    }

    /** The mix called {@code id}. */
    public MixPlan mix(String id) {
        return mixes.stream()
                .filter(m -> m.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("the plan has no mix " + id));
    }

    /** The loop called {@code id}. */
    public Loop loop(String id) {
        return loops.stream()
                .filter(l -> l.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("the plan has no loop " + id));
    }
}
