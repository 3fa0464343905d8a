package vanemend.core.day;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What changes for people when another order takes the place of the one that stood.
 *
 * @param turned two jobs that change places in the same hands; empty where no hands have two that do
 * @param repairs whose end moves by a few minutes or more, those that gain most first
 */
public record Move(Optional<Turned> turned, List<Shift> repairs) {
    /** What moves by less is not told, and is no move. */
    static final int TOLD = 5 * 60;

    /** A repair that ends at another time must be worth so many seconds of {@link Worth#walk}: who has looked at the day goes by it. */
    static final int COST = 3 * 60;

    public Move {
        repairs = List.copyOf(repairs);
    }

    /**
     * {@code first} goes before {@code then} now, in the hands of {@code person}; it was the other way round.
     */
    public record Turned(String person, String first, String then) {}

    /** When {@code job} is done as it stood, and now; s. */
    public record Shift(String job, int before, int after) {}

    /** Whether there is anything to tell: what moves by a minute or two is taken without a word. */
    boolean isTold() {
        return !repairs.isEmpty();
    }

    /** From {@code stood} to {@code now}, both of one day. */
    static Move of(DayPlan stood, DayPlan now) {
        Map<String, Integer> before = stood.finishes();
        List<Shift> repairs = new ArrayList<>();
        now.finishes().forEach((job, after) -> {
            int was = before.getOrDefault(job, after);
            if (Math.abs(was - after) >= TOLD) {
                repairs.add(new Shift(job, was, after));
            }
        });
        repairs.sort(
                Comparator.comparingInt((Shift s) -> s.after() - s.before()).thenComparing(Shift::job));
        return new Move(turned(stood, now, repairs), repairs);
    }

    /** Of what gains most and what then ends later or stays: the first two whose work in the same hands has changed places. */
    private static Optional<Turned> turned(DayPlan stood, DayPlan now, List<Shift> repairs) {
        Map<List<String>, Integer> was = new HashMap<>();
        stood.placed().forEach(p -> p.person().ifPresent(x -> was.put(List.of(x, p.job(), p.task()), p.at().from())));
        for (Shift s : repairs) {
            if (s.after() >= s.before()) {
                break;
            }
            for (Placed first : now.placed()) {
                Integer firstWas = wasOf(was, first);
                if (!first.job().equals(s.job()) || firstWas == null) {
                    continue;
                }
                for (Placed then : now.placed()) {
                    Integer thenWas = wasOf(was, then);
                    if (!then.job().equals(first.job())
                            && then.person().equals(first.person())
                            && thenWas != null
                            && first.at().from() < then.at().from()
                            && thenWas < firstWas) {
                        return Optional.of(new Turned(first.person().orElseThrow(), first.job(), then.job()));
                    }
                }
            }
        }
        return Optional.empty();
    }

    private static Integer wasOf(Map<List<String>, Integer> was, Placed p) {
        return p.person().map(x -> was.get(List.of(x, p.job(), p.task()))).orElse(null);
    }

    /** Whether {@code now} gains more than it moves: where somebody finds no time in {@code stood} it always does. */
    public static boolean pays(Day day, DayPlan stood, DayPlan now) {
        Worth before = Worth.of(day, stood);
        Worth after = Worth.of(day, now);
        if (after.compareTo(before) >= 0) {
            return false;
        }
        double gain = before.walk(day.jobs().size()) - after.walk(day.jobs().size());
        return gain > (double) COST * of(stood, now).repairs().size();
    }
}
