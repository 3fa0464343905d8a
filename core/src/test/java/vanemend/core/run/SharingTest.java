package vanemend.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.cure.DryingRoute;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;
import vanemend.core.plan.RepairDraft;

@DisplayName("several repairs, one lamp, one pair of hands: what waits for what")
class SharingTest {
    private static final Plan LAMP = plan(DryingRoute.Kind.LAMP);
    private static final Plan AIR = plan(DryingRoute.Kind.AIR);

    private static Plan plan(DryingRoute.Kind drying) {
        RepairDraft d = TestShop.usual();
        return TestShop.workup(
                        new RepairDraft(
                                d.part(),
                                d.damages(),
                                d.pins(),
                                drying,
                                d.houseRules(),
                                d.cutYMm(),
                                d.promisedAt(),
                                d.recipe(),
                                d.overrules(),
                                d.edits(),
                                d.lightAt(),
                                null,
                                null,
                                null),
                        TestShop.shop())
                .plan()
                .orElseThrow();
    }

    /** A repair that {@code who} brought to {@code step} by {@link TestShop#NOW}, each step having taken a minute. */
    private static Sharing.Run run(long id, Plan plan, String who, String step) {
        List<BenchEvent> events = new ArrayList<>();
        List<String> before = plan.steps().stream()
                .map(s -> s.step().id())
                .takeWhile(s -> !s.equals(step))
                .toList();
        Instant at = TestShop.NOW.minus(Duration.ofMinutes(before.size()));
        events.add(BenchEvent.start(UUID.randomUUID(), at, who));
        for (String s : before) {
            at = at.plusSeconds(60);
            boolean gate = Replay.of(plan, events, at)
                    .now()
                    .orElseThrow()
                    .step()
                    .gate()
                    .isPresent();
            events.add(
                    gate
                            ? BenchEvent.gate(UUID.randomUUID(), at, who, s, "yes")
                            : BenchEvent.done(UUID.randomUUID(), at, who, s));
        }
        RunState state = Replay.of(plan, events, TestShop.NOW);
        assertThat(state.current()).contains(step);
        return new Sharing.Run(id, "Repair " + id, Optional.empty(), state, StillToCome.of(state, TestShop.NOW));
    }

    private static StillToCome.Stretch stretch(Sharing.Shared s, long id, String step) {
        return s.ahead().get(id).stream()
                .filter(a -> a.step().equals(step))
                .findFirst()
                .orElseThrow();
    }

    @Test
    @DisplayName("a repair alone waits for nothing and is laid just as it is ahead")
    void alone() {
        Sharing.Run one = run(1, LAMP, "Tam", "wash");
        Sharing.Shared s = Sharing.of(List.of(one), 1, 1, TestShop.NOW);
        assertThat(s.waiting()).isEmpty();
        assertThat(s.ahead().get(1L)).isEqualTo(one.ahead());
    }

    @Test
    @DisplayName("a shop that says it has no lamp lays a run that is under one as if it had one")
    void noLampSaid() {
        List<Sharing.Run> runs = List.of(run(1, LAMP, "Tam", "wash"), run(2, LAMP, "Priya", "wash"));
        assertThat(Sharing.of(runs, 0, 0, TestShop.NOW)).isEqualTo(Sharing.of(runs, 1, 1, TestShop.NOW));
    }

    @Test
    @DisplayName("the lamp is at one part at a time: who comes second is told for what, from when and until when")
    void oneLamp() {
        Sharing.Run first = run(1, LAMP, "Tam", "filler-wait");
        Sharing.Run second = run(2, LAMP, "Priya", "filler-spread");
        Sharing.Shared s = Sharing.of(List.of(second, first), 1, 1, TestShop.NOW);
        StillToCome.Stretch has = stretch(s, 1, "filler-wait");
        assertThat(s.waiting()).filteredOn(w -> w.repair() == 2).first().satisfies(w -> {
            assertThat(w.step()).isEqualTo("filler-wait");
            assertThat(w.what()).isEqualTo(Step.Resource.LAMP);
            assertThat(w.has()).isEqualTo(1);
            assertThat(w.hasName()).isEqualTo("Repair 1");
            assertThat(w.until()).isEqualTo(has.to());
            assertThat(w.from()).isBefore(has.to());
        });
        assertThat(stretch(s, 2, "filler-wait").from()).isEqualTo(has.to());
        assertThat(Sharing.of(List.of(second, first), 2, 1, TestShop.NOW).waiting())
                .noneMatch(w -> w.what() == Step.Resource.LAMP);
        assertThat(Sharing.of(
                                List.of(run(1, AIR, "Tam", "filler-wait"), run(2, AIR, "Priya", "filler-spread")),
                                1,
                                1,
                                TestShop.NOW)
                        .waiting())
                .isEmpty();
    }

