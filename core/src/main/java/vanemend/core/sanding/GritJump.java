package vanemend.core.sanding;

import vanemend.core.trade.TradeBook;

/**
 * One paper after another: how much finer, and which ladder allows it.
 *
 * @param fromUm grain of the first, µm
 * @param toUm grain of the second, µm
 */
public record GritJump(double fromUm, double toUm) {
    /** From one printed grade to another; an unknown grade is refused by name. */
    public static GritJump of(String fromGrading, int from, String toGrading, int to) {
        return new GritJump(Grains.micrometres(fromGrading, from), Grains.micrometres(toGrading, to));
    }

    /** How many times finer the second is. */
    public double ratio() {
        return fromUm / toUm;
    }

    /** Whether the quick ladder allows it. */
    public boolean quick() {
        return ratio() <= TradeBook.value("ladder.ratio.quick");
    }

    /** Whether the fine ladder allows it. */
    public boolean fine() {
        return ratio() <= TradeBook.value("ladder.ratio.fine");
    }
}
