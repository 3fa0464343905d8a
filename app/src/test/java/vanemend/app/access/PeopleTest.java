package vanemend.app.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.app.Caller;
import vanemend.app.TestServer;

@DisplayName("a lead adds the people of the shop and gives new passwords")
class PeopleTest {
    private static final String GOOD = "tack-cloth-blue-7";

    private final Caller isla = TestServer.as("isla");

    private Caller.Answer add(String id, String role) {
        return isla.post("/api/people", Map.of("id", id, "name", "Wren Adeyemi", "role", role, "password", GOOD));
    }

    private static Caller.Answer signIn(Caller who, String id, String password) {
        return who.post("/api/session", Map.of("name", id, "password", password));
    }

    @Test
    void whoIsAddedSignsInWithTheirRoleAndIsInTheAudit() {
        assertThat(add("Wren.A", "APPRENTICE").status()).isEqualTo(201);
        Caller wren = TestServer.stranger();
        assertThat(signIn(wren, "wren.a", GOOD).text("account.role")).isEqualTo("APPRENTICE");
        assertThat(isla.get("/api/people").body().findValuesAsString("id")).contains("wren.a");
        assertThat(isla.get("/api/audit").body().toString()).contains("new: Wren Adeyemi, signs in as wren.a");
        Caller.Answer again = add("wren.a", "LEAD");
        assertThat(again.status()).isEqualTo(409);
        assertThat(again.text("detail")).contains("wren.a already");
        assertThat(signIn(TestServer.stranger(), "wren.a", GOOD).text("account.role"))
                .isEqualTo("APPRENTICE");
    }

    private static Caller.Answer ownPassword(Caller who, String old, String password) {
        return who.put("/api/session/password", Map.of("old", old, "password", password));
    }

    @Test
    void whoSignedInGivesThemselvesANewPasswordAndIsOutEverywhereElse() {
        add("wren.c", "APPRENTICE");
        Caller here = TestServer.stranger();
        Caller there = TestServer.stranger();
        signIn(here, "wren.c", GOOD);
        signIn(there, "wren.c", GOOD);
        String next = "guide-coat-black-9";
        Caller.Answer taken = ownPassword(here, GOOD, next);
        assertThat(taken.status()).isEqualTo(200);
        assertThat(taken.text("account.id")).isEqualTo("wren.c");
        assertThat(here.get("/api/repairs").status()).isEqualTo(200);
        assertThat(there.get("/api/repairs").status()).isEqualTo(401);
        assertThat(signIn(TestServer.stranger(), "wren.c", GOOD).status()).isEqualTo(401);
        assertThat(signIn(TestServer.stranger(), "wren.c", next).status()).isEqualTo(200);
        assertThat(isla.get("/api/audit").body().toString())
                .contains("own new password: Wren Adeyemi")
                .doesNotContain(next);
    }

    @Test
    @DisplayName("guessing the old password from an open screen is counted as it is at the door")
    void anotherCannotTakeTheAccountFromAnOpenScreen() {
        add("wren.d", "TECHNICIAN");
        Caller open = TestServer.stranger();
        signIn(open, "wren.d", GOOD);
        String next = "guide-coat-black-9";
        for (int left = Door.MOST_OF_A_NAME - 1; left >= 1; left--) {
            Caller.Answer a = ownPassword(open, "wrong-every-time", next);
            assertThat(a.status()).isEqualTo(422);
            assertThat(a.at("problems").findValuesAsString("field")).containsExactly("person.old");
            assertThat(a.text("detail")).contains(left + (left == 1 ? " try" : " tries"));
        }
        assertThat(ownPassword(open, "wrong-every-time", next).status()).isEqualTo(429);
        assertThat(ownPassword(open, GOOD, next).status()).isEqualTo(429);
        TestServer.db().sql("DELETE FROM sign_in_try").update();
        assertThat(signIn(TestServer.stranger(), "wren.d", next).status()).isEqualTo(401);
        assertThat(signIn(TestServer.stranger(), "wren.d", GOOD).status()).isEqualTo(200);
    }

