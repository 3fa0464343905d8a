package vanemend.core.mix;

import java.util.Optional;
import java.util.OptionalDouble;
import vanemend.core.trade.TradeBook;

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
 * @param lay how thick a round lies; empty where none was laid out, and in plans of earlier releases
 */
public record Again(double coat, double perMm, double perMl, double least, double most, Optional<Lay> lay) {
    public Again {
        lay = lay == null ? Optional.empty() : lay;
    }

    /** One of which nothing is known but how much it takes. */
    public Again(double coat, double perMm, double perMl, double least, double most) {
        this(coat, perMm, perMl, least, most, Optional.empty());
    }

    /**
     * How thick a round lies.
     *
     * @param coatMm the coat beside and over a hollow, as spread, mm
     * @param thin what a thin coat alone takes, pressed into pinholes, in the unit of the rest
     * @param thinMm how thick that lies, mm
     * @param spotMm2 area that coat and thin coat are for where the spot alone is corrected, mm²; 0 where all is coated again
     * @param papers how coarse its sanding begins
     */
    public record Lay(double coatMm, double thin, double thinMm, double spotMm2, Papers papers) {
        /** What of that area spots of {@code areaMm2} are; all of it where all is coated again. */
        double share(double areaMm2) {
            return spotMm2 > 0 ? Math.min(1, areaMm2 / spotMm2) : 1;
        }

        private Lay in(double per) {
            return new Lay(coatMm, thin * per, thinMm, spotMm2, papers);
        }
    }

    /**
     * How coarse the sanding of a round begins, by how thick it was laid.
     *
     * @param thickMm over this with any paper there is, mm
     * @param thinMm from this on with {@code middle}, below it with {@code fine}, mm
     * @param middle grade
     * @param fine grade
     */
    public record Papers(double thickMm, double thinMm, int middle, int fine) {
        /** The book's. */
        public static Papers ofTheBook() {
            return new Papers(
                    TradeBook.value("rework.thick"),
                    TradeBook.value("rework.thin"),
                    (int) TradeBook.value("rework.middle-paper"),
                    (int) TradeBook.value("rework.fine-paper"));
        }

        /** Coarsest grade for what was laid {@code mm} thick; 0 for any. */
        public int coarsest(double mm) {
            return mm > thickMm ? 0 : mm >= thinMm ? middle : fine;
        }
    }

    /** How much for a hollow of {@code depthMm}, 0 or more, all over; whole units, within what can be dosed and spread. */
    public double amount(double depthMm) {
        return amount(depthMm, OptionalDouble.empty());
    }

    /** The same for a spot that is {@code acrossMm} wide at its widest; empty for one as large as the damage. */
    public double amount(double depthMm, OptionalDouble acrossMm) {
        return within(asked(depthMm, acrossMm));
    }

    /** How much presses into pinholes and is drawn off over {@code areaMm2} of spots, or over all where none is drawn; whole units. */
    public double pinholes(OptionalDouble areaMm2) {
        return within(whole(lay.map(Lay::thin).orElse(coat) * share(areaMm2)));
    }

    /** How much fills spots of {@code areaMm2} that hold {@code ml} together; whole units, within what can be dosed and spread. */
    public double spots(double areaMm2, double ml) {
        return within(spotted(areaMm2, ml));
    }

    /** Whether spots of {@code areaMm2} that hold {@code ml} take more than one mix that can be spread in time. */
    public boolean spotsInRounds(double areaMm2, double ml) {
        return spotted(areaMm2, ml) > most;
    }

    private double spotted(double areaMm2, double ml) {
        return whole(coat * share(OptionalDouble.of(areaMm2)) + perMl * ml);
    }

    /** What of the area that is coated again spots of {@code areaMm2} are, over 0 to 1: papers are used, and minutes told, by it. */
    public double share(OptionalDouble areaMm2) {
        return lay.isPresent() && areaMm2.isPresent() ? lay.get().share(areaMm2.getAsDouble()) : 1;
    }

    /** Whether a hollow of {@code depthMm} and {@code acrossMm} takes more than one mix that can be spread in time. */
    public boolean inRounds(double depthMm, OptionalDouble acrossMm) {
        return asked(depthMm, acrossMm) > most;
    }

    private double asked(double depthMm, OptionalDouble acrossMm) {
        return whole(coat + depthMm * Math.min(perMm, cylinder(acrossMm)));
    }

    private static double whole(double amount) {
        return Math.ceil(amount - 1e-9);
    }

    private double within(double amount) {
        return Math.min(most, Math.max(least, amount));
    }

    /** A spot holds no more than the cylinder over it, whatever its profile (geometry); per mm of depth, in the unit of the rest. */
    private double cylinder(OptionalDouble acrossMm) {
        return perMl > 0 && acrossMm.isPresent()
                ? perMl * Math.PI / 4 * acrossMm.getAsDouble() * acrossMm.getAsDouble() / 1000
                : Double.MAX_VALUE;
    }

    /** With {@code ml} at least. */
    public Again atLeast(double ml) {
        return new Again(coat, perMm, perMl, Math.ceil(ml), Math.max(ml, most), lay);
    }

    /** With {@code more} for the coat besides. */
    Again with(double more) {
        return new Again(
                coat + more,
                perMm,
                perMl,
                Math.max(1, least),
                most,
                lay.map(l -> new Lay(l.coatMm, l.thin + more, l.thinMm, l.spotMm2, l.papers)));
    }

    /** A copy that lies {@code how}. */
    public Again lying(Lay how) {
        return new Again(coat, perMm, perMl, least, most, Optional.of(how));
    }

    /** In another unit, {@code per} of it for one of this; {@code least} and {@code most} in the new unit. */
    public Again in(double per, double least, double most) {
        return new Again(coat * per, perMm * per, perMl * per, least, Math.max(least, most), lay.map(l -> l.in(per)));
    }
}
