package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vanemend.app.Caller;
import vanemend.app.Drafts;
import vanemend.app.TestServer;

class RunApiTest {
    private final Caller tam = TestServer.as("tam");

    private String repair(String name) {
        return "/api/repairs/"
                + tam.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door(name)))
                        .text("id");
    }

    private String started(String name) {
        String path = repair(name);
        assertThat(tam.post(path + "/start", 1, Map.of("eventId", UUID.randomUUID()))
                        .status())
                .isEqualTo(200);
        return path;
    }

    @Test
    void startingFreezesThePlanOnceHoweverOftenItIsSent() {
        String path = repair("Start twice");
        Map<String, Object> body = Map.of("eventId", UUID.randomUUID());
        Caller.Answer first = tam.post(path + "/start", 1, body);
        assertThat(first.text("state.current")).isEqualTo("wash");
        assertThat(tam.post(path + "/start", 1, body).text("frozen.frozenAt")).isEqualTo(first.text("frozen.frozenAt"));
        assertThat(tam.post(path + "/start", 1, Map.of("eventId", UUID.randomUUID()))
                        .status())
                .isEqualTo(409);
        assertThat(tam.put(path, 1, Drafts.door("Too late")).status()).isEqualTo(409);
        assertThat(tam.get(path).text("draft.part.name")).isEqualTo("Start twice");
    }

    @Test
    void aRepairThatIsReferredOrChangedMeanwhileCannotBeStarted() {
        Map<String, Object> deep = Drafts.door("Deep");
        deep.put("damages", List.of(Drafts.dent(340, 240, 120, 7)));
        String path = "/api/repairs/"
                + tam.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", deep))
                        .text("id");
        Caller.Answer refused = tam.post(path + "/start", 1, Map.of("eventId", UUID.randomUUID()));
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.text("detail")).contains("Back to straightening");
        String other = repair("Changed meanwhile");
        tam.put(other, 1, Drafts.door("Changed"));
        assertThat(tam.post(other + "/start", 1, Map.of("eventId", UUID.randomUUID()))
                        .status())
                .isEqualTo(412);
        assertThat(tam.get(other + "/run").status()).isEqualTo(409);
    }

    @Test
    void theSameEventSentTwiceCountsOnceAndTheOrderHolds() {
        String path = started("Twice");
        Map<String, Object> wash = Happens.event("DONE", "wash");
        Map<String, Object> straighten = Happens.event("DONE", "straighten");
        tam.post(path + "/events", List.of(wash));
        Caller.Answer a = tam.post(path + "/events", List.of(wash, straighten, wash));
        assertThat(a.text("run.state.current")).isEqualTo("depth");
        assertThat(tam.get(path + "/record").at("record.events").asInt()).isEqualTo(3);
        assertThat(a.at("run.events").asInt()).isEqualTo(3);
        assertThat(tam.get(path + "/run").at("events").asInt()).isEqualTo(3);
    }

    @Test
    void aNonsenseReadingIsRefusedByItselfAndTheRestIsTaken() {
        String path = started("Readings");
        Caller.Answer a = tam.post(
                path + "/events",
                List.of(
                        Happens.event("DONE", "wash"),
                        Happens.reading("straighten", "SURFACE_C", 900),
                        Happens.event("DONE", "straighten")));
        assertThat(a.at("refused").size()).isEqualTo(1);
        assertThat(a.text("refused.0.problem.message"))
                .contains("Surface of ⟦900 °C least⟧ cannot be right")
                .contains("from ⟦-20 to 120 °C⟧");
        assertThat(a.text("run.state.current")).isEqualTo("depth");
    }

    /** A spot at {@code step} that is {@code branch}, {@code mm} long and 30 mm wide. */
    private static Map<String, Object> spot(String step, String branch, double mm) {
        Map<String, Object> e = Happens.event("SPOT", step, "answer", branch);
        e.put("place", Map.of("xMm", 350, "yMm", 240, "lengthMm", mm, "widthMm", 30));
        return e;
    }

    @Test
    @DisplayName("a spot is taken at its gate, kept with its place, sizes the next mix, and lies on the film map")
    void spots() {
        String path = started("Spots");
        String at = "wash";
        while (!at.equals("shape-gate")) {
            JsonNode now = tam.get(path + "/run").at("state");
            String step = at;
            JsonNode in = now.get("steps")
                    .valueStream()
                    .filter(s -> s.get("id").asString().equals(step))
                    .findFirst()
                    .orElseThrow();
            boolean gate = in.get("step").has("gate");
            at = tam.post(
                            path + "/events",
                            List.of(Happens.event(gate ? "GATE" : "DONE", at, "answer", gate ? "yes" : "")))
                    .text("run.state.current");
        }
        Map<String, Object> low = spot(at, "low", 40);
        low.put("value", 1.2);
        Map<String, Object> nowhere = Happens.event("SPOT", at, "answer", "low");
        Map<String, Object> tooLong = spot(at, "low", 4000);
        tooLong.put("value", 1.2);
        Caller.Answer a = tam.post(path + "/events", List.of(low, nowhere, spot(at, "low", 40), tooLong));
        assertThat(a.at("refused")
                        .valueStream()
                        .map(r -> r.get("problem").get("field").asString()))
                .containsExactly("place", "value", "place.lengthMm");
        JsonNode kept = tam.get(path + "/run").at("state.spots");
        assertThat(kept).hasSize(1);
        assertThat(kept.get(0).get("place").get("lengthMm").asDouble()).isEqualTo(40);
        assertThat(kept.get(0).get("depthMm").asDouble()).isEqualTo(1.2);
        JsonNode film = tam.get(path + "/run/film").at("film");
        assertThat(film.get("spots").get(0).get("said").asString()).isEqualTo("Low spot");
        assertThat(film.get("thickest").get("mm").asDouble()).isPositive();
        double first = tam.get(path + "/run").at("state.mixes.0.fillerTargetG").asDouble();
        tam.post(
                path + "/events",
                List.of(Happens.event("GATE", at, "answer", "low"), Happens.event("DONE", at + ":low/clean")));
        JsonNode mixes = tam.get(path + "/run").at("state.mixes");
        assertThat(mixes.get(mixes.size() - 1).get("fillerTargetG").asDouble()).isBetween(20.0, first - 1);
        assertThat(tam.get(path + "/record").at("record.lines").toString())
                .contains("Low spot, ⟦40 mm⟧ by ⟦30 mm⟧, ⟦1.2 mm⟧ deep, ⟦350 mm⟧ from the left, ⟦240 mm⟧ up");
    }

    @Test
    void anEventOfAnotherRepairIsNotTaken() {
        String one = started("One");
        String two = started("Two");
        Map<String, Object> wash = Happens.event("DONE", "wash");
        tam.post(one + "/events", List.of(wash));
        assertThat(tam.post(two + "/events", List.of(wash)).text("refused.0.problem.message"))
                .contains("belongs to another repair");
    }

    @Test
    void weighedCreamAndUndo() {
        String path = started("Weigh");
        for (String step : new String[] {"wash", "straighten"}) {
            tam.post(path + "/events", List.of(Happens.event("DONE", step)));
        }
        Map<String, Object> gate = Happens.event("GATE", "depth");
        gate.put("answer", "yes");
        tam.post(
                path + "/events",
                List.of(
                        gate,
                        Happens.event("DONE", "open"),
                        Happens.event("DONE", "wipe"),
                        Happens.event("DONE", "filler-prepare")));
        Caller.Answer a = tam.post(path + "/events", List.of(Happens.reading("filler-mix", "FILLER_G", 120)));
        assertThat(a.at("run.state.mixes.0.creamTargetG").asDouble()).isEqualTo(2.4);
        Map<String, Object> undo = Happens.event("UNDO", "");
        undo.put("target", a.text("run.state.lastUndoable"));
        Caller.Answer back = tam.post(path + "/events", List.of(undo));
        assertThat(back.at("run.state.mixes.0.fillerG").isMissingNode()).isTrue();
        assertThat(back.text("run.state.current")).isEqualTo("filler-mix");
    }

    @Test
    void aTabletWhoseClockIsHoursOffNeverWritesIntoTheFutureOrBeforeTheStart() {
        String path = started("Clock");
        Map<String, Object> late = Happens.event("DONE", "wash");
        late.put("at", TestServer.now().plusSeconds(9000));
        Map<String, Object> early = Happens.event("DONE", "straighten");
        early.put("at", "2001-01-01T00:00:00Z");
        Caller.Answer a = tam.post(path + "/events", List.of(late, early));
        Instant now = Instant.parse(a.text("run.now"));
        Instant frozen = Instant.parse(a.text("run.frozen.frozenAt"));
        a.at("run.state.steps").forEach(s -> {
            if (s.has("doneAt")) {
                assertThat(Instant.parse(s.get("doneAt").asString())).isBetween(frozen, now);
            }
        });
    }

    @Test
    void aLaterHouseRuleNeverReachesAPlanThatWasStarted() {
        Caller isla = TestServer.as("isla");
        String path = started("Frozen");
        String before = tam.get(path + "/run").at("frozen").toString();
        try {
            isla.put("/api/house-rules/ladder", Map.of("answer", "quick"));
            assertThat(tam.get(path + "/run").at("frozen").toString()).isEqualTo(before);
            assertThat(tam.get(path).at("workup.plan.ladder.ratioLimit").asDouble())
                    .isEqualTo(1.7);
        } finally {
            isla.put("/api/house-rules/ladder", Map.of("answer", "fine"));
        }
    }

    @Test
    void manyHandsAtOnceLoseAndDoubleNothing() throws Exception {
        String path = started("Many hands");
        List<Callable<Integer>> calls = new ArrayList<>();
        for (int i = 0; i < 24; i++) {
            Map<String, Object> note = Happens.event("NOTE", "wash");
            note.put("text", "note " + i);
            Callable<Integer> send =
                    () -> tam.post(path + "/events", List.of(note)).status();
            calls.add(send);
            calls.add(send);
        }
        try (ExecutorService pool = Executors.newFixedThreadPool(8)) {
            for (Future<Integer> f : pool.invokeAll(calls)) {
                assertThat(f.get()).isEqualTo(200);
            }
        }
        assertThat(tam.get(path + "/run").at("state.notes").size()).isEqualTo(24);
    }

    @Test
    void theBenchShowsTheRunAndTheNextThingForEachPairOfHands() {
        started("On the bench");
        Caller.Answer bench = tam.get("/api/bench");
        assertThat(bench.at("live").findValuesAsString("name")).contains("On the bench", "Load-door hail dings");
        assertThat(bench.at("hands").size()).isGreaterThanOrEqualTo(2);
        assertThat(bench.at("shop.present").toString()).contains("Tam Okafor");
        assertThat(bench.at("live").toString()).contains("Sand from");
    }

    @Test
    void handsThatAreFreeAreToldTheFirstStepOfTheirNextRepair() {
        int told = 0;
        for (JsonNode h : tam.get("/api/bench").at("hands")) {
            if (h.path("title").asString().startsWith("Begin: ")) {
                JsonNode plan =
                        tam.get("/api/repairs/" + h.path("repair").asLong()).at("workup.plan.steps.0.step.title");
                assertThat(h.path("title").asString()).isEqualTo("Begin: " + plan.asString());
                told++;
            }
        }
        assertThat(told).isPositive();
    }

    @Test
    void twoRepairsInOnePairOfHandsAreToldWhichWaits() {
        String first = started("Tam's first");
        String second = started("Tam's second");
        Caller.Answer bench = tam.get("/api/bench");
        // One of the two is washed now; the other cannot be by the same hands.
        assertThat(bench.at("forOthers").findValuesAsString("whose")).contains("Tam Okafor");
        assertThat(bench.at("forOthers").findValuesAsString("hasName")).containsAnyOf("Tam's first", "Tam's second");
        assertThat(bench.at("live").toString()).contains(first.replaceAll("\\D", ""), second.replaceAll("\\D", ""));
    }

    @Test
    void theDemosFinishedRepairReadsAsARecord() {
        String id = tam.get("/api/repairs/closed?find=Engine-flap").text("closed.0.id");
        Caller.Answer record = tam.get("/api/repairs/" + id + "/record");
        assertThat(record.at("record.deviations.0.text").asString()).startsWith("Cream ⟦2.9");
        assertThat(record.at("record.lines").findValuesAsString("loop")).contains("Low spot", "Pinholes");
        assertThat(record.at("record.lots").toString()).contains("BF-2207").contains("FP-0911");
    }

    @Test
    void notesThatAreTooLongAndTooManyEventsAtOnceAreRefusedKindly() {
        String path = started("Too much");
        Map<String, Object> note = Happens.event("NOTE", "wash");
        note.put("text", "x".repeat(2001));
        assertThat(tam.post(path + "/events", List.of(note)).text("refused.0.problem.message"))
                .contains("2001 characters")
                .contains("at most 2000");
        Map<String, Object> empty = Happens.event("NOTE", "wash");
        assertThat(tam.post(path + "/events", List.of(empty)).text("refused.0.problem.message"))
                .contains("missing");
        List<Map<String, Object>> many = new ArrayList<>();
        for (int i = 0; i < 201; i++) {
            many.add(Happens.event("DONE", "wash"));
        }
        assertThat(tam.post(path + "/events", many).status()).isEqualTo(413);
        Map<String, Object> start = Happens.event("START", "");
        assertThat(tam.post(path + "/events", List.of(start)).text("refused.0.problem.message"))
                .contains("begins with its plan");
    }
}
