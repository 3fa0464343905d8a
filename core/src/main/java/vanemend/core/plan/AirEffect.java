package vanemend.core.plan;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import vanemend.core.cure.CureLaw;
import vanemend.core.cure.Flash;
import vanemend.core.material.MaterialClass.Chemistry;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.TimesToday;
import vanemend.core.trade.Air;
import vanemend.core.trade.TradeBook;

/**
 * What the shop's air does to the times of one thing on the shelf.
 *
 * @param name item
 * @param what which time: work, sand or flash
 * @param labelMin as printed, min
 * @param labelC temperature that it is printed for, °C
 * @param todayMin in this air, min; empty where it does not cure
 */
public record AirEffect(String name, What what, double labelMin, double labelC, Optional<Double> todayMin) {
    /** Which time. */
    public enum What {
        WORK,
        SAND,
        FLASH
    }

    /** The effects on {@code shelf}, one item of each class, mixed ones before those that only flash. */
    public static List<AirEffect> of(List<ShelfItem> shelf, Air air) {
        List<AirEffect> mixed = new ArrayList<>();
        List<AirEffect> flashing = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        TimesToday today = new TimesToday(air.tempC());
        double ref = TradeBook.value("cure.reference");
        for (ShelfItem item : shelf) {
            Chemistry chemistry = item.materialClass().chemistry();
            boolean follows = chemistry.isMixed() || chemistry == Chemistry.ONE_PART;
            if (follows && !item.sand().isEmpty() && seen.add(item.classId())) {
                CureLaw law = today.law(item);
                item.workMin()
                        .ifPresent(min -> mixed.add(
                                new AirEffect(item.name(), What.WORK, min, ref, optional(today.workMin(item)))));
                ShelfItem.LabelTime label = item.sand().getFirst();
                mixed.add(new AirEffect(
                        item.name(), What.SAND, label.minutes(), label.atC(), optional(law.sandMinAt(air.tempC(), 1))));
            } else if (item.flashMin().isPresent() && seen.add(item.classId())) {
                double min = item.flashMin().get();
                flashing.add(new AirEffect(item.name(), What.FLASH, min, ref, Optional.of(min * Flash.factor(air))));
            }
        }
        mixed.addAll(flashing);
        return List.copyOf(mixed);
    }

    private static Optional<Double> optional(OptionalDouble d) {
        return d.isPresent() ? Optional.of(d.getAsDouble()) : Optional.empty();
    }
}
