package vanemend.app.access;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Accounts, and the lock after repeated failures. */
@Component
public class Accounts {
    /** Wrong passwords in a row before the name is locked. */
    public static final int MOST_FAILURES = 5;

    /** How long it stays locked. */
    public static final Duration LOCK = Duration.ofMinutes(15);

    private final JdbcClient db;
    private final PasswordEncoder passwords;
    private final Clock clock;
    private final String nobodysHash;
    private final Map<String, Account> found = new ConcurrentHashMap<>();

    Accounts(JdbcClient db, PasswordEncoder passwords, Clock clock) {
        this.db = db;
        this.passwords = passwords;
        this.clock = clock;
        this.nobodysHash = passwords.encode("nobody signs in with this");
    }

    /** What came of a sign-in. */
    public sealed interface SignIn {
        /** Welcome. */
        record Welcome(Account account) implements SignIn {}

        /** Name or password is wrong. */
        record Wrong(int triesLeft) implements SignIn {}

        /** Too many failures. */
        record Locked(Instant until) implements SignIn {}
    }

    /** Adds an account. */
    public void add(Account account, String password) {
        db.sql("INSERT INTO account (id, name, role, password_hash) VALUES (?, ?, ?, ?)")
                .params(account.id(), account.name(), account.role().name(), passwords.encode(password))
                .update();
    }

    /** Gives {@code account} a new password and opens a door that wrong tries had shut. */
    @Transactional
    public void password(Account account, String password) {
        db.sql("UPDATE account SET password_hash = ? WHERE id = ?")
                .params(passwords.encode(password), account.id())
                .update();
        db.sql("DELETE FROM sign_in_failure WHERE typed_name = ?")
                .param(account.id())
                .update();
    }

    /** Everyone. */
    public List<Account> all() {
        return db.sql("SELECT id, name, role FROM account ORDER BY name")
                .query(Accounts::row)
                .list();
    }

    /** The account called {@code id}. An account never changes once made, so one that was found need not be read again. */
    public Optional<Account> find(String id) {
        Account known = found.get(id);
        if (known != null) {
            return Optional.of(known);
        }
        Optional<Account> read = read(id);
        read.ifPresent(a -> found.put(id, a));
        return read;
    }

    private Optional<Account> read(String id) {
        return db.sql("SELECT id, name, role FROM account WHERE id = ?")
                .param(id)
                .query(Accounts::row)
                .optional();
    }

    /** People with a session used within {@code within}; sessions note their use by the machine's own time. */
    public List<Account> present(Duration within) {
        return db.sql(
                        "SELECT DISTINCT a.id, a.name, a.role FROM account a JOIN SPRING_SESSION s ON s.PRINCIPAL_NAME = a.id"
                                + " WHERE s.LAST_ACCESS_TIME > ? ORDER BY a.name")
                .param(Instant.now().minus(within).toEpochMilli())
                .query(Accounts::row)
                .list();
    }

    /** Tries a sign-in; failures count by the name typed, and a locked name is told even with the right password. */
    @Transactional
    public SignIn signIn(String typed, String password) {
        String name = typed.strip().toLowerCase(java.util.Locale.ROOT);
        Optional<Instant> locked = db.sql(
                        "SELECT locked_until FROM sign_in_failure WHERE typed_name = ? AND locked_until > ? FOR UPDATE")
                .params(name, Timestamp.from(clock.instant()))
                .query((rs, i) -> rs.getTimestamp(1).toInstant())
                .optional();
        if (locked.isPresent()) {
            return new SignIn.Locked(locked.get());
        }
        String hash = db.sql("SELECT password_hash FROM account WHERE id = ?")
                .param(name)
                .query(String.class)
                .optional()
                .orElse(nobodysHash);
        Optional<Account> account = find(name);
        if (passwords.matches(password, hash) && account.isPresent()) {
            db.sql("DELETE FROM sign_in_failure WHERE typed_name = ?")
                    .param(name)
                    .update();
            return new SignIn.Welcome(account.get());
        }
        return failed(name);
    }

    private SignIn failed(String name) {
        db.sql(
                        "INSERT INTO sign_in_failure (typed_name, failures) VALUES (?, 1)"
                                + " ON DUPLICATE KEY UPDATE failures = IF(locked_until IS NULL, failures + 1, 1), locked_until = NULL")
                .param(name)
                .update();
        int failures = db.sql("SELECT failures FROM sign_in_failure WHERE typed_name = ?")
                .param(name)
                .query(Integer.class)
                .single();
        if (failures < MOST_FAILURES) {
            return new SignIn.Wrong(MOST_FAILURES - failures);
        }
        Instant until = clock.instant().plus(LOCK);
        db.sql("UPDATE sign_in_failure SET locked_until = ? WHERE typed_name = ?")
                .params(Timestamp.from(until), name)
                .update();
        return new SignIn.Locked(until);
    }

    private static Account row(ResultSet rs, int i) throws SQLException {
        return new Account(rs.getString("id"), rs.getString("name"), Role.valueOf(rs.getString("role")));
    }
}
