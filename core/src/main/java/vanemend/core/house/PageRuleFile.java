package vanemend.core.house;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.dataformat.yaml.YAMLMapper;
import tools.jackson.dataformat.yaml.YAMLWriteFeature;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Act;
import vanemend.core.method.HousePages;
import vanemend.core.method.PageChange;
import vanemend.core.method.PageRule;
import vanemend.core.trade.Check;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;

/**
 * A house's own pages as a YAML file, to be given to another shop. Its shape is published as a JSON schema; the names in
 * it are the names of the draft's fields. Who signed travels with it as words: the shop that takes it signs anew.
 */
public final class PageRuleFile {
    /** Largest file that is read, bytes. */
    public static final int MOST_BYTES = 256 * 1024;

    /** Most rules in a file. */
    public static final int MOST_RULES = 200;

    private static final int FORMAT = 1;
    private static final String SIGNED = "signed";
    private static final YAMLMapper YAML = YAMLMapper.builder()
            .disable(YAMLWriteFeature.WRITE_DOC_START_MARKER)
            .build();

    private PageRuleFile() {}

    /** {@code rules} as a file for another shop. */
    public static String write(List<PageRule> rules) {
        return file(rules.stream()
                .map(r -> {
                    Map<String, Object> row = row(r);
                    row.put(SIGNED, r.by() + ", " + r.at());
                    return row;
                })
                .toList());
    }

    /** {@code rule} as it is kept; who signed it and when is kept beside it. */
    public static String kept(PageRule rule) {
        return file(List.of(row(rule)));
    }

    /** The rule that {@link #kept} wrote, with what is kept beside it; throws {@link IllegalStateException} where it cannot be read. */
    public static PageRule ofKept(String kept, long id, String by, Instant at) {
        Check check = new Check();
        List<PageRule> one = read(kept.getBytes(StandardCharsets.UTF_8), HousePages.none(), by, at, check);
        if (one.size() != 1) {
            throw new IllegalStateException("house rule " + id + " cannot be read: " + check.problems());
        }
        PageRule r = one.getFirst();
        return new PageRule(id, r.method(), r.change(), r.stepTitle(), r.afterTitle(), r.reason(), by, at);
    }

    private static String file(List<Map<String, Object>> rows) {
        Map<String, Object> file = new LinkedHashMap<>();
        file.put("format", FORMAT);
        file.put("rules", rows);
        return YAML.writeValueAsString(file);
    }

    private static Map<String, Object> row(PageRule r) {
        Map<String, Object> row = new LinkedHashMap<>();
        row.put("method", r.method().name());
        row.put("kind", r.change().kind().name());
        row.put("step", r.change().step());
        put(row, "stepTitle", r.stepTitle());
        switch (r.change()) {
            case PageChange.Add a -> {
                put(row, "after", a.after());
                put(row, "afterTitle", r.afterTitle());
                row.put("title", a.title());
                put(row, "how", a.how());
                a.zone().ifPresent(z -> row.put("zone", z.name()));
                row.put("minutes", a.activeMin());
                if (a.waitMin() > 0) {
                    row.put("waitMin", a.waitMin());
                }
                put(row, "caution", a.caution());
                a.gate().ifPresent(g -> {
                    row.put("question", g.question());
                    row.put("yes", g.yes());
                    row.put("no", g.no());
                    row.put("then", g.then());
                    row.put("thenMin", g.thenMin());
                });
                if (!a.acts().isEmpty()) {
                    row.put("acts", a.acts().stream().map(Act::name).toList());
                }
            }
            case PageChange.Move m -> {
                put(row, "after", m.after());
                put(row, "afterTitle", r.afterTitle());
            }
            case PageChange.Words w -> {
                put(row, "title", w.title());
                put(row, "how", w.how());
            }
            case PageChange.Minutes m -> row.put("minutes", m.activeMin());
            case PageChange.Reading q -> row.put("quantity", q.quantity().name());
            case PageChange.LeaveOut l -> {}
            case PageChange.Picture p -> {}
        }
        row.put("reason", r.reason());
        return row;
    }

    private static void put(Map<String, Object> row, String name, String words) {
        if (!words.isEmpty()) {
            row.put(name, words);
        }
    }

    /**
     * The rules of a file, signed anew; nothing where {@code check} then holds problems. The file is taken whole or not at all.
     *
     * @param now what is in force
     */
    public static List<PageRule> read(byte[] file, HousePages now, String by, Instant at, Check check) {
        List<PageRuleDraft> drafts = drafts(file, check);
        List<PageRule> out = new ArrayList<>();
        for (int i = 0; i < drafts.size(); i++) {
            out.add(drafts.get(i).signed("rules." + i + ".", now.with(out), by, at, check));
        }
        return check.clean() ? List.copyOf(out) : List.of();
    }

