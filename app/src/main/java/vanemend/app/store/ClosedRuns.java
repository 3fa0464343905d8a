package vanemend.app.store;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vanemend.core.record.LookAgain;
import vanemend.core.record.RecordWords;
import vanemend.core.run.RunState;
import vanemend.core.verdict.Verdict;

/**
 * Work that is finished or ended, ready to be listed and found. All of it follows from plans and events and can be made again from them; it is
 * kept in the transaction that the newest of them is.
 */
@Component
public class ClosedRuns {
    /** Of the line that is kept; one more whenever what is told or found changes. */
    public static final int FORMAT = 1;

    /** A word that more records hold than these is common: the newest that hold it are soon met by going back in time. */
    private static final int COMMON = 2_000;

    /** As many words as may begin alike for what holds them to be gone along word by word. */
    private static final int FEW_WORDS = 20;

    private static final int LONGEST_STRETCH = 2_000;

    /**
     * What lists tell of it.
     *
     * @param mark substrate's mark
     * @param step title of the step it was ended at; empty where finished
     * @param ended how it was ended before its last step
     * @param deviations how many
     * @param again later looks
     * @param words what it is found by
     */
    public record Line(
            String name,
            String vehicle,
            String mark,
            String method,
            Verdict.Outcome verdict,
            String step,
            int stepsDone,
            int steps,
            Optional<Instant> promisedAt,
            Optional<Instant> startedAt,
            Optional<Instant> finishedAt,
            Optional<RunState.Ended> ended,
            List<String> people,
            int deviations,
            Optional<RunState.Signed> signed,
            List<LookAgain> again,
            List<RecordWords.Word> words) {}

    /**
     * One as kept, with who changed its draft last.
     *
     * @param line absent where what is kept of it cannot be read
     */
    public record Closed(long repair, Instant closedAt, Optional<Line> line, String changedBy, Instant changedAt) {
        /** Where it stands in the list. */
        public Place place() {
            return new Place(closedAt, repair);
        }
    }

    /** A place in the list of all of them, which begins with the one closed last. */
    public record Place(Instant closedAt, long repair) {
        /** Before the first. */
        public static final Place TOP = new Place(Instant.parse("9999-01-01T00:00:00Z"), Long.MAX_VALUE);
    }

    private static final String BEHIND = "r.closed_at <= :at AND (r.closed_at < :at OR r.id < :id)";

    private final JdbcClient db;
    private final JdbcTemplate batches;
    private final Json json;

    ClosedRuns(JdbcClient db, JdbcTemplate batches, Json json) {
        this.db = db;
        this.batches = batches;
        this.json = json;
    }

    /** Keeps {@code line} of {@code repair}, closed at {@code at}, in place of what was kept of it; says whether it was open before. */
    public boolean keep(long repair, Instant at, Line line) {
        Timestamp closed = Timestamp.from(at);
        boolean open = db.sql("UPDATE repair SET closed_at = ? WHERE id = ? AND closed_at IS NULL")
                        .params(closed, repair)
                        .update()
                > 0;
        if (!open) {
            forget(repair);
            db.sql("UPDATE repair SET closed_at = ? WHERE id = ?")
                    .params(closed, repair)
                    .update();
        }
        db.sql("INSERT INTO closed_run (repair_id, format, line) VALUES (?, ?, ?)")
                .params(repair, FORMAT, json.write(line))
                .update();
        List<Object[]> keys = line.words().stream()
                .flatMap(w -> RecordWords.keys(w.text()).stream())
                .distinct()
                .map(k -> new Object[] {k, closed, repair})
                .toList();
        batches.batchUpdate("INSERT INTO closed_run_key (word, closed_at, repair_id) VALUES (?, ?, ?)", keys);
        List<Object[]> looks = line.again().stream()
                .map(LookAgain::due)
                .distinct()
                .map(due -> new Object[] {Timestamp.from(due), repair})
                .toList();
        batches.batchUpdate("INSERT INTO closed_run_look (due, repair_id) VALUES (?, ?)", looks);
        return open;
    }

    /** The work on {@code repair} goes on: it is listed among what is open; says whether it was closed before. */
    public boolean reopen(long repair) {
        boolean was = db.sql("UPDATE repair SET closed_at = NULL WHERE id = ? AND closed_at IS NOT NULL")
                        .param(repair)
                        .update()
                > 0;
        if (was) {
            forget(repair);
        }
        return was;
    }

