package vanemend.app.store;

import java.time.Duration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Which of several servers does what is done by one at a time. A server that ends lets its turns run out; times are the database's own. */
@Component
public class Leases {
    private final JdbcClient db;
    private final Changes changes;

    Leases(JdbcClient db, Changes changes) {
        this.db = db;
        this.changes = changes;
    }

    /** Whether this server has the turn at {@code name}, for {@code longest} from now on; taken where nobody has it. */
    public boolean mine(String name, Duration longest) {
        double seconds = longest.toMillis() / 1000.0;
        db.sql("INSERT INTO server_lease (name, server, until) VALUES (?, ?, UTC_TIMESTAMP(3) + INTERVAL ? SECOND)"
                        + " ON DUPLICATE KEY UPDATE"
                        + " server = IF(until < UTC_TIMESTAMP(3), VALUES(server), server),"
                        + " until = IF(server = VALUES(server), VALUES(until), until)")
                .params(name, changes.me(), seconds)
                .update();
        return db.sql("SELECT server FROM server_lease WHERE name = ?")
                .param(name)
                .query(String.class)
                .single()
                .equals(changes.me());
    }
}
