package vanemend.core.sanding;

import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Papers in order.
 *
 * @param rungs first to last
 * @param ratioLimit most one paper may be finer than the last
 * @param school as shown
 * @param scratchLeftUm scratch depth after the last paper, µm
 * @param minutes hands-on, all papers, min
 * @param missing what the shelf lacks; empty when the ladder is whole
 */
public record Ladder(
        List<Rung> rungs, double ratioLimit, String school, double scratchLeftUm, double minutes, String missing) {
    /** A copy with its rungs as {@code other} makes them. */
    public Ladder with(UnaryOperator<Rung> other) {
        return new Ladder(rungs.stream().map(other).toList(), ratioLimit, school, scratchLeftUm, minutes, missing);
    }

    /** Whether every rung was found. */
    public boolean whole() {
        return missing.isEmpty();
    }
}
