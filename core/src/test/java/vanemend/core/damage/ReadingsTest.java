package vanemend.core.damage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.plan.Plan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.InputProblem;

@DisplayName("depths read along a straightedge: volume, section and deepest place follow them (textbook geometry)")
class ReadingsTest {
    private static final double A = 60;
    private static final double B = 25;

    private static Readings.Line line(double offset, double... at) {
        List<Double> out = new ArrayList<>();
        for (double v : at) {
            out.add(v);
        }
        return new Readings.Line(offset, out);
    }

    private static Readings one(double... at) {
        return new Readings(2 * A, 2 * B, List.of(line(0, at)));
    }

    @Test
    @DisplayName("one reading in the middle is a roof under a bowl: V = 8/3·a·b·h·(π/4 − 1/3) (integrated by hand)")
    void oneReading() {
        assertThat(one(0, 2.3).volumeMm3())
                .isCloseTo(8.0 / 3 * A * B * 2.3 * (Math.PI / 4 - 1.0 / 3), withinPercentage(0.05));
    }

    @Test
    @DisplayName("many readings of a bowl give the bowl's π·a·b·h/2")
    void manyReadingsOfABowl() {
        double[] at = new double[46];
        for (int i = 0; i < 23; i++) {
            double u = -A + 2 * A * (i + 1) / 24;
            at[2 * i] = u;
            at[2 * i + 1] = 3 * (1 - u * u / A / A);
        }
        assertThat(one(at).volumeMm3()).isCloseTo(Math.PI * A * B * 3 / 2, withinPercentage(0.4));
    }

    @Test
    @DisplayName(
            "three lines as deep all along their chords: a trough joined by trapezoids (summed by hand in strips of a tenth)")
    void aGrid() {
        List<Readings.Line> lines = new ArrayList<>();
        for (double v : new double[] {-12, 0, 12}) {
            double half = A * Math.sqrt(1 - v * v / B / B);
            lines.add(line(v, -half + 0.001, 2, half - 0.001, 2));
        }
        Readings r = new Readings(2 * A, 2 * B, lines);
        double sum = 0;
        for (double u = -A + 0.05; u < A; u += 0.1) {
            double rim = B * Math.sqrt(1 - u * u / A / A);
            // Full between the outer lines, a ramp from each of them to the rim; where the rim cuts in, what is left of
            // it.
            sum += 0.1 * (rim > 12 ? 2 * 24 + 2 * (rim - 12) * 2 / 2 : 2 * rim);
        }
        assertThat(r.volumeMm3()).isCloseTo(sum, withinPercentage(1));
        assertThat(r.depthAt(10, 6)).isCloseTo(2, within(1e-6));
        assertThat(r.depthAt(0, (12 + B) / 2)).isCloseTo(1, within(1e-3));
    }

    @Test
    void nowhereDeeperThanWhatWasReadAndNothingAtTheRim() {
        Seeds.forEach(300, (r, i) -> {
            int n = 1 + r.nextInt(4);
            List<Readings.Line> lines = new ArrayList<>();
            for (int k = 0; k < n; k++) {
                double[] at = new double[6];
                for (int m = 0; m < 3; m++) {
                    at[2 * m] = -A + 2 * A * (m + Seeds.between(r, 0.1, 0.9)) / 3;
                    at[2 * m + 1] = Seeds.between(r, 0, 4);
                }
                lines.add(line(-B * 0.8 + 1.6 * B * k / 4, at));
            }
            Readings read = new Readings(2 * A, 2 * B, lines);
            for (int k = 0; k < 60; k++) {
                double u = Seeds.between(r, -A, A);
                double v = Seeds.between(r, -B, B);
                assertThat(read.depthAt(u, v)).isBetween(0.0, read.deepestMm() + 1e-9);
            }
            double t = Seeds.between(r, 0, 2 * Math.PI);
            assertThat(read.depthAt(A * Math.cos(t), B * Math.sin(t))).isCloseTo(0, within(0.05));
            assertThat(read.times(2).volumeMm3()).isCloseTo(2 * read.volumeMm3(), withinPercentage(0.001));
        });
    }

