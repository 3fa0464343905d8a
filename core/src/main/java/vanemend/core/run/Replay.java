package vanemend.core.run;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vanemend.core.cure.Peroxide;
import vanemend.core.method.Asides;
import vanemend.core.method.Gate;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.run.RunState.Ignored;
import vanemend.core.run.RunState.LiveClock;
import vanemend.core.run.RunState.MixDone;
import vanemend.core.run.RunState.Note;
import vanemend.core.run.RunState.Reading;
import vanemend.core.run.RunState.RunStep;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

/**
 * Computes where a repair stands from its frozen plan and everything that happened, in the order it was received. The same events
 * always give the same state; an event that no longer fits is kept, changes nothing and is told with its reason.
 */
public final class Replay {
    private final Plan plan;
    private final Stops stops;
    private final List<Slot> slots = new ArrayList<>();
    private final List<Reading> readings = new ArrayList<>();
    private final List<RunState.Pictured> pictured = new ArrayList<>();
    private final List<RunState.Spot> spots = new ArrayList<>();
    private final Seen seen = new Seen(readings, spots);
    private final List<Note> notes = new ArrayList<>();
    private final List<Ignored> ignored = new ArrayList<>();
    private final Map<String, Integer> tries = new LinkedHashMap<>();
    private Optional<Instant> startedAt = Optional.empty();
    private final List<RunState.Amended> amended = new ArrayList<>();
    private final List<RunState.TakenBack> takenBack = new ArrayList<>();
    private Optional<UUID> lastUndoable = Optional.empty();
    private final List<RunState.Against> against = new ArrayList<>();
    private Optional<RunState.Ended> ended = Optional.empty();
    private Optional<RunState.Signed> signed = Optional.empty();
    private final Map<UUID, BenchEvent> known = new LinkedHashMap<>();
    /** When the plan before was left for this one; empty for the first. */
    private Optional<Instant> goesBy = Optional.empty();

    /** Titles of the steps of the plan before. */
    private final Map<String, String> former = new HashMap<>();

    private String hands = "";
    private int at;

    private Replay(Plan plan) {
        this.plan = plan;
        this.stops = new Stops(plan.air());
        for (PlannedStep s : plan.steps()) {
            slots.add(new Slot(RunStepId.of(s.step().id()), s.step().id(), "", "", s.step()));
        }
    }

    /** The state after {@code events}, with clocks as they look at {@code now}. */
    public static RunState of(Plan plan, List<BenchEvent> events, Instant now) {
        return of(List.of(plan), events, now).getLast();
    }

    /**
     * Where the work stood when each plan but the last was left, and where it stands now. What was done under one plan and still holds is
     * carried into the next.
     *
     * @param plans the plan the work began with, then each that was made anew, in order
     */
    public static List<RunState> of(List<Plan> plans, List<BenchEvent> events, Instant now) {
        List<RunState> out = new ArrayList<>();
        List<List<BenchEvent>> legs = Legs.of(events, plans.size());
        for (int i = 0; i < legs.size(); i++) {
            Replay r = new Replay(plans.get(i));
            if (i > 0) {
                r.carryOn(out.getLast(), legs.get(i).getFirst().at());
            }
            r.takeAll(legs.get(i));
            out.add(r.state(now));
        }
        return List.copyOf(out);
    }

    private void takeAll(List<BenchEvent> events) {
        Set<UUID> undone = new HashSet<>();
        Set<UUID> seen = new HashSet<>();
        events.stream()
                .filter(e -> e.kind() == BenchEvent.Kind.UNDO)
                .forEach(e -> e.target().ifPresent(undone::add));
        // The beginning of the work stands, whoever would take it back.
        events.stream().filter(BenchEvent::stands).forEach(e -> undone.remove(e.id()));
        Map<UUID, BenchEvent> right = new LinkedHashMap<>();
        events.stream()
                .filter(e -> e.kind() == BenchEvent.Kind.AMEND && !undone.contains(e.id()))
                .forEach(e -> e.target().ifPresent(t -> right.put(t, e)));
        for (BenchEvent e : events) {
            if (!seen.add(e.id())) {
                continue;
            }
            BenchEvent named = e.at(now(e.step()));
            known.put(e.id(), named);
            if (!undone.contains(e.id())) {
                take(right.containsKey(e.id()) ? named.amended(right.get(e.id())) : named);
                told(named);
            }
        }
    }

