package vanemend.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.trade.Check;

@DisplayName("when a shop works: typed, kept and read again, and laid on the clock on its wall")
class HoursTest {
    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final int HOUR = 3_600;

    private static Hours week(String monday) {
        Check check = new Check();
        Hours h = Hours.typed(Map.of(DayOfWeek.MONDAY, monday), check);
        assertThat(check.problems()).isEmpty();
        return h;
    }

    @Test
    void whatIsTypedIsKeptAndReadAgain() {
        Hours h = week("7:30-12:00, 12:30 – 16:30");
        assertThat(h.said(DayOfWeek.MONDAY)).isEqualTo("07:30-12:00 12:30-16:30");
        assertThat(h.said(DayOfWeek.TUESDAY)).isEmpty();
        assertThat(Hours.kept(h.text())).isEqualTo(h);
        assertThat(h.longestBreak()).isEqualTo(HOUR / 2);
        assertThat(Hours.kept("").unsaid()).isTrue();
        assertThat(Hours.kept(week("").text()).unsaid()).isTrue();
        assertThatThrownBy(() -> Hours.kept("MONDAY half eight")).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @CsvSource({
        "'half eight', is not read",
        "'08:00-12:00 and more', is not read",
        "'8-12', is not read",
        "'08:00-25:00', is no time of a day",
        "'08:70-12:00', is no time of a day",
        "'12:00-08:00', ends before it begins",
        "'08:00-08:00', ends before it begins",
        "'08:00-12:00 11:00-15:00', begins before"
    })
    void whatIsWrongIsToldAndThatDayIsOff(String typed, String told) {
        Check check = new Check();
        Hours h = Hours.typed(Map.of(DayOfWeek.FRIDAY, typed), check);
        assertThat(h.unsaid()).isTrue();
        assertThat(check.problems()).singleElement().satisfies(p -> {
            assertThat(p.field()).isEqualTo("hours.FRIDAY");
            assertThat(p.message()).contains(told);
        });
    }

    @Test
    void whatIsPastOfTodayIsLeftOutAndADayOffIsSkipped() {
        Hours h = Hours.kept("MONDAY 08:00-12:00 13:00-17:00; WEDNESDAY 08:00-12:00");
        // A Monday at ten.
        Instant ten = Instant.parse("2026-11-30T10:00:00Z");
        assertThat(h.from(ten, LONDON, 3))
                .containsExactly(new Span(0, 2 * HOUR), new Span(3 * HOUR, 7 * HOUR), new Span(46 * HOUR, 50 * HOUR));
        assertThat(h.from(ten.plusSeconds(7 * HOUR), LONDON, 1)).isEmpty();
    }

    @Test
    @DisplayName("on the night the clocks change a day begins when its people come in, not a day's seconds later")
    void theClocksChange() {
        Hours h = Hours.kept("SATURDAY 08:00-09:00; SUNDAY 08:00-09:00");
        List<Span> spring = h.from(Instant.parse("2027-03-27T08:00:00Z"), LONDON, 2);
        assertThat(spring).containsExactly(new Span(0, HOUR), new Span(23 * HOUR, 24 * HOUR));
        List<Span> autumn = h.from(Instant.parse("2026-10-24T07:00:00Z"), LONDON, 2);
        assertThat(autumn).containsExactly(new Span(0, HOUR), new Span(25 * HOUR, 26 * HOUR));
        // One that the change falls into is as long as it is.
        Hours night = Hours.kept("SUNDAY 00:30-02:30");
        assertThat(night.from(Instant.parse("2027-03-28T00:00:00Z"), LONDON, 1))
                .containsExactly(new Span(HOUR / 2, HOUR + HOUR / 2));
    }
}
