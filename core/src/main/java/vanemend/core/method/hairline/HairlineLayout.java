package vanemend.core.method.hairline;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.cure.MoistureCure;
import vanemend.core.damage.Crack;
import vanemend.core.damage.Damage;
import vanemend.core.damage.Hairline;
import vanemend.core.damage.Trace;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Piece;
import vanemend.core.footprint.Reach;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.mix.Portions;
import vanemend.core.part.Part;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.section.Cut;
import vanemend.core.section.Section;
import vanemend.core.section.Taper;
import vanemend.core.trade.Text;

/** Hairline in a composite panel that flexes: stop holes, groove, sealant. */
final class HairlineLayout extends Layout {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    private final double wallMm;
    private final double depthMm;

    HairlineLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.wallMm = job.part().substrate().wallMm().orElseThrow();
        this.depthMm = Math.min(value("groove.depth"), wallMm * value("groove.gelcoat-share"));
    }

    private List<Trace> traces() {
        List<Trace> out = new ArrayList<>();
        for (Damage d : job.damages()) {
            switch (d) {
                case Hairline h -> out.add(h.trace());
                case Crack c -> out.add(c.trace());
                default -> {}
            }
        }
        return out;
    }

    @Override
    public Laid laid() {
        Footprint f = footprint();
        double length = traces().stream().mapToDouble(Trace::lengthMm).sum();
        Ladder ladder = byHand(SurfaceLadder.of(f, job.stack().papers(), List.of(), "chamfer only"));
        if (blockers.isEmpty()) {
            Groove groove = new Groove(length, value("groove.width"), depthMm);
            ShelfItem sealant = need(Role.SEAL);
            double ml = groove.volumeMm3() / 1000;
            double bead = Math.sqrt(4 * ml * 1000 / length / Math.PI);
            amounts.portion(Portions.bead("sealant", "Sealant", sealant, length, Math.ceil(bead * 10) / 10));
            // Tape leaves while it tacks: tried from the quickest that the label knows, at today's air.
            double skin = MoistureCure.skinMin(
                    value("moisture.skin-first"), job.shop().air());
            waits.still(
                    "skin",
                    "Sealant: tried from",
                    sealant.name(),
                    skin,
                    "Skin just forming, still tacky?",
                    "label " + Text.book("moisture.skin-first") + " at its quickest, at "
                            + Text.book("moisture.reference")
                            + ", " + Text.book("moisture.reference-rh")
                            + "; sooner in warm damp air, later in dry or cold");
            double through = new MoistureCure(value("moisture.per-day"))
                    .minutes(depthMm, job.shop().air());
            waits.still(
                    "refit",
                    "Sealant: refit",
                    sealant.name(),
                    Math.max(value("moisture.refit"), through),
                    "Firm right through, no tack?",
                    Text.book("moisture.refit") + "; " + Text.of(depthMm, "mm") + " cures through in "
                            + Text.of(Math.ceil(through / 60), "h") + " at today's air");
            pieces.add(Piece.of(
                    "outline",
                    "Tape outline",
                    "masking tape",
                    1,
                    Zone.Side.FACE,
                    f.zone(Zone.Kind.TAPE).shape()));
        }
        return laid(
                part().substrate().word(),
                f,
                () -> section(f),
                ladder,
                () -> HairlineSealant.lay(
                        kit(f, ladder),
                        length,
                        depthMm,
                        part().answer("composite-hairline-hidden") == Part.Answer.YES));
    }

    private Footprint footprint() {
        double half = value("groove.width") / 2;
        double past = value("stop-hole.past");
        List<Geometry> holes = new ArrayList<>();
        for (Trace t : traces()) {
            Coordinate[] c = t.line().getCoordinates();
            holes.add(hole(c[0], c[1], past));
            holes.add(hole(c[c.length - 1], c[c.length - 2], past));
        }
        return job.grown()
                .out(Zone.Kind.GROOVE, half)
                .out(Zone.Kind.TAPE, half + value("tape.past"))
                .out(Zone.Kind.CLEAN, half + value("dent.clean-past"))
                .shape(Zone.Kind.STOP_HOLE, past, OverlayNGRobust.union(holes))
                .footprint();
    }

    /** A hole past the end {@code at}, on the line from {@code from}. */
    private static Geometry hole(Coordinate at, Coordinate from, double past) {
        double length = at.distance(from);
        double x = at.x + (at.x - from.x) / length * past;
        double y = at.y + (at.y - from.y) / length * past;
        return Reach.grow(GEOMETRY.createPoint(new Coordinate(x, y)), value("stop-hole.diameter") / 2);
    }

    private Section section(Footprint f) {
        double[] ends = ends(f, Zone.Kind.CLEAN);
        double half = value("groove.width") / 2;
        Taper t = new Taper(f.zone(Zone.Kind.DAMAGE).shape(), half, true, cutY());
        double coats = part().coatsMm(true) + part().coatsMm(false);
        return new Cut(cutY(), ends[0], ends[1], x -> -wallMm)
                .layer("part", "Part", "part", x -> Math.min(-coats, -depthMm * (1 - t.at(x))))
                .layer("coats", "Coats", "paint", x -> -depthMm * (1 - t.at(x)))
                .layer("sealant", "Sealant", "fill", x -> 0)
                .section();
    }
}
