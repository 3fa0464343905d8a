package vanemend.core.day;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A plan of a day, done over and over: hands take more or less time than planned, gates send work back. Nobody knows beforehand how it will
 * go. Each pair of hands keeps to its order: what cannot begin yet lets a later one go first that is done by then, as far as anybody can tell.
 * So what a greatest wait ties together comes one after the other as it is planned; where it goes over that wait all the same, nothing is counted
 * for doing it again. What may be cut and is not done at night goes on next morning, all else is finished.
 *
 * <p>Minutes of hands are lognormal around the planned ones as their median; cures, lamps and ovens take what is planned.
 */
public final class Replays {
    /** As often as a day is replayed: an odds is then right within two of 100, nineteen times of twenty. */
    public static final int TIMES = 2_000;

    /** Times a gate may send the same work back: whoever is sent back oftener asks for a lead. */
    private static final int ROUNDS = 5;

    /** As many ways back as a gate may take, all together: one that never lets work on is none. */
    private static final double MOST_BACK = 0.9;

    static final int NEVER = Integer.MAX_VALUE;

    /** When each job was done, s, in order; {@link #NEVER} where it found no time. */
    private final Map<String, int[]> ends;

    private Replays(Map<String, int[]> ends) {
        this.ends = ends;
    }

    /**
     * What varies.
     *
     * @param gates of each job that has some, by its id
     * @param odds how often they send work back
     * @param spread how far hands' minutes go from what is planned: standard deviation of their logarithm, 0 or more
     */
    public record Varies(Map<String, List<Gated>> gates, LoopOdds odds, double spread) {}

    /**
     * {@code plan} done {@code times} times, the same for the same {@code seed}.
     *
     * @param plan without a fault
     */
    public static Replays of(Day day, DayPlan plan, Varies varies, int times, long seed) {
        Once once = new Once(new Model(day, plan, varies), varies.spread(), new SplittableRandom(seed));
        List<String> jobs = once.model.jobs;
        int[][] ends = new int[jobs.size()][times];
        for (int i = 0; i < times; i++) {
            once.run();
            for (int j = 0; j < ends.length; j++) {
                ends[j][i] = once.ends[j];
            }
        }
        Map<String, int[]> out = new HashMap<>();
        for (int j = 0; j < ends.length; j++) {
            Arrays.sort(ends[j]);
            out.put(jobs.get(j), ends[j]);
        }
        return new Replays(out);
    }

    /** How often in 100 {@code job} is done {@code by} then, 0 to 100, rounded down: a promise is never said to be better than it is. */
    public int inHundred(String job, int by) {
        int[] all = ends.getOrDefault(job, new int[0]);
        int done = 0;
        for (int end : all) {
            done += end <= by ? 1 : 0;
        }
        return all.length == 0 ? 0 : (int) (100L * done / all.length);
    }

    /** By when {@code job} is done in {@code inHundred} of 100, s; empty where it is not as often. */
    public OptionalInt holds(String job, int inHundred) {
        int[] all = ends.getOrDefault(job, new int[0]);
        if (all.length == 0) {
            return OptionalInt.empty();
        }
        int at = all[Math.max(0, (int) Math.ceilDiv((long) all.length * inHundred, 100L) - 1)];
        return at == NEVER ? OptionalInt.empty() : OptionalInt.of(at);
    }

    /** A task as it is replayed. */
    private record Piece(
            int job,
            int person,
            int seconds,
            boolean cuttable,
            boolean hands,
            boolean eyes,
            int[] things,
            double rank) {}

    /** A task put in by a gate, {@code least} s after the one before it. */
    private record More(Piece piece, int least) {}

    private record Back(double upTo, List<More> again, int then) {
        int lasts() {
            return then
                    + again.stream()
                            .mapToInt(m -> m.least() + m.piece().seconds())
                            .sum();
        }
    }

    private record Asked(int after, List<Back> ways) {}

    /** The plan by numbers. */
    private static final class Model {
        final List<String> jobs = new ArrayList<>();
        final List<Piece> pieces = new ArrayList<>();
        /** Of each piece: which follow it, and after how long. */
        final List<List<int[]>> next = new ArrayList<>();

        /** Of each piece: which it follows, and after how long. */
        final List<List<int[]>> before = new ArrayList<>();

