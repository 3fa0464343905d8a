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
 */
public record CureLaw(double refC, double sandMin, double eaJPerMol, boolean fitted, double minC, double capC) {

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
            return new CureLaw(ref, fit.minutesAt(ref), fit.eaJPerMol(), true, item.minC(), cap);
        }
        LabelTime t = times.getFirst();
        return new CureLaw(t.atC(), t.minutes(), TradeBook.value("cure.activation-energy"), false, item.minC(), cap);
    }

    /** Minutes of cure at {@code refC} that one minute at a surface of {@code atC} is worth; 0 below the minimum, no more than at the cap. */
    public double worth(double atC) {
        return atC < minC ? 0 : Arrhenius.rate(eaJPerMol, Math.min(atC, capC), refC);
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
