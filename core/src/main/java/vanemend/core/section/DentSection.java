package vanemend.core.section;

import java.util.function.DoubleUnaryOperator;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.damage.DepthField;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Zone;
import vanemend.core.trade.TradeBook;

/**
 * The cut through a filled dent. Heights are counted from the painted face of the sound part. Layers are the spaces between
 * neighbouring surfaces, each nowhere below the one beneath it, so that nothing overlaps and nothing gapes.
 */
public final class DentSection {
    private DentSection() {}

    /**
     * What lies in the cut.
     *
     * @param gaugeMm sheet, mm
     * @param keptMm coats that stay under the repair, mm
     * @param offMm coats that come off in the opening, mm
     * @param filled true where body filler builds the hollow; false where putty alone does
     */
    public record Build(double gaugeMm, double keptMm, double offMm, boolean filled) {}

    /** The cut at height {@code cutYMm} above the part's lower edge. */
    public static Section of(Footprint footprint, DepthField dents, Build build, double cutYMm) {
        Geometry outer = footprint.zone(Zone.Kind.FINE_240).shape();
        double margin = 20;
        Geometry part = footprint.zone(Zone.Kind.CLEAN).shape(); // ends where the part ends
        double from = Math.max(
                part.getEnvelopeInternal().getMinX(),
                outer.getEnvelopeInternal().getMinX() - margin);
        double to = Math.min(
                part.getEnvelopeInternal().getMaxX(),
                outer.getEnvelopeInternal().getMaxX() + margin);
        Taper feather = new Taper(
                footprint.zone(Zone.Kind.OPENING).shape(), TradeBook.value("dent.feather-width"), true, cutYMm);
        Taper fill =
                new Taper(footprint.zone(Zone.Kind.FILLER).shape(), TradeBook.value("dent.filler-past"), false, cutYMm);
        Taper putty = new Taper(
                footprint.zone(Zone.Kind.PUTTY).shape(), TradeBook.value("dent.putty-past-feather"), false, cutYMm);
        double proudMost = TradeBook.value("dent.proud");
        double skim = TradeBook.value("dent.putty-finished");

        DoubleUnaryOperator depth = Cut.sampled(from, to, x -> dents.depthAt(x, cutYMm));
        DoubleUnaryOperator filling = Cut.sampled(from, to, fill::at);
        DoubleUnaryOperator skimming = Cut.sampled(from, to, putty::at);
        DoubleUnaryOperator feathered = Cut.sampled(from, to, feather::at);
        DoubleUnaryOperator sheet = x -> -build.keptMm() - build.offMm() - depth.applyAsDouble(x);
        DoubleUnaryOperator ground = x -> sheet.applyAsDouble(x) + build.keptMm();
        DoubleUnaryOperator coats = x -> ground.applyAsDouble(x) + build.offMm() * feathered.applyAsDouble(x);
        DoubleUnaryOperator level = x -> build.filled()
                ? ground.applyAsDouble(x) + depth.applyAsDouble(x) + build.offMm() * filling.applyAsDouble(x)
                : ground.applyAsDouble(x);
        DoubleUnaryOperator filled = x -> Math.max(coats.applyAsDouble(x), level.applyAsDouble(x));
        DoubleUnaryOperator top = x -> puttyTop(skimming.applyAsDouble(x), skim, filled.applyAsDouble(x));
        Cut cut = new Cut(cutYMm, from, to, x -> sheet.applyAsDouble(x) - build.gaugeMm())
                .layer("part", "Part", "part", sheet)
                .layer("coats-kept", "Coats kept", "coat", ground)
                .layer("coats", "Clear and base", "paint", coats)
                .layer("filler", "Filler", "fill", filled);
        if (build.filled()) {
            cut.proud(x -> filled.applyAsDouble(x) + proudMost * filling.applyAsDouble(x));
        }
        cut.layer("putty", "Putty", "finish", top);
        if (!build.filled()) {
            cut.proud(x ->
                    Math.max(filled.applyAsDouble(x), top.applyAsDouble(x)) + proudMost * skimming.applyAsDouble(x));
        }
        return cut.section();
    }

    /** Putty runs from the sound clear, where it is nothing, to a skim over the face. */
    private static double puttyTop(double share, double skim, double below) {
        return share > 0 ? skim * share : below;
    }
}
