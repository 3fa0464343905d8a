package vanemend.core.run;

import java.util.List;
import java.util.OptionalDouble;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.trade.Air;
import vanemend.core.trade.Quantity;

/** Figures to read at a step: what passes everything it is held against, and what does not pass. */
public final class Readings {
    private Readings() {}

    /** A reading of {@code q} that every watch of {@code step} takes; the middle of what is believed where there is none. */
    public static double passing(Step step, Quantity q, Air air) {
        List<Watch> all = step.watches().stream().filter(w -> w.quantity() == q).toList();
        OptionalDouble planned = all.stream()
                .filter(w -> w.sense() == Watch.Sense.PLANNED)
                .mapToDouble(Watch::limit)
                .findFirst();
        if (planned.isPresent()) {
            return planned.getAsDouble();
        }
        OptionalDouble least = all.stream()
                .filter(w -> w.sense() != Watch.Sense.AT_MOST)
                .mapToDouble(w -> least(w, air))
                .max();
        OptionalDouble most = all.stream()
                .filter(w -> w.sense() == Watch.Sense.AT_MOST)
                .mapToDouble(Watch::limit)
                .min();
        return least.isPresent() ? least.getAsDouble() : most.orElse((q.min() + q.max()) / 2);
    }

    /** A reading that {@code w} does not take. */
    public static double failing(Watch w, Air air) {
        return switch (w.sense()) {
            case AT_MOST, PLANNED -> Math.min(w.quantity().max(), w.limit() + 1);
            case AT_LEAST, OVER_DEW -> Math.max(w.quantity().min(), least(w, air) - 1);
        };
    }

    private static double least(Watch w, Air air) {
        return w.sense() == Watch.Sense.OVER_DEW
                ? Math.ceil((air.dewPointC() + w.limit()) * 10 - 1e-9) / 10
                : w.limit();
    }
}
