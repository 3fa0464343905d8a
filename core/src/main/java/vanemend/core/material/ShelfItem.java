package vanemend.core.material;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vanemend.core.trade.TradeBook;

/**
 * One thing on the shelf with what its own label says. Where the label figure was not typed it is empty; the class's typical
 * figure then stands in for amounts, never for a clock.
 *
 * @param classId class of material
 * @param lot as printed
 * @param expires last day but one: from this date on it is not used
 * @param quantity what is left, in {@code unit}
 * @param unit g, mL, pieces, or cm² off a roll
 * @param workMin label work time, min at {@code labelC}
 * @param sand label times to sand, min at °C; one or more
 * @param dosePercent cream by weight of filler
 * @param densityGPerMl mixed
 * @param grading P or CAMI, papers only
 * @param grade number printed on a paper
 * @param wet how a paper or surfacer is meant to be sanded
 * @param opened day the pack was opened
 * @param packQuantity what a full pack holds, in {@code unit}
 * @param flashMin label flash time, min
 * @param ratioByVolume parts of resin, or of side A, to one part of hardener, or of side B, by volume as the label prints it
 * @param ratioByWeight the same by weight
 * @param unitSize what a tyre unit fits
 * @param rollMm width of the roll that what is counted in cm² is cut from, mm
 */
public record ShelfItem(
        String id,
        String classId,
        String name,
        String lot,
        Optional<LocalDate> expires,
        double quantity,
        String unit,
        Optional<Double> workMin,
        List<LabelTime> sand,
        Optional<Double> dosePercent,
        Optional<Double> densityGPerMl,
        Optional<String> grading,
        Optional<Integer> grade,
        Sanding wet,
        Optional<LocalDate> opened,
        Optional<Double> packQuantity,
        Optional<Double> flashMin,
        Optional<Double> ratioByVolume,
        Optional<Double> ratioByWeight,
        Optional<UnitSize> unitSize,
        Optional<Double> rollMm) {

    /** Unit of what is cut from a roll. */
    public static final String OFF_A_ROLL = "cm²";

    /**
     * A time printed on a label.
     *
     * @param atC °C
     * @param minutes min
     */
    public record LabelTime(double atC, double minutes) {}

    /** How it is meant to be sanded. */
    public enum Sanding {
        DRY,
        WET_ONLY
    }

    public ShelfItem {
        opened = opened == null ? Optional.empty() : opened;
        packQuantity = packQuantity == null ? Optional.empty() : packQuantity;
        flashMin = flashMin == null ? Optional.empty() : flashMin;
        ratioByVolume = ratioByVolume == null ? Optional.empty() : ratioByVolume;
        ratioByWeight = ratioByWeight == null ? Optional.empty() : ratioByWeight;
        unitSize = unitSize == null ? Optional.empty() : unitSize;
        rollMm = rollMm == null ? Optional.empty() : rollMm;
    }

    /** Whether little is left of the pack. */
    public boolean low() {
        return packQuantity.isPresent() && quantity < packQuantity.get() * TradeBook.value("stock.low");
    }

    /** Its class. */
    public MaterialClass materialClass() {
        return MaterialClass.of(classId);
    }

    /** Density, g/mL; the class's typical figure where the label gave none. */
    public double density() {
        return densityGPerMl.or(() -> materialClass().figure("densityGPerMl")).orElse(1.0);
    }

    /** {@code amount} in {@code unit} as the shelf counts this: between g and mL by its density, else as it is. */
    public double counted(double amount, String of) {
        if (of.equals("g") && unit.equals("mL")) {
            return amount / density();
        }
        return of.equals("mL") && unit.equals("g") ? amount * density() : amount;
    }

    /** A label figure of the class, such as {@code maxLiftMm}. */
    public double typical(String name) {
        return materialClass()
                .figure(name)
                .orElseThrow(() -> new IllegalArgumentException(classId + " has no typical " + name));
    }

    /** Lowest temperature at which it cures, °C; very low where the class names none. */
    public double minC() {
        return materialClass().figure("minC").orElse(Double.NEGATIVE_INFINITY);
    }
}
