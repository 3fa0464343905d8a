package vanemend.solver;

import com.google.ortools.Loader;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.CumulativeConstraint;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearArgument;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import com.google.ortools.util.Domain;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import vanemend.core.day.Day;
import vanemend.core.day.DayPlan;
import vanemend.core.day.Job;
import vanemend.core.day.Link;
import vanemend.core.day.Person;
import vanemend.core.day.Placed;
import vanemend.core.day.Span;
import vanemend.core.day.Task;
import vanemend.core.day.Thing;

/**
 * Some jobs of a day as a constraint model, all others fixed as a plan has them: an interval a task and pair of hands that may do it, one of
 * them there; no two on the same hands at once, no more on a kind of thing than there are. Times in s.
 */
final class DayModel {
    /** What is looked for. */
    enum Aim {
        /** As {@code Worth} has it: promises, wishes, last finish, mean finish. */
        WORTH,
        /** The last finish alone: what is proven of it holds for every order. */
        LAST
    }

    /**
     * What was found.
     *
     * @param plan none better than the one it came from may be there
     * @param bound of the last finish, where that alone was aimed at with every job free; s
     * @param proven whether there is none better
     */
    record Found(Optional<DayPlan> plan, OptionalInt bound, boolean proven) {}

    /** A promise missed by a second weighs so many seconds of the last finish; a wish a tenth of it. */
    private static final long LATE = 1_000;

    private static final long WISHED = 100;

    static {
        Loader.loadNativeLibraries();
    }

    private final CpModel model = new CpModel();
    private final Day day;
    private final DayPlan from;
    private final Set<String> free;
    private final Aim aim;
    private final int horizon;
    private final Map<String, Task> tasks = new HashMap<>();
    private final Map<String, List<IntervalVar>> hands = new HashMap<>();
    private final Map<String, List<IntervalVar>> held = new HashMap<>();
    private final Map<String, Variables> variables = new HashMap<>();

    /** Before when nobody begins anything new: what is in their hands goes first. */
    private final Map<String, Integer> inHand = new HashMap<>();

    /** A task that is to be placed: when, until when, and in whose hands. */
    private record Variables(Task task, IntVar start, LinearArgument end, Map<String, Literal> by) {}

    /**
     * When a task may begin if it stands still for so long.
     *
     * @param still s of breaks that fall into it
     * @param ends first and last s of each stretch, in a row
     */
    private record Stretch(int still, List<Long> ends) {
        long[] flat() {
            return ends.stream().mapToLong(Long::longValue).toArray();
        }

        boolean holds(int at) {
            for (int i = 0; i < ends.size(); i += 2) {
                if (ends.get(i) <= at && at <= ends.get(i + 1)) {
                    return true;
                }
            }
            return false;
        }
    }

    private DayModel(Day day, DayPlan from, Set<String> free, Aim aim, int horizon) {
        this.day = day;
        this.from = from;
        this.free = free;
        this.aim = aim;
        this.horizon = horizon;
    }

    /**
     * The best place for the jobs of {@code free} while all others stay as {@code from} has them.
     *
     * @param effort deterministic seconds, so that the same is found on every machine
     * @param horizon s; nothing ends later
     */
    static Found solved(Day day, DayPlan from, Set<String> free, Aim aim, double effort, int horizon, int seed) {
        DayModel m = new DayModel(day, from, free, aim, horizon);
        return m.built() ? m.found(effort, seed) : new Found(Optional.empty(), OptionalInt.empty(), false);
    }

    private static String key(String job, String task) {
        return job + "\n" + task;
    }

