package vanemend.core.stack;

import java.util.List;
import java.util.Optional;
import vanemend.core.material.MaterialClass;

/**
 * One role of the stack.
 *
 * @param role what it does
 * @param chosen first of the candidates, or the pinned one
 * @param pinned true where the technician chose it
 * @param candidates all that would do, best first
 * @param missing what to put on the shelf; empty when something was found
 * @param note beside it; empty for none
 */
public record StackLine(
        MaterialClass.Role role,
        Optional<Candidate> chosen,
        boolean pinned,
        List<Candidate> candidates,
        String missing,
        String note) {}
