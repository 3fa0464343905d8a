package vanemend.acceptance;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.google.gson.JsonPrimitive;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.InputStream;
import java.net.HttpURLConnection;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;

/** Measures the packaged application from outside: preview with twenty requests in flight, and what the first page weighs. */
public final class LoadRun {
    private static final int IN_FLIGHT = 20;
    private static final int ROUNDS = 10;

    /** For a minute or so after a start one processor of two is busy compiling what is then asked. */
    private static final int COLD_ROUNDS = 4;

    private static final int A_ROUND = 6000;
    private static final int A_SHORT_ROUND = 1500;
    private static final int PAIRS = 4;

    /** A solver that is begun anew takes about as long until it is at work. */
    private static final long BEGINS_MS = 1500;

    private static final int TYPED = 997;
    private static final List<String> FIGURES = List.of("depthMm", "lengthMm", "widthMm", "xMm");

    private LoadRun() {}

    /** Prints what was measured. */
    public static void main(String[] args) {
        firstPage();
        preview();
        System.exit(0);
    }

    private static void firstPage() {
        Page page = Depot.blank(1280, 800);
        List<Integer> bodies = new ArrayList<>();
        AtomicInteger requests = new AtomicInteger();
        page.onRequestFinished(r -> {
            requests.incrementAndGet();
            bodies.add(r.sizes().responseBodySize);
        });
        // A new browser has nothing in its cache; what it then shows is the bench, with every font that the screens
        // use.
        page.navigate(Depot.url() + "/bench");
        page.getByLabel("Name").waitFor();
        page.evaluate(
                "() => Promise.all([...document.fonts].filter(f => f.unicodeRange.includes('U+0-FF') || f.unicodeRange.includes('U+0000-00FF')).map(f => f.load())).then(() => true)");
        page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
        int sum = bodies.stream().mapToInt(Integer::intValue).sum();
        System.out.printf(
                "first page load: %.0f kB compressed in %d requests (target below 350 kB)%n",
                sum / 1000.0, requests.get());
        page.context().close();
    }

    /** Signs in with the browser, then asks over twenty connections of its own with the browser's cookies. */
    private static void preview() {
        Page page = Depot.as("tam", 1280, 800);
        String draft = draftOf(page, "Luggage-door ice dents");
        String knock = draftOf(page, "Front-skirt knock: split, rash, tab");
        Visitor tam = Visitor.of(page);
        page.context().close();
        preview(tam, "two dents", draft);
        preview(tam, "a dent, a scratch and a chip", ofThreeKinds(draft));
        preview(tam, "a split, a rash and a tab, three sites", knock);
        besideTheSolver(tam, draft);
    }

    /** In turn with nothing beside, and while a better order of the day is looked for: whoever types goes before that. */
    private static void besideTheSolver(Visitor tam, String draft) {
        List<byte[]> typed =
                IntStream.range(0, TYPED).mapToObj(n -> typed(draft, n)).toList();
        List<Double> quiet = new ArrayList<>();
        List<Double> solving = new ArrayList<>();
        for (int pair = 1; pair <= PAIRS; pair++) {
            quiet.addAll(round(tam, typed, A_SHORT_ROUND));
            look(tam, pair);
            solving.addAll(round(tam, typed, A_SHORT_ROUND));
        }
        System.out.printf(
                "preview of two dents, %d in flight, %d pairs in turn: alone %s; begun while the solver works %s (target 99 %% below 60 ms)%n",
                IN_FLIGHT, PAIRS, said(quiet), said(solving));
    }

    /** Has the day planned anew with the last of its repairs not before {@code minutes} from now, and waits until the solver is at it. */
    private static void look(Visitor tam, int minutes) {
        try {
            JsonArray jobs = JsonParser.parseString(asked(tam.open("/api/day")))
                    .getAsJsonObject()
                    .getAsJsonArray("jobs");
            long last =
                    jobs.get(jobs.size() - 1).getAsJsonObject().get("repair").getAsLong();
            HttpURLConnection pin = tam.open("/api/day/repairs/" + last + "/pin");
            pin.setRequestMethod("PUT");
            pin.setDoOutput(true);
            pin.setRequestProperty("Content-Type", "application/json");
            JsonObject body = new JsonObject();
            body.addProperty("first", false);
            body.addProperty(
                    "notBefore", Instant.now().plusSeconds(60L * minutes).toString());
            pin.getOutputStream().write(body.toString().getBytes(StandardCharsets.UTF_8));
            asked(pin);
            TimeUnit.MILLISECONDS.sleep(BEGINS_MS);
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException("the day was not planned anew", e);
        }
    }

