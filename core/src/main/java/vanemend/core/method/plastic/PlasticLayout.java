package vanemend.core.method.plastic;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.damage.Blemish;
import vanemend.core.damage.Crack;
import vanemend.core.damage.Damage;
import vanemend.core.damage.Dent;
import vanemend.core.damage.DepthField;
import vanemend.core.damage.Hole;
import vanemend.core.damage.Missing;
import vanemend.core.damage.Scratch;
import vanemend.core.damage.Seam;
import vanemend.core.footprint.Dish;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Grown;
import vanemend.core.footprint.Piece;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Job;
import vanemend.core.method.Kit;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.method.Legs;
import vanemend.core.method.MethodSteps;
import vanemend.core.mix.Again;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Portions;
import vanemend.core.part.Plastic;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.Leg;
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.sanding.Tool;
import vanemend.core.section.PanelSection;
import vanemend.core.section.Section;
import vanemend.core.trade.Text;

/** Plastics: backed by adhesive and cloth, by a patch or by mesh; the face alone; the finish of a weld. */
final class PlasticLayout extends Layout {
    private final Plastic plastic;
    private final Way way;
    private final Dish dish;

    PlasticLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.plastic = (Plastic) job.part().substrate();
        this.way = Way.valueOf(job.recipe().way());
        this.dish = dish();
    }

    private boolean weld() {
        return way == Way.WELD;
    }

    /** Road rash and gouges: filled as they are. */
    private boolean filler() {
        return way == Way.FILLER;
    }

    /** What road rash and gouges take away. */
    private DepthField worn() {
        return new DepthField(hollows());
    }

    private List<Dent> hollows() {
        List<Dent> all = new ArrayList<>();
        for (Damage d : job.damages()) {
            switch (d) {
                case Scratch s -> all.addAll(s.hollows());
                case Blemish b -> all.add(b.hollow());
                default -> throw new IllegalStateException(d.kind().word() + " is not filled as it is");
            }
        }
        return all;
    }

    private Dish dish() {
        double deep = 0;
        for (Damage d : job.damages()) {
            deep = Math.max(deep, deep(d));
        }
        double width = weld()
                ? value("seam.past")
                : filler()
                        ? value("gouge.past")
                        : Dish.widthMm(deep, value("dish.along"), value("dish.least"), value("dish.most"));
        return job.dish(width, deep);
    }

    private double deep(Damage d) {
        double wall = plastic.thicknessMm();
        return switch (d) {
            case Scratch s -> Math.min(s.depthMm(), wall);
            case Crack c when c.depth() == Crack.Depth.OUTER_LAYER -> wall * value("dish.outer-share");
            case Crack c -> wall;
            case Hole h -> wall;
            case Missing m -> wall;
            case Seam s -> value("seam.fill");
            case Blemish b -> Math.min(b.depthMm(), wall);
            default -> throw new IllegalStateException(d.kind().word() + " is no damage of plastics");
        };
    }

    @Override
    public Laid laid() {
        Footprint f = footprint();
        Ladder ladder = byHand(SurfaceLadder.of(f, job.stack().papers(), legs(f), "80 only inside, 180 ring, 320 out"));
        if (blockers.isEmpty()) {
            ladderHolds(ladder);
            amounts(f);
        }
        return laid(plastic.word(), f, () -> section(f), ladder, () -> lay(kit(f, ladder)));
    }

    private MethodSteps lay(Kit kit) {
        return switch (way) {
            case TWO_SIDED, POLYESTER_FACE -> PlasticTwoSided.lay(kit);
            case PATCH -> PlasticPatch.lay(kit, atEdge());
            case MESH -> PlasticMesh.lay(kit);
            case MESH_FIRST, MESH_FIRST_POLYESTER -> PlasticTwoSided.onMesh(kit);
            case FACE -> PlasticFace.lay(kit);
            case FILLER ->
                PlasticFiller.lay(kit, dish.depthMm(), value("gouge.backed-from") / 100 * plastic.thicknessMm());
            case WELD -> WeldFinish.lay(kit, job.all(Seam.class).stream().allMatch(Seam::groundBelow));
        };
    }

    private boolean atEdge() {
        return job.outline().intersects(part().shape().getBoundary());
    }

    private Footprint footprint() {
        double w = dish.widthMm();
        double ring = w + value("plastic.ring-past");
        double fine = Math.max(value("plastic.320-past"), ring + value("dent.240-past"));
        Grown g = job.grown()
                .out(inner(), w)
                .fine(Zone.Kind.RING_180, ring)
                .fine(Zone.Kind.FINE_320, fine)
                .out(Zone.Kind.CLEAN, fine + value("dent.clean-past"));
        if (way.backed()) {
            double past = value(way == Way.PATCH ? "stack.patch-past" : "mesh.past");
            if (way == Way.PATCH) {
                g.patch(Zone.Kind.PATCH, past, "patch");
            } else {
                g.out(way.mesh() ? Zone.Kind.MESH : Zone.Kind.CLOTH, past);
            }
            double sanded = past + value("plastic.back-sand-past");
            g.out(Zone.Kind.BACK_SAND, sanded).out(Zone.Kind.BACK_CLEAN, sanded + value("dent.clean-past"));
        }
        if (way == Way.PATCH && atEdge()) {
            g.flag("The damage runs out at the edge: V-notch its inner end, patch past the edge, trim after sanding.");
        }
        return g.footprint();
    }

    private Zone.Kind inner() {
        return switch (way) {
            case WELD -> Zone.Kind.ADHESIVE;
            case FILLER -> Zone.Kind.FILLER;
            default -> Zone.Kind.DISH;
        };
    }

    private List<Leg> legs(Footprint f) {
        List<Leg> legs = new ArrayList<>();
        if (way.backed()) {
            legs.add(Legs.dulls("back", "Back", 80, Zone.Kind.BACK_SAND, f, Tool.DA, "dull everywhere, no shine"));
        }
        if (weld()) {
            legs.add(Legs.dulls(
                    "open", "Over the weld", 180, inner(), f, Tool.DA, "dull all over, no plastic string left"));
        } else if (filler()) {
            legs.add(Legs.dulls("open", "Over the damage", 80, inner(), f, Tool.DA, "dull all over, no fuzz left"));
        } else {
            legs.add(Legs.dulls("open", "Inside the dish", 80, inner(), f, Tool.DA, "dull and fuzzy all over"));
        }
        legs.add(Legs.dulls("around", "Around it", 180, Zone.Kind.RING_180, f, Tool.DA, "no shiny spot"));
        double proud = value("plastic.proud") * (f.areaMm2(Zone.Kind.DAMAGE) + f.areaMm2(inner())) / 2;
        boolean feathersAt80 = way == Way.MESH || filler();
        legs.add(Legs.leg(
                "shape",
                feathersAt80 ? "On the filler" : "On the adhesive",
                feathersAt80 ? 80 : 180,
                320,
                proud,
                feathersAt80 ? inner() : Zone.Kind.RING_180,
                Zone.Kind.RING_180,
                Zone.Kind.FINE_320,
                Tool.DA,
                "slow and moving, block to check",
                "level, feather edge whole"));
        return legs;
    }

    private void amounts(Footprint f) {
        double faceArea = f.areaMm2(inner());
        double tapered = (f.areaMm2(Zone.Kind.DAMAGE) + faceArea) / 2;
        double hollow = switch (way) {
            case WELD -> value("seam.fill") * tapered;
            case FILLER -> worn().volumeMm3();
            default -> dish.volumeMm3();
        };
        FillVolume face = FillVolume.of(
                hollow,
                f.areaMm2(Zone.Kind.DAMAGE),
                faceArea,
                0,
                value("plastic.proud"),
                value("dent.tight-coat"),
                value("mix.board-loss"));
        // A low spot is a shallower hollow; where a seam is filled without one, it is as wide as the fill.
        double perMm = switch (way) {
            case WELD -> tapered;
            case FILLER ->
                hollows().stream().mapToDouble(d -> d.volumeMm3() / d.depthMm()).sum();
            default -> hollow / dish.depthMm();
        };
        Again again =
                face.again(perMm / 1000, FillVolume.Round.overAll(value("plastic.proud"), value("dent.tight-coat")));
        if (way.meshFirst()) {
            mesh(f);
        }
        if (way == Way.MESH) {
            double mesh = meshMl(f);
            FillVolume both = new FillVolume(
                    face.hollowMl() + mesh,
                    0,
                    face.proudMl(),
                    face.skimMl(),
                    face.lossMl() + mesh * value("mix.board-loss"));
            amounts.tin(
                    "filler", "Flexible filler", need(Role.BACK), both, dish.depthMm(), f.zone(Zone.Kind.MESH), again);
        } else if (polyesterFace()) {
            amounts.tin(
                    "filler",
                    "Flexible filler",
                    need(Role.FILL),
                    face,
                    dish.depthMm(),
                    f.zone(Zone.Kind.RING_180),
                    again);
        } else {
            ShelfItem item = need(Role.FILL);
            amounts.portion(Portions.cartridge("face", "Face adhesive", item, face, amounts.pace(item, 0))
                    .again(again));
            waits.curing("face", "Face: sand from", item, 1, "A fingernail leaves no mark on the thin edge?");
        }
        if (f.has(Zone.Kind.CLOTH)) {
            back(f);
        }
        cloth(f);
        item(Role.PROMOTE).ifPresent(i -> {
            double area =
                    f.areaMm2(Zone.Kind.RING_180) + (f.has(Zone.Kind.BACK_SAND) ? f.areaMm2(Zone.Kind.BACK_SAND) : 0);
            amounts.portion(Portions.coats(
                    "promoter", "Promoter under the adhesive", Portion.Form.SPRAYED, i, area, 1, "coat.promoter"));
            waits.flash("promoter", i);
        });
        item(Role.SEAL).ifPresent(i -> {
            amounts.portion(Portions.coats(
                    "seal",
                    "Promoter under the primer",
                    Portion.Form.SPRAYED,
                    i,
                    f.areaMm2(Zone.Kind.FINE_320),
                    1,
                    "coat.promoter"));
            waits.flash("seal", i);
        });
        amounts.coats("clean", "Cleaner", Portion.Form.WIPED, Role.CLEAN, Zone.Kind.CLEAN, f, 2, "coat.wipe");
    }

    /** Polyester as a layer of its own on the face. */
    private boolean polyesterFace() {
        return way == Way.POLYESTER_FACE || way == Way.MESH_FIRST_POLYESTER || filler();
    }

    /** Filler in and over the mesh, mL. */
    private double meshMl(Footprint f) {
        return f.areaMm2(Zone.Kind.MESH) * (value("back.below-cloth") + value("back.above-cloth")) / 1000;
    }

    /** Mesh in flexible filler, a layer of its own at the back: as thick as it is laid, nothing proud. */
    private void mesh(Footprint f) {
        double on = meshMl(f);
        FillVolume v = new FillVolume(on, 0, 0, 0, on * value("mix.board-loss"));
        amounts.tin(
                "back",
                "Flexible filler for the mesh",
                need(Role.BACK),
                v,
                value("back.below-cloth") + value("back.above-cloth"),
                f.zone(Zone.Kind.MESH),
                v.again(0, FillVolume.Round.overAll(0, 0)));
    }

    private void back(Footprint f) {
        ShelfItem item = need(Role.BACK);
        double on = f.areaMm2(Zone.Kind.CLOTH) * (value("back.below-cloth") + value("back.above-cloth")) / 1000;
        double squeeze = on * value("back.squeeze");
        FillVolume v = new FillVolume(0, 0, on, squeeze, (on + squeeze) * value("mix.board-loss"));
        double hands = v.totalMl() / job.shop().spreadMlPerMin() + value("minutes.bury-cloth");
        amounts.portion(Portions.cartridge("back", "Backing", item, v, amounts.pace(item, hands)));
        waits.curing("back", "Back: turn over from", item, 1, "Firm to a fingernail, no tack?");
    }

    private void cloth(Footprint f) {
        for (Zone.Kind kind : List.of(Zone.Kind.CLOTH, Zone.Kind.PATCH, Zone.Kind.MESH)) {
            if (!f.has(kind)) {
                continue;
            }
            ShelfItem item = need(Role.REINFORCE);
            String id = kind == Zone.Kind.CLOTH ? "cloth" : kind == Zone.Kind.PATCH ? "patch" : "mesh";
            Geometry shape = f.zone(kind).shape();
            List<Geometry> separate = new ArrayList<>();
            for (int i = 0; i < shape.getNumGeometries(); i++) {
                separate.add(shape.getGeometryN(i));
            }
            if (kind == Zone.Kind.MESH) {
                amounts.film(separate);
            }
            amounts.portion(Portions.cut(
                    id, item.name(), item, separate, Text.of(f.zone(kind).pastMm(), "mm") + " past the damage"));
            for (int i = 0; i < separate.size(); i++) {
                pieces.add(Piece.of(
                        id + "-" + (i + 1),
                        kind.word() + (separate.size() > 1 ? " " + (i + 1) : ""),
                        item.name(),
                        1,
                        Zone.Side.BACK,
                        separate.get(i)));
            }
        }
        item(Role.PROMOTE_PATCH).ifPresent(i -> {
            amounts.portion(Portions.coats(
                    "patch-promoter",
                    "Patch promoter",
                    Portion.Form.WIPED,
                    i,
                    f.areaMm2(Zone.Kind.PATCH),
                    1,
                    "coat.wipe"));
            waits.flashByClass("patch-promoter", i);
        });
    }

    private Section section(Footprint f) {
        double[] ends = ends(f, Zone.Kind.FINE_320);
        boolean patch = f.has(Zone.Kind.PATCH);
        boolean mesh = f.has(Zone.Kind.MESH);
        Zone.Kind at = patch ? Zone.Kind.PATCH : mesh ? Zone.Kind.MESH : Zone.Kind.CLOTH;
        List<PanelSection.Back> backs = f.has(at)
                ? List.of(new PanelSection.Back(
                        f.zone(at).shape(),
                        patch ? 0 : value("back.below-cloth"),
                        patch ? value("patch.thickness") : value("plastics-cloth.thickness"),
                        patch ? 0 : value("back.above-cloth"),
                        patch ? "Patch" : mesh ? "Mesh" : "Cloth",
                        patch ? "backing" : "cloth",
                        way == Way.MESH ? "fill" : "backing"))
                : List.of();
        boolean polyester = way == Way.MESH || polyesterFace();
        PanelSection.Face face = new PanelSection.Face(
                polyester ? "filler" : "face",
                value("dent.tight-coat"),
                item(Role.PROMOTE).isPresent() ? value("coat.promoter-thickness") : 0,
                0,
                value("plastic.proud"),
                "fill",
                polyester ? "Flexible filler" : "Face adhesive");
        double coatsMm = part().coatsMm(true) + part().coatsMm(false);
        if (filler()) {
            DepthField worn = worn();
            return PanelSection.ofHollows(
                    cutY(), ends[0], ends[1], plastic.thicknessMm(), coatsMm, x -> worn.depthAt(x, cutY()), face);
        }
        return PanelSection.of(cutY(), ends[0], ends[1], plastic.thicknessMm(), coatsMm, dish, backs, List.of(), face);
    }
}
