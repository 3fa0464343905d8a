package vanemend.app.bench;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Rings at every screen that listens when something on the bench changed; the screen then asks for what it shows. */
@Component
public class Bell {
    private static final long BEAT_MS = 20_000;
    private final List<SseEmitter> listeners = new CopyOnWriteArrayList<>();
    private final ExecutorService ringer =
            Executors.newSingleThreadExecutor(Thread.ofVirtual().name("bell").factory());

    /** A new listener. */
    public SseEmitter listen() {
        SseEmitter e = new SseEmitter(0L);
        listeners.add(e);
        e.onCompletion(() -> listeners.remove(e));
        e.onTimeout(() -> listeners.remove(e));
        e.onError(x -> listeners.remove(e));
        send(e, "open");
        return e;
    }

    /** Something changed. Returns at once; a slow listener holds nobody up. */
    public void ring() {
        ringer.execute(() -> listeners.forEach(e -> send(e, "changed")));
    }

    /** Keeps connections open and finds those that are gone. */
    @Scheduled(fixedRate = BEAT_MS)
    void beat() {
        ringer.execute(() -> listeners.forEach(e -> send(e, "beat")));
    }

    private void send(SseEmitter e, String what) {
        try {
            e.send(SseEmitter.event().name(what).data("{}"));
        } catch (IOException | IllegalStateException gone) {
            listeners.remove(e);
            e.completeWithError(gone);
        }
    }
}
