package vanemend.core.sanding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.TestShop;
import vanemend.core.damage.Oval;
import vanemend.core.damage.PaintRun;
import vanemend.core.footprint.Zone;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Cases;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;

@DisplayName("ladders for every surface (common practice): where each paper may go, and what the shelf lacks")
class SurfaceLadderTest {
    private static Workup work(String recipe, List<ShelfItem> shelf) {
        return TestShop.workup(Cases.all().get(recipe), TestShop.shop(21, HouseRules.defaults(), shelf));
    }

    private static List<Rung> rungs(String recipe) {
        return work(recipe, TestShop.fullShelf()).plan().orElseThrow().ladder().rungs();
    }

    @Test
    void onPlastics80StaysInside180IsTheRing320GoesOut() {
        for (String recipe : List.of("plastic-adhesive-cloth", "plastic-patch", "plastic-face")) {
            assertThat(rungs(recipe)).allSatisfy(r -> {
                if (r.grainUm() > 150) {
                    assertThat(r.zone()).isIn(Zone.Kind.DISH, Zone.Kind.BACK_SAND);
                }
                assertThat(r.tool()).isEqualTo(Tool.DA);
            });
            assertThat(rungs(recipe).getLast().paper()).isEqualTo("P320");
            assertThat(rungs(recipe).getLast().zone()).isEqualTo(Zone.Kind.FINE_320);
        }
    }

    @Test
    void trimNeverSeesPaperCoarserThan180() {
        for (String recipe : List.of("trim", "trim-flexible")) {
            assertThat(rungs(recipe))
                    .isNotEmpty()
                    .allSatisfy(r -> assertThat(r.grainUm()).isLessThanOrEqualTo(Grains.micrometres("P", 180)));
        }
    }

    @Test
    void compositeGoesFrom36To80AndClosesWithCreamAt180() {
        assertThat(rungs("composite-epoxy").stream().map(Rung::paper).toList())
                .containsExactly("P36", "P80", "P36", "P80", "P80", "P180", "P320");
    }

    @Test
    void clearTakesEveryGradeDampUpTo3000() {
        assertThat(rungs("run-block").stream().map(Rung::paper).toList())
                .containsExactly("P400", "P600", "P800", "P1000", "P1200", "P1500", "P3000");
        assertThat(rungs("run-block")).allSatisfy(r -> assertThat(r.note()).isEqualTo("damp"));
        assertThat(rungs("run-block").getLast().ratio()).isCloseTo(1.9, within(0.02));
    }

    @Test
    void gradingsMixWithoutMistakeAndTheLikeOfAPGradeGivesWayToIt() {
        List<ShelfItem> shelf = new ArrayList<>(TestShop.fullShelf());
        shelf.add(TestShop.paper("CAMI", 320));
        assertThat(work("run-block", shelf)
                        .plan()
                        .orElseThrow()
                        .ladder()
                        .rungs()
                        .getFirst()
                        .paper())
                .isEqualTo("P400");
        shelf.removeIf(i -> i.id().equals("P400"));
        assertThat(work("run-block", shelf)
                        .plan()
                        .orElseThrow()
                        .ladder()
                        .rungs()
                        .getFirst()
                        .paper())
                .isEqualTo("CAMI 320");
    }

    @Test
    void aMissingPaperIsNamed() {
        List<ShelfItem> shelf = new ArrayList<>(TestShop.fullShelf());
        shelf.removeIf(i -> i.id().equals("P36"));
        Workup w = work("composite-epoxy", shelf);
        assertThat(w.plan()).isEmpty();
        assertThat(w.blockers()).anyMatch(b -> b.contains("No way from 36 to 80: put P36 on the shelf"));
        shelf.removeIf(i -> i.id().equals("P3000"));
        assertThat(work("run-machine", shelf).blockers()).anyMatch(b -> b.contains("put P3000 on the shelf"));
    }

    @Test
    @DisplayName(
            "film budget: shielded until 600, then a tenth of each grain (recalled): 58 µm ends near 48, and the grade that would be too much is named")
    void filmBudget() {
        Ladder ladder =
                work("run-block", TestShop.fullShelf()).plan().orElseThrow().ladder();
        FilmBudget b = budget(58, ladder);
        assertThat(b.left().getFirst().paper()).isEqualTo("P800");
        assertThat(b.left().getLast().paper()).isEqualTo("polish");
        assertThat(b.endUm()).isCloseTo(48, within(0.5));
        assertThat(b.takenUm()).isCloseTo(58 - b.endUm(), within(1e-9));
        assertThat(b.shown(b.endUm())).isCloseTo(b.endUm() + 70, within(1e-9));
        assertThat(b.said()).startsWith("Safe");
        assertThat(budget(54, ladder).said()).startsWith("Tight");
        assertThat(budget(45, ladder).said()).startsWith("Too thin from P1200 on");
        assertThat(budget(8, ladder).said()).contains("cut through at");
        for (int i = 1; i < b.left().size(); i++) {
            assertThat(b.left().get(i).um()).isLessThan(b.left().get(i - 1).um());
        }
    }

    @Test
    @DisplayName(
            "a jump that is too wide is named, with the paper that closes it: 400 to 800 is 1.6 times, 600 to 1200 too; without both 600 and 800 it is 1.9 and over")
    void theGapIsNamedWithThePaperThatClosesIt() {
        List<ShelfItem> shelf = new ArrayList<>(TestShop.fullShelf());
        shelf.removeIf(i -> List.of("P800", "P1000", "P1200").contains(i.id()));
        Workup w = work("run-block", shelf);
        assertThat(w.plan()).isEmpty();
        // P600 is 25.8 µm, P1500 12.6: middle 18.0, nearest P1000 at 18.3 (ISO 6344-3).
        assertThat(w.blockers()).anyMatch(b -> b.contains("put P1000 between P600 and P1500 on the shelf"));
        shelf.addAll(TestShop.fullShelf().stream()
                .filter(i -> i.id().equals("P1000"))
                .toList());
        assertThat(work("run-block", shelf).plan()).as("and it does").isPresent();
    }

    private static FilmBudget budget(double soundUm, Ladder ladder) {
        PaintRun run = new PaintRun(new Oval(100, 100, 60, 12, 0), 200, 70 + soundUm, 70, true);
        return FilmBudget.of(run, run.heightUm(), 40, ladder);
    }

    @Test
    void aRunHighOverItsSurroundingsStartsCoarser() {
        RepairDraft d = Cases.all().get("run-block");
        for (Map.Entry<Integer, String> e :
                Map.of(215, "P320", 176, "P400", 150, "P600").entrySet()) {
            RepairDraft high = TestShop.job(
                    "{widthMm: 420, heightMm: 180, made: {material: FILM, filmOver: STEEL}, coats: [{kind: BASE}, {kind: CLEAR}]}",
                    "{kind: RUN, xMm: 210, yMm: 92, lengthMm: 64, widthMm: 9, film: {peakUm: " + e.getKey()
                            + ", totalUm: 128, underUm: 70, gauge: MAGNETIC}}");
            Workup w = TestShop.workup(high, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
            assertThat(w.plan().orElseThrow().ladder().rungs().getFirst().paper())
                    .as(d + " " + e)
                    .isEqualTo(e.getValue());
        }
    }
}
