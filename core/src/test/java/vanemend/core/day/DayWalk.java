package vanemend.core.day;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vanemend.core.TestShop;
import vanemend.core.method.Cases;
import vanemend.core.plan.Plan;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.Replay;
import vanemend.core.run.RunState;
import vanemend.core.trade.HouseRules;

/** A run on its way, a minute at a time. */
final class DayWalk {
    private final Plan plan;
    private final List<BenchEvent> events = new ArrayList<>();
    private Instant at = TestShop.NOW;

    private DayWalk(Plan plan) {
        this.plan = plan;
        add(BenchEvent.Kind.START, "", "");
    }

    static DayWalk of(String recipe) {
        return new DayWalk(
                TestShop.workup(Cases.all().get(recipe), TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
                        .plan()
                        .orElseThrow());
    }

    Plan plan() {
        return plan;
    }

    Instant at() {
        return at;
    }

    void add(BenchEvent.Kind kind, String step, String answer) {
        at = at.plusSeconds(60);
        events.add(new BenchEvent(
                UUID.nameUUIDFromBytes((events.size() + step + answer).getBytes(StandardCharsets.UTF_8)),
                kind,
                at,
                "Tam",
                step,
                answer,
                Optional.empty(),
                Optional.empty(),
                "",
                Optional.empty()));
    }

    RunState state() {
        return Replay.of(plan, events, at);
    }

    void next(RunState s) {
        String id = s.current().orElseThrow();
        boolean gate = s.steps().stream()
                .anyMatch(x -> x.id().equals(id) && x.step().gate().isPresent());
        add(gate ? BenchEvent.Kind.GATE : BenchEvent.Kind.DONE, id, gate ? "yes" : "");
    }
}
