package vanemend.core.record;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Pour;
import vanemend.core.plan.Plan;
import vanemend.core.run.Rework;
import vanemend.core.run.RunState;
import vanemend.core.run.RunState.RunStep;
import vanemend.core.sanding.Rung;
import vanemend.core.trade.Quantity;

/**
 * What was taken from one item of the shelf.
 *
 * @param itemId shelf item
 * @param name on the shelf
 * @param lot as printed
 * @param amount in {@code unit}
 * @param unit as the shelf counts it
 * @param read true where all of it was weighed or typed; false where some stands as planned
 */
public record Used(String itemId, String name, String lot, double amount, String unit, boolean read) {
    /** What the steps done so far took: what was read there, else what was planned for them. */
    public static List<Used> of(Plan plan, RunState state) {
        Map<String, Used> out = new LinkedHashMap<>();
        for (RunState.MixDone m : state.mixes()) {
            boolean thrownAway = m.scrapped().isPresent() && m.fillerG().isPresent();
            if (!m.carried() && (m.clockAt().isPresent() || thrownAway)) {
                MixPlan mix = plan.mix(m.mix());
                Pour pour = mix.pour();
                double both = m.fillerG().orElse(m.fillerTargetG());
                boolean read = m.fillerG().isPresent();
                double putty = pour.thinner().map(t -> t.of(both)).orElse(0.0);
                add(out, new Used(pour.itemId(), pour.material(), pour.lot(), both - putty, "g", read));
                // The scale showed both together: how they were shared out is the plan's.
                pour.thinner().ifPresent(t -> add(out, new Used(t.itemId(), t.material(), t.lot(), putty, "g", false)));
            }
        }
        List<String> taken = new ArrayList<>();
        for (RunStep s : state.steps()) {
            if (s.doneAt().isPresent() && !s.carried()) {
                portion(plan, state, s, taken, out);
                rung(plan, s, out);
            }
        }
        return List.copyOf(out.values());
    }

    /** {@code all} with what came from one item as one. */
    static List<Used> together(List<Used> all) {
        Map<String, Used> out = new LinkedHashMap<>();
        all.forEach(u -> add(out, u));
        return List.copyOf(out.values());
    }

    /** A portion counts once in the plan and once more in every rework that uses it again. */
    private static void portion(Plan plan, RunState state, RunStep s, List<String> taken, Map<String, Used> out) {
        // Making a cartridge ready and laying it are one taking.
        if (s.step().kind() != Step.Kind.SPREAD && s.step().acts().contains(vanemend.core.method.Act.EQUALISE)
                || s.step().kind() == Step.Kind.WAIT) {
            return;
        }
        // What was thrown away was taken, and is taken once more.
        String loop = s.at().path() + (s.step().kind() == Step.Kind.SPREAD ? s.at().time() + " " : "");
        for (Portion p : plan.portions()) {
            if (!p.id().equals(s.step().portion())) {
                continue;
            }
            double read = state.readings().stream()
                    .filter(r -> r.step().equals(s.id()))
                    .filter(r -> r.quantity() == Quantity.USED_ML || r.quantity() == Quantity.USED_G)
                    .mapToDouble(RunState.Reading::value)
                    .sum();
            boolean typed = read > 0;
            boolean first = !taken.contains(loop + p.id());
            taken.add(loop + p.id());
            if (typed || first) {
                double planned = Rework.amount(s.at(), p.again(), state).orElse(p.needed());
                add(out, new Used(p.itemId(), p.material(), p.lot(), typed ? read : planned, p.unit(), typed));
            }
        }
    }

    private static void rung(Plan plan, RunStep s, Map<String, Used> out) {
        for (Rung r : plan.ladder().rungs()) {
            if (r.id().equals(s.step().id())) {
                add(out, new Used(r.itemId(), r.paper(), "", r.discs(), "pieces", false));
            }
        }
    }

    private static void add(Map<String, Used> out, Used u) {
        out.merge(
                u.itemId(),
                u,
                (a, b) -> new Used(
                        a.itemId(), a.name(), a.lot(), a.amount() + b.amount(), a.unit(), a.read() && b.read()));
    }
}
