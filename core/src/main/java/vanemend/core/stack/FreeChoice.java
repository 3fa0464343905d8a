package vanemend.core.stack;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.trade.DataFile;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Ordered;

/**
 * Parts of a way to mend that are chosen freely on a repair, whatever the way's own answer is: a way with a name is only a choice that was
 * filled in. What was chosen beats the way; the house's rules do not.
 */
public final class FreeChoice {
    /**
     * What is free in a way.
     *
     * @param as its name without the parts that are free
     * @param parts questions whose answers are free
     */
    private record Free(String as, Set<String> parts) {}

    private static final Map<String, Free> FREE = load();

    private FreeChoice() {}

    /** {@code r} with the parts that {@code own} answers, option by question, for this repair. */
    public static Recipe of(Recipe r, Map<String, String> own) {
        Free free = FREE.get(r.id());
        if (free == null
                || free.parts().stream()
                        .allMatch(q -> !own.containsKey(q)
                                || own.get(q).equals(r.schools().get(q)))) {
            return r;
        }
        Map<String, String> schools = new LinkedHashMap<>(r.schools());
        List<String> name = new ArrayList<>(List.of(free.as()));
        for (HouseRules.School s : HouseRules.schools()) {
            if (free.parts().contains(s.id())) {
                schools.put(s.id(), own.getOrDefault(s.id(), r.schools().get(s.id())));
                String label = s.option(schools.get(s.id())).label();
                name.add(Character.toLowerCase(label.charAt(0)) + label.substring(1));
            }
        }
        return new Recipe(
                r.id(),
                r.method(),
                r.title(),
                String.join(", ", name),
                r.way(),
                r.materials(),
                r.damages(),
                r.families(),
                r.when(),
                Ordered.copyOf(schools),
                r.slots());
    }

    /** The way with a name that {@code r} becomes by {@code own}; empty where it stays itself, or becomes one without a name. */
    static Optional<Recipe> named(Recipe r, Map<String, String> own) {
        Recipe now = of(r, own);
        return now == r
                ? Optional.empty()
                : Recipe.all().stream()
                        .filter(o -> of(o, own) == o && alike(o, now))
                        .findFirst();
    }

    private static boolean alike(Recipe a, Recipe b) {
        return a.method() == b.method()
                && a.way().equals(b.way())
                && a.schools().equals(b.schools())
                && a.damages().containsAll(b.damages())
                && fill(a).equals(fill(b));
    }

    private static List<String> fill(Recipe r) {
        return r.slots().stream()
                .filter(s -> s.role() == Role.FILL)
                .flatMap(s -> s.classes().stream())
                .toList();
    }

    private static Map<String, Free> load() {
        Map<String, Free> out = new LinkedHashMap<>();
        for (String family : MethodId.families()) {
            for (JsonNode row :
                    DataFile.read("method/" + family + "/recipes.yaml").get("recipes")) {
                if (row.has("free")) {
                    JsonNode free = row.get("free");
                    Set<String> parts = Set.copyOf(DataFile.texts(free, "parts"));
                    parts.forEach(HouseRules::school);
                    out.put(DataFile.text(row, "id"), new Free(DataFile.text(free, "as"), parts));
                }
            }
        }
        return out;
    }
}
