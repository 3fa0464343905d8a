package vanemend.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static vanemend.core.cure.UvCure.School.CAREFUL;
import static vanemend.core.cure.UvCure.School.LABEL;
import static vanemend.core.cure.UvCure.School.MODEL;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.material.ShelfItem.LabelTime;
import vanemend.core.trade.Air;
import vanemend.core.trade.Text;

@DisplayName("cure of every chemistry: sun, moisture, solvent, heat")
class EveryChemistryTest {
    @Test
    @DisplayName(
            "17 Oct 2003 12:30:30 UTC−7 at 39.742476° N, 105.1786° W: zenith 50.128° without refraction (Reda & Andreas, NREL/TP-560-34302)")
    void publishedSunPosition() {
        Instant at = Instant.parse("2003-10-17T19:30:30Z");
        assertThat(90 - Sun.elevationDeg(at, 39.742476, -105.1786)).isCloseTo(50.128, within(0.02));
    }

    @Test
    @DisplayName("noon height 90 − |φ − δ|: 50° N is 63.45° in summer and 16.55° in winter (textbook)")
    void noonHeights() {
        assertThat(Sun.elevationDeg(Instant.parse("2026-06-21T12:02:00Z"), 50, 0))
                .isCloseTo(63.44, within(0.15));
        assertThat(Sun.elevationDeg(Instant.parse("2026-12-21T11:58:00Z"), 50, 0))
                .isCloseTo(16.56, within(0.15));
    }

    @Test
    @DisplayName(
            "solar noon on the equator at the March equinox, 14:46 UTC on 20 March 2026 (published almanac): overhead at 39.6° W, within the day's own quarter degree")
    void equinox() {
        // Solar noon at a longitude west: 14:46 less the equation of time, about 7.4 min behind the clock, is 14:38.6,
        // or 39.6 degrees.
        assertThat(Sun.elevationDeg(Instant.parse("2026-03-20T14:46:00Z"), 0, -39.6))
                .isCloseTo(90, within(0.25));
    }

    @Test
    @DisplayName("on opposite sides of the globe the sun's heights add up to nought")
    void oppositeSides() {
        Seeds.forEach(2000, (r, i) -> {
            Instant at = Instant.ofEpochSecond((long) Seeds.between(r, 1.70e9, 1.95e9));
            double lat = Seeds.between(r, -65, 65);
            double lon = Seeds.between(r, -180, 0);
            // Seen from a shop, not from the middle of the earth: the parallax is 9 seconds of arc.
            assertThat(Sun.elevationDeg(at, lat, lon) + Sun.elevationDeg(at, -lat, lon + 180))
                    .isCloseTo(0, within(0.01));
        });
    }

    @Test
    @DisplayName(
            "UVA goes with sin(h)^1.2: winter noon takes 2.0, 2.4, 3.1, 4.2 times the summer figure at 35, 40, 45, 50° N; cloud four times (recalled)")
    void winterAndCloud() {
        double[][] rows = {{35, 2.0}, {40, 2.4}, {45, 3.1}, {50, 4.2}};
        for (double[] row : rows) {
            double summer = UvCure.sunMin(70, MODEL).orElseThrow();
            double winter = UvCure.sunMin(90 - (row[0] + 23.44), MODEL).orElseThrow();
            assertThat(winter / summer).isCloseTo(row[1], within(0.06));
        }
        assertThat(UvCure.sunMin(70, MODEL).orElseThrow()).isCloseTo(5, within(1e-9));
        assertThat(UvCure.sunMin(85, MODEL).orElseThrow()).isEqualTo(5);
        assertThat(UvCure.cloudMin(70).orElseThrow()).isEqualTo(60);
        assertThat(UvCure.cloudMin(15).orElseThrow() / UvCure.sunMin(15, MODEL).orElseThrow())
                .isCloseTo(4, within(1e-9));
        assertThat(UvCure.sunMin(9.9, MODEL)).isEmpty();
        assertThat(UvCure.relative(0)).isZero();
        Seeds.forEach(500, (r, i) -> {
            double h = Seeds.between(r, 10, 89);
            assertThat(UvCure.sunMin(h, MODEL).orElseThrow()).isBetween(5.0, 60.0);
            assertThat(UvCure.sunMin(h + 0.5, MODEL).orElseThrow())
                    .isLessThanOrEqualTo(UvCure.sunMin(h, MODEL).orElseThrow());
            assertThat(UvCure.sunMin(h, LABEL).orElseThrow())
                    .isBetween(
                            UvCure.sunMin(h, MODEL).orElseThrow(),
                            UvCure.sunMin(h, CAREFUL).orElseThrow());
        });
    }

    @Test
    @DisplayName(
            "by school: 15 min of sun and 60 of cloud at least (careful), 5 in summer and 10 below it (label), common practice")
    void lightBySchool() {
        assertThat(UvCure.sunMin(80, CAREFUL).orElseThrow()).isEqualTo(15);
        assertThat(UvCure.sunMin(80, LABEL).orElseThrow()).isEqualTo(5);
        assertThat(UvCure.sunMin(60, LABEL).orElseThrow()).isEqualTo(10);
        // A low sun lengthens every school alike.
        assertThat(UvCure.sunMin(12, LABEL)).isEqualTo(UvCure.sunMin(12, MODEL));
        assertThat(UvCure.sunMin(12, CAREFUL)).isEqualTo(UvCure.sunMin(12, MODEL));
    }

