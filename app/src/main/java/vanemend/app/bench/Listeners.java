package vanemend.app.bench;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.locks.LockSupport;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Screens that listen on one stream. Whoever tells them something goes on at once; a slow listener holds nobody up. */
public final class Listeners {
    private static final int AT_ONCE = 10;
    private static final long BREATH_NS = 25_000_000;
    private final List<SseEmitter> all = new CopyOnWriteArrayList<>();
    private final ExecutorService teller;

    /** Nobody listens yet; {@code name} is the telling thread's. */
    public Listeners(String name) {
        teller = Executors.newSingleThreadExecutor(Thread.ofVirtual().name(name).factory());
    }

    /** A new listener. */
    public SseEmitter listen() {
        SseEmitter e = new SseEmitter(0L);
        all.add(e);
        e.onCompletion(() -> all.remove(e));
        e.onTimeout(() -> all.remove(e));
        e.onError(x -> all.remove(e));
        send(e, "open", "{}");
        return e;
    }

    /** Whether anybody listens. */
    public boolean any() {
        return !all.isEmpty();
    }

    /** Tells all of them; many are told a few at a time, so that they do not all come asking at the same instant. */
    public void tell(String what, Object data) {
        teller.execute(() -> {
            int told = 0;
            for (SseEmitter e : all) {
                send(e, what, data);
                if (++told % AT_ONCE == 0) {
                    LockSupport.parkNanos(BREATH_NS);
                }
            }
        });
    }

    private void send(SseEmitter e, String what, Object data) {
        try {
            e.send(SseEmitter.event().name(what).data(data));
        } catch (IOException | IllegalStateException gone) {
            all.remove(e);
            e.completeWithError(gone);
        }
    }
}
