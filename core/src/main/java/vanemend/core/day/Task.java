package vanemend.core.day;

import java.util.List;

/**
 * A block of a job: what one pair of hands does in one go, or what a thing does by itself.
 *
 * @param id name within its job
 * @param seconds how long it takes, over 0
 * @param hands whether a pair of hands does it
 * @param right what they must be allowed
 * @param cuttable whether a break may fall into it; never for what is live
 * @param eyes whether somebody must be in the shop while it runs without hands
 * @param things held from its beginning to its end, each by its kind
 * @param links to earlier tasks of the job
 */
public record Task(
        String id,
        int seconds,
        boolean hands,
        Right right,
        boolean cuttable,
        boolean eyes,
        List<String> things,
        List<Link> links) {
    public Task {
        things = List.copyOf(things);
        links = List.copyOf(links);
        if (seconds <= 0) {
            throw new IllegalArgumentException("task " + id + " takes no time");
        }
    }
}
