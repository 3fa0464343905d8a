package vanemend.core.day;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.TestShop;
import vanemend.core.method.Cases;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.Replay;
import vanemend.core.run.RunState;
import vanemend.core.trade.HouseRules;

@DisplayName("what hands did of a run: as it was said, waits left out, from when it is asked")
class PastTest {
    private static final Duration A_STEP = Duration.ofMinutes(7);

    private final Plan plan = TestShop.workup(
                    Cases.all().get("dent-filler-putty"),
                    TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
            .plan()
            .orElseThrow();
    private final List<BenchEvent> events = new ArrayList<>();
    private Instant at = TestShop.NOW;

    private RunState state() {
        return Replay.of(plan, events, at);
    }

    private void add(BenchEvent.Kind kind, String by, String step, String answer) {
        at = at.plus(A_STEP);
        events.add(new BenchEvent(
                UUID.nameUUIDFromBytes((events.size() + step).getBytes(StandardCharsets.UTF_8)),
                kind,
                at,
                by,
                step,
                answer,
                Optional.empty(),
                Optional.empty(),
                "",
                Optional.empty()));
    }

    /** The first {@code some} steps, each by who is next in {@code hands}. */
    private RunState done(int some, String... hands) {
        add(BenchEvent.Kind.START, hands[0], "", "");
        for (int i = 0; i < some; i++) {
            RunState s = state();
            String id = s.current().orElseThrow();
            boolean gate = s.steps().stream()
                    .anyMatch(x -> x.id().equals(id) && x.step().gate().isPresent());
            add(
                    gate ? BenchEvent.Kind.GATE : BenchEvent.Kind.DONE,
                    hands[Math.min(i, hands.length - 1)],
                    id,
                    gate ? "yes" : "");
        }
        return state();
    }

    @Test
    @DisplayName("steps that the same hands do one after the other are one stretch, other hands begin another")
    void stretches() {
        RunState s = done(3, "Tam", "Tam", "Priya");
        assertThat(s.steps().subList(0, 3)).noneMatch(x -> x.step().kind() == Step.Kind.WAIT);
        Instant began = TestShop.NOW.plus(A_STEP);
        assertThat(Past.of(s, TestShop.NOW))
                .containsExactly(
                        new Past("Tam", began, began.plus(A_STEP.multipliedBy(2)), 2),
                        new Past("Priya", began.plus(A_STEP.multipliedBy(2)), began.plus(A_STEP.multipliedBy(3)), 1));
    }

    @Test
    @DisplayName("waits are nobody's: what is told and what was waited is all of the time, and nothing is told twice")
    void waits() {
        RunState s = done(plan.steps().size() - 1, "Tam");
        long waited = s.steps().stream()
                .filter(x -> x.step().kind() == Step.Kind.WAIT && x.doneAt().isPresent())
                .count();
        assertThat(waited).isPositive();
        Duration told = Past.of(s, TestShop.NOW).stream()
                .map(p -> Duration.between(p.from(), p.to()))
                .reduce(Duration.ZERO, Duration::plus);
        assertThat(told.plus(A_STEP.multipliedBy(waited))).isEqualTo(Duration.between(TestShop.NOW.plus(A_STEP), at));
    }

    @Test
    @DisplayName("what was done before is left out, what was begun before is told from then on")
    void since() {
        RunState s = done(3, "Tam");
        Instant half = TestShop.NOW.plus(A_STEP.multipliedBy(2)).plusSeconds(60);
        assertThat(Past.of(s, half)).containsExactly(new Past("Tam", half, at, 2));
        assertThat(Past.of(s, at)).isEmpty();
    }

    @Test
    @DisplayName("the shop opens by the clock on the wall, on the night it changes too; on a day off it does not")
    void opens() {
        ZoneId london = ZoneId.of("Europe/London");
        Hours week = Hours.kept("SUNDAY 07:30-12:00; MONDAY 08:00-12:00 12:30-16:30");
        assertThat(week.opens(LocalDate.of(2027, 3, 28), london)).contains(Instant.parse("2027-03-28T06:30:00Z"));
        assertThat(week.opens(LocalDate.of(2026, 11, 30), london)).contains(Instant.parse("2026-11-30T08:00:00Z"));
        assertThat(week.opens(LocalDate.of(2026, 12, 1), london)).isEmpty();
    }
}
