package vanemend.core.day;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/** Published job shops as days without hands: a machine is a thing of which there is one. */
final class JobShop {
    /** Fisher and Thompson 1963, in Muth and Thompson, Industrial Scheduling: optimum 55. */
    static final int[][] FT06 = {
        {2, 1, 0, 3, 1, 6, 3, 7, 5, 3, 4, 6},
        {1, 8, 2, 5, 4, 10, 5, 10, 0, 10, 3, 4},
        {2, 5, 3, 4, 5, 8, 0, 9, 1, 1, 4, 7},
        {1, 5, 0, 5, 2, 5, 3, 3, 4, 8, 5, 9},
        {2, 9, 1, 3, 4, 5, 5, 4, 0, 3, 3, 1},
        {1, 3, 3, 3, 5, 9, 0, 10, 4, 4, 2, 1}
    };

    /** Lawrence 1984: optimum 666, the load of the fifth machine. */
    static final int[][] LA01 = {
        {1, 21, 0, 53, 4, 95, 3, 55, 2, 34},
        {0, 21, 3, 52, 4, 16, 2, 26, 1, 71},
        {3, 39, 4, 98, 1, 42, 2, 31, 0, 12},
        {1, 77, 0, 55, 4, 79, 2, 66, 3, 77},
        {0, 83, 3, 34, 2, 64, 1, 19, 4, 37},
        {1, 54, 2, 43, 4, 79, 0, 92, 3, 62},
        {3, 69, 4, 77, 1, 87, 2, 87, 0, 93},
        {2, 38, 0, 60, 1, 41, 3, 24, 4, 83},
        {3, 17, 1, 49, 4, 25, 0, 44, 2, 98},
        {4, 77, 3, 79, 2, 43, 1, 75, 0, 96}
    };

    private JobShop() {}

    /** Rows are jobs, pairs machine and length. */
    static Day day(int[][] rows) {
        List<Job> jobs = new ArrayList<>();
        for (int j = 0; j < rows.length; j++) {
            List<Task> tasks = new ArrayList<>();
            for (int k = 0; k < rows[j].length; k += 2) {
                tasks.add(new Task(
                        "" + k / 2,
                        rows[j][k + 1],
                        false,
                        Right.ANY,
                        false,
                        false,
                        List.of("" + rows[j][k]),
                        k == 0 ? List.of() : List.of(Link.after("" + (k / 2 - 1), 0))));
            }
            jobs.add(new Job("" + j, 0, OptionalInt.empty(), 1, tasks));
        }
        List<Thing> machines = IntStream.range(0, rows[0].length / 2)
                .mapToObj(m -> new Thing("" + m, 1))
                .toList();
        return new Day(List.of(), machines, jobs, 0);
    }

    /** A schedule by its starts, job by job in the order of their operations. */
    static DayPlan plan(Day day, int[][] starts) {
        List<Placed> placed = new ArrayList<>();
        for (int j = 0; j < starts.length; j++) {
            Job job = day.jobs().get(j);
            for (int k = 0; k < starts[j].length; k++) {
                Task t = job.tasks().get(k);
                placed.add(new Placed(
                        job.id(), t.id(), Optional.empty(), new Span(starts[j][k], starts[j][k] + t.seconds())));
            }
        }
        return new DayPlan(placed, List.of());
    }
}
