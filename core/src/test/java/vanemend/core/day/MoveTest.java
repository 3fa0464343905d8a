package vanemend.core.day;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

@DisplayName(
        "the order that stood is kept where another is not worth what it moves; what moves is told, and can be kept off")
class MoveTest {
    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    /** A Tuesday, half past seven by the clock on the wall. */
    private static final Instant MORNING = Instant.parse("2026-11-24T07:30:00Z");

    private static final Hours WEEK = hours();

    private static Hours hours() {
        Map<DayOfWeek, List<Hours.Stretch>> days = new HashMap<>();
        for (DayOfWeek d : DayOfWeek.values()) {
            days.put(d, List.of(new Hours.Stretch(LocalTime.of(7, 30), LocalTime.of(16, 30))));
        }
        return new Hours(days);
    }

    private static Task sand(int min) {
        return new Task("sand", min * 60, true, Right.ANY, true, false, List.of(), List.of());
    }

    private static DayBook.Repair repair(String id, int min, Optional<Instant> promised) {
        return new DayBook.Repair(id, promised, false, List.of(sand(min)));
    }

    private static DayBook book(Instant now, DayBook.Repair... repairs) {
        return new DayBook(now, LONDON, WEEK, List.of(new DayBook.Hand("Tam", false)), 0, 0, List.of(repairs));
    }

    private static Optional<DayBook.Stood> stood(DayBook book, DayBook.Made made) {
        return Optional.of(new DayBook.Stood(book, made.plan(), OptionalInt.empty()));
    }

    /** The plan of {@code book} where {@code stood} is what people go by. */
    private static DayBook.Made made(DayBook book, DayPlan stood) {
        return book.made(
                30,
                Map.of(),
                Optional.of(new DayBook.Stood(book, stood, OptionalInt.empty())),
                Optional.empty(),
                false);
    }

    @Test
    @DisplayName("any plan closed up has no fault, leaves nobody out, and is never worth less")
    void closedUp() {
        for (int seed = 0; seed < 400; seed++) {
            Random r = new Random(seed);
            Day day = AnyDay.of(r);
            DayPlan plan = r.nextBoolean() ? DayStart.of(day, 10, seed) : DayStart.oneAfterTheOther(day);
            DayPlan closed = DayStart.closedUp(day, plan);
            assertThat(DayCheck.faults(day, closed)).as("seed " + seed).isEmpty();
            assertThat(closed.left()).isEqualTo(plan.left());
            assertThat(Worth.of(day, closed)).as("seed " + seed).isLessThanOrEqualTo(Worth.of(day, plan));
        }
    }

    @Test
    @DisplayName(
            "twenty seconds later a full day with promoters, cement and sealant in it stands as it stood, with about the same hands")
    void aMomentLater() {
        int hands = 0;
        int all = 0;
        for (int seed = 1; seed <= 6; seed++) {
            Day mixed = AnyDays.mixed(25, new Random(seed));
            List<Job> promised = new ArrayList<>();
            for (Job j : mixed.jobs()) {
                promised.add(j.promised(OptionalInt.of((promised.size() % 5 + 1) * 6 * AnyDay.HOUR), 1));
            }
            Day day = new Day(mixed.people(), mixed.things(), promised, mixed.longestBreak());
            DayPlan stood = DayStart.of(day, 60, seed);
            DayPlan now = DayStart.closedUp(day, stood.from(20));
            assertThat(DayCheck.faults(day, now)).as("seed %d", seed).isEmpty();
            // A job that ends at the very end of a day may go over it; a day that falls apart misses by a day's hours
            // and more.
            assertThat(Worth.of(day, now).late() - Worth.of(day, stood).late())
                    .as("seed %d", seed)
                    .isLessThan(2L * AnyDay.HOUR);
            Map<List<String>, Optional<String>> by =
                    stood.placed().stream().collect(Collectors.toMap(p -> List.of(p.job(), p.task()), Placed::person));
            all += now.placed().size();
            hands += (int) now.placed().stream()
                    .filter(p -> by.get(List.of(p.job(), p.task())).equals(p.person()))
                    .count();
        }
        assertThat(hands).isGreaterThan(all * 9 / 10);
    }

    @Test
    @DisplayName("closed up, each keeps its hands and its turn: what went before the others' work goes before it still")
    void keepsTheOrder() {
        DayBook book = book(MORNING, repair("a", 30, Optional.empty()), repair("b", 40, Optional.empty()));
        DayPlan gaps = new DayPlan(
                List.of(
                        new Placed("b", "sand", Optional.of("Tam"), new Span(600, 3000)),
                        new Placed("a", "sand", Optional.of("Tam"), new Span(4000, 5800))),
                List.of());
        assertThat(DayStart.closedUp(book.day(), gaps).placed())
                .containsExactly(
                        new Placed("b", "sand", Optional.of("Tam"), new Span(0, 2400)),
                        new Placed("a", "sand", Optional.of("Tam"), new Span(2400, 4200)));
    }

