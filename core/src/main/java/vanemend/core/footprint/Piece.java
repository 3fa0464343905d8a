package vanemend.core.footprint;

import java.util.List;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/**
 * Something to cut to shape from a sheet, 1:1.
 *
 * @param id within the repair
 * @param label as written on it
 * @param material what it is cut from, or what it marks
 * @param count how many
 * @param side it goes on; a piece for the back is drawn as it lies when the part is turned over
 * @param widthMm overall
 * @param heightMm overall
 * @param rings outline, mm, from its own lower left corner
 */
public record Piece(
        String id,
        String label,
        String material,
        int count,
        Zone.Side side,
        double widthMm,
        double heightMm,
        List<Ring> rings) {
    /** A piece with the outline {@code shape}. */
    public static Piece of(String id, String label, String material, int count, Zone.Side side, Geometry shape) {
        Envelope e = shape.getEnvelopeInternal();
        boolean turned = side == Zone.Side.BACK;
        List<Ring> rings = Ring.of(shape).stream()
                .map(r -> {
                    Double[] xy = r.xy().toArray(new Double[0]);
                    for (int i = 0; i < xy.length; i += 2) {
                        xy[i] = tenth(turned ? e.getMaxX() - xy[i] : xy[i] - e.getMinX());
                        xy[i + 1] = tenth(xy[i + 1] - e.getMinY());
                    }
                    return new Ring(List.of(xy), r.hole());
                })
                .toList();
        return new Piece(id, label, material, count, side, tenth(e.getWidth()), tenth(e.getHeight()), rings);
    }

    private static double tenth(double v) {
        return Math.round(v * 10) / 10.0;
    }
}
