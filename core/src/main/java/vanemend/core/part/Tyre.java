package vanemend.core.part;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A tyre, tread laid flat: x across from the left edge of the tread, y along it.
 *
 * @param use by the sidewall
 * @param treadWidthMm mm
 * @param treadDepthMm shallowest groove, mm
 * @param crownMm thickness of tread, belts and plies over the crown, mm
 * @param crownRead whether that was measured; else it is the usual of the class
 * @param made week of making by the date code, its Monday; empty where it cannot be read
 * @param speed speed symbol
 * @param position axle
 * @param size size and load index as the sidewall has them; empty where not noted
 */
public record Tyre(
        Use use,
        double treadWidthMm,
        double treadDepthMm,
        double crownMm,
        boolean crownRead,
        Optional<LocalDate> made,
        Speed speed,
        Position position,
        String size)
        implements Substrate {
    /** Class of tyre by its sidewall. */
    public enum Use {
        CAR("car or light truck"),
        TRUCK("medium truck or bus");

        private final String word;

        Use(String word) {
            this.word = word;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }
    }

    /** Where it runs. */
    public enum Position {
        FRONT,
        REAR
    }

    /** Speed symbols with their km/h (UN R30, UN R54). */
    public enum Speed {
        L(120),
        M(130),
        N(140),
        P(150),
        Q(160),
        R(170),
        S(180),
        T(190),
        U(200),
        H(210),
        V(240),
        W(270),
        Y(300);

        private final int kmh;

        Speed(int kmh) {
            this.kmh = kmh;
        }

        /** km/h. */
        public int kmh() {
            return kmh;
        }
    }

    @Override
    public Family family() {
        return Family.RUBBER;
    }

    @Override
    public String word() {
        return "tyre, " + use.word();
    }
}
