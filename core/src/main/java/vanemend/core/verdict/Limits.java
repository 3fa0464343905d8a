package vanemend.core.verdict;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import vanemend.core.damage.Damage;
import vanemend.core.part.MadeOf;
import vanemend.core.trade.DataFile;
import vanemend.core.trade.Text;

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
     * @param materials parts it is about
     * @param damages damage it is about; empty for any
     * @param only kinds of the material that it is about, by name; empty for any
     * @param care true where a lead may set it aside with a signed reason
     * @param figures what it turns at, as words say it
     * @param standard windscreen standard it belongs to; empty for both
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
            String shown,
            Set<MadeOf> materials,
            Set<Damage.Kind> damages,
            Set<String> only,
            boolean care,
            List<String> figures,
            String standard) {
        /** What it bears above, as words say it. */
        public String fromSaid() {
            return Text.book("limit." + id + ".from");
        }

        /** What it allows, as words say it. */
        public String upToSaid() {
            return Text.book("limit." + id + ".upTo");
        }

        /** True where a technician answers yes or no. */
        public boolean asks() {
            return !ask.isEmpty();
        }
    }

    /**
     * A regulation on damage that is left as it is.
     *
     * @param zone A, sweep or view
     * @param upTo allowed up to this, mm
     * @param shown provenance as shown
     */
    record Unmended(String zone, double upTo, String text, String shown) {}

    private static final Map<String, Rule> RULES = load();
    private static final List<Unmended> UNMENDED = loadUnmended();

    private Limits() {}

    /** All rows in file order. */
    public static List<Rule> all() {
        return List.copyOf(RULES.values());
    }

    static List<Unmended> unmended() {
        return UNMENDED;
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
                    DataFile.wordsOr(row, "ask"),
                    DataFile.textOr(row, "short"),
                    Verdict.Outcome.valueOf(DataFile.text(row, "verdict")),
                    number(row, "from"),
                    number(row, "upTo"),
                    DataFile.textOr(row, "unit"),
                    DataFile.words(row, "reason"),
                    DataFile.wordsOr(row, "instead"),
                    DataFile.provenance(row).shown(),
                    DataFile.texts(row, "materials").stream()
                            .map(MadeOf::valueOf)
                            .collect(Collectors.toUnmodifiableSet()),
                    DataFile.texts(row, "damages").stream()
                            .map(Damage.Kind::valueOf)
                            .collect(Collectors.toUnmodifiableSet()),
                    Set.copyOf(DataFile.texts(row, "only")),
                    row.path("care").asBoolean(false),
                    Stream.of("from", "upTo")
                            .filter(row::has)
                            .map(end -> Text.book("limit." + DataFile.text(row, "id") + "." + end))
                            .toList(),
                    DataFile.textOr(row, "standard"));
            if (out.put(r.id(), r) != null) {
                throw new IllegalStateException("limit " + r.id() + " stands twice");
            }
        }
        return out;
    }

    private static List<Unmended> loadUnmended() {
        List<Unmended> out = new ArrayList<>();
        for (JsonNode row : DataFile.read("verdict/limits.yaml").get("unmended")) {
            out.add(new Unmended(
                    DataFile.text(row, "zone"),
                    row.get("upTo").asDouble(),
                    DataFile.words(row, "text"),
                    DataFile.provenance(row).shown()));
        }
        return List.copyOf(out);
    }

    private static Optional<Double> number(JsonNode row, String field) {
        return row.has(field) ? Optional.of(row.get(field).asDouble()) : Optional.empty();
    }
}
