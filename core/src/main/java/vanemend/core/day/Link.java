package vanemend.core.day;

/**
 * When a task may begin after an earlier one of its job has ended.
 *
 * @param from id of the earlier task
 * @param least s that must have passed
 * @param most s after which it is too late; {@link #ANY_TIME} where there is no such time
 * @param sameHands whether the hands that did the earlier one go on
 */
public record Link(String from, int least, int most, boolean sameHands) {
    /** Nothing is ever too late. */
    public static final int ANY_TIME = Integer.MAX_VALUE;

    /** {@code least} s after {@code from} or later. */
    public static Link after(String from, int least) {
        return new Link(from, least, ANY_TIME, false);
    }

    boolean binds() {
        return most < ANY_TIME;
    }
}
