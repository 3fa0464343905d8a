package vanemend.core.day;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A plan of a day that is always there: list scheduling in time order, what a greatest wait ties together placed as one, and a search over how
 * long each job holds back. Whoever can begin first goes first; a search that never finds better gives just that.
 */
public final class DayStart {
    /** A job that was said to go first is laid before all others, whatever they hold back. */
    private static final double FIRST = -1e12;

    /** How much a job is held back at a turn, as parts of the length of the day. */
    private static final int[] SCALES = {2, 4, 8, 16};

    private final Day day;
    private final List<Work> works;

    /** A job cut into groups that are placed as one. */
    private record Work(Job job, List<List<Task>> groups) {}

    private DayStart(Day day) {
        this(day, Link::binds);
    }

    /** {@code ties}: which links tie two tasks so that they are placed as one. */
    private DayStart(Day day, Predicate<Link> ties) {
        this.day = day;
        this.works = day.jobs().stream().map(j -> new Work(j, groups(j, ties))).toList();
    }

    /** Whoever can begin first goes first; of two, who came first. */
    public static DayPlan firstCome(Day day) {
        DayStart s = new DayStart(day);
        return s.laid(s.none());
    }

    /** One job after the other, in the order they came in: the next begins when the one before is done. */
    public static DayPlan oneAfterTheOther(Day day) {
        DayStart s = new DayStart(day);
        Filling f = s.new Filling(Map.of());
        f.inHand();
        int from = 0;
        for (int j = 0; j < s.works.size(); j++) {
            f.notBefore = from;
            Optional<List<Board.Place>> group = f.fit(j);
            while (group.isPresent()) {
                f.take(j, group.get());
                group = f.fit(j);
            }
            from = Math.max(from, f.last);
        }
        return f.plan();
    }

    /**
     * A plan with how long each job, and each of its groups, holds back in it: where a later search begins, so that a day that is planned
     * again stays as it was where nothing is gained by moving it.
     */
    public record Found(DayPlan plan, Map<String, List<Double>> order) {}

    /**
     * The best plan found in {@code turns} turns, the same for the same {@code seed}.
     *
     * @param turns 0 or more; each lays the whole day once
     */
    public static DayPlan of(Day day, int turns, long seed) {
        return of(day, turns, seed, Map.of()).plan();
    }

    /** The same, from where an earlier search of about the same day ended, by promise, by length, or first come: what is best. */
    public static Found of(Day day, int turns, long seed, Map<String, List<Double>> order) {
        DayStart s = new DayStart(day);
        Random random = new Random(seed);
        double[][] best = s.none();
        DayPlan plan = s.laid(best);
        Worth worth = Worth.of(day, plan);
        List<double[][]> starts = new ArrayList<>();
        if (!order.isEmpty()) {
            starts.add(s.as(order));
        }
        starts.add(s.byPromise());
        starts.add(s.byLength());
        for (double[][] from : starts) {
            DayPlan p = s.laid(from);
            Worth w = Worth.of(day, p);
            if (w.compareTo(worth) < 0) {
                best = from;
                plan = p;
                worth = w;
            }
        }
        double[][] at = best;
        List<Integer> late = s.late(plan);
        double atWalk = worth.walk(s.works.size());
        double length = Math.max(1, plan.last());
        for (int i = 0; i < turns && best.length > 0; i++) {
            double[][] tried = s.turned(at, late, random, length / SCALES[random.nextInt(SCALES.length)]);
            DayPlan p = s.laid(tried);
            Worth w = Worth.of(day, p);
            if (w.walk(s.works.size()) <= atWalk) {
                at = tried;
                atWalk = w.walk(s.works.size());
                late = s.late(p);
            }
            if (w.compareTo(worth) < 0) {
                best = tried;
                plan = p;
                worth = w;
            }
        }
        return new Found(plan, s.told(best));
    }

    private Map<String, List<Double>> told(double[][] holdsBack) {
        Map<String, List<Double>> out = new HashMap<>();
        for (int j = 0; j < holdsBack.length; j++) {
            out.put(works.get(j).job().id(), Arrays.stream(holdsBack[j]).boxed().toList());
        }
        return Map.copyOf(out);
    }

