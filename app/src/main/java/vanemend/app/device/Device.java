package vanemend.app.device;

import java.time.Instant;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vanemend.core.trade.Measured;

/**
 * A measuring instrument. It is asked about twice a second and answers at once with what it shows; a real one keeps its newest answer
 * at hand and never waits for its wire here.
 */
public interface Device {
    /** What sort of device; there is one of each. */
    enum Kind {
        SCALE("Mixing scale", true, Measured.MASS_G),
        SURFACE("Surface thermometer", true, Measured.SURFACE_C),
        AIR("Air thermometer and hygrometer", true, Measured.AIR_C, Measured.RH_PERCENT),
        FILM("Paint-film gauge", false, Measured.FILM_UM),
        UV("UV meter", true, Measured.UV),
        TYRE("Tyre injury gauge", false, Measured.INJURY_MM, Measured.ANGLE_DEG),
        DEPTH("Depth gauge", false, Measured.DEPTH_MM);

        private final String word;
        private final boolean always;
        private final Set<Measured> measures;

        Kind(String word, boolean always, Measured first, Measured... more) {
            this.word = word;
            this.always = always;
            this.measures = Collections.unmodifiableSet(EnumSet.of(first, more));
        }

        /** The sort of device that measures {@code measured}. */
        public static Kind of(Measured measured) {
            return Arrays.stream(values())
                    .filter(k -> k.measures.contains(measured))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("no device measures " + measured));
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
