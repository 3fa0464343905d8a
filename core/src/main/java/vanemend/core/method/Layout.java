package vanemend.core.method;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.locationtech.jts.geom.Envelope;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Piece;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.part.Part;
import vanemend.core.sanding.FilmBudget;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.PaperSwap;
import vanemend.core.section.Section;
import vanemend.core.trade.TradeBook;

/** What the layouts of all methods share: the job, what is taken from the shelf, the waits, and where the cut runs. */
public abstract class Layout {
    private static final double MARGIN_MM = 10;

    protected final Job job;
    protected final List<String> blockers;
    protected final Waits waits;
    protected final Amounts amounts;
    protected final List<Piece> pieces = new ArrayList<>();
    private final List<PaperSwap.Fault> paperFaults = new ArrayList<>();

    protected Layout(Job job, List<String> blockers) {
        this.job = job;
        this.blockers = blockers;
        this.waits = new Waits(job, blockers);
        this.amounts = new Amounts(job, blockers, waits);
    }

    /** Zones, cut, papers and, where nothing stands in the way yet, amounts and waits; {@code blockers} then holds what does. */
    public abstract Laid laid();

    /** What of a film the papers take, for the verdict; empty where no film is mended. Asked before {@link #laid}. */
    public Optional<FilmBudget> film() {
        return Optional.empty();
    }

    protected static double value(String id) {
        return TradeBook.value(id);
    }

    protected double airC() {
        return job.shop().air().tempC();
    }

    protected Optional<ShelfItem> item(Role role) {
        return job.stack().item(role);
    }

    protected ShelfItem need(Role role) {
        return item(role).orElseThrow(() -> new IllegalStateException("no " + role + " in the stack"));
    }

    protected Part part() {
        return job.part();
    }

    /** {@code laid} with the papers that were chosen by hand; what they break is kept for the plan. */
    protected Ladder byHand(Ladder laid) {
        Ladder now = laid;
        for (Wishes.Paper wish : job.wishes().papers()) {
            Optional<ShelfItem> paper = job.stack().papers().stream()
                    .filter(i -> i.id().equals(wish.item()))
                    .findFirst();
            if (paper.isPresent()) {
                now = PaperSwap.on(now, wish.step(), paper.get());
            } else {
                paperFaults.add(new PaperSwap.Fault(
                        "paper-gone",
                        wish.step(),
                        "The paper that was chosen is no longer on the shelf.",
                        "another paper",
                        "The planned one is used."));
            }
        }
        if (laid.whole()) {
            paperFaults.addAll(PaperSwap.faults(laid, now));
        }
        return now;
    }

    /** The waits laid out so far. */
    public Waits waits() {
        return waits;
    }

    /** What is taken from the shelf, as far as it is laid out. */
    public Amounts amounts() {
        return amounts;
    }

    /** What papers chosen by hand break. */
    public List<PaperSwap.Fault> paperFaults() {
        return List.copyOf(paperFaults);
    }

    /** What is held ready for a page over the zones {@code f} and the papers {@code ladder}. */
    protected Kit kit(Footprint f, Ladder ladder) {
        return new Kit(job, f, ladder, amounts.mixes(), amounts.portions(), waits.all());
    }

    /** Height of the cut: as typed, else through the middle of the first damage. */
    protected double cutY() {
        return job.wishes()
                .cutYMm()
                .orElseGet(() ->
                        job.damages().getFirst().outline().getEnvelopeInternal().centre().y);
    }

    /** Left and right end of the cut: the zone and a margin, no further than the part goes at that height. */
    protected double[] ends(Footprint f, Zone.Kind zone) {
        Envelope e = f.zone(zone).shape().getEnvelopeInternal();
        Envelope across = new Envelope(0, part().widthMm(), cutY(), cutY());
        Envelope on = part().shape()
                .intersection(part().shape().getFactory().toGeometry(across))
                .getEnvelopeInternal();
        double from = Math.max(on.getMinX(), e.getMinX() - MARGIN_MM);
        double to = Math.min(on.getMaxX(), e.getMaxX() + MARGIN_MM);
        // A cut that misses the zone, or the part, still shows where it lies.
        return from < to ? new double[] {from, to} : new double[] {0, part().widthMm()};
    }

    /** Whether nothing stands in the way of a plan so far. */
    boolean open() {
        return blockers.isEmpty();
    }

    /** A ladder that lacks a paper stands in the way. */
    protected void ladderHolds(Ladder ladder) {
        if (!ladder.whole()) {
            blockers.add(ladder.missing());
        }
    }

    /** What was laid out, {@code page} being written from it only where nothing stands in the way. */
    protected Laid laid(
            String mark, Footprint f, Supplier<Section> section, Ladder ladder, Supplier<MethodSteps> page) {
        return new Laid(mark, f, section, ladder, List.copyOf(pieces), page);
    }
}
