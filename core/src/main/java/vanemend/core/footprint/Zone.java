package vanemend.core.footprint;

import java.util.List;
import org.locationtech.jts.geom.Geometry;

/**
 * One zone on the part.
 *
 * @param kind which
 * @param pastMm nominal distance past the damage's outline, mm
 * @param shape exact, mm
 */
public record Zone(Kind kind, double pastMm, Geometry shape) {
    /** Sides of a part. */
    public enum Side {
        FACE,
        BACK
    }

    /** Zones by name: those of a metal dent inner to outer, then those of the other methods. */
    public enum Kind {
        DAMAGE("Damage", "as it is"),
        FILLER("Filler stops here", "80 and 120 stay inside"),
        OPENING("Opening", "clear and base are off"),
        FEATHER("Feathered paint", "tapered to the clear"),
        PUTTY("Putty limit", "over the clear"),
        DULLED("Dulled", "paint kept, no gloss left"),
        REFINE_180("180", "levels the putty rim"),
        FINE_240("240", "past the repair"),
        SURFACED("Surfacer to here", "inside the dulled field"),
        FINE_320("320", "dull everywhere"),
        CLEAN("Clean", "wash, then degrease"),
        // rust
        RUST("Cut back to here", "sound metal around"),
        FIBRE("Fibre filler to here", "on bare metal only"),
        STRIP("Stripped", "paint off to bright metal"),
        MESH("Mesh, back", "taped to the back", Side.BACK),
        PRIME_BACK("Primed, back", "against new rust", Side.BACK),
        // plastic and composite
        DISH("Dish", "80 stays inside"),
        FACE_SAND("Face sanded", "by 80, past the damage"),
        ADHESIVE("Adhesive stops here", "tapered to nothing"),
        RING_180("180 ring", "where it will feather"),
        CLOTH("Cloth, back", "buried in adhesive", Side.BACK),
        PATCH("Patch, back", "pressed hard all over", Side.BACK),
        BACK_SAND("Back sanded", "no shine left", Side.BACK),
        BACK_CLEAN("Back cleaned", "mould release and overspray off", Side.BACK),
        // hairline and solvent resin
        GROOVE("V groove", "end to end, past both ends"),
        STOP_HOLE("Stop hole", "past each visible end"),
        TAPE("Taped outline", "off while tacky"),
        FACE_TAPE("Face tape", "stays until full strength"),
        BEAD("Resin bead, back", "over the crack, none in it", Side.BACK),
        // trim
        TEXTURE("Texture coat", "past the repair"),
        COLOUR("Colour", "light, then fuller"),
        // glass
        PIT("Pit", "where the injector sits"),
        INJECTOR("Injector", "its seal, over the pit"),
        FILM("Curing film", "over the last bead"),
        // clear coat
        SHIELD("Putty shield", "guards the clear"),
        LEVEL("Levelled", "finer grades, polish"),
        // tyre
        CHANNEL("Channel", "at the injury's angle"),
        UNIT("Unit, inside", "patch of the unit", Side.BACK),
        BUFF("Buffed, inside", "and cemented, by template", Side.BACK),
        SEALED("Sealed, inside", "all overbuff", Side.BACK);

        private final String word;
        private final String note;
        private final Side side;

        Kind(String word, String note) {
            this(word, note, Side.FACE);
        }

        Kind(String word, String note, Side side) {
            this.word = word;
            this.note = note;
            this.side = side;
        }

        /** Side of the part it lies on. */
        public Side side() {
            return side;
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
