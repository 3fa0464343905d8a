package vanemend.core.trade;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import javax.measure.Quantity;
import javax.measure.Unit;
import javax.measure.quantity.Length;
import javax.measure.quantity.Temperature;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tech.units.indriya.quantity.Quantities;
import tech.units.indriya.unit.Units;
import tools.jackson.databind.json.JsonMapper;

@DisplayName("conversions: the front end's table is what a reference library of units gives (1 in = 25.4 mm exactly)")
class ConversionsTest {
    private static final Unit<Length> MM = Units.METRE.divide(1000);
    private static final Unit<Length> INCH = MM.multiply(25.4);
    private static final Unit<Temperature> FAHRENHEIT =
            Units.KELVIN.multiply(5).divide(9).shift(459.67);
    private static final Path TABLE = Path.of("..", "web", "src", "units", "conversions.json");

    @Test
    void tableIsUpToDate() throws IOException {
        StringBuilder out = new StringBuilder("{\n  \"lengths\": [\n");
        double[] lengths = {0.1, 0.9, 1, 2.8, 6, 12.7, 25, 25.4, 38, 38.1, 100, 1234.5};
        for (int i = 0; i < lengths.length; i++) {
            out.append(row(
                    "mm",
                    lengths[i],
                    "inch",
                    to(Quantities.getQuantity(lengths[i], MM), INCH),
                    i == lengths.length - 1));
        }
        out.append("  ],\n  \"temperatures\": [\n");
        double[] temperatures = {-40, -10, 0, 10, 21, 37.5, 50, 60, 82, 100};
        for (int i = 0; i < temperatures.length; i++) {
            double f = to(Quantities.getQuantity(temperatures[i], Units.CELSIUS), FAHRENHEIT);
            out.append(row("celsius", temperatures[i], "fahrenheit", f, i == temperatures.length - 1));
        }
        out.append("  ]\n}\n");
        if (Boolean.getBoolean("vanemend.write")) {
            Files.writeString(TABLE, out);
        }
        JsonMapper json = new JsonMapper();
        assertThat(json.readTree(Files.readString(TABLE)))
                .as("run this test with -Dvanemend.write=true")
                .isEqualTo(json.readTree(out.toString()));
    }

    private static <Q extends Quantity<Q>> double to(Quantity<Q> q, Unit<Q> unit) {
        return q.to(unit).getValue().doubleValue();
    }

    private static String row(String a, double x, String b, double y, boolean last) {
        return String.format(
                Locale.ROOT, "    { \"%s\": %s, \"%s\": %.9f }%s%n", a, Check.shown(x), b, y, last ? "" : ",");
    }
}
