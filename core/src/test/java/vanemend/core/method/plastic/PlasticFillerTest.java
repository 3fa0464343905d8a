package vanemend.core.method.plastic;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.TestShop;
import vanemend.core.method.Cases;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.mix.Pour;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.stack.RankedStack;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;

@DisplayName("road rash and gouges in a cover that flexes: flexible filler alone (common practice)")
class PlasticFillerTest {
    private static final double WALL = 3.2;

    private static Workup of(String... damages) {
        RepairDraft d = TestShop.job(
                "{name: Front skirt, widthMm: 1600, heightMm: 420, made: {material: PLASTIC, mark: '>PP+EPDM-TD20<', thicknessMm: "
                        + WALL + "}}",
                damages);
        HouseRules house = HouseRules.defaults().with("plastic-face", "polyester");
        return TestShop.workup(d, TestShop.shop(21, house, TestShop.fullShelf()));
    }

    private static String rash(double deepMm) {
        return "{kind: RASH, xMm: 760, yMm: 160, lengthMm: 130, widthMm: 70, angleDeg: 8, depthMm: " + deepMm + "}";
    }

    private static Plan plan() {
        return TestShop.workup(
                        Cases.all().get("plastic-filler"),
                        TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
                .plan()
                .orElseThrow();
    }

    private static List<String> ids(Plan p) {
        return p.steps().stream().map(PlannedStep::step).map(Step::id).toList();
    }

    @Test
    void whatIsFilledIsTheBowlOfTheRashAndTheNotchOfTheGougeByHand() {
        Pour pour = plan().mix("filler").pour();
        // Rash: half of π/4 · 130 · 70 · 0.7; gouge: a third of π/4 · (70.5 + 8) · 4 · 1.2, both textbook.
        double byHand = Math.PI / 4 * (130 * 70 * 0.7 / 2 + (Math.hypot(70, 8) + 8) * 4 * 1.2 / 3) / 1000;
        assertThat(pour.volume().hollowMl()).isCloseTo(byHand, withinPercentage(0.5));
        // Density of the class, 1.7 g/mL; of what is mixed, two parts in 102 are cream.
        assertThat(pour.again().orElseThrow().perMm() * 1.02 / 1.7)
                .as("a low spot all over both takes what a millimetre more of each takes, and its share of loss")
                .isCloseTo(
                        Math.PI
                                / 4
                                * (130 * 70 / 2.0 + (Math.hypot(70, 8) + 8) * 4 / 3)
                                / 1000
                                * (1 + TradeBook.value("mix.board-loss")),
                        withinPercentage(0.5));
    }

    @Test
    void fuzzIsCutAndWhiteLinesAndDepthAreJudgedBeforeAnythingIsDulled() {
        Plan p = plan();
        assertThat(ids(p)).containsSubsequence("wash", "clean", "fuzz", "stress", "depth", "open-p80", "face-promoter");
        assertThat(ids(p)).doesNotContain("dish");
        Step stress = step(p, "stress");
        assertThat(stress.gate().orElseThrow().branches())
                .allSatisfy(b -> assertThat(b.weight().stops()).isTrue());
        Watch most = step(p, "depth").watches().stream()
                .filter(w -> w.weight() == Weight.STOP)
                .findFirst()
                .orElseThrow();
        assertThat(most.limit()).as("half the wall").isEqualTo(WALL / 2);
    }

    private static Step step(Plan p, String id) {
        return p.steps().stream()
                .map(PlannedStep::step)
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void overHalfTheWallItIsBackedAndNeverFilledOnTheFaceAlone() {
        assertThat(of(rash(WALL / 2)).stack().ranked().stream().map(RankedStack::recipe))
                .containsExactlyInAnyOrder("plastic-filler", "plastic-face");
        assertThat(of(rash(WALL / 2 + 0.1)).stack().ranked().stream().map(RankedStack::recipe))
                .contains("plastic-adhesive-cloth")
                .doesNotContain("plastic-filler", "plastic-face");
        assertThat(of("{kind: SCRATCH, trace: [700, 200, 790, 214], widthMm: 4, depthMm: 2}").stack().ranked().stream()
                        .map(RankedStack::recipe))
                .as("a gouge as well")
                .contains("plastic-adhesive-cloth")
                .doesNotContain("plastic-filler", "plastic-face");
    }

    @Test
    void aWiderOrDeeperRashNeverTakesLess() {
        double last = 0;
        for (double deep = 0.1; deep <= WALL / 2; deep += 0.1) {
            Pour pour = of(rash(deep)).plan().orElseThrow().mix("filler").pour();
            assertThat(pour.volume().totalMl()).isGreaterThan(last);
            last = pour.volume().totalMl();
        }
    }
}
