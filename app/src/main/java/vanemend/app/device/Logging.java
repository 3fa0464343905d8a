package vanemend.app.device;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import vanemend.app.access.Account;
import vanemend.app.access.Accounts;
import vanemend.app.bench.EventDraft;
import vanemend.app.bench.RepairWork;
import vanemend.app.problem.Refused;
import vanemend.app.store.DeviceLogs;
import vanemend.app.store.Leases;
import vanemend.core.trade.Quantity;

/**
 * Takes readings off a device to a repair by itself: when the figure has moved, at most every ten seconds, and at least every five
 * minutes. What cannot be believed or is silent is never taken; the log ends with the work.
 */
@Component
public class Logging {
    private static final Logger LOG = LoggerFactory.getLogger(Logging.class);
    private static final long LOOK_MS = 5_000;
    private static final Duration LEAST = Duration.ofSeconds(10);
    private static final Duration MOST = Duration.ofMinutes(5);
    private static final double MOVED_SHARE = 0.03;
    private static final double MOVED_MOST = 1;

    /** What was taken last. */
    private record Taken(long repair, Instant at, List<ShownFigure> figures) {}

    private final Devices devices;
    private final DeviceLogs logs;
    private final RepairWork work;
    private final Accounts accounts;
    private final Leases leases;
    private final Clock clock;
    private final Map<Device.Kind, Taken> last = new EnumMap<>(Device.Kind.class);

    Logging(Devices devices, DeviceLogs logs, RepairWork work, Accounts accounts, Leases leases, Clock clock) {
        this.leases = leases;
        this.devices = devices;
        this.logs = logs;
        this.work = work;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** The repair that the device of {@code kind} is on. */
    public synchronized Optional<Long> repairOf(Device.Kind kind) {
        return logs.of(kind.name()).map(DeviceLogs.Log::repairId);
    }

    /** Whether a device of {@code kind} logs by itself. */
    public boolean logs(Device.Kind kind) {
        return kind == Device.Kind.SURFACE || kind == Device.Kind.UV;
    }

    /** Puts the device of {@code kind} on a repair under way. */
    public synchronized void begin(Device.Kind kind, long repair, Account who) {
        if (!logs(kind)) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Device",
                    kind.word()
                            + " is read by hand, step by step; the surface thermometer and the UV meter log by themselves.");
        }
        if (work.running(repair).state().current().isEmpty()) {
            throw new Refused(
                    HttpStatus.CONFLICT, "Device", "The work on this repair is finished: nothing is logged to it.");
        }
        logs.begin(kind.name(), repair, who.id());
        take(kind, repair, who, devices.look(kind));
    }

    /** Takes it off. */
    public synchronized void end(Device.Kind kind) {
        logs.end(kind.name());
        last.remove(kind);
    }

    @Scheduled(fixedRate = LOOK_MS)
    synchronized void look() {
        try {
            List<DeviceLogs.Log> all = logs.all();
            // Of several servers one logs; a turn outlasts two looks.
            if (all.isEmpty() || !leases.mine("logging", Duration.ofMillis(3 * LOOK_MS))) {
                return;
            }
            for (DeviceLogs.Log l : all) {
                look(Device.Kind.valueOf(l.kind()), l);
            }
        } catch (RuntimeException e) {
            // The store is away for a moment: the next look tries again, and nothing was told to be taken.
            LOG.warn("devices are not logged just now: {}", e.getMessage());
        }
    }

    private void look(Device.Kind kind, DeviceLogs.Log log) {
        if (work.running(log.repairId()).state().current().isEmpty()) {
            end(kind);
            return;
        }
        Shown shown = devices.look(kind);
        if (due(kind, log.repairId(), shown)) {
            accounts.all().stream()
                    .filter(a -> a.id().equals(log.accountId()))
                    .findFirst()
                    .ifPresent(who -> take(kind, log.repairId(), who, shown));
        }
    }

    private boolean due(Device.Kind kind, long repair, Shown shown) {
        Taken before = last.get(kind);
        if (before == null || before.repair() != repair) {
            return true;
        }
        Duration gone = Duration.between(before.at(), clock.instant());
        return gone.compareTo(MOST) >= 0 || (gone.compareTo(LEAST) >= 0 && moved(before.figures(), shown.figures()));
    }

    private static boolean moved(List<ShownFigure> before, List<ShownFigure> now) {
        for (int i = 0; i < Math.min(before.size(), now.size()); i++) {
            double was = before.get(i).value();
            double by = Math.abs(now.get(i).value() - was);
            if (by >= Math.min(MOVED_MOST, MOVED_SHARE * Math.max(1, Math.abs(was)))) {
                return true;
            }
        }
        return false;
    }

    private void take(Device.Kind kind, long repair, Account who, Shown shown) {
        if (shown.state() != Shown.State.LIVE || shown.figures().isEmpty()) {
            return;
        }
        Instant at = clock.instant();
        String step = work.running(repair).state().current().orElse("");
        List<EventDraft> drafts = shown.figures().stream()
                .map(f -> EventDraft.reading(
                        at,
                        step,
                        Quantity.answeredBy(f.measured()),
                        f.value(),
                        devices.of(kind).name(),
                        true))
                .toList();
        work.take(repair, drafts, who);
        last.put(kind, new Taken(repair, at, shown.figures()));
    }
}
