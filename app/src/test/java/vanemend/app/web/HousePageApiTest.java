package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import vanemend.app.Caller;
import vanemend.app.Drafts;
import vanemend.app.TestServer;
import vanemend.core.method.HousePages;
import vanemend.core.method.PageChange;
import vanemend.core.trade.MethodId;

@DisplayName(
        "the house's own pages: signed by a lead, seen in plans, kept by what has begun, taken back, given to another shop")
class HousePageApiTest {
    private final Caller isla = TestServer.as("isla");
    private final Caller tam = TestServer.as("tam");

    @AfterEach
    void theBooksPagesAgain() {
        isla.get("/api/house-pages").at("rules").forEach(r -> {
            if (!r.has("endedAt")) {
                isla.post("/api/house-pages/" + r.get("id").asLong() + "/back", Map.of());
            }
        });
    }

    private static Map<String, Object> rule(String kind, Object... more) {
        Map<String, Object> rule = new HashMap<>(Map.of(
                "method", "METAL_DENT", "kind", kind, "step", "wash", "stepTitle", "Wash", "reason", "As always"));
        for (int i = 0; i < more.length; i += 2) {
            rule.put((String) more[i], more[i + 1]);
        }
        return Map.of("rule", rule, "repair", Drafts.door("Seen in"));
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

    private List<String> steps(JsonNode plan) {
        return StreamSupport.stream(plan.get("steps").spliterator(), false)
                .map(s -> s.at("/step/id").asString())
                .toList();
    }

    private JsonNode planned() {
        return tam.post("/api/preview", Drafts.door("Planned")).at("workup.plan");
    }

    private String book() {
        return tam.post("/api/preview", Drafts.door("Planned")).text("workup.ruleBook");
    }

    @Test
    void aRuleIsInEveryPlanFromThenOnAndWhatHasBegunKeepsTheOld() {
        String before = started("Began before");
        String shipped = book();
        Caller.Answer signed = isla.post(
                "/api/house-pages",
                rule("ADD", "step", "", "after", "wash", "afterTitle", "Wash", "title", "Rinse it", "minutes", 4));
        assertThat(signed.status()).isEqualTo(200);
        assertThat(signed.at("rules")
                        .get(signed.at("rules").size() - 1)
                        .get("by")
                        .asString())
                .isEqualTo("Isla Renwick");
        assertThat(steps(planned())).containsSequence("wash", "house-rinse-it");
        assertThat(planned().at("/house/0/reason").asString()).isEqualTo("As always");
        assertThat(book()).isNotEqualTo(shipped);
        assertThat(isla.get("/api/rules").text("version")).isEqualTo(book());
        assertThat(steps(tam.get(before + "/run").at("frozen.workup.plan"))).doesNotContain("house-rinse-it");
        String with = started("Began with it");
        theBooksPagesAgain();
        assertThat(steps(planned())).doesNotContain("house-rinse-it");
        assertThat(book()).isEqualTo(shipped);
        assertThat(steps(tam.get(with + "/run").at("frozen.workup.plan"))).contains("house-rinse-it");
        assertThat(tam.get("/api/house-pages").at("rules").toString())
                .as("taken back, it stays in the history")
                .contains("Rinse it")
                .contains("\"endedBy\":\"Isla Renwick\"");
        assertThat(isla.get("/api/audit").body().toString()).contains("taken back: Added “Rinse it”, 4 min");
    }

    @Test
    void onlyALeadSignsTriesTakesBackAndReadsIn() {
        assertThat(tam.post("/api/house-pages", rule("PICTURE")).status()).isEqualTo(403);
        assertThat(tam.post("/api/house-pages/tried", rule("PICTURE")).status()).isEqualTo(403);
        isla.post("/api/house-pages", rule("PICTURE"));
        String id = isla.get("/api/house-pages")
                .at("rules")
                .valueStream()
                .reduce((a, b) -> b)
                .orElseThrow()
                .get("id")
                .asString();
        assertThat(tam.post("/api/house-pages/" + id + "/back", Map.of()).status())
                .isEqualTo(403);
        assertThat(tam.text("/api/house-pages/file", "format: 1\nrules: []\n").status())
                .isEqualTo(403);
        assertThat(tam.get("/api/house-pages").at("maySign").asBoolean()).isFalse();
        assertThat(TestServer.stranger().get("/api/house-pages").status()).isEqualTo(401);
        assertThat(isla.forged("/api/house-pages", rule("PICTURE")).status()).isEqualTo(403);
        assertThat(isla.post("/api/house-pages/" + id + "/back", Map.of()).status())
                .isEqualTo(200);
        assertThat(isla.post("/api/house-pages/" + id + "/back", Map.of()).status())
                .isEqualTo(409);
        assertThat(isla.post("/api/house-pages/999999/back", Map.of()).status()).isEqualTo(404);
    }

    @Test
    void whatItWouldBreakIsSaidBeforeItIsSigned() {
        Caller.Answer out = isla.post(
                "/api/house-pages/tried", rule("LEAVE_OUT", "step", "wipe", "stepTitle", "Blow off, alcohol-wipe"));
        assertThat(out.at("change.bears").asBoolean()).isTrue();
        Caller.Answer mixed = isla.post("/api/house-pages/tried", rule("LEAVE_OUT", "step", "filler-wait"));
        assertThat(mixed.at("change.bears").asBoolean()).isFalse();
        assertThat(mixed.text("change.why")).contains("stays together");
        Caller.Answer half = isla.post("/api/house-pages/tried", rule("MINUTES"));
        assertThat(half.text("problems.0.field")).isEqualTo("minutes");
        assertThat(isla.get("/api/house-pages").at("rules").toString())
                .as("nothing of that was kept")
                .doesNotContain("filler-wait");
    }

    @Test
    void whatDoesNotFitThePlanIsNotSigned() {
        Caller.Answer gone = isla.post("/api/house-pages", rule("LEAVE_OUT", "step", "no-such-step"));
        assertThat(gone.status()).isEqualTo(422);
        assertThat(gone.text("detail")).isEqualTo("This plan has no such step.");
        Caller.Answer bad = isla.post("/api/house-pages", rule("WORDS", "title", "x".repeat(81)));
        assertThat(bad.status()).isEqualTo(422);
        assertThat(bad.text("problems.0.field")).isEqualTo("title");
        Caller.Answer other = isla.post("/api/house-pages", rule("PICTURE", "method", "TRIM"));
        assertThat(other.status()).isEqualTo(422);
        assertThat(other.text("detail")).contains("no plan to see this rule in");
        assertThat(isla.post("/api/house-pages", Map.of()).status()).isEqualTo(400);
    }

    /** What the published schema has against {@code yaml}. */
    private static List<Error> againstSchema(String yaml) throws IOException {
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(schema()))
                .validate(yaml, InputFormat.YAML);
    }

