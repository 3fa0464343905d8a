package vanemend.core.record;

import java.lang.reflect.RecordComponent;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;

/** Whether a value that was read from a file has everything it is made of: a record that came out of a damaged one has holes. */
final class Whole {
    private Whole() {}

    /** Where something is missing in {@code value}, by its fields from {@code at} on; empty where nothing is. */
    static Optional<String> missing(Object value, String at) {
        return switch (value) {
            case null -> Optional.of(at);
            case Record r -> missingIn(r, at);
            case Optional<?> o -> o.flatMap(x -> missing(x, at));
            case Map<?, ?> m -> first(m.values(), at);
            case Collection<?> c -> first(c, at);
            default -> Optional.empty();
        };
    }

    private static Optional<String> first(Collection<?> all, String at) {
        int i = 0;
        for (Object x : all) {
            Optional<String> m = missing(x, at + "[" + i++ + "]");
            if (m.isPresent()) {
                return m;
            }
        }
        return Optional.empty();
    }

    private static Optional<String> missingIn(Record r, String at) {
        for (RecordComponent c : r.getClass().getRecordComponents()) {
            Optional<String> m =
                    c.getType().isPrimitive() ? Optional.empty() : missing(of(r, c), at + "." + c.getName());
            if (m.isPresent()) {
                return m;
            }
        }
        return Optional.empty();
    }

    private static Object of(Record r, RecordComponent c) {
        try {
            // Of records that are not public too.
            c.getAccessor().setAccessible(true);
            return c.getAccessor().invoke(r);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("a record's own component cannot be read", e);
        }
    }
}
