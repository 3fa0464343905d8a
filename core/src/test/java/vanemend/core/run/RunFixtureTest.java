package vanemend.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import vanemend.core.Bench;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;

@DisplayName("the run that the front end's own stepping is held against, computed here")
class RunFixtureTest {
    private static final Path KEPT = Path.of("..", "web", "src", "api", "generated", "run-fixture.json");

    /** What one event leads to. */
    record Turn(BenchEvent event, String current, List<String> steps, List<String> clocks, List<String> weigh) {}

    /** What is believed of a reading. */
    record Limits(double from, double to) {
        static Limits of(Step.Ask quantity) {
            return new Limits(ReadingLimits.min(quantity), ReadingLimits.max(quantity));
        }
    }

    /** A plan, where it begins, and what follows; and what is believed of every reading. */
    record Fixture(Plan plan, RunState begun, List<Turn> turns, Map<Step.Ask, Limits> limits) {}

    private final Plan plan = Bench.frozen().plan();
    private final List<BenchEvent> events = new ArrayList<>();
    private final List<Turn> turns = new ArrayList<>();
    private Instant at = Bench.NOW;
    private int count;

    private UUID id() {
        return new UUID(0, ++count);
    }

    private void take(BenchEvent e) {
        events.add(e);
        RunState s = Replay.of(plan, events, at);
        turns.add(new Turn(
                e,
                s.current().orElse(""),
                s.steps().stream().map(RunState.RunStep::id).toList(),
                s.clocks().stream().map(c -> c.step() + " " + c.kind()).sorted().toList(),
                s.mixes().stream()
                        .map(m -> m.step() + " " + Math.round(m.fillerTargetG()))
                        .toList()));
    }

    private RunState.RunStep now() {
        at = at.plusSeconds(45);
        return Replay.of(plan, events, at).now().orElseThrow();
    }

    private void through(String last) {
        while (true) {
            RunState.RunStep s = now();
            if (s.step().kind() == Step.Kind.MIX) {
                take(BenchEvent.reading(id(), at, "Tam", s.id(), Step.Ask.FILLER_G, 61.4));
                take(BenchEvent.reading(id(), at, "Tam", s.id(), Step.Ask.CREAM_G, 1.2));
                take(BenchEvent.clock(id(), at, "Tam", s.id()));
            }
            take(
                    s.step().gate().isPresent()
                            ? BenchEvent.gate(id(), at, "Tam", s.id(), "yes")
                            : BenchEvent.done(id(), at, "Tam", s.id()));
            if (s.id().equals(last)) {
                return;
            }
        }
    }

    @Test
    void keptFixtureIsUpToDate() throws IOException {
        BenchEvent start = BenchEvent.start(id(), at, "Tam");
        events.add(start);
        RunState begun = Replay.of(plan, events, at);
        through("shape-p180");
        take(BenchEvent.reading(id(), at, "Tam", now().id(), Step.Ask.DEPTH_MM, 2.2));
        take(BenchEvent.gate(id(), at, "Tam", now().id(), "low"));
        through("shape-gate#1.low.sand");
        take(BenchEvent.gate(id(), at, "Tam", now().id(), "pinholes"));
        through("shape-gate#2.pinholes.spread");
        take(BenchEvent.gate(id(), at, "Tam", now().id(), "soft"));
        through("ready");
        Map<Step.Ask, Limits> limits = new EnumMap<>(Step.Ask.class);
        for (Step.Ask quantity : Step.Ask.values()) {
            limits.put(quantity, Limits.of(quantity));
        }
        JsonMapper json = JsonMapper.builder()
                .changeDefaultPropertyInclusion(i ->
                        JsonInclude.Value.construct(JsonInclude.Include.NON_ABSENT, JsonInclude.Include.NON_ABSENT))
                .build();
        String now = json.writeValueAsString(new Fixture(plan, begun, turns, limits)) + "\n";
        if (Boolean.getBoolean("vanemend.write")) {
            Files.writeString(KEPT, now);
        }
        assertThat(json.readTree(Files.readString(KEPT)))
                .as("run this test with -Dvanemend.write=true")
                .isEqualTo(json.readTree(now));
    }
}
