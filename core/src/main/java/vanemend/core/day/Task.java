package vanemend.core.day;

import java.util.List;
import java.util.Optional;

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
 * @param only id of whose hands alone do it; empty where anybody may who has the right
 */
public record Task(
        String id,
        int seconds,
        boolean hands,
        Right right,
        boolean cuttable,
        boolean eyes,
        List<String> things,
        List<Link> links,
        Optional<String> only) {
    /** For any hands that have the right. */
    public Task(
            String id,
            int seconds,
            boolean hands,
            Right right,
            boolean cuttable,
            boolean eyes,
            List<String> things,
            List<Link> links) {
        this(id, seconds, hands, right, cuttable, eyes, things, links, Optional.empty());
    }

    public Task {
        things = List.copyOf(things);
        links = List.copyOf(links);
        if (seconds <= 0) {
            throw new IllegalArgumentException("task " + id + " takes no time");
        }
    }

    /** The same, in the hands of {@code one}: who is at it is at it, whatever they would be given. */
    Task by(Optional<String> one) {
        return new Task(id, seconds, hands, one.isPresent() ? Right.ANY : right, cuttable, eyes, things, links, one);
    }

    /** The same for {@code one}, who keeps to what they may do: whose it is already, and what needs no hands, stays as it is. */
    Task wanted(Person one) {
        return hands && only.isEmpty() && one.may().contains(right)
                ? new Task(id, seconds, true, right, cuttable, eyes, things, links, Optional.of(one.id()))
                : this;
    }
}
