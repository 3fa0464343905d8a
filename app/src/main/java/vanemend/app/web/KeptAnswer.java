package vanemend.app.web;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import java.util.zip.GZIPOutputStream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import vanemend.app.bench.Bell;
import vanemend.app.store.Json;

/**
 * What is sent to everybody, kept while it is true: two hundred screens that ask for the same thing get the same bytes. It is computed anew when
 * something changed, when a bell has rung since, and after a while because clocks run on. Where computing takes long, it may lag behind a
 * change by a few times as long, until the next ring, so that a busy shop does not compute it all the time.
 */
final class KeptAnswer<T> {
    private static final long LONG_NS = TimeUnit.MILLISECONDS.toNanos(50);
    private static final int LAGS = 4;

    private record Kept<T>(T value, byte[] json, byte[] zipped, long changes, long begunAt, long tookNs) {}

    private final Bell bell;
    private final Json json;
    private final long livesNs;
    private Kept<T> kept;

    KeptAnswer(Bell bell, Json json, long livesSeconds) {
        this.bell = bell;
        this.json = json;
        this.livesNs = TimeUnit.SECONDS.toNanos(livesSeconds);
    }

    private synchronized Kept<T> of(Supplier<T> fresh) {
        if (kept == null || !holds(kept)) {
            long changes = bell.changes();
            long begun = System.nanoTime();
            T value = fresh.get();
            byte[] bytes = json.write(value).getBytes(StandardCharsets.UTF_8);
            kept = new Kept<>(value, bytes, zip(bytes), changes, begun, System.nanoTime() - begun);
        }
        return kept;
    }

    /** Whoever changed something themselves sees it at once. */
    synchronized void drop() {
        kept = null;
    }

    /** What {@code fresh} gives; asked only where what is kept holds no more. */
    T value(Supplier<T> fresh) {
        return of(fresh).value();
    }

    /** The same as JSON to somebody who {@code takes} it zipped or not. */
    ResponseEntity<byte[]> answer(Supplier<T> fresh, String takes) {
        boolean zipped = takes.contains("gzip");
        ResponseEntity.BodyBuilder answer =
                ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).varyBy(HttpHeaders.ACCEPT_ENCODING);
        if (zipped) {
            answer.header(HttpHeaders.CONTENT_ENCODING, "gzip");
        }
        Kept<T> now = of(fresh);
        return answer.body(zipped ? now.zipped() : now.json());
    }

    private boolean holds(Kept<T> k) {
        long age = System.nanoTime() - k.begunAt();
        if (age > livesNs || k.begunAt() - bell.rungAt() < 0) {
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
