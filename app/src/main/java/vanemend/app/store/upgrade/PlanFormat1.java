package vanemend.app.store.upgrade;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import vanemend.core.sanding.Tool;
import vanemend.core.trade.MethodId;

/**
 * Reads a started plan of the first format as one of the second. In the first, a method was known by its name or a letter, a tool by its
 * name, a school by its question as shown, a rung's leg by its id and a grade of the film budget by its paper.
 */
final class PlanFormat1 {
    private static final Map<String, MethodId> BY_NAME = Map.ofEntries(
            Map.entry("Metal dent fill", MethodId.METAL_DENT),
            Map.entry("Rust-through patch", MethodId.RUST_MESH),
            Map.entry("Run or sag in clear coat", MethodId.CLEAR_RUN),
            Map.entry("Composite, two-sided", MethodId.COMPOSITE),
            Map.entry("Composite hairline in a flexing panel", MethodId.HAIRLINE),
            Map.entry("Plastic, two-sided adhesive", MethodId.PLASTIC_TWO_SIDED),
            Map.entry("Plastic, face adhesive alone", MethodId.PLASTIC_TWO_SIDED),
            Map.entry("Plastic, one-sided with flexible patch", MethodId.PLASTIC_PATCH),
            Map.entry("Plastic through-hole with flexible filler and mesh", MethodId.PLASTIC_MESH),
            Map.entry("Welded plastic, cosmetic finish", MethodId.WELD_FINISH),
            Map.entry("ABS rebuild with solvent resin", MethodId.ABS_REBUILD),
            Map.entry("Trim: residue, divot, grain, colour", MethodId.TRIM),
            Map.entry("Windscreen chip", MethodId.GLASS_CHIP),
            Map.entry("Tyre crown injury, one-piece unit", MethodId.TYRE_CROWN),
            Map.entry("Tyre crown injury, two-piece unit", MethodId.TYRE_CROWN));

    private static final List<MethodId> BY_LETTER = List.of(
            MethodId.METAL_DENT,
            MethodId.RUST_MESH,
            MethodId.CLEAR_RUN,
            MethodId.COMPOSITE,
            MethodId.HAIRLINE,
            MethodId.PLASTIC_TWO_SIDED,
            MethodId.PLASTIC_PATCH,
            MethodId.PLASTIC_MESH,
            MethodId.WELD_FINISH,
            MethodId.ABS_REBUILD,
            MethodId.TRIM,
            MethodId.GLASS_CHIP,
            MethodId.TYRE_CROWN);

    private PlanFormat1() {}

    static void upgrade(ObjectNode frozen) {
        ObjectNode workup = (ObjectNode) frozen.get("workup");
        ObjectNode stack = (ObjectNode) workup.get("stack");
        stack.path("ranked").forEach(r -> rankedByMethod((ObjectNode) r));
        ObjectNode plan = (ObjectNode) workup.get("plan");
        absentListsAreEmpty(plan);
        methodById(plan, stack);
        schoolsById(plan);
        plan.get("ladder").get("rungs").forEach(r -> rungOfItsLeg((ObjectNode) r));
        if (plan.has("budget")) {
            gradesByRung((ObjectNode) plan.get("budget"), plan.get("ladder").get("rungs"));
        }
    }

    private static void rankedByMethod(ObjectNode ranked) {
        MethodId method = BY_LETTER.get(ranked.remove("letter").asString().charAt(0) - 'A');
        ranked.set("title", ranked.get("method"));
        ranked.put("method", method.name());
    }

    /** Before every family was planned, plans knew mixes of filler and cream alone. */
    private static void absentListsAreEmpty(ObjectNode plan) {
        for (String list : List.of("portions", "waits", "pieces", "shopping", "broken")) {
            if (!plan.has(list)) {
                plan.putArray(list);
            }
        }
    }

    private static void methodById(ObjectNode plan, JsonNode stack) {
        String name = plan.get("method").asString();
        MethodId method = BY_NAME.get(name);
        if (method == null) {
            throw new IllegalArgumentException("no method was called " + name);
        }
        plan.put("title", name);
        plan.put("method", method.name());
        // Before ways to mend were ranked there were two.
        String alone = stack.path("puttyAlone").asBoolean() ? "dent-putty-alone" : "dent-filler-putty";
        plan.put("recipe", stack.has("taken") ? stack.get("taken").asString() : alone);
    }

    /** A question or an answer that is worded otherwise today keeps its words, without an id. */
    private static void schoolsById(ObjectNode plan) {
        JsonNode was = plan.get("schools");
        ArrayNode now = plan.putArray("schools");
        was.properties().forEach(e -> {
            String question = e.getKey();
            String label = e.getValue().asString();
            SchoolWords.put(now.addObject(), question, label);
        });
    }

    private static void rungOfItsLeg(ObjectNode rung) {
        boolean afterPutty = rung.path("afterPutty").asBoolean();
        rung.remove("afterPutty");
        rung.put("leg", rung.get("id").asString().replaceFirst("-(?:p|cami-)\\d+$", ""));
        if (!rung.has("stage")) {
            rung.put("stage", afterPutty ? "After the putty" : "On the filler");
        }
        if (!rung.has("note")) {
            rung.put("note", "");
        }
        String word = rung.get("tool").asString();
        rung.put(
                "tool",
                Arrays.stream(Tool.values())
                        .filter(t -> t.word().equals(word))
                        .findFirst()
                        .orElseThrow(() -> new IllegalArgumentException("no tool was called " + word))
                        .name());
    }

    private static void gradesByRung(ObjectNode budget, JsonNode rungs) {
        Map<String, String> byPaper = new HashMap<>();
        rungs.forEach(r -> byPaper.put(r.get("paper").asString(), r.get("id").asString()));
        budget.get("left")
                .forEach(l -> ((ObjectNode) l)
                        .put("rung", byPaper.getOrDefault(l.get("paper").asString(), "")));
    }
}
