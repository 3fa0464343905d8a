package vanemend.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.app.Caller;
import vanemend.app.Drafts;
import vanemend.app.TestServer;

@DisplayName(
        "two servers on one database: what one changes the other knows within a second, and neither does what the other does")
class SeveralServersTest {
    /** Patience of a busy machine; a second is what it takes on a free one. */
    private static final Duration PATIENCE = Duration.ofSeconds(10);

    private static void until(BooleanSupplier so) {
        long end = System.nanoTime() + PATIENCE.toNanos();
        while (!so.getAsBoolean()) {
            assertThat(System.nanoTime()).as("known to the other in time").isLessThan(end);
        }
    }

    private static Caller in(Supplier<Caller> server, String name) {
        Caller c = server.get();
        assertThat(c.post("/api/session", Map.of("name", name, "password", TestServer.PASSWORD))
                        .status())
                .isEqualTo(200);
        return c;
    }

    @Test
    void oneShop() {
        TestServer.besides(server -> {
            Caller here = TestServer.as("tam");
            Caller there = in(server, "priya");
            air(here, there);
            bell(here, there);
            sessions(server);
            startedOnce(here, there);
            shelf(here, there);
        });
    }

    private static void air(Caller here, Caller there) {
        double was = there.get("/api/shop").at("tempC").asDouble();
        String draft = there.post(
                        "/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door("Two servers")))
                .text("id");
        assertThat(there.get("/api/repairs/" + draft)
                        .at("workup.plan.air.tempC")
                        .asDouble())
                .as("it keeps what plans are made under")
                .isEqualTo(was);
        here.put("/api/shop/air", Map.of("tempC", 24.5, "rhPercent", 51));
        until(() ->
                there.get("/api/repairs/" + draft).at("workup.plan.air.tempC").asDouble() == 24.5);
        here.put("/api/shop/air", Map.of("tempC", was, "rhPercent", 58));
    }

    private static void bell(Caller here, Caller there) {
        BlockingQueue<String> rung = new LinkedBlockingQueue<>();
        try (Caller.Stream stream = there.stream("/api/stream", rung::add)) {
            heard(rung, "event:open");
            rung.clear();
            here.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door("Rung over there")));
            // Together with something else that changed within the second it rings for everything.
            heard(rung, "event:changed");
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private static void heard(BlockingQueue<String> lines, String wanted) throws InterruptedException {
        for (String line = ""; !line.contains(wanted); ) {
            line = lines.poll(PATIENCE.toSeconds(), TimeUnit.SECONDS);
            assertThat(line).as("waiting for " + wanted).isNotNull();
        }
    }

    /** A sign-in given by one server holds at the other, until it ends at either. */
    private static void sessions(Supplier<Caller> server) {
        Caller joss = TestServer.as("joss");
        Caller same = server.get().with(joss);
        assertThat(same.get("/api/repairs").status()).isEqualTo(200);
        joss.delete("/api/session");
        until(() -> same.get("/api/repairs").status() == 401);
    }

    private static void startedOnce(Caller here, Caller there) {
        String path = "/api/repairs/"
                + here.post(
                                "/api/repairs",
                                Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door("Begun at both")))
                        .text("id");
        List<Integer> status = atOnce(
                List.of(here, there),
                c -> c.post(path + "/start", 1, Map.of("eventId", UUID.randomUUID()))
                        .status());
        assertThat(status).containsExactlyInAnyOrder(200, 409);
        assertThat(here.get(path + "/run").at("events").asInt()).isEqualTo(1);
    }

    private static void shelf(Caller here, Caller there) {
        here.post(
                "/api/shelf",
                Map.of(
                        "id",
                        "two-servers",
                        "classId",
                        "alcohol-wipe",
                        "name",
                        "Wipe",
                        "lot",
                        "W",
                        "quantity",
                        1000,
                        "unit",
                        "mL"));
        List<Caller> hands = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            hands.add(i % 2 == 0 ? here : there);
        }
        Set<Integer> status = new HashSet<>(atOnce(
                hands,
                c -> c.post("/api/shelf/two-servers/acts", Map.of("act", "USE", "quantity", 1))
                        .status()));
        assertThat(status).containsExactly(200);
        assertThat(there.get("/api/shelf")
                        .body()
                        .valueStream()
                        .filter(l -> l.at("/item/id").asString().equals("two-servers"))
                        .findFirst()
                        .orElseThrow()
                        .at("/item/quantity")
                        .asDouble())
                .isEqualTo(980);
    }

    private static List<Integer> atOnce(List<Caller> who, java.util.function.Function<Caller, Integer> act) {
        try (ExecutorService hands = Executors.newVirtualThreadPerTaskExecutor()) {
            List<Future<Integer>> all =
                    who.stream().map(c -> hands.submit(() -> act.apply(c))).toList();
            List<Integer> out = new ArrayList<>();
            for (Future<Integer> f : all) {
                out.add(f.get());
            }
            return out;
        } catch (InterruptedException | ExecutionException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    @DisplayName("a turn belongs to one server, is kept by asking again, and goes to another when it has run out")
    void turns() {
        Leases here = TestServer.bean(Leases.class);
        Leases there = new Leases(TestServer.db(), new Changes(TestServer.db(), e -> {}));
        Duration turn = Duration.ofMinutes(5);
        assertThat(here.mine("test", turn)).isTrue();
        assertThat(there.mine("test", turn)).isFalse();
        assertThat(here.mine("test", turn)).isTrue();
        TestServer.db()
                .sql("UPDATE server_lease SET until = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND WHERE name = 'test'")
                .update();
        assertThat(there.mine("test", turn)).isTrue();
        assertThat(here.mine("test", turn)).isFalse();
    }
}
