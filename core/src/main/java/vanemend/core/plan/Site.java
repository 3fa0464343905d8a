package vanemend.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import vanemend.core.damage.Damage;
import vanemend.core.method.Step;
import vanemend.core.stack.Alike;
import vanemend.core.stack.Need;
import vanemend.core.stack.StackChoice;
import vanemend.core.trade.MethodId;

/**
 * One of several sites of a part: damage that one way mends together, where no way mends all there is.
 *
 * @param id what its steps are marked with
 * @param said its damage as said, such as {@code Crack 1, Hole 3}
 * @param damages its damage, by places in the draft, from 0
 * @param method it is mended by; empty where no way fits
 * @param stack with what
 * @param drawing its own zones and cut, its damage numbered as on the whole part
 * @param blockers why it has no plan, in words
 */
public record Site(
        String id,
        String said,
        List<Integer> damages,
        Optional<MethodId> method,
        StackChoice stack,
        Drawing drawing,
        List<String> blockers) {
    /** The sites that {@code step} is done at, as said; empty where that is all of them. */
    public static String said(List<Site> sites, Step step) {
        return sites.stream()
                .filter(s -> step.sites().contains(s.id()))
                .map(Site::said)
                .collect(Collectors.joining(", "));
    }

    /** Most of them that one plan holds: more is another part. */
    static final int MOST = 4;

    /**
     * The places of {@code damages} that are mended together, lot by lot in the order they were typed; one lot where one way mends all of it.
     *
     * @param need what is asked of the shelf where some of it is all there is
     */
    static List<List<Integer>> of(List<Damage> damages, Function<List<Damage>, Need> need) {
        List<List<Integer>> lots = new ArrayList<>();
        for (int i = 0; i < damages.size(); i++) {
            Damage more = damages.get(i);
            lots.stream()
                    .filter(lot -> Alike.together(
                            Stream.concat(lot.stream().map(damages::get), Stream.of(more))
                                    .toList(),
                            need))
                    .findFirst()
                    .orElseGet(() -> {
                        List<Integer> lot = new ArrayList<>();
                        lots.add(lot);
                        return lot;
                    })
                    .add(i);
        }
        return lots;
    }

    /** What the site at {@code k}, from 0, calls what would else have the name of the first one's. */
    static UnaryOperator<String> named(int k) {
        return id -> k == 0 ? id : prefix(k) + id;
    }

    /** What the site at {@code k} itself calls {@code id}; empty where that is another site's. */
    static Optional<String> own(int k, String id) {
        boolean others = IntStream.range(1, MOST).anyMatch(n -> n != k && id.startsWith(prefix(n)));
        if (k == 0 || others) {
            return Optional.of(id).filter(x -> !others);
        }
        return Optional.of(id)
                .filter(x -> x.startsWith(prefix(k)))
                .map(x -> x.substring(prefix(k).length()));
    }

    /** What {@code id} is called at its own site. */
    static String bare(String id) {
        return IntStream.range(0, MOST)
                .mapToObj(k -> own(k, id))
                .flatMap(Optional::stream)
                .findFirst()
                .orElse(id);
    }

    /** What the names of the site at {@code k} begin with, from 1 on. */
    private static String prefix(int k) {
        return (k + 1) + "-";
    }
}
