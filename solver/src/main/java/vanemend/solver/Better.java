package vanemend.solver;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import vanemend.core.day.Day;
import vanemend.core.day.DayCheck;
import vanemend.core.day.DayPlan;
import vanemend.core.day.DayStart;
import vanemend.core.day.Job;
import vanemend.core.day.Worth;

/**
 * A better order of a day. The start's own search goes on first: while it still finds something it finds most. Then constraints: where the day is
 * small, all of it at once, and what can be proven of its last finish; else a few jobs at a time, the rest fixed, again and again. Whole models
 * of many jobs gain nothing in the time that there is.
 *
 * @param plan never worth less than the one it came from
 * @param order from where the start's search goes on
 * @param bound before when no order is done with all that is planned, s; empty where nothing was proven
 */
public record Better(DayPlan plan, Map<String, List<Double>> order, OptionalInt bound) {
    /** Up to as many jobs all are free at once. */
    static final int WHOLE = 12;

    private static final int FEWEST = 5;
    private static final int MOST = 8;
    /** Deterministic seconds that a few jobs get at a time. */
    private static final double A_TURN = 0.03;

    private static final int A_DAY = 24 * 60 * 60;

    /**
     * What is found from {@code plan} on.
     *
     * @param order from where the start's search goes on; empty for the first
     * @param turns of that search
     * @param effort deterministic seconds of the constraint solver, some ten of a clock's each; 0 for none
     * @param seed the same gives the same
     */
    public static Better of(
            Day day, DayPlan plan, Map<String, List<Double>> order, int turns, double effort, long seed) {
        DayStart.Found searched = DayStart.of(day, turns, seed, order);
        Better constrained = constrained(day, better(day, searched.plan(), plan), effort, seed);
        return new Better(constrained.plan(), searched.order(), constrained.bound());
    }

    private static Better constrained(Day day, DayPlan plan, double effort, long seed) {
        Random random = new Random(seed);
        // Only a promise that is missed may be worth that another job ends later than all do now.
        Worth worth = Worth.of(day, plan);
        int horizon = plan.last() + (worth.late() + worth.wished() > 0 ? A_DAY : 0);
        List<String> movable = movable(day, plan);
        DayPlan best = plan;
        OptionalInt bound = OptionalInt.empty();
        double left = effort;
        if (left > 0
                && !movable.isEmpty()
                && movable.size() <= WHOLE
                && movable.size() == day.jobs().size()) {
            DayModel.Found last = DayModel.solved(
                    day, best, Set.copyOf(movable), DayModel.Aim.LAST, effort / 3, horizon, random.nextInt(1 << 20));
            bound = last.bound();
            best = last.plan().map(p -> better(day, p, plan)).orElse(best);
            left -= effort / 3;
        }
        while (left > 0 && !movable.isEmpty()) {
            DayPlan from = best;
            Set<String> some = movable.size() <= MOST ? Set.copyOf(movable) : some(day, from, movable, random);
            boolean all = some.size() == movable.size();
            double turn = all ? left : Math.min(left, A_TURN);
            DayModel.Found f =
                    DayModel.solved(day, from, some, DayModel.Aim.WORTH, turn, horizon, random.nextInt(1 << 20));
            best = f.plan().map(p -> better(day, p, from)).orElse(from);
            left -= all ? left : turn;
        }
        return new Better(best, Map.of(), bound);
    }

    /** What was said to go first stays where it is, and so does what found no time. */
    private static List<String> movable(Day day, DayPlan plan) {
        return day.jobs().stream()
                .filter(j -> !j.first() && !plan.left().contains(j.id()))
                .map(Job::id)
                .toList();
    }

    private static DayPlan better(Day day, DayPlan found, DayPlan than) {
        return Worth.of(day, found).compareTo(Worth.of(day, than)) < 0
                        && DayCheck.faults(day, found).isEmpty()
                ? found
                : than;
    }

    /** Some that are late or end last, and others that run at the same time. */
    private static Set<String> some(Day day, DayPlan plan, List<String> movable, Random random) {
        Map<String, Integer> finishes = plan.finishes();
        int many = FEWEST + random.nextInt(MOST - FEWEST + 1);
        List<String> wanted = Stream.concat(
                        day.jobs().stream()
                                .filter(j -> finishes.getOrDefault(j.id(), 0)
                                        > j.promised().orElse(Integer.MAX_VALUE))
                                .map(Job::id),
                        finishes.entrySet().stream()
                                .sorted((a, b) -> b.getValue() - a.getValue())
                                .limit(3)
                                .map(Map.Entry::getKey))
                .filter(movable::contains)
                .toList();
        List<String> others = new ArrayList<>(movable);
        Collections.shuffle(others, random);
        Set<String> out = new HashSet<>();
        if (!wanted.isEmpty() && random.nextInt(3) > 0) {
            String one = wanted.get(random.nextInt(wanted.size()));
            out.add(one);
            int about = finishes.get(one);
            others.sort((a, b) -> Math.abs(finishes.get(a) - about) - Math.abs(finishes.get(b) - about));
            // Near it, but not always the same ones.
            Collections.shuffle(others.subList(0, Math.min(others.size(), 2 * many)), random);
        }
        others.stream().filter(o -> !out.contains(o)).limit(many - out.size()).forEach(out::add);
        return out;
    }
}
