package vanemend.core.stack;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import vanemend.core.trade.DataFile;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Ordered;

/**
 * Parts of a way to mend that are chosen on a repair, such as back, face and order of plastic: what was chosen leaves only the ways that
 * answer so. What never goes together is told with its reason.
 */
public final class Together {
    /**
     * Answers that never go together.
     *
     * @param these option by question
     * @param why as shown
     */
    public record Apart(Map<String, String> these, String why) {
        boolean in(Map<String, String> own) {
            return own.entrySet().containsAll(these.entrySet());
        }
    }

    private static final Set<String> PARTS = new LinkedHashSet<>();
    private static final List<Apart> APART = new ArrayList<>();

    static {
        for (String family : MethodId.families()) {
            JsonNode rows = DataFile.read("method/" + family + "/recipes.yaml").get("together");
            if (rows != null) {
                PARTS.addAll(DataFile.texts(rows, "parts"));
                rows.get("apart").forEach(r -> APART.add(new Apart(answers(r.get("these")), DataFile.words(r, "why"))));
            }
        }
        PARTS.forEach(HouseRules::school);
    }

    private Together() {}

    /** The questions whose answers are put together. */
    public static Set<String> parts() {
        return Set.copyOf(PARTS);
    }

    /** All answers that never go together. */
    public static List<Apart> apart() {
        return List.copyOf(APART);
    }

    /** Why {@code r} is not what was chosen on this repair; {@code own} holds what was, option by question. Empty where it is. */
    static Optional<String> not(Recipe r, Map<String, String> own) {
        return PARTS.stream()
                .filter(q -> own.containsKey(q)
                        && r.schools().containsKey(q)
                        && !own.get(q).equals(r.schools().get(q)))
                .findFirst()
                .map(q -> "chosen on this repair: " + label(q, own.get(q)) + "; this one has: "
                        + label(q, r.schools().get(q)));
    }

    /** What of {@code own} never goes together, with the reasons; empty where nothing stands in the way. */
    static Optional<String> clash(Map<String, String> own) {
        List<String> said = APART.stream()
                .filter(a -> a.in(own))
                .map(a -> String.join(
                                " and ",
                                a.these().entrySet().stream()
                                        .map(e -> "\u201c" + label(e.getKey(), e.getValue()) + "\u201d")
                                        .toList())
                        + " do not go together. " + a.why())
                .toList();
        return said.isEmpty()
                ? Optional.empty()
                : Optional.of(String.join(" ", said) + " Choose one of them otherwise at Stack, under Schools.");
    }

    private static String label(String question, String option) {
        return HouseRules.school(question).option(option).label();
    }

    private static Map<String, String> answers(JsonNode row) {
        Map<String, String> out = new LinkedHashMap<>();
        row.properties().forEach(e -> {
            HouseRules.school(e.getKey()).option(e.getValue().asString());
            out.put(e.getKey(), e.getValue().asString());
        });
        return Ordered.copyOf(out);
    }
}
