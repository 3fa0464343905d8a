package vanemend.core.method;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.RuleBook;

/**
 * What a shop changed of the methods' pages.
 *
 * @param rules in force, in the order in which they were signed: each is laid on what those before it made
 */
public record HousePages(List<PageRule> rules) {
    /** What the id of every step of a house's own begins with, so that none is ever taken for a step of the book. */
    public static final String OWN = "house-";

    /** What a step of the house's own may say that it does: handwork that rests on no mix, portion or clock of the plan. */
    public static final Set<Act> HANDWORK = EnumSet.of(
            Act.CLEAN,
            Act.WIPE_AGAIN,
            Act.SAND_FACE,
            Act.SAND_BACK,
            Act.PAPER,
            Act.HEAT,
            Act.COOL,
            Act.SURFACE_DRY,
            Act.MASK_FIBRES,
            Act.SHADE,
            Act.PRIMER);

    /** What can be read at any step. The others belong to the weighing of a mix. */
    public static final Set<Quantity> READABLE =
            EnumSet.complementOf(EnumSet.of(Quantity.FILLER_G, Quantity.CREAM_G, Quantity.USED_ML, Quantity.USED_G));

    private static final HousePages NONE = new HousePages(List.of());

    public HousePages {
        rules = List.copyOf(rules);
    }

    /** The book's own pages. */
    public static HousePages none() {
        return NONE;
    }

    /** A copy with {@code more} signed after these. */
    public HousePages with(List<PageRule> more) {
        return new HousePages(Stream.concat(rules.stream(), more.stream()).toList());
    }

    /** The rules for the page of {@code method}, in the order of signing. */
    public List<PageRule> of(MethodId method) {
        return rules.isEmpty()
                ? List.of()
                : rules.stream().filter(r -> r.method() == method).toList();
    }

    /** The rule book's version with these pages in it; that of the book alone where there are none. */
    public String version() {
        StringBuilder all = new StringBuilder();
        rules.forEach(r -> all.append(r.method()).append(' ').append(r.change()).append('\n'));
        return all.isEmpty() ? RuleBook.version() : RuleBook.versionWith(all.toString());
    }
}
