package vanemend.core.trade;

/**
 * The shop's air as typed.
 *
 * @param tempC °C
 * @param rhPercent %
 */
public record AirDraft(Double tempC, Double rhPercent) {
    /** The air, problems left in {@code check}. */
    public Air check(Check check) {
        double t = check.range(
                "air.tempC",
                "Shop air",
                tempC,
                TradeBook.value("entry.air.min"),
                TradeBook.value("entry.air.max"),
                "°C");
        double rh = check.range("air.rhPercent", "Relative humidity", rhPercent, 1, 100, "%");
        return new Air(t, rh);
    }
}
