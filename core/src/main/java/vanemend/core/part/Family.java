package vanemend.core.part;

import java.util.EnumMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import vanemend.core.trade.DataFile;

/** Families of substrates, as far as repair tells them apart. */
public enum Family {
    METAL,
    COMPOSITE,
    POLYOLEFIN,
    STYRENIC,
    ENGINEERING,
    POLYAMIDE,
    FLEXIBLE_THERMOSET,
    GLASS,
    RUBBER,
    FILM;

    /**
     * What a family means at the bench.
     *
     * @param name as said
     * @param grinding what grinding looks like
     * @param solvent what solvents do to it
     * @param means what follows for the repair
     */
    public record Meaning(String name, String grinding, String solvent, String means) {}

    private static final Map<Family, Meaning> MEANINGS = load();

    /** As said at the bench. */
    public String word() {
        return meaning().name();
    }

    /** What it means at the bench. */
    public Meaning meaning() {
        return MEANINGS.get(this);
    }

    private static Map<Family, Meaning> load() {
        Map<Family, Meaning> out = new EnumMap<>(Family.class);
        for (JsonNode row : DataFile.read("part/tests.yaml").get("words")) {
            out.put(
                    valueOf(DataFile.text(row, "family")),
                    new Meaning(
                            DataFile.text(row, "name"),
                            DataFile.text(row, "grinding"),
                            DataFile.text(row, "solvent"),
                            DataFile.text(row, "means")));
        }
        return out;
    }
}
