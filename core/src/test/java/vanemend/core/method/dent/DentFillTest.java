package vanemend.core.method.dent;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import vanemend.core.TestShop;
import vanemend.core.damage.DamageDraft;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Cases;
import vanemend.core.method.Gate;
import vanemend.core.method.Loop;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.mix.Again;
import vanemend.core.part.Metal;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.stack.RankedStack;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

@DisplayName("metal dent fill, as its page reads (common practice)")
class DentFillTest {
    private static Plan plan(RepairDraft draft) {
        return TestShop.workup(draft, TestShop.shop()).plan().orElseThrow();
    }

    private static Step step(Plan p, String id) {
        return p.steps().stream()
                .map(PlannedStep::step)
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void everyGatesOtherAnswerLeadsToALoopThatEndsWhereItBegan() {
        Plan p = plan(TestShop.usual());
        for (PlannedStep s : p.steps()) {
            s.step()
                    .gate()
                    .ifPresent(g -> g.branches().forEach(b -> {
                        Loop loop = p.loop(b.loop());
                        assertThat(loop.steps()).as(b.loop()).isNotEmpty();
                        assertThat(loop.steps().getFirst().after()).isEmpty();
                    }));
        }
        assertThatThrownBy(() -> new Gate("Flat?", "Yes", "", "No", List.of())).hasMessageContaining("no gate");
    }

    @Test
    void highSpotIsTappedDownAndSkimmedLowIsCleanedAndFilled() {
        Plan p = plan(TestShop.usual());
        assertThat(p.loop("high").steps().stream().map(Step::title).toList())
                .startsWith("Tap the high spot down", "Blow off and wipe", "Weigh and mix", "Skim all over again");
        assertThat(p.loop("low").steps().stream().map(Step::title).toList())
                .startsWith("Blow off and wipe", "Weigh and mix", "Fill the hollow, then skim over the whole");
        assertThat(p.loop("pinholes").steps().stream().map(Step::id).toList())
                .as("what is laid proud again is cut by the same papers, not with 180 by hand")
                .containsExactly("clean", "mix", "spread", "wait", "shape-p80", "shape-p120", "shape-p180");
        assertThat(p.loop("putty-again").steps().stream().map(Step::id).toList())
                .containsExactly("clean", "mix", "spread", "wait", "fine-p180", "fine-p240", "fine-p320");
    }

    @Test
    void zonesAreThoseOfThePage() {
        Plan p = plan(TestShop.usual());
        assertThat(step(p, "filler-spread").zone()).contains(Zone.Kind.FILLER);
        assertThat(step(p, "putty-spread").zone()).contains(Zone.Kind.PUTTY);
        assertThat(step(p, "shape-p80").zone()).contains(Zone.Kind.FILLER);
        assertThat(step(p, "shape-p180").zone()).contains(Zone.Kind.FEATHER);
        assertThat(step(p, "fine-p240").zone()).contains(Zone.Kind.FINE_240);
        assertThat(step(p, "fine-p320").zone()).contains(Zone.Kind.FINE_320);
        assertThat(step(p, "shape-p80").tool()).isEqualTo("File board");
        assertThat(step(p, "shape-p180").tool()).isEqualTo("Hand block");
        assertThat(step(p, "fine-p180").tool()).isEqualTo("Flat DA");
    }

    @Test
    void cautionsStandWhereTheStepIs() {
        Plan p = plan(TestShop.usual());
        assertThat(step(p, "open").cautions()).extracting(c -> c.id()).contains("dust", "old-paint");
        assertThat(step(p, "straighten").cautions()).extracting(c -> c.id()).contains("metalwork");
        assertThat(step(p, "filler-spread").cautions()).extracting(c -> c.id()).contains("styrene");
        Plan aluminium = plan(TestShop.repair(
                TestShop.door(Metal.Kind.ALUMINIUM, TestShop.allNo()), TestShop.dent(340, 240, 120, 100, 2.8)));
        assertThat(step(aluminium, "open").cautions()).extracting(c -> c.id()).contains("aluminium-dust");
        assertThat(step(p, "ready").detail())
                .contains("label and safety data sheet")
                .contains("licensed technician");
    }

    @Test
    void aBigRepairIsMixedInEqualBatchesEachWithItsOwnClock() {
        DamageDraft big = TestShop.dent(340, 240, 420, 330, 5.5);
        Plan p = plan(TestShop.repair(TestShop.door(), big));
        int batches = p.mix("filler").pour().batches();
        assertThat(batches).isGreaterThan(1);
        List<Step> mixes = p.steps().stream()
                .map(PlannedStep::step)
                .filter(s -> s.id().startsWith("filler-mix"))
                .toList();
        assertThat(mixes).hasSize(batches).allSatisfy(s -> assertThat(s.clock()).isPresent());
        assertThat(mixes.stream().map(Step::amount).distinct()).hasSize(1);
        assertThat(mixes.getFirst().title()).contains("batch 1 of " + batches);
    }

    @Test
    void handsAreNeededWhereSomebodyWorksAndIdsAreUnique() {
        Plan p = plan(TestShop.usual());
        Set<String> ids = p.steps().stream().map(s -> s.step().id()).collect(Collectors.toSet());
        assertThat(ids).hasSameSizeAs(p.steps());
        assertThat(p.steps())
                .allSatisfy(s -> assertThat(s.step().resources().contains(Step.Resource.HANDS))
                        .isEqualTo(s.step().activeMin() > 0));
        assertThat(step(p, "fine-p320").resources()).contains(Step.Resource.SANDER);
    }

    @Test
    void straighteningTakesLongerForMoreDents() {
        Plan one = plan(TestShop.usual());
        Plan two = plan(TestShop.repair(
                TestShop.door(), TestShop.dent(200, 240, 120, 100, 2.8), TestShop.dent(500, 240, 120, 100, 2.8)));
        assertThat(step(two, "straighten").activeMin())
                .isEqualTo(2 * step(one, "straighten").activeMin());
        assertThat(two.mix("filler").pour().fillerG())
                .isGreaterThan(one.mix("filler").pour().fillerG());
    }

    private static DamageDraft scratch() {
        return JsonMapper.shared()
                .readValue(
                        "{\"kind\": \"SCRATCH\", \"trace\": [100, 100, 260, 100], \"widthMm\": 6, \"depthMm\": 0.8}",
                        DamageDraft.class);
    }

    private static Plan by(RepairDraft draft, HouseRules house) {
        return TestShop.workup(draft, TestShop.shop(21, house, TestShop.fullShelf()))
                .plan()
                .orElseThrow();
    }

    private static double shaping(Plan p) {
        return p.steps().stream()
                .map(PlannedStep::step)
                .filter(s -> s.id().startsWith("shape-p") || s.id().endsWith("file"))
                .mapToDouble(Step::activeMin)
                .sum();
    }

    @Test
    @DisplayName(
            "what the grating file takes off at the cheese stage the papers do not cut again: it saves their minutes")
    void theFileSavesThePapersTheirMinutes() {
        HouseRules house = HouseRules.defaults();
        for (RepairDraft d : List.of(
                TestShop.usual(),
                dents(5, 95, 40, 5),
                TestShop.repair(TestShop.door(), TestShop.dent(340, 240, 62, 61, 3.1)))) {
            Plan board = by(d, house);
            Plan filed = by(d, house.with("first-grade", "file-cheese"));
            assertThat(filed.ladder().rungs()).noneMatch(r -> r.grade() < 100);
            assertThat(step(filed, "file").detail()).contains("leave enough for 120");
            assertThat(shaping(filed)).isLessThan(shaping(board));
        }
    }

    private static final HouseRules WHOLE = HouseRules.defaults().with("filler-base", "whole-paint");
    private static final RepairDraft DING = TestShop.repair(TestShop.door(), TestShop.dent(340, 240, 45, 40, 1.6));

    @Test
    @DisplayName(
            "on whole paint nothing is straightened or opened, and what is too deep after all is planned anew with the coats opened")
    void wholePaint() {
        Plan opened = by(DING, HouseRules.defaults());
        Plan whole = by(DING, WHOLE);
        assertThat(whole.steps()).noneMatch(s -> s.step().id().equals("straighten"));
        assertThat(whole.loops()).noneMatch(l -> l.id().equals("straighten-again"));
        assertThat(whole.activeMin()).isLessThan(opened.activeMin());
        Step depth = step(whole, "depth");
        assertThat(depth.watches())
                .filteredOn(w -> w.weight() == Weight.STOP)
                .singleElement()
                .satisfies(w -> assertThat(w.limit()).isEqualTo(TradeBook.value("stack.whole-paint-deep")));
        assertThat(depth.gate().orElseThrow().branches())
                .allSatisfy(b -> assertThat(b.weight()).isEqualTo(Weight.STOP));
    }

    @Test
    @DisplayName("what is laid over whole paint ends inside the dulled ring, and nothing lies on gloss")
    void overPaintItEndsInsideTheDulledRing() {
        Workup alone = TestShop.workup(DING, TestShop.shop(21, WHOLE, TestShop.fullShelf()));
        assertThat(alone.drawing().zones().stream().map(DrawnZone::kind)).doesNotContain(Zone.Kind.FILLER);
        RepairDraft filled = Cases.ways().get("over-paint-filler").draft();
        Workup w = TestShop.workup(filled, TestShop.shop(21, WHOLE, TestShop.fullShelf()));
        Map<Zone.Kind, Double> mm2 =
                w.drawing().zones().stream().collect(Collectors.toMap(DrawnZone::kind, DrawnZone::areaMm2));
        assertThat(mm2).doesNotContainKeys(Zone.Kind.OPENING, Zone.Kind.FEATHER);
        assertThat(mm2.get(Zone.Kind.FILLER)).isLessThan(mm2.get(Zone.Kind.PUTTY));
        assertThat(mm2.get(Zone.Kind.PUTTY)).isLessThan(mm2.get(Zone.Kind.DULLED));
        // An ellipse of 45 by 40 mm grown by 15 mm: its area, its rim's length by 15, and a circle of 15 (Steiner).
        double rim = Math.PI * (3 * 42.5 - Math.sqrt((3 * 22.5 + 20) * (22.5 + 3 * 20))); // Ramanujan
        double grown = Math.PI * 22.5 * 20 + rim * 15 + Math.PI * 15 * 15;
        assertThat(mm2.get(Zone.Kind.DULLED)).isCloseTo(grown, withinPercentage(0.5));
    }

    @Test
    @DisplayName(
            "filler over whole paint is there for who wants it; nobody gets it unasked, and elsewhere putty alone settles it")
    void fillerOverPaintIsAChoice() {
        Workup asIs = TestShop.workup(DING, TestShop.shop(21, WHOLE, TestShop.fullShelf()));
        assertThat(asIs.stack().taken()).isEqualTo("dent-putty-alone");
        assertThat(Text.plain(asIs.stack().fillNote())).contains("putty alone");
        assertThat(asIs.stack().ranked().stream().map(RankedStack::recipe))
                .containsExactly("dent-putty-alone", "dent-filler-putty");
        Workup opened = TestShop.workup(DING, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
        assertThat(opened.stack().ranked().stream().map(RankedStack::recipe)).containsExactly("dent-putty-alone");
        Cases.Way filled = Cases.ways().get("over-paint-filler");
        Workup chosen = TestShop.workup(filled.draft(), TestShop.shop(21, WHOLE, TestShop.fullShelf()));
        assertThat(Text.plain(chosen.stack().fillNote())).endsWith("putty alone would do, filler below it by choice.");
        Plan p = chosen.plan().orElseThrow();
        assertThat(p.steps().stream().map(s -> s.step().id()))
                .containsSubsequence("paint-sound", "open", "filler-spread", "shape-gate", "putty-dull", "putty-spread")
                .doesNotContain("straighten");
        Cases.Way filed = Cases.ways().get("over-paint-filed");
        Plan q = by(filed.draft(), filed.house());
        assertThat(q.ladder().rungs()).noneMatch(r -> r.grade() < 100);
        assertThat(q.activeMin()).isLessThanOrEqualTo(p.activeMin() + TradeBook.value("ladder.change"));
    }

    @Test
    @DisplayName("over whole paint too an aluminium skin has its own papers, and its dust its caution")
    void aluminiumUnderWholePaint() {
        Step open = step(
                by(
                        TestShop.repair(
                                TestShop.door(Metal.Kind.ALUMINIUM, TestShop.allNo()),
                                TestShop.dent(340, 240, 45, 40, 1.55)),
                        WHOLE),
                "open");
        assertThat(open.detail()).contains("Papers and boards kept for aluminium");
        assertThat(open.cautions()).anySatisfy(c -> assertThat(c.id()).isEqualTo("aluminium-dust"));
    }

    @Test
    @DisplayName(
            "putty alone is stopped where its own label or the aim ends, the shelf's at 2 mm, not where filler does")
    void puttyAloneStopsAtItsOwnDepth() {
        Plan alone = by(DING, HouseRules.defaults());
        assertThat(alone.mixes()).extracting(MixPlan::id).containsExactly("putty");
        Step depth = step(alone, "depth");
        assertThat(depth.watches())
                .filteredOn(w -> w.id().equals("too-deep"))
                .singleElement()
                .satisfies(w -> {
                    assertThat(w.weight()).isEqualTo(Weight.STOP);
                    assertThat(w.limit()).isLessThanOrEqualTo(3);
                });
        assertThat(Text.plain(depth.gate().orElseThrow().question())).endsWith("never over 2 mm?");
    }

    @Test
    @DisplayName(
            "a scratch is tried with a nail and looked at for rust; nothing straightens it, nothing is filled that is only in the clear")
    void aScratchIsTriedWithANail() {
        Cases.Way way = Cases.ways().get("scratch");
        Plan p = by(way.draft(), way.house());
        assertThat(p.steps().stream().map(s -> s.step().id()))
                .containsSubsequence("nail", "depth", "open", "putty-dull", "putty-spread")
                .doesNotContain("straighten", "filler-spread");
        assertThat(p.loops()).extracting(Loop::id).contains("point-out").doesNotContain("straighten-again");
        assertThat(step(p, "nail").gate().orElseThrow().branches())
                .filteredOn(b -> b.weight() == Weight.STOP)
                .extracting(Gate.Branch::id)
                .containsExactly("clear-only", "pits");
        assertThat(step(p, "depth").gate().orElseThrow().branches())
                .allSatisfy(b -> assertThat(b.weight()).isEqualTo(Weight.STOP));
    }

    @Test
    @DisplayName(
            "an aluminium skin has its own tools, papers and hour, and is looked at for cracks before it is filled")
    void aluminium() {
        Plan p = plan(TestShop.repair(
                TestShop.door(Metal.Kind.ALUMINIUM, TestShop.allNo()), TestShop.dent(340, 240, 120, 100, 2.8)));
        assertThat(step(p, "straighten").tool()).isEqualTo("Hammer, dolly for aluminium");
        assertThat(step(p, "straighten").detail())
                .doesNotContain("stud")
                .contains(Text.book("aluminium.heat") + " at most");
        assertThat(step(p, "open").detail()).contains("Papers and boards kept for aluminium");
        assertThat(p.steps().stream().map(s -> s.step().id())).containsSubsequence("straighten", "creases", "depth");
        assertThat(step(p, "creases").gate().orElseThrow().branches())
                .extracting(Gate.Branch::weight)
                .containsExactly(Weight.STOP);
        Plan bare = by(
                TestShop.repair(
                        TestShop.door(Metal.Kind.ALUMINIUM, TestShop.allNo()), TestShop.dent(340, 240, 120, 100, 2.8)),
                HouseRules.defaults().with("filler-base", "bare-metal"));
        assertThat(step(bare, "open").detail()).contains("covered within " + Text.book("aluminium.bare"));
        assertThat(step(plan(TestShop.usual()), "straighten").detail()).doesNotContain("aluminium");
    }

    @Test
    @DisplayName("a scratch is measured and never straightened; beside a dent only the dent is")
    void aScratchIsNotStraightened() {
        DamageDraft scratch = scratch();
        Plan alone = plan(TestShop.repair(TestShop.door(), scratch));
        assertThat(alone.steps()).noneMatch(s -> s.step().id().equals("straighten"));
        assertThat(step(alone, "depth").detail()).startsWith("Straightedge across the scratch");
        Plan both = plan(TestShop.repair(TestShop.door(), scratch, TestShop.dent(500, 240, 120, 100, 2.8)));
        assertThat(step(both, "straighten").activeMin())
                .isEqualTo(step(plan(TestShop.usual()), "straighten").activeMin());
    }

    private static RepairDraft dents(int n, double across, double gapMm, double deepMm) {
        DamageDraft[] all = new DamageDraft[n];
        for (int i = 0; i < n; i++) {
            all[i] = TestShop.dent(90 + i * (across + gapMm), 200, across, across, deepMm);
        }
        return TestShop.repair(TestShop.door(), all);
    }

    @Test
    @DisplayName(
            "five dents that cannot be laid in one work time are mixed in groups of whole dents, each within its time, none left out")
    void batchesBelongToDents() {
        Plan p = plan(dents(5, 95, 40, 5));
        List<MixPlan> fillers =
                p.mixes().stream().filter(m -> !m.id().equals("putty")).toList();
        assertThat(fillers).hasSizeGreaterThan(1);
        assertThat(fillers).allSatisfy(m -> {
            assertThat(m.pour().batches()).isEqualTo(1);
            assertThat(m.pour().spreadMin() + m.pour().mixMin())
                    .isLessThanOrEqualTo(m.pour().onPartByMin() + 1e-9);
        });
        // Every dent once, over all mixes.
        String titles = fillers.stream().map(MixPlan::title).collect(Collectors.joining(";"));
        for (int i = 1; i <= 5; i++) {
            assertThat(titles).containsOnlyOnce(String.valueOf(i));
        }
        // Together as much as one lump would be, but for what is weighed up to whole grams.
        double lump = plan(dents(1, 95, 40, 5)).mix("filler").pour().volume().totalMl() * 5;
        assertThat(fillers.stream()
                        .mapToDouble(m -> m.pour().volume().totalMl())
                        .sum())
                .isCloseTo(lump, within(0.5));
        List<String> ids = p.steps().stream().map(s -> s.step().id()).toList();
        assertThat(ids)
                .as("one cures while the next is mixed and spread")
                .containsSubsequence(
                        "filler-spread", "filler-2-mix", "filler-2-spread", "filler-wait", "filler-2-wait");
        assertThat(ids).contains("depth-1", "depth-5", "shape-gate-1", "shape-gate-5");
        for (PlannedStep s : p.steps()) {
            if (s.step().id().equals("depth-5")) {
                String mix = s.step().watches().stream()
                        .filter(w -> w.sense() == Watch.Sense.PLANNED)
                        .findFirst()
                        .orElseThrow()
                        .mix();
                assertThat(p.mix(mix).title()).contains("5");
            }
        }
    }

    @Test
    @DisplayName(
            "filed at the cheese stage, each mix is filed before the next is mixed: cured through, it is cheese no more")
    void cheeseIsFiledInItsMoment() {
        RepairDraft d = dents(5, 95, 40, 5);
        Plan p = TestShop.workup(
                        d,
                        TestShop.shop(21, HouseRules.defaults().with("first-grade", "file-cheese"), TestShop.shelf()))
                .plan()
                .orElseThrow();
        assertThat(p.steps().stream().map(s -> s.step().id()))
                .containsSubsequence(
                        "filler-spread",
                        "cheese",
                        "file",
                        "filler-2-mix",
                        "filler-2-spread",
                        "filler-2-cheese",
                        "filler-2-file",
                        "filler-wait",
                        "filler-2-wait");
    }

    @Test
    @DisplayName("dents that one work time lays stay one mix; dents whose filler meets are never parted")
    void oneMixWhereHandsLayIt() {
        assertThat(plan(dents(2, 60, 60, 3.5)).mixes()).extracting(MixPlan::id).containsExactly("filler", "putty");
        Plan met = plan(dents(4, 120, 5, 5));
        assertThat(met.mixes()).extracting(MixPlan::id).containsExactly("filler", "putty");
        assertThat(met.mix("filler").pour().batches()).isGreaterThan(1);
    }

    @Test
    @DisplayName(
            "rework is told for one dent, the largest: a second dent far from it adds nothing to its coat or its hollow")
    void reworkIsOneDents() {
        Again one = plan(TestShop.repair(TestShop.door(), TestShop.dent(150, 200, 95, 95, 4)))
                .mix("filler")
                .pour()
                .again()
                .orElseThrow();
        Plan two = plan(TestShop.repair(
                TestShop.door(), TestShop.dent(150, 200, 95, 95, 4), TestShop.dent(500, 200, 60, 60, 3)));
        Again again = two.mix("filler").pour().again().orElseThrow();
        assertThat(again.perMm()).isCloseTo(one.perMm(), within(0.01));
        assertThat(again.coat()).isCloseTo(one.coat(), within(0.1));
        assertThat(two.steps().stream()
                        .flatMap(s -> s.step().watches().stream())
                        .filter(w -> w.sense() == Watch.Sense.PLANNED)
                        .map(w -> w.of().orElseThrow().share()))
                .satisfiesExactly(
                        s -> assertThat(s).isCloseTo(1, within(1e-9)),
                        s -> assertThat(s).isCloseTo(60.0 * 60 / (95 * 95), within(1e-6)));
    }
}