    private static String asked(HttpURLConnection c) throws IOException {
        try (InputStream in = c.getInputStream()) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static String draftOf(Page page, String name) {
        return (String) page.evaluate("""
                async name => {
                  const repairs = await (await fetch('/api/repairs')).json();
                  const id = repairs.find(r => r.name === name).id;
                  return JSON.stringify((await (await fetch('/api/repairs/' + id)).json()).draft);
                }
                """, name);
    }

    /** The first dent of {@code draft} with a scratch and a chip in paint beside it. */
    private static String ofThreeKinds(String draft) {
        JsonObject out = JsonParser.parseString(draft).getAsJsonObject();
        JsonArray damages = new JsonArray();
        damages.add(out.getAsJsonArray("damages").get(0));
        damages.add(JsonParser.parseString(
                "{\"kind\":\"SCRATCH\",\"trace\":[120,80,210,104],\"widthMm\":3,\"depthMm\":0.6}"));
        damages.add(JsonParser.parseString("{\"kind\":\"PAINT_CHIP\",\"xMm\":250,\"yMm\":60,\"lengthMm\":6,"
                + "\"widthMm\":5,\"angleDeg\":0,\"depthMm\":0.4}"));
        out.add("damages", damages);
        return out.toString();
    }

    private static void preview(Visitor tam, String what, String draft) {
        List<byte[]> typed =
                IntStream.range(0, TYPED).mapToObj(n -> typed(draft, n)).toList();
        List<Double> warm = new ArrayList<>();
        for (int round = 1; round <= ROUNDS; round++) {
            List<Double> ms = round(tam, typed, A_ROUND);
            System.out.printf(
                    "preview of %s, %d in flight, round %d of %d: %s%n", what, IN_FLIGHT, round, ROUNDS, said(ms));
            if (round > COLD_ROUNDS) {
                warm.addAll(ms);
            }
        }
        System.out.printf(
                "preview of %s, %d in flight, all rounds after the first %d: %s (target 99 %% below 50 ms)%n",
                what, IN_FLIGHT, COLD_ROUNDS, said(warm));
    }

    private static String said(List<Double> ms) {
        double[] sorted = ms.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        return String.format(
                "median %.1f ms, 99 %% %.1f ms", sorted[sorted.length / 2], sorted[(int) (sorted.length * 0.99)]);
    }

    /** The draft after the {@code n}th figure was typed: a damage's depth, size or place, never the same twice. */
    private static byte[] typed(String draft, int n) {
        JsonObject out = JsonParser.parseString(draft).getAsJsonObject();
        JsonArray damages = out.getAsJsonArray("damages");
        JsonObject dent = damages.get(n / FIGURES.size() % damages.size()).getAsJsonObject();
        List<String> figures = FIGURES.stream().filter(dent::has).toList();
        double by = 1 + 0.2 * n / TYPED;
        if (figures.isEmpty()) {
            JsonArray trace = dent.getAsJsonArray("trace");
            trace.set(1, new JsonPrimitive(trace.get(1).getAsDouble() * by));
        } else {
            String figure = figures.get(n % figures.size());
            dent.addProperty(figure, dent.get(figure).getAsDouble() * by);
        }
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static List<Double> round(Visitor tam, List<byte[]> typed, int questions) {
        AtomicInteger left = new AtomicInteger(questions);
        Queue<Double> times = new ConcurrentLinkedQueue<>();
        List<Future<?>> all = new ArrayList<>();
        try (ExecutorService hands = Executors.newFixedThreadPool(IN_FLIGHT)) {
            for (int i = 0; i < IN_FLIGHT; i++) {
                all.add(hands.submit(() -> {
                    try (Wire wire = new Wire(tam)) {
                        for (int n = left.getAndDecrement(); n > 0; n = left.getAndDecrement()) {
                            byte[] question = wire.question("/api/preview", typed.get(n % typed.size()));
                            long begun = System.nanoTime();
                            int status = wire.ask(question);
                            times.add(status == 200 ? (System.nanoTime() - begun) / 1e6 : Double.POSITIVE_INFINITY);
                        }
                    }
                    return null;
                }));
            }
        }
        for (Future<?> one : all) {
            if (one.state() == Future.State.FAILED) {
                throw new IllegalStateException("the measurement broke off", one.exceptionNow());
            }
        }
        return List.copyOf(times);
    }
}
