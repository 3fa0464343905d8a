package vanemend.app.store.upgrade;

import java.util.Map;
import tools.jackson.databind.node.ObjectNode;
import vanemend.core.trade.HouseRules;

/** Schools that were kept by the words of their question and answer. */
final class SchoolWords {
    /** Answers that had figures in them, as the first format worded them. */
    private static final Map<String, String> REWORDED = Map.of(
            "Weigh 2 %",
            "weigh-2",
            "2 to 3 % by weight",
            "two-to-three",
            "10 minutes",
            "ten",
            "5 minutes",
            "five",
            "Left 3 mm proud",
            "proud-3");

    private SchoolWords() {}

    /** The school of those words as a plan keeps it now; one that is worded otherwise today keeps its words, without an id. */
    static void put(ObjectNode school, String question, String label) {
        school.put("school", "").put("option", "").put("question", question).put("label", label);
        HouseRules.schools().stream()
                .filter(s -> s.question().equals(question))
                .forEach(s -> s.options().stream()
                        .filter(o -> o.label().equals(label) || o.id().equals(REWORDED.get(label)))
                        .forEach(o -> school.put("school", s.id()).put("option", o.id())));
    }
}
