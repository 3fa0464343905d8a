package vanemend.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vanemend.core.method.Step;

/**
 * Earliest and latest starts over the graph of steps (critical path, forward and backward). Minutes. A mix and its spreading have
 * no slack between them: what is mixed is spread.
 */
public final class Schedule {
    private Schedule() {}

    /** Length of a step, active and passive, min. */
    public static double minutes(Step s) {
        return s.lastsMin();
    }

    /** When the last of {@code steps} ends, minutes from the start. */
    static double end(List<PlannedStep> steps) {
        return steps.stream()
                .mapToDouble(s -> s.earliestMin() + minutes(s.step()))
                .max()
                .orElse(0);
    }

    /**
     * Steps with their times.
     *
     * @param steps in an order in which every step stands after those it follows
     * @param promisedMin minutes from start to the promised time; not a number where none was made
     */
    public static List<PlannedStep> of(List<Step> steps, double promisedMin) {
        Map<String, Double> ends = new HashMap<>();
        Map<String, Double> starts = new HashMap<>();
        double finish = 0;
        for (Step s : steps) {
            double start = 0;
            for (String before : s.after()) {
                Double end = ends.get(before);
                if (end == null) {
                    throw new IllegalArgumentException(
                            "step " + s.id() + " follows " + before + ", which does not stand before it");
                }
                start = Math.max(start, end);
            }
            starts.put(s.id(), start);
            ends.put(s.id(), start + minutes(s));
            finish = Math.max(finish, start + minutes(s));
        }
        double horizon = Double.isNaN(promisedMin) ? finish : promisedMin;
        Map<String, Double> latestEnd = new HashMap<>();
        List<PlannedStep> out = new ArrayList<>();
        for (int i = steps.size() - 1; i >= 0; i--) {
            Step s = steps.get(i);
            double end = latestEnd.getOrDefault(s.id(), horizon);
            double start = end - minutes(s);
            s.after().forEach(before -> latestEnd.merge(before, start, Math::min));
            // Without a promise the last minute of the plan bounds it; added and taken off again, minutes lose their
            // last digit.
            double least = Double.isNaN(promisedMin) ? starts.get(s.id()) : Double.NEGATIVE_INFINITY;
            out.addFirst(new PlannedStep(s, starts.get(s.id()), Math.max(start, least)));
        }
        return List.copyOf(out);
    }
}
