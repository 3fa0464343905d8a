package vanemend.app.store;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** What was read lately and cannot go stale, the longest unused let go first: memory stays flat however many repairs there are. */
final class Recent<K, V> {
    private final Map<K, V> kept;

    Recent(int most) {
        kept = new LinkedHashMap<>(16, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
            }
        };
    }

    synchronized Optional<V> find(K key) {
        return Optional.ofNullable(kept.get(key));
    }

    synchronized void keep(K key, V value) {
        kept.put(key, value);
    }
}
