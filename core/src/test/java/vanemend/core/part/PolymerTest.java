package vanemend.core.part;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

@DisplayName("polymers, from memory of Saechtling, Wu and ISO 1043-1")
class PolymerTest {
    @ParameterizedTest(name = "{0}: density within {1} to {2} g/cm³, surface energy within {3} to {4} mN/m (recalled)")
    @CsvSource({
        "PP,0.90,0.91,29,31",
        "PE-HD,0.94,0.965,31,36",
        "ABS,1.03,1.07,35,42",
        "PC,1.19,1.22,34,46",
        "PA6,1.12,1.15,38,47",
        "PA66,1.13,1.15,42,47",
        "PVC-U,1.30,1.45,39,42",
        "PVC-P,1.16,1.35,33,38",
        "PMMA,1.18,1.19,38,42",
        "POM,1.39,1.43,36,45",
        "PBT,1.29,1.32,32,48",
        "PUR,1.0,1.15,36,45",
    })
    void figures(String symbol, double lowDensity, double highDensity, double lowEnergy, double highEnergy) {
        Polymer p = Polymer.of(symbol).orElseThrow();
        assertThat(p.density().get(0)).isGreaterThanOrEqualTo(lowDensity);
        assertThat(p.density().get(1)).isLessThanOrEqualTo(highDensity);
        assertThat(p.energy().get(0)).isGreaterThanOrEqualTo(lowEnergy);
        assertThat(p.energy().get(1)).isLessThanOrEqualTo(highEnergy);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "ABS", "ASA", "CA", "CAB", "EP", "EVAC", "LCP", "MF", "PA6", "PA66", "PBT", "PC", "PE", "PE-HD",
                "PE-LD", "PE-LLD", "PE-UHMW", "PEEK", "PEI", "PET", "PF", "PI", "PMMA", "POM", "PP", "PPE", "PPS",
                "PPSU", "PTFE", "PS", "PS-HI", "PSU", "PUR", "PVAL", "PVC", "PVC-P", "PVC-U", "PVDF", "SAN", "SB", "UF",
                "UP", "VE", "TPA", "TPC", "TPO", "TPS", "TPU", "TPV", "TPZ", "EPDM", "NR", "SBR", "NBR", "CR", "IIR"
            })
    void everyUsualSymbolIsKnown(String symbol) {
        assertThat(Polymer.of(symbol)).isPresent();
    }

    @Test
    @DisplayName("only unfilled polyolefins float (handbooks, recalled)")
    void floating() {
        assertThat(Polymer.all().stream()
                        .filter(p -> p.densityGPerCm3().isPresent()
                                && p.densityGPerCm3().getAsDouble() < 1)
                        .filter(p -> p.family().isPresent())
                        .map(p -> p.family().get()))
                .containsOnly(Family.POLYOLEFIN, Family.RUBBER);
    }
}
