package vanemend.core.record;

import java.time.Instant;

/**
 * Where what was done left what was planned.
 *
 * @param kind which rule of care
 * @param step instance of the step
 * @param at when
 * @param text what, measured against planned
 * @param consequence what that can lead to
 */
public record Deviation(Kind kind, String step, Instant at, String text, String consequence) {
    /** Rules of care that are watched. */
    public enum Kind {
        DOSE_OFF,
        DOSE_NOT_WEIGHED,
        AMOUNT_OFF,
        SPREAD_LATE,
        SANDED_BEFORE_CURE,
        OVER_TEMPERATURE,
        TOO_DEEP,
        WENT_ON_EARLY,
        AGAINST_READING,
        PLAN_CHANGED,
        WANTED_NOT_GIVEN,
        NOT_READ,
        OTHER_THAN_PLANNED,
        STOPPED,
        AGAINST_STOP,
        LOOKED_AGAIN,
        STARTED_THOUGH,
        MIX_SCRAPPED,
        ENDED
    }
}
