package vanemend.core.day;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;

/** Days of every kind: people with breaks and nights, things, live blocks, windows, promises. */
public final class AnyDay {
    public static final int MINUTE = 60;
    public static final int HOUR = 60 * MINUTE;
    private static final int DAY = 24 * HOUR;

    private AnyDay() {}

    /** Working hours of {@code days} days with a break at noon; the day is planned from the first morning. */
    public static List<Span> hours(int days, int breakMin) {
        List<Span> out = new ArrayList<>();
        for (int d = 0; d < days; d++) {
            int from = d * DAY;
            out.add(new Span(from, from + 4 * HOUR));
            out.add(new Span(from + 4 * HOUR + breakMin * MINUTE, from + 9 * HOUR));
        }
        return out;
    }

    public static Day of(Random r) {
        List<Person> people = new ArrayList<>();
        int hands = 1 + r.nextInt(3);
        for (int i = 0; i < hands; i++) {
            Set<Right> may = i == 0 ? EnumSet.allOf(Right.class) : EnumSet.of(Right.ANY);
            if (r.nextBoolean()) {
                may.add(Right.LIVE);
            }
            people.add(new Person("p" + i, hours(12, 30 + 15 * r.nextInt(3)), may));
        }
        List<Job> jobs = new ArrayList<>();
        int count = 1 + r.nextInt(6);
        for (int j = 0; j < count; j++) {
            List<Task> tasks = new ArrayList<>();
            int length = 1 + r.nextInt(7);
            for (int k = 0; k < length; k++) {
                tasks.add(task(r, k, tasks));
            }
            OptionalInt promised = r.nextBoolean() ? OptionalInt.of((1 + r.nextInt(30)) * HOUR) : OptionalInt.empty();
            jobs.add(new Job("j" + j, r.nextInt(3) * HOUR, promised, 1 + r.nextInt(3), tasks));
        }
        return new Day(people, List.of(new Thing("LAMP", 1 + r.nextInt(2)), new Thing("OVEN", 1)), jobs, HOUR);
    }

    private static Task task(Random r, int k, List<Task> before) {
        boolean hands = k == 0 || r.nextInt(4) > 0;
        boolean live = hands && r.nextInt(3) == 0;
        List<Link> links = new ArrayList<>();
        if (k > 0) {
            Task last = before.getLast();
            boolean follows = last.right() == Right.LIVE && hands && r.nextBoolean();
            int least = follows ? 0 : r.nextInt(40) * MINUTE;
            int most = follows ? 0 : r.nextInt(4) == 0 ? least + (5 + r.nextInt(60)) * MINUTE : Link.ANY_TIME;
            links.add(new Link(last.id(), least, most, follows));
            if (k > 1 && r.nextInt(4) == 0) {
                links.add(Link.after(before.get(r.nextInt(k - 1)).id(), r.nextInt(90) * MINUTE));
            }
            live = live || follows;
        }
        return new Task(
                "t" + k,
                (1 + r.nextInt(40)) * MINUTE,
                hands,
                live ? Right.LIVE : Right.ANY,
                hands && !live,
                !hands && r.nextBoolean(),
                hands ? List.of() : List.of(r.nextBoolean() ? "LAMP" : "OVEN"),
                links);
    }
}
