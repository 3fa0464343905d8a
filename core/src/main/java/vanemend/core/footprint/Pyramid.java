package vanemend.core.footprint;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.trade.Text;

/**
 * Plies in a dish, the smallest against its bottom, each next larger by the same step, the last just inside the rim.
 *
 * @param plies smallest first
 * @param plyMm thickness of a cured ply, mm
 * @param bondMm adhesive under each ply, mm
 * @param held false where the dish is too shallow for the least number of plies
 * @param said what would hold them; empty where the dish does
 */
public record Pyramid(List<Ply> plies, double plyMm, double bondMm, boolean held, String said) {
    /**
     * One ply.
     *
     * @param number from 1, the smallest
     * @param pastMm past the damage, mm
     * @param shape mm
     */
    public record Ply(int number, double pastMm, Geometry shape) {}

    /**
     * Cured ply thickness, mm: t = W / (1000·ρf·Vf), W in g/m², ρf in g/cm³ (CMH-17 vol. 3; Barbero, Introduction to Composite
     * Materials Design).
     */
    public static double plyThicknessMm(double arealGPerM2, double fibreDensity, double fibreVolumeShare) {
        if (!(arealGPerM2 > 0) || !(fibreDensity > 0) || !(fibreVolumeShare > 0 && fibreVolumeShare < 1)) {
            throw new IllegalArgumentException("cloth of " + arealGPerM2 + " g/m², fibre of " + fibreDensity
                    + " g/cm³, fibre share " + fibreVolumeShare);
        }
        return arealGPerM2 / (1000 * fibreDensity * fibreVolumeShare);
    }

    /**
     * As many plies as the dish holds below {@code lowMm} under the face, {@code least} at least.
     *
     * @param edgeMm the last ply stays this far inside the rim
     */
    public static Pyramid in(Dish dish, double plyMm, double bondMm, double lowMm, double edgeMm, int least) {
        double each = plyMm + bondMm;
        int fit = (int) Math.floor((dish.depthMm() - lowMm) / each + 1e-9);
        int n = Math.max(least, fit);
        double reach = dish.widthMm() - edgeMm;
        List<Ply> plies = new ArrayList<>();
        Geometry grown = dish.damage();
        for (int i = 1; i <= n; i++) {
            double past = reach * i / n;
            grown = Reach.further(dish.damage(), grown, reach * (i - 1) / n, past, dish.grower());
            plies.add(new Ply(i, past, Reach.within(grown, dish.sheet())));
        }
        boolean held = fit >= least;
        double needs = least * each + lowMm;
        String said = held
                ? ""
                : least + " plies of " + mm(plyMm) + " with " + mm(bondMm)
                        + " of adhesive under each need a dish "
                        + mm(needs) + " deep; this one is " + mm(dish.depthMm())
                        + ". A cloth half as heavy, or plies that are cut through at the face, would be the way.";
        return new Pyramid(List.copyOf(plies), plyMm, bondMm, held, said);
    }

    /** Height of plies and adhesive at a distance from the damage, mm, over the dish's bottom there. */
    public double heightAt(double distanceMm) {
        double h = 0;
        for (Ply p : plies) {
            if (distanceMm < p.pastMm()) {
                h += plyMm + bondMm;
            }
        }
        return h;
    }

    /** Area of all plies together, mm². */
    public double areaMm2() {
        return plies.stream().mapToDouble(p -> p.shape().getArea()).sum();
    }

    private static String mm(double v) {
        return Text.of(Math.round(v * 100) / 100.0, "mm");
    }
}