        /** The pieces of each pair of hands, in their order. */
        final int[][] orders;

        final List<List<Asked>> asked = new ArrayList<>();
        final int[] from;
        final int people;
        final int[][] opens;
        final int[][] closes;
        final int[][] shop;
        final int longestBreak;
        final List<Thing> things;
        private final List<String> kinds;
        private final List<String> persons;

        Model(Day day, DayPlan plan, Varies varies) {
            persons = day.people().stream().map(Person::id).toList();
            kinds = day.things().stream().map(Thing::id).toList();
            things = day.things();
            longestBreak = day.longestBreak();
            people = persons.size();
            opens = day.people().stream()
                    .map(p -> p.hours().stream().mapToInt(Span::from).toArray())
                    .toArray(int[][]::new);
            closes = day.people().stream()
                    .map(p -> p.hours().stream().mapToInt(Span::to).toArray())
                    .toArray(int[][]::new);
            List<Span> open = day.open();
            shop = new int[][] {
                open.stream().mapToInt(Span::from).toArray(),
                open.stream().mapToInt(Span::to).toArray()
            };
            Map<List<String>, Placed> placed = new HashMap<>();
            plan.placed().forEach(p -> placed.put(List.of(p.job(), p.task()), p));
            List<Integer> begins = new ArrayList<>();
            for (Job job : day.jobs()) {
                if (plan.left().contains(job.id()) || job.tasks().isEmpty()) {
                    continue;
                }
                int j = jobs.size();
                jobs.add(job.id());
                begins.add(job.from());
                Map<String, Integer> place = new HashMap<>();
                for (Task t : job.tasks()) {
                    Placed p = placed.get(List.of(job.id(), t.id()));
                    int i = pieces.size();
                    place.put(t.id(), i);
                    Piece piece = piece(t, j, p.person().map(persons::indexOf).orElse(-1), p.at().from());
                    pieces.add(piece);
                    next.add(new ArrayList<>());
                    before.add(t.links().stream()
                            .map(l -> new int[] {place.get(l.from()), l.least()})
                            .toList());
                    before.getLast().forEach(l -> next.get(l[0]).add(new int[] {i, l[1]}));
                    asked.add(varies.gates().getOrDefault(job.id(), List.of()).stream()
                            .filter(g -> g.task().equals(t.id()))
                            .map(g -> asked(g, varies.odds(), piece, hands(day, job, t, placed)))
                            .toList());
                }
            }
            orders = IntStream.range(0, people)
                    .mapToObj(p -> IntStream.range(0, pieces.size())
                            .filter(i -> pieces.get(i).person() == p)
                            .boxed()
                            .sorted(Comparator.comparingDouble(
                                    i -> pieces.get(i).rank()))
                            .mapToInt(Integer::intValue)
                            .toArray())
                    .toArray(int[][]::new);
            from = begins.stream().mapToInt(Integer::intValue).toArray();
        }

        /** Whose hands do what a gate puts in: those that did what it is asked of, else others at this job, else anybody's. */
        private List<Person> hands(Day day, Job job, Task asked, Map<List<String>, Placed> placed) {
            List<Task> nearest = new ArrayList<>(job.tasks());
            int at = nearest.indexOf(asked);
            nearest.sort(Comparator.comparingInt(t -> Math.abs(job.tasks().indexOf(t) - at)));
            return Stream.concat(
                            nearest.stream()
                                    .flatMap(t -> placed.get(List.of(job.id(), t.id())).person().stream())
                                    .flatMap(id -> day.people().stream().filter(p -> p.id().equals(id))),
                            day.people().stream())
                    .distinct()
                    .toList();
        }

        /** The first who may do {@code t}; -1 where nobody may: it is never done then. */
        private int by(Task t, List<Person> hands) {
            return hands.stream()
                    .filter(p -> p.may().contains(t.right()))
                    .findFirst()
                    .map(p -> persons.indexOf(p.id()))
                    .orElse(-1);
        }

        private Piece piece(Task t, int job, int person, double rank) {
            return new Piece(
                    job,
                    person,
                    t.seconds(),
                    t.cuttable(),
                    t.hands(),
                    t.eyes(),
                    t.things().stream().mapToInt(kinds::indexOf).toArray(),
                    rank);
        }

