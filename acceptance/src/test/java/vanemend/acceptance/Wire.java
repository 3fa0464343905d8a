package vanemend.acceptance;

import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;

/**
 * A connection kept open over which somebody signed in asks, one question after the other. It does no more than HTTP/1.1 needs for that:
 * what measures shares its processors with what is measured, and a client library took a tenth of them.
 */
final class Wire implements AutoCloseable {
    private static final int ROOM = 1 << 16;
    private static final String LENGTH = "\r\ncontent-length: ";

    private final URI server;
    private final String who;
    private final byte[] in = new byte[ROOM];
    private Socket socket;

    /** Opens a connection for {@code who}. */
    Wire(Visitor who) throws IOException {
        this.server = URI.create(Depot.url());
        this.who = "Host: " + server.getAuthority() + "\r\nCookie: " + who.cookies() + "\r\nX-XSRF-TOKEN: "
                + who.token() + "\r\n";
        connect();
    }

    private void connect() throws IOException {
        socket = new Socket();
        socket.setTcpNoDelay(true);
        socket.connect(new InetSocketAddress(server.getHost(), server.getPort()));
    }

    /** What sends JSON to {@code path}. */
    byte[] question(String path, byte[] json) {
        byte[] head = ("POST " + path + " HTTP/1.1\r\n" + who + "Content-Type: application/json\r\nContent-Length: "
                        + json.length + "\r\n\r\n")
                .getBytes(StandardCharsets.ISO_8859_1);
        byte[] all = Arrays.copyOf(head, head.length + json.length);
        System.arraycopy(json, 0, all, head.length, json.length);
        return all;
    }

    /** Asks; gives the status once the whole answer was read, whose length must be stated. */
    int ask(byte[] question) throws IOException {
        socket.getOutputStream().write(question);
        InputStream from = socket.getInputStream();
        int n = 0;
        int body = -1;
        while (body < 0) {
            n += read(from, n);
            body = bodyAt(n);
        }
        String head = new String(in, 0, body, StandardCharsets.ISO_8859_1).toLowerCase(Locale.ROOT);
        int left = length(head) - (n - body);
        while (left > 0) {
            left -= read(from, 0);
        }
        if (head.contains("\r\nconnection: close")) {
            socket.close();
            connect();
        }
        return Integer.parseInt(head.substring(9, 12));
    }

    private int read(InputStream from, int at) throws IOException {
        int k = from.read(in, at, ROOM - at);
        if (k < 0) {
            throw new EOFException("the answer ends early");
        }
        return k;
    }

    /** Where the empty line after the head ends; negative where it has not come yet. */
    private int bodyAt(int n) {
        for (int i = 3; i < n; i++) {
            if (in[i] == '\n' && in[i - 1] == '\r' && in[i - 2] == '\n') {
                return i + 1;
            }
        }
        return -1;
    }

    private static int length(String head) throws IOException {
        int at = head.indexOf(LENGTH);
        if (at < 0) {
            throw new IOException("the answer does not say how long it is: " + head);
        }
        return Integer.parseInt(head.substring(at + LENGTH.length(), head.indexOf('\r', at + LENGTH.length())));
    }

    @Override
    public void close() throws IOException {
        socket.close();
    }
}
