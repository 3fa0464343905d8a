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
            case CREAM_G -> 0.1; // the least a bench scale shows: an empty pan is no cream
            case SURFACE_C, AIR_C -> -20;
            case RH_PERCENT, FILM_UM, UV, ANGLE_DEG, USED_ML, USED_G -> 0;
            case INJURY_MM -> 0.5;
        };
    }

    /** Largest believable value, in the quantity's unit. */
    public static double max(Step.Ask quantity) {
        return switch (quantity) {
            case DEPTH_MM -> 25;
            case FILLER_G -> 3000;
            case CREAM_G -> 150;
            case SURFACE_C -> 120;
            case AIR_C -> 60;
            case RH_PERCENT -> 100;
            case FILM_UM -> 2000;
            case UV -> 500;
            case INJURY_MM -> 60;
            case ANGLE_DEG -> 80;
            case USED_ML, USED_G -> 5000;
        };
    }
}
