package vanemend.core.method;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import vanemend.core.trade.Quantity;

/**
 * What must be true to go on.
 *
 * @param question short
 * @param yes the good answer
 * @param yesNote what follows
 * @param no the other answer
 * @param branches what the other answer can mean; one at least
 * @param reads readings that are part of the good answer: without them a hand may still give it, and that stands in the record
 */
public record Gate(
        String question, String yes, String yesNote, String no, List<Branch> branches, List<Quantity> reads) {
    /**
     * One way a gate can fail.
     *
     * @param id name
     * @param label as said
     * @param note what follows
     * @param loop rework loop that is inserted before the gate is asked again; empty where it stops the work
     * @param weight {@code STOP} or {@code NEVER} where the work cannot go on as it stands, else {@code OTHER}: the loop is walked
     */
    public record Branch(String id, String label, String note, String loop, Weight weight) {
        public Branch {
            weight = weight == null ? Weight.OTHER : weight;
            if (loop.isEmpty() != weight.stops()) {
                throw new IllegalArgumentException("“" + label + "” leads into a loop or stops the work, one of both");
            }
        }

        /** A way that leads into {@code loop}. */
        public Branch(String id, String label, String note, String loop) {
            this(id, label, note, loop, Weight.OTHER);
        }
    }

    /** A gate that is answered by looking. */
    public Gate(String question, String yes, String yesNote, String no, List<Branch> branches) {
        this(question, yes, yesNote, no, branches, List.of());
    }

    /** A copy whose good answer takes {@code more} readings. */
    public Gate reading(Quantity... more) {
        return new Gate(question, yes, yesNote, no, branches, List.of(more));
    }

    /** A copy whose branches lead into loops called by {@code named}. */
    Gate into(UnaryOperator<String> named) {
        return new Gate(
                question,
                yes,
                yesNote,
                no,
                branches.stream()
                        .map(b -> b.loop().isEmpty()
                                ? b
                                : new Branch(b.id(), b.label(), b.note(), named.apply(b.loop()), b.weight()))
                        .toList(),
                reads);
    }

    /** The good answer, as it is kept. */
    public static final String YES = "yes";

    /** The branch of every gate that finds pinholes: they take a coat, no hollow is filled. */
    public static final String PINHOLES = "pinholes";

    /** The branch of every gate that finds a hollow left: it is filled again by how deep and how large it is. */
    public static final String LOW = "low";

    /** The branch called {@code id}. */
    public Optional<Branch> branch(String id) {
        return branches.stream().filter(b -> b.id().equals(id)).findFirst();
    }

    public Gate {
        reads = reads == null ? List.of() : List.copyOf(reads);
        if (branches.isEmpty()) {
            throw new IllegalArgumentException("a gate that cannot fail is no gate: " + question);
        }
    }
}
