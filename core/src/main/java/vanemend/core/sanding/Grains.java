package vanemend.core.sanding;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import vanemend.core.trade.DataFile;

/** Median grain of a paper by grading and printed number, µm. Never interpolated. */
public final class Grains {
    /**
     * One scale of grain sizes.
     *
     * @param grades median grain µm by printed number
     * @param shown provenance as shown
     */
    public record Grading(String id, String name, Map<Integer, Double> grades, String shown) {}

    private static final Map<String, Grading> GRADINGS = load();

    private Grains() {}

    /** All gradings. */
    public static List<Grading> gradings() {
        return List.copyOf(GRADINGS.values());
    }

    /** Median grain, µm, of {@code number} on {@code grading}; a number that the scale does not have is refused. */
    public static double micrometres(String grading, int number) {
        Grading g = GRADINGS.get(grading);
        if (g == null) {
            throw new IllegalArgumentException(
                    "grading " + grading + " is not known; expected one of " + GRADINGS.keySet());
        }
        Double um = g.grades().get(number);
        if (um == null) {
            throw new IllegalArgumentException("the " + grading + " scale has no " + number + "; it has "
                    + g.grades().keySet());
        }
        return um;
    }

    /** The P grade whose median grain is nearest to {@code um}, in proportion, as printed. */
    public static String nearestP(double um) {
        return "P"
                + GRADINGS.get("P").grades().entrySet().stream()
                        .min(Comparator.comparingDouble(e -> Math.abs(Math.log(e.getValue() / um))))
                        .orElseThrow()
                        .getKey();
    }

    private static Map<String, Grading> load() {
        Map<String, Grading> out = new LinkedHashMap<>();
        for (JsonNode row : DataFile.read("sanding/grains.yaml").get("gradings")) {
            Map<Integer, Double> grades = new TreeMap<>();
            row.get("grades")
                    .properties()
                    .forEach(e ->
                            grades.put(Integer.valueOf(e.getKey()), e.getValue().asDouble()));
            String beyond = "";
            if (row.has("beyond")) {
                row.get("beyond")
                        .properties()
                        .forEach(e -> grades.put(
                                Integer.valueOf(e.getKey()), e.getValue().asDouble()));
                beyond = "; beyond the standard's scale recalled, verify";
            }
            double last = Double.MAX_VALUE;
            for (Map.Entry<Integer, Double> e : grades.entrySet()) {
                if (e.getValue() >= last) {
                    throw new IllegalStateException("grain of " + e.getKey() + " does not fall");
                }
                last = e.getValue();
            }
            Grading g = new Grading(
                    DataFile.text(row, "id"),
                    DataFile.text(row, "name"),
                    grades,
                    DataFile.provenance(row).shown() + beyond);
            out.put(g.id(), g);
        }
        return out;
    }
}
