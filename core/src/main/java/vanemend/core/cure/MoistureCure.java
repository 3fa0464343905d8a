package vanemend.core.cure;

import vanemend.core.trade.Air;
import vanemend.core.trade.TradeBook;

/**
 * Cure that eats in from the skin with the air's water: depth = c·√t, c from the label's depth in a day at 23 °C and 50 %. c² goes with the
 * water in the air (vapour concentration, by the ideal gas law over Magnus' saturation pressure), so that dry cold air is slower.
 *
 * @param perDayMm depth in the first day at the label's air, mm
 */
public record MoistureCure(double perDayMm) {
    private static final double DAY_MIN = 1440;
    private static final double KELVIN = 273.15;

    /** How much more water a litre of {@code air} holds than a litre of air at 23 °C and 50 %. */
    public static double water(Air air) {
        return vapour(air) / vapour(new Air(TradeBook.value("moisture.reference"), 50));
    }

    private static double vapour(Air air) {
        double b = TradeBook.value("air.magnus.b");
        double c = TradeBook.value("air.magnus.c");
        return air.rhPercent() * Math.exp(b * air.tempC() / (c + air.tempC())) / (air.tempC() + KELVIN);
    }

    /** Cured depth after {@code minutes} in {@code air}, mm. */
    public double depthMm(double minutes, Air air) {
        return perDayMm * Math.sqrt(minutes / DAY_MIN * water(air));
    }

    /** Minutes until {@code depthMm} has cured in {@code air}. */
    public double minutes(double depthMm, Air air) {
        return DAY_MIN * Math.pow(depthMm / perDayMm, 2) / water(air);
    }

    /** Label skin time in {@code air}, min; shorter than the label says where the air holds more water than the label's. */
    public static double skinMin(double labelMin, Air air) {
        return labelMin / water(air);
    }
}
