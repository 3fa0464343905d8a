package vanemend.core.run;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vanemend.core.damage.Damage;
import vanemend.core.damage.DamageDraft;
import vanemend.core.method.Watch;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.RepairDraft;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.TradeBook;

/** What the bench has found out by now, put into the draft that a plan is made anew from. */
public final class Known {
    private Known() {}

    /**
     * {@code draft} with what was read: the depth of each dent where each was read by itself, else that of the deepest, the others in
     * proportion, since the gauge stands at the deepest place; angle and size in an injury; the film beside a run;
     * how wide the widest rust hole is open.
     *
     * @param plan that was worked by
     */
    public static RepairDraft into(RepairDraft draft, Plan plan, List<RunState.Reading> readings) {
        List<DamageDraft> damages = eachDepth(draft.damages(), plan, readings);
        if (!damages.equals(draft.damages())) {
            return draft.damaged(damages);
        }
        Optional<Double> depth = last(readings, Quantity.DEPTH_MM).filter(mm -> mm > 0);
        double deepest = damages.stream()
                .filter(d -> dent(d) && d.depthMm() != null)
                .mapToDouble(DamageDraft::depthMm)
                .max()
                .orElse(0);
        Optional<Double> angle = last(readings, Quantity.ANGLE_DEG);
        Optional<Double> across = last(readings, Quantity.INJURY_MM);
        Optional<Double> film = last(readings, Quantity.FILM_UM);
        Optional<Double> opening = last(readings, Quantity.OPENING_MM);
        Optional<DamageDraft> widest = damages.stream()
                .filter(d -> d.kind() == Damage.Kind.RUST_HOLE && d.lengthMm() != null && d.widthMm() != null)
                .max(Comparator.comparingDouble(d -> Math.max(d.lengthMm(), d.widthMm())));
        return draft.damaged(damages.stream()
                .map(d -> {
                    if (dent(d)) {
                        return depth.isPresent() && deepest > 0 && d.depthMm() != null
                                ? d.deep(tenth(d.depthMm() * depth.get() / deepest))
                                : d;
                    }
                    if (d.kind() == Damage.Kind.INJURY) {
                        DamageDraft slanted = angle.map(d::slanted).orElse(d);
                        return across.map(mm -> slanted.sized(mm, slanted.widthMm() == null ? null : mm))
                                .orElse(slanted);
                    }
                    if (widest.filter(w -> w == d).isPresent()) {
                        return opening.map(mm -> opened(d, mm)).orElse(d);
                    }
                    return d.kind() == Damage.Kind.RUN ? film.map(d::beside).orElse(d) : d;
                })
                .toList());
    }

    /** What is open is the hole, with the margin that is cut into sound metal: it grew by as much both ways. */
    private static DamageDraft opened(DamageDraft d, double acrossMm) {
        double hole = Math.max(1, acrossMm - 2 * TradeBook.value("rust.cut-margin"));
        double grew = hole - Math.max(d.lengthMm(), d.widthMm());
        return d.cutBack(tenth(Math.max(1, d.lengthMm() + grew)), tenth(Math.max(1, d.widthMm() + grew)));
    }

    /** The depths that were read dent by dent, each in its own. */
    private static List<DamageDraft> eachDepth(List<DamageDraft> damages, Plan plan, List<RunState.Reading> readings) {
        List<DamageDraft> out = new ArrayList<>(damages);
        for (PlannedStep p : plan.steps()) {
            p.step().watches().stream()
                    .filter(w -> w.quantity() == Quantity.DEPTH_MM)
                    .flatMap(w -> w.of().stream())
                    .map(Watch.OfDamage::damage)
                    .filter(i -> i < out.size())
                    .distinct()
                    .forEach(i -> Rework.last(p.step().id(), Quantity.DEPTH_MM, readings)
                            .filter(mm -> mm > 0)
                            .ifPresent(mm -> out.set(i, out.get(i).deep(tenth(mm)))));
        }
        return List.copyOf(out);
    }

    /** Damage without a kind is a dent, as everywhere. */
    private static boolean dent(DamageDraft d) {
        return d.kind() == null || d.kind() == Damage.Kind.DENT;
    }

    private static double tenth(double mm) {
        return Math.max(0.1, Math.round(mm * 10) / 10.0);
    }

    private static Optional<Double> last(List<RunState.Reading> readings, Quantity q) {
        return readings.reversed().stream()
                .filter(r -> r.quantity() == q)
                .findFirst()
                .map(RunState.Reading::value);
    }
}
