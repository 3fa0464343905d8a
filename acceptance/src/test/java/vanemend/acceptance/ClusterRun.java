package vanemend.acceptance;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;

/**
 * Three databases, two servers and a proxy under twenty benches that never stop working. One of the five is killed at random and brought back, again
 * and again; what was acknowledged and is missing or stands there twice is counted, and how long the slowest bench stood still. Arguments: the folder
 * that they lie in, how many kills.
 */
public final class ClusterRun {
    private static final int BENCHES = 20;
    private static final List<String> ALL = List.of("node-1", "node-2", "node-3", "server-1", "server-2");
    private static final Duration LONGEST = Duration.ofSeconds(30);
    private static final Duration BETWEEN = Duration.ofMillis(200);

    private final Path folder;
    private final HttpClient http;
    private final CookieManager cookies = new CookieManager();
    private String address = "";

    private ClusterRun(Path folder) {
        this.folder = folder;
        this.http = HttpClient.newBuilder().cookieHandler(cookies).build();
    }

    /** Runs and prints the counts. */
    public static void main(String[] args) throws IOException, InterruptedException {
        new ClusterRun(Path.of(args[0])).run(Integer.parseInt(args[1]));
        System.exit(0);
    }

    private void run(int kills) throws IOException, InterruptedException {
        String told = cluster("demo");
        address = told.replaceAll("(?s).*Vane Mend is at (\\S+), .*", "$1");
        Visitor tam = signIn("tam", told.replaceAll("(?s).*password +(\\S+).*", "$1"));
        AtomicBoolean stop = new AtomicBoolean();
        List<Recorder> benches = new ArrayList<>();
        for (int i = 0; i < BENCHES; i++) {
            benches.add(new Recorder(address + anotherRun(tam), tam, BETWEEN, stop));
        }
        benches.forEach(Thread::start);
        Random random = new Random(20_261_129);
        Map<String, List<Double>> stood = new HashMap<>();
        for (int i = 0; i < kills; i++) {
            String one = ALL.get(random.nextInt(ALL.size()));
            Thread.sleep(300 + random.nextInt(900));
            long at = System.nanoTime();
            cluster("kill", one);
            double seconds = untilAllGoOn(benches, at);
            stood.computeIfAbsent(one.replaceAll("-.*", ""), k -> new ArrayList<>())
                    .add(seconds);
            cluster("heal", one);
            System.out.printf("%d of %d: %s killed, the slowest bench stood %.1f s%n", i + 1, kills, one, seconds);
        }
        Thread.sleep(2000);
        stop.set(true);
        List<Recorder.Count> counts = new ArrayList<>();
        for (Recorder b : benches) {
            counts.add(b.count());
        }
        System.out.printf("%d kills, %d benches: %s%n", kills, BENCHES, Recorder.said(counts));
        stood.forEach((what, s) -> System.out.printf(
                "%s killed %d times: the slowest bench stood %.1f s at the median, %.1f s at most%n",
                what,
                s.size(),
                s.stream().sorted().skip(s.size() / 2).findFirst().orElseThrow(),
                s.stream().max(Double::compare).orElseThrow()));
        cluster("stop");
    }

    /** Seconds from {@code at} until every bench had something acknowledged that it sent after it. */
    private static double untilAllGoOn(List<Recorder> benches, long at) throws InterruptedException {
        // What was on its way when it was killed may be acknowledged at once.
        long after = at + BETWEEN.toNanos();
        while (benches.stream().anyMatch(b -> b.lastNs() - after < 0)) {
            if (System.nanoTime() - at > LONGEST.toNanos()) {
                return Double.POSITIVE_INFINITY;
            }
            Thread.sleep(20);
        }
        return (System.nanoTime() - at) / 1e9;
    }

    private String cluster(String... words) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(
                "bash", Path.of("..", "vanemend").toAbsolutePath().normalize().toString(), "cluster"));
        command.addAll(List.of(words));
        ProcessBuilder b = new ProcessBuilder(command).redirectErrorStream(true);
        b.environment().put("VANEMEND_RUN", folder.toString());
        Process p = b.start();
        String out = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (p.waitFor() != 0) {
            throw new IllegalStateException(String.join(" ", words) + " ended with " + p.exitValue() + ": " + out);
        }
        return out;
    }

    private Visitor signIn(String name, String password) throws IOException, InterruptedException {
        ask("/api/session", null, null);
        JsonObject body = new JsonObject();
        body.addProperty("name", name);
        body.addProperty("password", password);
        ask("/api/session", body.toString(), token());
        // Signed in, the token is another.
        ask("/api/session", null, null);
        return new Visitor(
                cookies.getCookieStore().getCookies().stream()
                        .map(c -> c.getName() + "=" + c.getValue())
                        .collect(Collectors.joining("; ")),
                token());
    }

    private String token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElseThrow();
    }

    private String anotherRun(Visitor who) throws IOException, InterruptedException {
        long like = 0;
        for (JsonElement r :
                JsonParser.parseString(ask("/api/repairs", null, null)).getAsJsonArray()) {
            if (r.getAsJsonObject().get("name").getAsString().equals("Front-skirt split")) {
                like = r.getAsJsonObject().get("id").getAsLong();
                break;
            }
        }
        JsonObject fresh = new JsonObject();
        fresh.addProperty("clientId", UUID.randomUUID().toString());
        fresh.add(
                "draft",
                JsonParser.parseString(ask("/api/repairs/" + like, null, null))
                        .getAsJsonObject()
                        .get("draft"));
        JsonObject made = JsonParser.parseString(ask("/api/repairs", fresh.toString(), who.token()))
                .getAsJsonObject();
        String path = "/api/repairs/" + made.get("id").getAsLong();
        ask(path + "/start", "{\"eventId\":\"" + UUID.randomUUID() + "\"}", who.token());
        return path;
    }

    /** What is answered to {@code body}, or without one to the question alone. */
    private String ask(String path, String body, String token) throws IOException, InterruptedException {
        HttpRequest.Builder b =
                HttpRequest.newBuilder(URI.create(address + path)).timeout(Duration.ofSeconds(20));
        if (body != null) {
            b.header("Content-Type", "application/json")
                    .header("X-XSRF-TOKEN", token)
                    .header("If-Match", "\"1\"")
                    .POST(HttpRequest.BodyPublishers.ofString(body));
        }
        HttpResponse<String> r = http.send(b.build(), HttpResponse.BodyHandlers.ofString());
        if (r.statusCode() >= 300) {
            throw new IllegalStateException(path + " answered " + r.statusCode() + ": " + r.body());
        }
        return r.body();
    }
}