    /** What is known of each job; of one that has moved on since, what held it back as a whole. */
    private double[][] as(Map<String, List<Double>> order) {
        double[][] out = none();
        for (int j = 0; j < out.length; j++) {
            List<Double> known = order.getOrDefault(works.get(j).job().id(), List.of());
            int same = known.size() == out[j].length ? known.size() : Math.min(1, known.size());
            for (int k = 0; k < same; k++) {
                out[j][k] = known.get(k);
            }
        }
        return out;
    }

    /** Who has least time left goes first; without a promise, as if it were for the last of them. */
    private double[][] byPromise() {
        double[][] out = none();
        int latest =
                works.stream().mapToInt(w -> w.job().promised().orElse(0)).max().orElse(0);
        for (int i = 0; i < out.length; i++) {
            Job j = works.get(i).job();
            out[i][0] = j.promised().orElse(latest) - alone(j);
        }
        return out;
    }

    /** Who takes longest, its cures counted, goes first: they run through the night. */
    private double[][] byLength() {
        double[][] out = none();
        for (int i = 0; i < out.length; i++) {
            out[i][0] = -alone(works.get(i).job());
        }
        return out;
    }

    /** How long {@code job} takes with nothing in its way, s: its longest chain of blocks and waits. */
    private static int alone(Job job) {
        Map<String, Integer> ends = new HashMap<>();
        int last = 0;
        for (Task t : job.tasks()) {
            int from = t.links().stream()
                    .mapToInt(l -> ends.get(l.from()) + l.least())
                    .max()
                    .orElse(0);
            ends.put(t.id(), from + t.seconds());
            last = Math.max(last, from + t.seconds());
        }
        return last;
    }

    /** Nothing holds back: for each job as a whole, then for each of its groups besides. */
    private double[][] none() {
        return works.stream().map(w -> new double[1 + w.groups().size()]).toArray(double[][]::new);
    }

    /** The places of jobs that miss their promise in {@code plan}. */
    private List<Integer> late(DayPlan plan) {
        Map<String, Integer> finishes = plan.finishes();
        List<Integer> out = new ArrayList<>();
        for (int j = 0; j < works.size(); j++) {
            Job job = works.get(j).job();
            if (finishes.getOrDefault(job.id(), 0) > job.promised().orElse(Integer.MAX_VALUE)) {
                out.add(j);
            }
        }
        return out;
    }

    /** A few held back more or less than in {@code from}; every other time one that is {@code late} is let go earlier. */
    private double[][] turned(double[][] from, List<Integer> late, Random random, double scale) {
        double[][] out = from.clone();
        int some = 1 + random.nextInt(3);
        for (int k = 0; k < some; k++) {
            boolean pull = !late.isEmpty() && random.nextBoolean();
            int j = pull ? late.get(random.nextInt(late.size())) : random.nextInt(out.length);
            out[j] = out[j].clone();
            int which = random.nextBoolean() ? 0 : random.nextInt(out[j].length);
            double by = random.nextGaussian() * scale;
            out[j][which] += pull ? -Math.abs(by) : by;
        }
        return out;
    }

    /**
     * The day in the order in which {@code before} has it, with the same hands where that makes nothing later than it was: everything as soon as
     * it can be. What is new goes in where it can begin. Never worth less than {@code before} itself, where that can still be done.
     *
     * @param before a plan of this day, or of about this day, by the same seconds
     */
    public static DayPlan closedUp(Day day, DayPlan before) {
        // What is placed as one takes its turn by its first: what had its place between two that a window ties would be
        // pushed out. Placed one by one it keeps it, but the window may shut; less so where nothing is pulled forward.
        DayStart loose = new DayStart(day, l -> l.binds() && l.sameHands());
        DayPlan asOne = closedUp(new DayStart(day), before, false);
        return Stream.of(before, asOne, closedUp(loose, before, false), closedUp(loose, before, true))
                // What found no time is looked for elsewhere: here everything keeps its turn.
                .filter(p -> p == before || p.left().equals(asOne.left()))
                .filter(p -> DayCheck.faults(day, p).isEmpty())
                .min(Comparator.comparing(p -> Worth.of(day, p)))
                .orElse(asOne);
    }