    private static RepairDraft dent(String lines) {
        return TestShop.job(
                "{name: Door, widthMm: 700, heightMm: 500, gaugeMm: 0.8, made: {material: METAL}, metal: MILD_STEEL}",
                "{kind: DENT, xMm: 340, yMm: 240, lengthMm: 120, widthMm: 60, angleDeg: 0, depthMm: 2.7, lines: ["
                        + lines + "]}");
    }

    private static Plan plan(RepairDraft d) {
        Workup w = TestShop.workup(d, TestShop.shop());
        return w.plan().orElseThrow();
    }

    private static double hollowMl(Plan p) {
        return p.mixes().getFirst().pour().volume().hollowMl();
    }

    @Test
    @DisplayName("filler follows what was read: a narrow crease takes less than its bowl, a flat bottom more")
    void fillerFollows() {
        double bowl = hollowMl(plan(dent("")));
        double crease = hollowMl(plan(dent("{places: [50, 60, 70], depths: [0.3, 2.7, 0.3]}")));
        double flat = hollowMl(plan(dent("{places: [5, 115], depths: [2.7, 2.7]}")));
        assertThat(bowl).isCloseTo(Math.PI * 60 * 30 * 2.7 / 2 / 1000, withinPercentage(0.2));
        assertThat(crease).isLessThan(bowl * 0.5);
        assertThat(flat).isGreaterThan(bowl * 1.15);
    }

    @Test
    @DisplayName("the section's line is the one that was read")
    void theSectionIsWhatWasRead() {
        Workup w = TestShop.workup(dent("{places: [20, 60, 100], depths: [1.1, 2.7, 0.6]}"), TestShop.shop());
        List<Double> part =
                w.drawing().section().orElseThrow().layers().getFirst().xz();
        double left = lowest(part, 300);
        double right = lowest(part, 380);
        double outside = lowest(part, 215);
        assertThat(outside - left).isCloseTo(1.1, within(0.1));
        assertThat(outside - right).isCloseTo(0.6, within(0.1));
    }

    /** Height of the sheet's lower side near {@code x}. */
    private static double lowest(List<Double> xz, double x) {
        double z = 0;
        for (int i = 0; i < xz.size(); i += 2) {
            int next = (i + 2) % xz.size();
            double x0 = xz.get(i);
            double x1 = xz.get(next);
            if (Math.min(x0, x1) <= x && x <= Math.max(x0, x1) && x0 != x1) {
                z = Math.min(z, xz.get(i + 1) + (x - x0) / (x1 - x0) * (xz.get(next + 1) - xz.get(i + 1)));
            }
        }
        return z;
    }

    @Test
    @DisplayName("a crowned panel: what the straightedge shows beside the dent is taken off (common practice)")
    void crown() {
        double flat = hollowMl(plan(dent("{places: [30, 60, 90], depths: [1.2, 2.7, 1.2]}")));
        double crowned =
                hollowMl(plan(dent("{places: [30, 60, 90], depths: [1.6, 3.2, 1.6], beside: [0.4, 0.5, 0.4]}")));
        assertThat(crowned).isCloseTo(flat, withinPercentage(0.1));
    }

    @Test
    void theDeepestReadingIsTheDepth() {
        DamageDraft d = dent("{places: [30, 60], depths: [1.2, 2.3]}").damages().getFirst();
        assertThat(d.deep(4.6).lines().getFirst().depths()).containsExactly(2.4, 4.6);
        assertThat(hollowMl(plan(dent("{places: [60], depths: [2.3]}"))))
                .isCloseTo(8.0 / 3 * 60 * 30 * 2.3 * (Math.PI / 4 - 1.0 / 3) / 1000, withinPercentage(0.2));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "{places: [60, 50], depths: [1, 2]} | further than the one before",
                "{places: [60], depths: [1, 2]} | each with the depth",
                "{places: [160], depths: [1]} | place 1",
                "{places: [60], depths: [0]} | deeper than the panel beside it",
                "{places: [60], depths: [1], offsetMm: 31} | outside the hollow",
                "{places: [60], depths: [1]}, {places: [50], depths: [1]} | same place across",
                "{places: [60], depths: [-1]} | place 1"
            })
    void whatCannotBeIsSaid(String lines, String said) {
        assertThat(TestShop.problems(dent(lines)))
                .extracting(InputProblem::message)
                .anyMatch(m -> m.toLowerCase(Locale.ROOT).contains(said));
    }
}
