package vanemend.app.day;

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
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.app.day.BetterOrders.Happened.Begun;
import vanemend.app.day.BetterOrders.Happened.Died;
import vanemend.app.day.BetterOrders.Happened.Looked;
import vanemend.core.day.DayBook;
import vanemend.core.day.DayCheck;
import vanemend.core.day.DayStart;
import vanemend.core.day.Hours;
import vanemend.core.day.Link;
import vanemend.core.day.Placed;
import vanemend.core.day.Right;
import vanemend.core.day.Task;
import vanemend.core.day.Worth;

@DisplayName(
        "which order stands: what stood is kept, what moves is told and kept off; the solver betters it and may die")
class OrdersTest {
    private static final Instant MORNING = Instant.parse("2026-11-24T07:30:00Z");
    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final long PATIENCE_S = 60;

    private static Hours week() {
        Map<DayOfWeek, List<Hours.Stretch>> days = new HashMap<>();
        for (DayOfWeek d : DayOfWeek.values()) {
            days.put(d, List.of(new Hours.Stretch(LocalTime.of(7, 30), LocalTime.of(16, 30))));
        }
        return new Hours(days);
    }

    private static DayBook book(Instant now, List<DayBook.Repair> repairs) {
        return new DayBook(now, LONDON, week(), List.of(new DayBook.Hand("tam", false)), 1, 1, repairs);
    }

    private static DayBook.Repair repair(String id, int min, Optional<Instant> promised) {
        return new DayBook.Repair(
                id,
                promised,
                false,
                List.of(new Task("sand", min * 60, true, Right.ANY, true, false, List.of(), List.of())));
    }

