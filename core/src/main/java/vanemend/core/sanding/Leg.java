package vanemend.core.sanding;

import vanemend.core.footprint.Zone;

/**
 * A stretch of a ladder from one grade to a finer one.
 *
 * @param id step id prefix
 * @param stage what it is for, as said
 * @param fromP P grade it starts with
 * @param toP P grade it ends with
 * @param limit most one paper may be finer than the last
 * @param stockMm3 what the first paper takes off besides scratches, mm³
 * @param ratePerUm removal, mm³/min for each µm of grain
 * @param scratchShare scratch depth as a share of the median grain
 * @param first zone that the first paper stays within
 * @param middle zone of the papers between
 * @param last zone of the last
 * @param tool tool
 * @param motion how
 * @param sign when a paper is done
 * @param damp true where it is sanded damp
 * @param grades the cheapest way, or every grade that is on the shelf
 */
public record Leg(
        String id,
        String stage,
        int fromP,
        int toP,
        double limit,
        double stockMm3,
        double ratePerUm,
        double scratchShare,
        Zone.Kind first,
        Zone.Kind middle,
        Zone.Kind last,
        Tool tool,
        String motion,
        String sign,
        boolean damp,
        Grades grades) {
    /** How a leg takes the papers on the shelf. */
    public enum Grades {
        CHEAPEST,
        EVERY
    }

    /** A copy with another limit on the jump between grades and another removal rate. */
    public Leg at(double newLimit, double newRatePerUm) {
        return new Leg(
                id,
                stage,
                fromP,
                toP,
                newLimit,
                stockMm3,
                newRatePerUm,
                scratchShare,
                first,
                middle,
                last,
                tool,
                motion,
                sign,
                damp,
                grades);
    }

    /** A copy that is sanded damp. */
    public Leg wet() {
        return new Leg(
                id,
                stage,
                fromP,
                toP,
                limit,
                stockMm3,
                ratePerUm,
                scratchShare,
                first,
                middle,
                last,
                tool,
                motion,
                sign,
                true,
                grades);
    }
}
