package vanemend.core.day;

import java.util.List;
import java.util.Set;

/**
 * A pair of hands.
 *
 * @param id name
 * @param hours when they work, in order, breaks left out
 * @param may what they may do alone
 */
public record Person(String id, List<Span> hours, Set<Right> may) {
    public Person {
        hours = List.copyOf(hours);
        may = Set.copyOf(may);
    }
}