    /** Goes on from where an earlier plan was left at {@code when}: as far as its steps are the same and were done, they count. */
    private void carryOn(RunState was, Instant when) {
        goesBy = Optional.of(when);
        was.steps().forEach(s -> former.put(s.id(), s.step().title()));
        startedAt = was.startedAt();
        hands = was.hands();
        Set<String> kept = new HashSet<>();
        for (Slot s : slots) {
            Optional<RunStep> done = Legs.stillHolds(was, s.step);
            if (done.isEmpty()) {
                break;
            }
            s.carry(done.get());
            kept.add(done.get().id());
            at++;
        }
        was.readings().stream().filter(r -> kept.contains(r.step())).forEach(readings::add);
        if (at < slots.size()) {
            slots.get(at).began = Optional.of(when);
        }
    }

    /** What a step is called now; in the first format what a gate put in had other names. */
    private String now(String step) {
        // Asked for every event: no stream.
        for (Slot s : slots) {
            if (s.former.equals(step)) {
                return s.id;
            }
        }
        return step;
    }

    /** What takes an earlier event back or puts it right is told beside it. */
    private void told(BenchEvent e) {
        BenchEvent was = e.target().map(known::get).orElse(null);
        if (e.kind() == BenchEvent.Kind.UNDO) {
            if (was != null && (was.kind() == BenchEvent.Kind.START || was.kind() == BenchEvent.Kind.PLAN)) {
                ignore(e, "the beginning of the work stands");
                return;
            }
            unsign();
            takenBack.add(new RunState.TakenBack(
                    e.target().orElseThrow(), was == null ? "" : said(was), e.text(), e.at(), e.by()));
        } else if (e.kind() == BenchEvent.Kind.AMEND) {
            if (was == null) {
                ignore(e, "what it puts right is not there");
                return;
            }
            double v = e.value().orElse(0.0);
            String now = was.kind() == BenchEvent.Kind.READING
                    ? said(was) + ", put right to "
                            + Text.of(v, was.quantity().map(Quantity::unit).orElse(""))
                    : said(was) + " was " + Text.of(v, "min") + " earlier";
            unsign();
            amended.add(new RunState.Amended(was.id(), now, e.text(), e.at(), e.by()));
            lastUndoable = Optional.of(e.id());
        }
    }

    /** What was signed is not what now stands: the lead signs anew. */
    private void unsign() {
        signed = signed.filter(s -> !s.stands());
    }

    private String said(BenchEvent e) {
        return EventWords.of(e, slots);
    }

    private void take(BenchEvent e) {
        boolean byHand = e.kind() != BenchEvent.Kind.SIGN
                && e.kind() != BenchEvent.Kind.AGAINST
                && e.kind() != BenchEvent.Kind.AMEND
                && e.kind() != BenchEvent.Kind.UNDO
                && !e.logged();
        if (byHand) {
            hands = e.by();
        }
        // A signature holds for what was signed; whatever comes after asks for a new one.
        if (plan.binds() && e.kind() != BenchEvent.Kind.SIGN) {
            unsign();
        }
        switch (e.kind()) {
            case START -> start(e);
            case CLOCK -> clock(e);
            case DONE -> done(e);
            case GATE -> gate(e);
            case READING -> reading(e);
            case NOTE -> {
                notes.add(new Note(e.id(), e.step(), e.text(), e.at(), e.by()));
                lastUndoable = Optional.of(e.id());
            }
            case TAKE -> lastUndoable = Optional.of(e.id());
            case SIGN -> sign(e);
            case SCRAP -> scrap(e);
            case END -> end(e);
            case AGAINST -> against(e);
            // Where a plan was left for another the events part; here it only begins the leg.
            case PLAN -> {}
            case SPOT -> spot(e);
            // As evidence it is no act that an undo takes back: it is taken away by itself, with a reason.
            case PICTURE -> pictured.add(new RunState.Pictured(e.id(), e.step(), e.at(), e.by()));
            case UNDO, AMEND -> {}
        }
    }

