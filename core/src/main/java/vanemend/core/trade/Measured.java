package vanemend.core.trade;

/** What a device on the bench can measure. Which quantities of a step it answers stands with each {@link Quantity}. */
public enum Measured {
    MASS_G("Mass", "g", 1, 0.3, 5),
    SURFACE_C("Surface", "°C", 1, 1.5, 0),
    AIR_C("Air", "°C", 1, 1, 0),
    RH_PERCENT("Humidity", "%", 0, 3, 0),
    FILM_UM("Film", "µm", 0, 0, 0),
    UV("At the resin", "mW/cm²", 2, 5, 0),
    INJURY_MM("Across", "mm", 1, 0, 0),
    ANGLE_DEG("From square", "°", 0, 0, 0),
    DEPTH_MM("Deep", "mm", 1, 0, 0);

    private final String word;
    private final String unit;
    private final int digits;
    private final double steadyWithin;
    private final double belowNought;

    Measured(String word, String unit, int digits, double steadyWithin, double belowNought) {
        this.word = word;
        this.unit = unit;
        this.digits = digits;
        this.steadyWithin = steadyWithin;
        this.belowNought = belowNought;
    }

    /** As said beside its figure. */
    public String word() {
        return word;
    }

    /** Unit it is shown in. */
    public String unit() {
        return unit;
    }

    /** Decimals it is shown with. */
    public int digits() {
        return digits;
    }

    /** How far apart successive looks may lie for the figure to count as steady, in the unit. */
    public double steadyWithin() {
        return steadyWithin;
    }

    /** Whether {@code value} can be believed at all: between the limits of every quantity that it answers, a scale also a little below 0. */
    public boolean believable(double value) {
        for (Quantity q : Quantity.values()) {
            boolean answers = q.measured().filter(m -> m == this).isPresent();
            if (answers && value >= Math.min(0, q.min()) - belowNought && value <= q.max()) {
                return true;
            }
        }
        return false;
    }
}
