package vanemend.app.export;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;

/**
 * A calendar as other programs read it (RFC 5545). Times are instants in UTC: no table of time zones goes with it, and a night when clocks
 * change shifts nothing.
 */
public final class ICalendar {
    /** Longest line without its end, octets: RFC 5545, 3.1. */
    private static final int MOST_OCTETS = 75;

    private static final DateTimeFormatter AT =
            DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss'Z'").withZone(ZoneOffset.UTC);

    /**
     * What is done when.
     *
     * @param id its own among all, the same whenever it is written again
     * @param summary in one line
     * @param told more of it; may be empty
     */
    public record Event(String id, Instant from, Instant to, String summary, String told) {}

    private final StringBuilder out = new StringBuilder();

    private ICalendar() {}

    /** {@code events} as a calendar called {@code name}, written {@code at}. */
    public static String of(String name, Instant at, List<Event> events) {
        ICalendar c = new ICalendar();
        c.line("BEGIN", "VCALENDAR");
        c.line("VERSION", "2.0");
        c.line("PRODID", "-//Vane Mend//Day//EN");
        c.line("CALSCALE", "GREGORIAN");
        c.line("NAME", text(name));
        for (Event e : events) {
            c.line("BEGIN", "VEVENT");
            c.line("UID", text(e.id()));
            c.line("DTSTAMP", AT.format(at));
            c.line("DTSTART", AT.format(whole(e.from())));
            c.line("DTEND", AT.format(whole(e.to())));
            c.line("SUMMARY", text(e.summary()));
            if (!e.told().isEmpty()) {
                c.line("DESCRIPTION", text(e.told()));
            }
            c.line("END", "VEVENT");
        }
        c.line("END", "VCALENDAR");
        return c.out.toString();
    }

    private static Instant whole(Instant at) {
        return at.truncatedTo(ChronoUnit.SECONDS);
    }

    private static String text(String s) {
        return s.replace("\\", "\\\\")
                .replace(";", "\\;")
                .replace(",", "\\,")
                .replace("\r\n", "\\n")
                .replace("\n", "\\n");
    }

    /** Folded where it is longer than a line may be, never within a character. */
    private void line(String name, String value) {
        int octets = 0;
        for (int c : (name + ":" + value).codePoints().toArray()) {
            String letter = Character.toString(c);
            int more = letter.getBytes(StandardCharsets.UTF_8).length;
            if (octets + more > MOST_OCTETS) {
                out.append("\r\n ");
                octets = 1;
            }
            out.append(letter);
            octets += more;
        }
        out.append("\r\n");
    }
}
