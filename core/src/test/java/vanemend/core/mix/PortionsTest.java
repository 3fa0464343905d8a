package vanemend.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.ShelfItem.LabelTime;

@DisplayName("amounts in the form they come in")
class PortionsTest {
    private static final ShelfItem FACE = TestShop.mix("face", "face-adhesive", 5, new LabelTime(21, 15));

    private static double figure(Portion p, String word) {
        return p.figures().stream()
                .filter(f -> f.word().equals(word))
                .findFirst()
                .orElseThrow()
                .value();
    }

    private static FillVolume ml(double ml) {
        return new FillVolume(ml, 0, 0, 0, ml * 0.1);
    }

    @Test
    @DisplayName(
            "cartridge: one mixer a go, each purged 65 mm of a 5 mm bead (1.28 mL) and left full (2.5 mL) (common practice, recalled)")
    void cartridge() {
        Portion one = Portions.cartridge("face", "Face", FACE, ml(20), new Pace(5, 20, 0));
        assertThat(one.batches()).isEqualTo(1);
        assertThat(figure(one, "Waste in purge and mixer")).isCloseTo(3.8, within(0.05));
        assertThat(one.needed()).isEqualTo(26);
        assertThat(figure(one, "Cartridges")).isEqualTo(1);
        assertThat(one.onPartByMin()).isEqualTo(4);
        Portion fast = Portions.cartridge("back", "Back", FACE, ml(60), new Pace(1, 20, 0));
        assertThat(fast.batches()).isEqualTo(5);
        assertThat(figure(fast, "Mixers")).isEqualTo(5);
        assertThat(fast.notes()).anyMatch(n -> n.contains("5 equal goes"));
        assertThat(figure(fast, "Cartridges")).isEqualTo(2);
    }

    @Test
    void whatCannotBeSpreadInTimeSaysWhatWouldHelp() {
        Portion p = Portions.cartridge("back", "Back", FACE, ml(900), new Pace(0.6, 12, 0));
        assertThat(Portions.hopeless(p)).isTrue();
        assertThat(p.notes().getLast()).contains("slower class").contains("cool the shop");
    }

    @Test
    @DisplayName(
            "five plies of 4 min each want two goes of resin that stays workable 15 min (0.8 of it is used; recalled)")
    void pliesTakeTheTimeOfHandsNotOfVolumeAlone() {
        Pace quick = new Pace(15, 20, 0);
        Pace plies = new Pace(15, 20, 20);
        Portion alone = Portions.cartridge("x", "X", FACE, ml(20), quick);
        Portion laid = Portions.cartridge("x", "X", FACE, ml(20), plies);
        assertThat(alone.batches()).isEqualTo(1);
        assertThat(laid.batches()).isEqualTo(2);
        assertThat(laid.spreadMin()).isEqualTo(10);
        assertThat(laid.spreadMin()).isLessThanOrEqualTo(laid.onPartByMin());
        assertThat(laid.needed()).isGreaterThan(alone.needed());
    }

    @Test
    void moreVolumeOrLessTimeNeverNeedsLess() {
        Seeds.forEach(500, (r, i) -> {
            double v = Seeds.between(r, 1, 120);
            double work = Seeds.between(r, 1, 12);
            Portion p = Portions.cartridge("x", "X", FACE, ml(v), new Pace(work, 20, 0));
            assertThat(Portions.cartridge("x", "X", FACE, ml(v + 5), new Pace(work, 20, 0))
                            .needed())
                    .isGreaterThanOrEqualTo(p.needed());
            assertThat(Portions.cartridge("x", "X", FACE, ml(v), new Pace(work / 2, 20, 0))
                            .needed())
                    .isGreaterThanOrEqualTo(p.needed());
            assertThat(p.needed()).isGreaterThan(v);
        });
    }

    @Test
    @DisplayName("resin : glass = (1 − ψ)/ψ by weight: at 45 % glass 1.22 (laminate texts); ψ recalled, verify")
    void laminate() {
        ShelfItem resin = TestShop.mix("resin", "laminating-resin", 20, new LabelTime(21, 120));
        Portion p = Portions.laminate("face", "Resin", resin, 1e5, 300, 0, new Pace(20, 20, 0));
        assertThat(figure(p, "Cloth")).isCloseTo(30, within(0.01));
        assertThat(figure(p, "Resin with hardener")).isCloseTo(Math.ceil(30 * 0.55 / 0.45 * 1.1), within(1e-9));
    }

    @Test
    @DisplayName("bead π/4·d²·L: 217 mm of 6 mm is 6.1 mL (textbook)")
    void beadDropsGelAndCoats() {
        ShelfItem abs = TestShop.item(
                "abs", "solvent-resin", Optional.empty(), List.of(), Optional.empty(), Optional.empty(), null);
        assertThat(figure(Portions.bead("b", "Bead", abs, 217, 6), "On the part"))
                .isCloseTo(6.1, within(0.05));
        Portion drops = Portions.drops("resin", "Resin", abs, 6, List.of(), List.of());
        assertThat(figure(drops, "Drops")).isEqualTo(6);
        assertThat(drops.needed()).isCloseTo(0.18, within(1e-9));
        Portion coats = Portions.coats("c", "Promoter", Portion.Form.SPRAYED, abs, 50_000, 2, "coat.promoter");
        assertThat(figure(coats, "On the part")).isCloseTo(6, within(1e-9));
        // Of an aerosol 0.4 arrives, of a low-pressure gun 0.65 (value from memory of the trade).
        assertThat(coats.needed()).isEqualTo(15);
        assertThat(coats.notes()).hasSize(1);
        ShelfItem primer = TestShop.mix("primer", "epoxy-primer", 60, new LabelTime(21, 90));
        assertThat(figure(
                        Portions.coats("c", "P", Portion.Form.SPRAYED, primer, 50_000, 2, "coat.promoter"), "To spray"))
                .isCloseTo(9.2, within(0.05));
        assertThat(Portions.coats("c", "C", Portion.Form.BRUSHED, abs, 50_000, 2, "coat.promoter")
                        .needed())
                .isEqualTo(6);
        assertThat(Portions.gel("g", "Gel", abs, 0.001).needed()).isEqualTo(0.1);
    }

    @Test
    void shoppingTakesTheLotThatExpiresFirstNext() {
        ShelfItem mine = TestShop.mix("a", "face-adhesive", 5, new LabelTime(21, 15));
        ShelfItem later = TestShop.expiring(
                TestShop.mix("b", "face-adhesive", 5, new LabelTime(21, 15)), TestShop.TODAY.plusDays(200));
        ShelfItem sooner = TestShop.expiring(
                TestShop.mix("c", "face-adhesive", 5, new LabelTime(21, 15)), TestShop.TODAY.plusDays(20));
        List<Shopping> enough = Shopping.of(Map.of("a", 20.0), List.of(mine, later, sooner));
        assertThat(enough).singleElement().satisfies(s -> assertThat(s.enough()).isTrue());
        Shopping lacks =
                Shopping.of(Map.of("a", 1500.0), List.of(mine, later, sooner)).getFirst();
        assertThat(lacks.enough()).isFalse();
        assertThat(lacks.said()).isEqualTo("then lot L-c, the next to expire");
        assertThat(Shopping.of(Map.of("a", 1500.0), List.of(mine)).getFirst().said())
                .isEqualTo("buy 500 g more");
    }
}
