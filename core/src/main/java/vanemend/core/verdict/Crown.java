package vanemend.core.verdict;

import vanemend.core.part.Tyre;

/** The part of a tread in which an injury may be repaired, by the boundaries of {@link Limits}; lengths in mm. */
public final class Crown {
    private Crown() {}

    /** From the centre line to {@code x}. */
    static double offset(Tyre tyre, double x) {
        return Math.abs(x - tyre.treadWidthMm() / 2);
    }

    /** From the rim of an injury {@code across} at {@code x} to the edge of the tread, where the belt ends at the latest. */
    static double edge(Tyre tyre, double x, double across) {
        return tyre.treadWidthMm() / 2 - offset(tyre, x) - across / 2;
    }

    /** How far from the centre line an injury {@code across} may lie. */
    private static double reach(Tyre tyre, double across) {
        double half = tyre.treadWidthMm() / 2 - across / 2;
        if (tyre.use() == Tyre.Use.TRUCK) {
            return half - Limits.rule("tyre-place-truck").from().orElseThrow();
        }
        Limits.Rule crown = Limits.rule("tyre-crown");
        return Math.min(
                crown.upTo().orElseThrow() * tyre.treadWidthMm(),
                half - crown.from().orElseThrow());
    }

    /** Whether an injury {@code across} at {@code x} lies in it. */
    static boolean holds(Tyre tyre, double x, double across) {
        return offset(tyre, x) <= reach(tyre, across);
    }

    /**
     * Steepest angle from square, degrees, at which an injury at {@code x} still comes out inside it on the worse side: what the verdict
     * and the reading at the tyre are both held against.
     */
    public static double steepestDeg(Tyre tyre, double x) {
        double room = reach(tyre, 0) - offset(tyre, x);
        return room <= 0 ? 0 : Math.toDegrees(Math.atan(room / tyre.crownMm()));
    }
}
