package vanemend.core.run;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vanemend.core.damage.Dent;
import vanemend.core.damage.Oval;
import vanemend.core.method.Step;
import vanemend.core.trade.Quantity;

/**
 * Where a repair stands.
 *
 * @param startedAt when the work began
 * @param steps all steps with rework inserted, in order
 * @param current instance of the step in hand; empty when finished
 * @param clocks live clocks, what bites first comes first
 * @param mixes what was really weighed
 * @param readings typed readings that count
 * @param notes remarks
 * @param ignored events that changed nothing, and why; they are kept all the same
 * @param lastUndoable event that an undo would take back
 * @param undoableBy who did that; empty for none
 * @param finishedAt when the last step was done
 * @param hands who has it in hand
 * @param before what must hold before the mix in hand goes live; empty where no mix is in hand
 * @param amended what was put right afterwards
 * @param takenBack what was taken back
 * @param findings what the readings at the step in hand say
 * @param stops what the plan cannot go on with; empty for nothing
 * @param against stops that a lead went against
 * @param ended how the work was ended before its last step
 * @param signed what the lead said of the finished work
 * @param pictured pictures taken at steps of the run
 * @param spots places that a gate found wanting, drawn on the part
 */
public record RunState(
        Optional<Instant> startedAt,
        List<RunStep> steps,
        Optional<String> current,
        List<LiveClock> clocks,
        List<MixDone> mixes,
        List<Reading> readings,
        List<Note> notes,
        List<Ignored> ignored,
        Optional<UUID> lastUndoable,
        String undoableBy,
        Optional<Instant> finishedAt,
        String hands,
        List<BeforeMix.Must> before,
        List<Amended> amended,
        List<TakenBack> takenBack,
        List<ReadingFinding> findings,
        List<Stop> stops,
        List<Against> against,
        Optional<Ended> ended,
        Optional<Signed> signed,
        List<Pictured> pictured,
        List<Spot> spots) {

    /**
     * An event that was put right.
     *
     * @param target event
     * @param said what it was and what it is
     * @param reason why
     */
    public record Amended(UUID target, String said, String reason, Instant at, String by) {}

    /** An event that was taken back; the reason is empty where none was given. */
    public record TakenBack(UUID target, String said, String reason, Instant at, String by) {}

    /**
     * A lead's word on the finished work.
     *
     * @param stands false where it was sent back
     */
    public record Signed(boolean stands, String why, Instant at, String by) {}

    /**
     * A step in the run.
     *
     * @param id what events and readings are kept under: the text of {@code at}
     * @param at which step of the run
     * @param loop rework it belongs to, as said; empty for the plan's own
     * @param step what to do
     * @param beganAt when the one before was done
     * @param waitsSince when its wait began, first asked or asked again; as {@code beganAt} for all others
     * @param doneAt when it was done
     * @param clockAt when its mix went live
     * @param by who did it
     * @param answer gate's answer, or {@link #SCRAPPED}; empty for none
     * @param remark what was said with it: what an early end was judged by, why it went live, why it was scrapped
     * @param though what did not hold when it went live all the same
     * @param doneEvent event that ended it, to put its time right
     * @param clockEvent event that started its clock by hand, to put its time right
     * @param carried whether it was done under an earlier plan of this repair and still holds
     */
    public record RunStep(
            String id,
            RunStepId at,
            String loop,
            Step step,
            Optional<Instant> beganAt,
            Optional<Instant> waitsSince,
            Optional<Instant> doneAt,
            Optional<Instant> clockAt,
            String by,
            String answer,
            String remark,
            List<String> though,
            Optional<UUID> doneEvent,
            Optional<UUID> clockEvent,
            boolean carried) {
        /** Answer of a step whose mix was thrown away. */
        public static final String SCRAPPED = "scrapped";

        /** Whether its mix was thrown away. */
        public boolean scrapped() {
            return answer.equals(SCRAPPED);
        }
    }

    /** A stop that a lead went against, and why. */
    public record Against(Stop stop, String why, Instant at, String by) {}

    /**
     * The end of work that was not finished.
     *
     * @param how what became of it
     * @param why in words
     */
    public record Ended(Ending how, String why, Instant at, String by) {}

    /** What becomes of a part whose repair is not finished. */
    public enum Ending {
        REFERRED("Referred"),
        SCRAPPED("Scrapped or replaced"),
        REFINISH("Handed to refinish"),
        WITHDRAWN("Customer withdrew");

        private final String word;

        Ending(String word) {
            this.word = word;
        }

        /** As said. */
        public String word() {
            return word;
        }
    }

    /**
     * A live clock.
     *
     * @param step instance that it belongs to
     * @param kind deadline or earliest time
     * @param label what happens at its end
     * @param startedAt when it began
     * @param endsAt when it ends by what is known now; empty where it never cures
     * @param note where the figure comes from
     * @param warning what is wrong with it; empty for nothing
     * @param agedMin cure reached, minutes at the label's temperature; 0 for deadlines
     * @param neededMin cure needed, minutes at the label's temperature; 0 for deadlines
     */
    public record LiveClock(
            String step,
            Step.Clock.Kind kind,
            String label,
            Instant startedAt,
            Optional<Instant> endsAt,
            String note,
            String warning,
            double agedMin,
            double neededMin) {}

    /**
     * A mix that was made.
     *
     * @param step instance of the mixing step
     * @param mix mix of the plan
     * @param fillerTargetG filler to weigh, g: as planned, in rework by the depth that was read
     * @param fillerG weighed
     * @param creamG weighed
     * @param creamTargetG cream for the filler that was weighed, g
     * @param percent dose that was really given
     * @param said what that dose means, and what to know of the amount; empty for nothing
     * @param clockAt first contact of cream and filler
     * @param spreadAt when it was on the part
     * @param scrapped why it was thrown away; empty where it was not
     * @param carried whether it was made under an earlier plan of this repair
     */
    public record MixDone(
            String step,
            String mix,
            double fillerTargetG,
            Optional<Double> fillerG,
            Optional<Double> creamG,
            double creamTargetG,
            Optional<Double> percent,
            String said,
            Optional<Instant> clockAt,
            Optional<Instant> spreadAt,
            Optional<String> scrapped,
            boolean carried) {}

    /**
     * A reading that counts.
     *
     * @param source device that it came from; empty where it was typed
     * @param logged whether the device gave it by itself
     */
    public record Reading(
            UUID event,
            String step,
            Quantity quantity,
            double value,
            Instant at,
            String by,
            String source,
            boolean logged) {}

    /**
     * A place that a gate found wanting, drawn on the part.
     *
     * @param step gate that was asked then
     * @param branch what is wrong with it: a branch of that gate
     * @param place what it covers
     * @param depthMm how deep a low one is, mm; empty for others
     */
    public record Spot(
            UUID event, String step, String branch, Oval place, Optional<Double> depthMm, Instant at, String by) {
        /** What it covers, mm². */
        public double areaMm2() {
            return Math.PI / 4 * place.lengthMm() * place.widthMm();
        }

        /** Its hollow, where it is one. */
        Optional<Dent> bowl() {
            return depthMm.map(d -> new Dent(
                    place.xMm(),
                    place.yMm(),
                    place.lengthMm(),
                    place.widthMm(),
                    place.angleDeg(),
                    d,
                    Dent.Profile.BOWL));
        }
    }

    /** A remark. */
    public record Note(UUID event, String step, String text, Instant at, String by) {}

    /** A picture taken at a step. */
    public record Pictured(UUID event, String step, Instant at, String by) {}

    /** What the house wants at {@code step} and has not got. */
    public Optional<Step.Wanted> missing(RunStep step) {
        return step.step()
                .wanted()
                .map(w -> new Step.Wanted(
                        w.readings().stream()
                                .filter(q -> readings.stream()
                                        .noneMatch(r -> r.step().equals(step.id()) && r.quantity() == q))
                                .toList(),
                        w.picture() && pictured.stream().noneMatch(p -> p.step().equals(step.id()))))
                .filter(w -> w.picture() || !w.readings().isEmpty());
    }

    /**
     * An event that changed nothing.
     *
     * @param cause why, as a screen may go by it
     * @param said what it was
     * @param why in words
     */
    public record Ignored(UUID event, Cause cause, String said, String why, Instant at, String by) {}

    /** Why an event changed nothing. */
    public enum Cause {
        /** The same was done already, by the same hands or others. */
        DONE_ALREADY,
        /** The work had been ended. */
        ENDED,
        /** It was done under a plan that had been left for another. */
        PLANNED_ANEW,
        /** It does not fit where the work stood. */
        UNFIT
    }

    /** The step in hand. */
    public Optional<RunStep> now() {
        return current.flatMap(
                id -> steps.stream().filter(s -> s.id().equals(id)).findFirst());
    }

    /** Instance of the step that was in hand at {@code at}; the last one done where it is finished. */
    public String inHandAt(Instant at) {
        String found = steps.getFirst().id();
        for (RunStep s : steps) {
            if (s.beganAt().isPresent() && !s.beganAt().get().isAfter(at)) {
                found = s.id();
            }
        }
        return found;
    }
}
