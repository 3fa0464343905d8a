package vanemend.core.run;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vanemend.core.method.Asides;
import vanemend.core.method.Step;

/** What is still to come in a run, laid end to end from now. */
public final class StillToCome {
    /**
     * One stretch of time.
     *
     * @param step instance of the step
     * @param title verb first
     * @param brief the same in as few words as there may be room for
     * @param handsOn true where somebody works; false where it waits
     * @param from planned start
     * @param to planned end
     */
    public record Stretch(String step, String title, String brief, boolean handsOn, Instant from, Instant to) {}

    private StillToCome() {}

    /**
     * The rest of the run. The step in hand ends when its clock does, or after its planned minutes, never before {@code now}; each
     * later step follows the one before it.
     */
    public static List<Stretch> of(RunState state, Instant now) {
        List<Stretch> out = new ArrayList<>();
        List<Step> steps = state.steps().stream().map(RunState.RunStep::step).toList();
        Map<Integer, Instant> ends = new HashMap<>();
        Instant at = now;
        for (int i = 0; i < steps.size(); i++) {
            RunState.RunStep s = state.steps().get(i);
            if (s.doneAt().isPresent()) {
                continue;
            }
            boolean inHand = state.current().filter(s.id()::equals).isPresent();
            Instant from = inHand ? s.beganAt().orElse(now) : at;
            int since = Asides.since(steps, i);
            Optional<Instant> waits = s.waitsSince().or(() -> Optional.ofNullable(ends.get(since)));
            Instant end = inHand
                    ? endOfHand(s, state, from)
                    : plus(at, Math.max(s.step().activeMin(), left(s.step(), waits, at)));
            Instant to = end.isBefore(now) ? now : end;
            boolean handsOn = s.step().kind() != Step.Kind.WAIT;
            out.add(new Stretch(s.id(), s.step().title(), s.step().brief(), handsOn, from, to));
            at = to;
            ends.put(i, to);
        }
        return List.copyOf(out);
    }

    /** A wait that is asked again, or that something is done in, goes on from what it has waited already. */
    private static double left(Step s, Optional<Instant> waitsSince, Instant at) {
        double waited = waitsSince
                .map(since -> Duration.between(since, at).toMillis() / 60_000.0)
                .orElse(0.0);
        return Math.max(0, s.waitMin() - waited);
    }

    private static Instant endOfHand(RunState.RunStep s, RunState state, Instant from) {
        return state.clocks().stream()
                .filter(c -> c.step().equals(s.id()) && c.kind() == Step.Clock.Kind.FROM)
                .findFirst()
                .flatMap(RunState.LiveClock::endsAt)
                .orElseGet(() -> plus(from, s.step().lastsMin()));
    }

    private static Instant plus(Instant start, double minutes) {
        return start.plusSeconds(Math.round(minutes * 60));
    }
}
