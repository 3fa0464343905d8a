package vanemend.core.method.plastic;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.damage.Tab;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Grown;
import vanemend.core.footprint.Piece;
import vanemend.core.footprint.Reach;
import vanemend.core.footprint.Zone;
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
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.sanding.Tool;
import vanemend.core.section.Cut;
import vanemend.core.section.Section;
import vanemend.core.section.Taper;
import vanemend.core.trade.Text;

/** A tab built anew on a form: cloth in adhesive over it and past its root, one side after the other. */
final class TabLayout extends Layout {
    private final Plastic plastic;

    TabLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.plastic = (Plastic) job.part().substrate();
    }

    @Override
    public Laid laid() {
        double past = value("tab.past");
        double clean = past + value("dent.clean-past");
        // Cloth lies on the root and on the form of the tab, which may stand out past the edge; nothing holds it in the
        // air beside it.
        Geometry cloth = OverlayNGRobust.union(
                List.of(job.outline(), Reach.within(Reach.grow(job.outline(), past), part().shape())));
        Footprint f = Grown.on(part(), job.outline())
                .out(Zone.Kind.FACE_SAND, past)
                .out(Zone.Kind.CLEAN, clean)
                .out(Zone.Kind.BACK_SAND, past)
                .out(Zone.Kind.BACK_CLEAN, clean)
                .shape(Zone.Kind.CLOTH, past, cloth)
                .footprint();
        Ladder ladder = byHand(SurfaceLadder.of(
                f,
                job.stack().papers(),
                List.of(
                        Legs.dulls("back", "Back", 80, Zone.Kind.BACK_SAND, f, Tool.DA, "dull everywhere, no shine"),
                        Legs.dulls("face", "Face", 80, Zone.Kind.FACE_SAND, f, Tool.DA, "dull everywhere, no shine")),
                "80 on both sides"));
        if (blockers.isEmpty()) {
            ladderHolds(ladder);
            amounts(f);
        }
        return laid(
                plastic.word(),
                f,
                () -> section(f),
                ladder,
                () -> TabPage.lay(kit(f, ladder), job.all(Tab.class).stream().allMatch(Tab::pieceKept)));
    }

    /** Half of the tab's thickness, mm: never thinner than the wall it was moulded with. */
    private double halfMm() {
        return Math.max(value("tab.root"), plastic.thicknessMm()) / 2;
    }

    /** What lies on one side of the wall beside the root, mm: cloth bedded in adhesive; from there it runs out to nothing. */
    private static double sideMm() {
        return value("back.below-cloth") + value("plastics-cloth.thickness") + value("back.above-cloth");
    }

    /** Half of the tab and one tapered side of its root, mm³. */
    private double oneSideMm3(Footprint f) {
        double tab = job.outline().getArea();
        return tab * halfMm() + (f.areaMm2(Zone.Kind.CLOTH) - tab) * sideMm() / 2;
    }

    private void amounts(Footprint f) {
        ShelfItem item = need(Role.BACK);
        double on = oneSideMm3(f) / 1000;
        double squeeze = on * value("back.squeeze");
        FillVolume v = new FillVolume(on, 0, 0, squeeze, (on + squeeze) * value("mix.board-loss"));
        double hands = v.totalMl() / job.shop().spreadMlPerMin() + value("minutes.bury-cloth");
        for (String side : List.of("back", "face")) {
            amounts.portion(Portions.cartridge(
                    side, side.equals("back") ? "First side" : "Second side", item, v, amounts.pace(item, hands)));
            waits.curing(
                    side,
                    side.equals("back") ? "First side: turn over from" : "Second side: trim from",
                    item,
                    1,
                    "Firm to a fingernail, no tack?");
        }
        ShelfItem cloth = need(Role.REINFORCE);
        Geometry shape = f.zone(Zone.Kind.CLOTH).shape();
        amounts.portion(Portions.cut(
                "cloth",
                cloth.name(),
                cloth,
                List.of(shape, shape),
                "one for each side, " + Text.of(value("tab.past"), "mm") + " past the root"));
        pieces.add(Piece.of("cloth-1", "Cloth, both sides", cloth.name(), 2, Zone.Side.BACK, shape));
        item(Role.PROMOTE).ifPresent(i -> {
            amounts.portion(Portions.coats(
                    "promoter",
                    "Promoter under the adhesive",
                    Portion.Form.SPRAYED,
                    i,
                    f.areaMm2(Zone.Kind.BACK_SAND) + f.areaMm2(Zone.Kind.FACE_SAND),
                    1,
                    "coat.promoter"));
            waits.flash("promoter", i);
        });
        amounts.coats("clean", "Cleaner", Portion.Form.WIPED, Role.CLEAN, Zone.Kind.BACK_CLEAN, f, 2, "coat.wipe");
    }

    private Section section(Footprint f) {
        double[] ends = ends(f, Zone.Kind.FACE_SAND);
        double wall = plastic.thicknessMm();
        Taper cloth = new Taper(f.zone(Zone.Kind.CLOTH).shape(), value("tab.past"), false, cutY());
        Taper tab = new Taper(f.zone(Zone.Kind.DAMAGE).shape(), wall / 2, false, cutY());
        // The broken edge is wedged from both sides: the adhesive of either reaches half way, and the tab has no wall
        // in it.
        DoubleUnaryOperator out = x -> sideMm() * cloth.at(x) * (1 - tab.at(x)) + (halfMm() - wall / 2) * tab.at(x);
        Cut cut = new Cut(cutY(), ends[0], ends[1], x -> -wall - out.applyAsDouble(x))
                .layer("back", "First side", "backing", x -> -wall + wall / 2 * tab.at(x))
                .layer("part", "Part", "part", x -> -wall / 2 * tab.at(x));
        if (item(Role.PROMOTE).isPresent()) {
            cut.layer(
                    "promoter",
                    "Promoter",
                    "promoter",
                    x -> -wall / 2 * tab.at(x) + (cloth.at(x) > 0 ? value("coat.promoter-thickness") : 0));
        }
        return cut.layer("face", "Second side", "backing", x -> cloth.at(x) > 0 ? out.applyAsDouble(x) : -1e3)
                .section();
    }
}