    private static Path schema() {
        return Path.of("..", "web", "public", "schemas", "house-pages.schema.json");
    }

    @Test
    void givenToAnotherShopByItsPublishedSchemaAndTakenWholeOrNotAtAll() throws IOException {
        isla.post(
                "/api/house-pages",
                rule(
                        "ADD",
                        "step",
                        "",
                        "after",
                        "wash",
                        "afterTitle",
                        "Wash",
                        "title",
                        "Rinse it",
                        "minutes",
                        4,
                        "question",
                        "Clean?",
                        "yes",
                        "Clean",
                        "no",
                        "Dirty",
                        "then",
                        "Rinse again",
                        "thenMin",
                        2,
                        "acts",
                        List.of("CLEAN"),
                        "zone",
                        "CLEAN"));
        isla.post("/api/house-pages", rule("READING", "quantity", "SURFACE_C"));
        String yaml = new String(tam.bytes("/api/house-pages/house-pages.yaml"), StandardCharsets.UTF_8);
        assertThat(againstSchema(yaml)).isEmpty();
        assertThat(againstSchema(yaml.replace("SURFACE_C", "FILLER_G"))).isNotEmpty();
        assertThat(againstSchema(yaml.replace("house-rinse-it", "rinse-it"))).isNotEmpty();
        assertThat(againstSchema(yaml.replace("minutes: 4", "minuts: 4"))).isNotEmpty();
        Caller.Answer taken = isla.text("/api/house-pages/file", yaml);
        assertThat(taken.status()).as("its own step is there already").isEqualTo(422);
        assertThat(taken.text("problems.0.field")).isEqualTo("rules.0.step");
        assertThat(planned().get("house")).hasSize(2);
        theBooksPagesAgain();
        Caller.Answer again = isla.text("/api/house-pages/file", yaml);
        assertThat(again.status()).isEqualTo(200);
        assertThat(planned().get("house")).hasSize(2);
        assertThat(planned().at("/house/0/reason").asString()).contains("from elsewhere: Isla Renwick");
        assertThat(isla.text("/api/house-pages/file", "x".repeat(300_000)).text("problems.0.field"))
                .isEqualTo("file");
    }

