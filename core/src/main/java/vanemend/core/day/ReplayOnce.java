package vanemend.core.day;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.random.RandomGenerator;
import vanemend.core.day.ReplayModel.Asked;
import vanemend.core.day.ReplayModel.Back;
import vanemend.core.day.ReplayModel.More;
import vanemend.core.day.ReplayModel.Piece;

/** A plan done once, as it may go; again and again with the same room. */
final class ReplayOnce {
    /** Times a gate may send the same work back: whoever is sent back oftener asks for a lead. */
    private static final int ROUNDS = 5;

    /** When what finds no time is done. */
    static final int NEVER = Integer.MAX_VALUE;

    /**
     * A piece that can begin from {@code ready} on.
     *
     * @param task the task itself, or the one whose gate put it in
     * @param gate which of its gates; -1 for the task itself
     * @param round how often that was answered before
     * @param back the way that was taken; null for the task itself
     * @param at how far along that way
     */
    private record Ready(Piece piece, int ready, int task, int gate, int round, Back back, int at) {
        /** The task itself. */
        Ready(Piece piece, int ready, int task) {
            this(piece, ready, task, -1, 0, null, 0);
        }
    }

    private final ReplayModel model;
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

    ReplayOnce(ReplayModel model, double spread, RandomGenerator random) {
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
            int person = r.piece().person();
            int at = person < 0 ? r.ready() : Math.max(Math.max(free[person], standsBy[person]), r.ready());
            if (next == null
                    || at < first
                    || at == first && r.piece().rank() < next.piece().rank()) {
                first = at;
                next = r;
            }
        }
        if (next.piece().person() >= 0) {
            next = chosen(next.piece().person(), first);
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
        boolean waits =
                comes >= 0 && model.pieces.get(comes).rank() < first.piece().rank();
        int begins = waits ? soonest(comes) : fit(first);
        Ready best = null;
        for (Ready r : open) {
            boolean may = r.piece().person() == person && (r != first || waits);
            if (may && (best == null || r.piece().rank() < best.piece().rank())) {
                int at = fit(r);
                best = at != NEVER && ended(r.piece(), at, r.piece().seconds()) <= begins ? r : best;
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
            if (r.piece().person() == person
                    && (first == null || r.piece().rank() < first.piece().rank())) {
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
        Piece p = r.piece();
        if (p.hands() && p.person() < 0) {
            return NEVER;
        }
        int at = p.person() < 0 ? r.ready() : Math.max(r.ready(), free[p.person()]);
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
        Piece p = r.piece();
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
        if (r.back() == null) {
            begun[r.task()] = true;
            base[r.task()] = end;
            hold[r.task()] = end;
            ask(r.task(), 0, 0, end);
        } else if (r.at() + 1 < r.back().again().size()) {
            More more = r.back().again().get(r.at() + 1);
            opens(new Ready(more.piece(), end + more.least(), r.task(), r.gate(), r.round(), r.back(), r.at() + 1));
        } else {
            ask(r.task(), r.gate(), r.round() + 1, end + r.back().then());
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
            opens(new Ready(more.piece(), when + more.least(), task, gate, times, b, 0));
        }
    }

    /** Whoever stands by looks again. */
    private void opens(Ready r) {
        open.add(r);
        if (r.piece().person() >= 0) {
            standsBy[r.piece().person()] = 0;
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
                opens(new Ready(model.pieces.get(n[0]), readyAt[n[0]], n[0]));
            }
        }
    }
}
