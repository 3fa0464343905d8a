package vanemend.core.mix;

import java.util.OptionalDouble;

/**
 * What one more round of a material takes where a first one left a hollow: a coat over the same area, and the hollow that is still
 * there. A hollow of one outline and one profile holds in proportion to its depth (geometry); one that has drawn in holds less, so the
 * figure is never too little for it.
 *
 * @param coat without any hollow, in g of filler for a mix, in mL for a portion
 * @param perMm more for each mm of depth over the whole damage, the same unit
 * @param perMl for each mL of hollow, the same unit; 0 where the size of a spot bears on nothing
 * @param least less cannot be dosed well
 * @param most more cannot be spread in time
 */
public record Again(double coat, double perMm, double perMl, double least, double most) {
    /** How much for a hollow of {@code depthMm}, 0 or more, all over; whole units, within what can be dosed and spread. */
    public double amount(double depthMm) {
        return amount(depthMm, OptionalDouble.empty());
    }

    /** The same for a spot that is {@code acrossMm} wide at its widest; empty for one as large as the damage. */
    public double amount(double depthMm, OptionalDouble acrossMm) {
        return Math.min(most, Math.max(least, asked(depthMm, acrossMm)));
    }

    /** Whether a hollow of {@code depthMm} and {@code acrossMm} takes more than one mix that can be spread in time. */
    public boolean inRounds(double depthMm, OptionalDouble acrossMm) {
        return asked(depthMm, acrossMm) > most;
    }

    private double asked(double depthMm, OptionalDouble acrossMm) {
        return Math.ceil(coat + depthMm * Math.min(perMm, cylinder(acrossMm)) - 1e-9);
    }

    /** A spot holds no more than the cylinder over it, whatever its profile (geometry); per mm of depth, in the unit of the rest. */
    private double cylinder(OptionalDouble acrossMm) {
        return perMl > 0 && acrossMm.isPresent()
                ? perMl * Math.PI / 4 * acrossMm.getAsDouble() * acrossMm.getAsDouble() / 1000
                : Double.MAX_VALUE;
    }

    /** With {@code ml} at least. */
    public Again atLeast(double ml) {
        return new Again(coat, perMm, perMl, Math.ceil(ml), Math.max(ml, most));
    }

    /** In another unit, {@code per} of it for one of this; {@code least} and {@code most} in the new unit. */
    public Again in(double per, double least, double most) {
        return new Again(coat * per, perMm * per, perMl * per, least, Math.max(least, most));
    }
}
