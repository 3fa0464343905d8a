package vanemend.core.mix;

import vanemend.core.trade.TradeBook;

/**
 * How long a mix stays workable, and how fast hands get it on the part.
 *
 * @param workMin work time today, min; 0 where none bears
 * @param ratePerMin what is laid and spread, mL/min
 * @param handsMin what laying takes besides, such as bedding plies, min in all; 0 for none
 */
public record Pace(double workMin, double ratePerMin, double handsMin) {
    /** So many goes at most: more than these is no way to work. */
    static final int MOST_GOES = 12;

    /** All on the part by, min from the start: a share of the work time, the rest is margin. */
    public double onPartByMin() {
        return workMin * TradeBook.value("mix.work-share");
    }

    /** Minutes left for laying after {@code mixMin} of mixing. */
    double windowMin(double mixMin) {
        return Math.max(0, onPartByMin() - mixMin);
    }

    /** Equal goes for {@code ml}, each laid within its window. */
    int goes(double ml, double mixMin) {
        double window = windowMin(mixMin);
        double needs = Math.max(ml / ratePerMin, handsMin);
        return window > 0 ? Math.clamp((int) Math.ceil(needs / window - 1e-9), 1, MOST_GOES) : MOST_GOES;
    }

    /** Minutes to lay one of {@code goes} goes of {@code ml} in all. */
    double spreadMin(double ml, int goes) {
        return Math.max(ml / ratePerMin, handsMin) / goes;
    }
}
