package vanemend.core.run;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import vanemend.core.method.Step;

/**
 * What of several runs waits for what: a lamp, an oven and a pair of hands are at one part at a time. Whoever can begin first goes first,
 * what has begun keeps what it has, and what is mixed is spread by the same hands at once. It tells what will happen; it does not look for a
 * better order.
 */
public final class Sharing {
    /**
     * A run that is under way.
     *
     * @param id repair
     * @param name of the repair
     * @param promised when it should be done
     * @param state as it stands
     * @param ahead what is still to come were it alone
     */
    public record Run(
            long id, String name, Optional<Instant> promised, RunState state, List<StillToCome.Stretch> ahead) {}

    /**
     * A step that could begin but for what another repair has.
     *
     * @param repair that waits
     * @param step instance that cannot begin
     * @param title of that step
     * @param what lamp, oven or hands
     * @param whose name of the hands; empty for a lamp or an oven
     * @param has repair that it waits for
     * @param hasName name of that repair
     * @param from when it could begin
     * @param until when it can
     */
    public record Waiting(
            long repair,
            String step,
            String title,
            Step.Resource what,
            String whose,
            long has,
            String hasName,
            Instant from,
            Instant until) {}

    /**
     * All runs beside each other.
     *
     * @param ahead what is still to come, by repair, with the waiting for each other in it
     * @param waiting the first wait of each repair for each thing, soonest first
     */
    public record Shared(Map<Long, List<StillToCome.Stretch>> ahead, List<Waiting> waiting) {}

    /** A wait shorter than this is none. */
    private static final Duration SHORT = Duration.ofMinutes(1);

    /** Something that is at one part at a time. */
    private record Thing(Step.Resource what, String whose) {}

    /** Stretches that follow each other at once. */
    private record Block(List<StillToCome.Stretch> stretches, List<Thing> needs, boolean inHand) {}

    /** A run on its way through its blocks. */
    private static final class Lane {
        private final Run run;
        private final List<Block> blocks;
        private final List<StillToCome.Stretch> laid = new ArrayList<>();
        private int next;
        private Instant ready;

        Lane(Run run, List<Block> blocks, Instant now) {
            this.run = run;
            this.blocks = blocks;
            this.ready = now;
        }
    }

    /** When each one of a thing is free, and who has it until then. */
    private static final class Pool {
        private final Instant[] free;
        private final Lane[] held;

        Pool(int count, Instant now) {
            // A shop may say that it has none; a part that is under a lamp all the same is under one.
            free = new Instant[Math.max(1, count)];
            held = new Lane[free.length];
            Arrays.fill(free, now);
        }

        int soonest() {
            int best = 0;
            for (int i = 1; i < free.length; i++) {
                best = free[i].isBefore(free[best]) ? i : best;
            }
            return best;
        }
    }

    private final Map<Step.Resource, Integer> counts;
    private final Instant now;
    private final Map<Thing, Pool> pools = new HashMap<>();
    private final List<Waiting> waiting = new ArrayList<>();

    private Sharing(int lamps, int ovens, Instant now) {
        this.counts = Map.of(Step.Resource.LAMP, lamps, Step.Resource.OVEN, ovens);
        this.now = now;
    }

    /** {@code runs} beside each other in a shop with {@code lamps} and {@code ovens}, 0 counts as one, from {@code now} on. */
    public static Shared of(List<Run> runs, int lamps, int ovens, Instant now) {
        return new Sharing(lamps, ovens, now).lay(runs);
    }

    private Shared lay(List<Run> runs) {
        List<Lane> lanes = runs.stream()
                .map(r -> new Lane(r, blocks(r), now))
                .sorted(Comparator.comparing((Lane l) -> l.run.promised().orElse(Instant.MAX))
                        .thenComparing(l -> l.run.id()))
                .toList();
        inHandFirst(lanes);
        while (true) {
            Lane first = null;
            Instant when = Instant.MAX;
            for (Lane l : lanes) {
                if (l.next < l.blocks.size()) {
                    Instant can = canBegin(l);
                    if (first == null || can.isBefore(when)) {
                        first = l;
                        when = can;
                    }
                }
            }
            if (first == null) {
                break;
            }
            begin(first, when);
        }
        waiting.sort(Comparator.comparing(Waiting::until));
        return new Shared(
                lanes.stream().collect(Collectors.toMap(l -> l.run.id(), l -> List.copyOf(l.laid))), firsts());
    }

