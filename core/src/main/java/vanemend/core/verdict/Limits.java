package vanemend.core.verdict;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import vanemend.core.trade.DataFile;

/** The table of limits as shipped, row by row. */
public final class Limits {
    /**
     * One row.
     *
     * @param ask question, empty where the rule is computed
     * @param shortAsk the question in two words
     * @param from bears above this, in {@code unit}
     * @param upTo bears up to and including this, in {@code unit}
     * @param instead what to do instead
     * @param shown provenance as shown
     */
    public record Rule(
            String id,
            String family,
            String title,
            String ask,
            String shortAsk,
            Verdict.Outcome verdict,
            Optional<Double> from,
            Optional<Double> upTo,
            String unit,
            String reason,
            String instead,
            String shown) {
        /** True where a technician answers yes or no. */
        public boolean asks() {
            return !ask.isEmpty();
        }
    }

    private static final Map<String, Rule> RULES = load();

    private Limits() {}

    /** All rows in file order. */
    public static List<Rule> all() {
        return List.copyOf(RULES.values());
    }

    /** The row called {@code id}. */
    public static Rule rule(String id) {
        Rule r = RULES.get(id);
        if (r == null) {
            throw new IllegalArgumentException("no limit is called " + id);
        }
        return r;
    }

    private static Map<String, Rule> load() {
        Map<String, Rule> out = new LinkedHashMap<>();
        for (JsonNode row : DataFile.read("verdict/limits.yaml").get("rules")) {
            Rule r = new Rule(
                    DataFile.text(row, "id"),
                    DataFile.text(row, "family"),
                    DataFile.text(row, "title"),
                    DataFile.textOr(row, "ask"),
                    DataFile.textOr(row, "short"),
                    Verdict.Outcome.valueOf(DataFile.text(row, "verdict")),
                    number(row, "from"),
                    number(row, "upTo"),
                    DataFile.textOr(row, "unit"),
                    DataFile.text(row, "reason"),
                    DataFile.textOr(row, "instead"),
                    DataFile.provenance(row).shown());
            if (out.put(r.id(), r) != null) {
                throw new IllegalStateException("limit " + r.id() + " stands twice");
            }
        }
        return out;
    }

    private static Optional<Double> number(JsonNode row, String field) {
        return row.has(field) ? Optional.of(row.get(field).asDouble()) : Optional.empty();
    }
}
