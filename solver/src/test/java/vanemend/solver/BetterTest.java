package vanemend.solver;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import vanemend.core.day.AnyDay;
import vanemend.core.day.Day;
import vanemend.core.day.DayCheck;
import vanemend.core.day.DayPlan;
import vanemend.core.day.DayStart;
import vanemend.core.day.Job;
import vanemend.core.day.JobShop;
import vanemend.core.day.Link;
import vanemend.core.day.Person;
import vanemend.core.day.Right;
import vanemend.core.day.SmallDay;
import vanemend.core.day.Span;
import vanemend.core.day.Task;
import vanemend.core.day.Worth;

@DisplayName("a better order is found and what is proven of it holds; whatever is found keeps what the day asks")
class BetterTest {
    private static final int HOUR = AnyDay.HOUR;

    @Test
    @DisplayName("published job shops are solved to their proven optimum, and that it is one is proven here too")
    void published() {
        // Fisher and Thompson 1963: 55. Lawrence 1984: 666.
        Map.of(JobShop.FT06, 55, JobShop.LA01, 666).forEach((rows, optimum) -> {
            Day day = JobShop.day(rows);
            Better b = Better.of(day, DayStart.firstCome(day), Map.of(), 0, 30, 1);
            assertThat(DayCheck.faults(day, b.plan())).isEmpty();
            assertThat(b.plan().last()).isEqualTo(optimum);
            assertThat(b.bound()).hasValue(optimum);
        });
    }

    @Test
    @DisplayName("small days with least and greatest waits: the optimum of an exhaustive search, in all of 200")
    void exhaustive() {
        for (int seed = 0; seed < 200; seed++) {
            Day day = SmallDay.of(new Random(seed));
            DayPlan start = DayStart.firstCome(day);
            Better b = Better.of(day, start, Map.of(), 0, 3, seed);
            assertThat(DayCheck.faults(day, b.plan())).isEmpty();
            assertThat(b.plan().last())
                    .as("seed " + seed)
                    .isEqualTo(SmallDay.best(day, start.last()))
                    .isEqualTo(b.bound().orElseThrow());
        }
    }

    @Test
    @DisplayName(
            "days of every kind: no fault, never worth less than the start, never before the bound, the same for the same seed")
    void anyDay() {
        int better = 0;
        for (int seed = 0; seed < 60; seed++) {
            Day day = AnyDay.of(new Random(seed));
            DayPlan start = DayStart.of(day, 20, seed);
            Better b = Better.of(day, start, Map.of(), 0, 0.1, seed);
            assertThat(DayCheck.faults(day, b.plan())).as("seed " + seed).isEmpty();
            assertThat(Worth.of(day, b.plan())).isLessThanOrEqualTo(Worth.of(day, start));
            assertThat(b.bound().orElse(0)).isLessThanOrEqualTo(b.plan().last());
            assertThat(Better.of(day, start, Map.of(), 0, 0.1, seed)).isEqualTo(b);
            better += Worth.of(day, b.plan()).compareTo(Worth.of(day, start)) < 0 ? 1 : 0;
        }
        // Most of these days are too small for the start to miss anything.
        assertThat(better).isGreaterThan(5);
    }

    @Test
    @DisplayName("what is in hand stays there, and what was said to go first stays where it is")
    void staysPut() {
        Person tam = new Person("Tam", List.of(new Span(0, 10 * HOUR)), Set.of(Right.values()));
        Task sand = new Task("sand", HOUR, true, Right.ANY, true, false, List.of(), List.of());
        Job inHand = new Job("in hand", 0, OptionalInt.empty(), 1, List.of(sand), true, false, false);
        Job first = new Job("first", 0, OptionalInt.empty(), 1, List.of(sand), false, true, false);
        Job promised = new Job("promised", 0, OptionalInt.of(HOUR), 1, List.of(sand));
        Day day = new Day(List.of(tam), List.of(), List.of(inHand, first, promised), HOUR);
        Better b = Better.of(day, DayStart.of(day, 10, 1), Map.of(), 10, 1, 1);
        assertThat(b.plan().finishes()).isEqualTo(Map.of("in hand", HOUR, "first", 2 * HOUR, "promised", 3 * HOUR));
    }

