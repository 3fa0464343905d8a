package vanemend.app.device;

import java.util.EnumSet;
import java.util.Set;
import vanemend.core.method.Step;
import vanemend.core.run.ReadingLimits;

/** What a device can measure, with the readings of a step that it answers. */
public enum Measured {
    MASS_G("Mass", "g", 0.3, Step.Ask.FILLER_G, Step.Ask.CREAM_G, Step.Ask.USED_G),
    SURFACE_C("Surface", "°C", 1.5, Step.Ask.SURFACE_C),
    AIR_C("Air", "°C", 1, Step.Ask.AIR_C),
    RH_PERCENT("Humidity", "%", 3, Step.Ask.RH_PERCENT),
    FILM_UM("Film", "µm", 0, Step.Ask.FILM_UM),
    UV("UV", "mW/cm²", 5, Step.Ask.UV),
    INJURY_MM("Across", "mm", 0, Step.Ask.INJURY_MM),
    ANGLE_DEG("From square", "°", 0, Step.Ask.ANGLE_DEG);

    private final String word;
    private final String unit;
    private final double steadyWithin;
    private final Set<Step.Ask> answers;

    Measured(String word, String unit, double steadyWithin, Step.Ask first, Step.Ask... more) {
        this.word = word;
        this.unit = unit;
        this.steadyWithin = steadyWithin;
        this.answers = EnumSet.of(first, more);
    }

    /** As said. */
    public String word() {
        return word;
    }

    /** Unit it is shown in. */
    public String unit() {
        return unit;
    }

    /** What is asked of a step that this answers. */
    public Set<Step.Ask> answers() {
        return answers;
    }

    /** How far apart successive looks may lie for the figure to count as steady, in the unit. */
    double steadyWithin() {
        return steadyWithin;
    }

    /** Whether {@code value} can be believed at all: between the limits of every reading that it answers, a scale also a little below 0. */
    boolean believable(double value) {
        double slack = this == MASS_G ? 5 : 0;
        return answers.stream()
                .anyMatch(a -> value >= Math.min(0, ReadingLimits.min(a)) - slack && value <= ReadingLimits.max(a));
    }
}
