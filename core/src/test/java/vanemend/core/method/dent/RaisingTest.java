package vanemend.core.method.dent;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.TestShop;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Cases;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Verdict;

@DisplayName(
        "how dents are raised: tapped, pulled by studs, or pushed out with the paint whole (common practice; minutes recalled)")
class RaisingTest {
    private static final String SKIN =
            "{widthMm: 1200, heightMm: 900, gaugeMm: 0.8, metal: %s, made: {material: METAL}%s,"
                    + " coats: [{kind: E_COAT}, {kind: PRIMER_SURFACER}, {kind: BASE}, {kind: CLEAR}]}";
    private static final HouseRules WHOLE = HouseRules.defaults().with("filler-base", "whole-paint");

    private static String dent(double x, double y, double across, double deep, String more) {
        return String.format(
                Locale.ROOT,
                "{kind: DENT, xMm: %.0f, yMm: %.0f, lengthMm: %.0f, widthMm: %.0f, angleDeg: 0, depthMm: %.2f%s}",
                x,
                y,
                across,
                across,
                deep,
                more);
    }

    private static Workup of(HouseRules house, String metal, String more, String... dents) {
        return TestShop.workup(
                TestShop.job(SKIN.formatted(metal, more), dents), TestShop.shop(21, house, TestShop.fullShelf()));
    }

