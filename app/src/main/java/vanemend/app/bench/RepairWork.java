package vanemend.app.bench;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import vanemend.app.access.Account;
import vanemend.app.access.Right;
import vanemend.app.access.Role;
import vanemend.app.problem.Refused;
import vanemend.app.store.AllOrNothing;
import vanemend.app.store.Audit;
import vanemend.app.store.BenchEvents;
import vanemend.app.store.OneRow;
import vanemend.app.store.Repairs;
import vanemend.app.store.Shop;
import vanemend.app.store.Signatures;
import vanemend.core.method.Conditions;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.KeptSites;
import vanemend.core.plan.Planner;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.record.RepairRecord;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.Known;
import vanemend.core.run.MeasuredWarmUp;
import vanemend.core.run.ReadingsCsv;
import vanemend.core.run.Replay;
import vanemend.core.run.RunState;
import vanemend.core.run.StillToCome;
import vanemend.core.trade.Check;
import vanemend.core.trade.InputProblem;
import vanemend.core.verdict.Limits;
import vanemend.core.verdict.Overrule;

/** Planning, starting, running and recording repairs: the store and the core brought together. */
@Component
public class RepairWork {
    /** What was computed from a draft; problems say what cannot be taken. */
    public record Worked(Optional<Workup> workup, List<InputProblem> problems) {}

    /**
     * A run as it stands after {@code events} events: events are only ever added, so of two answers the one with more is the newer.
     *
     * @param plans the plan the work began with, then each that was made anew
     * @param legs where it stood when each plan was left, and where it stands now
     * @param anew why it is being planned anew
     */
    public record Running(
            long id, List<FrozenPlan> plans, List<RunState> legs, Optional<String> anew, int events, Instant now) {
        /** The plan it goes by. */
        public FrozenPlan frozen() {
            return plans.get(legs.size() - 1);
        }

        /** Where it stands. */
        public RunState state() {
            return legs.getLast();
        }
    }

    /**
     * A run on the bench.
     *
     * @param plans the plan the work began with, then each that was made anew
     * @param frozen the one it goes by
     * @param ahead what is still to come, as if it were alone
     */
    public record Live(
            long id,
            List<FrozenPlan> plans,
            List<BenchEvent> happened,
            FrozenPlan frozen,
            RunState state,
            List<StillToCome.Stretch> ahead) {}

    /**
     * The runs under way, what bites first comes first.
     *
     * @param unsorted how many that are closed do not stand among the closed ones yet
     */
    public record UnderWay(List<Live> live, int unsorted) {}

    /** An event that was not taken. */
    public record NotTaken(UUID id, InputProblem problem) {}

    /** A run after events were sent, and those of them that were not taken. */
    public record Taken(Running run, List<NotTaken> refused) {}

    private static final int MOST_REASON = 400;

    private final Repairs repairs;
    private final BenchEvents events;
    private final Signatures signatures;
    private final Closing closing;
    private final Shop shop;
    private final Audit audit;
    private final BenchFigures figures;
    private final Clock clock;
    private final Bell bell;
    private final KeptSites kept = new KeptSites();

    RepairWork(
            Repairs repairs,
            BenchEvents events,
            Signatures signatures,
            Closing closing,
            Shop shop,
            Audit audit,
            BenchFigures figures,
            Clock clock,
            Bell bell) {
        this.figures = figures;
        this.repairs = repairs;
        this.events = events;
        this.signatures = signatures;
        this.closing = closing;
        this.shop = shop;
        this.audit = audit;
        this.clock = clock;
        this.bell = bell;
    }

    /** Computes {@code draft} for {@code who}'s hands, saving nothing. */
    public Worked work(RepairDraft draft, Account who) {
        return work(draft, shop.conditions(who.role() == Role.APPRENTICE));
    }

    /** Computes {@code draft} as it is shown while typing. */
    public Worked sketch(RepairDraft draft, Account who) {
        Check check = new Check();
        Optional<Workup> workup = Planner.sketch(draft, shop.conditions(who.role() == Role.APPRENTICE), kept, check);
        return new Worked(workup, check.problems());
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
    @AllOrNothing
    public Repairs.Stored change(long id, int version, RepairDraft draft, Account who) {
        repairs.lock(id);
        Repairs.Stored now = repair(id);
        if (!now.open()) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    "Started",
                    "The work has begun and its plan is frozen. What you find now goes into the run as a reading or a note;"
                            + " where the plan cannot go on, plan it anew from there.");
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
        bell.ringAfterCommit(now.id());
    }

