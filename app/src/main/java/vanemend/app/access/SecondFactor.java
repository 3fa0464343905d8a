package vanemend.app.access;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vanemend.app.store.AllOrNothing;

/** The second factor of whoever wants one: a code off a phone, or one of a few on paper for when the phone is gone. */
@Component
class SecondFactor {
    private static final int RECOVERY_CODES = 8;
    private static final int RECOVERY_BYTES = 5;

    private final SecureRandom random = new SecureRandom();
    private final JdbcClient db;
    private final Clock clock;

    SecondFactor(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    private record Kept(byte[] secret, long lastStep) {}

    /** Whether {@code account} has one. */
    boolean has(Account account) {
        return kept(account.id()).isPresent();
    }

    /** A secret that nobody has yet. */
    byte[] fresh() {
        byte[] out = new byte[Totp.SECRET_BYTES];
        random.nextBytes(out);
        return out;
    }

    /** The step whose code {@code code} is, for a secret that is not kept yet; empty where it is none. */
    OptionalLong fits(byte[] secret, String code) {
        return Totp.matches(secret, code, clock.instant(), Long.MIN_VALUE);
    }

    /**
     * Takes {@code secret} for {@code account}, its code of {@code step} used by that; gives the codes for when the phone is gone, which are shown
     * once.
     */
    @AllOrNothing
    List<String> take(Account account, byte[] secret, long step) {
        drop(account);
        db.sql("INSERT INTO second_factor (account_id, secret, last_step) VALUES (?, ?, ?)")
                .params(account.id(), secret, step)
                .update();
        List<String> codes = new ArrayList<>();
        for (int i = 0; i < RECOVERY_CODES; i++) {
            byte[] bytes = new byte[RECOVERY_BYTES];
            random.nextBytes(bytes);
            String code = Totp.base32(bytes);
            codes.add(code.substring(0, 4) + "-" + code.substring(4));
            db.sql("INSERT INTO recovery_code (account_id, digest) VALUES (?, ?)")
                    .params(account.id(), digest(account.id(), code))
                    .update();
        }
        return List.copyOf(codes);
    }

    /** Takes it away. */
    @AllOrNothing
    void drop(Account account) {
        db.sql("DELETE FROM recovery_code WHERE account_id = ?")
                .param(account.id())
                .update();
        db.sql("DELETE FROM second_factor WHERE account_id = ?")
                .param(account.id())
                .update();
    }

    /** Whether {@code typed} opens for {@code account}; what opened once opens no more, though two try it at once. */
    boolean opens(Account account, String typed) {
        String code = typed.replaceAll("[\\s-]", "").toUpperCase(Locale.ROOT);
        Optional<Kept> kept = kept(account.id());
        if (kept.isEmpty() || code.isEmpty()) {
            return false;
        }
        Instant now = clock.instant();
        OptionalLong step =
                Totp.matches(kept.get().secret(), code, now, kept.get().lastStep());
        if (step.isPresent()) {
            return db.sql("UPDATE second_factor SET last_step = ? WHERE account_id = ? AND last_step < ?")
                            .params(step.getAsLong(), account.id(), step.getAsLong())
                            .update()
                    == 1;
        }
        return db.sql("DELETE FROM recovery_code WHERE account_id = ? AND digest = ?")
                        .params(account.id(), digest(account.id(), code))
                        .update()
                == 1;
    }

    private Optional<Kept> kept(String account) {
        return db.sql("SELECT secret, last_step FROM second_factor WHERE account_id = ?")
                .param(account)
                .query((rs, i) -> new Kept(rs.getBytes(1), rs.getLong(2)))
                .optional();
    }

    private static String digest(String account, String code) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256")
                            .digest((account + "\n" + code).getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
