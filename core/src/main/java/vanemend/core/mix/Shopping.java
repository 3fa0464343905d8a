package vanemend.core.mix;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vanemend.core.material.ShelfItem;
import vanemend.core.trade.Check;

/**
 * One line of what a plan takes from the shelf.
 *
 * @param itemId shelf item
 * @param material name on the shelf
 * @param lot as printed
 * @param needed in {@code unit}
 * @param have on the shelf of this lot, in {@code unit}
 * @param unit unit of the shelf
 * @param enough whether this lot is enough
 * @param said what to fetch besides, or buy; empty where this lot is enough
 */
public record Shopping(
        String itemId,
        String material,
        String lot,
        double needed,
        double have,
        String unit,
        boolean enough,
        String said) {

    /** The list for {@code needed} amounts by item id; lots of the same class suggested oldest first. */
    public static List<Shopping> of(Map<String, Double> needed, List<ShelfItem> shelf) {
        return needed.entrySet().stream()
                .flatMap(e -> shelf.stream()
                        .filter(i -> i.id().equals(e.getKey()))
                        .findFirst()
                        .map(i -> line(i, e.getValue(), shelf))
                        .stream())
                .toList();
    }

    private static Shopping line(ShelfItem item, double needed, List<ShelfItem> shelf) {
        boolean enough = item.quantity() >= needed;
        String said = "";
        if (!enough) {
            Optional<ShelfItem> next = shelf.stream()
                    .filter(i -> i.classId().equals(item.classId()) && !i.id().equals(item.id()) && i.quantity() > 0)
                    .min(Comparator.comparing((ShelfItem i) -> i.expires().isEmpty())
                            .thenComparing(i -> i.expires().orElse(LocalDate.MAX)));
            double lacking = Math.ceil((needed - item.quantity()) * 10) / 10;
            said = next.map(n -> "then lot " + n.lot() + ", the next to expire")
                    .orElse("buy " + Check.shown(lacking) + " " + item.unit() + " more");
        }
        return new Shopping(item.id(), item.name(), item.lot(), needed, item.quantity(), item.unit(), enough, said);
    }
}