    @Test
    void theSchemaNamesWhatThereIs() throws IOException {
        JsonNode props = new JsonMapper().readTree(Files.readString(schema())).at("/$defs/rule/properties");
        assertThat(props.at("/method/enum").valueStream().map(JsonNode::asString))
                .containsExactlyInAnyOrderElementsOf(names(MethodId.values()));
        assertThat(props.at("/kind/enum").valueStream().map(JsonNode::asString))
                .containsExactlyInAnyOrderElementsOf(names(PageChange.Kind.values()));
        assertThat(props.at("/zone/enum").valueStream().map(JsonNode::asString))
                .containsExactlyInAnyOrderElementsOf(names(vanemend.core.footprint.Zone.Kind.values()));
        assertThat(props.at("/quantity/enum").valueStream().map(JsonNode::asString))
                .containsExactlyInAnyOrderElementsOf(
                        HousePages.READABLE.stream().map(Enum::name).toList());
        assertThat(props.at("/acts/items/enum").valueStream().map(JsonNode::asString))
                .containsExactlyInAnyOrderElementsOf(
                        HousePages.HANDWORK.stream().map(Enum::name).toList());
    }

    private static List<String> names(Enum<?>[] all) {
        return Arrays.stream(all).map(Enum::name).toList();
    }

    private static byte[] jpeg() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(100, 100, BufferedImage.TYPE_INT_RGB), "jpeg", out);
        return out.toByteArray();
    }

    @Test
    void aPictureThatTheHouseWantsIsGivenAtItsStepAndTakenAwayWithAReason() throws IOException {
        isla.post("/api/house-pages", rule("PICTURE"));
        String path = started("Pictured at its step");
        assertThat(tam.get(path + "/run")
                        .at("state.steps.0.step.wanted.picture")
                        .asBoolean())
                .isTrue();
        String at = path + "/pictures?moment=DURING&clientId=" + UUID.randomUUID() + "&step=";
        assertThat(tam.file(at + "nowhere", "image/jpeg", jpeg()).status()).isEqualTo(422);
        String picture = tam.file(at + "wash", "image/jpeg", jpeg()).text("0.id");
        tam.file(at + "wash", "image/jpeg", jpeg());
        assertThat(tam.get(path + "/run").at("state.pictured")).hasSize(1);
        assertThat(tam.post(path + "/events", List.of(Happens.event("PICTURE", "wash")))
                        .text("refused.0.problem.message"))
                .contains("sent as a file");
        tam.post(path + "/events", List.of(Happens.event("DONE", "wash")));
        assertThat(tam.get(path + "/record").at("record.deviations").toString()).doesNotContain("WANTED_NOT_GIVEN");
        tam.post("/api/pictures/" + picture + "/away", Map.of("reason", "Out of focus"));
        assertThat(tam.get(path + "/record").at("record.deviations").toString()).contains("WANTED_NOT_GIVEN");
        assertThat(tam.get(path + "/record").at("record.takenBack").toString()).contains("Out of focus");
    }
}
