package vanemend.core.day;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What is to be planned.
 *
 * @param people whose hands
 * @param things counted, by kind
 * @param jobs in the order they came in
 * @param longestBreak s; a task that may be cut goes on after a break no longer than this, never after a night
 */
public record Day(List<Person> people, List<Thing> things, List<Job> jobs, int longestBreak) {
    public Day {
        people = List.copyOf(people);
        things = List.copyOf(things);
        jobs = List.copyOf(jobs);
    }

    /** How many of {@code thing} there are; none where it is not known. */
    int count(String thing) {
        return things.stream()
                .filter(t -> t.id().equals(thing))
                .mapToInt(Thing::count)
                .sum();
    }

    /** When somebody is in the shop, in order, stretches that touch made one. */
    public List<Span> open() {
        List<Span> all = people.stream()
                .flatMap(p -> p.hours().stream())
                .sorted(Comparator.comparingInt(Span::from))
                .toList();
        List<Span> out = new ArrayList<>();
        for (Span s : all) {
            if (!out.isEmpty() && s.from() <= out.getLast().to()) {
                Span last = out.removeLast();
                out.add(new Span(last.from(), Math.max(last.to(), s.to())));
            } else {
                out.add(s);
            }
        }
        return out;
    }
}
