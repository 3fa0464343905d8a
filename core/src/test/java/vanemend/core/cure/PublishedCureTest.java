package vanemend.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.material.ShelfItem.LabelTime;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

@DisplayName("cure: Arrhenius and equivalent age, values from memory of the sources named")
class PublishedCureTest {
    private static final double DEFAULT = TradeBook.value("cure.activation-energy");

    @ParameterizedTest(name = "Ea {0} kJ/mol: rate ratio {1} to {2} °C is {3} (computed table)")
    @CsvSource({
        "33.5,20,30,1.574",
        "40,20,30,1.718",
        "50,20,30,1.967",
        "60,20,30,2.2525",
        "80,20,30,2.953",
        "50,25,35,1.924",
        "50,20,60,11.74",
        "80,20,60,51.46",
        "50,20,10,.485",
        "70,20,10,.363"
    })
    void rateRatios(double kJ, double from, double to, double ratio) {
        assertThat(Arrhenius.rate(kJ * 1000, to, from)).isCloseTo(ratio, within(ratio * 0.002));
    }

    @ParameterizedTest(name = "Ea that doubles the rate {0} to {1} °C: {2} kJ/mol (textbook: 25 to 35 about 53)")
    @CsvSource({"0,10,44.57", "10,20,47.84", "15,25,49.51", "20,30,51.22", "25,35,52.95", "30,40,54.71", "60,70,65.88"})
    void doubling(double from, double to, double kJ) {
        assertThat(Arrhenius.rate(kJ * 1000, to, from)).isCloseTo(2, within(0.001));
    }

    @ParameterizedTest(name = "default of the chemistry: time at {0} °C is {1} of that at 21 °C")
    @CsvSource({"10,2.26", "15,1.55", "30,0.54", "40,0.28"})
    void relativeTimes(double t, double factor) {
        assertThat(Arrhenius.time(DEFAULT, t, 21)).isCloseTo(factor, within(0.006));
    }

    @Test
    @DisplayName(
            "label example: 180 min at 21, 30 at 60, 10 at 82 °C gives 40.6 kJ/mol, back 187, 26.8, 10.8 (least squares)")
    void labelExample() {
        Arrhenius.Fit fit =
                Arrhenius.fit(List.of(new LabelTime(21, 180), new LabelTime(60, 30), new LabelTime(82, 10)));
        assertThat(fit.eaJPerMol() / 1000).isCloseTo(40.6, within(0.05));
        assertThat(fit.minutesAt(21)).isCloseTo(187, within(0.5));
        assertThat(fit.minutesAt(60)).isCloseTo(26.8, within(0.05));
        assertThat(fit.minutesAt(82)).isCloseTo(10.8, within(0.05));
    }

    @Test
    @DisplayName("Atkins, Physical Chemistry: decomposition of acetaldehyde, Ea 188 kJ/mol")
    void acetaldehyde() {
        double[] kelvin = {700, 730, 760, 790, 810, 840, 910, 1000};
        double[] k = {.011, .035, .105, .343, .789, 2.17, 20.0, 145};
        List<LabelTime> times = java.util.stream.IntStream.range(0, k.length)
                .mapToObj(i -> new LabelTime(kelvin[i] - 273.15, 1 / k[i]))
                .toList();
        assertThat(Arrhenius.fit(times).eaJPerMol() / 1000).isCloseTo(188.3, within(0.3));
    }

    @ParameterizedTest(name = "ASTM C1074, Q 5000 K, reference 20 °C: at {0} °C one hour counts {1}")
    @CsvSource({"10,.5475", "15,.7438", "20,1", "25,1.3311", "30,1.7553", "40,2.9723"})
    void equivalentAgeFactors(double t, double factor) {
        assertThat(Arrhenius.rate(5000 * 8.314462618, t, 20)).isCloseTo(factor, within(2e-4));
    }

    @Test
    @DisplayName("ASTM C1074's form: 12 h at 10, 12 h at 20, 24 h at 30 °C is 60.697 h at 20 °C")
    void equivalentAgeProfile() {
        CureLaw law = new CureLaw(20, 60, 5000 * 8.314462618, false, -50, 90, -50, 0);
        double h = 60;
        EquivalentAge age = new EquivalentAge(
                law,
                10,
                List.of(
                        new EquivalentAge.Reading(12 * h, 10),
                        new EquivalentAge.Reading(12 * h + 1e-6, 20),
                        new EquivalentAge.Reading(24 * h, 20),
                        new EquivalentAge.Reading(24 * h + 1e-6, 30),
                        new EquivalentAge.Reading(48 * h, 30)));
        assertThat(age.at(48 * h) / h).isCloseTo(60.697, within(0.01));
    }

