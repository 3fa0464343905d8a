package vanemend.app.web;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import vanemend.core.day.Held;
import vanemend.core.day.Promise;

/**
 * Why a repair is ready when it is, and what may be promised.
 *
 * @param ready when it is ready in the order that is shown
 * @param held what its time until then goes to, the longest first
 * @param soonest before when no order has it ready
 * @param promise the soonest found that moves nobody's promise
 * @param asked by when it was asked for
 * @param answer whether that can be
 * @param pushed promises that it would move
 * @param holds by when it is ready as often as a promise should hold
 * @param often how often that is, of 100
 * @param inHundred how often it is ready by when it was asked for, of 100
 * @param falls firm promises of others that are kept less often then
 */
record RepairDayView(
        long repair,
        Instant ready,
        List<HeldView> held,
        Optional<Instant> soonest,
        Optional<Instant> promise,
        Optional<Instant> asked,
        Optional<Promise.Answer> answer,
        List<PushedView> pushed,
        Optional<Instant> holds,
        int often,
        Optional<Integer> inHundred,
        List<FallView> falls) {
    /** A promise that is kept {@code after} times of 100, {@code before} as it stands. */
    record FallView(String name, int before, int after) {}

    /**
     * What a part of the time goes to.
     *
     * @param by name of the repair that has the hands or the thing; empty where none has
     * @param minutes over 0
     */
    record HeldView(Held.Kind kind, String by, double minutes) {}

    /**
     * A promise that would be moved.
     *
     * @param before when it is ready in the order that is shown
     * @param after when it would be; empty where it would find no time
     */
    record PushedView(
            long repair, String name, Optional<Instant> promisedAt, Instant before, Optional<Instant> after) {}
}