    private void forget(long repair) {
        for (String table : List.of("closed_run_key", "closed_run_look", "closed_run")) {
            db.sql("DELETE FROM " + table + " WHERE repair_id = ?")
                    .param(repair)
                    .update();
        }
    }

    /**
     * At most {@code most} behind {@code after}, the one closed last first, that are found by every part of a question.
     *
     * @param parts as {@link RecordWords#parts} gives them; none finds all
     */
    public List<Closed> find(List<String> parts, Place after, int most) {
        if (parts.isEmpty()) {
            return lines(walk(parts, after, most));
        }
        Map<String, Integer> held = new LinkedHashMap<>();
        parts.forEach(p -> held.put(p, atMost(p)));
        String rarest = parts.stream().min(Comparator.comparing(held::get)).orElseThrow();
        List<String> others = parts.stream().filter(p -> !p.equals(rarest)).toList();
        List<String> words = words(rarest);
        if (words.size() <= FEW_WORDS) {
            return lines(along(words, others, after, most));
        }
        return lines(held.get(rarest) < COMMON ? byRarest(rarest, others, after, most) : walk(parts, after, most));
    }

    /** Roughly how many keys begin with {@code part}; no more than {@link #COMMON} are counted. */
    private int atMost(String part) {
        return db.sql("SELECT COUNT(*) FROM (SELECT 1 FROM closed_run_key WHERE word LIKE ? LIMIT " + COMMON + ") some")
                .param(beginning(part))
                .query(Integer.class)
                .single();
    }

    /** The words that begin with {@code part}; one more than {@link #FEW_WORDS} at most. */
    private List<String> words(String part) {
        return db.sql("SELECT DISTINCT word FROM closed_run_key WHERE word LIKE ? LIMIT " + (FEW_WORDS + 1))
                .param(beginning(part))
                .query(String.class)
                .list();
    }

    /** Back in time along what holds one of {@code words}, a stretch at a time, keeping those that hold the other parts too. */
    private List<Long> along(List<String> words, List<String> others, Place after, int most) {
        List<Long> out = new ArrayList<>();
        Place from = after;
        for (int stretch = most;
                !words.isEmpty() && out.size() < most;
                stretch = Math.min(LONGEST_STRETCH, 4 * stretch)) {
            List<Place> some = stretch(words, from, stretch);
            Set<Long> met = others.isEmpty() ? Set.of() : met(some, others);
            some.stream()
                    .map(Place::repair)
                    .filter(r -> others.isEmpty() || met.contains(r))
                    .limit(most - out.size())
                    .forEach(out::add);
            if (some.size() < stretch) {
                break;
            }
            from = some.getLast();
        }
        return out;
    }

    /** The {@code most} behind {@code from} that hold one of {@code words}: each word's own are in order already. */
    private List<Place> stretch(List<String> words, Place from, int most) {
        String one =
                "(SELECT closed_at, repair_id FROM closed_run_key WHERE word = ? AND closed_at <= ? AND (closed_at < ? OR repair_id < ?)"
                        + " ORDER BY closed_at DESC, repair_id DESC LIMIT " + most + ")";
        Timestamp at = Timestamp.from(from.closedAt());
        List<Object> values = new ArrayList<>();
        words.forEach(w -> values.addAll(List.of(w, at, at, from.repair())));
        return db.sql(String.join(" UNION ", words.stream().map(w -> one).toList())
                        + " ORDER BY closed_at DESC, repair_id DESC LIMIT " + most)
                .params(values)
                .query((rs, i) -> new Place(rs.getTimestamp(1).toInstant(), rs.getLong(2)))
                .list();
    }

    /** Of {@code some} those that hold a word for every part. */
    private Set<Long> met(List<Place> some, List<String> parts) {
        if (some.isEmpty()) {
            return Set.of();
        }
        String ids = join(some.stream().map(Place::repair).toList());
        StringBuilder sql = new StringBuilder("SELECT r.id FROM repair r WHERE r.id IN (" + ids + ")");
        Map<String, Object> values = holding(sql, parts);
        return Set.copyOf(
                db.sql(sql.toString()).params(values).query(Long.class).list());
    }

