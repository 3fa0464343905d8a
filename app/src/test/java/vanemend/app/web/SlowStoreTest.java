package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
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

    /** Somebody else's change holds what ours needs next and wants what ours holds: ours, the smaller, is undone and done again. */
    @Test
    void aChangeThatCrossedAnotherIsDoneAgainByItself() throws Exception {
        Caller tam = TestServer.as("tam");
        String id = tam.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door("Crossed")))
                .text("id");
        String path = "/api/repairs/" + id;
        tam.post(path + "/start", 1, Map.of("eventId", UUID.randomUUID()));
        try (Connection elsewhere = TestServer.bean(DataSource.class).getConnection();
                ExecutorService hands = Executors.newSingleThreadExecutor()) {
            elsewhere.setAutoCommit(false);
            try (Statement s = elsewhere.createStatement()) {
                // Of two the database undoes the one that changed less.
                s.execute(
                        "INSERT INTO audit (at, act, said) SELECT UTC_TIMESTAMP(3), 'WRONG', 'crossed' FROM seq_1_to_300");
                s.execute("SELECT id FROM server_change FOR UPDATE");
                Future<Caller.Answer> ours =
                        hands.submit(() -> tam.post(path + "/events", List.of(Happens.event("DONE", "wash"))));
                await(() -> waits(id));
                s.execute("UPDATE repair SET turn = turn + 1 WHERE id = " + id);
                elsewhere.rollback();
                Caller.Answer answer = ours.get(10, TimeUnit.SECONDS);
                assertThat(answer.status()).as(answer.toString()).isEqualTo(200);
                assertThat(answer.text("run.state.current")).isEqualTo("straighten");
            }
        }
        assertThat(tam.get(path + "/record").at("record.events").asInt()).isEqualTo(2);
    }

    /** Whether the change of the repair waits for a lock that somebody else has. */
    private static boolean waits(String repair) {
        return TestServer.db()
                        .sql(
                                "SELECT COUNT(*) FROM information_schema.processlist WHERE info LIKE 'INSERT INTO server_change%' AND info LIKE ?")
                        .param("%'REPAIR', " + repair + "%")
                        .query(Integer.class)
                        .single()
                > 0;
    }

    private static void await(BooleanSupplier there) {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(5);
        while (!there.getAsBoolean()) {
            assertThat(System.nanoTime()).as("in time").isLessThan(until);
            Thread.onSpinWait();
        }
    }
}
