package vanemend.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;
import vanemend.core.TestShop;
import vanemend.core.damage.Oval;
import vanemend.core.method.Act;
import vanemend.core.method.Cases;
import vanemend.core.method.Gate;
import vanemend.core.method.Loop;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.mix.Again;
import vanemend.core.plan.Plan;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.Air;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Quantity;

@DisplayName(
        "runs of every way to mend and through every loop, computed here, that the front end's own stepping is held against")
class RunFixtureTest {
    private static final Path KEPT = Path.of("..", "web", "src", "api", "generated", "runs");
    private static final double DEPTH_MM = 1.2;

    /** As much of a step as the front end steps by. */
    record ShortStep(
            String id,
            Step.Kind kind,
            String mix,
            String portion,
            Optional<Gate> gate,
            Optional<Step.Clock> clock,
            List<Quantity> asks,
            List<Watch> watches,
            List<String> after,
            List<Act> acts,
            List<String> sites) {
        static ShortStep of(Step s) {
            return new ShortStep(
                    s.id(),
                    s.kind(),
                    s.mix(),
                    s.portion(),
                    s.gate(),
                    s.clock(),
                    s.asks(),
                    s.watches(),
                    s.after(),
                    s.acts(),
                    s.sites());
        }
    }

    /** A loop of them. */
    record ShortLoop(String id, List<ShortStep> steps) {
        static ShortLoop of(Loop l) {
            return new ShortLoop(l.id(), l.steps().stream().map(ShortStep::of).toList());
        }
    }

    /** As much of a plan as the front end steps by. */
    record ShortPlan(
            List<ShortPlanned> steps,
            List<ShortLoop> loops,
            List<MixPlan> mixes,
            List<ShortPortion> portions,
            ShortLadder ladder,
            Air air,
            boolean binds) {}

    /** As much of a portion: what one more round takes. */
    record ShortPortion(String id, Optional<Again> again) {}

    /** Papers by their grade. */
    record ShortLadder(List<ShortRung> rungs) {}

    /** One of them. */
    record ShortRung(String id, int grade) {}

    /** A step of it. */
    record ShortPlanned(ShortStep step) {}

    /** What is in hand at first. */
    record Begun(List<ShortRunStep> steps, String current) {}

    /** A step of the run at first. */
    record ShortRunStep(String id, RunStepId at, String loop, ShortStep step) {}

    /** What one event leads to; the steps where it put some in. */
    record Turn(
            BenchEvent event,
            String current,
            Optional<List<String>> steps,
            List<String> clocks,
            List<String> weigh,
            List<String> stops,
            List<String> findings) {}

    /** A plan, where it begins, and what follows. */
    record Fixture(ShortPlan plan, Begun begun, List<Turn> turns) {}

    /** Somebody who walks through a whole plan, and at every gate finds first every fault that it can tell, once. */
    private static final class Walk {
        private final Plan plan;
        private final List<BenchEvent> events = new ArrayList<>();
        private final List<Turn> turns = new ArrayList<>();
        private final Set<String> found = new HashSet<>();
        private final Set<String> loops = new HashSet<>();
        private Instant at = TestShop.NOW;
        private int steps;