    @Test
    void whatIsWrongWithOnesOwnIsSaidAtItsFieldAndCostsNoTry() {
        add("wren.e", "TECHNICIAN");
        Caller wren = TestServer.stranger();
        signIn(wren, "wren.e", GOOD);
        Caller.Answer a = ownPassword(wren, "", "short");
        assertThat(a.status()).isEqualTo(422);
        assertThat(a.at("problems").findValuesAsString("field")).containsExactly("person.password", "person.old");
        assertThat(ownPassword(wren, "no-such-password", "long-enough-now").text("detail"))
                .contains((Door.MOST_OF_A_NAME - 1) + " tries");
        assertThat(ownPassword(TestServer.stranger(), GOOD, "long-enough-now").status())
                .isEqualTo(401);
    }

    @Test
    void onlyALeadMay() {
        Caller tam = TestServer.as("tam");
        assertThat(tam.get("/api/people").status()).isEqualTo(403);
        assertThat(tam.post("/api/people", Map.of("id", "x")).status()).isEqualTo(403);
        assertThat(TestServer.stranger().get("/api/people").status()).isEqualTo(401);
    }

    @ParameterizedTest
    @CsvSource({
        "'', Wren, TECHNICIAN, tack-cloth-blue-7, person.id",
        "wren a, Wren, TECHNICIAN, tack-cloth-blue-7, person.id",
        "../wren, Wren, TECHNICIAN, tack-cloth-blue-7, person.id",
        "wren2, ' ', TECHNICIAN, tack-cloth-blue-7, person.name",
        "wren2, Wren, , tack-cloth-blue-7, person.role",
        "wren2, Wren, TECHNICIAN, short, person.password",
        "wren2, Wren, TECHNICIAN, eleven-of-u, person.password",
        "wren2, Wren, TECHNICIAN, password1234, person.password",
        "wren2, Wren, TECHNICIAN, qwertyuiop123, person.password",
        "wren2, Wren, TECHNICIAN, iloveyou2009, person.password",
        "wren2, Wren, TECHNICIAN, wrenwrenwren, person.password",
        "wren2, Wren, TECHNICIAN, aaaaaaaaaaaaaa, person.password"
    })
    void whatIsWrongIsSaidAtItsField(String id, String name, String role, String password, String field) {
        Map<String, Object> draft = new java.util.HashMap<>(Map.of("id", id, "name", name, "password", password));
        draft.put("role", role);
        Caller.Answer a = isla.post("/api/people", draft);
        assertThat(a.status()).isEqualTo(422);
        assertThat(a.at("problems").findValuesAsString("field")).containsExactly(field);
        assertThat(a.body().toString()).doesNotContain(password);
    }

    @Test
    @DisplayName("a password longer than the hash takes in is refused: two that differ after 72 bytes would be one")
    void noLongerThanTheHash() {
        String long73 = "é".repeat(36) + "x";
        Caller.Answer a = isla.post(
                "/api/people", Map.of("id", "wren3", "name", "Wren", "role", "TECHNICIAN", "password", long73));
        assertThat(a.status()).isEqualTo(422);
    }

    @Test
    void aNewPasswordEndsWhatTheOldOneOpenedAndOpensAShutDoor() {
        add("wren.b", "TECHNICIAN");
        Caller wren = TestServer.stranger();
        signIn(wren, "wren.b", GOOD);
        assertThat(wren.get("/api/repairs").status()).isEqualTo(200);
        for (int i = 0; i < Door.MOST_OF_A_NAME; i++) {
            signIn(TestServer.stranger(), "wren.b", "wrong-every-time");
        }
        assertThat(signIn(TestServer.stranger(), "wren.b", GOOD).status()).isEqualTo(429);
        String next = "feather-edge-320";
        assertThat(isla.put("/api/people/wren.b/password", Map.of("password", next))
                        .status())
                .isEqualTo(204);
        assertThat(wren.get("/api/repairs").status()).isEqualTo(401);
        assertThat(signIn(TestServer.stranger(), "wren.b", GOOD).status()).isEqualTo(401);
        assertThat(signIn(TestServer.stranger(), "wren.b", next).status()).isEqualTo(200);
        assertThat(isla.put("/api/people/nobody/password", Map.of("password", next))
                        .status())
                .isEqualTo(404);
        assertThat(isla.put("/api/people/wren.b/password", Map.of("password", "x"))
                        .status())
                .isEqualTo(422);
    }
}
