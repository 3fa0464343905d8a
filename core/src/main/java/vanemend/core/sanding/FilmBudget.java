package vanemend.core.sanding;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import vanemend.core.damage.PaintRun;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/**
 * Clear coat left beside a run, grade by grade, µm. The putty shield keeps the clear untouched until the run is level; from then on each
 * grade, and the polish after the last, takes off the scratch of the one before it (scratch share of clear times its median grain;
 * recalled, verify).
 *
 * @param underUm what lies beneath the clear, µm: a gauge shows it with the clear
 * @param soundUm clear beside the run before the work, µm
 * @param toLevelUm what stands over its surroundings, µm
 * @param leastUm house minimum to leave, µm
 * @param left one line a grade after the first
 * @param said verdict: safe, tight, or the grade at which it would cut through
 */
public record FilmBudget(
        double underUm, double soundUm, double toLevelUm, double leastUm, List<Left> left, String said) {
    /**
     * Clear left after a grade.
     *
     * @param rung rung of the ladder; empty for the polish
     * @param paper as printed
     * @param um µm
     */
    public record Left(String rung, String paper, double um) {
        /** Step whose gate looks at the film after the grade. */
        public String gate() {
            return gateOf(rung);
        }
    }

    /** Step whose gate looks at the film after {@code rung}. */
    public static String gateOf(String rung) {
        return rung + "-gate";
    }

    private static final double TIGHT_UM = 5;

    /** Whether the putty shield still guards the clear when {@code r} is used. */
    public static boolean guarded(Rung r) {
        return r.grainUm() >= Grains.micrometres("P", (int) TradeBook.value("clear.guarded-to"));
    }

    /** What the grades of {@code ladder} leave of the clear beside {@code run}; {@code toLevelUm} is the highest of all runs. */
    public static FilmBudget of(PaintRun run, double toLevelUm, double leastUm, Ladder ladder) {
        double soundUm = run.soundUm();
        double share = TradeBook.value("clear.scratch-share");
        double um = soundUm;
        List<Left> out = new ArrayList<>();
        Optional<String> through = Optional.empty();
        Optional<String> under = Optional.empty();
        List<Rung> rungs = ladder.rungs();
        for (int i = 1; i <= rungs.size(); i++) {
            boolean polish = i == rungs.size();
            if (!polish && guarded(rungs.get(i))) {
                continue;
            }
            um -= share * rungs.get(i - 1).grainUm();
            String paper = polish ? "polish" : rungs.get(i).paper();
            out.add(new Left(polish ? "" : rungs.get(i).id(), paper, Math.max(0, um)));
            if (um <= 0 && through.isEmpty()) {
                through = Optional.of(paper);
            }
            if (um < leastUm && under.isEmpty()) {
                under = Optional.of(paper);
            }
        }
        double end = Math.max(0, um);
        String left = Text.of(Math.round(end), "µm") + " of " + Text.of(Math.round(soundUm), "µm") + " left, "
                + Text.atLeast(Math.round(leastUm), "µm") + " asked";
        String said = through.isPresent()
                ? "Would cut through at " + through.get() + ": repaint instead."
                : under.isPresent()
                        ? "Too thin from " + under.get() + " on: " + left + "."
                        : end - leastUm < TIGHT_UM ? "Tight: " + left + "." : "Safe: " + left + ".";
        return new FilmBudget(run.underUm(), soundUm, toLevelUm, leastUm, List.copyOf(out), said);
    }

    /** Clear left after {@code rung}, µm; empty where the shield takes it and not the clear. */
    public OptionalDouble after(String rung) {
        return left.stream()
                .filter(l -> l.rung().equals(rung))
                .mapToDouble(Left::um)
                .findFirst();
    }

    /** Clear left at the end, µm. */
    public double endUm() {
        return left.isEmpty() ? soundUm : left.getLast().um();
    }

    /** Clear that the papers and the polish take beside the run, µm: what the verdict judges. */
    public double takenUm() {
        return soundUm - endUm();
    }

    /** What a gauge shows where {@code clearUm} of clear is left, µm. */
    public double shown(double clearUm) {
        return underUm + clearUm;
    }
}
