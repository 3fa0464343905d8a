package vanemend.app.store;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vanemend.core.cure.Lag;
import vanemend.core.cure.MeasuredHeat;
import vanemend.core.run.MeasuredWarmUp;
import vanemend.core.trade.TradeBook;

/** Warm-ups that were logged here, and what they say of the lamps and ovens. */
@Component
class WarmUps {
    private record Kept(Lag.Build build, double factor) {}

    private final JdbcClient db;
    private final Clock clock;

    WarmUps(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** The median of the newest of each build. */
    MeasuredHeat measured() {
        int most = (int) TradeBook.value("heat.warm-ups");
        Map<Lag.Build, List<Double>> by = new EnumMap<>(Lag.Build.class);
        db.sql(
                        "SELECT build, factor FROM warm_up WHERE dropped_by IS NULL ORDER BY measured_at DESC, repair_id DESC, step DESC")
                .query((rs, i) -> new Kept(Lag.Build.valueOf(rs.getString(1)), rs.getDouble(2)))
                .list()
                .forEach(k ->
                        by.computeIfAbsent(k.build(), b -> new ArrayList<>()).add(k.factor()));
        Map<Lag.Build, MeasuredHeat.Measured> out = new EnumMap<>(Lag.Build.class);
        by.forEach((build, factors) -> {
            List<Double> newest = factors.stream().limit(most).sorted().toList();
            double middle = (newest.get((newest.size() - 1) / 2) + newest.get(newest.size() / 2)) / 2;
            out.put(build, new MeasuredHeat.Measured(middle, newest.size()));
        });
        return new MeasuredHeat(out);
    }

    /** Keeps what {@code repairId} told; what is kept already stays. Answers whether there was anything new. */
    boolean keep(long repairId, List<MeasuredWarmUp> told) {
        int kept = 0;
        for (MeasuredWarmUp m : told) {
            kept += db.sql(
                            "INSERT IGNORE INTO warm_up (repair_id, step, build, factor, measured_at) VALUES (?, ?, ?, ?, ?)")
                    .params(repairId, m.step(), m.build().name(), m.factor(), Timestamp.from(clock.instant()))
                    .update();
        }
        return kept > 0;
    }

    /** Lets those of {@code build} count no more; answers how many. */
    int drop(Lag.Build build, String by) {
        return db.sql("UPDATE warm_up SET dropped_by = ? WHERE build = ? AND dropped_by IS NULL")
                .params(by, build.name())
                .update();
    }
}
