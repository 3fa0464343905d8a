package vanemend.core.trade;

/**
 * The shop's air.
 *
 * @param tempC °C
 * @param rhPercent relative humidity, above 0 to 100 %
 */
public record Air(double tempC, double rhPercent) {
    public Air {
        if (!(rhPercent > 0 && rhPercent <= 100)) {
            throw new IllegalArgumentException("relative humidity of " + rhPercent + " %: expected above 0 to 100 %");
        }
    }

    /**
     * Dew point, °C, by the Magnus formula with b 17.62 and c 243.12 °C (WMO-No. 8): γ = ln(RH/100) + b·t/(c + t), Td = c·γ/(b − γ).
     */
    public double dewPointC() {
        double b = TradeBook.value("air.magnus.b");
        double c = TradeBook.value("air.magnus.c");
        double g = Math.log(rhPercent / 100) + b * tempC / (c + tempC);
        return c * g / (b - g);
    }

    /** How far a surface lies above the dew point, K. */
    public double marginK(double surfaceC) {
        return surfaceC - dewPointC();
    }
}
