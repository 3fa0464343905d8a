package vanemend.core.run;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import vanemend.core.method.Weight;

/**
 * Something that was found and that the plan cannot go on with. It stands, on every screen of its repair, until the same thing is measured
 * again and passes, the work is planned anew or ended, or, where it guards no one, a lead goes against it.
 *
 * @param event reading or answer that raised it
 * @param step instance it was found at
 * @param watch name of the watch; empty where a gate was answered so
 * @param weight STOP or NEVER
 * @param care whether a lead may go against it
 * @param loop rework that may be walked meanwhile; empty for none
 * @param title what is wrong
 * @param follows what to do
 * @param finding the reading against its limit; empty where a gate was answered so
 * @param since when it was found
 * @param by who found it
 * @param more readings that still have to pass before it is lifted
 */
public record Stop(
        UUID event,
        String step,
        String watch,
        Weight weight,
        boolean care,
        String loop,
        String title,
        String follows,
        Optional<ReadingFinding> finding,
        Instant since,
        String by,
        int more) {
    /** A copy that wants {@code n} more readings. */
    Stop wanting(int n) {
        return new Stop(event, step, watch, weight, care, loop, title, follows, finding, since, by, n);
    }

    /** Whether a lead may go against it. */
    public boolean open() {
        return weight == Weight.STOP && care;
    }

    /** Whether another plan could carry it: what a gate's answer said can never be mended has no plan. */
    public boolean plannable() {
        return weight != Weight.NEVER || finding.isPresent();
    }

    /** As said in a record. */
    public String said() {
        return finding.map(ReadingFinding::said).orElse(title + ". " + follows);
    }
}
