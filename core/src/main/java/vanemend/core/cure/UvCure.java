package vanemend.core.cure;

import java.util.OptionalDouble;
import vanemend.core.trade.TradeBook;

/**
 * Minutes of light that set a UV resin. Clear-sky UVA goes with sin(height)^1.2, calibrated on 5 min with the sun 70° high; cloud lets a
 * quarter through (recalled, verify). Longer never harms: never less than the label's summer figure.
 */
public final class UvCure {
    private UvCure() {}

    /** Minutes in direct sun at {@code elevationDeg}; empty where the sun is too low to plan on. */
    public static OptionalDouble sunMin(double elevationDeg) {
        return under(elevationDeg, 1);
    }

    /** Minutes under cloud. */
    public static OptionalDouble cloudMin(double elevationDeg) {
        return under(elevationDeg, TradeBook.value("uv.cloud"));
    }

    /** The lowest sun that a cure is planned on, degrees (recalled, verify). */
    static double lowestDeg() {
        return TradeBook.value("uv.lowest");
    }

    private static OptionalDouble under(double elevationDeg, double share) {
        if (elevationDeg < lowestDeg()) {
            return OptionalDouble.empty();
        }
        double base = TradeBook.value("uv.sun-minutes");
        return OptionalDouble.of(Math.max(base, base / (relative(elevationDeg) * share)));
    }

    /** UVA of a clear sky against the sun 70° high; 0 at and below the horizon. */
    public static double relative(double elevationDeg) {
        if (elevationDeg <= 0) {
            return 0;
        }
        double p = TradeBook.value("uv.exponent");
        double ref = Math.sin(Math.toRadians(TradeBook.value("uv.sun-elevation")));
        return Math.pow(Math.sin(Math.toRadians(elevationDeg)) / ref, p);
    }
}
