package vanemend.core.trade;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.Seeds;

@DisplayName("numbers as shown, checked against the library's decimal numbers")
class ShownTest {
    private static String byLibrary(double v) {
        return BigDecimal.valueOf(v).stripTrailingZeros().toPlainString();
    }

    /** Whole, of one to five decimals, or any at all; tiny to huge, either sign. */
    private static double any(Random r) {
        double v = (r.nextDouble() - 0.5) * Math.pow(10, r.nextInt(18) - 3);
        double places = Math.pow(10, r.nextInt(6));
        return r.nextInt(4) == 0 ? v : Math.rint(v * places) / places;
    }

    @Test
    void anyNumberIsShownAsTheLibraryWouldPutIt() {
        Seeds.forEach(20_000, (r, i) -> {
            double v = any(r);
            assertThat(Check.shown(v)).isEqualTo(byLibrary(v));
            assertThat(Double.parseDouble(Check.shown(v))).isEqualTo(v == 0 ? 0 : v);
        });
    }

    @ParameterizedTest(name = "{0} is shown as {1}")
    @CsvSource({
        "0, 0",
        "-0.0, 0",
        "120, 120",
        "1e20, 100000000000000000000",
        "0.05, 0.05",
        "-3.0009, -3.0009",
        "1e-5, 0.00001"
    })
    void plainDigits(double v, String shown) {
        assertThat(Check.shown(v)).isEqualTo(shown);
    }

    @Test
    void whatIsNoNumberIsShownAsItIs() {
        assertThat(Check.shown(Double.NaN)).isEqualTo("NaN");
        assertThat(Check.shown("P80")).isEqualTo("P80");
        assertThat(Check.shown(12)).isEqualTo("12");
    }
}
