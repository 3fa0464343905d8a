package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;

@DisplayName("numbers as they are written")
class DecimalsTest {
    record Figures(double plain, Optional<Double> maybe, List<Double> many) {}

    private final JsonMapper json =
            JsonMapper.builder().addModule(new Decimals()).build();

    @ParameterizedTest
    @CsvSource({
        "0, 0",
        "-0.0, -0.0",
        "1, 1",
        "-12.5, -12.5",
        "0.1, 0.1",
        "120.7779, 120.7779",
        "-0.0051, -0.0051",
        "100, 100",
        "9.05, 9.05",
        "-10.0001, -10.0001",
        "12345678.9, 12345678.9",
        "-99999999.9999, -99999999.9999",
        "100000000, 1.0E8",
        "0.00005, 5.0E-5",
        "0.12345, 0.12345",
        "1e15, 1.0E15",
        "13.866026256315, 13.866026256315"
    })
    void shortOnesAreWrittenShort(double v, String text) {
        assertThat(json.writeValueAsString(v)).isEqualTo(text);
    }

    @Test
    void aListIsWrittenAsItsNumbersAre() {
        assertThat(json.writeValueAsString(new Figures(1, Optional.empty(), List.of())))
                .contains("\"many\":[]");
        assertThat(json.writeValueAsString(
                        new Figures(1, Optional.empty(), List.of(-0.0051, 0.12345, 1e-300, -1.7976931348623157E308))))
                .contains("\"many\":[-0.0051,0.12345,1.0E-300,-1.7976931348623157E308]");
        List<Double> odd = Arrays.asList(1.5, null, Double.NaN);
        assertThat(json.writeValueAsString(new Figures(1, Optional.empty(), odd)))
                .contains("\"many\":[1.5,null,\"NaN\"]");
    }

    @Test
    void aLongListIsWrittenWhole() {
        Random r = new Random(20261125);
        List<Double> many = r.doubles(5_000, -1e5, 1e5)
                .map(v -> r.nextInt(9) == 0 ? v : Math.rint(v * 10) / 10)
                .boxed()
                .toList();
        Figures f = new Figures(0, Optional.empty(), many);
        assertThat(json.readValue(json.writeValueAsString(f), Figures.class)).isEqualTo(f);
        assertThat(json.readValue(json.writeValueAsBytes(f), Figures.class)).isEqualTo(f);
    }

    @Test
    void whatIsReadBackIsTheSameNumber() {
        Random r = new Random(20261125);
        for (int i = 0; i < 20_000; i++) {
            double places = Math.pow(10, r.nextInt(7));
            double v = Math.round((r.nextDouble() - 0.5) * Math.pow(10, r.nextInt(9)) * places) / places;
            Figures f = new Figures(v, Optional.of(-v), List.of(v / 3, v));
            assertThat(json.readValue(json.writeValueAsString(f), Figures.class))
                    .isEqualTo(f);
        }
    }
}
