package vanemend.core.run;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import vanemend.core.damage.Oval;
import vanemend.core.trade.Quantity;

/**
 * Something that happened at the bench. Never changed, never deleted; an UNDO takes another event back.
 *
 * @param id made by the client, so that the same event sent twice counts once
 * @param kind what happened
 * @param at when, by the client's clock corrected to the server's
 * @param by who
 * @param step instance of the step it belongs to; empty for START, UNDO, AMEND, TAKE, SIGN, PLAN, END and AGAINST
 * @param answer yes or the id of a branch for GATE; the branch that a SPOT speaks for; {@code signed} or {@code back} for SIGN; what becomes of the part for END
 * @param quantity what was read, READING only
 * @param value reading in the quantity's unit; how deep a low SPOT is, mm; for AMEND the figure it should have been, or for what was done or begun how many
 *     minutes earlier it was
 * @param text the note; the device of a READING, empty where it was typed; else the reason: of an AMEND, an UNDO, a SIGN that sends
 *     back, a SCRAP, a PLAN, an END, an AGAINST; why a mix went live though not all held, what an early or second GATE was judged by
 * @param target event taken back or amended; for AGAINST the one that raised the stop
 * @param logged whether a device gave a READING by itself, no hand at it
 * @param place what of the part a SPOT covers; empty for all others
 */
