package vanemend.core.run;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import vanemend.core.method.Step;

/**
 * Something that happened at the bench. Never changed, never deleted; an UNDO takes another event back.
 *
 * @param id made by the client, so that the same event sent twice counts once
 * @param kind what happened
 * @param at when, by the client's clock corrected to the server's
 * @param by who
 * @param step instance of the step it belongs to; empty for START and UNDO
 * @param answer yes or the id of a branch, GATE only
 * @param quantity what was read, READING only
 * @param value reading in the quantity's unit
 * @param text NOTE only
 * @param target event taken back, UNDO only
 */
public record BenchEvent(
        UUID id,
        Kind kind,
        Instant at,
        String by,
        String step,
        String answer,
        Optional<Step.Ask> quantity,
        Optional<Double> value,
        String text,
        Optional<UUID> target) {
    /** What can happen. */
    public enum Kind {
        START,
        CLOCK,
        DONE,
        GATE,
        READING,
        NOTE,
        UNDO
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

    /** A figure was read. */
    public static BenchEvent reading(UUID id, Instant at, String by, String step, Step.Ask quantity, double value) {
        return new BenchEvent(
                id, Kind.READING, at, by, step, "", Optional.of(quantity), Optional.of(value), "", Optional.empty());
    }

    /** A remark. */
    public static BenchEvent note(UUID id, Instant at, String by, String step, String text) {
        return new BenchEvent(
                id, Kind.NOTE, at, by, step, "", Optional.empty(), Optional.empty(), text, Optional.empty());
    }

    /** Takes {@code target} back. */
    public static BenchEvent undo(UUID id, Instant at, String by, UUID target) {
        return new BenchEvent(
                id, Kind.UNDO, at, by, "", "", Optional.empty(), Optional.empty(), "", Optional.of(target));
    }
}
