package vanemend.core.trade;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.SortedMap;
import java.util.TreeMap;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

@DisplayName("the version of the rule book changes with anything that can change a plan")
class RuleBookTest {
    private static final SortedMap<String, byte[]> SHIPPED = RuleBook.contents();

    /** The version with one byte of {@code name} changed. */
    private static String changed(String name) {
        SortedMap<String, byte[]> other = new TreeMap<>(SHIPPED);
        byte[] bytes = other.get(name).clone();
        bytes[bytes.length / 2]++;
        other.put(name, bytes);
        return RuleBook.version(other);
    }

    @Test
    void everyPartOfItCounts() {
        assertThat(RuleBook.version(SHIPPED)).isEqualTo(RuleBook.version()).matches("[0-9a-f]{12}");
        assertThat(SHIPPED.keySet())
                .allSatisfy(name -> assertThat(changed(name)).as(name).isNotEqualTo(RuleBook.version()));
    }

    @Test
    void everyDataFileAndTheFolderOfEveryFamilyArePartOfIt() {
        assertThat(SHIPPED)
                .containsKeys(
                        "vanemend/trade/values.yaml",
                        "vanemend/trade/schools.yaml",
                        "vanemend/trade/cautions.yaml",
                        "vanemend/verdict/limits.yaml",
                        "vanemend/stack/forbidden.yaml",
                        "vanemend/method/interlocks.yaml",
                        "vanemend/core/method/MethodPage.class",
                        "vanemend/core/mix/Dose.class",
                        "vanemend/core/plan/Planner.class");
        for (MethodId method : MethodId.values()) {
            assertThat(SHIPPED).containsKey("vanemend/method/" + method.family() + "/recipes.yaml");
            assertThat(SHIPPED.keySet())
                    .as("page and layout of " + method)
                    .anyMatch(n -> n.startsWith("vanemend/core/method/" + method.family() + "/")
                            && n.endsWith("Layout.class"));
        }
    }

    @Test
    void whatOnlyReadsAPlanIsNoPartOfIt() {
        assertThat(SHIPPED.keySet()).noneMatch(n -> n.startsWith("vanemend/core/record/"));
    }

    @Test
    void aFileTakenAwayOrRenamedIsSeen() {
        SortedMap<String, byte[]> less = new TreeMap<>(SHIPPED);
        byte[] bytes = less.remove("vanemend/verdict/limits.yaml");
        assertThat(RuleBook.version(less)).isNotEqualTo(RuleBook.version());
        less.put("vanemend/verdict/limit.yaml", bytes);
        assertThat(RuleBook.version(less)).isNotEqualTo(RuleBook.version());
    }
}