    @Test
    @DisplayName("cos θ = sin h cos β + cos h sin β cos(az − γ) (textbook solar geometry): the sun over a leaning pane")
    void sunOverAPane() {
        Sun.Place south = new Sun.Place(30, 180);
        assertThat(new Pane(0, 77).heightDeg(south)).isCloseTo(30, within(1e-9));
        // Away from it: 30° of sun on a pane that leans 30° north grazes it; leaning more, it lies in its own shade.
        assertThat(new Pane(30, 0).heightDeg(south)).isCloseTo(0, within(1e-9));
        assertThat(new Pane(60, 0).heightDeg(south)).isCloseTo(-30, within(1e-9));
        // Squarely met, but no more than the sun's own height is counted.
        assertThat(new Pane(60, 180).heightDeg(south)).isEqualTo(30);
        Seeds.forEach(500, (r, i) -> {
            Sun.Place sun = new Sun.Place(Seeds.between(r, -20, 90), Seeds.between(r, 0, 360));
            Pane pane = new Pane(Seeds.between(r, 0, 90), Seeds.between(r, 0, 360));
            assertThat(pane.heightDeg(sun)).isLessThanOrEqualTo(sun.elevationDeg());
            assertThat(new Pane(pane.slopeDeg(), pane.facesDeg() + 360).heightDeg(sun))
                    .isCloseTo(pane.heightDeg(sun), within(1e-6));
        });
    }

    @Test
    void moistureEatsInWithTheRootOfTimeSlowerInDryColdAir() {
        MoistureCure m = new MoistureCure(3);
        Air label = new Air(23, 50);
        assertThat(m.depthMm(1440, label)).isCloseTo(3, within(1e-9));
        assertThat(m.depthMm(4 * 1440, label)).isCloseTo(6, within(1e-9));
        assertThat(MoistureCure.skinMin(90, label)).isCloseTo(90, within(1e-9));
        // Water in saturated air, published tables: 30.4 g/m³ at 30 °C, 20.6 at 23 °C; 0.8 and 0.5 of it.
        assertThat(MoistureCure.skinMin(90, new Air(30, 80))).isCloseTo(90 * (0.5 * 20.6) / (0.8 * 30.4), within(0.3));
        Seeds.forEach(500, (r, i) -> {
            double c = Seeds.between(r, 5, 30);
            double rh = Seeds.between(r, 20, 90);
            Air air = new Air(c, rh);
            double min = Seeds.between(r, 60, 6000);
            double depth = m.depthMm(min, air);
            assertThat(m.minutes(depth, air)).isCloseTo(min, within(min * 1e-9));
            assertThat(m.depthMm(min, new Air(c + 2, rh))).isGreaterThan(depth);
            assertThat(m.depthMm(min, new Air(c, rh + 5))).isGreaterThan(depth);
            assertThat(m.depthMm(min + 60, air)).isGreaterThan(depth);
        });
    }

    @Test
    @DisplayName("solvent resin: 4 h and 24 h for a 6 mm bead (label), thickness counts squared")
    void solvent() {
        assertThat(SolventCure.minutes(240, 6, 1)).isEqualTo(240);
        assertThat(SolventCure.minutes(240, 12, 1)).isEqualTo(960);
        assertThat(SolventCure.minutes(1440, 3, 1)).isEqualTo(360);
        assertThat(SolventCure.minutes(240, 6, 1.4)).isCloseTo(336, within(1e-9));
        assertThat(SolventCure.minutes(240, 6, 0.7)).isEqualTo(240);
    }

    @Test
    @DisplayName(
            "180 min at 21 °C, 30 at 60, 10 at 82 fit one activation energy of 40.6 kJ/mol; back-predicted 187, 26.8, 10.8 (common practice)")
    void threePointsOfACompositeEpoxy() {
        Arrhenius.Fit fit =
                Arrhenius.fit(List.of(new LabelTime(21, 180), new LabelTime(60, 30), new LabelTime(82, 10)));
        assertThat(fit.eaJPerMol() / 1000).isCloseTo(40.6, within(0.1));
        assertThat(fit.minutesAt(21)).isCloseTo(187.0, within(1.0));
        assertThat(fit.minutesAt(60)).isCloseTo(26.8, within(0.2));
        assertThat(fit.minutesAt(82)).isCloseTo(10.8, within(0.1));
    }

    @Test
    void aHotterHoldIsShorterAndBelowTheMinimumNothingCures() {
        CureLaw law = CureLaw.of(TestShop.mix(
                "epoxy",
                "rigid-composite-epoxy",
                15,
                new LabelTime(21, 180),
                new LabelTime(60, 30),
                new LabelTime(82, 10)));
        DryingRoute oven = DryingRoute.heated(DryingRoute.Kind.OVEN, law, 18, 1, 9, 60);
        DryingRoute lamp = DryingRoute.heated(DryingRoute.Kind.LAMP, law, 18, 1, 9, 82);
        assertThat(lamp.holdMin()).isLessThan(oven.holdMin());
        assertThat(oven.minutes()).isCloseTo(oven.rampMin() + oven.holdMin() + oven.coolMin(), within(1e-9));
        assertThat(Text.plain(oven.note())).contains("60 °C").contains("90 °C");
        assertThat(DryingRoute.air(law, 9, 1).cures()).isFalse();
        assertThat(Text.plain(DryingRoute.air(law, 9, 1).note())).contains("Does not cure below 10 °C");
        assertThat(DryingRoute.still(DryingRoute.Kind.SUN, Double.NaN, 9, "too low")
                        .cures())
                .isFalse();
    }
}
