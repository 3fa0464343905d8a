package vanemend.app.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
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
        TestServer.db()
                .sql("DELETE FROM sign_in_failure WHERE typed_name = 'joss'")
                .update();
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
