package vanemend.core.method;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.cure.DryingRoute;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlanEditDraft;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.Planner;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.sanding.PaperSwap;
import vanemend.core.trade.Check;
import vanemend.core.trade.HouseRules;

@DisplayName(
        "interlocks: no plan of ours breaks one, and every edit that does is told which and what follows (common practice)")
class InterlockTest {
    private static Plan plan(RepairDraft d) {
        Workup w = TestShop.workup(d, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
        return w.plan().orElseThrow(() -> new AssertionError(w.blockers().toString()));
    }

    private static PlanEditDraft skip(String step) {
        return new PlanEditDraft(PlanEditDraft.Kind.SKIP, step, null, null, null);
    }

    private static PlanEditDraft move(String step, String after) {
        return new PlanEditDraft(PlanEditDraft.Kind.MOVE, step, after, null, null);
    }

    private static List<String> ids(Plan p) {
        return p.steps().stream().map(s -> s.step().id()).toList();
    }

    @Test
    void noPlanOfOursBreaksOneByAnySchool() {
        Cases.all()
                .forEach((recipe, d) -> assertThat(plan(d).broken()).as(recipe).isEmpty());
    }

    @Test
    void onePlanHeatsItsLastWaitAloneAndIsNotToldToCoolBefore() {
        Plan p = plan(dried("rust-mesh", "filler"));
        assertThat(p.waits()).anyMatch(w -> w.route().kind() == DryingRoute.Kind.LAMP);
        assertThat(p.waits()).anyMatch(w -> w.route().kind() == DryingRoute.Kind.AIR);
        assertThat(p.broken()).isEmpty();
    }

    private static RepairDraft dried(String recipe, String wait) {
        RepairDraft d = Cases.all().get(recipe);
        return new RepairDraft(
                d.part(),
                d.damages(),
                d.pins(),
                DryingRoute.Kind.AIR,
                d.houseRules(),
                null,
                null,
                d.recipe(),
                null,
                null,
                null,
                null,
                Map.of(wait, DryingRoute.Kind.LAMP),
                null);
    }

    @Test
    void leavingOutPromoterClothOrCureIsNamedWithWhatFollows() {
        RepairDraft d = Cases.all().get("plastic-adhesive-cloth");
        Plan p = plan(Cases.edited(d, skip("face-promoter")));
        assertThat(ids(p)).doesNotContain("face-promoter");
        assertThat(p.broken()).singleElement().satisfies(b -> {
            assertThat(b.interlock()).isEqualTo("promoter-renewed");
            assertThat(b.step()).isEqualTo("face-fill");
            assertThat(b.missing()).isEqualTo("promoter on the face");
            assertThat(b.follows()).contains("rolls back");
        });
        assertThat(plan(Cases.edited(d, skip("cut-cloth"))).broken())
                .anyMatch(b ->
                        b.interlock().equals("cloth-before-mix") && b.step().equals("back-ready"));
        assertThat(plan(Cases.edited(d, move("dish", "back-fill"))).broken())
                .extracting(Interlock.Broken::interlock)
                .contains("back-cured-first", "untape-before-dish");
        assertThat(plan(Cases.edited(d, move("face-promoter", "dish"))).broken())
                .extracting(Interlock.Broken::interlock)
                .contains("promoter-renewed");
    }

    @Test
    void everyInterlockIsBrokenByLeavingSomethingOut() {
        Set<String> broken = new LinkedHashSet<>();
        Cases.all().forEach((recipe, d) -> {
            for (String id : ids(plan(d))) {
                plan(Cases.edited(d, skip(id))).broken().forEach(b -> broken.add(b.interlock()));
            }
        });
        Set<String> all = new LinkedHashSet<>();
        Interlock.all().forEach(i -> all.add(i.id()));
        all.removeAll(broken);
        // These need what one and the same step both does and undoes; moving, not leaving out, would break them.
        assertThat(all)
                .isSubsetOf(
                        "cool-before-paper",
                        "guide-coat",
                        "fibre-not-last",
                        "fibre-before-body",
                        "seam-fibre",
                        "film-while-wet",
                        "gelcoat-colour",
                        "surfacer-cured");
    }

    @Test
    void whatIsMixedSpreadAndWaitedForStaysTogether() {
        RepairDraft d = Cases.all().get("rust-mesh");
        List<String> before = ids(plan(d));
        assertThat(ids(plan(Cases.edited(d, skip("fibre-spread"))))).isEqualTo(before);
        assertThat(ids(plan(Cases.edited(d, move("fibre-wait", "clean"))))).isEqualTo(before);
        assertThat(ids(plan(Cases.edited(d, move("tack", "ready"))))).endsWith("ready", "tack");
        assertThat(ids(plan(Cases.edited(d, skip("no-such-step"))))).isEqualTo(before);
    }

    @Test
    void minutesChangeThePlansLengthAndBadOnesAreRefused() {
        RepairDraft d = Cases.all().get("plastic-face");
        Plan longer = plan(Cases.edited(d, new PlanEditDraft(PlanEditDraft.Kind.MINUTES, "wash", null, 30.0, null)));
        assertThat(longer.activeMin()).isEqualTo(plan(d).activeMin() + 22);
        Check check = new Check();
        Planner.plan(
                Cases.edited(d, new PlanEditDraft(PlanEditDraft.Kind.MINUTES, "wash", null, -1.0, null)),
                TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()),
                check);
        assertThat(check.problems()).anyMatch(p -> p.field().equals("edits.0.minutes"));
        Check empty = new Check();
        Planner.plan(
                Cases.edited(d, new PlanEditDraft(null, "wash", null, null, null)),
                TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()),
                empty);
        assertThat(empty.problems()).anyMatch(p -> p.field().equals("edits.0"));
    }

    @Test
    void anyEditsLeaveAPlanThatCanBeWalked() {
        List<Map.Entry<String, RepairDraft>> cases = List.copyOf(Cases.all().entrySet());
        Seeds.forEach(300, (r, i) -> {
            RepairDraft d = cases.get(r.nextInt(cases.size())).getValue();
            List<String> ids = ids(plan(d));
            List<PlanEditDraft> edits = new ArrayList<>();
            for (int k = 0; k < 1 + r.nextInt(5); k++) {
                String step = ids.get(r.nextInt(ids.size()));
                edits.add(r.nextBoolean() ? skip(step) : move(step, ids.get(r.nextInt(ids.size()))));
            }
            Plan p = plan(Cases.edited(d, edits.toArray(PlanEditDraft[]::new)));
            Following.holds(p.steps().stream().map(PlannedStep::step).toList());
            assertThat(ids(p)).doesNotHaveDuplicates();
        });
    }

    private static PlanEditDraft paper(String step, String item) {
        return new PlanEditDraft(PlanEditDraft.Kind.PAPER, step, null, null, item);
    }

    @Test
    @DisplayName(
            "another paper on a step: trim never coarser than 180, jumps within the limit, coarse last (common practice)")
    void anotherPaperSaysWhatItBreaks() {
        RepairDraft trim = Cases.all().get("trim");
        Plan laid = plan(trim);
        var first = laid.ladder().rungs().getFirst();
        Plan coarse = plan(Cases.edited(trim, paper(first.id(), "P80")));
        assertThat(coarse.broken())
                .extracting(Interlock.Broken::interlock, Interlock.Broken::step)
                .contains(org.assertj.core.groups.Tuple.tuple("coarse-outside-zone", first.id()));
        assertThat(coarse.broken())
                .allSatisfy(b -> assertThat(b.title()).contains(b.step().equals(first.id()) ? "P80" : "P"));
        assertThat(coarse.ladder().rungs().getFirst().paper()).isEqualTo("P80");
        assertThat(coarse.steps())
                .filteredOn(s -> s.step().id().equals(first.id()))
                .singleElement()
                .satisfies(s -> assertThat(s.step().paper()).startsWith("P80"));
        assertThat(plan(Cases.edited(trim, paper(first.id(), first.itemId()))).ladder())
                .as("the planned paper changes nothing")
                .isEqualTo(laid.ladder());
        assertThat(plan(Cases.edited(trim, paper(first.id(), "thrown-away"))).broken())
                .extracting(Interlock.Broken::interlock)
                .containsExactly("paper-gone");
        assertThat(plan(Cases.edited(trim, paper(first.id(), "P80"), skip(first.id())))
                        .broken())
                .as("left out, it scratches nothing")
                .noneMatch(b -> b.interlock().equals("coarse-outside-zone"));
        Check check = new Check();
        Planner.plan(
                Cases.edited(trim, paper(first.id(), null)),
                TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()),
                check);
        assertThat(check.problems()).anyMatch(p -> p.field().equals("edits.0.paper"));
    }

    @Test
    @DisplayName(
            "any paper on any rung: finer ones take longer, the next takes longer after a coarser one, and every fault names its step")
    void anyPaperOnAnyRung() {
        Cases.all().forEach((recipe, d) -> {
            Plan laid = plan(d);
            for (int i = 0; i < laid.ladder().rungs().size(); i++) {
                var rung = laid.ladder().rungs().get(i);
                for (var item : TestShop.fullShelf()) {
                    if (item.grading().isEmpty()) {
                        continue;
                    }
                    var ladder = PaperSwap.on(laid.ladder(), rung.id(), item);
                    var now = ladder.rungs().get(i);
                    assertThat(now.minutes() >= rung.minutes() - 1e-9)
                            .as(recipe + " " + rung.id() + " " + item.id())
                            .isEqualTo(now.grainUm() <= rung.grainUm() + 1e-9);
                    PaperSwap.faults(laid.ladder(), ladder)
                            .forEach(f -> assertThat(ladder.rungs()).anyMatch(r -> r.id().equals(f.rung())));
                    if (now.grainUm() > laid.ladder().rungs().getFirst().grainUm() * 1.1 && i > 0) {
                        assertThat(PaperSwap.faults(laid.ladder(), ladder))
                                .as(recipe + " " + rung.id() + " " + item.id())
                                .isNotEmpty();
                    }
                }
            }
        });
    }
}
