package vanemend.core.day;

import java.util.List;

/**
 * What is asked at the end of a task, and what each answer that sends the work back puts in before it is asked again.
 *
 * @param task at whose end it is asked
 * @param after s after that, where the task is followed by a wait that it is asked about; 0 or more
 * @param filled whether it asks if a hollow is left or pinholes show: what is filled is sent back oftener than the rest
 * @param ways that lead back into the work, one at least; a way that stops it is none of them
 */
public record Gated(String task, int after, boolean filled, List<Way> ways) {
    /**
     * One way back.
     *
     * @param branch id of the gate's branch
     * @param again what is done then, in order; each stands after those it is linked to
     * @param then s that must pass after the last of it
     */
    public record Way(String branch, List<Task> again, int then) {
        public Way {
            again = List.copyOf(again);
        }
    }

    public Gated {
        ways = List.copyOf(ways);
    }
}
