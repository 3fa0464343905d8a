package vanemend.app.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import vanemend.app.store.ClosedRuns;
import vanemend.app.store.Shop;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.record.RecordWords;
import vanemend.core.record.RepairRecord;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.RunState;

/** Puts work that is finished or ended where lists find it, and takes it from there when it goes on. */
@Component
public class Closing {
    private final ClosedRuns closed;
    private final Shop shop;

    Closing(ClosedRuns closed, Shop shop) {
        this.closed = closed;
        this.shop = shop;
    }

    /** Follows the run of {@code repair} in the transaction that its newest event is kept in; says whether it was moved from one list to the other. */
    boolean follow(long repair, List<FrozenPlan> plans, RunState state, List<BenchEvent> happened, Instant now) {
        Optional<Instant> at = at(state);
        if (at.isPresent()) {
            return closed.keep(repair, at.get(), line(plans, state, RepairRecord.of(plans, happened, now)));
        }
        return closed.reopen(repair);
    }

    /** When the work was finished or ended. */
    static Optional<Instant> at(RunState state) {
        return state.finishedAt().or(() -> state.ended().map(RunState.Ended::at));
    }

    /** What lists tell of a run, under way or closed. */
    ClosedRuns.Line line(List<FrozenPlan> plans, RunState state, RepairRecord record) {
        FrozenPlan first = plans.getFirst();
        return new ClosedRuns.Line(
                first.workup().name(),
                first.workup().vehicle(),
                first.workup().mark(),
                first.plan().title(),
                first.workup().verdict().outcome(),
                state.now().map(s -> s.step().title()).orElse(""),
                (int) state.steps().stream().filter(s -> s.doneAt().isPresent()).count(),
                state.steps().size(),
                Optional.ofNullable(first.draft().promisedAt()),
                record.startedAt(),
                record.finishedAt(),
                state.ended(),
                record.people(),
                record.deviations().size(),
                record.signed(),
                record.again(),
                RecordWords.of(first, record, shop.zone()));
    }
}
