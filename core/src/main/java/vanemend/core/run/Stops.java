package vanemend.core.run;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vanemend.core.method.Gate;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.trade.Air;
import vanemend.core.trade.Quantity;

/** The stops of a run as they come and go, event by event. */
final class Stops {
    private final Air air;
    private final Map<String, Stop> open = new LinkedHashMap<>();

    Stops(Air air) {
        this.air = air;
    }

    List<Stop> standing() {
        return List.copyOf(open.values());
    }

    boolean none() {
        return open.isEmpty();
    }

    Optional<Stop> first() {
        return open.values().stream().findFirst();
    }

    /** {@code r} was read at {@code step}; {@code all} holds it and all before it. */
    void read(RunState.Reading r, Step step, List<RunState.Reading> all) {
        for (Watch w : step.watches()) {
            if (w.weight().stops() && bears(w, r.quantity())) {
                value(w, r, all).ifPresent(v -> judge(w, ReadingFinding.of(w, step, r.step(), v, all, air), r));
            }
        }
    }

    /** What was read of the air moves the dew point under a surface that was read before. */
    private static boolean bears(Watch w, Quantity q) {
        boolean dew = w.sense() == Watch.Sense.OVER_DEW && (q == Quantity.AIR_C || q == Quantity.RH_PERCENT);
        return w.quantity() == q || dew;
    }

    private static Optional<Double> value(Watch w, RunState.Reading r, List<RunState.Reading> all) {
        return all.reversed().stream()
                .filter(x -> x.step().equals(r.step()) && x.quantity() == w.quantity())
                .map(RunState.Reading::value)
                .findFirst();
    }

    private void judge(Watch w, ReadingFinding f, RunState.Reading r) {
        Stop standing = open.get(w.id());
        if (f.stops()) {
            open.put(
                    w.id(),
                    new Stop(
                            r.event(),
                            r.step(),
                            w.id(),
                            w.weight(),
                            w.care(),
                            w.loop(),
                            w.title(),
                            w.follows(),
                            Optional.of(f),
                            standing == null ? r.at() : standing.since(),
                            r.by(),
                            w.passes()));
        } else if (standing != null && standing.more() > 1) {
            open.put(w.id(), standing.wanting(standing.more() - 1));
        } else {
            open.remove(w.id());
        }
    }

    /** A gate was answered so that the work stops. */
    void answered(BenchEvent e, Gate.Branch branch) {
        open.put(
                key(e.step()),
                new Stop(
                        e.id(),
                        e.step(),
                        "",
                        branch.weight(),
                        false,
                        "",
                        branch.label(),
                        branch.note(),
                        Optional.empty(),
                        e.at(),
                        e.by(),
                        1));
    }

    /** The gate {@code step} was looked at again and holds. */
    void lookedAgain(String step) {
        open.remove(key(step));
    }

    /** Whether the stop that the gate {@code step} raised by its answer is the only one. */
    boolean onlyOf(String step) {
        return open.size() == 1 && open.containsKey(key(step));
    }

    /** A lead goes against the stop that {@code event} raised; empty where there is none that may be gone against. */
    Optional<Stop> against(UUID event) {
        Optional<Stop> stop = open.values().stream()
                .filter(s -> s.event().equals(event) && s.open())
                .findFirst();
        stop.ifPresent(s -> open.values().remove(s));
        return stop;
    }

    /** Whether rework {@code loop} may be walked: every stop that stands leaves it open. */
    boolean leaves(String loop) {
        return open.values().stream().allMatch(s -> s.loop().equals(loop));
    }

    private static String key(String gate) {
        return "gate " + gate;
    }

    /** What stands, in words. */
    String said() {
        List<String> titles = new ArrayList<>();
        open.values().forEach(s -> titles.add(s.title()));
        return String.join("; ", titles);
    }
}
