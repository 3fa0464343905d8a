package vanemend.core.day;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import vanemend.core.method.Act;
import vanemend.core.method.Asides;
import vanemend.core.method.Gate;
import vanemend.core.method.Loop;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.run.RunState;
import vanemend.core.trade.TradeBook;

/**
 * The blocks of a plan: consecutive steps that the same hands do, one block; what is live from its mixing to its last spreading, one that nothing
 * cuts; a wait in air, a least wait to what follows, and a greatest one where a promoter lies open or cement tacks; a wait under a lamp or in an oven, a block that holds it without hands. What hands do
 * at the beginning of a wait belongs to the block before it.
 */
public final class Blocks {
    private static final int MINUTE = 60;

    /**
     * What a repair asks of the day.
     *
     * @param tasks in an order in which every task stands after those it is linked to
     * @param gates what may send the work back, in the order in which it is asked
     */
    public record Asks(List<Task> tasks, List<Gated> gates) {
        public Asks {
            tasks = List.copyOf(tasks);
            gates = List.copyOf(gates);
        }
    }

    /** What covers a promoter, by what put it on: it does not lie open for long. */
    private static final Map<Act, Act> COVERS =
            Map.of(Act.APPLY_FACE, Act.PROMOTE, Act.APPLY_BACK, Act.PROMOTE_BACK, Act.PATCH, Act.PROMOTE_PATCH);

    /** What is done as soon as the wait before it is over: what tacks would be dry, or hard, later. */
    private static final Set<Act> WHILE_TACKY = EnumSet.of(Act.UNIT, Act.TAPE_WHILE_TACKY);

    /** A step with what it takes from now on: less than planned where it is in hand, nothing where it is done. */
    private record Rest(String id, Step step, boolean done, double activeMin, double waitMin) {
        static Rest whole(Step s) {
            return new Rest(s.id(), s, false, s.activeMin(), s.waitMin());
        }
    }

    private final List<Rest> rests;
    private final List<Step> steps;
    private final Right craft;
    private final List<Task> out = new ArrayList<>();

    /** The block that each step, by its place, ended in. */
    private final Map<Integer, Integer> blockOf = new HashMap<>();

    /** How long each wait in air takes, by its place, s. */
    private final Map<Integer, Integer> waitOf = new HashMap<>();

    /** What the next block must wait for, besides the one before it. */
    private final List<Link> waits = new ArrayList<>();

    /** What shuts before the open block begins: from which block on, and after how long, s. */
    private final List<Link> windows = new ArrayList<>();

    private final List<String> open = new ArrayList<>();
    private boolean atOnce;
    private double minutes;
    private boolean live;

    private Blocks(List<Rest> rests, Right craft) {
        this.rests = rests;
        this.steps = rests.stream().map(Rest::step).toList();
        this.craft = craft;
    }

    /** The blocks of {@code plan}, each called by its first step; {@code craft} is what its hands must be allowed besides. */
    public static Asks of(Plan plan, Right craft) {
        Blocks b = new Blocks(
                plan.steps().stream().map(PlannedStep::step).map(Rest::whole).toList(), craft);
        b.lay(0);
        return new Asks(b.out, b.gates(plan));
    }

    /**
     * What is left of a run at {@code now}, the step in hand first: what waits goes on waiting, and what hands are at stays in the hands of
     * {@code whose}.
     *
     * @param plan of the run
     * @param whose id of who is at it; empty where that is nobody of this day
     */
    public static Asks left(RunState run, Plan plan, Instant now, Right craft, Optional<String> whose) {
        List<Rest> rests = run.steps().stream().map(s -> rest(s, run, now)).toList();
        Blocks b = new Blocks(rests, craft);
        int first = 0;
        while (first < rests.size() && rests.get(first).done()) {
            first++;
        }
        if (first == rests.size()) {
            return new Asks(List.of(), List.of());
        }
        Rest inHand = rests.get(first);
        boolean waits = inHand.step().kind() == Step.Kind.WAIT;
        if (waits) {
            b.out.add(new Task(
                    inHand.id(),
                    Math.max(1, seconds(inHand.waitMin())),
                    false,
                    Right.ANY,
                    false,
                    false,
                    things(inHand.step()),
                    List.of()));
            b.blockOf.put(first, 0);
        }
        b.lay(waits ? first + 1 : first);
        List<Task> out = new ArrayList<>(b.out);
        if (!waits && !out.isEmpty()) {
            out.set(0, out.getFirst().by(whose));
        }
        return new Asks(out, b.gates(plan));
    }

