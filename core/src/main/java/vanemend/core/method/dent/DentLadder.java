package vanemend.core.method.dent;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Zone;
import vanemend.core.material.ShelfItem;
import vanemend.core.sanding.Grains;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.Paper;
import vanemend.core.sanding.Rung;
import vanemend.core.sanding.Tool;
import vanemend.core.trade.Check;
import vanemend.core.trade.Schools;
import vanemend.core.trade.TradeBook;

/**
 * The ladder for filler and putty on metal: the cheapest way in minutes from 80 to 180 on the filler, and from 180 to 320 on the
 * putty and the paint around it, over papers on the shelf, no paper finer than the last by more than the house's ratio. Where the excess
 * is filed off at the cheese stage 80 falls away: the first paper is between 100 and 120 and has the file's marks to take out, no more (practice). Sizes are compared in micrometres, so that gradings mix without mistake.
 */
public final class DentLadder {
    /** Leg on the filler. */
    static final String SHAPE = "shape";

    /** Leg on the putty and the paint around it. */
    static final String REFINE = "fine";

    private final Footprint footprint;
    private final Schools house;
    private final List<Paper> papers;
    private final double limit;
    private final boolean filled;
    private final boolean filed;

    private DentLadder(Footprint footprint, Schools house, List<ShelfItem> shelf, boolean filled) {
        this.footprint = footprint;
        this.house = house;
        this.filled = filled;
        this.filed = house.is("first-grade", "file-cheese");
        this.limit = TradeBook.value(house.is("ladder", "quick") ? "ladder.ratio.quick" : "ladder.ratio.fine");
        this.papers = Paper.coarseToFine(shelf);
    }

    /**
     * The ladder.
     *
     * @param shelf papers that may be used
     * @param filled true where body filler is sanded first; false where putty alone fills
     */
    public static Ladder of(Footprint footprint, Schools house, List<ShelfItem> shelf, boolean filled) {
        return new DentLadder(footprint, house, shelf, filled).build();
    }

    private Ladder build() {
        int first = filed ? afterTheFile() : 80;
        int refine = 180;
        // One paper all over is quicker, and wants a filling primer.
        int last = house.is("last-paper", "all-180") ? refine : 320;
        String school = house.label("ladder");
        List<Rung> rungs = new ArrayList<>();
        StringBuilder missing = new StringBuilder();
        if (filled) {
            add(rungs, leg(first, refine, false), false, missing, first, refine);
        }
        add(rungs, leg(refine, last, true), true, missing, refine, last);
        double left = rungs.isEmpty()
                ? 0
                : TradeBook.value("ladder.scratch-share") * rungs.getLast().grainUm();
        double minutes = rungs.stream().mapToDouble(Rung::minutes).sum();
        return new Ladder(
                List.copyOf(rungs),
                limit,
                school,
                left,
                minutes,
                missing.toString().strip());
    }

    private void add(
            List<Rung> rungs, Optional<List<Paper>> leg, boolean afterPutty, StringBuilder missing, int from, int to) {
        if (leg.isEmpty()) {
            missing.append(missing(from, to)).append(' ');
            return;
        }
        List<Paper> path = leg.get();
        for (int i = 0; i < path.size(); i++) {
            Paper p = path.get(i);
            Optional<Paper> before = i == 0 ? Optional.empty() : Optional.of(path.get(i - 1));
            double min = minutes(before, p, afterPutty, i == path.size() - 1);
            rungs.add(rung(p, before, min, afterPutty, i == path.size() - 1));
        }
    }

    private String missing(int from, int to) {
        String span = from + " to " + to;
        List<String> ends = new ArrayList<>();
        for (int end : new int[] {from, to}) {
            if (papers.stream().noneMatch(p -> p.is(Grains.micrometres("P", end)))) {
                ends.add("P" + end);
            }
        }
        return ends.isEmpty()
                ? "No way from " + span + " with jumps of at most " + Check.shown(limit)
                        + " times: put a paper between them on the shelf."
                : "No way from " + span + ": put " + String.join(" and ", ends) + " on the shelf.";
    }

    /** The coarsest paper on the shelf that follows a file, by its P grade. */
    private int afterTheFile() {
        return papers.stream().anyMatch(p -> p.is(Grains.micrometres("P", 100))) ? 100 : 120;
    }

    /** Minutes that the file takes for the whole: never more than the paper that it stands for would take off the same excess. */
    static double filedMin(Footprint footprint) {
        double rate = TradeBook.value("ladder.rate.block") * Grains.micrometres("P", 80);
        return Math.min(
                TradeBook.value("minutes.file"),
                TradeBook.value("ladder.change") + TradeBook.value("dent.proud") * tapered(footprint) / rate);
    }

