package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import vanemend.app.Caller;
import vanemend.app.TestServer;

/**
 * Requests made up from a seed: what the application itself would send, with parts of it taken out, turned or replaced by nonsense. None may be
 * answered by a fault of the server, and every refusal says what is wrong. {@code -Dvanemend.requests} and {@code -Dvanemend.seed} make more or
 * others.
 */
class GeneratedRequestsTest {
    private static final int REQUESTS = Integer.getInteger("vanemend.requests", 2_500);
    private static final long SEED = Long.getLong("vanemend.seed", 20_261_129);
    private static final Pattern UUIDS =
            Pattern.compile("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}");
    private static final JsonMapper JSON = new JsonMapper();

    private final RandomGenerator random =
            RandomGeneratorFactory.of("L64X128MixRandom").create(SEED);
    private final List<JsonNode> drafts = new ArrayList<>();
    private final List<String> repairs =
            new ArrayList<>(List.of("0", "-1", "999999", "9223372036854775807", "x", "%20"));
    private final Map<String, String> faults = new TreeMap<>();
    private JsonNode record;

    private <T> T one(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private JsonNode nonsense() {
        return switch (random.nextInt(12)) {
            case 0 -> JSON.nullNode();
            case 1 -> JSON.getNodeFactory().booleanNode(random.nextBoolean());
            case 2 -> JSON.getNodeFactory().numberNode(-random.nextInt(1000));
            case 3 -> JSON.getNodeFactory().numberNode(random.nextDouble() * 1e12);
            case 4 -> JSON.getNodeFactory().numberNode(1e-12);
            case 5 -> JSON.getNodeFactory().numberNode(Long.MAX_VALUE);
            case 6 -> JSON.getNodeFactory().stringNode("");
            case 7 -> JSON.getNodeFactory().stringNode("x".repeat(random.nextInt(6000)));
            case 8 -> JSON.getNodeFactory().stringNode("\u0000\u202e<script>' OR 1=1 --\ud83d\ude00");
            case 9 -> JSON.getNodeFactory().stringNode("2026-13-45T99:00:00Z");
            case 10 -> JSON.createArrayNode().add(1).add("two");
            default -> JSON.createObjectNode().put("unknown", 1);
        };
    }

    /** A copy with a few places turned into something else. */
    private JsonNode turned(JsonNode good) {
        JsonNode out = good.deepCopy();
        for (int i = random.nextInt(4); i > 0; i--) {
            out = turnedOnce(out);
        }
        return out;
    }

    private JsonNode turnedOnce(JsonNode node) {
        if (node instanceof ObjectNode o && !o.isEmpty() && random.nextInt(12) > 0) {
            String field = one(List.copyOf(o.propertyNames()));
            switch (random.nextInt(5)) {
                case 0 -> o.remove(field);
                case 1 -> o.set(field, nonsense());
                default -> o.set(field, turnedOnce(o.get(field)));
            }
            return o;
        }
        if (node instanceof ArrayNode a && !a.isEmpty() && random.nextInt(12) > 0) {
            int at = random.nextInt(a.size());
            switch (random.nextInt(5)) {
                case 0 -> a.remove(at);
                case 1 -> a.add(a.get(at).deepCopy());
                default -> a.set(at, turnedOnce(a.get(at)));
            }
            return a;
        }
        return node.isNumber() && random.nextBoolean()
                ? JSON.getNodeFactory().numberNode(node.asDouble() * (random.nextDouble() * 4 - 1))
                : nonsense();
    }

    /** Every id is its own: the file is another repair's. */
    private String renamed(String file) {
        long mark = random.nextLong();
        return UUIDS.matcher(file)
                .replaceAll(m -> UUID.nameUUIDFromBytes((m.group() + mark).getBytes(StandardCharsets.UTF_8))
                        .toString());
    }

    private JsonNode tree(Object value) {
        return turned(JSON.valueToTree(value));
    }

    private JsonNode event() {
        List<String> kinds = List.of(
                "CLOCK", "DONE", "GATE", "READING", "NOTE", "UNDO", "AMEND", "TAKE", "SIGN", "SCRAP", "END", "AGAINST",
                "START");
        ObjectNode e = JSON.createObjectNode()
                .put("id", UUID.randomUUID().toString())
                .put("kind", one(kinds))
                .put("at", TestServer.now().toString())
                .put("step", one(List.of("wash", "straighten", "depth", "filler-mix", "", "nowhere")))
                .put("answer", one(List.of("yes", "signed", "back", "REFERRED", "low", "")))
                .put("quantity", one(List.of("DEPTH_MM", "FILLER_G", "SURFACE_C")))
                .put("value", random.nextDouble() * 100)
                .put("text", "because")
                .put("target", UUID.randomUUID().toString());
        return random.nextInt(3) == 0 ? turned(e) : e;
    }

    private Caller.Answer ask(Caller who) {
        String id = one(repairs);
        String path = "/api/repairs/" + id;
        return switch (random.nextInt(28)) {
            case 0, 1, 2, 3 -> who.post("/api/preview", turned(one(drafts)));
            case 4 -> who.post("/api/preview/stack", turned(one(drafts)));
            case 5 -> who.put(path, random.nextInt(3), turned(one(drafts)));
            case 6 -> {
                ObjectNode body = JSON.createObjectNode()
                        .put("clientId", UUID.randomUUID().toString());
                body.set("draft", turned(one(drafts)));
                Caller.Answer made = who.post("/api/repairs", random.nextInt(5) == 0 ? turned(body) : body);
                if (made.status() == 201) {
                    repairs.add(made.text("id"));
                }
                yield made;
            }
            case 7 -> who.post(path + "/start", random.nextInt(1, 3), tree(Map.of("eventId", UUID.randomUUID())));
            case 8, 9, 10 -> {
                ArrayNode all = JSON.createArrayNode();
                for (int i = random.nextInt(4); i >= 0; i--) {
                    all.add(event());
                }
                yield who.post(path + "/events", all);
            }
            case 11 ->
                who.get(path
                        + one(List.of(
                                "", "/run", "/record", "/pictures", "/record.json", "/record.csv", "/readings.csv")));
            case 12 ->
                who.get(path
                        + one(List.of(
                                "/record.pdf", "/sheet.pdf", "/templates.pdf", "/templates.svg", "/templates.dxf")));
            case 13 -> who.post(path + "/overrules", 1, tree(Map.of("ruleId", "dent-depth", "reason", "why not")));
            case 14 ->
                random.nextBoolean()
                        ? who.post(path + "/anew", tree(Map.of("reason", "x")))
                        : who.delete(path + "/anew");
            case 15 ->
                who.text(
                        path + "/readings.csv",
                        "at,step,quantity,value,source\n" + nonsense().toString());
            case 16 ->
                who.post(
                        "/api/identify",
                        tree(Map.of(
                                "mark",
                                ">PP+EPDM-TD20<",
                                "tests",
                                List.of(Map.of("test", "FLOAT", "result", "FLOATS")))));
            case 17 -> who.post("/api/shelf", tree(item()));
            case 18 -> who.put("/api/shelf/gen", random.nextInt(5), tree(item()));
            case 19 ->
                who.post(
                        "/api/shelf/" + one(List.of("gen", "none", "body-filler")) + "/acts",
                        tree(Map.of("act", "USE", "quantity", 1.5, "said", "x")));
            case 20 ->
                who.post(
                        "/api/shelf/file" + one(List.of("", "/preview")),
                        tree(Map.of(
                                "text",
                                "id,classId,name,lot,quantity,unit\n"
                                        + nonsense().toString())));
            case 21 ->
                who.put(
                        "/api/shop/" + one(List.of("air", "place")),
                        tree(Map.of("tempC", 20, "rhPercent", 50, "latitudeDeg", 55, "longitudeDeg", -3)));
            case 22 ->
                who.put(
                        "/api/house-rules/" + one(List.of("chip", "peroxide-dose", "none")),
                        tree(Map.of("answer", "weigh-2")));
            case 23 -> {
                ObjectNode body = JSON.createObjectNode();
                body.set("rule", tree(Map.of("kind", "PAPER", "step", "wash", "reason", "x")));
                body.set("repair", turned(one(drafts)));
                yield who.post("/api/house-pages" + one(List.of("", "/tried")), body);
            }
            case 24 ->
                who.put(
                        "/api/devices/" + one(List.of("SCALE", "SURFACE", "AIR", "NONE"))
                                + one(List.of("/knobs/surface", "/fault", "/log")),
                        tree(Map.of("value", 3, "fault", "NONE", "repair", 1)));
            case 25 ->
                who.get("/api/"
                        + one(List.of(
                                "thumb/grit?",
                                "thumb/overlap?",
                                "thumb/flash?",
                                "thumb/ratio?",
                                "bead?",
                                "records?find=",
                                "none?"))
                        + "from=" + random.nextInt() + "&percent=" + random.nextInt() + "&find=" + random.nextInt());
            case 26 -> who.raw("/api/records", renamed(turned(record).toString()));
            default ->
                who.post(
                        "/api/people",
                        tree(Map.of(
                                "id",
                                "g" + random.nextInt(50),
                                "name",
                                "G",
                                "role",
                                "APPRENTICE",
                                "password",
                                "short")));
        };
    }

    private Map<String, Object> item() {
        return Map.of(
                "id",
                "gen",
                "classId",
                "body-filler",
                "name",
                "Gen",
                "lot",
                "G",
                "quantity",
                800,
                "unit",
                "g",
                "workMin",
                5,
                "packQuantity",
                1000,
                "sand",
                List.of(Map.of("atC", 21, "minutes", 18)),
                "expires",
                "2030-01-01");
    }

    @Test
    @DisplayName(
            "no request made up from a seed is answered by a fault of the server, and every refusal is a problem that says what is wrong")
    void noFaults() {
        TestServer.demoElsewhere(isla -> {
            for (JsonNode r : isla.get("/api/repairs").body()) {
                String id = r.get("id").asString();
                repairs.add(id);
                drafts.add(isla.get("/api/repairs/" + id).at("draft"));
                if (record == null && isla.get("/api/repairs/" + id + "/record").status() == 200) {
                    ObjectNode file = (ObjectNode)
                            isla.get("/api/repairs/" + id + "/record.json").body();
                    file.remove("seal");
                    file.put("repair", UUID.randomUUID().toString());
                    record = file;
                }
            }
            for (int i = 0; i < REQUESTS; i++) {
                Caller.Answer a = ask(isla);
                if (a.status() >= 500) {
                    faults.merge(a.status() + " " + a.asked(), a.body().toString(), (x, y) -> x);
                } else if (a.status() >= 400 && a.text("detail").isBlank()) {
                    faults.merge(
                            "no word: " + a.status() + " " + a.asked(), a.body().toString(), (x, y) -> x);
                }
            }
        });
        assertThat(faults).as("of " + REQUESTS + " requests of seed " + SEED).isEmpty();
    }
}
