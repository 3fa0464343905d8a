package vanemend.core.trade;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/** Copies that nobody changes and that keep the order in which things were typed, so that what is written twice is the same text. */
public final class Ordered {
    private Ordered() {}

    /** A copy of {@code map}, empty for null. Throws {@link NullPointerException} where a key or a value is null. */
    public static <K, V> Map<K, V> copyOf(Map<K, V> map) {
        Map<K, V> out = new LinkedHashMap<>();
        if (map != null) {
            map.forEach((k, v) -> out.put(Objects.requireNonNull(k), Objects.requireNonNull(v)));
        }
        return Collections.unmodifiableMap(out);
    }

    /** A copy of {@code set}, empty for null. Throws {@link NullPointerException} where an element is null. */
    public static <T> Set<T> copyOf(Set<T> set) {
        Set<T> out = new LinkedHashSet<>();
        if (set != null) {
            set.forEach(e -> out.add(Objects.requireNonNull(e)));
        }
        return Collections.unmodifiableSet(out);
    }
}
