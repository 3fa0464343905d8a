package vanemend.core.trade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.cure.Flash;
import vanemend.core.mix.Strokes;
import vanemend.core.sanding.GritJump;

@DisplayName("rules of thumb that can be tried")
class ThumbTest {
    @ParameterizedTest(name = "values from memory of ISO 6344: P{0} to P{1} is {2} times finer; quick {3}, fine {4}")
    @CsvSource({
        "80,150,2.01,true,false",
        "80,180,2.45,true,false",
        "80,220,2.96,false,false",
        "180,240,1.40,true,true",
        "180,320,1.77,true,false",
        "240,320,1.27,true,true",
        "1500,2500,1.50,true,true"
    })
    void gritJumps(int from, int to, double ratio, boolean quick, boolean fine) {
        GritJump j = GritJump.of("P", from, "P", to);
        assertThat(j.ratio()).isCloseTo(ratio, within(0.006));
        assertThat(j.quick()).isEqualTo(quick);
        assertThat(j.fine()).isEqualTo(fine);
    }

    @Test
    void theSameNumberOnAnotherGradingIsFiner() {
        assertThat(GritJump.of("P", 400, "CAMI", 400).ratio()).isGreaterThan(1.4);
        assertThatThrownBy(() -> GritJump.of("P", 700, "P", 800)).hasMessageContaining("700");
    }

    @ParameterizedTest(
            name = "common practice: a zone of {0} mm with a spreader of {1} mm, one third over: {2} strokes")
    @CsvSource({"100,120,1", "120,120,1", "121,120,2", "200,120,2", "201,120,3", "300,120,4", "1000,120,12"})
    void strokes(double zone, double spreader, int count) {
        assertThat(Strokes.count(zone, spreader, 1.0 / 3)).isEqualTo(count);
    }

    @Test
    void moreOverlapNeverMeansFewerStrokes() {
        for (int o = 0; o < 80; o += 5) {
            assertThat(Strokes.count(500, 90, (o + 5) / 100.0))
                    .isGreaterThanOrEqualTo(Strokes.count(500, 90, o / 100.0));
        }
        assertThatThrownBy(() -> Strokes.count(500, 90, 1)).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest(name = "recalled: at {0} °C and {1} % flash takes {2} times the label")
    @CsvSource({"21,50,1", "21,30,1", "11,50,2", "31,50,0.5", "21,100,1.5", "11,75,2.5"})
    void flash(double t, double rh, double factor) {
        assertThat(Flash.factor(new Air(t, rh))).isCloseTo(factor, within(1e-9));
    }
}
