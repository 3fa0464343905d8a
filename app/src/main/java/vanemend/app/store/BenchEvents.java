package vanemend.app.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vanemend.app.store.upgrade.Formats;
import vanemend.core.damage.Oval;
import vanemend.core.run.BenchEvent;
import vanemend.core.trade.Quantity;

/** What happened at the bench; only ever added to. */
@Component
public class BenchEvents {
    private static final int MOST_READ = 512;

    /** Events as read when the repair's turn was {@code turn}. */
    private record Read(long turn, List<BenchEvent> events) {}

    private final Cache<Long, Read> read =
            Caffeine.newBuilder().maximumSize(MOST_READ).build();
    private final JdbcClient db;
    private final Clock clock;
    private final Json json;

    BenchEvents(JdbcClient db, Clock clock, Json json) {
        this.json = json;
        this.db = db;
        this.clock = clock;
    }

    /** Everything that happened to {@code repairId}, in the order it was received. */
    public List<BenchEvent> of(long repairId) {
        // Of a few people and millions of events the database would rather begin with the people.
        return db.sql(
                        "SELECT STRAIGHT_JOIN e.*, COALESCE(e.by_name, a.name) AS name FROM bench_event e FORCE INDEX (bench_event_repair)"
                                + " JOIN account a ON a.id = e.account_id WHERE e.repair_id = ? ORDER BY e.seq")
                .param(repairId)
                .query(this::row)
                .list();
    }

    /** Everything that happened to {@code repairId} until its turn was {@code turn}; read again only when that is another. */
    public List<BenchEvent> of(long repairId, long turn) {
        Optional<Read> known = Optional.ofNullable(read.getIfPresent(repairId)).filter(k -> k.turn() == turn);
        if (known.isPresent()) {
            return known.get().events();
        }
        List<BenchEvent> events = of(repairId);
        read.put(repairId, new Read(turn, events));
        return events;
    }

    /** The repair that already holds event {@code id}. */
    public Optional<Long> holder(UUID id) {
        return db.sql("SELECT repair_id FROM bench_event WHERE id = ?")
                .param(id.toString())
                .query(Long.class)
                .optional();
    }

    /** Adds an event; {@code accountId} stands for its {@code by}. */
    public void add(long repairId, BenchEvent e, String accountId) {
        add(repairId, e, accountId, null);
    }

    /** Adds an event from elsewhere, read in by {@code accountId}; its {@code by} is kept as it is. */
    public void addFromElsewhere(long repairId, BenchEvent e, String accountId) {
        add(repairId, e, accountId, e.by());
    }

    private void add(long repairId, BenchEvent e, String accountId, String byName) {
        db.sql(
                        "INSERT INTO bench_event (id, repair_id, kind, at, received_at, account_id, step, answer, quantity, value, text, target, by_name, format, logged, place)"
                                + " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)")
                .params(
                        e.id().toString(),
                        repairId,
                        e.kind().name(),
                        Timestamp.from(e.at()),
                        Timestamp.from(clock.instant()),
                        accountId,
                        e.step(),
                        e.answer(),
                        e.quantity().map(Enum::name).orElse(null),
                        e.value().orElse(null),
                        e.text(),
                        e.target().map(UUID::toString).orElse(null),
                        byName,
                        Formats.EVENT,
                        e.logged(),
                        e.place().map(json::write).orElse(null))
                .update();
    }

    private BenchEvent row(ResultSet rs, int i) throws SQLException {
        double value = rs.getDouble("value");
        boolean none = rs.wasNull();
        BenchEvent.Kind kind = BenchEvent.Kind.valueOf(rs.getString("kind"));
        boolean reading = kind == BenchEvent.Kind.READING;
        int format = rs.getInt("format");
        String text = rs.getString("text");
        return new BenchEvent(
                UUID.fromString(rs.getString("id")),
                kind,
                rs.getTimestamp("at").toInstant(),
                rs.getString("name"),
                rs.getString("step"),
                rs.getString("answer"),
                Optional.ofNullable(rs.getString("quantity")).map(Quantity::valueOf),
                none ? Optional.empty() : Optional.of(value),
                reading ? Formats.source(format, text) : text,
                Optional.ofNullable(rs.getString("target")).map(UUID::fromString),
                rs.getBoolean("logged") || reading && Formats.loggedByText(format, text),
                Optional.ofNullable(rs.getString("place")).map(p -> json.read(p, Oval.class)));
    }
}
