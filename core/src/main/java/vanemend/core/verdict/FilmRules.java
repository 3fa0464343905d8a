package vanemend.core.verdict;

import vanemend.core.damage.PaintRun;
import vanemend.core.trade.Text;

/** Runs in clear coat: what is left of the clear after levelling. */
final class FilmRules {
    private FilmRules() {}

    static void judge(JudgedRepair c, Findings out) {
        c.all(PaintRun.class).forEach(r -> run(r, out));
    }

    private static void run(PaintRun r, Findings out) {
        Limits.Rule odd = Limits.rule("film-odd");
        double thin = odd.from().orElseThrow();
        double thick = odd.upTo().orElseThrow();
        boolean wrong = r.soundUm() > r.totalUm() || r.totalUm() < thin || r.totalUm() > thick;
        out.measured(
                odd,
                wrong,
                r.soundUm() > r.totalUm()
                        ? "clear of " + um(r.soundUm()) + " cannot be more than the total of " + um(r.totalUm())
                        : "total beside the run " + um(r.totalUm()) + ", from " + Text.between(thin, thick, "µm"));
        double rest = r.soundUm() - r.takeUm();
        double least = Limits.rule("film-run").from().orElseThrow();
        double strict = Limits.rule("film-tight").upTo().orElseThrow();
        Limits.Rule bears = Limits.rule(rest < least ? "film-thin" : rest < strict ? "film-tight" : "film-run");
        out.bears(
                bears,
                um(rest) + " of clear left beside the run, "
                        + (rest < least
                                ? "at least " + Limits.rule("film-run").fromSaid()
                                : "strict end " + um(strict)));
        Limits.Rule taken = Limits.rule("film-removed");
        double free = taken.from().orElseThrow();
        double most = taken.upTo().orElseThrow();
        String said = um(r.takeUm()) + " taken beside the run of at most " + taken.upToSaid();
        if (r.takeUm() > most) {
            out.bears(taken, said);
        } else if (r.takeUm() > free) {
            out.bears(taken, Verdict.Outcome.LIMITS, said);
        } else {
            out.met(taken, said);
        }
    }

    private static String um(double v) {
        return Text.of(Findings.round(v), "µm");
    }
}
