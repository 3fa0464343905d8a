package vanemend.core.trade;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vanemend.core.Seeds;

@DisplayName("cells that a spreadsheet would run are written as text, and read back the same")
class CsvCellTest {
    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+sum", "-cmd", "@here", "\t=x", "'=x", "''-y"})
    void neverAFormula(String text) {
        assertThat(CsvCell.out(text)).startsWith("'");
        assertThat(CsvCell.in(CsvCell.out(text))).isEqualTo(text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "Filler", "'quoted'", "-4.5", "+3", "-1e-3", "a=b", "'"})
    void plainStays(String text) {
        assertThat(CsvCell.out(text)).isEqualTo(text);
        assertThat(CsvCell.in(text)).isEqualTo(text);
    }

    @Test
    void whateverIsWrittenIsReadBack() {
        String of = "'=+-@\t ab1.";
        Seeds.forEach(2000, (r, i) -> {
            StringBuilder s = new StringBuilder();
            for (int k = r.nextInt(6); k > 0; k--) {
                s.append(of.charAt(r.nextInt(of.length())));
            }
            assertThat(CsvCell.in(CsvCell.out(s.toString()))).isEqualTo(s.toString());
        });
    }
}
