package vanemend.core.trade;

import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;

/**
 * A word of the trade and what it means, as one explains it to whoever is new at the bench. A reader's help: nothing is decided by it.
 *
 * @param word as a heading
 * @param forms how it stands in a sentence, in any case of letters but all capitals where it is written so
 * @param meaning one or two sentences; figures come from the book
 * @param shown where the usage comes from
 */
public record TradeTerm(String id, String word, List<String> forms, String meaning, String shown) {
    private static final List<TradeTerm> ALL = load();

    /** All in file order. */
    public static List<TradeTerm> all() {
        return ALL;
    }

    private static List<TradeTerm> load() {
        JsonNode file = DataFile.read("trade/terms.yaml");
        String shown = DataFile.provenance(file).shown();
        List<TradeTerm> out = new ArrayList<>();
        for (JsonNode row : file.get("terms")) {
            out.add(new TradeTerm(
                    DataFile.text(row, "id"),
                    DataFile.text(row, "word"),
                    DataFile.texts(row, "forms"),
                    DataFile.words(row, "meaning"),
                    shown));
        }
        return List.copyOf(out);
    }
}
