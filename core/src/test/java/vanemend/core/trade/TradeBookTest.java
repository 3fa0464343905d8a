package vanemend.core.trade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class TradeBookTest {
    @Test
    void everyValueCarriesMeaningAndProvenance() {
        assertThat(TradeBook.shipped().all()).hasSizeGreaterThan(50).allSatisfy(v -> {
            assertThat(v.meaning()).isNotBlank();
            assertThat(v.shown()).isNotBlank();
            if (v.provenance().kind() == Provenance.Kind.PUBLISHED) {
                assertThat(v.shown()).endsWith("recalled, verify").isNotEqualTo("; recalled, verify");
            }
        });
    }

    @Test
    void aPublishedValueWithoutItsSourceIsRefused() {
        assertThatThrownBy(() -> Provenance.of("published", " ")).hasMessageContaining("names its source");
    }

    @Test
    void anUnknownNameIsSaid() {
        assertThatThrownBy(() -> TradeBook.value("dent.prowd")).hasMessageContaining("dent.prowd");
    }

    @Test
    void theRuleBooksVersionIsTwelveHexDigits() {
        assertThat(RuleBook.version()).matches("[0-9a-f]{12}");
    }

    @Test
    void aHouseRuleOutsideItsSchoolsIsRefusedByName() {
        assertThatThrownBy(() -> HouseRules.defaults().with("ladder", "coarse"))
                .hasMessageContaining("ladder")
                .hasMessageContaining("coarse")
                .hasMessageContaining("quick");
        assertThat(HouseRules.defaults().with("ladder", "quick").of("ladder")).isEqualTo("quick");
        assertThat(HouseRules.defaults().of("ladder")).isEqualTo("fine");
    }

    @Test
    void everySchoolTellsBothSides() {
        assertThat(HouseRules.schools())
                .extracting(HouseRules.School::id)
                .contains("filler-base", "ladder", "first-grade", "peroxide-dose");
        assertThat(HouseRules.schools()).allSatisfy(s -> {
            assertThat(s.options()).hasSizeGreaterThanOrEqualTo(2);
            assertThat(s.options()).allSatisfy(o -> assertThat(o.told()).isNotBlank());
            assertThat(s.why()).isNotBlank();
        });
    }
}