public record BenchEvent(
        UUID id,
        Kind kind,
        Instant at,
        String by,
        String step,
        String answer,
        Optional<Quantity> quantity,
        Optional<Double> value,
        String text,
        Optional<UUID> target,
        boolean logged,
        Optional<Oval> place) {
    /** Events of earlier releases have no place. */
    public BenchEvent {
        place = place == null ? Optional.empty() : place;
    }

    /** Answer of a SIGN that stands. */
    public static final String SIGNED = "signed";

    /** Answer of a SIGN that sends the work back. */
    public static final String BACK = "back";

    /** An event that is no reading of a device, and no spot. */
    public BenchEvent(
            UUID id,
            Kind kind,
            Instant at,
            String by,
            String step,
            String answer,
            Optional<Quantity> quantity,
            Optional<Double> value,
            String text,
            Optional<UUID> target) {
        this(id, kind, at, by, step, answer, quantity, value, text, target, false, Optional.empty());
    }

    /** Whether it can never be taken back: the work has begun, or another plan was begun, or somebody signed. */
    public boolean stands() {
        return kind == Kind.START || kind == Kind.PLAN || kind == Kind.SIGN || kind == Kind.UNDO;
    }

    /** A copy that happened at the step {@code other}. */
    BenchEvent at(String other) {
        return other.equals(step)
                ? this
                : new BenchEvent(id, kind, at, by, other, answer, quantity, value, text, target, logged, place);
    }

    /** What can happen. */
    public enum Kind {
        START,
        CLOCK,
        DONE,
        GATE,
        READING,
        NOTE,
        UNDO,
        AMEND,
        TAKE,
        SIGN,
        PICTURE,
        SCRAP,
        PLAN,
        END,
        AGAINST,
        SPOT
    }

    /** The work begins. */
    public static BenchEvent start(UUID id, Instant at, String by) {
        return new BenchEvent(id, Kind.START, at, by, "", "", Optional.empty(), Optional.empty(), "", Optional.empty());
    }

    /** Cream met filler: the mix is live. */
    public static BenchEvent clock(UUID id, Instant at, String by, String step) {
        return new BenchEvent(
                id, Kind.CLOCK, at, by, step, "", Optional.empty(), Optional.empty(), "", Optional.empty());
    }

    /** A step is done. */
    public static BenchEvent done(UUID id, Instant at, String by, String step) {
        return new BenchEvent(
                id, Kind.DONE, at, by, step, "", Optional.empty(), Optional.empty(), "", Optional.empty());
    }

    /** A gate is answered: {@code yes} or a branch. */
    public static BenchEvent gate(UUID id, Instant at, String by, String step, String answer) {
        return new BenchEvent(
                id, Kind.GATE, at, by, step, answer, Optional.empty(), Optional.empty(), "", Optional.empty());
    }

    /** A figure was read and typed. */
    public static BenchEvent reading(UUID id, Instant at, String by, String step, Quantity quantity, double value) {
        return read(id, at, by, step, quantity, value, "");
    }

    /** A figure was read off {@code device}. */
    public static BenchEvent read(
            UUID id, Instant at, String by, String step, Quantity quantity, double value, String device) {
        return new BenchEvent(
                id,
                Kind.READING,
                at,
                by,
                step,
                "",
                Optional.of(quantity),
                Optional.of(value),
                device,
                Optional.empty());
    }

    /** A copy of this reading as one that its device gave by itself. */
    public BenchEvent byItself() {
        return new BenchEvent(id, kind, at, by, step, answer, quantity, value, text, target, true, place);
    }

    /** A remark. */
    public static BenchEvent note(UUID id, Instant at, String by, String step, String text) {
        return new BenchEvent(
                id, Kind.NOTE, at, by, step, "", Optional.empty(), Optional.empty(), text, Optional.empty());
    }

    /** A picture was taken at {@code step}; its file is kept under the same id. */
    public static BenchEvent picture(UUID id, Instant at, String by, String step) {
        return new BenchEvent(
                id, Kind.PICTURE, at, by, step, "", Optional.empty(), Optional.empty(), "", Optional.empty());
    }

    /** Takes {@code target} back and says why. */
    public static BenchEvent undo(UUID id, Instant at, String by, UUID target, String why) {
        return new BenchEvent(
                id, Kind.UNDO, at, by, "", "", Optional.empty(), Optional.empty(), why, Optional.of(target));
    }

    /** Takes {@code target} back. */
    public static BenchEvent undo(UUID id, Instant at, String by, UUID target) {
        return new BenchEvent(
                id, Kind.UNDO, at, by, "", "", Optional.empty(), Optional.empty(), "", Optional.of(target));
    }

    /** Puts {@code target} right: its figure, or how many minutes earlier it was, and why. */
    public static BenchEvent amend(UUID id, Instant at, String by, UUID target, double value, String reason) {
        return new BenchEvent(
                id, Kind.AMEND, at, by, "", "", Optional.empty(), Optional.of(value), reason, Optional.of(target));
    }

    /** A copy with {@code words} said to it. */
    public BenchEvent saying(String words) {
        return new BenchEvent(id, kind, at, by, step, answer, quantity, value, words, target, logged, place);
    }

    /** What was mixed at {@code step} is thrown away. */
    public static BenchEvent scrap(UUID id, Instant at, String by, String step, String why) {
        return done(id, at, by, step).as(Kind.SCRAP, "").saying(why);
    }

    /** The plan is left for one made anew. */
    public static BenchEvent plan(UUID id, Instant at, String by, String why) {
        return start(id, at, by).as(Kind.PLAN, "").saying(why);
    }

    /** The work ends before its last step. */
    public static BenchEvent end(UUID id, Instant at, String by, RunState.Ending how, String why) {
        return start(id, at, by).as(Kind.END, how.name()).saying(why);
    }

    /** A lead goes against the stop that {@code target} raised. */
    public static BenchEvent against(UUID id, Instant at, String by, UUID target, String why) {
        return undo(id, at, by, target, why).as(Kind.AGAINST, "");
    }

    private BenchEvent as(Kind other, String answered) {
        return new BenchEvent(id, other, at, by, step, answered, quantity, value, text, target, logged, place);
    }

    /** A place that the gate {@code step} finds wanting as {@code branch} says, {@code depthMm} deep where it is low. */
    public static BenchEvent spot(
            UUID id, Instant at, String by, String step, String branch, Oval place, Optional<Double> depthMm) {
        return new BenchEvent(
                id,
                Kind.SPOT,
                at,
                by,
                step,
                branch,
                Optional.empty(),
                depthMm,
                "",
                Optional.empty(),
                false,
                Optional.of(place));
    }

    /** {@code by} takes the work over. */
    public static BenchEvent take(UUID id, Instant at, String by) {
        return new BenchEvent(id, Kind.TAKE, at, by, "", "", Optional.empty(), Optional.empty(), "", Optional.empty());
    }

    /** A lead signs the record, or sends it back and says why. */
    public static BenchEvent sign(UUID id, Instant at, String by, boolean signed, String why) {
        return new BenchEvent(
                id,
                Kind.SIGN,
                at,
                by,
                "",
                signed ? SIGNED : BACK,
                Optional.empty(),
                Optional.empty(),
                why,
                Optional.empty());
    }

    /** A copy as {@code amendment} puts it right. */
    BenchEvent amended(BenchEvent amendment) {
        double by = amendment.value().orElse(0.0);
        return switch (kind) {
            case READING ->
                new BenchEvent(
                        id, kind, at, this.by, step, answer, quantity, amendment.value(), text, target, logged, place);
            case CLOCK, DONE, GATE ->
                new BenchEvent(
                        id,
                        kind,
                        at.minusMillis(Math.round(by * 60_000)),
                        this.by,
                        step,
                        answer,
                        quantity,
                        value,
                        text,
                        target,
                        logged,
                        place);
            default -> this;
        };
    }
}
