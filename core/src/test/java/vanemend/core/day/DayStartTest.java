package vanemend.core.day;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;

@DisplayName(
        "a day is planned around its cures: no live mix without hands, every window kept, nothing cut that may not be")
class DayStartTest {
    private static final int MINUTE = AnyDay.MINUTE;
    private static final int HOUR = AnyDay.HOUR;

    private static Task hands(String id, int min, Right right, boolean cuttable, Link... links) {
        return new Task(id, min * MINUTE, true, right, cuttable, false, List.of(), List.of(links));
    }

    private static Job job(String id, Task... tasks) {
        return new Job(id, 0, OptionalInt.empty(), 1, List.of(tasks));
    }

    private static Person tam(List<Span> hours) {
        return new Person("Tam", hours, Set.of(Right.values()));
    }

    private static Span at(DayPlan p, String job, String task) {
        return p.placed().stream()
                .filter(x -> x.job().equals(job) && x.task().equals(task))
                .findFirst()
                .orElseThrow()
                .at();
    }

    @Test
    @DisplayName(
            "over days of every kind the checker finds nothing, the same seed gives the same plan, and it is never worse than first come")
    void anyDay() {
        Seeds.forEach(1_000, (r, i) -> {
            Day day = AnyDay.of(new Random(r.nextLong()));
            DayPlan first = DayStart.firstCome(day);
            DayPlan found = DayStart.of(day, 20, i);
            assertThat(DayCheck.faults(day, first)).isEmpty();
            assertThat(DayCheck.faults(day, found)).isEmpty();
            assertThat(DayCheck.faults(day, DayStart.oneAfterTheOther(day))).isEmpty();
            assertThat(Worth.of(day, found)).isLessThanOrEqualTo(Worth.of(day, first));
            assertThat(DayStart.of(day, 20, i)).isEqualTo(found);
        });
    }

    @Test
    @DisplayName(
            "a live block waits for after lunch, one that may be cut goes on after it, and neither goes through a night")
    void lunchAndNight() {
        Person tam = tam(AnyDay.hours(2, 30));
        Day live = new Day(
                List.of(tam),
                List.of(),
                List.of(job(
                        "a",
                        hands("sand", 200, Right.ANY, true),
                        hands("mix", 60, Right.LIVE, false, Link.after("sand", 0)))),
                HOUR);
        DayPlan p = DayStart.firstCome(live);
        assertThat(at(p, "a", "mix").from()).isEqualTo(4 * HOUR + 30 * MINUTE);
        Day cut = new Day(List.of(tam), List.of(), List.of(job("a", hands("sand", 300, Right.ANY, true))), HOUR);
        assertThat(at(DayStart.firstCome(cut), "a", "sand")).isEqualTo(new Span(0, 330 * MINUTE));
        Day night = new Day(
                List.of(tam),
                List.of(),
                List.of(job(
                        "a",
                        hands("one", 480, Right.ANY, true),
                        hands("two", 90, Right.ANY, true, Link.after("one", 0)))),
                HOUR);
        assertThat(at(DayStart.firstCome(night), "a", "two").from()).isEqualTo(24 * HOUR);
    }

    @Test
    @DisplayName(
            "what must follow closely is begun only when it can: the mix waits for the hands that spread, the promoter for those that lay")
    void greatestWaits() {
        Person tam = tam(List.of(new Span(0, 10 * HOUR)));
        Job other = job("other", hands("sand", 60, Right.ANY, true));
        Job own = job(
                "own",
                hands("promote", 5, Right.ANY, true),
                hands("lay", 30, Right.LIVE, false, new Link("promote", 10 * MINUTE, 30 * MINUTE, false)));
        DayPlan p = DayStart.firstCome(new Day(List.of(tam), List.of(), List.of(own, other), HOUR));
        int gap = at(p, "own", "lay").from() - at(p, "own", "promote").to();
        assertThat(gap).isBetween(10 * MINUTE, 30 * MINUTE);
    }

