package vanemend.core.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import vanemend.core.part.Family;
import vanemend.core.part.Mark;
import vanemend.core.part.Plastic;
import vanemend.core.part.Substrate;
import vanemend.core.trade.DataFile;

/**
 * What may be done with a plastic.
 *
 * @param symbols marks the row stands for; empty for a family settled by tests
 * @param family the family settled by tests; empty for marks
 * @param limit what it asks
 * @param heatCapC hottest its surface may get, °C
 * @param conditions what becomes a filter of the stack or a step
 * @param shown provenance as shown
 */
public record PlasticRow(
        String id,
        List<String> symbols,
        Optional<Family> family,
        Verdict.Outcome verdict,
        String limit,
        double heatCapC,
        List<Condition> conditions,
        String shown) {
    /** What a plastic asks of the work, beyond its heat cap. */
    public enum Condition {
        /** Solvents craze it: alcohol cleans it. */
        ALCOHOL_ONLY,
        /** It takes up water: dried before anything is put on it. */
        DRY_FIRST,
        /** Its foam drinks water: where the break is damp it is driven out by warmth. */
        DRY_INSIDE,
        /** Cleaner, promoter and adhesive are tried on a hidden spot first. */
        TRIAL_SPOT
    }

    private static final List<PlasticRow> ROWS = load();

    /** All rows in file order. */
    public static List<PlasticRow> all() {
        return ROWS;
    }

    /** The row for {@code plastic}; nothing where none lists it, which refers. */
    public static Optional<PlasticRow> of(Plastic plastic) {
        if (plastic.mark().isPresent()) {
            String symbol = symbol(plastic.mark().get().main());
            return ROWS.stream().filter(r -> r.symbols().contains(symbol)).findFirst();
        }
        return plastic.known()
                .flatMap(f -> ROWS.stream()
                        .filter(r -> r.family().equals(Optional.of(f)))
                        .findFirst());
    }

    /** What {@code substrate} asks of the work; nothing where it is no plastic, or none that is listed. */
    public static List<Condition> conditions(Substrate substrate) {
        return substrate instanceof Plastic p
                ? of(p).map(PlasticRow::conditions).orElse(List.of())
                : List.of();
    }

    private static String symbol(Mark.MarkLayer layer) {
        String polymers = layer.polymers();
        boolean fibre = layer.fillers().stream()
                .anyMatch(f -> f.code().startsWith("G") || f.code().startsWith("C"));
        if (polymers.equals("PP") && !layer.fillers().isEmpty()) {
            return "PP filled";
        }
        return (polymers.equals("UP") || polymers.equals("EP")) && fibre ? polymers + " with fibre" : polymers;
    }

    private static List<PlasticRow> load() {
        List<PlasticRow> out = new ArrayList<>();
        JsonNode file = DataFile.read("verdict/limits.yaml");
        for (String list : List.of("polymers", "families")) {
            for (JsonNode row : file.get(list)) {
                out.add(new PlasticRow(
                        DataFile.text(row, "id"),
                        DataFile.texts(row, "symbols"),
                        Optional.of(DataFile.textOr(row, "family"))
                                .filter(f -> !f.isEmpty())
                                .map(Family::valueOf),
                        Verdict.Outcome.valueOf(DataFile.text(row, "verdict")),
                        DataFile.words(row, "limit"),
                        row.get("heatCapC").asDouble(),
                        row.has("conditions")
                                ? DataFile.texts(row, "conditions").stream()
                                        .map(Condition::valueOf)
                                        .toList()
                                : List.of(),
                        DataFile.provenance(row).shown()));
            }
        }
        return List.copyOf(out);
    }
}
