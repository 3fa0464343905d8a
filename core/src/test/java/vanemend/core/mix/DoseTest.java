package vanemend.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.material.MaterialClass.Surface;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.ShelfItem.LabelTime;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;

class DoseTest {
    private static final ShelfItem FILLER = TestShop.mix("filler", "body-filler", 5, new LabelTime(21, 18));

    @ParameterizedTest(name = "common practice, 50 to 1 by weight: {0} g filler takes {1} g cream")
    @CsvSource({"50,1.0", "100,2.0", "250,5.0", "44.6,0.9"})
    void fiftyToOne(double filler, double cream) {
        assertThat(Dose.creamG(filler, 2)).isEqualTo(cream);
    }

    @Test
    void creamIsNeverBelowWhatAScaleCanShow() {
        assertThat(Dose.creamG(1, 2)).isEqualTo(0.1);
        assertThatThrownBy(() -> Dose.percent(0, 1)).hasMessageContaining("more than 0 g");
    }

    @ParameterizedTest(name = "common practice, bead and puddle: puddle {0} mm, bead {1} mm is {2} %")
    @CsvSource({"100,100,2.0", "50,25,2.0", "80,64,2.0", "100,50,1.0", "50,50,4.0"})
    void beadAcrossThePuddle(double puddle, double bead, double percent) {
        assertThat(BeadRule.percent(puddle, bead)).isCloseTo(percent, within(1e-9));
        assertThat(BeadRule.beadMm(puddle, percent)).isCloseTo(bead, within(1e-9));
    }

    @Test
    @DisplayName(
            "a ribbon of half the puddle gives 1 % on 100 mm and less than 1 % beyond: the rule of thumb is told what it gives")
    void ribbonRule() {
        HouseRules ribbon = HouseRules.defaults().with("peroxide-dose", "ribbon-half");
        assertThat(Dose.housePercent(ribbon, 100)).isCloseTo(1, within(1e-9));
        assertThat(Dose.housePercent(ribbon, 120)).isLessThan(1);
        assertThat(Dose.housePercent(HouseRules.defaults(), 120)).isEqualTo(2);
        assertThat(Dose.housePercent(HouseRules.defaults().with("peroxide-dose", "two-to-three"), 70))
                .isEqualTo(2.5);
    }

    @Test
    void impossibleBeadsAreRefused() {
        assertThatThrownBy(() -> BeadRule.percent(0, 10)).hasMessageContaining("puddle above 0 mm");
        assertThatThrownBy(() -> BeadRule.percent(80, -1)).hasMessageContaining("bead of 0 mm or more");
    }

    @ParameterizedTest(name = "strokes of a 120 mm spreader over {0} mm with one third overlap: {1}")
    @CsvSource({"60,1", "120,1", "121,2", "200,2", "201,3", "280,3"})
    void strokes(double zone, int strokes) {
        assertThat(Strokes.count(zone, 120, 1.0 / 3)).isEqualTo(strokes);
    }

    @ParameterizedTest(name = "{0} mm in lifts of 2 mm: {1}")
    @CsvSource({"0.5,1", "2,1", "2.01,2", "4,2", "6,3"})
    void lifts(double depth, int lifts) {
        assertThat(Dose.lifts(depth, 2)).isEqualTo(lifts);
    }

    @Test
    void volumesAddUpAndGrowWithEachCause() {
        Seeds.forEach(300, (r, i) -> {
            double hollow = Seeds.between(r, 100, 60_000);
            double damage = Seeds.between(r, 500, 30_000);
            double face = damage * Seeds.between(r, 1.1, 2);
            FillVolume v = FillVolume.of(hollow, damage, face, 0.05, 0.8, 0.2, 0.1);
            assertThat(v.totalMl())
                    .isCloseTo((v.hollowMl() + v.coatsMl() + v.proudMl() + v.skimMl()) * 1.1, within(1e-9));
            assertThat(FillVolume.of(hollow * 1.2, damage, face, 0.05, 0.8, 0.2, 0.1)
                            .totalMl())
                    .isGreaterThan(v.totalMl());
            assertThat(FillVolume.of(hollow, damage, face, 0.05, 1.0, 0.2, 0.1).totalMl())
                    .isGreaterThan(v.totalMl());
            assertThat(FillVolume.of(hollow, damage, face, 0.05, 0.8, 0.2, 0.2).totalMl())
                    .isGreaterThan(v.totalMl());
        });
    }

