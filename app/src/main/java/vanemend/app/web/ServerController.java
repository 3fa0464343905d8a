package vanemend.app.web;

import java.io.File;
import java.lang.management.ManagementFactory;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.bench.BenchFigures;
import vanemend.app.store.Shop;
import vanemend.app.store.Store;

/** For the lead: is all well with the server, and what wants seeing to. */
@RestController
@RequestMapping("/api/server")
class ServerController {
    private static final long LEAST_FREE = 2_000_000_000L;
    private static final Duration OLDEST_BACKUP = Duration.ofDays(2);
    private static final Duration LONG_WAIT = Duration.ofMinutes(10);

    private final Store store;
    private final BenchFigures bench;
    private final Shop shop;
    private final Clock clock;

    ServerController(Store store, BenchFigures bench, Shop shop, Clock clock) {
        this.store = store;
        this.bench = bench;
        this.shop = shop;
        this.clock = clock;
    }

    /** Something that wants seeing to. */
    enum Worry {
        NO_BACKUP,
        OLD_BACKUP,
        LITTLE_ROOM,
        LITTLE_MEMORY,
        LATE_EVENTS
    }

    /**
     * How the server is.
     *
     * @param worries what wants seeing to; none where all is well
     * @param began when this server started
     * @param storeMs how long the database took to answer just now
     * @param storeBytes how much is kept, about
     * @param freeBytes room on the disk that this server writes to
     * @param memoryBytes memory in use, of {@code memoryMost}
     * @param events bench events that arrived within the hour
     * @param longestWaitSeconds how long one of them had waited on its screen, at most
     */
    record ServerView(
            List<Worry> worries,
            Instant now,
            Instant began,
            String java,
            String database,
            String layout,
            String ruleBook,
            double storeMs,
            long storeBytes,
            long freeBytes,
            long memoryBytes,
            long memoryMost,
            Optional<Store.Backup> backup,
            int servers,
            int signedIn,
            int events,
            long longestWaitSeconds) {}

    @Needs(Right.AUDIT)
    @GetMapping
    ServerView server() {
        Instant now = clock.instant();
        long asked = System.nanoTime();
        String database = store.version();
        double ms = Math.round((System.nanoTime() - asked) / 10_000.0) / 100.0;
        Runtime machine = Runtime.getRuntime();
        long used = machine.totalMemory() - machine.freeMemory();
        long free = new File(".").getAbsoluteFile().getUsableSpace();
        Optional<Store.Backup> backup = store.newestBackup();
        Duration wait = bench.longestWait(now);
        return new ServerView(
                worries(backup, free, used, machine.maxMemory(), wait),
                now,
                now.minus(Duration.ofMillis(ManagementFactory.getRuntimeMXBean().getUptime())),
                Runtime.version().toString(),
                database,
                store.layout(),
                shop.conditions(false).house().pages().version(),
                ms,
                store.bytes(),
                free,
                used,
                machine.maxMemory(),
                backup,
                store.servers(),
                store.signedIn(Instant.now()),
                bench.arrived(now),
                wait.toSeconds());
    }

    /** The backup's time is the machine's own, as its command is. */
    private static List<Worry> worries(Optional<Store.Backup> backup, long free, long used, long most, Duration wait) {
        List<Worry> out = new ArrayList<>();
        if (backup.isEmpty()) {
            out.add(Worry.NO_BACKUP);
        } else if (backup.get().at().isBefore(Instant.now().minus(OLDEST_BACKUP))) {
            out.add(Worry.OLD_BACKUP);
        }
        if (free < LEAST_FREE) {
            out.add(Worry.LITTLE_ROOM);
        }
        if (used > most * 0.95) {
            out.add(Worry.LITTLE_MEMORY);
        }
        if (wait.compareTo(LONG_WAIT) > 0) {
            out.add(Worry.LATE_EVENTS);
        }
        return List.copyOf(out);
    }
}