    private static List<PageRuleDraft> drafts(byte[] file, Check check) {
        if (file.length > MOST_BYTES) {
            check.refuse(
                    "file",
                    file.length + " bytes",
                    "at most " + MOST_BYTES + " bytes",
                    "The file is too large for pages.");
            return List.of();
        }
        JsonNode tree;
        try {
            tree = YAML.readTree(file);
        } catch (JacksonException e) {
            check.refuse("file", "", "YAML", "The file is no YAML: " + e.getOriginalMessage());
            return List.of();
        }
        if (tree == null
                || !tree.isObject()
                || !tree.path("format").isInt()
                || !tree.path("rules").isArray()) {
            check.refuse(
                    "file",
                    "",
                    "format and rules",
                    "The file holds no pages of a house: it has a format and a list of rules.");
            return List.of();
        }
        if (tree.get("format").asInt() != FORMAT) {
            check.refuse(
                    "format",
                    tree.get("format").asInt(),
                    String.valueOf(FORMAT),
                    "The file is of format " + tree.get("format").asInt() + "; this program reads " + FORMAT + ".");
            return List.of();
        }
        tree.propertyNames().forEach(n -> {
            if (!n.equals("format") && !n.equals("rules")) {
                check.refuse(n, "", "format and rules", "The file has a part that is not known: " + n + ".");
            }
        });
        if (tree.get("rules").size() > MOST_RULES) {
            check.refuse(
                    "rules",
                    tree.get("rules").size(),
                    "at most " + MOST_RULES,
                    "The file has more rules than a house can have: "
                            + tree.get("rules").size() + ".");
            return List.of();
        }
        List<PageRuleDraft> out = new ArrayList<>();
        for (int i = 0; i < tree.get("rules").size(); i++) {
            out.add(new Row(tree.get("rules").get(i), "rules." + i, check).draft());
        }
        return out;
    }

    /** One rule of a file. */
    private static final class Row {
        private final JsonNode row;
        private final String at;
        private final Check check;
        private final List<String> known = new ArrayList<>();

        Row(JsonNode row, String at, Check check) {
            this.row = row;
            this.at = at;
            this.check = check;
        }

        PageRuleDraft draft() {
            if (!row.isObject()) {
                check.refuse(at, "", "a rule", "Rule " + at + " has no fields.");
            }
            PageRuleDraft draft = new PageRuleDraft(
                    one("method", MethodId.class),
                    one("kind", PageChange.Kind.class),
                    words("step"),
                    words("stepTitle"),
                    words("after"),
                    words("afterTitle"),
                    words("title"),
                    words("how"),
                    one("zone", Zone.Kind.class),
                    number("minutes"),
                    number("waitMin"),
                    words("caution"),
                    words("question"),
                    words("yes"),
                    words("no"),
                    words("then"),
                    number("thenMin"),
                    one("quantity", Quantity.class),
                    acts(),
                    reason());
            row.propertyNames().forEach(n -> {
                if (!known.contains(n)) {
                    check.refuse(at + "." + n, "", String.join(", ", known), "A rule has no part called " + n + ".");
                }
            });
            return draft;
        }

        /** Why, and who said so in the shop that the file comes from. */
        private String reason() {
            String why = words("reason");
            String signed = words(SIGNED);
            String both = signed == null || why == null ? why : why + " (from elsewhere: " + signed + ")";
            return both != null && both.length() > PageRuleDraft.REASON ? why : both;
        }

        private Optional<JsonNode> field(String name) {
            known.add(name);
            return Optional.ofNullable(row.get(name)).filter(n -> !n.isNull());
        }

        private String words(String name) {
            return field(name)
                    .map(n -> {
                        if (!n.isString()) {
                            refuse(name, n, "words");
                        }
                        return n.asString("");
                    })
                    .orElse(null);
        }

        private Double number(String name) {
            return field(name)
                    .map(n -> {
                        if (!n.isNumber()) {
                            refuse(name, n, "a number");
                            return 0.0;
                        }
                        return n.asDouble();
                    })
                    .orElse(null);
        }

        private List<Act> acts() {
            List<Act> out = new ArrayList<>();
            field("acts").ifPresent(n -> {
                if (!n.isArray()) {
                    refuse("acts", n, "a list");
                }
                n.forEach(a -> named(a, "acts", Act.class, out::add));
            });
            return out;
        }

        private <E extends Enum<E>> E one(String name, Class<E> type) {
            List<E> out = new ArrayList<>();
            field(name).ifPresent(n -> named(n, name, type, out::add));
            return out.isEmpty() ? null : out.getFirst();
        }

        private <E extends Enum<E>> void named(JsonNode n, String name, Class<E> type, Consumer<E> found) {
            List<E> all = Arrays.asList(type.getEnumConstants());
            all.stream()
                    .filter(e -> n.isString() && e.name().equals(n.asString()))
                    .findFirst()
                    .ifPresentOrElse(
                            found,
                            () -> refuse(name, n, all.stream().map(Enum::name).collect(Collectors.joining(", "))));
        }

        private void refuse(String name, JsonNode given, String expected) {
            check.refuse(at + "." + name, given.toString(), expected, "Not known at " + name + ": " + given + ".");
        }
    }
}
