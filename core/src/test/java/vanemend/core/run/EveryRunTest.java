package vanemend.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.damage.Oval;
import vanemend.core.method.Cases;
import vanemend.core.method.Gate;
import vanemend.core.method.Step;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.Plan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.record.RepairRecord;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Quantity;

@DisplayName("every plan can be walked to its end, straight or through any rework, and its clocks and record hold")
class EveryRunTest {
    static Stream<String> recipes() {
        return Recipe.all().stream().map(Recipe::id);
    }

    /** A run in the making: what happened, and the time it is. */
    private static final class Walk {
        private final FrozenPlan frozen;
        private final Plan plan;
        private final List<BenchEvent> events = new ArrayList<>();
        private Instant at = TestShop.NOW;

        Walk(String recipe) {
            RepairDraft d = Cases.all().get(recipe);
            Workup w = TestShop.workup(d, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
            frozen = new FrozenPlan(TestShop.NOW, "Tam", d, w);
            plan = w.plan().orElseThrow();
            happened(BenchEvent.Kind.START, "", "");
        }

        RunState state() {
            return Replay.of(plan, events, at);
        }

        void happened(BenchEvent.Kind kind, String step, String answer) {
            at = at.plusSeconds(60);
            events.add(new BenchEvent(
                    UUID.nameUUIDFromBytes(
                            (events.size() + step + answer).getBytes(java.nio.charset.StandardCharsets.UTF_8)),
                    kind,
                    at,
                    "Tam",
                    step,
                    answer,
                    Optional.empty(),
                    Optional.empty(),
                    // What was stopped by its answer is looked at again, and what was seen is said.
                    answer.equals("yes") && !state().stops().isEmpty() ? "looked at again: it holds" : "",
                    Optional.empty()));
        }

        /** The step in hand is done; at a gate with {@code answer}. */
        void on(RunState s, String answer) {
            String id = s.current().orElseThrow();
            boolean gate = s.steps().stream()
                    .filter(x -> x.id().equals(id))
                    .findFirst()
                    .orElseThrow()
                    .step()
                    .gate()
                    .isPresent();
            happened(gate ? BenchEvent.Kind.GATE : BenchEvent.Kind.DONE, id, gate ? answer : "");
        }
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void straightThrough(String recipe) {
        Walk w = new Walk(recipe);
        int clocks = 0;
        for (int i = 0; i < w.plan.steps().size(); i++) {
            RunState s = w.state();
            clocks += s.clocks().size();
            w.on(s, "yes");
        }
        RunState end = w.state();
        assertThat(end.finishedAt()).isPresent();
        assertThat(end.ignored()).isEmpty();
        boolean times = w.plan.steps().stream().anyMatch(s -> s.step().clock().isPresent());
        assertThat(clocks > 0).isEqualTo(times);
        assertThat(RepairRecord.of(w.frozen, w.events, w.at)).isNotNull();
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void everyOtherAnswerOnceThenTheGateIsAskedAgain(String recipe) {
        Walk w = new Walk(recipe);
        Set<String> tried = new HashSet<>();
        int most = 0;
        while (w.state().finishedAt().isEmpty() && most++ < 600) {
            RunState s = w.state();
            Step step = s.steps().stream()
                    .filter(x -> x.id().equals(s.current().orElseThrow()))
                    .findFirst()
                    .orElseThrow()
                    .step();
            String answer = "yes";
            for (Gate.Branch b : step.gate().map(Gate::branches).orElse(List.of())) {
                if (s.stops().isEmpty() && tried.add(step.id() + "/" + b.id())) {
                    answer = b.id();
                    break;
                }
            }
            w.on(s, answer);
        }
        RunState end = w.state();
        assertThat(end.finishedAt()).as("never came to an end").isPresent();
        assertThat(end.ignored()).isEmpty();
        assertThat(end.steps().size()).isGreaterThan(w.plan.steps().size());
        assertThat(RepairRecord.of(w.frozen, w.events, w.at)).isNotNull();
    }

    @ParameterizedTest
    @MethodSource("recipes")
    @DisplayName("at every gate that spots are drawn at: any spots leave a run that walks on, a film map and a record")
    void spotsAtEveryGate(String recipe) {
        Seeds.forEach(3, (Random r, Integer n) -> {
            Walk w = new Walk(recipe);
            for (int i = 0; i < 300 && w.state().current().isPresent(); i++) {
                RunState.RunStep now = w.state().now().orElseThrow();
                String answer = Gate.YES;
                if (now.step().gate().isPresent() && now.step().asks().contains(Quantity.SPOT_MM) && r.nextInt(3) > 0) {
                    List<Gate.Branch> all = now.step().gate().get().branches().stream()
                            .filter(b -> !b.weight().stops())
                            .toList();
                    answer = all.get(r.nextInt(all.size())).id();
                    for (int k = r.nextInt(4); k > 0; k--) {
                        Optional<Double> deep = Optional.of(Seeds.between(r, 0.1, 4))
                                .filter(d -> w.events.size() % 2 == 0)
                                .or(() -> Optional.of(0.5));
                        w.events.add(BenchEvent.spot(
                                new UUID(r.nextLong(), r.nextLong()),
                                w.at,
                                "Tam",
                                now.id(),
                                answer,
                                new Oval(
                                        Seeds.between(r, 0, 600),
                                        Seeds.between(r, 0, 400),
                                        Seeds.between(r, 1, 200),
                                        Seeds.between(r, 1, 200),
                                        Seeds.between(r, -90, 90)),
                                answer.equals(Gate.LOW) ? deep : Optional.empty()));
                    }
                }
                w.on(w.state(), answer);
                RunState s = w.state();
                assertThat(s.mixes())
                        .allSatisfy(m -> assertThat(m.fillerTargetG()).isPositive());
                FilmMap.of(w.frozen, s).ifPresent(m -> {
                    assertThat(m.thickMm()).allMatch(mm -> mm >= 0);
                    assertThat(m.thickMm().size() % m.columns()).isZero();
                });
            }
            assertThat(w.state().steps().stream().map(RunState.RunStep::id)).doesNotHaveDuplicates();
            assertThat(w.state().ignored()).isEmpty();
            assertThat(RepairRecord.of(w.frozen, w.events, w.at).film().isPresent())
                    .isEqualTo(FilmMap.of(w.frozen, w.state()).isPresent());
        });
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void undoTakesBackAnyLastThing(String recipe) {
        Seeds.forEach(3, (Random r, Integer n) -> {
            Walk w = new Walk(recipe);
            int stop = 1 + r.nextInt(w.plan.steps().size() - 1);
            for (int i = 0; i < stop; i++) {
                w.on(w.state(), "yes");
            }
            RunState before = w.state();
            w.on(before, "yes");
            UUID last = w.state().lastUndoable().orElseThrow();
            w.events.add(new BenchEvent(
                    UUID.randomUUID(),
                    BenchEvent.Kind.UNDO,
                    w.at,
                    "Tam",
                    "",
                    "",
                    Optional.empty(),
                    Optional.empty(),
                    "",
                    Optional.of(last)));
            assertThat(w.state().current()).isEqualTo(before.current());
        });
    }
}
