package vanemend.core.stack;

import java.util.List;
import java.util.Optional;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;

/**
 * The stack for one repair: the first of the ranked ones, or the one the technician took.
 *
 * @param lines roles of the stack taken, in working order
 * @param papers every paper that may be used
 * @param ruledOut items on the shelf that must not be used, and why
 * @param puttyAlone true where the hollow is shallow enough for putty without body filler
 * @param fillNote what was taken and why, in a sentence
 * @param taken recipe of the stack taken; empty where no way to mend fits
 * @param ranked every stack that would do, best first
 * @param rejectedWays ways to mend that are not for this part, and why
 * @param rejectedClasses classes of material that are not for this part, and why
 */
public record StackChoice(
        List<StackLine> lines,
        List<ShelfItem> papers,
        List<RuledOut> ruledOut,
        boolean puttyAlone,
        String fillNote,
        String taken,
        List<RankedStack> ranked,
        List<RuledOutWay> rejectedWays,
        List<RuledOutWay> rejectedClasses) {
    /** Plans of an earlier release know one way to mend and rank none. */
    public StackChoice {
        taken = taken == null ? "" : taken;
        ranked = ranked == null ? List.of() : List.copyOf(ranked);
        rejectedWays = rejectedWays == null ? List.of() : List.copyOf(rejectedWays);
        rejectedClasses = rejectedClasses == null ? List.of() : List.copyOf(rejectedClasses);
    }

    /** A copy that also tells why the rest of the shelf was not chosen. */
    StackChoice explained(List<RuledOut> items, List<RuledOutWay> classes) {
        return new StackChoice(
                lines, papers, items, puttyAlone, fillNote, taken, ranked, rejectedWays, List.copyOf(classes));
    }

    /** As shown while typing: what is taken, and the ranking without what each way is made of and without what is ruled out. */
    public StackChoice sketch() {
        return new StackChoice(
                lines,
                papers,
                List.of(),
                puttyAlone,
                fillNote,
                taken,
                ranked.stream().map(RankedStack::sketch).toList(),
                List.of(),
                List.of());
    }

    /** What was chosen for {@code role}. */
    public Optional<ShelfItem> item(Role role) {
        for (StackLine l : lines) {
            if (l.role() == role) {
                return l.chosen().map(Candidate::item);
            }
        }
        return Optional.empty();
    }

    /** What the shelf lacks, in words. */
    public List<String> missing() {
        return lines.stream().map(StackLine::missing).filter(m -> !m.isEmpty()).toList();
    }
}
