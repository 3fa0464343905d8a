package vanemend.core.stack;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.cure.DryingRoute;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.ShelfItem.LabelTime;
import vanemend.core.part.Metal;
import vanemend.core.plan.Plan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Text;

class MetalStackTest {
    private static Workup with(ShelfItem... more) {
        return at(21, HouseRules.defaults(), 4, more);
    }

    private static Workup at(double airC, HouseRules house, double depth, ShelfItem... more) {
        List<ShelfItem> shelf = TestShop.shelf();
        shelf.addAll(List.of(more));
        return TestShop.workup(
                TestShop.repair(TestShop.door(), TestShop.dent(340, 240, 120, 100, depth)),
                TestShop.shop(airC, house, shelf));
    }

    private static String ruledOut(Workup w, String item) {
        return w.stack().ruledOut().stream()
                .filter(r -> r.itemId().equals(item))
                .findFirst()
                .map(RuledOut::reason)
                .orElse("");
    }

    @Test
    void aLotIsGoodUntilTheDayBeforeItExpires() {
        ShelfItem today =
                TestShop.expiring(TestShop.mix("today", "body-filler", 5, new LabelTime(21, 18)), TestShop.TODAY);
        ShelfItem tomorrow = TestShop.expiring(
                TestShop.mix("tomorrow", "body-filler", 5, new LabelTime(21, 18)), TestShop.TODAY.plusDays(1));
        ShelfItem past = TestShop.expiring(
                TestShop.mix("past", "body-filler", 5, new LabelTime(21, 18)), TestShop.TODAY.minusDays(30));
        Workup w = with(today, tomorrow, past);
        assertThat(ruledOut(w, "today")).isEqualTo("expired today, 24 Nov 2026");
        assertThat(ruledOut(w, "past")).isEqualTo("expired 25 Oct 2026");
        assertThat(ruledOut(w, "tomorrow")).isEmpty();
        assertThat(w.stack().item(Role.FILL).orElseThrow().id())
                .as("oldest good lot first")
                .isEqualTo("tomorrow");
    }

    @Test
    void wrongFamiliesWetSandingAndMissingLabelsAreRuledOutWithTheirReason() {
        Workup w = with(
                TestShop.mix("flex", "flexible-filler", 5, new LabelTime(21, 20)),
                TestShop.mix("glass", "glass-fibre-filler", 4, new LabelTime(21, 24)),
                TestShop.wet(TestShop.mix("surfacer", "polyester-surfacer", 20, new LabelTime(21, 90))),
                TestShop.wet(TestShop.paper("P", 800)),
                TestShop.item(
                        "mute",
                        "body-filler",
                        java.util.Optional.empty(),
                        List.of(new LabelTime(21, 18)),
                        java.util.Optional.empty(),
                        java.util.Optional.empty(),
                        null),
                TestShop.item(
                        "numberless",
                        "paper",
                        java.util.Optional.empty(),
                        List.of(),
                        java.util.Optional.empty(),
                        java.util.Optional.of(180),
                        null));
        assertThat(ruledOut(w, "flex")).contains("not on sanded coats");
        assertThat(ruledOut(w, "glass")).contains("always topped with body filler");
        assertThat(ruledOut(w, "surfacer")).contains("never sanded wet");
        assertThat(ruledOut(w, "P800")).contains("never sanded wet");
        assertThat(ruledOut(w, "mute")).contains("no work time on file");
        assertThat(ruledOut(w, "numberless")).contains("P or CAMI?");
    }

    @Test
    void tooSlowForTodaysTemperatureIsSaidInMinutes() {
        ShelfItem slow = TestShop.mix("slow", "body-filler", 6, new LabelTime(21, 48));
        assertThat(ruledOut(at(21, HouseRules.defaults(), 4, slow), "slow")).isEmpty();
        assertThat(Text.plain(ruledOut(at(16, HouseRules.defaults(), 4, slow), "slow")))
                .contains("too slow today")
                .contains("at 16 °C")
                .contains("at most 60 min");
    }

    @Test
    @DisplayName(
            "where only the heat of the day rules the filler out, that is the reason, with what helps; the shelf is not blamed")
    void airIsNamedBeforeTheShelf() {
        Workup hot = at(45, HouseRules.defaults(), 4);
        assertThat(hot.plan()).isEmpty();
        assertThat(hot.blockers().stream().map(Text::plain))
                .anySatisfy(b -> assertThat(b)
                        .contains("too quick today")
                        .contains("45 °C")
                        .contains("less cream inside its window"))
                .noneSatisfy(b -> assertThat(b).contains("Nothing on the shelf for fill"));
    }

    private static Workup ding(double depth, double across, HouseRules house) {
        return TestShop.workup(
                TestShop.repair(TestShop.door(), TestShop.dent(340, 240, across, 50, depth)),
                TestShop.shop(21, house, TestShop.shelf()));
    }

    @Test
    @DisplayName("putty alone: under 3 mm, as far as its label goes, and no wider than 60 mm (recalled)")
    void puttyAloneHasALimitOfDepthAndOfWidth() {
        HouseRules house = HouseRules.defaults();
        assertThat(ding(1.9, 60, house).stack().puttyAlone()).isTrue();
        assertThat(ding(2, 60, house).stack().puttyAlone()).isTrue();
        assertThat(ding(2.5, 60, house).stack().puttyAlone()).isFalse();
        assertThat(Text.plain(ding(2.5, 60, house).stack().fillNote())).contains("label holds it to 2 mm");
        assertThat(ding(1.9, 60.5, house).stack().puttyAlone()).isFalse();
        assertThat(Text.plain(ding(1.9, 120, house).stack().fillNote())).contains("wider than 60 mm");
        assertThat(ding(4, 60, house).stack().puttyAlone()).isFalse();
    }

