package vanemend.core.day;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;

/** Days of three jobs with least and greatest waits on two machines, and their shortest plan, tried in every way there is. */
public final class SmallDay {
    private SmallDay() {}

    /** One made by chance. */
    public static Day of(Random r) {
        List<Job> jobs = new ArrayList<>();
        for (int j = 0; j < 3; j++) {
            List<Task> tasks = new ArrayList<>();
            for (int k = 0; k < 2; k++) {
                int least = r.nextInt(3);
                int most = r.nextBoolean() ? least + r.nextInt(3) : Link.ANY_TIME;
                tasks.add(new Task(
                        "" + k,
                        1 + r.nextInt(4),
                        false,
                        Right.ANY,
                        false,
                        false,
                        List.of(r.nextBoolean() ? "A" : "B"),
                        k == 0 ? List.of() : List.of(new Link("0", least, most, false))));
            }
            jobs.add(new Job("" + j, r.nextInt(3), OptionalInt.empty(), 1, tasks));
        }
        return new Day(List.of(), List.of(new Thing("A", 1), new Thing("B", 1)), jobs, 0);
    }

    /** When the last job is done in the best of all plans that end by {@code most}; one more where there is none. */
    public static int best(Day day, int most) {
        return new Every(day, most).best();
    }

    /** Every start of every task, one after the other, whatever it may be: no list, no groups, no search. */
    private static final class Every {
        private final Day day;
        private final List<Task> tasks = new ArrayList<>();
        private final List<Integer> jobs = new ArrayList<>();
        private final int[] starts;
        private int best;

        Every(Day day, int most) {
            this.day = day;
            this.best = most + 1;
            for (int j = 0; j < day.jobs().size(); j++) {
                for (Task t : day.jobs().get(j).tasks()) {
                    tasks.add(t);
                    jobs.add(j);
                }
            }
            this.starts = new int[tasks.size()];
        }

        int best() {
            from(0, 0);
            return best;
        }

        private void from(int i, int last) {
            if (i == tasks.size()) {
                best = Math.min(best, last);
                return;
            }
            for (int s = day.jobs().get(jobs.get(i)).from(); s + tasks.get(i).seconds() < best; s++) {
                starts[i] = s;
                if (fits(i)) {
                    from(i + 1, Math.max(last, s + tasks.get(i).seconds()));
                }
            }
        }

        private boolean fits(int i) {
            for (int k = 0; k < i; k++) {
                boolean meet = starts[k] < starts[i] + tasks.get(i).seconds()
                        && starts[i] < starts[k] + tasks.get(k).seconds();
                if (meet && tasks.get(k).things().equals(tasks.get(i).things())) {
                    return false;
                }
                for (Link l : tasks.get(i).links()) {
                    if (jobs.get(k).equals(jobs.get(i))
                            && l.from().equals(tasks.get(k).id())) {
                        long gap = starts[i] - (starts[k] + tasks.get(k).seconds());
                        if (gap < l.least() || gap > l.most()) {
                            return false;
                        }
                    }
                }
            }
            return true;
        }
    }
}
