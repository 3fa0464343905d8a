package vanemend.app.access;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import vanemend.app.problem.Refused;

/** Accounts, and the lock after repeated failures. */
@Component
public class Accounts {
    /** How many passwords are hashed at once; each takes a quarter of a second of a processor. */
    private static final int AT_ONCE = 2;

    private static final Duration PATIENCE = Duration.ofSeconds(5);

    private final Semaphore hashing = new Semaphore(AT_ONCE, true);
    private final Door door;
    private final JdbcClient db;
    private final PasswordEncoder passwords;
    private final Clock clock;
    private final String nobodysHash;
    private final Map<String, Account> found = new ConcurrentHashMap<>();

    Accounts(JdbcClient db, PasswordEncoder passwords, Door door, Clock clock) {
        this.door = door;
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
    public void password(Account account, String password) {
        String hash = passwords.encode(password);
        db.sql("UPDATE account SET password_hash = ? WHERE id = ?")
                .params(hash, account.id())
                .update();
        door.forgetAll(account.id());
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
                                + " WHERE s.LAST_ACCESS_TIME > ? AND a.role <> 'SCREEN' ORDER BY a.name")
                .param(Instant.now().minus(within).toEpochMilli())
                .query(Accounts::row)
                .list();
    }

    /**
     * Tries a sign-in from {@code address}. The password is hashed outside any transaction, and only a few at once: the rest of the shop goes on
     * while somebody tries many.
     */
    public SignIn signIn(String typed, String password, String address) {
        String name = typed.strip().toLowerCase(Locale.ROOT);
        Door.Try knock = door.knock(name, address);
        if (knock.shutUntil().isPresent()) {
            return new SignIn.Locked(knock.shutUntil().get());
        }
        String hash = db.sql("SELECT password_hash FROM account WHERE id = ?")
                .param(name)
                .query(String.class)
                .optional()
                .orElse(nobodysHash);
        Optional<Account> account = find(name);
        if (!matches(password, hash) || account.isEmpty()) {
            return knock.left() > 0
                    ? new SignIn.Wrong(knock.left())
                    : new SignIn.Locked(clock.instant().plus(Door.SHUT));
        }
        door.open(name, address);
        return new SignIn.Welcome(account.get());
    }

    private boolean matches(String password, String hash) {
        try {
            if (!hashing.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS)) {
                throw new Refused(
                        HttpStatus.SERVICE_UNAVAILABLE,
                        "Busy",
                        "Too many are signing in at once. Try again in a moment.");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Refused(HttpStatus.SERVICE_UNAVAILABLE, "Busy", "The server is being stopped.");
        }
        try {
            return passwords.matches(password, hash);
        } finally {
            hashing.release();
        }
    }

    private static Account row(ResultSet rs, int i) throws SQLException {
        return new Account(rs.getString("id"), rs.getString("name"), Role.valueOf(rs.getString("role")));
    }
}
