package vanemend.app.store;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vanemend.core.day.Hours;

/** What a shop says of itself once: its units, its lamps and ovens, and which steps of setting it up were looked at. */
@Component
public class ShopSettings {
    /** Most lamps or ovens of one kind. */
    public static final int MOST_HEAT = 50;

    /** In which units a screen begins that has not chosen its own. */
    public enum Units {
        METRIC,
        INCH
    }

    /** Steps of setting a shop up, in their order. */
    public enum Step {
        PEOPLE,
        PLACE,
        AIR,
        UNITS,
        HEAT,
        SHELF,
        PRACTICE
    }

    private static final String UNITS = "units";
    private static final String LAMPS = "lamps";
    private static final String OVENS = "ovens";
    private static final String HOURS = "hours";

    private final JdbcClient db;
    private final Audit audit;
    private final Clock clock;
    private final int installedLamps;
    private final int installedOvens;

    ShopSettings(
            JdbcClient db,
            Audit audit,
            Clock clock,
            @Value("${vanemend.lamps}") int lamps,
            @Value("${vanemend.ovens}") int ovens) {
        this.db = db;
        this.audit = audit;
        this.clock = clock;
        this.installedLamps = lamps;
        this.installedOvens = ovens;
    }

    /** The shop's units. */
    public Units units() {
        return value(UNITS).map(Units::valueOf).orElse(Units.METRIC);
    }

    /** How many lamps warm a part at one time. */
    public int lamps() {
        return value(LAMPS).map(Integer::valueOf).orElse(installedLamps);
    }

    /** How many ovens or booths that warm a part. */
    public int ovens() {
        return value(OVENS).map(Integer::valueOf).orElse(installedOvens);
    }

    /** Takes the shop's units. */
    @AllOrNothing
    public void units(Units units, String by) {
        put(UNITS, units.name(), by);
    }

    /** Takes how many lamps and ovens there are. */
    @AllOrNothing
    public void heat(int lamps, int ovens, String by) {
        put(LAMPS, Integer.toString(lamps), by);
        put(OVENS, Integer.toString(ovens), by);
    }

    /** When the shop works; nothing where nobody said. */
    public Hours hours() {
        return Hours.kept(value(HOURS).orElse(""));
    }

    /** Takes when the shop works. */
    @AllOrNothing
    public void hours(Hours hours, String by) {
        put(HOURS, hours.text(), by);
    }

    /** Steps that nobody has looked at yet, in order. */
    public List<Step> open() {
        Set<Step> done = EnumSet.noneOf(Step.class);
        db.sql("SELECT step FROM shop_set_up").query(String.class).list().forEach(s -> done.add(Step.valueOf(s)));
        List<Step> open = new ArrayList<>(List.of(Step.values()));
        open.removeAll(done);
        return open;
    }

    /** Marks {@code step} as looked at. */
    public void done(Step step) {
        db.sql("INSERT IGNORE INTO shop_set_up (step, done_at) VALUES (?, ?)")
                .params(step.name(), Timestamp.from(clock.instant()))
                .update();
    }

    private Optional<String> value(String name) {
        return db.sql("SELECT value FROM shop_setting WHERE name = ?")
                .params(name)
                .query(String.class)
                .optional();
    }

    private void put(String name, String value, String by) {
        db.sql("INSERT INTO shop_setting (name, value, changed_by, changed_at) VALUES (?, ?, ?, ?)"
                        + " ON DUPLICATE KEY UPDATE value = VALUES(value), changed_by = VALUES(changed_by),"
                        + " changed_at = VALUES(changed_at)")
                .params(name, value, by, Timestamp.from(clock.instant()))
                .update();
        audit.did(by, Audit.Act.RULE, name + ": " + value);
    }
}
