package vanemend.core.method;

import java.util.IdentityHashMap;
import java.util.Map;
import java.util.OptionalDouble;
import vanemend.core.cure.CureLaw;
import vanemend.core.material.MaterialClass.Chemistry;
import vanemend.core.material.ShelfItem;
import vanemend.core.stack.Need;

/**
 * Label times at today's temperature. Chemistries whose rate is no matter of temperature alone keep the label's own minutes. What an
 * item's label says of its rate is worked out once, however often it is asked.
 */
public final class TimesToday implements Need.Times {
    private final double airC;
    private final Map<ShelfItem, CureLaw> laws = new IdentityHashMap<>();

    /** Times in air of {@code airC}, °C. */
    public TimesToday(double airC) {
        this.airC = airC;
    }

    /** How {@code item} cures; it must have a time to sand. */
    public CureLaw law(ShelfItem item) {
        return laws.computeIfAbsent(item, CureLaw::of);
    }

    @Override
    public OptionalDouble sandMin(ShelfItem item) {
        if (item.sand().isEmpty()) {
            return OptionalDouble.empty();
        }
        Chemistry c = item.materialClass().chemistry();
        return c.isMixed() || c == Chemistry.ONE_PART
                ? law(item).sandMinAt(airC, 1)
                : OptionalDouble.of(item.sand().getFirst().minutes());
    }

    @Override
    public OptionalDouble workMin(ShelfItem item) {
        return item.workMin().isEmpty() || item.sand().isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(law(item).workMinAt(item.workMin().get(), airC, 1));
    }
}