    private static double tapered(Footprint f) {
        return (f.areaMm2(Zone.Kind.DAMAGE) + f.areaMm2(Zone.Kind.FILLER)) / 2;
    }

    /** By P grades. */
    private Optional<List<Paper>> leg(int from, int to, boolean afterPutty) {
        return Paper.cheapest(
                papers,
                Grains.micrometres("P", from),
                Grains.micrometres("P", to),
                limit,
                (before, p, last) -> minutes(before, p, afterPutty, last));
    }

    /** Minutes on one paper: change and look, plus what it must take off over its removal rate. */
    private double minutes(Optional<Paper> before, Paper p, boolean afterPutty, boolean last) {
        double share = TradeBook.value("ladder.scratch-share");
        double scuff = TradeBook.value("ladder.scuff") / 1000;
        boolean machine = afterPutty || house.is("first-grade", "machine-80-120") && !last;
        double rate = TradeBook.value(machine ? "ladder.rate.da" : "ladder.rate.block") * p.um();
        double scratchMm = before.map(b -> share * b.um() / 1000).orElse(0.0);
        double mm3;
        if (!afterPutty) {
            // What stands proud is cut once: by the file, or by the first paper.
            double firstMm3 = filed
                    ? share * p.um() / 1000 * area(Zone.Kind.FILLER)
                    : TradeBook.value("dent.proud") * tapered(footprint);
            mm3 = before.isEmpty()
                    ? firstMm3
                    : scratchMm * area(last ? DentFootprint.rim(footprint) : Zone.Kind.FILLER);
        } else if (before.isEmpty()) {
            double skim = TradeBook.value("dent.putty-spread") - TradeBook.value("dent.putty-finished");
            mm3 = skim * (area(DentFootprint.full(footprint)) + area(Zone.Kind.PUTTY)) / 2;
        } else {
            Zone.Kind own = last ? Zone.Kind.FINE_320 : Zone.Kind.FINE_240;
            mm3 = scratchMm * area(Zone.Kind.REFINE_180) + scuff * (area(own) - area(Zone.Kind.REFINE_180));
        }
        return TradeBook.value("ladder.change") + mm3 / rate;
    }

    private double area(Zone.Kind kind) {
        return footprint.areaMm2(kind);
    }

    private Rung rung(Paper p, Optional<Paper> before, double minutes, boolean afterPutty, boolean last) {
        boolean first = before.isEmpty();
        boolean machine = house.is("first-grade", "machine-80-120");
        boolean overPaint = !footprint.has(Zone.Kind.FEATHER);
        Zone.Kind zone;
        Tool tool;
        String motion;
        String sign;
        if (!afterPutty) {
            zone = last ? DentFootprint.rim(footprint) : Zone.Kind.FILLER;
            tool = last ? Tool.HAND_BLOCK : machine ? Tool.DA : Tool.FILE_BOARD;
            motion = tool == Tool.DA
                    ? "set down before starting; flat, slow and moving"
                    : first ? "level, upright, both diagonals" : "cross the directions";
            sign = last
                    ? overPaint
                            ? "level, its edge out to nothing"
                            : "four fifths formed and the whole feather edge shows"
                    : first
                            ? "level, no coarse paper on paint"
                            : overPaint ? "its edge is thin" : "feather edge or metal shows";
        } else {
            zone = first && last
                    ? Zone.Kind.FINE_320
                    : first ? Zone.Kind.REFINE_180 : last ? Zone.Kind.FINE_320 : Zone.Kind.FINE_240;
            tool = first ? Tool.FLAT_DA : Tool.DA;
            motion = first ? "takes out straight block lines" : "slow and moving";
            sign = first ? "no straight line left" : last ? "dull everywhere, no gloss" : "180 lines gone";
        }
        String leg = afterPutty ? REFINE : SHAPE;
        double work = minutes - TradeBook.value("ladder.change");
        int discs = Math.max(1, (int) Math.ceil(work / TradeBook.value("ladder.disc-life") - 1e-9));
        return new Rung(
                leg + "-" + p.slug(),
                leg,
                p.label(),
                p.grading(),
                p.grade(),
                p.item().id(),
                p.um(),
                before.map(b -> b.um() / p.um()).orElse(1.0),
                zone,
                tool,
                motion,
                sign,
                minutes,
                discs,
                afterPutty ? "After the putty" : "On the filler",
                "");
    }
}
