package vanemend.app.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import vanemend.app.Caller;
import vanemend.app.TestServer;

class SignInTest {
    private static Caller.Answer attempt(Caller c, String name, String password) {
        return c.post("/api/session", Map.of("name", name, "password", password));
    }

    @Test
    void nothingBehindTheDoorWithoutASession() {
        Caller stranger = TestServer.stranger();
        for (String path : new String[] {
            "/api/repairs", "/api/bench", "/api/rules", "/api/shelf", "/api/repairs/1", "/api/stream", "/api/shop"
        }) {
            assertThat(stranger.get(path).status()).as(path).isEqualTo(401);
        }
        assertThat(stranger.get("/api/session").status()).isEqualTo(200);
        assertThat(stranger.get("/api/session").at("account").isMissingNode()).isTrue();
    }

    @Test
    void theSessionCookieIsOutOfReachOfScriptsAndOtherSites() {
        Caller c = TestServer.stranger();
        Caller.Answer a = attempt(c, "Tam ", TestServer.PASSWORD);
        assertThat(a.text("account.name")).isEqualTo("Tam Okafor");
        assertThat(a.headers().allValues("Set-Cookie"))
                .anySatisfy(h -> assertThat(h)
                        .startsWith("VMSESSION=")
                        .contains("HttpOnly")
                        .contains("SameSite=Strict"));
        assertThat(a.headers().firstValue("Content-Security-Policy").orElseThrow())
                .contains("default-src 'self'")
                .contains("object-src 'none'")
                .doesNotContain("unsafe");
        assertThat(a.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
    }

    @Test
    void aRequestWithoutTheTokenIsRefused() {
        assertThat(TestServer.as("tam").forged("/api/preview", Map.of()).status())
                .isEqualTo(403);
    }

    @Test
    @DisplayName(
            "what a page still sends after another tab signed somebody else in is refused, not written under their name")
    void aPageOfAnother() {
        Caller priya = TestServer.as("priya");
        Map<String, Object> draft = Map.of("clientId", UUID.randomUUID(), "draft", Map.of());
        Caller.Answer refused = priya.postFrom("tam", "/api/repairs", draft);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.text("signedInAs")).isEqualTo("priya");
        assertThat(refused.text("detail")).contains("Priya", "kept here");
        assertThat(priya.postFrom("priya", "/api/preview", Map.of()).status()).isEqualTo(200);
    }

    @Test
    void signingInGivesANewSession() {
        Caller c = TestServer.as("priya");
        String first = c.cookie("VMSESSION").orElseThrow().getValue();
        attempt(c, "priya", TestServer.PASSWORD);
        assertThat(c.cookie("VMSESSION").orElseThrow().getValue()).isNotEqualTo(first);
    }

    @Test
    void fiveWrongPasswordsLockTheNameForAWhileEvenForTheRightOne() {
        Caller c = TestServer.stranger();
        for (int left = 4; left >= 1; left--) {
            Caller.Answer a = attempt(c, "joss", "wrong");
            assertThat(a.status()).isEqualTo(401);
            assertThat(a.text("detail"))
                    .contains("Name or password is wrong")
                    .contains(left + (left == 1 ? " try" : " tries"));
        }
        assertThat(attempt(c, "joss", "wrong").status()).isEqualTo(429);
        Caller.Answer locked = attempt(c, "joss", TestServer.PASSWORD);
        assertThat(locked.status()).isEqualTo(429);
        assertThat(locked.text("detail")).contains("Wait 15 minutes");
        TestServer.db().sql("DELETE FROM sign_in_try").update();
        assertThat(attempt(c, "joss", TestServer.PASSWORD).status()).isEqualTo(200);
    }

    @Test
    void aNameThatDoesNotExistLocksJustTheSame() {
        Caller c = TestServer.stranger();
        for (int i = 0; i < 4; i++) {
            assertThat(attempt(c, "nobody", "wrong").status()).isEqualTo(401);
        }
        assertThat(attempt(c, "nobody", "wrong").status()).isEqualTo(429);
    }

    @Test
    @DisplayName("fifty wrong tries at the same instant are no more than five one after the other")
    void manyAtOnce() throws InterruptedException, ExecutionException {
        try (ExecutorService hands = Executors.newVirtualThreadPerTaskExecutor()) {
            List<Future<Integer>> all = new ArrayList<>();
            for (int i = 0; i < 50; i++) {
                all.add(hands.submit(() ->
                        attempt(TestServer.stranger(), "nobody.at.all", "wrong").status()));
            }
            int looked = 0;
            for (Future<Integer> f : all) {
                int status = f.get();
                assertThat(status).isIn(401, 429);
                looked += status == 401 ? 1 : 0;
            }
            assertThat(looked).isEqualTo(Door.MOST_OF_A_NAME - 1);
        } finally {
            TestServer.db().sql("DELETE FROM sign_in_try").update();
        }
    }

