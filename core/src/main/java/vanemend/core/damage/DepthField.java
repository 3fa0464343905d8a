package vanemend.core.damage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/** All dents of a part as one hollow surface: where dents overlap the deeper counts. Lengths mm, volumes mm³. */
public final class DepthField {
    /** Nodes and weights of 12-point Gauss–Legendre quadrature on [−1, 1] (textbook). */
    private static final double[] NODE = {
        0.1252334085114689,
        0.3678314989981802,
        0.5873179542866175,
        0.7699026741943047,
        0.9041172563704749,
        0.9815606342467192
    };

    private static final double[] WEIGHT = {
        0.2491470458134028,
        0.2334925365383548,
        0.2031674267230659,
        0.1600783285433462,
        0.1069393259953184,
        0.0471753363865118
    };

    /** More of them are quicker grown step by step from what has met already. */
    private static final int MOST_OVALS = 5;

    private final List<Dent> dents;
    private final Ellipse[] ellipses;
    private final Optional<Ovals> ovals;
    private final Map<Double, Geometry> grown = new HashMap<>();
    private Optional<Geometry> union = Optional.empty();
    private double volume = Double.NaN;

    /** A field of one dent or more. */
    public DepthField(List<Dent> dents) {
        if (dents.isEmpty()) {
            throw new IllegalArgumentException("a depth field needs a dent");
        }
        this.dents = List.copyOf(dents);
        this.ellipses = dents.stream().map(Ellipse::new).toArray(Ellipse[]::new);
        this.ovals = Optional.of(dents)
                .filter(d -> d.size() <= MOST_OVALS)
                .map(d -> new Ovals(d.stream().map(Dent::oval).toList()));
    }

    /** The dents, at least one. */
    public List<Dent> dents() {
        return dents;
    }

    /** Depth at a point, mm. */
    public double depthAt(double x, double y) {
        return depthAt(ellipses, ellipses.length, x, y);
    }

    private static double depthAt(Ellipse[] some, int count, double x, double y) {
        double d = 0;
        for (int i = 0; i < count; i++) {
            d = Math.max(d, some[i].depthAt(x, y));
        }
        return d;
    }

    /** The deepest dent. */
    public Dent deepest() {
        Dent best = dents.getFirst();
        for (Dent d : dents) {
            if (d.depthMm() > best.depthMm()) {
                best = d;
            }
        }
        return best;
    }

    /** Outline of all dents together. */
    public Geometry outline() {
        return grown(0).orElseGet(this::union);
    }

    /** The outline grown by {@code mm}, 0 or more, with round corners; empty where there are too many dents to grow each by itself. */
    public Optional<Geometry> grown(double mm) {
        // Zones, limits and drawing ask for the same ones.
        return ovals.map(o -> grown.computeIfAbsent(mm, o::grown));
    }

    private Geometry union() {
        if (union.isEmpty()) {
            union = Optional.of(
                    OverlayNGRobust.union(dents.stream().map(Dent::outline).toList()));
        }
        return union.get();
    }

    /** Volume of the hollow, mm³: the closed form of each dent that meets no other, the others integrated together. */
    public double volumeMm3() {
        if (Double.isNaN(volume)) {
            List<Dent> meeting = new ArrayList<>();
            double sum = 0;
            for (Dent d : dents) {
                if (alone(d)) {
                    sum += d.volumeMm3();
                } else {
                    meeting.add(d);
                }
            }
            volume = meeting.isEmpty() ? sum : sum + new DepthField(meeting).integrated();
        }
        return volume;
    }

    /** Whether the box around {@code d} meets that of no other dent. */
    private boolean alone(Dent d) {
        for (Dent o : dents) {
            if (o != d
                    && Math.abs(o.xMm() - d.xMm()) < o.halfAcross() + d.halfAcross()
                    && Math.abs(o.yMm() - d.yMm()) < o.halfUp() + d.halfUp()) {
                return false;
            }
        }
        return true;
    }

