package vanemend.core.verdict;

import java.util.Locale;
import vanemend.core.part.MadeOf;
import vanemend.core.part.Plastic;
import vanemend.core.trade.Air;
import vanemend.core.trade.Text;

/**
 * Judges a part by the rows of {@link Limits}: every row that concerns it is asked, the worst that bears wins. Where no row of the
 * part's own family allows mending, it is referred.
 */
public final class Judge {
    private Judge() {}

    /** The verdict on {@code c}. */
    public static Verdict of(JudgedRepair c) {
        Findings out = new Findings(c.overrules());
        for (Limits.Rule rule : Limits.all()) {
            if (rule.asks() && c.concerns(rule)) {
                out.answered(rule, c.part().answer(rule.id()));
            }
        }
        if (c.material() != MadeOf.GLASS && c.material() != MadeOf.TYRE) {
            air(c.air(), out);
        }
        switch (c.material()) {
            case METAL -> MetalRules.judge(c, out);
            case PLASTIC -> PlasticRules.judge(c, out);
            case COMPOSITE -> {
                if (c.part().substrate() instanceof Plastic) {
                    PlasticRules.judge(c, out);
                }
                CompositeRules.judge(c, out);
            }
            case GLASS -> GlassRules.judge(c, out);
            case TYRE -> TyreRules.judge(c, out);
            case FILM -> FilmRules.judge(c, out);
        }
        String family = c.material().name().toLowerCase(Locale.ROOT);
        if (!out.allowed(family) && !out.refused()) {
            out.bears(
                    Limits.rule("any-unlisted"),
                    "no rule for " + c.material().word().toLowerCase(Locale.ROOT) + " allows mending this");
        }
        return out.verdict();
    }

    private static void air(Air air, Findings out) {
        Limits.Rule cold = Limits.rule("any-cold");
        double minC = cold.from().orElseThrow();
        out.measured(
                cold,
                air.tempC() < minC,
                Text.overLeast(air.tempC(), "°C", air.tempC() < minC) + " of at least " + Text.atLeast(minC, "°C"));
        Limits.Rule dew = Limits.rule("any-dew");
        double marginK = air.marginK(air.tempC());
        double least = dew.from().orElseThrow();
        out.measured(
                dew,
                marginK < least,
                "panel at air temperature is " + Text.overLeast(Findings.floor1(marginK), "K", marginK < least)
                        + " above dew point, at least " + dew.fromSaid());
        Limits.Rule humid = Limits.rule("any-humid");
        double most = humid.upTo().orElseThrow();
        out.measured(humid, air.rhPercent() > most, Text.of(air.rhPercent(), "%") + " of at most " + humid.upToSaid());
    }
}
