package vanemend.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.method.Step;

@DisplayName("schedule: earliest and latest starts over a graph of steps (critical path method, textbook)")
class ScheduleTest {
    private static Step step(String id, Step.Kind kind, double active, double wait, String... after) {
        Optional<Step.Clock> clock = wait > 0
                ? Optional.of(new Step.Clock(Step.Clock.Kind.FROM, "from", wait, "test", ""))
                : Optional.empty();
        return new Step(
                id,
                kind,
                id,
                "",
                Optional.empty(),
                "",
                "",
                "",
                "",
                "",
                "",
                active,
                clock,
                Optional.empty(),
                "",
                List.of(),
                List.of(),
                List.of(),
                List.of(after),
                List.of(),
                "",
                Optional.empty(),
                List.of(),
                List.of());
    }

    private static final List<Step> DIAMOND = List.of(
            step("a", Step.Kind.DO, 5, 0),
            step("long", Step.Kind.WAIT, 0, 30, "a"),
            step("short", Step.Kind.DO, 10, 0, "a"),
            step("end", Step.Kind.DO, 2, 0, "long", "short"));

    private static PlannedStep at(List<PlannedStep> all, String id) {
        return all.stream().filter(s -> s.step().id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void withoutAPromiseNoStepIsLateWhateverTheFractions() {
        Seeds.forEach(100, (r, n) -> {
            List<Step> chain = new ArrayList<>();
            for (int i = 0; i < 30; i++) {
                double min = r.nextDouble() * 40;
                chain.add(
                        i == 0 ? step("s0", Step.Kind.DO, min, 0) : step("s" + i, Step.Kind.DO, min, 0, "s" + (i - 1)));
            }
            assertThat(Schedule.of(chain, Double.NaN))
                    .allSatisfy(s -> assertThat(s.latestMin()).isGreaterThanOrEqualTo(s.earliestMin()));
        });
    }

    @Test
    void theLongWayRoundSetsTheEndAndTheShortOneHasSlack() {
        List<PlannedStep> s = Schedule.of(DIAMOND, Double.NaN);
        assertThat(at(s, "end").earliestMin()).isCloseTo(35, within(1e-9));
        assertThat(at(s, "long").latestMin()).isCloseTo(5, within(1e-9));
        assertThat(at(s, "short").earliestMin()).isCloseTo(5, within(1e-9));
        assertThat(at(s, "short").latestMin()).isCloseTo(25, within(1e-9));
    }

    @Test
    void aPromiseMovesEveryLatestStartAndMayLieBeforeTheEarliest() {
        assertThat(at(Schedule.of(DIAMOND, 60), "a").latestMin()).isCloseTo(23, within(1e-9));
        PlannedStep late = at(Schedule.of(DIAMOND, 30), "a");
        assertThat(late.latestMin()).isCloseTo(-7, within(1e-9));
        assertThat(late.earliestMin()).isZero();
    }

    @Test
    void onlyAWaitsClockTakesTime() {
        assertThat(Schedule.minutes(step("mix", Step.Kind.MIX, 1, 4))).isEqualTo(1);
        assertThat(Schedule.minutes(step("wait", Step.Kind.WAIT, 0, 4))).isEqualTo(4);
    }

    @Test
    void aStepThatFollowsNothingKnownIsAFaultSaidByName() {
        assertThatThrownBy(() -> Schedule.of(List.of(step("b", Step.Kind.DO, 1, 0, "a")), Double.NaN))
                .hasMessageContaining("step b follows a");
    }
}
