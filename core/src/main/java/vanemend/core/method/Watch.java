package vanemend.core.method;

import java.util.Optional;
import java.util.function.IntUnaryOperator;
import java.util.function.UnaryOperator;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.TradeBook;

/**
 * What a reading at a step is held against while the work goes on. It is frozen with the plan, so that every screen judges by the same,
 * with the server in reach or not.
 *
 * @param id name; a stop that it raised is lifted where the same name passes
 * @param quantity what is read
 * @param sense how it is held against
 * @param limit in the quantity's unit; what was planned for {@code PLANNED}, K over the dew point for {@code OVER_DEW}
 * @param weight what it means where it is not met
 * @param care whether a lead may go against it, signed
 * @param loop rework that may be walked while its stop stands; empty for none
 * @param mix mix whose amount follows it, for {@code PLANNED}; empty for none
 * @param passes readings that have to pass, one after the other, before its stop is lifted
 * @param title what is wrong where it is not met
 * @param follows what to do then
 * @param source where the limit comes from; empty for what was planned
 * @param of which damage is read, where each is read by itself; empty where the deepest speaks for all
 */
public record Watch(
        String id,
        Quantity quantity,
        Sense sense,
        double limit,
        Weight weight,
        boolean care,
        String loop,
        String mix,
        int passes,
        String title,
        String follows,
        String source,
        Optional<OfDamage> of) {
    /** Plans of an earlier release read the deepest for all. */
    public Watch {
        of = of == null ? Optional.empty() : of;
    }

    /**
     * One damage of several.
     *
     * @param damage its place in the draft, from 0
     * @param share what a mm more of it takes, as a share of what the mix tells for a mm more
     */
    public record OfDamage(int damage, double share) {}

    /** How a reading is held against a limit. */
    public enum Sense {
        AT_MOST,
        AT_LEAST,
        /** The surface against the dew point of the air that was read with it, else of the air the plan holds for. */
        OVER_DEW,
        /** Not a limit: what the plan was made for. */
        PLANNED
    }

    /** A limit that is the figure {@code book} of the rule book. */
    public static Watch limit(
            String id, Quantity q, Sense sense, String book, Weight weight, String title, String follows) {
        TradeBook.Turn v = TradeBook.shipped().turn(book);
        return new Watch(
                id, q, sense, v.value(), weight, false, "", "", 1, title, follows, v.shown(), Optional.empty());
    }

    /** What the plan was made for; {@code mix} follows it, empty for none. */
    public static Watch planned(String id, Quantity q, double value, String mix, String title, String follows) {
        return new Watch(
                id, q, Sense.PLANNED, value, Weight.OTHER, false, "", mix, 1, title, follows, "", Optional.empty());
    }

    /** As far as the plan reaches, and no further: past {@code value} another plan is needed. */
    public static Watch reach(String id, Quantity q, double value, String title, String follows) {
        return new Watch(
                id, q, Sense.AT_MOST, value, Weight.STOP, false, "", "", 1, title, follows, "", Optional.empty());
    }

    /** A copy that a lead may go against. */
    public Watch ofCare() {
        return new Watch(id, quantity, sense, limit, weight, true, loop, mix, passes, title, follows, source, of);
    }

    /** A copy whose stop leaves the rework {@code way} open. */
    public Watch leaving(String way) {
        return new Watch(id, quantity, sense, limit, weight, care, way, mix, passes, title, follows, source, of);
    }

    /** A copy whose stop takes {@code n} passing readings to lift. */
    public Watch liftedBy(int n) {
        return new Watch(id, quantity, sense, limit, weight, care, loop, mix, n, title, follows, source, of);
    }

    /** A copy that is about one damage of several. */
    public Watch of(OfDamage one) {
        return new Watch(
                id, quantity, sense, limit, weight, care, loop, mix, passes, title, follows, source, Optional.of(one));
    }

    /** A copy called {@code other}: what was read of one damage lifts no stop of another. */
    public Watch called(String other) {
        return new Watch(other, quantity, sense, limit, weight, care, loop, mix, passes, title, follows, source, of);
    }

    /** A copy at a site that calls itself, its mix and its loop by {@code named} and has its damage at {@code damage} of the draft. */
    Watch at(UnaryOperator<String> named, IntUnaryOperator damage) {
        return new Watch(
                named.apply(id),
                quantity,
                sense,
                limit,
                weight,
                care,
                loop.isEmpty() ? loop : named.apply(loop),
                mix.isEmpty() ? mix : named.apply(mix),
                passes,
                title,
                follows,
                source,
                of.map(o -> new OfDamage(damage.applyAsInt(o.damage()), o.share())));
    }

    /** A copy at the limit {@code other}. */
    public Watch at(double other) {
        return new Watch(id, quantity, sense, other, weight, care, loop, mix, passes, title, follows, source, of);
    }
}
