package vanemend.core.day;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What a shop has to do from now on, and with what.
 *
 * @param now when the day is planned from, to the second
 * @param zone the shop's
 * @param hours when it works
 * @param hands who does the work
 * @param lamps how many
 * @param ovens how many
 * @param repairs under way or ready, in the order they came in
 * @param away who and what is not there, and when
 */
public record DayBook(
        Instant now,
        ZoneId zone,
        Hours hours,
        List<Hand> hands,
        int lamps,
        int ovens,
        List<Repair> repairs,
        List<Away> away) {
    public DayBook {
        // Of a second that has begun nothing is planned: who comes in at half past seven comes in then, not a moment
        // before.
        now = now.truncatedTo(ChronoUnit.SECONDS);
        hands = List.copyOf(hands);
        repairs = List.copyOf(repairs);
        away = List.copyOf(away);
    }

    /** As far as it looks ahead: what finds no time in so many days is told, not planned. */
    public static final int DAYS = 14;

    /**
     * A pair of hands.
     *
     * @param learns whether they are an apprentice's: nothing that goes off, no glass and no tyre is theirs alone (common practice)
     * @param own when they work where that is not when the shop does
     */
    public record Hand(String id, boolean learns, Optional<Hours> own) {
        /** Hands that work when the shop does. */
        public Hand(String id, boolean learns) {
            this(id, learns, Optional.empty());
        }
    }

    /**
     * Somebody who is not there, or a lamp or an oven that is out of order.
     *
     * @param who id of the hands, or kind of the thing: one of its kind
     */
    public record Away(String who, Instant from, Instant to) {}

    /** With everybody and everything there. */
    public DayBook(
            Instant now, ZoneId zone, Hours hours, List<Hand> hands, int lamps, int ovens, List<Repair> repairs) {
        this(now, zone, hours, hands, lamps, ovens, repairs, List.of());
    }

    /**
     * A repair.
     *
     * @param promised when its owner was promised it
     * @param begun whether the first of its tasks is in hand
     * @param tasks what is left of it
     * @param pin what somebody said of its place in the day
     */
    public record Repair(String id, Optional<Instant> promised, boolean begun, List<Task> tasks, Pin pin) {
        /** One of which nobody said anything. */
        public Repair(String id, Optional<Instant> promised, boolean begun, List<Task> tasks) {
            this(id, promised, begun, tasks, Pin.NONE);
        }

        /** Whether it is {@code before}, but that what is in hand has gone on. */
        private boolean goesOn(Repair before) {
            return isCaseOf(before)
                    && begun == before.begun
                    && tasks.size() == before.tasks.size()
                    && (begun
                            ? tasks.getFirst()
                                            .id()
                                            .equals(before.tasks.getFirst().id())
                                    && later().equals(before.later())
                            : tasks.equals(before.tasks));
        }

        private boolean isCaseOf(Repair before) {
            return id.equals(before.id) && promised.equals(before.promised) && pin.equals(before.pin);
        }

        /** What follows what is in hand: its waits may have begun, so that they grow shorter. */
        private List<Object> later() {
            return tasks.stream()
                    .skip(1)
                    .<Object>map(t -> List.of(t.id(), t.seconds()))
                    .toList();
        }
    }

    /**
     * What somebody said of a repair's place in the day: the plan follows it, whatever else it costs.
     *
     * @param by whose hands do all that they may do of it
     * @param notBefore when it may begin; of no account once it is begun
     * @param first whether it goes before the others
     * @param wished whether what its owner was promised is a wish, which gives way to what is firm
     */
    public record Pin(Optional<String> by, Optional<Instant> notBefore, boolean first, boolean wished) {
        /** Nothing was said. */
        public static final Pin NONE = new Pin(Optional.empty(), Optional.empty(), false, false);
    }

    /**
     * A plan that was looked over.
     *
     * @param plan which
     * @param order how it was come by: where the next search begins
     * @param worth of it
     * @param bound before when no order is done with all that is planned, s
     * @param firstCome what it would be worth if whoever can begin first went first
     * @param kept the order that stood before, as it is now; the plan itself where nothing else was better
     * @param moved what the plan changes of what stood; empty where it keeps to it
     * @param faults what the checker found in the plan; it is then not to be shown
     */
    public record Made(
            Day day,
            DayPlan plan,
            Map<String, List<Double>> order,
            Worth worth,
            int bound,
            Worth firstCome,
            DayPlan kept,
            Optional<Move> moved,
            List<String> faults) {}

    /**
     * A plan of a book before this one.
     *
     * @param bound s by that book; empty where nothing was proven
     */
    public record Stood(DayBook book, DayPlan plan, OptionalInt bound) {}

    /** The day as it is planned. */
    Day day() {
        List<Person> people = hands.stream()
                .map(h -> new Person(
                        h.id(), staying(h, here(h)), h.learns() ? Set.of(Right.ANY) : EnumSet.allOf(Right.class)))
                .toList();
        List<Job> jobs = new ArrayList<>();
        for (Repair r : repairs) {
            OptionalInt promised = r.promised().stream().mapToInt(this::seconds).findFirst();
            int from = r.begun() ? 0 : r.pin().notBefore().map(this::seconds).orElse(0);
            jobs.add(new Job(
                    r.id(),
                    from,
                    promised,
                    1,
                    wanted(r, people),
                    r.begun(),
                    r.pin().first(),
                    r.pin().wished()));
        }
        return new Day(
                people,
                List.of(thing("LAMP", lamps), thing("OVEN", ovens)),
                jobs,
                Stream.concat(Stream.of(hours), hands.stream().flatMap(h -> h.own().stream()))
                        .mapToInt(Hours::longestBreak)
                        .max()
                        .orElse(0));
    }

    /** When {@code h} works, without when they are away. */
    private List<Span> here(Hand h) {
        List<Span> out = h.own().orElse(hours).from(now, zone, DAYS);
        for (Span gone : away(h.id())) {
            out = out.stream().flatMap(s -> s.without(gone)).toList();
        }
        return out;
    }

    private List<Span> away(String who) {
        return away.stream()
                .filter(a -> a.who().equals(who) && seconds(a.to()) > seconds(a.from()))
                .map(a -> new Span(seconds(a.from()), seconds(a.to())))
                .toList();
    }

    /** What holds a part now holds it to the end, whatever was said of it. */
    private Thing thing(String kind, int said) {
        List<Task> held = repairs.stream()
                .filter(r -> r.begun() && r.tasks().getFirst().things().contains(kind))
                .map(r -> r.tasks().getFirst())
                .toList();
        int count = Math.max(said, held.size());
        int until = held.stream().mapToInt(Task::seconds).max().orElse(0);
        int spare = count - held.size();
        List<Span> out = new ArrayList<>();
        for (Span gone : away(kind).stream().limit(count).toList()) {
            if (spare-- > 0) {
                out.add(gone);
            } else if (gone.to() > until) {
                out.add(new Span(Math.max(until, gone.from()), gone.to()));
            }
        }
        return new Thing(kind, count, out);
    }

    private static List<Task> wanted(Repair r, List<Person> people) {
        return people.stream()
                .filter(p -> r.pin().by().filter(p.id()::equals).isPresent())
                .findFirst()
                .map(p -> r.tasks().stream().map(t -> t.wanted(p)).toList())
                .orElse(r.tasks());
    }

    /** From now until {@code at}, s; nothing of what is past. */
    int seconds(Instant at) {
        return (int) Math.clamp(at.getEpochSecond() - now.getEpochSecond(), 0, Integer.MAX_VALUE);
    }

    Instant at(int seconds) {
        return now.plusSeconds(seconds);
    }

    /** After all that is looked ahead. */
    Instant end() {
        return now.plus(Duration.ofDays(DAYS + 1L));
    }

    /** What goes off in somebody's hands is spread, at lunch and after hours too. */
    private List<Span> staying(Hand h, List<Span> open) {
        int until = repairs.stream()
                .filter(Repair::begun)
                .map(r -> r.tasks().getFirst())
                .filter(t -> t.hands()
                        && !t.cuttable()
                        && t.only().filter(h.id()::equals).isPresent())
                .mapToInt(Task::seconds)
                .sum();
        if (until == 0) {
            return open;
        }
        List<Span> out = new ArrayList<>(List.of(new Span(0, until)));
        for (Span s : open) {
            if (s.from() <= out.getLast().to()) {
                Span last = out.removeLast();
                out.add(new Span(last.from(), Math.max(last.to(), s.to())));
            } else {
                out.add(s);
            }
        }
        return out;
    }

    /** The same without anything that stood. */
    public Made made(int turns, Map<String, List<Double>> order) {
        return made(turns, order, Optional.empty(), Optional.empty(), false);
    }

    /**
     * The order that stood, or a better one where that is worth what it moves; the best found in {@code turns} turns, from where the search before
     * it ended. The same for the same.
     *
     * @param order what {@link Made} told before; empty for the first
     * @param stood what people go by
     * @param found what was found elsewhere
     * @param keep whether what stood is kept whatever would be better
     */
    public Made made(
            int turns, Map<String, List<Double>> order, Optional<Stood> stood, Optional<Stood> found, boolean keep) {
        Day day = day();
        DayStart.Found search = DayStart.of(day, turns, order.hashCode(), order);
        DayPlan best = found.map(f -> DayStart.closedUp(day, as(f)))
                .filter(p -> DayCheck.faults(day, p).isEmpty())
                .filter(p -> Worth.of(day, p).compareTo(Worth.of(day, search.plan())) < 0)
                .orElse(search.plan());
        DayPlan kept = stood.map(s -> DayStart.closedUp(day, as(s)))
                .filter(p -> DayCheck.faults(day, p).isEmpty())
                .orElse(best);
        boolean moves = !keep && Move.pays(day, kept, best);
        DayPlan plan = moves ? best : kept;
        int bound = Bounds.last(
                day,
                day.jobs().stream().filter(j -> !plan.left().contains(j.id())).toList());
        return new Made(
                day,
                plan,
                search.order(),
                Worth.of(day, plan),
                Math.max(bound, found.map(this::proven).orElse(0)),
                Worth.of(day, DayStart.firstCome(day)),
                kept,
                moves ? Optional.of(Move.of(kept, plan)).filter(Move::isTold) : Optional.empty(),
                DayCheck.faults(day, plan));
    }

    private DayPlan as(Stood s) {
        return s.plan().from((int) (now.getEpochSecond() - s.book().now().getEpochSecond()));
    }

    /** What was proven holds as long as nothing was done sooner than planned. */
    private int proven(Stood s) {
        return s.bound().isPresent() && asks(s.book())
                ? seconds(s.book().at(s.bound().getAsInt()))
                : 0;
    }

    /** Whether this asks what {@code before} asked, but that time has gone by. */
    public boolean asks(DayBook before) {
        return isCaseOf(before)
                && IntStream.range(0, repairs.size())
                        .allMatch(i -> repairs.get(i).goesOn(before.repairs.get(i)));
    }

    /** Whether the same repairs, people, hours, things and what was said of them are there as in {@code before}, however far the work has gone. */
    public boolean isCaseOf(DayBook before) {
        return isSaidAs(before)
                && repairs.size() == before.repairs.size()
                && repairs.stream().allMatch(r -> before.repairs.stream().anyMatch(r::isCaseOf));
    }

    /** Whether the same was said as in {@code before} of people, hours, things, and of every repair that is in both, whatever came and went. */
    public boolean isSaidAs(DayBook before) {
        return zone.equals(before.zone)
                && hours.equals(before.hours)
                && hands.equals(before.hands)
                && lamps == before.lamps
                && ovens == before.ovens
                && away.equals(before.away)
                && repairs.stream()
                        .allMatch(r -> before.repairs.stream()
                                .filter(b -> b.id().equals(r.id()))
                                .allMatch(r::isCaseOf));
    }

    /**
     * What may be promised of {@code repair}.
     *
     * @param asked by when somebody wants it; empty where nobody said
     * @param turns as {@link #made} takes them
     * @param shown the plan of this book that stands
     */
    public Promise promise(String repair, Optional<Instant> asked, int turns, Promise.Shown shown) {
        return Promise.of(this, shown, repair, asked, turns);
    }
}
