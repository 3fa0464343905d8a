package vanemend.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import vanemend.core.damage.DepthField;
import vanemend.core.part.Metal;
import vanemend.core.part.Part;
import vanemend.core.trade.Air;
import vanemend.core.trade.Check;

/** Judges dents in sheet metal by the rows of {@link Limits}. */
public final class MetalVerdict {
    private MetalVerdict() {}

    /**
     * Every rule that bears on {@code part}. Depth is compared unrounded and as measured from the painted face; the coats that
     * come off add under 0.2 mm, which primer makes up again. A row of limits that is not answered refers.
     */
    public static Verdict of(Part part, Metal metal, DepthField dents, Air air) {
        List<Verdict.Finding> out = new ArrayList<>();
        for (Limits.Rule rule : Limits.all()) {
            if (rule.asks()) {
                out.add(answered(rule, part.answer(rule.id())));
            }
        }
        if (metal.kind() == Metal.Kind.UNKNOWN) {
            out.add(bearing(Limits.rule("any-unidentified"), ""));
        }
        if (metal.kind() == Metal.Kind.ALUMINIUM) {
            out.add(bearing(Limits.rule("metal-aluminium"), ""));
        }
        out.add(depth(dents.deepest().depthMm()));
        Limits.Rule cold = Limits.rule("any-cold");
        double minC = cold.from().orElseThrow();
        out.add(measured(cold, air.tempC() < minC, shown(air.tempC()) + " °C of at least " + shown(minC) + " °C"));
        Limits.Rule dew = Limits.rule("any-dew");
        double marginK = air.marginK(air.tempC());
        double least = dew.from().orElseThrow();
        out.add(measured(
                dew,
                marginK < least,
                "panel at air temperature is " + shown(floor1(marginK)) + " K above dew point, at least " + shown(least)
                        + " K"));
        Limits.Rule humid = Limits.rule("any-humid");
        double most = humid.upTo().orElseThrow();
        out.add(measured(
                humid, air.rhPercent() > most, shown(air.rhPercent()) + " % of at most " + shown(most) + " %"));
        out.sort(Comparator.comparing(Verdict.Finding::bears)
                .thenComparing(Verdict.Finding::outcome)
                .reversed());
        Verdict.Outcome worst = Verdict.Outcome.MEND;
        for (Verdict.Finding f : out) {
            if (f.bears() && f.outcome().compareTo(worst) > 0) {
                worst = f.outcome();
            }
        }
        return new Verdict(worst, List.copyOf(out));
    }

    private static Verdict.Finding depth(double deepest) {
        Limits.Rule shallow = Limits.rule("metal-shallow");
        Limits.Rule mid = Limits.rule("metal-depth");
        Limits.Rule deep = Limits.rule("metal-too-deep");
        double aim = shallow.upTo().orElseThrow();
        double most = mid.upTo().orElseThrow();
        Limits.Rule bears = deepest <= aim ? shallow : deepest <= most ? mid : deep;
        String margin = shown(deepest) + " mm deep, "
                + (deepest <= aim ? "aim is at most " + shown(aim) : "at most " + shown(most)) + " mm";
        return bearing(bears, margin);
    }

    private static Verdict.Finding answered(Limits.Rule rule, Part.Answer answer) {
        return switch (answer) {
            case YES -> bearing(rule, "answered yes");
            case NO ->
                new Verdict.Finding(
                        rule.id(),
                        rule.title(),
                        Verdict.Outcome.MEND,
                        false,
                        false,
                        "answered no",
                        rule.reason(),
                        "",
                        rule.shown());
            case UNKNOWN ->
                new Verdict.Finding(
                        rule.id(),
                        rule.title(),
                        Verdict.Outcome.REFER,
                        true,
                        true,
                        "not answered",
                        rule.ask(),
                        "Answer it under Part; not known means refer.",
                        rule.shown());
        };
    }

    private static Verdict.Finding bearing(Limits.Rule rule, String margin) {
        return new Verdict.Finding(
                rule.id(),
                rule.title(),
                rule.verdict(),
                true,
                false,
                margin,
                rule.reason(),
                rule.instead(),
                rule.shown());
    }

    private static Verdict.Finding measured(Limits.Rule rule, boolean bears, String margin) {
        return new Verdict.Finding(
                rule.id(),
                rule.title(),
                bears ? rule.verdict() : Verdict.Outcome.MEND,
                bears,
                false,
                margin,
                rule.reason(),
                bears ? rule.instead() : "",
                rule.shown());
    }

    private static double floor1(double v) {
        return Math.floor(v * 10) / 10;
    }

    private static String shown(double v) {
        return Check.shown(v);
    }
}
