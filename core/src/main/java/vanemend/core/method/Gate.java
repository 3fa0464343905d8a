package vanemend.core.method;

import java.util.List;
import java.util.Optional;

/**
 * What must be true to go on.
 *
 * @param question short
 * @param yes the good answer
 * @param yesNote what follows
 * @param no the other answer
 * @param branches what the other answer can mean; one at least
 */
public record Gate(String question, String yes, String yesNote, String no, List<Branch> branches) {
    /**
     * One way a gate can fail.
     *
     * @param id name
     * @param label as said
     * @param note what follows
     * @param loop rework loop that is inserted before the gate is asked again
     */
    public record Branch(String id, String label, String note, String loop) {}

    /** The good answer, as it is kept. */
    public static final String YES = "yes";

    /** The branch of every gate that finds pinholes: they take a coat, no hollow is filled. */
    public static final String PINHOLES = "pinholes";

    /** The branch called {@code id}. */
    public Optional<Branch> branch(String id) {
        return branches.stream().filter(b -> b.id().equals(id)).findFirst();
    }

    public Gate {
        if (branches.isEmpty()) {
            throw new IllegalArgumentException("a gate that cannot fail is no gate: " + question);
        }
    }
}
