package vanemend.app.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.jdbc.support.KeyHolder;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ObjectNode;
import vanemend.app.store.upgrade.Formats;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.RepairDraft;

/** Repairs as typed, and the plans they were started with. */
@Component
public class Repairs {
    /**
     * A repair as kept.
     *
     * @param version optimistic lock; goes up with every change
     * @param changedBy name of who changed it last
     * @param frozen true once the work began
     * @param anew why it is being planned anew while the work goes on; empty while it is not
     * @param closed true once the work was finished or ended
     * @param readable false where what is kept of its draft cannot be read; it then stands as an empty one
     */
    public record Stored(
            long id,
            RepairDraft draft,
            int version,
            String changedBy,
            Instant changedAt,
            boolean frozen,
            Optional<String> anew,
            boolean closed,
            boolean readable) {
        /** Whether its draft can be changed: the work has not begun, or it is being planned anew. */
        public boolean open() {
            return !frozen || anew.isPresent();
        }
    }

    private static final String COLUMNS =
            "r.id, r.draft, r.version, a.name, r.changed_at, r.anew, r.closed_at, f.repair_id IS NOT NULL AS frozen";
    private static final String JOINED =
            " JOIN account a ON a.id = r.changed_by LEFT JOIN frozen_plan f ON f.repair_id = r.id";
    private static final String SELECT = "SELECT STRAIGHT_JOIN " + COLUMNS + " FROM repair r" + JOINED;

    /** Of a few people and ten years of repairs the database would rather begin with the people. */
    private static final String NOT_CLOSED = "SELECT STRAIGHT_JOIN " + COLUMNS
            + " FROM repair r FORCE INDEX (repair_open)" + JOINED + " WHERE r.closed_at IS NULL AND r.away_at IS NULL";

    private static final String NEWEST_CHANGE = " ORDER BY r.changed_at DESC, r.id DESC";

    private static final int MOST_PLANS = 512;

    private final JdbcClient db;
    private final Json json;
    private final Clock clock;

    /** The how-manieth plan of a repair. */
    private record Frozen(long repair, int n) {}

    /** Frozen plans never change, so a copy in memory cannot go stale. */
    private final Cache<Frozen, FrozenPlan> plans =
            Caffeine.newBuilder().maximumSize(MOST_PLANS).build();

    Repairs(JdbcClient db, Json json, Clock clock) {
        this.db = db;
        this.json = json;
        this.clock = clock;
    }

    /** Repairs that are not closed, newest change first. */
    public List<Stored> notClosed() {
        return db.sql(NOT_CLOSED + NEWEST_CHANGE).query(this::row).list();
    }

    /** Repairs whose work has not begun, newest change first. */
    public List<Stored> open() {
        return db.sql(NOT_CLOSED + " AND f.repair_id IS NULL" + NEWEST_CHANGE)
                .query(this::row)
                .list();
    }

    /** The {@code most} that were added last. */
    public List<Stored> newest(int most) {
        return db.sql(SELECT + " WHERE r.away_at IS NULL ORDER BY r.id DESC LIMIT ?")
                .param(most)
                .query(this::row)
                .list();
    }

    /** Vehicles whose name holds {@code find} in any case, at most {@code most}, the one with the newest repair first. */
    public List<String> vehicles(String find, int most) {
        String like = "%" + find.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_") + "%";
        return db.sql("SELECT vehicle FROM (SELECT vehicle, MAX(id) AS newest FROM repair GROUP BY vehicle) v"
                        + " WHERE vehicle <> '' AND vehicle LIKE ? ORDER BY newest DESC LIMIT ?")
                .params(like, most)
                .query(String.class)
                .list();
    }

    /** The {@code most} repairs of {@code vehicle} that were added last, the newest first. */
    public List<Stored> ofVehicle(String vehicle, int most) {
        return db.sql(SELECT + " WHERE r.vehicle = ? AND r.away_at IS NULL ORDER BY r.id DESC LIMIT ?")
                .params(vehicle, most)
                .query(this::row)
                .list();
    }

    /** The repair {@code id}. */
    public Optional<Stored> find(long id) {
        return db.sql(SELECT + " WHERE r.id = ? AND r.away_at IS NULL")
                .param(id)
                .query(this::row)
                .optional();
    }

    /** Adds a repair; the same {@code clientId} sent twice gives the first one back. */
    public long add(UUID clientId, RepairDraft draft, String by) {
        Timestamp now = Timestamp.from(clock.instant());
        KeyHolder key = new GeneratedKeyHolder();
        try {
            db.sql(
                            "INSERT INTO repair (draft, created_by, created_at, changed_by, changed_at, client_id) VALUES (?, ?, ?, ?, ?, ?)")
                    .params(json.write(draft), by, now, by, now, clientId.toString())
                    .update(key, "id");
        } catch (DuplicateKeyException e) {
            return db.sql("SELECT id FROM repair WHERE client_id = ?")
                    .param(clientId.toString())
                    .query(Long.class)
                    .single();
        }
        return java.util.Objects.requireNonNull(key.getKey()).longValue();
    }

    /** Changes a repair that still has {@code version}; false where somebody was quicker. */
    public boolean change(long id, int version, RepairDraft draft, String by) {
        return db.sql("UPDATE repair SET draft = ?, version = version + 1, changed_by = ?, changed_at = ?"
                                + " WHERE id = ? AND version = ?")
                        .params(json.write(draft), by, Timestamp.from(clock.instant()), id, version)
                        .update()
                == 1;
    }

