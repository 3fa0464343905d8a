package vanemend.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.Semaphore;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;
import vanemend.app.problem.Refused;

/**
 * Reads what comes with a request before anything is done for it: no more than is allowed, and no longer than it may take. A sender who drips
 * holds one of a few places for a few seconds, never a turn at planning nor the last thread.
 */
@Component
@Order(Ordered.LOWEST_PRECEDENCE - 10)
class Bodies extends OncePerRequestFilter {
    static final int MOST_BYTES = 1_000_000;
    static final int MOST_FILE_BYTES = 12_000_000;
    private static final int PLACES = 48;
    private static final int FILE_PLACES = 4;
    private static final int PIECE = 16_384;
    private static final Duration LONGEST = Duration.ofSeconds(10);

    private final Semaphore places = new Semaphore(PLACES);
    private final Semaphore filePlaces = new Semaphore(FILE_PLACES);
    private final Duration longest;
    private final HandlerExceptionResolver refusals;

    @Autowired
    Bodies(@Qualifier("handlerExceptionResolver") HandlerExceptionResolver refusals) {
        this(LONGEST, refusals);
    }

    Bodies(Duration longest, HandlerExceptionResolver refusals) {
        this.longest = longest;
        this.refusals = refusals;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return switch (request.getMethod()) {
            case "POST", "PUT", "DELETE", "PATCH" -> false;
            default -> true;
        };
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        byte[] body;
        try {
            body = body(request);
        } catch (Refused e) {
            refusals.resolveException(request, response, null, e);
            return;
        }
        chain.doFilter(new Held(request, body), response);
    }

    /** Pictures and records are larger than anything that is typed. */
    private static boolean file(String uri) {
        return uri.equals("/api/records") || uri.startsWith("/api/repairs/") && uri.endsWith("/pictures");
    }

    private byte[] body(HttpServletRequest request) {
        boolean file = file(request.getRequestURI());
        int most = file ? MOST_FILE_BYTES : MOST_BYTES;
        if (request.getContentLengthLong() > most) {
            throw tooLarge(request.getContentLengthLong(), most);
        }
        Semaphore free = file ? filePlaces : places;
        if (!free.tryAcquire()) {
            throw new Refused(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "Busy",
                    "Too much is being sent at once. What you did is kept; it is sent again by itself.");
        }
        try {
            return read(request.getInputStream(), most);
        } catch (IOException e) {
            throw new Refused(
                    HttpStatus.REQUEST_TIMEOUT,
                    "Not read",
                    "What was sent did not arrive whole. It is kept; send it again.");
        } finally {
            free.release();
        }
    }

    private byte[] read(InputStream in, int most) throws IOException {
        long end = System.nanoTime() + longest.toNanos();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        byte[] piece = new byte[PIECE];
        for (int n = in.read(piece); n >= 0; n = in.read(piece)) {
            out.write(piece, 0, n);
            if (out.size() > most) {
                throw tooLarge(out.size(), most);
            }
            if (System.nanoTime() > end) {
                throw new Refused(
                        HttpStatus.REQUEST_TIMEOUT,
                        "Too slow",
                        "What was sent took longer than " + longest.toSeconds()
                                + " s to arrive. It is kept; send it again.");
            }
        }
        return out.toByteArray();
    }

    private static Refused tooLarge(long bytes, int most) {
        return new Refused(
                HttpStatus.CONTENT_TOO_LARGE,
                "Too large",
                "This is larger than " + most / 1_000_000
                        + " MB, which is the most that is taken here. Nothing of it was kept.",
                Map.of("given", bytes + " bytes", "expected", "at most " + most + " bytes"));
    }

    /** A request whose body lies in memory. */
    private static final class Held extends HttpServletRequestWrapper {
        private final byte[] body;

        Held(HttpServletRequest request, byte[] body) {
            super(request);
            this.body = body;
        }

        @Override
        public ServletInputStream getInputStream() {
            return new FromMemory(body);
        }

        @Override
        public BufferedReader getReader() {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }
    }

    private static final class FromMemory extends ServletInputStream {
        private final ByteArrayInputStream in;

        FromMemory(byte[] body) {
            this.in = new ByteArrayInputStream(body);
        }

        @Override
        public int read() {
            return in.read();
        }

        @Override
        public int read(byte[] into, int from, int most) {
            return in.read(into, from, most);
        }

        @Override
        public boolean isFinished() {
            return in.available() == 0;
        }

        @Override
        public boolean isReady() {
            return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
            throw new IllegalStateException("what lies in memory is read at once");
        }
    }
}