    /** What has begun keeps what it has; of two steps in the same hands the one begun last is the one they are at. */
    private void inHandFirst(List<Lane> lanes) {
        lanes.stream()
                .filter(l -> !l.blocks.isEmpty() && l.blocks.getFirst().inHand())
                .sorted(Comparator.comparing((Lane l) ->
                                l.blocks.getFirst().stretches().getFirst().from())
                        .reversed())
                .forEach(l -> begin(l, handsOn(l.blocks.getFirst()) ? canBegin(l) : now));
    }

    private static boolean handsOn(Block b) {
        return b.stretches().stream().anyMatch(StillToCome.Stretch::handsOn);
    }

    private Instant canBegin(Lane l) {
        Instant at = l.ready;
        for (Thing t : l.blocks.get(l.next).needs()) {
            Pool p = pool(t);
            Instant free = p.free[p.soonest()];
            at = free.isAfter(at) ? free : at;
        }
        return at;
    }

    private void begin(Lane l, Instant at) {
        Block b = l.blocks.get(l.next++);
        tell(l, b, at);
        boolean begun = b.inHand() && at.equals(now);
        Instant end = at;
        for (StillToCome.Stretch s : b.stretches()) {
            Instant from = begun && end.equals(at) ? s.from() : end;
            Instant alone = s.from().isBefore(now) ? now : s.from();
            end = end.plus(Duration.between(alone, s.to()));
            l.laid.add(new StillToCome.Stretch(s.step(), s.title(), s.brief(), s.handsOn(), from, end));
        }
        l.ready = end;
        for (Thing t : b.needs()) {
            Pool p = pool(t);
            int i = p.soonest();
            p.free[i] = p.free[i].isAfter(end) ? p.free[i] : end;
            p.held[i] = l;
        }
    }

    private void tell(Lane l, Block b, Instant at) {
        if (Duration.between(l.ready, at).compareTo(SHORT) < 0) {
            return;
        }
        for (Thing t : b.needs()) {
            Pool p = pool(t);
            int i = p.soonest();
            if (p.free[i].equals(at) && p.held[i] != null && p.held[i] != l) {
                StillToCome.Stretch s = b.stretches().getFirst();
                Run has = p.held[i].run;
                waiting.add(new Waiting(
                        l.run.id(), s.step(), s.title(), t.what(), t.whose(), has.id(), has.name(), l.ready, at));
                return;
            }
        }
    }

    private List<Waiting> firsts() {
        List<Waiting> out = new ArrayList<>();
        for (Waiting w : waiting) {
            if (out.stream().noneMatch(o -> o.repair() == w.repair() && o.what() == w.what())) {
                out.add(w);
            }
        }
        return List.copyOf(out);
    }

    private Pool pool(Thing t) {
        return pools.computeIfAbsent(t, x -> new Pool(counts.getOrDefault(x.what(), 1), now));
    }

    /** A mix and its spreading are one: the hands that mixed go on at once. */
    private static List<Block> blocks(Run run) {
        Map<String, Step> steps = run.state().steps().stream()
                .collect(Collectors.toMap(RunState.RunStep::id, RunState.RunStep::step, (a, b) -> a));
        List<Block> out = new ArrayList<>();
        List<StillToCome.Stretch> open = new ArrayList<>();
        List<StillToCome.Stretch> ahead = run.ahead();
        for (int i = 0; i < ahead.size(); i++) {
            open.add(ahead.get(i));
            boolean goesOn =
                    i + 1 < ahead.size() && steps.get(ahead.get(i + 1).step()).kind() == Step.Kind.SPREAD;
            if (!goesOn) {
                boolean inHand = run.state()
                        .current()
                        .filter(open.getFirst().step()::equals)
                        .isPresent();
                out.add(new Block(List.copyOf(open), needs(run, open, steps), inHand));
                open.clear();
            }
        }
        return out;
    }

    private static List<Thing> needs(Run run, List<StillToCome.Stretch> stretches, Map<String, Step> steps) {
        List<Thing> out = new ArrayList<>();
        for (StillToCome.Stretch s : stretches) {
            for (Step.Resource r : steps.get(s.step()).resources()) {
                if (r == Step.Resource.LAMP || r == Step.Resource.OVEN) {
                    add(out, new Thing(r, ""));
                }
            }
            if (s.handsOn() && !run.state().hands().isEmpty()) {
                add(out, new Thing(Step.Resource.HANDS, run.state().hands()));
            }
        }
        return List.copyOf(out);
    }

    private static void add(List<Thing> out, Thing t) {
        if (!out.contains(t)) {
            out.add(t);
        }
    }
}
