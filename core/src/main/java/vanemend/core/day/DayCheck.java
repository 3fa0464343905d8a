package vanemend.core.day;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Judges a plan of a day against the day itself, whoever made it: nothing of it is shared with what plans. Every plan is looked over before it
 * is shown.
 */
public final class DayCheck {
    private final Day day;
    private final DayPlan plan;
    private final List<String> faults = new ArrayList<>();

    private DayCheck(Day day, DayPlan plan) {
        this.day = day;
        this.plan = plan;
    }

    /** What is wrong with {@code plan}; empty where it can be done as it stands. */
    public static List<String> faults(Day day, DayPlan plan) {
        DayCheck c = new DayCheck(day, plan);
        day.jobs().forEach(c::job);
        c.strangers();
        c.inHand();
        c.hands();
        c.things();
        return List.copyOf(c.faults);
    }

    private void job(Job job) {
        Map<String, Placed> at = new HashMap<>();
        for (Placed p : plan.placed()) {
            if (p.job().equals(job.id()) && at.put(p.task(), p) != null) {
                faults.add(job.id() + " " + p.task() + " is planned twice");
            }
        }
        if (plan.left().contains(job.id())) {
            if (!at.isEmpty()) {
                faults.add(job.id() + " is left and planned");
            }
            return;
        }
        for (Task t : job.tasks()) {
            Placed p = at.get(t.id());
            if (p == null) {
                faults.add(job.id() + " " + t.id() + " is not planned");
                continue;
            }
            String name = job.id() + " " + t.id();
            if (p.at().from() < job.from()) {
                faults.add(name + " begins before the job is there");
            }
            length(name, t, p);
            for (Link l : t.links()) {
                link(name, l, p, at.get(l.from()));
            }
        }
    }

    private void link(String name, Link l, Placed p, Placed before) {
        if (before == null) {
            faults.add(name + " follows " + l.from() + ", which is not planned");
            return;
        }
        long gap = (long) p.at().from() - before.at().to();
        if (gap < l.least()) {
            faults.add(name + " begins " + gap + " s after " + l.from() + ", at least " + l.least() + " s is asked");
        }
        if (gap > l.most()) {
            faults.add(name + " begins " + gap + " s after " + l.from() + ", at most " + l.most() + " s is allowed");
        }
        if (l.sameHands() && !p.person().equals(before.person())) {
            faults.add(name + " goes to other hands than " + l.from());
        }
    }

    private void length(String name, Task t, Placed p) {
        int lasts = p.at().to() - p.at().from();
        Optional<Person> person = p.person()
                .flatMap(id ->
                        day.people().stream().filter(x -> x.id().equals(id)).findFirst());
        if (t.hands() != p.person().isPresent() || p.person().isPresent() && person.isEmpty()) {
            faults.add(name + (t.hands() ? " has no hands" : " has hands that it does not need"));
            return;
        }
        if (!t.hands()) {
            if (lasts != t.seconds()) {
                faults.add(name + " lasts " + lasts + " s, not " + t.seconds());
            }
            if (t.eyes() && day.open().stream().noneMatch(o -> o.holds(p.at()))) {
                faults.add(name + " runs while nobody is in the shop");
            }
            return;
        }
        if (!person.get().may().contains(t.right())) {
            faults.add(name + " is not for " + person.get().id());
        }
        if (t.only().filter(o -> !o.equals(person.get().id())).isPresent()) {
            faults.add(name + " is in the hands of " + t.only().get() + ", not of "
                    + person.get().id());
        }
        int worked = 0;
        int till = p.at().from();
        for (Span h : person.get().hours()) {
            int from = Math.max(h.from(), p.at().from());
            int to = Math.min(h.to(), p.at().to());
            if (from < to) {
                if (from - till > (t.cuttable() ? day.longestBreak() : 0)) {
                    faults.add(name + " is cut for " + (from - till) + " s");
                }
                worked += to - from;
                till = to;
            }
        }
        if (till != p.at().to() || worked != t.seconds()) {
            faults.add(name + " has " + worked + " s of hands, not " + t.seconds());
        }
    }

    /** What is in hand stays there: the same hands begin nothing else before it. */
    private void inHand() {
        List<Placed> first = day.jobs().stream()
                .filter(Job::begun)
                .flatMap(j -> plan.placed().stream()
                        .filter(p -> p.job().equals(j.id())
                                && p.task().equals(j.tasks().getFirst().id())))
                .toList();
        for (Placed f : first) {
            plan.placed().stream()
                    .filter(p -> f.person().isPresent()
                            && p.person().equals(f.person())
                            && p.at().from() < f.at().from()
                            && !first.contains(p))
                    .forEach(p -> faults.add(p.job() + " " + p.task() + " goes before " + f.job() + " " + f.task()
                            + ", which is in hand"));
        }
    }

    private void strangers() {
        for (Placed p : plan.placed()) {
            if (day.jobs().stream()
                    .noneMatch(
                            j -> j.id().equals(p.job()) && j.tasks().stream().anyMatch(t -> t.id().equals(p.task())))) {
                faults.add(p.job() + " " + p.task() + " is no task of this day");
            }
        }
    }

    private void hands() {
        List<Placed> all = plan.placed();
        for (int i = 0; i < all.size(); i++) {
            for (int k = i + 1; k < all.size(); k++) {
                Placed a = all.get(i);
                Placed b = all.get(k);
                if (a.person().isPresent()
                        && a.person().equals(b.person())
                        && a.at().from() < b.at().to()
                        && b.at().from() < a.at().to()) {
                    faults.add(a.person().get() + " is at " + a.job() + " " + a.task() + " and at " + b.job() + " "
                            + b.task() + " at once");
                }
            }
        }
    }

    private void things() {
        for (Thing thing : day.things()) {
            List<Placed> held = plan.placed().stream()
                    .filter(p -> day.jobs().stream()
                            .filter(j -> j.id().equals(p.job()))
                            .flatMap(j -> j.tasks().stream())
                            .anyMatch(t -> t.id().equals(p.task()) && t.things().contains(thing.id())))
                    .toList();
            List<Integer> begins = Stream.concat(
                            held.stream().map(p -> p.at().from()),
                            thing.out().stream().map(Span::from))
                    .toList();
            for (int at : begins) {
                long now = held.stream()
                        .filter(o -> o.at().from() <= at && at < o.at().to())
                        .count();
                long there = thing.count()
                        - thing.out().stream()
                                .filter(o -> o.from() <= at && at < o.to())
                                .count();
                if (now > there) {
                    faults.add(now + " hold " + thing.id() + " at " + at + " s, there are " + there);
                }
            }
        }
    }
}
