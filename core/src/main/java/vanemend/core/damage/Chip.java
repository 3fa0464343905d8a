package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A stone chip in laminated glass.
 *
 * @param type shape of the break
 * @param xMm middle of the pit, mm
 * @param yMm middle of the pit, mm
 * @param bodyMm across without legs, mm
 * @param spanMm across with legs: the enclosing circle, mm
 * @param pitMm across the pit where glass is gone, mm
 * @param repairMm distance to the nearest other repair, edge to edge, mm; infinite where there is none
 * @param inSweep whether the wiper passes over it
 * @param zoneC whether it lies in zone C by the UK standard's own drawing, in the hands of who says so
 */
public record Chip(
        Type type,
        double xMm,
        double yMm,
        double bodyMm,
        double spanMm,
        double pitMm,
        double repairMm,
        boolean inSweep,
        boolean zoneC)
        implements Damage {
    /** Shapes of a break. */
    public enum Type {
        BULLSEYE("bullseye"),
        HALF_MOON("half-moon"),
        STAR("star"),
        COMBINATION("combination"),
        PIT("surface pit, no legs");

        private final String word;

        Type(String word) {
            this.word = word;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }
    }

    @Override
    public Kind kind() {
        return Kind.CHIP;
    }

    @Override
    public Geometry outline() {
        double across = Math.max(spanMm, Math.max(bodyMm, pitMm));
        return new Oval(xMm, yMm, across, across, 0).polygon();
    }
}