    /** {@code held}: whether nothing begins before it would have. */
    private static DayPlan closedUp(DayStart s, DayPlan before, boolean held) {
        Map<List<String>, Placed> was =
                before.placed().stream().collect(Collectors.toMap(p -> List.of(p.job(), p.task()), p -> p));
        Filling f = s.new Filling(was);
        f.held = held;
        return s.laid(f, (j, k, fit) -> {
            Work w = s.works.get(j);
            Placed p =
                    was.get(List.of(w.job().id(), w.groups().get(k).getFirst().id()));
            return p == null ? fit.getFirst().at().from() : p.at().from();
        });
    }

    private DayPlan laid(double[][] holdsBack) {
        return laid(
                new Filling(Map.of()),
                (j, k, fit) -> fit.getFirst().at().from() + holdsBack[j][0] + holdsBack[j][1 + k]);
    }

    /** When the next group of a job would have its turn, by its earliest places: the least of all jobs goes first. */
    private interface Turn {
        double of(int job, int group, List<Board.Place> fit);
    }

    private DayPlan laid(Filling f, Turn turn) {
        f.inHand();
        List<Optional<List<Board.Place>>> fits = new ArrayList<>();
        for (int j = 0; j < works.size(); j++) {
            fits.add(f.fit(j));
        }
        while (true) {
            int first = -1;
            double when = 0;
            for (int j = 0; j < works.size(); j++) {
                if (fits.get(j).isPresent()) {
                    double at = turn.of(j, f.next[j], fits.get(j).get())
                            + (works.get(j).job().first() ? FIRST : 0);
                    if (first < 0 || at < when) {
                        first = j;
                        when = at;
                    }
                }
            }
            if (first < 0) {
                return f.plan();
            }
            List<Board.Place> taken = f.take(first, fits.get(first).orElseThrow());
            for (int j = 0; j < works.size(); j++) {
                if (j == first || fits.get(j).filter(g -> meets(g, taken)).isPresent()) {
                    fits.set(j, f.fit(j));
                }
            }
        }
    }

    /** Whether what was just taken may be in the way of {@code g}. */
    private static boolean meets(List<Board.Place> g, List<Board.Place> taken) {
        return g.stream().anyMatch(a -> taken.stream().anyMatch(b -> a.at().meets(b.at())));
    }

    /** A day on the way to its plan. */
    private final class Filling {
        private final Board board = new Board(day);
        private final int[] next = new int[works.size()];
        private final List<Map<String, Board.Place>> done = new ArrayList<>();
        private final boolean[] left = new boolean[works.size()];
        private final Map<List<String>, Placed> was;
        private int notBefore;
        private boolean held;
        private int last;

        /** {@code was}: how a plan before has tasks, by job and task. */
        Filling(Map<List<String>, Placed> was) {
            this.was = was;
            works.forEach(w -> done.add(new HashMap<>()));
        }

        /** What is in hand stays there, before anything else has its time. */
        void inHand() {
            for (int j = 0; j < works.size(); j++) {
                if (works.get(j).job().begun()) {
                    int one = j;
                    fit(j).ifPresent(places -> take(one, places));
                }
            }
        }

        /** The earliest places of the next group of job {@code j}; empty where it has none, or there is no time for it. */
        Optional<List<Board.Place>> fit(int j) {
            Work w = works.get(j);
            if (next[j] >= w.groups().size() || left[j]) {
                return Optional.empty();
            }
            List<Task> group = w.groups().get(next[j]);
            OptionalInt at = OptionalInt.of(Math.max(notBefore, w.job().from()));
            while (at.isPresent()) {
                List<Board.Place> places = new ArrayList<>();
                at = tried(j, group, at.getAsInt(), places);
                for (int i = 0; i < places.size(); i++) {
                    board.free(group.get(i), places.get(i));
                }
                if (places.size() == group.size()) {
                    return Optional.of(places);
                }
            }
            left[j] = true;
            return Optional.empty();
        }