    private void sign(BenchEvent e) {
        if (startedAt.isEmpty() || at < slots.size() && ended.isEmpty()) {
            ignore(e, "there is nothing to sign before the work is finished");
            return;
        }
        signed = Optional.of(new RunState.Signed(e.answer().equals(BenchEvent.SIGNED), e.text(), e.at(), e.by()));
    }

    private void start(BenchEvent e) {
        if (startedAt.isPresent()) {
            ignore(e, "the work had begun already");
            return;
        }
        startedAt = Optional.of(e.at());
        slots.getFirst().began = startedAt;
    }

    /** The step in hand if {@code e} means it; otherwise the event is told and changes nothing. */
    private Optional<Slot> inHand(BenchEvent e) {
        if (startedAt.isEmpty()) {
            ignore(e, "the work has not begun");
            return Optional.empty();
        }
        if (ended.isPresent()) {
            ignore(e, RunState.Cause.ENDED, "the work was ended");
            return Optional.empty();
        }
        if (e.kind() != BenchEvent.Kind.GATE && late(e)) {
            return Optional.empty();
        }
        if (at >= slots.size()) {
            ignore(e, "the repair is finished");
            return Optional.empty();
        }
        Slot now = slots.get(at);
        if (!now.id.equals(e.step())) {
            boolean before = slots.subList(0, at).stream().anyMatch(s -> s.id.equals(e.step()));
            if (before) {
                ignore(e, RunState.Cause.DONE_ALREADY, "that step was done already");
            } else {
                ignore(e, "that step is not in hand");
            }
            return Optional.empty();
        }
        return Optional.of(now);
    }

    /** Whether it was done under the plan before, whose steps may bear the names of this one's and ask for something else; it is told then. */
    private boolean late(BenchEvent e) {
        boolean late = goesBy.filter(e.at()::isBefore).isPresent();
        if (late) {
            ignore(e, RunState.Cause.PLANNED_ANEW, "it was done under the plan before");
        }
        return late;
    }

    private void clock(BenchEvent e) {
        inHand(e).ifPresent(s -> {
            if (s.step.kind() != Step.Kind.MIX) {
                ignore(e, "this step has no clock to start");
            } else if (s.clock.isPresent()) {
                ignore(e, "the clock runs already");
            } else if (goes(s, e)) {
                goLive(s, e, e.at());
                s.clockEvent = Optional.of(e.id());
                lastUndoable = Optional.of(e.id());
            }
        });
    }

    /** What does not hold when a mix goes live is kept with it. */
    private void goLive(Slot s, BenchEvent e, Instant when) {
        s.clock = Optional.of(when);
        s.remark = e.text();
        if (plan.binds()) {
            s.though = before(s).stream()
                    // What was weighed is judged by the weights themselves.
                    .filter(m -> !m.holds() && !m.dose())
                    .map(m -> m.said() + (m.detail().isEmpty() ? "" : ": " + m.detail()))
                    .toList();
        }
    }

    private void done(BenchEvent e) {
        inHand(e).ifPresent(s -> {
            if (s.step.gate().isPresent()) {
                ignore(e, "this step ends with its gate");
                return;
            }
            if (!goes(s, e)) {
                return;
            }
            if (s.step.kind() == Step.Kind.MIX && s.clock.isEmpty()) {
                goLive(s, e, s.began.orElse(e.at()));
            } else if (s.step.goesLive() && s.step.kind() != Step.Kind.MIX) {
                Instant began = s.began.orElse(e.at());
                goLive(s, e, began);
                s.clock = Optional.empty();
            }
            if (!e.text().isBlank()) {
                s.remark = e.text();
            }
            finish(s, e, "");
        });
    }

