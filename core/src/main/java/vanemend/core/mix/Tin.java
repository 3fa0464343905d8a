package vanemend.core.mix;

import java.util.Optional;
import java.util.stream.Stream;
import vanemend.core.material.MaterialClass.Chemistry;
import vanemend.core.material.MaterialClass.Surface;
import vanemend.core.material.ShelfItem;
import vanemend.core.trade.TradeBook;

/**
 * What cream is kneaded into: filler or putty as it comes, or filler thinned with putty. Of two, the stricter label holds: the shorter work
 * time, the longer cure, the thinner lift.
 *
 * @param item filler or putty; with a work time and a time to sand
 * @param putty that it is thinned with; with both times as well
 * @param note why it is not thinned although it was asked for; empty where it is, or was not
 */
public record Tin(ShelfItem item, Optional<ShelfItem> putty, String note) {
    /** As it comes. */
    public static Tin of(ShelfItem item) {
        return new Tin(item, Optional.empty(), "");
    }

    /** Thinned with {@code putty} where both cure alike and the putty holds on {@code ground} as well. */
    public static Tin thinned(ShelfItem item, Optional<ShelfItem> putty, Surface ground) {
        if (putty.isEmpty()) {
            return new Tin(item, putty, "Not thinned: no putty on the shelf.");
        }
        ShelfItem p = putty.get();
        boolean alike = Stream.of(item, p).allMatch(i -> i.materialClass().chemistry() == Chemistry.POLYESTER)
                && p.workMin().isPresent()
                && !p.sand().isEmpty();
        if (!alike) {
            return new Tin(item, Optional.empty(), "Not thinned: " + p.name() + " does not cure with the same cream.");
        }
        return p.materialClass().bondsTo().contains(ground)
                ? new Tin(item, putty, "")
                : new Tin(item, Optional.empty(), "Not thinned: " + p.name() + " does not hold on what it lies on.");
    }

    Optional<Thinner> thinner() {
        return putty.map(p -> Thinner.of(p, share()));
    }

    private double share() {
        return putty.isEmpty() ? 0 : TradeBook.value("mix.putty-share");
    }

    /** What is kneaded together, the cream left out. */
    public Stream<ShelfItem> both() {
        return Stream.concat(Stream.of(item), putty.stream());
    }

    /** g/mL: volumes of what is weighed together add up. */
    double density() {
        return putty.map(p -> 1 / ((1 - share()) / item.density() + share() / p.density()))
                .orElse(item.density());
    }

    /** Thickest lift, mm. */
    double maxLiftMm() {
        return both().mapToDouble(i -> i.typical("maxLiftMm")).min().orElseThrow();
    }

    /** Work time on the label, min. */
    public double labelWorkMin() {
        return both().mapToDouble(i -> i.workMin().orElseThrow()).min().orElseThrow();
    }
}
