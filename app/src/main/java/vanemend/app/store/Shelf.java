package vanemend.app.store;

import java.sql.Date;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vanemend.core.material.ShelfItem;

/** What stands on the shelf. */
@Component
public class Shelf {
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
        return db.sql("SELECT * FROM shelf_item ORDER BY class_id, name, lot")
                .query((rs, i) -> row(rs, times))
                .list();
    }

    /** Adds an item. */
    void add(ShelfItem item) {
        db.sql("INSERT INTO shelf_item (id, class_id, name, lot, expires, quantity, unit, work_min, dose_percent,"
                        + " density_g_per_ml, grading, grade, wet) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)")
                .params(
                        item.id(),
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
                        item.wet().name())
                .update();
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
                ShelfItem.Sanding.valueOf(rs.getString("wet")));
    }

    private static Optional<Double> number(ResultSet rs, String column) throws SQLException {
        double v = rs.getDouble(column);
        return rs.wasNull() ? Optional.empty() : Optional.of(v);
    }
}