    @Test
    void batchesFitTheWindowAndHoldTheWholeVolume() {
        Seeds.forEach(300, (r, i) -> {
            FillVolume v = FillVolume.of(Seeds.between(r, 1000, 200_000), 9000, 14_000, 0.05, 0.8, 0.2, 0.1);
            double work = Seeds.between(r, 2.5, 12);
            Pour p = Dose.pour(
                    Tin.of(FILLER), v, 3, 140, work, 2, 20, v.again(1, FillVolume.Round.overAll(0, 0)), 1, 0, 120);
            if (p.batches() < 12) {
                assertThat(p.spreadMin() + p.mixMin()).isLessThanOrEqualTo(p.onPartByMin() + 1e-9);
                assertThat(p.onPartByMin()).isCloseTo(0.8 * work, within(1e-9));
                double mixedMl = p.batches() * (p.fillerG() + p.fillerG() * 0.02) / FILLER.density();
                assertThat(mixedMl).isGreaterThanOrEqualTo(v.totalMl() * 0.999);
            } else {
                assertThat(p.notes().getFirst()).contains("slower grade");
            }
        });
    }

    @Test
    void oneMixThatCannotBeSpreadInTimeIsSplitAndSaidSo() {
        FillVolume big = FillVolume.of(150_000, 20_000, 26_000, 0.05, 0.8, 0.2, 0.1);
        Pour p = Dose.pour(
                Tin.of(FILLER), big, 4, 200, 5, 2, 20, big.again(1, FillVolume.Round.overAll(0, 0)), 1, 0, 120);
        assertThat(p.batches()).isGreaterThan(1);
        assertThat(p.notes()).anySatisfy(n -> assertThat(n).contains(p.batches() + " equal batches"));
    }

    @Test
    void creamFollowsWhatWasWeighed() {
        FillVolume v = FillVolume.of(9000, 9000, 14_000, 0.05, 0.8, 0.2, 0.1);
        Pour p = Dose.pour(Tin.of(FILLER), v, 2, 140, 5, 2, 20, v.again(1, FillVolume.Round.overAll(0, 0)), 1, 0, 120);
        assertThat(p.creamFor(p.fillerG())).isEqualTo(p.creamG());
        assertThat(p.creamFor(100)).isEqualTo(2.0);
    }

    @Test
    void oneMoreRoundTakesItsCoatAndTheHollowThatIsLeft() {
        Seeds.forEach(300, (r, i) -> {
            double deep = Seeds.between(r, 0.5, 5);
            FillVolume v = FillVolume.of(deep * Seeds.between(r, 2000, 20_000), 9000, 14_000, 0.05, 0.8, 0.2, 0.1);
            Again ml = v.again(v.hollowMl() / deep, FillVolume.Round.overAll(0, 0));
            // The whole hollow once more is everything but the coats that came off.
            double all = (v.hollowMl() + v.proudMl() + v.skimMl()) * 1.1;
            assertThat(ml.amount(deep)).isBetween(all - 1e-9, all + 1);
            assertThat(ml.amount(0)).isLessThan(ml.amount(deep));
            Pour p = Dose.pour(Tin.of(FILLER), v, deep, 140, 8, 2, 20, ml, 1, 0, 120);
            Again g = p.again().orElseThrow();
            double d = Seeds.between(r, 0, deep);
            assertThat(g.amount(d)).isBetween(20.0, Math.max(20, p.fillerG() * p.batches()));
            assertThat(g.amount(d)).isLessThanOrEqualTo(g.amount(d + 0.3));
            double capacityG = 20 * (p.onPartByMin() - p.mixMin()) * FILLER.density();
            assertThat(g.amount(25) * 1.02).isLessThanOrEqualTo(Math.max(20.4, capacityG + 1e-9));
        });
    }

    @Test
    void aHollowThatNeedsMoreThanOneMixIsSaidToTakeRounds() {
        Again a = new Again(20, 30, 0, 30, 80);
        assertThat(a.amount(0)).isEqualTo(30);
        assertThat(a.amount(1)).isEqualTo(50);
        assertThat(a.amount(2)).isEqualTo(80);
        assertThat(a.amount(3)).isEqualTo(80);
        assertThat(a.inRounds(2, OptionalDouble.empty())).isFalse();
        assertThat(a.inRounds(2.1, OptionalDouble.empty())).isTrue();
    }

    @Test
    @DisplayName(
            "a spot takes no more than the cylinder over it holds (geometry), and never more than the whole hollow")
    void aSpotTakesWhatItHolds() {
        Again a = new Again(4, 30, 1.5, 0, 500);
        // 40 mm across, 2 mm deep: pi / 4 · 40² · 2 / 1000 = 2.513 mL, of 1.5 g a mL
        assertThat(a.amount(2, OptionalDouble.of(40))).isEqualTo(Math.ceil(4 + 2.513 * 1.5));
        assertThat(a.amount(2, OptionalDouble.of(400))).isEqualTo(a.amount(2)).isEqualTo(64);
        Seeds.forEach(200, (r, i) -> {
            double deep = Seeds.between(r, 0, 6);
            double across = Seeds.between(r, 5, 300);
            assertThat(a.amount(deep, OptionalDouble.of(across)))
                    .isBetween(a.amount(0), a.amount(deep))
                    .isLessThanOrEqualTo(a.amount(deep, OptionalDouble.of(across + 5)));
        });
    }

