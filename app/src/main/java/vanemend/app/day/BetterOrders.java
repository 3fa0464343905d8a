package vanemend.app.day;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import vanemend.core.day.DayBook;
import vanemend.core.day.DayCheck;
import vanemend.core.day.Move;
import vanemend.core.day.Worth;
import vanemend.solver.Better;
import vanemend.solver.Order;

/**
 * Looks for a better order of the day in the background, some seconds for each that is asked of it, in short goes: while many type, none begins.
 * Where the solver dies it is begun anew a few times; after that the order that stands is what there is, and that is said.
 */
@Component
public class BetterOrders {
    private static final Logger LOG = LoggerFactory.getLogger(BetterOrders.class);

    /** So many goes a day that is asked for, about two seconds of a processor each. */
    static final int GOES = 8;

    private static final int TURNS = 60;
    private static final double EFFORT = 0.08;
    private static final int STARTS = 3;
    private static final long TYPING_MS = 500;

    /** What happens while a better order is looked for. */
    public sealed interface Happened {
        /** A solver was begun. */
        record Begun(long pid) implements Happened {}

        /** It was looked for once more; whether something was found that is worth what it moves. */
        record Looked(boolean better) implements Happened {}

        /** The solver died. */
        record Died() implements Happened {}
    }

    /** What is being looked for. */
    public enum State {
        /** Nobody wants it here. */
        OFF,
        /** It is looked for, or was as long as it is worth while. */
        ON,
        /** The solver died too often. */
        GONE
    }

    private record Asked(DayBook book, DayBook.Made made) {}

    private final Typing typing;
    private final ApplicationEventPublisher told;
    private final boolean wanted;
    private final Thread thread;
    private Optional<Asked> asked = Optional.empty();
    private Optional<DayBook.Stood> found = Optional.empty();
    private Map<String, List<Double>> order = Map.of();
    private int goes;
    private int starts;
    private boolean closed;
    private Optional<SolverProcess> process = Optional.empty();

    BetterOrders(Typing typing, ApplicationEventPublisher told, @Value("${vanemend.solver}") boolean wanted) {
        this.typing = typing;
        this.told = told;
        this.wanted = wanted;
        this.thread = Thread.ofPlatform().name("better-orders").daemon().unstarted(this::run);
    }

    /** Whether a better order is looked for here. */
    public synchronized State state() {
        return !wanted ? State.OFF : starts >= STARTS && process.isEmpty() ? State.GONE : State.ON;
    }

    /** What was found for the day that was asked for last; empty where nothing was. */
    synchronized Optional<DayBook.Stood> found() {
        return found;
    }

    /** From where a search goes on. */
    synchronized Map<String, List<Double>> order() {
        return order;
    }

    /** From now on this day is what is looked at. */
    synchronized void look(DayBook book, DayBook.Made made) {
        if (state() != State.ON
                || made.plan().placed().isEmpty()
                || !made.faults().isEmpty()) {
            return;
        }
        if (asked.filter(a -> book.asks(a.book())).isEmpty()) {
            asked = Optional.of(new Asked(book, made));
            found = Optional.empty();
            goes = 0;
            notifyAll();
        }
        if (thread.getState() == Thread.State.NEW) {
            thread.start();
        }
    }

    private void run() {
        try {
            while (true) {
                go(next());
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private synchronized Asked next() throws InterruptedException {
        while (asked.isEmpty() || goes >= GOES || state() == State.GONE || closed || typing.many()) {
            wait(typing.many() ? TYPING_MS : 0);
        }
        return asked.orElseThrow();
    }

    private void go(Asked a) {
        try {
            told.publishEvent(new Happened.Looked(took(a, solver().asked(ordered(a)))));
        } catch (IOException | RuntimeException e) {
            ended(e);
        }
    }

    private synchronized Order ordered(Asked a) {
        DayBook.Stood from =
                found.orElseGet(() -> new DayBook.Stood(a.book(), a.made().plan(), OptionalInt.empty()));
        return new Order(a.made().day(), from.plan(), order.isEmpty() ? a.made().order() : order, TURNS, EFFORT, goes);
    }

    private boolean took(Asked a, Better b) {
        if (!DayCheck.faults(a.made().day(), b.plan()).isEmpty()) {
            throw new IllegalStateException("the solver's order has a fault");
        }
        synchronized (this) {
            if (asked.filter(a::equals).isEmpty()) {
                return false;
            }
            goes++;
            if (goes == GOES) {
                // It came to the end of a day: what died in weeks before is no sign of what it does now.
                starts = 1;
            }
            OptionalInt bound = b.bound().isPresent()
                    ? b.bound()
                    : found.map(DayBook.Stood::bound).orElse(OptionalInt.empty());
            boolean better = found.map(f -> Worth.of(a.made().day(), f.plan()))
                            .map(w -> Worth.of(a.made().day(), b.plan()).compareTo(w) < 0)
                            .orElse(true)
                    && Move.pays(a.made().day(), a.made().plan(), b.plan());
            found = Optional.of(new DayBook.Stood(a.book(), b.plan(), bound));
            order = b.order();
            return better;
        }
    }

    private synchronized SolverProcess solver() throws IOException {
        if (process.isEmpty()) {
            if (closed) {
                throw new IOException("the server ends");
            }
            starts++;
            process = Optional.of(new SolverProcess());
            told.publishEvent(new Happened.Begun(process.get().pid()));
        }
        return process.get();
    }

    private synchronized void ended(Exception why) {
        if (closed) {
            return;
        }
        LOG.warn("the solver gave no order: {}", why.toString());
        if (process.isPresent()) {
            try {
                process.get().close();
            } catch (IOException e) {
                LOG.warn("what the solver left could not be taken away: {}", e.toString());
            }
            process = Optional.empty();
        } else {
            starts++;
        }
        told.publishEvent(new Happened.Died());
    }

    @PreDestroy
    synchronized void close() throws IOException {
        closed = true;
        thread.interrupt();
        if (process.isPresent()) {
            process.get().close();
            process = Optional.empty();
        }
    }
}
