package vanemend.core.method.seam;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.linearref.LengthIndexedLine;
import vanemend.core.damage.Seam;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Grown;
import vanemend.core.footprint.Reach;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.MaterialClass.Surface;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.method.Legs;
import vanemend.core.mix.Again;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Tin;
import vanemend.core.part.Metal;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.Leg;
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.sanding.Tool;
import vanemend.core.section.Cut;
import vanemend.core.section.Section;
import vanemend.core.section.Taper;
import vanemend.core.stack.Need;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** A weld seam in steel skin: a bare band, filler far past it on both sides in two coats, putty over all. */
final class SeamLayout extends Layout {
    private final Metal metal;
    private final List<Seam> seams;
    private final double deepMm;
    private final boolean pinholed;

    SeamLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.metal = (Metal) job.part().substrate();
        this.seams = job.all(Seam.class);
        this.deepMm = seams.stream().mapToDouble(Seam::depthMm).max().orElseThrow();
        this.pinholed = job.recipe().way().equals("PINHOLED");
    }

    @Override
    public Laid laid() {
        double filler = fillerPastMm();
        double putty = filler + value("dent.putty-past-feather");
        double dulled = putty + value("dent.refine-past-putty");
        double fine = dulled + value("dent.320-past");
        Grown grown = Grown.on(part(), job.outline());
        if (pinholed) {
            grown.out(Zone.Kind.FIBRE, value("pits.fibre-past"));
        }
        Footprint f = grown.out(Zone.Kind.STRIP, value("steel-seam.bare-past"))
                .out(Zone.Kind.FILLER, filler)
                .out(Zone.Kind.PUTTY, putty)
                .out(Zone.Kind.DULLED, dulled)
                .fine(Zone.Kind.FINE_320, fine)
                .out(Zone.Kind.CLEAN, fine + value("dent.clean-past"))
                .out(Zone.Kind.PRIME_BACK, value("steel-seam.bare-past"))
                .footprint();
        Ladder ladder = byHand(
                SurfaceLadder.of(f, job.stack().papers(), legs(f), job.house().label("ladder")));
        Optional<Double> primer = item(Role.PRIME)
                .map(i -> job.times().law(i).sandMinAt(airC(), 1).orElse(-1));
        if (blockers.isEmpty()) {
            ladderHolds(ladder);
            amounts(f);
            if (primer.isPresent() && primer.get() < 0) {
                blockers.add("Epoxy primer does not cure at " + Text.of(airC(), "°C") + ": warm the shop.");
            }
        }
        return laid(
                metal.word() + " " + Text.of(metal.gaugeMm(), "mm") + ", "
                        + (primer.isPresent() ? "epoxy primed" : "bare"),
                f,
                () -> section(f),
                ladder,
                () -> SeamPage.lay(
                        kit(f, ladder),
                        new SeamPage.Found(deepMm, pinholed, primer, job.times().sandMin(need(Role.SEAL)))));
    }

    /** The deeper the sheet has sunk, the further its ridge is drawn out: from the least where nothing sank to the most at the aim, mm. */
    private double fillerPastMm() {
        double aim = TradeBook.shipped().turn("limit.metal-shallow.upTo").value();
        double least = value("steel-seam.filler-least");
        return least + Math.min(1, deepMm / aim) * (value("steel-seam.filler-most") - least);
    }

    private List<Leg> legs(Footprint f) {
        double limit = value(job.house().is("ladder", "quick") ? "ladder.ratio.quick" : "ladder.ratio.fine");
        List<Leg> out = new ArrayList<>();
        out.add(Legs.over(
                SeamPage.BARE,
                "Bare the seam",
                80,
                Zone.Kind.STRIP,
                f,
                "minutes.open.per-100cm2",
                Tool.DA,
                "bright metal, no blue left, paint edge feathered"));
        out.add(Legs.leg(
                SeamPage.DULL,
                "Around it",
                180,
                180,
                value("ladder.scuff") / 1000 * (f.areaMm2(Zone.Kind.DULLED) - f.areaMm2(Zone.Kind.STRIP)),
                Zone.Kind.DULLED,
                Zone.Kind.DULLED,
                Zone.Kind.DULLED,
                Tool.FLAT_DA,
                "slow and moving",
                "dull all over, no more metal shows"));
        if (pinholed) {
            out.add(board(
                    SeamPage.FIBRE,
                    "On the glass-fibre filler",
                    80,
                    proud(f, Zone.Kind.DAMAGE, Zone.Kind.FIBRE),
                    Zone.Kind.FIBRE));
        }
        out.add(board(
                SeamPage.FIRST,
                "On the first coat",
                80,
                proud(f, Zone.Kind.DAMAGE, Zone.Kind.FILLER),
                Zone.Kind.FILLER));
        out.add(Legs.leg(
                        SeamPage.SECOND,
                        "On the second coat",
                        80,
                        180,
                        value("dent.tight-coat") * f.areaMm2(Zone.Kind.FILLER),
                        Zone.Kind.FILLER,
                        Zone.Kind.FILLER,
                        Zone.Kind.DULLED,
                        Tool.BOARD,
                        "along the seam, then across it",
                        "one sweep of the hand feels no ridge, edges translucent")
                .at(limit, value("ladder.rate.block")));
        out.add(Legs.leg(
                        SeamPage.FINE,
                        "After the putty",
                        180,
                        320,
                        (value("dent.putty-spread") - value("dent.putty-finished"))
                                * (f.areaMm2(Zone.Kind.FILLER) + f.areaMm2(Zone.Kind.PUTTY))
                                / 2,
                        Zone.Kind.DULLED,
                        Zone.Kind.DULLED,
                        Zone.Kind.FINE_320,
                        Tool.FLAT_DA,
                        "slow and moving",
                        "dull everywhere, no line felt")
                .at(limit, value("ladder.rate.da")));
        return List.copyOf(out);
    }

    private static Leg board(String id, String stage, int grade, double mm3, Zone.Kind zone) {
        return Legs.leg(
                id,
                stage,
                grade,
                grade,
                mm3,
                zone,
                zone,
                zone,
                Tool.BOARD,
                "along the seam, then across it",
                "level; what stays dark is low");
    }

    /** What stands proud of the surface and is sanded off: whole over {@code inner}, nothing at the edge of {@code outer}, mm³. */
    private static double proud(Footprint f, Zone.Kind inner, Zone.Kind outer) {
        return value("dent.proud") * (f.areaMm2(inner) + f.areaMm2(outer)) / 2;
    }

    private void amounts(Footprint f) {
        if (pinholed) {
            FillVolume fibre = FillVolume.of(
                    value("steel-seam.ground-below") * f.areaMm2(Zone.Kind.DAMAGE),
                    f.areaMm2(Zone.Kind.DAMAGE),
                    f.areaMm2(Zone.Kind.FIBRE),
                    value("pits.fibre-thick"),
                    value("dent.proud"),
                    value("dent.tight-coat"),
                    value("mix.board-loss"));
            tin(
                    "fibre",
                    "Glass-fibre filler",
                    Role.BACK,
                    fibre,
                    value("steel-seam.ground-below") + value("pits.fibre-thick"),
                    f.zone(Zone.Kind.FIBRE),
                    fibre.again(0, FillVolume.Round.overAll(value("dent.proud"), value("dent.tight-coat"))));
        }
        ShelfItem filler = need(Role.FILL);
        Zone over = f.zone(Zone.Kind.FILLER);
        double perMm = deepMm > 0 ? sunkMm3(over.pastMm()) / deepMm / 1000 : evenMm3(over.pastMm()) / 1000;
        FillVolume first = FillVolume.of(
                sunkMm3(over.pastMm()),
                f.areaMm2(Zone.Kind.DAMAGE),
                over.areaMm2(),
                part().coatsMm(true) + part().coatsMm(false),
                value("dent.proud"),
                value("dent.tight-coat"),
                value("mix.board-loss"));
        Tin tin = amounts.thinned(filler, ground());
        amounts.tin(
                "filler",
                "Filler",
                tin,
                first,
                deepMm,
                over,
                first.again(perMm, FillVolume.Round.overAll(value("dent.proud"), value("dent.tight-coat"))),
                0);
        FillVolume second = FillVolume.of(
                0,
                f.areaMm2(Zone.Kind.DAMAGE),
                over.areaMm2(),
                0,
                0,
                value("dent.tight-coat"),
                value("mix.board-loss"));
        amounts.tin(
                "second",
                "Filler, second coat",
                tin,
                second,
                value("dent.tight-coat"),
                over,
                second.again(perMm, FillVolume.Round.overAll(0, value("dent.tight-coat"))),
                0);
        FillVolume putty = FillVolume.of(
                0,
                over.areaMm2(),
                f.areaMm2(Zone.Kind.PUTTY),
                0,
                value("dent.putty-spread"),
                0,
                value("mix.board-loss"));
        tin(
                "putty",
                "Putty",
                Role.FINISH,
                putty,
                value("dent.putty-spread"),
                f.zone(Zone.Kind.PUTTY),
                putty.again(perMm, FillVolume.Round.overAll(value("dent.putty-spread"), 0)));
        amounts.coats("clean", "Cleaner", Portion.Form.WIPED, Role.CLEAN, Zone.Kind.CLEAN, f, 2, "coat.wipe");
        amounts.coats("primer", "Primer", Portion.Form.SPRAYED, Role.PRIME, Zone.Kind.STRIP, f, 1, "coat.primer");
        amounts.coats(
                "primer-back",
                "Primer, back",
                Portion.Form.SPRAYED,
                Role.SEAL,
                Zone.Kind.PRIME_BACK,
                f,
                value("coat.primer-coats"),
                "coat.primer");
    }

    /** The band is ground bare; a way may prime it, or close its pinholes, before it is filled: what holds least there is asked for. */
    private Surface ground() {
        if (pinholed) {
            return Surface.GLASS_FILLER;
        }
        return job.stack().item(Role.PRIME).isPresent() ? Surface.EPOXY_PRIMER : Need.bareMetal(metal);
    }

    private void tin(String id, String title, Role role, FillVolume volume, double thickMm, Zone over, Again again) {
        amounts.tin(id, title, need(role), volume, thickMm, over, again);
    }

    /**
     * What all of the sinking takes, mm³. Beside a weld of length L and width w the sheet rises straight to nothing: L·(w + past) a mm of
     * its mean depth. What lies round its ends goes with the depth there.
     */
    private double sunkMm3(double past) {
        double all = evenMm3(past);
        double along = 0;
        double deep = 0;
        double ends = 0;
        for (Seam s : seams) {
            double mm2 = s.trace().lengthMm() * (s.widthMm() + past);
            along += mm2;
            deep += mm2 * s.sunk().meanMm();
            ends += (s.sunk().depthAt(0) + s.sunk().depthAt(s.sunk().lengthMm())) / 2 / seams.size();
        }
        // Where an edge cuts it off, all of it goes with the mean.
        return deep * Math.min(1, all / along) + Math.max(0, all - along) * ends;
    }

    /** Where the sheet lies at {@code x} on the cut, how far the weld nearest to it has sunk, mm. */
    private double sunkMm(double x) {
        Point at = new GeometryFactory().createPoint(new Coordinate(x, cutY()));
        Seam nearest = seams.stream()
                .min(Comparator.comparingDouble(s -> s.trace().line().distance(at)))
                .orElseThrow();
        return nearest.sunk().depthAt(new LengthIndexedLine(nearest.trace().line()).project(at.getCoordinate()));
    }

    /**
     * What a mm of even sinking takes, mm³: deepest along the whole weld, and from there straight up to nothing {@code past} mm beside it. Its level
     * lines are the weld grown by less and less; grown outlines have areas that are quadratic in the distance (Steiner), so Simpson's rule
     * over three of them is exact where no edge cuts them.
     */
    private double evenMm3(double past) {
        double half = Reach.within(Reach.grow(job.outline(), past / 2), part().shape())
                .getArea();
        double all =
                Reach.within(Reach.grow(job.outline(), past), part().shape()).getArea();
        double none = Reach.within(job.outline(), part().shape()).getArea();
        return (none + 4 * half + all) / 6;
    }

    private Section section(Footprint f) {
        double[] ends = ends(f, Zone.Kind.FINE_320);
        double gauge = metal.gaugeMm();
        double coats = part().coatsMm(true) + part().coatsMm(false);
        double past = f.zone(Zone.Kind.FILLER).pastMm();
        Taper sunk = new Taper(f.zone(Zone.Kind.FILLER).shape(), past, false, cutY());
        Taper bare = new Taper(f.zone(Zone.Kind.STRIP).shape(), value("dent.feather-width"), true, cutY());
        Taper putty = new Taper(
                f.zone(Zone.Kind.PUTTY).shape(), f.zone(Zone.Kind.PUTTY).pastMm() - past, false, cutY());
        DoubleUnaryOperator sheet = x -> -coats - (sunk.at(x) > 0 ? sunkMm(x) * sunk.at(x) : 0);
        Cut cut = new Cut(cutY(), ends[0], ends[1], x -> sheet.applyAsDouble(x) - gauge)
                .layer("part", "Part", "part", sheet)
                .layer("coats", "Coats", "paint", x -> sheet.applyAsDouble(x) + coats * bare.at(x));
        if (item(Role.PRIME).isPresent()) {
            cut.layer(
                    "coats-kept",
                    "Epoxy primer",
                    "coat",
                    x -> bare.at(x) < 1 ? sheet.applyAsDouble(x) + value("coat.epoxy-primer") / 1000 : -1e3);
        }
        if (pinholed) {
            Taper fibre = new Taper(f.zone(Zone.Kind.FIBRE).shape(), value("pits.fibre-past"), false, cutY());
            cut.layer(
                    "fibre",
                    "Glass-fibre filler",
                    "backing",
                    x -> fibre.at(x) > 0 ? sheet.applyAsDouble(x) + value("pits.fibre-thick") * fibre.at(x) : -1e3);
        }
        return cut.layer("filler", "Filler", "fill", x -> sunk.at(x) > 0 ? 0 : -1e3)
                .layer(
                        "putty",
                        "Putty",
                        "finish",
                        x -> putty.at(x) > 0 ? value("dent.putty-finished") * putty.at(x) : -1e3)
                .section();
    }
}