    @Test
    @DisplayName(
            "where hands may begin is where they are done as long as it takes, breaks left out: held against each second")
    void starts() {
        for (int seed = 0; seed < 300; seed++) {
            Random r = new Random(seed);
            List<Span> hours = new ArrayList<>();
            int at = 0;
            for (int i = 0; i < 1 + r.nextInt(5); i++) {
                int from = at + 1 + r.nextInt(6);
                at = from + 1 + r.nextInt(9);
                hours.add(new Span(from, at));
            }
            Task t = new Task("t", 1 + r.nextInt(12), true, Right.ANY, r.nextBoolean(), false, List.of(), List.of());
            int longest = r.nextInt(5);
            Map<Integer, List<long[]>> told = Worked.starts(t, new Person("p", hours, Set.of(Right.ANY)), longest);
            for (int s = 0; s <= at; s++) {
                int second = s;
                Set<Integer> still = new HashSet<>();
                told.forEach((k, all) -> all.stream()
                        .filter(x -> x[0] <= second && second <= x[1])
                        .forEach(x -> still.add(k)));
                assertThat(still)
                        .as("seed %d at %d of %s".formatted(seed, s, hours))
                        .isEqualTo(counted(t, hours, longest, s));
            }
        }
    }

    /** Second by second. */
    private static Set<Integer> counted(Task t, List<Span> hours, int longest, int from) {
        int worked = 0;
        int still = 0;
        int inBreak = 0;
        for (int s = from; worked < t.seconds(); s++) {
            int second = s;
            boolean there = hours.stream().anyMatch(h -> h.from() <= second && second < h.to());
            if (!there
                    && (s == from
                            || !t.cuttable()
                            || ++inBreak > longest
                            || second > hours.getLast().to())) {
                return Set.of();
            }
            inBreak = there ? 0 : inBreak;
            worked += there ? 1 : 0;
            still += there ? 0 : 1;
        }
        return Set.of(still);
    }

    @Test
    @DisplayName("a day and its plan are the same after they were written and read")
    void written() {
        JsonMapper json = JsonMapper.builder().build();
        for (int seed = 0; seed < 50; seed++) {
            Day day = AnyDay.of(new Random(seed));
            Order o = new Order(day, DayStart.firstCome(day), Map.of("j0", List.of(1.5, -2.0)), 20, 0.5, seed);
            assertThat(json.readValue(json.writeValueAsString(o), Order.class)).isEqualTo(o);
            Better b = new Better(o.plan(), o.order(), seed % 2 == 0 ? OptionalInt.empty() : OptionalInt.of(seed));
            assertThat(json.readValue(json.writeValueAsString(b), Better.class)).isEqualTo(b);
        }
    }

    @Test
    @DisplayName("many jobs: a few at a time are made better, and a greatest wait is kept throughout")
    void many() {
        List<Job> jobs = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            jobs.add(new Job(
                    "j" + i,
                    0,
                    i % 2 == 0 ? OptionalInt.of((4 + i) * HOUR / 2) : OptionalInt.empty(),
                    1,
                    List.of(
                            new Task("a", (20 + 7 * i % 50) * 60, true, Right.ANY, true, false, List.of(), List.of()),
                            new Task(
                                    "b",
                                    (10 + 11 * i % 40) * 60,
                                    true,
                                    Right.LIVE,
                                    false,
                                    false,
                                    List.of(),
                                    List.of(new Link("a", 600, i % 3 == 0 ? 1800 : Link.ANY_TIME, false))))));
        }
        List<Span> hours = AnyDay.hours(6, 30);
        Day day = new Day(
                List.of(new Person("Tam", hours, Set.of(Right.values())), new Person("Joss", hours, Set.of(Right.ANY))),
                List.of(),
                jobs,
                HOUR);
        DayPlan start = DayStart.firstCome(day);
        Better b = Better.of(day, start, Map.of(), 0, 0.3, 1);
        assertThat(DayCheck.faults(day, b.plan())).isEmpty();
        assertThat(b.bound()).isEmpty();
        assertThat(Worth.of(day, b.plan()).late())
                .isLessThan(Worth.of(day, start).late());
    }
}
