package vanemend.app.access;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcOperations;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.scheduling.config.ScheduledTaskRegistrar;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.session.config.annotation.web.http.EnableSpringHttpSession;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import vanemend.app.store.Changes;

/**
 * Sessions that are read every few seconds and note their last use once a minute, instead of at every request. A technician who
 * types asks many times a second; each note would be a write to disk on one and the same row, and the questions would queue
 * behind it.
 */
@Component
@EnableSpringHttpSession
public class QuietSessions implements SessionRepository<QuietSessions.Quiet> {
    private static final Duration NOTED_EVERY = Duration.ofMinutes(1);
    private static final long SWEPT_EVERY_MS = 60_000;
    /** A session as read, good until then; one that is ended here is forgotten at once. */
    private record Read(Quiet session, Instant until) {}

    private static final Duration READ_EVERY = Duration.ofSeconds(5);
    private final Map<String, Read> read = new ConcurrentHashMap<>();
    private final Clock clock;
    private final Changes others;
    private final Duration most;
    private final JdbcIndexedSessionRepository table;
    private final SessionRepository<Session> kept;

    @SuppressWarnings({"unchecked", "rawtypes"})
    QuietSessions(
            JdbcOperations jdbc,
            PlatformTransactionManager transactions,
            Clock clock,
            Changes others,
            @Value("${spring.session.timeout}") Duration timeout,
            @Value("${vanemend.session.most}") Duration most) {
        this.others = others;
        this.most = most;
        TransactionTemplate own = new TransactionTemplate(transactions);
        own.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.table = new JdbcIndexedSessionRepository(jdbc, own);
        this.table.setDefaultMaxInactiveInterval(timeout);
        // Swept by this class, which ends with the application.
        this.table.setCleanupCron(ScheduledTaskRegistrar.CRON_DISABLED);
        this.table.afterPropertiesSet();
        this.clock = clock;
        // The kept kind of session is not public; it is only handed through.
        this.kept = (SessionRepository) table;
    }

    /** Takes sessions away that have run out. */
    @Scheduled(fixedDelay = SWEPT_EVERY_MS)
    void sweep() {
        table.cleanUpExpiredSessions();
        Instant now = clock.instant();
        read.values().removeIf(r -> now.isAfter(r.until()));
    }

    @Override
    public Quiet createSession() {
        return new Quiet(kept.createSession());
    }

    @Override
    public void save(Quiet session) {
        kept.save(session.inner);
    }

    @Override
    public Quiet findById(String id) {
        Read last = read.get(id);
        Instant now = clock.instant();
        if (last != null && now.isBefore(last.until()) && !last.session().isExpired()) {
            return last.session();
        }
        Session found = kept.findById(id);
        if (found != null && tooOld(found)) {
            deleteById(id);
            return null;
        }
        if (found == null) {
            read.remove(id);
            return null;
        }
        Quiet session = new Quiet(found);
        read.put(id, new Read(session, now.plus(READ_EVERY)));
        return session;
    }

    /** However busy, a session ends after a while; but that of a screen on the wall, which never idles out, stays. */
    private boolean tooOld(Session s) {
        return !s.getMaxInactiveInterval().isNegative()
                && s.getCreationTime().plus(most).isBefore(Instant.now());
    }

    /** What lies under it; for tests. */
    JdbcIndexedSessionRepository table() {
        return table;
    }

    /** Lets go of what was read of {@code id}. */
    void forget(String id) {
        read.remove(id);
    }

    /** Whether the session {@code id} is still there. */
    public boolean lives(String id) {
        return findById(id) != null;
    }

    @Override
    public void deleteById(String id) {
        read.remove(id);
        kept.deleteById(id);
        others.tell(Changes.What.SESSION);
    }

    /** Somebody's sign-in ended at another server. */
    @EventListener
    void heard(Changes.Heard h) {
        if (h.what() == Changes.What.SESSION) {
            read.clear();
        }
    }

    /** Ends every session of {@code account}. */
    void endAllOf(Account account) {
        table.findByPrincipalName(account.id()).keySet().forEach(this::deleteById);
    }

    /** A session that passes everything on but too frequent notes of its use. */
    final class Quiet implements Session {
        private final Session inner;

        Quiet(Session inner) {
            this.inner = inner;
        }

        @Override
        public void setLastAccessedTime(Instant now) {
            if (Duration.between(inner.getLastAccessedTime(), now).compareTo(NOTED_EVERY) >= 0) {
                inner.setLastAccessedTime(now);
            }
        }

        @Override
        public String getId() {
            return inner.getId();
        }

        @Override
        public String changeSessionId() {
            read.remove(inner.getId());
            return inner.changeSessionId();
        }

        @Override
        public <T> T getAttribute(String name) {
            return inner.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return inner.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, Object value) {
            inner.setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            inner.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return inner.getCreationTime();
        }

        @Override
        public Instant getLastAccessedTime() {
            return inner.getLastAccessedTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            inner.setMaxInactiveInterval(interval);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return inner.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return inner.isExpired();
        }
    }
}
