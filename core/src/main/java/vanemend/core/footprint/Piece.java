package vanemend.core.footprint;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
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
        List<Ring> on = Ring.of(shape);
        double[] xs = on.stream()
                .flatMapToDouble(r -> IntStream.range(0, r.xy().size() / 2).mapToDouble(i -> r.xy().get(2 * i)))
                .toArray();
        double[] ys = on.stream()
                .flatMapToDouble(r -> IntStream.range(0, r.xy().size() / 2).mapToDouble(i -> r.xy().get(2 * i + 1)))
                .toArray();
        double left = Arrays.stream(xs).min().orElse(0);
        double right = Arrays.stream(xs).max().orElse(0);
        double low = Arrays.stream(ys).min().orElse(0);
        double high = Arrays.stream(ys).max().orElse(0);
        boolean turned = side == Zone.Side.BACK;
        List<Ring> rings = on.stream()
                .map(r -> {
                    Double[] xy = r.xy().toArray(new Double[0]);
                    for (int i = 0; i < xy.length; i += 2) {
                        xy[i] = hundredth(turned ? right - xy[i] : xy[i] - left);
                        xy[i + 1] = hundredth(xy[i + 1] - low);
                    }
                    return new Ring(List.of(xy), r.hole());
                })
                .toList();
        return new Piece(id, label, material, count, side, hundredth(right - left), hundredth(high - low), rings);
    }

    private static double hundredth(double v) {
        return Math.round(v * 100) / 100.0;
    }
}
