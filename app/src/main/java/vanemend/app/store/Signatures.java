package vanemend.app.store;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vanemend.core.record.RecordDigest;
import vanemend.core.run.BenchEvent;

/** What each signature holds for, and whether it still does. */
@Component
public class Signatures {
    /**
     * A signature as kept.
     *
     * @param event the event that signed
     * @param digest of the plans and of every event before it, 64 hexadecimal digits
     * @param holds whether what is kept now still gives that digest
     */
    public record Signature(UUID event, String digest, boolean holds) {}

    private final JdbcClient db;

    Signatures(JdbcClient db) {
        this.db = db;
    }

    /** Binds {@code sign}, the newest of {@code events}, to all that came before it. */
    public void keep(long repair, BenchEvent sign, List<BenchEvent> events) {
        db.sql("INSERT INTO signature (event_id, repair_id, digest) VALUES (?, ?, ?)")
                .params(sign.id().toString(), repair, digest(repair, sign.id(), events))
                .update();
    }

    /** The newest signature of {@code repair}; empty where nobody signed, or did under a release that kept no digest. */
    public Optional<Signature> newest(long repair, List<BenchEvent> events) {
        return db.sql("SELECT s.event_id, s.digest FROM signature s JOIN bench_event e ON e.id = s.event_id"
                        + " WHERE s.repair_id = ? ORDER BY e.seq DESC LIMIT 1")
                .param(repair)
                .query((rs, i) -> {
                    UUID event = UUID.fromString(rs.getString(1));
                    String digest = rs.getString(2);
                    return new Signature(event, digest, digest.equals(digest(repair, event, events)));
                })
                .optional();
    }

    private String digest(long repair, UUID sign, List<BenchEvent> events) {
        List<BenchEvent> before = new ArrayList<>();
        for (BenchEvent e : events) {
            if (e.id().equals(sign)) {
                break;
            }
            before.add(e);
        }
        // Over the plans as they are kept: reading an older one brings it to today's form, what is kept stays as it is.
        long plans = 1
                + before.stream().filter(e -> e.kind() == BenchEvent.Kind.PLAN).count();
        List<String> kept = db.sql(
                        "SELECT d FROM (SELECT 1 AS n, SHA2(plan, 256) AS d FROM frozen_plan WHERE repair_id = ?"
                                + " UNION ALL SELECT n, SHA2(plan, 256) FROM plan_anew WHERE repair_id = ?) AS kept WHERE n <= ? ORDER BY n")
                .params(repair, repair, plans)
                .query(String.class)
                .list();
        return RecordDigest.of(kept, before);
    }
}