        Walk(String recipe) {
            plan = TestShop.workup(Cases.called(recipe), TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
                    .plan()
                    .orElseThrow();
        }

        private UUID id() {
            return new UUID(0, events.size() + 1);
        }

        private RunState state() {
            return Replay.of(plan, events, at);
        }

        private void take(BenchEvent e) {
            events.add(e);
            RunState s = state();
            turns.add(new Turn(
                    e,
                    s.current().orElse(""),
                    s.steps().size() == steps
                            ? Optional.empty()
                            : Optional.of(
                                    s.steps().stream().map(RunState.RunStep::id).toList()),
                    s.clocks().stream()
                            .map(c -> c.step() + " " + c.kind() + " " + c.label())
                            .sorted()
                            .toList(),
                    s.mixes().stream()
                            .map(m -> m.step() + " " + Math.round(m.fillerTargetG()) + " "
                                    + Math.round(m.creamTargetG() * 10) / 10.0)
                            .toList(),
                    s.stops().stream()
                            .map(x -> x.step() + " " + x.title() + " " + x.weight() + " " + x.more())
                            .toList(),
                    s.findings().stream()
                            .map(f -> f.watch().id() + " " + f.weight() + " " + Math.round(f.limit() * 10) / 10.0)
                            .toList()));
            steps = s.steps().size();
        }

        Fixture walk() {
            events.add(BenchEvent.start(id(), at, "Tam"));
            RunState begun = state();
            steps = begun.steps().size();
            for (Optional<RunState.RunStep> now = begun.now(); now.isPresent(); now = state().now()) {
                at = at.plusSeconds(45);
                step(now.get());
            }
            return new Fixture(
                    new ShortPlan(
                            plan.steps().stream()
                                    .map(p -> new ShortPlanned(ShortStep.of(p.step())))
                                    .toList(),
                            plan.loops().stream().map(ShortLoop::of).toList(),
                            plan.mixes(),
                            plan.portions().stream()
                                    .map(p -> new ShortPortion(p.id(), p.again()))
                                    .toList(),
                            new ShortLadder(plan.ladder().rungs().stream()
                                    .map(r -> new ShortRung(r.id(), r.grade()))
                                    .toList()),
                            plan.air(),
                            plan.binds()),
                    new Begun(
                            begun.steps().stream()
                                    .map(s -> new ShortRunStep(s.id(), s.at(), s.loop(), ShortStep.of(s.step())))
                                    .toList(),
                            begun.current().orElseThrow()),
                    turns);
        }

        private void step(RunState.RunStep s) {
            String step = s.id();
            if (s.step().kind() == Step.Kind.MIX && found.add("scrap " + s.at().step())) {
                // Too much cream never starts; it is thrown away and weighed again.
                take(BenchEvent.reading(id(), at, "Tam", step, Quantity.FILLER_G, 60));
                take(BenchEvent.reading(id(), at, "Tam", step, Quantity.CREAM_G, 6));
                take(BenchEvent.clock(id(), at, "Tam", step));
                take(BenchEvent.scrap(id(), at, "Tam", step, "too much cream"));
                return;
            }
            if (s.step().kind() == Step.Kind.MIX) {
                take(BenchEvent.reading(id(), at, "Tam", step, Quantity.FILLER_G, 61.4));
                take(BenchEvent.reading(id(), at, "Tam", step, Quantity.CREAM_G, 1.2));
                take(BenchEvent.clock(id(), at, "Tam", step));
            }
            if (s.step().gate().isEmpty()) {
                take(BenchEvent.done(id(), at, "Tam", step));
                return;
            }
            if (found.add("read " + s.at().step() + s.at().rounds().size())) {
                stopsAndPasses(s);
            }
            Optional<Gate.Branch> fault = s.step().gate().get().branches().stream()
                    .filter(b -> found.add(
                            s.at().step() + " " + b.id() + " " + s.at().rounds().size()))
                    .findFirst();
            // Where the spot can be drawn it is, the second time its gate is asked; else its depth is read.
            boolean draws = s.step().asks().contains(Quantity.SPOT_MM) && s.at().time() > 1;
            if (fault.isPresent() && draws) {
                Optional<Double> deep =
                        Optional.of(DEPTH_MM).filter(d -> fault.get().id().equals(Gate.LOW));
                take(BenchEvent.spot(id(), at, "Tam", step, fault.get().id(), new Oval(300, 200, 40, 30, 20), deep));
                take(BenchEvent.spot(id(), at, "Tam", step, fault.get().id(), new Oval(360, 200, 20, 18, 0), deep));
            } else if (fault.isPresent() && s.step().asks().contains(Quantity.DEPTH_MM)) {
                take(BenchEvent.reading(id(), at, "Tam", step, Quantity.DEPTH_MM, readable(s.step())));
            }
            fault.filter(b -> !b.weight().stops()).ifPresent(b -> loops.add(b.loop()));
            boolean stopped = !state().stops().isEmpty();
            take(BenchEvent.gate(
                            id(), at, "Tam", step, fault.map(Gate.Branch::id).orElse(Gate.YES))
                    .saying(stopped ? "looked at again, it holds" : ""));
        }

        /** A depth that the step does not stop for. */
        private static double readable(Step s) {
            return s.watches().stream()
                    .filter(w -> w.quantity() == Quantity.DEPTH_MM && w.sense() == Watch.Sense.AT_MOST)
                    .mapToDouble(Watch::limit)
                    .reduce(DEPTH_MM, Math::min);
        }

        /** Everything that is read at {@code s} is read so that it stops, the gate is tried all the same, and then so that it passes. */
        private void stopsAndPasses(RunState.RunStep s) {
            for (Watch w : s.step().watches()) {
                take(BenchEvent.reading(id(), at, "Tam", s.id(), w.quantity(), Readings.failing(w, plan.air())));
                if (w.weight().stops()) {
                    take(BenchEvent.gate(id(), at, "Tam", s.id(), Gate.YES));
                }
                for (int n = 0; n < w.passes(); n++) {
                    take(BenchEvent.reading(
                            id(),
                            at,
                            "Tam",
                            s.id(),
                            w.quantity(),
                            Readings.passing(s.step(), w.quantity(), plan.air())));
                }
            }
        }
    }

    static Stream<String> recipes() {
        return Stream.concat(Recipe.all().stream().map(Recipe::id), Stream.of(Cases.SITES));
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void keptFixtureIsUpToDate(String recipe) throws IOException {
        Walk walk = new Walk(recipe);
        JsonMapper json = JsonMapper.builder()
                .changeDefaultPropertyInclusion(i ->
                        JsonInclude.Value.construct(JsonInclude.Include.NON_ABSENT, JsonInclude.Include.NON_ABSENT))
                .build();
        String now = json.writeValueAsString(walk.walk()) + "\n";
        Path kept = KEPT.resolve(recipe + ".json");
        if (Boolean.getBoolean("vanemend.write")) {
            Files.createDirectories(KEPT);
            Files.writeString(kept, now);
        }
        assertThat(walk.loops)
                .as("every loop of the plan is walked")
                .containsExactlyInAnyOrderElementsOf(
                        walk.plan.loops().stream().map(Loop::id).toList());
        assertThat(json.readTree(Files.readString(kept)))
                .as("run this test with -Dvanemend.write=true")
                .isEqualTo(json.readTree(now));
    }
}
