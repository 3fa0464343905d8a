package vanemend.core.trade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.Seeds;

@DisplayName("dew point: values from memory of DIN 4108-3 and ISO 8502-4 tables")
class PublishedDewPointTest {
    @ParameterizedTest(name = "{0} °C {1} % gives {2} °C, printed to one decimal")
    @CsvSource({
        "20,30,1.9", "20,40,6.0", "20,50,9.3", "20,60,12.0", "20,70,14.4", "20,80,16.4", "20,85,17.4", "20,90,18.3",
        "25,30,6.2", "25,50,13.9", "25,60,16.7", "25,70,19.1", "25,80,21.3", "30,50,18.4", "30,70,23.9", "15,50,4.7",
        "15,80,11.6", "10,50,0.1", "10,80,6.7", "20,55,10.7", "20,65,13.2", "20,75,15.4"
    })
    void printedTable(double t, double rh, double dew) {
        assertThat(new Air(t, rh).dewPointC()).isCloseTo(dew, within(0.1));
    }

    @ParameterizedTest(name = "{0} °C {1} % gives {2} °C by the WMO constants")
    @CsvSource({"5,30,-11.2", "10,95,9.2", "35,40,19.4", "35,95,34.1", "30,60,21.4", "5,80,1.8"})
    void sameConstants(double t, double rh, double dew) {
        assertThat(new Air(t, rh).dewPointC()).isCloseTo(dew, within(0.06));
    }

    @Test
    void saturatedAirIsAtItsDewPointAndDampAirIsNearer() {
        Seeds.forEach(300, (r, i) -> {
            double t = Seeds.between(r, -10, 50);
            double rh = Seeds.between(r, 5, 95);
            assertThat(new Air(t, 100).dewPointC()).isCloseTo(t, within(1e-9));
            assertThat(new Air(t, rh + 1).dewPointC()).isGreaterThan(new Air(t, rh).dewPointC());
        });
        assertThatThrownBy(() -> new Air(20, 0)).hasMessageContaining("above 0 to 100 %");
    }

    @Test
    @DisplayName("three-degree rule, ISO 8502-4: 20 °C at 85 %, surface 20.3 °C has 2.9 K and is not enough")
    void threeDegrees() {
        double margin = new Air(20, 85).marginK(20.3);
        assertThat(margin).isCloseTo(2.9, within(0.06)).isLessThan(TradeBook.value("air.dew-margin"));
    }
}
