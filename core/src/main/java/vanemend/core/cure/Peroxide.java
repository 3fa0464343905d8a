package vanemend.core.cure;

import java.util.OptionalDouble;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** What a dose of cream does to the clock. Percent by weight of filler. */
public sealed interface Peroxide {
    /** Times go with 2 / percent. */
    record Honest(double factor) implements Peroxide {}

    /** The clock still holds but the dose is off. */
    record Warned(double factor, String message) implements Peroxide {}

    /** It never reaches full cure, whatever the time. */
    record Fails(String message) implements Peroxide {}

    /** Judges {@code percent}: 1.5 to 3 honest, 1 to 1.5 and 3 to 4 warned, otherwise it fails. */
    static Peroxide of(double percent) {
        double nominal = TradeBook.value("peroxide.nominal");
        String given = Text.of(Math.round(percent * 100) / 100.0, "%") + " cream";
        if (percent < TradeBook.value("peroxide.fails-below")) {
            return new Fails(given + ": too little. It stays soft whatever the time: never on a part.");
        }
        if (percent > TradeBook.value("peroxide.fails-above")) {
            return new Fails(given + ": too much. It stays sticky and bleeds through: never on a part.");
        }
        double factor = nominal / percent;
        if (percent < TradeBook.value("peroxide.low")) {
            return new Warned(factor, given + ": low. Slower, and thin edges stay soft longest.");
        }
        if (percent > TradeBook.value("peroxide.high")) {
            return new Warned(factor, given + ": high. Faster, may bleed through the paint.");
        }
        return new Honest(factor);
    }

    /** Factor on work and sand time, or empty where it never cures. */
    default OptionalDouble factorOrNone() {
        return switch (this) {
            case Honest h -> OptionalDouble.of(h.factor());
            case Warned w -> OptionalDouble.of(w.factor());
            case Fails f -> OptionalDouble.empty();
        };
    }

    /** What to say of the dose; empty when it is right. */
    default String said() {
        return switch (this) {
            case Honest h -> "";
            case Warned w -> w.message();
            case Fails f -> f.message();
        };
    }
}
