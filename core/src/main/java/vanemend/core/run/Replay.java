package vanemend.core.run;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vanemend.core.cure.Peroxide;
import vanemend.core.method.Gate;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.mix.Dose;
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
    /** A step in the making. */
    private static final class Slot {
        private final RunStepId at;
        private final String id;
        private final String former;
        private final String loop;
        private final Step step;
        private Optional<Instant> began = Optional.empty();
        private Optional<Instant> done = Optional.empty();
        private Optional<Instant> clock = Optional.empty();
        private String by = "";
        private String answer = "";
        private Optional<UUID> doneEvent = Optional.empty();
        private Optional<UUID> clockEvent = Optional.empty();

        /** @param former id that it had in events of the first format */
        Slot(RunStepId at, String former, String loop, Step step) {
            this.at = at;
            this.id = at.text();
            this.former = former;
            this.loop = loop;
            this.step = step;
        }

        RunStep view(Step fitted) {
            return new RunStep(id, at, loop, fitted, began, done, by, answer, doneEvent, clockEvent);
        }
    }

    private final Plan plan;
    private final List<Slot> slots = new ArrayList<>();
    private final List<Reading> readings = new ArrayList<>();
    private final List<RunState.Pictured> pictured = new ArrayList<>();
    private final List<Note> notes = new ArrayList<>();
    private final List<Ignored> ignored = new ArrayList<>();
    private final Map<String, Integer> tries = new LinkedHashMap<>();
    private Optional<Instant> startedAt = Optional.empty();
    private final List<RunState.Amended> amended = new ArrayList<>();
    private final List<RunState.TakenBack> takenBack = new ArrayList<>();
    private Optional<UUID> lastUndoable = Optional.empty();
    private Optional<RunState.Signed> signed = Optional.empty();
    private String hands = "";
    private int at;

    private Replay(Plan plan) {
        this.plan = plan;
        for (PlannedStep s : plan.steps()) {
            slots.add(new Slot(RunStepId.of(s.step().id()), s.step().id(), "", s.step()));
        }
    }

    /** The state after {@code events}, with clocks as they look at {@code now}. */
    public static RunState of(Plan plan, List<BenchEvent> events, Instant now) {
        Replay r = new Replay(plan);
        Set<UUID> undone = new HashSet<>();
        Set<UUID> seen = new HashSet<>();
        events.stream()
                .filter(e -> e.kind() == BenchEvent.Kind.UNDO)
                .forEach(e -> e.target().ifPresent(undone::add));
        Map<UUID, BenchEvent> right = new LinkedHashMap<>();
        events.stream()
                .filter(e -> e.kind() == BenchEvent.Kind.AMEND && !undone.contains(e.id()))
                .forEach(e -> e.target().ifPresent(t -> right.put(t, e)));
        Map<UUID, BenchEvent> known = new LinkedHashMap<>();
        for (BenchEvent e : events) {
            if (!seen.add(e.id())) {
                continue;
            }
            BenchEvent named = e.at(r.now(e.step()));
            known.put(e.id(), named);
            if (!undone.contains(e.id())) {
                r.take(right.containsKey(e.id()) ? named.amended(right.get(e.id())) : named);
                r.told(named, known);
            }
        }
        return r.state(now);
    }

    /** What a step is called now; in the first format what a gate put in had other names. */
    private String now(String step) {
        return slots.stream()
                .filter(s -> s.former.equals(step))
                .map(s -> s.id)
                .findFirst()
                .orElse(step);
    }

    /** What takes an earlier event back or puts it right is told beside it. */
    private void told(BenchEvent e, Map<UUID, BenchEvent> known) {
        BenchEvent was = e.target().map(known::get).orElse(null);
        if (e.kind() == BenchEvent.Kind.UNDO) {
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
        String title = slots.stream()
                .filter(s -> s.id.equals(e.step()))
                .findFirst()
                .map(s -> s.step.title())
                .orElse("");
        return switch (e.kind()) {
            case READING ->
                e.quantity().map(Quantity::word).orElse("") + " "
                        + Text.of(
                                e.value().orElse(0.0),
                                e.quantity().map(Quantity::unit).orElse(""));
            case NOTE -> "“" + e.text() + "”";
            case CLOCK -> "The clock of " + title;
            case SIGN -> "The lead's word";
            case TAKE -> "The hand-over";
            case PICTURE -> "A picture of " + title;
            default -> title;
        };
    }

    private void take(BenchEvent e) {
        boolean byHand = e.kind() != BenchEvent.Kind.SIGN
                && e.kind() != BenchEvent.Kind.AMEND
                && e.kind() != BenchEvent.Kind.UNDO
                && !e.logged();
        if (byHand) {
            hands = e.by();
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
            // As evidence it is no act that an undo takes back: it is taken away by itself, with a reason.
            case PICTURE -> pictured.add(new RunState.Pictured(e.id(), e.step(), e.at(), e.by()));
            case UNDO, AMEND -> {}
        }
    }

    private void sign(BenchEvent e) {
        if (startedAt.isEmpty() || at < slots.size()) {
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
        if (at >= slots.size()) {
            ignore(e, "the repair is finished");
            return Optional.empty();
        }
        Slot now = slots.get(at);
        if (!now.id.equals(e.step())) {
            boolean before = slots.subList(0, at).stream().anyMatch(s -> s.id.equals(e.step()));
            ignore(e, before ? "that step was done already" : "that step is not in hand");
            return Optional.empty();
        }
        return Optional.of(now);
    }

    private void clock(BenchEvent e) {
        inHand(e).ifPresent(s -> {
            if (s.step.kind() != Step.Kind.MIX) {
                ignore(e, "this step has no clock to start");
            } else if (s.clock.isPresent()) {
                ignore(e, "the clock runs already");
            } else {
                s.clock = Optional.of(e.at());
                s.clockEvent = Optional.of(e.id());
                lastUndoable = Optional.of(e.id());
            }
        });
    }

    private void done(BenchEvent e) {
        inHand(e).ifPresent(s -> {
            if (s.step.gate().isPresent()) {
                ignore(e, "this step ends with its gate");
                return;
            }
            if (s.step.kind() == Step.Kind.MIX && s.clock.isEmpty()) {
                s.clock = Optional.of(s.began.orElse(e.at()));
            }
            finish(s, e, "");
        });
    }

    private void gate(BenchEvent e) {
        inHand(e).ifPresent(s -> {
            Optional<Gate> gate = s.step.gate();
            if (gate.isEmpty()) {
                ignore(e, "this step has no gate");
                return;
            }
            if (e.answer().equals(Gate.YES)) {
                finish(s, e, Gate.YES);
                return;
            }
            Optional<Gate.Branch> branch = gate.get().branch(e.answer());
            if (branch.isEmpty()) {
                ignore(e, "the gate has no answer " + e.answer());
                return;
            }
            insert(s, branch.get());
            finish(s, e, branch.get().id());
        });
    }

    /** Puts the loop's steps and the gate once more behind the gate in hand. */
    private void insert(Slot gate, Gate.Branch branch) {
        String base = gate.at.base();
        int n = tries.merge(base, 1, Integer::sum);
        List<Slot> more = new ArrayList<>();
        for (Step step : plan.loop(branch.loop()).steps()) {
            String former = base + "#" + n + "." + branch.id() + "." + step.id();
            more.add(new Slot(gate.at.inserted(branch.id(), step.id()), former, branch.label(), step));
        }
        more.add(new Slot(gate.at.again(), base + "#" + (n + 1), gate.loop, gate.step));
        slots.addAll(at + 1, more);
    }

    private void finish(Slot s, BenchEvent e, String answer) {
        // Put right to a time before it began, or told by a clock that was wrong, it took no time.
        s.done = Optional.of(later(e.at(), s.began.orElse(e.at())));
        s.by = e.by();
        s.answer = answer;
        s.doneEvent = Optional.of(e.id());
        at++;
        if (at < slots.size()) {
            slots.get(at).began = s.done;
        }
        lastUndoable = Optional.of(e.id());
    }

    private static Instant later(Instant a, Instant b) {
        return a.isBefore(b) ? b : a;
    }

    private void reading(BenchEvent e) {
        if (e.quantity().isEmpty() || e.value().isEmpty()) {
            ignore(e, "a reading without a figure");
            return;
        }
        readings.add(new Reading(
                e.id(), e.step(), e.quantity().get(), e.value().get(), e.at(), e.by(), e.text(), e.logged()));
        // What a device logs by itself never stands between the hand and what it would take back.
        if (!e.logged()) {
            lastUndoable = Optional.of(e.id());
        }
    }

    private void ignore(BenchEvent e, String why) {
        ignored.add(new Ignored(e.id(), why));
    }

    private RunState state(Instant now) {
        List<MixDone> mixes = new ArrayList<>();
        for (int i = 0; i < slots.size(); i++) {
            if (slots.get(i).step.kind() == Step.Kind.MIX && (i < at || i == at)) {
                mixes.add(mixAt(i));
            }
        }
        Optional<Slot> current =
                at < slots.size() && startedAt.isPresent() ? Optional.of(slots.get(at)) : Optional.empty();
        Clocks clock = new Clocks(plan, readings);
        List<LiveClock> clocks = new ArrayList<>();
        mixes.stream()
                .filter(m -> m.clockAt().isPresent() && m.spreadAt().isEmpty())
                .map(clock::onPartBy)
                .forEach(clocks::add);
        current.filter(s -> s.step.kind() == Step.Kind.WAIT && s.step.clock().isPresent())
                .map(s -> clock.from(s.view(s.step), mixes, now))
                .ifPresent(clocks::add);
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
                finished,
                hands,
                current.filter(s -> s.step.goesLive() && s.clock.isEmpty())
                        .map(s -> BeforeMix.of(
                                plan,
                                s.step,
                                slots.subList(0, at).stream().map(x -> x.step).toList(),
                                slots.subList(at + 1, slots.size()).stream()
                                        .map(x -> x.step)
                                        .toList()))
                        .orElse(List.of()),
                List.copyOf(amended),
                List.copyOf(takenBack),
                current.map(s -> ReadingFinding.at(plan, s.at, s.step.asks(), readings))
                        .orElse(List.of()),
                signed,
                List.copyOf(pictured));
    }

    private Step fitted(Slot s) {
        return Rework.fitted(plan, s.at, s.step, readings);
    }

    private MixDone mixAt(int i) {
        Slot s = slots.get(i);
        MixPlan mix = plan.mix(s.step.mix());
        Optional<Double> filler = last(s.id, Quantity.FILLER_G);
        Optional<Double> cream = last(s.id, Quantity.CREAM_G);
        Optional<Double> percent = filler.isPresent() && cream.isPresent() && filler.get() > 0
                ? Optional.of(Dose.percent(filler.get(), cream.get()))
                : Optional.empty();
        Optional<Instant> spread = Optional.empty();
        for (int j = i + 1; j < slots.size() && slots.get(j).step.kind() != Step.Kind.MIX; j++) {
            if (slots.get(j).step.kind() == Step.Kind.SPREAD) {
                spread = slots.get(j).done;
                break;
            }
        }
        double target = Rework.amount(s.at, mix.pour().again(), readings)
                .orElse(mix.pour().fillerG());
        return new MixDone(
                s.id,
                mix.id(),
                target,
                filler,
                cream,
                mix.pour().creamFor(filler.orElse(target)),
                percent,
                saidOf(s.at, mix, percent),
                s.clock,
                spread);
    }

    private String saidOf(RunStepId step, MixPlan mix, Optional<Double> percent) {
        String dose = percent.map(p -> Peroxide.of(p).said()).orElse("");
        boolean more = Rework.inRounds(step, mix.pour().again(), readings);
        return more
                ? (dose + " More than one mix can be spread in time: this now, the rest in one more round.").strip()
                : dose;
    }

    private Optional<Double> last(String step, Quantity quantity) {
        Optional<Double> found = Optional.empty();
        for (Reading r : readings) {
            if (r.step().equals(step) && r.quantity() == quantity) {
                found = Optional.of(r.value());
            }
        }
        return found;
    }
}
