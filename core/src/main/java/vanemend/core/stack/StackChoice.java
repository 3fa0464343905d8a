package vanemend.core.stack;

import java.util.List;
import java.util.Optional;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;

/**
 * The stack for one repair.
 *
 * @param lines roles in working order
 * @param papers every paper that may be used
 * @param ruledOut what must not be used, and why
 * @param puttyAlone true where the hollow is shallow enough for putty without body filler
 * @param fillNote why filler, or why putty alone
 */
public record StackChoice(
        List<StackLine> lines, List<ShelfItem> papers, List<RuledOut> ruledOut, boolean puttyAlone, String fillNote) {

    /** What was chosen for {@code role}. */
    public Optional<ShelfItem> item(Role role) {
        return lines.stream()
                .filter(l -> l.role() == role)
                .findFirst()
                .flatMap(StackLine::chosen)
                .map(Candidate::item);
    }

    /** What the shelf lacks, in words. */
    public List<String> missing() {
        return lines.stream().map(StackLine::missing).filter(m -> !m.isEmpty()).toList();
    }
}
