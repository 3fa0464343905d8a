package vanemend.app.bench;

import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.Timer;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import org.springframework.stereotype.Component;
import vanemend.core.run.BenchEvent;

/** How old bench events are when they arrive: seconds where the network is good, hours where a tablet waited. */
@Component
public class BenchFigures {
    private static final Duration WINDOW = Duration.ofHours(1);
    private static final int MOST = 5_000;

    private record Arrived(Instant at, Duration age) {}

    private final Timer ages;
    private final Deque<Arrived> newest = new ArrayDeque<>();

    BenchFigures(MeterRegistry meters) {
        ages = Timer.builder("vanemend.outbox.age")
                .description("age of a bench event when it arrived: how long it waited in a screen's outbox")
                .publishPercentileHistogram()
                .register(meters);
    }

    /** {@code e} arrived at {@code now}. */
    synchronized void taken(BenchEvent e, Instant now) {
        Duration age = Duration.between(e.at(), now);
        Duration waited = age.isNegative() ? Duration.ZERO : age;
        ages.record(waited);
        newest.addLast(new Arrived(now, waited));
        while (newest.size() > MOST || newest.getFirst().at().isBefore(now.minus(WINDOW))) {
            newest.removeFirst();
        }
    }

    /** How long an event that arrived within the last hour had waited, at most. */
    public synchronized Duration longestWait(Instant now) {
        return newest.stream()
                .filter(a -> a.at().isAfter(now.minus(WINDOW)))
                .map(Arrived::age)
                .max(Duration::compareTo)
                .orElse(Duration.ZERO);
    }

    /** How many events arrived within the last hour. */
    public synchronized int arrived(Instant now) {
        return (int)
                newest.stream().filter(a -> a.at().isAfter(now.minus(WINDOW))).count();
    }
}