    private static Plan way(String name) {
        Cases.Way w = Cases.ways().get(name);
        return TestShop.workup(w.draft(), TestShop.shop(21, w.house(), TestShop.fullShelf()))
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
    void aPulledDentIsWeldedOnlyWithTheBatteryOffAndPressedBeforeTheStudsComeOff() {
        Plan p = way("pulled");
        assertThat(steps(p).stream().map(Step::id))
                .containsSubsequence(
                        "wash", "battery", "studs", "pull", "pulled", "studs-off", "behind-pulled", "depth", "open")
                .doesNotContain("straighten");
        Step battery = step(p, "battery");
        assertThat(battery.clock().orElseThrow().minutes()).isEqualTo(TradeBook.value("pull.battery"));
        assertThat(battery.gate().orElseThrow().branches())
                .filteredOn(b -> b.weight().stops())
                .extracting(b -> b.id())
                .containsExactly("near");
        assertThat(battery.cautions()).extracting(c -> c.id()).contains("hot-work");
        assertThat(step(p, "studs").cautions())
                .as("the first that cuts into paint, on a zinc coat")
                .extracting(c -> c.id())
                .contains("old-paint", "dust", "zinc-fume", "hot-work");
        assertThat(p.loop("pull-again").steps()).isNotEmpty();
        assertThat(p.loop("straighten-again").steps()).isNotEmpty();
        assertThat(step(p, "open").detail()).contains("4 h");
    }

    @ParameterizedTest(name = "recalled: {0} studs: {1} min on, {2} min off")
    @CsvSource({"1,1.5,1", "9,13.5,9", "40,60,40"})
    void minutesGoWithTheStuds(int studs, double on, double off) {
        Plan p = of(
                        HouseRules.defaults(),
                        "MILD_STEEL",
                        "",
                        dent(500, 400, 160, 2.5, ", raising: PULLED, studs: " + studs))
                .plan()
                .orElseThrow();
        assertThat(step(p, "studs").activeMin()).isCloseTo(on, within(1e-9));
        assertThat(step(p, "studs-off").activeMin()).isCloseTo(off, within(1e-9));
        assertThat(step(p, "studs").title()).endsWith(studs == 1 ? "1 stud" : studs + " studs");
    }

    @Test
    void aPulledOneBesideATappedOneTakesBothAndPaintIsNotKeptOverEither() {
        Plan p = of(
                        WHOLE,
                        "MILD_STEEL",
                        "",
                        dent(300, 300, 50, 1.5, ""),
                        dent(800, 500, 50, 1.5, ", raising: PULLED, studs: 2"))
                .plan()
                .orElseThrow();
        assertThat(steps(p).stream().map(Step::id)).contains("studs", "straighten");
        assertThat(step(p, "straighten").activeMin()).isEqualTo(TradeBook.value("minutes.per-dent.straighten"));
        assertThat(step(p, "open").title()).startsWith("Open the coats");
    }

    @Test
    void studsAreForSteelAndTheirNumberIsSaid() {
        assertThat(of(HouseRules.defaults(), "ALUMINIUM", "", dent(500, 400, 160, 2.5, ", raising: PULLED, studs: 4"))
                        .verdict()
                        .outcome())
                .isEqualTo(Verdict.Outcome.REFER);
        for (String none : List.of("", ", studs: 0", ", studs: 201")) {
            assertThat(TestShop.problems(TestShop.job(
                            SKIN.formatted("MILD_STEEL", ""), dent(500, 400, 160, 2.5, ", raising: PULLED" + none))))
                    .singleElement()
                    .satisfies(x -> {
                        assertThat(x.field()).isEqualTo("damages[0].studs");
                        assertThat(x.message()).contains("Dent 1 is pulled").contains("from 1 to 200");
                    });
        }
    }

    @Test
    void whatIsPushedOutIsLookedAtFirstAndTakesNoFiller() {
        Plan p = way("hail");
        assertThat(steps(p).stream().map(Step::id))
                .containsSubsequence("wash", "mark", "pushed-out", "depth-1", "open");
        assertThat(step(p, "pushed-out").title()).contains("dent 4");
        RepairDraft all = Cases.ways().get("hail").draft();
        RepairDraft without = all.damaged(IntStream.range(0, all.damages().size())
                .filter(i -> i != 3)
                .mapToObj(all.damages()::get)
                .toList());
        Plan q = TestShop.workup(without, TestShop.shop(21, WHOLE, TestShop.fullShelf()))
                .plan()
                .orElseThrow();
        assertThat(mix(p).pour().fillerG() * mix(p).pour().batches())
                .isEqualTo(mix(q).pour().fillerG() * mix(q).pour().batches());
        assertThat(p.waits()).isEqualTo(q.waits());
        assertThat(TestShop.workup(all, TestShop.shop(21, WHOLE, TestShop.fullShelf()))
                        .drawing()
                        .damages()
                        .get(3)
                        .mark())
                .isEqualTo("Dent 4, pushed out");
    }

    @Test
    @DisplayName("each gate names its dent by its number on the drawing, those that are pushed out counted")
    void numbersAreThoseOfTheDrawing() {
        Plan p = way("hail");
        assertThat(step(p, "depth-3").detail()).startsWith("Dent 3. ");
        assertThat(step(p, "depth-4").detail()).startsWith("Dent 5. ");
        assertThat(step(p, "palm-10").detail()).startsWith("Dent 11. ");
        assertThat(step(p, "putty-spread-1").detail()).startsWith("Dent 1. Dent 2. Dent 3. Fill");
        assertThat(step(p, "putty-spread-4").detail()).startsWith("Dent 10. Dent 11. Fill");
    }

    @ParameterizedTest(name = "recalled: {0} mm between two dings over whole paint: {1} dulled fields")
    @CsvSource({"60,1", "79,1", "81,2", "200,2"})
    @DisplayName("by hand: the field of two dings is a stadium 15 mm past their hull")
    void dingsThatLieCloseAreDulledAsOneField(double gap, int fields) {
        Workup w = of(WHOLE, "MILD_STEEL", "", dent(400, 400, 20, 0.7, ""), dent(420 + gap, 400, 20, 0.7, ""));
        DrawnZone dulled = zone(w, Zone.Kind.DULLED);
        assertThat(dulled.rings()).hasSize(fields);
        double one = Math.PI * 25 * 25;
        assertThat(dulled.areaMm2())
                .isCloseTo(fields == 2 ? 2 * one : one + 2 * 25 * (20 + gap), withinPercentage(0.6));
        double inner = dulled.areaMm2();
        for (Zone.Kind outer : List.of(Zone.Kind.REFINE_180, Zone.Kind.FINE_240, Zone.Kind.FINE_320, Zone.Kind.CLEAN)) {
            assertThat(zone(w, outer).areaMm2()).as(outer.word()).isGreaterThan(inner);
            inner = zone(w, outer).areaMm2();
        }
    }

    private static DrawnZone zone(Workup w, Zone.Kind kind) {
        return w.drawing().zones().stream()
                .filter(z -> z.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    private static MixPlan mix(Plan p) {
        return p.mixes().getLast();
    }

    @Test
    void allOfItPushedOutIsNothingToFill() {
        assertThat(TestShop.problems(TestShop.job(
                        SKIN.formatted("MILD_STEEL", ""), dent(500, 400, 30, 0.8, ", raising: PUSHED_OUT"))))
                .singleElement()
                .satisfies(x -> assertThat(x.message()).contains("nothing is left to fill"));
    }

    @ParameterizedTest(name = "recalled: {0} mm across, {1} mm deep, {2}: offered for pushing out {3}")
    @CsvSource({
        "40,0.8,BOTH_SIDES,true",
        "41,0.8,BOTH_SIDES,false",
        "40,0.31,BOTH_SIDES,true",
        "40,0.3,BOTH_SIDES,false",
        "40,0.8,FACE_ONLY,false"
    })
    void smallOnesThatAreReachedFromBehindAreOfferedForPushingOut(
            double across, double deep, String reach, boolean offered) {
        Verdict v = of(HouseRules.defaults(), "MILD_STEEL", ", reach: " + reach, dent(500, 400, across, deep, ""))
                .verdict();
        assertThat(v.findings().stream().anyMatch(f -> f.ruleId().equals("metal-push-offer") && f.bears()))
                .isEqualTo(offered);
        assertThat(v.outcome()).as("an offer holds nothing up").isEqualTo(Verdict.Outcome.MEND);
    }

    @Test
    @DisplayName(
            "by hand: 24 dings of 18 mm at 20 s each are 8 min; hands have 1.4 min a mix (0.8 of 3 min less 1 to mix): 6 batches")
    void aBatchServesTheDingsThatHandsLayInItsWindow() {
        List<String> dings = new ArrayList<>();
        for (int i = 0; i < 24; i++) {
            dings.add(dent(100 + 150 * (i % 6), 100 + 180 * (i / 6), 18, 0.7, ""));
        }
        Plan p =
                of(WHOLE, "MILD_STEEL", "", dings.toArray(String[]::new)).plan().orElseThrow();
        assertThat(mix(p).pour().batches()).isEqualTo(6);
        assertThat(mix(p).pour().spreadMin()).isCloseTo(8.0 / 6, within(1e-9));
    }

    @Test
    void moreDingsNeverTakeFewerBatchesAndEachIsLaidOnce() {
        Random r = new Random(20261130);
        for (int round = 0; round < 25; round++) {
            List<String> dings = new ArrayList<>();
            int before = 0;
            for (int i = 0; i < 12; i++) {
                dings.add(dent(90 + 180 * (i % 6), 200 + 400 * (i / 6), 10 + r.nextInt(31), 0.4 + r.nextDouble(), ""));
                Plan p = of(WHOLE, "MILD_STEEL", "", dings.toArray(String[]::new))
                        .plan()
                        .orElseThrow();
                int batches = mix(p).pour().batches();
                assertThat(batches).isGreaterThanOrEqualTo(before);
                before = batches;
                if (batches > 1 && batches <= dings.size()) {
                    List<Integer> laid = steps(p).stream()
                            .filter(x -> x.id().startsWith("putty-spread"))
                            .flatMap(x -> Pattern.compile("Dent (\\d+)[.]")
                                    .matcher(x.detail())
                                    .results()
                                    .map(m -> Integer.valueOf(m.group(1))))
                            .toList();
                    assertThat(laid)
                            .containsExactlyElementsOf(IntStream.rangeClosed(1, dings.size())
                                    .boxed()
                                    .toList());
                }
            }
        }
    }
}
