package vanemend.core.intake;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import vanemend.core.damage.Damage;
import vanemend.core.part.Composite;
import vanemend.core.part.Metal;
import vanemend.core.part.TypicalPart;
import vanemend.core.trade.DataFile;

/** Words of the trade as people say them. */
final class Lexicon {
    /** A phrase of one word or more, in small letters, and what it says. */
    record Phrase<T>(String words, T says) {}

    private static final JsonNode FILE = DataFile.read("intake/words.yaml");

    static final List<Phrase<TypicalPart>> PARTS =
            phrases("parts", r -> TypicalPart.of(DataFile.text(r, "typical")).orElseThrow());
    static final List<Phrase<Damage.Kind>> DAMAGES =
            phrases("damages", r -> Damage.Kind.valueOf(DataFile.text(r, "kind")));
    static final List<Phrase<Metal.Kind>> METALS =
            phrases("metals", r -> Metal.Kind.valueOf(DataFile.text(r, "metal")));
    static final List<Phrase<Composite.Kind>> COMPOSITES =
            phrases("composites", r -> Composite.Kind.valueOf(DataFile.text(r, "composite")));
    static final List<Phrase<String>> SIDES = DataFile.texts(FILE, "sides").stream()
            .map(s -> new Phrase<>(s, s))
            .sorted(Comparator.comparing(p -> -p.words().length()))
            .toList();
    static final List<String> PLAIN = DataFile.texts(FILE, "plain");

    private Lexicon() {}

    /** Longer phrases first: of "rust hole" and "rust" the one that says more is taken. */
    private static <T> List<Phrase<T>> phrases(String list, Function<JsonNode, T> says) {
        List<Phrase<T>> out = new ArrayList<>();
        for (JsonNode row : FILE.get(list)) {
            DataFile.texts(row, "words").forEach(w -> out.add(new Phrase<>(w, says.apply(row))));
        }
        out.sort(Comparator.comparing(p -> -p.words().length()));
        return List.copyOf(out);
    }

    /** The phrase that {@code text}, in small letters, has at {@code at}, as whole words. */
    static <T> Optional<Phrase<T>> at(List<Phrase<T>> some, String text, int at) {
        return some.stream()
                .filter(p -> text.startsWith(p.words(), at)
                        && ends(text, at + p.words().length()))
                .findFirst();
    }

    static boolean ends(String text, int at) {
        return at >= text.length() || !Character.isLetterOrDigit(text.charAt(at));
    }
}
