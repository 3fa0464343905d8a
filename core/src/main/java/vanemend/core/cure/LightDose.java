package vanemend.core.cure;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Light taken in by a UV resin: irradiance × time against the irradiance that its minutes stand for. Until a UV meter is read it is
 * the sun's at that hour, or as planned under a lamp; from then on it is what was read last, going down with the sun. More light than
 * planned does not shorten it: longer never harms.
 *
 * @param neededMin minutes in the light that was planned on
 * @param began when the light came on it
 * @param sun the sun that was planned on; empty under a lamp
 * @param readings what the meter showed, in any order; kept in the order of their times
 */
public record LightDose(double neededMin, Instant began, Optional<Daylight> sun, List<Reading> readings) {
    /**
     * One look at the meter.
     *
     * @param atMin minutes since the light came on
     * @param uv irradiance, in the meter's unit
     */
    public record Reading(double atMin, double uv) {}

    private static final double STEP_MIN = 0.25;
    private static final double LONGEST_MIN = 48 * 60;
    private static final double SAME = 1e-9;

    public LightDose {
        readings = readings.stream()
                .sorted(Comparator.comparingDouble(Reading::atMin))
                .toList();
    }

    /** Whether something tells how the light really is: a meter, or the sun's height. */
    public boolean followed() {
        return sun.isPresent() || !readings.isEmpty();
    }

    /** Light at {@code min} against what was planned on, 0 to 1. */
    public double share(double min) {
        Reading last = null;
        for (Reading r : readings) {
            if (r.atMin() <= min) {
                last = r;
            }
        }
        double share = last == null
                ? sun.map(s -> s.share(at(min))).orElse(1.0)
                : last.uv() == 0 ? 0 : last.uv() / plannedUv() * sinking(last.atMin(), min);
        return Math.min(1, share);
    }

    /** What the meter shows in the light that was planned on, told by the first light it showed; by night as if by the lowest sun. */
    private double plannedUv() {
        Reading first = readings.stream().filter(r -> r.uv() > 0).findFirst().orElseThrow();
        return first.uv()
                / sun.map(s -> Math.max(s.share(at(first.atMin())), s.least())).orElse(1.0);
    }

    /** How far the sun has sunk from {@code from} to {@code to}, as a share of its light; a rising sun is not counted on. */
    private double sinking(double from, double to) {
        double then = sun.map(s -> s.share(at(from))).orElse(0.0);
        return then <= 0 ? 1 : Math.min(1, sun.orElseThrow().share(at(to)) / then);
    }

    private Instant at(double min) {
        return began.plus(Duration.ofMillis(Math.round(min * 60_000)));
    }

    /** Minutes of planned light taken in by {@code min} after the start. */
    public double dose(double min) {
        double dose = 0;
        for (double t = 0; t < min - SAME; ) {
            double to = Math.min(next(t), min);
            dose += share((t + to) / 2) * (to - t);
            t = to;
        }
        return dose;
    }

    /** Minutes after the start at which enough is in; empty where the light goes first, or it is not within two days. */
    public OptionalDouble reached() {
        double lastRead = readings.isEmpty() ? 0 : readings.getLast().atMin();
        double dose = 0;
        for (double t = 0; t < LONGEST_MIN; ) {
            double to = next(t);
            double share = share((t + to) / 2);
            if (dose + share * (to - t) >= neededMin - SAME) {
                return OptionalDouble.of(share == 0 ? t : t + (neededMin - dose) / share);
            }
            if (share == 0 && t >= lastRead - SAME) {
                return OptionalDouble.empty();
            }
            dose += share * (to - t);
            t = to;
        }
        return OptionalDouble.empty();
    }

    /** The end of the stretch that begins at {@code t}: a reading changes the light at once. */
    private double next(double t) {
        double to = t + STEP_MIN;
        for (Reading r : readings) {
            if (r.atMin() > t + SAME && r.atMin() < to) {
                to = r.atMin();
            }
        }
        return to;
    }
}
