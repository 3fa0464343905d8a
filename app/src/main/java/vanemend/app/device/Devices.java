package vanemend.app.device;

import java.time.Clock;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import vanemend.app.access.QuietSessions;
import vanemend.app.bench.Bell;
import vanemend.app.bench.Listeners;
import vanemend.app.problem.Refused;

/** All devices of the shop: looked at twice a second while anybody watches, and told to every screen that listens. */
@Component
public class Devices {
    private static final long LOOK_MS = 500;

    private final Map<Device.Kind, Watch> watches = new EnumMap<>(Device.Kind.class);
    private final Listeners listeners = new Listeners("devices");
    private final QuietSessions sessions;
    private final Clock clock;

    Devices(List<Device> devices, QuietSessions sessions, Clock clock) {
        this.sessions = sessions;
        this.clock = clock;
        devices.forEach(i -> {
            if (watches.put(i.kind(), new Watch(i)) != null) {
                throw new IllegalStateException("two devices of kind " + i.kind() + ": take one out");
            }
        });
    }

    /** What each shows, by kind. */
    public List<Shown> shown() {
        return watches.values().stream().map(Watch::shown).toList();
    }

    /** What the one of {@code kind} shows, looked at now. */
    public Shown look(Device.Kind kind) {
        return watch(kind).look(clock.instant());
    }

    /** The device of {@code kind}. */
    public Device of(Device.Kind kind) {
        return watch(kind).device();
    }

    /** The stand-in of {@code kind}, to be driven. */
    public StandIn standIn(Device.Kind kind) {
        if (of(kind) instanceof StandIn s) {
            return s;
        }
        throw new Refused(
                HttpStatus.CONFLICT, "Device", kind.word() + " is a real one: it cannot be driven from here.");
    }

    /** A screen that wants to see what they show, as it changes. */
    public SseEmitter listen(String session) {
        return listeners.listen(session);
    }

    /** Ends the streams of sessions that are over. */
    @Scheduled(fixedRate = Bell.BEAT_MS)
    void endOver() {
        listeners.endWhere(s -> !sessions.lives(s));
    }

    @Scheduled(fixedRate = LOOK_MS)
    void look() {
        if (!listeners.any()) {
            return;
        }
        Instant now = clock.instant();
        listeners.tell("shown", watches.values().stream().map(w -> w.look(now)).toList());
    }

    private Watch watch(Device.Kind kind) {
        Watch w = watches.get(kind);
        if (w == null) {
            throw new Refused(HttpStatus.NOT_FOUND, "Device", "There is no " + kind.word() + " here.");
        }
        return w;
    }
}
