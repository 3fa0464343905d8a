package vanemend.core.method;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import vanemend.core.trade.MethodId;

/** One method: how it is laid out for a job. Its ways to mend stand in its folder's data. */
public interface Method {
    /** Stable, stored; never shown. */
    MethodId id();

    /** Ready to be laid out for {@code job}; what stands in the way of a plan is added to {@code blockers}. */
    Layout layOut(Job job, List<String> blockers);

    /** When a repair by it is looked at again, and for what; empty for most. */
    List<Later> later();

    /**
     * A later look.
     *
     * @param months after the repair was finished
     * @param what what to look for, and what follows
     * @param shown where that comes from, as shown
     * @param step only where the plan has this step; empty for always
     */
    record Later(int months, String what, String shown, Optional<String> step) {}

    /** The method {@code id}, laid out by {@code layOut} and looked at again {@code later}. */
    static Method of(MethodId id, BiFunction<Job, List<String>, Layout> layOut, Later... later) {
        return new Method() {
            @Override
            public MethodId id() {
                return id;
            }

            @Override
            public Layout layOut(Job job, List<String> blockers) {
                return layOut.apply(job, blockers);
            }

            @Override
            public List<Later> later() {
                return List.of(later);
            }
        };
    }
}
