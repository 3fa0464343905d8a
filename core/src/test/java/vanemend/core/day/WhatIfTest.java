package vanemend.core.day;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

@DisplayName(
        "what if: one lamp more, a pair of hands less, another repair, other waits, by hand and without changing the day")
class WhatIfTest {
    private static final Instant MORNING = Instant.parse("2026-11-24T07:30:00Z");
    private static final Hours WEEK = Hours.kept("TUESDAY 07:30-16:30; WEDNESDAY 07:30-16:30; THURSDAY 07:30-16:30");
    private static final WhatIf.If NOTHING =
            new WhatIf.If(0, 0, Optional.empty(), Optional.empty(), Optional.empty(), Map.of(), Set.of());

    private static Task hands(String id, int min, Link... links) {
        return new Task(id, min * 60, true, Right.ANY, true, false, List.of(), List.of(links));
    }

    private static Task lamp(String id, int min, String after) {
        return new Task(id, min * 60, false, Right.ANY, false, true, List.of("LAMP"), List.of(Link.after(after, 0)));
    }

    private static DayBook.Repair repair(String id, String promised, Task... tasks) {
        return new DayBook.Repair(
                id,
                promised.isEmpty() ? Optional.empty() : Optional.of(Instant.parse("2026-11-24T" + promised + ":00Z")),
                false,
                List.of(tasks));
    }

    private static DayBook book(DayBook.Repair... repairs) {
        return new DayBook(
                MORNING,
                ZoneId.of("Europe/London"),
                WEEK,
                List.of(new DayBook.Hand("tam", false), new DayBook.Hand("priya", false)),
                1,
                1,
                List.of(repairs));
    }

    private static Instant at(String time) {
        return Instant.parse("2026-11-24T" + time + ":00Z");
    }

    private static WhatIf of(DayBook book, WhatIf.If otherwise) {
        return WhatIf.of(book, book.made(40, Map.of()), otherwise, 40);
    }

    @Test
    @DisplayName("two hours under the one lamp each: a second one saves two hours, and the promise that was missed")
    void oneLampMore() {
        DayBook book = book(
                repair("a", "11:00", hands("mix", 60), lamp("cure", 120, "mix")),
                repair("b", "11:00", hands("mix", 60), lamp("cure", 120, "mix")));
        WhatIf as = of(book, NOTHING);
        assertThat(as.last()).contains(at("12:30"));
        assertThat(as.missed()).isEqualTo(1);
        assertThat(as.lateMin()).isEqualTo(90);
        assertThat(as.repairs()).isEmpty();
        WhatIf more =
                of(book, new WhatIf.If(1, 0, Optional.empty(), Optional.empty(), Optional.empty(), Map.of(), Set.of()));
        assertThat(more.last()).contains(at("10:30"));
        assertThat(more.missed()).isZero();
        assertThat(more.repairs()).hasSize(1).first().satisfies(s -> {
            assertThat(s.before()).isEqualTo(at("12:30"));
            assertThat(s.after()).isEqualTo(at("10:30"));
        });
        assertThat(of(
                        book,
                        new WhatIf.If(0, 1, Optional.empty(), Optional.empty(), Optional.empty(), Map.of(), Set.of())))
                .isEqualTo(as);
    }

    @Test
    @DisplayName("a pair of hands less: what is in them is done first, all the rest falls to the others")
    void handsLess() {
        DayBook.Repair inHand = new DayBook.Repair(
                "in hand",
                Optional.empty(),
                true,
                List.of(hands("sand", 30).by(Optional.of("tam")), hands("wash", 60, Link.after("sand", 0))));
        DayBook book = new DayBook(
                MORNING,
                ZoneId.of("Europe/London"),
                WEEK,
                List.of(new DayBook.Hand("tam", false), new DayBook.Hand("priya", false)),
                1,
                1,
                List.of(inHand, repair("b", "", hands("sand", 90))));
        assertThat(of(book, NOTHING).last()).contains(at("09:00"));
        WhatIf less = of(
                book, new WhatIf.If(0, 0, Optional.of("tam"), Optional.empty(), Optional.empty(), Map.of(), Set.of()));
        // Priya: 90 min of b and 60 of what Tam leaves.
        assertThat(less.last()).contains(at("10:00"));
        assertThat(less.left()).isEmpty();
    }

