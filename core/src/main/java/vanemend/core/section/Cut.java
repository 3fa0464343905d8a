package vanemend.core.section;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;

/**
 * Builds a section from surfaces, bottom to top. Layers are the spaces between neighbouring surfaces, each nowhere below the one beneath
 * it, so that nothing overlaps and nothing gapes. Heights count up from the sound face.
 */
public final class Cut {
    private static final int SAMPLES = 140;
    private static final double DRAWING_TOLERANCE = 0.0012;
    private static final double THIN = 1e-6;

    private record Between(String id, String word, Layer.Kind kind, String hatch, int below, int above) {}

    private final double cutYMm;
    private final double[] x;
    private final List<double[]> surfaces = new ArrayList<>();
    private final List<Between> layers = new ArrayList<>();
    private double[] proud;
    private int proudOver;

    /** A cut at {@code cutYMm} from {@code fromXMm} to {@code toXMm}, standing on the surface {@code ground}. */
    public Cut(double cutYMm, double fromXMm, double toXMm, DoubleUnaryOperator ground) {
        this.cutYMm = cutYMm;
        this.x = places(fromXMm, toXMm);
        surfaces.add(heights(x, ground));
    }

    /** A cut at {@code cutYMm} that looks at the places {@code x}, standing on the heights {@code ground} there; mm. */
    public Cut(double cutYMm, double[] x, double[] ground) {
        this.cutYMm = cutYMm;
        this.x = x.clone();
        surfaces.add(ground.clone());
    }

    /** Where a cut between these ends looks, mm, rising. */
    public static double[] places(double fromXMm, double toXMm) {
        double[] out = new double[SAMPLES + 1];
        for (int i = 0; i <= SAMPLES; i++) {
            out[i] = fromXMm + (toXMm - fromXMm) * i / SAMPLES;
        }
        return out;
    }

