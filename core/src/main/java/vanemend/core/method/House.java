package vanemend.core.method;

import vanemend.core.trade.HouseRules;

/**
 * How this shop does it.
 *
 * @param schools which school it follows where good technicians disagree
 * @param pages what its leads changed of the methods' pages
 */
public record House(HouseRules schools, HousePages pages) {
    /** {@code schools} on the book's own pages. */
    public static House of(HouseRules schools) {
        return new House(schools, HousePages.none());
    }
}
