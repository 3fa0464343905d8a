package vanemend.core.day;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * When each task is done, and by whom.
 *
 * @param placed by beginning
 * @param left jobs for which no time was found, as no hands, hours or things are there for one of their tasks
 */
public record DayPlan(List<Placed> placed, List<String> left) {
    public DayPlan {
        placed = placed.stream()
                .sorted(Comparator.comparingInt((Placed p) -> p.at().from())
                        .thenComparing(Placed::job)
                        .thenComparing(Placed::task))
                .toList();
        left = List.copyOf(left);
    }

    /** The same by seconds that are counted from {@code later} s later on. */
    DayPlan from(int later) {
        return new DayPlan(
                placed.stream()
                        .map(p -> new Placed(
                                p.job(), p.task(), p.person(), new Span(p.at().from() - later, p.at().to() - later)))
                        .toList(),
                left);
    }

    /** When each job that has a time is done, s. */
    public Map<String, Integer> finishes() {
        return placed.stream().collect(Collectors.toMap(Placed::job, p -> p.at().to(), Math::max));
    }

    /** When the last job is done, s; 0 where nothing is planned. */
    public int last() {
        return placed.stream().mapToInt(p -> p.at().to()).max().orElse(0);
    }

    /** How often a pair of hands goes from one part to another. */
    public int changes() {
        Map<String, String> at = new HashMap<>();
        int changes = 0;
        for (Placed p : placed) {
            if (p.person().isPresent()) {
                String before = at.put(p.person().get(), p.job());
                changes += before != null && !before.equals(p.job()) ? 1 : 0;
            }
        }
        return changes;
    }
}
