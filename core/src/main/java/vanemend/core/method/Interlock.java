package vanemend.core.method;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import vanemend.core.trade.DataFile;

/**
 * What a plan may never get wrong: before any of {@code then}, all of {@code needs} must have been done, and done again after any of
 * {@code since}. It bears on a plan whose method does what it needs.
 *
 * @param id name
 * @param then acts that it guards
 * @param needs acts that must come before
 * @param since acts that undo what was needed; empty for none
 * @param once acts without which it does not bear yet: nothing cools before it was heated; empty where it bears from the first step
 * @param said in the trade's words
 * @param follows what follows where it is broken
 */
public record Interlock(
        String id, Set<Act> then, Set<Act> needs, Set<Act> since, Set<Act> once, String said, String follows) {
    /**
     * An interlock that a plan breaks.
     *
     * @param interlock its name
     * @param step step that comes too early
     * @param title of that step
     * @param said the rule
     * @param missing what should have been done before it
     * @param follows what follows
     */
    public record Broken(String interlock, String step, String title, String said, String missing, String follows) {}

    private static final List<Interlock> ALL = load();

    /** All interlocks, those that bear on several families first. */
    public static List<Interlock> all() {
        return ALL;
    }

    /**
     * What {@code steps} break.
     *
     * @param laid the method's own steps, before anything was moved or left out
     */
    public static List<Broken> broken(List<Step> laid, List<Step> steps) {
        Set<Act> own = EnumSet.noneOf(Act.class);
        laid.forEach(s -> own.addAll(s.acts()));
        List<Broken> out = new ArrayList<>();
        for (Interlock rule : ALL) {
            Set<Act> needs = EnumSet.copyOf(rule.needs());
            needs.retainAll(own);
            for (int i = 0; i < steps.size() && !needs.isEmpty(); i++) {
                if (rule.guards(steps.get(i)) && rule.bears(steps, i)) {
                    Set<Act> missing = EnumSet.copyOf(needs);
                    missing.removeAll(rule.doneBefore(steps, i));
                    if (!missing.isEmpty()) {
                        out.add(new Broken(
                                rule.id(),
                                steps.get(i).id(),
                                steps.get(i).title(),
                                rule.said(),
                                missing.stream().map(Act::word).collect(Collectors.joining(", ")),
                                rule.follows()));
                    }
                }
            }
        }
        return List.copyOf(out);
    }

    private boolean guards(Step s) {
        return does(s, then);
    }

    private boolean bears(List<Step> steps, int i) {
        return once.isEmpty() || steps.subList(0, i).stream().anyMatch(s -> does(s, once));
    }

    private static boolean does(Step s, Set<Act> some) {
        for (Act a : s.acts()) {
            if (some.contains(a)) {
                return true;
            }
        }
        return false;
    }

    /** Acts done at step {@code i} or before it, back to the last that undoes them. */
    private Set<Act> doneBefore(List<Step> steps, int i) {
        Set<Act> done = EnumSet.noneOf(Act.class);
        for (int k = i; k >= 0; k--) {
            done.addAll(steps.get(k).acts());
            if (k < i && does(steps.get(k), since)) {
                break;
            }
        }
        return done;
    }

    private static List<Interlock> load() {
        List<Interlock> out = new ArrayList<>();
        for (String file : DataFile.withFamilies("method/interlocks.yaml", "interlocks.yaml")) {
            for (JsonNode row : DataFile.read(file).get("interlocks")) {
                out.add(new Interlock(
                        DataFile.text(row, "id"),
                        acts(row, "then"),
                        acts(row, "needs"),
                        acts(row, "since"),
                        acts(row, "once"),
                        DataFile.words(row, "said"),
                        DataFile.words(row, "follows")));
            }
        }
        return List.copyOf(out);
    }

    private static Set<Act> acts(JsonNode row, String field) {
        Set<Act> out = EnumSet.noneOf(Act.class);
        DataFile.texts(row, field).forEach(t -> out.add(Act.valueOf(t)));
        return Collections.unmodifiableSet(out);
    }
}
