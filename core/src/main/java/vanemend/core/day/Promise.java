package vanemend.core.day;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import vanemend.core.trade.TradeBook;

/**
 * What may be promised of a repair: by planned minutes, and by how often it is kept when work goes as it may.
 *
 * @param soonest before when no order has it ready; empty where it finds no time
 * @param ready the soonest found that moves no promise of another; empty where it finds no time
 * @param asked by when it was asked for
 * @param answer to what was asked; empty where nothing was
 * @param pushed promises of others that it would move
 * @param holds by when it is ready as often as a promise should hold, in the order that has it ready soonest and moves nobody's; empty where it
 *     is not as often
 * @param inHundred how often it is ready by when it was asked for, of 100; empty where nothing was, or no order has it
 * @param falls firm promises of others that are kept less often then
 */
public record Promise(
        Optional<Instant> soonest,
        Optional<Instant> ready,
        Optional<Instant> asked,
        Optional<Answer> answer,
        List<Pushed> pushed,
        Optional<Instant> holds,
        OptionalInt inHundred,
        List<Fall> falls) {
    /** What the one that is asked for counts against everybody else, and everybody else against it. */
    private static final int HEAVY = 10_000;

    /** Whether it may be promised as asked. */
    public enum Answer {
        /** It is ready by then and moves nobody's promise. */
        HOLDS,
        /** It is ready by then if promises of others are missed, or missed by more. */
        PUSHES,
        /** No order was found that has it ready by then; one may be there. */
        NOT_FOUND,
        /** No order has it ready by then: nothing else need be in the shop for that. */
        NEVER
    }

    /**
     * A promise that is moved.
     *
     * @param repair whose
     * @param before when it is ready now
     * @param after when it would be; empty where it would find no time
     */
    public record Pushed(String repair, Instant before, Optional<Instant> after) {}

    /**
     * A promise that is kept less often.
     *
     * @param repair whose
     * @param before how often it is kept in the order that stands, of 100
     * @param after how often it would be
     */
    public record Fall(String repair, int before, int after) {}

    /** Somebody waits for the answer: a plan that is only tried is replayed less often, right within five of 100, nineteen times of twenty. */
    private static final int TRIED = Replays.TIMES / 4;

    /** Two odds that differ by no more say the same. */
    private static final int NOISE = 5;

    /** The plan that is shown, and how it goes when it is replayed. */
    public record Shown(DayBook.Made made, Replays replays, Replays.Varies varies) {
        private Replays of(DayPlan plan) {
            return plan == made.plan() ? replays : Replays.of(made.day(), plan, varies, TRIED, 1);
        }

        private List<Fall> falls(String repair, Replays then) {
            return made.day().jobs().stream()
                    .filter(j -> !j.id().equals(repair) && j.promised().isPresent() && !j.wished())
                    .map(j -> new Fall(
                            j.id(),
                            replays.inHundred(j.id(), j.promised().getAsInt()),
                            then.inHundred(j.id(), j.promised().getAsInt())))
                    .filter(f -> f.before() - f.after() > NOISE)
                    .toList();
        }
    }

    /** Held against the plan that is shown: what is told is never worse than what stands there. */
    static Promise of(DayBook book, Shown stands, String repair, Optional<Instant> asked, int turns) {
        DayBook.Made shown = stands.made();
        Day day = shown.day();
        Job job = day.jobs().stream()
                .filter(j -> j.id().equals(repair))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(repair + " is no repair of this day"));
        OptionalInt soonest = Bounds.ready(day, job);
        Map<String, Integer> as = shown.plan().finishes();
        if (soonest.isEmpty() || !as.containsKey(repair)) {
            return new Promise(
                    instant(book, soonest),
                    Optional.empty(),
                    asked,
                    asked.map(a -> Answer.NEVER),
                    List.of(),
                    Optional.empty(),
                    OptionalInt.empty(),
                    List.of());
        }
        // Where it counts least: nobody is ready later than promised and later than now for its sake.
        DayPlan quiet = DayStart.of(weighed(day, as, repair, 0, 1, HEAVY), turns, 1, shown.order())
                .plan();
        boolean sooner = pushed(book, day, repair, as, quiet.finishes()).isEmpty()
                && quiet.finishes().getOrDefault(repair, Integer.MAX_VALUE) < as.get(repair);
        DayPlan plan = sooner ? quiet : shown.plan();
        int ready = plan.finishes().get(repair);
        Replays goes = stands.of(plan);
        Promise told = new Promise(
                instant(book, soonest),
                instant(book, OptionalInt.of(ready)),
                asked,
                Optional.empty(),
                List.of(),
                instant(book, goes.holds(repair, (int) TradeBook.value("odds.holds"))),
                asked.map(a -> OptionalInt.of(goes.inHundred(repair, book.seconds(a))))
                        .orElse(OptionalInt.empty()),
                stands.falls(repair, goes));
        if (asked.isEmpty()) {
            return told;
        }
        int by = book.seconds(asked.get());
        if (ready <= by) {
            return told.answered(Answer.HOLDS, List.of());
        }
        if (soonest.getAsInt() > by) {
            return told.answered(Answer.NEVER, List.of());
        }
        DayPlan pulled = DayStart.of(weighed(day, as, repair, by, HEAVY, 1), turns, 1, shown.order())
                .plan();
        if (pulled.finishes().getOrDefault(repair, Integer.MAX_VALUE) > by) {
            return told.answered(Answer.NOT_FOUND, List.of());
        }
        Replays then = stands.of(pulled);
        return told.answered(Answer.PUSHES, pushed(book, day, repair, as, pulled.finishes()))
                .at(then.inHundred(repair, by), stands.falls(repair, then));
    }

    private Promise answered(Answer a, List<Pushed> moved) {
        return new Promise(soonest, ready, asked, Optional.of(a), moved, holds, inHundred, falls);
    }

    private Promise at(int odds, List<Fall> fallen) {
        return new Promise(soonest, ready, asked, answer, pushed, holds, OptionalInt.of(odds), fallen);
    }

    /** The day with {@code repair} promised for {@code by} at weight {@code own}; a promise that is late already is held where it is. */
    private static Day weighed(Day day, Map<String, Integer> as, String repair, int by, int own, int others) {
        List<Job> jobs = day.jobs().stream()
                .map(j -> j.id().equals(repair)
                        ? j.promised(OptionalInt.of(by), own).firm()
                        : j.promised(
                                j.promised().isPresent()
                                        ? OptionalInt.of(Math.max(j.promised().getAsInt(), as.getOrDefault(j.id(), 0)))
                                        : OptionalInt.empty(),
                                others))
                .toList();
        return new Day(day.people(), day.things(), jobs, day.longestBreak());
    }

    /** Firm promises of others that are missed by more in {@code after} than in {@code before}. */
    private static List<Pushed> pushed(
            DayBook book, Day day, String repair, Map<String, Integer> before, Map<String, Integer> after) {
        List<Pushed> out = new ArrayList<>();
        for (Job j : day.jobs()) {
            if (j.id().equals(repair) || j.promised().isEmpty() || j.wished() || !before.containsKey(j.id())) {
                continue;
            }
            int held = Math.max(j.promised().getAsInt(), before.get(j.id()));
            Optional<Integer> then = Optional.ofNullable(after.get(j.id()));
            if (then.filter(t -> t <= held).isEmpty()) {
                out.add(new Pushed(j.id(), book.at(before.get(j.id())), then.map(book::at)));
            }
        }
        return out;
    }

    private static Optional<Instant> instant(DayBook book, OptionalInt s) {
        return s.isPresent() ? Optional.of(book.at(s.getAsInt())) : Optional.empty();
    }
}
