package vanemend.app.bench;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import vanemend.app.access.Account;
import vanemend.app.access.Role;
import vanemend.app.problem.Refused;
import vanemend.app.store.BenchEvents;
import vanemend.app.store.Repairs;
import vanemend.app.store.Shop;
import vanemend.core.plan.Conditions;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.Planner;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.record.RepairRecord;
import vanemend.core.run.Ahead;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.Replay;
import vanemend.core.run.RunState;
import vanemend.core.trade.Check;
import vanemend.core.trade.InputProblem;
import vanemend.core.verdict.Limits;
import vanemend.core.verdict.Overrule;

/** Planning, starting, running and recording repairs: the store and the core brought together. */
@Component
public class Bench {
    /** What was computed from a draft; problems say what cannot be taken. */
    public record Worked(Optional<Workup> workup, List<InputProblem> problems) {}

    /** A run as it stands. */
    public record Running(long id, FrozenPlan frozen, RunState state, Instant now) {}

    /** A run on the bench. */
    public record Live(long id, FrozenPlan frozen, RunState state, List<Ahead.Stretch> ahead) {}

    /** An event that was not taken. */
    public record NotTaken(UUID id, InputProblem problem) {}

    private static final int MOST_REASON = 400;

    private final Repairs repairs;
    private final BenchEvents events;
    private final Shop shop;
    private final Clock clock;
    private final Bell bell;

    Bench(Repairs repairs, BenchEvents events, Shop shop, Clock clock, Bell bell) {
        this.repairs = repairs;
        this.events = events;
        this.shop = shop;
        this.clock = clock;
        this.bell = bell;
    }

    /** Computes {@code draft} for {@code who}'s hands, saving nothing. */
    public Worked work(RepairDraft draft, Account who) {
        return work(draft, shop.conditions(who.role() == Role.APPRENTICE));
    }

    /** Computes {@code draft} under {@code conditions}, saving nothing. */
    public static Worked work(RepairDraft draft, Conditions conditions) {
        Check check = new Check();
        Optional<Workup> workup = Planner.plan(draft, conditions, check);
        return new Worked(workup, check.problems());
    }

    /** The repair, or a refusal that says it is not there. */
    public Repairs.Stored repair(long id) {
        return repairs.find(id)
                .orElseThrow(() -> new Refused(HttpStatus.NOT_FOUND, "Repair", "There is no repair " + id + "."));
    }

