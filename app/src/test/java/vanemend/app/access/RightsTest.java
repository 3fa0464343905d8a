package vanemend.app.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import vanemend.app.Caller;
import vanemend.app.Drafts;
import vanemend.app.TestServer;

@DisplayName("rights: one table, act by role, held against every request")
class RightsTest {
    private static final Path TABLE = Path.of("..", "docs", "rights.md");
    private static final String WALL = "wall.screen";
    private static final Map<Role, String> WHO =
            Map.of(Role.LEAD, "isla", Role.TECHNICIAN, "tam", Role.APPRENTICE, "joss", Role.SCREEN, WALL);

    private final Caller isla = TestServer.as("isla");

    private Caller as(Role role) {
        if (role == Role.SCREEN
                && isla.get("/api/people")
                        .body()
                        .valueStream()
                        .noneMatch(p -> p.get("id").asString().equals(WALL))) {
            isla.post(
                    "/api/people",
                    Map.of("id", WALL, "name", "Wall", "role", "SCREEN", "password", TestServer.PASSWORD));
        }
        return TestServer.as(WHO.get(role));
    }

    private String draftOf(Caller who) {
        return who.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door("Rights")))
                .text("id");
    }

    private Map<String, Object> item(String expires) {
        Map<String, Object> out = new HashMap<>(Map.of(
                "id",
                "rights-wipe",
                "classId",
                "alcohol-wipe",
                "name",
                "Wipe",
                "lot",
                "R-1",
                "quantity",
                100,
                "unit",
                "mL"));
        out.put("expires", expires);
        return out;
    }

    /** One request per right; the answer is 403 where the role has it not, and anything else where it has. */
    private Map<Right, Function<Caller, Integer>> requests() {
        Map<Right, Function<Caller, Integer>> out = new EnumMap<>(Right.class);
        String others = draftOf(isla);
        String running = draftOf(isla);
        isla.post("/api/repairs/" + running + "/start", 1, Map.of("eventId", UUID.randomUUID()));
        out.put(Right.READ, c -> c.get("/api/repairs").status());
        out.put(
                Right.OWN_PASSWORD,
                c -> c.put("/api/session/password", Map.of("old", "", "password", ""))
                        .status());
        out.put(Right.PLAN, c -> c.post("/api/preview", Map.of()).status());
        out.put(Right.DRAFT_AWAY, c -> c.delete("/api/repairs/0").status());
        out.put(
                Right.DRAFT_AWAY_OTHERS,
                c -> c.delete("/api/repairs/" + draftOf(isla)).status());
        out.put(
                Right.DAY,
                c -> c.put("/api/day/repairs/0/pin", Map.of("first", false)).status());
        out.put(Right.CALENDAR, c -> c.delete("/api/day/calendar/address").status());
        out.put(
                Right.WORK,
                c -> c.post("/api/repairs/" + running + "/events", List.of()).status());
        out.put(Right.TAKE_BACK_OTHERS, c -> event(c, running, undo(running)));
        out.put(
                Right.PICTURE_AWAY,
                c -> c.post("/api/pictures/0/away", Map.of("reason", "x")).status());
        out.put(
                Right.PICTURE_AWAY_OTHERS,
                c -> c.post("/api/pictures/" + picture(others) + "/away", Map.of("reason", "x"))
                        .status());
        out.put(Right.SIGN, c -> event(c, running, sign(running)));
        out.put(Right.GO_AGAINST, c -> event(c, running, against()));
        out.put(
                Right.OVERRULE,
                c -> c.post("/api/repairs/0/overrules", 1, Map.of("ruleId", "x", "reason", "y"))
                        .status());
        out.put(
                Right.SHELF_USE,
                c -> c.post("/api/shelf/none/acts", Map.of("act", "OPEN")).status());
        out.put(Right.SHELF_LABEL, c -> c.post("/api/shelf", Map.of()).status());
        out.put(Right.SHELF_EXPIRY, c -> {
            isla.post("/api/shelf", item("2030-01-01"));
            int version = isla.get("/api/shelf")
                    .body()
                    .valueStream()
                    .filter(l -> l.at("/item/id").asString().equals("rights-wipe"))
                    .findFirst()
                    .orElseThrow()
                    .get("version")
                    .asInt();
            return c.put("/api/shelf/rights-wipe", version, item("2031-01-01")).status();
        });
        out.put(
                Right.SHELF_DISCARD,
                c -> c.post("/api/shelf/none/acts", Map.of("act", "DISCARD")).status());
        out.put(Right.AIR, c -> c.put("/api/shop/air", Map.of()).status());
        out.put(
                Right.DEVICE,
                c -> c.post("/api/devices/SCALE/presses/none", Map.of()).status());
        out.put(
                Right.DEVICE_FAULT,
                c -> c.put("/api/devices/SCALE/fault", Map.of("fault", "NONE")).status());
        out.put(
                Right.RULES,
                c -> c.put("/api/house-rules/none", Map.of("answer", "x")).status());
        out.put(Right.RECORD_IN, c -> c.raw("/api/records", "{}").status());
        out.put(Right.PEOPLE, c -> c.get("/api/people").status());
        out.put(Right.AUDIT, c -> c.get("/api/audit").status());
        return out;
    }

    private static int event(Caller who, String repair, Map<String, Object> event) {
        Caller.Answer a = who.post("/api/repairs/" + repair + "/events", List.of(event));
        if (a.status() != 200) {
            return a.status();
        }
        String said = a.text("refused.0.problem.message");
        return said.contains("nly a lead") || said.contains("only they take it back") ? 403 : 200;
    }

    private static Map<String, Object> happens(String kind) {
        return new HashMap<>(Map.of("id", UUID.randomUUID(), "kind", kind, "at", TestServer.now(), "step", ""));
    }

    private Map<String, Object> undo(String repair) {
        Map<String, Object> note = happens("NOTE");
        note.put("text", "to be taken back");
        TestServer.as("priya").post("/api/repairs/" + repair + "/events", List.of(note));
        Map<String, Object> undo = happens("UNDO");
        undo.put("target", note.get("id"));
        undo.put("text", "it was another part");
        return undo;
    }

    private Map<String, Object> sign(String repair) {
        Map<String, Object> sign = happens("SIGN");
        sign.put("answer", "signed");
        sign.put("target", isla.get("/api/repairs/" + repair + "/record").text("newest"));
        return sign;
    }

    private static Map<String, Object> against() {
        Map<String, Object> against = happens("AGAINST");
        against.put("target", UUID.randomUUID());
        against.put("text", "x");
        return against;
    }

    private String picture(String repair) {
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        try {
            ImageIO.write(new BufferedImage(100, 100, BufferedImage.TYPE_INT_RGB), "jpeg", jpeg);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return isla.file(
                        "/api/repairs/" + repair + "/pictures?moment=BEFORE&clientId=" + UUID.randomUUID(),
                        "image/jpeg",
                        jpeg.toByteArray())
                .text("0.id");
    }

    @Test
    @DisplayName("cell by cell: every right is given to whom the table says, and to nobody else")
    void cellByCell() {
        Map<Right, Function<Caller, Integer>> requests = requests();
        assertThat(requests).containsOnlyKeys(Right.values());
        for (Role role : Role.values()) {
            Caller who = as(role);
            requests.forEach((right, ask) -> {
                int status = ask.apply(who);
                if (right.of(role)) {
                    assertThat(status).as(role + " " + right).isNotIn(401, 403).isLessThan(500);
                } else {
                    assertThat(status).as(role + " " + right).isEqualTo(403);
                }
            });
        }
        assertThat(isla.get("/api/audit").body().toString()).contains("REFUSED", "may not read a record in");
    }

    @Test
    @DisplayName("no request that changes anything is left out of the table")
    void nothingLeftOut() {
        RequestMappingHandlerMapping all =
                TestServer.bean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
        List<String> missing = all.getHandlerMethods().entrySet().stream()
                .filter(e -> e.getKey().getPatternValues().stream().anyMatch(p -> p.startsWith("/api/")))
                .filter(e -> !e.getKey().getPatternValues().contains("/api/session"))
                .flatMap(e -> e.getKey().getMethodsCondition().getMethods().stream()
                        .filter(m -> Rights.right((HandlerMethod) e.getValue(), m.name())
                                .isEmpty())
                        .map(m -> m + " " + e.getKey()))
                .toList();
        assertThat(missing).isEmpty();
    }

    @Test
    @DisplayName("the table in the documents is the one that is held")
    void asWritten() throws IOException {
        String table = "# Who may do what\n\nHeld against every request; written from `Right` by its test"
                + " (`-Dvanemend.write=true`).\n\n| | "
                + Arrays.stream(Role.values())
                        .map(r -> r.name().toLowerCase(java.util.Locale.ROOT))
                        .collect(Collectors.joining(" | "))
                + " |\n|---|" + "---|".repeat(Role.values().length) + "\n"
                + Arrays.stream(Right.values())
                        .map(r -> "| " + r.words() + " | "
                                + Arrays.stream(Role.values())
                                        .map(x -> r.of(x) ? "yes" : "no")
                                        .collect(Collectors.joining(" | "))
                                + " |\n")
                        .collect(Collectors.joining());
        if (Boolean.getBoolean("vanemend.write")) {
            Files.writeString(TABLE, table);
        }
        assertThat(Files.readString(TABLE)).isEqualTo(table);
    }
}
