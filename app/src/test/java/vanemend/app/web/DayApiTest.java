package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.StringReader;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
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
    @DisplayName("a vehicle's day holds what is done at it alone")
    void aCalendarOfAVehicle() throws Exception {
        JsonNode job = isla.get("/api/day").body().get("jobs").get(0);
        String vehicle = job.get("vehicle").asString();
        assertThat(vehicle).isNotBlank();
        List<VEvent> events =
                events(isla.get("/api/day/calendar?repair=" + job.get("repair").asLong())
                        .text("text"));
        assertThat(events).isNotEmpty();
        assertThat(events).allMatch(e -> e.getDescription().getValue().equals(vehicle));
        assertThat(events)
                .hasSizeLessThan(
                        events(isla.get("/api/day/calendar").text("text")).size());
        assertThat(isla.get("/api/day/calendar?repair=0").status()).isEqualTo(404);
    }

    private static List<VEvent> events(String file) throws Exception {
        return new CalendarBuilder().build(new StringReader(file)).getComponents("VEVENT");
    }

    @Test
    @DisplayName(
            "another calendar reads the day at an address that can be taken away, and that nobody finds in what is kept")
    void anAddressOfOnesOwn() throws Exception {
        Caller tam = TestServer.as("tam");
        Caller stranger = TestServer.stranger();
        assertThat(tam.get("/api/day/calendar/address").body().has("since")).isFalse();
        String path = tam.post("/api/day/calendar/address", Map.of()).text("path");
        assertThat(tam.get("/api/day/calendar/address").body().has("since")).isTrue();
        Caller.Answer read = stranger.get(path);
        assertThat(read.status()).isEqualTo(200);
        assertThat(read.headers().firstValue("Content-Type").orElse("")).startsWith("text/calendar");
        assertThat(read.headers().firstValue("Cache-Control").orElse("")).contains("no-store");
        assertThat(read.headers().firstValue("Set-Cookie").orElse("")).doesNotContain("SESSION");
        assertThat(events(read.text("text")).stream()
                        .map(e -> e.getUid().orElseThrow().getValue()))
                .isNotEmpty()
                .isEqualTo(events(tam.get("/api/day/calendar?person=tam").text("text")).stream()
                        .map(e -> e.getUid().orElseThrow().getValue())
                        .toList());
        // The lead has no hands on the day: theirs is everybody's.
        String whole = isla.post("/api/day/calendar/address", Map.of()).text("path");
        assertThat(events(stranger.get(whole).text("text")))
                .hasSameSizeAs(events(isla.get("/api/day/calendar").text("text")));
        // A new one ends the one before; taken away, none is left.
        String next = tam.post("/api/day/calendar/address", Map.of()).text("path");
        assertThat(stranger.get(path).status()).isEqualTo(404);
        assertThat(stranger.get(next).status()).isEqualTo(200);
        tam.delete("/api/day/calendar/address");
        assertThat(stranger.get(next).status()).isEqualTo(404);
        assertThat(stranger.get(whole).status()).isEqualTo(200);
        isla.delete("/api/day/calendar/address");
        assertThat(stranger.get("/calendar/guessed.ics").status()).isEqualTo(404);
        assertThat(stranger.post("/api/day/calendar/address", Map.of()).status())
                .isIn(401, 403);
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

    @Test
    @DisplayName("why a repair is ready when it is adds up, and what may be promised is told as asked")
    void whyAndPromise() {
        List<Long> all = isla.get("/api/day")
                .body()
                .get("jobs")
                .valueStream()
                .map(j -> j.get("repair").asLong())
                .toList();
        for (long repair : all) {
            JsonNode day = isla.get("/api/day").body();
            String path = "/api/day/repairs/" + repair;
            JsonNode told = isla.get(path).body();
            double minutes = told.get("held")
                    .valueStream()
                    .mapToDouble(h -> h.get("minutes").asDouble())
                    .sum();
            Instant ready = at(told, "ready");
            // It may have been planned anew since: by the moment it was planned from, which only the first answer
            // tells.
            assertThat(minutes)
                    .isCloseTo(Duration.between(at(day, "now"), ready).toSeconds() / 60.0, within(2.0));
            Instant soonest = at(told, "soonest");
            assertThat(soonest).isBeforeOrEqualTo(at(told, "promise"));
            assertThat(told.has("answer")).isFalse();
            assertThat(isla.get(path + "?by=" + soonest.minusSeconds(600))
                            .body()
                            .get("answer")
                            .asString())
                    .isEqualTo("NEVER");
            assertThat(isla.get(path + "?by=" + soonest.plusSeconds(14 * 86_400))
                            .body()
                            .get("answer")
                            .asString())
                    .isEqualTo("HOLDS");
        }
        assertThat(isla.get("/api/day/repairs/999999").status()).isEqualTo(404);
        assertThat(isla.get("/api/day/repairs/1?by=soon").status()).isEqualTo(400);
    }

    @Test
    @DisplayName(
            "every repair of the day has odds; what holds is never before it is ready by planned minutes, and a promise after that is kept oftener")
    void odds() {
        JsonNode day = isla.get("/api/day").body();
        JsonNode odds = isla.get("/api/day/odds").body();
        assertThat(odds.get("repairs").valueStream().map(o -> o.get("repair").asLong()))
                .containsExactlyInAnyOrderElementsOf(day.get("jobs")
                        .valueStream()
                        .map(j -> j.get("repair").asLong())
                        .toList());
        // The demo's finished runs answered gates.
        assertThat(odds.get("runs").asInt()).isPositive();
        assertThat(odds.get("gates").asInt()).isGreaterThan(odds.get("runs").asInt());
        for (JsonNode job : day.get("jobs")) {
            JsonNode its = odds.get("repairs")
                    .valueStream()
                    .filter(o -> o.get("repair").equals(job.get("repair")))
                    .findFirst()
                    .orElseThrow();
            assertThat(its.has("inHundred")).isEqualTo(job.has("promisedAt"));
            if (its.has("holds")) {
                JsonNode told = isla.get("/api/day/repairs/" + job.get("repair").asLong() + "?by="
                                + at(its, "holds").plusSeconds(5 * 86_400))
                        .body();
                assertThat(told.get("inHundred").asInt())
                        .isGreaterThanOrEqualTo(odds.get("holds").asInt());
                assertThat(told.get("often")).isEqualTo(odds.get("holds"));
            }
        }
    }

    @Test
    @DisplayName("what was done today is somebody's, of today, and over")
    void doneToday() {
        JsonNode day = isla.get("/api/day").body();
        Instant now = at(day, "now");
        ZoneId zone = ZoneId.of(day.get("zone").asString());
        Instant midnight = LocalDate.ofInstant(now, zone).atStartOfDay(zone).toInstant();
        List<String> people =
                day.get("people").valueStream().map(p -> p.get("id").asString()).toList();
        assertThat(day.get("done").valueStream()).allSatisfy(d -> {
            assertThat(people).contains(d.get("person").asString());
            assertThat(at(d, "from")).isBefore(at(d, "to")).isAfterOrEqualTo(midnight);
            assertThat(at(d, "to")).isBeforeOrEqualTo(now);
            assertThat(d.get("steps").asInt()).isPositive();
        });
        // The demo's run began an hour before it was loaded.
        assertThat(day.get("done").size()).isGreaterThanOrEqualTo(now.isAfter(midnight.plusSeconds(7200)) ? 1 : 0);
    }

    @Test
    @DisplayName("what if is told beside the day as it is, changes nothing, and what cannot be is said at its field")
    void whatIf() {
        JsonNode day = isla.get("/api/day").body();
        JsonNode as = isla.get("/api/day/what-if").body();
        assertThat(at(as, "asLast")).isEqualTo(at(day, "last"));
        assertThat(as.get("asLateMin").asLong()).isEqualTo(day.get("lateMin").asLong());
        assertThat(at(as, "last")).isBeforeOrEqualTo(at(day, "last"));
        JsonNode less = isla.get("/api/day/what-if?without=priya&lamps=1").body();
        assertThat(less.get("lateMin").asLong()).isGreaterThanOrEqualTo(0);
        assertThat(at(less, "last")).isAfter(at(day, "now"));
        long id = day.get("jobs").get(0).get("repair").asLong();
        Instant from = at(day, "now").plusSeconds(86_400);
        assertThat(at(isla.get("/api/day/what-if?like=" + id + "&from=" + from).body(), "another"))
                .isAfter(from);
        // What does not cure there is named; at the depot's own air all of it has its plan.
        JsonNode cold = isla.get("/api/day/what-if?airC=3").body();
        assertThat(cold.get("left").valueStream().map(JsonNode::asString))
                .anyMatch(l -> l.endsWith(" (no plan in that air)"));
        assertThat(cold.get("missed").asInt())
                .isGreaterThanOrEqualTo(as.get("missed").asInt());
        assertThat(as.get("left").valueStream()).isEmpty();
        for (String wrong : List.of("lamps=9", "ovens=-1", "without=isla", "like=999999", "airC=200")) {
            Caller.Answer no = isla.get("/api/day/what-if?" + wrong);
            assertThat(no.status()).as(wrong).isEqualTo(422);
            assertThat(no.body().get("problems").get(0).get("field").asString())
                    .endsWith(wrong.split("=")[0].replace("airC", "tempC"));
        }
        assertThat(isla.get("/api/day").body().get("jobs").size())
                .isEqualTo(day.get("jobs").size());
    }

    @Test
    @DisplayName("a promise that turns two repairs round is told with who and when, and kept off by whoever may say it")
    void movedAndKeptOff() {
        assertThat(TestServer.as("joss").post("/api/day/moved/off", Map.of()).status())
                .isEqualTo(403);
        JsonNode day = isla.get("/api/day").body();
        List<JsonNode> waiting = day.get("jobs")
                .valueStream()
                .filter(j -> !j.get("begun").asBoolean())
                .toList();
        JsonNode last = waiting.getLast();
        String pin = "/api/day/repairs/" + last.get("repair").asLong() + "/pin";
        try {
            // First of all, told by nobody as a move: it is what was asked for. Then let go again: whatever that is
            // worth may move it.
            JsonNode first =
                    TestServer.as("tam").put(pin, Map.of("first", true)).body();
            assertThat(first.get("trouble").asString()).isEmpty();
            JsonNode now = TestServer.as("tam").put(pin, Map.of("first", false)).body();
            Caller.Answer off = TestServer.as("tam").post("/api/day/moved/off", Map.of());
            if (now.has("moved")) {
                assertThat(now.get("moved").get("repairs").valueStream())
                        .allSatisfy(r -> assertThat(Duration.between(at(r, "before"), at(r, "after"))
                                        .abs())
                                .isGreaterThanOrEqualTo(Duration.ofMinutes(5)));
                assertThat(off.status()).isEqualTo(200);
                assertThat(off.body().has("moved")).isFalse();
            } else {
                assertThat(off.status()).isEqualTo(409);
            }
            assertThat(TestServer.as("tam").post("/api/day/moved/off", Map.of()).status())
                    .isEqualTo(409);
        } finally {
            isla.put(pin, Map.of("first", false));
        }
    }

    @Test
    @DisplayName(
            "what a technician says of a repair's place is kept to until it is taken back, an apprentice may not say it")
    void pins() {
        JsonNode job = isla.get("/api/day")
                .body()
                .get("jobs")
                .valueStream()
                .filter(j -> !j.get("begun").asBoolean())
                .toList()
                .getLast();
        long id = job.get("repair").asLong();
        String path = "/api/day/repairs/" + id + "/pin";
        Map<String, Object> priya = Map.of("person", "priya", "first", true, "wished", true);
        assertThat(TestServer.as("joss").put(path, priya).status()).isEqualTo(403);
        Caller.Answer nobody = isla.put(path, Map.of("person", "isla", "first", false));
        assertThat(nobody.status()).isEqualTo(422);
        assertThat(nobody.body().get("problems").get(0).get("field").asString()).isEqualTo("person");
        try {
            JsonNode day = TestServer.as("tam").put(path, priya).body();
            JsonNode pinned = day.get("jobs")
                    .valueStream()
                    .filter(j -> j.get("repair").asLong() == id)
                    .findFirst()
                    .orElseThrow();
            assertThat(pinned.get("pin").get("by").asString()).isEqualTo("priya");
            assertThat(pinned.get("pin").get("wished").asBoolean()).isTrue();
            int number = pinned.get("number").asInt();
            assertThat(day.get("blocks")
                            .valueStream()
                            .filter(b -> b.get("number").asInt() == number))
                    .filteredOn(
                            b -> List.of("HANDS", "LIVE").contains(b.get("work").asString()))
                    .isNotEmpty()
                    .allSatisfy(b -> assertThat(b.get("person").asString()).isEqualTo("priya"));
        } finally {
            JsonNode back = isla.put(path, Map.of("first", false)).body();
            assertThat(back.get("jobs")
                            .valueStream()
                            .filter(j -> j.get("repair").asLong() == id))
                    .allSatisfy(j -> {
                        assertThat(j.get("pin").has("by")).isFalse();
                        assertThat(j.get("pin").get("wished").asBoolean()).isFalse();
                    });
        }
        assertThat(isla.put("/api/day/repairs/999999/pin", Map.of("first", false))
                        .status())
                .isEqualTo(404);
    }

    @Test
    @DisplayName("who is away is given nothing, whose hours are their own works then, and both are taken back")
    void awayAndOwnHours() {
        Instant now = at(isla.get("/api/day").body(), "now");
        Map<String, Object> gone = Map.of(
                "who",
                "priya",
                "from",
                now.toString(),
                "to",
                now.plusSeconds(13 * 86_400).toString());
        assertThat(TestServer.as("tam").post("/api/day/away", gone).status()).isEqualTo(403);
        for (Map<String, Object> wrong : List.of(
                Map.<String, Object>of("who", "priya", "from", now.toString()),
                Map.<String, Object>of(
                        "who",
                        "isla",
                        "from",
                        now.toString(),
                        "to",
                        now.plusSeconds(60).toString()),
                Map.<String, Object>of(
                        "who",
                        "LAMP",
                        "from",
                        now.toString(),
                        "to",
                        now.minusSeconds(60).toString()))) {
            Caller.Answer refused = isla.post("/api/day/away", wrong);
            assertThat(refused.status()).as("%s", wrong).isEqualTo(422);
            assertThat(refused.body().get("problems")).hasSize(1);
        }
        JsonNode without = isla.post("/api/day/away", gone).body();
        long id = without.get("away").get(0).get("id").asLong();
        try {
            assertThat(without.get("blocks")
                            .valueStream()
                            .filter(b -> b.path("person").asString("").equals("priya")))
                    .filteredOn(b -> !b.get("work").asString().equals("WAIT"))
                    .allSatisfy(b -> assertThat(at(b, "from").equals(at(without, "now"))
                                    || !at(b, "from").isBefore(now.plusSeconds(13 * 86_400)))
                            .as("in hand, or when she is back: %s", b)
                            .isTrue());
        } finally {
            assertThat(isla.delete("/api/day/away/" + id).body().get("away")).isEmpty();
        }
        assertThat(isla.delete("/api/day/away/" + id).status()).isEqualTo(404);
        Map<String, Object> late = hours("22:00-23:00");
        try {
            JsonNode own = isla.put("/api/shop/hours?person=tam", late).body();
            assertThat(own.get("own").get("tam").get("MONDAY").asString()).isEqualTo("22:00-23:00");
            assertThat(own.get("hours").get("MONDAY").asString()).isEqualTo("07:30-12:00 12:30-16:30");
        } finally {
            assertThat(isla.put("/api/shop/hours?person=tam", hours("")).body().get("own"))
                    .isEmpty();
        }
        assertThat(isla.put("/api/shop/hours?person=isla", late).status()).isEqualTo(422);
    }

    @Test
    @DisplayName("who has nothing in hand is given on the bench what the day lets them begin first")
    void theBenchFollowsTheDay() {
        long any = isla.get("/api/day").body().get("jobs").get(0).get("repair").asLong();
        // Said anew, so that nobody is answered from what was kept.
        JsonNode day = isla.put("/api/day/repairs/" + any + "/pin", Map.of("first", false))
                .body();
        Map<String, Long> begins = new HashMap<>();
        Set<Integer> seen = new HashSet<>();
        Map<Integer, JsonNode> jobs = new HashMap<>();
        day.get("jobs").forEach(j -> jobs.put(j.get("number").asInt(), j));
        for (JsonNode b : day.get("blocks")) {
            JsonNode job = jobs.get(b.get("number").asInt());
            if (seen.add(b.get("number").asInt()) && !job.get("begun").asBoolean()) {
                begins.putIfAbsent(b.get("person").asString(), job.get("repair").asLong());
            }
        }
        JsonNode hands = isla.get("/api/bench").body().get("hands");
        begins.forEach((who, repair) -> {
            JsonNode line = hands.valueStream()
                    .filter(h -> h.get("person").get("id").asString().equals(who))
                    .findFirst()
                    .orElseThrow();
            // A run in hand goes on first, with its time.
            assertThat(line.has("from") || line.get("repair").asLong() == repair)
                    .as("%s begins %s: %s", who, repair, line)
                    .isTrue();
        });
        assertThat(begins).isNotEmpty();
    }
}
