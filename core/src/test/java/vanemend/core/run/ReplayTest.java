package vanemend.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

class ReplayTest {
    private static final Plan PLAN = TestShop.frozen().plan();
    private static final String TAM = "Tam";

    /** Hands that do one thing after the other, a minute apart. */
    static final class Hands {
        final List<BenchEvent> events = new ArrayList<>();
        Instant at = TestShop.NOW;

        Hands() {
            events.add(BenchEvent.start(UUID.randomUUID(), at, TAM));
        }

        RunState state() {
            return Replay.of(PLAN, events, at);
        }

        String current() {
            return state().current().orElse("");
        }

        Hands after(double minutes) {
            at = at.plusMillis(Math.round(minutes * 60_000));
            return this;
        }

        Hands done() {
            after(1);
            RunState.RunStep s = state().now().orElseThrow();
            events.add(
                    s.step().gate().isPresent()
                            ? BenchEvent.gate(UUID.randomUUID(), at, TAM, s.id(), "yes")
                            : BenchEvent.done(UUID.randomUUID(), at, TAM, s.id()));
            return this;
        }

        Hands to(String id) {
            while (!current().equals(id)) {
                done();
            }
            return this;
        }

        Hands read(Quantity quantity, double value) {
            events.add(BenchEvent.reading(UUID.randomUUID(), at, TAM, current(), quantity, value));
            return this;
        }

        Hands clock() {
            events.add(BenchEvent.clock(UUID.randomUUID(), at, TAM, current()));
            return this;
        }

        Hands answer(String answer) {
            after(1);
            events.add(BenchEvent.gate(UUID.randomUUID(), at, TAM, current(), answer));
            return this;
        }

        BenchEvent last() {
            return events.getLast();
        }
    }

    @Test
    void walksThePlanToItsEnd() {
        Hands h = new Hands();
        while (h.state().finishedAt().isEmpty()) {
            h.done();
        }
        RunState s = h.state();
        assertThat(s.steps())
                .hasSize(PLAN.steps().size())
                .allMatch(x -> x.doneAt().isPresent());
        assertThat(s.current()).isEmpty();
        assertThat(s.ignored()).isEmpty();
    }

    @Test
    void theSameEventTwiceCountsOnce() {
        Hands h = new Hands().done().done();
        RunState once = h.state();
        List<BenchEvent> twice = new ArrayList<>(h.events);
        twice.addAll(h.events);
        assertThat(Replay.of(PLAN, twice, h.at)).isEqualTo(once);
    }

    @Test
    void aLateEventIsKeptAndToldButChangesNothing() {
        Hands h = new Hands().done().done();
        RunState before = h.state();
        h.events.add(BenchEvent.done(UUID.randomUUID(), h.at, "Priya", "wash"));
        assertThat(h.state().current()).isEqualTo(before.current());
        assertThat(h.state().ignored())
                .singleElement()
                .satisfies(i -> assertThat(i.why()).contains("done already"));
    }

    @Test
    void mixClockRunsFromFirstContactAndFollowsTheDose() {
        Hands h = new Hands().to("filler-mix").read(Quantity.FILLER_G, 100);
        assertThat(h.state().mixes().getLast().creamTargetG()).isEqualTo(2.0);
        h.read(Quantity.CREAM_G, 3).clock();
        RunState.LiveClock c = h.state().clocks().getFirst();
        assertThat(c.kind()).isEqualTo(Step.Clock.Kind.BY);
        double planned = PLAN.mix("filler").pour().onPartByMin();
        assertThat(minutes(c.startedAt(), c.endsAt().orElseThrow())).isCloseTo(planned * 2 / 3, within(0.02));
    }

    @Test
    void sandFromFollowsDoseAndTypedSurfaceTemperatures() {
        Hands h = new Hands()
                .to("filler-mix")
                .read(Quantity.FILLER_G, 100)
                .read(Quantity.CREAM_G, 2)
                .clock()
                .done()
                .done();
        assertThat(h.current()).isEqualTo("filler-wait");
        Instant spread = h.at;
        RunState.LiveClock plain = h.state().clocks().getFirst();
        assertThat(minutes(spread, plain.endsAt().orElseThrow())).isCloseTo(18, within(0.02));
        h.after(3).read(Quantity.SURFACE_C, 40);
        RunState.LiveClock warm = h.state().clocks().getFirst();
        assertThat(warm.endsAt().orElseThrow()).isBefore(plain.endsAt().orElseThrow());
        assertThat(warm.note()).contains("1 surface reading");
        h.read(Quantity.SURFACE_C, 55);
        assertThat(Text.plain(h.state().clocks().getFirst().warning())).contains("over 50 °C");
    }

    @Test
    void aDoseThatNeverCuresNeverStarts() {
        for (double cream : new double[] {0.1, 0.9, 4.1, 9}) {
            Hands h = new Hands()
                    .to("filler-mix")
                    .read(Quantity.FILLER_G, 100)
                    .read(Quantity.CREAM_G, cream)
                    .clock()
                    .done();
            assertThat(h.state().current()).contains("filler-mix");
            assertThat(h.state().clocks()).isEmpty();
            assertThat(h.state().mixes().getLast().said()).isNotEmpty();
        }
        Hands h = new Hands()
                .to("filler-mix")
                .read(Quantity.FILLER_G, 100)
                .read(Quantity.CREAM_G, 4)
                .clock();
        assertThat(h.state().clocks()).hasSize(1);
    }

