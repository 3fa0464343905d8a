package vanemend.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.any.AnyRepair;
import vanemend.core.cure.DryingRoute;
import vanemend.core.damage.DamageDraft;
import vanemend.core.damage.Dent;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Cases;
import vanemend.core.method.Conditions;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.mix.Pour;
import vanemend.core.stack.StackChoice;
import vanemend.core.trade.Check;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.RuleBook;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

class PlannerTest {
    private static final HouseRules HOUSE = HouseRules.defaults();

    private static Plan plan(RepairDraft draft, Conditions shop) {
        Workup w = TestShop.workup(draft, shop);
        return w.plan().orElseThrow(() -> new AssertionError(w.blockers().toString()));
    }

    private static List<String> ids(Plan p) {
        return p.steps().stream().map(s -> s.step().id()).toList();
    }

    @Test
    @DisplayName(
            "method A in its order: wash before sanding, tight coat after wipe, filler before putty, gate before grinding, palm test last")
    void order() {
        List<String> ids = ids(plan(TestShop.usual(), TestShop.shop()));
        assertThat(ids)
                .containsSubsequence(
                        "wash",
                        "straighten",
                        "depth",
                        "open",
                        "wipe",
                        "filler-prepare",
                        "filler-mix",
                        "filler-spread",
                        "filler-wait",
                        "shape-p80",
                        "shape-p120",
                        "shape-p180",
                        "shape-gate",
                        "putty-mix",
                        "putty-spread",
                        "putty-wait",
                        "fine-p180",
                        "fine-p240",
                        "fine-p320",
                        "seal",
                        "seal-wait",
                        "palm",
                        "ready");
    }

    @Test
    void puttyAloneHasNoFillerStepsAndOpensWith180() {
        Plan p = plan(TestShop.repair(TestShop.door(), TestShop.dent(340, 240, 58, 50, 1.6)), TestShop.shop());
        assertThat(ids(p)).doesNotContain("filler-mix", "shape-p80");
        assertThat(p.steps().stream()
                        .filter(s -> s.step().id().equals("open"))
                        .findFirst()
                        .orElseThrow()
                        .step()
                        .paper())
                .isEqualTo("180");
    }

    @Test
    void schoolsChangeTheSteps() {
        assertThat(ids(plan(
                        TestShop.usual(),
                        TestShop.shop(21, HOUSE.with("first-grade", "file-cheese"), TestShop.shelf()))))
                .containsSubsequence("filler-spread", "cheese", "file", "filler-wait", "shape-p120");
        assertThat(ids(plan(
                        TestShop.usual(),
                        TestShop.shop(21, HOUSE.with("filler-base", "epoxy-primer"), TestShop.shelf()))))
                .containsSubsequence("open", "prime", "prime-wait", "scuff", "filler-mix");
        assertThat(ids(plan(TestShop.usual(), TestShop.shop(21, HOUSE.with("ladder", "quick"), TestShop.shelf()))))
                .doesNotContain("shape-p120", "fine-p240");
    }

    @Test
    void fasterDoseShortensBothClocksAlike() {
        MixPlan two = plan(TestShop.usual(), TestShop.shop()).mix("filler");
        MixPlan more = plan(
                        TestShop.usual(),
                        TestShop.shop(21, HOUSE.with("peroxide-dose", "two-to-three"), TestShop.shelf()))
                .mix("filler");
        assertThat(more.pour().percent()).isEqualTo(2.5);
        assertThat(more.pour().workMin()).isCloseTo(two.pour().workMin() * 2 / 2.5, within(1e-9));
        assertThat(more.route().minutes()).isCloseTo(two.route().minutes() * 2 / 2.5, within(1e-9));
    }

    @Test
    @DisplayName(
            "a ribbon of half the puddle is as much as the puddle it really lies across takes, however many batches there are")
    void aRibbonGoesWithItsOwnPuddle() {
        List<Integer> batches = new ArrayList<>();
        Seeds.forEach(120, (r, n) -> {
            Workup w = ribbon(
                    Seeds.between(r, 40, 240), Seeds.between(r, 1, 2.9), Seeds.between(r, 16, 30), n % 2 == 0 ? 20 : 6);
            w.plan()
                    .ifPresent(p -> p.mixes().forEach(m -> {
                        Pour pour = m.pour();
                        assertThat(pour.beadMm()).isCloseTo(pour.puddleMm() / 2, within(1e-6));
                        assertThat(pour.percent()).isBetween(1.0, 3.0);
                        assertThat(pour.creamG()).isCloseTo(pour.fillerG() * pour.percent() / 100, within(0.051));
                        batches.add(pour.batches());
                    }));
        });
        assertThat(batches).contains(1).anyMatch(b -> b > 1);
    }