    /** Who added the repair, by sign-in name. */
    public String addedBy(long id) {
        return db.sql("SELECT created_by FROM repair WHERE id = ?")
                .param(id)
                .query(String.class)
                .single();
    }

    /** Takes a draft off every list; its row stays. */
    public void away(long id, String by) {
        db.sql("UPDATE repair SET away_at = ?, away_by = ? WHERE id = ?")
                .params(Timestamp.from(clock.instant()), by, id)
                .update();
    }

    /**
     * Holds the repair's row until the transaction ends, so that its events are taken one after the other. The row is changed, not only locked: where
     * the database is several that copy each other, only a change is seen by the others.
     */
    public void lock(long id) {
        db.sql("UPDATE repair SET turn = turn + 1 WHERE id = ?").param(id).update();
    }

    /** The turn of every repair that has begun and is not closed: as long as it is the same, nothing happened there. */
    public Map<Long, Long> turns() {
        Map<Long, Long> out = new TreeMap<>();
        db.sql(
                        "SELECT STRAIGHT_JOIN r.id, r.turn FROM repair r FORCE INDEX (repair_open) JOIN frozen_plan f ON f.repair_id = r.id"
                                + " WHERE r.closed_at IS NULL AND r.away_at IS NULL")
                .query((RowCallbackHandler) rs -> out.put(rs.getLong(1), rs.getLong(2)));
        return out;
    }

    /** Keeps the plan that the work begins with. */
    public void freeze(long id, FrozenPlan plan, String by) {
        db.sql(
                        "INSERT INTO frozen_plan (repair_id, rule_book, frozen_at, frozen_by, plan, format) VALUES (?, ?, ?, ?, ?, ?)")
                .params(kept(List.of(id), plan, by))
                .update();
    }

    private List<Object> kept(List<Object> key, FrozenPlan plan, String by) {
        List<Object> out = new ArrayList<>(key);
        out.addAll(
                List.of(plan.workup().ruleBook(), Timestamp.from(plan.frozenAt()), by, json.write(plan), Formats.PLAN));
        return out;
    }

    /** Keeps the {@code n}th plan, 2 or more, that the work goes on with; the repair is no longer being planned anew. */
    public void freezeAnew(long id, int n, FrozenPlan plan, String by) {
        db.sql(
                        "INSERT INTO plan_anew (repair_id, n, rule_book, frozen_at, frozen_by, plan, format) VALUES (?, ?, ?, ?, ?, ?, ?)")
                .params(kept(List.of(id, n), plan, by))
                .update();
        anew(id, Optional.empty());
    }

    /** Says that {@code id} is being planned anew and why, or with nothing that it is not any more. */
    public void anew(long id, Optional<String> why) {
        db.sql("UPDATE repair SET anew = ? WHERE id = ?")
                .params(why.orElse(null), id)
                .update();
    }

    /** The id that stands for the repair wherever its record is read in. */
    public UUID clientId(long id) {
        return UUID.fromString(db.sql("SELECT client_id FROM repair WHERE id = ?")
                .param(id)
                .query(String.class)
                .single());
    }

    /** The repair that has {@code clientId}. */
    public Optional<Long> byClientId(UUID clientId) {
        return db.sql("SELECT id FROM repair WHERE client_id = ?")
                .param(clientId.toString())
                .query(Long.class)
                .optional();
    }

    /** The plan the work began with. */
    public Optional<FrozenPlan> plan(long id) {
        return plan(id, 1);
    }

    /** The {@code n}th plan of {@code id}: the one the work began with is the first. */
    public Optional<FrozenPlan> plan(long id, int n) {
        Frozen key = new Frozen(id, n);
        Optional<FrozenPlan> known = Optional.ofNullable(plans.getIfPresent(key));
        if (known.isPresent()) {
            return known;
        }
        JdbcClient.StatementSpec kept = n == 1
                ? db.sql("SELECT plan, format FROM frozen_plan WHERE repair_id = ?")
                        .param(id)
                : db.sql("SELECT plan, format FROM plan_anew WHERE repair_id = ? AND n = ?")
                        .params(id, n);
        Optional<FrozenPlan> read = kept.query((rs, i) -> plan(rs.getInt("format"), rs.getString("plan")))
                .optional();
        read.ifPresent(p -> plans.put(key, p));
        return read;
    }

    private FrozenPlan plan(int format, String text) {
        if (format == Formats.PLAN) {
            return json.read(text, FrozenPlan.class);
        }
        ObjectNode tree = json.tree(text);
        Formats.plan(format, tree);
        return json.read(tree, FrozenPlan.class);
    }

    private Stored row(ResultSet rs, int i) throws SQLException {
        long id = rs.getLong("id");
        String kept = rs.getString("draft");
        Optional<RepairDraft> draft = OneRow.of(id, () -> draft(kept));
        return new Stored(
                id,
                draft.orElseGet(RepairDraft::empty),
                rs.getInt("version"),
                rs.getString("name"),
                rs.getTimestamp("changed_at").toInstant(),
                rs.getBoolean("frozen"),
                Optional.ofNullable(rs.getString("anew")),
                rs.getTimestamp("closed_at") != null,
                draft.isPresent());
    }

    private RepairDraft draft(String kept) {
        ObjectNode tree = json.tree(kept);
        Formats.draft(tree);
        return json.read(tree, RepairDraft.class);
    }
}
