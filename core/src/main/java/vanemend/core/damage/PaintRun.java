package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A run or sag in clear coat, with what the film gauge reads, µm. A gauge shows total film: everything down to the panel.
 *
 * @param place where it is, mm
 * @param peakUm highest reading on the run, total film
 * @param totalUm total film beside the run, more than none and less than the peak
 * @param underUm what of it lies beneath the clear
 * @param underRead whether that was measured where the clear is off; else it is the sum of the part's coats
 */
public record PaintRun(Oval place, double peakUm, double totalUm, double underUm, boolean underRead) implements Damage {
    /** Clear beside the run, µm; not above 0 where the readings cannot be right. */
    public double soundUm() {
        return totalUm - underUm;
    }

    /** What stands over its surroundings and has to come off, µm: two readings of the same kind. */
    public double heightUm() {
        return peakUm - totalUm;
    }

    @Override
    public Kind kind() {
        return Kind.RUN;
    }

    @Override
    public Geometry outline() {
        return place.polygon();
    }
}
