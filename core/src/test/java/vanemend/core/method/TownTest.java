package vanemend.core.method;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.trade.Check;

@DisplayName("towns: each a place that the shop may lie at, in a zone that there is, on its side of the world")
class TownTest {
    @Test
    void everyTownCanBeTaken() {
        assertThat(Town.all()).hasSizeGreaterThan(250).allSatisfy(t -> {
            Check check = new Check();
            new PlaceDraft(t.latitudeDeg(), t.longitudeDeg()).check(check);
            assertThat(check.clean()).as(t.name()).isTrue();
        });
        assertThat(Town.all()).extracting(Town::name).doesNotHaveDuplicates();
    }

    /** Civil noon is never five hours from the sun's: a sign that was lost or a pair that was turned would show. */
    @Test
    void theZoneFitsTheLongitude() {
        assertThat(Town.all()).allSatisfy(t -> {
            ZonedDateTime noon = LocalDate.of(2026, 1, 15).atTime(12, 0).atZone(ZoneId.of(t.zone()));
            double civil = noon.getOffset().getTotalSeconds() / 3600.0;
            double away = Math.abs(civil - t.longitudeDeg() / 15) % 24;
            assertThat(Math.min(away, 24 - away)).as(t.name()).isLessThan(3.6);
        });
    }

    /** Greenwich observatory is at 51.48° N, 0° E; the table has the middle of its town. */
    @Test
    void londonIsWhereItIs() {
        Town london = Town.all().stream()
                .filter(t -> t.name().equals("London"))
                .findFirst()
                .orElseThrow();
        assertThat(london.latitudeDeg()).isCloseTo(51.48, within(0.1));
        assertThat(london.longitudeDeg()).isCloseTo(0, within(0.2));
    }
}