    @Test
    void lowSpotInsertsItsLoopAndAsksTheGateAgain() {
        Hands h = new Hands().to("shape-gate").answer("low");
        List<String> ids = h.state().steps().stream().map(RunState.RunStep::id).toList();
        int gate = ids.indexOf("shape-gate");
        assertThat(ids.subList(gate + 1, gate + 9))
                .containsExactly(
                        "shape-gate:low/clean",
                        "shape-gate:low/mix",
                        "shape-gate:low/spread",
                        "shape-gate:low/wait",
                        "shape-gate:low/shape-p80",
                        "shape-gate:low/shape-p120",
                        "shape-gate:low/shape-p180",
                        "shape-gate~2");
        h.to("shape-gate~2").answer("pinholes").to("shape-gate~3").answer("yes");
        assertThat(h.current()).isEqualTo("putty-dull");
        assertThat(h.state().mixes()).hasSize(3).allMatch(m -> m.mix().equals("filler"));
        assertThat(h.state().steps().stream().filter(s -> s.loop().equals("Low spot")))
                .hasSize(7);
    }

    @Test
    void loopsNestInsideLoops() {
        Hands h = new Hands()
                .to("shape-gate")
                .answer("high")
                .to("shape-gate:high/wait")
                .answer("soft");
        assertThat(h.current()).contains("more");
        h.done();
        assertThat(h.state().now().orElseThrow().step().gate()).isPresent();
        h.answer("yes");
        assertThat(h.current()).isEqualTo("shape-gate:high/shape-p80");
    }

    @Test
    void undoTakesBackTheLastThingAndItsLoop() {
        Hands h = new Hands().to("shape-gate");
        RunState before = h.state();
        h.answer("low");
        UUID undone = h.last().id();
        assertThat(h.state().lastUndoable()).contains(undone);
        h.events.add(BenchEvent.undo(UUID.randomUUID(), h.at, TAM, undone));
        assertThat(h.state().current()).isEqualTo(before.current());
        assertThat(h.state().steps().stream().map(RunState.RunStep::id).toList())
                .isEqualTo(before.steps().stream().map(RunState.RunStep::id).toList());
    }

    @Test
    void nothingBeforeTheStartCounts() {
        RunState s =
                Replay.of(PLAN, List.of(BenchEvent.done(UUID.randomUUID(), TestShop.NOW, TAM, "wash")), TestShop.NOW);
        assertThat(s.current()).isEmpty();
        assertThat(s.ignored())
                .singleElement()
                .satisfies(i -> assertThat(i.why()).contains("not begun"));
    }

    @Test
    void anyEventsInAnyOrderNeverBreakARun() {
        String[] answers = {"yes", "low", "high", "pinholes", "soft", "deep", "shine", "wet", "nonsense"};
        Seeds.forEach(200, (r, i) -> {
            Hands h = new Hands();
            int done = 0;
            for (int k = 0; k < 60; k++) {
                h.after(Seeds.between(r, 0.1, 4));
                RunState.RunStep now = h.state().now().orElse(null);
                String step = now == null || r.nextInt(8) == 0 ? "palm" : now.id();
                UUID id = UUID.randomUUID();
                switch (r.nextInt(7)) {
                    case 0 -> h.events.add(BenchEvent.clock(id, h.at, TAM, step));
                    case 1 -> h.events.add(BenchEvent.gate(id, h.at, TAM, step, answers[r.nextInt(answers.length)]));
                    case 2 ->
                        h.events.add(BenchEvent.reading(
                                id, h.at, TAM, step, Quantity.values()[r.nextInt(4)], Seeds.between(r, 1, 60)));
                    case 3 ->
                        h.events.add(BenchEvent.undo(
                                id,
                                h.at,
                                TAM,
                                h.events.get(r.nextInt(h.events.size())).id()));
                    default ->
                        h.events.add(
                                now != null && now.step().gate().isPresent()
                                        ? BenchEvent.gate(id, h.at, TAM, step, "yes")
                                        : BenchEvent.done(id, h.at, TAM, step));
                }
            }
            RunState s = h.state();
            for (RunState.RunStep step : s.steps()) {
                done += step.doneAt().isPresent() ? 1 : 0;
            }
            boolean gap = false;
            for (RunState.RunStep step : s.steps()) {
                gap |= step.doneAt().isEmpty();
                assertThat(gap && step.doneAt().isPresent())
                        .as("done steps stand without a gap")
                        .isFalse();
            }
            assertThat(done).isLessThanOrEqualTo(60);
            assertThat(StillToCome.of(s, h.at))
                    .allSatisfy(
                            a -> assertThat(a.to()).isAfterOrEqualTo(a.from().isAfter(h.at) ? a.from() : h.at));
        });
    }

    @Test
    void aheadLaysTheRestEndToEnd() {
        Hands h = new Hands().to("filler-wait");
        List<StillToCome.Stretch> ahead = StillToCome.of(h.state(), h.at);
        assertThat(ahead.getFirst().step()).isEqualTo("filler-wait");
        assertThat(ahead.getFirst().handsOn()).isFalse();
        for (int i = 1; i < ahead.size(); i++) {
            assertThat(ahead.get(i).from()).isEqualTo(ahead.get(i - 1).to());
        }
    }

    private static double minutes(Instant a, Instant b) {
        return Duration.between(a, b).toMillis() / 60_000.0;
    }
}
