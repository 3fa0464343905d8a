package vanemend.core.stack;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.TestShop;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Cases;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;

@DisplayName(
        "material, order, finish and back of a composite are chosen freely; a way with a name is a choice that was filled in (common practice)")
class FreeChoiceTest {
    private static final List<String> MATERIALS =
            List.of("composite-epoxy", "composite-one-material", "composite-lay-up");

    private static Workup of(RepairDraft d) {
        return TestShop.workup(d, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
    }

    static Stream<Arguments> combinations() {
        return MATERIALS.stream()
                .flatMap(m -> Stream.of("in-place", "on-film")
                        .flatMap(o -> Stream.of("cream", "one-material")
                                .flatMap(f -> Stream.of("two-plies", "one-ply", "on-film")
                                        .map(b -> Arguments.of(m, o, f, b)))));
    }

    private static boolean has(Plan p, String step) {
        return p.steps().stream().map(PlannedStep::step).anyMatch(s -> s.id().equals(step));
    }

    @ParameterizedTest(name = "{0}, {1}, {2}, back {3}")
    @MethodSource("combinations")
    void everyCombinationHasAPlanThatFollowsIt(String recipe, String order, String finish, String back) {
        Workup w = of(Cases.choosing(
                Cases.all().get(recipe), "pyramid-order", order, "composite-finish", finish, "composite-back", back));
        Plan p = w.plan().orElseThrow(() -> new AssertionError(w.blockers().toString()));
        assertThat(p.broken()).isEmpty();
        assertThat(has(p, "cream-mix")).isEqualTo(finish.equals("cream"));
        assertThat(has(p, "cut-film")).isEqualTo(order.equals("on-film") || back.equals("on-film"));
        assertThat(w.stack().lines().stream().filter(l -> l.role() == Role.FILM).count())
                .isEqualTo(order.equals("on-film") || back.equals("on-film") ? 1 : 0);
        assertThat(w.stack().lines().stream().anyMatch(l -> l.role() == Role.FINISH))
                .isEqualTo(finish.equals("cream"));
        assertThat(p.schools().stream()
                        .filter(s -> s.school().equals("pyramid-order"))
                        .findFirst()
                        .orElseThrow()
                        .option())
                .isEqualTo(order);
        double cloth = p.portions().stream()
                .filter(x -> x.id().equals("back-cloth"))
                .findFirst()
                .orElseThrow()
                .needed();
        double two = of(Cases.all().get(recipe)).plan().orElseThrow().portions().stream()
                .filter(x -> x.id().equals("back-cloth"))
                .findFirst()
                .orElseThrow()
                .needed();
        if (back.equals("one-ply")) {
            assertThat(cloth).isLessThan(two);
        } else {
            assertThat(cloth).isEqualTo(two);
        }
    }

    @Test
    @DisplayName(
            "what becomes the same as a way with a name is that way, taken under its name; the other stands out with the reason")
    void becomesAWayWithAName() {
        Workup w = of(Cases.choosing(Cases.all().get("composite-epoxy"), "pyramid-order", "on-film"));
        assertThat(w.stack().taken()).isEqualTo("composite-epoxy-film");
        assertThat(w.stack().rejectedWays())
                .filteredOn(r -> r.id().equals("composite-epoxy"))
                .singleElement()
                .satisfies(r -> assertThat(r.reason()).contains("built on film"));
    }

    @Test
    @DisplayName("a way without a name is called by its parts; the house's own rules change none of them")
    void called() {
        Recipe layUp = Recipe.of("composite-lay-up");
        assertThat(FreeChoice.of(layUp, Map.of("pyramid-order", "on-film")).name())
                .startsWith("Hand lay-up with laminating resin, built on film");
        assertThat(FreeChoice.of(layUp, Map.of("pyramid-order", "in-place"))).isSameAs(layUp);
        assertThat(FreeChoice.of(layUp, Map.of("peroxide-dose", "bead"))).isSameAs(layUp);
        HouseRules onFilm = HouseRules.defaults().with("pyramid-order", "on-film");
        Plan p = TestShop.workup(Cases.all().get("composite-lay-up"), TestShop.shop(21, onFilm, TestShop.fullShelf()))
                .plan()
                .orElseThrow();
        assertThat(has(p, "cut-film")).isFalse();
    }
}
