package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vanemend.app.Caller;
import vanemend.app.Drafts;
import vanemend.app.TestServer;

class DeviceApiTest {
    private final Caller tam = TestServer.as("tam");

    @AfterEach
    void nothingWrongIsLeftBehind() {
        for (String kind : List.of("SCALE", "SURFACE", "FILM")) {
            TestServer.as("isla").put("/api/devices/" + kind + "/fault", Map.of("fault", "NONE"));
        }
        tam.delete("/api/devices/SURFACE/log");
    }

    private String started(String name) {
        String path = "/api/repairs/"
                + tam.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door(name)))
                        .text("id");
        assertThat(tam.post(path + "/start", 1, Map.of("eventId", UUID.randomUUID()))
                        .status())
                .isEqualTo(200);
        return path;
    }

    private static JsonNode inHand(JsonNode run) {
        for (JsonNode s : run.at("/state/steps")) {
            if (s.get("id").equals(run.at("/state/current"))) {
                return s;
            }
        }
        throw new AssertionError("nothing is in hand");
    }

    private static JsonNode device(Caller.Answer all, String kind) {
        for (JsonNode d : all.body()) {
            if (d.get("kind").asString().equals(kind)) {
                return d;
            }
        }
        throw new AssertionError("no " + kind + " in " + all.body());
    }

    /** Looks until it holds; every look is a request, so that nothing is slept away. */
    private JsonNode until(String kind, Predicate<JsonNode> holds) {
        Instant late = Instant.now().plus(Duration.ofSeconds(20));
        while (Instant.now().isBefore(late)) {
            JsonNode d = device(tam.get("/api/devices"), kind);
            if (holds.test(d.get("shown"))) {
                return d;
            }
        }
        throw new AssertionError(kind + " never came to that");
    }

    @Test
    void whatAScaleThatSwungPastShowsAtLastGivesTheRightCream() {
        String path = started("Weighed by the scale");
        JsonNode run = tam.get(path + "/run").body();
        for (int done = 0; !inHand(run).at("/step/kind").asString().equals("MIX"); done++) {
            assertThat(done).as("steps before the first mix").isLessThan(40);
            JsonNode now = inHand(run);
            String step = now.get("id").asString();
            run = tam.post(
                            path + "/events",
                            List.of(
                                    now.at("/step/gate").isMissingNode()
                                            ? Happens.event("DONE", step)
                                            : Happens.event("GATE", step, "answer", "yes")))
                    .at("run");
        }
        String mix = inHand(run).get("id").asString();
        tam.put("/api/devices/SCALE/knobs/creep", Map.of("value", 0));
        tam.put("/api/devices/SCALE/knobs/load", Map.of("value", 0));
        tam.post("/api/devices/SCALE/nought", Map.of());
        until("SCALE", s -> s.get("steady").asBoolean());
        tam.put("/api/devices/SCALE/knobs/load", Map.of("value", 143.7));
        double g = until(
                        "SCALE",
                        s -> s.get("steady").asBoolean()
                                && s.at("/figures/0/value").asDouble() > 100)
                .at("/shown/figures/0/value")
                .asDouble();
        assertThat(g).isCloseTo(143.7, within(0.2));
        Map<String, Object> reading = Happens.reading(mix, "FILLER_G", g);
        reading.put("text", "Mixing scale");
        JsonNode after = tam.post(path + "/events", List.of(reading)).body();
        double percent = 0;
        for (JsonNode m : after.at("/run/frozen/workup/plan/mixes")) {
            if (m.get("id").equals(after.at("/run/state/mixes/0/mix"))) {
                percent = m.at("/pour/percent").asDouble();
            }
        }
        assertThat(percent).isBetween(1.0, 4.0);
        assertThat(after.at("/run/state/mixes/0/creamTargetG").asDouble()).isCloseTo(g * percent / 100, within(0.051));
        assertThat(after.at("/run/state/readings")
                        .get(after.at("/run/state/readings").size() - 1)
                        .get("source")
                        .asString())
                .isEqualTo("Mixing scale");
    }

    @Test
    void aSilentOrMadDeviceIsToldToEverybodyWhoWatches() throws Exception {
        BlockingQueue<String> lines = new LinkedBlockingQueue<>();
        try (Caller.Stream stream = TestServer.as("priya").stream("/api/devices/stream", lines::add)) {
            heard(lines, "\"kind\":\"SURFACE\"");
            TestServer.as("isla").put("/api/devices/SURFACE/fault", Map.of("fault", "SILENT"));
            heard(lines, "Does not answer: type the figure instead.");
            TestServer.as("isla").put("/api/devices/SURFACE/fault", Map.of("fault", "NONSENSE"));
            heard(lines, "which cannot be");
        }
    }

    private static void heard(BlockingQueue<String> lines, String wanted) throws InterruptedException {
        for (String line = ""; !line.contains(wanted); ) {
            line = lines.poll(20, TimeUnit.SECONDS);
            assertThat(line).as("waiting for " + wanted).isNotNull();
        }
    }

    @Test
    void theSurfaceLogsItselfToARepairAndNeitherTakesItInHandNorStandsInTheWayOfUndo() {
        String path = started("Logged by itself");
        Caller.Answer before = tam.post(path + "/events", List.of(Happens.event("DONE", "wash")));
        Caller priya = TestServer.as("priya");
        long id = Long.parseLong(path.substring(path.lastIndexOf('/') + 1));
        assertThat(priya.put("/api/devices/SURFACE/log", Map.of("repair", id)).status())
                .isEqualTo(200);
        JsonNode state = tam.get(path + "/run").at("state");
        assertThat(state.get("readings")).hasSize(1);
        assertThat(state.at("/readings/0/source").asString()).isEqualTo("Surface thermometer");
        assertThat(state.at("/readings/0/logged").asBoolean()).isTrue();
        assertThat(state.at("/readings/0/step").asString()).isEqualTo("straighten");
        assertThat(state.get("hands")).isEqualTo(before.at("run.state.hands"));
        assertThat(state.get("lastUndoable")).isEqualTo(before.at("run.state.lastUndoable"));
        assertThat(device(tam.get("/api/devices"), "SURFACE").get("repairName").asString())
                .isEqualTo("Logged by itself");
        assertThat(tam.get(path + "/record").body().toString()).doesNotContain("unforeseen");
        tam.delete("/api/devices/SURFACE/log");
        assertThat(device(tam.get("/api/devices"), "SURFACE").has("repair")).isFalse();
    }

    @Test
    void aSilentDeviceLogsNothing() {
        String path = started("Nothing to log");
        TestServer.as("isla").put("/api/devices/SURFACE/fault", Map.of("fault", "SILENT"));
        long id = Long.parseLong(path.substring(path.lastIndexOf('/') + 1));
        tam.put("/api/devices/SURFACE/log", Map.of("repair", id));
        assertThat(tam.get(path + "/run").at("state.readings")).isEmpty();
    }

    @Test
    void whatCannotBeDrivenOrLoggedIsRefusedExactly() {
        Caller.Answer high = tam.put("/api/devices/SCALE/knobs/load", Map.of("value", 9000));
        assertThat(high.status()).isEqualTo(422);
        assertThat(high.text("detail")).contains("On the pan").contains("3000");
        assertThat(tam.put("/api/devices/SCALE/knobs/colour", Map.of("value", 1))
                        .text("detail"))
                .isEqualTo("It has no colour.");
        assertThat(tam.post("/api/devices/FILM/nought", Map.of()).status()).isEqualTo(409);
        assertThat(tam.put("/api/devices/TYRE/log", Map.of("repair", 1)).text("detail"))
                .contains("is read by hand");
        assertThat(tam.put("/api/devices/SURFACE/log", Map.of("repair", 5)).text("detail"))
                .contains("finished");
        assertThat(TestServer.stranger().get("/api/devices").status()).isEqualTo(401);
    }

    @Test
    void readingsGoOutAndComeInAsCsvAndCountOnce() {
        String path = started("Logger's file");
        Instant begun = Instant.parse(tam.get(path + "/run").text("frozen.frozenAt"));
        String csv = "at,quantity,value,unit\n" + begun.plusMillis(5) + ",SURFACE_C,21.5,°C\n" + begun.plusMillis(9)
                + ",AIR_C,20.5,°C\n";
        assertThat(tam.text(path + "/readings.csv", csv).at("taken").asInt()).isEqualTo(2);
        assertThat(tam.text(path + "/readings.csv", csv).at("taken").asInt())
                .as("again")
                .isZero();
        String out = new String(tam.bytes(path + "/readings.csv"), StandardCharsets.UTF_8);
        assertThat(out).contains(begun.plusMillis(5) + ",SURFACE_C,21.5,°C,wash,");
        assertThat(tam.text(path + "/readings.csv", out).at("taken").asInt())
                .as("its own")
                .isZero();
        Caller.Answer early = tam.text(
                path + "/readings.csv",
                "at,quantity,value\n" + begun.plusMillis(11) + ",SURFACE_C,22\n" + begun.minusSeconds(60)
                        + ",SURFACE_C,22\n");
        assertThat(early.status()).isEqualTo(422);
        assertThat(early.text("detail")).startsWith("Line 3: ").contains("lies outside this work");
        assertThat(tam.get(path + "/run").at("state.readings"))
                .as("all or none")
                .hasSize(2);
    }
}