    /** Changes a repair that nobody else changed meanwhile and that is not under way. */
    @Transactional
    public Repairs.Stored change(long id, int version, RepairDraft draft, Account who) {
        repairs.lock(id);
        Repairs.Stored now = repair(id);
        if (now.frozen()) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    "Started",
                    "The work has begun and its plan is frozen. What you find now goes into the run as a reading or a note.");
        }
        // What a lead signed comes and goes by its own way only.
        keep(now, version, draft.overruled(now.draft().overrules()), who);
        return repair(id);
    }

    private void keep(Repairs.Stored now, int version, RepairDraft draft, Account who) {
        if (!repairs.change(now.id(), version, draft, who.id())) {
            throw new Refused(
                    HttpStatus.PRECONDITION_FAILED,
                    "Changed meanwhile",
                    now.changedBy() + " changed this repair meanwhile. Yours is kept here: take theirs, or keep yours.",
                    java.util.Map.of("version", now.version(), "changedBy", now.changedBy()));
        }
        ring();
    }

    /** A lead sets a limit of care aside, signed; an empty {@code reason} takes it back. */
    @Transactional
    public Repairs.Stored overrule(long id, int version, String ruleId, String reason, Account who) {
        repairs.lock(id);
        Repairs.Stored now = repair(id);
        if (who.role() != Role.LEAD) {
            throw new Refused(HttpStatus.FORBIDDEN, "Overrule", "Only a lead may set a limit aside.");
        }
        if (now.frozen()) {
            throw new Refused(HttpStatus.CONFLICT, "Started", "The work has begun and its plan is frozen.");
        }
        Limits.Rule rule = Limits.all().stream()
                .filter(r -> r.id().equals(ruleId))
                .findFirst()
                .orElseThrow(() -> new Refused(HttpStatus.NOT_FOUND, "Overrule", "There is no limit " + ruleId + "."));
        if (!rule.care()) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Overrule",
                    rule.title() + " guards people or the part's strength: nobody may set it aside here.");
        }
        String said = reason == null ? "" : reason.strip();
        if (said.length() > MOST_REASON) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Overrule",
                    "The reason has more than " + MOST_REASON + " characters.");
        }
        List<Overrule> next = new ArrayList<>(now.draft().overrules().stream()
                .filter(o -> !o.ruleId().equals(ruleId))
                .toList());
        if (!said.isEmpty()) {
            next.add(new Overrule(ruleId, said, who.name(), clock.instant()));
        }
        keep(now, version, now.draft().overruled(next), who);
        return repair(id);
    }

    /** Adds a repair. */
    @Transactional
    public Repairs.Stored add(UUID clientId, RepairDraft draft, Account who) {
        long id = repairs.add(clientId, draft.overruled(List.of()), who.id());
        ring();
        return repair(id);
    }

    /**
     * Freezes the plan and begins the work. The same {@code eventId} twice begins once. {@code version} is the draft that was on
     * screen.
     */
    @Transactional
    public Running start(long id, int version, UUID eventId, Account who) {
        repairs.lock(id);
        Repairs.Stored now = repair(id);
        Optional<Long> holder = events.holder(eventId);
        if (holder.isPresent() && holder.get() == id) {
            return running(id);
        }
        if (now.frozen()) {
            throw new Refused(HttpStatus.CONFLICT, "Started", "The work on this repair has begun already.");
        }
        if (now.version() != version) {
            throw new Refused(
                    HttpStatus.PRECONDITION_FAILED,
                    "Changed meanwhile",
                    now.changedBy() + " changed this repair meanwhile: look at the plan again before you start.",
                    java.util.Map.of("version", now.version(), "changedBy", now.changedBy()));
        }
        Worked worked = work(now.draft(), who);
        Workup workup = worked.workup()
                .filter(w -> w.plan().isPresent())
                .orElseThrow(() -> new Refused(
                        HttpStatus.CONFLICT,
                        "No plan",
                        "There is no plan to start: "
                                + worked.workup()
                                        .flatMap(w -> w.blockers().stream().findFirst())
                                        .or(() -> worked.problems().stream()
                                                .findFirst()
                                                .map(InputProblem::message))
                                        .orElse("the draft is not complete.")));
        Instant at = clock.instant().truncatedTo(java.time.temporal.ChronoUnit.MILLIS);
        repairs.freeze(id, new FrozenPlan(at, who.name(), now.draft(), workup), who.id());
        events.add(id, BenchEvent.start(eventId, at, who.name()), who.id());
        ring();
        return running(id);
    }

    /** Takes what happened at the bench, in order; an event that is there already counts once. */
    @Transactional
    public List<NotTaken> take(long id, List<EventDraft> drafts, Account who) {
        repairs.lock(id);
        FrozenPlan frozen = frozen(id);
        List<NotTaken> refused = new ArrayList<>();
        for (EventDraft d : drafts) {
            Check check = new Check();
            Optional<BenchEvent> event = d.check(check, frozen.frozenAt(), clock.instant(), who.name());
            Optional<Long> holder = d.id() == null ? Optional.empty() : events.holder(d.id());
            if (holder.isPresent() && holder.get() != id) {
                check.refuse("id", d.id(), "an id of its own", "This event belongs to another repair.");
            }
            if (!check.clean()) {
                refused.add(new NotTaken(d.id(), check.problems().getFirst()));
            } else if (holder.isEmpty()) {
                events.add(id, event.orElseThrow(), who.id());
            }
        }
        ring();
        return List.copyOf(refused);
    }

    /** The run of {@code id}. */
    public Running running(long id) {
        FrozenPlan frozen = frozen(id);
        Instant now = clock.instant();
        return new Running(id, frozen, Replay.of(frozen.plan(), events.of(id), now), now);
    }

    /** Every run that is under way, what bites first comes first. */
    public List<Live> live() {
        Instant now = clock.instant();
        List<Live> out = new ArrayList<>();
        for (Repairs.Stored r : repairs.all()) {
            if (r.frozen()) {
                FrozenPlan frozen = frozen(r.id());
                RunState state = Replay.of(frozen.plan(), events.of(r.id()), now);
                if (state.finishedAt().isEmpty()) {
                    out.add(new Live(r.id(), frozen, state, Ahead.of(state, now)));
                }
            }
        }
        out.sort(Comparator.comparing(l -> l.state().clocks().stream()
                .flatMap(c -> c.endsAt().stream())
                .min(Comparator.naturalOrder())
                .orElse(Instant.MAX)));
        return out;
    }

    /** The record of {@code id}. */
    public RepairRecord record(long id) {
        return RepairRecord.of(frozen(id), events.of(id), clock.instant());
    }

    private FrozenPlan frozen(long id) {
        repair(id);
        return repairs.plan(id)
                .orElseThrow(() ->
                        new Refused(HttpStatus.CONFLICT, "Not started", "The work on this repair has not begun."));
    }

    /** Tells everyone who watches, once what changed is really kept. */
    private void ring() {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                bell.ring();
            }
        });
    }
}
