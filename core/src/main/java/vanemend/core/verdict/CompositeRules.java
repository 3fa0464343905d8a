package vanemend.core.verdict;

import org.locationtech.jts.geom.Geometry;
import vanemend.core.damage.Blemish;
import vanemend.core.damage.Crack;
import vanemend.core.damage.Damage;
import vanemend.core.damage.Hairline;
import vanemend.core.damage.Hole;
import vanemend.core.damage.Missing;
import vanemend.core.damage.Scratch;
import vanemend.core.part.Composite;
import vanemend.core.part.Part;
import vanemend.core.trade.Text;

/** Fibre in resin: how deep the damage goes and whether its back is reached. */
final class CompositeRules {
    private static final double MEETS_EDGE_MM = 1;

    private CompositeRules() {}

    static void judge(JudgedRepair c, Findings out) {
        if (c.part().substrate() instanceof Composite k && k.kind() == Composite.Kind.CARBON) {
            out.bears(Limits.rule("composite-carbon"), "");
        }
        for (Damage d : c.damages()) {
            judge(c.part(), d, out);
        }
        if (GelcoatDepth.alone(c.part(), c.damages())) {
            return;
        }
        c.part().substrate().wallMm().ifPresent(wall -> dish(c, wall, out));
    }

    /** Thick walls take a dish wider than a hand is used to grinding. */
    private static void dish(JudgedRepair c, double wallMm, Findings out) {
        double deep = c.damages().stream()
                .mapToDouble(d -> CompositeDepth.opened(d, wallMm))
                .max()
                .orElse(0);
        Limits.Rule wide = Limits.rule("composite-dish");
        double past = CompositeDepth.dishMm(deep);
        double most = wide.upTo().orElseThrow();
        out.measured(
                wide,
                past > most,
                Findings.mmUnder(past, past > most) + " past the damage for " + Findings.mm(deep)
                        + " of depth, usual up to " + wide.upToSaid());
    }

    private static void judge(Part part, Damage d, Findings out) {
        if (d instanceof Hairline h) {
            hairline(part, h.outline(), out);
        } else if (d instanceof Crack k && k.depth() == Crack.Depth.OUTER_LAYER) {
            hairline(part, k.outline(), out);
        } else if (d instanceof Crack || d instanceof Hole || d instanceof Missing) {
            through(part, out);
        } else if (d instanceof Blemish b) {
            gelcoat(part, b.depthMm(), out);
        } else if (d instanceof Scratch s && GelcoatDepth.within(part, s.depthMm())) {
            gelcoat(part, s.depthMm(), out);
        } else if (d instanceof Scratch s) {
            out.bears(Limits.rule("composite-surface"), Findings.mm(s.depthMm()) + " deep");
        }
    }

    /** Deeper than gelcoat is moulded it may be laminate; deeper than one go of paste it is no chip. */
    private static void gelcoat(Part part, double deepMm, Findings out) {
        if (!GelcoatDepth.bare(part)) {
            out.bears(Limits.rule("composite-gelcoat-none"), "");
            return;
        }
        Limits.Rule moulded = Limits.rule("composite-gelcoat");
        Limits.Rule thick = Limits.rule("composite-gelcoat-thick");
        double most = thick.upTo().orElseThrow();
        Limits.Rule bears =
                GelcoatDepth.moulded(deepMm) ? moulded : deepMm <= most ? thick : Limits.rule("composite-gelcoat-deep");
        out.bears(bears, Text.underMost(deepMm, "mm", deepMm > most) + " deep, moulded up to " + moulded.upToSaid());
    }

    private static void hairline(Part part, Geometry crack, Findings out) {
        double edge = part.shape().getBoundary().distance(crack);
        if (edge < MEETS_EDGE_MM) {
            out.bears(
                    Limits.rule("composite-hairline"),
                    Verdict.Outcome.REFER,
                    "Hairline to an edge",
                    "meets an edge of the part",
                    "A crack that has reached an edge runs on; only a hairline short of an edge may be sealed.");
        } else {
            out.bears(Limits.rule("composite-hairline"), Findings.mm(edge) + " short of the nearest edge");
        }
    }

    private static void through(Part part, Findings out) {
        boolean back = part.reach() == Part.Reach.BOTH_SIDES;
        out.bears(
                Limits.rule(back ? "composite-through" : "composite-one-side"),
                back ? "both sides are reached" : "only the face is reached");
    }
}
