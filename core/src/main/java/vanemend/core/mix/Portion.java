package vanemend.core.mix;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vanemend.core.trade.Check;
import vanemend.core.trade.Text;

/**
 * What is taken from the shelf for one job of the plan, in the form it comes in.
 *
 * @param id name that steps refer to
 * @param title what it is for, as said
 * @param form how it is dispensed
 * @param material name on the shelf
 * @param itemId shelf item
 * @param lot as printed
 * @param needed amount, in {@code unit}, rounded up to what can be dispensed
 * @param unit unit it is counted in on the shelf
 * @param figures what to know to dispense it, the one that matters first
 * @param batches goes, each with its own clock; 1 where there is no hurry
 * @param workMin work time today, min; 0 where none bears
 * @param onPartByMin all of one go on the part by, min from its start; 0 where no work time bears
 * @param spreadMin hands-on for one go, min; 0 where the method says
 * @param notes in words
 * @param again what one more round takes, mL; empty where a second one takes as much as the first
 */
public record Portion(
        String id,
        String title,
        Form form,
        String material,
        String itemId,
        String lot,
        double needed,
        String unit,
        List<Figure> figures,
        int batches,
        double workMin,
        double onPartByMin,
        double spreadMin,
        List<String> notes,
        Optional<Again> again) {
    /** Portions of an earlier release carry their work time alone. */
    public Portion {
        again = again == null ? Optional.empty() : again;
        if (onPartByMin == 0 && workMin > 0) {
            onPartByMin = new Pace(workMin, 1, 0).onPartByMin();
        }
    }

    /** A copy under another name. */
    public Portion named(String other) {
        return new Portion(
                other,
                title,
                form,
                material,
                itemId,
                lot,
                needed,
                unit,
                figures,
                batches,
                workMin,
                onPartByMin,
                spreadMin,
                notes,
                again);
    }

    /** A copy whose second round takes {@code mL}; what comes out of a cartridge then needs a fresh mixer, purged first. */
    public Portion again(Again ml) {
        double waste = form == Form.CARTRIDGE ? Portions.perMixerMl() : 0;
        Again with = ml.with(waste);
        return new Portion(
                id,
                title,
                form,
                material,
                itemId,
                lot,
                needed,
                unit,
                figures,
                batches,
                workMin,
                onPartByMin,
                spreadMin,
                notes,
                Optional.of(with));
    }

    /** A copy that also says {@code more}. */
    public Portion noting(String more) {
        List<String> all = new ArrayList<>(notes);
        all.add(more);
        return new Portion(
                id,
                title,
                form,
                material,
                itemId,
                lot,
                needed,
                unit,
                figures,
                batches,
                workMin,
                onPartByMin,
                spreadMin,
                List.copyOf(all),
                again);
    }

    /** How a material is dispensed. */
    public enum Form {
        CARTRIDGE,
        HAND_MIXED,
        LAMINATE,
        BEAD,
        DROPS,
        GEL,
        BRUSHED,
        SPRAYED,
        WIPED,
        CUT,
        PIECES
    }

    /**
     * One figure of a portion.
     *
     * @param word as said
     * @param value in {@code unit}
     * @param unit such as mL
     * @param note where it comes from; empty for none
     */
    public record Figure(String word, double value, String unit, String note) {
        /** In words; what counts what it is called is not called twice: 3 mixers, not mixers 3 mixers. */
        public String said() {
            String amount = amount(value, unit);
            return one(word).equalsIgnoreCase(one(unit)) ? amount : word + " " + amount;
        }
    }

    /** {@code value} with its unit, one of many said as one: 1 piece. */
    public static String amount(double value, String unit) {
        return Check.shown(value) + " " + (value == 1 ? one(unit) : unit);
    }

    private static String one(String unit) {
        return unit.endsWith("s") ? unit.substring(0, unit.length() - 1) : unit;
    }

    /** What one of its goes takes, as said: an equal share, rounded up to a half. */
    public String eachGo() {
        return Text.of(Math.ceil(needed / batches * 2) / 2, unit);
    }
}