    /** One round dent under the rule of the ribbon, spread at {@code mlPerMin}. */
    private static Workup ribbon(double acrossMm, double depthMm, double airC, double mlPerMin) {
        Conditions shop = TestShop.shop(airC, HOUSE.with("peroxide-dose", "ribbon-half"), TestShop.shelf());
        return TestShop.workup(
                TestShop.repair(TestShop.door(), TestShop.dent(340, 240, acrossMm, acrossMm, depthMm)),
                new Conditions(
                        shop.air(),
                        shop.house(),
                        shop.shelf(),
                        shop.now(),
                        shop.zone(),
                        mlPerMin,
                        shop.place(),
                        shop.heat()));
    }

    @Test
    void aDoseThatNeverCuresIsNoPlan() {
        // Half the width of a puddle over 100 mm is less than 1 % (common practice); in the cold it all stays workable.
        Workup w = ribbon(200, 2.9, 12, 20);
        assertThat(w.plan()).isEmpty();
        assertThat(w.blockers().toString()).contains("too little");
    }

    @Test
    void belowTenDegreesThereIsNoPlanAndTheReasonIsSaid() {
        Workup w = TestShop.workup(TestShop.usual(), TestShop.shop(-5, HOUSE, TestShop.shelf()));
        assertThat(w.plan()).isEmpty();
        assertThat(w.blockers()).anySatisfy(b -> assertThat(Text.plain(b)).contains("Does not cure below 10 °C"));
        assertThat(TestShop.workup(TestShop.usual(), TestShop.shop(10, HOUSE, TestShop.shelf()))
                        .plan())
                .isPresent();
    }

    @Test
    void inAHotShopTheMixIsTooQuickOrSplit() {
        Workup w = TestShop.workup(TestShop.usual(), TestShop.shop(50, HOUSE, TestShop.shelf()));
        assertThat(w.plan()).isEmpty();
        assertThat(w.stack().ruledOut()).anySatisfy(r -> assertThat(r.reason()).contains("too quick today"));
    }

    @Test
    void theLampIsTakenWhenAskedAndHelps() {
        RepairDraft lamp = new RepairDraft(
                TestShop.door(),
                TestShop.usual().damages(),
                Map.of(),
                DryingRoute.Kind.LAMP,
                Map.of(),
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null);
        Plan p = plan(lamp, TestShop.shop(13, HOUSE, TestShop.shelf()));
        assertThat(p.mix("filler").route().kind()).isEqualTo(DryingRoute.Kind.LAMP);
        assertThat(p.mix("filler").route().minutes())
                .isLessThan(p.mix("filler").routes().getFirst().minutes());
        assertThat(p.steps().stream()
                        .filter(s -> s.step().id().equals("filler-wait"))
                        .findFirst()
                        .orElseThrow()
                        .step()
                        .resources())
                .contains(Step.Resource.LAMP);
    }

    @Test
    @DisplayName("every label time follows today's air, the sealer's too: 15 min at 21 °C is 15 × 1.55 at 15 °C")
    void sealerDriesSlowerInTheCold() {
        assertThat(sealerMin(21)).isCloseTo(15, within(1e-9));
        assertThat(sealerMin(15)).isCloseTo(15 * 1.55, within(0.1));
    }

    private static double sealerMin(double airC) {
        return plan(TestShop.usual(), TestShop.shop(airC, HOUSE, TestShop.shelf())).steps().stream()
                .map(PlannedStep::step)
                .filter(s -> s.id().equals("seal-wait"))
                .findFirst()
                .orElseThrow()
                .clock()
                .orElseThrow()
                .minutes();
    }

    @Test
    void windowsHoldTheWholePlanAndThePromise() {
        RepairDraft promised = new RepairDraft(
                TestShop.door(),
                TestShop.usual().damages(),
                Map.of(),
                DryingRoute.Kind.AIR,
                Map.of(),
                null,
                TestShop.NOW.plusSeconds(8 * 3600),
                null,
                null,
                null,
                null,
                null,
                null,
                null);
        Plan p = plan(promised, TestShop.shop());
        assertThat(p.spareMin().orElseThrow()).isCloseTo(480 - p.totalMin(), within(1e-9));
        double at = 0;
        for (PlannedStep s : p.steps()) {
            assertThat(s.earliestMin()).isGreaterThanOrEqualTo(at - 1e-9);
            assertThat(s.latestMin() - s.earliestMin()).isCloseTo(p.spareMin().get(), within(1e-6));
            at = s.earliestMin() + Schedule.minutes(s.step());
        }
        assertThat(at).isCloseTo(p.totalMin(), within(1e-9));
        assertThat(plan(TestShop.usual(), TestShop.shop()).spareMin()).isEmpty();
    }

