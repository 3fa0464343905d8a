package vanemend.core.part;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import vanemend.core.trade.DataFile;

/**
 * A test at the bench on a part without a mark. None is certain; each shifts belief.
 *
 * @param how what to do
 * @param caution id of the caution that belongs to it; empty for none
 * @param readings what it can show
 */
public record BenchTest(String id, String title, String how, String caution, List<TestReading> readings) {
    /**
     * One thing a test can show.
     *
     * @param likelihood how often a part of the family shows it, 0 to 1
     */
    public record TestReading(String id, String label, Map<Family, Double> likelihood) {}

    private static final JsonNode FILE = DataFile.read("part/tests.yaml");
    private static final List<Family> FAMILIES =
            DataFile.texts(FILE, "families").stream().map(Family::valueOf).toList();
    private static final Map<Family, Double> PRIOR = shares(FILE.get("prior"));
    private static final Map<String, BenchTest> TESTS = load();

    /** Families that the tests tell apart. */
    public static List<Family> families() {
        return FAMILIES;
    }

    /** Belief before any test. */
    public static Map<Family, Double> prior() {
        return PRIOR;
    }

    /** All tests in file order. */
    public static List<BenchTest> all() {
        return List.copyOf(TESTS.values());
    }

    /** The test called {@code id}; empty list of readings never occurs. */
    public static java.util.Optional<BenchTest> of(String id) {
        return java.util.Optional.ofNullable(TESTS.get(id));
    }

    /** Provenance of every likelihood, as shown. */
    public static String shown() {
        return DataFile.provenance(FILE).shown();
    }

    /** The reading called {@code readingId}. */
    public java.util.Optional<TestReading> reading(String readingId) {
        return readings.stream().filter(r -> r.id().equals(readingId)).findFirst();
    }

    private static Map<String, BenchTest> load() {
        Map<String, BenchTest> out = new LinkedHashMap<>();
        for (JsonNode row : FILE.get("tests")) {
            List<TestReading> readings = new ArrayList<>();
            row.get("readings")
                    .forEach(r -> readings.add(new TestReading(
                            DataFile.text(r, "id"), DataFile.text(r, "label"), shares(r.get("likelihood")))));
            BenchTest t = new BenchTest(
                    DataFile.text(row, "id"),
                    DataFile.text(row, "title"),
                    DataFile.text(row, "how"),
                    DataFile.textOr(row, "caution"),
                    List.copyOf(readings));
            for (Family f : FAMILIES) {
                double sum = readings.stream()
                        .mapToDouble(r -> r.likelihood().get(f))
                        .sum();
                if (Math.abs(sum - 1) > 1e-9) {
                    throw new IllegalStateException(
                            "the readings of test " + t.id() + " for " + f + " add up to " + sum + ", not 1");
                }
            }
            out.put(t.id(), t);
        }
        return out;
    }

    private static Map<Family, Double> shares(JsonNode node) {
        Map<Family, Double> out = new EnumMap<>(Family.class);
        node.properties()
                .forEach(e -> out.put(Family.valueOf(e.getKey()), e.getValue().asDouble()));
        return out;
    }
}