    /** What may send the work back, by the blocks at whose end it is asked; a way that stops the work is left out. */
    private List<Gated> gates(Plan plan) {
        List<Gated> found = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            Integer block = blockOf.get(i);
            if (rests.get(i).done() || block == null || steps.get(i).gate().isEmpty()) {
                continue;
            }
            List<Gate.Branch> branches = steps.get(i).gate().get().branches();
            List<Gated.Way> ways = branches.stream()
                    .filter(w -> !w.loop().isEmpty())
                    .map(w -> way(w.id(), plan.loop(w.loop())))
                    .toList();
            if (!ways.isEmpty()) {
                found.add(new Gated(
                        out.get(Math.min(block, out.size() - 1)).id(),
                        waitOf.getOrDefault(i, 0),
                        branches.stream().anyMatch(w -> w.id().equals(Gate.LOW) || w.id().equals(Gate.PINHOLES)),
                        ways));
            }
        }
        return found;
    }

    private Gated.Way way(String branch, Loop loop) {
        Blocks b = new Blocks(loop.steps().stream().map(Rest::whole).toList(), craft);
        b.lay(0);
        return new Gated.Way(
                branch, b.out, b.waits.stream().mapToInt(Link::least).max().orElse(0));
    }

    private static Rest rest(RunState.RunStep s, RunState run, Instant now) {
        Step step = s.step();
        if (s.doneAt().isPresent()) {
            return new Rest(s.id(), step, true, 0, 0);
        }
        boolean inHand = run.current().filter(s.id()::equals).isPresent();
        if (!inHand) {
            double waited = s.waitsSince().map(w -> minutes(w, now)).orElse(0.0);
            return new Rest(s.id(), step, false, step.activeMin(), Math.max(0, step.waitMin() - waited));
        }
        if (step.kind() == Step.Kind.WAIT) {
            double left = run.clocks().stream()
                    .filter(c -> c.step().equals(s.id()) && c.kind() == Step.Clock.Kind.FROM)
                    .findFirst()
                    .flatMap(RunState.LiveClock::endsAt)
                    .map(end -> minutes(now, end))
                    .orElseGet(() -> step.waitMin()
                            - s.waitsSince().map(w -> minutes(w, now)).orElse(0.0));
            return new Rest(s.id(), step, false, 0, Math.max(0, left));
        }
        double at = s.beganAt().map(b -> minutes(b, now)).orElse(0.0);
        // Whoever takes longer than planned is about to be done, as far as anybody can tell.
        return new Rest(s.id(), step, false, Math.max(1, step.activeMin() - at), 0);
    }

    private static double minutes(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / 60_000.0;
    }

    private static List<String> things(Step s) {
        return s.resources().stream()
                .filter(r -> r == Step.Resource.LAMP || r == Step.Resource.OVEN)
                .map(Enum::name)
                .toList();
    }

    private void lay(int from) {
        boolean going = false;
        for (int i = from; i < steps.size(); i++) {
            Step s = steps.get(i);
            if (rests.get(i).done()) {
                continue;
            }
            if (s.kind() == Step.Kind.WAIT) {
                waiting(s, i);
                continue;
            }
            boolean goes = s.goesLive() || going || s.kind() == Step.Kind.SPREAD;
            // What is done in a wait is a block of its own: the wait counts from the block before it.
            boolean besideWait = i + 1 < steps.size() && Asides.since(steps, nextWait(i)) < i && nextWait(i) > i;
            if (goes != live || besideWait || !waits.isEmpty()) {
                close();
            }
            live = goes;
            keepOpen(i);
            open.add(rests.get(i).id());
            minutes += rests.get(i).activeMin();
            blockOf.put(i, out.size());
            going = goes && s.kind() != Step.Kind.SPREAD;
        }
        close();
    }

    /** What the step at {@code i} must not come too late for. */
    private void keepOpen(int i) {
        Step s = steps.get(i);
        COVERS.forEach((covers, coat) -> {
            int k = i - 1;
            while (k >= 0 && !(s.with(steps.get(k)) && steps.get(k).acts().contains(coat))) {
                k--;
            }
            Integer block = k < 0 || rests.get(k).done() ? null : blockOf.get(k);
            if (s.acts().contains(covers) && block != null && block < out.size()) {
                int most = seconds(60 * TradeBook.value("promoter.covered") - minutes);
                windows.add(new Link(out.get(block).id(), 0, Math.max(0, most), false));
            }
        });
        // A wait in hand is not planned any more: whoever is there next goes on.
        atOnce |= !waits.isEmpty() && s.acts().stream().anyMatch(WHILE_TACKY::contains);
    }

    /** The place of the next wait after {@code i}; {@code i} where there is none. */
    private int nextWait(int i) {
        for (int k = i + 1; k < steps.size(); k++) {
            if (steps.get(k).kind() == Step.Kind.WAIT) {
                return k;
            }
        }
        return i;
    }

    private void waiting(Step s, int i) {
        double active = rests.get(i).activeMin();
        boolean afterAWait = open.isEmpty();
        if (!afterAWait || active > 0 || out.isEmpty()) {
            open.add(rests.get(i).id());
            minutes += out.isEmpty() && afterAWait ? Math.max(active, 1.0 / MINUTE) : active;
        }
        int since = Asides.since(steps, i);
        close();
        int lasts = seconds(Math.max(0, rests.get(i).waitMin() - active));
        List<String> things = things(s);
        if (!things.isEmpty()) {
            out.add(new Task(rests.get(i).id(), Math.max(1, lasts), false, Right.ANY, false, true, things, links()));
        } else if (afterAWait && !waits.isEmpty()) {
            Link before = waits.removeLast();
            waits.add(Link.after(before.from(), before.least() + lasts));
        } else {
            waits.add(since >= 0 && rests.get(since).done() ? fromNow(lasts) : after(since, lasts));
        }
        if (things.isEmpty()) {
            waitOf.put(i, lasts);
        }
        blockOf.put(i, out.size() - 1);
    }

    private Link after(int step, int lasts) {
        return Link.after(out.get(blockOf.getOrDefault(step, out.size() - 1)).id(), lasts);
    }

    /** What was waited for already counts: what is left runs beside what is in hand. */
    private Link fromNow(int lasts) {
        Task inHand = out.getFirst();
        return Link.after(inHand.id(), Math.max(0, lasts - inHand.seconds()));
    }

    /** After the block before, and after every wait that is open; those are used up. */
    private List<Link> links() {
        List<Link> links = Stream.concat(
                        out.isEmpty()
                                ? Stream.empty()
                                : Stream.of(Link.after(out.getLast().id(), 0)),
                        Stream.concat(
                                waits.stream().map(w -> atOnce ? new Link(w.from(), w.least(), w.least(), true) : w),
                                windows.stream()))
                .toList();
        waits.clear();
        windows.clear();
        atOnce = false;
        return links;
    }

    private void close() {
        if (open.isEmpty() || minutes <= 0) {
            return;
        }
        out.add(new Task(
                open.getFirst(),
                Math.max(1, seconds(minutes)),
                true,
                live ? Right.LIVE : craft,
                !live,
                false,
                List.of(),
                links()));
        open.clear();
        minutes = 0;
        live = false;
    }

    private static int seconds(double min) {
        return (int) Math.ceil(min * MINUTE - 1e-6);
    }
}
