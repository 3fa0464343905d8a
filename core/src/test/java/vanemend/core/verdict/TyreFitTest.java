package vanemend.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Zone;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.part.Tyre;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;
import vanemend.core.verdict.Verdict.Outcome;

@DisplayName(
        "tyres: a unit fits the injury or nothing is planned; where the injury ends inside is worked out, never taken as straight")
class TyreFitTest {
    private static final double WIDTH = 178;

    private static List<ShelfItem> shelf(ShelfItem... units) {
        List<ShelfItem> out = new ArrayList<>(TestShop.fullShelf());
        out.removeIf(i -> i.unitSize().isPresent());
        out.addAll(List.of(units));
        return out;
    }

    private static ShelfItem unit(double stem, double cap, Tyre.Use use) {
        ShelfItem any = TestShop.fullShelf().stream()
                .filter(i -> i.classId().equals("tyre-unit"))
                .findFirst()
                .orElseThrow();
        return TestShop.sized(any, "unit-" + stem + use, stem, cap, use);
    }

    private static Workup work(String use, double x, double across, double angle, String more, List<ShelfItem> shelf) {
        return TestShop.workup(
                TestShop.job(
                        "{widthMm: " + (use.equals("CAR") ? WIDTH : 280) + ", made: {material: TYRE, use: " + use
                                + ", treadDepthMm: 6, dateCode: '1024', speed: T, position: REAR}}",
                        "{kind: INJURY, xMm: " + x + ", yMm: 250, lengthMm: " + across + ", angleDeg: " + angle
                                + ", injury: {place: CROWN" + more + "}}"),
                TestShop.shop(20, HouseRules.defaults(), shelf));
    }

    private static double channel(Workup w) {
        DrawnZone cut = w.drawing().zones().stream()
                .filter(z -> z.kind() == Zone.Kind.CHANNEL)
                .findFirst()
                .orElseThrow();
        return Math.sqrt(cut.areaMm2() * 4 / Math.PI);
    }

    @ParameterizedTest(name = "{1} mm in a tyre for {0}: cut to {2} mm")
    @CsvSource({"CAR, 4.5, 4.5", "CAR, 4.4, 4.5", "CAR, 4.6, 6", "CAR, 6, 6", "TRUCK, 9.5, 10", "TRUCK, 4, 10"})
    void theChannelIsCutToTheSmallestStemThatFills(String use, double across, double cut) {
        Workup w = work(
                use,
                use.equals("CAR") ? 89 : 140,
                across,
                0,
                "",
                shelf(unit(6, 50, Tyre.Use.CAR), unit(4.5, 40, Tyre.Use.CAR), unit(10, 75, Tyre.Use.TRUCK)));
        assertThat(w.plan()).isPresent();
        // Of the polygon that a circle is drawn with.
        assertThat(channel(w)).isCloseTo(cut, within(0.05));
        assertThat(w.plan().orElseThrow().steps())
                .extracting(s -> s.step().tool())
                .filteredOn(t -> t.startsWith("Cutter"))
                .hasSize(2);
    }

    @Test
    void noUnitThatFitsMeansNoPlan() {
        List<ShelfItem> small = shelf(unit(6, 50, Tyre.Use.CAR), unit(6, 50, Tyre.Use.TRUCK));
        Workup w = work("TRUCK", 140, 9.5, 0, "", small);
        assertThat(w.verdict().mends()).isTrue();
        assertThat(w.plan()).isEmpty();
        assertThat(w.blockers()).anyMatch(b -> b.contains("fills") && b.contains("None is planned that is too small"));
        assertThat(w.stack().ruledOut()).anyMatch(r -> r.rule().equals("tyre-unit"));
        ShelfItem unread = TestShop.item(
                "bare",
                "tyre-unit",
                java.util.Optional.empty(),
                List.of(),
                java.util.Optional.empty(),
                java.util.Optional.empty(),
                null);
        Workup none = work("CAR", 89, 4, 0, "", shelf(unread));
        assertThat(none.plan()).as("a unit whose label was not read").isEmpty();
        assertThat(none.stack().ruledOut()).anyMatch(r -> r.rule().equals("no-unit-size"));
    }

