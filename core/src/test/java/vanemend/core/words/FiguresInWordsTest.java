package vanemend.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import vanemend.core.trade.Text;

@DisplayName("no figure stands in prose: each is a quantity of its own, and those of the book follow the book")
class FiguresInWordsTest {
    /** An id is no word. */
    private static final String ID = "[a-z][a-z0-9_]*(?:-[a-z0-9]+)*|[A-Z_0-9]+";

    @Test
    void everyFigureIsAQuantity() {
        List<String> bare = new Said()
                .call().stream()
                        .map(l -> l.substring(l.indexOf('\t') + 1))
                        .distinct()
                        .filter(t -> !t.matches(ID))
                        .filter(BareFigures::in)
                        .toList();
        assertThat(bare).isEmpty();
    }

    /** What was typed, what a label or a class of material says, what is counted from them: these stay when the book changes. */
    private static final Set<String> GIVEN = Set.of(
            // sizes of the made-up damage and parts
            "⟦0.4 mm⟧",
            "⟦0.8 mm⟧",
            "⟦1.4 mm⟧",
            "⟦2.5 mm⟧",
            "⟦3.2 mm⟧",
            "⟦5 mm⟧",
            "⟦13 mm⟧",
            "⟦15 mm⟧",
            // the air of the shop, and what labels say
            "⟦50 %⟧",
            "⟦21 °C⟧",
            "⟦10 °C⟧",
            "⟦50 °C⟧",
            "⟦60 °C⟧",
            "⟦2 %⟧",
            "⟦2 mm⟧",
            "⟦3 min⟧",
            "⟦4 min⟧",
            "⟦5 min⟧",
            "⟦10 min⟧",
            "⟦15 min⟧",
            "⟦20 min⟧",
            "⟦30 min⟧",
            "⟦60 min⟧",
            "⟦90 min⟧",
            "⟦24 h⟧",
            "⟦6 mm⟧",
            "⟦10 mm⟧",
            "⟦48 h⟧",
            // rounded or counted; how far a puddle and its bead reach, what is left of a film
            "⟦0.1 g⟧",
            "⟦19 mm⟧",
            "⟦20 mm⟧",
            "⟦22 mm⟧",
            "⟦30 mm⟧",
            "⟦38 mm⟧",
            "⟦40 mm⟧",
            "⟦60 mm⟧",
            "⟦75 mm⟧",
            "⟦50 µm⟧",
            "⟦65 mm⟧",
            "⟦6 min⟧",
            "⟦12 min⟧",
            "⟦45 °C⟧",
            "⟦0.5 min⟧",
            "⟦1 min⟧",
            "⟦1.5 min⟧",
            "⟦3 µm⟧",
            "⟦20 g⟧",
            "⟦1 %⟧",
            "⟦85 %⟧",
            // for each millimetre of depth
            "⟦1 mm⟧");

    /** Every figure of the book and of the limits a little other: counts by one, the rest by a part. */
    private static void otherFigures(JsonNode node, List<String> old) {
        if (node instanceof ObjectNode row) {
            for (String field : List.of("value", "from", "upTo")) {
                // A grade of paper is a name.
                if (row.path("id").isString()
                        && row.path(field).isNumber()
                        && !row.path("unit").asString("").equals("P")) {
                    old.add(Text.of(row.get(field).asDouble(), row.path("unit").asString("")));
                    row.put(
                            field,
                            other(row.get(field).asDouble(), row.path("unit").asString("")));
                }
            }
        }
        node.forEach(n -> otherFigures(n, old));
    }

    private static double other(double v, String unit) {
        return switch (unit) {
            // Further than the counts of one unit lie apart, so that none becomes another.
            case "drops" -> v + 5;
            case "plies" -> v + 2;
            case "coats", "months", "legs", "times" -> v + 1;
            default -> Math.round(v * 1.0137 * 1e6) / 1e6;
        };
    }

    @Test
    void wordsFollowTheBook(@TempDir Path folder) {
        List<String> old = new ArrayList<>();
        List<String> theirs = OtherBook.call(Said.class, folder, t -> otherFigures(t, old));
        Set<String> ours = Set.copyOf(old);
        Pattern quantity = Pattern.compile("⟦[^⟧]*⟧");
        Map<String, Set<String>> kept = new TreeMap<>();
        for (String line : theirs) {
            String text = line.substring(line.indexOf('\t') + 1);
            quantity.matcher(text)
                    .results()
                    .map(m -> m.group().replaceAll(" (?:most|least)", "").replaceAll(" =[0-9.]+", ""))
                    .filter(ours::contains)
                    .forEach(q -> kept.computeIfAbsent(q, k -> new TreeSet<>()).add(text));
        }
        assertThat(old).hasSizeGreaterThan(200);
        assertThat(theirs).hasSizeGreaterThan(10_000);
        kept.keySet().removeAll(GIVEN);
        assertThat(kept)
                .as("figures of the book that stayed when the book changed")
                .isEmpty();
    }

    @Test
    void noFigureIsWrittenIntoTheCode() throws IOException {
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path p : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                if (!p.endsWith("Text.java")) {
                    // Comments, and faults in our own code, are read by nobody at a bench.
                    assertThat(Files.readString(p)
                                    .replaceAll("(?m)^\\s*(?:\\*|//|/\\*).*", "")
                                    .replaceAll("throw new [^;]*;", ""))
                            .as(p.toString())
                            .doesNotContain("⟦")
                            .doesNotContainPattern(
                                    "\"[^\"\\n]*\\d(?: (?:mm|°C|µm|mL|min|rpm)\\b|°)[^\"\\n]*\"(?!, (?:false|null))")
                            .doesNotContainPattern("Check\\.shown\\([^;]*\\+ \" (?:mm|°C|µm|mL|g|min|K|%)\\b");
                }
            }
        }
    }

    @Test
    void whatIsHeldAgainstALimitStaysOnItsSide() {
        assertThat(Text.underMost(3, "mm", false)).isEqualTo("⟦3 mm most⟧");
        assertThat(Text.underMost(3.1, "mm", true)).isEqualTo("⟦3.1 mm least⟧");
        assertThat(Text.overLeast(50, "mm", false)).isEqualTo("⟦50 mm least⟧");
        assertThat(Text.overLeast(49.9, "mm", true)).isEqualTo("⟦49.9 mm most⟧");
    }

    @Test
    void readsPlainly() {
        assertThat(Text.plain("at most " + Text.atMost(3, "mm") + ", over " + Text.of(25, "°")))
                .isEqualTo("at most 3 mm, over 25°");
    }
}
