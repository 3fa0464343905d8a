package vanemend.core.record;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.run.BenchEvent;
import vanemend.core.trade.Check;

/**
 * A record as it travels: the frozen plan and everything that happened; the record is computed from them again.
 *
 * @param format {@link #FORMAT}
 * @param repair the repair's own id, the same wherever it is read in
 * @param frozen plan the work began with
 * @param anew plans that were made anew while it went on, in order
 * @param events in the order they were received
 */
public record RecordFile(
        String format, UUID repair, FrozenPlan frozen, List<FrozenPlan> anew, List<BenchEvent> events) {
    /** Name and version of the format. */
    public static final String FORMAT = "vane-mend-record-10";

    /** The ninth format, which is still read: no spot was drawn in it, and of no round it says how thick it lies. */
    public static final String FORMAT_9 = "vane-mend-record-9";

    /** The eighth format, which is still read: no filler of it was thinned, no spreader of it was another than the book's. */
    public static final String FORMAT_8 = "vane-mend-record-8";

    /** The seventh format, which is still read: no dent of it was read along a straightedge. */
    public static final String FORMAT_7 = "vane-mend-record-7";

    /** The sixth format, which is still read: no dent of it is pulled or pushed out. */
    public static final String FORMAT_6 = "vane-mend-record-6";

    /** The fifth format, which is still read: a way that does not cure said so by a negative number. */
    public static final String FORMAT_5 = "vane-mend-record-5";

    /** The fourth format, which is still read: it had the clear beside a run, not what a gauge shows. */
    public static final String FORMAT_4 = "vane-mend-record-4";

    /** The third format, which is still read: its runs know no stop that holds. */
    public static final String FORMAT_3 = "vane-mend-record-3";

    /** The second format, which is still read: its words hold bare figures. */
    public static final String FORMAT_2 = "vane-mend-record-2";

    /** The first format, which is still read. */
    public static final String FORMAT_1 = "vane-mend-record-1";

    public RecordFile {
        anew = anew == null ? List.of() : List.copyOf(anew);
        events = events == null ? List.of() : List.copyOf(events);
    }

    /** All plans, in order. */
    public List<FrozenPlan> plans() {
        return Stream.concat(Stream.of(frozen), anew.stream()).toList();
    }

    /** Finds what is missing or cannot be. */
    public void check(Check check) {
        if (!FORMAT.equals(format)) {
            check.refuse("format", format, FORMAT, "This is no record of ours: expected the format " + FORMAT + ".");
        }
        if (repair == null) {
            check.refuse("repair", null, "a UUID", "The record names no repair.");
        }
        if (frozen == null) {
            check.refuse("frozen", null, "the plan the work began with", "The record holds no plan.");
        }
        for (int i = 0; i <= anew.size(); i++) {
            FrozenPlan plan = i == 0 ? frozen : anew.get(i - 1);
            String at = i == 0 ? "frozen" : "anew." + (i - 1);
            if (i > 0 && plan == null) {
                check.refuse(at, null, "a plan", "Plan " + (i + 1) + " of the record is missing.");
            } else if (plan != null && (plan.frozenAt() == null || plan.by() == null || plan.draft() == null)) {
                check.refuse(
                        at,
                        "",
                        "when and by whom it was made, and its draft",
                        "Plan " + (i + 1) + " of the record lacks when it was made, by whom, or what it was made of.");
            } else if (plan != null) {
                int which = i + 1;
                Whole.missing(plan.workup(), at + ".workup")
                        .ifPresent(hole -> check.refuse(
                                hole,
                                null,
                                "what a plan is made of",
                                "Plan " + which + " of the record has a hole: " + hole + " is missing."));
            }
        }
        if (events.isEmpty() || events.getFirst().kind() != BenchEvent.Kind.START) {
            check.refuse(
                    "events", events.size(), "a START first", "The record does not begin with the start of the work.");
        }
        long left =
                events.stream().filter(e -> e.kind() == BenchEvent.Kind.PLAN).count();
        if (left != anew.size()) {
            check.refuse(
                    "anew",
                    anew.size(),
                    left + " plans made anew",
                    "The record holds " + anew.size() + " plans made anew, and " + left + " were begun.");
        }
        Set<UUID> ids = new HashSet<>();
        for (int i = 0; i < events.size(); i++) {
            BenchEvent e = events.get(i);
            if (e.id() == null || e.at() == null || e.by() == null || !ids.add(e.id())) {
                check.refuse(
                        "events." + i,
                        e.id(),
                        "an id of its own, a time and a name",
                        "Event " + (i + 1) + " lacks its id, its time or who did it, or stands there twice.");
            }
        }
    }
}