    @Test
    void interlocksHoldOnEveryGeneratedPlan() {
        Map<String, Integer> planned = new HashMap<>();
        Seeds.forEach(400, (r, i) -> {
            List<DamageDraft> dents = new ArrayList<>();
            for (Dent d : TestShop.dents(r)) {
                dents.add(DamageDraft.dent(
                        d.xMm(), d.yMm(), d.lengthMm(), d.widthMm(), d.angleDeg(), d.depthMm(), d.profile()));
            }
            HouseRules house = AnyRepair.house(r);
            Workup w = TestShop.workup(
                    new RepairDraft(
                            TestShop.door(),
                            dents,
                            Map.of(),
                            DryingRoute.Kind.values()[r.nextInt(2)],
                            Map.of(),
                            null,
                            null,
                            null,
                            null,
                            null,
                            null,
                            null,
                            null,
                            null),
                    TestShop.shop(Seeds.between(r, 5, 40), house, TestShop.fullShelf()));
            assertThat(w.ruleBook()).isEqualTo(RuleBook.version());
            if (w.plan().isEmpty()) {
                assertThat(w.blockers()).isNotEmpty();
                return;
            }
            planned.merge("plans", 1, Integer::sum);
            Plan p = w.plan().get();
            boolean cured = true;
            boolean wiped = false;
            for (PlannedStep ps : p.steps()) {
                Step s = ps.step();
                if (s.kind() == Step.Kind.SPREAD) {
                    assertThat(wiped).as("cleaned before " + s.id()).isTrue();
                    cured = false;
                }
                if (s.kind() == Step.Kind.WAIT && !s.mix().isEmpty()) {
                    cured = true;
                    assertThat(s.gate()).as("a wait ends with its sign").isPresent();
                }
                if (s.kind() == Step.Kind.SAND
                        && !s.id().equals("scuff")
                        && !s.id().equals("open")
                        && !s.id().equals("putty-dull")) {
                    assertThat(cured)
                            .as("no grinding before the cure gate: " + s.id())
                            .isTrue();
                    assertThat(s.title())
                            .as("guide coat at every change of paper")
                            .startsWith("Guide coat");
                    boolean coarse = s.paper().matches("P(80|100|120|150)");
                    assertThat(!coarse
                                    || s.zone().orElseThrow() == Zone.Kind.FILLER
                                    || s.zone().orElseThrow() == Zone.Kind.FEATHER)
                            .as("coarse paper stays inside")
                            .isTrue();
                }
                if (s.kind() == Step.Kind.MIX) {
                    assertThat(s.clock()).as("a mix has its clock").isPresent();
                    assertThat(s.cautions()).extracting(c -> c.id()).contains("styrene", "peroxide");
                }
                wiped |= s.id().equals("wipe");
            }
            p.mixes().forEach(m -> {
                assertThat(m.route().peakC()).as("polyester never above 50 °C").isLessThanOrEqualTo(50);
                assertThat(m.pour().spreadMin() + m.pour().mixMin())
                        .isLessThanOrEqualTo(m.pour().onPartByMin() + 1e-6);
            });
        });
        assertThat(planned.get("plans")).isGreaterThan(100);
    }

    @Test
    void sameDraftSameConditionsSameWorkup() {
        assertThat(TestShop.workup(TestShop.usual(), TestShop.shop()))
                .isEqualTo(TestShop.workup(TestShop.usual(), TestShop.shop()));
    }

    @Test
    void whatIsShownWhileTypingIsTheSamePlan() {
        Check check = new Check();
        Workup whole = TestShop.workup(TestShop.usual(), TestShop.shop());
        Workup sketch = Planner.sketch(TestShop.usual(), TestShop.shop(), check).orElseThrow();
        assertThat(check.clean()).isTrue();
        assertThat(sketch)
                .usingRecursiveComparison()
                .ignoringFields("stack", "plan")
                .isEqualTo(whole);
        assertThat(sketch.stack()).isEqualTo(whole.stack().sketch());
        Plan plan = whole.plan().orElseThrow();
        assertThat(sketch.plan().orElseThrow())
                .usingRecursiveComparison()
                .ignoringFields("loops")
                .isEqualTo(plan);
        assertThat(plan.loops()).isNotEmpty();
        assertThat(sketch.plan().orElseThrow().loops()).isEmpty();
        assertThat(whole.stack().rejectedClasses()).isNotEmpty();
    }

