package vanemend.app.store;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Which device's readings go to which repair by themselves; kept, so that a restart goes on with it. */
@Component
public class DeviceLogs {
    /** A log: of the device of {@code kind} to a repair, for an account. */
    public record Log(String kind, long repairId, String accountId, Instant since) {}

    private final JdbcClient db;
    private final Clock clock;

    DeviceLogs(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** All that are kept. */
    public List<Log> all() {
        return db.sql("SELECT kind, repair_id, account_id, since FROM device_log ORDER BY kind")
                .query((rs, i) -> new Log(
                        rs.getString(1),
                        rs.getLong(2),
                        rs.getString(3),
                        rs.getTimestamp(4).toInstant()))
                .list();
    }

    /** The log of {@code kind}. */
    public Optional<Log> of(String kind) {
        return all().stream().filter(l -> l.kind().equals(kind)).findFirst();
    }

    /** Logs {@code kind} to {@code repairId} from now on, and to no other. */
    public void begin(String kind, long repairId, String accountId) {
        db.sql("REPLACE INTO device_log (kind, repair_id, account_id, since) VALUES (?, ?, ?, ?)")
                .params(kind, repairId, accountId, Timestamp.from(clock.instant()))
                .update();
    }

    /** Logs {@code kind} no more. */
    public void end(String kind) {
        db.sql("DELETE FROM device_log WHERE kind = ?").param(kind).update();
    }
}
