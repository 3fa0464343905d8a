package vanemend.core.stack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.TestShop;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Step;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Text;
import vanemend.core.verdict.Verdict.Outcome;

@DisplayName("what a material asks of the work is a filter of the stack or a step, not only said")
class PolymerAsksTest {
    private static Workup plastic(String mark) {
        return work(
                HouseRules.defaults(),
                "{made: {material: PLASTIC, thicknessMm: 3, mark: '" + mark + "'}}",
                "{kind: CRACK, trace: [200, 200, 290, 200], through: THROUGH, ends: BOTH}");
    }

    private static Workup work(HouseRules house, String part, String damage) {
        return TestShop.workup(TestShop.job(part, damage), TestShop.shop(20, house, TestShop.fullShelf()));
    }

    private static List<String> steps(Workup w) {
        return w.plan().orElseThrow().steps().stream().map(s -> s.step().id()).toList();
    }

    @ParameterizedTest(name = "{0}: cleaned with {1}, trial spot {2}, dried {3}")
    @CsvSource({
        ">PP<, plastics-cleaner, false, false",
        ">PP+EPDM-TD20<, plastics-cleaner, false, false",
        ">PE-HD<, plastics-cleaner, true, false",
        ">PC+ABS<, alcohol-wipe, true, false",
        ">PBT+PC<, alcohol-wipe, true, false",
        ">PVC-U<, plastics-cleaner, true, false",
        ">PA6<, plastics-cleaner, false, true",
        ">PET<, alcohol-wipe, true, false",
        ">PC<, alcohol-wipe, true, false",
        ">PUR<, plastics-cleaner, false, false"
    })
    void aPolymerIsCleanedTriedAndDriedAsItsRowAsks(String mark, String cleaner, boolean trial, boolean dried) {
        Workup w = plastic(mark);
        assertThat(w.stack().item(Role.CLEAN).orElseThrow().classId()).isEqualTo(cleaner);
        List<String> steps = steps(w);
        assertThat(steps.contains("trial-spot")).isEqualTo(trial);
        assertThat(steps.contains("dry-part")).isEqualTo(dried);
        if (trial) {
            assertThat(steps.indexOf("trial-spot"))
                    .as("before the cleaner meets the face")
                    .isLessThan(steps.indexOf("clean"));
        }
    }

    @ParameterizedTest(name = "{0}: pressed with a dry cloth, and warmed where it is damp: {1}")
    @CsvSource({">PUR<, true", ">TPU<, true", ">PP<, false", ">PA6<, false", ">ABS<, false"})
    @DisplayName("foam of polyurethane gives its water off for 30 min at 60 °C at most (recalled)")
    void foamThatDrankWaterIsWarmedFirst(String mark, boolean asked) {
        Workup w = plastic(mark);
        List<String> steps = steps(w);
        assertThat(steps.contains("dry-inside")).isEqualTo(asked);
        if (asked) {
            assertThat(steps).containsSubsequence("clean", "dry-inside", "back-ready");
            Step degas = w.plan().orElseThrow().loop("degas").steps().getFirst();
            assertThat(degas.clock().orElseThrow().minutes()).isEqualTo(30);
            assertThat(Text.plain(degas.detail())).contains("60 °C at most");
            assertThat(w.identity().heatCapC().orElseThrow()).isLessThanOrEqualTo(60);
        }
    }

    @ParameterizedTest(name = "{0}: promoter {1}")
    @CsvSource({">PA66<, false", ">PUR<, false", ">TPU<, false", ">PC<, false", ">PET<, false", ">PP<, true"})
    void promoterForPolyolefinsLiesOnPolyolefinsAlone(String mark, boolean promoted) {
        Workup w = plastic(mark);
        assertThat(w.stack().item(Role.PROMOTE).isPresent()).isEqualTo(promoted);
        assertThat(w.stack().ranked()).isNotEmpty();
        assertThat(w.stack().ranked())
                .extracting(RankedStack::recipe)
                .as("nothing is melted in that melts into ABS alone")
                .doesNotContain("abs-solvent");
    }

    @ParameterizedTest(name = "a cover of {0} counts as composite")
    @CsvSource({">UP-GF30<", ">EP-GF40<"})
    void aThermosetCoverIsMendedAsComposite(String mark) {
        assertThat(plastic(mark).stack().ranked())
                .isNotEmpty()
                .allSatisfy(r -> assertThat(Recipe.of(r.recipe()).method()).isEqualTo(MethodId.COMPOSITE));
    }

