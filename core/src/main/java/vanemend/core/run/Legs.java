package vanemend.core.run;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vanemend.core.method.Gate;
import vanemend.core.method.Step;
import vanemend.core.run.RunState.RunStep;

/** The stretches of a run between its plans. */
final class Legs {
    private Legs() {}

    /**
     * The events of each leg; a leg after the first begins with the event that left the plan before. What takes an event back or puts it
     * right goes with the leg it belongs to.
     *
     * @param plans how many plans there are
     */
    static List<List<BenchEvent>> of(List<BenchEvent> events, int plans) {
        List<List<BenchEvent>> legs = new ArrayList<>();
        legs.add(new ArrayList<>());
        Map<UUID, Integer> legOf = new HashMap<>();
        for (BenchEvent e : events) {
            if (e.kind() == BenchEvent.Kind.PLAN && legs.size() < plans) {
                legs.add(new ArrayList<>());
            }
            boolean about = e.kind() == BenchEvent.Kind.UNDO || e.kind() == BenchEvent.Kind.AMEND;
            int leg = about ? e.target().map(legOf::get).orElse(legs.size() - 1) : legs.size() - 1;
            legOf.put(e.id(), leg);
            legs.get(leg).add(e);
        }
        return legs;
    }

    /**
     * How {@code step} of a new plan was done under the one before: as the same step, word for word and figure for figure, and passed. What
     * differs in anything is done again: a wider outline, another paper, another amount.
     */
    static Optional<RunStep> stillHolds(RunState was, Step step) {
        return was.steps().reversed().stream()
                .filter(r -> r.at().rounds().isEmpty() && r.step().id().equals(step.id()))
                .filter(r -> r.doneAt().isPresent() && !r.scrapped())
                .findFirst()
                .filter(r -> step.gate().isEmpty() || r.answer().equals(Gate.YES))
                .filter(r -> same(r.step(), step));
    }

    private static boolean same(Step a, Step b) {
        return a.as(a.id(), List.of()).equals(b.as(b.id(), List.of()));
    }
}