    @Test
    void readingsThatComeOutOfOrderCountByTheirTimes() {
        CureLaw law = CureLaw.of(TestShop.mix("f", "body-filler", 5, new LabelTime(21, 18)));
        List<EquivalentAge.Reading> inOrder = List.of(
                new EquivalentAge.Reading(2, 18), new EquivalentAge.Reading(6, 35), new EquivalentAge.Reading(9, 24));
        EquivalentAge mixedUp = new EquivalentAge(law, 21, List.of(inOrder.get(2), inOrder.get(0), inOrder.get(1)));
        assertThat(mixedUp).isEqualTo(new EquivalentAge(law, 21, inOrder));
        assertThat(mixedUp.surfaceC(4)).isCloseTo(18, within(1e-9));
    }

    @Test
    void betweenTwoReadingsTheColderCountsAndTheNewestHolds() {
        CureLaw law = CureLaw.of(TestShop.mix("f", "body-filler", 5, new LabelTime(21, 18)));
        EquivalentAge age = new EquivalentAge(
                law, 21, List.of(new EquivalentAge.Reading(5, 40), new EquivalentAge.Reading(15, 30)));
        assertThat(age.surfaceC(2)).isEqualTo(21);
        assertThat(age.surfaceC(10)).isEqualTo(30);
        assertThat(age.surfaceC(90)).isEqualTo(30);
        assertThat(new EquivalentAge(law, 21, List.of(new EquivalentAge.Reading(5, 15))).surfaceC(2))
                .isEqualTo(15);
    }

    @Test
    void atTheReferenceEquivalentAgeIsTheClock() {
        CureLaw law = CureLaw.of(TestShop.mix("f", "body-filler", 5, new LabelTime(21, 18)));
        EquivalentAge age = new EquivalentAge(law, 21, List.of());
        assertThat(age.at(17.3)).isCloseTo(17.3, within(1e-9));
        assertThat(age.reaches(18).orElseThrow()).isCloseTo(18, within(1e-6));
    }

    @Test
    void warmerIsNeverSlowerAndAgeOnlyGrows() {
        Seeds.forEach(200, (r, i) -> {
            CureLaw law = CureLaw.of(TestShop.mix("f", "body-filler", 5, new LabelTime(21, Seeds.between(r, 10, 40))));
            double t = Seeds.between(r, 10, 45);
            assertThat(law.sandMinAt(t + 1, 1).orElseThrow())
                    .isLessThan(law.sandMinAt(t, 1).orElseThrow());
            double c = Seeds.between(r, 10, 50);
            EquivalentAge cool = new EquivalentAge(law, 15, List.of(new EquivalentAge.Reading(5, c)));
            EquivalentAge warm = new EquivalentAge(law, 15, List.of(new EquivalentAge.Reading(5, c + 2)));
            double m = Seeds.between(r, 1, 40);
            assertThat(warm.at(m)).isGreaterThanOrEqualTo(cool.at(m) - 1e-12);
            assertThat(cool.at(m + 1)).isGreaterThan(cool.at(m));
            double reached = cool.reaches(12).orElseThrow();
            assertThat(cool.at(reached)).isCloseTo(12, within(0.05));
        });
    }

    @Test
    void belowItsMinimumItDoesNotCureAndNoClockIsInvented() {
        CureLaw law = CureLaw.of(TestShop.mix("f", "body-filler", 5, new LabelTime(21, 18)));
        assertThat(law.sandMinAt(9.9, 1)).isEmpty();
        assertThat(law.sandMinAt(10, 1)).isPresent();
        assertThat(DryingRoute.air(law, 5, 1).cures()).isFalse();
        assertThat(Text.plain(DryingRoute.air(law, 5, 1).note())).contains("Does not cure below 10 °C");
        assertThat(new EquivalentAge(law, 5, List.of()).reaches(18)).isEmpty();
        assertThatThrownBy(() -> CureLaw.of(TestShop.item(
                        "x",
                        "body-filler",
                        java.util.Optional.of(5.0),
                        List.of(),
                        java.util.Optional.empty(),
                        java.util.Optional.empty(),
                        null)))
                .hasMessageContaining("no time to sand on its label");
    }

