package vanemend.core.cure;

import java.util.List;
import vanemend.core.material.ShelfItem.LabelTime;
import vanemend.core.trade.TradeBook;

/**
 * How much faster a reaction runs at another temperature: k(T)/k(Tref) = exp(−Ea/R·(1/T − 1/Tref)), T in kelvin (Arrhenius,
 * textbook). Temperatures in °C, activation energy in J/mol.
 */
public final class Arrhenius {
    private static final double KELVIN = 273.15;

    private Arrhenius() {}

    /** Rate at {@code atC} against the rate at {@code refC}. */
    public static double rate(double eaJPerMol, double atC, double refC) {
        double r = TradeBook.value("cure.gas-constant");
        return Math.exp(-eaJPerMol / r * (1 / (atC + KELVIN) - 1 / (refC + KELVIN)));
    }

    /** Time at {@code atC} against the time at {@code refC}. */
    public static double time(double eaJPerMol, double atC, double refC) {
        return 1 / rate(eaJPerMol, atC, refC);
    }

    /**
     * A line through ln t over 1/T by least squares.
     *
     * @param eaJPerMol activation energy, J/mol
     * @param lnMinutesAtInfinity intercept
     */
    public record Fit(double eaJPerMol, double lnMinutesAtInfinity) {
        /** Minutes at {@code atC} on the line. */
        public double minutesAt(double atC) {
            return Math.exp(lnMinutesAtInfinity + eaJPerMol / TradeBook.value("cure.gas-constant") / (atC + KELVIN));
        }
    }

    /** Fits two or more label times at different temperatures. */
    public static Fit fit(List<LabelTime> times) {
        if (times.stream().mapToDouble(LabelTime::atC).distinct().count() < 2) {
            throw new IllegalArgumentException("a fit needs label times at two temperatures or more");
        }
        double n = times.size();
        double sx = 0;
        double sy = 0;
        double sxx = 0;
        double sxy = 0;
        for (LabelTime t : times) {
            double x = 1 / (t.atC() + KELVIN);
            double y = Math.log(t.minutes());
            sx += x;
            sy += y;
            sxx += x * x;
            sxy += x * y;
        }
        double slope = (n * sxy - sx * sy) / (n * sxx - sx * sx);
        return new Fit(slope * TradeBook.value("cure.gas-constant"), (sy - slope * sx) / n);
    }
}
