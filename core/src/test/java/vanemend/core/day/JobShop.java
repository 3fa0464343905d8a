package vanemend.core.day;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/** Published job shops as days without hands: a machine is a thing of which there is one. */
public final class JobShop {
    /** Fisher and Thompson 1963, in Muth and Thompson, Industrial Scheduling: optimum 55. */
    public static final int[][] FT06 = {
        {2, 1, 0, 3, 1, 6, 3, 7, 5, 3, 4, 6},
        {1, 8, 2, 5, 4, 10, 5, 10, 0, 10, 3, 4},
        {2, 5, 3, 4, 5, 8, 0, 9, 1, 1, 4, 7},
        {1, 5, 0, 5, 2, 5, 3, 3, 4, 8, 5, 9},
        {2, 9, 1, 3, 4, 5, 5, 4, 0, 3, 3, 1},
        {1, 3, 3, 3, 5, 9, 0, 10, 4, 4, 2, 1}
    };

    /** Fisher and Thompson 1963, in Muth and Thompson, Industrial Scheduling: optimum 930. */
    public static final int[][] FT10 = {
        {0, 29, 1, 78, 2, 9, 3, 36, 4, 49, 5, 11, 6, 62, 7, 56, 8, 44, 9, 21},
        {0, 43, 2, 90, 4, 75, 9, 11, 3, 69, 1, 28, 6, 46, 5, 46, 7, 72, 8, 30},
        {1, 91, 0, 85, 3, 39, 2, 74, 8, 90, 5, 10, 7, 12, 6, 89, 9, 45, 4, 33},
        {1, 81, 2, 95, 0, 71, 4, 99, 6, 9, 8, 52, 7, 85, 3, 98, 9, 22, 5, 43},
        {2, 14, 0, 6, 1, 22, 5, 61, 3, 26, 4, 69, 8, 21, 7, 49, 9, 72, 6, 53},
        {2, 84, 1, 2, 5, 52, 3, 95, 8, 48, 9, 72, 0, 47, 6, 65, 4, 6, 7, 25},
        {1, 46, 0, 37, 3, 61, 2, 13, 6, 32, 5, 21, 9, 32, 8, 89, 7, 30, 4, 55},
        {2, 31, 0, 86, 1, 46, 5, 74, 4, 32, 6, 88, 8, 19, 9, 48, 7, 36, 3, 79},
        {0, 76, 1, 69, 3, 76, 5, 51, 2, 85, 9, 11, 6, 40, 7, 89, 4, 26, 8, 74},
        {1, 85, 0, 13, 2, 61, 6, 7, 8, 64, 9, 76, 5, 47, 3, 52, 4, 90, 7, 45}
    };

    /** Lawrence 1984: optimum 945. */
    public static final int[][] LA16 = {
        {1, 21, 6, 71, 9, 16, 8, 52, 7, 26, 2, 34, 0, 53, 4, 21, 3, 55, 5, 95},
        {4, 55, 2, 31, 5, 98, 9, 79, 0, 12, 7, 66, 1, 42, 8, 77, 6, 77, 3, 39},
        {3, 34, 2, 64, 8, 62, 1, 19, 4, 92, 9, 79, 7, 43, 6, 54, 0, 83, 5, 37},
        {1, 87, 3, 69, 2, 87, 7, 38, 8, 24, 9, 83, 6, 41, 0, 93, 5, 77, 4, 60},
        {2, 98, 0, 44, 5, 25, 6, 75, 7, 43, 1, 49, 4, 96, 9, 77, 3, 17, 8, 79},
        {2, 35, 3, 76, 5, 28, 9, 10, 4, 61, 6, 9, 0, 95, 8, 35, 1, 7, 7, 95},
        {3, 16, 2, 59, 0, 46, 1, 91, 9, 43, 8, 50, 6, 52, 5, 59, 4, 28, 7, 27},
        {1, 45, 0, 87, 3, 41, 4, 20, 6, 54, 9, 43, 8, 14, 5, 9, 2, 39, 7, 71},
        {4, 33, 2, 37, 8, 66, 5, 33, 3, 26, 7, 8, 1, 28, 6, 89, 9, 42, 0, 78},
        {8, 69, 9, 81, 2, 94, 4, 96, 3, 27, 0, 69, 7, 45, 6, 78, 1, 74, 5, 84}
    };

    /** Lawrence 1984: optimum 666, the load of the fifth machine. */
    public static final int[][] LA01 = {
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
    public static Day day(int[][] rows) {
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
