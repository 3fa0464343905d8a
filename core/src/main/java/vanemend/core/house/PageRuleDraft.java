package vanemend.core.house;

import java.text.Normalizer;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Act;
import vanemend.core.method.HousePages;
import vanemend.core.method.PageChange;
import vanemend.core.method.PageRule;
import vanemend.core.trade.Check;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

/**
 * A rule of the house's own page as typed, or as it stands in a file; any field may be absent. Which fields a rule has goes by its kind.
 *
 * @param step the step's id; made from the title where a step is put in and none is given
 * @param stepTitle the step as it is called now
 * @param after the step that it is put behind; empty for the first place
 * @param minutes hands-on, min
 * @param waitMin rest, min
 * @param then what is done where the gate is answered no
 * @param thenMin hands-on of that, min
 */
public record PageRuleDraft(
        MethodId method,
        PageChange.Kind kind,
        String step,
        String stepTitle,
        String after,
        String afterTitle,
        String title,
        String how,
        Zone.Kind zone,
        Double minutes,
        Double waitMin,
        String caution,
        String question,
        String yes,
        String no,
        String then,
        Double thenMin,
        Quantity quantity,
        List<Act> acts,
        String reason) {
    static final int TITLE = 80;
    static final int HOW = 400;
    static final int CAUTION = 200;
    static final int ANSWER = 24;
    static final int THEN = 120;
    static final int REASON = 300;
    static final double MOST_MIN = 24 * 60;
    static final double LONGEST_REST_MIN = 7 * 24 * 60;
    static final Pattern STEP = Pattern.compile("[a-z0-9-]{1,60}");
    private static final int SLUG = 40;

    public PageRuleDraft {
        acts = acts == null ? List.of() : List.copyOf(acts);
    }

    /**
     * The rule, signed by {@code by} at {@code at}; a stand-in where {@code check} then holds problems.
     *
     * @param field what the names of its fields begin with
     * @param now what is in force: a step that is put in takes no name that is taken
     */
    public PageRule signed(String field, HousePages now, String by, Instant at, Check check) {
        MethodId whose = check.choice(field + "method", "The method", method, MethodId.METAL_DENT);
        PageChange.Kind what = check.choice(field + "kind", "What is changed", kind, PageChange.Kind.PICTURE);
        Typed typed = new Typed(field, check);
        PageChange change = switch (what) {
            case ADD -> add(typed, whose, now);
            case LEAVE_OUT -> new PageChange.LeaveOut(typed.step(step));
            case MOVE -> new PageChange.Move(typed.step(step), typed.stepOr("after", after));
            case WORDS -> words(typed);
            case MINUTES ->
                new PageChange.Minutes(
                        typed.step(step), check.range(field + "minutes", "Hands-on time", minutes, 0, MOST_MIN, "min"));
            case READING -> new PageChange.Reading(typed.step(step), readable(typed));
            case PICTURE -> new PageChange.Picture(typed.step(step));
        };
        return new PageRule(
                0,
                whose,
                change,
                what == PageChange.Kind.ADD ? "" : typed.words("stepTitle", "The step", stepTitle, TITLE),
                after == null || after.isEmpty() ? "" : typed.words("afterTitle", "The step before", afterTitle, TITLE),
                typed.words("reason", "The reason", reason, REASON),
                by,
                at);
    }

    private PageChange add(Typed typed, MethodId whose, HousePages now) {
        String name = typed.words("title", "What is done", title, TITLE);
        boolean asks = question != null && !question.isBlank();
        return new PageChange.Add(
                own(typed, name, whose, now),
                typed.stepOr("after", after),
                name,
                typed.wordsOr("how", "How", how, HOW),
                Optional.ofNullable(zone),
                typed.check.range(typed.field + "minutes", "Hands-on time", minutes, 0, MOST_MIN, "min"),
                waitMin == null
                        ? 0
                        : typed.check.range(typed.field + "waitMin", "The rest", waitMin, 0, LONGEST_REST_MIN, "min"),
                typed.wordsOr("caution", "The caution", caution, CAUTION),
                asks
                        ? Optional.of(new PageChange.HouseGate(
                                typed.words("question", "The question", question, TITLE),
                                typed.words("yes", "The good answer", yes, ANSWER),
                                typed.words("no", "The other answer", no, ANSWER),
                                typed.words("then", "What is done then", then, THEN),
                                typed.check.range(
                                        typed.field + "thenMin", "Hands-on time of that", thenMin, 0, MOST_MIN, "min")))
                        : Optional.empty(),
                handwork(typed));
    }

    private List<Act> handwork(Typed typed) {
        Set<Act> other = EnumSet.noneOf(Act.class);
        other.addAll(acts);
        other.removeAll(HousePages.HANDWORK);
        if (!other.isEmpty()) {
            typed.check.refuse(
                    typed.field + "acts",
                    other,
                    HousePages.HANDWORK.toString(),
                    "A step of the house's own is handwork: what rests on a mix, a portion or a cure stays with the page.");
        }
        return acts.stream().distinct().toList();
    }

    private PageChange words(Typed typed) {
        String other = typed.wordsOr("title", "What is done", title, TITLE);
        String otherHow = typed.wordsOr("how", "How", how, HOW);
        if (other.isEmpty() && otherHow.isEmpty()) {
            typed.check.refuse(
                    typed.field + "title", "", "other words", "Nothing is said otherwise: type other words.");
        }
        return new PageChange.Words(typed.step(step), other, otherHow);
    }

    private Quantity readable(Typed typed) {
        Quantity q = typed.check.choice(typed.field + "quantity", "What is read", quantity, Quantity.SURFACE_C);
        if (!HousePages.READABLE.contains(q)) {
            typed.check.refuse(
                    typed.field + "quantity",
                    q,
                    HousePages.READABLE.toString(),
                    q.word() + " belongs to the weighing of a mix: it is asked for there anyway.");
        }
        return q;
    }

    /** The id of the house's own step: the one given, else made from its title. */
    private String own(Typed typed, String name, MethodId whose, HousePages now) {
        Set<String> taken = now.of(whose).stream()
                .map(PageRule::change)
                .filter(c -> c.kind() == PageChange.Kind.ADD)
                .map(PageChange::step)
                .collect(Collectors.toSet());
        if (step == null || step.isEmpty()) {
            String id = HousePages.OWN + slug(name);
            String free = id;
            for (int n = 2; taken.contains(free); n++) {
                free = id + "-" + n;
            }
            return free;
        }
        String id = typed.step(step);
        if (!id.startsWith(HousePages.OWN)) {
            typed.check.refuse(
                    typed.field + "step",
                    id,
                    HousePages.OWN + "…",
                    "A step of the house's own has a name that begins with " + HousePages.OWN + ".");
        } else if (taken.contains(id)) {
            typed.check.refuse(
                    typed.field + "step", id, "another name", "A step called " + id + " is in force already.");
        }
        return id;
    }

    /** {@code name} in plain small letters, words joined by dashes. */
    private static String slug(String name) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        String made = plain.isEmpty() ? "step" : plain;
        return made.length() > SLUG ? made.substring(0, SLUG) : made;
    }

    /** Takes texts as typed; the signs that hold a quantity are ours alone. */
    private record Typed(String field, Check check) {
        private String words(String name, String said, String given, int most) {
            String t = check.text(field + name, said, given, most);
            if (Text.holdsSigns(t)) {
                check.refuse(
                        field + name,
                        t,
                        "plain words",
                        said + " holds a sign that stands for a quantity: it cannot be typed.");
            }
            return t;
        }

        private String wordsOr(String name, String said, String given, int most) {
            return given == null || given.isBlank() ? "" : words(name, said, given, most);
        }

        private String step(String given) {
            String t = given == null ? "" : given;
            if (!STEP.matcher(t).matches()) {
                check.refuse(field + "step", t, "a step of the plan", "The rule names no step of a plan.");
            }
            return t;
        }

        private String stepOr(String name, String given) {
            if (given == null || given.isEmpty()) {
                return "";
            }
            if (!STEP.matcher(given).matches()) {
                check.refuse(
                        field + name, given, "a step of the plan", "The place it is put to names no step of a plan.");
            }
            return given;
        }
    }
}
