package vanemend.core.method.dent;

import org.locationtech.jts.geom.Geometry;
import vanemend.core.damage.DepthField;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Zone;
import vanemend.core.section.Cut;
import vanemend.core.section.Section;
import vanemend.core.section.Taper;
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
        Zone filler = footprint.zone(footprint.has(Zone.Kind.FILLER) ? Zone.Kind.FILLER : Zone.Kind.DAMAGE);
        Zone skimmed = footprint.zone(Zone.Kind.PUTTY);
        // Where the paint is kept nothing is opened, and nothing is feathered.
        Zone opened = footprint.has(Zone.Kind.OPENING) ? footprint.zone(Zone.Kind.OPENING) : filler;
        Taper feather = new Taper(opened.shape(), TradeBook.value("dent.feather-width"), true, cutYMm);
        Taper fill = new Taper(filler.shape(), filler.pastMm(), false, cutYMm);
        double puttyTaper =
                skimmed.pastMm() - footprint.zone(DentFootprint.full(footprint)).pastMm();
        Taper putty = new Taper(skimmed.shape(), puttyTaper, false, cutYMm);
        double proudMost = TradeBook.value("dent.proud");
        double skim = TradeBook.value("dent.putty-finished");

        double[] x = Cut.places(from, to);
        double[] depth = Cut.heights(x, at -> dents.depthAt(at, cutYMm));
        double[] filling = Cut.heights(x, fill::at);
        double[] skimming = Cut.heights(x, putty::at);
        double[] feathered = Cut.heights(x, feather::at);
        double[] under = new double[x.length];
        double[] sheet = new double[x.length];
        double[] ground = new double[x.length];
        double[] coats = new double[x.length];
        double[] filled = new double[x.length];
        double[] top = new double[x.length];
        double[] proud = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            sheet[i] = -build.keptMm() - build.offMm() - depth[i];
            under[i] = sheet[i] - build.gaugeMm();
            ground[i] = sheet[i] + build.keptMm();
            coats[i] = ground[i] + build.offMm() * feathered[i];
            double level = build.filled() ? ground[i] + depth[i] + build.offMm() * filling[i] : ground[i];
            filled[i] = Math.max(coats[i], level);
            top[i] = puttyTop(skimming[i], skim, filled[i]);
            proud[i] = build.filled()
                    ? filled[i] + proudMost * filling[i]
                    : Math.max(filled[i], top[i]) + proudMost * skimming[i];
        }
        Cut cut = new Cut(cutYMm, x, under)
                .layer("part", "Part", "part", sheet)
                .layer("coats-kept", "Coats kept", "coat", ground)
                .layer("coats", "Clear and base", "paint", coats)
                .layer("filler", "Filler", "fill", filled);
        if (build.filled()) {
            cut.proud(proud);
        }
        cut.layer("putty", "Putty", "finish", top);
        if (!build.filled()) {
            cut.proud(proud);
        }
        return cut.section();
    }

    /** Putty runs from the sound clear, where it is nothing, to a skim over the face. */
    private static double puttyTop(double share, double skim, double below) {
        return share > 0 ? skim * share : below;
    }
}
