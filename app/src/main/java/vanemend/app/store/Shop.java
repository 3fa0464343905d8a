package vanemend.app.store;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vanemend.core.material.ShelfItem;
import vanemend.core.plan.Conditions;
import vanemend.core.trade.Air;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;

/** The shop today: air, house rules, shelf, hands. */
@Component
public class Shop {
    /** A house rule that was turned. */
    public record Change(String question, String answer, String by, Instant at) {}

    /** What every preview needs; read once and let go whenever something of it is written. */
    private record Today(Air air, HouseRules house, List<ShelfItem> shelf) {}

    private final AtomicReference<Today> today = new AtomicReference<>();
    private final JdbcClient db;
    private final Shelf shelf;
    private final Clock clock;
    private final ZoneId zone;
    private final Conditions.Place place;

    Shop(
            JdbcClient db,
            Shelf shelf,
            Clock clock,
            @Value("${vanemend.zone}") String zone,
            @Value("${vanemend.latitude}") double latitude,
            @Value("${vanemend.longitude}") double longitude) {
        this.db = db;
        this.shelf = shelf;
        this.clock = clock;
        this.zone = ZoneId.of(zone);
        this.place = new Conditions.Place(latitude, longitude);
    }

    /** The shop's zone. */
    public ZoneId zone() {
        return zone;
    }

    /** Shop air as last typed. */
    public Air air() {
        return db.sql("SELECT temp_c, rh_percent FROM shop_air WHERE id = 1")
                .query((rs, i) -> new Air(rs.getDouble(1), rs.getDouble(2)))
                .single();
    }

    /** When the air was typed. */
    public Instant airTypedAt() {
        return db.sql("SELECT changed_at FROM shop_air WHERE id = 1")
                .query((rs, i) -> rs.getTimestamp(1).toInstant())
                .single();
    }

    /** Takes the air as typed. */
    public void air(Air air) {
        db.sql("UPDATE shop_air SET temp_c = ?, rh_percent = ?, changed_at = ? WHERE id = 1")
                .params(air.tempC(), air.rhPercent(), Timestamp.from(clock.instant()))
                .update();
        today.set(null);
    }

    /** House rules in force: the newest answer to each question. */
    public HouseRules house() {
        Map<String, String> chosen = new LinkedHashMap<>();
        changes().forEach(c -> chosen.put(c.question(), c.answer()));
        return new HouseRules(chosen);
    }

    /** Every change of a house rule, oldest first. */
    public List<Change> changes() {
        return db.sql("SELECT h.question, h.answer, a.name, h.changed_at FROM house_rule_change h"
                        + " JOIN account a ON a.id = h.changed_by ORDER BY h.id")
                .query((rs, i) -> new Change(
                        rs.getString(1),
                        rs.getString(2),
                        rs.getString(3),
                        rs.getTimestamp(4).toInstant()))
                .list();
    }

    /** Turns a house rule. */
    public void house(String question, String answer, String by) {
        db.sql("INSERT INTO house_rule_change (question, answer, changed_by, changed_at) VALUES (?, ?, ?, ?)")
                .params(question, answer, by, Timestamp.from(clock.instant()))
                .update();
        today.set(null);
    }

    /** Puts an item on the shelf. */
    public void stock(ShelfItem item) {
        shelf.add(item);
        today.set(null);
    }

    /** Keeps an item as edited. */
    public void edit(ShelfItem item, String act, double quantity, String said, String by) {
        if (shelf.knows(item.id())) {
            shelf.put(item);
        } else {
            shelf.add(item);
        }
        shelf.did(item.id(), act, quantity, said, by, Timestamp.from(clock.instant()));
        today.set(null);
    }

    /** Takes an item off the shelf. */
    public void discard(ShelfItem item, String said, String by) {
        Timestamp now = Timestamp.from(clock.instant());
        shelf.discard(item.id(), now);
        shelf.did(item.id(), "DISCARD", item.quantity(), said, by, now);
        today.set(null);
    }

    /** What a plan is made under, for hands that spread at the rate of {@code apprentice} or a technician. */
    public Conditions conditions(boolean apprentice) {
        Today now = today.get();
        if (now == null) {
            now = new Today(air(), house(), shelf.all());
            today.set(now);
        }
        return new Conditions(
                now.air(),
                now.house(),
                now.shelf(),
                clock.instant(),
                zone,
                TradeBook.value(apprentice ? "spread.rate.apprentice" : "spread.rate"),
                place);
    }
}