    /** Common practice: a fist of filler on a dent of a hand's width, laid, and board and spreader clean again. */
    @Test
    void twentyMillilitresTakeHandsThreeToFourMinutes() {
        double min = 20 / TradeBook.value("spread.rate") + TradeBook.value("minutes.clean-up");
        assertThat(min).isBetween(3.0, 4.0);
    }

    @ParameterizedTest(name = "label {0} %, {1} times as long: {2} %")
    @CsvSource({"2, 1, 2", "2, 1.13, 2.3", "2, 3, 2.5", "2, 0.9, 1.8", "2, 0.4, 1.5", "1.5, 1.2, 1.8"})
    @DisplayName("by the air: up to 2.5 % when cold, down to 1.5 % when hot (common practice)")
    void byTheAir(double label, double times, double percent) {
        assertThat(Dose.byAir(label, times)).isEqualTo(percent);
    }

    @Test
    @DisplayName(
            "by the air the work time of a mix stays nearer to its label's than with 2 % always, colder and warmer")
    void byTheAirKeepsTheWorkTime() {
        HouseRules always = HouseRules.defaults();
        HouseRules byAir = always.with("peroxide-dose", "by-air");
        for (double airC : new double[] {16, 19, 24, 27}) {
            double fixed = work(airC, always);
            double follows = work(airC, byAir);
            assertThat(Math.abs(follows - 5)).as(airC + " °C").isLessThan(Math.abs(fixed - 5));
        }
        assertThat(work(21, byAir)).isEqualTo(work(21, always));
    }

    /** Minutes that a filler of 5 min at 21 °C stays workable. */
    private static double work(double airC, HouseRules house) {
        return TestShop.workup(TestShop.usual(), TestShop.shop(airC, house, TestShop.shelf()))
                .plan()
                .orElseThrow()
                .mixes()
                .getFirst()
                .pour()
                .workMin();
    }

    @Test
    @DisplayName(
            "filler with a quarter putty (common practice): weights add up, volumes add up, and of two labels the stricter counts")
    void thinned() {
        ShelfItem putty = TestShop.mix("putty", "finishing-putty", 3, new LabelTime(21, 25));
        Tin tin = Tin.thinned(FILLER, Optional.of(putty), Surface.SANDED_COAT);
        assertThat(tin.note()).isEmpty();
        // By hand: 100 g are 75 g at 1.8 and 25 g at 1.7 g/mL, 41.667 + 14.706 = 56.373 mL.
        assertThat(tin.density()).isCloseTo(100 / 56.373, within(1e-4));
        assertThat(tin.labelWorkMin()).isEqualTo(3);
        assertThat(tin.maxLiftMm()).isEqualTo(putty.typical("maxLiftMm"));
        assertThat(tin.both()).containsExactly(FILLER, putty);
        FillVolume v = FillVolume.of(10_000, 5000, 8000, 0, 0.8, 0.2, 0.1);
        Pour both = Dose.pour(tin, v, 3, 140, 3, 2, 20, v.again(1, FillVolume.Round.overAll(0, 0)), 1, 0, 120);
        assertThat(both.fillerG() * both.batches())
                .isCloseTo(v.totalMl() * tin.density() / 1.02, within((double) both.batches()));
        assertThat(both.thinner().orElseThrow().of(100)).isEqualTo(25);
        assertThat(both.creamG()).isEqualTo(Dose.creamG(both.fillerG(), 2));
        assertThat(both.lifts()).isEqualTo(3);
    }

    @Test
    @DisplayName(
            "what does not cure with the same cream, or does not hold on what lies beneath, is not stirred in, and that is said")
    void notThinned() {
        ShelfItem epoxy = TestShop.mix("cream", "finishing-cream", 5, new LabelTime(21, 60));
        ShelfItem putty = TestShop.mix("putty", "finishing-putty", 3, new LabelTime(21, 25));
        for (Tin t : List.of(
                Tin.thinned(FILLER, Optional.of(epoxy), Surface.SANDED_COAT),
                Tin.thinned(FILLER, Optional.of(putty), Surface.POLYOLEFIN),
                Tin.thinned(FILLER, Optional.empty(), Surface.STEEL))) {
            assertThat(t.putty()).isEmpty();
            assertThat(t.note()).startsWith("Not thinned: ");
            assertThat(t.density()).isEqualTo(FILLER.density());
        }
    }
}