    @Test
    @DisplayName("a job that nobody there may do is left as a whole and named; the others are planned")
    void left() {
        Person prentice = new Person("Sol", List.of(new Span(0, 10 * HOUR)), Set.of(Right.ANY));
        Day day = new Day(
                List.of(prentice),
                List.of(),
                List.of(
                        job(
                                "glass",
                                hands("wash", 5, Right.ANY, true),
                                hands("fill", 5, Right.GLASS, false, Link.after("wash", 0))),
                        job("wash", hands("wash", 5, Right.ANY, true))),
                HOUR);
        DayPlan p = DayStart.of(day, 50, 1);
        assertThat(p.left()).containsExactly("glass");
        assertThat(p.placed()).extracting(Placed::job).containsOnly("wash");
        assertThat(DayCheck.faults(day, p)).isEmpty();
    }

    @Test
    @DisplayName("a promise goes before who came first; the one that weighs more before the other")
    void promises() {
        Person tam = tam(List.of(new Span(0, 10 * HOUR)));
        Job first = job("first", hands("sand", 60, Right.ANY, true));
        Job promised = new Job("promised", 0, OptionalInt.of(HOUR), 1, first.tasks());
        Day day = new Day(List.of(tam), List.of(), List.of(first, promised), HOUR);
        assertThat(DayStart.of(day, 50, 1).finishes()).isEqualTo(Map.of("promised", HOUR, "first", 2 * HOUR));
        Job heavy = new Job("heavy", 0, OptionalInt.of(HOUR), 3, first.tasks());
        Day two = new Day(List.of(tam), List.of(), List.of(promised, heavy), HOUR);
        assertThat(DayStart.of(two, 50, 1).finishes()).containsEntry("heavy", HOUR);
    }

    @Test
    @DisplayName("published job shops: no plan is ever shorter than the proven optimum, and the start comes near it")
    void jobShops() {
        // Fisher and Thompson 1963: 55 and 930. Lawrence 1984: 666 and 945. All proven.
        Map<int[][], Integer> optimum =
                Map.of(JobShop.FT06, 55, JobShop.FT10, 930, JobShop.LA01, 666, JobShop.LA16, 945);
        optimum.forEach((rows, best) -> {
            Day day = JobShop.day(rows);
            DayPlan p = DayStart.of(day, 2_000, 7);
            assertThat(DayCheck.faults(day, p)).isEmpty();
            assertThat(p.last()).isBetween(best, best * 120 / 100);
        });
    }

    @Test
    @DisplayName("the checker accepts both published optimal schedules of FT06 and refuses either with one start moved")
    void publishedSchedules() {
        Day day = JobShop.day(JobShop.FT06);
        int[][] a = {
            {5, 6, 16, 30, 40, 49},
            {0, 8, 13, 26, 40, 50},
            {0, 5, 9, 21, 30, 38},
            {11, 16, 22, 27, 30, 46},
            {13, 22, 25, 36, 50, 54},
            {8, 11, 17, 30, 45, 50}
        };
        int[][] b = {
            {5, 6, 16, 30, 38, 49},
            {0, 8, 13, 28, 38, 48},
            {0, 5, 9, 18, 27, 38},
            {8, 13, 22, 27, 30, 45},
            {13, 22, 25, 41, 48, 52},
            {13, 16, 19, 28, 45, 49}
        };
        for (int[][] starts : List.of(a, b)) {
            DayPlan p = JobShop.plan(day, starts);
            assertThat(DayCheck.faults(day, p)).isEmpty();
            assertThat(p.last()).isEqualTo(55);
            starts[1][2]--;
            assertThat(DayCheck.faults(day, JobShop.plan(day, starts))).isNotEmpty();
        }
    }

    @Test
    @DisplayName(
            "days made by chance, planned again when a repair was brought in, a promise moved, hands or a lamp went: no fault")
    void plannedAgain() {
        for (long seed = 1; seed <= 500; seed++) {
            assertThat(AnyDays.judged(seed)).as("seed " + seed).isEmpty();
        }
    }

