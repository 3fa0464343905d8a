package vanemend.core.trade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.plan.RepairDraft;

class OrderedTest {
    @Test
    @DisplayName("what was typed stays in its order, however it is copied and copied again")
    void keepsItsOrder() {
        Seeds.forEach(50, (r, i) -> {
            List<String> words = new ArrayList<>(List.of(
                    "rh", "airbag", "paint", "tyre-on-rim", "any-high-voltage", "metal-heat", "sensor", "seam"));
            Collections.shuffle(words, r);
            Map<String, String> typed = new LinkedHashMap<>();
            words.forEach(w -> typed.put(w, "NO"));
            RepairDraft draft = new RepairDraft(
                    null, null, null, null, typed, null, null, null, null, null, null, null, null, null);
            assertThat(draft.houseRules().keySet()).containsExactlyElementsOf(words);
            assertThat(Ordered.copyOf(draft.houseRules()).keySet()).containsExactlyElementsOf(words);
            assertThat(Ordered.copyOf(new LinkedHashSet<>(words))).containsExactlyElementsOf(words);
        });
    }

    @Test
    void nothingIsEmptyAndNullInsideIsRefused() {
        assertThat(Ordered.copyOf((Map<String, String>) null)).isEmpty();
        assertThat(Ordered.copyOf((Set<String>) null)).isEmpty();
        Map<String, String> holed = new HashMap<>();
        holed.put("rh", null);
        assertThatThrownBy(() -> Ordered.copyOf(holed)).isInstanceOf(NullPointerException.class);
        assertThatThrownBy(() -> Ordered.copyOf(new LinkedHashSet<>(Arrays.asList("a", null))))
                .isInstanceOf(NullPointerException.class);
    }

    @Test
    void nobodyChangesTheCopy() {
        Map<String, String> typed = new LinkedHashMap<>(Map.of("rh", "NO"));
        Map<String, String> copy = Ordered.copyOf(typed);
        typed.put("seam", "YES");
        assertThat(copy).containsOnlyKeys("rh");
        assertThatThrownBy(() -> copy.put("a", "b")).isInstanceOf(UnsupportedOperationException.class);
    }
}
