package vanemend.core.mix;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/**
 * How much of a roll pieces take. They lie straight, along or across, so that the weave runs as it should; in rows across the roll, the
 * deepest first, each in the first row that has room (first-fit decreasing height: never more than 1.7 times the best and one row; Coffman,
 * Garey, Johnson and Tarjan 1980).
 */
public final class RollCut {
    private RollCut() {}

    /**
     * The block that is cut off a corner of the roll; what lies beside it stays on the roll.
     *
     * @param acrossMm of the roll's width, mm
     * @param alongMm of its length, mm
     */
    public record Block(double acrossMm, double alongMm) {}

    private record Box(double across, double along) {}

    private static final class Row {
        private double used;
        private final double along;

        Row(Box b) {
            used = b.across();
            along = b.along();
        }
    }

    /**
     * What is cut off the roll.
     *
     * @param pieces to be cut, mm
     * @param rollMm its width
     * @param gapMm between pieces, for the scissors
     * @return empty where one of them is wider than the roll both ways
     */
    public static Optional<Block> of(List<Geometry> pieces, double rollMm, double gapMm) {
        List<Box> boxes = new ArrayList<>();
        for (Geometry g : pieces) {
            Envelope e = g.getEnvelopeInternal();
            double longer = Math.max(e.getWidth(), e.getHeight());
            double shorter = Math.min(e.getWidth(), e.getHeight());
            if (shorter > rollMm) {
                return Optional.empty();
            }
            boxes.add(longer <= rollMm ? new Box(longer, shorter) : new Box(shorter, longer));
        }
        boxes.sort(Comparator.comparingDouble((Box b) -> -b.along()));
        List<Row> rows = new ArrayList<>();
        for (Box b : boxes) {
            rows.stream()
                    .filter(r -> r.used + gapMm + b.across() <= rollMm)
                    .findFirst()
                    .ifPresentOrElse(r -> r.used += gapMm + b.across(), () -> rows.add(new Row(b)));
        }
        return Optional.of(new Block(
                rows.stream().mapToDouble(r -> r.used).max().orElse(0),
                rows.stream().mapToDouble(r -> r.along).sum() + gapMm * Math.max(0, rows.size() - 1)));
    }
}
