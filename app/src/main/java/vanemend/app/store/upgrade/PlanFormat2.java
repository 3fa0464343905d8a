package vanemend.app.store.upgrade;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads a started plan of the second format as one of the third. In the second, words held bare figures; from the third on a length and a
 * temperature in them are quantities ({@link vanemend.core.trade.Text}), so that a shop reads an old plan in its own units too. Which of them
 * was a maximum is not known any more: they are rounded to the nearest. A ranked stack knew its schools by their words, a rung its paper by what is printed
 * on it.
 */
final class PlanFormat2 {
    private static final Pattern FIGURE =
            Pattern.compile("(-?\\d+(?:\\.\\d+)?(?: to -?\\d+(?:\\.\\d+)?)? (?:mm|°C))(?![\\p{L}²³])");

    private static final Pattern PAPER = Pattern.compile("(P|CAMI) ?(\\d+)");

    /** What a person or the shelf called something stays as it was called. */
    private static final Set<String> NAMES = Set.of("name", "vehicle", "material", "lot", "mark");

    private PlanFormat2() {}

    static void upgrade(ObjectNode frozen) {
        JsonNode workup = frozen.get("workup");
        workup.path("stack").path("ranked").forEach(r -> r.path("schools").forEach(s -> schoolById((ObjectNode) s)));
        workup.path("plan").path("ladder").path("rungs").forEach(r -> paperByGrade((ObjectNode) r));
        drawing(workup.path("drawing"));
        if (workup.path("plan") instanceof ObjectNode plan) {
            plan.putArray("house");
            edits(frozen.path("draft").path("edits"), plan);
        }
        words(workup);
    }

    /** Bond lines and plies were known by their ids, damage on the drawing by the first of its words. */
    private static void drawing(JsonNode drawing) {
        drawing.path("section").path("layers").forEach(l -> {
            String id = l.path("id").asString("");
            ((ObjectNode) l).put("kind", id.startsWith("bond-") ? "BOND" : id.startsWith("ply-") ? "PLY" : "LAYER");
        });
        drawing.path("damages")
                .forEach(d -> ((ObjectNode) d)
                        .put("mark", d.path("word").asString("").replaceAll("(?: or |, ).* (\\d+)$", " $1")));
    }

    /** A step that was left out stood under its id with spaces. */
    private static void edits(JsonNode drafts, ObjectNode plan) {
        ArrayNode made = plan.putArray("edits");
        for (JsonNode e : drafts) {
            String step = e.path("step").asString("");
            String title = step.replace('-', ' ');
            for (JsonNode s : plan.path("steps")) {
                if (s.at("/step/id").asString("").equals(step)) {
                    title = s.at("/step/title").asString("");
                }
            }
            made.addObject()
                    .put("kind", e.path("kind").asString(""))
                    .put("step", step)
                    .put("title", title);
        }
    }

    private static void schoolById(ObjectNode followed) {
        String question = followed.remove("question").asString();
        String label = followed.remove("option").asString();
        SchoolWords.put(followed.putObject("school"), question, label);
    }

    private static void paperByGrade(ObjectNode rung) {
        Matcher paper = PAPER.matcher(rung.get("paper").asString());
        if (!paper.matches()) {
            throw new IllegalArgumentException("no paper was called " + rung.get("paper"));
        }
        rung.put("grading", paper.group(1)).put("grade", Integer.parseInt(paper.group(2)));
    }

    private static void words(JsonNode node) {
        if (node instanceof ObjectNode object) {
            for (Map.Entry<String, JsonNode> e : List.copyOf(object.properties())) {
                if (e.getValue().isString()) {
                    if (!NAMES.contains(e.getKey())) {
                        object.put(e.getKey(), quantities(e.getValue().asString()));
                    }
                } else {
                    words(e.getValue());
                }
            }
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                if (array.get(i).isString()) {
                    array.set(i, array.stringNode(quantities(array.get(i).asString())));
                } else {
                    words(array.get(i));
                }
            }
        }
    }

    static String quantities(String words) {
        return FIGURE.matcher(words).replaceAll("⟦$1⟧");
    }
}
