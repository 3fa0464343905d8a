package vanemend.core.method.composite;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import vanemend.core.TestShop;
import vanemend.core.damage.Damage;
import vanemend.core.intake.Intake;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.ShelfItem.LabelTime;
import vanemend.core.method.Loop;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Pace;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Portions;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.stack.RankedStack;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Limits;
import vanemend.core.verdict.Verdict;

@DisplayName(
        "chips and scratches in gelcoat: paste under film, polished (common practice; slope, lift and papers recalled)")
class GelcoatTest {
    private static final String POD =
            "{widthMm: 900, heightMm: 600, made: {material: COMPOSITE, composite: %s, thicknessMm: 5}%s}";
    private static final String GELCOAT = ", face: [GELCOAT]";

    private static Workup at(double airC, String kind, String more, String damage) {
        return TestShop.workup(
                TestShop.job(POD.formatted(kind, more), damage),
                TestShop.shop(airC, HouseRules.defaults(), TestShop.fullShelf()));
    }

    private static Workup of(String more, String damage) {
        return at(21, "HAND_LAID", more, damage);
    }

    private static String chip(double acrossMm, double deepMm) {
        return "{kind: GELCOAT_CHIP, xMm: 300, yMm: 250, lengthMm: " + acrossMm + ", widthMm: " + acrossMm
                + ", depthMm: " + deepMm + "}";
    }

    private static String scratch(double deepMm) {
        return "{kind: SCRATCH, trace: [300, 200, 380, 210], widthMm: 2, depthMm: " + deepMm + "}";
    }

    private static Plan plan() {
        return of(GELCOAT, chip(10, 0.63)).plan().orElseThrow();
    }

    private static List<Step> steps(Plan p) {
        return p.steps().stream().map(PlannedStep::step).toList();
    }

