package vanemend.core.method;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.TestShop;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlanEditDraft;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.RepairDraft;
import vanemend.core.trade.HouseRules;

@DisplayName(
        "cloth is cut and tins are stirred while something flashes; the wait runs from the step before both (common practice)")
class AsidesTest {
    private static Plan plan(RepairDraft d) {
        return TestShop.workup(d, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
                .plan()
                .orElseThrow();
    }

    private static List<String> ids(Plan p) {
        return p.steps().stream().map(s -> s.step().id()).toList();
    }

    private static PlannedStep at(Plan p, String id) {
        return p.steps().stream()
                .filter(s -> s.step().id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    @DisplayName(
            "cloth is cut while the promoter on the back flashes: the plan is as much shorter as the cutting takes")
    void cutWhileItFlashes() {
        Plan p = plan(Cases.all().get("plastic-adhesive-cloth"));
        assertThat(ids(p)).containsSubsequence("back-promoter", "cut-cloth", "back-promoter-flash");
        PlannedStep promoter = at(p, "back-promoter");
        PlannedStep cut = at(p, "cut-cloth");
        PlannedStep flash = at(p, "back-promoter-flash");
        double on = promoter.earliestMin() + promoter.step().lastsMin();
        assertThat(cut.earliestMin()).isCloseTo(on, within(1e-9));
        assertThat(flash.earliestMin()).isCloseTo(on, within(1e-9));
        double inARow = p.steps().stream().mapToDouble(s -> s.step().lastsMin()).sum();
        assertThat(inARow - p.totalMin()).isCloseTo(cut.step().activeMin(), within(1e-6));
    }

    static Stream<String> recipes() {
        return Cases.all().keySet().stream();
    }

    @ParameterizedTest
    @MethodSource("recipes")
    @DisplayName(
            "what is done in a wait fits into it, stands before what needs it, and takes nothing from the step before")
    void fits(String recipe) {
        Plan p = plan(Cases.all().get(recipe));
        List<Step> steps = p.steps().stream().map(PlannedStep::step).toList();
        for (int i = 1; i < steps.size(); i++) {
            int since = Asides.since(steps, i);
            List<Step> in = steps.subList(since + 1, i);
            assertThat(in).allMatch(Asides::is);
            assertThat(in.stream().mapToDouble(Step::activeMin).sum())
                    .isLessThanOrEqualTo(in.isEmpty() ? 0 : steps.get(i).waitMin());
            assertThat(in.isEmpty() || !steps.get(since).goesLive()).isTrue();
        }
    }

    @Test
    @DisplayName("moved by hand to where nothing waits, it takes its own time again")
    void movedOut() {
        RepairDraft d = Cases.all().get("plastic-adhesive-cloth");
        Plan was = plan(d);
        Plan now = plan(Cases.edited(d, new PlanEditDraft(PlanEditDraft.Kind.MOVE, "cut-cloth", "clean", null, null)));
        assertThat(now.totalMin() - was.totalMin())
                .isCloseTo(at(was, "cut-cloth").step().activeMin(), within(1e-6));
        assertThat(at(now, "back-promoter-flash").step().after()).containsExactly("back-promoter");
    }

    @Test
    @DisplayName("what goes off once it is opened is not opened early, and under a lamp nobody turns away")
    void notWhatIsLive() {
        for (String recipe : Cases.all().keySet()) {
            List<Step> steps = plan(Cases.all().get(recipe)).steps().stream()
                    .map(PlannedStep::step)
                    .toList();
            for (int i = 1; i < steps.size(); i++) {
                if (Asides.since(steps, i) < i - 1) {
                    assertThat(steps.get(i).resources()).doesNotContain(Step.Resource.LAMP, Step.Resource.OVEN);
                    assertThat(steps.subList(Asides.since(steps, i) + 1, i)).noneMatch(Step::goesLive);
                }
            }
        }
    }
}
