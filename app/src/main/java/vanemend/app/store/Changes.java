package vanemend.app.store;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Tells the other servers on the same database what this one changed, and hears what they did, within a second. A change is written with what it
 * is about, in one transaction where there is one; times are the database's own. Reading looks a minute back, since a number given early may be
 * kept late.
 */
@Component
public class Changes {
    private static final Logger LOG = LoggerFactory.getLogger(Changes.class);
    private static final long EVERY_MS = 400;
    private static final long SWEPT_EVERY_MS = 60_000;

    /** What was changed. */
    public enum What {
        /** One repair. */
        REPAIR,
        /** What every plan is made under: air, rules, shelf, place. */
        SHOP,
        /** Sign-ins that ended. */
        SESSION,
        /** Anything else that may be on a screen. */
        SCREEN
    }

    /** Another server changed something. */
    public record Heard(What what, Optional<Long> repair) {}

    private record Row(long id, Heard heard) {}

    private final JdbcClient db;
    private final ApplicationEventPublisher told;
    private final String me = UUID.randomUUID().toString();
    private final Set<Long> seen = new HashSet<>();

    Changes(JdbcClient db, ApplicationEventPublisher told) {
        this.db = db;
        this.told = told;
    }

    /** What this server is called among the others; another at each start. */
    public String me() {
        return me;
    }

    /** Tells the others that {@code what} was changed. */
    public void tell(What what) {
        tell(what, Optional.empty());
    }

    /** Tells the others that {@code repair} was changed. */
    public void tell(long repair) {
        tell(What.REPAIR, Optional.of(repair));
    }

    private void tell(What what, Optional<Long> repair) {
        db.sql("INSERT INTO server_change (server, what, repair_id, at) VALUES (?, ?, ?, UTC_TIMESTAMP(3))")
                .params(me, what.name(), repair.orElse(null))
                .update();
    }

    @Scheduled(fixedDelay = EVERY_MS)
    void hear() {
        List<Row> rows;
        try {
            rows = db.sql("SELECT id, what, repair_id FROM server_change"
                            + " WHERE at > UTC_TIMESTAMP(3) - INTERVAL 60 SECOND AND server <> ? ORDER BY id")
                    .param(me)
                    .query((rs, i) -> {
                        long repair = rs.getLong(3);
                        Optional<Long> which = rs.wasNull() ? Optional.empty() : Optional.of(repair);
                        return new Row(rs.getLong(1), new Heard(What.valueOf(rs.getString(2)), which));
                    })
                    .list();
        } catch (DataAccessException | TransactionException away) {
            LOG.debug("changes of other servers are not heard just now: {}", away.getMessage());
            return;
        }
        List<Heard> fresh = new ArrayList<>();
        Set<Long> now = new HashSet<>();
        for (Row r : rows) {
            now.add(r.id());
            if (!seen.contains(r.id())) {
                fresh.add(r.heard());
            }
        }
        seen.clear();
        seen.addAll(now);
        fresh.stream().distinct().forEach(told::publishEvent);
    }

    @Scheduled(fixedDelay = SWEPT_EVERY_MS)
    void sweep() {
        db.sql("DELETE FROM server_change WHERE at < UTC_TIMESTAMP(3) - INTERVAL 10 MINUTE")
                .update();
    }
}
