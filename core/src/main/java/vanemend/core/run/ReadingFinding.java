package vanemend.core.run;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.trade.Air;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

/**
 * What a reading at a step says for the work.
 *
 * @param step instance it was read at
 * @param watch what it was held against
 * @param weight what it means
 * @param value what counts of what was read, in the quantity's unit
 * @param limit what it was held against, in the quantity's unit
 * @param planned what the plan was made for; empty where it was made for none
 * @param more readings still wanted before it says enough; 0 for none
 */
public record ReadingFinding(
        String step, Watch watch, Weight weight, double value, double limit, Optional<Double> planned, int more) {
    private static final double SAME = 1e-9;

    /** Whether the work waits until it is settled. */
    public boolean stops() {
        return weight.stops();
    }

    /** What was read, what it was held against and what was planned. */
    public String figures() {
        Quantity q = watch.quantity();
        return q.word() + " " + held(value, q.unit()) + against(q)
                + planned.map(p -> ", " + Text.of(p, q.unit()) + " planned").orElse("");
    }

    /** As said: what is wrong, or that it holds, with the figures. */
    public String said() {
        return weight == Weight.FINE
                ? "Holds: " + figures() + "."
                : watch.title() + ": " + figures() + ". " + watch.follows();
    }

    private String held(double v, String unit) {
        return watch.sense() == Watch.Sense.AT_MOST
                ? Text.underMost(v, unit, weight != Weight.FINE)
                : watch.sense() == Watch.Sense.PLANNED
                        ? Text.of(v, unit)
                        : Text.overLeast(v, unit, weight != Weight.FINE);
    }

    private String against(Quantity q) {
        return switch (watch.sense()) {
            case AT_MOST -> ", at most " + Text.atMost(limit, q.unit());
            case AT_LEAST, OVER_DEW -> ", at least " + Text.atLeast(limit, q.unit());
            case PLANNED -> "";
        };
    }

    /**
     * What the newest readings at a step say: of each quantity all that is not met, else that it holds.
     *
     * @param step what is in hand
     * @param at its instance
     * @param air the plan holds for
     */
    public static List<ReadingFinding> at(Step step, String at, List<RunState.Reading> readings, Air air) {
        List<ReadingFinding> out = new ArrayList<>();
        for (Quantity q :
                step.watches().stream().map(Watch::quantity).distinct().toList()) {
            List<ReadingFinding> all = step.watches().stream()
                    .filter(w -> w.quantity() == q)
                    .flatMap(w -> of(w, step, at, readings, air).stream())
                    .toList();
            List<ReadingFinding> off =
                    all.stream().filter(f -> f.weight() != Weight.FINE).toList();
            out.addAll(off.isEmpty() ? nearest(all) : off);
        }
        return List.copyOf(out);
    }

    /** Of what holds, what holds by least. */
    private static List<ReadingFinding> nearest(List<ReadingFinding> all) {
        return all.stream()
                .sorted(Comparator.comparing((ReadingFinding f) -> f.watch().sense() == Watch.Sense.PLANNED)
                        .thenComparing(f -> Math.abs(f.value() - f.limit())))
                .limit(1)
                .toList();
    }

    /** {@code w} held against the newest readings at the instance {@code at}; empty where none was taken. */
    public static Optional<ReadingFinding> of(Watch w, Step step, String at, List<RunState.Reading> readings, Air air) {
        List<Double> read = values(readings, at, w.quantity());
        if (read.isEmpty()) {
            return Optional.empty();
        }
        // A gauge scatters: of several readings the one nearest to the limit counts.
        List<Double> last = read.subList(Math.max(0, read.size() - w.passes()), read.size());
        double value = last.stream()
                .mapToDouble(Double::doubleValue)
                .reduce(w.sense() == Watch.Sense.AT_MOST ? Math::max : Math::min)
                .orElseThrow();
        double limit = limit(w, at, readings, air);
        return Optional.of(new ReadingFinding(
                at, w, weight(w, value, limit), value, limit, planned(step, w), Math.max(0, w.passes() - read.size())));
    }

    /** {@code w} held against {@code value} alone, just read. */
    public static ReadingFinding of(
            Watch w, Step step, String at, double value, List<RunState.Reading> readings, Air air) {
        double limit = limit(w, at, readings, air);
        return new ReadingFinding(at, w, weight(w, value, limit), value, limit, planned(step, w), 0);
    }

    private static Weight weight(Watch w, double value, double limit) {
        boolean met = switch (w.sense()) {
            case AT_MOST -> value <= limit + SAME;
            case AT_LEAST, OVER_DEW -> value >= limit - SAME;
            case PLANNED -> Math.abs(value - limit) <= SAME;
        };
        return met ? Weight.FINE : w.weight();
    }

    private static Optional<Double> planned(Step step, Watch w) {
        return step.watches().stream()
                .filter(x -> x.sense() == Watch.Sense.PLANNED && x.quantity() == w.quantity())
                .map(Watch::limit)
                .findFirst();
    }

    /** For dew: the coldest surface that holds in the air that was read here, to the tenth a thermometer shows. */
    private static double limit(Watch w, String at, List<RunState.Reading> readings, Air air) {
        if (w.sense() != Watch.Sense.OVER_DEW) {
            return w.limit();
        }
        List<Double> temp = values(readings, at, Quantity.AIR_C);
        List<Double> humid = values(readings, at, Quantity.RH_PERCENT).stream()
                .filter(v -> v > 0)
                .toList();
        Air here = new Air(
                temp.isEmpty() ? air.tempC() : temp.getLast(), humid.isEmpty() ? air.rhPercent() : humid.getLast());
        return Math.ceil((here.dewPointC() + w.limit()) * 10 - SAME) / 10;
    }

    private static List<Double> values(List<RunState.Reading> readings, String at, Quantity q) {
        return readings.stream()
                .filter(r -> r.step().equals(at) && r.quantity() == q)
                .map(RunState.Reading::value)
                .toList();
    }
}
