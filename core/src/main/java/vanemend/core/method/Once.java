package vanemend.core.method;

import java.util.function.Supplier;

/** What is worked out when it is first asked for, and then kept. For one thread. */
final class Once<T> implements Supplier<T> {
    private final Supplier<T> made;
    private T kept;

    Once(Supplier<T> made) {
        this.made = made;
    }

    @Override
    public T get() {
        if (kept == null) {
            kept = made.get();
        }
        return kept;
    }
}
