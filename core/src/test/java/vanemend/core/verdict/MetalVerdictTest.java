package vanemend.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.TestShop;
import vanemend.core.damage.Damage;
import vanemend.core.part.MadeOf;
import vanemend.core.part.Metal;
import vanemend.core.part.Part;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.Air;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Text;

@DisplayName("verdict: every rule on both sides of its limit; the worst wins")
class MetalVerdictTest {
    private static Verdict of(
            double depth, double airC, double rh, Metal.Kind metal, Map<String, Part.Answer> answers) {
        RepairDraft d = TestShop.repair(TestShop.door(metal, answers), TestShop.dent(340, 240, 120, 100, depth));
        var shop = TestShop.shop();
        var air = new vanemend.core.method.Conditions(
                new Air(airC, rh),
                shop.house(),
                shop.shelf(),
                shop.now(),
                shop.zone(),
                shop.spreadMlPerMin(),
                shop.place(),
                shop.heat());
        return TestShop.workup(d, air).verdict();
    }

    private static Verdict.Finding finding(Verdict v, String rule) {
        return v.findings().stream()
                .filter(f -> f.ruleId().equals(rule))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest(name = "common practice: {0} mm left after straightening: {1}")
    @CsvSource({"0.1,MEND", "2.99,MEND", "3,MEND", "3.01,LIMITS", "6,LIMITS", "6.01,REFER", "12,REFER"})
    void depth(double depth, Verdict.Outcome outcome) {
        assertThat(of(depth, 21, 50, Metal.Kind.MILD_STEEL, TestShop.allNo()).outcome())
                .isEqualTo(outcome);
    }

    @Test
    void everyQuestionRefersWhenYesOrWhenNotAnswered() {
        List<Limits.Rule> asked = Limits.all().stream()
                .filter(Limits.Rule::asks)
                .filter(r -> r.materials().contains(MadeOf.METAL))
                .filter(r -> r.damages().isEmpty() || r.damages().contains(Damage.Kind.DENT))
                .toList();
        assertThat(asked).hasSizeGreaterThan(9);
        asked.forEach(rule -> {
            Map<String, Part.Answer> yes = new HashMap<>(TestShop.allNo());
            yes.put(rule.id(), Part.Answer.YES);
            Metal.Kind metal = rule.only().isEmpty() ? Metal.Kind.MILD_STEEL : Metal.Kind.ALUMINIUM;
            assertThat(of(2, 21, 50, metal, yes).outcome())
                    .as(rule.id() + " yes")
                    .isEqualTo(rule.verdict());
            Map<String, Part.Answer> open = new HashMap<>(TestShop.allNo());
            open.remove(rule.id());
            Verdict v = of(2, 21, 50, metal, open);
            assertThat(v.outcome()).as(rule.id() + " open").isEqualTo(Verdict.Outcome.REFER);
            assertThat(finding(v, rule.id()).asks()).isTrue();
        });
    }

    @Test
    void aBondedOrRivetedSkinIsAskedOfAluminiumAlone() {
        assertThat(of(2, 21, 50, Metal.Kind.MILD_STEEL, Map.of()).findings())
                .noneMatch(f -> f.ruleId().equals("metal-bonded"));
        assertThat(finding(of(2, 21, 50, Metal.Kind.ALUMINIUM, Map.of()), "metal-bonded")
                        .asks())
                .isTrue();
    }

    @ParameterizedTest(name = "label: air {0} °C bears on curing: {1}")
    @CsvSource({"9.9,true", "10,false", "21,false", "-5,true"})
    void cold(double airC, boolean bears) {
        assertThat(finding(of(2, airC, 40, Metal.Kind.MILD_STEEL, TestShop.allNo()), "any-cold")
                        .bears())
                .isEqualTo(bears);
    }

    @ParameterizedTest(name = "recalled: {0} % RH is too humid: {1}")
    @CsvSource({"85,false", "85.1,true"})
    void humid(double rh, boolean bears) {
        assertThat(finding(of(2, 21, rh, Metal.Kind.MILD_STEEL, TestShop.allNo()), "any-humid")
                        .bears())
                .isEqualTo(bears);
    }

    @ParameterizedTest(name = "ISO 8502-4: panel at 20 °C in {0} % RH within 3 K of dew: {1} (82.9 % is the limit)")
    @CsvSource({"82,false", "83.5,true"})
    void dew(double rh, boolean bears) {
        assertThat(finding(of(2, 20, rh, Metal.Kind.MILD_STEEL, TestShop.allNo()), "any-dew")
                        .bears())
                .isEqualTo(bears);
    }

    @Test
    void metalNotKnownRefersAndAluminiumIsLimited() {
        assertThat(of(2, 21, 50, Metal.Kind.UNKNOWN, TestShop.allNo()).outcome())
                .isEqualTo(Verdict.Outcome.REFER);
        assertThat(of(2, 21, 50, Metal.Kind.ALUMINIUM, TestShop.allNo()).outcome())
                .isEqualTo(Verdict.Outcome.LIMITS);
    }

    @Test
    void theWorstOfSeveralWinsAndAllAreShown() {
        Map<String, Part.Answer> answers = new HashMap<>(TestShop.allNo());
        answers.put("metal-live-rust", Part.Answer.YES);
        answers.put("metal-structure", Part.Answer.YES);
        Verdict v = of(4, 21, 50, Metal.Kind.MILD_STEEL, answers);
        assertThat(v.outcome()).isEqualTo(Verdict.Outcome.REFER);
        assertThat(v.findings().stream().filter(Verdict.Finding::bears).map(Verdict.Finding::ruleId))
                .contains("metal-live-rust", "metal-structure", "metal-depth");
        assertThat(v.findings().getFirst().outcome()).isEqualTo(Verdict.Outcome.REFER);
    }

    @Test
    void aReferredRepairHasNoPlanAndSaysWhatToDoInstead() {
        Workup w = TestShop.workup(
                TestShop.repair(TestShop.door(), TestShop.dent(340, 240, 120, 100, 7)),
                TestShop.shop(21, HouseRules.defaults(), TestShop.shelf()));
        assertThat(w.plan()).isEmpty();
        assertThat(w.blockers()).anySatisfy(b -> assertThat(b).contains("Back to straightening"));
        assertThat(Text.plain(finding(w.verdict(), "metal-too-deep").margin())).isEqualTo("7 mm deep, at most 6 mm");
        assertThat(finding(w.verdict(), "metal-too-deep").provenance()).isEqualTo("common practice");
    }
}
