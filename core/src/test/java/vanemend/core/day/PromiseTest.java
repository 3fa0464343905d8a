package vanemend.core.day;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.day.Promise.Answer;

@DisplayName("what may be promised, what that would push, and what somebody said of a repair's place in the day")
class PromiseTest {
    /** A Tuesday at eight. */
    private static final Instant EIGHT = Instant.parse("2026-12-01T08:00:00Z");

    private static final Hours WEEK =
            Hours.kept("TUESDAY 08:00-12:00 12:30-16:30; WEDNESDAY 08:00-12:00 12:30-16:30; THURSDAY 08:00-16:00");

    private static Instant at(String time) {
        return Instant.parse("2026-12-01T" + time + ":00Z");
    }

    private static DayBook book(List<DayBook.Hand> hands, List<DayBook.Repair> repairs) {
        return new DayBook(EIGHT, ZoneId.of("Europe/London"), WEEK, hands, 1, 1, repairs);
    }

    private static DayBook tamAlone(DayBook.Repair... repairs) {
        return book(List.of(new DayBook.Hand("tam", false)), List.of(repairs));
    }

    private static DayBook.Repair repair(String id, Optional<Instant> promised, int... min) {
        List<Task> tasks = new ArrayList<>();
        for (int i = 0; i < min.length; i++) {
            tasks.add(new Task(
                    "t" + i,
                    min[i] * 60,
                    true,
                    Right.ANY,
                    true,
                    false,
                    List.of(),
                    i == 0 ? List.of() : List.of(Link.after("t" + (i - 1), 0))));
        }
        return new DayBook.Repair(id, promised, false, tasks);
    }

    private static Promise promise(DayBook book, String repair, Optional<Instant> asked, int turns) {
        return book.promise(repair, asked, turns, shown(book, turns, Map.of(), LoopOdds.REMEMBERED));
    }

    /** A plan that goes as planned, but for {@code gates}. */
    private static Promise.Shown shown(DayBook book, int turns, Map<String, List<Gated>> gates, LoopOdds odds) {
        DayBook.Made made = book.made(turns, Map.of());
        Replays.Varies varies = new Replays.Varies(gates, odds, 0);
        return new Promise.Shown(made, Replays.of(made.day(), made.plan(), varies, Replays.TIMES, 1), varies);
    }

    private static DayBook.Repair pinned(DayBook.Repair r, DayBook.Pin pin) {
        return new DayBook.Repair(r.id(), r.promised(), r.begun(), r.tasks(), pin);
    }

    @Test
    @DisplayName("one pair of hands, an hour that is promised for nine, half an hour brought in")
    void byHand() {
        DayBook book = tamAlone(
                repair("door", Optional.of(at("09:00")), 60),
                repair("lid", Optional.empty(), 120),
                repair("flap", Optional.empty(), 30));
        Promise open = promise(book, "flap", Optional.empty(), 40);
        assertThat(open.soonest()).contains(at("08:30"));
        // The lid has no promise: it may wait.
        assertThat(open.ready()).contains(at("09:30"));
        assertThat(open.answer()).isEmpty();
        assertThat(promise(book, "flap", Optional.of(at("10:00")), 40).answer()).contains(Answer.HOLDS);
        Promise soon = promise(book, "flap", Optional.of(at("08:45")), 40);
        assertThat(soon.answer()).contains(Answer.PUSHES);
        assertThat(soon.pushed()).containsExactly(new Promise.Pushed("door", at("09:00"), Optional.of(at("09:30"))));
        assertThat(promise(book, "flap", Optional.of(at("08:20")), 40).answer()).contains(Answer.NEVER);
    }

