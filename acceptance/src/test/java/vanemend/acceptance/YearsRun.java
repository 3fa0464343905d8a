package vanemend.acceptance;

import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.IntFunction;

/**
 * Ten years of a busy shop, then how quickly its lists answer. A few repairs are worked through in the browser to their last step; the others are
 * those again, each with its own vehicle, lot, day and hands. Arguments: how many finished repairs, how many events each has.
 */
public final class YearsRun {
    private static final int OPEN = 300;
    private static final int A_BATCH = 500;
    private static final int ASKED = 300;
    private static final int WARM = 60;
    private static final int VEHICLES = 3_000;
    private static final int A_LOT = 40;
    private static final long SECONDS = 3_652L * 86_400;
    private static final List<String> PEOPLE =
            List.of("Ansel Grew", "Bryn Hale", "Cato Lorne", "Dilys Marr", "Edda Quill", "Finn Sorrel");

    /** Numbers of what is made: well past those of the depot. */
    private static final long FIRST = 1_000_000;

    private final int repairs;
    private final int events;

    private YearsRun(int repairs, int events) {
        this.repairs = repairs;
        this.events = events;
    }

    /** Runs and prints what was measured. */
    public static void main(String[] args) {
        try {
            new YearsRun(Integer.parseInt(args[0]), Integer.parseInt(args[1])).run();
        } catch (SQLException | IOException | RuntimeException e) {
            // The browser's own threads would keep it from ending.
            e.printStackTrace();
            System.exit(1);
        }
        System.exit(0);
    }

    private void run() throws SQLException, IOException {
        List<Long> finished = new ArrayList<>();
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        tam.newRepair("Ten-year door", "2.8");
        tam.begin();
        finished.add(throughAll(tam));
        for (String name : List.of("Front-skirt split", "Roof-pod gelcoat hairline")) {
            finished.add(throughAll(Technician.running("tam", name)));
        }
        Visitor isla = Visitor.of("isla");
        long begun = System.nanoTime();
        try (Connection db = Depot.database();
                Statement s = db.createStatement()) {
            db.setAutoCommit(false);
            s.execute("SET SESSION foreign_key_checks = 0");
            s.execute("SET SESSION unique_checks = 0");
            for (int from = 0; from < repairs; from += A_BATCH) {
                years(s, finished.get(from / A_BATCH % finished.size()), from, Math.min(A_BATCH, repairs - from));
                db.commit();
                if (from % (A_BATCH * 20) == 0) {
                    System.out.printf("made %d of %d, %.0f s%n", from, repairs, seconds(begun));
                }
            }
            open(s);
            db.commit();
        }
        System.out.printf("%d finished repairs of %d events made in %.0f s%n", repairs, events, seconds(begun));
        sizes();
        ask(isla);
        backupAndRestore();
    }

    private static long throughAll(Technician t) {
        t.workTo("finished");
        t.sent();
        long id = Long.parseLong(t.number());
        t.page().context().close();
        return id;
    }

    private static double seconds(long begun) {
        return (System.nanoTime() - begun) / 1e9;
    }

    /** The numbers 1 to {@code many}, as they can be taken from one another. */
    private static String row(int many) {
        return "(SELECT CAST(seq AS SIGNED) AS seq FROM seq_1_to_" + many + ")";
    }

