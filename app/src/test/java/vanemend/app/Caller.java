package vanemend.app;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpHeaders;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Asks the application over HTTP as a browser would: with cookies, and with the token against forged requests. */
public final class Caller {
    private static final JsonMapper JSON = new JsonMapper();

    /** What came back. */
    public record Answer(int status, JsonNode body, HttpHeaders headers, String asked) {
        /** Text at a path such as {@code state.current}; empty when absent. */
        public String text(String path) {
            JsonNode at = at(path);
            return at.isMissingNode() ? "" : at.asString();
        }

        /** Node at a path such as {@code problems.0.field}. */
        public JsonNode at(String path) {
            return body.at("/" + path.replace('.', '/'));
        }
    }

    private final String base;
    private final Map<String, String> always = new HashMap<>();
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    Caller(String base) {
        this.base = base;
    }

    /** Reads. */
    public Answer get(String path) {
        return send(request(path).GET());
    }

    /** Adds. */
    public Answer post(String path, Object body) {
        return send(json(request(path), "POST", body));
    }

    /** What comes back to {@code request}, byte by byte, as no client of good manners would send it. */
    public String onTheWire(String request) throws IOException {
        URI to = URI.create(base);
        try (Socket s = new Socket(to.getHost(), to.getPort())) {
            s.setSoTimeout(10_000);
            s.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            s.getOutputStream().flush();
            return new String(s.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /** Adds, said to be from a page that {@code person} opened. */
    public Answer postFrom(String person, String path, Object body) {
        return send(json(request(path).header("X-Person", person), "POST", body));
    }

    /** Adds under a version. */
    public Answer post(String path, int version, Object body) {
        return send(json(request(path).header("If-Match", "\"" + version + "\""), "POST", body));
    }

    /** Changes. */
    public Answer put(String path, Object body) {
        return send(json(request(path), "PUT", body));
    }

    /** A file as it comes. */
    public byte[] bytes(String path) {
        try {
            HttpResponse<byte[]> r = http.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofByteArray());
            if (r.statusCode() != 200) {
                throw new AssertionError(path + " answered " + r.statusCode() + ": "
                        + new String(r.body(), java.nio.charset.StandardCharsets.UTF_8));
            }
            return r.body();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Changes under a version. */
    public Answer put(String path, int version, Object body) {
        return send(json(request(path).header("If-Match", "\"" + version + "\""), "PUT", body));
    }

    /** Sends without the token. */
    public Answer forged(String path, Object body) {
        return send(request(path)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body))));
    }

    /** Takes away. */
    public Answer delete(String path) {
        return send(request(path).header("X-XSRF-TOKEN", token()).DELETE());
    }

    /** Sends a file as it is. */
    public Answer file(String path, String type, byte[] file) {
        return send(request(path)
                .header("Content-Type", type)
                .header("X-XSRF-TOKEN", token())
                .POST(HttpRequest.BodyPublishers.ofByteArray(file)));
    }

    /** Sends CSV. */
    public Answer text(String path, String csv) {
        return file(path, "text/csv", csv.getBytes(java.nio.charset.StandardCharsets.UTF_8));
    }

    /** Sends text as it is. */
    public Answer raw(String path, String text) {
        return send(request(path)
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token())
                .POST(HttpRequest.BodyPublishers.ofString(text)));
    }

    /** An open stream of lines. */
    public interface Stream extends AutoCloseable {
        @Override
        void close();
    }

    /** Listens to a stream and hands on its lines until it is closed. */
    public Stream stream(String path, Consumer<String> line) {
        HttpClient own = HttpClient.newBuilder().cookieHandler(cookies).build();
        own.sendAsync(request(path).build(), HttpResponse.BodyHandlers.ofLines())
                .thenAccept(r -> r.body().forEach(line));
        return own::shutdownNow;
    }

    /** Comes in with the sign-in of {@code other}, as a browser does behind a proxy that changes servers. */
    public Caller with(Caller other) {
        other.cookies
                .getCookieStore()
                .getCookies()
                .forEach(c -> cookies.getCookieStore().add(URI.create(base), c));
        return this;
    }

    /** A cookie by name. */
    public Optional<HttpCookie> cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals(name))
                .findFirst();
    }

    /** Says from now on that it bears {@code token}. */
    public Caller bearing(String token) {
        always.put("Authorization", "Bearer " + token);
        return this;
    }

    /** Says from now on what its requests are called. */
    public Caller asking(String id) {
        always.put("X-Request-Id", id);
        return this;
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder out = HttpRequest.newBuilder(URI.create(base + path));
        always.forEach(out::setHeader);
        return out;
    }

    private HttpRequest.Builder json(HttpRequest.Builder b, String method, Object body) {
        return b.header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token())
                .method(method, HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body)));
    }

    private String token() {
        if (cookie("XSRF-TOKEN").isEmpty()) {
            get("/api/session");
        }
        return cookie("XSRF-TOKEN").map(HttpCookie::getValue).orElse("");
    }

    private Answer send(HttpRequest.Builder b) {
        try {
            HttpResponse<String> r = http.send(b.build(), HttpResponse.BodyHandlers.ofString());
            boolean json = r.headers().firstValue("Content-Type").orElse("").contains("json");
            JsonNode body = json ? JSON.readTree(r.body()) : JSON.valueToTree(Map.of("text", r.body()));
            return new Answer(
                    r.statusCode(),
                    body,
                    r.headers(),
                    r.request().method() + " " + r.request().uri().getPath());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