        /** Places the group from {@code from} on, as far as it goes; where a greatest wait breaks, from when to try again. */
        private OptionalInt tried(int j, List<Task> group, int from, List<Board.Place> places) {
            Map<String, Board.Place> own = new HashMap<>(done.get(j));
            for (int i = 0; i < group.size(); i++) {
                Task t = group.get(i);
                int least =
                        i == 0 ? from : Math.max(notBefore, works.get(j).job().from());
                int most = Integer.MAX_VALUE;
                int shuts = Integer.MAX_VALUE;
                Optional<Person> same = Optional.empty();
                for (Link l : t.links()) {
                    Board.Place p = own.get(l.from());
                    least = Math.max(least, p.at().to() + l.least());
                    most = l.binds() ? Math.min(most, p.at().to() + l.most()) : most;
                    shuts = l.binds() && done.get(j).containsKey(l.from())
                            ? Math.min(shuts, p.at().to() + l.most())
                            : shuts;
                    same = l.sameHands() ? p.person() : same;
                }
                Placed then = held ? was.get(List.of(works.get(j).job().id(), t.id())) : null;
                least = then == null ? least : Math.max(least, then.at().from());
                Optional<Board.Place> place = place(j, t, least, same);
                // What it must follow closely is laid already: later is no better.
                if (place.isEmpty() || place.get().at().from() > shuts) {
                    return OptionalInt.empty();
                }
                int late = place.get().at().from() - most;
                if (late > 0) {
                    // What it must follow closely begins so much later, or after whatever stands in its way.
                    return OptionalInt.of(
                            places.isEmpty()
                                    ? from + late
                                    : places.getFirst().at().from() + late);
                }
                board.take(t, place.get());
                places.add(place.get());
                own.put(t.id(), place.get());
            }
            return OptionalInt.empty();
        }

        /** The earliest; by the hands of before, unless others are done so much sooner that a move would be told. */
        private Optional<Board.Place> place(int j, Task t, int least, Optional<Person> same) {
            Optional<Board.Place> soonest = board.earliest(t, least, same);
            Placed before =
                    was.isEmpty() ? null : was.get(List.of(works.get(j).job().id(), t.id()));
            if (before == null || same.isPresent() || soonest.isEmpty()) {
                return soonest;
            }
            int allowed = Math.max(soonest.get().at().to(), before.at().to()) + Move.TOLD;
            return day.people().stream()
                    .filter(p -> before.person().filter(p.id()::equals).isPresent())
                    .findFirst()
                    .flatMap(p -> board.earliest(t, least, Optional.of(p)))
                    .filter(p -> p.at().to() <= allowed)
                    .or(() -> soonest);
        }

        List<Board.Place> take(int j, List<Board.Place> places) {
            List<Task> group = works.get(j).groups().get(next[j]++);
            for (int i = 0; i < group.size(); i++) {
                board.take(group.get(i), places.get(i));
                done.get(j).put(group.get(i).id(), places.get(i));
                last = Math.max(last, places.get(i).at().to());
            }
            return places;
        }

        /** A job for which no time was found is left as a whole: half of it is of no use to anybody. */
        DayPlan plan() {
            List<Placed> placed = new ArrayList<>();
            List<String> without = new ArrayList<>();
            for (int j = 0; j < works.size(); j++) {
                Job job = works.get(j).job();
                if (left[j]) {
                    without.add(job.id());
                } else {
                    done.get(j)
                            .forEach((t, p) -> placed.add(
                                    new Placed(job.id(), t, p.person().map(Person::id), p.at())));
                }
            }
            return new DayPlan(placed, without);
        }
    }

    /** The tasks of {@code job} in order, cut wherever none of {@code ties} reaches across. */
    private static List<List<Task>> groups(Job job, Predicate<Link> ties) {
        List<Task> tasks = job.tasks();
        Map<String, Integer> place = new HashMap<>();
        int[] tiedTo = new int[tasks.size()];
        for (int i = 0; i < tasks.size(); i++) {
            place.put(tasks.get(i).id(), i);
            tiedTo[i] = i;
            for (Link l : tasks.get(i).links()) {
                Integer from = place.get(l.from());
                if (from == null || from == i) {
                    throw new IllegalArgumentException(job.id() + " "
                            + tasks.get(i).id() + " follows " + l.from() + ", which does not stand before it");
                }
                tiedTo[i] = ties.test(l) ? Math.min(tiedTo[i], from) : tiedTo[i];
            }
        }
        List<List<Task>> out = new ArrayList<>();
        int end = tasks.size();
        int reach = tasks.size();
        for (int i = tasks.size() - 1; i >= 0; i--) {
            reach = Math.min(reach, tiedTo[i]);
            if (reach == i) {
                out.addFirst(List.copyOf(tasks.subList(i, end)));
                end = i;
                reach = i;
            }
        }
        return out;
    }
}
