package vanemend.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.material.ShelfItem;
import vanemend.core.trade.Text;

class TwoPartTest {
    @ParameterizedTest(name = "{0}: {3} to 100 at EEW 190")
    @DisplayName(
            "parts of amine to 100 of resin, 100·AHEW/EEW with AHEW = M/active H (Lee and Neville, Handbook of Epoxy Resins, 1967)")
    @CsvSource({
        "EDA, 60.10, 4, 7.91",
        "DETA, 103.17, 5, 10.86",
        "TETA, 146.23, 6, 12.83",
        "TEPA, 189.30, 7, 14.23",
        "AEP, 129.21, 3, 22.7",
        "IPDA, 170.30, 4, 22.41",
        "m-PDA, 108.14, 4, 14.23",
        "MXDA, 136.19, 4, 17.92",
        "DDM, 198.27, 4, 26.09",
        "DDS, 248.30, 4, 32.67"
    })
    void amines(String name, double molarMass, int hydrogens, double parts) {
        assertThat(TwoPart.partsPerHundred(TwoPart.ahew(molarMass, hydrogens), 190))
                .isCloseTo(parts, within(0.05));
    }

    @Test
    @DisplayName(
            "blends: 80 g at 190 with 20 g of filler is 237.5; 80 % at 190 with 20 % at 150 is 180.4, not the mean 182 (arithmetic of 1/Σw/EEW)")
    void blends() {
        double filled = TwoPart.blend(List.of(0.8, 0.2), List.of(190.0, Double.POSITIVE_INFINITY));
        assertThat(filled).isCloseTo(237.5, within(0.01));
        assertThat(TwoPart.partsPerHundred(20.63, filled)).isCloseTo(8.69, within(0.01));
        double two = TwoPart.blend(List.of(0.8, 0.2), List.of(190.0, 150.0));
        assertThat(two).isCloseTo(180.4, within(0.05));
        assertThat(TwoPart.partsPerHundred(24.37, two)).isCloseTo(13.5, within(0.05));
    }

    @ParameterizedTest(name = "{0} : 1 at {1} and {2} g/mL")
    @DisplayName("a ratio by volume as one by weight, mB/mA = VB·ρB/(VA·ρA) (arithmetic)")
    @CsvSource({"2, 1.15, 0.97, 42.17", "1, 1.17, 0.97, 82.91", "4, 1.15, 1.00, 21.74", "10, 0.97, 1.15, 11.86"})
    void volumeToWeight(double ratio, double a, double b, double parts) {
        double is = TwoPart.partsByWeight(ratio, a, b);
        assertThat(is).isCloseTo(parts, within(0.01));
        assertThat(100 / TwoPart.partsByVolume(is, a, b)).isCloseTo(ratio, within(1e-9));
    }

    private static ShelfItem resin(Double byVolume, Double byWeight) {
        return TestShop.printing(TestShop.mix("resin", "laminating-resin", 20), byVolume, byWeight);
    }

    @Test
    @DisplayName(
            "sides of a mix: in the label's own measure, in its ratio whatever the amount, together no less than asked")
    void sides() {
        assertThat(TwoPart.sides(resin(null, null), 20, "A", "B"))
                .as("no ratio, no figure")
                .isEmpty();
        assertThat(TwoPart.sides(resin(2.0, 4.0), 20, "A", "B"))
                .as("by weight where the label prints both")
                .allSatisfy(f -> assertThat(f.unit()).isEqualTo("g"));
        Seeds.forEach(200, (r, n) -> {
            double ratio = 0.1 + r.nextDouble() * 20;
            double ml = 1 + r.nextDouble() * 300;
            List<Portion.Figure> f = TwoPart.sides(resin(ratio, null), ml, "A", "B");
            assertThat(f.getFirst().value() / f.getLast().value()).isCloseTo(ratio, within(1e-9));
            assertThat(f.getFirst().value() + f.getLast().value()).isBetween(ml - 1e-6, ml + 0.1 * (1 + 1 / ratio));
        });
        assertThat(Text.plain(TwoPart.said(2))).isEqualTo("2 : 1");
        assertThat(Text.plain(TwoPart.said(0.5))).isEqualTo("1 : 2");
    }
}
