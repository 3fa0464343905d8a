package vanemend.core.plan;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Supplier;
import vanemend.core.damage.Damage;
import vanemend.core.method.Conditions;
import vanemend.core.part.Family;
import vanemend.core.part.Part;

/**
 * What was worked out of sites lately: while one site of a part is typed at, its others are not worked out again at each key. Nothing but time
 * depends on it. Safe for several threads.
 */
public final class KeptSites {
    /** Most sites that are kept; those looked at longest ago go first. A score of technicians typing at parts of the most sites that one plan holds. */
    private static final int MOST = 20 * Site.MOST;

    private final Map<Key, Workup> kept = new LinkedHashMap<>(MOST, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Workup> eldest) {
            return size() > MOST;
        }
    };

    /** What is known of {@code key}, else what {@code fresh} gives. */
    Workup of(Key key, Supplier<Workup> fresh) {
        synchronized (kept) {
            Workup known = kept.get(key);
            if (known != null) {
                return known;
            }
        }
        // Outside of the lock: two that ask for the same at once both work it out, and nobody waits for another.
        Workup made = fresh.get();
        synchronized (kept) {
            kept.put(key, made);
        }
        return made;
    }

    /** All that a site's workup depends on: of the time only the day, but on glass, where the sun's height counts. */
    record Key(RepairDraft draft, Conditions shop, List<Damage> damages, List<Integer> numbers) {
        static Key of(RepairDraft draft, Conditions shop, List<Damage> damages, List<Integer> numbers, Part part) {
            Instant at = part.substrate().family() == Family.GLASS
                    ? shop.now()
                    : shop.today().atStartOfDay(shop.zone()).toInstant();
            return new Key(draft, shop.at(at), damages, numbers);
        }

        /** Of what differs from key to key; shelf and house are long and seldom differ. */
        @Override
        public int hashCode() {
            return Objects.hash(draft, shop.now(), numbers);
        }
    }
}
