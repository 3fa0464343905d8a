package vanemend.core.day;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/** What no order of a day can beat: each is a bound because it asks for less than any plan must keep. */
public final class Bounds {
    private Bounds() {}

    /**
     * Before when no order has {@code job} ready, s: as if nothing else were in the shop, each task as soon as any hands that may do it could be
     * done with it. Empty where it finds no time at all.
     */
    public static OptionalInt ready(Day day, Job job) {
        Board free = new Board(day);
        Map<String, Integer> ends = new HashMap<>();
        int last = 0;
        for (Task t : job.tasks()) {
            int from = job.from();
            for (Link l : t.links()) {
                from = Math.max(from, ends.get(l.from()) + l.least());
            }
            Optional<Board.Place> place = free.earliest(t, from, Optional.empty());
            if (place.isEmpty()) {
                return OptionalInt.empty();
            }
            ends.put(t.id(), place.get().at().to());
            last = Math.max(last, place.get().at().to());
        }
        return OptionalInt.of(last);
    }

    /**
     * Before when no order is done with all of {@code jobs}, s: the latest of what each takes by itself, and of when the hands that there are
     * have worked as long as all of it takes, for each kind of work that not everybody may do too, and for each kind of thing.
     */
    public static int last(Day day, List<Job> jobs) {
        int last = 0;
        for (Job j : jobs) {
            last = Math.max(last, ready(day, j).orElse(0));
        }
        last = Math.max(last, load(day, jobs, EnumSet.allOf(Right.class)));
        for (Right r : Right.values()) {
            last = Math.max(last, load(day, jobs, Set.of(r)));
        }
        for (Thing t : day.things()) {
            last = Math.max(last, load(t, jobs));
        }
        return last;
    }

    /** When all there are of {@code thing} have been held as long as all of it takes, s. */
    private static int load(Thing thing, List<Job> jobs) {
        long asked = jobs.stream()
                .flatMap(j -> j.tasks().stream())
                .filter(t -> t.things().contains(thing.id()))
                .mapToLong(Task::seconds)
                .sum();
        return thing.count() == 0 ? 0 : (int) Math.ceilDiv(asked, (long) thing.count());
    }

    /** When those who may do any of {@code rights} have worked as long as those tasks take, s. */
    private static int load(Day day, List<Job> jobs, Set<Right> rights) {
        long asked = jobs.stream()
                .flatMap(j -> j.tasks().stream())
                .filter(t -> t.hands() && rights.contains(t.right()))
                .mapToLong(Task::seconds)
                .sum();
        List<Span> hours = day.people().stream()
                .filter(p -> p.may().stream().anyMatch(rights::contains))
                .flatMap(p -> p.hours().stream())
                .toList();
        int low = 0;
        int high = hours.stream().mapToInt(Span::to).max().orElse(0);
        while (low < high) {
            int at = low + (high - low) / 2;
            long worked = hours.stream()
                    .mapToLong(h -> Math.max(0, Math.min(at, h.to()) - h.from()))
                    .sum();
            if (worked < asked) {
                low = at + 1;
            } else {
                high = at;
            }
        }
        return asked == 0 ? 0 : low;
    }
}
