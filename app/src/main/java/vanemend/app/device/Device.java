package vanemend.app.device;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A measuring instrument. It is asked about twice a second and answers at once with what it shows; a real one keeps its newest answer
 * at hand and never waits for its wire here.
 */
public interface Device {
    /** What sort of device; there is one of each. */
    enum Kind {
        SCALE("Mixing scale", true),
        SURFACE("Surface thermometer", true),
        AIR("Air thermometer and hygrometer", true),
        FILM("Paint-film gauge", false),
        UV("UV meter", true),
        TYRE("Tyre injury gauge", false);

        private final String word;
        private final boolean always;

        Kind(String word, boolean always) {
            this.word = word;
            this.always = always;
        }

        /** As said. */
        public String word() {
            return word;
        }

        /** True where it shows all the time; false where each measurement is taken by hand and then held. */
        public boolean always() {
            return always;
        }
    }

    /** What sort it is. */
    Kind kind();

    /** What it shows at {@code now}; no figures where it has measured nothing yet, empty where it does not answer. */
    Optional<List<ShownFigure>> look(Instant now);

    /** Counts from what it shows now on, where it can; false where it cannot. */
    default boolean nought(Instant now) {
        return false;
    }

    /** What to call it, and whether it is a stand-in. */
    default String name() {
        return kind().word();
    }
}
