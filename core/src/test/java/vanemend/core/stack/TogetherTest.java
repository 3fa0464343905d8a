package vanemend.core.stack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.TestShop;
import vanemend.core.method.Act;
import vanemend.core.method.Cases;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;

@DisplayName(
        "back, order and face of plastic are chosen on a repair; what does not go together says why (common practice)")
class TogetherTest {
    /** Small enough for polyester, room all round for a patch. */
    private static final RepairDraft HOLED = Cases.open(Cases.all().get("plastic-mesh-first-polyester"));

    private static final Map<List<String>, String> WAYS = Map.of(
            List.of("adhesive-cloth", "back-first", "epoxy"), "plastic-adhesive-cloth",
            List.of("adhesive-cloth", "back-first", "polyester"), "plastic-adhesive-polyester",
            List.of("patch", "face-first", "epoxy"), "plastic-patch",
            List.of("mesh", "wet-in-wet", "polyester"), "plastic-mesh",
            List.of("mesh", "back-first", "epoxy"), "plastic-mesh-first",
            List.of("mesh", "back-first", "polyester"), "plastic-mesh-first-polyester");

    private static Workup of(RepairDraft d) {
        return TestShop.workup(d, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
    }

    private static Workup chosen(String back, String order, String face) {
        return of(Cases.choosing(HOLED, "plastic-back", back, "plastic-order", order, "plastic-face", face));
    }

    static Stream<Arguments> combinations() {
        return HouseRules.school("plastic-back").options().stream()
                .flatMap(b -> HouseRules.school("plastic-order").options().stream()
                        .flatMap(o -> HouseRules.school("plastic-face").options().stream()
                                .map(f -> Arguments.of(b.id(), o.id(), f.id()))));
    }

    @ParameterizedTest(name = "{0}, {1}, {2}")
    @MethodSource("combinations")
    void everyCombinationHasItsPlanOrItsReason(String back, String order, String face) {
        Workup w = chosen(back, order, face);
        Optional<String> way = Optional.ofNullable(WAYS.get(List.of(back, order, face)));
        if (way.isPresent()) {
            Plan p = w.plan().orElseThrow(() -> new AssertionError(w.blockers().toString()));
            assertThat(w.stack().taken()).isEqualTo(way.get());
            assertThat(p.broken()).isEmpty();
        } else {
            assertThat(w.plan()).isEmpty();
            assertThat(w.blockers()).anyMatch(b -> b.contains("do not go together. "));
            assertThat(w.stack().rejectedWays())
                    .filteredOn(r -> WAYS.containsValue(r.id()))
                    .allMatch(r -> r.reason().startsWith("chosen on this repair: "));
        }
    }

    @Test
    @DisplayName("what goes together and what is told never to are all there is: nothing is refused without a reason")
    void nothingBetween() {
        combinations().map(Arguments::get).forEach(a -> {
            Map<String, String> own = Map.of(
                    "plastic-back", (String) a[0], "plastic-order", (String) a[1], "plastic-face", (String) a[2]);
            assertThat(Together.clash(own).isEmpty())
                    .as(own.toString())
                    .isEqualTo(WAYS.containsKey(List.of(a[0], a[1], a[2])));
        });
        assertThat(Together.parts()).containsExactlyInAnyOrder("plastic-back", "plastic-order", "plastic-face");
        assertThat(Together.apart()).allSatisfy(a -> assertThat(a.these()).hasSize(2));
    }

    @Test
    @DisplayName("one part alone leaves every way that has it; a choice beats a way that was taken before")
    void onePart() {
        Workup w = of(Cases.choosing(HOLED, "plastic-back", "mesh"));
        assertThat(w.stack().taken()).startsWith("plastic-mesh");
        assertThat(w.stack().ranked()).allMatch(r -> r.recipe().startsWith("plastic-mesh"));
        RepairDraft patched = Cases.choosing(Cases.taking("plastic-patch", HOLED), "plastic-face", "polyester");
        assertThat(of(patched).stack().taken()).isNotEqualTo("plastic-patch");
    }

    @Test
    @DisplayName("where no way has what was chosen, it says what each has instead")
    void noWayHasIt() {
        RepairDraft weld = Cases.choosing(Cases.all().get("weld-finish"), "plastic-face", "polyester");
        Workup w = of(weld);
        assertThat(w.plan()).isEmpty();
        assertThat(w.blockers()).anyMatch(b -> b.startsWith("No way to mend this has what was chosen"));
        assertThat(w.stack().rejectedWays())
                .filteredOn(r -> r.id().equals("weld-finish"))
                .singleElement()
                .satisfies(r -> assertThat(r.reason()).endsWith("this one has: Flexible epoxy"));
    }

    @Test
    @DisplayName("mesh first: back cured and its film off before the face is opened, each with promoter of its own")
    void meshFirst() {
        Plan p = of(Cases.all().get("plastic-mesh-first")).plan().orElseThrow();
        List<String> ids =
                p.steps().stream().map(PlannedStep::step).map(s -> s.id()).toList();
        assertThat(ids)
                .containsSubsequence(
                        "tape",
                        "back-promoter",
                        "cut-mesh",
                        "cut-film",
                        "back-promoter-flash",
                        "back-mix",
                        "back-spread",
                        "back-wait",
                        "film-off",
                        "untape",
                        "dish",
                        "face-promoter",
                        "face-fill");
        assertThat(p.steps().stream().map(PlannedStep::step).flatMap(s -> s.acts().stream()))
                .contains(Act.CURE_BACK, Act.FLASH_BACK);
        // By hand: 25 mm round an ellipse of 38 by 26 (perimeter 101.42 by Ramanujan) is 5275 mm²; 1.2 mm on it, and a
        // tenth on the board.
        assertThat(p.mixes().stream()
                        .filter(m -> m.id().equals("back"))
                        .findFirst()
                        .orElseThrow()
                        .pour()
                        .volume()
                        .totalMl())
                .isCloseTo(6.963, withinPercentage(1));
    }
}
