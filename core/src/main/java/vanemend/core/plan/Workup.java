package vanemend.core.plan;

import java.util.List;
import java.util.Optional;
import vanemend.core.stack.StackChoice;
import vanemend.core.verdict.Identity;
import vanemend.core.verdict.Verdict;

/**
 * Everything computed from a draft.
 *
 * @param ruleBook version of the rule book
 * @param name part
 * @param vehicle vehicle and number
 * @param mark substrate in two words, such as "steel, e-coat kept"
 * @param identity what the substrate is and what that means
 * @param verdict may it be mended
 * @param stack with what
 * @param drawing zones and cut
 * @param plan steps; empty where blockers stand in the way
 * @param blockers why there is no plan, in words
 * @param sites where the part has damage of kinds that no one way mends together: each lot of it, mended its own way; empty else
 */
public record Workup(
        String ruleBook,
        String name,
        String vehicle,
        String mark,
        Identity identity,
        Verdict verdict,
        StackChoice stack,
        Drawing drawing,
        Optional<Plan> plan,
        List<String> blockers,
        List<Site> sites) {
    public Workup {
        sites = sites == null ? List.of() : List.copyOf(sites);
    }
}
