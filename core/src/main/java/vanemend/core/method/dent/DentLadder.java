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
 * putty and the paint around it, over papers on the shelf, no paper finer than the last by more than the house's ratio. Sizes are
 * compared in micrometres, so that gradings mix without mistake.
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

    private DentLadder(Footprint footprint, Schools house, List<ShelfItem> shelf, boolean filled) {
        this.footprint = footprint;
        this.house = house;
        this.filled = filled;
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
        double first = Grains.micrometres("P", 80);
        double refine = Grains.micrometres("P", 180);
        // One paper all over is quicker, and wants a filling primer.
        double last = house.is("last-paper", "all-180") ? refine : Grains.micrometres("P", 320);
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
            List<Rung> rungs,
            Optional<List<Paper>> leg,
            boolean afterPutty,
            StringBuilder missing,
            double from,
            double to) {
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

    private String missing(double from, double to) {
        String span = number(from) + " to " + number(to);
        List<String> ends = new ArrayList<>();
        for (double end : new double[] {from, to}) {
            if (papers.stream().noneMatch(p -> p.is(end))) {
                ends.add("P" + number(end));
            }
        }
        return ends.isEmpty()
                ? "No way from " + span + " with jumps of at most " + Check.shown(limit)
                        + " times: put a paper between them on the shelf."
                : "No way from " + span + ": put " + String.join(" and ", ends) + " on the shelf.";
    }

    private static int number(double um) {
        return um > 150 ? 80 : um > 60 ? 180 : 320;
    }

    private Optional<List<Paper>> leg(double from, double to, boolean afterPutty) {
        return Paper.cheapest(papers, from, to, limit, (before, p, last) -> minutes(before, p, afterPutty, last));
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
            double tapered = (area(Zone.Kind.DAMAGE) + area(Zone.Kind.FILLER)) / 2;
            mm3 = before.isEmpty()
                    ? TradeBook.value("dent.proud") * tapered
                    : scratchMm * area(last ? Zone.Kind.FEATHER : Zone.Kind.FILLER);
        } else if (before.isEmpty()) {
            double skim = TradeBook.value("dent.putty-spread") - TradeBook.value("dent.putty-finished");
            mm3 = skim * (area(Zone.Kind.FEATHER) + area(Zone.Kind.PUTTY)) / 2;
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
        Zone.Kind zone;
        Tool tool;
        String motion;
        String sign;
        if (!afterPutty) {
            zone = last ? Zone.Kind.FEATHER : Zone.Kind.FILLER;
            tool = last ? Tool.HAND_BLOCK : machine ? Tool.DA : Tool.FILE_BOARD;
            motion = tool == Tool.DA
                    ? "set down before starting; flat, slow and moving"
                    : first ? "level, upright, both diagonals" : "cross the directions";
            sign = last
                    ? "four fifths formed and the whole feather edge shows"
                    : first ? "level, no coarse paper on paint" : "feather edge or metal shows";
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
