package vanemend.core.day;

/**
 * What a stretch of a job's time goes to.
 *
 * @param kind which
 * @param by the job that has the hands or the thing; empty where none has
 * @param seconds how long, over 0
 */
public record Held(Kind kind, String by, int seconds) {
    /** What holds a job. */
    public enum Kind {
        /** Hands are at it. */
        WORK,
        /** It cures, dries or flashes by itself. */
        CURE,
        /** A lamp or an oven has it. */
        HEAT,
        /** It is not here, or was asked not to begin. */
        NOT_BEFORE,
        /** Nobody who may do it is at work: a break, a night, a day off. */
        CLOSED,
        /** Everybody who may do it is at another part. */
        HANDS,
        /** The lamp or the oven has another part, or, by nobody, is out of order. */
        THING,
        /** Hands are free, and are kept for something else or would not be done before a break. */
        ORDER
    }
}
