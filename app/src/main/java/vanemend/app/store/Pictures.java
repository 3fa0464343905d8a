package vanemend.app.store;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Pictures of repairs; one that was taken away keeps its row and its dots. */
@Component
public class Pictures {
    /** When in the work it was taken. */
    public enum Moment {
        BEFORE,
        DURING,
        AFTER
    }

    /** A picture without its dots. */
    public record Picture(long id, Moment moment, Instant at, String by, int width, int height, String sha256) {}

    /** How many a repair may have. */
    public static final int MOST = 24;

    private final JdbcClient db;
    private final Clock clock;

    Pictures(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** Those of a repair, in the order they were sent. */
    public List<Picture> of(long repairId) {
        return db.sql(
                        "SELECT p.id, p.moment, p.at, a.name, p.width, p.height, p.sha256 FROM picture p JOIN account a ON a.id = p.account_id"
                                + " WHERE p.repair_id = ? AND p.away_at IS NULL ORDER BY p.id")
                .param(repairId)
                .query((rs, i) -> new Picture(
                        rs.getLong(1),
                        Moment.valueOf(rs.getString(2)),
                        rs.getTimestamp(3).toInstant(),
                        rs.getString(4),
                        rs.getInt(5),
                        rs.getInt(6),
                        rs.getString(7)))
                .list();
    }

    /** The dots of a picture that was not taken away. */
    public Optional<byte[]> jpeg(long id) {
        return db.sql("SELECT jpeg FROM picture WHERE id = ? AND away_at IS NULL")
                .param(id)
                .query((rs, i) -> rs.getBytes(1))
                .optional();
    }

    /** The repair that a picture belongs to. */
    public Optional<Long> repairOf(long id) {
        return db.sql("SELECT repair_id FROM picture WHERE id = ? AND away_at IS NULL")
                .param(id)
                .query(Long.class)
                .optional();
    }

    /** Sign-in name of who took a picture that was not taken away. */
    public Optional<String> takenBy(long id) {
        return db.sql("SELECT account_id FROM picture WHERE id = ? AND away_at IS NULL")
                .param(id)
                .query(String.class)
                .optional();
    }

    /** The id that its sender gave a picture, by which a run knows it. */
    public UUID clientId(long id) {
        return UUID.fromString(db.sql("SELECT client_id FROM picture WHERE id = ?")
                .param(id)
                .query(String.class)
                .single());
    }

    /** Adds one; the same {@code clientId} twice counts once. */
    public void add(
            long repairId, UUID clientId, Moment moment, byte[] jpeg, int width, int height, String sha256, String by) {
        try {
            db.sql("INSERT INTO picture (repair_id, client_id, moment, at, account_id, width, height, sha256, jpeg)"
                            + " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)")
                    .params(
                            repairId,
                            clientId.toString(),
                            moment.name(),
                            Timestamp.from(clock.instant()),
                            by,
                            width,
                            height,
                            sha256,
                            jpeg)
                    .update();
        } catch (DuplicateKeyException sentTwice) {
            // It is there already: what the sender did not hear the first time.
        }
    }

    /** Takes one away, and says why. */
    public void away(long id, String why, String by) {
        db.sql("UPDATE picture SET away_at = ?, away_by = ?, away_why = ? WHERE id = ? AND away_at IS NULL")
                .params(Timestamp.from(clock.instant()), by, why, id)
                .update();
    }
}
