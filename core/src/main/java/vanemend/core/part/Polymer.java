package vanemend.core.part;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import vanemend.core.trade.DataFile;

/**
 * A polymer a mark can name.
 *
 * @param symbol by ISO 1043-1, ISO 18064 or ISO 1629
 * @param name in words
 * @param family how it behaves at the bench; empty where no repair is known
 * @param density lowest and highest, g/cm³; empty where not recalled
 * @param energy surface free energy, lowest and highest, mN/m; empty where not recalled
 * @param shown provenance of the figures, as shown
 */
public record Polymer(
        String symbol, String name, Optional<Family> family, List<Double> density, List<Double> energy, String shown) {
    private static final JsonNode FILE = DataFile.read("part/polymers.yaml");
    private static final Map<String, Polymer> POLYMERS = load();
    private static final Map<String, String> WRITTEN = written();
    private static final Map<String, TradeWord> WORDS = words();

    /** A word of the trade that stands for a mark. */
    record TradeWord(String word, String means, String note) {}

    /** All polymers in file order. */
    public static List<Polymer> all() {
        return List.copyOf(POLYMERS.values());
    }

    /** The polymer with {@code symbol}. */
    public static Optional<Polymer> of(String symbol) {
        return Optional.ofNullable(POLYMERS.get(symbol));
    }

    /** The symbol that an older way of writing stands for. */
    static Optional<String> written(String as) {
        return Optional.ofNullable(WRITTEN.get(as));
    }

    /** The trade word {@code word}. */
    static Optional<TradeWord> tradeWord(String word) {
        return Optional.ofNullable(WORDS.get(word));
    }

    /** Middle of the recalled densities, g/cm³. */
    public OptionalDouble densityGPerCm3() {
        return density.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of((density.get(0) + density.get(1)) / 2);
    }

    private static Map<String, Polymer> load() {
        String shown = DataFile.provenance(FILE.get("figures")).shown();
        Map<String, Polymer> out = new LinkedHashMap<>();
        for (JsonNode row : FILE.get("polymers")) {
            Polymer p = new Polymer(
                    DataFile.text(row, "symbol"),
                    DataFile.text(row, "name"),
                    Optional.of(DataFile.textOr(row, "family"))
                            .filter(f -> !f.isEmpty())
                            .map(Family::valueOf),
                    DataFile.numbers(row, "density"),
                    DataFile.numbers(row, "energy"),
                    shown);
            if (out.put(p.symbol(), p) != null) {
                throw new IllegalStateException("polymer " + p.symbol() + " stands twice");
            }
        }
        return out;
    }

    private static Map<String, String> written() {
        Map<String, String> out = new LinkedHashMap<>();
        for (JsonNode row : FILE.get("written")) {
            out.put(DataFile.text(row, "as"), DataFile.text(row, "symbol"));
        }
        return out;
    }

    private static Map<String, TradeWord> words() {
        Map<String, TradeWord> out = new LinkedHashMap<>();
        for (JsonNode row : FILE.get("tradeWords")) {
            TradeWord w =
                    new TradeWord(DataFile.text(row, "word"), DataFile.text(row, "means"), DataFile.text(row, "note"));
            out.put(w.word(), w);
        }
        return out;
    }
}
