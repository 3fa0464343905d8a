package vanemend.core.cure;

import vanemend.core.trade.Air;
import vanemend.core.trade.TradeBook;

/** Flash of promoters and drying of cements, stretched by cold and damp air. */
public final class Flash {
    private Flash() {}

    /**
     * By how much a label's flash at 21 °C and 50 % stretches in {@code air}: 2^((21 − T)/10) · (1 + ½·max(0, RH − 50)/50).
     * Recalled, verify; the touch decides, never this.
     */
    public static double factor(Air air) {
        double ref = TradeBook.value("cure.reference");
        return Math.pow(2, (ref - air.tempC()) / 10) * (1 + 0.5 * Math.max(0, air.rhPercent() - 50) / 50);
    }
}
