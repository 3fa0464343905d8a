package vanemend.core.plan;

import java.util.OptionalDouble;
import vanemend.core.cure.CureLaw;
import vanemend.core.material.MaterialClass.Chemistry;
import vanemend.core.material.ShelfItem;
import vanemend.core.stack.Need;

/**
 * Label times at today's temperature. Chemistries whose rate is no matter of temperature alone keep the label's own minutes.
 *
 * @param airC °C
 */
record TimesToday(double airC) implements Need.Times {
    @Override
    public OptionalDouble sandMin(ShelfItem item) {
        if (item.sand().isEmpty()) {
            return OptionalDouble.empty();
        }
        Chemistry c = item.materialClass().chemistry();
        return c.isMixed() || c == Chemistry.ONE_PART
                ? CureLaw.of(item).sandMinAt(airC, 1)
                : OptionalDouble.of(item.sand().getFirst().minutes());
    }

    @Override
    public OptionalDouble workMin(ShelfItem item) {
        return item.workMin().isEmpty() || item.sand().isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(CureLaw.of(item).workMinAt(item.workMin().get(), airC, 1));
    }
}
