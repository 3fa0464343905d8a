package vanemend.core.day;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A plan of a day by numbers, as it is replayed. */
final class ReplayModel {
    /** As many ways back as a gate may take, all together: one that never lets work on is none. */
    private static final double MOST_BACK = 0.9;

    /** A task as it is replayed. */
    record Piece(
            int job,
            int person,
            int seconds,
            boolean cuttable,
            boolean hands,
            boolean eyes,
            int[] things,
            double rank) {}

    /** A task put in by a gate, {@code least} s after the one before it. */
    record More(Piece piece, int least) {}

    record Back(double upTo, List<More> again, int then) {
        int lasts() {
            return then
                    + again.stream()
                            .mapToInt(m -> m.least() + m.piece().seconds())
                            .sum();
        }
    }

    record Asked(int after, List<Back> ways) {}

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

    ReplayModel(Day day, DayPlan plan, Replays.Varies varies) {
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
                        .sorted(Comparator.comparingDouble(i -> pieces.get(i).rank()))
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
