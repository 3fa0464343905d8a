package vanemend.core.damage;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Depths of a hollow as they were read along a straightedge laid along its length: one line, or several beside each other. Between two
 * readings a line runs straight, never beyond either; at the rim it is nothing. One line alone says nothing across: there the hollow is a
 * bowl. Several lines are joined straight across, and run out to nothing at the rim (trapezoids both ways).
 *
 * @param lengthMm of the hollow, mm
 * @param widthMm of the hollow, mm
 * @param lines by their place across, one at least
 */
public record Readings(double lengthMm, double widthMm, List<Line> lines) {
    /** Strips that a volume is summed over: a ten-thousandth of it is lost. */
    private static final int STRIPS = 600;

    /**
     * One laying of the straightedge.
     *
     * @param offsetMm from the middle of the hollow to its left, looking along its length, mm; negative to its right
     * @param at places from the middle along the length and the depth there, mm, in turn; places rise
     */
    public record Line(double offsetMm, List<Double> at) {
        public Line {
            at = List.copyOf(at);
        }

        private double deepest() {
            double d = 0;
            for (int i = 1; i < at.size(); i += 2) {
                d = Math.max(d, at.get(i));
            }
            return d;
        }

        /** Depth {@code u} from the middle, mm, the line ending at {@code half} either way. */
        private double depthAt(double u, double half) {
            double x0 = -half;
            double d0 = 0;
            for (int i = 0; i < at.size(); i += 2) {
                double x1 = at.get(i);
                double d1 = at.get(i + 1);
                if (u <= x1) {
                    return between(u, x0, d0, x1, d1);
                }
                x0 = x1;
                d0 = d1;
            }
            return between(u, x0, d0, half, 0);
        }
    }

    public Readings {
        if (lines.isEmpty()) {
            throw new IllegalArgumentException("readings of a hollow need a line");
        }
        lines = lines.stream()
                .sorted(Comparator.comparingDouble(Line::offsetMm))
                .toList();
    }

    private static double between(double u, double x0, double d0, double x1, double d1) {
        return x1 - x0 < 1e-9 ? Math.max(d0, d1) : Math.max(0, d0 + (d1 - d0) * Math.clamp((u - x0) / (x1 - x0), 0, 1));
    }

    /** The deepest of all that were read, mm. */
    public double deepestMm() {
        return lines.stream().mapToDouble(Line::deepest).max().orElse(0);
    }

    /** Half of the chord of the outline that lies {@code at} from the middle, mm, along the axis of {@code half} across {@code other}. */
    private static double chord(double at, double half, double other) {
        double share = at / other;
        return Math.abs(share) >= 1 ? 0 : half * Math.sqrt(1 - share * share);
    }

    /** Depth at {@code u} along and {@code v} across from the middle, mm; 0 outside. */
    public double depthAt(double u, double v) {
        double a = lengthMm / 2;
        double b = widthMm / 2;
        double rim = chord(u, b, a);
        if (Math.abs(v) >= rim) {
            return 0;
        }
        if (lines.size() == 1) {
            double t = v / rim;
            return lines.getFirst().depthAt(u, a) * (1 - t * t);
        }
        double v0 = -rim;
        double d0 = 0;
        for (Line l : lines) {
            double at = Math.clamp(l.offsetMm(), -rim, rim);
            double d = Math.abs(l.offsetMm()) >= rim ? 0 : l.depthAt(u, chord(l.offsetMm(), a, b));
            if (v <= at) {
                return between(v, v0, d0, at, d);
            }
            v0 = at;
            d0 = d;
        }
        return between(v, v0, d0, rim, 0);
    }

    /** Volume, mm³: across each strip in closed form (two thirds under a bowl, trapezoids between lines), along by Simpson's rule. */
    public double volumeMm3() {
        double a = lengthMm / 2;
        double step = lengthMm / STRIPS;
        double sum = 0;
        for (int i = 0; i <= STRIPS; i++) {
            double weight = i == 0 || i == STRIPS ? 1 : i % 2 == 1 ? 4 : 2;
            sum += weight * strip(-a + i * step);
        }
        return sum * step / 3;
    }

    private double strip(double u) {
        double a = lengthMm / 2;
        double b = widthMm / 2;
        double rim = chord(u, b, a);
        if (lines.size() == 1) {
            return lines.getFirst().depthAt(u, a) * rim * 4 / 3;
        }
        double[] v = new double[lines.size() + 2];
        v[0] = -rim;
        v[v.length - 1] = rim;
        for (int i = 0; i < lines.size(); i++) {
            v[i + 1] = Math.clamp(lines.get(i).offsetMm(), -rim, rim);
        }
        double sum = 0;
        for (int i = 1; i < v.length; i++) {
            sum += (v[i] - v[i - 1]) * (inside(u, v[i - 1], rim) + inside(u, v[i], rim)) / 2;
        }
        return sum;
    }

    private double inside(double u, double v, double rim) {
        return Math.abs(v) >= rim ? 0 : depthAt(u, v);
    }

    /** The same hollow {@code share} times as deep: what was read again at its deepest place says it of all. */
    public Readings times(double share) {
        return new Readings(
                lengthMm,
                widthMm,
                lines.stream()
                        .map(l -> {
                            Double[] at = l.at().toArray(Double[]::new);
                            for (int i = 1; i < at.length; i += 2) {
                                at[i] *= share;
                            }
                            return new Line(l.offsetMm(), Arrays.asList(at));
                        })
                        .toList());
    }
}
