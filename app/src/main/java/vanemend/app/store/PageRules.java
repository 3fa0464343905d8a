package vanemend.app.store;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vanemend.core.house.PageRuleFile;
import vanemend.core.method.PageRule;

/** What leads changed of the methods' pages; one that is taken back keeps its row. */
@Component
public class PageRules {
    /** A rule with how it ended; {@code endedBy} is empty while it is in force. */
    public record Line(PageRule rule, String endedBy, Optional<Instant> endedAt) {}

    private final JdbcClient db;
    private final Clock clock;

    PageRules(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** Every rule that was ever signed, in the order of signing. */
    public List<Line> all() {
        return db.sql(
                        "SELECT p.id, p.page, s.name, p.signed_at, e.name, p.ended_at FROM page_rule p"
                                + " JOIN account s ON s.id = p.signed_by LEFT JOIN account e ON e.id = p.ended_by ORDER BY p.id")
                .query((rs, i) -> new Line(
                        PageRuleFile.ofKept(
                                rs.getString(2),
                                rs.getLong(1),
                                rs.getString(3),
                                rs.getTimestamp(4).toInstant()),
                        Optional.ofNullable(rs.getString(5)).orElse(""),
                        Optional.ofNullable(rs.getTimestamp(6)).map(Timestamp::toInstant)))
                .list();
    }

    /** The rules in force, in the order of signing. */
    List<PageRule> inForce() {
        return all().stream().filter(l -> l.endedAt().isEmpty()).map(Line::rule).toList();
    }

    void sign(PageRule rule, String accountId) {
        db.sql("INSERT INTO page_rule (page, signed_by, signed_at) VALUES (?, ?, ?)")
                .params(PageRuleFile.kept(rule), accountId, Timestamp.from(rule.at()))
                .update();
    }

    /** Ends a rule; answers whether it was in force. */
    boolean end(long id, String accountId) {
        return db.sql("UPDATE page_rule SET ended_by = ?, ended_at = ? WHERE id = ? AND ended_at IS NULL")
                        .params(accountId, Timestamp.from(clock.instant()), id)
                        .update()
                == 1;
    }
}
