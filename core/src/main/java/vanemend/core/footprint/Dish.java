package vanemend.core.footprint;

import org.locationtech.jts.geom.Geometry;

/**
 * A dish ground around a damage: deepest over the damage itself, running out to nothing {@code widthMm} past it. With s the distance
 * to the damage and w the width, depth = h/2·(1 + cos(π·s/w)): level at its bottom and at its rim, so that no kink prints through.
 *
 * @param damage outline, mm
 * @param sheet part, mm
 * @param widthMm from the damage to the rim, mm, above 0
 * @param depthMm over the damage, mm
 * @param grower that knows of the damage
 */
public record Dish(Geometry damage, Geometry sheet, double widthMm, double depthMm, Grower grower) {
    /** Nodes and weights of 6-point Gauss–Legendre quadrature on [−1, 1] (textbook). */
    private static final double[] NODE = {0.2386191860831969, 0.6612093864662645, 0.9324695142031521};

    private static final double[] WEIGHT = {0.4679139345726910, 0.3607615730481386, 0.1713244923791704};

    /** One whose outline nothing else has grown yet. */
    public Dish(Geometry damage, Geometry sheet, double widthMm, double depthMm) {
        this(damage, sheet, widthMm, depthMm, new Grower());
    }

    public Dish {
        if (!(widthMm > 0) || !(depthMm >= 0)) {
            throw new IllegalArgumentException("a dish " + widthMm + " mm wide and " + depthMm + " mm deep");
        }
    }

    /**
     * Width of a dish of {@code depthMm} whose steepest place falls 1 mm in {@code alongMm}: w = π/2·h·along, within
     * {@code leastMm} and {@code mostMm}.
     */
    public static double widthMm(double depthMm, double alongMm, double leastMm, double mostMm) {
        return Math.clamp(Math.PI / 2 * depthMm * alongMm, leastMm, mostMm);
    }

    /** Depth at a distance from the damage, mm. */
    public double depthAt(double distanceMm) {
        return depthAt(distanceMm, widthMm, depthMm);
    }

    static double depthAt(double distanceMm, double widthMm, double depthMm) {
        return distanceMm >= widthMm ? 0 : depthMm / 2 * (1 + Math.cos(Math.PI * Math.max(0, distanceMm) / widthMm));
    }

    /** Steepest slope: mm down for 1 mm along. */
    public double steepest() {
        return Math.PI * depthMm / (2 * widthMm);
    }

    /**
     * Volume, mm³: with A(s) the part's area within s of the damage, V = −∫ depth′(s)·A(s) ds from 0 to w, by 6-point Gauss–Legendre.
     * Around a point it is the cosine dish π·w²·h·(½ − 2/π²).
     */
    public double volumeMm3() {
        double sum = 0;
        double reached = 0;
        Geometry grown = damage;
        for (int k = -NODE.length; k <= NODE.length; k++) {
            if (k != 0) {
                int n = Math.abs(k) - 1;
                double s = widthMm / 2 * (1 + Math.signum(k) * NODE[n]);
                grown = Reach.further(damage, grown, reached, s, grower);
                reached = s;
                double fall = depthMm * Math.PI / (2 * widthMm) * Math.sin(Math.PI * s / widthMm);
                sum += WEIGHT[n]
                        * widthMm
                        / 2
                        * fall
                        * Reach.within(grown, sheet).getArea();
            }
        }
        return sum;
    }
}
