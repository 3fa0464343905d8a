package vanemend.core.run;

import java.util.List;
import java.util.Optional;
import vanemend.core.damage.Damage;
import vanemend.core.damage.DamageDraft;
import vanemend.core.plan.RepairDraft;
import vanemend.core.trade.Quantity;

/** What the bench has found out by now, put into the draft that a plan is made anew from. */
public final class Known {
    private Known() {}

    /**
     * {@code draft} with what was read: the depth in the deepest dent, the others in proportion, since the gauge stands at the deepest place;
     * angle and size in an injury; the film beside a run.
     */
    public static RepairDraft into(RepairDraft draft, List<RunState.Reading> readings) {
        List<DamageDraft> damages = draft.damages();
        Optional<Double> depth = last(readings, Quantity.DEPTH_MM).filter(mm -> mm > 0);
        double deepest = damages.stream()
                .filter(d -> dent(d) && d.depthMm() != null)
                .mapToDouble(DamageDraft::depthMm)
                .max()
                .orElse(0);
        Optional<Double> angle = last(readings, Quantity.ANGLE_DEG);
        Optional<Double> across = last(readings, Quantity.INJURY_MM);
        Optional<Double> film = last(readings, Quantity.FILM_UM);
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
                    return d.kind() == Damage.Kind.RUN ? film.map(d::beside).orElse(d) : d;
                })
                .toList());
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
