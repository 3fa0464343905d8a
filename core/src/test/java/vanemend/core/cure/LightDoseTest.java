package vanemend.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.cure.LightDose.Reading;

@DisplayName("light on a UV resin: irradiance × time, by the sun of the hour and by what the meter shows")
class LightDoseTest {
    private static final Instant JUNE_NOON = Instant.parse("2026-06-21T12:02:00Z");
    private static final Instant DECEMBER_NOON = Instant.parse("2026-12-21T11:58:00Z");

    /** 50° north on the noon line: the sun stands 90 − 50 ± 23.44 high at the solstices (textbook). */
    private static final Daylight JUNE = new Daylight(50, 0, 63.44, Optional.empty());

    private static final Daylight DECEMBER = new Daylight(50, 0, 16.56, Optional.empty());

    private static LightDose sun(double min, Instant began, Daylight planned, Reading... readings) {
        return new LightDose(min, began, Optional.of(planned), List.of(readings));
    }

    private static LightDose lamp(double min, Reading... readings) {
        return new LightDose(min, JUNE_NOON, Optional.empty(), List.of(readings));
    }

    @Test
    void atThePlannedHourItTakesThePlannedMinutes() {
        assertThat(sun(5.6, JUNE_NOON, JUNE).reached().orElseThrow()).isCloseTo(5.6, within(0.05));
        assertThat(sun(21, DECEMBER_NOON, DECEMBER).reached().orElseThrow()).isCloseTo(21, within(0.3));
    }

    @Test
    @DisplayName(
            "planned on a summer noon, lit at a winter noon: longer as (sin 63.44° / sin 16.56°)^1.2 = 3.95 says (textbook heights)")
    void anotherHourThanPlanned() {
        double longer = Math.pow(Math.sin(Math.toRadians(63.44)) / Math.sin(Math.toRadians(16.56)), 1.2);
        assertThat(sun(5.6, DECEMBER_NOON, JUNE).reached().orElseThrow() / 5.6)
                .isCloseTo(longer, within(0.03 * longer));
        assertThat(sun(21, JUNE_NOON, DECEMBER).reached().orElseThrow())
                .as("more light than planned does not shorten it")
                .isEqualTo(21);
    }

    @Test
    void byNightNothingSetsAndAtDuskTheSunGoesFirst() {
        assertThat(sun(5, Instant.parse("2026-06-21T23:30:00Z"), JUNE).reached())
                .isEmpty();
        assertThat(sun(5, Instant.parse("2026-06-21T23:30:00Z"), JUNE).dose(60)).isZero();
        // At 50° north the sun of midsummer sets at 20:13 (value from memory of an almanac).
        // It goes under 10° more than an hour before.
        LightDose dusk = sun(60, Instant.parse("2026-06-21T18:30:00Z"), JUNE);
        assertThat(dusk.reached()).isEmpty();
        assertThat(dusk.dose(200)).isBetween(1.0, 15.0);
    }

    @Test
    @DisplayName(
            "the first look at the meter is held against the sun it was taken in: half the planned light counts half")
    void aReadingInAnotherSun() {
        Instant evening = Instant.parse("2026-06-21T17:30:00Z");
        double share = JUNE.share(evening);
        assertThat(share).isBetween(0.2, 0.5);
        LightDose read = sun(5, evening, JUNE, new Reading(0, 12));
        assertThat(read.share(0)).isCloseTo(share, within(0.01));
        assertThat(read.reached().orElseThrow()).isGreaterThan(5 / share);
        assertThat(sun(5, Instant.parse("2026-06-21T23:30:00Z"), JUNE, new Reading(0, 12))
                        .reached()
                        .orElseThrow())
                .as("a lamp by night counts as the lowest sun until the lamp's own minutes are planned")
                .isCloseTo(5 / JUNE.least(), within(0.01));
    }

    @Test
    void underALampTheFirstLightReadStandsForThePlan() {
        assertThat(lamp(10).reached()).hasValue(10);
        assertThat(lamp(10).followed()).isFalse();
        assertThat(lamp(10, new Reading(1, 40)).reached().orElseThrow()).isCloseTo(10, within(1e-6));
        assertThat(lamp(10, new Reading(0, 40), new Reading(4, 10)).reached().orElseThrow())
                .isCloseTo(4 + 6 * 4, within(1e-6));
        assertThat(lamp(10, new Reading(0, 0)).reached()).as("cap on").isEmpty();
        assertThat(lamp(10, new Reading(0, 0), new Reading(3, 40)).reached().orElseThrow())
                .as("cap off after three minutes")
                .isCloseTo(13, within(1e-6));
    }

    @Test
    void doseGrowsNeverFasterThanTimeAndLessLightNeverEndsSooner() {
        Seeds.forEach(150, (r, n) -> {
            Instant began = JUNE_NOON.plus(Duration.ofMinutes((long) Seeds.between(r, -400, 400)));
            Optional<Daylight> sun = n % 2 == 0 ? Optional.of(r.nextBoolean() ? JUNE : DECEMBER) : Optional.empty();
            List<Reading> bright = new ArrayList<>();
            List<Reading> dim = new ArrayList<>();
            double at = 0;
            for (int i = 0; i < n % 5; i++) {
                at += Seeds.between(r, 0.1, 4);
                double uv = Seeds.between(r, 0.5, 60);
                bright.add(new Reading(at, uv));
                dim.add(new Reading(at, i == 0 ? uv : uv * 0.6));
            }
            LightDose d = new LightDose(12, began, sun, bright);
            double before = 0;
            for (double min = 0.7; min < 30; min += 1.3) {
                double now = d.dose(min);
                assertThat(now).isBetween(before, min + 1e-9);
                assertThat(d.share(min)).isBetween(0.0, 1.0);
                before = now;
            }
            d.reached().ifPresent(end -> {
                assertThat(end).isGreaterThanOrEqualTo(12 - 1e-6);
                assertThat(d.dose(end))
                        .as("light is taken as even over a quarter of a minute")
                        .isCloseTo(12, within(1e-3));
            });
            new LightDose(12, began, sun, dim)
                    .reached()
                    .ifPresent(later ->
                            assertThat(later).isGreaterThanOrEqualTo(d.reached().orElseThrow() - 1e-6));
        });
    }
}
