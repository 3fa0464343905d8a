package vanemend.core.verdict;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.damage.Chip;
import vanemend.core.damage.Crack;
import vanemend.core.damage.Damage;
import vanemend.core.part.Glass;
import vanemend.core.trade.Text;

/**
 * Laminated windscreens by two standards; the house picks one, or both apply and the stricter wins. Size is the circle around
 * the damage with its legs, save a combination break by the US standard, whose body counts alone. Damage that touches two zones is
 * judged by the stricter.
 */
final class GlassRules {
    private static final double MEETS_EDGE_MM = 1;
    private static final double SAME_IMPACT_MM = 10;

    private final JudgedRepair c;
    private final Glass glass;
    private final Findings out;
    private final boolean us;
    private final boolean uk;

    private GlassRules(JudgedRepair c, Findings out) {
        this.c = c;
        this.glass = (Glass) c.part().substrate();
        this.out = out;
        this.us = !c.house().is("windscreen-limits", "uk");
        this.uk = !c.house().is("windscreen-limits", "us");
    }

    static void judge(JudgedRepair c, Findings out) {
        GlassRules rules = new GlassRules(c, out);
        if (rules.glass.mark().isToughened()) {
            out.bears(
                    Limits.rule("glass-tempered"), "stamp " + rules.glass.mark().word());
            return;
        }
        if (!rules.glass.mark().isWindscreen()) {
            out.bears(
                    Limits.rule("glass-not-screen"),
                    "stamp " + rules.glass.mark().word());
            return;
        }
        rules.temperature();
        rules.nearEdge();
        c.all(Chip.class).forEach(rules::chip);
        rules.cracks(c.all(Crack.class));
    }

    private void temperature() {
        Limits.Rule rule = Limits.rule("glass-temperature");
        double min = rule.from().orElseThrow();
        double max = rule.upTo().orElseThrow();
        double t = c.air().tempC();
        out.measured(
                rule,
                t < min || t > max,
                "glass at air temperature " + Text.of(t, "°C") + ", from " + Text.book("limit.glass-temperature"));
    }

    private void nearEdge() {
        Limits.Rule rule = Limits.rule("glass-edge");
        double least = rule.from().orElseThrow();
        double nearest = Double.POSITIVE_INFINITY;
        for (Damage d : c.damages()) {
            nearest = Math.min(nearest, c.part().shape().getBoundary().distance(d.outline()));
        }
        if (nearest < Double.POSITIVE_INFINITY) {
            out.measured(
                    rule,
                    nearest < least,
                    Findings.mmOver(Findings.floor1(nearest), nearest < least) + " from the nearest edge, at least "
                            + rule.fromSaid());
        }
    }

    private void chip(Chip chip) {
        if (us) {
            usChip(chip);
        }
        if (uk) {
            ukZone(chip);
            if (chip.inSweep() && inA(chip.outline())) {
                near(Limits.rule("glass-uk-a-near"), chip);
            }
        }
        unmended(chip);
    }

    private void usChip(Chip chip) {
        switch (chip.type()) {
            case BULLSEYE, HALF_MOON -> size(Limits.rule("glass-us-bullseye"), chip.spanMm());
            case STAR -> size(Limits.rule("glass-us-star"), chip.spanMm());
            case COMBINATION -> size(Limits.rule("glass-us-combination"), chip.bodyMm());
            case PIT -> {
                Limits.Rule small = Limits.rule("glass-us-small-pit");
                double least = small.from().orElseThrow();
                out.measured(
                        small,
                        chip.pitMm() < least,
                        "pit " + Findings.mmOver(chip.pitMm(), chip.pitMm() < least) + ", at least " + small.fromSaid()
                                + " to take resin");
            }
        }
        Limits.Rule pit = Limits.rule("glass-us-pit");
        double most = pit.upTo().orElseThrow();
        boolean deep = chip.pitMm() > most;
        String said = "pit " + Findings.mmUnder(chip.pitMm(), deep) + " of at most " + pit.upToSaid();
        if (chip.type() == Chip.Type.PIT
                && !deep
                && chip.pitMm() >= Limits.rule("glass-us-small-pit").from().orElseThrow()) {
            out.bears(pit, Verdict.Outcome.MEND, said);
        } else {
            out.measured(pit, deep, said);
        }
        if (chip.inSweep() && inView(chip.outline())) {
            view(chip);
        }
    }

    private void view(Chip chip) {
        double counted = chip.type() == Chip.Type.COMBINATION ? Math.max(chip.bodyMm(), chip.spanMm()) : chip.spanMm();
        boolean fine = viewSize(counted);
        Limits.Rule pit = Limits.rule("glass-us-view-pit");
        double below = pit.upTo().orElseThrow();
        out.measured(
                pit,
                chip.pitMm() >= below,
                "finished pit " + Findings.mmUnder(chip.pitMm(), chip.pitMm() >= below) + ", below " + pit.upToSaid());
        boolean alone = near(Limits.rule("glass-us-view-near"), chip);
        if (fine && chip.pitMm() < below && alone) {
            out.bears(Limits.rule("glass-us-view-ok"), "in the driver's view, inside all limits");
        }
    }

    private boolean viewSize(double mm) {
        Limits.Rule rule = Limits.rule("glass-us-view");
        double most = rule.upTo().orElseThrow();
        out.measured(
                rule,
                mm > most,
                "in the driver's view " + Findings.mmUnder(mm, mm > most) + " of at most " + rule.upToSaid());
        return mm <= most;
    }