    /** Whether the step in hand may be done, or its mix go live, with what stands; if not the event is told. */
    private boolean goes(Slot s, BenchEvent e) {
        if (!plan.binds()) {
            return true;
        }
        boolean starts = s.step.goesLive() && s.clock.isEmpty();
        if (starts && s.step.kind() == Step.Kind.MIX) {
            Optional<Double> percent = mixes().percent(s);
            if (percent.isPresent() && Peroxide.of(percent.get()) instanceof Peroxide.Fails) {
                ignore(e, "a dose of " + Text.of(Math.round(percent.get() * 100) / 100.0, "%") + " never starts");
                return false;
            }
        }
        // What is live already goes off where it is: it may be laid.
        boolean live = !starts && (s.step.kind() == Step.Kind.MIX || s.step.kind() == Step.Kind.SPREAD);
        boolean rework = !s.at.rounds().isEmpty() && stops.leaves(s.loopId);
        if (stops.none() || live || rework && !starts) {
            return true;
        }
        ignore(e, "a stop stands: " + stops.said());
        return false;
    }

    private void gate(BenchEvent e) {
        inHand(e).ifPresent(s -> {
            Optional<Gate> gate = s.step.gate();
            if (gate.isEmpty()) {
                ignore(e, "this step has no gate");
                return;
            }
            Optional<Gate.Branch> branch = gate.get().branch(e.answer());
            // What stops the work stops it under any plan.
            if (branch.filter(b -> b.weight().stops()).isEmpty() && late(e)) {
                return;
            }
            if (e.answer().equals(Gate.YES)) {
                passed(s, e);
                return;
            }
            if (branch.isEmpty()) {
                ignore(e, "the gate has no answer " + e.answer());
            } else if (branch.get().weight().stops() && plan.binds()) {
                stops.answered(e, branch.get());
                lastUndoable = Optional.of(e.id());
            } else if (!stops.none() && !stops.leaves(branch.get().loop())) {
                ignore(e, "a stop stands: " + stops.said());
            } else {
                insert(s, branch.get());
                finish(s, e, branch.get().id());
            }
        });
    }

    /** The good answer: what the gate stopped by its own answer is looked at again, and what was seen is said. */
    private void passed(Slot s, BenchEvent e) {
        if (stops.onlyOf(s.id) && !e.text().isBlank()) {
            stops.lookedAgain(s.id);
        }
        if (!stops.none()) {
            ignore(e, "a stop stands: " + stops.said());
            return;
        }
        s.remark = e.text();
        finish(s, e, Gate.YES);
    }

    /** Puts the loop's steps and the gate once more behind the gate in hand. */
    private void insert(Slot gate, Gate.Branch branch) {
        String base = gate.at.base();
        int n = tries.merge(base, 1, Integer::sum);
        List<Slot> more = new ArrayList<>();
        for (Step step : plan.loop(branch.loop()).steps()) {
            String former = base + "#" + n + "." + branch.id() + "." + step.id();
            more.add(new Slot(gate.at.inserted(branch.id(), step.id()), former, branch.label(), branch.loop(), step));
        }
        more.add(gate.again(base + "#" + (n + 1)));
        slots.addAll(at + 1, more);
    }

    /** What was mixed is thrown away; it is mixed again from the step that set it going. */
    private void scrap(BenchEvent e) {
        inHand(e).ifPresent(s -> {
            int from = mixes().setGoing(at);
            if (from < 0) {
                ignore(e, "nothing is mixed here that could be thrown away");
                return;
            }
            List<Slot> more = slots.subList(from, at + 1).stream()
                    .map(x -> x.again(x.former))
                    .toList();
            slots.addAll(at + 1, more);
            s.remark = e.text();
            finish(s, e, RunStep.SCRAPPED);
        });
    }