    @ParameterizedTest(name = "at {0} mm from the left, {1} degrees: {2}")
    @CsvSource({
        // W 178: the crown ends 66.75 mm from the centre line. At 150 there is room for 5.75 mm: atan(5.75 / 14) = 22.3
        // degrees.
        "150, 22, MEND",
        "150, 23, REPLACE",
        "28, 22, MEND",
        "28, 23, REPLACE",
        "89, 60, LIMITS"
    })
    void theInnerEndIsWorkedOutTowardsTheWorseSide(double x, double angle, Outcome outcome) {
        Workup w = work("CAR", x, 4, angle, "", TestShop.fullShelf());
        assertThat(w.verdict().outcome()).isEqualTo(outcome);
        assertThat(w.verdict().findings())
                .filteredOn(f -> f.ruleId().equals("tyre-slant-out"))
                .singleElement()
                .satisfies(f -> assertThat(f.margin()).contains("towards the worse side"));
    }

    @Test
    void anInnerEndThatWasMeasuredCounts() {
        assertThat(work("CAR", 150, 4, 23, ", innerXMm: 144", TestShop.fullShelf())
                        .verdict()
                        .mends())
                .as("it leans towards the middle")
                .isTrue();
        assertThat(work("CAR", 150, 4, 10, ", innerXMm: 156", TestShop.fullShelf())
                        .verdict()
                        .outcome())
                .isEqualTo(Outcome.REPLACE);
    }

    @Test
    @DisplayName(
            "the angle at which the run says never is the one at which the verdict says replace, anywhere on the crown")
    void verdictAndRunSpeakOfOneAngle() {
        Seeds.forEach(120, (r, i) -> {
            double x = Seeds.between(r, 30, 148);
            Workup square = work("CAR", x, 4, 0, "", TestShop.fullShelf());
            double most = square.plan().orElseThrow().steps().stream()
                    .map(PlannedStep::step)
                    .map(Step::watches)
                    .flatMap(List::stream)
                    .filter(w -> w.id().equals("slant-out"))
                    .mapToDouble(Watch::limit)
                    .findFirst()
                    .orElseThrow();
            if (most > 0.5 && most < 79) {
                assertThat(work("CAR", x, 4, most, "", TestShop.fullShelf())
                                .verdict()
                                .outcome())
                        .as(x + " at " + most)
                        .isLessThan(Outcome.REFER);
                assertThat(work("CAR", x, 4, most + 0.2, "", TestShop.fullShelf())
                                .verdict()
                                .outcome())
                        .isEqualTo(Outcome.REPLACE);
            }
        });
    }

    @Test
    void nothingOfARepairIsDrawnWhereTheTyreIsScrap() {
        Workup w = work("CAR", 150, 4, 23, "", TestShop.fullShelf());
        assertThat(w.drawing().zones()).isEmpty();
        assertThat(w.drawing().section()).isEmpty();
        assertThat(w.drawing().damages()).hasSize(1);
        assertThat(w.plan()).isEmpty();
        assertThat(w.verdict().refusal().orElseThrow().ruleId()).isEqualTo("tyre-slant-out");
    }

    @Test
    void theStricterOfTwoPrintedLimitsSaysSo() {
        Workup w = work("CAR", 89, 6.2, 0, "", TestShop.fullShelf());
        assertThat(w.verdict().outcome()).isEqualTo(Outcome.REPLACE);
        assertThat(w.verdict().findings())
                .filteredOn(f -> f.ruleId().equals("tyre-size"))
                .singleElement()
                .satisfies(f -> assertThat(f.margin()).contains("6.35 mm").contains("the stricter holds"));
    }
}