    @Test
    @DisplayName(
            "whole paint is kept under a small ding alone (2 mm, 60 mm, recalled); a larger one has its coats opened, and the plan names that school")
    void wholePaintUnderSmallDings() {
        HouseRules whole = HouseRules.defaults().with("filler-base", "whole-paint");
        Plan small = ding(1.5, 58, whole).plan().orElseThrow();
        assertThat(followed(small)).isEqualTo("whole-paint");
        assertThat(small.steps()).anyMatch(s -> s.step().id().equals("paint-sound"));
        assertThat(small.steps()).noneMatch(s -> Text.plain(s.step().detail()).contains("Feather the paint edge"));
        for (Workup large : List.of(ding(2.1, 58, whole), ding(1.5, 61, whole))) {
            assertThat(followed(large.plan().orElseThrow())).isEqualTo("sound-coats");
        }
    }

    private static String followed(Plan p) {
        return p.schools().stream()
                .filter(s -> s.school().equals("filler-base"))
                .findFirst()
                .orElseThrow()
                .option();
    }

    @Test
    void turningTheHouseRuleTurnsTheStack() {
        Workup primed = at(21, HouseRules.defaults().with("filler-base", "epoxy-primer"), 4);
        assertThat(primed.stack().item(Role.PRIME)).isPresent();
        assertThat(at(21, HouseRules.defaults(), 4).stack().item(Role.PRIME)).isEmpty();
        ShelfItem glass = TestShop.mix("glass", "glass-fibre-filler", 4, new LabelTime(21, 12));
        Workup bare = at(21, HouseRules.defaults().with("filler-base", "bare-metal"), 4, glass);
        assertThat(ruledOut(bare, "glass")).contains("always topped with body filler");
        assertThat(bare.stack().item(Role.FILL).orElseThrow().classId()).isEqualTo("body-filler");
    }

    @Test
    void aPinnedItemStaysUntilItIsRuledOut() {
        ShelfItem second = TestShop.mix("second", "body-filler", 5, new LabelTime(21, 25));
        List<ShelfItem> shelf = TestShop.shelf();
        shelf.add(second);
        RepairDraft pinned = new RepairDraft(
                TestShop.door(),
                List.of(TestShop.dent(340, 240, 120, 100, 4)),
                Map.of(Role.FILL, "second"),
                DryingRoute.Kind.AIR,
                Map.of(),
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null);
        assertThat(TestShop.workup(pinned, TestShop.shop(21, HouseRules.defaults(), shelf))
                        .stack()
                        .item(Role.FILL)
                        .orElseThrow()
                        .id())
                .isEqualTo("second");
        shelf.set(shelf.size() - 1, TestShop.expiring(second, TestShop.TODAY));
        assertThat(TestShop.workup(pinned, TestShop.shop(21, HouseRules.defaults(), shelf))
                        .stack()
                        .item(Role.FILL)
                        .orElseThrow()
                        .id())
                .isEqualTo("filler");
    }

    @Test
    void anEmptyShelfNamesEveryGap() {
        Workup w = TestShop.workup(TestShop.usual(), TestShop.shop(21, HouseRules.defaults(), List.of()));
        assertThat(w.plan()).isEmpty();
        assertThat(w.stack().missing())
                .hasSize(6)
                .allSatisfy(m -> assertThat(m).startsWith("Nothing on the shelf for"));
        assertThat(String.join(" ", w.blockers()))
                .contains("body filler")
                .contains("finishing putty")
                .contains("P80");
    }

    @Test
    void noShelfEverGivesAnItemThatIsExpiredWetOrOfTheWrongFamily() {
        String[] classes = {
            "body-filler", "finishing-putty", "glass-fibre-filler", "flexible-filler", "polyester-surfacer"
        };
        Metal.Kind[] metals = {Metal.Kind.MILD_STEEL, Metal.Kind.GALVANISED_STEEL, Metal.Kind.ALUMINIUM};
        Seeds.forEach(2000, (r, i) -> {
            List<ShelfItem> shelf =
                    new ArrayList<>(TestShop.shelf().subList(2, TestShop.shelf().size()));
            for (int k = 0; k < 6; k++) {
                ShelfItem item = TestShop.mix(
                        "m" + k,
                        classes[r.nextInt(classes.length)],
                        Seeds.between(r, 2, 9),
                        new LabelTime(21, Seeds.between(r, 8, 50)));
                item = TestShop.expiring(item, TestShop.TODAY.plusDays(r.nextInt(9) - 4));
                shelf.add(r.nextInt(4) == 0 ? TestShop.wet(item) : item);
            }
            Metal.Kind metal = metals[r.nextInt(3)];
            StackChoice s = TestShop.workup(
                            TestShop.repair(
                                    TestShop.door(metal, TestShop.allNo()),
                                    TestShop.dent(340, 240, 120, 100, Seeds.between(r, 0.3, 6))),
                            TestShop.shop(Seeds.between(r, 10, 35), HouseRules.defaults(), shelf))
                    .stack();
            for (Role role : new Role[] {Role.FILL, Role.FINISH}) {
                s.item(role).ifPresent(c -> {
                    assertThat(c.expires().orElseThrow()).isAfter(TestShop.TODAY);
                    assertThat(c.wet()).isEqualTo(ShelfItem.Sanding.DRY);
                    assertThat(c.classId()).isIn("body-filler", "finishing-putty");
                });
            }
            assertThat(s.ruledOut()).allSatisfy(o -> assertThat(o.reason()).isNotBlank());
        });
    }
}
