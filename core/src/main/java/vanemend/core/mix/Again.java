package vanemend.core.mix;

/**
 * What one more round of a material takes where a first one left a hollow: a coat over the same area, and the hollow that is still
 * there. A hollow of one outline and one profile holds in proportion to its depth (geometry); one that has drawn in holds less, so the
 * figure is never too little for it.
 *
 * @param coat without any hollow, in g of filler for a mix, in mL for a portion
 * @param perMm more for each mm of depth, the same unit
 * @param least less cannot be dosed well
 * @param most more cannot be spread in time
 */
public record Again(double coat, double perMm, double least, double most) {
    /** How much for a hollow of {@code depthMm}, 0 or more; whole units, within what can be dosed and spread. */
    public double amount(double depthMm) {
        return Math.min(most, Math.max(least, asked(depthMm)));
    }

    /** Whether a hollow of {@code depthMm} takes more than one mix that can be spread in time. */
    public boolean inRounds(double depthMm) {
        return asked(depthMm) > most;
    }

    private double asked(double depthMm) {
        return Math.ceil(coat + perMm * depthMm - 1e-9);
    }

    /** In another unit, {@code per} of it for one of this; {@code least} and {@code most} in the new unit. */
    public Again in(double per, double least, double most) {
        return new Again(coat * per, perMm * per, least, Math.max(least, most));
    }
}
