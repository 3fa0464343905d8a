package vanemend.core.mix;

import vanemend.core.trade.TradeBook;

/**
 * Doses of cream and what they do, % by weight of filler; frozen with a plan, so that a screen judges as the core does.
 *
 * @param curesFrom below it never reaches full cure
 * @param from from here on the label's clock holds
 * @param to up to here the label's clock holds
 * @param curesTo above it never reaches full cure
 */
public record DoseWindow(double curesFrom, double from, double to, double curesTo) {
    /** As the rule book has it. */
    public static DoseWindow ofTheBook() {
        return new DoseWindow(
                TradeBook.value("peroxide.fails-below"),
                TradeBook.value("peroxide.low"),
                TradeBook.value("peroxide.high"),
                TradeBook.value("peroxide.fails-above"));
    }
}
