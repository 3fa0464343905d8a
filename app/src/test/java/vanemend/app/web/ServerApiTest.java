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

@DisplayName("how the server is, for the lead and for who measures it")
class ServerApiTest {
    private final Caller isla = TestServer.as("isla");
    private final Caller tam = TestServer.as("tam");

    @Test
    @DisplayName(
            "a store that was never written out is a worry, one written out a moment ago is none, an old one is again")
    void backups() {
        TestServer.db().sql("DELETE FROM backup_made").update();
        assertThat(isla.get("/api/server").at("worries").toString()).contains("NO_BACKUP");
        TestServer.db()
                .sql("INSERT INTO backup_made (at, bytes) VALUES (UTC_TIMESTAMP(3), 12345)")
                .update();
        Caller.Answer well = isla.get("/api/server");
        assertThat(well.at("worries").toString()).doesNotContain("BACKUP");
        assertThat(well.at("backup.bytes").asLong()).isEqualTo(12345);
        assertThat(well.at("storeBytes").asLong()).isGreaterThan(100_000);
        assertThat(well.at("signedIn").asInt()).isPositive();
        assertThat(well.text("layout")).matches("\\d+");
        TestServer.db().sql("UPDATE backup_made SET at = at - INTERVAL 3 DAY").update();
        assertThat(isla.get("/api/server").at("worries").toString()).contains("OLD_BACKUP");
        assertThat(tam.get("/api/server").status()).isEqualTo(403);
    }

    @Test
    @DisplayName("an event that waited on a screen is told by how long it did")
    void lateEvents() {
        String path = "/api/repairs/"
                + tam.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door("Waited long")))
                        .text("id");
        tam.post(path + "/start", 1, Map.of("eventId", UUID.randomUUID()));
        Map<String, Object> note = Happens.event("NOTE", "", "text", "done with the network gone");
        tam.post(path + "/events", List.of(note));
        assertThat(isla.get("/api/server").at("events").asInt()).isPositive();
        assertThat(isla.get("/api/server").at("longestWaitSeconds").asLong()).isGreaterThanOrEqualTo(0);
    }

    @Test
    @DisplayName("figures are read with the token alone, and hold no number of a repair and no name")
    void figures() {
        isla.get("/api/repairs/1/run");
        assertThat(TestServer.stranger().get("/actuator/prometheus").status()).isEqualTo(401);
        assertThat(isla.get("/actuator/prometheus").status()).isEqualTo(403);
        assertThat(isla.bearing("not-the-token").get("/actuator/prometheus").status())
                .isEqualTo(403);
        String told = TestServer.stranger()
                .bearing(TestServer.METRICS_TOKEN)
                .get("/actuator/prometheus")
                .text("text");
        assertThat(told)
                .contains("vanemend_requests_seconds_count", "path=\"/api/repairs/{id}/run\"")
                .contains("vanemend_outbox_age_seconds_count", "hikaricp_connections_active", "jvm_memory_used_bytes")
                .doesNotContain("/api/repairs/1/", "isla");
    }

    @Test
    @DisplayName("every answer names its request; a name that a proxy gave is kept, nonsense is not")
    void requestIds() {
        assertThat(tam.get("/api/shop").headers().firstValue("X-Request-Id").orElse(""))
                .matches("[0-9a-f-]{13}");
        assertThat(tam.asking("proxy-given-0001").get("/api/shop").headers().firstValue("X-Request-Id"))
                .contains("proxy-given-0001");
        assertThat(tam.asking("<no id>")
                        .get("/api/shop")
                        .headers()
                        .firstValue("X-Request-Id")
                        .orElse(""))
                .matches("[0-9a-f-]{13}");
    }
}
