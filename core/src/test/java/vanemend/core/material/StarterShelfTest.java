package vanemend.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.trade.Check;

@DisplayName("the starter shelf: every line can stand on a shelf, none brings a figure that only a label can give")
class StarterShelfTest {
    @Test
    void everyLineIsAnItemWithoutALabelsFigures() {
        assertThat(StarterShelf.all()).hasSizeGreaterThan(40).allSatisfy(s -> {
            Check check = new Check();
            boolean roll = s.unit().equals(ShelfItem.OFF_A_ROLL);
            ShelfItem item = s.draft(100.0, roll ? 500.0 : null).check(check).orElseThrow();
            assertThat(check.clean()).isTrue();
            assertThat(item.id()).isEqualTo(s.id());
            assertThat(item.workMin()).isEmpty();
            assertThat(item.sand()).isEmpty();
            assertThat(item.flashMin()).isEmpty();
            assertThat(item.dosePercent()).isEmpty();
            assertThat(item.ratioByVolume()).isEmpty();
            assertThat(item.expires()).isEmpty();
        });
        assertThat(StarterShelf.all()).extracting(StarterShelf::id).doesNotHaveDuplicates();
    }

    @Test
    void howMuchIsThereAndHowWideTheRollIsAreAsked() {
        Check check = new Check();
        assertThat(StarterShelf.of("glass-cloth")
                        .orElseThrow()
                        .draft(null, null)
                        .check(check))
                .isEmpty();
        assertThat(check.problems()).extracting(p -> p.field()).containsExactlyInAnyOrder("quantity", "rollMm");
    }
}
