package vanemend.app.access;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Counts tries at the door. Each is counted before its password is looked at, in one statement, so that many at once are no more than many one
 * after the other. A stranger who tries a colleague's name shuts the name for his own address, and for addresses it was never signed in from;
 * where the colleague has signed in from before, the name stays open.
 */
@Component
class Door {
    /** Tries of one name from one address. */
    static final int MOST_OF_A_NAME = 5;

    /** Tries from one address, whatever the names. */
    static final int MOST_FROM_AN_ADDRESS = 60;

    /** Tries of one name from all addresses that it never signed in from. */
    static final int MOST_FROM_UNKNOWN = 40;

    /** How long it stays shut, and how long tries are counted together. */
    static final Duration SHUT = Duration.ofMinutes(15);

    private final JdbcClient db;
    private final Clock clock;

    Door(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** A try that was counted; {@code shutUntil} where it is one too many, {@code left} how many more there are. */
    record Try(Optional<Instant> shutUntil, int left) {}

    /** Counts a try of {@code name} from {@code address}. */
    Try knock(String name, String address) {
        Counted pair = count("pair", name, address, MOST_OF_A_NAME);
        Counted all = count("address", "", address, MOST_FROM_AN_ADDRESS);
        if (pair.over()) {
            return new Try(Optional.of(pair.until()), 0);
        }
        if (all.over()) {
            return new Try(Optional.of(all.until()), 0);
        }
        if (!known(name, address)) {
            Counted strange = count("unknown", name, "", MOST_FROM_UNKNOWN);
            if (strange.over()) {
                return new Try(Optional.of(strange.until()), 0);
            }
        }
        return new Try(Optional.empty(), MOST_OF_A_NAME - pair.tries());
    }

    /** {@code accountId} came in from {@code address}: its wrong tries are forgotten, and the address is known from now on. */
    void open(String accountId, String address) {
        db.sql("DELETE FROM sign_in_try WHERE what = ?")
                .param(digest("pair", accountId + "\n" + address))
                .update();
        // A try that was right counts against nobody: a whole shop may sign in from behind one address.
        db.sql("UPDATE sign_in_try SET tries = GREATEST(1, tries - 1) WHERE what IN (?, ?)")
                .params(digest("address", "\n" + address), digest("unknown", accountId + "\n"))
                .update();
        db.sql("INSERT INTO sign_in_known (account_id, address, last_at) VALUES (?, ?, ?)"
                        + " ON DUPLICATE KEY UPDATE last_at = VALUES(last_at)")
                .params(accountId, digest("known", address), now())
                .update();
    }

    /** Opens the door of {@code accountId} wherever it was shut: it has a new password. */
    void forgetAll(String accountId) {
        db.sql("DELETE FROM sign_in_try WHERE name = ?")
                .param(digest("name", accountId))
                .update();
        db.sql("DELETE FROM sign_in_known WHERE account_id = ?")
                .param(accountId)
                .update();
    }

    /** Forgets tries of {@code name} from {@code address}: it was right. */
    void forget(String name, String address) {
        db.sql("DELETE FROM sign_in_try WHERE what = ?")
                .param(digest("pair", name + "\n" + address))
                .update();
    }

    private record Counted(int tries, Instant until, boolean over) {}

    private Counted count(String kind, String name, String address, int most) {
        String key = digest(kind, name + "\n" + address);
        Timestamp now = now();
        Timestamp old = Timestamp.from(clock.instant().minus(SHUT));
        // Left to right: the count begins anew when it is old, and the time with it; the last try that is let in begins
        // the pause. Counted and
        // read in one statement, so that no two tries read the same figure.
        return db.sql(
                        "INSERT INTO sign_in_try (what, name, tries, first_at) VALUES (?, ?, 1, ?) ON DUPLICATE KEY UPDATE"
                                + " tries = IF(first_at < ?, 1, tries + 1), first_at = IF(tries = 1 OR tries = ?, ?, first_at)"
                                + " RETURNING tries, first_at")
                .params(key, digest("name", name), now, old, most, now)
                .query((rs, i) ->
                        new Counted(rs.getInt(1), rs.getTimestamp(2).toInstant().plus(SHUT), rs.getInt(1) > most))
                .single();
    }

    private boolean known(String name, String address) {
        return db.sql("SELECT COUNT(*) FROM sign_in_known WHERE account_id = ? AND address = ?")
                        .params(name, digest("known", address))
                        .query(Integer.class)
                        .single()
                > 0;
    }

    private Timestamp now() {
        return Timestamp.from(clock.instant());
    }

    private static String digest(String kind, String what) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256")
                            .digest((kind + "\n" + what).getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
