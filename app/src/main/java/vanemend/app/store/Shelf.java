package vanemend.app.store;

import java.sql.Date;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.UnitSize;
import vanemend.core.part.Tyre;

/** What stands on the shelf. */
@Component
public class Shelf {
    /** Something that was done with an item. */
    public record Act(String act, double quantity, String said, String by, Instant at) {}

    private static final int SAID = 200;

    private final JdbcClient db;

    Shelf(JdbcClient db) {
        this.db = db;
    }

    /** Everything, with label times. */
    public List<ShelfItem> all() {
        Map<String, List<ShelfItem.LabelTime>> times = new HashMap<>();
        db.sql("SELECT item_id, at_c, minutes FROM shelf_label_time ORDER BY item_id, at_c")
                .query((ResultSet rs) -> {
                    times.computeIfAbsent(rs.getString("item_id"), k -> new ArrayList<>())
                            .add(new ShelfItem.LabelTime(rs.getDouble("at_c"), rs.getDouble("minutes")));
                });
        return db.sql("SELECT * FROM shelf_item WHERE discarded_at IS NULL ORDER BY class_id, name, lot")
                .query((rs, i) -> row(rs, times))
                .list();
    }

    /** Whether {@code id} is taken, also by something that was thrown away. */
    public boolean knows(String id) {
        return db.sql("SELECT COUNT(*) FROM shelf_item WHERE id = ?")
                        .param(id)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** How often each item was changed: the version that an edit is made on. */
    public Map<String, Integer> versions() {
        Map<String, Integer> out = new HashMap<>();
        db.sql("SELECT id, version FROM shelf_item WHERE discarded_at IS NULL")
                .query((RowCallbackHandler) rs -> out.put(rs.getString(1), rs.getInt(2)));
        return out;
    }

    /** Holds the item's row until the transaction ends: what is left changes by what one hand does after the other. */
    public void lock(String id) {
        db.sql("SELECT id FROM shelf_item WHERE id = ? FOR UPDATE")
                .param(id)
                .query(String.class)
                .optional();
    }

    /** The item {@code id}, unless it was thrown away. */
    public Optional<ShelfItem> find(String id) {
        return all().stream().filter(i -> i.id().equals(id)).findFirst();
    }

    /** Adds an item. */
    void add(ShelfItem item) {
        db.sql("INSERT INTO shelf_item (class_id, name, lot, expires, quantity, unit, work_min, dose_percent,"
                        + " density_g_per_ml, grading, grade, wet, opened, pack_quantity, flash_min,"
                        + " ratio_by_volume, ratio_by_weight, stem_mm, cap_mm, tyre, roll_mm, id)"
                        + " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)")
                .params(columns(item))
                .update();
        times(item);
    }

    /** Writes over an item with the same id; one that was thrown away comes back. */
    void put(ShelfItem item) {
        db.sql(
                        "UPDATE shelf_item SET class_id = ?, name = ?, lot = ?, expires = ?, quantity = ?, unit = ?, work_min = ?,"
                                + " dose_percent = ?, density_g_per_ml = ?, grading = ?, grade = ?, wet = ?, opened = ?,"
                                + " pack_quantity = ?, flash_min = ?, ratio_by_volume = ?, ratio_by_weight = ?, stem_mm = ?, cap_mm = ?, tyre = ?, roll_mm = ?, discarded_at = NULL, version = version + 1 WHERE id = ?")
                .params(columns(item))
                .update();
        db.sql("DELETE FROM shelf_label_time WHERE item_id = ?")
                .param(item.id())
                .update();
        times(item);
    }

    /** What {@code repairId} has taken so far, by item. */
    public Map<String, Double> usedBy(long repairId) {
        Map<String, Double> out = new java.util.LinkedHashMap<>();
        db.sql("SELECT item_id, quantity FROM shelf_use WHERE repair_id = ?")
                .param(repairId)
                .query((rs, i) -> out.put(rs.getString(1), rs.getDouble(2)))
                .list();
        return out;
    }

    /** Keeps that {@code repairId} has taken {@code quantity} in all, and lets the shelf follow by what is {@code more} than before. */
    void use(long repairId, String itemId, double quantity, double more) {
        db.sql(
                        "INSERT INTO shelf_use (repair_id, item_id, quantity) VALUES (?, ?, ?) ON DUPLICATE KEY UPDATE quantity = ?")
                .params(repairId, itemId, quantity, quantity)
                .update();
        // What was weighed is true even where the shelf thought there was less.
        db.sql("UPDATE shelf_item SET quantity = GREATEST(0, quantity - ?), version = version + 1 WHERE id = ?")
                .params(more, itemId)
                .update();
    }

    /** Takes an item off the shelf; its acts stay readable. */
    void discard(String id, Timestamp at) {
        db.sql("UPDATE shelf_item SET discarded_at = ? WHERE id = ?")
                .params(at, id)
                .update();
    }

    /** Writes down what was done with an item. */
    void did(String id, String act, double quantity, String said, String by, Timestamp at) {
        db.sql("INSERT INTO shelf_act (item_id, act, quantity, said, account_id, at) VALUES (?, ?, ?, ?, ?, ?)")
                .params(id, act, quantity, said.length() > SAID ? said.substring(0, SAID) : said, by, at)
                .update();
    }

    /** What was done with {@code id}, oldest first. */
    public List<Act> acts(String id) {
        return db.sql(
                        "SELECT s.act, s.quantity, s.said, a.name, s.at FROM shelf_act s JOIN account a ON a.id = s.account_id"
                                + " WHERE s.item_id = ? ORDER BY s.id")
                .param(id)
                .query((rs, i) -> new Act(
                        rs.getString(1),
                        rs.getDouble(2),
                        rs.getString(3),
                        rs.getString(4),
                        rs.getTimestamp(5).toInstant()))
                .list();
    }

    private static List<Object> columns(ShelfItem item) {
        return Arrays.asList(
                item.classId(),
                item.name(),
                item.lot(),
                item.expires().map(Date::valueOf).orElse(null),
                item.quantity(),
                item.unit(),
                item.workMin().orElse(null),
                item.dosePercent().orElse(null),
                item.densityGPerMl().orElse(null),
                item.grading().orElse(null),
                item.grade().orElse(null),
                item.wet().name(),
                item.opened().map(Date::valueOf).orElse(null),
                item.packQuantity().orElse(null),
                item.flashMin().orElse(null),
                item.ratioByVolume().orElse(null),
                item.ratioByWeight().orElse(null),
                item.unitSize().map(UnitSize::stemMm).orElse(null),
                item.unitSize().map(UnitSize::capMm).orElse(null),
                item.unitSize().map(u -> u.use().name()).orElse(null),
                item.rollMm().orElse(null),
                item.id());
    }

    private void times(ShelfItem item) {
        for (ShelfItem.LabelTime t : item.sand()) {
            db.sql("INSERT INTO shelf_label_time (item_id, at_c, minutes) VALUES (?, ?, ?)")
                    .params(item.id(), t.atC(), t.minutes())
                    .update();
        }
    }

    private static ShelfItem row(ResultSet rs, Map<String, List<ShelfItem.LabelTime>> times) throws SQLException {
        String id = rs.getString("id");
        return new ShelfItem(
                id,
                rs.getString("class_id"),
                rs.getString("name"),
                rs.getString("lot"),
                Optional.ofNullable(rs.getDate("expires")).map(Date::toLocalDate),
                rs.getDouble("quantity"),
                rs.getString("unit"),
                number(rs, "work_min"),
                List.copyOf(times.getOrDefault(id, List.of())),
                number(rs, "dose_percent"),
                number(rs, "density_g_per_ml"),
                Optional.ofNullable(rs.getString("grading")),
                number(rs, "grade").map(Double::intValue),
                ShelfItem.Sanding.valueOf(rs.getString("wet")),
                Optional.ofNullable(rs.getDate("opened")).map(Date::toLocalDate),
                number(rs, "pack_quantity"),
                number(rs, "flash_min"),
                number(rs, "ratio_by_volume"),
                number(rs, "ratio_by_weight"),
                unit(rs),
                number(rs, "roll_mm"));
    }

    private static Optional<UnitSize> unit(ResultSet rs) throws SQLException {
        String tyre = rs.getString("tyre");
        return tyre == null
                ? Optional.empty()
                : Optional.of(new UnitSize(rs.getDouble("stem_mm"), rs.getDouble("cap_mm"), Tyre.Use.valueOf(tyre)));
    }

    private static Optional<Double> number(ResultSet rs, String column) throws SQLException {
        double v = rs.getDouble(column);
        return rs.wasNull() ? Optional.empty() : Optional.of(v);
    }
}
