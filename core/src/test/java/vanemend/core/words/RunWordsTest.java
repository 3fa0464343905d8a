package vanemend.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import vanemend.core.method.Act;
import vanemend.core.method.Interlock;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Limits;

@DisplayName("all that a run and the bench can say, which other languages of the screens are held against")
class RunWordsTest {
    private static final Path KEPT = Path.of("..", "web", "src", "api", "generated", "run-words.json");

    /** Where in a plan or a run stands what is read at the bench. */
    private static final Pattern AT_THE_BENCH = Pattern.compile(
            ".*\\.(?:steps\\.step|loops\\.steps)\\."
                    + "(?:title|detail|tool|amount|gate\\.(?:question|yes|no|yesNote|branches\\.label|branches\\.note)|clock\\.label|clock\\.note"
                    + "|cautions\\.(?:text|wear)|watches\\.(?:title|follows|source))"
                    + "|.*\\.loops\\.title|.*\\.plan\\.(?:mixes|portions|waits)\\.title|.*\\.plan\\.(?:closing|title)"
                    + "|.* run \\d+\\.(?:said|detail|label|note|warning)|.* found \\w+"
                    + "|.*\\.drawing\\.(?:zones|damages|section\\.layers)\\.(?:word|note)|.*\\.blockers|.*\\.verdict\\.findings\\.(?:title|reason)");

    private static final Pattern INDEX = Pattern.compile("\\[\\d+]");

    private static final Pattern FIGURE = Pattern.compile("⟦[^⟧]*⟧|\\bP?\\d+(?:\\.\\d+)?\\b");

    /** What is said, one for all that differ by their figures alone. */
    private static List<String> said() {
        Map<String, String> said = new TreeMap<>();
        // Some millions of lines stand at some thousands of places.
        Map<String, Boolean> read = new HashMap<>();
        Stream.concat(
                        new Said()
                                .call().stream()
                                        .map(l -> l.split("\t", 2))
                                        .filter(l -> read.computeIfAbsent(
                                                INDEX.matcher(l[0]).replaceAll(""),
                                                at -> AT_THE_BENCH.matcher(at).matches()))
                                        .map(l -> l[1]),
                        Stream.of(
                                        Stream.of(Quantity.values()).map(Quantity::word),
                                        Stream.of(Act.values()).map(Act::word),
                                        TradeBook.shipped().signs().values().stream(),
                                        Limits.all().stream()
                                                .flatMap(l -> Stream.of(l.title(), l.reason(), l.instead())),
                                        TradeBook.shipped().signs().keySet().stream()
                                                .map(TradeBook.shipped()::caution)
                                                .flatMap(c -> Stream.concat(Stream.of(c.text()), c.wear().stream())),
                                        Interlock.all().stream().flatMap(i -> Stream.of(i.said(), i.follows())))
                                .flatMap(s -> s))
                .filter(t -> t.matches("(?s).*[A-Za-z]{2}.*"))
                .forEach(t -> said.merge(FIGURE.matcher(t).replaceAll("#"), t, (a, b) -> a.compareTo(b) <= 0 ? a : b));
        return List.copyOf(said.values());
    }

    @Test
    void areTheOnesThatTheScreensKnow() throws IOException {
        List<String> all = said();
        String said = JsonMapper.builder()
                        .enable(SerializationFeature.INDENT_OUTPUT)
                        .build()
                        .writeValueAsString(all)
                + "\n";
        if (Boolean.getBoolean("vanemend.write")) {
            Files.writeString(KEPT, said);
        }
        assertThat(said)
                .as("words of a run that the screens do not know yet: write them again with -Dvanemend.write=true")
                .isEqualTo(Files.readString(KEPT));
        assertThat(all).hasSizeGreaterThan(500);
    }
}
