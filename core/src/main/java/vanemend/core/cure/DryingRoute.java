package vanemend.core.cure;

import java.util.OptionalDouble;
import vanemend.core.trade.TradeBook;

/**
 * One way to get from spread to sanded.
 *
 * @param kind air or lamp
 * @param sandFromMin minutes from spread to sanding; negative where it does not cure this way
 * @param rampMin to reach temperature
 * @param holdMin at temperature
 * @param coolMin down to 30 °C
 * @param peakC hottest the surface gets, °C
 * @param note in words
 */
public record DryingRoute(
        Kind kind, double sandFromMin, double rampMin, double holdMin, double coolMin, double peakC, String note) {
    /** Ways to dry. */
    public enum Kind {
        AIR,
        LAMP
    }

    private static final double NEAR_K = 1;

    /** Whether it cures this way today. */
    public boolean cures() {
        return sandFromMin >= 0;
    }

    /** Left in the shop's air. */
    public static DryingRoute air(CureLaw law, double airC, double peroxideFactor) {
        OptionalDouble min = law.sandMinAt(airC, peroxideFactor);
        return min.isPresent()
                ? new DryingRoute(Kind.AIR, min.getAsDouble(), 0, min.getAsDouble(), 0, airC, "")
                : new DryingRoute(
                        Kind.AIR,
                        -1,
                        0,
                        0,
                        0,
                        airC,
                        "Does not cure below " + Math.round(law.minC()) + " °C: warm panel and shop first.");
    }

    /**
     * Under a lamp: the surface nears the plateau as plateau − (plateau − air)·e^(−t/τ). The hold counts from within 1 K of the
     * plateau, at that lower temperature; what cures on the way up and down is margin.
     */
    public static DryingRoute lamp(CureLaw law, double airC, double peroxideFactor) {
        double tau = TradeBook.value("heat.tau.steel");
        double plateau = Math.min(TradeBook.value("heat.lamp-plateau"), law.capC());
        double cool = TradeBook.value("heat.cool-to");
        if (airC >= plateau - NEAR_K) {
            return new DryingRoute(Kind.LAMP, -1, 0, 0, 0, airC, "The shop is as warm as the lamp would be.");
        }
        double ramp = tau * Math.log((plateau - airC) / NEAR_K);
        double hold = law.sandMinAt(plateau - NEAR_K, peroxideFactor).orElse(0);
        double down = airC >= cool ? 0 : tau * Math.log((plateau - airC) / (cool - airC));
        return new DryingRoute(
                Kind.LAMP,
                ramp + hold + down,
                ramp,
                hold,
                down,
                plateau,
                "Surface " + Math.round(plateau) + " °C, stop above " + Math.round(law.capC()) + " °C.");
    }
}
