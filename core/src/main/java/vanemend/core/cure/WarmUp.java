package vanemend.core.cure;

import java.util.List;
import java.util.OptionalDouble;
import vanemend.core.trade.TradeBook;

/**
 * The time constant of a warm-up, from the surface as it was logged: T = P − (P − T₀)·e^(−t/τ), first-order lag (textbook), P and τ by least
 * squares. For each τ the best P follows in closed form, so that τ alone is searched.
 */
public final class WarmUp {
    /**
     * One reading.
     *
     * @param min from the first one, min
     * @param surfaceC °C
     */
    public record Point(double min, double surfaceC) {}

    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;
    private static final int ROUNDS = 80;
    private static final double LEAST_MIN = 0.2;
    private static final double MOST_MIN = 120;

    private WarmUp() {}

    /**
     * Its time constant, min; empty where it does not tell: too few readings, too little risen or too short to show the bend, or no such
     * curve.
     *
     * @param points in the order they were read, the first as the heat came on
     */
    public static OptionalDouble tauMin(List<Point> points) {
        List<Point> rising = rising(points);
        if (rising.size() < TradeBook.value("heat.warm-up-readings")
                || rising.getLast().surfaceC() - rising.getFirst().surfaceC() < TradeBook.value("heat.warm-up-rise")) {
            return OptionalDouble.empty();
        }
        double low = Math.log(LEAST_MIN);
        double high = Math.log(MOST_MIN);
        for (int i = 0; i < ROUNDS; i++) {
            double left = high - GOLDEN * (high - low);
            double right = low + GOLDEN * (high - low);
            if (misses(rising, Math.exp(left)) < misses(rising, Math.exp(right))) {
                high = right;
            } else {
                low = left;
            }
        }
        double tau = Math.exp((low + high) / 2);
        double off = Math.sqrt(misses(rising, tau) / rising.size());
        boolean bends = rising.getLast().min() >= tau;
        return bends && off <= TradeBook.value("heat.warm-up-off") ? OptionalDouble.of(tau) : OptionalDouble.empty();
    }

    /** Up to the hottest: what comes after is the cooling. */
    private static List<Point> rising(List<Point> points) {
        int hottest = 0;
        for (int i = 1; i < points.size(); i++) {
            if (points.get(i).surfaceC() > points.get(hottest).surfaceC()) {
                hottest = i;
            }
        }
        return points.isEmpty() ? points : points.subList(0, hottest + 1);
    }

    /** Sum of the squared misses with the plateau that fits best, K². */
    private static double misses(List<Point> points, double tau) {
        double from = points.getFirst().surfaceC();
        double top = 0;
        double bottom = 0;
        for (Point p : points) {
            double share = 1 - Math.exp(-p.min() / tau);
            top += (p.surfaceC() - from) * share;
            bottom += share * share;
        }
        double rise = bottom == 0 ? 0 : top / bottom;
        double sum = 0;
        for (Point p : points) {
            double off = p.surfaceC() - from - rise * (1 - Math.exp(-p.min() / tau));
            sum += off * off;
        }
        return sum;
    }
}
