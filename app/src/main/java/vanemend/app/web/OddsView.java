package vanemend.app.web;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import vanemend.core.day.Job;
import vanemend.core.day.Replays;
import vanemend.core.trade.TradeBook;

/**
 * How often a day keeps what was promised.
 *
 * @param times how often it was replayed
 * @param holds of 100: as often as a time must be kept to be told as one that holds
 * @param runs how many finished runs of the shop's own were looked at
 * @param gates how many answers of gates they hold
 * @param repairs those that have a time
 */
record OddsView(int times, int holds, int runs, int gates, List<OddsLine> repairs) {
    /**
     * A repair's odds.
     *
     * @param inHundred how often its promise is kept, of 100; empty where nothing was promised
     * @param holds by when it is ready as often as a promise should hold; empty where it is not as often within the days looked ahead
     */
    record OddsLine(long repair, Optional<Integer> inHundred, Optional<Instant> holds) {}

    static OddsView of(Replays.Varies varies, List<OddsLine> repairs) {
        return new OddsView(
                Replays.TIMES, often(), varies.odds().runs(), varies.odds().gates(), repairs);
    }

    static OddsLine line(long repair, Job job, Replays r, IntFunction<Instant> at) {
        return new OddsLine(
                repair,
                job.promised().stream()
                        .map(by -> r.inHundred(job.id(), by))
                        .boxed()
                        .findFirst(),
                r.holds(job.id(), often()).stream().mapToObj(at).findFirst());
    }

    /** Of 100: as often as a time must be kept to be told as one that holds. */
    static int often() {
        return (int) TradeBook.value("odds.holds");
    }
}
