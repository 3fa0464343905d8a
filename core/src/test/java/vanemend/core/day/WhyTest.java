package vanemend.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static vanemend.core.day.AnyDay.HOUR;
import static vanemend.core.day.AnyDay.MINUTE;

import java.util.EnumSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.day.Held.Kind;

@DisplayName("why a repair is not ready sooner, and before when no order has it ready")
class WhyTest {
    /** Eight to twelve, half past twelve to half past four; two days. */
    private static final Person TAM = new Person(
            "tam",
            List.of(
                    new Span(0, 4 * HOUR),
                    new Span(4 * HOUR + 30 * MINUTE, 8 * HOUR + 30 * MINUTE),
                    new Span(24 * HOUR, 28 * HOUR)),
            EnumSet.allOf(Right.class));

    private static Task hands(String id, int min, Right right, Link... links) {
        return new Task(id, min * MINUTE, true, right, right != Right.LIVE, false, List.of(), List.of(links));
    }

    private static Task lamp(String id, int min, Link... links) {
        return new Task(id, min * MINUTE, false, Right.ANY, false, true, List.of("LAMP"), List.of(links));
    }

    private static Job job(String id, Task... tasks) {
        return new Job(id, 0, OptionalInt.empty(), 1, List.of(tasks));
    }

    private static Day day(Job... jobs) {
        return new Day(List.of(TAM), List.of(new Thing("LAMP", 1)), List.of(jobs), HOUR);
    }

    private static Held of(Kind kind, String by, int min) {
        return new Held(kind, by, min * MINUTE);
    }

    @Test
    @DisplayName("hands, cures, a lunch and whoever has the hands, each with its minutes")
    void oneByOne() {
        Job door = job("door", hands("wash", 90, Right.ANY));
        Job skirt = job(
                "skirt",
                hands("sand", 60, Right.ANY),
                hands("mix", 30, Right.LIVE, Link.after("sand", 0)),
                hands("block", 70, Right.ANY, Link.after("mix", 45 * MINUTE)));
        Day day = day(door, skirt);
        DayPlan p = DayStart.oneAfterTheOther(day);
        // 8:00 door, 9:30 skirt sanded, mixed till 11:00, cured 11:45, blocked from then: 15 minutes, lunch, 55
        // minutes.
        assertThat(p.finishes()).containsEntry("skirt", (5 * 60 + 25) * MINUTE);
        assertThat(Why.of(day, p, skirt))
                .containsExactly(
                        of(Kind.WORK, "", 160),
                        of(Kind.HANDS, "door", 90),
                        of(Kind.CURE, "", 45),
                        of(Kind.CLOSED, "", 30));
        // Without the door it is ready an hour and a half sooner, and lunch is passed by.
        assertThat(Bounds.ready(day, skirt)).hasValue((3 * 60 + 25) * MINUTE);
        assertThat(Bounds.ready(day, door)).hasValue(90 * MINUTE);
        // Four hours ten of hands, and a lunch.
        assertThat(Bounds.last(day, day.jobs())).isEqualTo((4 * 60 + 30 + 10) * MINUTE);
    }

    @Test
    @DisplayName("a lamp that another part is under, a night, and live work that waits for after lunch")
    void lampsAndNights() {
        Job roof = job("roof", hands("mask", 10, Right.ANY), lamp("heat", 120, Link.after("mask", 0)));
        Job wing = job("wing", hands("mask", 10, Right.ANY), lamp("heat", 30, Link.after("mask", 0)));
        Day day = day(roof, wing);
        DayPlan p = DayStart.firstCome(day);
        assertThat(Why.of(day, p, wing))
                .containsExactlyInAnyOrder(
                        of(Kind.WORK, "", 10),
                        of(Kind.HANDS, "roof", 10),
                        of(Kind.THING, "roof", 110),
                        of(Kind.HEAT, "", 30));
        Job tank = job(
                "tank",
                hands("sand", 220, Right.ANY),
                hands("mix", 30, Right.LIVE, Link.after("sand", 0)),
                hands("block", 20, Right.ANY, Link.after("mix", 8 * 60 * MINUTE)));
        Day alone = day(tank);
        DayPlan night = DayStart.firstCome(alone);
        assertThat(Why.of(alone, night, tank))
                .containsExactlyInAnyOrder(
                        of(Kind.WORK, "", 270),
                        // Twenty minutes before lunch are too short for what must not be cut.
                        of(Kind.ORDER, "", 20),
                        of(Kind.CLOSED, "", 30 + (24 * 60 - (5 * 60 + 8 * 60))),
                        of(Kind.CURE, "", 480));
        assertThat(Bounds.ready(alone, tank)).hasValue(night.last());
    }

    @Test
    @DisplayName("in days of every kind all of the time has a cause, and no plan beats what is told as a bound")
    void anyDays() {
        int told = 0;
        int tight = 0;
        for (int seed = 0; seed < 600; seed++) {
            Day day = AnyDay.of(new Random(seed));
            for (DayPlan p : List.of(DayStart.of(day, 20, seed), DayStart.oneAfterTheOther(day))) {
                for (Job j : day.jobs()) {
                    List<Held> held = Why.of(day, p, j);
                    int finish = p.finishes().getOrDefault(j.id(), 0);
                    assertThat(held.stream().mapToInt(Held::seconds).sum())
                            .as("%d %s %s", seed, j.id(), held)
                            .isEqualTo(finish);
                    if (finish > 0) {
                        assertThat(Bounds.ready(day, j).orElseThrow())
                                .as("%d %s", seed, j.id())
                                .isLessThanOrEqualTo(finish);
                        told++;
                    }
                }
                List<Job> planned = day.jobs().stream()
                        .filter(j -> !p.left().contains(j.id()))
                        .toList();
                int bound = Bounds.last(day, planned);
                assertThat(bound).as("%d", seed).isLessThanOrEqualTo(p.last());
                tight += bound == p.last() ? 1 : 0;
            }
        }
        assertThat(told).isGreaterThan(3_000);
        assertThat(tight).isGreaterThan(300);
    }

    @Test
    @DisplayName("published job shops: LA01 is done when its busiest machine is, and no bound is over a proven optimum")
    void jobShops() {
        // Lawrence 1984: 666, the load of the busiest machine. Fisher and Thompson 1963: 55 and 930.
        Day la01 = JobShop.day(JobShop.LA01);
        assertThat(Bounds.last(la01, la01.jobs())).isEqualTo(666);
        Day ft06 = JobShop.day(JobShop.FT06);
        assertThat(Bounds.last(ft06, ft06.jobs())).isBetween(43, 55);
        Day ft10 = JobShop.day(JobShop.FT10);
        assertThat(Bounds.last(ft10, ft10.jobs())).isBetween(600, 930);
    }
}
