package vanemend.app.store;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import vanemend.core.cure.Lag;
import vanemend.core.cure.MeasuredHeat;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Conditions;
import vanemend.core.method.House;
import vanemend.core.method.HousePages;
import vanemend.core.method.PageRule;
import vanemend.core.record.Used;
import vanemend.core.run.MeasuredWarmUp;
import vanemend.core.trade.Air;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** The shop today: air, house rules, shelf, hands. */
@Component
public class Shop {
    /** A house rule that was turned. */
    public record Change(String question, String answer, String by, Instant at) {}

    /** What every preview needs; read once and let go whenever something of it is written. */
    private record Today(Air air, House house, List<ShelfItem> shelf, Conditions.Place place, MeasuredHeat heat) {}

    private final AtomicReference<Today> today = new AtomicReference<>();
    private final JdbcClient db;
    private final Shelf shelf;
    private final Audit audit;
    private final PageRules pages;
    private final WarmUps warmUps;
    private final Changes others;
    private final Clock clock;
    private final ZoneId zone;
    /** Goes up with every change: what was read before one is not kept after it. */
    private final AtomicLong changes = new AtomicLong();

    private final Conditions.Place installed;

    Shop(
            JdbcClient db,
            Shelf shelf,
            Audit audit,
            PageRules pages,
            WarmUps warmUps,
            Changes others,
            Clock clock,
            @Value("${vanemend.zone}") String zone,
            @Value("${vanemend.latitude}") double latitude,
            @Value("${vanemend.longitude}") double longitude) {
        this.db = db;
        this.shelf = shelf;
        this.audit = audit;
        this.pages = pages;
        this.warmUps = warmUps;
        this.others = others;
        this.clock = clock;
        this.zone = ZoneId.of(zone);
        this.installed = new Conditions.Place(latitude, longitude);
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

    /** As fine as air is read. */
    private static double tenth(double v) {
        return Math.round(v * 10) / 10.0;
    }

    /** Takes the air as {@code by} typed it. */
    public void air(Air air, String by) {
        audit.did(by, Audit.Act.AIR, Text.of(tenth(air.tempC()), "°C") + ", " + Text.of(tenth(air.rhPercent()), "%"));
        db.sql("UPDATE shop_air SET temp_c = ?, rh_percent = ?, changed_at = ? WHERE id = 1")
                .params(air.tempC(), air.rhPercent(), Timestamp.from(clock.instant()))
                .update();
        changed();
    }

    /** Where the shop lies: as a lead said, else as it was installed. */
    public Conditions.Place place() {
        return db.sql("SELECT latitude_deg, longitude_deg FROM shop_place WHERE id = 1")
                .query((rs, i) -> new Conditions.Place(rs.getDouble(1), rs.getDouble(2)))
                .optional()
                .orElse(installed);
    }

    /** Takes where the shop lies. */
    @AllOrNothing
    public void place(Conditions.Place place, String by) {
        db.sql("INSERT INTO shop_place (id, latitude_deg, longitude_deg, changed_by, changed_at)"
                        + " VALUES (1, :lat, :lon, :by, :at) ON DUPLICATE KEY UPDATE latitude_deg = VALUES(latitude_deg),"
                        + " longitude_deg = VALUES(longitude_deg), changed_by = VALUES(changed_by),"
                        + " changed_at = VALUES(changed_at)")
                .param("lat", place.latitudeDeg())
                .param("lon", place.longitudeDeg())
                .param("by", by)
                .param("at", Timestamp.from(clock.instant()))
                .update();
        audit.did(
                by, Audit.Act.RULE, "shop at latitude " + place.latitudeDeg() + ", longitude " + place.longitudeDeg());
        changed();
    }

    /** What the shop's own warm-ups say of its lamps and ovens. */
    public MeasuredHeat heat() {
        return conditions(false).heat();
    }

    /** Keeps what the waits of {@code repairId} told of the shop's heat. */
    public void warmedUp(long repairId, List<MeasuredWarmUp> told) {
        if (warmUps.keep(repairId, told)) {
            changed();
        }
    }

    /** Goes by the rule book's time constants of {@code build} again. */
    @AllOrNothing
    public void dropWarmUps(Lag.Build build, String by) {
        if (warmUps.drop(build, by) > 0) {
            audit.did(by, Audit.Act.RULE, "warm-ups on " + build.word() + " count no more");
            changed();
        }
    }

    /** Schools in force: the newest answer to each question. */
    public HouseRules schools() {
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
        audit.did(by, Audit.Act.RULE, question + ": " + answer);
        changed();
    }

    /** Signs rules of the house's own pages, all or none. */
    @AllOrNothing
    public void sign(List<PageRule> rules, String by) {
        rules.forEach(r -> {
            pages.sign(r, by);
            audit.did(by, Audit.Act.RULE, Text.plain(r.method().id() + ": " + r.said()));
        });
        changed();
    }

    /** Takes back a rule of the house's own pages; answers whether it was in force. */
    @AllOrNothing
    public boolean takeBack(PageRule rule, String by) {
        boolean ended = pages.end(rule.id(), by);
        if (ended) {
            audit.did(by, Audit.Act.RULE, Text.plain(rule.method().id() + ", taken back: " + rule.said()));
            changed();
        }
        return ended;
    }

    /** Puts an item on the shelf. */
    public void stock(ShelfItem item) {
        shelf.add(item);
        changed();
    }

    /** Keeps an item as edited. */
    public void edit(ShelfItem item, String act, double quantity, String said, String by) {
        if (shelf.knows(item.id())) {
            shelf.put(item);
        } else {
            shelf.add(item);
        }
        shelf.did(item.id(), act, quantity, said, by, Timestamp.from(clock.instant()));
        audit.did(
                by,
                Audit.Act.SHELF,
                act.toLowerCase(java.util.Locale.ROOT) + " " + item.name() + ", lot " + item.lot());
        changed();
    }

    /** Takes an item off the shelf. */
    public void discard(ShelfItem item, String said, String by) {
        Timestamp now = Timestamp.from(clock.instant());
        shelf.discard(item.id(), now);
        shelf.did(item.id(), "DISCARD", item.quantity(), said, by, now);
        audit.did(by, Audit.Act.SHELF, "discard " + item.name() + ", lot " + item.lot());
        changed();
    }

    /**
     * Lets the shelf follow what {@code repairId} really used; what was put right comes back. An item that was thrown away meanwhile is
     * left alone.
     */
    public void used(long repairId, String said, List<Used> used, String by) {
        Map<String, Double> before = shelf.usedBy(repairId);
        if (used.isEmpty() && before.isEmpty()) {
            return;
        }
        Map<String, ShelfItem> items = new LinkedHashMap<>();
        shelf.all().forEach(i -> items.put(i.id(), i));
        Timestamp now = Timestamp.from(clock.instant());
        // By id, so that two repairs that take the same items never wait for each other crosswise.
        Map<String, Double> after = new TreeMap<>();
        before.keySet().stream().filter(items::containsKey).forEach(id -> after.put(id, 0.0));
        used.stream()
                .filter(u -> items.containsKey(u.itemId()))
                .forEach(u -> after.put(u.itemId(), counted(items.get(u.itemId()), u)));
        after.forEach((id, quantity) -> {
            double more = Math.round((quantity - before.getOrDefault(id, 0.0)) * 10) / 10.0;
            if (more != 0) {
                shelf.use(repairId, id, quantity, more);
                shelf.did(id, "USE", more, said, by, now);
                changed();
            }
        });
    }

    /** Another server changed what plans are made under. */
    @EventListener
    void heard(Changes.Heard h) {
        if (h.what() == Changes.What.SHOP) {
            forget();
        }
    }

    /** Lets go of what was read: now for this transaction, and once more when it is kept, for what was read meanwhile. */
    private void forget() {
        changes.incrementAndGet();
        today.set(null);
    }

    private void changed() {
        others.tell(Changes.What.SHOP);
        forget();
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCommit() {
                    forget();
                }
            });
        }
    }

    /** An amount in the unit that the shelf counts the item in. */
    private static double counted(ShelfItem item, Used u) {
        return Math.round(item.counted(u.amount(), u.unit()) * 10) / 10.0;
    }

    /** Where the shop lies, without asking the store each time: a meter asks twice a second. */
    public Conditions.Place placeKept() {
        return conditions(false).place();
    }

    /** What a plan is made under, for hands that spread at the rate of {@code apprentice} or a technician. */
    public Conditions conditions(boolean apprentice) {
        Today now = today.get();
        if (now == null) {
            long before = changes.get();
            now = new Today(
                    air(),
                    new House(schools(), new HousePages(pages.inForce())),
                    shelf.all(),
                    place(),
                    warmUps.measured());
            today.set(now);
            if (changes.get() != before) {
                today.compareAndSet(now, null);
            }
        }
        return new Conditions(
                now.air(),
                now.house(),
                now.shelf(),
                clock.instant(),
                zone,
                TradeBook.value(apprentice ? "spread.rate.apprentice" : "spread.rate"),
                now.place(),
                now.heat());
    }
}
