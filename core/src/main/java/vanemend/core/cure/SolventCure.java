package vanemend.core.cure;

import vanemend.core.trade.TradeBook;

/** Solvent resin hardens as its solvent leaves: time goes with the square of the bead's thickness (diffusion out of a slab, textbook). */
public final class SolventCure {
    private SolventCure() {}

    /** Minutes for a bead of {@code thicknessMm} where the label's bead takes {@code labelMin}; cold and damp air stretch it. */
    public static double minutes(double labelMin, double thicknessMm, double airFactor) {
        return labelMin * Math.pow(thicknessMm / TradeBook.value("bead.diameter"), 2) * Math.max(1, airFactor);
    }
}
