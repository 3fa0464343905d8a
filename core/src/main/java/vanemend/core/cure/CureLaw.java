package vanemend.core.cure;

import java.util.List;
import java.util.OptionalDouble;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.ShelfItem.LabelTime;
import vanemend.core.trade.TradeBook;

/**
 * How one item cures.
 *
 * @param refC temperature that {@code sandMin} is for, °C
 * @param sandMin time to sand at {@code refC} and the label's dose, min
 * @param eaJPerMol activation energy, J/mol
 * @param fitted true where the label's own times gave it, false where it is the default of the chemistry
 * @param minC below this it does not cure, °C
 * @param capC surface cap, °C
 * @param leastC coldest that the label's times are carried to, °C; below it they say nothing
 * @param mostC warmest that they are carried to, °C: hotter counts as this; 0 in plans of earlier releases, which knew no such end
 */
public record CureLaw(
        double refC,
        double sandMin,
        double eaJPerMol,
        boolean fitted,
        double minC,
        double capC,
        double leastC,
        double mostC) {

    /** The law of {@code item}; empty label times are refused, since a clock is never invented. */
    public static CureLaw of(ShelfItem item) {
        if (item.sand().isEmpty()) {
            throw new IllegalArgumentException(item.name() + " has no time to sand on its label");
        }
        List<LabelTime> times = item.sand();
        double cap = item.materialClass().figure("capC").orElse(TradeBook.value("cure.polyester.cap"));
        if (times.stream().mapToDouble(LabelTime::atC).distinct().count() >= 2) {
            Arrhenius.Fit fit = Arrhenius.fit(times);
            double ref = TradeBook.value("cure.reference");
            return new CureLaw(
                    ref, fit.minutesAt(ref), fit.eaJPerMol(), true, item.minC(), cap, coldest(times), warmest(times));
        }
        LabelTime t = times.getFirst();
        return new CureLaw(
                t.atC(),
                t.minutes(),
                TradeBook.value("cure.activation-energy"),
                false,
                item.minC(),
                cap,
                coldest(times),
                warmest(times));
    }

    private static double coldest(List<LabelTime> times) {
        return times.stream().mapToDouble(LabelTime::atC).min().orElseThrow() - TradeBook.value("cure.carried");
    }

    private static double warmest(List<LabelTime> times) {
        return times.stream().mapToDouble(LabelTime::atC).max().orElseThrow() + TradeBook.value("cure.carried");
    }

    /** Whether the label's times say anything of a surface at {@code atC}. */
    public boolean speaksOf(double atC) {
        return mostC == 0 || atC >= leastC;
    }

    /**
     * Minutes of cure at {@code refC} that one minute at a surface of {@code atC} is worth; 0 below the minimum and where the label says
     * nothing, no more than at the cap or at the warmest its times are carried to.
     */
    public double worth(double atC) {
        double counts = Math.min(atC, mostC == 0 ? capC : Math.min(capC, mostC));
        return atC < minC || !speaksOf(atC) ? 0 : Arrhenius.rate(eaJPerMol, counts, refC);
    }

    /** Minutes to sand at a steady {@code atC} and a peroxide factor; empty where it does not cure. */
    public OptionalDouble sandMinAt(double atC, double peroxideFactor) {
        double w = worth(atC);
        return w == 0 ? OptionalDouble.empty() : OptionalDouble.of(sandMin * peroxideFactor / w);
    }

    /** Work time at {@code atC} from the label's work time at the reference; also below the minimum, where gelling only slows. */
    public double workMinAt(double labelMin, double atC, double peroxideFactor) {
        return labelMin * peroxideFactor * Arrhenius.time(eaJPerMol, atC, TradeBook.value("cure.reference"));
    }
}