    @Test
    @DisplayName(
            "every kind of fault is found: hands twice, out of hours, cut, not allowed, too soon, too late, other hands, too many lamps, missing, doubled")
    void faults() {
        Person tam = tam(List.of(new Span(0, HOUR), new Span(3 * HOUR, 6 * HOUR)));
        Person sol = new Person("Sol", List.of(new Span(0, 6 * HOUR)), Set.of(Right.ANY));
        Task lamp =
                new Task("lamp", 600, false, Right.ANY, false, true, List.of("LAMP"), List.of(Link.after("mix", 0)));
        Job a = job(
                "a",
                hands("mix", 10, Right.LIVE, false),
                hands("lay", 10, Right.LIVE, false, new Link("mix", 0, 0, true)),
                lamp);
        Job b = job("b", hands("mix", 10, Right.ANY, true), lamp);
        Day day = new Day(List.of(tam, sol), List.of(new Thing("LAMP", 1)), List.of(a, b), HOUR);
        List<Placed> good = List.of(
                placed("a", "mix", "Tam", 0, 600),
                placed("a", "lay", "Tam", 600, 1200),
                placed("a", "lamp", null, 1200, 1800),
                placed("b", "mix", "Sol", 0, 600),
                placed("b", "lamp", null, 1800, 2400));
        assertThat(found(day, good)).isEmpty();
        assertThat(found(day, with(good, 3, placed("b", "mix", "Tam", 300, 900))))
                .anyMatch(f -> f.contains("at once"));
        assertThat(found(day, with(good, 3, placed("b", "mix", "Tam", 7200, 7800))))
                .anyMatch(f -> f.contains("s of hands"));
        assertThat(found(day, with(good, 3, placed("b", "mix", "Tam", 3300, 11100))))
                .anyMatch(f -> f.contains("is cut for"));
        assertThat(found(day, with(good, 0, placed("a", "mix", "Sol", 0, 600))))
                .anyMatch(f -> f.contains("is not for Sol"));
        assertThat(found(day, with(good, 1, placed("a", "lay", "Tam", 540, 1140))))
                .anyMatch(f -> f.contains("at least"));
        assertThat(found(day, with(good, 1, placed("a", "lay", "Tam", 660, 1260))))
                .anyMatch(f -> f.contains("at most"));
        assertThat(found(day, with(good, 1, placed("a", "lay", "Sol", 600, 1200))))
                .anyMatch(f -> f.contains("other hands"));
        assertThat(found(day, with(good, 4, placed("b", "lamp", null, 1500, 2100))))
                .anyMatch(f -> f.contains("2 hold LAMP"));
        assertThat(found(day, with(good, 4, placed("b", "lamp", null, 21_300, 21_900))))
                .anyMatch(f -> f.contains("nobody is in the shop"));
        assertThat(found(day, with(good, 4, placed("b", "lamp", null, 1800, 2500))))
                .anyMatch(f -> f.contains("lasts"));
        assertThat(found(day, good.subList(0, 4))).anyMatch(f -> f.contains("is not planned"));
        assertThat(found(day, with(good, 4, good.get(3)))).anyMatch(f -> f.contains("planned twice"));
        assertThat(found(day, with(good, 4, placed("c", "lamp", null, 1800, 2400))))
                .anyMatch(f -> f.contains("no task of this day"));
        assertThat(found(day, with(good, 3, placed("b", "mix", null, 0, 600))))
                .anyMatch(f -> f.contains("has no hands"));
    }

    private static List<String> found(Day day, List<Placed> placed) {
        return DayCheck.faults(day, new DayPlan(placed, List.of()));
    }

    private static Placed placed(String job, String task, String person, int from, int to) {
        return new Placed(job, task, Optional.ofNullable(person), new Span(from, to));
    }

    private static List<Placed> with(List<Placed> all, int i, Placed other) {
        List<Placed> out = new ArrayList<>(all);
        out.set(i, other);
        return out;
    }
}
