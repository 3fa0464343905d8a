package vanemend.core.day;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A day that is being filled: where hands and things are free, and the earliest place for a task among what is taken. */
final class Board {
    /** A place for a task: whose hands, and when. */
    record Place(Optional<Person> person, Span at) {}

    private final Day day;
    private final List<Span> open;
    private final Map<String, Line> hands = new HashMap<>();
    private final Map<String, List<Line>> things = new HashMap<>();

    Board(Day day) {
        this.day = day;
        this.open = day.open();
        day.people().forEach(p -> hands.put(p.id(), new Line()));
        for (Thing t : day.things()) {
            List<Line> lines = new ArrayList<>();
            for (int i = 0; i < t.count(); i++) {
                lines.add(new Line());
            }
            for (int i = 0; i < t.out().size(); i++) {
                lines.get(i).take(t.out().get(i));
            }
            things.put(t.id(), lines);
        }
    }

    void take(Task t, Place p) {
        p.person().ifPresent(x -> hands.get(x.id()).take(p.at()));
        for (String kind : t.things()) {
            things.get(kind).stream()
                    .filter(l -> l.busyUntil(p.at()) < 0)
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("no " + kind + " is free for " + t.id()))
                    .take(p.at());
        }
    }

    void free(Task t, Place p) {
        p.person().ifPresent(x -> hands.get(x.id()).free(p.at()));
        for (String kind : t.things()) {
            if (things.get(kind).stream().noneMatch(l -> l.free(p.at()))) {
                throw new IllegalStateException(t.id() + " does not hold " + kind);
            }
        }
    }

    /** The earliest place for {@code t} from {@code from} on, by {@code only} where hands are given; empty where there is none. */
    Optional<Place> earliest(Task t, int from, Optional<Person> only) {
        if (!t.hands()) {
            return alone(t, from).map(s -> new Place(Optional.empty(), s));
        }
        Place best = null;
        for (Person p : day.people()) {
            if (p.may().contains(t.right())
                    && t.only().filter(o -> !o.equals(p.id())).isEmpty()
                    && only.filter(o -> !o.equals(p)).isEmpty()) {
                Optional<Span> s = by(t, p, from);
                // Of two that are done at once, whoever may do less: the others stay free for what only they may do.
                if (s.isPresent()
                        && (best == null
                                || s.get().to() < best.at().to()
                                || s.get().to() == best.at().to()
                                        && p.may().size()
                                                < best.person()
                                                        .orElseThrow()
                                                        .may()
                                                        .size())) {
                    best = new Place(Optional.of(p), s.get());
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private Optional<Span> alone(Task t, int from) {
        int at = from;
        while (true) {
            Span s = new Span(at, at + t.seconds());
            int next = t.eyes() ? outside(s) : -1;
            next = next == -1 ? thingsUntil(t, s) : next;
            if (next == -1) {
                return Optional.of(s);
            }
            if (next == Integer.MAX_VALUE) {
                return Optional.empty();
            }
            at = next;
        }
    }

    /** When the shop opens next for all of {@code s}; -1 where it is open, {@link Integer#MAX_VALUE} where it never is. */
    private int outside(Span s) {
        for (Span o : open) {
            if (o.holds(s)) {
                return -1;
            }
            if (o.from() > s.from()) {
                return o.from();
            }
        }
        return Integer.MAX_VALUE;
    }

    /** When the things of {@code t} may be free; -1 where they are for all of {@code s}, {@link Integer#MAX_VALUE} where there are none. */
    private int thingsUntil(Task t, Span s) {
        for (String kind : t.things()) {
            int soonest = Integer.MAX_VALUE;
            for (Line l : things.getOrDefault(kind, List.of())) {
                int until = l.busyUntil(s);
                soonest = until < 0 ? -1 : Math.min(soonest, until);
                if (soonest < 0) {
                    break;
                }
            }
            if (soonest >= 0) {
                return soonest;
            }
        }
        return -1;
    }

    private Optional<Span> by(Task t, Person p, int from) {
        Line line = hands.get(p.id());
        int at = from;
        while (true) {
            Optional<Span> s = worked(t, p, at);
            if (s.isEmpty()) {
                return s;
            }
            int next = line.busyUntil(s.get());
            next = next < 0 ? thingsUntil(t, s.get()) : next;
            if (next < 0) {
                return s;
            }
            if (next == Integer.MAX_VALUE) {
                return Optional.empty();
            }
            at = next;
        }
    }

    /** When {@code p} would do {@code t} from {@code from} on, were nothing else to do: with a break in it where it may be cut. */
    private Optional<Span> worked(Task t, Person p, int from) {
        List<Span> hours = p.hours();
        for (int i = 0; i < hours.size(); i++) {
            int begin = Math.max(from, hours.get(i).from());
            if (begin >= hours.get(i).to()) {
                continue;
            }
            int left = t.seconds() - (hours.get(i).to() - begin);
            if (left <= 0) {
                return Optional.of(new Span(begin, begin + t.seconds()));
            }
            for (int k = i + 1;
                    t.cuttable()
                            && k < hours.size()
                            && hours.get(k).from() - hours.get(k - 1).to() <= day.longestBreak();
                    k++) {
                int lasts = hours.get(k).to() - hours.get(k).from();
                if (left <= lasts) {
                    return Optional.of(new Span(begin, hours.get(k).from() + left));
                }
                left -= lasts;
            }
        }
        return Optional.empty();
    }
}
