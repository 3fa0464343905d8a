package vanemend.core.record;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.trade.Text;

/** What a record can be found by: vehicle, part, material, lot, damage, deviation, person, day. */
public final class RecordWords {
    /** A word of a record with what it is. */
    public record Word(Sort sort, String text) {}

    /** What a word is. */
    public enum Sort {
        PART,
        VEHICLE,
        SUBSTRATE,
        METHOD,
        DAMAGE,
        MATERIAL,
        LOT,
        PERSON,
        DAY,
        DEVIATION,
        NOTE,
        STATE
    }

    private RecordWords() {}

    /** Every word of {@code record}, days by {@code zone}. */
    public static List<Word> of(FrozenPlan frozen, RepairRecord record, ZoneId zone) {
        List<Word> out = new ArrayList<>();
        out.add(new Word(Sort.PART, frozen.workup().name()));
        out.add(new Word(Sort.VEHICLE, frozen.workup().vehicle()));
        out.add(new Word(Sort.SUBSTRATE, frozen.workup().mark()));
        out.add(new Word(Sort.METHOD, frozen.plan().title()));
        frozen.draft().damages().stream()
                .map(d -> d.kind())
                .filter(k -> k != null)
                .distinct()
                .forEach(k -> out.add(new Word(Sort.DAMAGE, k.word())));
        record.lots().forEach(l -> {
            out.add(new Word(Sort.MATERIAL, l.name()));
            out.add(new Word(Sort.LOT, l.lot()));
        });
        record.people().forEach(p -> out.add(new Word(Sort.PERSON, p)));
        record.startedAt().ifPresent(t -> out.add(day(LocalDate.ofInstant(t, zone))));
        record.finishedAt().ifPresent(t -> out.add(day(LocalDate.ofInstant(t, zone))));
        out.add(new Word(Sort.STATE, state(record)));
        record.deviations().forEach(d -> out.add(new Word(Sort.DEVIATION, d.text())));
        record.lines().forEach(l -> l.remarks().forEach(r -> out.add(new Word(Sort.NOTE, r))));
        return List.copyOf(out);
    }

    private static String state(RepairRecord record) {
        return record.ended()
                .map(e -> e.how().word())
                .orElse(record.finishedAt().isPresent() ? "Finished" : "Running");
    }

    private static Word day(LocalDate d) {
        return new Word(Sort.DAY, d.toString());
    }

    /** Longest key, in characters; what is longer is found by its beginning. */
    public static final int LONGEST_KEY = 40;

    private static final Pattern SPACES = Pattern.compile("\\s+");
    private static final Pattern BETWEEN = Pattern.compile("[^\\p{L}\\p{N}]+");
    private static final Pattern ENDS = Pattern.compile("^[^\\p{L}\\p{N}]+|[^\\p{L}\\p{N}]+$");

    /**
     * What {@code text} is found by: each of its words in small letters without the marks around it, and where a word holds marks (a lot, a day,
     * two words in one) also each piece of more than a character between them. It is found by the beginning of any of these.
     */
    public static Set<String> keys(String text) {
        Set<String> out = new LinkedHashSet<>();
        for (String word : SPACES.split(small(text))) {
            key(word).ifPresent(out::add);
            for (String piece : BETWEEN.split(word)) {
                key(piece).filter(k -> k.length() > 1).ifPresent(out::add);
            }
        }
        return out;
    }

    /** The parts of the question {@code asked}, as keys begin; empty where nothing is asked. */
    public static List<String> parts(String asked) {
        return SPACES.splitAsStream(small(asked))
                .flatMap(p -> key(p).stream())
                .distinct()
                .toList();
    }

    private static String small(String text) {
        return Text.plain(text).toLowerCase(Locale.ROOT);
    }

    private static Optional<String> key(String word) {
        String bare = ENDS.matcher(word).replaceAll("");
        return bare.isEmpty()
                ? Optional.empty()
                : Optional.of(bare.substring(
                        0, bare.offsetByCodePoints(0, Math.min(LONGEST_KEY, bare.codePointCount(0, bare.length())))));
    }

    /** Words with what each is found by, worked out once. */
    public record Findable(List<Word> words, List<Set<String>> keys) {
        /** Of {@code words}. */
        public static Findable of(List<Word> words) {
            return new Findable(
                    words, words.stream().map(w -> RecordWords.keys(w.text())).toList());
        }

        /** The words that answer the {@code parts} of a question, one for each; empty where a part is not met. No parts are met by all. */
        public Optional<List<Word>> met(List<String> parts) {
            Set<Word> out = new LinkedHashSet<>();
            for (String part : parts) {
                OptionalInt hit = IntStream.range(0, words.size())
                        .filter(i -> keys.get(i).stream().anyMatch(k -> k.startsWith(part)))
                        .findFirst();
                if (hit.isEmpty()) {
                    return Optional.empty();
                }
                out.add(words.get(hit.getAsInt()));
            }
            return Optional.of(List.copyOf(out));
        }
    }

    /** The words that answer {@code asked}, as {@link Findable#met}. */
    public static Optional<List<Word>> met(List<Word> words, String asked) {
        return Findable.of(words).met(parts(asked));
    }
}
