package vanemend.core.part;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import vanemend.core.trade.DataFile;

/**
 * Material and form of a filler, such as GF for glass fibre (ISO 1043-2).
 *
 * @param code letters as the standard writes them
 * @param name in words
 * @param density of the filler itself, g/cm³; empty where not specified
 */
public record FillerCode(String code, String name, OptionalDouble density) {
    /** A letter and what it stands for. */
    record Letter(String letter, String name, OptionalDouble density, String note) {}

    /** Letters of an older way of writing. */
    record Older(String code, String reads, String note) {}

    private static final JsonNode FILE = DataFile.read("part/fillers.yaml");
    private static final Map<String, Letter> MATERIALS = letters("materials");
    private static final Map<String, Letter> FORMS = letters("forms");
    private static final Map<String, String> PLASTICIZERS = named("plasticizers");
    private static final Map<String, String> FLAME = named("flameRetardants");

    /** Material letter, if there is one. */
    static Optional<Letter> material(String letter) {
        return Optional.ofNullable(MATERIALS.get(letter));
    }

    /** Form letter, if there is one. */
    static Optional<Letter> form(String letter) {
        return Optional.ofNullable(FORMS.get(letter));
    }

    /** What {@code code} meant before the standard. */
    static Optional<Older> older(String code) {
        for (JsonNode row : FILE.get("older")) {
            if (DataFile.text(row, "code").equals(code)) {
                return Optional.of(new Older(code, DataFile.text(row, "reads"), DataFile.text(row, "note")));
            }
        }
        return Optional.empty();
    }

    /** The code made of {@code material} and {@code form}, which may be absent. */
    static FillerCode of(Letter material, Optional<Letter> form) {
        String name = form.map(f -> material.name() + " " + f.name()).orElse(material.name() + ", form not stated");
        return new FillerCode(material.letter() + form.map(Letter::letter).orElse(""), name, material.density());
    }

    /** A plasticizer in words; the code itself where it is not named. */
    static String plasticizer(String code) {
        return PLASTICIZERS.getOrDefault(code, code);
    }

    /** A flame retardant in words (ISO 1043-4). */
    static String flameRetardant(int code) {
        if (code >= 14 && code <= 18) {
            return "brominated or chlorinated flame retardant, code " + code;
        }
        return FLAME.getOrDefault(String.valueOf(code), "flame retardant, code " + code);
    }

    private static Map<String, Letter> letters(String list) {
        Map<String, Letter> out = new LinkedHashMap<>();
        for (JsonNode row : FILE.get(list)) {
            List<Double> density =
                    row.has("density") ? List.of(row.get("density").asDouble()) : List.of();
            out.put(
                    DataFile.text(row, "letter"),
                    new Letter(
                            DataFile.text(row, "letter"),
                            DataFile.text(row, "name"),
                            density.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(density.getFirst()),
                            DataFile.textOr(row, "note")));
        }
        return out;
    }

    private static Map<String, String> named(String list) {
        Map<String, String> out = new LinkedHashMap<>();
        for (JsonNode row : FILE.get(list)) {
            out.put(row.get("code").asString(), DataFile.text(row, "name"));
        }
        return out;
    }
}
