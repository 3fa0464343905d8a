package vanemend.app.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Optional;
import org.springframework.stereotype.Component;
import vanemend.app.bench.RepairWork;
import vanemend.app.store.OneRow;
import vanemend.app.store.Repairs;
import vanemend.app.web.Views.RepairLine;
import vanemend.app.web.Views.Standing;
import vanemend.core.method.Conditions;
import vanemend.core.part.PartDraft;
import vanemend.core.plan.Workup;
import vanemend.core.run.RunState;
import vanemend.core.verdict.Verdict;

/** One line per repair, as lists show it. */
@Component
class Lines {
    /** A plan moves with the hour (sun, expiry): a line is worked out anew when it is older than this. */
    private static final Duration GOOD_FOR = Duration.ofMinutes(5);

    /** More lines than a shop has open drafts; a line that was let go is worked out again. */
    private static final long MOST_KNOWN = 10_000;

    /** A line of a draft, and what it was worked out from. */
    private record Known(int version, Conditions under, RepairLine line) {
        boolean holds(Repairs.Stored r, Conditions today) {
            return version == r.version()
                    && under.shelf() == today.shelf()
                    && under.house() == today.house()
                    && under.air().equals(today.air())
                    && Duration.between(under.now(), today.now()).compareTo(GOOD_FOR) < 0;
        }
    }

    private record Key(long repair, double spreadMlPerMin) {}

    private final Cache<Key, Known> known = Caffeine.newBuilder()
            .maximumSize(MOST_KNOWN)
            .expireAfterWrite(GOOD_FOR)
            .build();
    private final RepairWork work;

    Lines(RepairWork work) {
        this.work = work;
    }

    /** The line of {@code r}; one that cannot be read says so, and harms no other. */
    RepairLine of(Repairs.Stored r, Conditions today) {
        return r.readable() ? OneRow.of(r.id(), () -> worked(r, today)).orElseGet(() -> unreadable(r)) : unreadable(r);
    }

    private static RepairLine unreadable(Repairs.Stored r) {
        return line(
                r,
                Standing.BLOCKED,
                Optional.empty(),
                "",
                "What is kept of repair " + r.id() + " cannot be read. Every other one is whole; a backup may hold it.",
                0,
                0,
                Optional.empty());
    }

    private RepairLine worked(Repairs.Stored r, Conditions today) {
        if (r.frozen()) {
            return running(r);
        }
        Key key = new Key(r.id(), today.spreadMlPerMin());
        Known k = known.getIfPresent(key);
        if (k == null || !k.holds(r, today)) {
            k = new Known(r.version(), today, drafted(r, RepairWork.work(r.draft(), today)));
            known.put(key, k);
        }
        return k.line();
    }

    private RepairLine running(Repairs.Stored r) {
        RepairWork.Running run = work.running(r.id());
        RunState s = run.state();
        int done = (int) s.steps().stream().filter(x -> x.doneAt().isPresent()).count();
        return line(
                r,
                s.finishedAt().isPresent() ? Standing.DONE : s.ended().isPresent() ? Standing.ENDED : Standing.RUNNING,
                Optional.of(run.frozen().workup()),
                s.now().map(x -> x.step().title()).orElse(""),
                held(s),
                done,
                s.steps().size(),
                s.finishedAt());
    }

    /** What holds it up: a stop, or how it was ended. */
    private static String held(RunState s) {
        return s.ended()
                .map(e -> e.how().word() + ": " + e.why())
                .or(() -> s.stops().stream().findFirst().map(x -> "Stop: " + x.title()))
                .orElse("");
    }

    private static RepairLine drafted(Repairs.Stored r, RepairWork.Worked w) {
        if (w.workup().isEmpty()) {
            String first = w.problems().isEmpty() ? "" : w.problems().getFirst().message();
            return line(r, Standing.DRAFT, Optional.empty(), "", first, 0, 0, Optional.empty());
        }
        Workup up = w.workup().get();
        boolean matched = !up.stack().taken().isEmpty() && up.stack().missing().isEmpty();
        Standing standing = !up.verdict().mends()
                ? Standing.REFERRED
                : up.plan().isPresent()
                        ? Standing.PLANNED
                        : matched && up.drawing().section().isEmpty() ? Standing.MATCHED : Standing.BLOCKED;
        String held = up.blockers().isEmpty() ? "" : up.blockers().getFirst();
        int steps = up.plan().map(p -> p.steps().size()).orElse(0);
        return line(r, standing, w.workup(), "", held, 0, steps, Optional.empty());
    }

    private static RepairLine line(
            Repairs.Stored r,
            Standing standing,
            Optional<Workup> up,
            String step,
            String held,
            int done,
            int steps,
            Optional<java.time.Instant> finished) {
        Optional<PartDraft> part = Optional.ofNullable(r.draft().part());
        Optional<Verdict.Outcome> verdict = up.map(w -> w.verdict().outcome());
        return new RepairLine(
                r.id(),
                part.map(PartDraft::name).filter(n -> !n.isBlank()).orElse("Part without a name"),
                part.map(PartDraft::vehicle).orElse(""),
                standing,
                up.map(Workup::mark).orElse(""),
                verdict,
                step,
                held,
                done,
                steps,
                Optional.ofNullable(r.draft().promisedAt()),
                finished,
                r.changedBy(),
                r.changedAt());
    }
}
