package vanemend.core.cure;

import java.util.Optional;
import java.util.OptionalDouble;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/**
 * One way to get from spread to sanded.
 *
 * @param kind air or lamp
 * @param sandFromMin minutes from spread to sanding; empty where it does not cure this way
 * @param rampMin to reach temperature
 * @param holdMin at temperature
 * @param coolMin down to 30 °C
 * @param peakC hottest the surface gets, °C
 * @param note in words
 * @param lag how slowly the build follows the heat; empty where none is planned
 */
public record DryingRoute(
        Kind kind,
        Optional<Double> sandFromMin,
        double rampMin,
        double holdMin,
        double coolMin,
        double peakC,
        String note,
        Optional<Lag> lag) {
    /** Routes of an earlier release did not say how slowly the build follows. */
    public DryingRoute {
        lag = lag == null ? Optional.empty() : lag;
    }

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
    private static final double STEPS_A_TAU = 50;

    /** Whether it cures this way today. */
    public boolean cures() {
        return sandFromMin.isPresent();
    }

    /** Minutes from spread to sanding, of a way that cures. */
    public double minutes() {
        return sandFromMin.orElseThrow(() -> new IllegalStateException("it does not cure " + kind.word()));
    }

    private static DryingRoute never(Kind kind, double airC, String note) {
        return new DryingRoute(kind, Optional.empty(), 0, 0, 0, airC, note, Optional.empty());
    }

    /** Left in the shop's air. */
    public static DryingRoute air(CureLaw law, double airC, double peroxideFactor) {
        OptionalDouble min = law.sandMinAt(airC, peroxideFactor);
        return min.isPresent()
                ? new DryingRoute(
                        Kind.AIR, Optional.of(min.getAsDouble()), 0, min.getAsDouble(), 0, airC, "", Optional.empty())
                : never(
                        Kind.AIR,
                        airC,
                        !law.speaksOf(airC)
                                ? "Its label gives no time near " + Text.of(airC, "°C") + ": warm it as the label says."
                                : "Does not cure below " + Text.of(Math.round(law.minC()), "°C")
                                        + ": warm panel and shop first.");
    }

    /**
     * Warmed, the lamp or oven left on until the label's time is reached and then cooled to where it may be sanded. The surface nears the
     * plateau as plateau − (plateau − air)·e^(−t/τ); cure on the way up counts by its own equivalent age (the form of ASTM C1074), what
     * comes while it cools is margin.
     *
     * @param tauMin time constant of the build, min
     * @param plateauC what the surface is held at, °C
     */
    public static DryingRoute heated(
            Kind kind, CureLaw law, double airC, double peroxideFactor, double tauMin, double plateauC) {
        if (airC >= plateauC - NEAR_K) {
            return never(kind, airC, "The shop is as warm as that would be.");
        }
        double wanted = law.sandMin() * peroxideFactor;
        double ramp = rampMin(airC, tauMin, plateauC);
        double step = tauMin / STEPS_A_TAU;
        double age = 0;
        double on = 0;
        while (on < ramp) {
            double gain = law.worth(surfaceC(on + step / 2, airC, tauMin, plateauC)) * step;
            if (age + gain >= wanted) {
                on += step * (wanted - age) / gain;
                age = wanted;
                break;
            }
            age += gain;
            on += step;
        }
        double worth = law.worth(plateauC - NEAR_K);
        if (age < wanted && worth == 0) {
            return never(kind, airC, "Too cold to cure, warmed or not.");
        }
        double hold = age < wanted ? (wanted - age) / worth : 0;
        double up = Math.min(on, ramp);
        return cooled(kind, law, airC, tauMin, plateauC, up, on - up + hold);
    }

    /** Warmed as the label prints it: {@code heldMin} at {@code plateauC}, counted once the surface is there; its strength comes from that. */
    public static DryingRoute held(
            Kind kind, CureLaw law, double airC, double tauMin, double plateauC, double heldMin) {
        return airC >= plateauC - NEAR_K
                ? never(kind, airC, "The shop is as warm as that would be.")
                : cooled(kind, law, airC, tauMin, plateauC, rampMin(airC, tauMin, plateauC), heldMin);
    }

    private static double rampMin(double airC, double tauMin, double plateauC) {
        return tauMin * Math.log((plateauC - airC) / NEAR_K);
    }

    private static double surfaceC(double min, double airC, double tauMin, double plateauC) {
        return plateauC - (plateauC - airC) * Math.exp(-min / tauMin);
    }

    private static DryingRoute cooled(
            Kind kind, CureLaw law, double airC, double tauMin, double plateauC, double ramp, double hold) {
        double cool = TradeBook.value("heat.cool-to");
        double hottest = surfaceC(ramp + hold, airC, tauMin, plateauC);
        double down = airC >= cool || hottest <= cool ? 0 : tauMin * Math.log((hottest - airC) / (cool - airC));
        return new DryingRoute(
                kind,
                Optional.of(ramp + hold + down),
                ramp,
                hold,
                down,
                plateauC,
                "Surface " + Text.of(Math.round(plateauC), "°C") + ", stop above "
                        + Text.of(Math.round(law.capC()), "°C") + ".",
                Optional.empty());
    }

    /** A copy that says how slowly the build follows, where it is warmed at all. */
    public DryingRoute following(Lag slowly) {
        return sandFromMin.isEmpty()
                ? this
                : new DryingRoute(
                        kind,
                        sandFromMin,
                        rampMin,
                        holdMin,
                        coolMin,
                        peakC,
                        note + " " + slowly.said(),
                        Optional.of(slowly));
    }

    /** A route that takes {@code minutes} without warming the part; not a number where it does not cure. */
    public static DryingRoute still(Kind kind, double minutes, double airC, String note) {
        return Double.isNaN(minutes)
                ? never(kind, airC, note)
                : new DryingRoute(kind, Optional.of(minutes), 0, minutes, 0, airC, note, Optional.empty());
    }
}
