package vanemend.core.trade;

import java.util.Optional;

/**
 * One figure of the trade.
 *
 * @param id the name code asks by, such as {@code dent.proud}
 * @param value in {@code unit}
 * @param unit as shown; empty for a pure number
 * @param meaning in the trade's words
 * @param shown provenance as shown on screen
 * @param provenance label and source
 * @param used where it works, as shown
 * @param bound whether it is a maximum or a minimum
 * @param inches its twin in inches, where the trade prints it as a pair
 */
public record TradeValue(
        String id,
        double value,
        String unit,
        String meaning,
        String shown,
        Provenance provenance,
        String used,
        Text.Bound bound,
        Optional<Double> inches) {

    /** As words say it: {@link Text}. */
    public String said() {
        return Text.of(value, unit, bound, inches);
    }
}
