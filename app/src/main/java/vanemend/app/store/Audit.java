package vanemend.app.store;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Who came in, and what was changed besides repairs; only ever added to. */
@Component
public class Audit {
    /** What was done. */
    public enum Act {
        SIGN_IN,
        WRONG,
        LOCKED,
        RULE,
        SHELF,
        RECORD,
        AIR,
        PICTURE,
        PERSON,
        SIGN_OUT,
        /** Somebody asked for what they may not. */
        REFUSED,
        DRAFT
    }

    /** A line; {@code by} is empty where nobody was signed in. */
    public record AuditLine(Instant at, String by, Act act, String said) {}

    private static final int SAID = 200;
    private static final int MOST = 500;

    private final JdbcClient db;
    private final Clock clock;

    Audit(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** Writes a line; {@code accountId} may be null where nobody was signed in. */
    public void did(String accountId, Act act, String said) {
        db.sql("INSERT INTO audit (at, account_id, act, said) VALUES (?, ?, ?, ?)")
                .params(
                        Timestamp.from(clock.instant()),
                        accountId,
                        act.name(),
                        said.length() > SAID ? said.substring(0, SAID) : said)
                .update();
    }

    /** The newest lines first. */
    public List<AuditLine> newest() {
        return db.sql(
                        "SELECT u.at, COALESCE(a.name, ''), u.act, u.said FROM audit u LEFT JOIN account a ON a.id = u.account_id"
                                + " ORDER BY u.id DESC LIMIT " + MOST)
                .query((rs, i) -> new AuditLine(
                        rs.getTimestamp(1).toInstant(), rs.getString(2), Act.valueOf(rs.getString(3)), rs.getString(4)))
                .list();
    }
}
