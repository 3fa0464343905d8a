package vanemend.core.run;

import vanemend.core.method.Step;

/** What a reading may be; beyond it the finger slipped or the device is broken. */
public final class ReadingLimits {
    private ReadingLimits() {}

    /** Smallest believable value, in the quantity's unit. */
    public static double min(Step.Ask quantity) {
        return switch (quantity) {
            case DEPTH_MM -> 0;
            case FILLER_G -> 1;
            case CREAM_G -> 0;
            case SURFACE_C -> -20;
        };
    }

    /** Largest believable value, in the quantity's unit. */
    public static double max(Step.Ask quantity) {
        return switch (quantity) {
            case DEPTH_MM -> 25;
            case FILLER_G -> 3000;
            case CREAM_G -> 150;
            case SURFACE_C -> 120;
        };
    }
}
