package vanemend.core.method;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Steps that can be walked: each follows the one before it, or shares its wait with it, and none hangs loose. */
public final class Following {
    private Following() {}

    /** Fails where {@code steps} cannot be walked from the first to the last. */
    public static void holds(List<Step> steps) {
        Set<String> followed = new HashSet<>();
        for (int i = 0; i < steps.size(); i++) {
            List<String> after = steps.get(i).after();
            assertThat(after.isEmpty()).isEqualTo(i == 0);
            if (i > 0) {
                assertThat(after.getFirst())
                        .isEqualTo(steps.get(Asides.since(steps, i)).id());
                assertThat(steps.subList(0, i).stream().map(Step::id)).containsAll(after);
            }
            followed.addAll(after);
        }
        assertThat(followed)
                .containsExactlyInAnyOrderElementsOf(steps.subList(0, Math.max(0, steps.size() - 1)).stream()
                        .map(Step::id)
                        .toList());
    }
}
