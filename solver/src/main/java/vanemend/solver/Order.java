package vanemend.solver;

import java.util.List;
import java.util.Map;
import vanemend.core.day.Day;
import vanemend.core.day.DayPlan;

/** What is asked of the solver, as {@link Better#of} takes it: a line of JSON. */
public record Order(Day day, DayPlan plan, Map<String, List<Double>> order, int turns, double effort, long seed) {
    Better better() {
        return Better.of(day, plan, order, turns, effort, seed);
    }
}
