package vanemend.core.record;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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
        NOTE
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
        record.deviations().forEach(d -> out.add(new Word(Sort.DEVIATION, d.text())));
        record.lines().forEach(l -> l.remarks().forEach(r -> out.add(new Word(Sort.NOTE, r))));
        return List.copyOf(out);
    }

    private static Word day(LocalDate d) {
        return new Word(Sort.DAY, d.toString());
    }

    /** The words that answer {@code asked}, one for each part of it; empty where a part is not met. An empty question meets every record. */
    public static Optional<List<Word>> met(List<Word> words, String asked) {
        List<Word> out = new ArrayList<>();
        for (String part : asked.toLowerCase(Locale.ROOT).strip().split("\\s+")) {
            if (part.isEmpty()) {
                continue;
            }
            Optional<Word> hit = words.stream()
                    .filter(w -> Text.plain(w.text()).toLowerCase(Locale.ROOT).contains(part))
                    .findFirst();
            if (hit.isEmpty()) {
                return Optional.empty();
            }
            if (!out.contains(hit.get())) {
                out.add(hit.get());
            }
        }
        return Optional.of(List.copyOf(out));
    }
}
