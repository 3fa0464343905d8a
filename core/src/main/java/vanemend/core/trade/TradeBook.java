package vanemend.core.trade;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Every figure of the trade by its id, and the cautions, as shipped. */
public final class TradeBook {
    private static final TradeBook SHIPPED = load();
    private final Map<String, TradeValue> values;
    private final Map<String, String> said;
    private final Map<String, Turn> turns;
    private final Map<String, Caution> cautions;
    private final Map<String, String> signs;
    private final String closing;

    private TradeBook(
            Map<String, TradeValue> values,
            Map<String, String> said,
            Map<String, Turn> turns,
            Map<String, Caution> cautions,
            Map<String, String> signs,
            String closing) {
        this.values = values;
        this.said = said;
        this.turns = turns;
        this.cautions = cautions;
        this.signs = signs;
        this.closing = closing;
    }

    /** The book inside this build. */
    public static TradeBook shipped() {
        return SHIPPED;
    }

    /** The figure called {@code id}; an unknown id is a fault in our code, said by name. */
    public static double value(String id) {
        return SHIPPED.entry(id).value();
    }

    /** The whole line of {@code id}. */
    public TradeValue entry(String id) {
        TradeValue v = values.get(id);
        if (v == null) {
            throw new IllegalArgumentException("no trade value is called " + id);
        }
        return v;
    }

    /**
     * The figure called {@code id} as words say it: a value of the trade, or a limit of the verdict as {@code limit.<rule>.from},
     * {@code limit.<rule>.upTo} and, where it has both, {@code limit.<rule>} for the two.
     */
    String said(String id) {
        return named(said, id);
    }

    private static String named(Map<String, String> said, String id) {
        String s = said.get(id);
        if (s == null) {
            throw new IllegalArgumentException("no figure is called " + id);
        }
        return s;
    }

    /** All figures in file order. */
    public List<TradeValue> all() {
        return List.copyOf(values.values());
    }

    /** A figure that something is held against: where it turns, in its own unit, and where that comes from. */
    public record Turn(double value, String shown) {}

    /** The figure {@code id}, one of the trade or of a limit. */
    public Turn turn(String id) {
        if (turns.containsKey(id)) {
            return turns.get(id);
        }
        TradeValue v = entry(id);
        return new Turn(v.value(), v.shown());
    }

    /** The caution called {@code id}. */
    public Caution caution(String id) {
        Caution c = cautions.get(id);
        if (c == null) {
            throw new IllegalArgumentException("no caution is called " + id);
        }
        return c;
    }

    /** What stands for a caution that was read, in a word or two, by its id. */
    public Map<String, String> signs() {
        return Collections.unmodifiableMap(signs);
    }

    /** What every plan ends with: who decides before this plan does. */
    public String closing() {
        return closing;
    }

    private static TradeBook load() {
        Map<String, TradeValue> values = new LinkedHashMap<>();
        for (String file : DataFile.withFamilies("trade/values.yaml", "figures.yaml")) {
            read(DataFile.read(file), values);
        }
        Map<String, String> said = new HashMap<>();
        values.forEach((id, v) -> said.put(id, v.said()));
        Map<String, Turn> turns = new HashMap<>();
        JsonNode limits = DataFile.read("verdict/limits.yaml");
        for (String sort : List.of("rules", "unmended")) {
            for (JsonNode row : limits.get(sort)) {
                limits(row, said);
                turns(row, turns);
            }
        }
        JsonNode file = DataFile.read("trade/cautions.yaml");
        Map<String, Caution> cautions = new LinkedHashMap<>();
        Map<String, String> signs = new LinkedHashMap<>();
        List<Caution> list = new ArrayList<>();
        for (JsonNode row : file.get("cautions")) {
            String text = Text.fill(DataFile.text(row, "text"), id -> named(said, id));
            signs.put(DataFile.text(row, "id"), DataFile.text(row, "sign"));
            list.add(new Caution(DataFile.text(row, "id"), text, DataFile.texts(row, "wear")));
        }
        list.forEach(c -> cautions.put(c.id(), c));
        return new TradeBook(values, said, turns, cautions, signs, DataFile.text(file, "closing"));
    }

    private static void turns(JsonNode row, Map<String, Turn> turns) {
        for (String end : List.of("from", "upTo")) {
            if (row.has(end)) {
                turns.put(
                        "limit." + DataFile.text(row, "id") + "." + end,
                        new Turn(
                                row.get(end).asDouble(),
                                DataFile.provenance(row).shown()));
            }
        }
    }

    /** A rule's figures: said in other units, what it allows never grows. */
    private static void limits(JsonNode row, Map<String, String> said) {
        if (row.has("from") && row.has("upTo")) {
            said.put(
                    "limit." + DataFile.text(row, "id"),
                    Text.between(row.get("from").asDouble(), row.get("upTo").asDouble(), DataFile.textOr(row, "unit")));
        }
        for (String end : List.of("from", "upTo")) {
            if (row.has(end)) {
                String bound = DataFile.textOr(row, "bound");
                said.put(
                        "limit." + DataFile.text(row, "id") + "." + end,
                        Text.of(
                                row.get(end).asDouble(),
                                DataFile.textOr(row, row.has(end + "Unit") ? end + "Unit" : "unit"),
                                bound.isEmpty() ? Text.Bound.MAX : Text.Bound.of(bound),
                                DataFile.inches(row, end + "Inches")));
            }
        }
    }

    private static void read(JsonNode file, Map<String, TradeValue> values) {
        for (JsonNode row : file.get("values")) {
            Provenance p = DataFile.provenance(row);
            String id = DataFile.text(row, "id");
            TradeValue v = new TradeValue(
                    id,
                    row.get("value").asDouble(),
                    DataFile.text(row, "unit"),
                    DataFile.text(row, "meaning"),
                    p.shown(),
                    p,
                    DataFile.text(file.get("used"), id.substring(0, id.indexOf('.'))),
                    Text.Bound.of(DataFile.textOr(row, "bound")),
                    DataFile.inches(row, "inches"));
            if (values.put(id, v) != null) {
                throw new IllegalStateException("trade value " + id + " stands twice");
            }
        }
    }
}
