package vanemend.core.cure;

import java.util.OptionalDouble;
import vanemend.core.trade.Text;
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
        AIR("in air"),
        LAMP("under the lamp"),
        OVEN("in the oven"),
        SUN("in the sun"),
        CLOUD("under cloud"),
        UV_LAMP("under a UV lamp");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        /** As said. */
        public String word() {
            return word;
        }

        /** Whether the part is warmed. */
        public boolean heats() {
            return this == LAMP || this == OVEN;
        }
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
                        "Does not cure below " + Text.of(Math.round(law.minC()), "°C")
                                + ": warm panel and shop first.");
    }

    /** Under a lamp on a steel panel, set for polyester. */
    public static DryingRoute lamp(CureLaw law, double airC, double peroxideFactor) {
        return heated(
                Kind.LAMP,
                law,
                airC,
                peroxideFactor,
                TradeBook.value("heat.tau.steel"),
                Math.min(TradeBook.value("heat.lamp-plateau"), law.capC()));
    }

    /**
     * Warmed: the surface nears the plateau as plateau − (plateau − air)·e^(−t/τ). The hold counts from within 1 K of the plateau, at
     * that lower temperature; what cures on the way up and down is margin.
     *
     * @param tauMin time constant of the panel, min
     * @param plateauC what the surface is held at, °C
     */
    public static DryingRoute heated(
            Kind kind, CureLaw law, double airC, double peroxideFactor, double tauMin, double plateauC) {
        double cool = TradeBook.value("heat.cool-to");
        if (airC >= plateauC - NEAR_K) {
            return new DryingRoute(kind, -1, 0, 0, 0, airC, "The shop is as warm as that would be.");
        }
        double ramp = tauMin * Math.log((plateauC - airC) / NEAR_K);
        double hold = law.sandMinAt(plateauC - NEAR_K, peroxideFactor).orElse(0);
        double down = airC >= cool ? 0 : tauMin * Math.log((plateauC - airC) / (cool - airC));
        return new DryingRoute(
                kind,
                ramp + hold + down,
                ramp,
                hold,
                down,
                plateauC,
                "Surface " + Text.of(Math.round(plateauC), "°C") + ", stop above "
                        + Text.of(Math.round(law.capC()), "°C") + ".");
    }

    /** A route that takes {@code minutes} without warming the part; not a number where it does not cure. */
    public static DryingRoute still(Kind kind, double minutes, double airC, String note) {
        return Double.isNaN(minutes)
                ? new DryingRoute(kind, -1, 0, 0, 0, airC, note)
                : new DryingRoute(kind, minutes, 0, minutes, 0, airC, note);
    }
}
