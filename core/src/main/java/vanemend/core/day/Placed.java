package vanemend.core.day;

import java.util.Optional;

/**
 * A task with its time.
 *
 * @param person whose hands; empty where it needs none
 * @param at from its beginning to its end, a break that falls into it included
 */
public record Placed(String job, String task, Optional<String> person, Span at) {}
