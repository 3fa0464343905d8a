package vanemend.app.bench;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Optional;
import java.util.UUID;
import vanemend.core.damage.Oval;
import vanemend.core.method.Gate;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.RunState;
import vanemend.core.trade.Check;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.TradeBook;

/**
 * Something that happened at the bench, as sent; any field may be absent.
 *
 * @param id made by the client
 * @param at when, by the client's clock corrected to the server's
 * @param answer at a gate; {@code signed} or {@code back} for SIGN; what becomes of the part for END
 * @param value in the quantity's unit; for AMEND what it should have been, or how many minutes earlier
 * @param text the note; the device of a reading; a reason for AMEND, SCRAP, END, AGAINST and a SIGN that sends back, and if wanted for
 *     UNDO, GATE, CLOCK and DONE
 * @param target what to take back or put right; the stop to go against; for SIGN the newest event that was seen
 * @param place what a SPOT covers; its {@code answer} is the branch of the gate that it speaks for, its {@code value} how deep it is, mm
 */
public record EventDraft(
        UUID id,
        BenchEvent.Kind kind,
        Instant at,
        String step,
        String answer,
        Quantity quantity,
        Double value,
        String text,
        UUID target,
        Boolean logged,
        SpotDraft place) {
    private static final int LONGEST_NOTE = 2000;
    private static final int LONGEST_DEVICE = 60;
    private static final double LARGEST_PART_MM = TradeBook.value("entry.part.max");

    /**
     * An oval on the part, mm; any field may be absent.
     *
     * @param angleDeg turn of its length, counter-clockwise from level, degrees; 0 when absent
     */
    public record SpotDraft(Double xMm, Double yMm, Double lengthMm, Double widthMm, Double angleDeg) {
        private Oval check(Check check) {
            Quantity across = Quantity.SPOT_MM;
            return new Oval(
                    check.range("place.xMm", "Middle of the spot from the left", xMm, 0, LARGEST_PART_MM, "mm"),
                    check.range("place.yMm", "Middle of the spot from below", yMm, 0, LARGEST_PART_MM, "mm"),
                    check.range("place.lengthMm", "Length of the spot", lengthMm, across.min(), across.max(), "mm"),
                    check.range("place.widthMm", "Width of the spot", widthMm, across.min(), across.max(), "mm"),
                    angleDeg == null ? 0 : check.range("place.angleDeg", "Turn of the spot", angleDeg, -360, 360, "°"));
        }
    }

    static final int LONGEST_STEP = 200;
    private static final int LONGEST_ANSWER = 40;

    /** A reading, as {@code source} gave it. */
    public static EventDraft reading(
            Instant at, String step, Quantity quantity, double value, String source, boolean logged) {
        return new EventDraft(
                UUID.randomUUID(),
                BenchEvent.Kind.READING,
                at,
                step,
                null,
                quantity,
                value,
                source,
                null,
                logged,
                null);
    }

    /** The event, problems left in {@code check}. A time before the start or after {@code now} is drawn in to it. */
    Optional<BenchEvent> check(Check check, Instant earliest, Instant now, String by) {
        check.choice("id", "The event's id", id, new UUID(0, 0));
        BenchEvent.Kind what = check.choice("kind", "What happened", kind, BenchEvent.Kind.NOTE);
        if (what == BenchEvent.Kind.START) {
            check.refuse("kind", what, "anything but START", "The work begins with its plan, not with an event.");
        }
        if (what == BenchEvent.Kind.PLAN) {
            check.refuse("kind", what, "anything but PLAN", "Another plan begins with its plan, not with an event.");
        }
        if (what == BenchEvent.Kind.PICTURE) {
            check.refuse("kind", what, "anything but PICTURE", "A picture is sent as a file, not as an event.");
        }
        String on = step == null ? "" : step;
        if (on.length() > LONGEST_STEP) {
            check.refuse(
                    "step", on.length() + " characters", "at most " + LONGEST_STEP, "No step has a name that long.");
        }
        String said = answer == null ? "" : answer;
        if (said.length() > LONGEST_ANSWER) {
            check.refuse(
                    "answer",
                    said.length() + " characters",
                    "at most " + LONGEST_ANSWER,
                    "No gate has such an answer.");
        }
        String note = "";
        if (what == BenchEvent.Kind.NOTE) {
            note = check.text("text", "The note", text, LONGEST_NOTE);
        }
        Optional<Quantity> read = Optional.empty();
        Optional<Double> figure = Optional.empty();
        if (what == BenchEvent.Kind.READING) {
            Quantity q = check.choice("quantity", "What was read", quantity, Quantity.SURFACE_C);
            read = Optional.of(q);
            figure = Optional.of(check.range("value", q.word(), value, q.min(), q.max(), q.unit()));
            note = text == null || text.isBlank() ? "" : check.text("text", "The device", text, LONGEST_DEVICE);
        }
        Optional<Oval> spot = Optional.empty();
        if (what == BenchEvent.Kind.SPOT) {
            spot = place == null ? Optional.empty() : Optional.of(place.check(check));
            if (place == null) {
                check.refuse("place", null, "an oval on the part", "A spot says where it is and how large.");
            }
            if (said.isEmpty()) {
                check.refuse("answer", null, "what is wrong with it", "A spot says what is wrong there.");
            }
            Quantity deep = Quantity.DEPTH_MM;
            if (said.equals(Gate.LOW) || value != null) {
                figure = Optional.of(check.range(
                        "value", "How deep a low spot is", value, Math.max(0.1, deep.min()), deep.max(), deep.unit()));
            }
        }
        Optional<UUID> back = Optional.empty();
        if (what == BenchEvent.Kind.UNDO) {
            back = Optional.of(check.choice("target", "What to take back", target, new UUID(0, 0)));
            note = text == null || text.isBlank() ? "" : check.text("text", "The reason", text, LONGEST_NOTE);
        }
        if (what == BenchEvent.Kind.AMEND) {
            back = Optional.of(check.choice("target", "What to put right", target, new UUID(0, 0)));
            figure = Optional.of(check.range("value", "What it should be", value, -50, 5000, ""));
            note = check.text("text", "The reason", text, LONGEST_NOTE);
        }
        switch (what) {
            case GATE, CLOCK, DONE ->
                note = text == null || text.isBlank()
                        ? ""
                        : check.text("text", "What is said to it", text, LONGEST_NOTE);
            case SCRAP -> note = check.text("text", "Why it is thrown away", text, LONGEST_NOTE);
            case END -> {
                if (Arrays.stream(RunState.Ending.values())
                        .noneMatch(x -> x.name().equals(said))) {
                    check.refuse(
                            "answer",
                            said,
                            Arrays.toString(RunState.Ending.values()),
                            "What becomes of the part is said with the end of the work.");
                }
                note = check.text("text", "Why the work ends here", text, LONGEST_NOTE);
            }
            case AGAINST -> {
                back = Optional.of(check.choice("target", "The stop", target, new UUID(0, 0)));
                note = check.text("text", "Why it is gone against", text, LONGEST_NOTE);
            }
            default -> {}
        }
        if (what == BenchEvent.Kind.SIGN) {
            if (!said.equals(BenchEvent.SIGNED) && !said.equals(BenchEvent.BACK)) {
                check.refuse("answer", said, "signed or back", "A lead signs the work or sends it back.");
            }
            back = Optional.of(check.choice("target", "The newest event that was seen", target, new UUID(0, 0)));
            note = said.equals(BenchEvent.BACK) ? check.text("text", "Why it goes back", text, LONGEST_NOTE) : "";
        }
        if (!check.clean()) {
            return Optional.empty();
        }
        Instant when = at == null || at.isAfter(now) ? now : at.isBefore(earliest) ? earliest : at;
        // Kept to the millisecond, so that what is computed at once is what is computed from the store later.
        return Optional.of(new BenchEvent(
                id,
                what,
                when.truncatedTo(ChronoUnit.MILLIS),
                by,
                on,
                said,
                read,
                figure,
                note,
                back,
                logged != null && logged && what == BenchEvent.Kind.READING,
                spot));
    }
}