    /** Work, a cure and work again, each of other lengths: there is something to look for. */
    private static DayBook mixed() {
        List<DayBook.Repair> repairs = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            repairs.add(new DayBook.Repair(
                    "r" + i,
                    i == 8 ? Optional.of(MORNING.plusSeconds(2 * 3600L)) : Optional.empty(),
                    false,
                    List.of(
                            new Task("a", (11 + 13 * i % 29) * 60, true, Right.ANY, true, false, List.of(), List.of()),
                            new Task(
                                    "b",
                                    (7 + 17 * i % 31) * 60,
                                    true,
                                    Right.LIVE,
                                    false,
                                    false,
                                    List.of(),
                                    List.of(Link.after("a", (10 + 7 * i % 40) * 60))))));
        }
        return book(MORNING, repairs);
    }

    private static BetterOrders quiet() {
        return new BetterOrders(new Typing(), e -> {}, false);
    }

    private static List<String> order(StandingOrder.Now now) {
        return now.made().plan().placed().stream().map(Placed::job).toList();
    }

    @Test
    @DisplayName(
            "a promise turns two repairs round, which is told; kept off, the old order stands until something else is asked")
    void keptOff() {
        StandingOrder standing = new StandingOrder(quiet());
        assertThat(standing.keepOff()).isFalse();
        DayBook.Repair door = repair("door", 120, Optional.empty());
        DayBook.Repair skirt = repair("skirt", 60, Optional.empty());
        StandingOrder.Now first = standing.of(book(MORNING, List.of(door, skirt)));
        assertThat(first.told()).isEmpty();
        String last = order(first).getLast();
        int min = last.equals("door") ? 120 : 60;
        Optional<Instant> by = Optional.of(MORNING.plusSeconds(min * 60L + 60));
        List<DayBook.Repair> asked =
                last.equals("door") ? List.of(repair("door", 120, by), skirt) : List.of(door, repair("skirt", 60, by));
        StandingOrder.Now moved = standing.of(book(MORNING.plusSeconds(30), asked));
        assertThat(order(moved).getFirst()).isEqualTo(last);
        assertThat(moved.told().orElseThrow().move().turned().orElseThrow().first())
                .isEqualTo(last);
        // Somebody who asks a little later is told too.
        assertThat(standing.of(book(MORNING.plusSeconds(60), asked)).told()).isPresent();
        assertThat(standing.of(book(MORNING.plusSeconds(3600), asked)).told()).isEmpty();

        StandingOrder again = new StandingOrder(quiet());
        again.of(book(MORNING, List.of(door, skirt)));
        again.of(book(MORNING.plusSeconds(30), asked));
        assertThat(again.keepOff()).isTrue();
        assertThat(again.keepOff()).isFalse();
        StandingOrder.Now back = again.of(book(MORNING.plusSeconds(40), asked));
        assertThat(order(back).getLast()).isEqualTo(last);
        assertThat(back.told()).isEmpty();
        assertThat(order(again.of(book(MORNING.plusSeconds(600), asked))).getLast())
                .isEqualTo(last);
        List<DayBook.Repair> more = new ArrayList<>(asked);
        more.add(repair("lid", 10, Optional.empty()));
        assertThat(order(again.of(book(MORNING.plusSeconds(660), more))).indexOf(last))
                .isLessThan(order(again.of(book(MORNING.plusSeconds(660), more)))
                        .indexOf(last.equals("door") ? "skirt" : "door"));
    }

    /** What happened, in order, waited for. */
    private static final class Heard {
        private final BlockingQueue<Object> all = new LinkedBlockingQueue<>();

        private <T> T next(Class<T> kind) throws InterruptedException {
            while (true) {
                Object o = all.poll(PATIENCE_S, TimeUnit.SECONDS);
                assertThat(o).as("no " + kind.getSimpleName() + " came").isNotNull();
                if (kind.isInstance(o)) {
                    return kind.cast(o);
                }
            }
        }
    }

    private static void kill(Begun b) throws Exception {
        ProcessHandle p = ProcessHandle.of(b.pid()).orElseThrow();
        p.destroyForcibly();
        p.onExit().get(PATIENCE_S, TimeUnit.SECONDS);
    }

    @Test
    @DisplayName(
            "the solver in its own process finds an order that is worth more and has no fault, and is begun anew when it dies")
    void ownProcess() throws Exception {
        Heard heard = new Heard();
        BetterOrders better = new BetterOrders(new Typing(), heard.all::add, true);
        Begun second;
        try {
            DayBook book = mixed();
            // As they came, the promised one last: that leaves something to find.
            DayBook.Made made = book.made(
                    0,
                    Map.of(),
                    Optional.of(new DayBook.Stood(
                            book,
                            DayStart.oneAfterTheOther(book.made(0, Map.of()).day()),
                            OptionalInt.empty())),
                    Optional.empty(),
                    true);
            assertThat(made.worth().late()).isPositive();
            better.look(book, made);
            Begun first = heard.next(Begun.class);
            assertThat(heard.next(Looked.class).better()).isTrue();
            assertThat(better.state()).isEqualTo(BetterOrders.State.ON);
            DayBook.Stood told = better.found().orElseThrow();
            assertThat(DayCheck.faults(made.day(), told.plan())).isEmpty();
            assertThat(Worth.of(made.day(), told.plan())).isLessThan(Worth.of(made.day(), made.plan()));
            assertThat(told.bound().orElseThrow())
                    .isLessThanOrEqualTo(told.plan().last());

            kill(first);
            second = heard.next(Begun.class);
            heard.next(Looked.class);
            assertThat(Worth.of(made.day(), better.found().orElseThrow().plan()))
                    .isLessThanOrEqualTo(Worth.of(made.day(), told.plan()));
        } finally {
            better.close();
        }
        assertThat(ProcessHandle.of(second.pid()).filter(ProcessHandle::isAlive))
                .isEmpty();
    }

    @Test
    @DisplayName("a solver that dies each time is given up, and that is said; the order that stands is what there is")
    void givenUp() throws Exception {
        Heard heard = new Heard();
        BetterOrders better = new BetterOrders(new Typing(), heard.all::add, true);
        try {
            DayBook book = mixed();
            better.look(book, book.made(0, Map.of()));
            for (int i = 0; i < 3; i++) {
                assertThat(better.state()).isEqualTo(BetterOrders.State.ON);
                kill(heard.next(Begun.class));
                heard.next(Died.class);
            }
            assertThat(better.state()).isEqualTo(BetterOrders.State.GONE);
            assertThat(new StandingOrder(better).of(book).made().faults()).isEmpty();
        } finally {
            better.close();
        }
    }

    @Test
    @DisplayName("a solver that died, and has then come to the end of a day, may die as often again")
    void deathsAreForgotten() throws Exception {
        Heard heard = new Heard();
        BetterOrders better = new BetterOrders(new Typing(), heard.all::add, true);
        try {
            DayBook book = mixed();
            better.look(book, book.made(0, Map.of()));
            for (int i = 0; i < 2; i++) {
                kill(heard.next(Begun.class));
                heard.next(Died.class);
            }
            Begun last = heard.next(Begun.class);
            for (int i = 0; i < BetterOrders.GOES; i++) {
                heard.next(Looked.class);
            }
            kill(last);
            DayBook another = book(MORNING, List.of(mixed().repairs().getFirst()));
            better.look(another, another.made(0, Map.of()));
            heard.next(Died.class);
            assertThat(better.state()).isEqualTo(BetterOrders.State.ON);
            heard.next(Begun.class);
            heard.next(Looked.class);
        } finally {
            better.close();
        }
    }

    @Test
    @DisplayName("while many type nothing is begun; it is when they stop")
    void typing() throws Exception {
        Typing typing = new Typing();
        for (int i = 0; i < 3; i++) {
            typing.begins();
        }
        Heard heard = new Heard();
        BetterOrders better = new BetterOrders(typing, heard.all::add, true);
        try {
            DayBook book = mixed();
            better.look(book, book.made(0, Map.of()));
            assertThat(heard.all).isEmpty();
            typing.ends();
            heard.next(Looked.class);
        } finally {
            better.close();
        }
    }
}
