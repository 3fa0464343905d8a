package vanemend.core.stack;

import vanemend.core.material.ShelfItem;

/**
 * An item that would do.
 *
 * @param waitMin wait to sand today, min; 0 where it has none
 * @param why what speaks for it
 */
public record Candidate(ShelfItem item, double waitMin, String why) {}
