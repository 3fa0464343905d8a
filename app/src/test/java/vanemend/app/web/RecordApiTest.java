package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import vanemend.app.Caller;
import vanemend.app.Drafts;
import vanemend.app.Kept;
import vanemend.app.PublishedSchema;
import vanemend.app.TestServer;
import vanemend.app.bench.RepairWork;

class RecordApiTest {
    private static final Pattern UUIDS =
            Pattern.compile("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}");

    private static final Pattern DAYS = Pattern.compile("(\\d{4}-\\d\\d-\\d\\d)T");
    private static final int SEVEN_MONTHS = 213;

    private final Caller tam = TestServer.as("tam");
    private final Caller isla = TestServer.as("isla");

    private String started(String name) {
        String path = "/api/repairs/"
                + tam.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door(name)))
                        .text("id");
        assertThat(tam.post(path + "/start", 1, Map.of("eventId", UUID.randomUUID()))
                        .status())
                .isEqualTo(200);
        return path;
    }

    private Caller.Answer does(Caller who, String path, Map<String, Object> e) {
        return who.post(path + "/events", List.of(e));
    }

    /** The step in hand done, gates passed. */
    private Caller.Answer on(String path, Caller.Answer at) {
        String step = at.text("run.state.current");
        for (JsonNode s : at.at("run.state.steps")) {
            if (s.get("id").asString().equals(step)) {
                return does(
                        tam,
                        path,
                        s.at("/step/gate").isMissingNode()
                                ? Happens.event("DONE", step)
                                : Happens.event("GATE", step, "answer", "yes"));
            }
        }
        throw new AssertionError("no step " + step);
    }

    private Caller.Answer to(String path, String wanted) {
        Caller.Answer at = does(tam, path, Happens.event("NOTE", "", "text", "begun"));
        for (int i = 0; i < 80 && !at.text("run.state.current").equals(wanted); i++) {
            at = on(path, at);
        }
        return at;
    }

    /** A signature for what {@code path} holds now. */
    private Map<String, Object> sign(String path, String answer) {
        Map<String, Object> e = Happens.event("SIGN", "", "answer", answer);
        e.put("target", isla.get(path + "/record").text("newest"));
        return e;
    }

    private static String unsealed(String file) {
        ObjectNode tree = (ObjectNode) new JsonMapper().readTree(file);
        tree.remove("seal");
        return tree.toString();
    }

    private double left(String item) {
        for (JsonNode l : tam.get("/api/shelf").body()) {
            if (l.at("/item/id").asString().equals(item)) {
                return l.at("/item/quantity").asDouble();
            }
        }
        throw new AssertionError("no " + item);
    }

    private static String fillerOf(Caller.Answer at) {
        for (JsonNode m : at.at("run.frozen.workup.plan.mixes")) {
            if (m.get("id").asString().equals("filler")) {
                return m.at("/pour/itemId").asString();
            }
        }
        throw new AssertionError("no filler");
    }

    @Test
    @DisplayName("the shelf follows what was weighed, and follows again when it is put right or taken back")
    void theShelfFollows() {
        String path = started("Shelf follows");
        Caller.Answer at = to(path, "filler-mix");
        String item = fillerOf(at);
        double before = left(item);
        Map<String, Object> weighed = Happens.reading("filler-mix", "FILLER_G", 84.2);
        does(tam, path, weighed);
        assertThat(left(item)).as("weighed is not mixed yet").isEqualTo(before);
        does(tam, path, Happens.event("CLOCK", "filler-mix"));
        assertThat(left(item)).isEqualTo(Math.round((before - 84.2) * 10) / 10.0);
        Map<String, Object> right = Happens.event("AMEND", "", "target", weighed.get("id"));
        right.put("value", 64.2);
        right.put("text", "read it wrong");
        assertThat(does(tam, path, right).at("refused").size()).isZero();
        assertThat(left(item)).isEqualTo(Math.round((before - 64.2) * 10) / 10.0);
        assertThat(tam.get("/api/shelf/" + item + "/acts").toString()).contains("Shelf follows");
    }

    @Test
    @DisplayName("what was taken from the shelf and is taken back stands on it again")
    void takenBackIsOnTheShelfAgain() {
        String path = started("Taken back");
        Caller.Answer at = to(path, "filler-mix");
        String item = fillerOf(at);
        does(tam, path, Happens.reading("filler-mix", "FILLER_G", 10));
        does(tam, path, Happens.event("CLOCK", "filler-mix"));
        double left = left(item);
        double used = 10;
        Map<String, Object> undo = Happens.event("UNDO", "", "target", lastUndoable(path));
        assertThat(does(tam, path, undo).at("refused").size()).isZero();
        assertThat(left(item)).as("taken back, it is on the shelf again").isEqualTo(left + used);
    }

    private String lastUndoable(String path) {
        return tam.get(path + "/run").text("state.lastUndoable");
    }

    @Test
    @DisplayName("what cannot be put right, and who may not sign, is told; the rest is taken")
    void whatIsRefused() {
        String path = started("Refused");
        Map<String, Object> weighed = Happens.reading("wash", "SURFACE_C", 20);
        does(tam, path, weighed);
        Map<String, Object> noReason = Happens.event("AMEND", "", "target", weighed.get("id"));
        noReason.put("value", 21);
        assertThat(does(tam, path, noReason).text("refused.0.problem.message")).contains("reason");
        Map<String, Object> nonsense = Happens.event("AMEND", "", "target", weighed.get("id"));
        nonsense.put("value", 900);
        nonsense.put("text", "typed");
        assertThat(does(tam, path, nonsense).text("refused.0.problem.message")).contains("from ⟦-20 to 120 °C⟧");
        Map<String, Object> nothing = Happens.event("AMEND", "", "target", UUID.randomUUID());
        nothing.put("value", 1);
        nothing.put("text", "?");
        assertThat(does(tam, path, nothing).text("refused.0.problem.message")).contains("not there");
        assertThat(does(tam, path, sign(path, "signed")).text("refused.0.problem.message"))
                .contains("Only a lead");
        assertThat(does(isla, path, sign(path, "back")).text("refused.0.problem.message"))
                .contains("Why it goes back");
        Caller.Answer early = does(isla, path, sign(path, "signed"));
        assertThat(early.at("run.state.signed").isMissingNode())
                .as("not finished")
                .isTrue();
    }

    @Test
    @DisplayName("a record written out and read into another place is the same record, names and all; twice is refused")
    void roundTrip() throws IOException {
        String path = started("Travels ünd back");
        Caller.Answer at = to(path, "filler-mix");
        does(tam, path, Happens.reading("filler-mix", "FILLER_G", 61.2));
        does(tam, path, Happens.event("CLOCK", "filler-mix"));
        for (int i = 0; i < 90 && at.at("run.state.finishedAt").isMissingNode(); i++) {
            at = on(
                    path,
                    at.text("run.state.current").isEmpty()
                            ? at
                            : does(tam, path, Happens.event("NOTE", "", "text", "x")));
        }
        assertThat(does(isla, path, sign(path, "signed"))
                        .at("run.state.signed.stands")
                        .asBoolean())
                .isTrue();
        String text = new String(tam.bytes(path + "/record.json"), StandardCharsets.UTF_8);
        assertThat(PublishedSchema.against("record", text)).isEmpty();
        assertThat(PublishedSchema.against("record", text.replace("\"DONE\"", "\"DID\"")))
                .isNotEmpty();
        assertThat(PublishedSchema.against("record", text.replace("\"frozenAt\"", "\"frozen\"")))
                .isNotEmpty();
        assertThat(isla.raw("/api/records", text).status()).as("here already").isEqualTo(409);
        // Another installation has none of these ids: the same file with every id renamed.
        String elsewhere = unsealed(text);
        Map<String, String> renamed = new HashMap<>();
        elsewhere = UUIDS.matcher(elsewhere)
                .replaceAll(m -> renamed.computeIfAbsent(
                        m.group(), x -> UUID.randomUUID().toString()));
        assertThat(tam.raw("/api/records", elsewhere).status())
                .as("a technician may not")
                .isEqualTo(403);
        Caller.Answer in = isla.raw("/api/records", elsewhere);
        assertThat(in.status()).isEqualTo(200);
        ObjectNode was = (ObjectNode) tam.get(path + "/record").at("record");
        ObjectNode is = (ObjectNode)
                tam.get("/api/repairs/" + in.text("id") + "/record").at("record");
        JsonNode same = new JsonMapper().readTree(renamed(was.toString(), renamed));
        assertThat(is).isEqualTo(same);
        assertThat(is.at("/people/0").asString()).isEqualTo("Tam Okafor");
        assertThat(tam.get("/api/audit").status()).isEqualTo(403);
        assertThat(isla.get("/api/audit").body().toString()).contains("Read in: Travels", "SIGN_IN");
    }

    @Test
    @DisplayName(
            "a sealed file with one figure changed is refused; without its seal it is read in and says so on the record")
    void aChangedCopy() {
        String path = started("Sealed copy");
        does(tam, path, Happens.reading("wash", "SURFACE_C", 19));
        String text = new String(tam.bytes(path + "/record.json"), StandardCharsets.UTF_8);
        ObjectNode changed = (ObjectNode) new JsonMapper().readTree(text);
        ((ObjectNode) changed.at("/events/1")).put("value", 21.0);
        Caller.Answer refused = isla.raw("/api/records", changed.toString());
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("detail")).contains("not as it was written", "Nothing of it was kept");
        TestServer.elsewhere(there -> {
            String id = there.raw("/api/records", unsealed(changed.toString())).text("id");
            assertThat(there.get("/api/repairs/" + id + "/record").text("origin.seal"))
                    .isEqualTo("NONE");
        });
        assertThat(tam.get(path + "/record").at("origin").isMissingNode())
                .as("work done here")
                .isTrue();
    }

    @Test
    @DisplayName(
            "a signature names the newest event that was seen and holds for just that: later events ask for a new one, and what is changed"
                    + " in the store itself is told")
    void whatASignatureHoldsFor() {
        String path = started("Signed and held");
        does(tam, path, Happens.event("NOTE", "", "text", "the hinge side"));
        Map<String, Object> end = Happens.event("END", "", "answer", "WITHDRAWN");
        end.put("text", "the customer took it away");
        does(tam, path, end);
        Map<String, Object> late = sign(path, "signed");
        does(tam, path, Happens.event("NOTE", "", "text", "one more word"));
        assertThat(does(isla, path, late).text("refused.0.problem.message")).contains("went on since you looked");
        Map<String, Object> nothing = Happens.event("SIGN", "", "answer", "signed");
        assertThat(does(isla, path, nothing).text("refused.0.problem.field")).isEqualTo("target");

        Map<String, Object> signed = sign(path, "signed");
        assertThat(does(isla, path, signed).at("refused")).isEmpty();
        assertThat(does(isla, path, signed).at("refused"))
                .as("sent again, its answer was lost")
                .isEmpty();
        JsonNode holds = tam.get(path + "/record").at("signature");
        assertThat(holds.at("/digest").asString()).matches("[0-9a-f]{64}");
        assertThat(holds.at("/holds").asBoolean()).isTrue();

        JdbcClient db = TestServer.owner();
        assertThatThrownBy(() -> TestServer.db()
                        .sql("DROP TRIGGER bench_event_never_changed")
                        .update())
                .as("the application's own account")
                .rootCause()
                .hasMessageContaining("denied");
        String trigger = "CREATE TRIGGER bench_event_never_changed BEFORE UPDATE ON bench_event FOR EACH ROW"
                + " SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'bench events are never changed'";
        String change = "UPDATE bench_event SET text = ? WHERE id = ?";
        db.sql("DROP TRIGGER bench_event_never_changed").update();
        try {
            db.sql(change).params("he broke it", end.get("id").toString()).update();
            assertThat(tam.get(path + "/record").at("signature.holds").asBoolean())
                    .isFalse();
            assertThat(tam.get(path + "/record.pdf").status()).isEqualTo(200);
            db.sql(change).params(end.get("text"), end.get("id").toString()).update();
        } finally {
            db.sql(trigger).update();
        }
        assertThat(tam.get(path + "/record").at("signature.holds").asBoolean()).isTrue();
        does(tam, path, Happens.event("NOTE", "", "text", "found a scratch"));
        assertThat(tam.get(path + "/record").at("record.signed").isMissingNode())
                .isTrue();
    }

    @Test
    @DisplayName("a damaged record file is refused and leaves nothing behind: every list answers as before")
    void damagedFiles() {
        JsonMapper json = new JsonMapper();
        String kept = Kept.text("record-5-dent-filler-putty.json");
        List<String> missing = List.of(
                "/draft", "/workup", "/by", "/frozenAt", "/workup/plan", "/workup/plan/steps", "/workup/verdict");
        for (String place : missing) {
            // Every id is its own: each file is another repair.
            ObjectNode file = (ObjectNode) json.readTree(UUIDS.matcher(kept)
                    .replaceAll(m -> UUID.nameUUIDFromBytes((m.group() + place).getBytes(StandardCharsets.UTF_8))
                            .toString()));
            int last = place.lastIndexOf('/');
            ((ObjectNode) file.at("/frozen" + place.substring(0, last))).remove(place.substring(last + 1));
            assertThat(isla.raw("/api/records", file.toString()).status())
                    .as("without " + place)
                    .isIn(400, 422);
        }
        for (String list : List.of("/api/repairs", "/api/records", "/api/bench")) {
            assertThat(tam.get(list).status()).as(list).isEqualTo(200);
        }
    }

    @Test
    @DisplayName("a row that cannot be read stands in the list as such, and harms no other")
    void aRowThatCannotBeRead() {
        String path = started("Row that breaks");
        String other = started("Row that stays whole");
        long id = Long.parseLong(path.replaceAll(".*/", ""));
        JdbcClient db = TestServer.bean(JdbcClient.class);
        String was = db.sql("SELECT draft FROM repair WHERE id = ?")
                .param(id)
                .query(String.class)
                .single();
        db.sql("UPDATE repair SET draft = ? WHERE id = ?")
                .params("{\"part\": 5}", id)
                .update();
        try {
            Caller.Answer list = tam.get("/api/repairs");
            assertThat(list.status()).isEqualTo(200);
            assertThat(list.body().toString())
                    .contains("What is kept of repair " + id + " cannot be read", "Row that stays whole");
            assertThat(tam.get("/api/bench").status()).isEqualTo(200);
            assertThat(tam.get("/api/records").status()).isEqualTo(200);
            assertThat(tam.get(other).status()).isEqualTo(200);
        } finally {
            db.sql("UPDATE repair SET draft = ? WHERE id = ?").params(was, id).update();
        }
    }

    @Test
    @DisplayName("a hairline sealed seven months ago stands on the bench: its 6-month look is due")
    void aLookThatIsDueIsOnTheBench() {
        String path = "/api/repairs/"
                + tam.get("/api/repairs")
                        .body()
                        .valueStream()
                        .filter(r -> r.get("name").asString().equals("Roof-pod gelcoat hairline"))
                        .findFirst()
                        .map(r -> tam.post(
                                        "/api/repairs",
                                        Map.of(
                                                "clientId",
                                                UUID.randomUUID(),
                                                "draft",
                                                tam.get("/api/repairs/"
                                                                + r.get("id").asInt())
                                                        .at("draft")))
                                .text("id"))
                        .orElseThrow();
        assertThat(tam.post(path + "/start", 1, Map.of("eventId", UUID.randomUUID()))
                        .status())
                .isEqualTo(200);
        Caller.Answer at = does(tam, path, Happens.event("NOTE", "", "text", "x"));
        for (int i = 0; i < 90 && at.at("run.state.finishedAt").isMissingNode(); i++) {
            at = on(path, at);
        }
        // Every day in it seven months earlier, each by itself: the work may have gone on past midnight.
        String old = DAYS.matcher(unsealed(new String(tam.bytes(path + "/record.json"), StandardCharsets.UTF_8)))
                .replaceAll(m -> LocalDate.parse(m.group(1)).minusDays(SEVEN_MONTHS) + "T");
        Map<String, String> renamed = new HashMap<>();
        old = UUIDS.matcher(old)
                .replaceAll(m -> renamed.computeIfAbsent(
                        m.group(), x -> UUID.randomUUID().toString()));
        Caller.Answer in = isla.raw("/api/records", old);
        assertThat(in.status()).isEqualTo(200);
        JsonNode again = tam.get("/api/bench").at("again");
        assertThat(again).hasSize(1);
        assertThat(again.at("/0/repair").asString()).isEqualTo(in.text("id"));
        assertThat(Instant.parse(again.at("/0/look/due").asString())).isBefore(TestServer.now());
        assertThat(again.at("/0/look/what").asString()).startsWith("After ⟦6 months⟧");
    }

    @Test
    @DisplayName("read into an empty installation by its first lead, a record is the same to the last figure")
    void intoAnotherInstallation() {
        String path = started("Moves house");
        does(tam, path, Happens.event("DONE", "wash"));
        does(tam, path, Happens.event("NOTE", "straighten", "text", "hinge side first"));
        byte[] written = tam.bytes(path + "/record.json");
        JsonNode was = tam.get(path + "/record").at("record");
        String here = tam.get("/api/records/key").text("fingerprint");
        TestServer.elsewhere(there -> {
            assertThat(there.get("/api/repairs").body()).isEmpty();
            Caller.Answer in = there.raw("/api/records", new String(written, StandardCharsets.UTF_8));
            assertThat(in.status()).isEqualTo(200);
            String id = in.text("id");
            assertThat(there.get("/api/repairs/" + id + "/record").at("record")).isEqualTo(was);
            assertThat(unsealed(new String(there.bytes("/api/repairs/" + id + "/record.json"), StandardCharsets.UTF_8)))
                    .isEqualTo(unsealed(new String(written, StandardCharsets.UTF_8)));
            assertThat(there.get("/api/repairs/" + id + "/record").text("origin.seal"))
                    .isEqualTo("OTHER");
            assertThat(there.get("/api/repairs/" + id + "/record").text("origin.by"))
                    .isEqualTo(here)
                    .isNotEqualTo(there.get("/api/records/key").text("fingerprint"));
        });
    }

    private static String renamed(String text, Map<String, String> names) {
        String out = text;
        for (Map.Entry<String, String> e : names.entrySet()) {
            out = out.replace(e.getKey(), e.getValue());
        }
        return out;
    }

    @Test
    void nonsenseIsNoRecord() {
        for (String text :
                List.of("{}", "[]", "x", "{\"format\":\"vane-mend-record-1\",\"events\":[{}]}", "{\"format\":7")) {
            Caller.Answer a = isla.raw("/api/records", text);
            assertThat(a.status()).as(text).isBetween(400, 422);
            assertThat(a.text("detail")).as(text).isNotBlank();
        }
    }

    @Test
    @DisplayName("found by vehicle, lot, material, damage, person, day and deviation, every word of the question met")
    void found() {
        String path = started("Needle in the hay");
        does(tam, path, Happens.event("NOTE", "wash", "text", "deep scratch beside it"));
        String id = path.substring(path.lastIndexOf('/') + 1);
        String lot = tam.get(path + "/record").text("record.lots.0.lot");
        for (String asked : List.of(
                "needle",
                "NEEDLE hay",
                lot.toLowerCase(java.util.Locale.ROOT),
                "needle dent",
                "needle metal",
                "needle " + lot)) {
            Caller.Answer a = tam.get("/api/records?find=" + asked.replace(" ", "%20"));
            assertThat(a.body().findValuesAsString("id")).as(asked).contains(id);
        }
        assertThat(tam.get("/api/records?find=needle%20glass-resin").at("found").size())
                .isZero();
        assertThat(tam.get("/api/records?after=yesterday").text("detail"))
                .contains("yesterday is no place in this list");
        assertThat(tam.get("/api/records?find=" + "x".repeat(300)).status()).isEqualTo(422);
    }

    @Test
    @DisplayName(
            "closed work leaves the open list for the closed one, is found by how it ended, and is sorted in again where an update lost it")
    void closedWork() {
        String path = started("Closed and found");
        long id = Long.parseLong(path.replaceAll(".*/", ""));
        Map<String, Object> end = Happens.event("END", "", "text", "frame is bent");
        end.put("answer", "REFERRED");
        assertThat(does(tam, path, end).text("run.state.ended.how")).isEqualTo("REFERRED");
        assertClosed(id);

        // As a store that an earlier release closed it in.
        JdbcClient db = TestServer.bean(JdbcClient.class);
        for (String table : List.of("closed_run_key", "closed_run_look", "closed_run")) {
            db.sql("DELETE FROM " + table + " WHERE repair_id = ?").param(id).update();
        }
        db.sql("UPDATE repair SET closed_at = NULL WHERE id = ?").param(id).update();
        assertThat(ids(tam.get("/api/repairs").body())).contains(id);
        Caller.Answer found = tam.get("/api/records?find=closed%20found");
        assertThat(found.at("found").size()).isZero();
        assertThat(found.at("unsorted").asInt()).isPositive();
        assertThat(tam.get("/api/bench").body().toString()).doesNotContain("Closed and found");
        assertThat(TestServer.bean(RepairWork.class).sort(id)).isTrue();
        assertClosed(id);
    }

    private void assertClosed(long id) {
        assertThat(ids(tam.get("/api/repairs").body())).doesNotContain(id);
        assertThat(ids(tam.get("/api/repairs/closed?find=closed%20found").at("closed")))
                .containsExactly(id);
        Caller.Answer found = tam.get("/api/records?find=found%20closed%20dent");
        assertThat(ids(found.at("found"))).containsExactly(id);
        assertThat(ids(tam.get("/api/records?find=closed%20found%20referred").at("found")))
                .as("by how it ended")
                .containsExactly(id);
    }

    private static List<Long> ids(JsonNode list) {
        return list.valueStream().map(r -> r.get("id").asLong()).toList();
    }

    @Test
    @DisplayName("record as CSV and PDF, read by readers that did not write them")
    void csvAndPdf() throws IOException {
        String path = started("Paper trail");
        to(path, "filler-mix");
        does(tam, path, Happens.reading("filler-mix", "FILLER_G", 60));
        String csv = new String(tam.bytes(path + "/record.csv"), StandardCharsets.UTF_8);
        try (CSVParser p = CSVParser.parse(
                csv,
                CSVFormat.DEFAULT
                        .builder()
                        .setHeader()
                        .setSkipHeaderRecord(true)
                        .get())) {
            assertThat(p.getRecords())
                    .anyMatch(r -> r.get("what").equals("step") && r.get("step").equals("wash"));
        }
        try (PDDocument doc = Loader.loadPDF(tam.bytes(path + "/record.pdf"))) {
            String text = new PDFTextStripper().getText(doc);
            assertThat(text)
                    .contains("Record: Paper trail", "Steps, planned against done", "Tam Okafor", "Not signed yet");
            assertThat(doc.getNumberOfPages()).isBetween(2, 4);
        }
    }
}
