package vanemend.core.verdict;

import java.util.Optional;
import vanemend.core.damage.Missing;
import vanemend.core.part.Plastic;
import vanemend.core.trade.Text;

/** Plastics: the polymer's own row, heat, missing pieces. */
final class PlasticRules {
    private PlasticRules() {}

    static void judge(JudgedRepair c, Findings out) {
        Plastic plastic = (Plastic) c.part().substrate();
        Limits.Rule polymer = Limits.rule("plastic-polymer");
        Optional<PlasticRow> row = PlasticRow.of(plastic);
        if (row.isPresent()) {
            out.bears(
                    polymer,
                    row.get().verdict(),
                    "Polymer " + plastic.word(),
                    row.get().limit(),
                    "Heat cap " + Text.of(row.get().heatCapC(), "°C") + ".");
            Limits.Rule heat = Limits.rule("plastic-heat");
            double cap = row.get().heatCapC();
            out.measured(
                    heat,
                    c.surfaceC() > cap,
                    "surface planned at " + Text.underMost(c.surfaceC(), "°C", c.surfaceC() > cap) + " of at most "
                            + Text.atMost(cap, "°C"));
        } else if (plastic.mark().isPresent()) {
            out.bears(
                    polymer,
                    Verdict.Outcome.REFER,
                    "Polymer " + plastic.word(),
                    "not in the table of plastics that may be mended",
                    "No sound bond is known, or it is optical or moves.");
        } else {
            double best = plastic.belief().orElseThrow().families().getFirst().share();
            out.bears(
                    Limits.rule("any-unidentified"),
                    "belief " + Text.of(Math.round(best * 100), "%") + " of at least "
                            + Text.atLeast(Math.round(plastic.belief().get().enough() * 100), "%")
                            + ": too thin to plan on");
        }
        for (Missing m : c.all(Missing.class)) {
            missing(m, plastic, out);
        }
    }

    private static void missing(Missing m, Plastic plastic, Findings out) {
        boolean abs = plastic.mark()
                .map(x -> x.main().polymers())
                .filter(p -> p.equals("ABS") || p.equals("ASA"))
                .isPresent();
        if (abs) {
            out.bears(
                    Limits.rule("plastic-missing-abs"),
                    m.pieceKept() ? "the piece is at hand" : "cut an offcut to fit");
            return;
        }
        Limits.Rule holds = Limits.rule("plastic-missing");
        double least = holds.from().orElseThrow();
        String margin = Findings.mmOver(m.soundMm(), m.soundMm() < least) + " of sound plastic all round, at least "
                + holds.fromSaid();
        out.bears(m.soundMm() >= least ? holds : Limits.rule("plastic-missing-large"), margin);
    }
}
