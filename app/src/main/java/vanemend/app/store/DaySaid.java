package vanemend.app.store;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vanemend.core.day.DayBook;
import vanemend.core.day.Hours;

/** What people said of the day: a repair's place in it, who is away and what is out of order, whose hours are their own. */
@Component
public class DaySaid {
    /** Kinds of things that may be out of order. */
    public static final List<String> THINGS = List.of("LAMP", "OVEN");

    /**
     * Somebody who is away, or something out of order.
     *
     * @param who id of an account, or one of {@link #THINGS}
     */
    public record Gone(long id, String who, Instant from, Instant to) {}

    private final JdbcClient db;
    private final Audit audit;
    private final Clock clock;

    DaySaid(JdbcClient db, Audit audit, Clock clock) {
        this.db = db;
        this.audit = audit;
        this.clock = clock;
    }

    /** What was said of each repair. */
    public Map<Long, DayBook.Pin> pins() {
        Map<Long, DayBook.Pin> out = new HashMap<>();
        db.sql("SELECT repair_id, person, not_before, goes_first, wished FROM day_pin")
                .query((ResultSet rs, int i) -> out.put(rs.getLong(1), pin(rs)))
                .list();
        return out;
    }

    private static DayBook.Pin pin(ResultSet rs) throws SQLException {
        return new DayBook.Pin(
                Optional.ofNullable(rs.getString(2)),
                Optional.ofNullable(rs.getTimestamp(3)).map(Timestamp::toInstant),
                rs.getBoolean(4),
                rs.getBoolean(5));
    }

    /** Takes what is said of {@code repair} now in place of what was. */
    @AllOrNothing
    public void pin(long repair, DayBook.Pin pin, String by) {
        if (pin.equals(DayBook.Pin.NONE)) {
            db.sql("DELETE FROM day_pin WHERE repair_id = ?").param(repair).update();
        } else {
            db.sql("REPLACE INTO day_pin (repair_id, person, not_before, goes_first, wished, changed_by, changed_at)"
                            + " VALUES (?, ?, ?, ?, ?, ?, ?)")
                    .params(
                            repair,
                            pin.by().orElse(null),
                            pin.notBefore().map(Timestamp::from).orElse(null),
                            pin.first(),
                            pin.wished(),
                            by,
                            now())
                    .update();
        }
        audit.did(
                by,
                Audit.Act.DRAFT,
                "repair " + repair + " on the day: " + pin.by().orElse("any hands")
                        + pin.notBefore().map(t -> ", not before " + t).orElse("") + (pin.first() ? ", first" : "")
                        + (pin.wished() ? ", wished" : ""));
    }

    /** Who and what is not there now or later. */
    public List<Gone> gone() {
        return db.sql("SELECT id, who, from_at, to_at FROM day_away WHERE to_at > ? ORDER BY from_at, id")
                .param(now())
                .query((ResultSet rs, int i) -> new Gone(
                        rs.getLong(1),
                        rs.getString(2),
                        rs.getTimestamp(3).toInstant(),
                        rs.getTimestamp(4).toInstant()))
                .list();
    }

    /** {@code who} is not there from {@code from} until {@code to}. */
    @AllOrNothing
    public void gone(String who, Instant from, Instant to, String by) {
        db.sql("INSERT INTO day_away (who, from_at, to_at, changed_by, changed_at) VALUES (?, ?, ?, ?, ?)")
                .params(who, Timestamp.from(from), Timestamp.from(to), by, now())
                .update();
        audit.did(by, Audit.Act.RULE, who + " away: " + from + " to " + to);
    }

    /** Takes back what was said by {@link #gone}; false where nothing was. */
    @AllOrNothing
    public boolean here(long id, String by) {
        boolean was = db.sql("DELETE FROM day_away WHERE id = ?").param(id).update() > 0;
        if (was) {
            audit.did(by, Audit.Act.RULE, "away " + id + " taken back");
        }
        return was;
    }

    /** Hours of those whose are their own, by account. */
    public Map<String, Hours> hours() {
        Map<String, Hours> out = new HashMap<>();
        db.sql("SELECT person, hours FROM person_hours")
                .query((ResultSet rs, int i) -> out.put(rs.getString(1), Hours.kept(rs.getString(2))))
                .list();
        return out;
    }

    /** Takes when {@code person} works; without any hours they work when the shop does. */
    @AllOrNothing
    public void hours(String person, Hours hours, String by) {
        if (hours.unsaid()) {
            db.sql("DELETE FROM person_hours WHERE person = ?").param(person).update();
        } else {
            db.sql("REPLACE INTO person_hours (person, hours, changed_by, changed_at) VALUES (?, ?, ?, ?)")
                    .params(person, hours.text(), by, now())
                    .update();
        }
        audit.did(by, Audit.Act.RULE, "hours of " + person + ": " + hours.text());
    }

    private Timestamp now() {
        return Timestamp.from(clock.instant());
    }
}