    /**
     * Depth integrated over the outline by scan lines, mm³. Along x each stretch between the ends of dents is mapped by a sine, which
     * takes the square-root ends of an ellipse out of the integrand; along y each stretch between the ends of the dents' chords is
     * integrated by itself. Composite 12-point Gauss–Legendre both ways.
     */
    double integrated() {
        List<Double> xs = new ArrayList<>();
        for (Dent d : dents) {
            xs.add(d.xMm() - d.halfAcross());
            xs.add(d.xMm() + d.halfAcross());
        }
        xs.sort(null);
        double sum = 0;
        for (int i = 1; i < xs.size(); i++) {
            sum += stretch(xs.get(i - 1), xs.get(i));
        }
        return sum;
    }

    private double stretch(double from, double to) {
        if (to - from < 1e-9) {
            return 0;
        }
        double mid = (from + to) / 2;
        double half = (to - from) / 2;
        double sum = 0;
        for (int piece = 0; piece < 2; piece++) {
            double centre = piece == 0 ? -Math.PI / 4 : Math.PI / 4;
            for (int k = 0; k < NODE.length; k++) {
                for (int sign = -1; sign <= 1; sign += 2) {
                    double t = centre + sign * NODE[k] * Math.PI / 4;
                    sum += WEIGHT[k] * Math.PI / 4 * half * Math.cos(t) * chord(mid + half * Math.sin(t));
                }
            }
        }
        return sum;
    }

    /** Depth integrated along the vertical line at {@code x}; only dents that the line cuts are looked at. */
    private double chord(double x) {
        Ellipse[] cut = new Ellipse[ellipses.length];
        double[] ys = new double[3 * ellipses.length];
        int count = 0;
        for (Ellipse e : ellipses) {
            double half = e.halfChord(x);
            if (half > 0) {
                double mid = e.midChord(x);
                // A point or a bowl is not smooth across its own middle: split there.
                ys[3 * count] = mid - half;
                ys[3 * count + 1] = mid;
                ys[3 * count + 2] = mid + half;
                cut[count++] = e;
            }
        }
        Arrays.sort(ys, 0, 3 * count);
        double sum = 0;
        for (int i = 1; i < 3 * count; i++) {
            double half = (ys[i] - ys[i - 1]) / 2;
            if (half < 1e-9) {
                continue;
            }
            double mid = ys[i - 1] + half;
            for (int k = 0; k < NODE.length; k++) {
                sum += WEIGHT[k]
                        * half
                        * (depthAt(cut, count, x, mid - half * NODE[k]) + depthAt(cut, count, x, mid + half * NODE[k]));
            }
        }
        return sum;
    }

    /** A dent with what does not change from point to point worked out once. */
    private static final class Ellipse {
        private final Dent dent;
        private final double cos;
        private final double sin;
        private final double ia2;
        private final double ib2;
        private final double qa;

        Ellipse(Dent d) {
            this.dent = d;
            this.cos = Math.cos(Math.toRadians(d.angleDeg()));
            this.sin = Math.sin(Math.toRadians(d.angleDeg()));
            this.ia2 = 1 / (d.a() * d.a());
            this.ib2 = 1 / (d.b() * d.b());
            this.qa = sin * sin * ia2 + cos * cos * ib2;
        }

        double depthAt(double x, double y) {
            double dx = x - dent.xMm();
            double dy = y - dent.yMm();
            double u = dx * cos + dy * sin;
            double v = dy * cos - dx * sin;
            double rho2 = u * u * ia2 + v * v * ib2;
            return rho2 >= 1
                    ? 0
                    : dent.read().isPresent()
                            ? dent.read().get().depthAt(u, v)
                            : dent.depthMm() * dent.profile().at(Math.sqrt(rho2));
        }

        /** Middle of the chord that the vertical line at {@code x} cuts. */
        double midChord(double x) {
            return dent.yMm() - (x - dent.xMm()) * cos * sin * (ia2 - ib2) / qa;
        }

        /** Half that chord's length; 0 where the line misses. */
        double halfChord(double x) {
            double dx = x - dent.xMm();
            double qb = 2 * dx * cos * sin * (ia2 - ib2);
            double qc = dx * dx * (cos * cos * ia2 + sin * sin * ib2) - 1;
            double disc = qb * qb - 4 * qa * qc;
            return disc <= 0 ? 0 : Math.sqrt(disc) / (2 * qa);
        }
    }
}
