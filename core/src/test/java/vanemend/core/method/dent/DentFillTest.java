package vanemend.core.method.dent;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.TestShop;
import vanemend.core.damage.DamageDraft;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Gate;
import vanemend.core.method.Loop;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.mix.Again;
import vanemend.core.part.Metal;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.RepairDraft;
import vanemend.core.trade.HouseRules;

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
