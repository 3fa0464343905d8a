package vanemend.app.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.dataformat.yaml.YAMLMapper;
import vanemend.core.plan.RepairDraft;
import vanemend.core.verdict.Limits;

/** The made-up depot's repairs, read from {@code demo/repairs.yaml}. */
final class DemoRepairs {
    private static final YAMLMapper YAML = new YAMLMapper();
    private static final List<String> FACTORY_COATS = List.of("E_COAT", "PRIMER_SURFACER", "BASE", "CLEAR");

    private final Map<String, ObjectNode> rows = new LinkedHashMap<>();
    private final Instant now;

    DemoRepairs(Instant now) {
        this.now = now;
        try (InputStream in = DemoRepairs.class.getResourceAsStream("/demo/repairs.yaml")) {
            for (JsonNode row : YAML.readTree(in).get("repairs")) {
                rows.put(row.get("key").asString(), (ObjectNode) row);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Every repair's key, in order. */
    List<String> keys() {
        return new ArrayList<>(rows.keySet());
    }

    /** The repair called {@code key}. */
    RepairDraft draft(String key) {
        ObjectNode row = rows.get(key).deepCopy();
        ObjectNode part = (ObjectNode) row.get("part");
        boolean metal = !part.has("made");
        ObjectNode answers = part.has("answers") ? (ObjectNode) part.get("answers") : part.putObject("answers");
        String material = metal ? "METAL" : part.get("made").get("material").asString();
        Limits.all().stream()
                .filter(r -> r.asks()
                        && r.materials().stream().anyMatch(m -> m.name().equals(material)))
                .filter(r -> !answers.has(r.id()))
                .forEach(r -> answers.put(r.id(), "NO"));
        if (!part.has("reach")) {
            part.put("reach", "BOTH_SIDES");
        }
        if (metal) {
            FACTORY_COATS.forEach(c -> part.withArray("coats").addObject().put("kind", c));
        }
        if (row.has("promisedH")) {
            row.put(
                    "promisedAt",
                    now.plus(Duration.ofHours(row.get("promisedH").asLong())).toString());
        }
        row.remove(List.of("key", "promisedH"));
        return YAML.treeToValue(row, RepairDraft.class);
    }
}