    @ParameterizedTest
    @MethodSource("everyCase")
    @DisplayName("while typing the same way is taken as when all are weighed, with the same score, by every house rule")
    void theSameWayIsTaken(String name) {
        RepairDraft open = Cases.open(Cases.all().get(name));
        for (HouseRules.School s : HouseRules.schools()) {
            for (HouseRules.Option o :
                    s.options().stream().filter(HouseRules.Option::planned).toList()) {
                Conditions shop = TestShop.shop(21, HouseRules.defaults().with(s.id(), o.id()), TestShop.fullShelf());
                StackChoice whole =
                        Planner.plan(open, shop, new Check()).orElseThrow().stack();
                StackChoice sketch =
                        Planner.sketch(open, shop, new Check()).orElseThrow().stack();
                assertThat(sketch.taken()).as(s.id() + " " + o.id()).isEqualTo(whole.taken());
                assertThat(sketch.ranked().getFirst())
                        .isEqualTo(whole.ranked().getFirst().sketch());
            }
        }
    }

    static Set<String> everyCase() {
        return Cases.all().keySet();
    }

    @Test
    @DisplayName(
            "a wider spreader takes fewer strokes by the bench rule; amounts and clocks stay (1 + ceil((Z - w) / (2w/3)))")
    void theSpreaderInHand() {
        RepairDraft d = Cases.all().get("dent-filler-putty");
        Pour usual = TestShop.workup(d, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
                .plan()
                .orElseThrow()
                .mix("filler")
                .pour();
        Pour wide = TestShop.workup(spreading(d, 200.0), TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
                .plan()
                .orElseThrow()
                .mix("filler")
                .pour();
        Pour narrow = TestShop.workup(
                        spreading(d, 50.0), TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
                .plan()
                .orElseThrow()
                .mix("filler")
                .pour();
        assertThat(usual.spreaderMm()).isEqualTo(TradeBook.value("spread.width"));
        assertThat(wide.strokes()).isLessThan(usual.strokes());
        assertThat(narrow.strokes()).isGreaterThan(usual.strokes());
        assertThat(wide.fillerG()).isEqualTo(usual.fillerG());
        assertThat(wide.onPartByMin()).isEqualTo(usual.onPartByMin());
    }

    @Test
    @DisplayName(
            "thinned filler is sanded no sooner than either of the two by itself, and both are fetched (stricter label)")
    void thinnedCuresAsTheSlower() {
        RepairDraft d = Cases.all().get("dent-filler-putty");
        Plan plain = planned(d, "as-it-comes");
        Plan thinned = planned(d, "putty");
        assertThat(thinned.mix("filler").law().sandMin())
                .isEqualTo(Math.max(
                        plain.mix("filler").law().sandMin(),
                        plain.mix("putty").law().sandMin()));
        assertThat(thinned.mix("filler").pour().workMin())
                .isLessThanOrEqualTo(plain.mix("filler").pour().workMin());
        Pour p = thinned.mix("filler").pour();
        double putty = thinned.mix("putty").pour().fillerG();
        assertThat(fetched(thinned, p.thinner().orElseThrow().itemId()))
                .isEqualTo(Math.ceil((putty + p.thinner().orElseThrow().of(p.fillerG()) * p.batches()) * 10 - 1e-6)
                        / 10);
        assertThat(fetched(thinned, p.itemId()) / (p.fillerG() * p.batches())).isCloseTo(0.75, within(0.01));
    }

    private static double fetched(Plan plan, String item) {
        return plan.shopping().stream()
                .filter(s -> s.itemId().equals(item))
                .findFirst()
                .orElseThrow()
                .needed();
    }

    private static Plan planned(RepairDraft d, String thinned) {
        HouseRules house = HouseRules.defaults().with("filler-thinned", thinned);
        return TestShop.workup(d, TestShop.shop(21, house, TestShop.fullShelf()))
                .plan()
                .orElseThrow();
    }

    private static RepairDraft spreading(RepairDraft d, double mm) {
        return new RepairDraft(
                d.part(),
                d.damages(),
                d.pins(),
                d.drying(),
                d.houseRules(),
                d.cutYMm(),
                d.promisedAt(),
                d.recipe(),
                d.overrules(),
                d.edits(),
                d.lightAt(),
                d.pane(),
                d.dryings(),
                mm);
    }
}
