package vanemend.core.method.plastic;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.TestShop;
import vanemend.core.method.Cases;
import vanemend.core.method.Gate;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Verdict;

@DisplayName("a welded plastic is finished once the weld itself was judged (common practice; times recalled)")
class WeldFinishTest {
    private static final String SEAM = "{kind: SEAM, trace: [200, 210, 290, 220], widthMm: 9, groundBelow: true}";

    private static Workup of(String answers) {
        return TestShop.workup(
                TestShop.job(
                        "{made: {material: PLASTIC, mark: '>PP+EPDM-TD20<', thicknessMm: 3.2}" + answers + "}", SEAM),
                TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
    }

    private static Plan plan() {
        return TestShop.workup(
                        Cases.all().get("weld-finish"), TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
                .plan()
                .orElseThrow();
    }

    @Test
    void itIsFusedAndAScrapIsBentBeforeAnythingIsGround() {
        List<Step> steps = plan().steps().stream().map(PlannedStep::step).toList();
        assertThat(steps.stream().map(Step::id))
                .containsSubsequence("clean", "weld-fused", "weld-scrap", "grind", "weld", "open-p180");
        Map<String, Gate> gates = Map.of("line", gate("weld-fused"), "parted", gate("weld-scrap"));
        gates.forEach((stop, g) -> assertThat(g.branches())
                .filteredOn(b -> b.id().equals(stop))
                .singleElement()
                .satisfies(b -> assertThat(b.weight().stops()).isTrue()));
    }

    private static Gate gate(String step) {
        return plan().steps().stream()
                .map(PlannedStep::step)
                .filter(s -> s.id().equals(step))
                .findFirst()
                .flatMap(Step::gate)
                .orElseThrow();
    }

    @Test
    void aWarmOneCoolsByItsOwnClockAndIsNotWarmed() {
        Step cool = plan().loop("cool-again").steps().getFirst();
        assertThat(cool.clock().orElseThrow().minutes()).isEqualTo(TradeBook.value("weld.cool"));
        assertThat(cool.detail()).doesNotContain("arm the panel");
    }

    @Test
    void oneThatIsStillToBeDoneIsReferred() {
        assertThat(of("").verdict().mends()).isTrue();
        assertThat(of(", answers: {plastic-weld: YES}").verdict().outcome()).isEqualTo(Verdict.Outcome.REFER);
        assertThat(of(", answers: {plastic-weld: UNKNOWN}").verdict().outcome()).isEqualTo(Verdict.Outcome.REFER);
    }
}
