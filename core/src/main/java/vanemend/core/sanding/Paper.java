package vanemend.core.sanding;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import vanemend.core.material.ShelfItem;

/**
 * One paper on the shelf with its grain.
 *
 * @param um median grain, µm
 */
public record Paper(ShelfItem item, double um) {
    private static final double SAME = 1.08;

    /** Minutes on a paper after another; {@code last} where it ends the leg. */
    public interface Minutes {
        double of(Optional<Paper> before, Paper paper, boolean last);
    }

    /** The papers of {@code shelf}, all of which have their grading on file. */
    public static List<Paper> coarseToFine(List<ShelfItem> shelf) {
        return shelf.stream()
                .map(i -> new Paper(
                        i,
                        Grains.micrometres(i.grading().orElseThrow(), i.grade().orElseThrow())))
                .sorted(Comparator.comparingDouble(Paper::um)
                        .reversed()
                        .thenComparing(p -> p.item().id()))
                .toList();
    }

    /** P or CAMI. */
    public String grading() {
        return item.grading().orElseThrow();
    }

    /** Number printed on it. */
    public int grade() {
        return item.grade().orElseThrow();
    }

    /** As printed. */
    public String label() {
        return grading().equals("P") ? "P" + grade() : grading() + " " + grade();
    }

    /** As it stands in the id of a step. */
    public String slug() {
        return label().toLowerCase(Locale.ROOT).replace(' ', '-');
    }

    /** Whether its grain is that of {@code wanted} µm for the purpose of sanding. */
    public boolean is(double wanted) {
        return um <= wanted * SAME && um >= wanted / SAME;
    }

    /**
     * Cheapest way in minutes over papers sorted coarse to fine, from one grain to another, no paper finer than the last by more than
     * {@code limit} times; ties go to fewer papers.
     */
    public static Optional<List<Paper>> cheapest(
            List<Paper> papers, double from, double to, double limit, Minutes minutes) {
        int n = papers.size();
        double[] cost = new double[n];
        int[] count = new int[n];
        int[] back = new int[n];
        int best = -1;
        for (int j = 0; j < n; j++) {
            Paper p = papers.get(j);
            boolean end = p.is(to);
            cost[j] = Double.POSITIVE_INFINITY;
            back[j] = -1;
            if (p.is(from)) {
                cost[j] = minutes.of(Optional.empty(), p, end);
                count[j] = 1;
            }
            for (int i = 0; i < j; i++) {
                double ratio = papers.get(i).um() / p.um();
                if (cost[i] < Double.POSITIVE_INFINITY && ratio > SAME && ratio <= limit && p.um() >= to / SAME) {
                    double c = cost[i] + minutes.of(Optional.of(papers.get(i)), p, end);
                    if (c < cost[j] - 1e-9 || (Math.abs(c - cost[j]) <= 1e-9 && count[i] + 1 < count[j])) {
                        cost[j] = c;
                        count[j] = count[i] + 1;
                        back[j] = i;
                    }
                }
            }
            if (end && cost[j] < Double.POSITIVE_INFINITY && (best < 0 || cost[j] < cost[best] - 1e-9)) {
                best = j;
            }
        }
        if (best < 0) {
            return Optional.empty();
        }
        List<Paper> path = new ArrayList<>();
        for (int j = best; j >= 0; j = back[j]) {
            path.add(papers.get(j));
        }
        Collections.reverse(path);
        return Optional.of(path);
    }

    /** Every grain on the shelf from one to another; nothing where an end is missing or a jump is over {@code limit}. */
    static Optional<List<Paper>> every(List<Paper> papers, double from, double to, double limit) {
        List<Paper> path = new ArrayList<>();
        for (Paper p : papers) {
            boolean between = p.um() <= from * SAME && p.um() >= to / SAME;
            boolean same = !path.isEmpty() && p.is(path.getLast().um());
            if (between && !same) {
                path.add(p);
            } else if (between && p.item().grading().orElseThrow().equals("P")) {
                // Two scales, one grain: the paper that the grades are named by.
                path.set(path.size() - 1, p);
            }
        }
        boolean whole =
                !path.isEmpty() && path.getFirst().is(from) && path.getLast().is(to);
        for (int i = 1; i < path.size(); i++) {
            whole &= path.get(i - 1).um() / path.get(i).um() <= limit;
        }
        return whole ? Optional.of(path) : Optional.empty();
    }
}
