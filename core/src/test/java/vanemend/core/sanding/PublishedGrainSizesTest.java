package vanemend.core.sanding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@DisplayName("grain sizes: values from memory of ISO 6344-2, ISO 6344-3 and ANSI B74.18")
class PublishedGrainSizesTest {
    @ParameterizedTest(name = "ISO 6344: P{0} is {1} µm")
    @CsvSource({
        "12,1815",
        "16,1324",
        "20,1000",
        "24,764",
        "30,642",
        "36,538",
        "40,425",
        "50,336",
        "60,269",
        "80,201",
        "100,162",
        "120,125",
        "150,100",
        "180,82",
        "220,68",
        "240,58.5",
        "280,52.2",
        "320,46.2",
        "360,40.5",
        "400,35.0",
        "500,30.2",
        "600,25.8",
        "800,21.8",
        "1000,18.3",
        "1200,15.3",
        "1500,12.6",
        "2000,10.3",
        "2500,8.4"
    })
    void pGrades(int grade, double um) {
        assertThat(Grains.micrometres("P", grade)).isEqualTo(um);
    }

    @ParameterizedTest(name = "ANSI B74.18: CAMI {0} is about {1} µm, within 6 %")
    @CsvSource({"80,190", "120,115", "180,82", "220,66", "240,53.5", "320,36.0", "400,23.6", "600,16.0"})
    void camiGrades(int grade, double um) {
        assertThat(Grains.micrometres("CAMI", grade)).isCloseTo(um, within(um * 0.06));
    }

    @ParameterizedTest(name = "grain ratio P{0} to P{1} is {2}")
    @CsvSource({"80,180,2.45", "180,320,1.77", "80,120,1.61", "120,180,1.52", "180,240,1.40", "240,320,1.27"})
    void ratios(int from, int to, double ratio) {
        assertThat(Grains.micrometres("P", from) / Grains.micrometres("P", to)).isCloseTo(ratio, within(0.006));
    }

    @Test
    void neighboursFallByARatioOfTheScale() {
        List<Double> all = new ArrayList<>(Grains.gradings().stream()
                .filter(g -> g.id().equals("P"))
                .findFirst()
                .orElseThrow()
                .grades()
                .values());
        for (int i = 1; i < all.size(); i++) {
            assertThat(all.get(i - 1) / all.get(i)).isBetween(1.1, 1.38);
        }
    }

    @Test
    void theSameNumberOnAnotherScaleIsAnotherGrainAndUnknownOnesAreNeverInterpolated() {
        assertThat(Grains.micrometres("P", 400)).isEqualTo(35.0);
        assertThat(Grains.micrometres("CAMI", 400)).isLessThan(25);
        assertThatThrownBy(() -> Grains.micrometres("P", 700)).hasMessageContaining("no 700");
        assertThatThrownBy(() -> Grains.micrometres("P", 250)).hasMessageContaining("no 250");
        assertThatThrownBy(() -> Grains.micrometres("F", 400)).hasMessageContaining("F is not known");
    }
}
