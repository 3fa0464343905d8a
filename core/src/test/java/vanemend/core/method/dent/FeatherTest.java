package vanemend.core.method.dent;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.TestShop;
import vanemend.core.damage.Damage;
import vanemend.core.footprint.Zone;
import vanemend.core.intake.Intake;
import vanemend.core.method.Cases;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.Workup;
import vanemend.core.stack.RankedStack;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Text;

@DisplayName("stone chips and scratches: feathered where they end in the coats, putty where they are deeper (recalled)")
class FeatherTest {
    private static final String SHEET = "{widthMm: 560, heightMm: 420, gaugeMm: 0.8, metal: %s,"
            + " coats: [{kind: E_COAT}, {kind: PRIMER_SURFACER}, {kind: BASE}, {kind: CLEAR}]}";

    private static Workup of(String metal, String... damages) {
        return TestShop.workup(
                TestShop.job(SHEET.formatted(metal), damages),
                TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
    }

    private static String chip(double deepMm) {
        return "{kind: PAINT_CHIP, xMm: 220, yMm: 190, lengthMm: 6, widthMm: 4, depthMm: " + deepMm + "}";
    }

    private static List<String> ways(Workup w) {
        return w.stack().ranked().stream().map(RankedStack::recipe).toList();
    }

    private static List<Step> steps(Workup w) {
        return w.plan().orElseThrow().steps().stream().map(PlannedStep::step).toList();
    }

    @ParameterizedTest(name = "recalled: {0} mm deep: {1}")
    @CsvSource({"0.1,scratch-feathered", "0.2,scratch-feathered", "0.21,dent-putty-alone", "1.5,dent-putty-alone"})
    void howDeepSettlesIt(double deep, String way) {
        assertThat(ways(of("MILD_STEEL", chip(deep)))).containsExactly(way);
        assertThat(ways(of(
                        "MILD_STEEL",
                        "{kind: SCRATCH, trace: [210, 300, 290, 322], widthMm: 3, depthMm: " + deep + "}")))
                .containsExactly(way);
    }

    @Test
    void theStackSaysWhyNothingIsFilled() {
        assertThat(Text.plain(of("MILD_STEEL", chip(0.15)).stack().fillNote()))
                .isEqualTo("0.15 mm deep, at most 0.2 mm: its edges are feathered, nothing is filled.");
    }

    @Test
    void oneThatIsDeeperTakesPuttyForAllAndADentBesideIsADent() {
        assertThat(ways(of("MILD_STEEL", chip(0.15), chip(0.4)))).containsExactly("dent-putty-alone");
        assertThat(ways(of(
                        "MILD_STEEL",
                        chip(0.15),
                        "{kind: DENT, xMm: 400, yMm: 240, lengthMm: 90, widthMm: 80, depthMm: 4}")))
                .containsExactly("dent-filler-putty");
    }

    @Test
    void nothingIsMixedNothingCuresAndTheEdgeIsJudgedBeforeItIsDulled() {
        Plan p = TestShop.workup(
                        Cases.all().get("scratch-feathered"),
                        TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
                .plan()
                .orElseThrow();
        assertThat(p.mixes()).isEmpty();
        assertThat(p.waits()).isEmpty();
        assertThat(p.steps().stream().map(s -> s.step().id()))
                .containsExactly("wash", "nail", "depth", "feather-p180", "edge", "dust", "fine-p320", "palm", "ready");
        assertThat(p.steps().get(6).step().activeMin())
                .as("gloss is taken off a field of eight hundred square centimetres, not ground off")
                .isLessThan(6);
    }

    @Test
    void aluminiumHasItsOwnPapersItsDustIsToldAndItLiesBareForAnHourAtMost() {
        List<Step> steps = steps(of("ALUMINIUM", chip(0.15)));
        Step paper = steps.stream()
                .filter(s -> s.kind() == Step.Kind.SAND)
                .findFirst()
                .orElseThrow();
        assertThat(paper.cautions()).extracting(c -> c.id()).contains("old-paint", "aluminium-dust");
        assertThat(paper.detail()).contains("Papers and boards kept for aluminium");
        assertThat(steps.getLast().detail()).contains("60 min").doesNotContain("flash-rusts");
    }

    @Test
    @DisplayName("the feathered field of one round chip of 6 mm is a disc of 6 + 2 · 30 mm (Steiner)")
    void byHand() {
        Workup w = of("MILD_STEEL", "{kind: PAINT_CHIP, xMm: 220, yMm: 190, lengthMm: 6, widthMm: 6, depthMm: 0.15}");
        assertThat(w.drawing().zones().stream()
                        .filter(z -> z.kind() == Zone.Kind.FEATHER)
                        .findFirst()
                        .orElseThrow()
                        .areaMm2())
                .isCloseTo(Math.PI * 33 * 33, withinPercentage(0.5));
    }

    @Test
    void aStoneChipsGlassAndPaintOnMetal() {
        assertThat(Intake.read("steel door stone chip 6 mm").damages())
                .extracting(Intake.SaidDamage::kind)
                .containsExactly(Damage.Kind.PAINT_CHIP);
        assertThat(Intake.read("windscreen stone chip 6 mm").damages())
                .extracting(Intake.SaidDamage::kind)
                .containsExactly(Damage.Kind.CHIP);
    }
}
