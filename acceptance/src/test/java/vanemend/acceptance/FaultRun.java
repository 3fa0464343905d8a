package vanemend.acceptance;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * Kills server and database at random moments under ten benches that never stop working, and counts what was acknowledged and is
 * missing, or stands there twice. Arguments: kills of the database, kills of the server.
 */
public final class FaultRun {
    private static final int BENCHES = 10;

    private FaultRun() {}

    /** A bench: sends one note after the other, each until it is acknowledged. */
    private static final class Recorder extends Thread {
        private final String path;
        private final String cookies;
        private final String token;
        private final AtomicBoolean stop;
        private final List<UUID> acknowledged = new ArrayList<>();
        private int again;

        Recorder(String path, String cookies, String token, AtomicBoolean stop) {
            this.path = path;
            this.cookies = cookies;
            this.token = token;
            this.stop = stop;
            setDaemon(true);
        }

        @Override
        public void run() {
            try (HttpClient http = HttpClient.newBuilder()
                    .connectTimeout(Duration.ofSeconds(2))
                    .build()) {
                while (!stop.get()) {
                    UUID id = UUID.randomUUID();
                    String body = "[{\"id\":\"" + id + "\",\"kind\":\"NOTE\",\"step\":\"wash\",\"text\":\"n\"}]";
                    while (!sent(http, body)) {
                        again++;
                    }
                    acknowledged.add(id);
                }
            }
        }

        /** A dead server is not asked a thousand times a second. */
        private static void pause() {
            try {
                Thread.sleep(50);
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }

        private boolean sent(HttpClient http, String body) {
            try {
                HttpResponse<String> r = http.send(
                        HttpRequest.newBuilder(URI.create(Depot.url() + path + "/events"))
                                .timeout(Duration.ofSeconds(10))
                                .header("Content-Type", "application/json")
                                .header("Cookie", cookies)
                                .header("X-XSRF-TOKEN", token)
                                .POST(HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
                return r.statusCode() == 200;
            } catch (IOException e) {
                pause();
                return false;
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    /** Runs and prints the counts. */
    public static void main(String[] args) throws InterruptedException {
        int databaseKills = Integer.parseInt(args[0]);
        int serverKills = Integer.parseInt(args[1]);
        Page page = Depot.as("tam", 1280, 800);
        Visitor tam = Visitor.of(page);
        AtomicBoolean stop = new AtomicBoolean();
        List<Recorder> benches = new ArrayList<>();
        for (int i = 0; i < BENCHES; i++) {
            benches.add(new Recorder(Visitor.anotherRun(page, "Front-skirt split"), tam.cookies(), tam.token(), stop));
        }
        page.context().close();
        benches.forEach(Thread::start);
        Random r = new Random(20_261_125);
        int killed = 0;
        for (int i = 0; i < databaseKills + serverKills; i++) {
            boolean database = serverKills == 0
                    || i % (1 + databaseKills / Math.max(1, serverKills)) != 0
                    || killed >= serverKills;
            Thread.sleep(100 + r.nextInt(900));
            if (database) {
                Depot.killDatabase();
                Depot.restartDatabase();
            } else {
                killed++;
                Depot.kill();
                Depot.restart();
            }
        }
        Thread.sleep(3000);
        stop.set(true);
        for (Recorder b : benches) {
            b.join(60_000);
        }
        report(benches, databaseKills + serverKills - killed, killed);
        System.exit(0);
    }

    private static void report(List<Recorder> benches, int databaseKills, int serverKills) {
        Page page = Depot.as("tam", 1280, 800);
        int acknowledged = 0;
        int again = 0;
        int lost = 0;
        int doubled = 0;
        int outOfOrder = 0;
        for (Recorder b : benches) {
            @SuppressWarnings("unchecked")
            List<String> kept = (List<String>) page.evaluate(
                    "p => fetch(p + '/run').then(r => r.json()).then(r => r.state.notes.map(n => n.event))", b.path);
            Map<String, Integer> count = new HashMap<>();
            kept.forEach(k -> count.merge(k, 1, Integer::sum));
            acknowledged += b.acknowledged.size();
            again += b.again;
            List<String> sent = b.acknowledged.stream().map(UUID::toString).toList();
            lost += (int) sent.stream().filter(x -> !count.containsKey(x)).count();
            doubled += (int) count.values().stream().filter(n -> n > 1).count();
            outOfOrder += kept.stream().filter(sent::contains).toList().equals(sent) ? 0 : 1;
        }
        System.out.printf(
                "%d kills of the database, %d of the server, %d benches: %d events acknowledged, %d sends tried again,"
                        + " %d lost, %d doubled, %d benches out of order%n",
                databaseKills, serverKills, benches.size(), acknowledged, again, lost, doubled, outOfOrder);
    }
}
