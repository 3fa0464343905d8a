package vanemend.core.method.rust;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.damage.RustHole;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Grown;
import vanemend.core.footprint.Piece;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Portions;
import vanemend.core.part.Metal;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.section.Cut;
import vanemend.core.section.Section;
import vanemend.core.section.Taper;
import vanemend.core.trade.Text;

/** Rust-through: cut back, mesh, glass-fibre filler, body filler, primer on both sides. */
final class RustMeshLayout extends Layout {
    private final Metal metal;
    private final double cutBackMm;

    RustMeshLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.metal = (Metal) job.part().substrate();
        double rust = job.all(RustHole.class).stream()
                .mapToDouble(RustHole::rustPastMm)
                .max()
                .orElse(0);
        this.cutBackMm = value("rust.cut-margin") + (job.house().is("rust", "converter") ? 0 : rust);
    }

    @Override
    public Laid laid() {
        double fibre = Math.max(cutBackMm, 0) + value("rust.fibre-past");
        double filler = fibre + value("rust.filler-past") - value("rust.fibre-past");
        double strip = Math.max(filler + value("dent.feather-width"), value("rust.strip-past") + cutBackMm);
        double mesh = cutBackMm + value("mesh.past");
        Footprint f = Grown.on(part(), job.outline())
                .out(Zone.Kind.RUST, cutBackMm)
                .out(Zone.Kind.FIBRE, fibre)
                .out(Zone.Kind.FILLER, filler)
                .out(Zone.Kind.STRIP, strip)
                .out(Zone.Kind.CLEAN, strip + value("dent.clean-past"))
                .out(Zone.Kind.MESH, mesh)
                .out(Zone.Kind.PRIME_BACK, mesh + value("dent.clean-past"))
                .footprint();
        Ladder ladder = byHand(SurfaceLadder.of(
                f,
                job.stack().papers(),
                RustLegs.over(Zone.Kind.RUST, f, job.house()),
                job.house().label("ladder")));
        if (blockers.isEmpty()) {
            ladderHolds(ladder);
            amounts(f);
        }
        return laid(
                metal.word() + " " + Text.of(metal.gaugeMm(), "mm") + ", bare",
                f,
                () -> section(f),
                ladder,
                () -> RustMesh.lay(kit(f, ladder), openingMm()));
    }

    /** The widest of the openings once they are cut back, mm. */
    private double openingMm() {
        return job.all(RustHole.class).stream()
                        .mapToDouble(h -> h.hole().acrossMm())
                        .max()
                        .orElse(0)
                + 2 * cutBackMm;
    }

    /** A layer that is {@code thick} over {@code inner} and runs out to nothing at the edge of {@code outer}. */
    private void layer(String id, String title, Role role, Footprint f, Zone.Kind inner, Zone outer, double thick) {
        FillVolume volume = FillVolume.of(
                0,
                f.areaMm2(inner),
                f.areaMm2(outer.kind()),
                thick,
                value("dent.proud"),
                value("dent.tight-coat"),
                value("mix.board-loss"));
        // A low spot in it is at most as wide as the layer itself.
        amounts.tin(
                id,
                title,
                need(role),
                volume,
                thick,
                outer,
                volume.again(
                        volume.coatsMl() / thick,
                        FillVolume.Round.overAll(value("dent.proud"), value("dent.tight-coat"))));
    }

    private void amounts(Footprint f) {
        layer(
                "fibre",
                "Glass-fibre filler",
                Role.BACK,
                f,
                Zone.Kind.RUST,
                f.zone(Zone.Kind.FIBRE),
                value("rust.fibre-thick"));
        layer(
                "filler",
                "Body filler",
                Role.FILL,
                f,
                Zone.Kind.FIBRE,
                f.zone(Zone.Kind.FILLER),
                value("rust.filler-thick"));
        ShelfItem mesh = need(Role.REINFORCE);
        Geometry shape = f.zone(Zone.Kind.MESH).shape();
        amounts.portion(Portions.cut(
                "mesh",
                "Mesh",
                mesh,
                IntStream.range(0, shape.getNumGeometries())
                        .mapToObj(shape::getGeometryN)
                        .toList(),
                Text.of(value("mesh.past"), "mm") + " larger all round"));
        for (int i = 0; i < shape.getNumGeometries(); i++) {
            pieces.add(Piece.of(
                    "mesh-" + (i + 1), "Mesh " + (i + 1), mesh.name(), 1, Zone.Side.BACK, shape.getGeometryN(i)));
        }
        item(Role.CONVERT).ifPresent(i -> {
            amounts.portion(Portions.coats(
                    "converter",
                    "Rust converter",
                    Portion.Form.BRUSHED,
                    i,
                    f.areaMm2(Zone.Kind.RUST),
                    1,
                    "coat.converter"));
            waits.drying("converter", i, "Dry right through, black, no tack?");
        });
        ShelfItem primer = need(Role.SEAL);
        for (Zone.Kind side : List.of(Zone.Kind.STRIP, Zone.Kind.PRIME_BACK)) {
            boolean face = side == Zone.Kind.STRIP;
            Portion coats = Portions.coats(
                    face ? "primer" : "primer-back",
                    face ? "Primer, face" : "Primer, back",
                    Portion.Form.SPRAYED,
                    primer,
                    f.areaMm2(side),
                    value("coat.primer-coats"),
                    "coat.primer");
            amounts.portion(
                    face || !Portions.byGun(primer)
                            ? coats
                            : coats.noting(
                                    "One cup for both sides, where its pot life reaches, saves what is left over."));
        }
        waits.drying("primer", primer, "No string, no print?");
        amounts.coats("clean", "Cleaner", Portion.Form.WIPED, Role.CLEAN, Zone.Kind.CLEAN, f, 2, "coat.wipe");
    }

    private Section section(Footprint f) {
        double[] ends = ends(f, Zone.Kind.STRIP);
        double gauge = metal.gaugeMm();
        double coats = part().coatsMm(true) + part().coatsMm(false);
        double meshMm = value("rust.mesh-thick");
        Taper mesh = new Taper(f.zone(Zone.Kind.MESH).shape(), 1, false, cutY());
        Taper hole = new Taper(f.zone(Zone.Kind.RUST).shape(), 1, false, cutY());
        Taper fibre = new Taper(f.zone(Zone.Kind.FIBRE).shape(), value("rust.fibre-past"), false, cutY());
        Taper filler = new Taper(f.zone(Zone.Kind.FILLER).shape(), value("dent.filler-past"), false, cutY());
        Taper strip = new Taper(f.zone(Zone.Kind.STRIP).shape(), value("dent.feather-width"), true, cutY());
        Taper back = new Taper(f.zone(Zone.Kind.PRIME_BACK).shape(), 1, false, cutY());
        double primer = value("coat.epoxy-primer") / 1000;
        // The edges are turned in below the face, so that both fillers find room.
        double sink = value("rust.fibre-thick") + value("rust.filler-thick") - coats;
        DoubleUnaryOperator under = x -> -coats - gauge - sink * fibre.at(x) - meshMm * Math.signum(mesh.at(x));
        Cut cut = new Cut(cutY(), ends[0], ends[1], x -> under.applyAsDouble(x) - primer * Math.signum(back.at(x)))
                .layer("primer-back", "Primer, back", "coat", under)
                .layer("mesh", "Mesh", "cloth", x -> -coats - gauge - sink * fibre.at(x))
                .layer("part", "Part", "part", x -> -coats - sink * fibre.at(x) - (hole.at(x) > 0 ? gauge : 0))
                .layer(
                        "fibre",
                        "Glass-fibre filler",
                        "backing",
                        x -> -coats - (sink - value("rust.fibre-thick")) * fibre.at(x))
                .layer("filler", "Body filler", "fill", x -> filler.at(x) > 0 ? -coats + coats * filler.at(x) : -1e3)
                .layer("coats", "Coats", "paint", x -> -coats + coats * strip.at(x));
        DoubleUnaryOperator sound = cut.top();
        return cut.layer("primer", "Primer", "coat", x -> sound.applyAsDouble(x) + (strip.at(x) < 1 ? primer : 0))
                .section();
    }
}
