package vanemend.core.trade;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** Reads the trade's data files that ship inside the core. A broken file stops the start, with its name. */
public final class DataFile {
    private static final YAMLMapper YAML = new YAMLMapper();

    private DataFile() {}

    /** The tree of {@code path}, relative to {@code /vanemend/}. */
    public static JsonNode read(String path) {
        return YAML.readTree(bytes(path));
    }

    /** {@code shared}, and after it what the folders of the methods' families hold under {@code name}. */
    public static List<String> withFamilies(String shared, String name) {
        List<String> out = new ArrayList<>(List.of(shared));
        out.addAll(ofFamilies(name));
        return List.copyOf(out);
    }

    /** What the folders of the methods' families hold under {@code name}; a family need not have it. */
    public static List<String> ofFamilies(String name) {
        return MethodId.families().stream()
                .map(f -> "method/" + f + "/" + name)
                .filter(p -> DataFile.class.getResource("/vanemend/" + p) != null)
                .toList();
    }

    /** The file as shipped, for the rule book's version. */
    public static byte[] bytes(String path) {
        try (InputStream in = DataFile.class.getResourceAsStream("/vanemend/" + path)) {
            if (in == null) {
                throw new IllegalStateException("data file " + path + " is missing from the core");
            }
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException("data file " + path + " cannot be read", e);
        }
    }

    /** Text of a required field; the message names file row and field. */
    public static String text(JsonNode row, String field) {
        JsonNode node = row.get(field);
        if (node == null || node.isNull()) {
            throw new IllegalStateException("row " + row + " has no " + field);
        }
        return node.asString();
    }

    /** Text of an optional field, empty when absent. */
    public static String textOr(JsonNode row, String field) {
        JsonNode node = row.get(field);
        return node == null || node.isNull() ? "" : node.asString();
    }

    /** Strings of an optional list field. */
    public static List<String> texts(JsonNode row, String field) {
        List<String> out = new ArrayList<>();
        JsonNode node = row.get(field);
        if (node != null) {
            node.forEach(n -> out.add(n.asString()));
        }
        return List.copyOf(out);
    }

    /** Numbers of an optional list field. */
    public static List<Double> numbers(JsonNode row, String field) {
        List<Double> out = new ArrayList<>();
        JsonNode node = row.get(field);
        if (node != null) {
            node.forEach(n -> out.add(n.asDouble()));
        }
        return List.copyOf(out);
    }

    /** A value's twin in inches: absent where the trade prints no pair. */
    static Optional<Double> inches(JsonNode row, String field) {
        return row.has(field) ? Optional.of(row.get(field).asDouble()) : Optional.empty();
    }

    /** Text of a required field with the figures it names by id: {@link Text#fill}. */
    public static String words(JsonNode row, String field) {
        return Text.fill(text(row, field));
    }

    /** Text of an optional field with the figures it names by id, empty when absent. */
    public static String wordsOr(JsonNode row, String field) {
        return Text.fill(textOr(row, field));
    }

    /** Provenance from the fields {@code provenance} and {@code source}. */
    public static Provenance provenance(JsonNode row) {
        return Provenance.of(text(row, "provenance"), textOr(row, "source"));
    }
}