        private Asked asked(Gated g, LoopOdds odds, Piece at, List<Person> hands) {
            double all = g.ways().stream().mapToDouble(w -> odds.of(g, w)).sum();
            double part = all > MOST_BACK ? MOST_BACK / all : 1;
            List<Back> ways = new ArrayList<>();
            double upTo = 0;
            for (Gated.Way w : g.ways()) {
                upTo += part * odds.of(g, w);
                List<More> again = new ArrayList<>();
                for (Task t : w.again()) {
                    int least = t.links().stream().mapToInt(Link::least).max().orElse(0);
                    again.add(new More(piece(t, at.job(), t.hands() ? by(t, hands) : -1, at.rank()), least));
                }
                ways.add(new Back(upTo, again, w.then()));
            }
            return new Asked(g.after(), ways);
        }
    }

    /** A piece that can begin from {@code ready} on. */
    private static final class Ready {
        final Piece piece;
        final int ready;
        /** The task whose gates it serves, and how far those have gone. */
        final int task;

        final int gate;
        final int round;
        final Back back;
        final int at;

        /** The task itself. */
        Ready(Piece piece, int ready, int task) {
            this(piece, ready, task, -1, 0, null, 0);
        }

        Ready(Piece piece, int ready, int task, int gate, int round, Back back, int at) {
            this.piece = piece;
            this.ready = ready;
            this.task = task;
            this.gate = gate;
            this.round = round;
            this.back = back;
            this.at = at;
        }
    }

    /** The day once. */
    private static final class Once {
        final Model model;
        final int[] ends;
        private final double spread;
        private final RandomGenerator random;
        private final int[] free;
        /** Until when each pair of hands stands by for the first of its order, and how far in that it is. */
        private final int[] standsBy;

        private final int[] place;
        private final boolean[] begun;
        private final boolean[] over;
        private final int[][] units;
        private final int[] waitsFor;
        private final int[] readyAt;
        /** Of each task: when what follows it counts from, and before when nothing of that begins. */
        private final int[] base;

        private final int[] hold;
        private final int[] left;
        private final List<Ready> open = new ArrayList<>();

        Once(Model model, double spread, RandomGenerator random) {
            this.model = model;
            this.spread = spread;
            this.random = random;
            ends = new int[model.jobs.size()];
            free = new int[model.people];
            standsBy = new int[model.people];
            place = new int[model.people];
            begun = new boolean[model.pieces.size()];
            over = new boolean[model.pieces.size()];
            units = model.things.stream().map(t -> new int[t.count()]).toArray(int[][]::new);
            waitsFor = new int[model.pieces.size()];
            readyAt = new int[model.pieces.size()];
            base = new int[model.pieces.size()];
            hold = new int[model.pieces.size()];
            left = new int[model.jobs.size()];
        }

        void run() {
            Arrays.fill(ends, 0);
            Arrays.fill(free, 0);
            Arrays.fill(standsBy, 0);
            Arrays.fill(place, 0);
            Arrays.fill(left, 0);
            for (int[] u : units) {
                Arrays.fill(u, 0);
            }
            open.clear();
            for (int i = 0; i < waitsFor.length; i++) {
                Piece p = model.pieces.get(i);
                waitsFor[i] = model.before.get(i).size();
                begun[i] = false;
                over[i] = false;
                readyAt[i] = model.from[p.job()];
                left[p.job()]++;
                if (waitsFor[i] == 0) {
                    open.add(new Ready(p, readyAt[i], i));
                }
            }
            while (!open.isEmpty()) {
                step();
            }
            for (int j = 0; j < ends.length; j++) {
                ends[j] = left[j] > 0 ? NEVER : ends[j];
            }
        }

        /** The next that happens: whoever is free first, or what needs no hands and can begin first. */
        private void step() {
            int first = NEVER;
            Ready next = null;
            for (Ready r : open) {
                int person = r.piece.person();
                int at = person < 0 ? r.ready : Math.max(Math.max(free[person], standsBy[person]), r.ready);
                if (next == null || at < first || at == first && r.piece.rank() < next.piece.rank()) {
                    first = at;
                    next = r;
                }
            }
            if (next.piece.person() >= 0) {
                next = chosen(next.piece.person(), first);
            }
            if (next != null) {
                open.remove(next);
                begin(next);
            }
        }