    private void end(BenchEvent e) {
        if (startedAt.isEmpty() || ended.isPresent() || at >= slots.size()) {
            ignore(e, "there is no work under way to end");
            return;
        }
        ended = Optional.of(new RunState.Ended(RunState.Ending.valueOf(e.answer()), e.text(), e.at(), e.by()));
        lastUndoable = Optional.of(e.id());
    }

    private void against(BenchEvent e) {
        Optional<Stop> stop = e.target().flatMap(stops::against);
        if (stop.isEmpty()) {
            ignore(e, "no stop stands there that a lead may go against");
            return;
        }
        against.add(new RunState.Against(stop.get(), e.text(), e.at(), e.by()));
        lastUndoable = Optional.of(e.id());
    }

    private void finish(Slot s, BenchEvent e, String answer) {
        if (s.step.kind() == Step.Kind.SPREAD && !answer.equals(RunStep.SCRAPPED)) {
            leaveTooCoarse(s);
        }
        // Put right to a time before it began, or told by a clock that was wrong, it took no time.
        s.done = Optional.of(later(e.at(), s.began.orElse(e.at())));
        s.by = e.by();
        s.answer = answer;
        s.doneEvent = Optional.of(e.id());
        at++;
        if (at < slots.size()) {
            slots.get(at).began = s.done;
            waitsAhead().stream()
                    .filter(w -> Asides.since(steps(), slots.indexOf(w)) == at - 1)
                    .forEach(w -> w.waitsSince = s.done);
        }
        lastUndoable = Optional.of(e.id());
    }

    /** What was laid in a rework says how coarse its papers begin: those it does not ask for are left out. */
    private void leaveTooCoarse(Slot laid) {
        Rework.of(laid.at)
                .ifPresent(r -> slots.subList(at + 1, slots.size())
                        .removeIf(s -> r.holds(s.at) && r.tooCoarse(plan, s.step, seen)));
    }

    private List<Step> steps() {
        return slots.stream().map(x -> x.step).toList();
    }

    /** The waits that run while what is in hand is done: at the table beside them, or at another site. */
    private List<Slot> waitsAhead() {
        List<Step> steps = steps();
        List<Slot> out = new ArrayList<>();
        for (int i = at + 1; i < slots.size(); i++) {
            if (slots.get(i).step.kind() == Step.Kind.WAIT && Asides.since(steps, i) < at) {
                out.add(slots.get(i));
            }
        }
        return out;
    }

    private static Instant later(Instant a, Instant b) {
        return a.isBefore(b) ? b : a;
    }

    private void reading(BenchEvent e) {
        if (e.quantity().isEmpty() || e.value().isEmpty()) {
            ignore(e, "a reading without a figure");
            return;
        }
        Reading read = new Reading(
                e.id(), e.step(), e.quantity().get(), e.value().get(), e.at(), e.by(), e.text(), e.logged());
        readings.add(read);
        if (plan.binds() && ended.isEmpty()) {
            slots.stream()
                    .filter(s -> s.id.equals(e.step()))
                    .findFirst()
                    .ifPresent(s -> stops.read(read, s.step, readings));
        }
        // What a device logs by itself never stands between the hand and what it would take back.
        if (!e.logged()) {
            lastUndoable = Optional.of(e.id());
        }
    }

    private void spot(BenchEvent e) {
        inHand(e).ifPresent(s -> {
            Optional<Gate.Branch> branch = s.step.gate().flatMap(g -> g.branch(e.answer()));
            if (branch.isEmpty() || e.place().isEmpty() || !s.step.asks().contains(Quantity.SPOT_MM)) {
                ignore(e, "no such spot is looked for at this step");
            } else if (e.answer().equals(Gate.LOW) && e.value().isEmpty()) {
                ignore(e, "a low spot without its depth");
            } else {
                spots.add(new RunState.Spot(e.id(), s.id, e.answer(), e.place().get(), e.value(), e.at(), e.by()));
                lastUndoable = Optional.of(e.id());
            }
        });
    }

