package vanemend.app.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import vanemend.app.Caller;
import vanemend.app.Drafts;
import vanemend.app.TestServer;

class BellTest {
    private static void until(BlockingQueue<String> lines, String wanted) throws InterruptedException {
        for (String line = ""; !line.contains(wanted); ) {
            line = lines.poll(20, TimeUnit.SECONDS);
            assertThat(line).as("waiting for " + wanted).isNotNull();
        }
    }

    /** A busy bench: many changes within a second are one ring or two, and none is forgotten. */
    @Test
    void manyChangesAreGatheredIntoFewRingsThatNameTheRepairs() throws Exception {
        Caller tam = TestServer.as("tam");
        BlockingQueue<String> lines = new LinkedBlockingQueue<>();
        Bell bell = TestServer.bean(Bell.class);
        try (Caller.Stream stream = tam.stream("/api/stream", lines::add)) {
            until(lines, "event:open");
            for (long repair = 1001; repair <= 1200; repair++) {
                bell.ring(repair);
            }
            int rings = 0;
            String named = "";
            while (!named.contains("1200")) {
                String line = lines.poll(20, TimeUnit.SECONDS);
                assertThat(line).isNotNull();
                rings += line.equals("event:changed") ? 1 : 0;
                named += line.startsWith("data:") ? line : "";
            }
            assertThat(rings).isBetween(1, 3);
            for (long repair = 1001; repair <= 1200; repair++) {
                assertThat(named).contains(Long.toString(repair));
            }
        }
    }

    @Test
    void whoListensHearsOfEveryChangeOnceItIsKept() throws Exception {
        Caller watcher = TestServer.as("isla");
        Caller tam = TestServer.as("tam");
        BlockingQueue<String> lines = new LinkedBlockingQueue<>();
        try (Caller.Stream stream = watcher.stream("/api/stream", lines::add)) {
            until(lines, "event:open");
            tam.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door("Heard")));
            until(lines, "event:changed");
            assertThat(watcher.get("/api/repairs").body().toString()).contains("Heard");
        }
    }
}
