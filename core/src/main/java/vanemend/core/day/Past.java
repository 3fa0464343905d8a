package vanemend.core.day;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import vanemend.core.method.Step;
import vanemend.core.run.RunState;

/**
 * What hands did of a run, as it really was: from when they could begin until they said it was done.
 *
 * @param by name of whose hands
 * @param from when the step before was done, or from when it is asked
 * @param to when it was done, after {@code from}
 * @param steps how many, done one after the other by the same hands
 */
public record Past(String by, Instant from, Instant to, int steps) {
    /** What was done of {@code run} since {@code since}, in order; waits are nobody's work, and what an earlier plan did is told by its own run. */
    public static List<Past> of(RunState run, Instant since) {
        List<Past> out = new ArrayList<>();
        for (RunState.RunStep s : run.steps()) {
            if (s.carried()
                    || s.doneAt().isEmpty()
                    || s.beganAt().isEmpty()
                    || s.step().kind() == Step.Kind.WAIT) {
                continue;
            }
            Instant from =
                    s.beganAt().get().isBefore(since) ? since : s.beganAt().get();
            Instant to = s.doneAt().get();
            if (!from.isBefore(to)) {
                continue;
            }
            if (!out.isEmpty()
                    && out.getLast().by().equals(s.by())
                    && out.getLast().to().equals(from)) {
                Past last = out.removeLast();
                out.add(new Past(last.by(), last.from(), to, last.steps() + 1));
            } else {
                out.add(new Past(s.by(), from, to, 1));
            }
        }
        return List.copyOf(out);
    }
}
