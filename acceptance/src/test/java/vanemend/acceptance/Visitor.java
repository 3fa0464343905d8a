package vanemend.acceptance;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.HttpURLConnection;
import java.net.URI;
import java.util.stream.Collectors;

/**
 * Somebody signed in who asks without a browser, over plain blocking connections: what asks takes as little as it can of the processors
 * that answer.
 *
 * @param cookies as a header
 * @param token against forged requests
 */
record Visitor(String cookies, String token) {
    /** Signs {@code name} in with the browser, which then closes. */
    static Visitor of(String name) {
        Page page = Depot.as(name, 1280, 800);
        Visitor visitor = of(page);
        page.context().close();
        return visitor;
    }

    /** Whoever is signed in on {@code page}. */
    static Visitor of(Page page) {
        String cookies = page.context().cookies().stream()
                .map(c -> c.name + "=" + c.value)
                .collect(Collectors.joining("; "));
        String token = page.context().cookies().stream()
                .filter(c -> c.name.equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .value;
        return new Visitor(cookies, token);
    }

    /** Begins work on another repair like the one called {@code name}; gives its address. */
    static String anotherRun(Page page, String name) {
        return "/api/repairs/" + page.evaluate("""
                async name => {
                  const post = async (path, body, version) => (await fetch(path, {method: 'POST', body: JSON.stringify(body), headers: {
                    'Content-Type': 'application/json', 'If-Match': `"${version}"`,
                    'X-XSRF-TOKEN': /XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1]}})).json();
                  const all = await (await fetch('/api/repairs')).json();
                  const planned = all.find(r => r.name === name);
                  const draft = (await (await fetch('/api/repairs/' + planned.id)).json()).draft;
                  const made = await post('/api/repairs', {clientId: crypto.randomUUID(), draft}, 1);
                  await post(`/api/repairs/${made.id}/start`, {eventId: crypto.randomUUID()}, made.version);
                  return made.id;
                }""", name);
    }

    HttpURLConnection open(String path) throws IOException {
        HttpURLConnection c =
                (HttpURLConnection) URI.create(Depot.url() + path).toURL().openConnection();
        c.setRequestProperty("Cookie", cookies);
        c.setRequestProperty("X-XSRF-TOKEN", token);
        return c;
    }

    /** Sends JSON; gives the status once the whole answer was read. */
    int post(String path, byte[] body) throws IOException {
        HttpURLConnection c = open(path);
        c.setRequestProperty("Content-Type", "application/json");
        c.setDoOutput(true);
        c.setFixedLengthStreamingMode(body.length);
        try (OutputStream out = c.getOutputStream()) {
            out.write(body);
        }
        return read(c);
    }

    /** Asks; gives the status once the whole answer was read. */
    int get(String path) throws IOException {
        HttpURLConnection c = open(path);
        c.setRequestProperty("Accept-Encoding", "gzip");
        return read(c);
    }

    private static int read(HttpURLConnection c) throws IOException {
        int status = c.getResponseCode();
        try (InputStream in = status < 400 ? c.getInputStream() : c.getErrorStream()) {
            in.transferTo(OutputStream.nullOutputStream());
        }
        return status;
    }
}
