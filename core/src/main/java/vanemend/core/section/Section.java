package vanemend.core.section;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * The stack in the cut A–A, level across the part.
 *
 * @param cutYMm height of the cut above the part's lower edge, mm
 * @param fromXMm left end, mm
 * @param toXMm right end, mm
 * @param lowestMm lowest z drawn, mm
 * @param highestMm highest z drawn, mm
 * @param layers bottom to top; no overlap, no gap
 * @param proud top of the filler as spread, before it is sanded level: x and z in turn, mm
 * @param proudMm how far it stands proud at most, mm
 */
public record Section(
        double cutYMm,
        double fromXMm,
        double toXMm,
        double lowestMm,
        double highestMm,
        List<Layer> layers,
        List<Double> proud,
        double proudMm) {

    /** A copy with a thin coat on top: as thick as {@code thick} says at a place across, mm; as it is where the cut misses it. */
    public Section coated(String id, String word, String hatch, DoubleUnaryOperator thick) {
        double[] x = Cut.places(fromXMm, toXMm);
        double[] top = Cut.heights(x, this::topMm);
        double[] over = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            over[i] = top[i] + thick.applyAsDouble(x[i]);
        }
        List<Layer> all = new ArrayList<>(layers);
        all.addAll(
                new Cut(cutYMm, x, top).layer(id, word, hatch, over).section().layers());
        double highest = Math.max(highestMm, Arrays.stream(over).max().orElse(highestMm));
        return new Section(cutYMm, fromXMm, toXMm, lowestMm, highest, List.copyOf(all), proud, proudMm);
    }

    /** Height of the topmost layer at {@code x}, mm. */
    private double topMm(double x) {
        double top = lowestMm;
        for (Layer l : layers) {
            List<Double> at = l.xz();
            for (int i = 0; i < at.size(); i += 2) {
                int next = (i + 2) % at.size();
                double x0 = at.get(i);
                double x1 = at.get(next);
                if (x < Math.min(x0, x1) || x > Math.max(x0, x1)) {
                    continue;
                }
                double share = x1 == x0 ? 0 : (x - x0) / (x1 - x0);
                top = Math.max(top, at.get(i + 1) + share * (at.get(next + 1) - at.get(i + 1)));
            }
        }
        return top;
    }
}
