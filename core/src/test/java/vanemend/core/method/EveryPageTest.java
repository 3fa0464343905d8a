package vanemend.core.method;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.TestShop;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Zone;
import vanemend.core.mix.Portion;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.Workup;
import vanemend.core.section.Layer;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Text;

@DisplayName(
        "every page of every method: what a step points at is there, what can hurt is said, what can fail leads somewhere")
class EveryPageTest {
    static Stream<String> recipes() {
        return Recipe.all().stream().map(Recipe::id);
    }

    private static Workup work(String recipe) {
        return TestShop.workup(Cases.all().get(recipe), TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
    }

    private static List<Step> all(Plan p) {
        List<Step> out = new ArrayList<>();
        p.steps().forEach(s -> out.add(s.step()));
        p.loops().forEach(l -> out.addAll(l.steps()));
        return out;
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void whatAStepPointsAtIsDrawnAndDosed(String recipe) {
        Workup w = work(recipe);
        Plan p = w.plan().orElseThrow();
        Set<Zone.Kind> zones = w.drawing().zones().stream().map(DrawnZone::kind).collect(Collectors.toSet());
        Set<String> layers = w.drawing().section().orElseThrow().layers().stream()
                .map(Layer::id)
                .collect(Collectors.toSet());
        Set<String> portions = p.portions().stream().map(Portion::id).collect(Collectors.toSet());
        Set<String> mixes = p.mixes().stream().map(MixPlan::id).collect(Collectors.toSet());
        Set<String> lost = new TreeSet<>();
        for (Step s : all(p)) {
            s.zone().filter(z -> !zones.contains(z)).ifPresent(z -> lost.add(s.id() + " zone " + z));
            if (!s.layer().isEmpty() && !layers.contains(s.layer())) {
                lost.add(s.id() + " layer " + s.layer());
            }
            if (!s.portion().isEmpty() && !portions.contains(s.portion())) {
                lost.add(s.id() + " portion " + s.portion());
            }
            if (!s.mix().isEmpty() && !mixes.contains(s.mix())) {
                lost.add(s.id() + " mix " + s.mix());
            }
        }
        assertThat(lost).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void everyGateThatFailsLeadsToReworkOrStopsAndNothingIsSaidTwice(String recipe) {
        Plan p = work(recipe).plan().orElseThrow();
        Set<String> ids = new LinkedHashSet<>();
        for (PlannedStep s : p.steps()) {
            assertThat(ids.add(s.step().id())).as(s.step().id()).isTrue();
            assertThat(Text.plain(s.step().title())).isNotBlank().hasSizeLessThan(60);
            s.step().gate().ifPresent(g -> {
                assertThat(g.question()).endsWith("?");
                g.branches()
                        .forEach(b -> assertThat(b.weight().stops()
                                        || !p.loop(b.loop()).steps().isEmpty())
                                .as(b.label())
                                .isTrue());
                assertThat(s.step().asks()).as("what binds is asked").containsAll(g.reads());
            });
        }
        Set<String> used = all(p).stream()
                .flatMap(s -> s.gate().stream())
                .flatMap(g -> g.branches().stream())
                .map(Gate.Branch::loop)
                .collect(Collectors.toSet());
        assertThat(p.loops().stream().map(Loop::id))
                .as("rework that no gate leads to")
                .allMatch(used::contains);
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void whereTheWorkCanHurtTheCautionStandsAtTheStep(String recipe) {
        Plan p = work(recipe).plan().orElseThrow();
        for (Step s : all(p)) {
            Set<String> said = s.cautions().stream().map(c -> c.id()).collect(Collectors.toSet());
            if (s.kind() == Step.Kind.SAND) {
                assertThat(said).as(s.id()).containsAnyOf("dust", "buffing", "fibre-dust");
            }
            if (s.kind() == Step.Kind.MIX || s.kind() == Step.Kind.SPREAD) {
                assertThat(said).as(s.id()).isNotEmpty();
            }
            if (s.resources().contains(Step.Resource.LAMP) || s.resources().contains(Step.Resource.OVEN)) {
                assertThat(said).as(s.id()).contains("lamp");
            }
            s.cautions().forEach(c -> assertThat(c.text()).isNotBlank());
        }
        assertThat(p.closing()).contains("label and safety data sheet").contains("licensed technician");
        assertThat(p.steps().getLast().step().detail()).contains("come before this plan");
    }

    @ParameterizedTest
    @MethodSource("recipes")
    @DisplayName(
            "lead and chromate are told before the first paper on metal, fibre dust at every paper on fibre, what burns behind the sheet before it is ground")
    void whatCanHurtIsToldAtTheFirstStepThatNeedsIt(String recipe) {
        Plan p = work(recipe).plan().orElseThrow();
        List<Step> steps = p.steps().stream().map(PlannedStep::step).toList();
        Function<Step, List<String>> said =
                s -> s.cautions().stream().map(c -> c.id()).toList();
        Step paper = steps.stream()
                .filter(s -> s.kind() == Step.Kind.SAND)
                .findFirst()
                .orElse(null);
        switch (p.method()) {
            case METAL_DENT, RUST_MESH, RUST_PITS -> {
                assertThat(said.apply(paper)).contains("old-paint");
                List<Step> hot = steps.stream()
                        .filter(s -> said.apply(s).contains("metalwork"))
                        .toList();
                // Nothing straightens a chip.
                assertThat(hot.isEmpty()).isEqualTo(recipe.equals("scratch-feathered"));
                assertThat(hot).allSatisfy(s -> assertThat(said.apply(s)).contains("hot-work"));
            }
            case METAL_SEAM -> {
                assertThat(said.apply(paper)).contains("old-paint");
                assertThat(p.loop("grind-again").steps().getFirst().cautions())
                        .extracting(c -> c.id())
                        .contains("metalwork", "hot-work");
            }
            case COMPOSITE -> {
                assertThat(said.apply(steps.getFirst())).contains("calibration");
                assertThat(all(p).stream().filter(s -> s.kind() == Step.Kind.SAND))
                        .isNotEmpty()
                        .allSatisfy(s -> assertThat(said.apply(s)).contains("fibre-dust"));
            }
            case CLEAR_RUN ->
                assertThat(steps.stream().filter(s -> s.paper().contains("damp")))
                        .isNotEmpty()
                        .allSatisfy(s -> assertThat(said.apply(s)).contains("water-mains"));
            case PLASTIC_TWO_SIDED, PLASTIC_PATCH, PLASTIC_MESH, WELD_FINISH, ABS_REBUILD, TRIM, GLASS_CHIP ->
                assertThat(steps.stream().map(said)).anyMatch(c -> c.contains("calibration"));
            case TYRE_CROWN -> assertThat(said.apply(steps.getFirst())).contains("tyre");
            default -> assertThat(paper == null || !said.apply(paper).isEmpty()).isTrue();
        }
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void timesAddUpAndNoWindowIsTurnedAround(String recipe) {
        Plan p = work(recipe).plan().orElseThrow();
        double end = 0;
        double hands = 0;
        double handsFree = 0;
        Map<String, Double> ends = new HashMap<>();
        for (PlannedStep s : p.steps()) {
            // One pair of hands, and no step before what it follows; only a wait may begin before the step above it is
            // done.
            assertThat(s.earliestMin())
                    .isGreaterThanOrEqualTo(handsFree - (s.step().activeMin() > 0 ? 1e-6 : 1e9));
            assertThat(s.step().after())
                    .allSatisfy(a -> assertThat(s.earliestMin()).isGreaterThanOrEqualTo(ends.get(a) - 1e-6));
            assertThat(s.latestMin()).isGreaterThanOrEqualTo(s.earliestMin() - 1e-6);
            handsFree = Math.max(handsFree, s.earliestMin() + s.step().activeMin());
            ends.put(s.step().id(), s.earliestMin() + s.step().lastsMin());
            end = Math.max(end, ends.get(s.step().id()));
            hands += s.step().activeMin();
            s.step().clock().ifPresent(c -> {
                assertThat(c.minutes()).as(s.step().id()).isPositive();
                assertThat(c.note()).as(s.step().id()).isNotBlank();
            });
            // What goes off is laid within its clock.
            if (s.step().kind() == Step.Kind.SPREAD && s.step().clock().isPresent()) {
                assertThat(s.step().activeMin())
                        .as(s.step().id())
                        .isLessThanOrEqualTo(Math.max(1, s.step().clock().get().minutes()) + 1e-6);
            }
        }
        assertThat(p.totalMin()).isCloseTo(end, org.assertj.core.api.Assertions.within(1e-6));
        assertThat(p.activeMin()).isCloseTo(hands, org.assertj.core.api.Assertions.within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void everyAmountIsTakenFromTheShelfAndSomeStepUsesIt(String recipe) {
        Plan p = work(recipe).plan().orElseThrow();
        Map<String, Double> needed =
                p.shopping().stream().collect(Collectors.toMap(s -> s.itemId(), s -> s.needed(), Double::sum));
        for (Portion x : p.portions()) {
            assertThat(needed).containsKey(x.itemId());
            assertThat(x.needed()).as(x.id()).isPositive();
            assertThat(x.figures())
                    .isNotEmpty()
                    .allSatisfy(f -> assertThat(f.unit()).isNotBlank());
            assertThat(x.onPartByMin()).isLessThanOrEqualTo(x.workMin());
        }
        p.mixes().forEach(m -> assertThat(needed).containsKey(m.pour().itemId()));
        p.ladder().rungs().forEach(r -> assertThat(needed).containsKey(r.itemId()));
    }
}
