package vanemend.core.mix;

import java.util.List;
import java.util.Optional;
import vanemend.core.material.ShelfItem;
import vanemend.core.mix.Portion.Figure;
import vanemend.core.trade.Text;

/**
 * Two parts in their ratio. The label's ratio is what is mixed; what the data sheet's equivalent weights ask for shows whether a ratio
 * can be right, and what it would be by the other measure.
 */
public final class TwoPart {
    private TwoPart() {}

    /**
     * Parts of amine hardener to 100 of epoxy resin by weight: 100·AHEW/EEW (Lee and Neville, Handbook of Epoxy Resins).
     *
     * @param ahew amine hydrogen equivalent weight, g
     * @param eew epoxide equivalent weight, g
     */
    public static double partsPerHundred(double ahew, double eew) {
        return 100 * ahew / eew;
    }

    /** Amine hydrogen equivalent weight, g: molar mass, g/mol, over active hydrogens. */
    public static double ahew(double molarMass, int activeHydrogens) {
        return molarMass / activeHydrogens;
    }

    /**
     * Equivalent weight of a blend, g: 1/Σ(w/EEW), never the plain mean.
     *
     * @param shares by weight, together 1
     * @param eews g each; infinite for a filler that takes no part
     */
    public static double blend(List<Double> shares, List<Double> eews) {
        double perGram = 0;
        for (int i = 0; i < shares.size(); i++) {
            perGram += shares.get(i) / eews.get(i);
        }
        return 1 / perGram;
    }

    /** Parts of B to 100 of A by weight, from {@code ratioByVolume} of A to 1 of B and both densities, g/mL. */
    public static double partsByWeight(double ratioByVolume, double densityA, double densityB) {
        return 100 * densityB / (densityA * ratioByVolume);
    }

    /** Parts of B to 100 of A by volume, from {@code parts} by weight and both densities, g/mL. */
    public static double partsByVolume(double parts, double densityA, double densityB) {
        return parts * densityA / densityB;
    }

    /**
     * What of each side goes into one go, by the label's own measure: by weight where it prints that, else by volume; empty where it
     * prints neither.
     *
     * @param ml both together
     * @param a the first side as said
     * @param b the second
     */
    static List<Figure> sides(ShelfItem item, double ml, String a, String b) {
        Optional<Double> weight = item.ratioByWeight();
        double ratio = weight.or(item::ratioByVolume).orElse(Double.NaN);
        if (Double.isNaN(ratio)) {
            return List.of();
        }
        String unit = weight.isPresent() ? "g" : "mL";
        double all = weight.isPresent() ? ml * item.density() : ml;
        String label = "label " + said(ratio) + (weight.isPresent() ? " by weight" : " by volume");
        // One part is rounded, the other follows it: two roundings of their own would shift the ratio.
        double first = Math.ceil(all * ratio / (1 + ratio) * 10 - 1e-9) / 10;
        return List.of(new Figure(a, first, unit, label), new Figure(b, first / ratio, unit, label));
    }

    /** A ratio as printed on labels: 2 : 1, or 1 : 2 where the second part is the larger. */
    static String said(double ratio) {
        return ratio >= 1
                ? Text.ratio(Math.round(ratio * 100) / 100.0, 1)
                : Text.ratio(1, Math.round(100 / ratio) / 100.0);
    }
}
