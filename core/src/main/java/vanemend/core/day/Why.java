package vanemend.core.day;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;

/** Why a job is not ready sooner in a plan: along the chain that holds it, back from its end, all of its time has a cause. */
public final class Why {
    private final Day day;
    private final Job job;
    private final DayPlan plan;
    private final Map<String, Placed> placed = new HashMap<>();
    private final Map<String, Task> tasks = new HashMap<>();
    private final Map<List<Object>, Integer> held = new LinkedHashMap<>();

    private Why(Day day, DayPlan plan, Job job) {
        this.day = day;
        this.job = job;
        this.plan = plan;
        plan.placed().stream().filter(p -> p.job().equals(job.id())).forEach(p -> placed.put(p.task(), p));
        job.tasks().forEach(t -> tasks.put(t.id(), t));
    }

    /** What the time of {@code job} goes to, the longest first; together it is all of the time until it is ready. Empty where it has no time. */
    public static List<Held> of(Day day, DayPlan plan, Job job) {
        Why w = new Why(day, plan, job);
        w.walk();
        return w.held.entrySet().stream()
                .map(e -> new Held(
                        (Held.Kind) e.getKey().getFirst(), (String) e.getKey().getLast(), e.getValue()))
                .sorted((a, b) -> b.seconds() - a.seconds())
                .toList();
    }

    private void walk() {
        Optional<Placed> at = placed.values().stream().max((a, b) -> Integer.compare(a.at().to(), b.at().to()));
        while (at.isPresent()) {
            at = before(at.get());
        }
    }

    /** Counts what {@code p} takes and what it stood for before; gives what it followed, where it followed anything. */
    private Optional<Placed> before(Placed p) {
        Task t = tasks.get(p.task());
        Held.Kind own = t.hands() ? Held.Kind.WORK : t.things().isEmpty() ? Held.Kind.CURE : Held.Kind.HEAT;
        add(own, "", t.seconds());
        add(Held.Kind.CLOSED, "", p.at().to() - p.at().from() - t.seconds());
        Link binding = null;
        int could = job.from();
        for (Link l : t.links()) {
            int after = placed.get(l.from()).at().to() + l.least();
            if (after >= could) {
                could = after;
                binding = l;
            }
        }
        gap(t, p, Math.max(0, could));
        if (binding == null) {
            add(Held.Kind.NOT_BEFORE, "", job.from());
            return Optional.empty();
        }
        add(Held.Kind.CURE, "", binding.least());
        return Optional.of(placed.get(binding.from()));
    }

    private void add(Held.Kind kind, String by, int seconds) {
        if (seconds > 0) {
            held.merge(List.of(kind, by), seconds, Integer::sum);
        }
    }

    /** Between when {@code t} could have begun and when it does: cut wherever somebody comes, goes, begins or ends. */
    private void gap(Task t, Placed p, int from) {
        int to = p.at().from();
        if (to <= from) {
            return;
        }
        List<Person> may = day.people().stream()
                .filter(x -> x.may().contains(t.right())
                        && t.only().filter(o -> !o.equals(x.id())).isEmpty())
                .toList();
        TreeSet<Integer> cuts = new TreeSet<>(List.of(from, to));
        Stream.concat(
                        Stream.concat(
                                plan.placed().stream().map(Placed::at),
                                day.things().stream().flatMap(x -> x.out().stream())),
                        (t.hands() ? may : day.people()).stream().flatMap(x -> x.hours().stream()))
                .flatMap(s -> Stream.of(s.from(), s.to()))
                .filter(c -> c > from && c < to)
                .forEach(cuts::add);
        int last = from;
        for (int cut : cuts.tailSet(from, false)) {
            Span piece = new Span(last, cut);
            Cause c = t.hands() ? hands(may, p, piece) : thing(t, piece);
            if (c.kind() == Held.Kind.ORDER && !t.things().isEmpty()) {
                c = thing(t, piece);
            }
            add(c.kind(), c.by(), cut - last);
            last = cut;
        }
    }

    private record Cause(Held.Kind kind, String by) {}

    private Cause hands(List<Person> may, Placed p, Span piece) {
        List<String> busy = new ArrayList<>();
        boolean open = false;
        for (Person x : may) {
            if (x.hours().stream().noneMatch(h -> h.holds(piece))) {
                continue;
            }
            open = true;
            Optional<Placed> at = plan.placed().stream()
                    .filter(o -> o.person().filter(x.id()::equals).isPresent() && o.at().meets(piece))
                    .findFirst();
            if (at.isEmpty()) {
                return new Cause(Held.Kind.ORDER, "");
            }
            // Of several that are busy, whoever does it in the end is named.
            busy.add(
                    p.person().filter(x.id()::equals).isPresent() ? 0 : busy.size(),
                    at.get().job());
        }
        if (!open) {
            return new Cause(Held.Kind.CLOSED, "");
        }
        return busy.getFirst().equals(job.id())
                ? new Cause(Held.Kind.WORK, "")
                : new Cause(Held.Kind.HANDS, busy.getFirst());
    }

    private Cause thing(Task t, Span piece) {
        if (t.eyes() && day.open().stream().noneMatch(o -> o.holds(piece))) {
            return new Cause(Held.Kind.CLOSED, "");
        }
        for (String kind : t.things()) {
            List<String> has = plan.placed().stream()
                    .filter(o -> !o.job().equals(job.id()) && o.at().meets(piece) && holds(o, kind))
                    .map(Placed::job)
                    .toList();
            long out = day.things().stream()
                    .filter(x -> x.id().equals(kind))
                    .flatMap(x -> x.out().stream())
                    .filter(piece::meets)
                    .count();
            if (has.size() + out >= day.count(kind)) {
                return new Cause(Held.Kind.THING, has.isEmpty() ? "" : has.getFirst());
            }
        }
        return new Cause(Held.Kind.ORDER, "");
    }

    private boolean holds(Placed o, String kind) {
        return day.jobs().stream()
                .filter(j -> j.id().equals(o.job()))
                .flatMap(j -> j.tasks().stream())
                .anyMatch(t -> t.id().equals(o.task()) && t.things().contains(kind));
    }
}
