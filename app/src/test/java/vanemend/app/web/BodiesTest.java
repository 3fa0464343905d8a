package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.servlet.HandlerExceptionResolver;
import vanemend.app.Caller;
import vanemend.app.TestServer;
import vanemend.app.problem.Refused;

@DisplayName(
        "what comes with a request: no more than is allowed, no longer than it may take, read before a turn is taken")
class BodiesTest {
    private final List<Refused> refused = new ArrayList<>();
    private final HandlerExceptionResolver resolver = (request, response, handler, e) -> {
        refused.add((Refused) e);
        response.setStatus(((Refused) e).status().value());
        return null;
    };

    private static MockHttpServletRequest post(String uri, InputStream body) {
        return new MockHttpServletRequest("POST", uri) {
            @Override
            public ServletInputStream getInputStream() {
                return new ServletInputStream() {
                    @Override
                    public int read() throws IOException {
                        return body.read();
                    }

                    @Override
                    public int read(byte[] into, int from, int most) throws IOException {
                        return body.read(into, from, most);
                    }

                    @Override
                    public boolean isFinished() {
                        return false;
                    }

                    @Override
                    public boolean isReady() {
                        return true;
                    }

                    @Override
                    public void setReadListener(ReadListener listener) {}
                };
            }

            @Override
            public long getContentLengthLong() {
                return -1;
            }
        };
    }

    /** Never ends; counts what was taken of it. */
    private static final class Endless extends InputStream {
        private long taken;

        @Override
        public int read() {
            taken++;
            return 'x';
        }
    }

    private int through(Duration longest, MockHttpServletRequest request) throws ServletException, IOException {
        MockHttpServletResponse response = new MockHttpServletResponse();
        new Bodies(longest, resolver).doFilter(request, response, (q, r) -> {
            throw new AssertionError("it was let through");
        });
        return response.getStatus();
    }

    @Test
    @DisplayName("one that names no length and does not end is let go after a megabyte; a file after twelve")
    void tooLarge() throws ServletException, IOException {
        Endless typed = new Endless();
        assertThat(through(Duration.ofMinutes(5), post("/api/preview", typed))).isEqualTo(413);
        assertThat(typed.taken).isLessThan(1_100_000);
        Endless file = new Endless();
        assertThat(through(Duration.ofMinutes(5), post("/api/records", file))).isEqualTo(413);
        assertThat(file.taken).isBetween(12_000_000L, 12_100_000L);
        assertThat(refused).extracting(Refused::getMessage).allMatch(m -> m.contains("MB, which is the most"));
    }

    @Test
    @DisplayName("one that drips is let go when its time is over")
    void tooSlow() throws ServletException, IOException {
        assertThat(through(Duration.ZERO, post("/api/preview", new Endless()))).isEqualTo(408);
    }

    @Test
    @DisplayName("many that hold their place keep others out with a plain word, and nobody waits")
    void full() throws Exception {
        Bodies filter = new Bodies(Duration.ofMinutes(5), resolver);
        CountDownLatch reading = new CountDownLatch(4);
        CountDownLatch go = new CountDownLatch(1);
        List<Thread> hands = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            InputStream holding = new InputStream() {
                @Override
                public int read() {
                    reading.countDown();
                    try {
                        go.await();
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                    }
                    return -1;
                }
            };
            hands.add(Thread.ofVirtual().start(() -> {
                try {
                    filter.doFilter(post("/api/records", holding), new MockHttpServletResponse(), (q, r) -> {});
                } catch (IOException | ServletException e) {
                    throw new IllegalStateException(e);
                }
            }));
        }
        reading.await();
        MockHttpServletResponse response = new MockHttpServletResponse();
        filter.doFilter(post("/api/records", InputStream.nullInputStream()), response, (q, r) -> {});
        assertThat(response.getStatus()).isEqualTo(503);
        MockHttpServletResponse typed = new MockHttpServletResponse();
        filter.doFilter(post("/api/preview", InputStream.nullInputStream()), typed, (q, r) -> {});
        assertThat(typed.getStatus()).as("files do not keep out what is typed").isEqualTo(200);
        go.countDown();
        for (Thread t : hands) {
            t.join();
        }
    }

    @Test
    @DisplayName("the running application says what it takes, in the problem")
    void said() {
        Caller tam = TestServer.as("tam");
        Caller.Answer a = tam.raw("/api/preview", "\"" + "x".repeat(1_000_001) + "\"");
        assertThat(a.status()).isEqualTo(413);
        assertThat(a.text("detail")).contains("larger than 1 MB");
        assertThat(a.text("expected")).isEqualTo("at most 1000000 bytes");
        assertThat(tam.post("/api/preview", Map.of()).status()).isEqualTo(200);
    }
}
