package vanemend.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.TestShop;
import vanemend.core.cure.DryingRoute;
import vanemend.core.damage.DamageDraft;
import vanemend.core.damage.Dent;
import vanemend.core.part.Coat;
import vanemend.core.part.Metal;
import vanemend.core.part.Part;
import vanemend.core.part.PartDraft;
import vanemend.core.trade.AirDraft;
import vanemend.core.trade.Check;
import vanemend.core.trade.InputProblem;
import vanemend.core.trade.Text;

@DisplayName("bad input: an exact, kind message with field, given and expected; nothing is computed from it")
class BadInputTest {
    private static List<InputProblem> problems(RepairDraft draft) {
        Check check = new Check();
        Optional<Workup> w = Planner.plan(draft, TestShop.shop(), check);
        assertThat(w).isEmpty();
        assertThat(check.problems()).allSatisfy(p -> {
            assertThat(Text.plain(p.message())).isNotBlank();
            assertThat(p.field()).isNotBlank();
        });
        return check.problems();
    }

    private static InputProblem only(DamageDraft... dents) {
        List<InputProblem> all = problems(TestShop.repair(TestShop.door(), dents));
        assertThat(all).hasSize(1);
        return all.getFirst();
    }

    @Test
    void negativeAndAbsurdSizes() {
        InputProblem p = only(TestShop.dent(340, 240, -120, 100, 2));
        assertThat(p.field()).isEqualTo("damages[0].lengthMm");
        assertThat(p.given()).isEqualTo("-120");
        assertThat(Text.plain(p.expected())).isEqualTo("from 3 to 700 mm");
        assertThat(Text.plain(p.message()))
                .isEqualTo("Dent 1: length of -120 mm cannot be right: expected from 3 to 700 mm.");
        assertThat(only(TestShop.dent(340, 240, 1e9, 100, 2)).field()).isEqualTo("damages[0].lengthMm");
        assertThat(only(TestShop.dent(340, 240, 120, 100, 0)).field()).isEqualTo("damages[0].depthMm");
        assertThat(only(TestShop.dent(340, 240, 120, 100, Double.NaN)).message())
                .contains("not a number");
    }

    @Test
    void aDentOutsideThePart() {
        InputProblem p = only(TestShop.dent(690, 240, 120, 100, 2));
        assertThat(Text.plain(p.message()))
                .isEqualTo("Dent 1 reaches 50 mm past the part's right edge: move it in or make it smaller.");
        assertThat(p.field()).isEqualTo("damages[0].xMm");
        assertThat(only(TestShop.dent(340, 900, 120, 100, 2)).field()).isEqualTo("damages[0].yMm");
    }

    @Test
    void deeperThanSheetCanGoWithoutTearing() {
        assertThat(only(TestShop.dent(340, 240, 120, 20, 5.1)).message())
                .contains("would have torn the sheet")
                .contains("straightedge");
        assertThat(Text.plain(only(TestShop.dent(340, 240, 120, 100, 26)).expected()))
                .isEqualTo("from 0.1 to 25 mm");
    }

    @Test
    void gaugeOutsideBodySheet() {
        for (double gauge : new double[] {-1, 0.49, 4.01}) {
            PartDraft d = TestShop.door();
            PartDraft odd = PartDraft.sheet(
                    d.name(),
                    d.vehicle(),
                    d.metal(),
                    gauge,
                    d.widthMm(),
                    d.heightMm(),
                    d.coats(),
                    d.reach(),
                    d.bodyLines(),
                    d.answers());
            assertThat(problems(TestShop.repair(odd, TestShop.dent(340, 240, 120, 100, 2))))
                    .singleElement()
                    .satisfies(p -> assertThat(Text.plain(p.expected())).isEqualTo("from 0.5 to 4 mm"));
        }
    }

    @Test
    void everythingThatIsMissingIsSaidAtOnce() {
        PartDraft empty = PartDraft.sheet(null, null, null, null, null, null, null, null, null, null);
        assertThat(problems(TestShop.repair(empty)).stream().map(InputProblem::field))
                .contains(
                        "part.name",
                        "part.vehicle",
                        "part.metal",
                        "part.gaugeMm",
                        "part.widthMm",
                        "part.heightMm",
                        "part.reach",
                        "damages");
        assertThat(problems(new RepairDraft(
                        null, null, null, null, null, null, null, null, null, null, null, null, null, null)))
                .singleElement()
                .satisfies(p -> assertThat(p.field()).isEqualTo("part"));
    }

    @Test
    void coatsTwiceOrInTheWrongOrder() {
        PartDraft d = TestShop.door();
        PartDraft odd = PartDraft.sheet(
                d.name(),
                d.vehicle(),
                Metal.Kind.MILD_STEEL,
                0.9,
                700.0,
                500.0,
                List.of(
                        new PartDraft.CoatDraft(Coat.Kind.CLEAR, null),
                        new PartDraft.CoatDraft(Coat.Kind.BASE, null),
                        new PartDraft.CoatDraft(Coat.Kind.CLEAR, 4000.0)),
                Part.Reach.FACE_ONLY,
                List.of(),
                d.answers());
        assertThat(problems(TestShop.repair(odd, TestShop.dent(340, 240, 120, 100, 2))).stream()
                        .map(InputProblem::message))
                .anySatisfy(m -> assertThat(m).contains("base cannot lie on clear"))
                .anySatisfy(m -> assertThat(m).contains("clear stands twice"));
    }

    @Test
    void tooManyDentsAreAskedToBeSplit() {
        DamageDraft[] many = new DamageDraft[61];
        java.util.Arrays.fill(many, DamageDraft.dent(340.0, 240.0, 20.0, 20.0, 0.0, 1.0, Dent.Profile.BOWL));
        assertThat(only(many).message()).contains("61 damages").contains("at most 60");
    }

    @Test
    void aHouseRuleOrACutThatDoesNotExist() {
        RepairDraft d = new RepairDraft(
                TestShop.door(),
                List.of(TestShop.dent(340, 240, 120, 100, 2)),
                Map.of(),
                DryingRoute.Kind.AIR,
                Map.of("ladder", "coarse"),
                900.0,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                5.0);
        assertThat(problems(d).stream().map(InputProblem::field)).contains("houseRules.ladder", "cutYMm", "spreaderMm");
    }

    @Test
    void airThatNobodyWouldBelieve() {
        Check cold = new Check();
        new AirDraft(-11.0, 50.0).check(cold);
        assertThat(cold.problems())
                .singleElement()
                .satisfies(p -> assertThat(Text.plain(p.message()))
                        .isEqualTo("Shop air of -11 °C cannot be right: expected from -10 to 50 °C."));
        Check hot = new Check();
        new AirDraft(60.0, 0.0).check(hot);
        assertThat(hot.problems()).extracting(InputProblem::field).containsExactly("air.tempC", "air.rhPercent");
    }
}
