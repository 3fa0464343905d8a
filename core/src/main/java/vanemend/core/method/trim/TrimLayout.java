package vanemend.core.method.trim;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import vanemend.core.damage.Blemish;
import vanemend.core.damage.Damage;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Grown;
import vanemend.core.footprint.Reach;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Chemistry;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.method.Legs;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Portions;
import vanemend.core.part.Plastic;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.Leg;
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.sanding.Tool;
import vanemend.core.section.Cut;
import vanemend.core.section.Section;
import vanemend.core.section.Taper;

/** Trim: residue off, divot filled, grain and colour. */
final class TrimLayout extends Layout {
    private static final int FINE = 320;

    private final Plastic plastic;

    TrimLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.plastic = (Plastic) job.part().substrate();
    }

    private List<Blemish> of(Damage.Kind kind) {
        return job.all(Blemish.class).stream().filter(b -> b.kind() == kind).toList();
    }

    /** Bowl: π·a·b·h/2, mL. */
    private double divotMl() {
        return of(Damage.Kind.DIVOT).stream()
                        .mapToDouble(b ->
                                Math.PI / 4 * b.place().lengthMm() * b.place().widthMm() * b.depthMm() / 2)
                        .sum()
                / 1000;
    }

    @Override
    public Laid laid() {
        boolean residue = !of(Damage.Kind.RESIDUE).isEmpty();
        boolean divot = !of(Damage.Kind.DIVOT).isEmpty();
        double sand = value("trim.sand-past");
        double texture = value("coat.texture-past");
        double colour = texture + value("coat.colour-past");
        boolean whole = whole(colour);
        Grown grown =
                Grown.on(part(), job.outline()).out(Zone.Kind.FINE_320, sand).fine(Zone.Kind.TEXTURE, texture);
        Footprint f = (whole
                        ? grown.shape(Zone.Kind.COLOUR, colour, part().shape())
                                .shape(Zone.Kind.CLEAN, colour, part().shape())
                        : grown.fine(Zone.Kind.COLOUR, colour)
                                .out(Zone.Kind.CLEAN, Math.max(colour, value("trim.clean-past"))))
                .footprint();
        List<Leg> legs = new ArrayList<>();
        if (residue) {
            legs.add(Legs.dulls(
                    "residue",
                    "Hard glue",
                    FINE,
                    Zone.Kind.DAMAGE,
                    f,
                    Tool.SLOW_ORBITAL,
                    "glue gone, grain still there"));
        }
        legs.add(Legs.dulls(
                "dull", "Over the repair", FINE, Zone.Kind.FINE_320, f, Tool.SLOW_ORBITAL, "dull all over, no edge"));
        Ladder ladder = byHand(SurfaceLadder.of(f, job.stack().papers(), legs, "never coarser than 180"));
        if (blockers.isEmpty()) {
            ladderHolds(ladder);
            amounts(f, divot);
        }
        return laid(
                plastic.word(),
                f,
                () -> section(f),
                ladder,
                () -> TrimFinish.lay(kit(f, ladder), residue, divot, whole));
    }

    /** Where colour would cover most of a part, all of it is coloured: no corner stays in the old shade. */
    private boolean whole(double colourMm) {
        double coloured = Reach.within(Reach.grow(job.outline(), colourMm), part().shape())
                .getArea();
        return coloured >= value("trim.whole-share") * part().shape().getArea();
    }

    private void amounts(Footprint f, boolean divot) {
        if (divot) {
            ShelfItem fill = need(Role.FILL);
            if (fill.materialClass().chemistry() == Chemistry.CYANOACRYLATE) {
                amounts.portion(Portions.gel("face", "Gel for the divot", fill, divotMl() * 1.1));
            } else {
                double ml = divotMl();
                amounts.portion(Portions.cartridge(
                        "face",
                        "Adhesive for the divot",
                        fill,
                        new FillVolume(ml, 0, ml * 0.2, 0, (ml + ml * 0.2) * value("mix.board-loss")),
                        amounts.pace(fill, 0)));
                waits.curing("face", "Divot: sand from", fill, 1, "A fingernail leaves no mark?");
                item(Role.PROMOTE).ifPresent(i -> {
                    amounts.portion(Portions.coats(
                            "promoter",
                            "Promoter under the adhesive",
                            Portion.Form.SPRAYED,
                            i,
                            f.areaMm2(Zone.Kind.FINE_320),
                            1,
                            "coat.promoter"));
                    waits.flash("promoter", i);
                });
            }
        }
        item(Role.SEAL).ifPresent(i -> waits.flash("seal", i));
        item(Role.TEXTURE).ifPresent(i -> waits.drying("texture-dry", i, "Dry to the touch, no print?"));
        item(Role.COLOUR).ifPresent(i -> waits.drying("colour-dry", i, "Dry to the touch, no print?"));
        amounts.coats(
                "seal",
                "Promoter under the texture",
                Portion.Form.SPRAYED,
                Role.SEAL,
                Zone.Kind.TEXTURE,
                f,
                1,
                "coat.promoter");
        amounts.coats(
                "texture",
                "Texture",
                Portion.Form.SPRAYED,
                Role.TEXTURE,
                Zone.Kind.TEXTURE,
                f,
                value("coat.texture-coats"),
                "coat.texture");
        amounts.coats(
                TrimFinish.FIRST_COLOUR,
                "Colour, first coat",
                Portion.Form.SPRAYED,
                Role.COLOUR,
                Zone.Kind.TEXTURE,
                f,
                1,
                "coat.colour");
        amounts.coats(
                "colour",
                "Colour, fuller coats",
                Portion.Form.SPRAYED,
                Role.COLOUR,
                Zone.Kind.COLOUR,
                f,
                value("coat.colour-coats") - 1,
                "coat.colour");
        amounts.coats(
                "clean", "Cleaner, three times", Portion.Form.WIPED, Role.CLEAN, Zone.Kind.CLEAN, f, 3, "coat.wipe");
    }

    private Section section(Footprint f) {
        double[] ends = ends(f, Zone.Kind.TEXTURE);
        double t = plastic.thicknessMm();
        List<Blemish> divots = of(Damage.Kind.DIVOT);
        double deep = divots.stream().mapToDouble(Blemish::depthMm).max().orElse(0);
        Cut cut = new Cut(cutY(), ends[0], ends[1], x -> -t);
        if (divots.isEmpty()) {
            cut.layer("part", "Part", "part", x -> 0);
        } else {
            Blemish first = divots.getFirst();
            double reach = Math.min(first.place().lengthMm(), first.place().widthMm()) / 2;
            Taper in = new Taper(first.outline(), reach, false, cutY());
            DoubleUnaryOperator bowl = x -> -deep * (1 - (1 - in.at(x)) * (1 - in.at(x)));
            cut.layer("part", "Part", "part", bowl);
            if (item(Role.PROMOTE).isPresent()) {
                double wet = value("coat.promoter-thickness");
                cut.layer("promoter", "Promoter", "promoter", x -> Math.min(0, bowl.applyAsDouble(x) + wet));
            }
            cut.layer("face", "Fill", "fill", x -> 0);
        }
        Taper grain = new Taper(f.zone(Zone.Kind.TEXTURE).shape(), 10, false, cutY());
        Taper paint = new Taper(f.zone(Zone.Kind.COLOUR).shape(), 10, false, cutY());
        double texture = value("coat.texture-thickness");
        double colour = value("coat.colour-thickness");
        return cut.layer("texture", "Texture", "finish", x -> texture * grain.at(x))
                .layer("colour", "Colour", "paint", x -> texture * grain.at(x) + colour * paint.at(x))
                .section();
    }

    @Override
    protected double cutY() {
        List<Blemish> divots = of(Damage.Kind.DIVOT);
        return job.wishes().cutYMm().isEmpty() && !divots.isEmpty()
                ? divots.getFirst().place().yMm()
                : super.cutY();
    }
}
