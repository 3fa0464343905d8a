package vanemend.app.store;

import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Where records that were read in came from. */
@Component
public class Origins {
    /** Whose seal a record had when it was read in. */
    public enum Sealed {
        /** None: nobody can tell whether it was changed. */
        NONE,
        /** This installation's own. */
        OWN,
        /** Another installation's. */
        OTHER
    }

    /**
     * Where a record came from.
     *
     * @param by fingerprint of the key that sealed it, 64 hexadecimal digits; empty without a seal
     */
    public record Origin(Sealed seal, Optional<String> by) {}

    private final JdbcClient db;

    Origins(JdbcClient db) {
        this.db = db;
    }

    /** Keeps where {@code repair} came from. */
    public void keep(long repair, Origin from) {
        db.sql("INSERT INTO record_origin (repair_id, seal, sealed_by) VALUES (?, ?, ?)")
                .params(repair, from.seal().name(), from.by().orElse(null))
                .update();
    }

    /** Where {@code repair} came from; empty for work done here. */
    public Optional<Origin> of(long repair) {
        return db.sql("SELECT seal, sealed_by FROM record_origin WHERE repair_id = ?")
                .param(repair)
                .query((rs, i) -> new Origin(Sealed.valueOf(rs.getString(1)), Optional.ofNullable(rs.getString(2))))
                .optional();
    }
}
