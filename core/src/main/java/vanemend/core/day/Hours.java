package vanemend.core.day;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import vanemend.core.trade.Check;

/**
 * When a shop works, week after week: what is typed by it, never assumed.
 *
 * @param days the stretches of each weekday, in order, breaks between them; a weekday without any is a day off
 */
public record Hours(Map<DayOfWeek, List<Stretch>> days) {
    private static final Pattern STRETCH = Pattern.compile("(\\d{1,2}):(\\d{2})\\s*[-–]\\s*(\\d{1,2}):(\\d{2})");
    private static final String EXPECTED = "stretches such as 07:30-12:00 12:30-16:30, or nothing for a day off";

    public Hours {
        Map<DayOfWeek, List<Stretch>> own = new EnumMap<>(DayOfWeek.class);
        days.forEach((d, s) -> own.put(d, List.copyOf(s)));
        own.values().removeIf(List::isEmpty);
        days = Collections.unmodifiableMap(own);
    }

    /** Work without a break, by the shop's clock. */
    public record Stretch(LocalTime from, LocalTime to) {
        @Override
        public String toString() {
            return from + "-" + to;
        }
    }

    /** What was typed for each weekday; what is wrong goes to {@code check}, and that day is off. */
    public static Hours typed(Map<DayOfWeek, String> typed, Check check) {
        Map<DayOfWeek, List<Stretch>> out = new EnumMap<>(DayOfWeek.class);
        typed.forEach((d, text) -> out.put(d, stretches(d, text == null ? "" : text.strip(), check)));
        return new Hours(out);
    }

    private static List<Stretch> stretches(DayOfWeek day, String text, Check check) {
        String field = "hours." + day;
        List<Stretch> out = new ArrayList<>();
        Matcher m = STRETCH.matcher(text);
        int read = 0;
        while (m.find()) {
            if (!text.substring(read, m.start()).isBlank()
                    && !text.substring(read, m.start()).strip().equals(",")) {
                break;
            }
            read = m.end();
            List<Integer> at = List.of(1, 2, 3, 4).stream()
                    .map(g -> Integer.valueOf(m.group(g)))
                    .toList();
            if (at.get(0) > 23 || at.get(2) > 23 || at.get(1) > 59 || at.get(3) > 59) {
                check.refuse(field, text, EXPECTED, m.group() + " is no time of a day.");
                return List.of();
            }
            Stretch s = new Stretch(LocalTime.of(at.get(0), at.get(1)), LocalTime.of(at.get(2), at.get(3)));
            if (!s.from().isBefore(s.to())) {
                check.refuse(field, text, EXPECTED, s + " ends before it begins.");
                return List.of();
            }
            if (!out.isEmpty() && s.from().isBefore(out.getLast().to())) {
                check.refuse(field, text, EXPECTED, s + " begins before " + out.getLast() + " is over.");
                return List.of();
            }
            out.add(s);
        }
        if (!text.substring(read).isBlank()) {
            check.refuse(field, text, EXPECTED, "“" + text.substring(read).strip() + "” is not read.");
            return List.of();
        }
        return out;
    }

    /** What would be typed for {@code day}; empty for a day off. */
    public String said(DayOfWeek day) {
        return days.getOrDefault(day, List.of()).stream().map(Stretch::toString).collect(Collectors.joining(" "));
    }

    /** Whether nobody said yet when the shop works. */
    public boolean unsaid() {
        return days.isEmpty();
    }

    /** The longest break within a day, s; 0 where there is none. */
    public int longestBreak() {
        int most = 0;
        for (List<Stretch> day : days.values()) {
            for (int i = 1; i < day.size(); i++) {
                most = Math.max(most, (int) ChronoUnit.SECONDS.between(
                        day.get(i - 1).to(), day.get(i).from()));
            }
        }
        return most;
    }

    /**
     * The stretches of the next {@code some} days from {@code now} on, s from then: by the clock on the wall, so that on the night the clocks
     * change a stretch stays where the shop's people come in. What is past is left out.
     */
    public List<Span> from(Instant now, ZoneId zone, int some) {
        List<Span> out = new ArrayList<>();
        LocalDate today = LocalDate.ofInstant(now, zone);
        for (int d = 0; d < some; d++) {
            LocalDate date = today.plusDays(d);
            for (Stretch s : days.getOrDefault(date.getDayOfWeek(), List.of())) {
                int from = seconds(now, date, s.from(), zone);
                int to = seconds(now, date, s.to(), zone);
                if (to > 0) {
                    out.add(new Span(Math.max(0, from), to));
                }
            }
        }
        return out;
    }

    /** When the shop opens on {@code date}; empty on a day off. */
    public Optional<Instant> opens(LocalDate date, ZoneId zone) {
        return days.getOrDefault(date.getDayOfWeek(), List.of()).stream()
                .findFirst()
                .map(s -> date.atTime(s.from()).atZone(zone).toInstant());
    }

    private static int seconds(Instant now, LocalDate date, LocalTime at, ZoneId zone) {
        return (int) ChronoUnit.SECONDS.between(now, date.atTime(at).atZone(zone));
    }

    /** One line that {@link #kept} reads again. */
    public String text() {
        return days.keySet().stream().map(d -> d + " " + said(d)).collect(Collectors.joining("; "));
    }

    /** The hours of {@code text}; none where it is blank. */
    public static Hours kept(String text) {
        Map<DayOfWeek, String> typed = new EnumMap<>(DayOfWeek.class);
        for (String day : text.split(";")) {
            String[] words = day.strip().split(" ", 2);
            if (words.length == 2) {
                typed.put(DayOfWeek.valueOf(words[0].toUpperCase(Locale.ROOT)), words[1]);
            }
        }
        Check check = new Check();
        Hours out = typed(typed, check);
        if (!check.clean()) {
            throw new IllegalArgumentException("hours that cannot be read: " + text);
        }
        return out;
    }
}
