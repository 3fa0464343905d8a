package vanemend.core.method;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import vanemend.core.TestShop;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.mix.Portion;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlanEditDraft;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;

@DisplayName(
        "surfacer and filling primer to block, over any way that hands over for primer (common practice; solids and what the block takes recalled)")
class SurfacingTest {
    private static final HouseRules HOUSE = HouseRules.defaults();

    private static Workup of(String recipe, HouseRules house) {
        return TestShop.workup(Cases.all().get(recipe), TestShop.shop(21, house, TestShop.fullShelf()));
    }

    private static Workup of(String recipe, String who) {
        return of(recipe, HOUSE.with("surfacer", who));
    }

    private static List<Step> steps(Workup w) {
        return w.plan().orElseThrow().steps().stream().map(PlannedStep::step).toList();
    }

    private static List<String> ids(Workup w) {
        return steps(w).stream().map(Step::id).toList();
    }

    private static Portion portion(Workup w) {
        return w.plan().orElseThrow().portions().stream()
                .filter(p -> p.id().equals(SurfacePage.PORTION))
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

    private static double area(Workup w, Zone.Kind kind) {
        return w.drawing().zones().stream()
                .filter(z -> z.kind() == kind)
                .findFirst()
                .orElseThrow()
                .areaMm2();
    }

    @ParameterizedTest(name = "{0}, {1}")
    @CsvSource({
        "dent-filler-putty, polyester",
        "dent-putty-alone, filling-primer",
        "scratch-feathered, filling-primer",
        "seam-filler, polyester",
        "composite-epoxy, filling-primer",
        "composite-one-material, polyester",
        "rust-mesh, filling-primer",
        "rust-converted, polyester",
        "rust-pits, filling-primer"
    })
    void afterTheLastLookItIsSprayedCuredBlockedAndHandedOverForPaint(String recipe, String who) {
        Workup plain = of(recipe, "paint-shop");
        Workup w = of(recipe, who);
        List<String> before = ids(plain).subList(0, ids(plain).size() - 1);
        assertThat(ids(w).subList(0, before.size())).isEqualTo(before);
        assertThat(ids(w).subList(before.size(), ids(w).size()))
                .containsSubsequence(
                        "surf-ground",
                        "surf-mask",
                        "surf-dust",
                        "surf-dew",
                        "surf-mix",
                        "surf-coat-1",
                        "surf-flash-1",
                        "surf-coat-2",
                        "surf-wait",
                        "surf-flat",
                        "surf-fine-p600",
                        "ready");
        assertThat(steps(w)).filteredOn(s -> s.acts().contains(Act.READY)).hasSize(1);
        Plan p = w.plan().orElseThrow();
        double wait = p.steps().stream()
                .filter(s -> s.step().id().equals("surf-wait"))
                .findFirst()
                .orElseThrow()
                .step()
                .clock()
                .orElseThrow()
                .minutes();
        assertThat(p.totalMin()).isGreaterThan(plain.plan().orElseThrow().totalMin() + wait);
        assertThat(p.broken()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"dent-filler-putty", "dent-putty-alone", "seam-filler", "composite-epoxy"})
    void itLiesOnDulledGroundAndEndsInsideIt(String recipe) {
        Workup w = of(recipe, "filling-primer");
        double field = area(w, Zone.Kind.FINE_320);
        double coat = area(w, Zone.Kind.SURFACED);
        double coarse = w.drawing().zones().stream()
                .filter(z -> z.kind().side() == Zone.Side.FACE)
                .filter(z ->
                        z.kind() != Zone.Kind.CLEAN && z.kind() != Zone.Kind.FINE_320 && z.kind() != Zone.Kind.SURFACED)
                .mapToDouble(z -> z.areaMm2())
                .max()
                .orElseThrow();
        assertThat(coat).isStrictlyBetween(coarse, field);
    }

    @Test
    @DisplayName(
            "by hand: 100 µm wet is 100 mL a square metre; two coats, 0.65 of it arrives (unit identity; share recalled)")
    void amount() {
        Workup w = of("dent-filler-putty", "polyester");
        double ml = area(w, Zone.Kind.SURFACED) / 1e6 * 2 * 100 / 0.65;
        Portion p = portion(w);
        assertThat(figure(p, "To spray")).isCloseTo(ml, within(0.06));
        assertThat(figure(p, "All coats, dry")).isEqualTo(180);
        assertThat(figure(p, "On the part")).isCloseTo(ml * 0.65, within(0.06));
        Portion q = portion(of("dent-filler-putty", "filling-primer"));
        assertThat(figure(q, "One coat, wet")).isEqualTo(Math.round(40 / 0.6));
        assertThat(figure(q, "All coats, dry")).isEqualTo(80);
    }

    @Test
    @DisplayName("over 180 lines a coat more than over 320 (common practice)")
    void coarserLinesWantACoatMore() {
        HouseRules who = HOUSE.with("surfacer", "polyester");
        assertThat(ids(of("dent-filler-putty", who))).doesNotContain("surf-coat-3");
        assertThat(ids(of("dent-filler-putty", who.with("last-paper", "all-180"))))
                .contains("surf-coat-3");
    }

    @Test
    void theCutShowsWhatStandsOfItOnTop() {
        Workup w = of("dent-filler-putty", "polyester");
        assertThat(w.drawing().section().orElseThrow().layers().getLast()).satisfies(l -> {
            assertThat(l.id()).isEqualTo(SurfacePage.LAYER);
            assertThat(l.thickestMm()).isCloseTo(0.18 * (1 - TradeBook.value("surface.block-off")), within(0.003));
        });
    }

    @Test
    @DisplayName("both parts together are what goes into the gun, never less than it sprays evenly (recalled)")
    void bothPartsFillTheGun() {
        List<ShelfItem> shelf = TestShop.fullShelf().stream()
                .map(i -> i.classId().equals("filling-primer") ? TestShop.printing(i, 4.0, null) : i)
                .toList();
        Workup w = TestShop.workup(
                Cases.all().get("dent-putty-alone"),
                TestShop.shop(21, HOUSE.with("surfacer", "filling-primer"), shelf));
        Portion p = portion(w);
        double sprayed = Math.max(figure(p, "To spray"), TradeBook.value("coat.least.gun"));
        assertThat(figure(p, "Part A") + figure(p, "Part B")).isCloseTo(sprayed, within(0.2));
        assertThat(figure(p, "Part A")).isCloseTo(4 * figure(p, "Part B"), within(0.1));
    }

    @ParameterizedTest
    @ValueSource(strings = {"rust-mesh", "rust-converted", "rust-pits"})
    @DisplayName(
            "primer that was sprayed last is dulled before anything goes on it (common practice); it lies inside what was primed")
    void freshPrimerIsDulledFirst(String recipe) {
        Workup w = of(recipe, "filling-primer");
        assertThat(ids(w)).containsSubsequence("prime", "prime-dry", "surf-scuff", "surf-ground", "surf-coat-1");
        assertThat(area(w, Zone.Kind.SURFACED)).isStrictlyBetween(area(w, Zone.Kind.FILLER), area(w, Zone.Kind.STRIP));
        assertThat(ids(of(
                        "dent-filler-putty",
                        HOUSE.with("surfacer", "filling-primer").with("filler-base", "epoxy-primer"))))
                .doesNotContain("surf-scuff");
    }

    @Test
    void polyesterIsNeverSprayedOverEpoxy() {
        assertThat(of("rust-pits", "polyester")
                        .stack()
                        .item(Role.SURFACE)
                        .orElseThrow()
                        .classId())
                .isEqualTo("filling-primer");
        assertThat(of("composite-epoxy", "polyester")
                        .stack()
                        .item(Role.SURFACE)
                        .orElseThrow()
                        .classId())
                .isEqualTo("filling-primer");
        assertThat(of("dent-filler-putty", "polyester")
                        .stack()
                        .item(Role.SURFACE)
                        .orElseThrow()
                        .classId())
                .isEqualTo("polyester-surfacer");
    }

    @Test
    void blockingBeforeItIsCuredIsNamed() {
        PlanEditDraft early = new PlanEditDraft(PlanEditDraft.Kind.MOVE, "surf-block-p180", "surf-coat-2", null, null);
        Workup w = TestShop.workup(
                Cases.edited(Cases.all().get("dent-filler-putty"), early),
                TestShop.shop(21, HOUSE.with("surfacer", "polyester"), TestShop.fullShelf()));
        assertThat(w.plan().orElseThrow().broken())
                .extracting(Interlock.Broken::interlock)
                .contains("surfacer-cured");
    }

    @Test
    void whatItGivesOffIsToldWhereItIsMixed() {
        for (String who : List.of("polyester", "filling-primer")) {
            Step mix = steps(of("dent-filler-putty", who)).stream()
                    .filter(s -> s.id().equals("surf-mix"))
                    .findFirst()
                    .orElseThrow();
            assertThat(mix.cautions())
                    .extracting(c -> c.id())
                    .contains(who.equals("polyester") ? "styrene" : "primer", "spray");
        }
    }

    @Test
    void whatIsDarkOrCutThroughIsCoatedCuredAndBlockedAgain() {
        Plan p = of("composite-epoxy", "filling-primer").plan().orElseThrow();
        for (String id : List.of("surf-again", "surf-through")) {
            Loop l = p.loops().stream()
                    .filter(x -> x.id().equals(id))
                    .findFirst()
                    .orElseThrow();
            assertThat(l.steps().stream().map(Step::id)).containsSubsequence("dust", "coat", "wait", "surf-block-p320");
        }
        assertThat(p.steps().stream()
                        .filter(s -> s.step().id().startsWith("surf-"))
                        .flatMap(s -> s.step().gate().stream())
                        .flatMap(g -> g.branches().stream())
                        .filter(b -> b.weight() == Weight.STOP))
                .hasSize(2);
    }

    @Test
    @DisplayName("what is handed over: the film left, the last grade, what is sealed")
    void handOver() {
        Step last = steps(of("dent-filler-putty", "polyester")).getLast();
        double left = 180 * (1 - TradeBook.value("surface.block-off"));
        assertThat(last.detail()).contains("⟦" + Math.round(left) + " µm⟧", "P600", "ealed");
        assertThat(steps(of("dent-filler-putty", "paint-shop")).getLast().title())
                .contains("ready for primer");
    }
}
