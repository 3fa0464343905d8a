package vanemend.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vanemend.core.part.Part;
import vanemend.core.trade.Text;

/** Collects what every rule says, and names the verdict. */
final class Findings {
    private final List<Verdict.Finding> all = new ArrayList<>();
    private final List<String> beside = new ArrayList<>();
    private final List<Overrule> overrules;

    Findings(List<Overrule> overrules) {
        this.overrules = overrules;
    }

    /** A rule a technician answers; not answered means refer. */
    void answered(Limits.Rule rule, Part.Answer answer) {
        switch (answer) {
            case YES -> bears(rule, "answered yes");
            case NO -> met(rule, "answered no");
            case UNKNOWN ->
                all.add(new Verdict.Finding(
                        rule.id(),
                        rule.title(),
                        Verdict.Outcome.REFER,
                        true,
                        true,
                        "not answered",
                        rule.ask(),
                        "Answer it under Part; not known means refer.",
                        rule.shown(),
                        false,
                        Optional.empty()));
        }
    }

    /** {@code rule} bears with its own verdict. */
    void bears(Limits.Rule rule, String margin) {
        bears(rule, rule.verdict(), margin);
    }

    /** {@code rule} bears with {@code outcome}, unless a lead set it aside: then it limits. */
    void bears(Limits.Rule rule, Verdict.Outcome outcome, String margin) {
        bears(rule, outcome, rule.title(), margin, rule.reason());
    }

    /** What to do instead is told where the rule's own verdict stands, not where this part gets off more lightly. */
    void bears(Limits.Rule rule, Verdict.Outcome outcome, String title, String margin, String reason) {
        Optional<Overrule> signed = rule.care()
                ? overrules.stream().filter(o -> rule.id().equals(o.ruleId())).findFirst()
                : Optional.empty();
        all.add(new Verdict.Finding(
                rule.id(),
                title,
                signed.isPresent() && outcome.compareTo(Verdict.Outcome.LIMITS) > 0 ? Verdict.Outcome.LIMITS : outcome,
                true,
                false,
                margin,
                reason,
                outcome.compareTo(rule.verdict()) < 0 ? "" : rule.instead(),
                rule.shown(),
                rule.care(),
                signed));
    }

    /** {@code rule} was asked and is met. */
    void met(Limits.Rule rule, String margin) {
        all.add(new Verdict.Finding(
                rule.id(),
                rule.title(),
                Verdict.Outcome.MEND,
                false,
                false,
                margin,
                rule.reason(),
                "",
                rule.shown(),
                false,
                Optional.empty()));
    }

    /** {@code rule} bears where {@code bears}, else it is met; the margin is told either way. */
    void measured(Limits.Rule rule, boolean bears, String margin) {
        if (bears) {
            bears(rule, margin);
        } else {
            met(rule, margin);
        }
    }

    /** A sentence beside the verdict. */
    void beside(String text) {
        if (!beside.contains(text)) {
            beside.add(text);
        }
    }

    /** Whether any rule of the part's own family allows mending, with limits or without. */
    boolean allowed(String family) {
        return all.stream()
                .filter(Verdict.Finding::bears)
                .filter(f -> f.outcome().compareTo(Verdict.Outcome.LIMITS) <= 0)
                .anyMatch(f -> Limits.rule(f.ruleId()).family().equals(family));
    }

    /** Whether any rule already refers or condemns it. */
    boolean refused() {
        return all.stream().anyMatch(f -> f.bears() && !f.asks() && f.outcome().compareTo(Verdict.Outcome.LIMITS) > 0);
    }

    /** The verdict: the worst of all that bear, worst first in the list. */
    Verdict verdict() {
        all.sort(Comparator.comparing(Verdict.Finding::bears)
                .thenComparing(Verdict.Finding::outcome)
                .reversed());
        Verdict.Outcome worst = Verdict.Outcome.MEND;
        for (Verdict.Finding f : all) {
            if (f.bears() && f.outcome().compareTo(worst) > 0) {
                worst = f.outcome();
            }
        }
        return new Verdict(worst, List.copyOf(all), List.copyOf(beside));
    }

    static String mm(double v) {
        return Text.of(round(v), "mm");
    }

    /** Held against a maximum. */
    static String mmUnder(double v, boolean over) {
        return Text.underMost(round(v), "mm", over);
    }

    /** Held against a minimum. */
    static String mmOver(double v, boolean under) {
        return Text.overLeast(round(v), "mm", under);
    }

    /** Shown to a tenth; what is compared stays unrounded. */
    static double round(double v) {
        return Math.round(v * 10) / 10.0;
    }

    static double floor1(double v) {
        return Math.floor(v * 10) / 10;
    }
}
