package vanemend.core.damage;

import java.util.List;
import vanemend.core.trade.TradeBook;

/**
 * What a break in glass holds, mL: the pit as a cone, the body as a disc, the legs as strips as deep as the break, disc and legs one gap
 * wide. Gap, depth and legs are recalled figures: nobody measures them at the bench.
 */
public final class BreakVolume {
    private static final double MM3_A_ML = 1000;

    private BreakVolume() {}

    /** All of {@code damages} together, mL; what is no break holds nothing. */
    public static double ml(List<Damage> damages) {
        return damages.stream().mapToDouble(BreakVolume::mm3).sum() / MM3_A_ML;
    }

    private static double mm3(Damage d) {
        return switch (d) {
            case Chip c -> chip(c);
            case Crack c -> c.lengthMm() * deepMm() * gapMm();
            default -> 0;
        };
    }

    private static double chip(Chip c) {
        double pit = Math.PI * c.pitMm() * c.pitMm() / 12 * deepMm();
        double body = Math.PI * c.bodyMm() * c.bodyMm() / 4 * gapMm();
        double leg = Math.max(0, (c.spanMm() - c.bodyMm()) / 2);
        return pit + body + TradeBook.value("glass.legs") * leg * deepMm() * gapMm();
    }

    private static double gapMm() {
        return TradeBook.value("glass.gap");
    }

    private static double deepMm() {
        return TradeBook.value("glass.break-depth");
    }
}
