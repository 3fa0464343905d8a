package vanemend.core.method.dent;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.damage.Dent;
import vanemend.core.damage.DepthField;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Zone;
import vanemend.core.material.ShelfItem;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.Rung;
import vanemend.core.trade.HouseRules;

class DentLadderTest {
    private static final Footprint FOOTPRINT = DentFootprint.of(
            TestShop.part(TestShop.door()),
            new DepthField(List.of(new Dent(340, 240, 120, 100, 0, 2.8, Dent.Profile.BOWL))));
    private static final HouseRules QUICK = HouseRules.defaults().with("ladder", "quick");

    private static List<ShelfItem> papers(int... grades) {
        List<ShelfItem> out = new ArrayList<>();
        for (int g : grades) {
            out.add(TestShop.paper("P", g));
        }
        return out;
    }

    private static List<String> walk(Ladder l) {
        return l.rungs().stream().map(Rung::paper).toList();
    }

    @Test
    @DisplayName("common practice: fine is 80-120-180, then 180-240-320 on the putty")
    void fine() {
        Ladder l = DentLadder.of(FOOTPRINT, HouseRules.defaults(), papers(80, 120, 180, 240, 320), true);
        assertThat(l.whole()).isTrue();
        assertThat(walk(l)).containsExactly("P80", "P120", "P180", "P180", "P240", "P320");
    }

    @Test
    @DisplayName("common practice: quick is 80-180, then 180-320")
    void quick() {
        Ladder l = DentLadder.of(FOOTPRINT, QUICK, papers(80, 180, 320), true);
        assertThat(walk(l)).containsExactly("P80", "P180", "P180", "P320");
    }

    @Test
    void theQuickLadderIsRefusedByTheFineRuleAndNamesWhatIsMissing() {
        Ladder l = DentLadder.of(FOOTPRINT, HouseRules.defaults(), papers(80, 180, 320), true);
        assertThat(l.whole()).isFalse();
        assertThat(l.missing()).contains("80 to 180").contains("1.7").contains("between them");
        Ladder bare = DentLadder.of(FOOTPRINT, HouseRules.defaults(), papers(120, 240), true);
        assertThat(bare.missing()).contains("put P80").contains("P320");
    }

    @Test
    void gradingsAreComparedByGrain() {
        List<ShelfItem> shelf = papers(80, 120, 180, 240);
        shelf.add(TestShop.paper("CAMI", 320));
        // CAMI 320 is 36 µm, far finer than P320 at 46.2 µm: it does not stand in for it.
        assertThat(DentLadder.of(FOOTPRINT, HouseRules.defaults(), shelf, true).whole())
                .isFalse();
        List<ShelfItem> cami = papers(80, 120, 240, 320);
        cami.add(TestShop.paper("CAMI", 180));
        assertThat(DentLadder.of(FOOTPRINT, HouseRules.defaults(), cami, true).whole())
                .isTrue();
    }

    @Test
    void puttyAloneStartsAt180() {
        Ladder l = DentLadder.of(FOOTPRINT, HouseRules.defaults(), papers(80, 120, 180, 240, 320), false);
        assertThat(walk(l)).containsExactly("P180", "P240", "P320");
        assertThat(l.rungs()).allMatch(r -> r.leg().equals(DentLadder.REFINE));
    }

    @Test
    void noShelfEverGivesAJumpOverTheLimitOrCoarsePaperOutsideTheFiller() {
        int[] grades = {80, 100, 120, 150, 180, 220, 240, 280, 320, 400};
        Seeds.forEach(300, (r, i) -> {
            List<ShelfItem> shelf = new ArrayList<>();
            for (int g : grades) {
                if (r.nextInt(3) > 0) {
                    shelf.add(TestShop.paper(r.nextInt(4) == 0 && g <= 320 ? "CAMI" : "P", g));
                }
            }
            HouseRules house = i % 2 == 0 ? QUICK : HouseRules.defaults();
            Ladder l = DentLadder.of(FOOTPRINT, house, shelf, true);
            for (int k = 0; k < l.rungs().size(); k++) {
                Rung rung = l.rungs().get(k);
                assertThat(rung.ratio()).isLessThanOrEqualTo(l.ratioLimit());
                assertThat(rung.minutes()).isPositive();
                assertThat(rung.discs()).isPositive();
                if (rung.grainUm() > 100) {
                    assertThat(rung.zone()).isIn(Zone.Kind.FILLER, Zone.Kind.FEATHER);
                }
            }
            assertThat(l.whole()).isEqualTo(l.missing().isEmpty());
        });
    }
}
