package vanemend.core.method;

import java.util.ArrayList;
import java.util.List;

/** What holds of the order of steps, whoever changes it. */
public final class StepOrder {
    private StepOrder() {}

    /**
     * Whether {@code after} keeps together what {@code before} has together: every mix before its spreading and that before its wait,
     * none of them gone alone, and nothing put between what goes live and where it is used, for it goes off meanwhile.
     */
    public static boolean holds(List<Step> before, List<Step> after) {
        for (String mix : before.stream()
                .map(Step::mix)
                .filter(m -> !m.isEmpty())
                .distinct()
                .toList()) {
            if (!of(mix, before).equals(of(mix, after))) {
                return false;
            }
        }
        for (int i = 0; i + 1 < before.size(); i++) {
            int at = before.get(i).goesLive() ? index(after, before.get(i).id()) : -1;
            if (at >= 0
                    && (at + 1 == after.size()
                            || !after.get(at + 1).id().equals(before.get(i + 1).id()))) {
                return false;
            }
        }
        return true;
    }

    private static List<String> of(String mix, List<Step> steps) {
        return steps.stream().filter(s -> s.mix().equals(mix)).map(Step::id).toList();
    }

    /** Place of the step called {@code id}; -1 where there is none. */
    public static int index(List<Step> steps, String id) {
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).id().equals(id)) {
                return i;
            }
        }
        return -1;
    }

    /** {@code steps}, each following the one before it; what is done beside the part right before a wait runs with it. */
    public static List<Step> chained(List<Step> steps) {
        List<Step> out = new ArrayList<>();
        int asides = 0;
        for (int i = 0; i < steps.size(); i++) {
            List<String> after = new ArrayList<>();
            if (i > 0) {
                int in = Asides.in(steps, i);
                after.add(steps.get(i - 1 - in).id());
                if (asides > 0) {
                    after.add(steps.get(i - 2).id());
                }
                asides = in;
            }
            out.add(steps.get(i).as(steps.get(i).id(), List.copyOf(after)));
        }
        return List.copyOf(out);
    }
}
