package vanemend.core.day;

import java.util.List;

/**
 * A kind of thing that work needs, such as a lamp.
 *
 * @param id kind
 * @param count how many there are
 * @param out when one of them is out of order, each stretch for another of them; no more than there are
 */
public record Thing(String id, int count, List<Span> out) {
    /** All of them in order. */
    public Thing(String id, int count) {
        this(id, count, List.of());
    }

    public Thing {
        out = List.copyOf(out);
        if (out.size() > count) {
            throw new IllegalArgumentException(out.size() + " of " + count + " " + id + " cannot be out of order");
        }
    }
}