    /** False where some task has no place at all. */
    private boolean built() {
        Map<String, Job> jobs = day.jobs().stream().collect(Collectors.toMap(Job::id, Function.identity()));
        day.jobs().forEach(j -> j.tasks().forEach(t -> tasks.put(key(j.id(), t.id()), t)));
        for (Placed p : from.placed()) {
            Job j = jobs.get(p.job());
            if (stays(j, p)) {
                fixed(p);
                if (j.begun() && p.person().isPresent()) {
                    inHand.merge(p.person().get(), p.at().from(), Math::max);
                }
            }
        }
        for (Placed p : from.placed()) {
            if (!stays(jobs.get(p.job()), p) && !laid(jobs.get(p.job()), p)) {
                return false;
            }
        }
        for (Job j : day.jobs()) {
            if (free.contains(j.id())) {
                j.tasks().forEach(t -> links(j, t));
            }
        }
        hands.values().forEach(model::addNoOverlap);
        day.things().forEach(this::counted);
        aimed();
        return true;
    }

    /** What is fixed: other jobs, and what is in hand of those that are begun. */
    private boolean stays(Job j, Placed p) {
        return !free.contains(j.id()) || j.begun() && j.tasks().getFirst().id().equals(p.task());
    }

    private void fixed(Placed p) {
        IntervalVar at = model.newFixedInterval(p.at().from(), p.at().to() - p.at().from(), "");
        p.person()
                .ifPresent(x -> hands.computeIfAbsent(x, k -> new ArrayList<>()).add(at));
        for (String kind : tasks.get(key(p.job(), p.task())).things()) {
            held.computeIfAbsent(kind, k -> new ArrayList<>()).add(at);
        }
    }

    private boolean laid(Job job, Placed p) {
        Task t = tasks.get(key(p.job(), p.task()));
        if (t.hands()) {
            return byHands(job, t, p);
        }
        long[] room = {job.from(), horizon - t.seconds()};
        Domain when = t.eyes()
                ? domain(
                        day.open().stream()
                                .map(s -> new long[] {s.from(), s.to() - t.seconds()})
                                .toList(),
                        room)
                : domain(List.of(room), room);
        if (when.isEmpty()) {
            return false;
        }
        IntVar start = model.newIntVarFromDomain(when, "");
        IntervalVar at = model.newFixedSizeIntervalVar(start, t.seconds(), "");
        hold(t, at);
        model.addHint(start, p.at().from());
        variables.put(key(p.job(), p.task()), new Variables(t, start, at.getEndExpr(), Map.of()));
        return true;
    }

    private boolean byHands(Job job, Task t, Placed p) {
        Map<Stretch, Literal> stretches = new LinkedHashMap<>();
        Map<String, List<Stretch>> may = new LinkedHashMap<>();
        Domain any = Domain.fromValues(new long[0]);
        for (Person x : day.people()) {
            if (!x.may().contains(t.right())
                    || t.only().filter(o -> !o.equals(x.id())).isPresent()) {
                continue;
            }
            long[] room = {Math.max(job.from(), inHand.getOrDefault(x.id(), 0)), horizon - t.seconds()};
            for (Map.Entry<Integer, List<long[]>> e :
                    Worked.starts(t, x, day.longestBreak()).entrySet()) {
                Domain when = domain(e.getValue(), room);
                if (!when.isEmpty()) {
                    Stretch s = new Stretch(e.getKey(), List.of(ends(when)));
                    stretches.put(s, null);
                    may.computeIfAbsent(x.id(), k -> new ArrayList<>()).add(s);
                    any = any.unionWith(when);
                }
            }
        }
        if (any.isEmpty()) {
            return false;
        }
        IntVar start = model.newIntVarFromDomain(any, "");
        model.addHint(start, p.at().from());
        int still = p.at().to() - p.at().from() - t.seconds();
        LinearExprBuilder lasts = LinearExpr.newBuilder().add(t.seconds());
        for (Stretch s : List.copyOf(stretches.keySet())) {
            Literal there = either(stretches.size(), still == s.still() && s.holds(p.at().from()));
            stretches.put(s, there);
            lasts.addTerm(there, s.still());
            if (stretches.size() > 1) {
                model.addLinearExpressionInDomain(start, Domain.fromFlatIntervals(s.flat()))
                        .onlyEnforceIf(there);
            }
        }
        if (stretches.size() > 1) {
            model.addExactlyOne(stretches.values());
        }
        LinearArgument size = LinearExpr.constant(
                t.seconds() + stretches.keySet().iterator().next().still());
        LinearArgument end = LinearExpr.newBuilder().add(start).add(size).build();
        if (stretches.size() > 1) {
            IntVar length = model.newIntVarFromDomain(
                    Domain.fromValues(stretches.keySet().stream()
                            .mapToLong(x -> t.seconds() + x.still())
                            .toArray()),
                    "");
            IntVar ends = model.newIntVar(0, horizon, "");
            model.addEquality(length, lasts);
            model.addEquality(ends, LinearExpr.sum(new LinearArgument[] {start, length}));
            model.addHint(length, p.at().to() - p.at().from());
            model.addHint(ends, p.at().to());
            size = length;
            end = ends;
        }
        Map<String, Literal> by = new LinkedHashMap<>();
        for (Map.Entry<String, List<Stretch>> x : may.entrySet()) {
            Literal there =
                    either(may.size(), p.person().filter(x.getKey()::equals).isPresent());
            by.put(x.getKey(), there);
            hands.computeIfAbsent(x.getKey(), k -> new ArrayList<>())
                    .add(model.newOptionalIntervalVar(start, size, end, there, ""));
            if (x.getValue().size() < stretches.size()) {
                model.addAtLeastOne(x.getValue().stream().map(stretches::get).toList())
                        .onlyEnforceIf(there);
            }
        }
        if (may.size() > 1) {
            model.addExactlyOne(by.values());
        }
        if (!t.things().isEmpty()) {
            hold(t, model.newIntervalVar(start, size, end, ""));
        }
        variables.put(key(p.job(), p.task()), new Variables(t, start, end, by));
        return true;
    }

