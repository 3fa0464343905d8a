package vanemend.core.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.damage.Blemish;
import vanemend.core.damage.Dent;
import vanemend.core.damage.RustHole;
import vanemend.core.damage.RustPits;
import vanemend.core.damage.Scratch;
import vanemend.core.damage.Seam;
import vanemend.core.part.Coat;
import vanemend.core.part.Metal;
import vanemend.core.part.Part;
import vanemend.core.part.SurfaceState;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Sheet metal: depth of filler, rust holes, aluminium. */
final class MetalRules {
    private MetalRules() {}

    static void judge(JudgedRepair c, Findings out) {
        Metal metal = (Metal) c.part().substrate();
        if (metal.kind() == Metal.Kind.UNKNOWN) {
            out.bears(Limits.rule("any-unidentified"), "");
        }
        if (metal.kind().passedOn()) {
            out.bears(Limits.rule("metal-other"), metal.word());
        }
        if (metal.kind() == Metal.Kind.ALUMINIUM) {
            out.bears(Limits.rule("metal-aluminium"), "");
            if (!c.all(Seam.class).isEmpty()) {
                out.bears(Limits.rule("metal-seam-aluminium"), "");
            }
        }
        if (Stream.concat(c.part().face().stream(), c.part().back().stream()).anyMatch(SurfaceState::isRust)) {
            out.bears(Limits.rule("metal-live-rust"), "rust is entered among the surface states");
        }
        double deepest = DoubleStream.of(
                        c.all(Dent.class).stream()
                                .filter(Dent::filled)
                                .mapToDouble(Dent::depthMm)
                                .max()
                                .orElse(0),
                        c.all(Scratch.class).stream()
                                .mapToDouble(Scratch::depthMm)
                                .max()
                                .orElse(0),
                        c.all(Blemish.class).stream()
                                .mapToDouble(Blemish::depthMm)
                                .max()
                                .orElse(0),
                        c.all(Seam.class).stream()
                                .mapToDouble(Seam::depthMm)
                                .max()
                                .orElse(0))
                .max()
                .orElseThrow();
        if (deepest > 0) {
            depth(deepest, out);
        }
        raised(c, metal, out);
        holes(c, out);
        pits(c, metal, out);
    }

    /** How dents are raised: what may be pushed out with its paint whole, what is, and what studs are not for. */
    private static void raised(JudgedRepair c, Metal metal, Findings out) {
        List<Dent> dents = c.all(Dent.class);
        long pushed = dents.stream().filter(d -> !d.filled()).count();
        if (pushed > 0) {
            out.bears(Limits.rule("metal-push-out"), pushed + " of " + dents.size());
        }
        Limits.Rule offer = Limits.rule("metal-push-offer");
        boolean painted = c.part().coats().stream().anyMatch(x -> x.kind() == Coat.Kind.CLEAR);
        long small = dents.stream()
                .filter(d -> d.raising() == Dent.Raising.TAPPED
                        && d.acrossMm() <= TradeBook.value("dings.middling")
                        && d.depthMm() > offer.from().orElseThrow())
                .count();
        if (painted && small > 0 && c.part().reach() == Part.Reach.BOTH_SIDES) {
            out.bears(offer, small + " of " + dents.size());
        }
        if (metal.kind() == Metal.Kind.ALUMINIUM && dents.stream().anyMatch(d -> d.raising() == Dent.Raising.PULLED)) {
            out.bears(Limits.rule("metal-pulled-aluminium"), "");
        }
    }

    /** Pits are measured once loose rust is off; as deep as the sheet they are a hole. */
    private static void pits(JudgedRepair c, Metal metal, Findings out) {
        c.all(RustPits.class).stream().mapToDouble(RustPits::depthMm).max().ifPresent(deepest -> {
            boolean through = deepest >= metal.gaugeMm();
            out.bears(
                    Limits.rule(through ? "metal-pits-through" : "metal-pits"),
                    Text.of(deepest, "mm") + " deep in sheet of " + Text.of(metal.gaugeMm(), "mm"));
        });
    }

    /** Depth counts as measured from the painted face; the coats that come off add under 0.2 mm, which primer makes up again. */
    private static void depth(double deepest, Findings out) {
        Limits.Rule shallow = Limits.rule("metal-shallow");
        Limits.Rule mid = Limits.rule("metal-depth");
        double aim = shallow.upTo().orElseThrow();
        double most = mid.upTo().orElseThrow();
        Limits.Rule bears = deepest <= aim ? shallow : deepest <= most ? mid : Limits.rule("metal-too-deep");
        out.bears(
                bears,
                Text.underMost(deepest, "mm", deepest > most) + " deep, "
                        + (deepest <= aim ? "aim is at most " + shallow.upToSaid() : "at most " + mid.upToSaid()));
    }

    /**
     * What counts is what is open once it is cut back to sound metal. Holes whose mesh margins meet count as one: its measure is the circle
     * around all of them. The mesh lies on sound metal, inside every edge.
     */
    private static void holes(JudgedRepair c, Findings out) {
        List<RustHole> holes = c.all(RustHole.class);
        if (holes.isEmpty()) {
            return;
        }
        Limits.Rule small = Limits.rule("metal-hole");
        double most = small.upTo().orElseThrow();
        double margin = TradeBook.value("mesh.past");
        List<Geometry> meshed = new ArrayList<>();
        holes.forEach(h -> meshed.add(opening(h).buffer(margin)));
        Geometry joined = OverlayNGRobust.union(meshed);
        for (int i = 0; i < joined.getNumGeometries(); i++) {
            Geometry field = joined.getGeometryN(i);
            List<RustHole> in =
                    holes.stream().filter(h -> field.intersects(h.outline())).toList();
            double across =
                    in.size() == 1 ? in.getFirst().hole().acrossMm() + 2 * cutBackMm(in.getFirst()) : acrossMm(in);
            // Of the arc that a curve is drawn with, a thousandth.
            boolean atEdge = !c.part().shape().covers(field.buffer(-margin / 1000));
            String said = (in.size() == 1 ? "" : in.size() + " holes that count as one: ")
                    + Findings.mmUnder(across, across > most) + " across once it is cut back, of at most "
                    + small.upToSaid() + (atEdge ? "; its mesh reaches an edge" : "");
            out.bears(across > most || atEdge ? Limits.rule("metal-hole-large") : small, said);
        }
    }

    /** How far past the hole it is cut: past the rust, and into sound metal. */
    private static double cutBackMm(RustHole h) {
        return h.rustPastMm() + TradeBook.value("rust.cut-margin");
    }

    private static Geometry opening(RustHole h) {
        return h.outline().buffer(cutBackMm(h));
    }

    private static double acrossMm(List<RustHole> holes) {
        List<Geometry> all = new ArrayList<>();
        holes.forEach(h -> all.add(opening(h)));
        return 2 * new org.locationtech.jts.algorithm.MinimumBoundingCircle(OverlayNGRobust.union(all)).getRadius();
    }
}
