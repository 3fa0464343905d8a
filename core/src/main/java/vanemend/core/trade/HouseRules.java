package vanemend.core.trade;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/**
 * Which school the shop follows, question by question. Immutable; a question that is not set follows the default.
 *
 * @param chosen option id by question id
 */
public record HouseRules(Map<String, String> chosen) implements Schools {
    /**
     * One question on which good technicians disagree.
     *
     * @param materials kinds of part it is about; empty for all
     * @param methods methods it is about; empty for all
     */
    public record School(
            String id,
            String question,
            List<String> stations,
            String defaultOption,
            String why,
            List<Option> options,
            List<String> materials,
            List<MethodId> methods,
            String shown) {
        public School {
            if (options.stream().noneMatch(o -> o.id().equals(defaultOption))) {
                throw new IllegalStateException("house rule " + id + " has no option " + defaultOption);
            }
        }

        /** The option called {@code optionId}. */
        public Option option(String optionId) {
            for (Option o : options) {
                if (o.id().equals(optionId)) {
                    return o;
                }
            }
            throw new IllegalArgumentException(
                    "house rule " + id + " has no option " + optionId + "; it has " + optionIds());
        }

        private List<String> optionIds() {
            return options.stream().map(Option::id).toList();
        }
    }

    /**
     * One school's answer, fairly told.
     *
     * @param planned false where it is told but never planned, and so cannot be chosen
     */
    public record Option(String id, String label, String told, boolean planned) {}

    private static final Map<String, School> SCHOOLS = load();

    public HouseRules {
        chosen.forEach((question, option) -> {
            if (!school(question).option(option).planned()) {
                throw new IllegalArgumentException(
                        school(question).option(option).label() + " is told, but never planned: choose another.");
            }
        });
        chosen = Ordered.copyOf(chosen);
    }

    /** All defaults. */
    public static HouseRules defaults() {
        return new HouseRules(Map.of());
    }

    /** The questions, in the order the work meets them. */
    public static List<School> schools() {
        return List.copyOf(SCHOOLS.values());
    }

    /** The question called {@code id}. */
    public static School school(String id) {
        School s = SCHOOLS.get(id);
        if (s == null) {
            throw new IllegalArgumentException("no house rule is called " + id + "; there are " + SCHOOLS.keySet());
        }
        return s;
    }

    @Override
    public String of(String question) {
        School s = school(question);
        return chosen.getOrDefault(question, s.defaultOption());
    }

    /** A copy with one question answered. */
    public HouseRules with(String question, String option) {
        Map<String, String> next = new LinkedHashMap<>(chosen);
        next.put(question, option);
        return new HouseRules(next);
    }

    private static Map<String, School> load() {
        Map<String, School> out = new LinkedHashMap<>();
        for (JsonNode row : DataFile.read("trade/schools.yaml").get("schools")) {
            List<Option> options = new ArrayList<>();
            row.get("options")
                    .forEach(o -> options.add(new Option(
                            DataFile.text(o, "id"),
                            DataFile.words(o, "label"),
                            DataFile.words(o, "told"),
                            o.path("planned").asBoolean(true))));
            School s = new School(
                    DataFile.text(row, "id"),
                    DataFile.text(row, "question"),
                    DataFile.texts(row, "stations"),
                    DataFile.text(row, "default"),
                    DataFile.words(row, "why"),
                    List.copyOf(options),
                    DataFile.texts(row, "materials"),
                    DataFile.texts(row, "methods").stream().map(MethodId::of).toList(),
                    DataFile.provenance(row).shown());
            out.put(s.id(), s);
        }
        return out;
    }
}
