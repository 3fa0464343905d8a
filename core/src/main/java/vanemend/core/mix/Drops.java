package vanemend.core.mix;

import vanemend.core.trade.TradeBook;

/**
 * Drops of glass resin, counted down: what goes in first, what each further fill takes, what is kept for the last bead.
 *
 * @param first drops of the first fill
 * @param more drops of each further fill
 * @param bead drops kept apart for the last bead
 */
public record Drops(double first, double more, double bead) {
    /**
     * For a break that holds {@code breakMl}: never less than the first fill of a usual chip.
     *
     * @param vacuum whether the share that goes in under vacuum leaves the rest for the bead
     */
    public static Drops of(double breakMl, boolean vacuum) {
        double asked = Math.ceil(breakMl * TradeBook.value("glass.over") / TradeBook.value("glass.drop") - 1e-9);
        double first = Math.max(TradeBook.value("glass.first-drops"), asked);
        double least = TradeBook.value("glass.bead-drops");
        double kept = vacuum ? Math.ceil(first / TradeBook.value("glass.load-share") - 1e-9) - first : 0;
        return new Drops(first, TradeBook.value("glass.more-drops"), Math.max(least, kept));
    }

    /** Laid out before the first goes in: one further fill is counted in. */
    public double all() {
        return first + more + bead;
    }
}
