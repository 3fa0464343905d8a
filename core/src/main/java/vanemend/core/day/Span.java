package vanemend.core.day;

import java.util.stream.Stream;

/**
 * A stretch of time, s from the moment that the day is planned from.
 *
 * @param from its beginning
 * @param to its end, after it
 */
public record Span(int from, int to) {
    public Span {
        if (to <= from) {
            throw new IllegalArgumentException("a stretch ends after it begins, not " + from + " to " + to);
        }
    }

    /** Whether it shares any time with {@code o}; to touch is not to share. */
    boolean meets(Span o) {
        return from < o.to && o.from < to;
    }

    /** Whether all of {@code o} lies in it. */
    boolean holds(Span o) {
        return from <= o.from && o.to <= to;
    }

    /** What is left of it without {@code o}. */
    Stream<Span> without(Span o) {
        if (!meets(o)) {
            return Stream.of(this);
        }
        return Stream.concat(
                from < o.from ? Stream.of(new Span(from, o.from)) : Stream.empty(),
                o.to < to ? Stream.of(new Span(o.to, to)) : Stream.empty());
    }
}
