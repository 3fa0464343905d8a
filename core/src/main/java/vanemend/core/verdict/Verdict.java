package vanemend.core.verdict;

import java.util.List;
import java.util.Optional;

/**
 * May it be mended. The worst of all rules that bear wins.
 *
 * @param outcome the worst
 * @param findings every rule that was asked, worst first
 * @param beside what else the technician should know, such as rules for damage that is left as it is
 */
public record Verdict(Outcome outcome, List<Finding> findings, List<String> beside) {
    /** Plans of an earlier release hold nothing beside. */
    public Verdict {
        beside = beside == null ? List.of() : List.copyOf(beside);
    }

    /** From best to worst. */
    public enum Outcome {
        MEND("Mend"),
        LIMITS("Mend with limits"),
        REFER("Refer"),
        REPLACE("Replace");

        private final String word;

        Outcome(String word) {
            this.word = word;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }
    }

    /**
     * One rule and what it says of this part.
     *
     * @param ruleId row of the limits
     * @param title short
     * @param outcome what the rule asks for here
     * @param bears true where it limits, refers or carries the verdict; false where it was asked and is met
     * @param asks true where an answer is missing
     * @param margin measured against limit, with units; empty for a yes-or-no rule
     * @param reason why the rule stands
     * @param change what would change the verdict, or what to do instead
     * @param provenance as shown
     * @param care true where a lead may set it aside
     * @param overruled by whom and why it was set aside
     */
    public record Finding(
            String ruleId,
            String title,
            Outcome outcome,
            boolean bears,
            boolean asks,
            String margin,
            String reason,
            String change,
            String provenance,
            boolean care,
            Optional<Overrule> overruled) {}

    /** The rule that says no, worst first; none where it mends, or where only answers are missing. */
    public Optional<Finding> refusal() {
        return findings.stream()
                .filter(f -> f.bears() && !f.asks() && f.outcome().compareTo(Outcome.LIMITS) > 0)
                .findFirst();
    }

    /** Whether a plan may be made. */
    public boolean mends() {
        return outcome == Outcome.MEND || outcome == Outcome.LIMITS;
    }
}
