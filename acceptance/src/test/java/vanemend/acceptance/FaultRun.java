package vanemend.acceptance;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * Kills server and database at random moments under ten benches that never stop working, and counts what was acknowledged and is
 * missing, or stands there twice. Arguments: kills of the database, kills of the server.
 */
public final class FaultRun {
    private static final int BENCHES = 10;

    private FaultRun() {}

    /** Runs and prints the counts. */
    public static void main(String[] args) throws InterruptedException, IOException {
        int databaseKills = Integer.parseInt(args[0]);
        int serverKills = Integer.parseInt(args[1]);
        Page page = Depot.as("tam", 1280, 800);
        Visitor tam = Visitor.of(page);
        AtomicBoolean stop = new AtomicBoolean();
        List<Recorder> benches = new ArrayList<>();
        for (int i = 0; i < BENCHES; i++) {
            benches.add(new Recorder(
                    Depot.url() + Visitor.anotherRun(page, "Front-skirt split"), tam, Duration.ZERO, stop));
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
        List<Recorder.Count> counts = new ArrayList<>();
        for (Recorder b : benches) {
            counts.add(b.count());
        }
        System.out.printf(
                "%d kills of the database, %d of the server, %d benches: %s%n",
                databaseKills + serverKills - killed, killed, BENCHES, Recorder.said(counts));
        System.exit(0);
    }
}
