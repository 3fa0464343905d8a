package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import vanemend.app.Caller;
import vanemend.app.Drafts;
import vanemend.app.TestServer;

class SlowStoreTest {
    @Test
    void aStoreThatDoesNotComeBackInTimeIsSaidPlainlyAndWhatWasSentCountsOnceItDoes() throws Exception {
        Caller tam = TestServer.as("tam");
        String id = tam.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door("Held up")))
                .text("id");
        String path = "/api/repairs/" + id;
        tam.post(path + "/start", 1, Map.of("eventId", UUID.randomUUID()));
        Map<String, Object> wash = Happens.event("DONE", "wash");
        try (Connection elsewhere = TestServer.bean(DataSource.class).getConnection()) {
            elsewhere.setAutoCommit(false);
            elsewhere.createStatement().execute("SELECT id FROM repair WHERE id = " + id + " FOR UPDATE");
            Caller.Answer slow = tam.post(path + "/events", List.of(wash));
            assertThat(slow.status()).isEqualTo(503);
            assertThat(slow.text("title")).isEqualTo("Store does not answer");
            assertThat(slow.text("detail")).contains("Nothing was lost");
            elsewhere.rollback();
        }
        assertThat(tam.post(path + "/events", List.of(wash)).text("run.state.current"))
                .isEqualTo("straighten");
        assertThat(tam.post(path + "/events", List.of(wash)).text("run.state.current"))
                .isEqualTo("straighten");
        assertThat(tam.get(path + "/record").at("record.events").asInt()).isEqualTo(2);
    }
}