    @Test
    void aboveTheCapHeatBuysNothing() {
        CureLaw law = CureLaw.of(TestShop.mix("f", "body-filler", 5, new LabelTime(21, 18)));
        assertThat(law.worth(70)).isEqualTo(law.worth(50));
    }

    @ParameterizedTest(name = "time constant {0} min: the label's time is reached after {1} min, cold after {2}")
    @CsvSource({"2.7, 5.5, 7.8", "4, 6.3, 9.3", "7.6, 7.8, 11.8"})
    @DisplayName(
            "15 min filler in 21 °C air under a 45 °C lamp: cure counts on the ramp (worked figures, equivalent age of ASTM C1074)")
    void lampRoute(double tau, double reached, double cold) {
        CureLaw law = CureLaw.of(TestShop.mix("f", "body-filler", 5, new LabelTime(21, 15)));
        DryingRoute lamp = DryingRoute.heated(DryingRoute.Kind.LAMP, law, 21, 1, tau, 45);
        assertThat(lamp.rampMin() + lamp.holdMin()).isCloseTo(reached, within(0.05));
        assertThat(lamp.minutes()).isCloseTo(cold, within(0.05));
        assertThat(lamp.minutes()).isCloseTo(lamp.rampMin() + lamp.holdMin() + lamp.coolMin(), within(1e-9));
        assertThat(lamp.peakC()).isLessThanOrEqualTo(50);
        assertThat(DryingRoute.heated(DryingRoute.Kind.LAMP, law, 46, 1, tau, 45)
                        .cures())
                .isFalse();
        DryingRoute slow = DryingRoute.heated(DryingRoute.Kind.LAMP, law, 12, 1, tau, 45);
        assertThat(slow.minutes()).as("colder shop, never sooner").isGreaterThan(lamp.minutes() - lamp.coolMin());
    }

    @Test
    @DisplayName("a heat cure is held as its label prints it, from when the surface is there")
    void aPrintedHoldIsHeld() {
        CureLaw law = CureLaw.of(
                TestShop.mix("epoxy", "rigid-composite-epoxy", 15, new LabelTime(21, 180), new LabelTime(82, 10)));
        DryingRoute lamp = DryingRoute.held(DryingRoute.Kind.LAMP, law, 21, 9, 82, 10);
        assertThat(lamp.holdMin()).isEqualTo(10);
        assertThat(lamp.rampMin()).isCloseTo(9 * Math.log(61), within(1e-9));
    }

    @Test
    @DisplayName("one label point is carried no more than 30 K: hotter counts as that, and colder it says nothing")
    void notCarriedFurther() {
        CureLaw warm = CureLaw.of(TestShop.mix("w", "laminating-resin", 15, new LabelTime(20, 120)));
        assertThat(warm.worth(58)).isEqualTo(warm.worth(50));
        assertThat(warm.worth(50)).isGreaterThan(warm.worth(45));
        CureLaw hot = CureLaw.of(TestShop.mix("h", "rigid-composite-epoxy", 15, new LabelTime(82, 10)));
        assertThat(hot.sandMinAt(21, 1)).isEmpty();
        assertThat(hot.sandMinAt(60, 1)).isPresent();
        assertThat(Text.plain(DryingRoute.air(hot, 21, 1).note())).contains("no time near 21 °C");
    }

    @ParameterizedTest(name = "common practice: {0} % cream is {1}")
    @CsvSource({
        "0,fails",
        "0.99,fails",
        "1,warned",
        "1.49,warned",
        "1.5,honest",
        "2,honest",
        "3,honest",
        "3.01,warned",
        "4,warned",
        "4.01,fails",
        "9,fails"
    })
    void peroxideWindow(double percent, String effect) {
        Peroxide p = Peroxide.of(percent);
        String got = switch (p) {
            case Peroxide.Honest h -> "honest";
            case Peroxide.Warned w -> "warned";
            case Peroxide.Fails f -> "fails";
        };
        assertThat(got).isEqualTo(effect);
        assertThat(p.factorOrNone().isPresent()).isEqualTo(!effect.equals("fails"));
        p.factorOrNone().ifPresent(f -> assertThat(f).isCloseTo(2 / percent, within(1e-12)));
    }
}
