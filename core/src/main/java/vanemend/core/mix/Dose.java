package vanemend.core.mix;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vanemend.core.trade.Schools;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** From volume to grams, cream and batches. */
public final class Dose {
    private static final int MOST_BATCHES = 12;

    private Dose() {}

    /** Cream, g to 0.1 and never below 0.1, for {@code fillerG} at {@code percent}: cream = filler × percent / 100. */
    public static double creamG(double fillerG, double percent) {
        double step = TradeBook.value("mix.scale-step");
        return Math.max(step, Math.round(fillerG * percent / 100 / step) / (double) Math.round(1 / step));
    }

    /** Dose, % of filler, that was really weighed. */
    public static double percent(double fillerG, double creamG) {
        if (!(fillerG > 0)) {
            throw new IllegalArgumentException("filler of " + fillerG + " g: expected more than 0 g");
        }
        return creamG / fillerG * 100;
    }

    /** Dose the house asks for, %. A ribbon of half the puddle depends on the puddle. */
    public static double housePercent(Schools house, double puddleMm) {
        return switch (house.of("peroxide-dose")) {
            case "two-to-three" -> (TradeBook.value("peroxide.nominal") + TradeBook.value("peroxide.high")) / 2;
            case "ribbon-half" -> BeadRule.percent(puddleMm, puddleMm / 2);
            default -> TradeBook.value("peroxide.nominal");
        };
    }

    /**
     * Dose where it follows the air, % to a tenth: as much as keeps the label's work time, within what the school allows either way.
     *
     * @param percent of the label
     * @param times how many times as long as on its label it stays workable today at that dose
     */
    public static double byAir(double percent, double times) {
        double asked = Math.clamp(percent * times, TradeBook.value("peroxide.low"), TradeBook.value("peroxide.cold"));
        return Math.round(asked * 10) / 10.0;
    }

    /** Lifts to build {@code depthMm} when one lift holds {@code maxLiftMm}. */
    public static int lifts(double depthMm, double maxLiftMm) {
        return Math.max(1, (int) Math.ceil(depthMm / maxLiftMm - 1e-9));
    }

    /**
     * What one mix looks like today.
     *
     * @param tin filler or putty
     * @param volume all of it
     * @param depthMm thickest build, mm
     * @param widthMm width of the area to spread, mm
     * @param workMin work time today at {@code percent}, min
     * @param percent dose, % of filler
     * @param ratePerMin spreading rate, mL/min
     * @param again what one more round takes, mL
     * @param leastBatches 1, or more where a smaller puddle is wanted for its dose
     * @param handsMin least that hands take to lay all of it, however little it is, min; 0 where its volume tells
     * @param spreaderMm width of the spreader, mm
     */
    public static Pour pour(
            Tin tin,
            FillVolume volume,
            double depthMm,
            double widthMm,
            double workMin,
            double percent,
            double ratePerMin,
            Again again,
            int leastBatches,
            double handsMin,
            double spreaderMm) {
        double mixMin = TradeBook.value("mix.minutes");
        double onPartBy = workMin * TradeBook.value("mix.work-share");
        double window = Math.max(0, onPartBy - mixMin);
        double most = ratePerMin * window;
        List<String> notes = new ArrayList<>();
        if (!tin.note().isEmpty()) {
            notes.add(tin.note());
        }
        double layMin = Math.max(volume.totalMl() / ratePerMin, handsMin);
        int needed = most > 0 ? Math.max(1, (int) Math.ceil(layMin / window - 1e-9)) : MOST_BATCHES;
        int batches = Math.max(needed, leastBatches);
        if (batches >= MOST_BATCHES) {
            batches = MOST_BATCHES;
            notes.add(
                    "Even small batches cannot be spread in time: take a slower grade, cool the shop, or mend part of it first.");
        } else if (batches > needed) {
            notes.add(batches
                    + " equal batches, each with its own clock: a ribbon across a larger puddle gives too little.");
        } else if (batches > 1) {
            notes.add("One mix cannot be spread in " + Text.of(Math.floor(window * 10) / 10, "min") + ": " + batches
                    + " equal batches, each with its own clock.");
        }
        double perBatch = volume.totalMl() / batches;
        double gramsPerMl = tin.density() / (1 + percent / 100);
        double least = TradeBook.value("mix.min-filler");
        double filler = Math.max(least, Math.ceil(perBatch * gramsPerMl - 1e-9));
        if (perBatch * gramsPerMl < least) {
            notes.add("The hollow needs only " + Text.of(Math.round(Math.ceil(perBatch * tin.density())), "g")
                    + "; a scale of " + Text.book("mix.scale-step") + " doses no less than "
                    + Text.of(Math.round(least), "g") + " well: "
                    + Text.of(Math.floor(least - perBatch * tin.density()), "g")
                    + " of it is left over, unless another spot takes it in the same minutes.");
        }
        double puddle = BeadRule.puddleMm(filler / tin.density());
        double stepPercent = TradeBook.value("mix.scale-step") / filler * 100;
        return new Pour(
                tin.item().name(),
                tin.item().id(),
                tin.item().lot(),
                volume,
                filler,
                creamG(filler, percent),
                percent,
                batches,
                lifts(depthMm, tin.maxLiftMm()),
                workMin,
                onPartBy,
                mixMin,
                layMin / batches,
                Strokes.count(widthMm, spreaderMm, 1.0 / 3),
                puddle,
                BeadRule.beadMm(puddle, percent),
                BeadRule.percent(puddle, puddle / 2),
                stepPercent,
                List.copyOf(notes),
                Optional.of(again.in(gramsPerMl, least, Math.floor(most * gramsPerMl))),
                DoseWindow.ofTheBook(),
                tin.thinner(),
                spreaderMm);
    }
}
