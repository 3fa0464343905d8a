package vanemend.core.method.dent;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import vanemend.core.damage.Blemish;
import vanemend.core.damage.Dent;
import vanemend.core.damage.DepthField;
import vanemend.core.damage.Scratch;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Grown;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.method.Legs;
import vanemend.core.mix.Portion;
import vanemend.core.part.Metal;
import vanemend.core.sanding.Grains;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.sanding.Tool;
import vanemend.core.section.Cut;
import vanemend.core.section.Section;
import vanemend.core.section.Taper;
import vanemend.core.trade.Text;

/** Scratches and chips no deeper than the coats: their edges feathered, nothing filled. */
final class FeatherLayout extends Layout {
    private final Metal metal;
    private final DepthField field;

    FeatherLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.metal = (Metal) job.part().substrate();
        List<Dent> hollows = new ArrayList<>();
        job.all(Scratch.class).forEach(s -> hollows.addAll(s.hollows()));
        job.all(Blemish.class).forEach(b -> hollows.add(b.hollow()));
        this.field = new DepthField(hollows);
    }

    @Override
    public Laid laid() {
        double feather = value("scratch.feather-past");
        double fine = feather + value("dent.320-past");
        Footprint f = Grown.on(part(), job.outline())
                .out(Zone.Kind.FEATHER, feather)
                .fine(Zone.Kind.FINE_320, fine)
                .out(Zone.Kind.CLEAN, fine + value("dent.clean-past"))
                .footprint();
        Ladder ladder = byHand(SurfaceLadder.of(
                f,
                job.stack().papers(),
                List.of(
                        Legs.dulls(
                                FeatherPage.FEATHER,
                                "Feather the edge",
                                180,
                                Zone.Kind.FEATHER,
                                f,
                                Tool.FLAT_DA,
                                "no step under a nail"),
                        Legs.leg(
                                FeatherPage.FINE,
                                "Around it",
                                320,
                                320,
                                fineMm3(f),
                                Zone.Kind.FINE_320,
                                Zone.Kind.FINE_320,
                                Zone.Kind.FINE_320,
                                Tool.DA,
                                "slow and moving",
                                "dull everywhere, no gloss")),
                "180 to the edge, 320 out"));
        if (blockers.isEmpty()) {
            ladderHolds(ladder);
            amounts.coats("clean", "Cleaner", Portion.Form.WIPED, Role.CLEAN, Zone.Kind.CLEAN, f, 2, "coat.wipe");
        }
        return laid(
                metal.word() + " " + Text.of(metal.gaugeMm(), "mm"),
                f,
                () -> section(f),
                ladder,
                () -> FeatherPage.lay(
                        kit(f, ladder),
                        field.deepest().depthMm(),
                        IntStream.range(0, job.damages().size()).boxed().toList()));
    }

    /** The scratches of 180 out of the feathered field, and the gloss off what lies around it, mm³. */
    private static double fineMm3(Footprint f) {
        double feathered = f.areaMm2(Zone.Kind.FEATHER);
        return value("ladder.scratch-share") * Grains.micrometres("P", 180) / 1000 * feathered
                + value("ladder.scuff") / 1000 * (f.areaMm2(Zone.Kind.FINE_320) - feathered);
    }

    private Section section(Footprint f) {
        double[] ends = ends(f, Zone.Kind.FINE_320);
        double coats = part().coatsMm(true) + part().coatsMm(false);
        Taper feather = new Taper(f.zone(Zone.Kind.DAMAGE).shape(), value("scratch.feather-past"), true, cutY());
        return new Cut(cutY(), ends[0], ends[1], x -> -coats - metal.gaugeMm())
                .layer("part", "Part", "part", x -> -Math.max(coats, field.depthAt(x, cutY())))
                .layer("coats", "Coats", "paint", x -> -coats * (1 - feather.at(x)))
                .section();
    }

    @Override
    protected double cutY() {
        return job.wishes().cutYMm().orElseGet(() -> field.deepest().yMm());
    }
}
