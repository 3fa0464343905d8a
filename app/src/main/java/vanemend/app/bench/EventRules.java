package vanemend.app.bench;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vanemend.app.access.Account;
import vanemend.app.access.Right;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.Replay;
import vanemend.core.trade.Check;
import vanemend.core.trade.Quantity;

/**
 * Whether an event fits a run: who may sign or go against a stop, what may be taken back by whom, and what may be put right to what.
 *
 * @param known events of the run so far
 * @param plans its plans, in order
 * @param who does it
 * @param fresh whether they typed their password a short while ago
 * @param now when
 */
record EventRules(Map<UUID, BenchEvent> known, List<FrozenPlan> plans, Account who, boolean fresh, Instant now) {
    private static final double MOST_EARLIER_MIN = 12 * 60;

    /** What only the whole run can tell: who may sign, and what may be put right to what. */
    void check(BenchEvent e, Check check) {
        if (e.kind() == BenchEvent.Kind.SIGN && !Right.SIGN.of(who.role())) {
            check.refuse("kind", e.kind(), "a lead", "Only a lead signs the work or sends it back.");
        }
        if (!fresh && (e.kind() == BenchEvent.Kind.SIGN || e.kind() == BenchEvent.Kind.AGAINST)) {
            check.refuse(
                    "kind",
                    e.kind(),
                    "a password typed a short while ago",
                    "You signed in a good while ago: type your password once more, then sign.");
        }
        if (e.kind() == BenchEvent.Kind.SIGN && !newest().equals(e.target())) {
            check.refuse(
                    "target",
                    e.target(),
                    "the newest event",
                    "The record went on since you looked at it: look again, then sign what stands there now.");
        }
        if (e.kind() == BenchEvent.Kind.AGAINST && !Right.GO_AGAINST.of(who.role())) {
            check.refuse("kind", e.kind(), "a lead", "Only a lead may go against a stop, signed with a reason.");
        }
        if (e.kind() == BenchEvent.Kind.UNDO) {
            takesBack(e, check);
        }
        if (e.kind() != BenchEvent.Kind.AMEND) {
            return;
        }
        BenchEvent target = known.get(e.target().orElseThrow());
        double value = e.value().orElseThrow();
        if (target == null) {
            check.refuse("target", e.target(), "an event of this repair", "What should be put right is not there.");
            return;
        }
        switch (target.kind()) {
            case READING -> {
                Quantity q = target.quantity().orElseThrow();
                check.range("value", q.word(), value, q.min(), q.max(), q.unit());
            }
            case CLOCK, DONE, GATE -> check.range("value", "Minutes earlier", value, 0, MOST_EARLIER_MIN, "min");
            default ->
                check.refuse(
                        "target",
                        target.kind(),
                        "a reading, a clock or a step done",
                        "That cannot be put right; take it back instead.");
        }
    }

    /** One's own last act, while nothing rests on it; a reading or a note also later, by who took it or by a lead with a reason. */
    private void takesBack(BenchEvent e, Check check) {
        BenchEvent target = known.get(e.target().orElseThrow());
        if (target == null) {
            check.refuse("target", e.target(), "an event of this repair", "What should be taken back is not there.");
            return;
        }
        if (target.stands()) {
            check.refuse(
                    "target",
                    target.kind(),
                    "an act at the bench",
                    "The beginning of the work, another plan and a signature are not taken back. Work that cannot go on is ended.");
            return;
        }
        boolean said = target.kind() == BenchEvent.Kind.READING
                || target.kind() == BenchEvent.Kind.NOTE
                || target.kind() == BenchEvent.Kind.AMEND
                || target.kind() == BenchEvent.Kind.PICTURE;
        boolean own = target.by().equals(who.name());
        if (!own && !(said && Right.TAKE_BACK_OTHERS.of(who.role()) && !e.text().isBlank())) {
            check.refuse(
                    "target",
                    target.by(),
                    who.name(),
                    "That was done by " + target.by() + ": only they take it back"
                            + (said ? ", or a lead with a reason." : "."));
        } else if (!said && !last().equals(Optional.of(target.id()))) {
            check.refuse(
                    "target",
                    target.kind(),
                    "the last act",
                    "Something rests on it already: only the last act is taken back.");
        }
    }

    private Optional<UUID> newest() {
        return known.isEmpty()
                ? Optional.empty()
                : Optional.of(List.copyOf(known.keySet()).getLast());
    }

    private Optional<UUID> last() {
        List<BenchEvent> all = List.copyOf(known.values());
        return Replay.of(plans.stream().map(FrozenPlan::plan).toList(), all, now)
                .getLast()
                .lastUndoable();
    }
}
