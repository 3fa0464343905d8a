package vanemend.core.mix;

import vanemend.core.trade.TradeBook;

/**
 * Cream measured as a bead across a puddle of filler at working height. Calibrated so that a 100 mm bead across a 100 mm puddle
 * is 2 %; the puddle's area goes with the square of its diameter: percent = 2·(bead/100)/(puddle/100)² (common practice).
 */
public final class BeadRule {
    private BeadRule() {}

    /** Percent cream by weight that a bead really gives. Lengths in mm, above 0. */
    public static double percent(double puddleMm, double beadMm) {
        if (!(puddleMm > 0) || !(beadMm >= 0)) {
            throw new IllegalArgumentException("puddle " + puddleMm + " mm and bead " + beadMm
                    + " mm: expected a puddle above 0 mm and a bead of 0 mm or more");
        }
        return TradeBook.value("mix.bead-calibration") * (beadMm / 100) / Math.pow(puddleMm / 100, 2);
    }

    /** Length of bead, mm, that gives {@code percent} across a puddle of {@code puddleMm}. */
    public static double beadMm(double puddleMm, double percent) {
        return percent / TradeBook.value("mix.bead-calibration") * puddleMm * puddleMm / 100;
    }

    /** Diameter, mm, of a puddle of {@code volumeMl} spread to the working height. */
    public static double puddleMm(double volumeMl) {
        return Math.sqrt(volumeMl * 1000 * 4 / (Math.PI * TradeBook.value("mix.puddle-height")));
    }
}