    @Test
    @DisplayName(
            "a stranger who tries a colleague's name from elsewhere shuts it for himself and for addresses it never came from, not for her")
    void aStrangerShutsNobodyOut() {
        Door door = TestServer.bean(Door.class);
        door.open("priya", "192.0.2.7");
        for (int i = 0; i < 200; i++) {
            door.knock("priya", "198.51.100." + i % 20);
        }
        assertThat(door.knock("priya", "198.51.100.3").shutUntil())
                .as("the stranger")
                .isPresent();
        assertThat(door.knock("priya", "198.51.100.77").shutUntil())
                .as("somewhere new")
                .isPresent();
        assertThat(door.knock("priya", "192.0.2.7").shutUntil())
                .as("her own tablet")
                .isEmpty();
        assertThat(door.knock("tam", "192.0.2.7").shutUntil()).as("a colleague").isEmpty();
        TestServer.db().sql("DELETE FROM sign_in_try").update();
    }

    @Test
    @DisplayName("guessing over many names from one address is stopped too; tries that were right count for nothing")
    void oneAddressManyNames() {
        Door door = TestServer.bean(Door.class);
        for (int i = 0; i < 200; i++) {
            assertThat(door.knock("tam", "203.0.113.5").shutUntil()).isEmpty();
            door.open("tam", "203.0.113.5");
        }
        for (int i = 0; i < Door.MOST_FROM_AN_ADDRESS - 1; i++) {
            assertThat(door.knock("name" + i, "203.0.113.5").shutUntil()).isEmpty();
        }
        door.knock("one", "203.0.113.5");
        assertThat(door.knock("more", "203.0.113.5").shutUntil()).isPresent();
        TestServer.db().sql("DELETE FROM sign_in_try").update();
    }

    @Test
    @DisplayName("a name that nobody has is not written down: it is now and then a password in the wrong field")
    void aMistypedNameIsNotKept() {
        attempt(TestServer.stranger(), "my-secret-word", "x");
        attempt(TestServer.stranger(), "tam", "x");
        String told = TestServer.as("isla").get("/api/audit").body().toString();
        assertThat(told).doesNotContain("my-secret-word").contains("a name that nobody has");
        assertThat(TestServer.db()
                        .sql("SELECT what FROM sign_in_try")
                        .query(String.class)
                        .list())
                .allMatch(w -> w.matches("[0-9a-f]{64}"));
        TestServer.db().sql("DELETE FROM sign_in_try").update();
    }