    /** {@code many} repairs like {@code like}, the oldest first. */
    private void years(Statement s, long like, int from, int many) throws SQLException {
        String n = "(" + from + " + q.seq - 1)";
        String id = "(" + (FIRST + from) + " + q.seq - 1)";
        String closed =
                "TIMESTAMPADD(SECOND, -" + (SECONDS / repairs) + " * (" + repairs + " - " + n + "), UTC_TIMESTAMP(3))";
        String people = "ELT(1 + " + n + " MOD " + PEOPLE.size() + ", '" + String.join("', '", PEOPLE) + "')";
        String vehicle = "CONCAT('Ridge, no. ', 1000 + " + n + " MOD " + VEHICLES + ")";
        String lot = "CONCAT('YR-', " + n + " DIV " + A_LOT + ")";
        String seq = " JOIN " + row(many) + " q";
        s.executeUpdate(
                "INSERT INTO repair (id, draft, version, created_by, created_at, changed_by, changed_at, client_id, closed_at) SELECT "
                        + id + ", draft, 1, created_by, " + closed + ", changed_by, " + closed + ", UUID(), " + closed
                        + " FROM repair r" + seq
                        + " WHERE r.id = " + like);
        s.executeUpdate("INSERT INTO frozen_plan (repair_id, rule_book, frozen_at, frozen_by, plan, format) SELECT "
                + id + ", rule_book, frozen_at, frozen_by, plan, format FROM frozen_plan f" + seq
                + " WHERE f.repair_id = " + like);
        events(s, like, id, many);
        s.executeUpdate("INSERT INTO closed_run (repair_id, format, line) SELECT " + id
                + ", format, JSON_ARRAY_INSERT(JSON_REPLACE(line, '$.vehicle', " + vehicle
                + "), '$.words[0]', JSON_OBJECT('sort', 'LOT', 'text', "
                + lot + "), '$.words[1]', JSON_OBJECT('sort', 'PERSON', 'text', " + people
                + "), '$.words[2]', JSON_OBJECT('sort', 'VEHICLE', 'text', " + vehicle
                + "), '$.words[3]', JSON_OBJECT('sort', 'DAY', 'text', DATE_FORMAT(" + closed
                + ", '%Y-%m-%d'))) FROM closed_run c" + seq
                + " WHERE c.repair_id = " + like);
        String keys = "INSERT IGNORE INTO closed_run_key (word, closed_at, repair_id) SELECT ";
        s.executeUpdate(keys + "word, " + closed + ", " + id + " FROM closed_run_key k" + seq + " WHERE k.repair_id = "
                + like + " AND word NOT LIKE '20__%'");
        for (String word : List.of(
                "LOWER(" + lot + ")",
                "SUBSTRING_INDEX(LOWER(" + people + "), ' ', 1)",
                "SUBSTRING_INDEX(LOWER(" + people + "), ' ', -1)",
                "CAST(1000 + " + n + " MOD " + VEHICLES + " AS CHAR)",
                "DATE_FORMAT(" + closed + ", '%Y-%m-%d')")) {
            s.executeUpdate(keys + word + ", " + closed + ", " + id + " FROM " + row(many) + " q");
        }
        s.executeUpdate("INSERT IGNORE INTO closed_run_look (due, repair_id) SELECT " + closed + " + INTERVAL 6 MONTH, "
                + id + " FROM closed_run_look l" + seq + " WHERE l.repair_id = " + like);
    }

    /** The events of {@code like} once more, and notes until there are enough. */
    private void events(Statement s, long like, String id, int many) throws SQLException {
        String columns =
                "repair_id, kind, at, received_at, account_id, step, answer, quantity, value, text, target, by_name, format, logged";
        String insert = "INSERT INTO bench_event (id, " + columns + ") SELECT UUID(), " + id + ", "
                + columns.substring("repair_id, ".length()) + " FROM bench_event e JOIN " + row(many) + " q";
        s.executeUpdate(insert + " WHERE e.repair_id = " + like + " AND e.target IS NULL");
        try (ResultSet r =
                s.executeQuery("SELECT COUNT(*) FROM bench_event WHERE target IS NULL AND repair_id = " + like)) {
            r.next();
            int more = events - r.getInt(1);
            if (more > 0) {
                s.executeUpdate("INSERT INTO bench_event (id, " + columns + ") SELECT UUID(), " + id
                        + ", 'NOTE', e.at, e.received_at, e.account_id, '', '', NULL, NULL, 'looked at', NULL, NULL, e.format, 0"
                        + " FROM bench_event e JOIN seq_1_to_" + more + " m JOIN seq_1_to_" + many
                        + " q WHERE e.repair_id = " + like
                        + " AND e.kind = 'START'");
            }
        }
    }

    /** Half of them wait, half run. */
    private static void open(Statement s) throws SQLException {
        String from = " FROM %s x JOIN " + row(OPEN)
                + " q WHERE x.%s = (SELECT MIN(r.id) FROM repair r JOIN frozen_plan f ON f.repair_id = r.id"
                + " WHERE r.closed_at IS NULL)";
        String id = (FIRST / 2) + " + q.seq";
        s.executeUpdate(
                "INSERT INTO repair (id, draft, version, created_by, created_at, changed_by, changed_at, client_id) SELECT "
                        + id + ", draft, 1, created_by, created_at, changed_by, UTC_TIMESTAMP(3), UUID()"
                        + from.formatted("repair", "id"));
        s.executeUpdate("INSERT INTO frozen_plan (repair_id, rule_book, frozen_at, frozen_by, plan, format) SELECT "
                + id + ", rule_book, frozen_at, frozen_by, plan, format" + from.formatted("frozen_plan", "repair_id")
                + " AND q.seq MOD 2 = 0");
        String columns =
                "kind, at, received_at, account_id, step, answer, quantity, value, text, target, by_name, format, logged";
        s.executeUpdate("INSERT INTO bench_event (id, repair_id, " + columns + ") SELECT UUID(), " + id + ", " + columns
                + from.formatted("bench_event", "repair_id")
                + " AND q.seq MOD 2 = 0 AND x.target IS NULL ORDER BY x.seq");
    }

    private static void sizes() throws SQLException {
        try (Connection db = Depot.database();
                Statement s = db.createStatement();
                ResultSet r = s.executeQuery(
                        "SELECT table_name, table_rows, data_length + index_length FROM information_schema.tables"
                                + " WHERE table_schema = DATABASE() AND data_length + index_length > 1048576 ORDER BY 3 DESC")) {
            while (r.next()) {
                System.out.printf(
                        "table %s: about %d rows, %d MB%n", r.getString(1), r.getLong(2), r.getLong(3) / 1_000_000);
            }
        }
    }