    @Test
    @DisplayName("hands are at one part at a time; while filler cures in air they are free for the other repair")
    void oneMan() {
        Sharing.Shared s =
                Sharing.of(List.of(run(1, AIR, "Tam", "wash"), run(2, AIR, "Tam", "filler-wait")), 1, 1, TestShop.NOW);
        assertThat(stretch(s, 1, "wash").to())
                .isBefore(stretch(s, 2, "filler-wait").to());
        assertThat(s.waiting()).anySatisfy(w -> {
            assertThat(w.what()).isEqualTo(Step.Resource.HANDS);
            assertThat(w.whose()).isEqualTo("Tam");
        });
        Sharing.Shared two =
                Sharing.of(List.of(run(1, AIR, "Tam", "wash"), run(2, AIR, "Priya", "wash")), 1, 1, TestShop.NOW);
        assertThat(two.waiting()).isEmpty();
    }

    @Test
    @DisplayName("whatever runs: nothing is at two parts at once, each repair keeps its order, a mix is spread at once")
    void invariants() {
        List<String> at = AIR.steps().stream().map(p -> p.step().id()).toList();
        Seeds.forEach(60, (r, i) -> {
            int lamps = 1 + r.nextInt(2);
            List<Sharing.Run> runs = new ArrayList<>();
            for (long id = 1; id <= 2 + r.nextInt(4); id++) {
                runs.add(run(
                        id,
                        r.nextBoolean() ? LAMP : AIR,
                        List.of("Tam", "Priya", "Joss").get(r.nextInt(3)),
                        at.get(r.nextInt(at.size()))));
            }
            Sharing.Shared s = Sharing.of(runs, lamps, 1, TestShop.NOW);
            Map<Long, Sharing.Run> byId = runs.stream().collect(Collectors.toMap(Sharing.Run::id, x -> x));
            List<StillToCome.Stretch> lamp = new ArrayList<>();
            Map<String, List<StillToCome.Stretch>> hands = new java.util.HashMap<>();
            s.ahead().forEach((id, ahead) -> {
                Sharing.Run run = byId.get(id);
                assertThat(ahead.stream().map(StillToCome.Stretch::step).toList())
                        .isEqualTo(run.ahead().stream()
                                .map(StillToCome.Stretch::step)
                                .toList());
                for (int k = 0; k < ahead.size(); k++) {
                    StillToCome.Stretch a = ahead.get(k);
                    Step step = run.state().steps().stream()
                            .filter(x -> x.id().equals(a.step()))
                            .findFirst()
                            .orElseThrow()
                            .step();
                    if (k > 0) {
                        assertThat(a.from()).isAfterOrEqualTo(ahead.get(k - 1).to());
                        if (step.kind() == Step.Kind.SPREAD) {
                            assertThat(a.from()).isEqualTo(ahead.get(k - 1).to());
                        }
                        // What begins later than now, begins no sooner than it would alone.
                        assertThat(a.from()).isAfterOrEqualTo(run.ahead().get(k).from());
                    }
                    if (step.resources().contains(Step.Resource.LAMP)
                            && a.from().isAfter(TestShop.NOW)) {
                        lamp.add(a);
                    }
                    if (a.handsOn()) {
                        hands.computeIfAbsent(run.state().hands(), h -> new ArrayList<>())
                                .add(a);
                    }
                }
            });
            assertThat(most(lamp)).isLessThanOrEqualTo(lamps);
            hands.values().forEach(h -> assertThat(most(h)).isLessThanOrEqualTo(1));
            assertThat(s.waiting()).allSatisfy(w -> {
                assertThat(w.until()).isAfter(w.from());
                assertThat(w.has()).isNotEqualTo(w.repair());
            });
        });
    }

    /** The most of {@code stretches} at one moment from now on. */
    private static long most(List<StillToCome.Stretch> stretches) {
        return stretches.stream()
                .mapToLong(a -> {
                    Instant begins = a.from().isBefore(TestShop.NOW) ? TestShop.NOW : a.from();
                    return stretches.stream()
                            .filter(b -> !b.from().isAfter(begins) && b.to().isAfter(begins))
                            .count();
                })
                .max()
                .orElse(0);
    }
}
