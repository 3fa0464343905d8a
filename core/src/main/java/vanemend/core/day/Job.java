package vanemend.core.day;

import java.util.List;
import java.util.OptionalInt;

/**
 * A repair as the day sees it.
 *
 * @param id repair
 * @param from when it may begin, s
 * @param promised when it was promised, s; empty where it was not
 * @param weight how much a promise that is missed counts, 1 or more
 * @param tasks in an order in which every task stands after those it is linked to
 * @param begun whether the first of them is in hand: nothing of what is not goes before it
 * @param first whether it was said to go before the others
 * @param wished whether what is promised is a wish: it gives way to every promise that is firm
 */
public record Job(
        String id,
        int from,
        OptionalInt promised,
        int weight,
        List<Task> tasks,
        boolean begun,
        boolean first,
        boolean wished) {
    /** One that nobody has begun. */
    public Job(String id, int from, OptionalInt promised, int weight, List<Task> tasks) {
        this(id, from, promised, weight, tasks, false, false, false);
    }

    public Job {
        tasks = List.copyOf(tasks);
    }

    /** The same, promised for {@code by} at {@code weight}; a wish stays one. */
    Job promised(OptionalInt by, int weight) {
        return new Job(id, from, by, weight, tasks, begun, first, wished);
    }

    /** The same, whose promise is firm. */
    Job firm() {
        return new Job(id, from, promised, weight, tasks, begun, first, false);
    }
}