    /** From all that hold the rarest part those that hold the others. */
    private List<Long> byRarest(String rarest, List<String> others, Place after, int most) {
        List<Long> ids = db.sql("SELECT DISTINCT repair_id FROM closed_run_key WHERE word LIKE ?")
                .param(beginning(rarest))
                .query(Long.class)
                .list();
        return ids.isEmpty()
                ? List.of()
                : ids("r.id IN (" + join(ids) + ") AND r.closed_at IS NOT NULL", "", others, after, most);
    }

    /** Back in time from {@code after}, until enough are met. */
    private List<Long> walk(List<String> parts, Place after, int most) {
        return ids("r.closed_at IS NOT NULL", " FORCE INDEX (repair_closed)", parts, after, most);
    }

    private static String join(List<Long> ids) {
        return String.join(",", ids.stream().map(String::valueOf).toList());
    }

    private List<Long> ids(String which, String index, List<String> parts, Place after, int most) {
        StringBuilder sql =
                new StringBuilder("SELECT r.id FROM repair r" + index + " WHERE " + which + " AND " + BEHIND);
        Map<String, Object> values = holding(sql, parts);
        values.put("at", Timestamp.from(after.closedAt()));
        values.put("id", after.repair());
        values.put("most", most);
        sql.append(" ORDER BY r.closed_at DESC, r.id DESC LIMIT :most");
        return db.sql(sql.toString()).params(values).query(Long.class).list();
    }

    /** Asks in {@code sql} for a word for every part; gives what it is asked with. */
    private static Map<String, Object> holding(StringBuilder sql, List<String> parts) {
        Map<String, Object> values = new LinkedHashMap<>();
        for (int i = 0; i < parts.size(); i++) {
            sql.append(" AND EXISTS (SELECT 1 FROM closed_run_key k WHERE k.repair_id = r.id AND k.word LIKE :part")
                    .append(i)
                    .append(")");
            values.put("part" + i, beginning(parts.get(i)));
        }
        return values;
    }

    private List<Closed> lines(List<Long> ids) {
        if (ids.isEmpty()) {
            return List.of();
        }
        Map<Long, Closed> by = new LinkedHashMap<>();
        db.sql(
                        "SELECT STRAIGHT_JOIN r.id, r.closed_at, r.changed_at, a.name, c.line FROM repair r JOIN account a ON a.id = r.changed_by"
                                + " JOIN closed_run c ON c.repair_id = r.id WHERE r.id IN (" + join(ids) + ")")
                .query(this::row)
                .list()
                .forEach(c -> by.put(c.repair(), c));
        return ids.stream().map(by::get).toList();
    }

    private Closed row(ResultSet rs, int i) throws SQLException {
        long id = rs.getLong("id");
        String line = rs.getString("line");
        return new Closed(
                id,
                rs.getTimestamp("closed_at").toInstant(),
                OneRow.of(id, () -> json.read(line, Line.class)),
                rs.getString("name"),
                rs.getTimestamp("changed_at").toInstant());
    }

    /** Those with a later look that is due between {@code from} and {@code to}. */
    public List<Closed> lookedAtAgain(Instant from, Instant to) {
        return lines(db.sql("SELECT DISTINCT repair_id FROM closed_run_look WHERE due BETWEEN ? AND ?")
                .params(Timestamp.from(from), Timestamp.from(to))
                .query(Long.class)
                .list());
    }

    /** At most {@code most} repairs whose line is of an earlier format, or that began and are not known to be closed; from {@code from} on. */
    public List<Long> toLookAt(long from, int most) {
        List<Long> out = new ArrayList<>(db.sql(
                        "SELECT STRAIGHT_JOIN r.id FROM repair r FORCE INDEX (repair_open) JOIN frozen_plan f ON f.repair_id = r.id"
                                + " WHERE r.closed_at IS NULL AND r.id >= ? ORDER BY r.id LIMIT ?")
                .params(from, most)
                .query(Long.class)
                .list());
        out.addAll(db.sql(
                        "SELECT repair_id FROM closed_run WHERE format < ? AND repair_id >= ? ORDER BY repair_id LIMIT ?")
                .params(FORMAT, from, most)
                .query(Long.class)
                .list());
        return out.stream().sorted().limit(most).toList();
    }

    /** As LIKE reads it: whatever begins with {@code part}. */
    private static String beginning(String part) {
        return part.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_") + "%";
    }
}
