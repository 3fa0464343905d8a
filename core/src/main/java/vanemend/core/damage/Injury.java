package vanemend.core.damage;

import org.locationtech.jts.geom.Geometry;

/**
 * A puncture in a tyre.
 *
 * @param place as seen from outside
 * @param xMm middle, from the left edge of the tread, mm
 * @param yMm along the tread, mm
 * @param diameterMm after cleaning out, mm
 * @param angleDeg from square to the tread, degrees
 * @param innerXMm its inner end, from the left edge of the tread, mm
 * @param innerRead whether that was measured; else it is where the angle leads on the worse side
 */
public record Injury(
        Place place, double xMm, double yMm, double diameterMm, double angleDeg, double innerXMm, boolean innerRead)
        implements Damage {
    /** Parts of a tyre. */
    public enum Place {
        CROWN("crown"),
        SHOULDER("shoulder"),
        SIDEWALL("sidewall"),
        BEAD("bead");

        private final String word;

        Place(String word) {
            this.word = word;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }
    }

    @Override
    public Kind kind() {
        return Kind.INJURY;
    }

    @Override
    public Geometry outline() {
        return new Oval(xMm, yMm, diameterMm, diameterMm, 0).polygon();
    }
}
