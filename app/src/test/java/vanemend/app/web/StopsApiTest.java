package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.app.Caller;
import vanemend.app.Drafts;
import vanemend.app.TestServer;

@DisplayName(
        "stops over the wire: they stand for everybody, each way out of them works, and nothing is taken back that must stand")
class StopsApiTest {
    private final Caller tam = TestServer.as("tam");
    private final Caller isla = TestServer.as("isla");
    private final Caller priya = TestServer.as("priya");

    private String atDepth(String name) {
        String path = "/api/repairs/"
                + tam.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door(name)))
                        .text("id");
        tam.post(path + "/start", 1, Map.of("eventId", UUID.randomUUID()));
        Caller.Answer a =
                tam.post(path + "/events", List.of(Happens.event("DONE", "wash"), Happens.event("DONE", "straighten")));
        assertThat(a.text("run.state.current")).isEqualTo("depth");
        return path;
    }

    private static Map<String, Object> yes(String step) {
        Map<String, Object> e = Happens.event("GATE", step);
        e.put("answer", "yes");
        return e;
    }

    private static Map<String, Object> said(String kind, String step, String text) {
        Map<String, Object> e = Happens.event(kind, step);
        e.put("text", text);
        return e;
    }

    @Test
    @DisplayName(
            "9 mm: nobody gets through the gate, the bench and the list say so, until it is measured again and passes")
    void stands() {
        String path = atDepth("Stop stands");
        tam.post(path + "/events", List.of(Happens.reading("depth", "DEPTH_MM", 9)));
        Caller.Answer other = priya.post(path + "/events", List.of(yes("depth")));
        assertThat(other.text("run.state.current")).isEqualTo("depth");
        assertThat(other.text("run.state.stops.0.title")).isEqualTo("Too deep to fill");
        assertThat(other.at("refused").size()).isZero();
        assertThat(tam.get("/api/bench").body().toString()).contains("Too deep to fill");
        assertThat(tam.get("/api/repairs").body().toString()).contains("Stop: Too deep to fill");
        Caller.Answer passed =
                tam.post(path + "/events", List.of(Happens.reading("depth", "DEPTH_MM", 2.4), yes("depth")));
        assertThat(passed.at("run.state.stops").size()).isZero();
        assertThat(passed.text("run.state.current")).isEqualTo("open");
    }

    @Test
    @DisplayName(
            "planned anew: what was read is in the draft, the second plan is frozen beside the first, the record tells both")
    void anew() {
        String path = atDepth("Planned anew");
        tam.post(path + "/events", List.of(Happens.reading("depth", "DEPTH_MM", 5)));
        assertThat(tam.post(path + "/anew", Map.of("reason", " ")).status()).isEqualTo(422);
        Caller.Answer draft = tam.post(path + "/anew", Map.of("reason", "deeper than it looked"));
        assertThat(draft.status()).isEqualTo(200);
        assertThat(draft.text("anew")).isEqualTo("deeper than it looked");
        assertThat(draft.at("draft.damages.0.depthMm").asDouble()).isEqualTo(5);
        assertThat(draft.at("frozenAt").isMissingNode() || draft.at("frozenAt").isNull())
                .isTrue();
        assertThat(tam.get(path + "/run").text("anew")).isEqualTo("deeper than it looked");
        int version = draft.at("version").asInt();
        Caller.Answer begun = tam.post(path + "/start", version, Map.of("eventId", UUID.randomUUID()));
        assertThat(begun.status()).as(begun.body().toString()).isEqualTo(200);
        assertThat(begun.at("plan").asInt()).isEqualTo(2);
        assertThat(begun.text("state.steps.0.carried")).isEqualTo("true");
        assertThat(tam.put(path, version, Drafts.door("Too late")).status()).isEqualTo(409);
        Caller.Answer record = tam.get(path + "/record");
        assertThat(record.text("record.former.0.why")).isEqualTo("deeper than it looked");
        assertThat(record.at("record.former.0.lines").size()).isEqualTo(2);
        // Written out and read in elsewhere it is the same: both plans, both legs.
        Caller.Answer file = isla.get(path + "/record.json");
        assertThat(file.body().toString()).contains("\"anew\":[{");
        assertThat(file.at("events").findValuesAsString("kind")).contains("PLAN");
    }

    @Test
    @DisplayName("what a gate's answer says can never be mended is not planned away")
    void neverPlanned() {
        String path = "/api/repairs/"
                + tam.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.tyre("Plies apart")))
                        .text("id");
        tam.post(path + "/start", 1, Map.of("eventId", UUID.randomUUID()));
        for (int i = 0; i < 10 && !tam.get(path + "/run").text("state.current").equals("probe"); i++) {
            tam.post(
                    path + "/events",
                    List.of(Happens.event("DONE", tam.get(path + "/run").text("state.current"))));
        }
        tam.post(path + "/events", List.of(Happens.event("GATE", "probe", "answer", "scrap")));
        Caller.Answer a = tam.post(path + "/anew", Map.of("reason", "try another way"));
        assertThat(a.status()).isEqualTo(409);
        assertThat(a.text("detail")).contains("No plan mends that");
    }

    @Test
    @DisplayName("planned anew and let go: the run keeps its plan, and its draft is as it was frozen")
    void kept() {
        String path = atDepth("Kept plan");
        tam.post(path + "/events", List.of(Happens.reading("depth", "DEPTH_MM", 5)));
        double before =
                tam.get(path + "/run").at("frozen.draft.damages.0.depthMm").asDouble();
        tam.post(path + "/anew", Map.of("reason", "deeper"));
        Caller.Answer back = tam.delete(path + "/anew");
        assertThat(back.at("draft.damages.0.depthMm").asDouble()).isEqualTo(before);
        assertThat(back.text("frozenAt")).isNotEmpty();
        assertThat(tam.get(path + "/run").at("plan").asInt()).isEqualTo(1);
    }

    @Test
    @DisplayName(
            "ended: a reason and what becomes of it are asked; list and record say so; it can be signed, and no step goes on")
    void ended() {
        String path = atDepth("Ended here");
        assertThat(tam.post(path + "/events", List.of(said("END", "", "why not")))
                        .at("refused")
                        .size())
                .isEqualTo(1);
        Map<String, Object> end = said("END", "", "too deep to straighten");
        end.put("answer", "REFERRED");
        Caller.Answer a = tam.post(path + "/events", List.of(end, yes("depth")));
        assertThat(a.text("run.state.ended.how")).isEqualTo("REFERRED");
        assertThat(tam.get("/api/repairs/closed").body().toString()).contains("too deep to straighten");
        assertThat(tam.get("/api/bench").body().toString()).doesNotContain("Ended here");
        Map<String, Object> sign = Happens.event("SIGN", "");
        sign.put("answer", "signed");
        sign.put("target", isla.get(path + "/record").text("newest"));
        assertThat(isla.post(path + "/events", List.of(sign)).text("run.state.signed.by"))
                .isNotEmpty();
        assertThat(isla.get(path + "/record.pdf").status()).isEqualTo(200);
    }

    @Test
    @DisplayName("only a lead goes against a stop, and only against one of care")
    void against() {
        String path = atDepth("Against");
        Map<String, Object> reading = Happens.reading("depth", "DEPTH_MM", 9);
        tam.post(path + "/events", List.of(reading));
        Map<String, Object> against = said("AGAINST", "", "it is a trial part");
        against.put("target", reading.get("id"));
        assertThat(tam.post(path + "/events", List.of(against)).text("refused.0.problem.message"))
                .contains("Only a lead");
        Map<String, Object> lead = said("AGAINST", "", "it is a trial part");
        lead.put("target", reading.get("id"));
        Caller.Answer a = isla.post(path + "/events", List.of(lead));
        assertThat(a.at("run.state.stops").size())
                .as("too deep guards the part's strength")
                .isEqualTo(1);
    }

    @Test
    @DisplayName("only one's own last act is taken back; the beginning and a signature never")
    void undo() {
        String path = atDepth("Undo");
        String start = tam.get(path + "/record.json").at("events.0.id").asString();
        Map<String, Object> note = said("NOTE", "depth", "hail");
        Map<String, Object> reading = Happens.reading("depth", "DEPTH_MM", 2);
        Map<String, Object> gate = yes("depth");
        tam.post(path + "/events", List.of(note, reading, gate));
        assertThat(undone(tam, path, start)).contains("not taken back");
        assertThat(undone(priya, path, gate.get("id"))).contains("only they take it back");
        tam.post(path + "/events", List.of(Happens.event("DONE", "open")));
        assertThat(undone(tam, path, gate.get("id"))).contains("only the last act");
        assertThat(undone(tam, path, note.get("id"))).isEmpty();
        assertThat(tam.get(path + "/run").text("state.current")).isNotEqualTo("depth");
    }

    private static String undone(Caller who, String path, Object target) {
        Map<String, Object> undo = Happens.event("UNDO", "");
        undo.put("target", target);
        Caller.Answer a = who.post(path + "/events", List.of(undo));
        return a.at("refused").isEmpty() ? "" : a.text("refused.0.problem.message");
    }

    @Test
    @DisplayName("too much cream never goes live; scrapped it is off the shelf, and the mix comes again")
    void scrapped() {
        String path = atDepth("Scrapped");
        tam.post(path + "/events", List.of(Happens.reading("depth", "DEPTH_MM", 2), yes("depth")));
        String step = "depth";
        for (int i = 0; i < 20; i++) {
            Caller.Answer run = tam.get(path + "/run");
            step = run.text("state.current");
            if (run.at("state.before").size() > 0) {
                break;
            }
            tam.post(path + "/events", List.of(Happens.event("DONE", step)));
        }
        Map<String, Object> start = Happens.event("CLOCK", step);
        tam.post(
                path + "/events",
                List.of(Happens.reading(step, "FILLER_G", 50), Happens.reading(step, "CREAM_G", 5), start));
        Caller.Answer a = tam.get(path + "/run");
        assertThat(a.text("state.current")).isEqualTo(step);
        assertThat(a.at("state.clocks").size()).isZero();
        Caller.Answer after = tam.post(path + "/events", List.of(said("SCRAP", step, "too much cream")));
        assertThat(after.text("run.state.current")).isEqualTo(step + "~2");
        assertThat(tam.get(path + "/record").body().toString()).contains("Thrown away");
        assertThat(tam.get(path + "/record").at("record.used").size()).isPositive();
    }
}
