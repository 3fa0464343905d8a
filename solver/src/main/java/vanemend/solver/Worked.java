package vanemend.solver;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import vanemend.core.day.Person;
import vanemend.core.day.Span;
import vanemend.core.day.Task;

/** When a pair of hands may begin a task, by how long it stands still in the breaks that then fall into it. */
final class Worked {
    private Worked() {}

    /**
     * By s of breaks in it, the stretches of its first second, both ends of each within, in order.
     *
     * @param longestBreak s; what may be cut goes on after a break no longer than this
     */
    static Map<Integer, List<long[]>> starts(Task t, Person p, int longestBreak) {
        Map<Integer, List<long[]>> out = new TreeMap<>();
        List<Span> hours = p.hours();
        for (int i = 0; i < hours.size(); i++) {
            long worked = 0;
            for (int k = i; k < hours.size(); k++) {
                if (k > i
                        && (!t.cuttable()
                                || hours.get(k).from() - hours.get(k - 1).to() > longestBreak)) {
                    break;
                }
                // Done in stretch k: what is left of the first one and those between is too short, with all of k it is
                // enough.
                long first = hours.get(i).from();
                long end = hours.get(i).to();
                long from = k == i ? first : Math.max(first, end + worked - t.seconds() + 1);
                long lasts = hours.get(k).to() - hours.get(k).from();
                long to = k == i ? end - t.seconds() : Math.min(end - 1, end + worked + lasts - t.seconds());
                if (from <= to) {
                    int still = k == i ? 0 : (int) (hours.get(k).from() - end - worked);
                    out.computeIfAbsent(still, x -> new ArrayList<>()).add(new long[] {from, to});
                }
                worked += k == i ? 0 : lasts;
            }
        }
        return out;
    }
}
