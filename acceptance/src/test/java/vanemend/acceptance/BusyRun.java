package vanemend.acceptance;

import com.microsoft.playwright.Page;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.HttpURLConnection;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * A full shop: fifty benches that record something every two seconds or so, two hundred screens that watch the bench and ask for it whenever the
 * bell rings. Prints every minute how long events took to be acknowledged and what the server holds in memory. Argument: minutes.
 */
public final class BusyRun {
    private static final int BENCHES = 50;
    private static final int WATCHERS = 200;
    private static final int PAUSE_MS = 2000;

    private BusyRun() {}

    /** Runs and prints. */
    public static void main(String[] args) throws InterruptedException {
        int minutes = Integer.parseInt(args[0]);
        System.setProperty("http.maxConnections", Integer.toString(BENCHES + 2 * WATCHERS));
        List<Visitor> people = List.of(Visitor.of("tam"), Visitor.of("priya"), Visitor.of("isla"), Visitor.of("joss"));
        Page page = Depot.as("tam", 1280, 800);
        List<String> runs = new ArrayList<>();
        for (int i = 0; i < BENCHES; i++) {
            runs.add(Visitor.anotherRun(page, "Front-skirt split"));
        }
        page.context().close();
        AtomicBoolean stop = new AtomicBoolean();
        AtomicInteger looks = new AtomicInteger();
        AtomicInteger failed = new AtomicInteger();
        Queue<Double> took = new ConcurrentLinkedQueue<>();
        for (int i = 0; i < WATCHERS; i++) {
            Visitor who = people.get(i % people.size());
            Thread.ofVirtual().start(() -> watch(who, stop, looks, failed));
        }
        for (int i = 0; i < BENCHES; i++) {
            Visitor who = people.get(i % people.size());
            String run = runs.get(i);
            Random random = new Random(i);
            Thread.ofVirtual().start(() -> work(who, run, random, stop, took, failed));
        }
        List<Double> all = new ArrayList<>();
        for (int m = 1; m <= minutes; m++) {
            Thread.sleep(60_000);
            List<Double> minute = new ArrayList<>();
            for (Double t = took.poll(); t != null; t = took.poll()) {
                minute.add(t);
            }
            all.addAll(minute);
            System.out.printf(
                    "minute %d: %s, bench looked at %d times, %d failed, server holds %d MB%n",
                    m, said(minute), looks.getAndSet(0), failed.get(), Depot.serverMegabytes());
        }
        stop.set(true);
        System.out.printf(
                "%d benches, %d watching, %d min: %s (target 99 %% within 150 ms)%n",
                BENCHES, WATCHERS, minutes, said(all));
        System.exit(0);
    }

    private static String said(List<Double> ms) {
        double[] sorted = ms.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        return String.format(
                "%d events acknowledged, median %.0f ms, 99 %% %.0f ms, slowest %.0f ms",
                sorted.length,
                sorted[sorted.length / 2],
                sorted[(int) (sorted.length * 0.99)],
                sorted[sorted.length - 1]);
    }

    /** Notes and readings, never done with: a bench in the middle of its work. */
    private static void work(
            Visitor who, String run, Random random, AtomicBoolean stop, Queue<Double> took, AtomicInteger failed) {
        while (!stop.get()) {
            String what = random.nextBoolean()
                    ? "\"kind\":\"READING\",\"quantity\":\"SURFACE_C\",\"value\":" + (20 + random.nextInt(20))
                    : "\"kind\":\"NOTE\",\"text\":\"looked at it\"";
            byte[] body = ("[{\"id\":\"" + UUID.randomUUID() + "\",\"step\":\"wash\"," + what + "}]")
                    .getBytes(StandardCharsets.UTF_8);
            try {
                Thread.sleep(random.nextInt(2 * PAUSE_MS));
                long begun = System.nanoTime();
                if (who.post(run + "/events", body) == 200) {
                    took.add((System.nanoTime() - begun) / 1e6);
                } else {
                    failed.incrementAndGet();
                }
            } catch (IOException e) {
                failed.incrementAndGet();
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    /** Listens to the bell and looks at the bench whenever it rings. */
    private static void watch(Visitor who, AtomicBoolean stop, AtomicInteger looks, AtomicInteger failed) {
        while (!stop.get()) {
            try {
                HttpURLConnection c = who.open("/api/stream");
                try (BufferedReader in =
                        new BufferedReader(new InputStreamReader(c.getInputStream(), StandardCharsets.UTF_8))) {
                    for (String line = in.readLine(); line != null && !stop.get(); line = in.readLine()) {
                        if (line.startsWith("event:changed")) {
                            (who.get("/api/bench") == 200 ? looks : failed).incrementAndGet();
                        }
                    }
                }
            } catch (IOException e) {
                failed.incrementAndGet();
            }
        }
    }
}
