package vanemend.core.day;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import vanemend.core.method.Asides;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;

/**
 * The blocks of a plan: consecutive steps that the same hands do, one block; what is live from its mixing to its last spreading, one that nothing
 * cuts; a wait in air, a least wait to what follows; a wait under a lamp or in an oven, a block that holds it without hands. What hands do
 * at the beginning of a wait belongs to the block before it.
 */
public final class Blocks {
    private static final int MINUTE = 60;

    private final List<Step> steps;
    private final Right craft;
    private final List<Task> out = new ArrayList<>();

    /** The block that each step, by its place, ended in. */
    private final Map<Integer, Integer> blockOf = new HashMap<>();

    /** What the next block must wait for, besides the one before it. */
    private final List<Link> waits = new ArrayList<>();

    private final List<String> open = new ArrayList<>();
    private double minutes;
    private boolean live;

    private Blocks(List<Step> steps, Right craft) {
        this.steps = steps;
        this.craft = craft;
    }

    /** The blocks of {@code plan}, each called by its first step; {@code craft} is what its hands must be allowed besides. */
    public static List<Task> of(Plan plan, Right craft) {
        Blocks b = new Blocks(plan.steps().stream().map(PlannedStep::step).toList(), craft);
        b.lay();
        return List.copyOf(b.out);
    }

    private void lay() {
        boolean going = false;
        for (int i = 0; i < steps.size(); i++) {
            Step s = steps.get(i);
            if (s.kind() == Step.Kind.WAIT) {
                waiting(s, i);
                continue;
            }
            boolean goes = s.goesLive() || going || s.kind() == Step.Kind.SPREAD;
            // What is done in a wait is a block of its own: the wait counts from the block before it.
            boolean besideWait = i + 1 < steps.size() && Asides.since(steps, nextWait(i)) < i && nextWait(i) > i;
            if (goes != live || besideWait || !waits.isEmpty()) {
                close();
            }
            live = goes;
            open.add(s.id());
            minutes += s.activeMin();
            blockOf.put(i, out.size());
            going = goes && s.kind() != Step.Kind.SPREAD;
        }
        close();
    }

    /** The place of the next wait after {@code i}; {@code i} where there is none. */
    private int nextWait(int i) {
        for (int k = i + 1; k < steps.size(); k++) {
            if (steps.get(k).kind() == Step.Kind.WAIT) {
                return k;
            }
        }
        return i;
    }

    private void waiting(Step s, int i) {
        boolean afterAWait = open.isEmpty();
        if (!afterAWait || s.activeMin() > 0 || out.isEmpty()) {
            open.add(s.id());
            minutes += out.isEmpty() && afterAWait ? Math.max(s.activeMin(), 1.0 / MINUTE) : s.activeMin();
        }
        int since = Asides.since(steps, i);
        close();
        int lasts = seconds(Math.max(0, s.waitMin() - s.activeMin()));
        List<String> things = s.resources().stream()
                .filter(r -> r == Step.Resource.LAMP || r == Step.Resource.OVEN)
                .map(Enum::name)
                .toList();
        if (!things.isEmpty()) {
            out.add(new Task(s.id(), Math.max(1, lasts), false, Right.ANY, false, true, things, links()));
        } else if (afterAWait && !waits.isEmpty()) {
            Link before = waits.removeLast();
            waits.add(Link.after(before.from(), before.least() + lasts));
        } else {
            waits.add(Link.after(
                    out.get(blockOf.getOrDefault(since, out.size() - 1)).id(), lasts));
        }
        blockOf.put(i, out.size() - 1);
    }

    /** After the block before, and after every wait that is open; those are used up. */
    private List<Link> links() {
        List<Link> links = Stream.concat(
                        out.isEmpty()
                                ? Stream.empty()
                                : Stream.of(Link.after(out.getLast().id(), 0)),
                        waits.stream())
                .toList();
        waits.clear();
        return links;
    }

    private void close() {
        if (open.isEmpty() || minutes <= 0) {
            return;
        }
        out.add(new Task(
                open.getFirst(),
                Math.max(1, seconds(minutes)),
                true,
                live ? Right.LIVE : craft,
                !live,
                false,
                List.of(),
                links()));
        open.clear();
        minutes = 0;
        live = false;
    }

    private static int seconds(double min) {
        return (int) Math.ceil(min * MINUTE - 1e-6);
    }
}