    /** Throws a draft away whose work has not begun; one's own, or as a lead anybody's. */
    @AllOrNothing
    public void throwAway(long id, Account who) {
        repairs.lock(id);
        Repairs.Stored now = repair(id);
        if (now.frozen()) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    "Started",
                    "The work has begun: it is ended at the bench with a reason, and its record stays.");
        }
        if (!repairs.addedBy(id).equals(who.id())) {
            Right.DRAFT_AWAY_OTHERS.demand(who);
        }
        repairs.away(id, who.id());
        audit.did(
                who.id(),
                Audit.Act.DRAFT,
                "Thrown away: repair " + id + ", " + now.draft().part().name());
        bell.ringAfterCommit(id);
    }

    /** A lead sets a limit of care aside, signed; an empty {@code reason} takes it back. */
    @AllOrNothing
    public Repairs.Stored overrule(long id, int version, String ruleId, String reason, Account who) {
        repairs.lock(id);
        Repairs.Stored now = repair(id);
        if (!now.open()) {
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
    @AllOrNothing
    public Repairs.Stored add(UUID clientId, RepairDraft draft, Account who) {
        long id = repairs.add(clientId, draft.overruled(List.of()), who.id());
        bell.ringAfterCommit(id);
        return repair(id);
    }

    /**
     * Opens the draft of a run again, with what was found put into it, to plan it anew from here; the run goes on meanwhile. {@code why}
     * stands in the record.
     */
    @AllOrNothing
    public Repairs.Stored planAnew(long id, String why, Account who) {
        repairs.lock(id);
        Repairs.Stored now = repair(id);
        Running run = running(id);
        if (run.state().now().isEmpty()) {
            throw new Refused(
                    HttpStatus.CONFLICT, "Plan anew", "This work is not under way: there is nothing to plan anew.");
        }
        run.state().stops().stream().filter(s -> !s.plannable()).findFirst().ifPresent(s -> {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    "Plan anew",
                    "No plan mends that: " + s.title() + ". " + s.follows() + " Look again, or end the work here.");
        });
        String said = why == null ? "" : why.strip();
        if (said.isEmpty() || said.length() > MOST_REASON) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Plan anew",
                    "Say in at most " + MOST_REASON + " characters why the plan is left: it stands in the record.");
        }
        if (now.anew().isEmpty()) {
            keep(
                    now,
                    now.version(),
                    Known.into(
                            run.frozen().draft(),
                            run.frozen().workup().plan().orElseThrow(),
                            run.state().readings()),
                    who);
        }
        repairs.anew(id, Optional.of(said));
        bell.ringAfterCommit(id);
        return repair(id);
    }

    /** Goes on by the plan the run has: what was changed to plan it anew is let go. */
    @AllOrNothing
    public Repairs.Stored keepPlan(long id, Account who) {
        repairs.lock(id);
        Repairs.Stored now = repair(id);
        if (now.anew().isPresent()) {
            keep(now, now.version(), running(id).frozen().draft(), who);
            repairs.anew(id, Optional.empty());
        }
        bell.ringAfterCommit(id);
        return repair(id);
    }

    /**
     * Freezes the plan and begins the work, or goes on with it by a plan made anew. The same {@code eventId} twice begins once. {@code version} is the draft that was on
     * screen.
     */
    @AllOrNothing
    public Running start(long id, int version, UUID eventId, Account who) {
        repairs.lock(id);
        Repairs.Stored now = repair(id);
        Optional<Long> holder = events.holder(eventId);
        if (holder.isPresent() && holder.get() == id) {
            return running(id);
        }
        if (!now.open()) {
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
        Instant at = moment();
        FrozenPlan plan = new FrozenPlan(at, who.name(), now.draft(), workup);
        if (now.frozen()) {
            repairs.freezeAnew(id, running(id).legs().size() + 1, plan, who.id());
            events.add(id, BenchEvent.plan(eventId, at, who.name(), now.anew().orElseThrow()), who.id());
        } else {
            repairs.freeze(id, plan, who.id());
            events.add(id, BenchEvent.start(eventId, at, who.name()), who.id());
        }
        bell.ringAfterCommit(id);
        return running(id);
    }

    /**
     * Takes what happened at the bench, in order; an event that is there already counts once. The shelf follows what was really used. The
     * run that it answers is computed from what was read and added here: a bench in full work sends every few seconds.
     */
    @AllOrNothing
    public Taken take(long id, List<EventDraft> drafts, Account who) {
        return take(id, drafts, who, true);
    }

    /** The same; what only a lead may do is taken where {@code fresh}, their password was typed a short while ago. */
    @AllOrNothing
    public Taken take(long id, List<EventDraft> drafts, Account who, boolean fresh) {
        repairs.lock(id);
        List<NotTaken> refused = new ArrayList<>();
        boolean more = false;
        Map<UUID, BenchEvent> known = new LinkedHashMap<>();
        events.of(id).forEach(e -> known.put(e.id(), e));
        List<FrozenPlan> plans = plans(id, known.values());
        FrozenPlan frozen = plans.getFirst();
        for (EventDraft d : drafts) {
            Check check = new Check();
            Optional<BenchEvent> event = d.check(check, frozen.frozenAt(), clock.instant(), who.name());
            Optional<Long> holder = d.id() == null ? Optional.empty() : events.holder(d.id());
            if (holder.isPresent() && holder.get() != id) {
                check.refuse("id", d.id(), "an id of its own", "This event belongs to another repair.");
            }
            // Sent again because its answer was lost: it was judged when it was taken.
            boolean here = holder.isPresent() && holder.get() == id;
            event.filter(e -> !here)
                    .ifPresent(e -> new EventRules(known, plans, who, fresh, clock.instant()).check(e, check));
            if (!check.clean()) {
                refused.add(new NotTaken(d.id(), check.problems().getFirst()));
            } else if (holder.isEmpty()) {
                BenchEvent e = event.orElseThrow();
                events.add(id, e, who.id());
                figures.taken(e, clock.instant());
                known.put(d.id(), e);
                more = true;
                if (e.kind() == BenchEvent.Kind.SIGN && e.answer().equals(BenchEvent.SIGNED)) {
                    signatures.keep(id, e, List.copyOf(known.values()));
                }
            }
        }
        List<BenchEvent> happened = List.copyOf(known.values());
        Running run = running(id, plans, happened);
        if (more) {
            closing.follow(id, plans, run.state(), happened, run.now());
        }
        shop.used(id, "Repair " + id + ", " + frozen.workup().name(), RepairRecord.used(plans, run.legs()), who.id());
        if (drafts.stream().anyMatch(d -> d.kind() == BenchEvent.Kind.GATE || d.kind() == BenchEvent.Kind.DONE)) {
            shop.warmedUp(id, MeasuredWarmUp.of(run.frozen().plan(), run.state()));
        }
        bell.ringAfterCommit(id);
        return new Taken(run, List.copyOf(refused));
    }

    /**
     * Takes readings from a CSV file, all or none; one that is there already counts once. A line without a step belongs to the step that was
     * in hand at its time. Answers how many were new.
     */
    @AllOrNothing
    public int readings(long id, String csv, Account who) {
        repairs.lock(id);
        Running run = running(id);
        Check check = new Check();
        List<ReadingsCsv.Row> rows = ReadingsCsv.read(csv, check);
        List<EventDraft> fresh = new ArrayList<>();
        for (ReadingsCsv.Row row : rows) {
            if (row.at().isBefore(run.frozen().frozenAt()) || row.at().isAfter(run.now())) {
                check.refuse(
                        "line " + row.line() + ".at",
                        row.at(),
                        run.frozen().frozenAt() + " to now",
                        "Line " + row.line() + ": " + row.at() + " lies outside this work, which began "
                                + run.frozen().frozenAt() + ".");
            } else if (run.state().readings().stream().noneMatch(r -> same(r, row))) {
                fresh.add(EventDraft.reading(
                        row.at(),
                        row.step().isEmpty() ? run.state().inHandAt(row.at()) : row.step(),
                        row.quantity(),
                        row.value(),
                        row.source(),
                        row.logged()));
            }
        }
        Refused.unlessClean("Readings", check);
        List<NotTaken> refused = take(id, fresh, who).refused();
        if (!refused.isEmpty()) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Readings",
                    refused.getFirst().problem().message());
        }
        return fresh.size();
    }

    private static boolean same(RunState.Reading r, ReadingsCsv.Row row) {
        return r.at().equals(row.at())
                && r.quantity() == row.quantity()
                && r.value() == row.value()
                && (row.step().isEmpty() || r.step().equals(row.step()));
    }

    /** Now, to the millisecond that the store keeps. */
    private Instant moment() {
        return clock.instant().truncatedTo(java.time.temporal.ChronoUnit.MILLIS);
    }

    /** The run of {@code id}. */
    public Running running(long id) {
        List<BenchEvent> happened = events.of(id);
        return running(id, plans(id, happened), happened);
    }

    private Running running(long id, List<FrozenPlan> plans, List<BenchEvent> happened) {
        Instant now = clock.instant();
        List<RunState> legs = Replay.of(plans.stream().map(FrozenPlan::plan).toList(), happened, now);
        return new Running(id, plans, legs, repair(id).anew(), happened.size(), now);
    }

    /** Every run that is under way. */
    public UnderWay underWay() {
        Instant now = clock.instant();
        List<Live> live = new ArrayList<>();
        int[] unsorted = {0};
        repairs.turns().forEach((id, turn) -> {
            Optional<Live> run = OneRow.of(id, () -> live(id, turn, now));
            if (run.isPresent() && Closing.at(run.get().state()).isPresent()) {
                unsorted[0]++;
            } else {
                run.ifPresent(live::add);
            }
        });
        live.sort(Comparator.comparing(l -> l.state().clocks().stream()
                .flatMap(c -> c.endsAt().stream())
                .min(Comparator.naturalOrder())
                .orElse(Instant.MAX)));
        return new UnderWay(List.copyOf(live), unsorted[0]);
    }

    private Live live(long id, long turn, Instant now) {
        List<BenchEvent> happened = events.of(id, turn);
        List<FrozenPlan> plans = plans(id, happened);
        List<RunState> legs = Replay.of(plans.stream().map(FrozenPlan::plan).toList(), happened, now);
        RunState state = legs.getLast();
        return new Live(id, plans, happened, plans.get(legs.size() - 1), state, StillToCome.of(state, now));
    }

    /** Puts the run of {@code id} among the closed ones where it is closed, and takes it from there where it is not; says whether it was moved. */
    @AllOrNothing
    public boolean sort(long id) {
        repairs.lock(id);
        List<BenchEvent> happened = events.of(id);
        List<FrozenPlan> plans = plans(id, happened);
        Running run = running(id, plans, happened);
        return closing.follow(id, plans, run.state(), happened, run.now());
    }

    /**
     * What stands behind a record.
     *
     * @param newest its newest event, which a signature names
     * @param signature the newest one that was kept with a digest
     */
    public record Proof(Optional<UUID> newest, Optional<Signatures.Signature> signature) {}

    /** What stands behind the record of {@code id}. */
    public Proof proof(long id) {
        List<BenchEvent> happened = events.of(id);
        return new Proof(
                happened.isEmpty()
                        ? Optional.empty()
                        : Optional.of(happened.getLast().id()),
                signatures.newest(id, happened));
    }

    /** The record of {@code id}. */
    public RepairRecord record(long id) {
        List<BenchEvent> happened = events.of(id);
        return RepairRecord.of(plans(id, happened), happened, clock.instant());
    }

    /** The plan the work on {@code id} began with, then each that {@code happened} says was made anew. */
    private List<FrozenPlan> plans(long id, Collection<BenchEvent> happened) {
        List<FrozenPlan> out = new ArrayList<>();
        out.add(repairs.plan(id).orElseThrow(() -> {
            repair(id);
            return new Refused(HttpStatus.CONFLICT, "Not started", "The work on this repair has not begun.");
        }));
        long anew =
                happened.stream().filter(e -> e.kind() == BenchEvent.Kind.PLAN).count();
        for (int n = 2; n <= anew + 1; n++) {
            int which = n;
            out.add(repairs.plan(id, n)
                    .orElseThrow(() -> new IllegalStateException("repair " + id + " has no plan " + which)));
        }
        return List.copyOf(out);
    }
}
