package vanemend.app.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.cure.CureLaw;
import vanemend.core.cure.EquivalentAge;
import vanemend.core.cure.Sun;
import vanemend.core.cure.UvCure;
import vanemend.core.method.Conditions;

@DisplayName("Stand-ins behave as real devices would, and what the core makes of them is right")
class StandInsTest {
    private static final Instant NOON = Instant.parse("2026-11-25T12:00:00Z");
    private static final double GAS_CONSTANT = 8.314462618;

    private static Instant after(double seconds) {
        return NOON.plus(Duration.ofMillis(Math.round(seconds * 1000)));
    }

    private static double only(StandIn s, Instant at) {
        return s.look(at).orElseThrow().getFirst().value();
    }

    /**
     * The model: the panel's exact exponential, integrated by the form of ASTM C1074 in steps of a second, written out here on its own. The core
     * is given only the thermometer's scattered figures, one a minute, of which between two the colder counts: it is never ahead of the panel, and
     * behind it by less than the minute between two looks.
     */
    @ParameterizedTest(name = "air {0} °C, lamp {1} °C, panel {2} min, seed {3}")
    @CsvSource({"21,45,4,1", "15,45,4,2", "18,40,7,3", "24,48,9,4", "12,50,4,5", "21,35,9,6"})
    void aWarmedPanelIsSandedNeverBeforeTheModelAndLessThanAMinuteAfter(
            double airC, double plateauC, double tauMin, long seed) {
        CureLaw law = new CureLaw(21, 25, 51_200, false, 10, 50, -9, 51);
        SurfaceThermometer t = new SurfaceThermometer(seed, NOON, airC);
        t.turn("tau", tauMin, NOON);
        t.turn("plateau", plateauC, NOON);
        t.push("lamp-on", NOON);
        List<EquivalentAge.Reading> readings = new ArrayList<>();
        for (int min = 0; min <= 90; min++) {
            readings.add(new EquivalentAge.Reading(min, only(t, NOON.plus(Duration.ofMinutes(min)))));
        }
        double model = 0;
        double age = 0;
        while (age < 25) {
            double c = plateauC + (airC - plateauC) * Math.exp(-model / tauMin);
            age += Math.exp(-51_200 / GAS_CONSTANT * (1 / (c + 273.15) - 1 / (21 + 273.15))) / 60;
            model += 1.0 / 60;
        }
        double core = new EquivalentAge(law, airC, readings).reaches(25).orElseThrow();
        assertThat(core).isBetween(model, model + 1);
    }

    @Test
    void aScaleSwingsPastSettlesAndOnlyTheSettledFigureIsSteady() {
        Scale scale = new Scale(7, NOON);
        Watch watch = new Watch(scale);
        scale.turn("load", 187.3, NOON);
        double most = 0;
        for (int ms = 100; ms < 1000; ms += 100) {
            Shown s = watch.look(NOON.plusMillis(ms));
            most = Math.max(most, s.figures().getFirst().value());
            assertThat(s.steady()).as("%d ms", ms).isFalse();
        }
        assertThat(most).as("swings past").isGreaterThan(187.3 * 1.05);
        for (int ms = 1000; ms < 4500; ms += 100) {
            watch.look(NOON.plusMillis(ms));
        }
        assertThat(watch.shown().steady()).isTrue();
        assertThat(watch.shown().figures().getFirst().value()).isCloseTo(187.3, within(0.2));
    }

    @Test
    void setToNoughtItShowsOnlyWhatComesOnAfterAndThenCreeps() {
        Scale scale = new Scale(8, NOON);
        scale.turn("load", 180, NOON);
        scale.push("nought", after(10));
        assertThat(only(scale, after(11))).isCloseTo(0, within(0.2));
        scale.turn("load", 183.6, after(20));
        assertThat(only(scale, after(25))).isCloseTo(3.6, within(0.2));
        scale.turn("creep", 0.5, after(26));
        assertThat(only(scale, after(10 + 600))).as("ten minutes later").isCloseTo(3.6 + 5, within(0.3));
    }