        /** What {@code person} takes up at {@code now}: the first of the order, or a later one that is done by then; null where they stand by. */
        private Ready chosen(int person, int now) {
            Ready first = first(person);
            int comes = comes(person);
            boolean waits = comes >= 0 && model.pieces.get(comes).rank() < first.piece.rank();
            int begins = waits ? soonest(comes) : fit(first);
            Ready best = null;
            for (Ready r : open) {
                boolean may = r.piece.person() == person && (r != first || waits);
                if (may && (best == null || r.piece.rank() < best.piece.rank())) {
                    int at = fit(r);
                    best = at != NEVER && ended(r.piece, at, r.piece.seconds()) <= begins ? r : best;
                }
            }
            if (best != null) {
                return best;
            }
            if (waits && begins > now) {
                standsBy[person] = begins;
                return null;
            }
            return first;
        }

        /** The first of the order of {@code person} that can begin; null where there is none. */
        private Ready first(int person) {
            Ready first = null;
            for (Ready r : open) {
                if (r.piece.person() == person && (first == null || r.piece.rank() < first.piece.rank())) {
                    first = r;
                }
            }
            return first;
        }

        /** The first of the order of {@code person} that nobody has begun and that cannot begin yet; -1 where there is none. */
        private int comes(int person) {
            int[] order = model.orders[person];
            while (place[person] < order.length && begun[order[place[person]]]) {
                place[person]++;
            }
            for (int k = place[person]; k < order.length; k++) {
                if (!begun[order[k]]) {
                    return waitsFor[order[k]] > 0 ? order[k] : -1;
                }
            }
            return -1;
        }

        /** When {@code task} could begin, as far as anybody can tell now: what goes before it takes what is planned. */
        private int soonest(int task) {
            int at = readyAt[task];
            for (int[] l : model.before.get(task)) {
                int done = over[l[0]]
                        ? 0
                        : begun[l[0]]
                                ? Math.max(hold[l[0]], base[l[0]] + l[1])
                                : soonest(l[0]) + model.pieces.get(l[0]).seconds() + l[1];
                at = Math.max(at, done);
            }
            return at;
        }

        /** When {@code r} can begin by what is planned; {@link #NEVER} where it cannot. */
        private int fit(Ready r) {
            Piece p = r.piece;
            if (p.hands() && p.person() < 0) {
                return NEVER;
            }
            int at = p.person() < 0 ? r.ready : Math.max(r.ready, free[p.person()]);
            while (true) {
                int from = p.person() >= 0 ? worked(p, at) : p.eyes() ? watched(p, at) : at;
                int then = from == NEVER ? NEVER : things(p, from);
                if (then == from) {
                    return from;
                }
                at = then;
            }
        }

        private int worked(Piece p, int at) {
            int[] from = model.opens[p.person()];
            int[] to = model.closes[p.person()];
            for (int i = 0; i < from.length; i++) {
                int begin = Math.max(at, from[i]);
                if (begin >= to[i]) {
                    continue;
                }
                int left = p.seconds() - (to[i] - begin);
                for (int k = i + 1;
                        left > 0 && p.cuttable() && k < from.length && from[k] - to[k - 1] <= model.longestBreak;
                        k++) {
                    left -= to[k] - from[k];
                }
                if (left <= 0) {
                    return begin;
                }
            }
            return NEVER;
        }

        private int watched(Piece p, int at) {
            for (int i = 0; i < model.shop[0].length; i++) {
                int begin = Math.max(at, model.shop[0][i]);
                if (begin + p.seconds() <= model.shop[1][i]) {
                    return begin;
                }
            }
            return NEVER;
        }

        /** From when on all that {@code p} holds is free for as long as it is planned to be held. */
        private int things(Piece p, int at) {
            int latest = at;
            for (int kind : p.things()) {
                int soonest = NEVER;
                for (int u = 0; kind >= 0 && u < units[kind].length; u++) {
                    soonest = Math.min(soonest, unit(kind, u, at, p.seconds()));
                }
                latest = Math.max(latest, soonest);
            }
            return latest;
        }

        private int unit(int kind, int u, int at, int seconds) {
            int from = Math.max(at, units[kind][u]);
            List<Span> out = model.things.get(kind).out();
            return u < out.size() && out.get(u).meets(new Span(from, from + seconds))
                    ? out.get(u).to()
                    : from;
        }