    /** One of {@code many}: certain where there is no other. */
    private Literal either(int many, boolean hint) {
        if (many == 1) {
            return model.trueLiteral();
        }
        BoolVar out = model.newBoolVar("");
        model.addHint(out, hint);
        return out;
    }

    private static Long[] ends(Domain d) {
        return Arrays.stream(d.flattenedIntervals()).boxed().toArray(Long[]::new);
    }

    private void hold(Task t, IntervalVar at) {
        t.things()
                .forEach(kind ->
                        held.computeIfAbsent(kind, k -> new ArrayList<>()).add(at));
    }

    private static Domain domain(List<long[]> stretches, long[] room) {
        long[][] in = stretches.stream()
                .map(s -> new long[] {Math.max(s[0], room[0]), Math.min(s[1], room[1])})
                .filter(s -> s[0] <= s[1])
                .toArray(long[][]::new);
        return Domain.fromIntervals(in);
    }

    private void links(Job job, Task t) {
        Variables v = variables.get(key(job.id(), t.id()));
        if (v == null) {
            return;
        }
        for (Link l : t.links()) {
            Placed was = placed(job, l.from());
            Optional<Variables> before = Optional.ofNullable(variables.get(key(job.id(), l.from())));
            LinearArgument end = before.map(Variables::end)
                    .orElse(LinearExpr.constant(was.at().to()));
            model.addLinearConstraint(
                    LinearExpr.newBuilder().add(v.start()).addTerm(end, -1),
                    l.least(),
                    l.most() == Link.ANY_TIME ? horizon : l.most());
            if (l.sameHands()) {
                sameHands(v, before, was);
            }
        }
    }

    private void sameHands(Variables v, Optional<Variables> before, Placed was) {
        for (Person x : day.people()) {
            LinearExprBuilder both = LinearExpr.newBuilder();
            if (v.by().containsKey(x.id())) {
                both.add(v.by().get(x.id()));
            }
            if (before.isEmpty()) {
                both.add(was.person().filter(x.id()::equals).isPresent() ? -1 : 0);
            } else if (before.get().by().containsKey(x.id())) {
                both.addTerm(before.get().by().get(x.id()), -1);
            }
            model.addEquality(both, 0);
        }
    }

