package vanemend.core.trade;

import java.util.Arrays;
import java.util.Optional;

/** A quantity that is read at the bench, typed or off a device. What is stored is its name. */
public enum Quantity {
    DEPTH_MM("Depth left", Sort.DEPTH, "mm", 0, 25, Measured.DEPTH_MM),
    OPENING_MM("Opening across", Sort.DEPTH, "mm", 1, 1500),
    SPOT_MM("Spot across", Sort.DEPTH, "mm", 1, 1500),
    FILLER_G("Filler weighed", Sort.PLAIN, "g", 1, 3000, Measured.MASS_G),
    /** The least a bench scale shows: an empty pan is no cream. */
    CREAM_G("Cream weighed", Sort.PLAIN, "g", 0.1, 150, Measured.MASS_G),
    SURFACE_C("Surface", Sort.TEMPERATURE, "°C", -20, 120, Measured.SURFACE_C),
    AIR_C("Air", Sort.TEMPERATURE, "°C", -20, 60, Measured.AIR_C),
    RH_PERCENT("Humidity", Sort.PLAIN, "%", 0, 100, Measured.RH_PERCENT),
    FILM_UM("Total film beside the run", Sort.PLAIN, "µm", 0, 2000, Measured.FILM_UM),
    UV("UV at the resin", Sort.PLAIN, "mW/cm²", 0, 500, Measured.UV),
    INJURY_MM("Injury across", Sort.DEPTH, "mm", 0.5, 60, Measured.INJURY_MM),
    ANGLE_DEG("Angle from square", Sort.PLAIN, "°", 0, 80, Measured.ANGLE_DEG),
    USED_ML("Really used", Sort.PLAIN, "mL", 0, 5000),
    USED_G("Really used", Sort.PLAIN, "g", 0, 5000, Measured.MASS_G);

    /** What a quantity is, for its unit in the shop's own system. */
    public enum Sort {
        /** A length read to a tenth of a millimetre, mm. */
        DEPTH,
        /** °C. */
        TEMPERATURE,
        /** In its unit in every system. */
        PLAIN
    }

    private final String word;
    private final Sort sort;
    private final String unit;
    private final double min;
    private final double max;
    private final Optional<Measured> measured;

    Quantity(String word, Sort sort, String unit, double min, double max) {
        this(word, sort, unit, min, max, Optional.empty());
    }

    Quantity(String word, Sort sort, String unit, double min, double max, Measured measured) {
        this(word, sort, unit, min, max, Optional.of(measured));
    }

    Quantity(String word, Sort sort, String unit, double min, double max, Optional<Measured> measured) {
        this.word = word;
        this.sort = sort;
        this.unit = unit;
        this.min = min;
        this.max = max;
        this.measured = measured;
    }

    /** The first quantity that {@code measured} answers. */
    public static Quantity answeredBy(Measured measured) {
        return Arrays.stream(values())
                .filter(q -> q.measured.filter(m -> m == measured).isPresent())
                .findFirst()
                .orElseThrow(
                        () -> new IllegalArgumentException(measured + " answers nothing that is read at the bench"));
    }

    /** As said. */
    public String word() {
        return word;
    }

    /** What it is. */
    public Sort sort() {
        return sort;
    }

    /** Unit it is stored in. */
    public String unit() {
        return unit;
    }

    /** Smallest believable value, in its unit: below it the finger slipped or the device is broken. */
    public double min() {
        return min;
    }

    /** Largest believable value, in its unit. */
    public double max() {
        return max;
    }

    /** What a device measures that answers it; empty where it is typed. */
    public Optional<Measured> measured() {
        return measured;
    }
}
