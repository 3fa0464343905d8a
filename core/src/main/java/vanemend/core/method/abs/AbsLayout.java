package vanemend.core.method.abs;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoublePredicate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.cure.Flash;
import vanemend.core.cure.SolventCure;
import vanemend.core.damage.Crack;
import vanemend.core.damage.Missing;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Piece;
import vanemend.core.footprint.Reach;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Portions;
import vanemend.core.part.Plastic;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.section.Cut;
import vanemend.core.section.Section;
import vanemend.core.section.Taper;
import vanemend.core.trade.Text;

/** ABS rebuilt with solvent resin: beads over cracks and around a piece let in. */
final class AbsLayout extends Layout {
    private final Plastic plastic;

    AbsLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.plastic = (Plastic) job.part().substrate();
    }

    /** Cracks that a bead goes over. */
    private List<Geometry> cracks() {
        return job.all(Crack.class).stream()
                .map(c -> (Geometry) c.trace().line())
                .toList();
    }

    /** The joint around each piece that is let in, inside the part. */
    private List<Geometry> joints() {
        return job.all(Missing.class).stream()
                .map(m -> OverlayNGRobust.overlay(m.outline().getBoundary(), part().shape(), OverlayNG.INTERSECTION))
                .toList();
    }

    private static double lengthMm(List<Geometry> lines) {
        return lines.isEmpty() ? 0 : OverlayNGRobust.union(lines).getLength();
    }

    @Override
    public Laid laid() {
        List<Geometry> lines = new ArrayList<>(cracks());
        lines.addAll(joints());
        List<Missing> gone = job.all(Missing.class);
        Footprint f = footprint(OverlayNGRobust.union(lines));
        Ladder ladder = byHand(SurfaceLadder.of(f, job.stack().papers(), List.of(), "none: the resin is not sanded"));
        if (blockers.isEmpty()) {
            ShelfItem resin = need(Role.BACK);
            bead(AbsRebuild.CRACKS, "Solvent resin over the cracks", resin, lengthMm(cracks()));
            bead(AbsRebuild.JOINT, "Solvent resin around the piece", resin, lengthMm(joints()));
            bead(AbsRebuild.REOPENED, "Solvent resin where it opens again, each stretch", resin, value("bead.stretch"));
            double air = Flash.factor(job.shop().air());
            double bead = value("bead.diameter");
            waits.still(
                    "handle",
                    "Resin: back tape from",
                    resin.name(),
                    SolventCure.minutes(
                            resin.materialClass().figure("handle").orElse(value("solvent.handle")), bead, air),
                    "Bead skinned and firm to a nail?",
                    "label " + Text.book("solvent.handle") + " for a bead of " + Text.book("bead.diameter")
                            + ", stretched by today's air");
            waits.still(
                    "full",
                    "Resin: full strength",
                    resin.name(),
                    SolventCure.minutes(resin.materialClass().figure("full").orElse(value("solvent.full")), bead, air),
                    "Hard right through, no smell?",
                    "label " + Text.book("solvent.full") + " for a bead of " + Text.book("bead.diameter")
                            + "; thickness counts squared");
            if (!gone.isEmpty()) {
                ShelfItem offcut = need(Role.REINFORCE);
                List<Geometry> shapes = new ArrayList<>();
                for (int i = 0; i < gone.size(); i++) {
                    Geometry piece = Reach.within(gone.get(i).outline(), part().shape());
                    shapes.add(piece);
                    pieces.add(
                            Piece.of("piece-" + (i + 1), "Piece " + (i + 1), offcut.name(), 1, Zone.Side.FACE, piece));
                }
                amounts.portion(Portions.cut(
                        "piece",
                        "Missing piece",
                        offcut,
                        shapes,
                        Text.of(plastic.thicknessMm(), "mm") + " thick, as the part"));
            }
            amounts.coats("clean", "Cleaner", Portion.Form.WIPED, Role.CLEAN, Zone.Kind.CLEAN, f, 2, "coat.wipe");
        }
        return laid(
                plastic.word(),
                f,
                () -> section(f),
                ladder,
                () -> AbsRebuild.lay(kit(f, ladder), !cracks().isEmpty(), !gone.isEmpty()));
    }

    private void bead(String id, String title, ShelfItem resin, double lengthMm) {
        if (lengthMm > 0) {
            amounts.portion(Portions.bead(id, title, resin, lengthMm, value("bead.diameter")));
        }
    }

    private Footprint footprint(Geometry joints) {
        double half = value("bead.diameter") / 2;
        double tape = value("tape.face-past");
        return job.grown()
                .out(Zone.Kind.FACE_TAPE, tape)
                .out(Zone.Kind.CLEAN, tape + value("dent.clean-past"))
                .shape(Zone.Kind.BEAD, half, Reach.within(Reach.grow(joints, half), part().shape()))
                .out(Zone.Kind.BACK_CLEAN, tape + value("dent.clean-past"))
                .footprint();
    }

    private Section section(Footprint f) {
        double[] ends = ends(f, Zone.Kind.FACE_TAPE);
        double t = plastic.thicknessMm();
        double d = value("bead.diameter");
        Taper bead = new Taper(f.zone(Zone.Kind.BEAD).shape(), d / 2, false, cutY());
        List<Taper> pieces = job.all(Missing.class).stream()
                .map(m -> new Taper(m.outline(), 1, false, cutY()))
                .toList();
        DoublePredicate let = x -> pieces.stream().anyMatch(p -> p.inside(x));
        return new Cut(cutY(), ends[0], ends[1], x -> -t - d / 2 * round(bead.at(x)))
                .layer("bead", "Bead, back", "resin", x -> -t)
                .layer("part", "Part", "part", x -> let.test(x) ? -t : 0)
                .layer("piece", "Piece let in", "coat", x -> 0)
                .section();
    }

    /** A half-round bead over its share of the way in. */
    private static double round(double share) {
        return Math.sqrt(Math.max(0, 1 - (1 - share) * (1 - share)));
    }
}