    private static Step step(Plan p, String id) {
        return steps(p).stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void itsColourIsTriedHardBeforeAnythingIsOpenedAndTheFilmLiesWhileItCures() {
        assertThat(steps(plan()).stream().map(Step::id))
                .containsSubsequence(
                        "clean",
                        "sound",
                        "cut-film",
                        "trial",
                        "trial-wait",
                        "open-p80",
                        "edge-p180",
                        "depth",
                        "bottom",
                        "acetone",
                        "dry",
                        "air",
                        "face-ready",
                        "fill",
                        "film",
                        "face-wait",
                        "film-off",
                        "level-p240",
                        "level-gate",
                        "refine-p400",
                        "refine-p1200",
                        "polish",
                        "daylight",
                        "ready");
    }

    @Test
    void whatIsNotGelcoatAloneStops() {
        Plan p = plan();
        assertThat(step(p, "sound").gate().orElseThrow().branches())
                .allMatch(b -> b.weight() == Weight.STOP)
                .hasSize(3);
        assertThat(step(p, "bottom").gate().orElseThrow().branches()).anyMatch(b -> b.weight() == Weight.STOP);
        assertThat(step(p, "level-gate").gate().orElseThrow().branches()).anyMatch(b -> b.weight() == Weight.STOP);
        assertThat(step(p, "depth").watches())
                .anyMatch(w -> w.weight() == Weight.STOP
                        && w.limit()
                                == Limits.rule("composite-gelcoat-deep").from().orElseThrow());
    }

    @Test
    @DisplayName("liquid peroxide is told of where it is first opened; epoxy is not spoken of (there is none)")
    void cautions() {
        for (Step s : steps(plan())) {
            List<String> said = s.cautions().stream().map(c -> c.id()).toList();
            assertThat(said).as(s.id()).doesNotContain("epoxy", "peroxide");
            assertThat(said.contains("liquid-peroxide"))
                    .as(s.id())
                    .isEqualTo(List.of("trial", "face-ready").contains(s.id()));
        }
    }

    @Test
    @DisplayName(
            "outside 18 to 25 °C nothing is mixed: by the shelf when it is planned, by what is read at the bench (label)")
    void itsWindow() {
        assertThat(at(17, "HAND_LAID", GELCOAT, chip(10, 0.63)).plan()).isEmpty();
        assertThat(at(26, "HAND_LAID", GELCOAT, chip(10, 0.63)).plan()).isEmpty();
        for (Quantity q : List.of(Quantity.AIR_C, Quantity.SURFACE_C)) {
            assertThat(step(plan(), "air").watches().stream()
                            .filter(w -> w.quantity() == q && w.weight() == Weight.STOP)
                            .map(w -> w.sense() + " " + w.limit()))
                    .containsExactly(Watch.Sense.AT_LEAST + " 18.0", Watch.Sense.AT_MOST + " 25.0");
        }
    }

    /** V = πr²h + 2π(r·h·w/2 + h·w²·(1/4 − 1/π²)), w = π/2·h·4: a cosine dish round a disc (integrated by hand). */
    @ParameterizedTest
    @CsvSource({"10, 0.63", "24, 0.77"})
    @DisplayName("by hand: the dish round a disc and half a millimetre over it (textbook geometry)")
    void byHand(double acrossMm, double h) {
        double r = acrossMm / 2;
        double w = Math.PI / 2 * h * 4;
        double dish =
                Math.PI * r * r * h + 2 * Math.PI * (r * h * w / 2 + h * w * w * (0.25 - 1 / (Math.PI * Math.PI)));
        double proud = 0.5 * Math.PI * (r * r + (r + w) * (r + w)) / 2;
        assertThat(figure(portion(of(GELCOAT, chip(acrossMm, h))), "On the part"))
                .isCloseTo((dish + proud) / 1000, within(0.06));
    }

    private static Portion portion(Workup w) {
        return w.plan().orElseThrow().portions().stream()
                .filter(p -> p.id().equals("face"))
                .findFirst()
                .orElseThrow();
    }

    private static double figure(Portion p, String word) {
        return p.figures().stream()
                .filter(f -> f.word().equals(word))
                .findFirst()
                .orElseThrow()
                .value();
    }

    @Test
    @DisplayName(
            "50 : 1 by weight is 2 %: never mixed smaller than a scale of 0.1 g can dose, and both parts say how much")
    void itsDose() {
        ShelfItem paste = TestShop.printing(TestShop.mix("g", "gelcoat-paste", 10, new LabelTime(21, 180)), null, 50.0);
        FillVolume tiny = new FillVolume(0.7, 0, 0, 0, 0.07);
        Portion p = Portions.withPeroxide("face", "Paste", paste, tiny, new Pace(10, 20, 0));
        double least = TradeBook.value("mix.min-filler");
        assertThat(figure(p, "Both parts together")).isEqualTo(least);
        assertThat(figure(p, "Paste")).isCloseTo(least * 50 / 51, within(0.11));
        assertThat(figure(p, "Liquid peroxide")).isCloseTo(figure(p, "Paste") / 50, within(0.01));
        assertThat(figure(p, "Peroxide")).isEqualTo(2);
        assertThat(figure(p, "On the part")).isEqualTo(0.7);
        assertThat(p.notes()).anyMatch(n -> n.contains("waste"));
        FillVolume large = new FillVolume(60, 0, 0, 0, 6);
        Portion q = Portions.withPeroxide("face", "Paste", paste, large, new Pace(10, 20, 0));
        assertThat(q.notes()).noneMatch(n -> n.contains("waste"));
        assertThat(figure(q, "Both parts together") * q.batches())
                .isCloseTo(66 * paste.density(), within(0.6 * q.batches()));
    }

    @Test
    @DisplayName(
            "a shelf that counts by weight is asked for grams of what is measured out in millilitres (mass = density × volume)")
    void theShelfIsAskedInItsOwnUnit() {
        Plan p = plan();
        double mixed = p.portions().stream()
                .filter(x -> x.itemId().equals("gelcoat-paste"))
                .mapToDouble(Portion::needed)
                .sum();
        assertThat(p.shopping().stream().filter(s -> s.itemId().equals("gelcoat-paste")))
                .singleElement()
                .satisfies(s -> {
                    assertThat(s.unit()).isEqualTo("g");
                    assertThat(s.needed()).isCloseTo(mixed * 1.3, within(0.25));
                });
    }

    @ParameterizedTest(name = "{0} mm in gelcoat: {1}")
    @CsvSource({"0.8, MEND", "0.81, LIMITS", "3, LIMITS", "3.1, REFER"})
    void howDeep(double deep, Verdict.Outcome outcome) {
        assertThat(of(GELCOAT, chip(10, deep)).verdict().outcome()).isEqualTo(outcome);
    }

    @Test
    void withoutBareGelcoatOrWithStarCracksItIsReferred() {
        assertThat(of("", chip(10, 0.5)).verdict().outcome()).isEqualTo(Verdict.Outcome.REFER);
        assertThat(of(GELCOAT + ", coats: [{kind: CLEAR}]", chip(10, 0.5))
                        .verdict()
                        .outcome())
                .isEqualTo(Verdict.Outcome.REFER);
        for (String answer : List.of("YES", "UNKNOWN")) {
            assertThat(of(GELCOAT + ", answers: {composite-gelcoat-star: " + answer + "}", chip(10, 0.5))
                            .verdict()
                            .outcome())
                    .as(answer)
                    .isEqualTo(Verdict.Outcome.REFER);
        }
    }

    @Test
    void aScratchGoesByPasteAsFarAsGelcoatGoesAndByLaminateFromThere() {
        assertThat(methods(of(GELCOAT, scratch(0.8)))).containsOnly(MethodId.GELCOAT);
        assertThat(methods(of(GELCOAT, scratch(0.9)))).containsOnly(MethodId.COMPOSITE);
        assertThat(methods(of("", scratch(0.5)))).containsOnly(MethodId.COMPOSITE);
    }

    private static List<MethodId> methods(Workup w) {
        return w.stack().ranked().stream().map(RankedStack::method).distinct().toList();
    }

    @Test
    void whatIsLowIsDulledWipedFilledUnderFilmAndLevelledAgain() {
        Loop again = plan().loops().stream()
                .filter(l -> l.id().equals("fill-again"))
                .findFirst()
                .orElseThrow();
        assertThat(again.steps().stream().map(Step::id))
                .containsSubsequence(
                        "edge-p180", "acetone", "dry", "mix", "fill", "film", "wait", "film-off", "level-p240");
        assertThat(again.steps().getFirst().asks()).contains(Quantity.DEPTH_MM);
    }

    @Test
    @DisplayName(
            "wet papers serve gelcoat and surfacer from 400 on; under filler they are never used (common practice)")
    void wetPapers() {
        List<ShelfItem> wet = TestShop.fullShelf().stream()
                .map(i -> i.grade().filter(g -> g >= 180).isPresent() ? TestShop.wet(i) : i)
                .toList();
        List<ShelfItem> fine = TestShop.fullShelf().stream()
                .map(i -> i.grade().filter(g -> g >= 400).isPresent() ? TestShop.wet(i) : i)
                .toList();
        RepairDraft pod = TestShop.job(POD.formatted("HAND_LAID", GELCOAT), chip(10, 0.63));
        HouseRules house = HouseRules.defaults();
        assertThat(TestShop.workup(pod, TestShop.shop(21, house, fine)).plan()).isPresent();
        assertThat(TestShop.workup(pod, TestShop.shop(21, house, wet)).plan()).isEmpty();
        HouseRules blocked = house.with("surfacer", "polyester");
        assertThat(TestShop.workup(TestShop.usual(), TestShop.shop(21, blocked, fine))
                        .plan())
                .isPresent();
        assertThat(TestShop.workup(TestShop.usual(), TestShop.shop(21, blocked, wet))
                        .plan())
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"roof pod chipped gelcoat", "roof pod gelcoat chip"})
    void aLineOfWordsKnowsIt(String line) {
        assertThat(Intake.read(line).damages())
                .extracting(Intake.SaidDamage::kind)
                .containsExactly(Damage.Kind.GELCOAT_CHIP);
    }
}