    private void ask(Visitor who) throws IOException {
        Random random = new Random(20_261_129);
        String records = "/api/records?find=";
        measured(who, "repairs that wait or run", n -> "/api/repairs");
        measured(who, "Bench", n -> "/api/bench");
        measured(who, "finished repairs, first page", n -> "/api/repairs/closed");
        measured(who, "records, first page", n -> records);
        measured(who, "records by lot", n -> records + "yr-" + random.nextInt(repairs / A_LOT));
        measured(who, "records by vehicle", n -> records + (1000 + random.nextInt(VEHICLES)));
        measured(who, "records by person", n -> records + first(random));
        measured(
                who,
                "records by damage",
                n -> records + List.of("dent", "crack", "hairline").get(random.nextInt(3)));
        measured(
                who,
                "records by day",
                n -> records
                        + java.time.LocalDate.now(java.time.ZoneOffset.UTC)
                                .minusDays(1 + random.nextInt((int) (SECONDS / 86_400) - 2)));
        measured(who, "records by person and damage", n -> records + words(first(random) + " dent"));
        measured(who, "records by vehicle and damage", n -> records + words(1000 + random.nextInt(VEHICLES) + " dent"));
        measured(who, "records by the beginning of a lot", n -> records + "yr-" + (1 + random.nextInt(9)));
        measured(who, "records by what is nowhere", n -> records + words("dent nowhere" + n));
        measured(
                who,
                "finished repairs far back",
                n -> "/api/repairs/closed?after=" + (System.currentTimeMillis() - random.nextLong(SECONDS * 1000))
                        + "-1");
    }

    private static String first(Random random) {
        return PEOPLE.get(random.nextInt(PEOPLE.size())).split(" ")[0];
    }

    private static String words(String asked) {
        return URLEncoder.encode(asked, StandardCharsets.UTF_8);
    }

    private static void measured(Visitor who, String what, IntFunction<String> path) throws IOException {
        double[] ms = new double[ASKED];
        for (int i = -WARM; i < ASKED; i++) {
            String asked = path.apply(i);
            long begun = System.nanoTime();
            int status = who.get(asked);
            if (status != 200) {
                throw new IllegalStateException(asked + " answered " + status);
            }
            if (i >= 0) {
                ms[i] = (System.nanoTime() - begun) / 1e6;
            }
        }
        java.util.Arrays.sort(ms);
        System.out.printf("%s: median %.1f ms, 99 %% %.1f ms%n", what, ms[ASKED / 2], ms[ASKED * 99 / 100]);
    }

    /** Written out and read in again, as the commands do it; what was read in is counted against what was written. */
    private static void backupAndRestore() throws SQLException, IOException {
        Path file = Depot.folder().resolve("years.sql.gz");
        Path other = Depot.folder().resolveSibling("years-restored");
        Files.deleteIfExists(file);
        SortedMap<String, Long> rows;
        try (Connection db = Depot.database()) {
            rows = rows(db);
        }
        long begun = System.nanoTime();
        command(Depot.folder(), "vanemend_depot", "backup", file.toString());
        System.out.printf("backup: %d MB in %.0f s%n", Files.size(file) / 1_000_000, seconds(begun));
        begun = System.nanoTime();
        command(other, "vanemend", "restore", file.toString());
        System.out.printf("restore: %.0f s%n", seconds(begun));
        try (Connection db = Depot.database(other)) {
            SortedMap<String, Long> read = rows(db);
            rows.forEach((table, many) -> System.out.printf("%s: %d written, %d read%n", table, many, read.get(table)));
            if (!read.equals(rows)) {
                throw new IllegalStateException("what was read in is not what was written");
            }
        } finally {
            Depot.vanemend("database", "down", other.toString());
            Files.delete(file);
        }
    }

    private static void command(Path folder, String database, String... words) {
        List<String> all = new ArrayList<>(List.of(
                "env",
                "VANEMEND_RUN=" + folder,
                "VANEMEND_DATABASE=" + database,
                "bash",
                Path.of("..", "vanemend").toAbsolutePath().normalize().toString()));
        all.addAll(List.of(words));
        System.out.println(Depot.command(all.toArray(String[]::new)));
    }

    private static SortedMap<String, Long> rows(Connection db) throws SQLException {
        SortedMap<String, Long> rows = new TreeMap<>();
        try (Statement s = db.createStatement()) {
            for (String table :
                    List.of("repair", "frozen_plan", "bench_event", "closed_run", "closed_run_key", "audit")) {
                try (ResultSet r = s.executeQuery("SELECT COUNT(*) FROM " + table)) {
                    r.next();
                    rows.put(table, r.getLong(1));
                }
            }
        }
        return rows;
    }
}
