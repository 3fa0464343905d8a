package vanemend.core.verdict;

import vanemend.core.damage.PaintRun;
import vanemend.core.trade.Text;

/** Runs in clear coat: what is left of the clear after levelling. */
final class FilmRules {
    private FilmRules() {}

    static void judge(JudgedRepair c, Findings out) {
        c.all(PaintRun.class).forEach(r -> run(r, c.takenUm(), out));
    }

    private static void run(PaintRun r, double takenUm, Findings out) {
        Limits.Rule odd = Limits.rule("film-odd");
        double thin = odd.from().orElseThrow();
        double thick = odd.upTo().orElseThrow();
        boolean none = r.soundUm() <= 0;
        out.measured(
                odd,
                none || r.totalUm() < thin || r.totalUm() > thick,
                none
                        ? um(r.underUm()) + " beneath the clear cannot be more than the total of " + um(r.totalUm())
                        : "total beside the run " + um(r.totalUm()) + ", from " + Text.between(thin, thick, "µm"));
        double rest = r.soundUm() - takenUm;
        double least = Limits.rule("film-run").from().orElseThrow();
        double strict = Limits.rule("film-tight").upTo().orElseThrow();
        Limits.Rule bears = Limits.rule(rest < least ? "film-thin" : rest < strict ? "film-tight" : "film-run");
        out.bears(
                bears,
                um(rest) + " of clear left beside the run: total " + um(r.totalUm()) + ", less " + um(r.underUm())
                        + (r.underRead() ? " measured beneath it" : " beneath it by the part's coats, recalled")
                        + ", less "
                        + um(takenUm) + " for papers and polish; "
                        + (rest < least
                                ? "at least " + Limits.rule("film-run").fromSaid()
                                : "strict end " + um(strict)));
        out.beside("To level: " + um(r.heightUm()) + ", peak " + um(r.peakUm()) + " less " + um(r.totalUm())
                + " beside it, both total film.");
        Limits.Rule taken = Limits.rule("film-removed");
        double free = taken.from().orElseThrow();
        double most = taken.upTo().orElseThrow();
        String said = um(takenUm) + " taken beside the run of at most " + taken.upToSaid();
        if (takenUm > most) {
            out.bears(taken, said);
        } else if (takenUm > free) {
            out.bears(taken, Verdict.Outcome.LIMITS, said);
        } else {
            out.met(taken, said);
        }
    }

    private static String um(double v) {
        return Text.of(Findings.round(v), "µm");
    }
}
