package vanemend.core.method.composite;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.footprint.Dish;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Grown;
import vanemend.core.footprint.Piece;
import vanemend.core.footprint.Pyramid;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.method.Legs;
import vanemend.core.mix.Again;
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
import vanemend.core.trade.Text;
import vanemend.core.verdict.CompositeDepth;

/** Composite, two-sided: cloth at the back, a pyramid of plies in a dish, cream. */
final class CompositeLayout extends Layout {
    private final double wallMm;
    private final Dish dish;
    private final boolean through;
    private final boolean cream;

    CompositeLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.wallMm = job.part().substrate().wallMm().orElseThrow();
        double deep = job.damages().stream()
                .mapToDouble(d -> CompositeDepth.opened(d, wallMm))
                .max()
                .orElse(wallMm);
        this.dish = job.dish(CompositeDepth.dishMm(deep), deep);
        this.through = deep >= wallMm - 1e-9;
        this.cream = !job.house().is("composite-finish", "one-material");
    }

    @Override
    public Laid laid() {
        Footprint f = footprint();
        ShelfItem cloth = item(Role.REINFORCE).orElse(null);
        double areal = cloth == null
                ? 300
                : cloth.materialClass().figure("arealGPerM2").orElse(300.0);
        double ply = Pyramid.plyThicknessMm(areal, value("cloth.fibre-density"), value("cloth.fibre-share"));
        double low = cream ? value("composite.low") : 0;
        Pyramid pyramid = Pyramid.in(dish, ply, value("composite.bond"), low, value("composite.ply-edge"), (int)
                value("composite.plies-least"));
        Ladder ladder =
                byHand(SurfaceLadder.of(f, job.stack().papers(), legs(f), "36 to 80 to open, 180 and finer to finish"));
        if (blockers.isEmpty()) {
            ladderHolds(ladder);
            if (!pyramid.held()) {
                blockers.add(pyramid.said());
            }
            amounts(f, pyramid, areal);
        }
        CompositeTwoSided.Build build = new CompositeTwoSided.Build(
                pyramid.plies().size(),
                through ? backPlies() : 0,
                through && backOnFilm(),
                onFilm(),
                cream,
                laminate());
        return laid(
                part().substrate().word(),
                f,
                () -> section(f, pyramid, ply),
                ladder,
                () -> CompositeTwoSided.lay(kit(f, ladder), build));
    }

    private boolean onFilm() {
        return job.house().is("pyramid-order", "on-film");
    }

    private boolean backOnFilm() {
        return job.house().is("composite-back", "on-film");
    }

    private int backPlies() {
        return job.house().is("composite-back", "one-ply") ? 1 : (int) value("composite.back-plies");
    }

    private boolean laminate() {
        return Way.valueOf(job.recipe().way()) == Way.LAY_UP;
    }

    private Footprint footprint() {
        double w = dish.widthMm();
        double creamed = w + value("composite.cream-past");
        double sanded = Math.max(creamed, value("composite.face-sand-past"));
        double fine =
                Math.max(value("composite.320-past"), sanded + value("composite.ring-past") + value("dent.240-past"));
        Grown g = job.grown()
                .out(Zone.Kind.DISH, w)
                .out(Zone.Kind.ADHESIVE, creamed)
                .out(Zone.Kind.FACE_SAND, sanded)
                .out(Zone.Kind.RING_180, sanded + value("composite.ring-past"))
                .fine(Zone.Kind.FINE_320, fine)
                .out(Zone.Kind.CLEAN, fine + value("dent.clean-past"));
        if (through) {
            g.out(Zone.Kind.CLOTH, value("mesh.past"))
                    .out(Zone.Kind.BACK_SAND, value("composite.back-sand-past"))
                    .out(Zone.Kind.BACK_CLEAN, value("composite.back-sand-past") + value("dent.clean-past"));
        }
        return g.footprint();
    }

    private List<Leg> legs(Footprint f) {
        List<Leg> legs = new ArrayList<>();
        legs.add(Legs.leg(
                "dish",
                "Dish and face",
                36,
                80,
                dish.volumeMm3(),
                Zone.Kind.DISH,
                Zone.Kind.FACE_SAND,
                Zone.Kind.FACE_SAND,
                Tool.DA,
                "rounded, no kink at the rim",
                "sound laminate all over, no loose fibre"));
        if (through) {
            double scuff = value("ladder.scuff") / 1000 * f.areaMm2(Zone.Kind.BACK_SAND);
            legs.add(Legs.leg(
                    "back",
                    "Back",
                    36,
                    80,
                    scuff,
                    Zone.Kind.BACK_SAND,
                    Zone.Kind.BACK_SAND,
                    Zone.Kind.BACK_SAND,
                    Tool.DA,
                    "even, dull",
                    "dull everywhere"));
        }
        double proud = value("dent.proud") * (f.areaMm2(Zone.Kind.DAMAGE) + f.areaMm2(Zone.Kind.DISH)) / 2;
        if (cream) {
            legs.add(Legs.leg(
                    "level",
                    "On the plies",
                    80,
                    80,
                    proud,
                    Zone.Kind.DISH,
                    Zone.Kind.DISH,
                    Zone.Kind.DISH,
                    Tool.BOARD,
                    "cross the directions",
                    "just below the face, all over"));
            double skim = value("composite.low") * f.areaMm2(Zone.Kind.ADHESIVE) / 2;
            legs.add(Legs.leg(
                    "fine",
                    "On the cream",
                    180,
                    320,
                    skim,
                    Zone.Kind.RING_180,
                    Zone.Kind.RING_180,
                    Zone.Kind.FINE_320,
                    Tool.DA,
                    "slow and moving, block to check",
                    "level, dull, no edge of the dish"));
        } else {
            legs.add(Legs.leg(
                    "level",
                    "On the plies",
                    80,
                    180,
                    proud,
                    Zone.Kind.DISH,
                    Zone.Kind.RING_180,
                    Zone.Kind.RING_180,
                    Tool.BOARD,
                    "cross the directions",
                    "level with the face"));
            legs.add(Legs.leg(
                    "fine",
                    "Over all",
                    180,
                    320,
                    value("ladder.scuff") / 1000 * f.areaMm2(Zone.Kind.RING_180),
                    Zone.Kind.RING_180,
                    Zone.Kind.RING_180,
                    Zone.Kind.FINE_320,
                    Tool.DA,
                    "slow and moving",
                    "dull, no edge of the dish"));
        }
        return legs;
    }

    private void amounts(Footprint f, Pyramid pyramid, double areal) {
        double loss = value("mix.board-loss");
        double solid = pyramid.areaMm2() * pyramid.plyMm() * value("cloth.fibre-share") / 1000;
        double hollow = Math.max(0.5, dish.volumeMm3() / 1000 - solid);
        double tapered = (f.areaMm2(Zone.Kind.DAMAGE) + f.areaMm2(Zone.Kind.DISH)) / 2 / 1000;
        double proud = value("dent.proud") * tapered;
        // What is opened or low again is at most as wide as the dish.
        Again again = new FillVolume(0, 0, proud, 0, proud * loss)
                .again(tapered, FillVolume.Round.overAll(value("dent.proud"), 0));
        ShelfItem fill = need(Role.FILL);
        Pace plies = amounts.pace(fill, value("minutes.lay") * pyramid.plies().size());
        if (laminate()) {
            amounts.portion(
                    Portions.laminate("face", "Resin for the plies", fill, pyramid.areaMm2(), areal, proud, plies)
                            .again(again));
        } else {
            FillVolume volume = new FillVolume(hollow, 0, proud, 0, (hollow + proud) * loss);
            amounts.portion(Portions.cartridge("face", "Adhesive for the plies", fill, volume, plies)
                    .again(again));
        }
        waits.curing("face", "Plies: sand from", fill, 1, "A fingernail leaves no mark, cold to the hand?");
        ShelfItem cloth = need(Role.REINFORCE);
        amounts.portion(Portions.cut(
                "plies",
                "Plies",
                cloth,
                pyramid.plies().stream().map(Pyramid.Ply::shape).toList(),
                "each larger than the last"));
        List<Geometry> carried = new ArrayList<>();
        if (through && backOnFilm()) {
            carried.add(f.zone(Zone.Kind.CLOTH).shape());
        }
        if (onFilm()) {
            carried.add(pyramid.plies().getLast().shape());
        }
        if (!carried.isEmpty()) {
            amounts.film(carried);
        }
        pyramid.plies()
                .forEach(p -> pieces.add(Piece.of(
                        "ply-" + p.number(),
                        "Ply " + p.number() + " of " + pyramid.plies().size(),
                        cloth.name(),
                        1,
                        Zone.Side.FACE,
                        p.shape())));
        if (through) {
            int n = backPlies();
            ShelfItem back = need(Role.BACK);
            Pace backing = amounts.pace(back, value("minutes.lay") * n);
            double area = f.areaMm2(Zone.Kind.CLOTH);
            double on = area * (value("back.below-cloth") + value("back.above-cloth")) / 1000;
            if (laminate()) {
                amounts.portion(
                        Portions.laminate("back", "Resin for the back", back, area * n, areal, on / 2, backing));
            } else {
                double squeeze = on * value("back.squeeze");
                amounts.portion(Portions.cartridge(
                        "back",
                        "Adhesive for the back",
                        back,
                        new FillVolume(0, 0, on, squeeze, (on + squeeze) * loss),
                        backing));
            }
            waits.curing("back", "Back: go on from", back, 1, "A fingernail leaves no mark, cold to the hand?");
            amounts.portion(Portions.cut(
                    "back-cloth",
                    "Cloth for the back",
                    cloth,
                    Collections.nCopies(n, f.zone(Zone.Kind.CLOTH).shape()),
                    Text.of(value("mesh.past"), "mm") + " past the damage"));
            pieces.add(Piece.of(
                    "back",
                    "Back, cut " + n,
                    cloth.name(),
                    n,
                    Zone.Side.BACK,
                    f.zone(Zone.Kind.CLOTH).shape()));
        }
        if (cream) {
            ShelfItem finish = need(Role.FINISH);
            double low = value("composite.low") * f.areaMm2(Zone.Kind.DISH) / 1000;
            double tight = value("dent.tight-coat") * f.areaMm2(Zone.Kind.ADHESIVE) / 1000;
            FillVolume volume = new FillVolume(low, 0, 0, tight, (low + tight) * loss);
            amounts.portion(Portions.handMixed("cream", "Cream", finish, volume, amounts.pace(finish, 0))
                    .again(volume.again(tapered, FillVolume.Round.overAll(0, value("dent.tight-coat")))));
            waits.curing("cream", "Cream: sand from", finish, 1, "A fingernail leaves no mark on the thin edge?");
        }
        amounts.coats("clean", "Cleaner", Portion.Form.WIPED, Role.CLEAN, Zone.Kind.CLEAN, f, 2, "coat.wipe");
    }

    private Section section(Footprint f, Pyramid pyramid, double ply) {
        double[] ends = ends(f, Zone.Kind.FINE_320);
        List<PanelSection.Back> backs = through
                ? List.of(new PanelSection.Back(
                        f.zone(Zone.Kind.CLOTH).shape(),
                        value("back.below-cloth"),
                        ply * backPlies(),
                        value("back.above-cloth"),
                        "Cloth, back",
                        "cloth",
                        "backing"))
                : List.of();
        return PanelSection.of(
                cutY(),
                ends[0],
                ends[1],
                wallMm,
                part().coatsMm(true) + part().coatsMm(false),
                dish,
                backs,
                List.of(pyramid),
                new PanelSection.Face(
                        "face", 0, 0, cream ? value("composite.low") : 0, value("dent.proud"), "fill", "Adhesive"));
    }
}
