package vanemend.core.method.composite;

import java.util.Collections;
import java.util.List;
import vanemend.core.footprint.Dish;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.method.Legs;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Pace;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Portions;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.Leg;
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.sanding.Tool;
import vanemend.core.section.PanelSection;
import vanemend.core.section.Section;
import vanemend.core.verdict.CompositeDepth;

/** Chips and scratches in gelcoat: opened to a small dish, filled with paste, levelled and polished. */
final class GelcoatLayout extends Layout {
    private final double wallMm;
    private final Dish dish;

    GelcoatLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.wallMm = job.part().substrate().wallMm().orElseThrow();
        double deep = job.damages().stream()
                .mapToDouble(d -> CompositeDepth.opened(d, wallMm))
                .max()
                .orElseThrow();
        this.dish = job.dish(Dish.widthMm(deep, value("gelcoat.along"), 0, Double.MAX_VALUE), deep);
    }

    @Override
    public Laid laid() {
        double dulled = dish.widthMm() + value("composite.ring-past");
        double level = dulled + value("gelcoat.level-past");
        Footprint f = job.grown()
                .out(Zone.Kind.DISH, dish.widthMm())
                .out(Zone.Kind.RING_180, dulled)
                .fine(Zone.Kind.LEVEL, level)
                .out(Zone.Kind.CLEAN, level + value("dent.clean-past"))
                .footprint();
        Ladder ladder =
                byHand(SurfaceLadder.of(f, job.stack().papers(), legs(f), "80 and 180 to open, 240 to 1200, polish"));
        if (blockers.isEmpty()) {
            ladderHolds(ladder);
            amounts(f);
        }
        return laid(
                "gelcoat on " + part().substrate().word(),
                f,
                () -> section(f),
                ladder,
                () -> GelcoatPage.lay(kit(f, ladder), dish.depthMm()));
    }

    private List<Leg> legs(Footprint f) {
        double proud = value("gelcoat.proud") * taperedMm2(f);
        Leg refine = Legs.leg(
                GelcoatPage.REFINE,
                "Out to the old gloss",
                400,
                1200,
                value("ladder.scuff") / 1000 * f.areaMm2(Zone.Kind.LEVEL),
                Zone.Kind.LEVEL,
                Zone.Kind.LEVEL,
                Zone.Kind.LEVEL,
                Tool.HAND_BLOCK,
                "block flat, water with a drop of soap, one direction a grade",
                "240 lines gone");
        return List.of(
                Legs.leg(
                        GelcoatPage.OPEN,
                        "Open it",
                        80,
                        80,
                        dish.volumeMm3(),
                        Zone.Kind.DISH,
                        Zone.Kind.DISH,
                        Zone.Kind.DISH,
                        Tool.HAND_BLOCK,
                        "a hard round block or a scraper, from its bottom outwards",
                        "a shallow dish, no loose chip, no undercut"),
                Legs.dulls(
                        GelcoatPage.EDGE,
                        "Its edge",
                        180,
                        Zone.Kind.RING_180,
                        f,
                        Tool.HAND_BLOCK,
                        "dull all round, no gloss"),
                Legs.leg(
                        GelcoatPage.LEVEL,
                        "On the gelcoat",
                        240,
                        240,
                        proud,
                        Zone.Kind.RING_180,
                        Zone.Kind.RING_180,
                        Zone.Kind.RING_180,
                        Tool.HAND_BLOCK,
                        "block flat, crossing",
                        "level with the face, no edge of the dish"),
                refine.at(value("gelcoat.ratio"), refine.ratePerUm()).wet());
    }

    /** What is built runs out to nothing at the dish's rim: the mean of both areas, mm². */
    private static double taperedMm2(Footprint f) {
        return (f.areaMm2(Zone.Kind.DAMAGE) + f.areaMm2(Zone.Kind.DISH)) / 2;
    }

    private void amounts(Footprint f) {
        ShelfItem paste = need(Role.FILL);
        double loss = value("mix.board-loss");
        double hollow = dish.volumeMm3() / 1000;
        double tapered = taperedMm2(f) / 1000;
        double proud = value("gelcoat.proud") * tapered;
        FillVolume v = new FillVolume(hollow, 0, proud, 0, (hollow + proud) * loss);
        Pace pace = amounts.pace(paste, 0);
        amounts.portion(
                Portions.withPeroxide("trial", "Trial of its colour", paste, new FillVolume(0, 0, 0, 0, 0), pace));
        amounts.portion(Portions.withPeroxide("face", "Gelcoat paste", paste, v, pace)
                .again(v.again(tapered, FillVolume.Round.overAll(value("gelcoat.proud"), 0))));
        waits.curing("trial", "Trial: look from", paste, 1, "Hard, dry, wiped clean?");
        waits.curing(
                "face",
                "Gelcoat: sand from",
                paste,
                1,
                "A fingernail pressed on the film leaves no mark, cold to the hand?");
        // One for the trial, one for the part.
        amounts.film(Collections.nCopies(2, f.zone(Zone.Kind.DISH).shape()));
        amounts.coats("clean", "Cleaner", Portion.Form.WIPED, Role.CLEAN, Zone.Kind.CLEAN, f, 2, "coat.wipe");
        amounts.coats("acetone", "Acetone", Portion.Form.WIPED, Role.WIPE, Zone.Kind.RING_180, f, 1, "coat.wipe");
    }

    private Section section(Footprint f) {
        double[] ends = ends(f, Zone.Kind.RING_180);
        return PanelSection.of(
                cutY(),
                ends[0],
                ends[1],
                wallMm,
                0,
                dish,
                List.of(),
                List.of(),
                new PanelSection.Face("face", 0, 0, 0, value("gelcoat.proud"), "fill", "Gelcoat paste"));
    }
}
