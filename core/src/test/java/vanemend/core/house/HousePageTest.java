package vanemend.core.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static vanemend.core.house.HouseRulesOf.add;
import static vanemend.core.house.HouseRulesOf.book;
import static vanemend.core.house.HouseRulesOf.ids;
import static vanemend.core.house.HouseRulesOf.plan;
import static vanemend.core.house.HouseRulesOf.rule;
import static vanemend.core.house.HouseRulesOf.workup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Act;
import vanemend.core.method.Cases;
import vanemend.core.method.Following;
import vanemend.core.method.HousePages;
import vanemend.core.method.Interlock;
import vanemend.core.method.PageChange;
import vanemend.core.method.Step;
import vanemend.core.method.StepOrder;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.RepairDraft;
import vanemend.core.trade.Caution;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.RuleBook;

@DisplayName("the house's own page: laid on the book's, judged by interlocks, never between what goes live and its use")
class HousePageTest {
    private static final RepairDraft PITS = Cases.all().get("rust-pits");

    private static Step step(Plan p, String id) {
        return p.steps().stream()
                .map(PlannedStep::step)
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static HouseChange only(Plan p) {
        assertThat(p.house()).hasSize(1);
        return p.house().getFirst();
    }

    @Test
    void aStepOfItsOwnStandsInItsPlaceAndTakesItsTime() {
        Plan p = plan(PITS, add("house-rinse", "loose"));
        assertThat(ids(p)).containsSequence("loose", "house-rinse", "probe");
        assertThat(p.activeMin()).isCloseTo(book(PITS).activeMin() + 4, within(1e-9));
        assertThat(step(p, "probe").after()).containsExactly("house-rinse");
        assertThat(only(p).bears()).isTrue();
        assertThat(only(p).said()).isEqualTo("Added “Rinse it”, ⟦4 min⟧, after “Another”");
    }

    @Test
    void leftOutMovedSaidOtherwiseAndTimedOtherwise() {
        assertThat(ids(plan(PITS, new PageChange.LeaveOut("tack")))).doesNotContain("tack");
        Plan moved = plan(PITS, new PageChange.Move("probe", "clean"));
        assertThat(ids(moved)).containsSequence("clean", "probe");
        assertThat(only(moved).book()).isEqualTo("after “Loose rust off”");
        Plan first = plan(PITS, new PageChange.Move("probe", ""));
        assertThat(ids(first).getFirst()).isEqualTo("probe");
        Plan said = plan(PITS, new PageChange.Words("loose", "Needle the rust", ""));
        assertThat(step(said, "loose").title()).isEqualTo("Needle the rust");
        assertThat(step(said, "loose").detail())
                .isEqualTo(step(book(PITS), "loose").detail());
        assertThat(step(said, "loose").cautions())
                .as("no words take a caution away")
                .isEqualTo(step(book(PITS), "loose").cautions());
        assertThat(only(said).book()).isEqualTo("Loose rust off");
        Plan longer = plan(PITS, new PageChange.Minutes("loose", 30));
        assertThat(step(longer, "loose").activeMin()).isEqualTo(30);
        assertThat(only(longer).book()).startsWith("⟦").endsWith("min⟧");
    }

    @Test
    void whatIsWantedIsAskedForAtItsStep() {
        Plan p = plan(PITS, new PageChange.Reading("loose", Quantity.SURFACE_C), new PageChange.Picture("loose"));
        assertThat(step(p, "loose").asks()).contains(Quantity.SURFACE_C);
        assertThat(step(p, "loose").wanted()).contains(new Step.Wanted(List.of(Quantity.SURFACE_C), true));
        assertThat(p.steps().stream().filter(s -> s.step().wanted().isPresent()))
                .hasSize(1);
    }

    @Test
    void nothingIsWantedWhileAMixGoesOff() {
        for (String step : List.of("filler-mix", "filler-spread")) {
            Plan p = plan(PITS, new PageChange.Reading(step, Quantity.SURFACE_C));
            assertThat(only(p).bears()).as(step).isFalse();
            assertThat(step(p, step).wanted()).isEmpty();
            assertThat(only(plan(PITS, new PageChange.Picture(step))).bears()).isFalse();
        }
    }

    @Test
    void nothingComesBetweenAMixAndWhereItGoes() {
        Plan between = plan(PITS, add("house-tea", "filler-mix"));
        assertThat(ids(between)).isEqualTo(ids(book(PITS)));
        assertThat(only(between).why()).isEqualTo("What is mixed, spread and waited for stays together.");
        assertThat(only(plan(PITS, new PageChange.LeaveOut("filler-wait"))).bears())
                .isFalse();
        assertThat(only(plan(PITS, new PageChange.Move("probe", "filler-mix"))).bears())
                .isFalse();
        // A cartridge goes off as a mix does.
        RepairDraft weld = Cases.all().get("weld-finish");
        assertThat(only(plan(weld, add("house-tea", "face-ready"))).bears()).isFalse();
    }

    @Test
    void theHandOverStaysAndTimesOfAMixAreNotTyped() {
        assertThat(only(plan(PITS, new PageChange.LeaveOut("ready"))).why()).contains("hand-over");
        assertThat(only(plan(PITS, new PageChange.Minutes("filler-spread", 1))).bears())
                .isFalse();
        assertThat(only(plan(PITS, new PageChange.Minutes("filler-wait", 1))).bears())
                .isFalse();
    }

    @Test
    void interlocksJudgeItLikeAnEdit() {
        assertThat(plan(PITS, new PageChange.LeaveOut("clean")).broken())
                .extracting(Interlock.Broken::interlock)
                .contains("clean-before-sanding");
        RepairDraft weld = Cases.all().get("weld-finish");
        assertThat(book(weld).broken()).isEmpty();
        assertThat(plan(weld, add("house-level", "face-dust", Act.SAND_FACE)).broken())
                .as("dust comes off again after sanding, and before promoter")
                .extracting(Interlock.Broken::interlock)
                .contains("clean-after-sanding");
        assertThat(plan(weld, new PageChange.LeaveOut("face-dust"), add("house-tack", "face-shine", Act.WIPE_AGAIN))
                        .broken())
                .as("the house's own way of the same act holds")
                .isEmpty();
    }

    @Test
    void whatTheHouseDoesItselfCarriesTheBooksCautions() {
        Plan p = plan(
                PITS,
                new PageChange.Add(
                        "house-heat",
                        "loose",
                        "Warm it",
                        "",
                        Optional.of(Zone.Kind.CLEAN),
                        2,
                        10,
                        "Hot plate below",
                        Optional.empty(),
                        List.of(Act.HEAT, Act.SAND_FACE)));
        Step s = step(p, "house-heat");
        assertThat(s.cautions()).extracting(Caution::id).contains("lamp", "dust");
        assertThat(s.cautions()).extracting(Caution::text).contains("Hot plate below");
        assertThat(s.kind()).isEqualTo(Step.Kind.WAIT);
        assertThat(s.waitMin()).isEqualTo(10);
    }

    @Test
    void whatDoesNotFitThisWayLeavesThePlanAsItIsAndSaysSo() {
        List<PageChange> strangers = List.of(
                new PageChange.LeaveOut("no-such-step"),
                new PageChange.Move("probe", "no-such-step"),
                new PageChange.Move("probe", "probe"),
                add("house-x", "no-such-step"),
                add("probe", "clean"));
        for (PageChange c : strangers) {
            Plan p = plan(PITS, c);
            assertThat(p.steps()).as(c.toString()).isEqualTo(book(PITS).steps());
            assertThat(only(p).bears()).isFalse();
            assertThat(only(p).why()).isNotEmpty();
        }
    }

    @Test
    void rulesOfAnotherMethodDoNotBear() {
        HousePages pages = new HousePages(List.of(rule(MethodId.TRIM, add("house-rinse", ""))));
        assertThat(workup(PITS, pages).plan().orElseThrow().house()).isEmpty();
    }

    @Test
    void anyRulesLeaveAPlanThatCanBeWalkedAndAmountsAsTheyAre() {
        List<RepairDraft> cases = List.copyOf(Cases.all().values());
        Seeds.forEach(200, (r, i) -> {
            RepairDraft d = cases.get(r.nextInt(cases.size()));
            Plan was = book(d);
            List<String> ids = ids(was);
            List<PageChange> changes = new ArrayList<>();
            for (int k = 0; k < 1 + r.nextInt(5); k++) {
                String one = ids.get(r.nextInt(ids.size()));
                String other = ids.get(r.nextInt(ids.size()));
                changes.add(
                        switch (r.nextInt(6)) {
                            case 0 -> add("house-" + k, one);
                            case 1 -> new PageChange.LeaveOut(one);
                            case 2 -> new PageChange.Move(one, other);
                            case 3 -> new PageChange.Words(one, "Otherwise", "");
                            case 4 -> new PageChange.Minutes(one, 9);
                            default -> new PageChange.Picture(one);
                        });
            }
            Plan p = plan(d, changes.toArray(PageChange[]::new));
            Following.holds(steps(p));
            assertThat(ids(p)).doesNotHaveDuplicates();
            assertThat(p.house()).hasSameSizeAs(changes);
            assertThat(p.portions()).isEqualTo(was.portions());
            assertThat(p.mixes()).isEqualTo(was.mixes());
            assertThat(StepOrder.holds(steps(was), steps(p)))
                    .as("what goes live is still followed by its use")
                    .isTrue();
            assertThat(steps(p)).anyMatch(s -> s.acts().contains(Act.READY));
        });
    }

    private static List<Step> steps(Plan p) {
        return p.steps().stream().map(PlannedStep::step).toList();
    }

    @Test
    void everyStepOfEveryPlanCanBeNamedInARule() {
        Set<String> named = Cases.all().values().stream()
                .flatMap(d -> ids(book(d)).stream())
                .collect(Collectors.toSet());
        assertThat(named).allMatch(id -> PageRuleDraft.STEP.matcher(id).matches());
        assertThat(named)
                .as("no step of the book takes the name of a house's own")
                .noneMatch(id -> id.startsWith(HousePages.OWN));
    }

    @Test
    void theRuleBooksVersionNamesThePagesToo() {
        String shipped = workup(PITS, HousePages.none()).ruleBook();
        assertThat(shipped).isEqualTo(RuleBook.version());
        List<PageChange> each = List.of(
                add("house-rinse", "loose"),
                new PageChange.LeaveOut("tack"),
                new PageChange.Move("probe", "clean"),
                new PageChange.Words("loose", "Needle the rust", ""),
                new PageChange.Words("loose", "Scrape the rust", ""),
                new PageChange.Minutes("loose", 30),
                new PageChange.Minutes("loose", 31),
                new PageChange.Reading("loose", Quantity.SURFACE_C),
                new PageChange.Picture("loose"));
        assertThat(each.stream()
                        .map(c -> workup(PITS, new HousePages(List.of(rule(MethodId.RUST_PITS, c))))
                                .ruleBook()))
                .doesNotHaveDuplicates()
                .doesNotContain(shipped)
                .allMatch(v -> v.matches("[0-9a-f]{12}"));
        assertThat(workup(PITS, new HousePages(List.of(rule(MethodId.TRIM, each.getFirst()))))
                        .ruleBook())
                .isNotEqualTo(shipped);
    }
}
