package vanemend.acceptance;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
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
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;

/** A bench: sends one note after the other, each until it is acknowledged. */
final class Recorder extends Thread {
    /**
     * What became of what was sent.
     *
     * @param again how often something was sent again
     */
    record Count(int acknowledged, int again, int lost, int doubled, boolean inOrder) {}

    private final String address;
    private final Visitor who;
    private final Duration between;
    private final AtomicBoolean stop;
    private final List<UUID> acknowledged = new ArrayList<>();
    private volatile long lastNs = System.nanoTime();
    private int again;

    /** At the run {@code address}, resting {@code between} two notes, until {@code stop}. */
    Recorder(String address, Visitor who, Duration between, AtomicBoolean stop) {
        this.address = address;
        this.who = who;
        this.between = between;
        this.stop = stop;
        setDaemon(true);
    }

    /** When something was acknowledged last, {@link System#nanoTime}. */
    long lastNs() {
        return lastNs;
    }

    @Override
    public void run() {
        try (HttpClient http =
                HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(2)).build()) {
            while (!stop.get()) {
                UUID id = UUID.randomUUID();
                String body = "[{\"id\":\"" + id + "\",\"kind\":\"NOTE\",\"step\":\"wash\",\"text\":\"n\"}]";
                while (!sent(http, body)) {
                    again++;
                    // A dead server is not asked a thousand times a second.
                    pause(Duration.ofMillis(50));
                }
                acknowledged.add(id);
                lastNs = System.nanoTime();
                pause(between);
            }
        }
    }

    private static void pause(Duration d) {
        try {
            Thread.sleep(d);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private boolean sent(HttpClient http, String body) {
        try {
            return http.send(
                                    asked("/events")
                                            .timeout(Duration.ofSeconds(10))
                                            .header("Content-Type", "application/json")
                                            .POST(HttpRequest.BodyPublishers.ofString(body))
                                            .build(),
                                    HttpResponse.BodyHandlers.ofString())
                            .statusCode()
                    == 200;
        } catch (IOException e) {
            return false;
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private HttpRequest.Builder asked(String path) {
        return HttpRequest.newBuilder(URI.create(address + path))
                .header("Cookie", who.cookies())
                .header("X-XSRF-TOKEN", who.token());
    }

    /** What of it is kept, once it has stopped. */
    Count count() throws IOException, InterruptedException {
        join(60_000);
        JsonObject run;
        try (HttpClient http = HttpClient.newHttpClient()) {
            run = JsonParser.parseString(http.send(asked("/run").build(), HttpResponse.BodyHandlers.ofString())
                            .body())
                    .getAsJsonObject();
        }
        List<String> kept = new ArrayList<>();
        for (JsonElement n : run.getAsJsonObject("state").getAsJsonArray("notes")) {
            kept.add(n.getAsJsonObject().get("event").getAsString());
        }
        Map<String, Integer> times = new HashMap<>();
        kept.forEach(k -> times.merge(k, 1, Integer::sum));
        List<String> sent = acknowledged.stream().map(UUID::toString).toList();
        return new Count(
                sent.size(),
                again,
                (int) sent.stream().filter(s -> !times.containsKey(s)).count(),
                (int) times.values().stream().filter(n -> n > 1).count(),
                kept.stream().filter(sent::contains).toList().equals(sent));
    }

    /** All counts as one line. */
    static String said(List<Count> all) {
        return String.format(
                "%d events acknowledged, %d sends tried again, %d lost, %d doubled, %d benches out of order",
                all.stream().mapToInt(Count::acknowledged).sum(),
                all.stream().mapToInt(Count::again).sum(),
                all.stream().mapToInt(Count::lost).sum(),
                all.stream().mapToInt(Count::doubled).sum(),
                all.stream().filter(c -> !c.inOrder()).count());
    }
}