    @Test
    @DisplayName(
            "what only a lead may change asks for the password again a while after signing in; what everybody does goes on")
    void thePasswordOnceMore() {
        Caller isla = TestServer.as("isla");
        assertThat(isla.get("/api/session/again").status()).isEqualTo(204);
        assertThat(isla.put("/api/house-rules/none", Map.of("answer", "x")).status())
                .isEqualTo(422);
        grownOld(isla);
        Caller.Answer refused = isla.put("/api/house-rules/none", Map.of("answer", "x"));
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.at("again").asBoolean()).isTrue();
        assertThat(refused.text("detail")).contains("type your password once more");
        assertThat(isla.get("/api/session/again").status()).isEqualTo(403);
        assertThat(isla.post("/api/preview", Map.of()).status()).isEqualTo(200);
        assertThat(isla.get("/api/people").status())
                .as("looking is not changing")
                .isEqualTo(200);
        assertThat(isla.post("/api/session/again", Map.of("password", "wrong")).status())
                .isEqualTo(422);
        assertThat(isla.post("/api/session/again", Map.of("password", TestServer.PASSWORD))
                        .status())
                .isEqualTo(200);
        assertThat(isla.put("/api/house-rules/none", Map.of("answer", "x")).status())
                .isEqualTo(422);
    }

    /** Lets a session be one whose password was typed long ago. */
    private static void grownOld(Caller who) {
        FindByIndexNameSessionRepository<?> table =
                TestServer.bean(QuietSessions.class).table();
        String id = new String(
                Base64.getDecoder().decode(who.cookie("VMSESSION").orElseThrow().getValue()), StandardCharsets.UTF_8);
        aged(table, id);
        TestServer.bean(QuietSessions.class).forget(id);
    }

    private static <S extends Session> void aged(FindByIndexNameSessionRepository<S> table, String id) {
        S session = table.findById(id);
        session.setAttribute("typed", 1L);
        table.save(session);
    }

    @Test
    @DisplayName("however busy, a session ends after its longest time; a screen on the wall stays in")
    void theLongestTime() {
        Caller tam = TestServer.as("tam");
        String id = new String(
                Base64.getDecoder().decode(tam.cookie("VMSESSION").orElseThrow().getValue()), StandardCharsets.UTF_8);
        assertThat(tam.get("/api/repairs").status()).isEqualTo(200);
        TestServer.db()
                .sql("UPDATE SPRING_SESSION SET CREATION_TIME = ? WHERE SESSION_ID = ?")
                .params(Instant.now().minus(Duration.ofHours(17)).toEpochMilli(), id)
                .update();
        TestServer.bean(QuietSessions.class).forget(id);
        assertThat(tam.get("/api/repairs").status()).isEqualTo(401);
        Caller isla = TestServer.as("isla");
        isla.post(
                "/api/people",
                Map.of("id", "wall.two", "name", "Wall two", "role", "SCREEN", "password", TestServer.PASSWORD));
        Caller wall = TestServer.as("wall.two");
        String wallId = new String(
                Base64.getDecoder()
                        .decode(wall.cookie("VMSESSION").orElseThrow().getValue()),
                StandardCharsets.UTF_8);
        TestServer.db()
                .sql("UPDATE SPRING_SESSION SET CREATION_TIME = ?, LAST_ACCESS_TIME = ? WHERE SESSION_ID = ?")
                .params(0L, 0L, wallId)
                .update();
        TestServer.bean(QuietSessions.class).forget(wallId);
        assertThat(wall.get("/api/bench").status()).isEqualTo(200);
    }

    @Test
    @DisplayName(
            "a second factor: asked for at the door, opens once, a code on paper opens once too, and a lead takes it away where the phone is gone")
    void secondFactor() {
        Caller isla = TestServer.as("isla");
        isla.post(
                "/api/people",
                Map.of("id", "rowan", "name", "Rowan Hale", "role", "LEAD", "password", TestServer.PASSWORD));
        Caller rowan = TestServer.as("rowan");
        String secret = rowan.post("/api/session/factor", Map.of()).text("secret");
        assertThat(secret).matches("[A-Z2-7]{32}");
        Map<String, Object> wrong = Map.of("code", "000000", "password", TestServer.PASSWORD);
        assertThat(rowan.put("/api/session/factor", wrong).status()).isEqualTo(422);
        long step = Totp.step(Instant.parse(rowan.get("/api/session").text("now")));
        Caller.Answer on =
                rowan.put("/api/session/factor", Map.of("code", code(secret, step), "password", TestServer.PASSWORD));
        assertThat(on.status()).isEqualTo(200);
        String paper = on.text("codes.0");

        Caller fresh = TestServer.stranger();
        Caller.Answer asked = attempt(fresh, "rowan", TestServer.PASSWORD);
        assertThat(asked.status()).isEqualTo(401);
        assertThat(asked.at("code").asBoolean()).isTrue();
        assertThat(fresh.get("/api/repairs").status()).isEqualTo(401);
        assertThat(with(fresh, "111111").status()).isEqualTo(401);
        assertThat(with(fresh, code(secret, step)).status())
                .as("used when it was taken")
                .isEqualTo(401);
        assertThat(with(fresh, code(secret, step + 1)).status()).isEqualTo(200);
        assertThat(with(TestServer.stranger(), code(secret, step + 1)).status())
                .as("used")
                .isEqualTo(401);
        assertThat(with(TestServer.stranger(), paper.toLowerCase(java.util.Locale.ROOT))
                        .status())
                .isEqualTo(200);
        assertThat(with(TestServer.stranger(), paper).status()).as("used").isEqualTo(401);

        assertThat(isla.delete("/api/people/rowan/factor").status()).isEqualTo(204);
        assertThat(attempt(TestServer.stranger(), "rowan", TestServer.PASSWORD).status())
                .isEqualTo(200);
        TestServer.db().sql("DELETE FROM sign_in_try").update();
    }

    private static Caller.Answer with(Caller c, String code) {
        return c.post("/api/session", Map.of("name", "rowan", "password", TestServer.PASSWORD, "code", code));
    }

    private static String code(String secret, long step) {
        return Totp.code(bytes(secret), step);
    }

    /** Back from what is typed into a phone. */
    private static byte[] bytes(String base32) {
        java.math.BigInteger all = java.math.BigInteger.ZERO;
        for (char c : base32.toCharArray()) {
            all = all.shiftLeft(5).or(java.math.BigInteger.valueOf("ABCDEFGHIJKLMNOPQRSTUVWXYZ234567".indexOf(c)));
        }
        byte[] out = new byte[Totp.SECRET_BYTES];
        byte[] raw = all.toByteArray();
        int n = Math.min(raw.length, out.length);
        System.arraycopy(raw, raw.length - n, out, out.length - n, n);
        return out;
    }

    @Test
    void oddNamesAndPasswordsAreRefusedKindly() {
        Caller c = TestServer.stranger();
        assertThat(attempt(c, "", "x").text("detail")).contains("Type your name");
        assertThat(attempt(c, "x".repeat(41), "x").status()).isEqualTo(401);
        assertThat(c.raw("/api/session", "{").status()).isEqualTo(400);
    }

    @Test
    void passwordsAreKeptAsStrongHashes() {
        assertThat(TestServer.db()
                        .sql("SELECT password_hash FROM account")
                        .query(String.class)
                        .list())
                .allSatisfy(h -> assertThat(h).startsWith("$2a$12$").doesNotContain(TestServer.PASSWORD));
    }
}
