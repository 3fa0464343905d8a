package vanemend.core.sanding;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Zone;
import vanemend.core.material.ShelfItem;
import vanemend.core.trade.Check;
import vanemend.core.trade.TradeBook;

/**
 * A ladder of legs over papers on the shelf: each leg the cheapest way in minutes from its first grade to its last. Sizes are compared
 * in micrometres, so that gradings mix without mistake.
 */
public final class SurfaceLadder {
    private final Footprint footprint;
    private final List<Paper> papers;
    private final List<Rung> rungs = new ArrayList<>();
    private final StringBuilder missing = new StringBuilder();

    private SurfaceLadder(Footprint footprint, List<ShelfItem> shelf) {
        this.footprint = footprint;
        this.papers = Paper.coarseToFine(shelf);
    }

    /**
     * The ladder of {@code legs}, in their order.
     *
     * @param shelf papers that may be used
     * @param school as shown
     */
    public static Ladder of(Footprint footprint, List<ShelfItem> shelf, List<Leg> legs, String school) {
        SurfaceLadder l = new SurfaceLadder(footprint, shelf);
        legs.forEach(l::climb);
        double left = l.rungs.isEmpty() || legs.isEmpty()
                ? 0
                : legs.getLast().scratchShare() * l.rungs.getLast().grainUm();
        return new Ladder(
                List.copyOf(l.rungs),
                legs.stream().mapToDouble(Leg::limit).max().orElse(1),
                school,
                left,
                l.rungs.stream().mapToDouble(Rung::minutes).sum(),
                l.missing.toString().strip());
    }

    private void climb(Leg leg) {
        double from = Grains.micrometres("P", leg.fromP());
        double to = Grains.micrometres("P", leg.toP());
        Optional<List<Paper>> path = leg.grades() == Leg.Grades.EVERY
                ? Paper.every(papers, from, to, leg.limit())
                : Paper.cheapest(papers, from, to, leg.limit(), (before, p, last) -> minutes(leg, before, p, last));
        if (path.isEmpty()) {
            missing.append(missing(leg, from, to)).append(' ');
            return;
        }
        for (int i = 0; i < path.get().size(); i++) {
            Optional<Paper> before =
                    i == 0 ? Optional.empty() : Optional.of(path.get().get(i - 1));
            rungs.add(rung(leg, before, path.get().get(i), i == path.get().size() - 1));
        }
    }

    private String missing(Leg leg, double from, double to) {
        List<String> ends = new ArrayList<>();
        if (papers.stream().noneMatch(p -> p.is(from))) {
            ends.add("P" + leg.fromP());
        }
        if (papers.stream().noneMatch(p -> p.is(to))) {
            ends.add("P" + leg.toP());
        }
        String span = "No way from " + leg.fromP() + " to " + leg.toP();
        return ends.isEmpty()
                ? span + " with jumps of at most " + Check.shown(leg.limit()) + " times: " + gaps(from, to, leg.limit())
                : span + ": put " + String.join(" and ", ends) + " on the shelf.";
    }

    /** Each jump that is too wide, and the paper that closes it best. */
    private String gaps(double from, double to, double limit) {
        List<Paper> between = papers.stream()
                .filter(p -> (p.um() < from || p.is(from)) && (p.um() > to || p.is(to)))
                .toList();
        List<String> out = new ArrayList<>();
        for (int i = 1; i < between.size(); i++) {
            Paper coarse = between.get(i - 1);
            Paper fine = between.get(i);
            if (coarse.um() / fine.um() > limit) {
                double middle = Math.sqrt(coarse.um() * fine.um());
                out.add("put " + Grains.nearestP(middle) + " between " + coarse.label() + " and " + fine.label()
                        + " on the shelf");
            }
        }
        return out.isEmpty() ? "put a paper between them on the shelf." : String.join("; ", out) + ".";
    }

    private Zone.Kind zone(Leg leg, boolean first, boolean last) {
        return first ? leg.first() : last ? leg.last() : leg.middle();
    }

    /** Change and look, plus what must come off over the removal rate: the stock first, then the scratch of the paper before. */
    private double minutes(Leg leg, Optional<Paper> before, Paper p, boolean last) {
        double mm3 = before.map(b -> leg.scratchShare() * b.um() / 1000 * footprint.areaMm2(zone(leg, false, last)))
                .orElse(leg.stockMm3());
        return TradeBook.value("ladder.change") + mm3 / (leg.ratePerUm() * p.um());
    }

    /** The first paper shapes; each after it takes out the lines of the one before. In clear every grade is looked at alike. */
    private static String sign(Leg leg, Optional<Paper> before, boolean last) {
        return leg.grades() == Leg.Grades.EVERY || before.isEmpty()
                ? leg.sign()
                : before.get().label() + " lines gone" + (last ? ", dull out to its rim" : "");
    }

    private Rung rung(Leg leg, Optional<Paper> before, Paper p, boolean last) {
        double minutes = minutes(leg, before, p, last);
        double work = minutes - TradeBook.value("ladder.change");
        return new Rung(
                leg.id() + "-" + p.slug(),
                leg.id(),
                p.label(),
                p.grading(),
                p.grade(),
                p.item().id(),
                p.um(),
                before.map(b -> b.um() / p.um()).orElse(1.0),
                zone(leg, before.isEmpty(), last),
                leg.tool(),
                leg.motion(),
                sign(leg, before, last),
                minutes,
                Math.max(1, (int) Math.ceil(work / TradeBook.value("ladder.disc-life") - 1e-9)),
                leg.stage(),
                leg.damp() ? "damp" : "");
    }
}
