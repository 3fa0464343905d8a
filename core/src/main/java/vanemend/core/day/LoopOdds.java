package vanemend.core.day;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vanemend.core.method.Gate;
import vanemend.core.run.RunState;
import vanemend.core.trade.TradeBook;

/**
 * How often a gate sends the work back: what is remembered of the trade, until the shop's own finished work says more. What is remembered
 * counts as much as a few gates that were seen (the mean of a Dirichlet distribution, textbook form).
 *
 * @param seen by id of a branch
 * @param gates how many answers were counted
 * @param runs of how many runs
 */
public record LoopOdds(Map<String, Tally> seen, int gates, int runs) {
    /** Nothing was seen yet. */
    public static final LoopOdds REMEMBERED = new LoopOdds(Map.of(), 0, 0);

    /**
     * What was seen of a branch.
     *
     * @param asked how many gates were answered that have it
     * @param taken how many of them by it
     */
    public record Tally(int asked, int taken) {
        private Tally and(Tally more) {
            return new Tally(asked + more.asked, taken + more.taken);
        }
    }

    public LoopOdds {
        seen = Map.copyOf(seen);
    }

    /** What {@code run} shows: each answer of each gate counts once, those that were carried over from an earlier plan do not. */
    public static LoopOdds of(RunState run) {
        Map<String, Tally> seen = new HashMap<>();
        int gates = 0;
        for (RunState.RunStep s : run.steps()) {
            if (s.doneAt().isEmpty() || s.carried() || s.answer().isEmpty() || s.scrapped()) {
                continue;
            }
            if (s.step().gate().isPresent()) {
                gates++;
                for (Gate.Branch b : s.step().gate().get().branches()) {
                    seen.merge(b.id(), new Tally(1, b.id().equals(s.answer()) ? 1 : 0), Tally::and);
                }
            }
        }
        return new LoopOdds(seen, gates, 1);
    }

    /** All of {@code some} together. */
    public static LoopOdds of(List<LoopOdds> some) {
        Map<String, Tally> seen = new HashMap<>();
        some.forEach(o -> o.seen.forEach((branch, tally) -> seen.merge(branch, tally, Tally::and)));
        return new LoopOdds(
                seen,
                some.stream().mapToInt(LoopOdds::gates).sum(),
                some.stream().mapToInt(LoopOdds::runs).sum());
    }

    /** How probable it is that {@code gated} is answered by {@code way}, 0 to 1. */
    double of(Gated gated, Gated.Way way) {
        double remembered = TradeBook.value(gated.filled() ? "odds.filled" : "odds.other")
                / 100
                / gated.ways().size();
        double worth = TradeBook.value("odds.worth");
        Tally t = seen.getOrDefault(way.branch(), new Tally(0, 0));
        return (t.taken() + worth * remembered) / (t.asked() + worth);
    }
}