    @Test
    @DisplayName(
            "the door goes back for ten minutes every other time: half past nine is half a promise, ten o'clock a whole one")
    void worthByHand() {
        DayBook book = tamAlone(repair("door", Optional.of(at("09:00")), 60), repair("flap", Optional.empty(), 30));
        Task again = new Task("again", 600, true, Right.ANY, true, false, List.of(), List.of());
        Gated low = new Gated("t0", 0, true, List.of(new Gated.Way("low", List.of(again), 0)));
        LoopOdds half = new LoopOdds(Map.of("low", new LoopOdds.Tally(2_000_000, 1_000_000)), 2_000_000, 1);
        Promise.Shown shown = shown(book, 40, Map.of("door", List.of(low)), half);
        Promise open = book.promise("flap", Optional.of(at("09:30")), 40, shown);
        assertThat(open.ready()).contains(at("09:30"));
        assertThat(open.answer()).contains(Answer.HOLDS);
        assertThat(open.inHundred().orElseThrow()).isBetween(47, 53);
        // No round, one, two, three: 50, 75, 87 and 94 of 100.
        assertThat(open.holds()).contains(at("10:00"));
        assertThat(open.falls()).isEmpty();
        Promise soon = book.promise("flap", Optional.of(at("08:45")), 40, shown);
        assertThat(soon.answer()).contains(Answer.PUSHES);
        assertThat(soon.inHundred()).hasValue(100);
        assertThat(soon.falls()).singleElement().satisfies(f -> {
            assertThat(f.repair()).isEqualTo("door");
            assertThat(f.before()).isBetween(47, 53);
            assertThat(f.after()).isZero();
        });
    }

    @Test
    @DisplayName("what is promised as the soonest holds, pushes nobody, and is never before what no order can beat")
    void anyDays() {
        int pushes = 0;
        for (int seed = 0; seed < 60; seed++) {
            Random r = new Random(seed);
            List<DayBook.Repair> all = new ArrayList<>();
            int some = 2 + r.nextInt(6);
            for (int i = 0; i < some; i++) {
                all.add(repair(
                        "r" + i,
                        r.nextBoolean() ? Optional.of(EIGHT.plusSeconds(300L * (2 + r.nextInt(24)))) : Optional.empty(),
                        5 + r.nextInt(60),
                        5 + r.nextInt(60)));
            }
            DayBook book = book(List.of(new DayBook.Hand("tam", false), new DayBook.Hand("joss", true)), all);
            Promise open = promise(book, "r0", Optional.empty(), 20);
            Instant ready = open.ready().orElseThrow();
            // Whatever plan is shown: one that nobody searched for is as good as any.
            Promise.Shown shown = shown(book, 0, Map.of(), LoopOdds.REMEMBERED);
            assertThat(book.promise("r0", Optional.empty(), 3, shown).ready().orElseThrow())
                    .as("%d", seed)
                    .isBeforeOrEqualTo(book.at(shown.made().plan().finishes().get("r0")));
            Instant soonest = open.soonest().orElseThrow();
            assertThat(soonest).as("%d", seed).isBeforeOrEqualTo(ready);
            assertThat(promise(book, "r0", Optional.of(ready), 20))
                    .as("%d", seed)
                    .satisfies(p -> assertThat(p.answer()).contains(Answer.HOLDS))
                    .satisfies(p -> assertThat(p.pushed()).isEmpty());
            assertThat(promise(book, "r0", Optional.of(soonest.minusSeconds(1)), 20)
                            .answer())
                    .as("%d", seed)
                    .contains(Answer.NEVER);
            Promise at = promise(book, "r0", Optional.of(soonest), 20);
            pushes += at.pushed().size();
            assertThat(at.pushed())
                    .as("%d", seed)
                    .allSatisfy(p -> assertThat(p.after().orElseThrow()).isAfter(p.before()));
        }
        assertThat(pushes).isGreaterThan(10);
    }

