package vanemend.core.method.rust;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import vanemend.core.damage.RustPits;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Grown;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Portion;
import vanemend.core.part.Metal;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.section.Cut;
import vanemend.core.section.Section;
import vanemend.core.section.Taper;
import vanemend.core.trade.Text;

/** Rust pits: stripped bare, glass-fibre filler in and over the pits, body filler beyond its edge. */
final class RustPitsLayout extends Layout {
    private final Metal metal;
    private final double deepestMm;

    RustPitsLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.metal = (Metal) job.part().substrate();
        this.deepestMm = job.all(RustPits.class).stream()
                .mapToDouble(RustPits::depthMm)
                .max()
                .orElseThrow();
    }

    @Override
    public Laid laid() {
        double filler = value("pits.filler-past");
        double strip = Math.max(filler + value("dent.feather-width"), value("rust.strip-past"));
        Footprint f = Grown.on(part(), job.outline())
                .out(Zone.Kind.FIBRE, value("pits.fibre-past"))
                .out(Zone.Kind.FILLER, filler)
                .out(Zone.Kind.STRIP, strip)
                .out(Zone.Kind.CLEAN, strip + value("dent.clean-past"))
                .footprint();
        Ladder ladder = byHand(SurfaceLadder.of(
                f,
                job.stack().papers(),
                RustLegs.over(Zone.Kind.DAMAGE, f, job.house()),
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
                () -> RustPitsFill.lay(kit(f, ladder)));
    }

    /** Mean depth of the pitted place, mm. */
    private double meanMm() {
        return deepestMm * value("pits.share");
    }

    private void amounts(Footprint f) {
        double fibre = value("pits.fibre-thick");
        FillVolume into = FillVolume.of(
                meanMm() * f.areaMm2(Zone.Kind.DAMAGE),
                f.areaMm2(Zone.Kind.DAMAGE),
                f.areaMm2(Zone.Kind.FIBRE),
                fibre,
                value("dent.proud"),
                value("dent.tight-coat"),
                value("mix.board-loss"));
        tin("fibre", "Glass-fibre filler", Role.BACK, into, deepestMm + fibre, f.zone(Zone.Kind.FIBRE));
        double filler = value("pits.filler-thick");
        FillVolume over = FillVolume.of(
                0,
                f.areaMm2(Zone.Kind.FIBRE),
                f.areaMm2(Zone.Kind.FILLER),
                filler,
                value("dent.proud"),
                value("dent.tight-coat"),
                value("mix.board-loss"));
        tin("filler", "Body filler", Role.FILL, over, filler, f.zone(Zone.Kind.FILLER));
        amounts.coats(
                "converter",
                "Rust converter",
                Portion.Form.BRUSHED,
                Role.CONVERT,
                Zone.Kind.DAMAGE,
                f,
                1,
                "coat.converter");
        item(Role.CONVERT).ifPresent(i -> waits.drying("converter", i, "Dry right through, black, no tack?"));
        waits.drying("primer", need(Role.SEAL), "No string, no print?");
        amounts.coats(
                "primer",
                "Primer",
                Portion.Form.SPRAYED,
                Role.SEAL,
                Zone.Kind.STRIP,
                f,
                value("coat.primer-coats"),
                "coat.primer");
        amounts.coats("clean", "Cleaner", Portion.Form.WIPED, Role.CLEAN, Zone.Kind.CLEAN, f, 2, "coat.wipe");
    }

    /** A low spot in a layer is at most as wide as the layer itself. */
    private void tin(String id, String title, Role role, FillVolume volume, double thickMm, Zone over) {
        double perMm = (job.outline().getArea() + over.areaMm2()) / 2 / 1000;
        amounts.tin(
                id,
                title,
                need(role),
                volume,
                thickMm,
                over,
                volume.again(perMm, FillVolume.Round.overAll(value("dent.proud"), value("dent.tight-coat"))));
    }

    private Section section(Footprint f) {
        double[] ends = ends(f, Zone.Kind.STRIP);
        double gauge = metal.gaugeMm();
        double coats = part().coatsMm(true) + part().coatsMm(false);
        double primer = value("coat.epoxy-primer") / 1000;
        Taper pits = new Taper(f.zone(Zone.Kind.DAMAGE).shape(), 2, false, cutY());
        Taper fibre = new Taper(f.zone(Zone.Kind.FIBRE).shape(), value("pits.fibre-past"), false, cutY());
        Taper filler = new Taper(f.zone(Zone.Kind.FILLER).shape(), value("dent.filler-past"), false, cutY());
        Taper strip = new Taper(f.zone(Zone.Kind.STRIP).shape(), value("dent.feather-width"), true, cutY());
        double build = value("pits.fibre-thick");
        double skim = value("pits.filler-thick");
        // The place is tapped a little below the face, so that both fillers find room.
        double sink = Math.max(0, build + skim - coats);
        DoubleUnaryOperator metalTop = x -> -coats - sink * fibre.at(x);
        Cut cut = new Cut(cutY(), ends[0], ends[1], x -> metalTop.applyAsDouble(x) - gauge)
                .layer("part", "Part", "part", x -> metalTop.applyAsDouble(x) - Math.min(deepestMm, gauge) * pits.at(x))
                .layer(
                        "fibre",
                        "Glass-fibre filler",
                        "backing",
                        x -> fibre.at(x) > 0 ? metalTop.applyAsDouble(x) + build * fibre.at(x) : -1e3)
                .layer("filler", "Body filler", "fill", x -> filler.at(x) > 0 ? -coats + coats * filler.at(x) : -1e3)
                .layer("coats", "Coats", "paint", x -> -coats + coats * strip.at(x));
        DoubleUnaryOperator sound = cut.top();
        return cut.layer("primer", "Primer", "coat", x -> sound.applyAsDouble(x) + (strip.at(x) < 1 ? primer : 0))
                .section();
    }
}
