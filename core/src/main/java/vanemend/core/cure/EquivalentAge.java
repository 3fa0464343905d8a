package vanemend.core.cure;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Cure counted in minutes at the label's temperature: te = Σ exp(−Ea/R·(1/T − 1/Tref))·Δt (the form of ASTM C1074). A sparse log is not
 * optimistic: between two readings the colder of them counts, before the first the shop's air or the first if that is colder; the newest holds
 * until the next.
 *
 * @param law how the item cures
 * @param startC surface when the clock started, °C
 * @param readings surface temperatures in any order; they are kept in the order of their times
 */
public record EquivalentAge(CureLaw law, double startC, List<Reading> readings) {
    /**
     * A surface temperature.
     *
     * @param atMin minutes since the clock started
     * @param surfaceC °C
     */
    public record Reading(double atMin, double surfaceC) {}

    private static final double STEP_MIN = 0.25;
    private static final double LONGEST_MIN = 48 * 60;

    public EquivalentAge {
        readings = readings.stream()
                .sorted(Comparator.comparingDouble(Reading::atMin))
                .toList();
    }

    /** Surface at {@code min} after the start, °C. */
    public double surfaceC(double min) {
        double c0 = startC;
        for (Reading r : readings) {
            if (min < r.atMin()) {
                return Math.min(c0, r.surfaceC());
            }
            c0 = r.surfaceC();
        }
        return c0;
    }

    /** Minutes at the reference temperature reached at {@code min} after the start. */
    public double at(double min) {
        double age = 0;
        double t = 0;
        while (t < min - 1e-12) {
            double dt = Math.min(STEP_MIN, min - t);
            age += law.worth(surfaceC(t + dt / 2)) * dt;
            t += dt;
        }
        return age;
    }

    /** Minutes after the start at which {@code wanted} is reached if the last temperature stays; empty where it is not within two days. */
    public OptionalDouble reaches(double wanted) {
        double age = 0;
        double t = 0;
        while (t < LONGEST_MIN) {
            double gain = law.worth(surfaceC(t + STEP_MIN / 2)) * STEP_MIN;
            if (age + gain >= wanted - 1e-12) {
                return OptionalDouble.of(t + (gain == 0 ? 0 : STEP_MIN * (wanted - age) / gain));
            }
            age += gain;
            t += STEP_MIN;
        }
        return OptionalDouble.empty();
    }
}