    private boolean near(Limits.Rule rule, Chip chip) {
        double least = rule.from().orElseThrow();
        boolean close = chip.repairMm() < least;
        out.measured(
                rule,
                close,
                Double.isInfinite(chip.repairMm())
                        ? "no other repair"
                        : Findings.mmOver(chip.repairMm(), close) + " to the nearest repair, at least "
                                + rule.fromSaid());
        return !close;
    }

    /** Bears as mendable up to the limit, with the rule's own verdict above it. */
    private void size(Limits.Rule rule, double mm) {
        double most = rule.upTo().orElseThrow();
        String said = Findings.mmUnder(mm, mm > most) + " of at most " + rule.upToSaid();
        out.bears(rule, mm > most ? rule.verdict() : Verdict.Outcome.MEND, said);
    }

    private void ukZone(Chip chip) {
        Geometry damage = chip.outline();
        double mm = chip.spanMm();
        if (!chip.inSweep()) {
            size(Limits.rule("glass-uk-d"), mm);
            return;
        }
        if (inA(damage)) {
            Limits.Rule a = Limits.rule("glass-uk-a");
            double most = a.upTo().orElseThrow();
            out.bears(
                    a,
                    mm > most ? a.verdict() : Verdict.Outcome.LIMITS,
                    Findings.mmUnder(mm, mm > most) + " of at most " + a.upToSaid());
            return;
        }
        if (chip.zoneC()) {
            size(Limits.rule("glass-uk-c"), mm);
            return;
        }
        Limits.Rule b = Limits.rule("glass-uk-b");
        double free = b.from().orElseThrow();
        double most = b.upTo().orElseThrow();
        Verdict.Outcome outcome =
                mm <= free ? Verdict.Outcome.MEND : mm <= most ? Verdict.Outcome.REFER : Verdict.Outcome.REPLACE;
        out.bears(b, outcome, Findings.mmUnder(mm, mm > free) + " of at most " + b.fromSaid());
    }

    /** Cracks from one impact go together; a crack to two edges parts the screen. */
    private void cracks(List<Crack> cracks) {
        double longMm = Limits.rule("glass-short-crack").upTo().orElseThrow();
        double most = Limits.rule("glass-long-crack").upTo().orElseThrow();
        Limits.Rule three = Limits.rule("glass-three-cracks");
        for (Crack k : cracks) {
            int edges = edges(k);
            if (edges > 1) {
                out.bears(Limits.rule("glass-edges"), "meets the edge twice");
            }
            long same = cracks.stream()
                    .filter(o -> o.lengthMm() > longMm && o.trace().startsNear(k.trace(), SAME_IMPACT_MM))
                    .count();
            if (same >= 3) {
                out.bears(three, same + " cracks over " + three.fromSaid() + " from one impact");
            }
            boolean over = k.lengthMm() > most || k.lengthMm() > longMm && k.fromChip();
            String said = Findings.mmUnder(k.lengthMm(), over) + " long";
            if (k.lengthMm() > most) {
                out.bears(
                        Limits.rule("glass-crack"),
                        said + " of at most " + Limits.rule("glass-long-crack").upToSaid());
            } else if (k.lengthMm() > longMm || !k.fromChip()) {
                out.bears(
                        Limits.rule("glass-long-crack"),
                        said
                                + (k.fromChip()
                                        ? ", over "
                                                + Limits.rule("glass-long-crack")
                                                        .fromSaid()
                                        : ", without a chip"));
            } else if (us) {
                out.bears(
                        Limits.rule("glass-short-crack"),
                        Verdict.Outcome.LIMITS,
                        said + " of at most " + Limits.rule("glass-short-crack").upToSaid() + ", from a chip");
            }
            if (uk) {
                ukCrack(k);
            }
            if (us && inView(k.outline())) {
                viewSize(across(k));
            }
        }
    }

    /** The wiper's sweep is asked of chips only; a crack counts as inside it, which is the stricter zone. */
    private void ukCrack(Crack k) {
        double across = across(k);
        boolean inA = inA(k.outline());
        double most = inA
                ? Limits.rule("glass-uk-a").upTo().orElseThrow()
                : Limits.rule("glass-uk-b").from().orElseThrow();
        Limits.Rule rule = Limits.rule("glass-uk-crack");
        String said = Findings.mmUnder(across, across > most) + " around, zone " + (inA ? "A" : "B") + " allows "
                + Text.atMost(most, "mm");
        if (across > most) {
            out.bears(rule, said);
        } else if (k.fromChip()) {
            out.bears(rule, Verdict.Outcome.LIMITS, said);
        } else {
            out.met(rule, said);
        }
    }

    private static double across(Crack k) {
        return 2
                * new org.locationtech.jts.algorithm.MinimumBoundingCircle(
                                k.trace().line())
                        .getRadius();
    }

    private int edges(Crack k) {
        Geometry rim = c.part().shape().getBoundary();
        List<Geometry> ends = new ArrayList<>(
                List.of(k.trace().line().getStartPoint(), k.trace().line().getEndPoint()));
        return (int) ends.stream().filter(e -> rim.distance(e) < MEETS_EDGE_MM).count();
    }

    private boolean inView(Geometry damage) {
        return SightZone.of(glass, damage).us();
    }

    private boolean inA(Geometry damage) {
        return SightZone.of(glass, damage).ukA();
    }

    private void unmended(Chip chip) {
        boolean a = chip.inSweep() && inA(chip.outline());
        for (Limits.Unmended u : Limits.unmended()) {
            boolean here = switch (u.zone()) {
                case "A" -> uk && a;
                case "sweep" -> uk && chip.inSweep() && !a;
                default -> us && chip.inSweep() && inView(chip.outline());
            };
            if (here && chip.spanMm() > u.upTo()) {
                out.beside(u.text() + " " + u.shown() + ".");
            }
        }
    }
}
