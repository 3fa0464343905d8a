package vanemend.core.material;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import vanemend.core.trade.DataFile;

/**
 * Something that a shop which begins may tick off instead of typing it. It comes without a single label figure: until those are read off the tin
 * the class's typical amounts stand in, and no clock does.
 *
 * @param id of the shelf item that it becomes
 * @param group as said over its part of the list
 * @param unit it is counted in
 * @param grade of a paper
 */
public record StarterShelf(
        String id,
        String group,
        String classId,
        String name,
        String unit,
        Optional<String> grading,
        Optional<Integer> grade) {
    /** What stands for a lot that nobody has read. */
    public static final String NO_LOT = "not read yet";

    private static final String PAPER = "paper";
    private static final Map<String, StarterShelf> ALL = load();

    /** All in the order of the list. */
    public static List<StarterShelf> all() {
        return List.copyOf(ALL.values());
    }

    /** The one called {@code id}. */
    public static Optional<StarterShelf> of(String id) {
        return Optional.ofNullable(ALL.get(id));
    }

    /**
     * As it is put on the shelf.
     *
     * @param quantity what is there, in {@link #unit}
     * @param rollMm width of the roll of what is counted in cm², mm
     */
    public ShelfItemDraft draft(Double quantity, Double rollMm) {
        return new ShelfItemDraft(
                id,
                classId,
                name,
                NO_LOT,
                null,
                quantity,
                unit,
                null,
                List.of(),
                null,
                null,
                grading.orElse(null),
                grade.orElse(null),
                ShelfItem.Sanding.DRY,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                rollMm);
    }

    private static Map<String, StarterShelf> load() {
        Map<String, StarterShelf> out = new LinkedHashMap<>();
        for (JsonNode group : DataFile.read("material/starter.yaml").get("groups")) {
            of(group).forEach(s -> out.put(s.id(), s));
        }
        return out;
    }

    private static List<StarterShelf> of(JsonNode group) {
        String word = DataFile.text(group, "word");
        String unit = DataFile.text(group, "unit");
        List<StarterShelf> out = new ArrayList<>();
        for (String c : DataFile.texts(group, "classes")) {
            out.add(new StarterShelf(c, word, c, MaterialClass.of(c).name(), unit, Optional.empty(), Optional.empty()));
        }
        for (double g : DataFile.numbers(group, "grades")) {
            String grading = DataFile.text(group, "grading");
            int grade = (int) g;
            String called = grading + grade;
            out.add(new StarterShelf(
                    "paper-" + called, word, PAPER, "Paper " + called, unit, Optional.of(grading), Optional.of(grade)));
        }
        return out;
    }
}
