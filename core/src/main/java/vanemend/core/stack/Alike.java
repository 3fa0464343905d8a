package vanemend.core.stack;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import vanemend.core.damage.Damage;
import vanemend.core.stack.Recipe.When;

/** What of the damage on a part one way mends together, by what the ways themselves say they are for. */
public final class Alike {
    /** Conditions that tell one damage of a plastic or composite from the next: what is whole behind is not opened for what goes through. */
    private static final List<When> OF_ONE = List.of(When.THROUGH, When.NOT_THROUGH, When.GELCOAT, When.NOT_GELCOAT);

    private Alike() {}

    /**
     * Whether a way is for all of {@code damages} and for each of them as it is.
     *
     * @param need what is asked of the shelf where damage is all there is
     */
    public static boolean together(List<Damage> damages, Function<List<Damage>, Need> need) {
        List<Need> each = damages.stream().map(d -> need.apply(List.of(d))).toList();
        return Recipe.all().stream()
                .filter(r -> r.materials().contains(each.getFirst().material()))
                .filter(r -> damages.stream().allMatch(d -> r.damages().contains(d.kind())))
                .anyMatch(r -> each.stream().allMatch(n -> holds(r, n)));
    }

    private static boolean holds(Recipe r, Need one) {
        Stream<When> asked = OF_ONE.stream().filter(r.when()::contains);
        return asked.allMatch(one::holds);
    }
}
