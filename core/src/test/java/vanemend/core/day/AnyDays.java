package vanemend.core.day;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import vanemend.core.TestShop;
import vanemend.core.method.Cases;
import vanemend.core.trade.HouseRules;

/**
 * Plans as many days made by chance as are asked for, each twice, the second time with what changed since, and has each looked over; then
 * tells how time and quality grow with the repairs of a day. Prints the seed of the first fault, which makes that day again.
 */
public final class AnyDays {
    private static final int TURNS = 25;
    private static final int A_PORTION = 40;
    private static final List<Integer> REPAIRS = List.of(5, 10, 20, 40, 80);

    private AnyDays() {}

    /** {@code args}: how many days, and the seed of the first. */
    public static void main(String[] args) {
        int many = Integer.parseInt(args[0]);
        long first = Long.parseLong(args[1]);
        for (long seed = first; seed < first + many; seed++) {
            List<String> faults = judged(seed);
            if (!faults.isEmpty()) {
                System.out.println("first fault: seed " + seed + ": " + faults);
                System.exit(1);
            }
        }
        System.out.printf("%d days from seed %d on, each planned twice, no fault%n%n", many, first);
        System.out.println("repairs  blocks  first plan  all done: first come  at 0.5 s  at 5 s   bound  over bound"
                + "   late: first come  at 0.5 s  at 5 s   found no time");
        for (int repairs : REPAIRS) {
            System.out.println(row(repairs, first));
        }
    }

    /** What is wrong with the plan of the day that {@code seed} makes, or with the next one after a change. */
    static List<String> judged(long seed) {
        Random r = new Random(seed);
        Day day = AnyDay.of(r);
        DayStart.Found found = DayStart.of(day, TURNS, seed, Map.of());
        List<String> faults = new ArrayList<>(DayCheck.faults(day, found.plan()));
        Day after = changed(day, r);
        faults.addAll(DayCheck.faults(
                after, DayStart.of(after, TURNS, seed, found.order()).plan()));
        return faults;
    }

    /** A repair brought in, a pair of hands or a lamp less, a promise moved: one of them. */
    private static Day changed(Day day, Random r) {
        List<Job> jobs = new ArrayList<>(day.jobs());
        int which = r.nextInt(4);
        if (which == 0) {
            Job more = AnyDay.of(r).jobs().getFirst();
            jobs.add(new Job("brought in", more.from(), more.promised(), more.weight(), more.tasks()));
        } else if (which == 1) {
            Job moved = jobs.removeFirst();
            jobs.add(moved.promised(OptionalInt.of((1 + r.nextInt(20)) * AnyDay.HOUR), 1 + r.nextInt(3)));
        }
        return new Day(
                which == 2 ? day.people().subList(0, day.people().size() - 1) : day.people(),
                which == 3 ? day.things().subList(1, day.things().size()) : day.things(),
                jobs,
                day.longestBreak());
    }

    private static String row(int repairs, long seed) {
        Day day = mixed(repairs, new Random(seed));
        int blocks = day.jobs().stream().mapToInt(j -> j.tasks().size()).sum();
        DayPlan come = DayStart.firstCome(day);
        long began = System.nanoTime();
        DayStart.Found found = DayStart.of(day, 0, seed, Map.of());
        double firstMs = (System.nanoTime() - began) / 1e6;
        found = until(day, found, began, 0.5, seed);
        DayPlan soon = found.plan();
        found = until(day, found, began, 5, seed);
        DayPlan late = found.plan();
        for (DayPlan p : List.of(come, soon, late)) {
            if (!DayCheck.faults(day, p).isEmpty()) {
                throw new IllegalStateException(DayCheck.faults(day, p).toString());
            }
        }
        int bound = Bounds.last(day, day.jobs());
        return "%7d %7d %8.0f ms %19s %10s %8s %8s %9.0f %% %18s %9s %8s %8d"
                .formatted(
                        repairs,
                        blocks,
                        firstMs,
                        hours(come.last()),
                        hours(soon.last()),
                        hours(late.last()),
                        hours(bound),
                        100.0 * late.last() / bound - 100,
                        hours(Worth.of(day, come).late()),
                        hours(Worth.of(day, soon).late()),
                        hours(Worth.of(day, late).late()),
                        late.left().size());
    }

    private static DayStart.Found until(Day day, DayStart.Found from, long began, double seconds, long seed) {
        DayStart.Found found = from;
        for (long s = seed + 1; (System.nanoTime() - began) / 1e9 < seconds; s++) {
            found = DayStart.of(day, A_PORTION, s, found.order());
        }
        return found;
    }

    static Blocks.Asks asks(String recipe) {
        return Blocks.of(
                TestShop.workup(Cases.all().get(recipe), TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
                        .plan()
                        .orElseThrow(),
                Right.ANY);
    }

    /** What may send back the jobs of {@link #mixed}. */
    static Map<String, List<Gated>> gates(Day mixed) {
        return mixed.jobs().stream()
                .collect(Collectors.toMap(
                        Job::id,
                        j -> asks(j.id().substring(0, j.id().indexOf(' '))).gates()));
    }

    /** Repairs of every family in turn, half of them promised, for two technicians and an apprentice with a lamp and an oven. */
    public static Day mixed(int repairs, Random r) {
        List<String> recipes = List.copyOf(Cases.all().keySet());
        List<Job> jobs = new ArrayList<>();
        for (int i = 0; jobs.size() < repairs; i++) {
            String recipe = recipes.get(i * 7 % recipes.size());
            List<Task> tasks = asks(recipe).tasks();
            OptionalInt by =
                    i % 2 == 0 ? OptionalInt.of((2 + r.nextInt(8 + 4 * repairs)) * AnyDay.HOUR) : OptionalInt.empty();
            jobs.add(new Job(recipe + " " + i, 0, by, 1, tasks));
        }
        List<Span> hours = AnyDay.hours(60, 30);
        Set<Right> apprentice = EnumSet.of(Right.ANY);
        return new Day(
                List.of(
                        new Person("Tam", hours, EnumSet.allOf(Right.class)),
                        new Person("Priya", hours, EnumSet.allOf(Right.class)),
                        new Person("Joss", hours, apprentice)),
                List.of(new Thing("LAMP", 1), new Thing("OVEN", 1)),
                jobs,
                AnyDay.HOUR);
    }

    /** Hours and minutes. */
    public static String hours(long seconds) {
        return "%d:%02d".formatted(seconds / 3600, seconds / 60 % 60);
    }
}
