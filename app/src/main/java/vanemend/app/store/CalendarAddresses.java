package vanemend.app.store;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.sql.ResultSet;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.Base64;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Addresses at which other programs read somebody's day without signing in: one a person, told once, as long as nobody takes it away. What is
 * kept of it opens nothing.
 */
@Component
public class CalendarAddresses {
    /** Too many to be guessed, however often it is tried. */
    private static final int SECRET_BYTES = 32;

    private final JdbcClient db;
    private final Audit audit;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    CalendarAddresses(JdbcClient db, Audit audit, Clock clock) {
        this.db = db;
        this.audit = audit;
        this.clock = clock;
    }

    /** A new secret for {@code person}; the one before opens nothing any more. */
    @AllOrNothing
    public String anew(String person) {
        byte[] bytes = new byte[SECRET_BYTES];
        random.nextBytes(bytes);
        String secret = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        db.sql("REPLACE INTO calendar_address (person, secret_hash, made_at) VALUES (?, ?, ?)")
                .params(person, hash(secret), Timestamp.from(clock.instant()))
                .update();
        audit.did(person, Audit.Act.PERSON, "calendar address of " + person + " made");
        return secret;
    }

    /** Takes the address of {@code person} away; false where there was none. */
    @AllOrNothing
    public boolean away(String person) {
        boolean was = db.sql("DELETE FROM calendar_address WHERE person = ?")
                        .param(person)
                        .update()
                > 0;
        if (was) {
            audit.did(person, Audit.Act.PERSON, "calendar address of " + person + " taken away");
        }
        return was;
    }

    /** Since when {@code person} has an address. */
    public Optional<Instant> since(String person) {
        return db.sql("SELECT made_at FROM calendar_address WHERE person = ?")
                .param(person)
                .query((ResultSet rs, int i) -> rs.getTimestamp(1).toInstant())
                .optional();
    }

    /** Whose day {@code secret} opens. */
    public Optional<String> personOf(String secret) {
        return db.sql("SELECT person FROM calendar_address WHERE secret_hash = ?")
                .param(hash(secret))
                .query(String.class)
                .optional();
    }

    private static String hash(String secret) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
