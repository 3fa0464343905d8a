package vanemend.core.day;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a day would be if something of it were otherwise, by planned minutes.
 *
 * @param last when all of it is done then; empty where nothing is planned
 * @param lateMin minutes past firm promises then, over all repairs
 * @param missed how many firm promises are missed then, by what has no plan or finds no time too
 * @param repairs that end at another time, those that gain most first
 * @param left ids of repairs that find no time then
 * @param another when the one that is brought in is ready; empty where none is, or it finds no time
 */
public record WhatIf(
        Optional<Instant> last,
        long lateMin,
        int missed,
        List<Shift> repairs,
        List<String> left,
        Optional<Instant> another) {
    /** Of the one that is brought in: no repair is called so. */
    private static final String ANOTHER = "another";

    /** When {@code repair} is ready as the day is, and then. */
    public record Shift(String repair, Instant before, Instant after) {}

    /**
     * What is otherwise.
     *
     * @param lamps how many more, 0 or more
     * @param ovens how many more, 0 or more
     * @param without id of hands that go when what is in them is done
     * @param like id of a repair of which another is brought in
     * @param from when that one may begin; at once where nobody said
     * @param asked what repairs ask then, by id, where that is another; of those that have begun nothing changes
     * @param unplanned ids of repairs, none of them begun, that have no plan then
     */
    public record If(
            int lamps,
            int ovens,
            Optional<String> without,
            Optional<String> like,
            Optional<Instant> from,
            Map<String, List<Task>> asked,
            Set<String> unplanned) {
        public If {
            asked = Map.copyOf(asked);
            unplanned = Set.copyOf(unplanned);
        }
    }

    /** Beside {@code shown}, the plan of {@code book} that stands; as far as {@code turns} look. */
    public static WhatIf of(DayBook book, DayBook.Made shown, If otherwise, int turns) {
        DayBook then = otherwise(book, shown, otherwise);
        DayBook.Stood stood = new DayBook.Stood(book, shown.plan(), OptionalInt.empty());
        DayBook.Made made = then.made(turns, shown.order(), Optional.empty(), Optional.of(stood), false);
        if (!made.faults().isEmpty()) {
            throw new IllegalStateException("a day that is otherwise has a fault: " + made.faults());
        }
        Map<String, Integer> finishes = new HashMap<>(made.plan().finishes());
        Optional<Instant> another =
                Optional.ofNullable(finishes.remove(ANOTHER)).map(book::at);
        return new WhatIf(
                made.plan().placed().isEmpty()
                        ? Optional.empty()
                        : Optional.of(book.at(made.plan().last())),
                made.worth().late() / 60,
                missed(made.day(), finishes) + missedWithoutPlan(book, otherwise),
                Move.of(shown.plan(), made.plan()).repairs().stream()
                        .filter(s -> !s.job().equals(ANOTHER))
                        .map(s -> new Shift(s.job(), book.at(s.before()), book.at(s.after())))
                        .toList(),
                made.plan().left(),
                another);
    }

    private static int missedWithoutPlan(DayBook book, If otherwise) {
        return (int) book.repairs().stream()
                .filter(r -> otherwise.unplanned().contains(r.id())
                        && r.promised().isPresent()
                        && !r.pin().wished())
                .count();
    }

    /** How many firm promises of {@code day} are missed by what ends as {@code finishes} say; by what finds no time too. */
    public static int missed(Day day, Map<String, Integer> finishes) {
        return (int) day.jobs().stream()
                .filter(j -> !j.wished()
                        && finishes.getOrDefault(j.id(), Integer.MAX_VALUE)
                                > j.promised().orElse(Integer.MAX_VALUE))
                .count();
    }

    private static DayBook otherwise(DayBook book, DayBook.Made shown, If i) {
        List<DayBook.Repair> repairs = new ArrayList<>();
        for (DayBook.Repair r : book.repairs()) {
            if (i.unplanned().contains(r.id())) {
                continue;
            }
            List<Task> tasks = r.begun() ? r.tasks() : i.asked().getOrDefault(r.id(), r.tasks());
            repairs.add(new DayBook.Repair(r.id(), r.promised(), r.begun(), tasks, r.pin()));
            if (i.like().filter(r.id()::equals).isPresent()) {
                repairs.add(new DayBook.Repair(
                        ANOTHER,
                        Optional.empty(),
                        false,
                        tasks,
                        new DayBook.Pin(Optional.empty(), i.from(), false, false)));
            }
        }
        List<DayBook.Away> away = Stream.concat(
                        book.away().stream(),
                        i.without().stream().map(w -> new DayBook.Away(w, book.at(inHand(shown, w)), book.end())))
                .toList();
        return new DayBook(
                book.now(),
                book.zone(),
                book.hours(),
                book.hands(),
                book.lamps() + i.lamps(),
                book.ovens() + i.ovens(),
                repairs,
                away);
    }

    /** When what is in the hands of {@code person} is done, s. */
    private static int inHand(DayBook.Made shown, String person) {
        return shown.day().jobs().stream()
                .filter(j -> j.begun()
                        && j.tasks().getFirst().only().filter(person::equals).isPresent())
                .flatMap(j -> shown.plan().placed().stream()
                        .filter(p -> p.job().equals(j.id())
                                && p.task().equals(j.tasks().getFirst().id())))
                .mapToInt(p -> p.at().to())
                .max()
                .orElse(0);
    }
}
