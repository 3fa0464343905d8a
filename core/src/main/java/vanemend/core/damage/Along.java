package vanemend.core.damage;

import java.util.List;

/**
 * Depths read along a line such as a weld, from its start. Between two readings it runs straight; at an end that was not read it is nothing.
 *
 * @param lengthMm of the line, mm
 * @param at places from its start, mm, and the depth there, mm, in turn; places rise
 */
public record Along(double lengthMm, List<Double> at) {
    public Along {
        at = List.copyOf(at);
    }

    /** As deep everywhere. */
    public static Along level(double lengthMm, double depthMm) {
        return new Along(lengthMm, List.of(0.0, depthMm, lengthMm, depthMm));
    }

    /** Depth {@code s} mm from its start, mm. */
    public double depthAt(double s) {
        double x0 = 0;
        double d0 = 0;
        for (int i = 0; i < at.size(); i += 2) {
            double x1 = at.get(i);
            double d1 = at.get(i + 1);
            if (s <= x1) {
                return between(s, x0, d0, x1, d1);
            }
            x0 = x1;
            d0 = d1;
        }
        return between(s, x0, d0, lengthMm, 0);
    }

    private static double between(double s, double x0, double d0, double x1, double d1) {
        return x1 - x0 < 1e-9 ? d1 : d0 + (d1 - d0) * Math.clamp((s - x0) / (x1 - x0), 0, 1);
    }

    /** The deepest of what was read, mm. */
    public double deepestMm() {
        double most = 0;
        for (int i = 1; i < at.size(); i += 2) {
            most = Math.max(most, at.get(i));
        }
        return most;
    }

    /** Mean depth over its whole length, mm: trapezoids between the readings. */
    public double meanMm() {
        double sum = 0;
        double x0 = 0;
        double d0 = depthAt(0);
        for (int i = 0; i < at.size(); i += 2) {
            sum += (at.get(i) - x0) * (d0 + at.get(i + 1)) / 2;
            x0 = at.get(i);
            d0 = at.get(i + 1);
        }
        sum += (lengthMm - x0) * (d0 + depthAt(lengthMm)) / 2;
        return sum / lengthMm;
    }
}
