package vanemend.core.day;

import java.util.Comparator;
import java.util.Map;

/**
 * What a plan of a day is worth, the first that differs decides: jobs that found no time, promises missed by weight and time, wishes
 * likewise, last finish, mean finish, changes of part. Less is better.
 *
 * @param left jobs without a time
 * @param late weight times s late, over all firm promises
 * @param wished the same over all wishes
 * @param last s
 * @param finishes sum over all jobs, s
 * @param changes of part
 */
public record Worth(int left, long late, long wished, int last, long finishes, int changes)
        implements Comparable<Worth> {
    private static final Comparator<Worth> ORDER = Comparator.comparingInt(Worth::left)
            .thenComparingLong(Worth::late)
            .thenComparingLong(Worth::wished)
            .thenComparingInt(Worth::last)
            .thenComparingLong(Worth::finishes)
            .thenComparingInt(Worth::changes);

    /** The worth of {@code plan} on {@code day}. */
    public static Worth of(Day day, DayPlan plan) {
        Map<String, Integer> finishes = plan.finishes();
        long late = 0;
        long wished = 0;
        long sum = 0;
        for (Job j : day.jobs()) {
            Integer end = finishes.get(j.id());
            if (end != null) {
                sum += end;
                long missed = (long) j.weight() * Math.max(0, end - j.promised().orElse(end));
                late += j.wished() ? 0 : missed;
                wished += j.wished() ? missed : 0;
            }
        }
        return new Worth(plan.left().size(), late, wished, plan.last(), sum, plan.changes());
    }

    /** One figure to walk by, s, where the order of stages only says which is better: a promise missed by a minute is worth ten of the last finish. */
    double walk(int jobs) {
        double mean = (double) finishes / Math.max(1, jobs);
        return left * 1e12 + 10.0 * late + 3.0 * wished + last + mean / 10;
    }

    @Override
    public int compareTo(Worth o) {
        return ORDER.compare(this, o);
    }
}
