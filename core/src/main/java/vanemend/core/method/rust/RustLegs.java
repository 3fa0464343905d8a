package vanemend.core.method.rust;

import java.util.List;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Legs;
import vanemend.core.sanding.Leg;
import vanemend.core.sanding.Tool;
import vanemend.core.trade.Schools;
import vanemend.core.trade.TradeBook;

/** The papers of this family, stripping to feathering: glass-fibre filler under body filler, whatever lies beneath. */
final class RustLegs {
    /** Leg of the papers on glass-fibre filler. */
    static final String FIBRE = "fibre-level";

    private RustLegs() {}

    /** In working order; the glass-fibre filler stands proud as a whole over {@code inner} and runs out to its zone's edge. */
    static List<Leg> over(Zone.Kind inner, Footprint f, Schools house) {
        double limit = TradeBook.value(house.is("ladder", "quick") ? "ladder.ratio.quick" : "ladder.ratio.fine");
        return List.of(
                Legs.over(
                        "strip",
                        "Strip",
                        36,
                        Zone.Kind.STRIP,
                        f,
                        "minutes.open.per-100cm2",
                        Tool.DA,
                        "bright metal, paint edge feathered"),
                Legs.leg(
                        FIBRE,
                        "On the glass-fibre filler",
                        80,
                        80,
                        proudMm3(f, inner, Zone.Kind.FIBRE),
                        Zone.Kind.FIBRE,
                        Zone.Kind.FIBRE,
                        Zone.Kind.FIBRE,
                        Tool.BOARD,
                        "cross the strokes",
                        "level or just below, no lump"),
                Legs.leg(
                                "shape",
                                "On the body filler",
                                80,
                                180,
                                proudMm3(f, Zone.Kind.FIBRE, Zone.Kind.FILLER),
                                Zone.Kind.FILLER,
                                Zone.Kind.FILLER,
                                Zone.Kind.STRIP,
                                Tool.BOARD,
                                "cross the directions",
                                "flush, edges translucent, feathered")
                        .at(limit, TradeBook.value("ladder.rate.block")));
    }

    /** What stands proud of the surface and is sanded off: whole over {@code inner}, nothing at the edge of {@code outer}, mm³. */
    private static double proudMm3(Footprint f, Zone.Kind inner, Zone.Kind outer) {
        return TradeBook.value("dent.proud") * (f.areaMm2(inner) + f.areaMm2(outer)) / 2;
    }
}
