package vanemend.core.sanding;

import java.util.ArrayList;
import java.util.List;
import vanemend.core.material.ShelfItem;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Another paper on one rung of a ladder, chosen by hand: how long it and the next then take, and what that breaks. */
public final class PaperSwap {
    /**
     * What a chosen paper breaks.
     *
     * @param id name of the rule
     * @param rung step that it shows at
     * @param said the rule
     * @param missing what would keep it
     * @param follows what follows
     */
    public record Fault(String id, String rung, String said, String missing, String follows) {}

    private static final double SAME = 1.08;

    private PaperSwap() {}

    /**
     * The ladder with {@code item} on rung {@code id}, which keeps its name. Minutes follow the grain: its own fall with a coarser paper,
     * those of the next grow with the scratch it leaves. The ladder as it is where it has no such rung.
     */
    public static Ladder on(Ladder ladder, String id, ShelfItem item) {
        Paper paper = Paper.coarseToFine(List.of(item)).getFirst();
        List<Rung> out = new ArrayList<>();
        double coarser = 1;
        for (Rung r : ladder.rungs()) {
            boolean begins = r.ratio() == 1;
            double before = out.isEmpty() || begins ? Double.NaN : out.getLast().grainUm();
            if (r.id().equals(id)) {
                coarser = paper.um() / r.grainUm();
                out.add(with(r, r.on(paper), before, 1 / coarser));
            } else {
                out.add(with(r, r, before, begins ? 1 : coarser));
                coarser = 1;
            }
        }
        double share = ladder.rungs().isEmpty()
                ? 0
                : ladder.scratchLeftUm() / ladder.rungs().getLast().grainUm();
        return new Ladder(
                List.copyOf(out),
                ladder.ratioLimit(),
                ladder.school(),
                out.isEmpty() ? 0 : share * out.getLast().grainUm(),
                out.stream().mapToDouble(Rung::minutes).sum(),
                ladder.missing());
    }

    /** What {@code now} breaks that {@code planned} kept: coarse paper outside its zone, jumps that leave scratches, a coarser last paper. */
    public static List<Fault> faults(Ladder planned, Ladder now) {
        List<Fault> out = new ArrayList<>();
        for (int i = 0; i < now.rungs().size(); i++) {
            Rung is = now.rungs().get(i);
            Rung was = planned.rungs().get(i);
            double coarsest = planned.rungs().stream()
                    .filter(r -> r.zone() == is.zone())
                    .mapToDouble(Rung::grainUm)
                    .max()
                    .orElse(is.grainUm());
            boolean ends = i == now.rungs().size() - 1;
            if (is.grainUm() > coarsest * SAME) {
                out.add(new Fault(
                        "coarse-outside-zone",
                        is.id(),
                        "Coarse paper stays inside its zone.",
                        was.paper() + " or finer here",
                        "Its scratches lie where nothing finer takes them out: they show through the paint."));
            } else if (ends && is.grainUm() > was.grainUm() * SAME) {
                out.add(new Fault(
                        "coarse-last",
                        is.id(),
                        "The last paper is as fine as what goes over it asks.",
                        was.paper() + " at the end",
                        "Scratches swell and show through primer and paint."));
            }
            boolean changedHere = i > 0 && is.ratio() != was.ratio();
            if (changedHere && is.ratio() < 1) {
                out.add(new Fault(
                        "coarser-after-finer",
                        is.id(),
                        "Each paper is finer than the one before.",
                        "finer than " + now.rungs().get(i - 1).paper(),
                        "What was smooth is scratched again."));
            } else if (changedHere && is.ratio() > Math.max(now.ratioLimit(), was.ratio()) + 1e-9) {
                out.add(new Fault(
                        "jump",
                        is.id(),
                        "No paper is more than " + Text.of(now.ratioLimit(), "times") + " finer than the one before.",
                        "a paper between " + now.rungs().get(i - 1).paper() + " and " + is.paper(),
                        "It rides on the scratch before it, which stays at the bottom and shows later."));
            }
        }
        return List.copyOf(out);
    }

    /** {@code now} after a paper of {@code beforeUm}, its work {@code work} times that of the planned {@code was}. */
    private static Rung with(Rung was, Rung now, double beforeUm, double work) {
        double change = TradeBook.value("ladder.change");
        double minutes = change + (was.minutes() - change) * work;
        boolean same = now.itemId().equals(was.itemId()) && work == 1;
        return new Rung(
                was.id(),
                was.leg(),
                now.paper(),
                now.grading(),
                now.grade(),
                now.itemId(),
                now.grainUm(),
                Double.isNaN(beforeUm) ? 1 : beforeUm / now.grainUm(),
                was.zone(),
                was.tool(),
                was.motion(),
                was.sign(),
                minutes,
                same
                        ? was.discs()
                        : Math.max(1, (int) Math.ceil((minutes - change) / TradeBook.value("ladder.disc-life") - 1e-9)),
                was.stage(),
                was.note());
    }
}
