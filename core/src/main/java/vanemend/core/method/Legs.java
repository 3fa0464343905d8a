package vanemend.core.method;

import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Zone;
import vanemend.core.sanding.Grains;
import vanemend.core.sanding.Leg;
import vanemend.core.sanding.Tool;
import vanemend.core.trade.TradeBook;

/** The legs of a ladder that several methods have. */
public final class Legs {
    private static final double MM2_IN_100_CM2 = 1e4;

    private Legs() {}

    /** A leg from one grade to another by the quick ladder and a DA's removal; see {@link Leg}. */
    public static Leg leg(
            String id,
            String stage,
            int from,
            int to,
            double stockMm3,
            Zone.Kind first,
            Zone.Kind middle,
            Zone.Kind last,
            Tool tool,
            String motion,
            String sign) {
        return new Leg(
                id,
                stage,
                from,
                to,
                TradeBook.value("ladder.ratio.quick"),
                stockMm3,
                TradeBook.value("ladder.rate.da"),
                TradeBook.value("ladder.scratch-share"),
                first,
                middle,
                last,
                tool,
                motion,
                sign,
                false,
                Leg.Grades.CHEAPEST);
    }

    /** A leg of one paper over a zone that takes the minutes per 100 cm² of the trade value {@code minutesId}. */
    public static Leg over(
            String id, String stage, int grade, Zone.Kind zone, Footprint f, String minutesId, Tool tool, String sign) {
        double stock = TradeBook.value(minutesId)
                * f.areaMm2(zone)
                / MM2_IN_100_CM2
                * TradeBook.value("ladder.rate.da")
                * Grains.micrometres("P", grade);
        return leg(id, stage, grade, grade, stock, zone, zone, zone, tool, "slow and moving", sign);
    }

    /** A leg of one paper that dulls a zone. */
    public static Leg dulls(String id, String stage, int grade, Zone.Kind zone, Footprint f, Tool tool, String sign) {
        return over(id, stage, grade, zone, f, "minutes.sand.per-100cm2", tool, sign);
    }
}
