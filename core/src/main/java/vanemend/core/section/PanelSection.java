package vanemend.core.section;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.footprint.Dish;
import vanemend.core.footprint.Pyramid;

/** The cut through a plastic or composite panel: back, part, dish, plies or build, cream. Heights count from the face; mm. */
public final class PanelSection {
    private PanelSection() {}

    /**
     * What lies at the back.
     *
     * @param zone where
     * @param belowMm adhesive between part and cloth
     * @param clothMm cloth, mesh or patch
     * @param aboveMm adhesive over it; 0 for a patch
     * @param clothWord as said
     * @param clothHatch its pattern
     * @param backHatch pattern of the adhesive
     */
    public record Back(
            Geometry zone,
            double belowMm,
            double clothMm,
            double aboveMm,
            String clothWord,
            String clothHatch,
            String backHatch) {}

    /**
     * What lies on the face.
     *
     * @param id of the fill's layer
     * @param tightMm tight first coat
     * @param promoterMm promoter; 0 for none
     * @param lowMm structural material is cut this far below the face, and cream goes over it; 0 where it is level
     * @param proudMm how far it ends proud as spread
     * @param hatch pattern of the fill
     * @param word of the fill
     */
    public record Face(
            String id, double tightMm, double promoterMm, double lowMm, double proudMm, String hatch, String word) {}

    private static final double RIM_MM = 6;

    /** The cut at {@code cutYMm} between two ends. */
    public static Section of(
            double cutYMm,
            double fromMm,
            double toMm,
            double wallMm,
            double coatsMm,
            Dish dish,
            List<Back> backs,
            List<Pyramid> plies,
            Face face) {
        Taper out = new Taper(dish.damage(), dish.widthMm(), true, cutYMm);
        DoubleUnaryOperator away = Cut.sampled(fromMm, toMm, x -> out.at(x) * dish.widthMm());
        DoubleUnaryOperator depth = x -> dish.depthAt(away.applyAsDouble(x));
        return of(cutYMm, fromMm, toMm, wallMm, coatsMm, away, depth, backs, plies, face);
    }

    /** The cut at {@code cutYMm} between two ends through a panel filled as it was found, {@code depth} mm deep at a place across. */
    public static Section ofHollows(
            double cutYMm,
            double fromMm,
            double toMm,
            double wallMm,
            double coatsMm,
            DoubleUnaryOperator depth,
            Face face) {
        DoubleUnaryOperator found = Cut.sampled(fromMm, toMm, depth);
        return of(cutYMm, fromMm, toMm, wallMm, coatsMm, x -> 0, found, List.of(), List.of(), face);
    }

    private static Section of(
            double cutYMm,
            double fromMm,
            double toMm,
            double wallMm,
            double coatsMm,
            DoubleUnaryOperator away,
            DoubleUnaryOperator depth,
            List<Back> backs,
            List<Pyramid> plies,
            Face face) {
        Cut cut;
        if (backs.isEmpty()) {
            cut = new Cut(cutYMm, fromMm, toMm, x -> -wallMm);
        } else {
            Back b = backs.getFirst();
            Taper rim = new Taper(b.zone(), RIM_MM, false, cutYMm);
            DoubleUnaryOperator on = Cut.sampled(fromMm, toMm, rim::at);
            double all = b.belowMm() + b.clothMm() + b.aboveMm();
            cut = new Cut(cutYMm, fromMm, toMm, x -> -wallMm - all * on.applyAsDouble(x));
            if (b.aboveMm() > 0) {
                cut.layer(
                        "back",
                        "Backing",
                        b.backHatch(),
                        x -> -wallMm - (b.belowMm() + b.clothMm()) * on.applyAsDouble(x));
            }
            cut.layer(
                    b.aboveMm() > 0 ? "cloth" : "patch",
                    b.clothWord(),
                    b.clothHatch(),
                    x -> -wallMm - b.belowMm() * on.applyAsDouble(x));
            if (b.belowMm() > 0) {
                cut.layer("back-tight", "Tight coat, back", b.backHatch(), x -> -wallMm);
            }
        }
        DoubleUnaryOperator partTop = x -> Math.max(-wallMm, Math.min(-coatsMm, -depth.applyAsDouble(x)));
        cut.layer("part", "Part", "part", partTop);
        if (coatsMm > 0) {
            cut.layer("coats", "Coats", "paint", x -> -depth.applyAsDouble(x));
        }
        DoubleUnaryOperator cap = x -> -Math.min(depth.applyAsDouble(x), face.lowMm());
        if (face.promoterMm() > 0) {
            cut.layer(
                    "promoter",
                    "Promoter",
                    "promoter",
                    x -> Math.min(cap.applyAsDouble(x), -depth.applyAsDouble(x) + face.promoterMm()));
        }
        if (plies.isEmpty()) {
            cut.layer(
                    "face-tight",
                    "Tight coat",
                    face.hatch(),
                    x -> Math.min(cap.applyAsDouble(x), -depth.applyAsDouble(x) + face.promoterMm() + face.tightMm()));
        } else {
            Pyramid p = plies.getFirst();
            for (Pyramid.Ply ply : p.plies()) {
                DoubleUnaryOperator under = cut.top();
                cut.bond(
                        ply.number(),
                        x -> away.applyAsDouble(x) < ply.pastMm()
                                ? Math.min(cap.applyAsDouble(x), under.applyAsDouble(x) + p.bondMm())
                                : under.applyAsDouble(x));
                DoubleUnaryOperator bond = cut.top();
                cut.ply(
                        ply.number(),
                        x -> away.applyAsDouble(x) < ply.pastMm()
                                ? Math.min(cap.applyAsDouble(x), bond.applyAsDouble(x) + p.plyMm())
                                : bond.applyAsDouble(x));
            }
        }
        cut.layer(face.id(), face.word(), face.hatch(), cap);
        DoubleUnaryOperator built = cut.top();
        if (face.lowMm() > 0) {
            cut.layer("cream", "Cream", "finish", x -> 0);
        }
        DoubleUnaryOperator last = cut.top();
        cut.proud(x -> depth.applyAsDouble(x) > 0.01
                ? Math.max(
                        last.applyAsDouble(x),
                        built.applyAsDouble(x) + face.proudMm() * Math.min(1, depth.applyAsDouble(x)))
                : last.applyAsDouble(x));
        return cut.section();
    }
}
