package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A run or sag in clear coat, with what the film gauge reads, µm.
 *
 * @param place where it is, mm
 * @param peakUm highest reading on the run, total film
 * @param soundUm clear alone, sound, beside the run
 * @param totalUm total film beside the run
 * @param takeUm sound clear that levelling will take beside the run
 */
public record PaintRun(Oval place, double peakUm, double soundUm, double totalUm, double takeUm) implements Damage {
    @Override
    public Kind kind() {
        return Kind.RUN;
    }

    @Override
    public Geometry outline() {
        return place.polygon();
    }
}
