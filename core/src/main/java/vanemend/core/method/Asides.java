package vanemend.core.method;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * What is done beside the part, at the table: cloth cut, tin stirred. Where something flashes or dries and asks for no hands, it is done in
 * that wait: it stands right before it, and the wait runs from the step before both.
 */
public final class Asides {
    private static final Set<Act> AT_THE_TABLE = EnumSet.of(Act.CUT_CLOTH, Act.STIR);

    /** What is put on thin and left to itself: it asks for nothing that lies on the table. */
    private static final Set<Act> LEFT_TO_ITSELF = EnumSet.of(
            Act.PROMOTE,
            Act.PROMOTE_BACK,
            Act.PROMOTE_PATCH,
            Act.FLASH,
            Act.FLASH_BACK,
            Act.FLASH_PATCH,
            Act.CONVERT,
            Act.CONVERTED,
            Act.SURFACE_DRY);

    private Asides() {}

    /** Whether {@code s} is done beside the part and asks nothing of it. */
    static boolean is(Step s) {
        return s.kind() == Step.Kind.DO
                && s.gate().isEmpty()
                && s.clock().isEmpty()
                && !s.acts().isEmpty()
                && AT_THE_TABLE.containsAll(s.acts());
    }

    /** Whether {@code s} waits by its clock alone: no hands at its beginning, no lamp that wants eyes. */
    private static boolean leavesHandsFree(Step s) {
        return s.waitMin() > 0
                && s.activeMin() == 0
                && !s.resources().contains(Step.Resource.LAMP)
                && !s.resources().contains(Step.Resource.OVEN);
    }

    /**
     * {@code steps} with what is done beside the part put into the last wait before it is needed that still has room for it; where there is
     * none it stays where it was.
     */
    static List<Step> intoWaits(List<Step> steps) {
        List<Step> out = new ArrayList<>(steps);
        for (Step aside : steps.stream().filter(Asides::is).toList()) {
            int at = out.indexOf(aside);
            int wait = waitFor(out, at);
            if (wait >= 0) {
                out.remove(at);
                out.add(wait < at ? wait : wait - 1, aside);
            }
        }
        return out;
    }

    /** The wait with room for the aside at {@code at}: the last one before it is needed, else the one right before it; -1 for none. */
    private static int waitFor(List<Step> steps, int at) {
        int best = -1;
        for (int i = at + 1; i < steps.size() && asksNothing(steps.get(i)); i++) {
            best = hasRoom(steps, i, steps.get(at)) ? i : best;
        }
        int before = at - 1;
        while (before >= 0 && is(steps.get(before))) {
            before--;
        }
        return best < 0 && before >= 0 && hasRoom(steps, before, steps.get(at)) ? before : best;
    }

    /** Whether {@code s} asks for nothing that lies on the table. */
    private static boolean asksNothing(Step s) {
        return is(s) || !s.acts().isEmpty() && LEFT_TO_ITSELF.containsAll(s.acts());
    }

    private static boolean hasRoom(List<Step> steps, int wait, Step more) {
        int first = firstIn(steps, wait);
        return leavesHandsFree(steps.get(wait))
                && first > 0
                && !steps.get(first - 1).goesLive()
                && minutes(steps.subList(first, wait)) + more.activeMin()
                        <= steps.get(wait).waitMin();
    }

    /** The first of the asides right before {@code wait}; {@code wait} itself where there is none. */
    private static int firstIn(List<Step> steps, int wait) {
        int first = wait;
        while (first > 0 && is(steps.get(first - 1))) {
            first--;
        }
        return first;
    }

    private static double minutes(List<Step> asides) {
        return asides.stream().mapToDouble(Step::activeMin).sum();
    }

    /** How many steps right before the {@code wait}th are done in it: at another site whatever is done there, at its own the asides that fit. */
    static int in(List<Step> steps, int wait) {
        int own = wait;
        while (own > 0
                && steps.get(wait).kind() == Step.Kind.WAIT
                && !steps.get(own - 1).with(steps.get(wait))) {
            own--;
        }
        if (own < wait && own > 0) {
            return wait - own;
        }
        int first = firstIn(steps, wait);
        boolean shared = first > 0
                && leavesHandsFree(steps.get(wait))
                && !steps.get(first - 1).goesLive()
                && minutes(steps.subList(first, wait)) <= steps.get(wait).waitMin();
        return shared ? wait - first : 0;
    }

    /** Place of the step that the one at {@code i} follows: the one before it, but for a wait that something is done in, here or elsewhere. */
    public static int since(List<Step> steps, int i) {
        Step s = steps.get(i);
        if (s.kind() == Step.Kind.WAIT && !s.after().isEmpty()) {
            for (int k = i - 1; k >= 0; k--) {
                if (steps.get(k).id().equals(s.after().getFirst())) {
                    return k;
                }
                if (!is(steps.get(k)) && steps.get(k).with(s)) {
                    break;
                }
            }
        }
        return i - 1;
    }
}