    @Test
    void theActivatorStaysAwayFromWhatIsTightInAPlasticThatCrazes() {
        Workup w = work(
                HouseRules.defaults(),
                "{made: {material: PLASTIC, thicknessMm: 3, mark: '>PC<'}}",
                "{kind: DIVOT, xMm: 330, yMm: 96, lengthMm: 14, widthMm: 5, depthMm: 0.8}");
        assertThat(w.plan().orElseThrow().steps())
                .filteredOn(s -> s.step().id().equals("activate"))
                .singleElement()
                .satisfies(s -> assertThat(s.step().detail()).contains("crazes"));
    }

    @ParameterizedTest
    @CsvSource({"STAINLESS_STEEL", "MAGNESIUM", "ZINC"})
    void aMetalOfAnotherKindIsPassedOn(String metal) {
        Workup w = work(
                HouseRules.defaults(),
                "{metal: " + metal + ", gaugeMm: 1}",
                "{kind: DENT, xMm: 400, yMm: 250, lengthMm: 90, widthMm: 80, depthMm: 2.5}");
        assertThat(w.verdict().outcome()).isEqualTo(Outcome.REFER);
        assertThat(w.verdict().refusal().orElseThrow().ruleId()).isEqualTo("metal-other");
        assertThat(w.plan()).isEmpty();
    }

    @ParameterizedTest(name = "{0}, filler on bare metal: {1}")
    @CsvSource({"MILD_STEEL, body-filler", "GALVANISED_STEEL, body-filler-rated", "ALUMINIUM, body-filler-rated"})
    void onZincAndAluminiumOnlyAGradeThatIsRatedForThem(String metal, String filler) {
        Workup w = work(
                HouseRules.defaults().with("filler-base", "bare-metal"),
                "{metal: " + metal + ", gaugeMm: 1, coats: [{kind: BASE}, {kind: CLEAR}]}",
                "{kind: DENT, xMm: 400, yMm: 250, lengthMm: 90, widthMm: 80, depthMm: 3.5}");
        assertThat(w.stack().item(Role.FILL).orElseThrow().classId()).isEqualTo(filler);
    }

    @ParameterizedTest(name = "wall of {0} mm: {1} mm past the damage, {2}")
    @CsvSource({"2, 25, MEND", "3, 36, MEND", "4.1, 49.2, MEND", "4.3, 51.6, LIMITS", "6, 72, LIMITS"})
    @DisplayName("a dish in rigid composite is the wider of 25 mm and 12 times its depth (marine practice, recalled)")
    void dishOfARigidComposite(double wall, double past, Outcome said) {
        Workup w = work(
                HouseRules.defaults(),
                "{made: {material: COMPOSITE, composite: SMC, thicknessMm: " + wall + "}}",
                "{kind: HOLE, xMm: 400, yMm: 250, lengthMm: 40, widthMm: 30}");
        DrawnZone dish = w.drawing().zones().stream()
                .filter(z -> z.kind() == Zone.Kind.DISH)
                .findFirst()
                .orElseThrow();
        assertThat(dish.pastMm()).isCloseTo(past, within(1e-6));
        assertThat(w.verdict().findings())
                .filteredOn(f -> f.ruleId().equals("composite-dish"))
                .singleElement()
                .satisfies(f -> assertThat(f.outcome()).isEqualTo(said));
    }

    @Test
    @DisplayName(
            "zone C counts only where the UK standard's own drawing is at hand: 20 mm there is mended, else referred as B")
    void zoneC() {
        String screen = "{widthMm: 1800, heightMm: 900, made: {material: GLASS, stamp: II, wheelXMm: 500}}";
        String chip =
                "{kind: CHIP, xMm: 1300, yMm: 450, lengthMm: 18, chip: {type: BULLSEYE, spanMm: 20, pitMm: 3, inSweep: true";
        HouseRules uk = HouseRules.defaults().with("windscreen-limits", "uk");
        assertThat(work(uk, screen, chip + "}}").verdict().outcome()).isEqualTo(Outcome.REFER);
        assertThat(work(uk, screen, chip + ", zoneC: true}}").verdict().outcome())
                .isEqualTo(Outcome.MEND);
        assertThat(work(uk, screen, chip.replace("spanMm: 20", "spanMm: 25.1") + ", zoneC: true}}")
                        .verdict()
                        .outcome())
                .isEqualTo(Outcome.REPLACE);
        assertThat(work(uk, screen, chip.replace("xMm: 1300", "xMm: 520") + ", zoneC: true}}")
                        .verdict()
                        .outcome())
                .as("in front of the driver zone A stands")
                .isEqualTo(Outcome.REPLACE);
    }
}
