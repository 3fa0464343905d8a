package vanemend.core.section;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.damage.DepthField;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Zone;
import vanemend.core.trade.TradeBook;

/**
 * The cut through a filled dent. Heights are counted from the painted face of the sound part. Layers are the spaces between
 * neighbouring surfaces, each nowhere below the one beneath it, so that nothing overlaps and nothing gapes.
 */
public final class DentSection {
    private static final int SAMPLES = 140;
    private static final double DRAWING_TOLERANCE_MM = 0.008;

    private DentSection() {}

    /**
     * What lies in the cut.
     *
     * @param gaugeMm sheet, mm
     * @param keptMm coats that stay under the repair, mm
     * @param offMm coats that come off in the opening, mm
     * @param filled true where body filler builds the hollow; false where putty alone does
     */
    public record Build(double gaugeMm, double keptMm, double offMm, boolean filled) {}

    /** The cut at height {@code cutYMm} above the part's lower edge. */
    public static Section of(Footprint footprint, DepthField dents, Build build, double cutYMm) {
        Geometry outer = footprint.zone(Zone.Kind.FINE_240).shape();
        double margin = 20;
        Geometry part = footprint.zone(Zone.Kind.CLEAN).shape(); // ends where the part ends
        double from = Math.max(
                part.getEnvelopeInternal().getMinX(),
                outer.getEnvelopeInternal().getMinX() - margin);
        double to = Math.min(
                part.getEnvelopeInternal().getMaxX(),
                outer.getEnvelopeInternal().getMaxX() + margin);
        Taper feather = new Taper(
                footprint.zone(Zone.Kind.OPENING).shape(), TradeBook.value("dent.feather-width"), true, cutYMm);
        Taper fill =
                new Taper(footprint.zone(Zone.Kind.FILLER).shape(), TradeBook.value("dent.filler-past"), false, cutYMm);
        Taper putty = new Taper(
                footprint.zone(Zone.Kind.PUTTY).shape(), TradeBook.value("dent.putty-past-feather"), false, cutYMm);
        double proudMost = TradeBook.value("dent.proud");
        double skim = TradeBook.value("dent.putty-finished");

        int n = SAMPLES + 1;
        double[] x = new double[n];
        double[][] z = new double[6][n];
        double[] proud = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = from + (to - from) * i / SAMPLES;
            double depth = dents.depthAt(x[i], cutYMm);
            double sheet = -build.keptMm() - build.offMm() - depth;
            double ground = sheet + build.keptMm();
            double coats = ground + build.offMm() * feather.at(x[i]);
            double share = fill.at(x[i]);
            double level = build.filled() ? ground + depth + build.offMm() * share : ground;
            double filled = Math.max(coats, level);
            double top = Math.max(filled, puttyTop(putty.at(x[i]), skim, filled));
            z[0][i] = sheet - build.gaugeMm();
            z[1][i] = sheet;
            z[2][i] = ground;
            z[3][i] = coats;
            z[4][i] = filled;
            z[5][i] = top;
            proud[i] = (build.filled() ? filled : top) + proudMost * (build.filled() ? share : putty.at(x[i]));
        }
        int[] keep = bends(x, z, proud);
        x = only(x, keep);
        proud = only(proud, keep);
        for (int k = 0; k < z.length; k++) {
            z[k] = only(z[k], keep);
        }
        n = keep.length;
        List<Layer> layers = new ArrayList<>();
        add(layers, "part", "Part", "part", x, z[0], z[1]);
        add(layers, "coats-kept", "Coats kept", "coat", x, z[1], z[2]);
        add(layers, "coats", "Clear and base", "paint", x, z[2], z[3]);
        add(layers, "filler", "Filler", "fill", x, z[3], z[4]);
        add(layers, "putty", "Putty", "finish", x, z[4], z[5]);
        List<Double> line = new ArrayList<>();
        double stands = 0;
        for (int i = 0; i < n; i++) {
            double surface = build.filled() ? z[4][i] : z[5][i];
            stands = Math.max(stands, proud[i] - surface);
            if (proud[i] - surface > 1e-9) {
                line.add(round(x[i]));
                line.add(round(proud[i]));
            }
        }
        double lowest = min(z[0]);
        double highest = Math.max(max(proud), max(z[5]));
        return new Section(cutYMm, round(from), round(to), round(lowest), round(highest), layers, line, round(stands));
    }

    /** The samples at which a surface bends by more than can be drawn; the same for all, so that layers share their corners. */
    private static int[] bends(double[] x, double[][] z, double[] proud) {
        double[][] all = Arrays.copyOf(z, z.length + 1);
        all[z.length] = proud;
        boolean[] keep = new boolean[x.length];
        keep[0] = true;
        keep[x.length - 1] = true;
        Deque<int[]> spans = new ArrayDeque<>();
        spans.push(new int[] {0, x.length - 1});
        while (!spans.isEmpty()) {
            int[] span = spans.pop();
            double worst = DRAWING_TOLERANCE_MM;
            int at = -1;
            for (double[] line : all) {
                double slope = (line[span[1]] - line[span[0]]) / (x[span[1]] - x[span[0]]);
                for (int i = span[0] + 1; i < span[1]; i++) {
                    double off = Math.abs(line[i] - line[span[0]] - slope * (x[i] - x[span[0]]));
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
        return Arrays.stream(keep).mapToDouble(i -> v[i]).toArray();
    }

    /** Putty runs from the sound clear, where it is nothing, to a skim over the face. */
    private static double puttyTop(double share, double skim, double below) {
        return share > 0 ? skim * share : below;
    }

    private static void add(
            List<Layer> layers, String id, String word, String hatch, double[] x, double[] below, double[] above) {
        double thickest = 0;
        double area = 0;
        for (int i = 0; i < x.length; i++) {
            double t = above[i] - below[i];
            thickest = Math.max(thickest, t);
            if (i > 0) {
                area += (t + above[i - 1] - below[i - 1]) / 2 * (x[i] - x[i - 1]);
            }
        }
        if (thickest < 1e-6) {
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
        List<Double> xz = new ArrayList<>();
        for (int i = first; i <= last; i++) {
            xz.add(round(x[i]));
            xz.add(round(above[i]));
        }
        for (int i = last; i >= first; i--) {
            xz.add(round(x[i]));
            xz.add(round(below[i]));
        }
        layers.add(new Layer(id, word, hatch, round(thickest), area, xz));
    }

    private static double min(double[] v) {
        double m = v[0];
        for (double d : v) {
            m = Math.min(m, d);
        }
        return m;
    }

    private static double max(double[] v) {
        double m = v[0];
        for (double d : v) {
            m = Math.max(m, d);
        }
        return m;
    }

    private static double round(double v) {
        return Math.round(v * 10000) / 10000.0;
    }

    /**
     * Rises from 0 to 1 over {@code width} along the cut: outward from a zone's edge, or inward from it. Only stretches of the
     * edge that come nearer to the cut than that width can matter.
     */
    private static final class Taper {
        private final double[] crossings;
        private final List<double[]> near = new ArrayList<>();
        private final double cutY;
        private final double width;
        private final boolean outward;

        Taper(Geometry zone, double width, boolean outward, double cutY) {
            this.width = width;
            this.outward = outward;
            this.cutY = cutY;
            List<Double> crossed = new ArrayList<>();
            Geometry edge = zone.getBoundary();
            for (int i = 0; i < edge.getNumGeometries(); i++) {
                Coordinate[] c = edge.getGeometryN(i).getCoordinates();
                for (int k = 1; k < c.length; k++) {
                    look(c[k - 1], c[k], crossed);
                }
            }
            this.crossings =
                    crossed.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        }

        private void look(Coordinate a, Coordinate b, List<Double> crossed) {
            if (cutY >= Math.min(a.y, b.y) - width && cutY <= Math.max(a.y, b.y) + width) {
                near.add(new double[] {a.x, a.y, b.x, b.y});
            }
            if ((a.y > cutY) != (b.y > cutY)) {
                crossed.add(a.x + (cutY - a.y) / (b.y - a.y) * (b.x - a.x));
            }
        }

        /** Even-odd along the cut: inside after an odd number of edges. */
        private boolean inside(double x) {
            int before = 0;
            while (before < crossings.length && crossings[before] <= x) {
                before++;
            }
            return before % 2 == 1;
        }

        double at(double x) {
            if (inside(x) == outward) {
                return 0;
            }
            double least2 = width * width;
            for (double[] s : near) {
                if (x >= Math.min(s[0], s[2]) - width && x <= Math.max(s[0], s[2]) + width) {
                    least2 = Math.min(least2, distance2(s, x, cutY));
                }
            }
            return Math.sqrt(least2) / width;
        }

        private static double distance2(double[] s, double x, double y) {
            double dx = s[2] - s[0];
            double dy = s[3] - s[1];
            double length2 = dx * dx + dy * dy;
            double t = length2 == 0 ? 0 : Math.clamp(((x - s[0]) * dx + (y - s[1]) * dy) / length2, 0, 1);
            double ex = x - s[0] - t * dx;
            double ey = y - s[1] - t * dy;
            return ex * ex + ey * ey;
        }
    }
}
