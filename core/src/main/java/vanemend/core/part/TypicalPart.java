package vanemend.core.part;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import vanemend.core.part.PartDraft.Assumed;
import vanemend.core.part.PartDraft.CoatDraft;
import vanemend.core.trade.DataFile;

/**
 * A part as people bring it in and what it is as a rule, so that a new repair begins with a drawing. What is put down is marked as assumed until
 * somebody measures it; what decides the method is not put down but asked. Sizes are recalled, not published.
 *
 * @param word as said at the bench
 * @param gaugeMm of sheet metal
 * @param thicknessMm wall of a plastic or composite
 */
public record TypicalPart(
        String id,
        String word,
        MadeOf material,
        Outline outline,
        double widthMm,
        double heightMm,
        Optional<Double> gaugeMm,
        Optional<Double> thicknessMm) {
    private static final Map<String, TypicalPart> ALL = load();

    /** All in the order they are offered in. */
    public static List<TypicalPart> all() {
        return List.copyOf(ALL.values());
    }

    /** The one called {@code id}. */
    public static Optional<TypicalPart> of(String id) {
        return Optional.ofNullable(ALL.get(id));
    }

    /** A part of this kind as it is typed at first: called {@code word}, with its usual sizes, wall and coats, all marked as assumed. */
    public PartDraft draft() {
        Set<Assumed> assumed = EnumSet.of(Assumed.WIDTH, Assumed.HEIGHT, Assumed.OUTLINE);
        gaugeMm.ifPresent(g -> assumed.add(Assumed.GAUGE));
        thicknessMm.ifPresent(t -> assumed.add(Assumed.THICKNESS));
        List<CoatDraft> coats = usualCoats(material);
        if (!coats.isEmpty()) {
            assumed.add(Assumed.COATS);
        }
        return new PartDraft(
                word,
                null,
                null,
                gaugeMm.orElse(null),
                widthMm,
                heightMm,
                coats,
                null,
                List.of(),
                Map.of(),
                SubstrateDraft.walled(material, thicknessMm.orElse(null)),
                outline.id(),
                Set.of(),
                Set.of(),
                assumed);
    }

    /** Coats of a factory finish, from the part up; of a plastic and a composite whoever holds the part has to say whether it is painted. */
    public static List<CoatDraft> usualCoats(MadeOf material) {
        List<CoatDraft> out = new ArrayList<>();
        if (material == MadeOf.METAL) {
            out.add(new CoatDraft(Coat.Kind.E_COAT, null));
        }
        if (material == MadeOf.METAL || material == MadeOf.FILM) {
            for (Coat.Kind kind : List.of(Coat.Kind.PRIMER_SURFACER, Coat.Kind.BASE, Coat.Kind.CLEAR)) {
                out.add(new CoatDraft(kind, null));
            }
        }
        return List.copyOf(out);
    }

    private static Map<String, TypicalPart> load() {
        Map<String, TypicalPart> out = new LinkedHashMap<>();
        for (JsonNode row : DataFile.read("part/typical.yaml").get("parts")) {
            TypicalPart p = new TypicalPart(
                    DataFile.text(row, "id"),
                    DataFile.text(row, "word"),
                    MadeOf.valueOf(DataFile.text(row, "material")),
                    Outline.of(DataFile.text(row, "outline")).orElseThrow(),
                    row.get("widthMm").asDouble(),
                    row.get("heightMm").asDouble(),
                    Optional.ofNullable(row.get("gaugeMm")).map(JsonNode::asDouble),
                    Optional.ofNullable(row.get("thicknessMm")).map(JsonNode::asDouble));
            out.put(p.id(), p);
        }
        return out;
    }
}
