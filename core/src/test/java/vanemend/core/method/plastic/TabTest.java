package vanemend.core.method.plastic;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.TestShop;
import vanemend.core.damage.Damage;
import vanemend.core.footprint.Zone;
import vanemend.core.intake.Intake;
import vanemend.core.method.Cases;
import vanemend.core.method.Gate;
import vanemend.core.method.Step;
import vanemend.core.method.Weight;
import vanemend.core.mix.Portion;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.Workup;
import vanemend.core.stack.RankedStack;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Verdict;

@DisplayName(
        "a torn tab or screw hole that only locates is built anew on a form (common practice; thickness and keying recalled)")
class TabTest {
    private static final String COVER =
            "{widthMm: 600, heightMm: 400, made: {material: PLASTIC, mark: '%s', thicknessMm: %s}%s}";

    private static Workup of(String mark, double wall, String more, String tab) {
        return TestShop.workup(
                TestShop.job(COVER.formatted(mark, wall, more), tab),
                TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
    }

    private static String tab(double x, String more) {
        return "{kind: TAB, xMm: " + x + ", yMm: 200, lengthMm: 30, widthMm: 30, angleDeg: 0" + more + "}";
    }

    private static Plan plan() {
        return TestShop.workup(
                        Cases.all().get("plastic-tab"), TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
                .plan()
                .orElseThrow();
    }

    private static List<Step> steps(Plan p) {
        return p.steps().stream().map(PlannedStep::step).toList();
    }

    private static Step step(Plan p, String id) {
        return steps(p).stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void whatHangsOnItIsAskedFirstAndIsNeverMended() {
        Gate first = steps(plan()).getFirst().gate().orElseThrow();
        assertThat(first.branches())
                .singleElement()
                .satisfies(b -> assertThat(b.weight()).isEqualTo(Weight.NEVER));
        for (Map.Entry<String, Verdict.Outcome> e : Map.of(
                        "plastic-tab-load: YES", Verdict.Outcome.REFER,
                        "plastic-tab-load: UNKNOWN", Verdict.Outcome.REFER,
                        "any-safety-part: YES", Verdict.Outcome.REFER,
                        "plastic-tab: YES", Verdict.Outcome.LIMITS)
                .entrySet()) {
            assertThat(of(">PP<", 3, ", answers: {" + e.getKey() + "}", tab(300, ""))
                            .verdict()
                            .outcome())
                    .as(e.getKey())
                    .isEqualTo(e.getValue());
        }
    }

    @Test
    void oneSideCuresBeforeTheOtherAndNothingIsDrilledOrBentBeforeFullStrength() {
        Plan p = plan();
        assertThat(steps(p).stream().map(Step::id))
                .containsSubsequence(
                        "holds",
                        "shape",
                        "back-p80",
                        "face-p80",
                        "wedge",
                        "shine",
                        "back-promoter",
                        "cut-cloth",
                        "back-fill",
                        "back-wait",
                        "form-off",
                        "face-promoter",
                        "face-fill",
                        "face-wait",
                        "trim",
                        "root",
                        "full",
                        "drill",
                        "bend",
                        "ready");
        assertThat(step(p, "full").clock().orElseThrow().minutes()).isEqualTo(TradeBook.value("tab.full"));
        assertThat(step(p, "trim").cautions()).extracting(c -> c.id()).contains("fibre-dust");
        for (String gate : List.of("root", "bend")) {
            assertThat(step(p, gate).gate().orElseThrow().branches())
                    .as(gate)
                    .anyMatch(b -> b.weight().stops());
        }
    }

    @Test
    void itsShapeComesFromThePieceOrFromATwin() {
        assertThat(shape(of(">PP<", 3, "", tab(300, ", pieceKept: true")))).contains("broken piece");
        assertThat(shape(of(">PP<", 3, "", tab(300, ", pieceKept: false")))).contains("twin");
    }

    private static String shape(Workup w) {
        return step(w.plan().orElseThrow(), "shape").detail();
    }

    @Test
    @DisplayName(
            "by hand: a disc of 30 mm, half of 3.5 mm thick on each side, and a ring to 70 mm that tapers from 1.6 mm (textbook geometry)")
    void byHand() {
        Workup w = of(">PP<", 3, "", tab(300, ""));
        double side = TradeBook.value("back.below-cloth")
                + TradeBook.value("plastics-cloth.thickness")
                + TradeBook.value("back.above-cloth");
        double disc = Math.PI * 15 * 15;
        double ring = Math.PI * (35 * 35 - 15 * 15);
        double ml = (disc * 3.5 / 2 + ring * side / 2) / 1000;
        for (String id : List.of("back", "face")) {
            Portion p = w.plan().orElseThrow().portions().stream()
                    .filter(x -> x.id().equals(id))
                    .findFirst()
                    .orElseThrow();
            double onPart = p.figures().stream()
                    .filter(x -> x.word().equals("On the part"))
                    .findFirst()
                    .orElseThrow()
                    .value();
            double squeezed = ml * (1 + TradeBook.value("back.squeeze"));
            assertThat(onPart).as(id).isCloseTo(squeezed, within(0.1 + squeezed * 0.01));
        }
    }

    @Test
    @DisplayName("a tab that stands out past the edge takes cloth over all of it, and none in the air beside it")
    void pastTheEdge() {
        Workup w = of(">PP<", 3, "", tab(598, ""));
        double in = zone(w, Zone.Kind.FACE_SAND);
        double cloth = zone(w, Zone.Kind.CLOTH);
        double outside = Math.PI * 15 * 15 - zone(w, Zone.Kind.DAMAGE);
        assertThat(cloth).isCloseTo(in + outside, withinPercentage(1));
        assertThat(outside).isPositive();
    }

    private static double zone(Workup w, Zone.Kind kind) {
        return w.drawing().zones().stream()
                .filter(z -> z.kind() == kind)
                .findFirst()
                .orElseThrow()
                .areaMm2();
    }

    @ParameterizedTest(name = "{0}: promoter {1}")
    @CsvSource({">PP+EPDM-TD20<, true", ">ABS<, false", ">PA6<, false", ">PUR<, false"})
    void promoterGoesUnderEachSideWhereThePlasticAsksForIt(String mark, boolean promoted) {
        List<String> ids = steps(of(mark, 3, "", tab(300, "")).plan().orElseThrow()).stream()
                .map(Step::id)
                .toList();
        assertThat(ids.contains("back-promoter") && ids.contains("face-promoter"))
                .isEqualTo(promoted);
        assertThat(ids.contains("back-promoter") || ids.contains("face-promoter"))
                .isEqualTo(promoted);
    }

    @Test
    void itsBackIsReachedOrItIsNotPlanned() {
        assertThat(of(">PP<", 3, ", reach: FACE_ONLY", tab(300, "")).stack().ranked())
                .extracting(RankedStack::recipe)
                .isEmpty();
    }

    @Test
    void aLineOfWordsKnowsIt() {
        assertThat(Intake.read("front bumper PP torn tab").damages())
                .extracting(Intake.SaidDamage::kind)
                .containsExactly(Damage.Kind.TAB);
    }
}