    /** {@code f} at the places {@code x}. */
    public static double[] heights(double[] x, DoubleUnaryOperator f) {
        double[] out = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            out[i] = f.applyAsDouble(x[i]);
        }
        return out;
    }

    /** A layer up to the surface {@code top}; where that lies lower than what is there, the layer is nothing. */
    public Cut layer(String id, String word, String hatch, DoubleUnaryOperator top) {
        return layer(id, word, hatch, heights(x, top));
    }

    /** A layer given by the heights {@code top} of its surface at the cut's places, mm. */
    public Cut layer(String id, String word, String hatch, double[] top) {
        return layer(Layer.Kind.LAYER, id, word, hatch, top);
    }

    /** Ply {@code number} of a laminate, up to {@code top}. */
    public Cut ply(int number, DoubleUnaryOperator top) {
        return layer(Layer.Kind.PLY, "ply-" + number, "Ply " + number, "cloth", heights(x, top));
    }

    /** The bond line under ply {@code number}, up to {@code top}. */
    public Cut bond(int number, DoubleUnaryOperator top) {
        return layer(Layer.Kind.BOND, "bond-" + number, "Bond line " + number, "resin", heights(x, top));
    }

    private Cut layer(Layer.Kind kind, String id, String word, String hatch, double[] top) {
        double[] below = surfaces.getLast();
        double[] above = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            above[i] = Math.max(below[i], top[i]);
        }
        surfaces.add(above);
        layers.add(new Between(id, word, kind, hatch, surfaces.size() - 2, surfaces.size() - 1));
        return this;
    }

    /** What stands proud of the layer before, as spread, before it is sanded level. */
    public Cut proud(DoubleUnaryOperator top) {
        return proud(heights(x, top));
    }

    /** What stands proud, given by the heights {@code top} at the cut's places, mm. */
    public Cut proud(double[] top) {
        proud = top.clone();
        proudOver = surfaces.size() - 1;
        return this;
    }

    /** Surface on top of everything so far; for layers that lie over others. */
    public DoubleUnaryOperator top() {
        return between(x[0], x[1] - x[0], surfaces.getLast());
    }

    /** {@code f} worked out once at the places where a cut between the same ends looks, straight in between. */
    public static DoubleUnaryOperator sampled(double fromXMm, double toXMm, DoubleUnaryOperator f) {
        return between(fromXMm, (toXMm - fromXMm) / SAMPLES, heights(places(fromXMm, toXMm), f));
    }

    private static DoubleUnaryOperator between(double from, double step, double[] z) {
        return at -> {
            double k = Math.clamp((at - from) / step, 0, z.length - 1);
            int i = Math.min((int) (k + 1e-9), z.length - 2);
            double share = k - i < 1e-9 ? 0 : k - i;
            return z[i] + (z[i + 1] - z[i]) * share;
        };
    }

    /** The finished section. */
    public Section section() {
        double[] last = surfaces.getLast();
        double[] line = proud == null ? last : proud;
        double[] under = proud == null ? last : surfaces.get(proudOver);
        int[] keep = bends(line);
        List<Layer> out = new ArrayList<>();
        for (Between b : layers) {
            add(out, b, only(x, keep), only(surfaces.get(b.below()), keep), only(surfaces.get(b.above()), keep));
        }
        List<Double> stands = new ArrayList<>();
        double most = 0;
        for (int i : keep) {
            if (line[i] - under[i] > 1e-9) {
                stands.add(round(x[i]));
                stands.add(round(line[i]));
            }
            most = Math.max(most, line[i] - under[i]);
        }
        double lowest = Arrays.stream(surfaces.getFirst()).min().orElseThrow();
        double highest = Math.max(
                Arrays.stream(last).max().orElseThrow(),
                Arrays.stream(line).max().orElseThrow());
        return new Section(
                cutYMm, round(x[0]), round(x[x.length - 1]), round(lowest), round(highest), out, stands, round(most));
    }

    /** The samples at which a surface bends by more than can be drawn; the same for all, so that layers share their corners. */
    private int[] bends(double[] line) {
        List<double[]> all = new ArrayList<>(surfaces);
        all.add(line);
        double lowest = Double.POSITIVE_INFINITY;
        double highest = Double.NEGATIVE_INFINITY;
        for (double[] z : all) {
            for (double v : z) {
                lowest = Math.min(lowest, v);
                highest = Math.max(highest, v);
            }
        }
        double tolerance = DRAWING_TOLERANCE * (highest - lowest);
        boolean[] keep = new boolean[x.length];
        keep[0] = true;
        keep[x.length - 1] = true;
        Deque<int[]> spans = new ArrayDeque<>();
        spans.push(new int[] {0, x.length - 1});
        while (!spans.isEmpty()) {
            int[] span = spans.pop();
            double worst = tolerance;
            int at = -1;
            for (double[] z : all) {
                double slope = (z[span[1]] - z[span[0]]) / (x[span[1]] - x[span[0]]);
                for (int i = span[0] + 1; i < span[1]; i++) {
                    double off = Math.abs(z[i] - z[span[0]] - slope * (x[i] - x[span[0]]));
                    if (off > worst) {
                        worst = off;
                        at = i;
                    }
                }
            }
            if (at >= 0) {
                keep[at] = true;
                spans.push(new int[] {span[0], at});
                spans.push(new int[] {at, span[1]});
            }
        }
        return IntStream.range(0, x.length).filter(i -> keep[i]).toArray();
    }

    private static double[] only(double[] v, int[] keep) {
        double[] out = new double[keep.length];
        for (int k = 0; k < keep.length; k++) {
            out[k] = v[keep[k]];
        }
        return out;
    }

    private static void add(List<Layer> out, Between b, double[] x, double[] below, double[] above) {
        double thickest = 0;
        double area = 0;
        for (int i = 0; i < x.length; i++) {
            double t = above[i] - below[i];
            thickest = Math.max(thickest, t);
            if (i > 0) {
                area += (t + above[i - 1] - below[i - 1]) / 2 * (x[i] - x[i - 1]);
            }
        }
        if (thickest < THIN) {
            return;
        }
        int first = 0;
        int last = x.length - 1;
        while (first < last && above[first + 1] - below[first + 1] < 1e-9 && above[first] - below[first] < 1e-9) {
            first++;
        }
        while (last > first && above[last - 1] - below[last - 1] < 1e-9 && above[last] - below[last] < 1e-9) {
            last--;
        }
        List<Double> xz = new ArrayList<>(4 * (last - first + 1));
        for (int i = first; i <= last; i++) {
            xz.add(round(x[i]));
            xz.add(round(above[i]));
        }
        for (int i = last; i >= first; i--) {
            xz.add(round(x[i]));
            xz.add(round(below[i]));
        }
        out.add(new Layer(b.id(), b.word(), b.kind(), b.hatch(), round(thickest), area, xz));
    }

    private static double round(double v) {
        return Math.round(v * 10000) / 10000.0;
    }
}