    private void ignore(BenchEvent e, String why) {
        ignore(e, RunState.Cause.UNFIT, why);
    }

    private void ignore(BenchEvent e, RunState.Cause cause, String why) {
        String said = said(e);
        ignored.add(new Ignored(
                e.id(), cause, said.isEmpty() ? former.getOrDefault(e.step(), e.step()) : said, why, e.at(), e.by()));
    }

    private RunState state(Instant now) {
        List<MixDone> mixes = new ArrayList<>();
        for (int i = 0; i < slots.size(); i++) {
            if (slots.get(i).step.kind() == Step.Kind.MIX && (i < at || i == at)) {
                mixes.add(mixes().at(i));
            }
        }
        Optional<Slot> current = at < slots.size() && startedAt.isPresent() && ended.isEmpty()
                ? Optional.of(slots.get(at))
                : Optional.empty();
        Clocks clock = new Clocks(plan, readings);
        List<LiveClock> clocks = new ArrayList<>();
        mixes.stream()
                .filter(m -> m.clockAt().isPresent()
                        && m.spreadAt().isEmpty()
                        && m.scrapped().isEmpty()
                        && ended.isEmpty())
                .map(clock::onPartBy)
                .forEach(clocks::add);
        current.filter(s -> s.step.kind() == Step.Kind.WAIT && s.step.clock().isPresent())
                .map(s -> clock.from(s.view(s.step), mixes, now))
                .ifPresent(clocks::add);
        current.stream()
                .flatMap(s -> waitsAhead().stream())
                .filter(w -> w.waitsSince.isPresent() && w.step.clock().isPresent())
                .map(w -> clock.from(w.view(w.step), mixes, now))
                .forEach(clocks::add);
        current.filter(s -> s.step.kind() == Step.Kind.SPREAD && s.step.mix().isEmpty())
                .flatMap(s -> Clocks.laying(s.view(s.step)))
                .ifPresent(clocks::add);
        clocks.sort(Comparator.comparing(c -> c.endsAt().orElse(Instant.MAX)));
        Optional<Instant> finished = at >= slots.size() ? slots.getLast().done : Optional.empty();
        return new RunState(
                startedAt,
                slots.stream().map(s -> s.view(fitted(s))).toList(),
                current.map(s -> s.id),
                List.copyOf(clocks),
                List.copyOf(mixes),
                List.copyOf(readings),
                List.copyOf(notes),
                List.copyOf(ignored),
                lastUndoable,
                lastUndoable.map(known::get).map(BenchEvent::by).orElse(""),
                finished,
                hands,
                current.filter(s -> s.step.goesLive() && s.clock.isEmpty())
                        .map(this::before)
                        .orElse(List.of()),
                List.copyOf(amended),
                List.copyOf(takenBack),
                current.map(s -> ReadingFinding.at(s.step, s.id, readings, plan.air()))
                        .orElse(List.of()),
                stops.standing(),
                List.copyOf(against),
                ended,
                signed,
                List.copyOf(pictured),
                List.copyOf(spots));
    }

    private Mixes mixes() {
        return new Mixes(plan, slots, seen);
    }

    private List<BeforeMix.Must> before(Slot s) {
        int here = slots.indexOf(s);
        Optional<MixDone> mix = s.step.kind() == Step.Kind.MIX ? Optional.of(mixes().at(here)) : Optional.empty();
        return BeforeMix.of(
                plan,
                s.step,
                slots.subList(0, here).stream()
                        .map(x -> x.step)
                        .filter(s.step::with)
                        .toList(),
                slots.subList(here + 1, slots.size()).stream()
                        .map(x -> x.step)
                        .filter(s.step::with)
                        .toList(),
                mix);
    }

    private Step fitted(Slot s) {
        return Rework.fitted(plan, s.at, s.step, seen);
    }
}