    @Test
    void theFilmGaugeScattersAroundTheTruthAndHoldsItsFigureBetweenTouches() {
        FilmGauge gauge = new FilmGauge(9, 58);
        assertThat(gauge.look(NOON).orElseThrow()).as("nothing yet").isEmpty();
        gauge.turn("scatter", 3, NOON);
        double[] read = IntStream.range(0, 400)
                .mapToDouble(i -> {
                    gauge.push("touch", NOON);
                    return only(gauge, after(i));
                })
                .toArray();
        assertThat(DoubleStream.of(read).average().orElseThrow()).isCloseTo(58, within(3 * 3 / Math.sqrt(400)));
        double spread = Math.sqrt(
                DoubleStream.of(read).map(v -> (v - 58) * (v - 58)).average().orElseThrow());
        assertThat(spread).isBetween(2.4, 3.6);
        assertThat(only(gauge, after(900))).isEqualTo(only(gauge, after(1800)));
    }

    /** Winter noon against summer noon as the core's own curve has it: about 4 at this latitude (its source stands with {@link UvCure}). */
    @Test
    void theUvMeterFollowsTheSunOverTheShopAndTheCloudLetsAQuarterThrough() {
        UvMeter meter = new UvMeter(10, () -> new Conditions.Place(55.4, -3.1));
        meter.push("sun", NOON);
        Instant summer = Instant.parse("2026-06-21T12:00:00Z");
        double share = UvCure.relative(Sun.elevationDeg(NOON, 55.4, -3.1))
                / UvCure.relative(Sun.elevationDeg(summer, 55.4, -3.1));
        assertThat(mean(meter, NOON) / mean(meter, summer)).isCloseTo(share, within(0.03 * share + 0.005));
        double clear = mean(meter, summer);
        meter.push("cloud", NOON);
        assertThat(mean(meter, summer) / clear).isCloseTo(0.25, within(0.01));
        meter.push("cover", NOON);
        assertThat(only(meter, summer)).isZero();
        meter.push("sun", NOON);
        assertThat(only(meter, Instant.parse("2026-11-25T23:00:00Z")))
                .as("at night")
                .isZero();
    }

    private static double mean(StandIn s, Instant from) {
        return IntStream.range(0, 200)
                .mapToDouble(i -> only(s, from.plusMillis(250L * i)))
                .average()
                .orElseThrow();
    }

    @Test
    void theAirWandersButStaysNearWhatIsSetAndTheTyreGaugeNearTheInjury() {
        AirMeter air = new AirMeter(11, 12, 80);
        for (int min = 0; min < 120; min++) {
            List<ShownFigure> f = air.look(after(60.0 * min)).orElseThrow();
            assertThat(f.get(0).value()).isCloseTo(12, within(0.6));
            assertThat(f.get(1).value()).isCloseTo(80, within(2.0));
        }
        TyreGauge tyre = new TyreGauge(12, 5, 26);
        for (int i = 0; i < 50; i++) {
            tyre.push("push", NOON);
            List<ShownFigure> f = tyre.look(NOON).orElseThrow();
            assertThat(f.get(0).value()).isCloseTo(5, within(0.5));
            assertThat(f.get(1).value()).isCloseTo(26, within(4.0));
        }
    }

    @Test
    void theSameDriveGivesTheSameFigures() {
        for (int i = 0; i < 40; i++) {
            assertThat(new Scale(5, NOON).look(after(i))).isEqualTo(new Scale(5, NOON).look(after(i)));
        }
    }

    @Test
    void aDeviceThatFallsSilentOrTalksNonsenseKeepsItsLastGoodFigureWithItsTime() {
        SurfaceThermometer t = new SurfaceThermometer(13, NOON, 21);
        Watch watch = new Watch(t);
        assertThat(watch.shown().state()).isEqualTo(Shown.State.SILENT);
        Shown good = watch.look(NOON);
        t.fail(StandIn.Fault.SILENT);
        Shown silent = watch.look(after(12));
        assertThat(silent.state()).isEqualTo(Shown.State.SILENT);
        assertThat(silent.figures()).isEqualTo(good.figures());
        assertThat(silent.at()).contains(NOON);
        assertThat(silent.said()).isEqualTo("Does not answer: type the figure instead.");
        assertThat(silent.steady()).isFalse();
        t.fail(StandIn.Fault.NONSENSE);
        Shown nonsense = watch.look(after(13));
        assertThat(nonsense.state()).isEqualTo(Shown.State.NONSENSE);
        assertThat(nonsense.figures()).isEqualTo(good.figures());
        assertThat(nonsense.said()).contains("Shows Surface ⟦-9999 °C⟧, which cannot be");
        t.fail(StandIn.Fault.NONE);
        Shown back = watch.look(after(14));
        assertThat(back.state()).isEqualTo(Shown.State.LIVE);
        assertThat(back.at()).contains(after(14));
        assertThat(back.steady()).as("not yet: it has only just come back").isFalse();
    }
}