        private void begin(Ready r) {
            Piece p = r.piece;
            int from = fit(r);
            if (from == NEVER) {
                return;
            }
            int end = p.person() < 0 ? from + p.seconds() : ended(p, from, drawn(p));
            for (int kind : p.things()) {
                for (int u = 0; u < units[kind].length; u++) {
                    if (unit(kind, u, from, p.seconds()) == from) {
                        units[kind][u] = end;
                        break;
                    }
                }
            }
            if (p.person() >= 0) {
                free[p.person()] = end;
            }
            if (r.back == null) {
                begun[r.task] = true;
                base[r.task] = end;
                hold[r.task] = end;
                ask(r.task, 0, 0, end);
            } else if (r.at + 1 < r.back.again().size()) {
                More more = r.back.again().get(r.at + 1);
                open.add(new Ready(more.piece(), end + more.least(), r.task, r.gate, r.round, r.back, r.at + 1));
                if (more.piece().person() >= 0) {
                    standsBy[more.piece().person()] = 0;
                }
            } else {
                ask(r.task, r.gate, r.round + 1, end + r.back.then());
            }
        }

        private int drawn(Piece p) {
            return Math.max(1, (int) Math.round(p.seconds() * Math.exp(spread * random.nextGaussian())));
        }

        /** When the hands of {@code p} are done with what they begin at {@code from}, if it takes them {@code seconds}. */
        private int ended(Piece p, int from, int seconds) {
            int lasts = seconds;
            if (!p.cuttable()) {
                return from + lasts;
            }
            int[] opens = model.opens[p.person()];
            int[] closes = model.closes[p.person()];
            int at = from;
            for (int i = 0; i < opens.length; i++) {
                if (closes[i] > at) {
                    at = Math.max(at, opens[i]);
                    if (at + lasts <= closes[i]) {
                        return at + lasts;
                    }
                    lasts -= closes[i] - at;
                    at = closes[i];
                }
            }
            return at + lasts;
        }

        /**
         * Asks the gates of {@code task} from the {@code gate}th on, which was answered {@code round} times already, last at {@code now}; what they
         * put in comes before all that follows the task.
         */
        private void ask(int task, int gate, int round, int now) {
            List<Asked> all = model.asked.get(task);
            int times = round;
            for (int g = gate; g < all.size(); g++) {
                Asked asked = all.get(g);
                int when = times > 0 ? now : Math.max(hold[task], base[task] + asked.after());
                double drawn = times < ROUNDS ? random.nextDouble() : 1;
                for (Back b : asked.ways()) {
                    if (drawn < b.upTo()) {
                        back(task, g, times, b, when);
                        return;
                    }
                }
                if (times > 0) {
                    hold[task] = Math.max(hold[task], now);
                    // What waits from the task on waits from its last round; the wait that was asked about is over.
                    base[task] = asked.after() == 0 ? Math.max(base[task], now) : base[task];
                }
                times = 0;
            }
            done(task);
        }

        private void back(int task, int gate, int times, Back b, int when) {
            if (b.again().isEmpty()) {
                ask(task, gate, times + 1, when + b.then());
            } else {
                More more = b.again().getFirst();
                // As far as anybody can tell: what is put in takes what is planned.
                hold[task] = Math.max(hold[task], when + b.lasts());
                open.add(new Ready(more.piece(), when + more.least(), task, gate, times, b, 0));
                if (more.piece().person() >= 0) {
                    standsBy[more.piece().person()] = 0;
                }
            }
        }

        private void done(int task) {
            int job = model.pieces.get(task).job();
            over[task] = true;
            left[job]--;
            ends[job] = Math.max(ends[job], Math.max(base[task], hold[task]));
            for (int[] n : model.next.get(task)) {
                readyAt[n[0]] = Math.max(readyAt[n[0]], Math.max(base[task] + n[1], hold[task]));
                if (--waitsFor[n[0]] == 0) {
                    Piece p = model.pieces.get(n[0]);
                    open.add(new Ready(p, readyAt[n[0]], n[0]));
                    if (p.person() >= 0) {
                        standsBy[p.person()] = 0;
                    }
                }
            }
        }
    }
}