    private Placed placed(Job job, String task) {
        return from.placed().stream()
                .filter(p -> p.job().equals(job.id()) && p.task().equals(task))
                .findFirst()
                .orElseThrow();
    }

    private void counted(Thing thing) {
        List<IntervalVar> all = held.getOrDefault(thing.id(), List.of());
        if (all.isEmpty()) {
            return;
        }
        List<IntervalVar> taken = new ArrayList<>(all);
        for (Span s : thing.out()) {
            taken.add(model.newFixedInterval(s.from(), s.to() - s.from(), ""));
        }
        if (thing.count() == 1) {
            model.addNoOverlap(taken);
        } else {
            CumulativeConstraint c = model.addCumulative(thing.count());
            taken.forEach(i -> c.addDemand(i, 1));
        }
    }

    private void aimed() {
        int fixedLast = from.placed().stream()
                .filter(p -> !variables.containsKey(key(p.job(), p.task())))
                .mapToInt(p -> p.at().to())
                .max()
                .orElse(0);
        IntVar last = model.newIntVar(fixedLast, horizon, "last");
        model.addHint(last, from.last());
        variables.values().forEach(v -> model.addLessOrEqual(v.end(), last));
        if (aim == Aim.LAST) {
            model.minimize(last);
            return;
        }
        Map<String, Integer> finishes = from.finishes();
        // A mean finish counts as a tenth of the last one does, as the search of the start walks.
        long mean = 10L * Math.max(1, finishes.size());
        LinearExprBuilder sum = LinearExpr.newBuilder().addTerm(last, mean);
        for (Job j : day.jobs()) {
            if (!free.contains(j.id())) {
                continue;
            }
            IntVar end = model.newIntVar(0, horizon, "");
            model.addHint(end, finishes.get(j.id()));
            j.tasks().forEach(t -> {
                Variables v = variables.get(key(j.id(), t.id()));
                model.addGreaterOrEqual(
                        end,
                        v == null ? LinearExpr.constant(placed(j, t.id()).at().to()) : v.end());
            });
            sum.add(end);
            if (j.promised().isPresent()) {
                IntVar late = model.newIntVar(0, horizon, "");
                model.addHint(
                        late, Math.max(0, finishes.get(j.id()) - j.promised().getAsInt()));
                model.addGreaterOrEqual(
                        late, LinearExpr.newBuilder().add(end).add(-j.promised().getAsInt()));
                sum.addTerm(late, mean * j.weight() * (j.wished() ? WISHED : LATE));
            }
        }
        model.minimize(sum);
    }

    private Found found(double effort, int seed) {
        CpSolver solver = new CpSolver();
        solver.getParameters().setNumWorkers(1).setRandomSeed(seed).setMaxDeterministicTime(effort);

        CpSolverStatus status = solver.solve(model);
        boolean proven = status == CpSolverStatus.OPTIMAL;
        if (!proven && status != CpSolverStatus.FEASIBLE) {
            if (status == CpSolverStatus.MODEL_INVALID) {
                throw new IllegalStateException("the model of the day is not valid: " + model.validate());
            }
            return new Found(Optional.empty(), bound(solver), false);
        }
        List<Placed> out = new ArrayList<>();
        for (Placed p : from.placed()) {
            Variables v = variables.get(key(p.job(), p.task()));
            out.add(v == null ? p : placed(p, v, solver));
        }
        return new Found(Optional.of(new DayPlan(out, from.left())), bound(solver), proven);
    }

    private OptionalInt bound(CpSolver solver) {
        return aim == Aim.LAST
                ? OptionalInt.of((int) Math.ceil(solver.bestObjectiveBound() - 1e-6))
                : OptionalInt.empty();
    }

    private static Placed placed(Placed p, Variables v, CpSolver solver) {
        Optional<String> person = v.by().entrySet().stream()
                .filter(x -> solver.booleanValue(x.getValue()))
                .map(Map.Entry::getKey)
                .findFirst();
        return new Placed(
                p.job(), p.task(), person, new Span((int) solver.value(v.start()), (int) solver.value(v.end())));
    }
}
