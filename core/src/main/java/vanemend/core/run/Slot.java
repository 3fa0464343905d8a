package vanemend.core.run;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vanemend.core.method.Step;
import vanemend.core.run.RunState.RunStep;

/** A step of a run in the making. */
final class Slot {
    final RunStepId at;
    final String id;
    final String former;
    final String loop;
    final String loopId;
    final Step step;
    Optional<Instant> began = Optional.empty();
    /** When the wait began that this one goes on with; empty for a step that is no wait asked again. */
    Optional<Instant> waitsSince = Optional.empty();

    Optional<Instant> done = Optional.empty();
    Optional<Instant> clock = Optional.empty();
    String by = "";
    String answer = "";
    String remark = "";
    List<String> though = List.of();
    Optional<UUID> doneEvent = Optional.empty();
    Optional<UUID> clockEvent = Optional.empty();
    boolean carried;

    /**
     * A step of the run.
     *
     * @param former id that it had in events of the first format
     * @param loop rework that it belongs to, as said; empty for the plan's own
     * @param loopId name of that rework
     */
    Slot(RunStepId at, String former, String loop, String loopId, Step step) {
        this.at = at;
        this.id = at.text();
        this.former = former;
        this.loop = loop;
        this.loopId = loopId;
        this.step = step;
    }

    /** This step once more, as it is asked or made again. */
    Slot again(String formerId) {
        Slot more = new Slot(at.again(), formerId, loop, loopId, step);
        if (step.kind() == Step.Kind.WAIT) {
            more.waitsSince = waitsSince.or(() -> began);
        }
        return more;
    }

    /** Takes over what was done of it under an earlier plan. */
    void carry(RunStep was) {
        began = was.beganAt();
        done = was.doneAt();
        clock = was.clockAt();
        by = was.by();
        answer = was.answer();
        remark = was.remark();
        though = was.though();
        carried = true;
    }

    boolean scrapped() {
        return answer.equals(RunStep.SCRAPPED);
    }

    RunStep view(Step fitted) {
        return new RunStep(
                id,
                at,
                loop,
                fitted,
                began,
                waitsSince.or(() -> began),
                done,
                clock,
                by,
                answer,
                remark,
                though,
                doneEvent,
                clockEvent,
                carried);
    }
}
