package vanemend.app.bench;

import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import vanemend.app.access.QuietSessions;
import vanemend.app.store.Changes;

/**
 * Rings at every screen that listens when something on the bench changed; the screen then asks for what it shows. The first change rings
 * at once; those within the second after it are gathered into one ring, so that a busy bench does not ask more of two hundred screens
 * than they can show.
 */
@Component
public class Bell {
    /** How often it is seen who still listens. */
    public static final long BEAT_MS = 20_000;

    private static final long GATHER_MS = 1000;
    private final Listeners listeners = new Listeners("bell");
    private final QuietSessions sessions;
    private final ScheduledExecutorService later = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().daemon().name("bell-later").factory());

    private final Set<Long> repairs = new TreeSet<>();
    private boolean everything;
    private boolean gathering;
    private long changes;
    private long rungAt = System.nanoTime();

    private final Changes others;

    Bell(QuietSessions sessions, Changes others) {
        this.sessions = sessions;
        this.others = others;
    }

    /** Another server changed something: its screens were rung there, those of this one are rung here. */
    @EventListener
    synchronized void heard(Changes.Heard h) {
        if (h.repair().isPresent()) {
            repairs.add(h.repair().get());
        } else {
            everything = true;
        }
        changed();
    }

    /** A new listener. */
    public SseEmitter listen(String session) {
        return listeners.listen(session);
    }

    /** Something changed that may concern any screen. Returns at once. */
    public void ring() {
        others.tell(Changes.What.SCREEN);
        rung();
    }

    private synchronized void rung() {
        everything = true;
        changed();
    }

    /** Something changed in one repair. Returns at once. */
    public void ring(long repair) {
        others.tell(repair);
        rung(repair);
    }

    private synchronized void rung(long repair) {
        repairs.add(repair);
        changed();
    }

    /** Rings once what changed is really kept. */
    public void ringAfterCommit(long repair) {
        // With the change itself: nothing is written any more once it is kept.
        others.tell(repair);
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                rung(repair);
            }
        });
    }

    /** How much changed so far: the same figure, nothing changed meanwhile. */
    public synchronized long changes() {
        return changes;
    }

    /** When it last rang, {@link System#nanoTime}: what was read before is not what the ring was about. */
    public synchronized long rungAt() {
        return rungAt;
    }

    private void changed() {
        changes++;
        if (!gathering) {
            gathering = true;
            tell();
            later.schedule(this::gathered, GATHER_MS, TimeUnit.MILLISECONDS);
        }
    }

    private synchronized void gathered() {
        if (everything || !repairs.isEmpty()) {
            tell();
            later.schedule(this::gathered, GATHER_MS, TimeUnit.MILLISECONDS);
        } else {
            gathering = false;
        }
    }

    private void tell() {
        rungAt = System.nanoTime();
        String which = everything
                ? "{}"
                : repairs.stream().map(String::valueOf).collect(Collectors.joining(",", "{\"repairs\":[", "]}"));
        everything = false;
        repairs.clear();
        listeners.tell("changed", which);
    }

    /** Keeps connections open and finds those that are gone. */
    @Scheduled(fixedRate = BEAT_MS)
    void beat() {
        listeners.endWhere(s -> !sessions.lives(s));
        listeners.tell("beat", "{}");
    }
}
