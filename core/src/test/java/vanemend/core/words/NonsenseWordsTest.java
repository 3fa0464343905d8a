package vanemend.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

@DisplayName(
        "nothing is decided by a text that is shown: with every word of every book replaced by nonsense, all is decided the same")
class NonsenseWordsTest {
    /** Fields whose text is only ever shown. */
    private static final Set<String> WORDS = Set.of(
            "ask",
            "closing",
            "follows",
            "grinding",
            "how",
            "instead",
            "label",
            "limit",
            "meaning",
            "name",
            "never",
            "note",
            "question",
            "reason",
            "said",
            "sanding",
            "short",
            "solvent",
            "text",
            "title",
            "told",
            "wear",
            "why");

    /** Objects whose every value is only ever shown. */
    private static final Set<String> MAPS_OF_WORDS = Set.of("used");

    private int replaced;

    private void nonsense(JsonNode node, boolean words) {
        if (node instanceof ObjectNode object) {
            for (Map.Entry<String, JsonNode> e : List.copyOf(object.properties())) {
                // The names of methods stand as an object, the methods that a rule is about as a list.
                boolean shown = words
                        || WORDS.contains(e.getKey())
                        || MAPS_OF_WORDS.contains(e.getKey())
                        || e.getKey().equals("methods") && e.getValue().isObject();
                if (shown && e.getValue().isString() && !e.getValue().asString().isEmpty()) {
                    object.put(e.getKey(), "Qwx " + replaced++);
                } else {
                    nonsense(e.getValue(), shown && e.getValue().isContainer());
                }
            }
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                if (words && array.get(i).isString()) {
                    array.set(i, array.stringNode("Qwx " + replaced++));
                } else {
                    nonsense(array.get(i), words);
                }
            }
        }
    }

    @Test
    void sameVerdictsStacksPlansFindingsDeviationsAndRecords(@TempDir Path folder) {
        List<String> ours = OtherBook.call(Structure.class, folder.resolve("ours"), t -> {});
        List<String> theirs = OtherBook.call(Structure.class, folder.resolve("theirs"), t -> nonsense(t, false));
        assertThat(OtherBook.call(Titles.class, folder.resolve("titles"), t -> nonsense(t, false)))
                .allSatisfy(t -> assertThat(t).startsWith("Qwx"));
        assertThat(replaced).as("words replaced").isGreaterThan(900);
        assertThat(ours).hasSizeGreaterThan(3000);
        assertThat(theirs).isEqualTo(ours);
        for (String kind :
                List.of("says", "stop", "deviation STOPPED", "deviation OTHER_THAN_PLANNED", "again", "broken")) {
            assertThat(ours).as("what is compared holds one").anyMatch(l -> l.startsWith(kind));
        }
    }
}