    @Test
    @DisplayName("another like one there, from when it is brought in; the day itself is as it was")
    void another() {
        DayBook book = book(repair("a", "", hands("sand", 120)), repair("b", "", hands("sand", 120)));
        WhatIf w = of(
                book,
                new WhatIf.If(0, 0, Optional.empty(), Optional.of("a"), Optional.of(at("08:30")), Map.of(), Set.of()));
        assertThat(w.another()).contains(at("11:30"));
        assertThat(w.last()).contains(at("11:30"));
        assertThat(w.repairs()).isEmpty();
        assertThat(of(book, NOTHING).another()).isEmpty();
    }

    @Test
    @DisplayName("in colder air what has not begun takes longer, what has begun goes on as it is")
    void otherWaits() {
        Task wash = hands("wash", 30, Link.after("fill", 20 * 60));
        Task later = hands("wash", 30, Link.after("fill", 60 * 60));
        DayBook book = book(repair("a", "09:00", hands("fill", 30), wash));
        WhatIf cold = of(
                book,
                new WhatIf.If(
                        0,
                        0,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Map.of("a", List.of(hands("fill", 30), later)),
                        Set.of()));
        assertThat(cold.repairs()).containsExactly(new WhatIf.Shift("a", at("08:50"), at("09:30")));
        assertThat(cold.missed()).isEqualTo(1);
    }

    @Test
    @DisplayName(
            "what has no plan in another air is none of that day, and its promise is missed; so is that of what finds no time")
    void noPlanThen() {
        DayBook book = book(
                repair("a", "12:00", hands("sand", 60)),
                repair("b", "15:00", hands("sand", 60)),
                repair("c", "", hands("sand", 60)));
        WhatIf cold = of(
                book,
                new WhatIf.If(0, 0, Optional.empty(), Optional.empty(), Optional.empty(), Map.of(), Set.of("a", "c")));
        assertThat(cold.last()).contains(at("08:30"));
        assertThat(cold.missed()).isEqualTo(1);
        assertThat(of(book, NOTHING).missed()).isZero();
        Task ever = hands("sand", 60 * 24);
        Task never = new Task(ever.id(), ever.seconds(), true, Right.ANY, false, false, List.of(), List.of());
        WhatIf left = of(book(repair("a", "12:00", never), repair("b", "", hands("sand", 60))), NOTHING);
        assertThat(left.left()).containsExactly("a");
        assertThat(left.missed()).isEqualTo(1);
    }

    @Test
    @DisplayName("a lamp, an oven more is never worse, hands less never better; nobody's day has a fault")
    void monotone() {
        for (int seed = 0; seed < 40; seed++) {
            List<DayBook.Repair> repairs = new ArrayList<>();
            Random r = new Random(seed);
            for (int i = 0; i < 5; i++) {
                repairs.add(repair(
                        "r" + i,
                        r.nextBoolean() ? "1" + r.nextInt(7) + ":00" : "",
                        hands("mix", 10 + r.nextInt(60)),
                        lamp("cure", 10 + r.nextInt(60), "mix"),
                        hands("sand", 10 + r.nextInt(60), Link.after("cure", 0))));
            }
            DayBook book = book(repairs.toArray(DayBook.Repair[]::new));
            DayBook.Made made = book.made(20, Map.of());
            WhatIf more = WhatIf.of(
                    book,
                    made,
                    new WhatIf.If(1, 1, Optional.empty(), Optional.empty(), Optional.empty(), Map.of(), Set.of()),
                    20);
            assertThat(more.lateMin()).isLessThanOrEqualTo(made.worth().late() / 60);
            WhatIf less = WhatIf.of(
                    book,
                    made,
                    new WhatIf.If(0, 0, Optional.of("tam"), Optional.empty(), Optional.empty(), Map.of(), Set.of()),
                    20);
            assertThat(less.last().orElseThrow()).isAfterOrEqualTo(book.at(made.bound()));
        }
    }
}
