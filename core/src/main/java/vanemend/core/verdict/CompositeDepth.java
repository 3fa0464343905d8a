package vanemend.core.verdict;

import vanemend.core.damage.Blemish;
import vanemend.core.damage.Crack;
import vanemend.core.damage.Damage;
import vanemend.core.damage.Hairline;
import vanemend.core.damage.Scratch;
import vanemend.core.trade.TradeBook;

/** How deep damage in a composite is opened: one sum for verdict and plan. */
public final class CompositeDepth {
    private CompositeDepth() {}

    /** Depth {@code d} is opened to in a wall of {@code wallMm}, mm: the whole wall where it goes through. */
    public static double opened(Damage d, double wallMm) {
        return switch (d) {
            case Scratch s -> Math.min(s.depthMm(), wallMm);
            case Blemish b -> Math.min(b.depthMm(), wallMm);
            case Hairline h -> wallMm * TradeBook.value("dish.outer-share");
            case Crack c when c.depth() == Crack.Depth.OUTER_LAYER -> wallMm * TradeBook.value("dish.outer-share");
            default -> wallMm;
        };
    }

    /** Dish ground that deep, mm past the damage: 12 times its depth (marine practice, recalled), never under the least. */
    public static double dishMm(double deepMm) {
        return Math.max(TradeBook.value("dish.least"), TradeBook.value("dish.along.rigid") * deepMm);
    }
}
