package vanemend.app.bench;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import vanemend.app.access.Account;
import vanemend.app.problem.Refused;
import vanemend.app.store.AllOrNothing;
import vanemend.app.store.BenchEvents;
import vanemend.app.store.Repairs;
import vanemend.core.run.BenchEvent;

/** Pictures as they stand in a run: each is an event at its step, under the id of its file. */
@Component
public class StepPictures {
    private final RepairWork work;
    private final Repairs repairs;
    private final BenchEvents events;
    private final Clock clock;
    private final Bell bell;

    StepPictures(RepairWork work, Repairs repairs, BenchEvents events, Clock clock, Bell bell) {
        this.work = work;
        this.repairs = repairs;
        this.events = events;
        this.clock = clock;
        this.bell = bell;
    }

    /** Notes in the run that the picture {@code clientId} was taken at {@code step}; twice counts once. */
    @AllOrNothing
    public void taken(long id, UUID clientId, String step, Account who) {
        repairs.lock(id);
        if (events.holder(clientId).isPresent()) {
            return;
        }
        RepairWork.Running run = work.running(id);
        if (run.state().steps().stream().noneMatch(s -> s.id().equals(step))) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Picture",
                    "The step that this picture is of is not in this run.");
        }
        events.add(id, BenchEvent.picture(clientId, moment(), who.name(), step), who.id());
        bell.ringAfterCommit(id);
    }

    /** A picture was taken away: where it stood in the run it is taken back there too, with the same reason. */
    @AllOrNothing
    public void takenAway(long id, UUID clientId, String why, Account who) {
        repairs.lock(id);
        if (events.holder(clientId).isPresent()) {
            events.add(id, BenchEvent.undo(UUID.randomUUID(), moment(), who.name(), clientId, why), who.id());
        }
    }

    private Instant moment() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }
}
