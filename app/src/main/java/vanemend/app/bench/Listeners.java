package vanemend.app.bench;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Predicate;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Screens that listen on one stream. Whoever tells them something goes on at once; a slow listener holds nobody up. */
public final class Listeners {
    private static final int AT_ONCE = 10;
    private static final long BREATH_NS = 25_000_000;
    /** How many streams one session may hold; tabs beyond that take the place of the oldest. */
    static final int MOST_OF_A_SESSION = 8;

    private record Listener(String session, SseEmitter emitter) {}

    private final List<Listener> all = new CopyOnWriteArrayList<>();
    private final ExecutorService teller;

    /** Nobody listens yet; {@code name} is the telling thread's. */
    public Listeners(String name) {
        teller = Executors.newSingleThreadExecutor(Thread.ofVirtual().name(name).factory());
    }

    /** A new listener of {@code session}; of too many of one session the oldest goes. */
    public SseEmitter listen(String session) {
        SseEmitter e = new SseEmitter(0L);
        Listener l = new Listener(session, e);
        synchronized (all) {
            List<Listener> own =
                    all.stream().filter(x -> x.session().equals(session)).toList();
            own.stream().limit(Math.max(0, own.size() + 1 - MOST_OF_A_SESSION)).forEach(this::end);
            all.add(l);
        }
        e.onCompletion(() -> all.remove(l));
        e.onTimeout(() -> all.remove(l));
        e.onError(x -> all.remove(l));
        send(l, "open", "{}");
        return e;
    }

    /** Ends the streams of sessions that are over. */
    public void endWhere(Predicate<String> over) {
        all.stream().filter(l -> over.test(l.session())).forEach(this::end);
    }

    private void end(Listener l) {
        all.remove(l);
        l.emitter().complete();
    }

    /** Whether anybody listens. */
    public boolean any() {
        return !all.isEmpty();
    }

    /** Tells all of them; many are told a few at a time, so that they do not all come asking at the same instant. */
    public void tell(String what, Object data) {
        teller.execute(() -> {
            int told = 0;
            for (Listener l : all) {
                send(l, what, data);
                if (++told % AT_ONCE == 0) {
                    LockSupport.parkNanos(BREATH_NS);
                }
            }
        });
    }

    private void send(Listener l, String what, Object data) {
        try {
            l.emitter().send(SseEmitter.event().name(what).data(data));
        } catch (IOException | IllegalStateException gone) {
            all.remove(l);
            l.emitter().completeWithError(gone);
        }
    }
}
