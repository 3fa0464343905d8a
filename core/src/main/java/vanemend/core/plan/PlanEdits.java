package vanemend.core.plan;

import java.util.ArrayList;
import java.util.List;
import vanemend.core.method.Step;
import vanemend.core.method.StepOrder;
import vanemend.core.trade.Check;

/** Edits of a plan applied to a method's steps. What was mixed, spread and waited for stays together and in order. */
final class PlanEdits {
    private static final double MOST_MIN = 24 * 60;

    private PlanEdits() {}

    /** The steps after {@code edits}; an edit of a step that is no longer there is left out. */
    static List<Step> apply(List<Step> laid, List<PlanEditDraft> edits) {
        List<Step> steps = new ArrayList<>(laid);
        for (PlanEditDraft e : edits) {
            int at = StepOrder.index(steps, e.step());
            if (at < 0) {
                continue;
            }
            List<Step> tried = new ArrayList<>(steps);
            Step s = tried.remove(at);
            switch (e.kind()) {
                case SKIP -> {}
                // The ladder was laid with it.
                case PAPER -> tried.add(at, s);
                case MOVE ->
                    tried.add(e.after() == null || e.after().isEmpty() ? 0 : StepOrder.index(tried, e.after()) + 1, s);
                case MINUTES -> tried.add(at, s.lasting(e.minutes()));
            }
            if (StepOrder.holds(laid, tried)) {
                steps = tried;
            }
        }
        return StepOrder.chained(steps);
    }

    /** {@code edits} as they are told, with what {@code laid} calls their steps. */
    static List<EditMade> made(List<Step> laid, List<PlanEditDraft> edits) {
        return edits.stream()
                .map(e -> new EditMade(
                        e.kind(),
                        e.step(),
                        laid.stream()
                                .filter(s -> s.id().equals(e.step()))
                                .findFirst()
                                .map(Step::title)
                                .orElse("")))
                .toList();
    }

    /** Refuses edits that make no sense or tear a mix from its spreading and its wait. */
    static void check(List<PlanEditDraft> edits, Check check) {
        for (int i = 0; i < edits.size(); i++) {
            PlanEditDraft e = edits.get(i);
            String field = "edits." + i;
            if (e.kind() == null || e.step() == null || e.step().isEmpty()) {
                check.refuse(field, null, "skip, move or minutes of a step", "An edit of the plan names no step.");
            } else if (e.kind() == PlanEditDraft.Kind.MINUTES) {
                check.range(field + ".minutes", "Hands-on time", e.minutes(), 0, MOST_MIN, "min");
            } else if (e.kind() == PlanEditDraft.Kind.PAPER
                    && (e.paper() == null || e.paper().isEmpty())) {
                check.refuse(field + ".paper", null, "a paper on the shelf", "An edit of the plan names no paper.");
            }
        }
    }
}
