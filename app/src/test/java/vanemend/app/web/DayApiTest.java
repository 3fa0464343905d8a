package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vanemend.app.Caller;
import vanemend.app.TestServer;

@DisplayName("the day: who does what, when, within the hours that the shop said, by the hands, lamps and ovens it has")
class DayApiTest {
    private static final List<String> WEEK =
            List.of("MONDAY", "TUESDAY", "WEDNESDAY", "THURSDAY", "FRIDAY", "SATURDAY", "SUNDAY");

    private final Caller isla = TestServer.as("isla");

    private static Map<String, Object> hours(String each) {
        Map<String, Object> days = new HashMap<>();
        WEEK.forEach(d -> days.put(d, each));
        return Map.of("hours", days);
    }

    private static Instant at(JsonNode n, String field) {
        return Instant.parse(n.get(field).asString());
    }

    @Test
    void everyRepairThatCanBeginOrIsUnderWayHasItsTimeOrIsTold() {
        JsonNode day = isla.get("/api/day").body();
        assertThat(day.get("trouble").asString()).isEmpty();
        assertThat(day.get("hours").get("MONDAY").asString()).isEqualTo("07:30-12:00 12:30-16:30");
        Set<Long> told = new HashSet<>();
        for (String where : List.of("jobs", "held", "left")) {
            day.get(where)
                    .forEach(j -> assertThat(told.add(j.get("repair").asLong()))
                            .as("told once")
                            .isTrue());
        }
        for (JsonNode line : isla.get("/api/repairs").body()) {
            String standing = line.get("standing").asString();
            assertThat(told.contains(line.get("id").asLong()))
                    .as(line.get("name").asString() + ", " + standing)
                    .isEqualTo(standing.equals("PLANNED") || standing.equals("RUNNING"));
        }
        assertThat(day.get("lateMin").asLong())
                .isLessThanOrEqualTo(day.get("firstComeLateMin").asLong());
    }

    @Test
    @DisplayName("nobody is at two parts at once, nothing live is an apprentice's, and hands work within the hours")
    void itCanBeDone() {
        JsonNode day = isla.get("/api/day").body();
        Map<String, Instant> busy = new HashMap<>();
        int live = 0;
        for (JsonNode b : day.get("blocks")) {
            String work = b.get("work").asString();
            if (!work.equals("HANDS") && !work.equals("LIVE")) {
                continue;
            }
            String who = b.get("person").asString();
            assertThat(at(b, "from")).isAfterOrEqualTo(busy.getOrDefault(who, Instant.MIN));
            busy.put(who, at(b, "to"));
            if (at(b, "from").equals(at(day, "now"))) {
                // What is in hand is in whose hands it is, at whatever hour.
                continue;
            }
            assertThat(day.get("open").valueStream())
                    .anyMatch(o -> !at(b, "from").isBefore(at(o, "from"))
                            && at(b, "from").isBefore(at(o, "to")));
            assertThat(day.get("open").valueStream())
                    .anyMatch(o ->
                            at(b, "to").isAfter(at(o, "from")) && !at(b, "to").isAfter(at(o, "to")));
            if (work.equals("LIVE")) {
                assertThat(who).isNotEqualTo("joss");
                live++;
            }
        }
        assertThat(live).isPositive();
        assertThat(busy.keySet()).contains("tam", "priya");
    }

    @Test
    @DisplayName("one's own day as a calendar holds what the day says of these hands")
    void aCalendarOfOnesOwn() throws Exception {
        Caller.Answer file = isla.get("/api/day/calendar?person=tam");
        assertThat(file.status()).isEqualTo(200);
        assertThat(file.headers().firstValue("Content-Type").orElse("")).startsWith("text/calendar");
        assertThat(file.headers().firstValue("Content-Disposition").orElse("")).contains("day-tam.ics");
        Calendar calendar = new CalendarBuilder().build(new StringReader(file.text("text")));
        List<VEvent> events = calendar.getComponents("VEVENT");
        assertThat(events).isNotEmpty();
        assertThat(events.stream().map(e -> e.getUid().orElseThrow().getValue()))
                .doesNotHaveDuplicates();
        Instant until = Instant.MIN;
        for (VEvent e : events) {
            assertThat(Instant.from(e.getDateTimeStart().getDate())).isAfterOrEqualTo(until);
            until = Instant.from(e.getDateTimeEnd().getDate());
        }
        assertThat(isla.get("/api/day/calendar?person=nobody").status()).isEqualTo(404);
        assertThat(TestServer.stranger().get("/api/day/calendar").status()).isEqualTo(401);
    }

    @Test
    void hoursAreALeadsAndWhatIsNotReadIsRefusedAtItsDay() {
        JsonNode was = isla.get("/api/day").body().get("hours");
        assertThat(TestServer.as("tam")
                        .put("/api/shop/hours", hours("08:00-12:00"))
                        .status())
                .isEqualTo(403);
        Caller.Answer refused = isla.put("/api/shop/hours", Map.of("hours", Map.of("FRIDAY", "half eight")));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body().get("problems").get(0).get("field").asString())
                .isEqualTo("hours.FRIDAY");
        assertThat(isla.get("/api/day").body().get("hours"))
                .as("what was refused changes nothing")
                .isEqualTo(was);
        try {
            JsonNode none = isla.put("/api/shop/hours", hours("")).body();
            assertThat(none.get("trouble").asString()).contains("Nobody said yet");
            assertThat(none.get("blocks")).isEmpty();
            JsonNode night = isla.put("/api/shop/hours", hours("00:00-23:59")).body();
            assertThat(night.get("trouble").asString()).isEmpty();
            assertThat(night.get("jobs")).isNotEmpty();
            assertThat(isla.get("/api/day").body().get("hours").get("SUNDAY").asString())
                    .isEqualTo("00:00-23:59");
        } finally {
            Map<String, Object> back = new HashMap<>();
            was.properties().forEach(e -> back.put(e.getKey(), e.getValue().asString()));
            isla.put("/api/shop/hours", Map.of("hours", back));
        }
    }
}
