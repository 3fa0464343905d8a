package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.app.Caller;
import vanemend.app.TestServer;

class PagesTest {
    private final Caller stranger = TestServer.stranger();

    @Test
    void everyScreensAddressGivesTheOnePageAndIsNeverKept() {
        for (String path : new String[] {
            "/",
            "/bench",
            "/repairs",
            "/repairs/7/steps",
            "/records",
            "/audit",
            "/shelf",
            "/rules",
            "/devices",
            "/day",
            "/no-such-place",
            "/no/such/place"
        }) {
            Caller.Answer a = stranger.get(path);
            assertThat(a.status()).as(path).isEqualTo(200);
            assertThat(a.text("text")).contains("<div id=\"root\">");
            assertThat(a.headers().firstValue("Cache-Control").orElse("")).contains("no-store");
        }
    }

    @Test
    void thePageCarriesTheNonceOfItsOwnPolicyAndAnotherEachTime() {
        String first = nonce(stranger.get("/"));
        assertThat(first).hasSizeGreaterThan(20);
        assertThat(nonce(stranger.get("/"))).isNotEqualTo(first);
    }

    private static String nonce(Caller.Answer a) {
        Matcher m = Pattern.compile("name=\"nonce\" content=\"([^\"]+)\"").matcher(a.text("text"));
        assertThat(m.find()).isTrue();
        assertThat(a.headers().firstValue("Content-Security-Policy").orElse("")).contains("'nonce-" + m.group(1) + "'");
        return m.group(1);
    }

    @Test
    void scriptsStylesAndFontsShipWithIt() {
        Matcher m = Pattern.compile("(?:src|href)=\"(/[^\"]+)\"")
                .matcher(stranger.get("/").text("text"));
        int count = 0;
        while (m.find()) {
            assertThat(stranger.get(m.group(1)).status()).as(m.group(1)).isEqualTo(200);
            count++;
        }
        assertThat(count).isGreaterThanOrEqualTo(3);
        assertThat(stranger.get("/").text("text")).doesNotContain("https://").doesNotContain("__NONCE__");
    }

    @Test
    @DisplayName(
            "whatever is refused, and wherever, is a problem that says so: at the door, at the firewall, by the server itself")
    void everyRefusalIsAProblem() throws IOException {
        Caller tam = TestServer.as("tam");
        Caller.Answer door = stranger.get("/api/repairs");
        Caller.Answer forged = tam.forged("/api/preview", Map.of());
        Caller.Answer unknown = tam.get("/api/nothing");
        Caller.Answer firewall = stranger.get("/api/repairs;x=1");
        Caller.Answer method = tam.delete("/api/bench");
        Caller.Answer type = tam.file("/api/preview", "multipart/form-data; boundary=x", new byte[] {1, 2, 3});
        int[] status = {401, 403, 404, 400, 405, 415};
        Caller.Answer[] all = {door, forged, unknown, firewall, method, type};
        for (int i = 0; i < all.length; i++) {
            assertThat(all[i].status()).as("answer " + i).isEqualTo(status[i]);
            assertThat(all[i].headers().firstValue("Content-Type").orElse(""))
                    .as("answer " + i)
                    .startsWith("application/problem+json");
            assertThat(all[i].text("detail")).as("answer " + i).isNotBlank();
        }
        String raw = stranger.onTheWire("GET /api/{bad} HTTP/1.1\r\nHost: x\r\nConnection: close\r\n\r\n");
        assertThat(raw)
                .startsWith("HTTP/1.1 400")
                .contains("application/problem+json", "\"status\":400")
                .doesNotContainIgnoringCase("tomcat");
    }

    @Test
    void whatIsNotThereIsAPlain404() {
        assertThat(stranger.get("/assets/nothing.js").status()).isEqualTo(404);
        assertThat(TestServer.as("tam").get("/api/nothing").status()).isEqualTo(404);
        assertThat(stranger.get("/actuator/health").status()).isEqualTo(200);
        assertThat(stranger.get("/actuator/env").status()).isEqualTo(404);
    }
}
