package vanemend.app.web;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import vanemend.app.TestServer;

/** Events as a screen sends them. */
final class Happens {
    private Happens() {}

    static Map<String, Object> event(String kind, String step) {
        Map<String, Object> e = new HashMap<>();
        e.put("id", UUID.randomUUID());
        e.put("kind", kind);
        e.put("at", TestServer.now());
        e.put("step", step);
        return e;
    }

    static Map<String, Object> event(String kind, String step, String field, Object value) {
        Map<String, Object> e = event(kind, step);
        e.put(field, value);
        return e;
    }

    static Map<String, Object> reading(String step, String quantity, double value) {
        Map<String, Object> e = event("READING", step, "quantity", quantity);
        e.put("value", value);
        return e;
    }
}
