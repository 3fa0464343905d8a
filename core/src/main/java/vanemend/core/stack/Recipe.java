package vanemend.core.stack;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import vanemend.core.damage.Damage;
import vanemend.core.material.MaterialClass;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.part.Family;
import vanemend.core.part.MadeOf;
import vanemend.core.trade.DataFile;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Ordered;
import vanemend.core.trade.Text;

/**
 * One way to mend: one school of a method, as a stack of roles.
 *
 * @param id stable, stored
 * @param method that it is a way of
 * @param title name of the method, as said
 * @param name what tells it from its sisters, as said
 * @param way how its family lays it out, by the family's own names; empty where there is one way
 * @param families only these; empty for all
 * @param when further conditions, all must hold
 * @param schools house rules it belongs to, option by question
 * @param slots in working order
 */
public record Recipe(
        String id,
        MethodId method,
        String title,
        String name,
        String way,
        Set<MadeOf> materials,
        Set<Damage.Kind> damages,
        Set<Family> families,
        Set<When> when,
        Map<String, String> schools,
        List<Slot> slots) {

    /** Conditions that the part and its damage must meet; each says why not where it is not met. */
    public enum When {
        BOTH_SIDES("the back is not reached"),
        THROUGH("nothing goes through: the face alone is enough"),
        NOT_THROUGH("it goes through, or deeper than {gouge.backed-from} of the wall: the back must be backed"),
        OUTER_LAYER("it goes through the part"),
        SHORT("too long for sealant: laminate"),
        SMALL("too large for polyester on a flexing part"),
        ROOM_38("no {stack.patch-past} of sound plastic all round for a patch"),
        ABS("melts into ABS and ASA only"),
        TRIM("for grained trim only"),
        NOT_TRIM("trim has its own way"),
        GELCOAT("deeper than gelcoat, or no bare gelcoat"),
        NOT_GELCOAT("only gelcoat is hurt: paste alone"),
        HOLLOW("no deeper than {scratch.putty-from}: its edges are feathered, nothing is filled"),
        COATS_DEEP("deeper than {scratch.putty-from}: putty"),
        PUTTY_ALONE("too deep for putty alone"),
        NOT_PUTTY_ALONE("shallow enough for putty alone"),
        ANGLE_SQUARE("over {limit.tyre-angle.upTo} from square: two pieces"),
        ANGLE_SLANT("up to {limit.tyre-angle.upTo} from square: one piece does");

        private final String otherwise;

        When(String otherwise) {
            this.otherwise = otherwise;
        }

        /** Why not, where it is not met. */
        public String otherwise() {
            return Text.fill(otherwise);
        }
    }

    /** What a slot's material sits on. */
    public enum Ground {
        /** Nothing is asked. */
        ANY,
        /** The part as it is prepared. */
        PART,
        /** The part's own material, bare. */
        BARE,
        /** Its outer layer, such as gelcoat. */
        OUTER,
        /** The structural layer before it. */
        BELOW
    }

    /**
     * One role.
     *
     * @param classes that may fill it, the usual one first
     * @param on what it sits on
     * @param optional may stay empty
     * @param only asked of these families; empty for all
     * @param damages asked of these kinds of damage; empty for all
     * @param house asked only where the house follows these options, by question
     * @param same must be the very item of that role; empty where free
     * @param note beside it
     */
    public record Slot(
            Role role,
            List<String> classes,
            Ground on,
            boolean optional,
            Set<Family> only,
            Set<Damage.Kind> damages,
            Map<String, String> house,
            String same,
            String note) {}

    /**
     * A pair that never meets.
     *
     * @param classes the ones
     * @param surfaces never sit on these
     * @param with never stand in for these
     * @param without never without one of these
     * @param when never under this condition; empty for none
     * @param why reason as shown
     */
    public record Forbidden(
            String id,
            List<String> classes,
            Set<MaterialClass.Surface> surfaces,
            List<String> with,
            List<String> without,
            String when,
            String why) {}

    private static final Map<String, Recipe> RECIPES = load();
    private static final List<Forbidden> FORBIDDEN = loadForbidden();

    /** All recipes, family by family. */
    public static List<Recipe> all() {
        return List.copyOf(RECIPES.values());
    }

    /** The recipe called {@code id}; empty where there is none. */
    public static Optional<Recipe> find(String id) {
        return Optional.ofNullable(RECIPES.get(id));
    }

    /** The recipe called {@code id}; throws {@link IllegalArgumentException} where there is none. */
    public static Recipe of(String id) {
        return find(id).orElseThrow(() -> new IllegalArgumentException(
                "no way to mend is called " + id + "; there are " + String.join(", ", RECIPES.keySet())));
    }

    /** All pairs that never meet. */
    public static List<Forbidden> forbidden() {
        return FORBIDDEN;
    }

    private static Map<String, Recipe> load() {
        Map<String, Recipe> out = new LinkedHashMap<>();
        for (String family : MethodId.families()) {
            JsonNode file = DataFile.read("method/" + family + "/recipes.yaml");
            Map<String, String> titles = texts(file.get("methods"));
            for (JsonNode row : file.get("recipes")) {
                Recipe r = read(row, titles, out);
                if (!r.method().family().equals(family)) {
                    throw new IllegalStateException("recipe " + r.id() + " stands in the folder " + family
                            + ", its method in " + r.method().family());
                }
                if (out.put(r.id(), r) != null) {
                    throw new IllegalStateException("recipe " + r.id() + " stands twice");
                }
            }
        }
        return out;
    }

    private static Recipe read(JsonNode row, Map<String, String> titles, Map<String, Recipe> before) {
        String from = DataFile.textOr(row, "slotsOf");
        MethodId method = MethodId.of(DataFile.text(row, "method"));
        return new Recipe(
                DataFile.text(row, "id"),
                method,
                Objects.requireNonNull(titles.get(method.id()), method.id() + " has no title"),
                DataFile.text(row, "name"),
                DataFile.textOr(row, "way"),
                set(row, "materials", MadeOf::valueOf),
                set(row, "damages", Damage.Kind::valueOf),
                set(row, "families", Family::valueOf),
                set(row, "when", When::valueOf),
                texts(row.get("schools")),
                from.isEmpty() ? slots(row.get("slots")) : before.get(from).slots());
    }

    private static List<Slot> slots(JsonNode rows) {
        List<Slot> out = new ArrayList<>();
        for (JsonNode row : rows) {
            List<String> classes = DataFile.texts(row, "classes");
            classes.forEach(MaterialClass::of);
            out.add(new Slot(
                    Role.valueOf(DataFile.text(row, "role")),
                    classes,
                    row.has("on") ? Ground.valueOf(DataFile.text(row, "on")) : Ground.ANY,
                    row.path("optional").asBoolean(false),
                    set(row, "only", Family::valueOf),
                    set(row, "damages", Damage.Kind::valueOf),
                    texts(row.get("house")),
                    DataFile.textOr(row, "same"),
                    DataFile.wordsOr(row, "note")));
        }
        return List.copyOf(out);
    }

    private static List<Forbidden> loadForbidden() {
        List<Forbidden> out = new ArrayList<>();
        for (JsonNode row : DataFile.read("stack/forbidden.yaml").get("forbidden")) {
            List<String> classes = DataFile.texts(row, "classes");
            classes.forEach(MaterialClass::of);
            out.add(new Forbidden(
                    DataFile.text(row, "id"),
                    classes,
                    set(row, "surfaces", MaterialClass.Surface::valueOf),
                    DataFile.texts(row, "with"),
                    DataFile.texts(row, "without"),
                    DataFile.textOr(row, "when"),
                    DataFile.words(row, "why")));
        }
        return List.copyOf(out);
    }

    private static <T> Set<T> set(JsonNode row, String field, java.util.function.Function<String, T> read) {
        return DataFile.texts(row, field).stream().map(read).collect(Collectors.toUnmodifiableSet());
    }

    private static Map<String, String> texts(JsonNode node) {
        Map<String, String> out = new LinkedHashMap<>();
        if (node != null) {
            node.properties().forEach(e -> out.put(e.getKey(), e.getValue().asString()));
        }
        return Ordered.copyOf(out);
    }
}
