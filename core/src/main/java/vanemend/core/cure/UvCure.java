package vanemend.core.cure;

import java.util.OptionalDouble;
import vanemend.core.trade.TradeBook;

/**
 * Minutes of light that set a UV resin. Clear-sky UVA goes with sin(height)^1.2, calibrated on 5 min with the sun 70° high; cloud lets a
 * quarter through (recalled, verify). Longer never harms: a school's least stands, the sun's height may only lengthen it.
 */
public final class UvCure {
    private UvCure() {}

    /** Who says how long the light stays on at least. */
    public enum School {
        CAREFUL,
        LABEL,
        MODEL
    }

    /**
     * Minutes in direct sun; empty where it stands too low to plan on.
     *
     * @param heightDeg height of the sun on the pane, degrees
     */
    public static OptionalDouble sunMin(double heightDeg, School school) {
        double least = switch (school) {
            case CAREFUL -> TradeBook.value("uv.careful-sun");
            case LABEL ->
                TradeBook.value(
                        heightDeg >= TradeBook.value("uv.sun-elevation") ? "uv.sun-minutes" : "uv.winter-minutes");
            case MODEL -> TradeBook.value("uv.sun-minutes");
        };
        return under(heightDeg, 1, least);
    }

    /** Minutes under cloud: by every school at least what stands for a label that is silent about it. */
    public static OptionalDouble cloudMin(double heightDeg) {
        return under(heightDeg, TradeBook.value("uv.cloud"), TradeBook.value("uv.cloudy-minutes"));
    }

    /** The lowest sun that a cure is planned on, degrees (recalled, verify). */
    static double lowestDeg() {
        return TradeBook.value("uv.lowest");
    }

    private static OptionalDouble under(double heightDeg, double share, double least) {
        return heightDeg < lowestDeg()
                ? OptionalDouble.empty()
                : OptionalDouble.of(Math.max(least, TradeBook.value("uv.sun-minutes") / (relative(heightDeg) * share)));
    }

    /** UVA of a clear sky against the sun 70° high; 0 at and below the horizon. */
    public static double relative(double heightDeg) {
        if (heightDeg <= 0) {
            return 0;
        }
        double p = TradeBook.value("uv.exponent");
        double ref = Math.sin(Math.toRadians(TradeBook.value("uv.sun-elevation")));
        return Math.pow(Math.sin(Math.toRadians(heightDeg)) / ref, p);
    }
}
