package vanemend.app.store;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** How the database itself is. */
@Component
public class Store {
    /** Everything written out once. */
    public record Backup(Instant at, long bytes) {}

    private final JdbcClient db;

    Store(JdbcClient db) {
        this.db = db;
    }

    /** The database's own version. */
    public String version() {
        return db.sql("SELECT VERSION()").query(String.class).single();
    }

    /** How the tables are laid out: the newest migration. */
    public String layout() {
        return db.sql("SELECT version FROM flyway_schema_history WHERE success ORDER BY installed_rank DESC LIMIT 1")
                .query(String.class)
                .single();
    }

    /** How much is kept, bytes; about, as the database counts it itself. */
    public long bytes() {
        return db.sql("SELECT COALESCE(SUM(data_length + index_length), 0) FROM information_schema.tables"
                        + " WHERE table_schema = DATABASE()")
                .query(Long.class)
                .single();
    }

    /** The newest backup that the backup command told of. */
    public Optional<Backup> newestBackup() {
        return db.sql("SELECT at, bytes FROM backup_made ORDER BY at DESC LIMIT 1")
                .query((rs, i) -> new Backup(rs.getTimestamp(1).toInstant(), rs.getLong(2)))
                .optional();
    }

    /** How many servers work on this database, as those that changed something within ten minutes; at least this one. */
    public int servers() {
        return Math.max(
                1,
                db.sql("SELECT COUNT(DISTINCT server) FROM server_change")
                        .query(Integer.class)
                        .single());
    }

    /** How many people have a sign-in that has not run out. */
    public int signedIn(Instant now) {
        return db.sql("SELECT COUNT(*) FROM SPRING_SESSION WHERE PRINCIPAL_NAME IS NOT NULL AND EXPIRY_TIME > ?")
                .param(Timestamp.from(now).getTime())
                .query(Integer.class)
                .single();
    }
}
