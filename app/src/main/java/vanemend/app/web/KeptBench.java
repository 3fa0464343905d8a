package vanemend.app.web;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.zip.GZIPOutputStream;
import org.springframework.stereotype.Component;
import vanemend.app.access.Account;
import vanemend.app.access.Role;
import vanemend.app.bench.Bell;
import vanemend.app.store.Json;

/**
 * The bench as it is sent, kept while it is true: two hundred screens that ask for the same thing get the same bytes. It is computed anew when
 * something changed, when a bell has rung since, and every few seconds because clocks run on. Where computing takes long, it may lag behind
 * a change by a few times as long, until the next ring, so that a busy bench does not compute it all the time.
 */
@Component
class KeptBench {
    private static final long LIVES_NS = TimeUnit.SECONDS.toNanos(5);
    private static final long LONG_NS = TimeUnit.MILLISECONDS.toNanos(50);
    private static final int LAGS = 4;

    private record Kept(byte[] json, byte[] zipped, long changes, long begunAt, long tookNs) {}

    /** By whether hands are an apprentice's: nothing else of who asks is in it. */
    private final Map<Boolean, Kept> kept = new HashMap<>();

    private final BenchViews views;
    private final Bell bell;
    private final Json json;

    KeptBench(BenchViews views, Bell bell, Json json) {
        this.views = views;
        this.bell = bell;
        this.json = json;
    }

    /** The bench for {@code who} as JSON, zipped or not. */
    synchronized byte[] of(Account who, boolean zipped) {
        boolean apprentice = who.role() == Role.APPRENTICE;
        Kept k = kept.get(apprentice);
        if (k == null || !holds(k)) {
            long changes = bell.changes();
            long begun = System.nanoTime();
            byte[] bytes = json.write(views.bench(who)).getBytes(java.nio.charset.StandardCharsets.UTF_8);
            k = new Kept(bytes, zip(bytes), changes, begun, System.nanoTime() - begun);
            kept.put(apprentice, k);
        }
        return zipped ? k.zipped() : k.json();
    }

    private boolean holds(Kept k) {
        long age = System.nanoTime() - k.begunAt();
        if (age > LIVES_NS || k.begunAt() - bell.rungAt() < 0) {
            return false;
        }
        return k.changes() == bell.changes() || (k.tookNs() > LONG_NS && age < LAGS * k.tookNs());
    }

    private static byte[] zip(byte[] bytes) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (GZIPOutputStream zip = new GZIPOutputStream(out)) {
            zip.write(bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
