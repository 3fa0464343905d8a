package vanemend.app.demo;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import vanemend.core.method.Gate;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.mix.Pour;
import vanemend.core.plan.Plan;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.Replay;
import vanemend.core.run.RunState;
import vanemend.core.trade.Quantity;

/** Made-up hands that work a plan: each step takes about its planned minutes, gates are answered from a list. */
final class DemoHands {
    private static final double INSIDE = 0.9;

    private final Plan plan;
    private final String by;

    /** Branch to answer by instance of the gate; yes where none stands here. */
    private final Map<String, String> answers;

    /** Share of the cream that was asked, by instance of the mixing step; 1 where none stands here. */
    private final Map<String, Double> creamShare;

    /** Notes by instance of the step. */
    private final Map<String, String> notes;

    DemoHands(
            Plan plan,
            String by,
            Map<String, String> answers,
            Map<String, Double> creamShare,
            Map<String, String> notes) {
        this.plan = plan;
        this.by = by;
        this.answers = answers;
        this.creamShare = creamShare;
        this.notes = notes;
    }

    /** Everything that happens from {@code start} until {@code stopAt} is in hand, or to the end when that never comes. */
    List<BenchEvent> work(Instant start, String stopAt) {
        List<BenchEvent> events = new ArrayList<>();
        events.add(BenchEvent.start(UUID.randomUUID(), start, by));
        Instant at = start;
        while (true) {
            RunState state = Replay.of(plan, events, at);
            if (state.finishedAt().isPresent()) {
                return events;
            }
            RunState.RunStep now = state.now().orElseThrow();
            if (now.id().equals(stopAt)) {
                return events;
            }
            at = step(now, state, at, events);
        }
    }

    private Instant step(RunState.RunStep now, RunState state, Instant began, List<BenchEvent> events) {
        Step s = now.step();
        if (notes.containsKey(now.id())) {
            events.add(BenchEvent.note(UUID.randomUUID(), began.plusSeconds(20), by, now.id(), notes.get(now.id())));
        }
        if (s.kind() == Step.Kind.MIX) {
            Pour pour = plan.mix(s.mix()).pour();
            double filler = state.mixes().getLast().fillerTargetG() + 1.4;
            double cream = Math.round(pour.creamFor(filler) * creamShare.getOrDefault(now.id(), 1.0) * 10) / 10.0;
            events.add(BenchEvent.reading(
                    UUID.randomUUID(), began.plusSeconds(30), by, now.id(), Quantity.FILLER_G, filler));
            events.add(BenchEvent.reading(
                    UUID.randomUUID(), began.plusSeconds(50), by, now.id(), Quantity.CREAM_G, cream));
            events.add(BenchEvent.clock(UUID.randomUUID(), began.plusSeconds(52), by, now.id()));
            Instant mixed = began.plusSeconds(100);
            events.add(BenchEvent.done(UUID.randomUUID(), mixed, by, now.id()));
            return mixed;
        }
        s.gate().map(Gate::reads).orElse(List.of()).forEach(q -> read(now, q, began, events));
        Instant ends = ends(now, state, began);
        if (s.gate().isPresent()) {
            events.add(BenchEvent.gate(UUID.randomUUID(), ends, by, now.id(), answers.getOrDefault(now.id(), "yes")));
        } else {
            events.add(BenchEvent.done(UUID.randomUUID(), ends, by, now.id()));
        }
        return ends;
    }

    /** What a gate takes a reading for is read as planned, else a little inside its limit. */
    private void read(RunState.RunStep now, Quantity q, Instant began, List<BenchEvent> events) {
        for (Watch w : now.step().watches()) {
            if (w.quantity() == q) {
                double v = switch (w.sense()) {
                    case PLANNED -> w.limit();
                    case AT_MOST -> w.limit() * INSIDE;
                    case AT_LEAST -> w.limit() / INSIDE;
                    case OVER_DEW -> plan.air().tempC();
                };
                events.add(BenchEvent.reading(UUID.randomUUID(), began.plusSeconds(60), by, now.id(), q, v));
                return;
            }
        }
    }

    private static Instant ends(RunState.RunStep now, RunState state, Instant began) {
        if (now.step().kind() == Step.Kind.WAIT) {
            return state.clocks().stream()
                    .filter(c -> c.step().equals(now.id()))
                    .findFirst()
                    .flatMap(RunState.LiveClock::endsAt)
                    .map(e -> e.plusSeconds(70))
                    .orElse(began.plusSeconds(600));
        }
        return began.plusSeconds(Math.max(25, Math.round(now.step().activeMin() * 60 * 0.95)));
    }
}
