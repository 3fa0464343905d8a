package vanemend.core.footprint;

import java.util.List;
import org.locationtech.jts.geom.Geometry;

/**
 * One zone on the part.
 *
 * @param kind which
 * @param pastMm nominal distance past the dent's outline, mm
 * @param shape exact, mm
 */
public record Zone(Kind kind, double pastMm, Geometry shape) {
    /** Zones of a metal dent, inner to outer. */
    public enum Kind {
        DAMAGE("Dent", "as left after straightening"),
        FILLER("Filler stops here", "80 and 120 stay inside"),
        OPENING("Opening", "clear and base are off"),
        FEATHER("Feathered paint", "tapered to the clear"),
        PUTTY("Putty limit", "over the clear"),
        REFINE_180("180", "levels the putty rim"),
        FINE_240("240", "past the repair"),
        FINE_320("320", "dull everywhere"),
        CLEAN("Clean", "wash, then degrease");

        private final String word;
        private final String note;

        Kind(String word, String note) {
            this.word = word;
            this.note = note;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }

        /** What it is for. */
        public String note() {
            return note;
        }
    }

    /** Area, mm². */
    public double areaMm2() {
        return shape.getArea();
    }

    /** Rings for drawing. */
    public List<Ring> rings() {
        return Ring.of(shape);
    }
}
