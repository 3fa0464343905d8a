package vanemend.app.export;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

@DisplayName("a calendar that another program reads (RFC 5545, read by a general-purpose library)")
class ICalendarTest {
    private static final Instant AT = Instant.parse("2027-03-27T09:00:00Z");

    private static Calendar read(String text) throws Exception {
        return new CalendarBuilder().build(new StringReader(text));
    }

    @Test
    void whatIsWrittenIsReadAgain() throws Exception {
        String name = "Ölwanne; Deckel, links \\ unten, " + "sehr lang ".repeat(20) + "✓🙂".repeat(30);
        String text = ICalendar.of(
                "Day",
                AT,
                List.of(
                        new ICalendar.Event(
                                "7-wash@day", AT.plusMillis(900), AT.plusSeconds(1_800), name, "two\nlines"),
                        new ICalendar.Event("7-sand@day", AT.plusSeconds(3_600), AT.plusSeconds(5_400), "Sand", "")));
        assertThat(text).endsWith("END:VCALENDAR\r\n");
        assertThat(text.split("\r\n"))
                .allSatisfy(l -> assertThat(l.getBytes(StandardCharsets.UTF_8)).hasSizeLessThanOrEqualTo(75));
        Calendar c = read(text);
        assertThat(c.validate().getEntries()).isEmpty();
        List<VEvent> events = c.getComponents("VEVENT");
        assertThat(events).hasSize(2);
        assertThat(events.getFirst().getSummary().getValue()).isEqualTo(name);
        assertThat(events.getFirst().getDescription().getValue()).isEqualTo("two\nlines");
        assertThat(events.getFirst().getUid().orElseThrow().getValue()).isEqualTo("7-wash@day");
        assertThat(Instant.from(events.getLast().getDateTimeStart().getDate())).isEqualTo(AT.plusSeconds(3_600));
        assertThat(events.getLast().getDescription()).isNull();
    }

    @Test
    @DisplayName("on the night clocks change half past eight is half past eight on the wall, both before and after")
    void theClocksChange() throws Exception {
        ZoneId london = ZoneId.of("Europe/London");
        Instant saturday = Instant.parse("2027-03-27T08:30:00Z");
        Instant sunday = Instant.parse("2027-03-28T07:30:00Z");
        Calendar c = read(ICalendar.of(
                "Day",
                AT,
                List.of(
                        new ICalendar.Event("a", saturday, saturday.plusSeconds(600), "A", ""),
                        new ICalendar.Event("b", sunday, sunday.plusSeconds(600), "B", ""))));
        List<VEvent> events = c.getComponents("VEVENT");
        assertThat(events)
                .extracting(e -> Instant.from(e.getDateTimeStart().getDate())
                        .atZone(london)
                        .toLocalTime()
                        .toString())
                .containsExactly("08:30", "08:30");
    }

    @Test
    void withNothingToDoItIsACalendarAllTheSame() throws Exception {
        assertThat((List<?>) read(ICalendar.of("Day", AT, List.of())).getComponents("VEVENT"))
                .isEmpty();
    }
}