    @Test
    @DisplayName(
            "a wish gives way to a promise, whoever came first and however late it gets; a promise never to a wish")
    void wishes() {
        DayBook.Repair wished = repair("wished", Optional.of(at("09:00")), 60);
        DayBook.Repair firm = repair("firm", Optional.of(at("09:00")), 90);
        DayBook.Pin wish = new DayBook.Pin(Optional.empty(), Optional.empty(), false, true);
        // One pair of hands. By length the shorter goes first: 30 min of the other's are missed.
        DayBook.Made both = tamAlone(wished, firm).made(40, Map.of());
        assertThat(both.plan().finishes()).containsEntry("wished", 3_600).containsEntry("firm", 9_000);
        DayBook.Made made = tamAlone(pinned(wished, wish), firm).made(40, Map.of());
        assertThat(made.plan().finishes()).containsEntry("firm", 5_400).containsEntry("wished", 9_000);
        assertThat(made.worth().late()).isEqualTo(1_800);
        assertThat(made.worth().wished()).isEqualTo(5_400);
        // What is asked for may move a wish: that is nobody's promise.
        DayBook.Repair asked = repair("asked", Optional.empty(), 30);
        Promise told = promise(tamAlone(pinned(wished, wish), asked), "asked", Optional.of(at("08:30")), 40);
        assertThat(told.answer()).contains(Answer.HOLDS);
        assertThat(promise(tamAlone(wished, asked), "asked", Optional.of(at("08:30")), 40)
                        .answer())
                .contains(Answer.PUSHES);
    }

    @Test
    @DisplayName("first is first, whose hands are said do it, and nothing begins before it was asked to")
    void pins() {
        DayBook.Repair door = repair("door", Optional.of(at("09:00")), 60);
        DayBook.Repair lid = repair("lid", Optional.empty(), 120);
        List<DayBook.Hand> two = List.of(new DayBook.Hand("tam", false), new DayBook.Hand("priya", false));
        DayBook.Made first = tamAlone(
                        door, pinned(lid, new DayBook.Pin(Optional.empty(), Optional.empty(), true, false)))
                .made(40, Map.of());
        assertThat(first.plan().finishes()).containsEntry("lid", 2 * 3_600).containsEntry("door", 3 * 3_600);
        DayBook.Made by = book(
                        two,
                        List.of(
                                pinned(door, new DayBook.Pin(Optional.of("priya"), Optional.empty(), false, false)),
                                pinned(lid, new DayBook.Pin(Optional.of("priya"), Optional.empty(), false, false))))
                .made(40, Map.of());
        assertThat(by.faults()).isEmpty();
        assertThat(by.plan().placed()).allSatisfy(p -> assertThat(p.person()).contains("priya"));
        DayBook.Made later = tamAlone(
                        pinned(lid, new DayBook.Pin(Optional.empty(), Optional.of(at("14:00")), false, false)))
                .made(5, Map.of());
        assertThat(later.plan().placed().getFirst().at().from()).isEqualTo(6 * 3_600);
        // Whom somebody named and who has left since binds nobody.
        DayBook.Made gone = tamAlone(pinned(lid, new DayBook.Pin(Optional.of("sol"), Optional.empty(), false, false)))
                .made(5, Map.of());
        assertThat(gone.plan().finishes()).containsEntry("lid", 2 * 3_600);
    }

    @Test
    @DisplayName("an apprentice who is named does what they may; what goes off stays with who may do it")
    void anApprenticeIsNamed() {
        DayBook.Repair live = new DayBook.Repair(
                "lid",
                Optional.empty(),
                false,
                List.of(
                        new Task("wash", 600, true, Right.ANY, true, false, List.of(), List.of()),
                        new Task(
                                "mix", 600, true, Right.LIVE, false, false, List.of(), List.of(Link.after("wash", 0)))),
                new DayBook.Pin(Optional.of("joss"), Optional.empty(), false, false));
        DayBook.Made made = book(List.of(new DayBook.Hand("tam", false), new DayBook.Hand("joss", true)), List.of(live))
                .made(5, Map.of());
        assertThat(made.faults()).isEmpty();
        assertThat(made.plan().placed().stream().map(p -> p.person().orElseThrow()))
                .containsExactly("joss", "tam");
    }
}