    @Test
    @DisplayName("a promise that another order keeps turns two repairs round: who, which, and when each is done then")
    void turned() {
        DayBook before = book(MORNING, repair("door", 120, Optional.empty()), repair("skirt", 60, Optional.empty()));
        DayBook.Made first = before.made(30, Map.of());
        List<String> order = first.plan().placed().stream().map(Placed::job).toList();
        String last = order.getLast();
        // Asked for an hour after the hands begin, which is only kept by whoever goes first.
        List<DayBook.Repair> asked = new ArrayList<>();
        for (DayBook.Repair r : before.repairs()) {
            int min = r.tasks().getFirst().seconds() / 60;
            asked.add(repair(
                    r.id(), min, r.id().equals(last) ? Optional.of(MORNING.plusSeconds(min * 60L)) : Optional.empty()));
        }
        DayBook then = book(MORNING, asked.toArray(DayBook.Repair[]::new));
        DayBook.Made made = then.made(30, first.order(), stood(before, first), Optional.empty(), false);
        Move move = made.moved().orElseThrow();
        assertThat(move.turned()).contains(new Move.Turned("Tam", last, order.getFirst()));
        assertThat(move.repairs()).extracting(Move.Shift::job).containsExactly(last, order.getFirst());
        assertThat(move.repairs().getFirst().before()).isEqualTo(180 * 60);
        assertThat(move.repairs().getLast().after()).isEqualTo(180 * 60);
        assertThat(made.worth().late()).isZero();

        DayBook.Made off = then.made(30, first.order(), stood(before, first), Optional.empty(), true);
        assertThat(off.moved()).isEmpty();
        assertThat(off.plan()).isEqualTo(made.kept());
        assertThat(off.plan().placed()).extracting(Placed::job).isEqualTo(order);
    }

    @Test
    @DisplayName("a mean finish that is a little better turns nothing round: nobody is sent to another part for it")
    void notWorthIt() {
        DayBook book = book(MORNING, repair("long", 62, Optional.empty()), repair("short", 60, Optional.empty()));
        Day day = book.day();
        DayPlan longFirst = new DayPlan(
                List.of(
                        new Placed("long", "sand", Optional.of("Tam"), new Span(0, 62 * 60)),
                        new Placed("short", "sand", Optional.of("Tam"), new Span(62 * 60, 122 * 60))),
                List.of());
        assertThat(DayCheck.faults(day, longFirst)).isEmpty();
        DayBook.Made made = made(book, longFirst);
        assertThat(made.plan()).isEqualTo(longFirst);
        assertThat(made.moved()).isEmpty();
    }

    @Test
    @DisplayName("what moves by a minute or two is taken without a word: nothing is told that says nothing")
    void aMinuteOrTwo() {
        DayBook book = book(MORNING, repair("long", 4, Optional.empty()), repair("short", 2, Optional.empty()));
        DayPlan longFirst = new DayPlan(
                List.of(
                        new Placed("long", "sand", Optional.of("Tam"), new Span(0, 240)),
                        new Placed("short", "sand", Optional.of("Tam"), new Span(240, 360))),
                List.of());
        DayBook.Made made = made(book, longFirst);
        assertThat(made.plan().finishes()).isEqualTo(Map.of("short", 120, "long", 360));
        assertThat(made.moved()).isEmpty();
    }

    @Test
    @DisplayName("what was found elsewhere is taken where it is better; what it proved holds while only time goes by")
    void foundElsewhere() {
        DayBook book = book(MORNING, repair("a", 62, Optional.empty()), repair("b", 60, Optional.empty()));
        DayPlan found = book.made(0, Map.of()).plan();
        Optional<DayBook.Stood> told = Optional.of(new DayBook.Stood(book, found, OptionalInt.of(122 * 60)));
        DayBook later =
                book(MORNING.plusSeconds(600), repair("a", 62, Optional.empty()), repair("b", 60, Optional.empty()));
        assertThat(later.asks(book)).isTrue();
        DayBook.Made made = later.made(0, Map.of(), Optional.empty(), told, false);
        assertThat(made.faults()).isEmpty();
        // Nobody has begun: ten minutes on, the hands' own load is the larger bound.
        assertThat(made.bound()).isEqualTo(122 * 60);
        DayBook less = book(MORNING.plusSeconds(600), repair("a", 20, Optional.empty()));
        assertThat(less.asks(book)).isFalse();
        assertThat(less.made(0, Map.of(), Optional.empty(), told, false).bound())
                .isEqualTo(20 * 60);
    }

    @Test
    @DisplayName("whoever has gone leaves their work to others where that is sooner; the rest stays as it stood")
    void somebodyGone() {
        List<DayBook.Hand> two = List.of(new DayBook.Hand("Tam", false), new DayBook.Hand("Priya", false));
        List<DayBook.Repair> repairs = List.of(
                repair("a", 60, Optional.empty()),
                repair("b", 60, Optional.empty()),
                repair("c", 60, Optional.empty()),
                repair("d", 60, Optional.empty()));
        DayBook before = new DayBook(MORNING, LONDON, WEEK, two, 0, 0, repairs);
        DayBook.Made first = before.made(30, Map.of());
        DayBook after = new DayBook(
                MORNING,
                LONDON,
                WEEK,
                two,
                0,
                0,
                repairs,
                List.of(new DayBook.Away("Tam", MORNING, MORNING.plusSeconds(86_400))));
        DayBook.Made made = after.made(30, first.order(), stood(before, first), Optional.empty(), false);
        assertThat(made.faults()).isEmpty();
        assertThat(made.plan().placed())
                .extracting(p -> p.person().orElseThrow())
                .containsOnly("Priya");
        assertThat(made.plan().last()).isEqualTo(4 * 3600);
    }
}
