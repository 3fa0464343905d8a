package vanemend.app.day;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;
import vanemend.core.day.DayBook;
import vanemend.core.day.Move;

/** The order of the day that people go by: kept while it is good enough, and what was moved told, until somebody keeps that off. */
@Component
public class StandingOrder {
    /** Turns of the search that an answer waits for: the first has nothing to go by, later ones are mended from what stood. */
    private static final int FIRST = 10;

    private static final int LATER = 3;

    /** Where nothing looks in the background, each answer looks so much further. */
    private static final int ALONE = 30;

    /** So long after the first order of all, nobody goes by it yet: a better one takes its place without a word. */
    private static final Duration SETTLES = Duration.ofSeconds(60);

    /** Whoever has not looked for so long need not be told any more. */
    private static final Duration TOLD_FOR = Duration.ofMinutes(30);

    /**
     * What was moved, and when.
     *
     * @param instead the order without it
     */
    public record Told(Instant at, Move move, DayBook book, DayBook.Stood instead) {}

    /** A plan that is shown, and what was moved last. */
    public record Now(DayBook book, DayBook.Made made, Optional<Told> told) {}

    private final BetterOrders better;
    private Optional<Now> shown = Optional.empty();
    private Optional<DayBook.Stood> stood = Optional.empty();
    private Optional<DayBook> keptOff = Optional.empty();
    private Optional<Instant> first = Optional.empty();

    StandingOrder(BetterOrders better) {
        this.better = better;
    }

    /** The plan that was shown last. */
    public synchronized Optional<Now> shown() {
        return shown;
    }

    /** The order of {@code book}, which is shown from now on. */
    public synchronized Now of(DayBook book) {
        boolean keep = keptOff.filter(book::isCaseOf).isPresent();
        if (!keep) {
            keptOff = Optional.empty();
        }
        boolean on = better.state() == BetterOrders.State.ON;
        int turns = !on ? ALONE : stood.isEmpty() ? FIRST : LATER;
        DayBook.Made made = book.made(
                turns,
                better.order().isEmpty() ? shown.map(s -> s.made().order()).orElse(better.order()) : better.order(),
                on && settles(book) ? Optional.empty() : stood,
                better.found(),
                keep);
        Optional<Told> told = made.moved()
                .map(m -> new Told(book.now(), m, book, new DayBook.Stood(book, made.kept(), OptionalInt.empty())))
                .or(() -> shown.flatMap(Now::told)
                        .filter(t -> Duration.between(t.at(), book.now()).compareTo(TOLD_FOR) < 0)
                        // What stood before somebody said otherwise is nothing to go back to.
                        .filter(t -> book.isSaidAs(t.book())));
        Now now = new Now(book, made, told);
        shown = Optional.of(now);
        stood = made.faults().isEmpty()
                ? Optional.of(new DayBook.Stood(book, made.plan(), OptionalInt.empty()))
                : Optional.empty();
        better.look(book, made);
        return now;
    }

    private boolean settles(DayBook book) {
        first = first.or(() -> Optional.of(book.now()));
        return Duration.between(first.get(), book.now()).compareTo(SETTLES) < 0;
    }

    /** Goes back to the order before what was told last, and stays there until something else is asked of the day; false where nothing was. */
    public synchronized boolean keepOff() {
        Optional<Told> told = shown.flatMap(Now::told);
        told.ifPresent(t -> {
            stood = Optional.of(t.instead());
            keptOff = shown.map(Now::book);
            shown = shown.map(s -> new Now(s.book(), s.made(), Optional.empty()));
        });
        return told.isPresent();
    }
}
