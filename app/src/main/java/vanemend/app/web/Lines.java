package vanemend.app.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import vanemend.app.bench.RepairWork;
import vanemend.app.store.ClosedRuns;
import vanemend.app.store.OneRow;
import vanemend.app.store.Repairs;
import vanemend.app.web.Views.RepairLine;
import vanemend.app.web.Views.Standing;
import vanemend.core.method.Conditions;
import vanemend.core.part.PartDraft;
import vanemend.core.plan.FrozenPlan;
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
        return of(r, today, Map.of());
    }

    /** The same, where the states of those under way are known. */
    RepairLine of(Repairs.Stored r, Conditions today, Map<Long, RepairWork.Live> running) {
        return r.readable()
                ? OneRow.of(r.id(), () -> worked(r, today, running)).orElseGet(() -> unreadable(r))
                : unreadable(r);
    }

    /** The line of one that is closed. */
    static RepairLine closed(ClosedRuns.Closed c) {
        return c.line()
                .map(l -> new RepairLine(
                        c.repair(),
                        named(l.name()),
                        l.vehicle(),
                        l.finishedAt().isPresent() ? Standing.DONE : Standing.ENDED,
                        l.mark(),
                        Optional.of(l.verdict()),
                        l.step(),
                        "",
                        l.ended().map(Lines::ended).orElse(""),
                        l.stepsDone(),
                        l.steps(),
                        l.promisedAt(),
                        l.finishedAt(),
                        c.changedBy(),
                        c.changedAt()))
                .orElseGet(() -> new RepairLine(
                        c.repair(),
                        named(""),
                        "",
                        Standing.BLOCKED,
                        "",
                        Optional.empty(),
                        "",
                        "",
                        cannotBeRead(c.repair()),
                        0,
                        0,
                        Optional.empty(),
                        Optional.empty(),
                        c.changedBy(),
                        c.changedAt()));
    }

    private static String cannotBeRead(long id) {
        return "What is kept of repair " + id + " cannot be read. Every other one is whole; a backup may hold it.";
    }

    private static RepairLine unreadable(Repairs.Stored r) {
        return line(r, Standing.BLOCKED, Optional.empty(), "", "", cannotBeRead(r.id()), 0, 0, Optional.empty());
    }

    private RepairLine worked(Repairs.Stored r, Conditions today, Map<Long, RepairWork.Live> running) {
        if (r.frozen()) {
            RepairWork.Live known = running.get(r.id());
            if (known != null) {
                return running(r, known.frozen(), known.state());
            }
            RepairWork.Running run = work.running(r.id());
            return running(r, run.frozen(), run.state());
        }
        Key key = new Key(r.id(), today.spreadMlPerMin());
        Known k = known.getIfPresent(key);
        if (k == null || !k.holds(r, today)) {
            k = new Known(r.version(), today, drafted(r, RepairWork.work(r.draft(), today)));
            known.put(key, k);
        }
        return k.line();
    }

    private static RepairLine running(Repairs.Stored r, FrozenPlan frozen, RunState s) {
        int done = (int) s.steps().stream().filter(x -> x.doneAt().isPresent()).count();
        return line(
                r,
                s.finishedAt().isPresent() ? Standing.DONE : s.ended().isPresent() ? Standing.ENDED : Standing.RUNNING,
                Optional.of(frozen.workup()),
                s.now().map(x -> x.step().title()).orElse(""),
                "",
                held(s),
                done,
                s.steps().size(),
                s.finishedAt());
    }

    /** What holds it up: a stop, or how it was ended. */
    private static String held(RunState s) {
        return s.ended()
                .map(Lines::ended)
                .or(() -> s.stops().stream().findFirst().map(x -> "Stop: " + x.title()))
                .orElse("");
    }

    private static String ended(RunState.Ended e) {
        return e.how().word() + ": " + e.why();
    }

    private static RepairLine drafted(Repairs.Stored r, RepairWork.Worked w) {
        if (w.workup().isEmpty()) {
            String first = w.problems().isEmpty() ? "" : w.problems().getFirst().message();
            return line(r, Standing.DRAFT, Optional.empty(), "", "", first, 0, 0, Optional.empty());
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
        String begins = up.plan().map(p -> p.steps().getFirst().step().title()).orElse("");
        return line(r, standing, w.workup(), "", begins, held, 0, steps, Optional.empty());
    }

    static String named(String name) {
        return name == null || name.isBlank() ? "Part without a name" : name;
    }

    private static RepairLine line(
            Repairs.Stored r,
            Standing standing,
            Optional<Workup> up,
            String step,
            String begins,
            String held,
            int done,
            int steps,
            Optional<java.time.Instant> finished) {
        Optional<PartDraft> part = Optional.ofNullable(r.draft().part());
        Optional<Verdict.Outcome> verdict = up.map(w -> w.verdict().outcome());
        return new RepairLine(
                r.id(),
                named(part.map(PartDraft::name).orElse("")),
                part.map(PartDraft::vehicle).orElse(""),
                standing,
                up.map(Workup::mark).orElse(""),
                verdict,
                step,
                begins,
                held,
                done,
                steps,
                Optional.ofNullable(r.draft().promisedAt()),
                finished,
                r.changedBy(),
                r.changedAt());
    }
}
