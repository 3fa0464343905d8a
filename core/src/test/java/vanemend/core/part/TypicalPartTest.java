package vanemend.core.part;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.part.PartDraft.Assumed;
import vanemend.core.trade.Check;
import vanemend.core.trade.Text;

@DisplayName("what a part is as a rule: enough to draw it, marked as not measured, and nothing that decides the method")
class TypicalPartTest {
    static Stream<TypicalPart> all() {
        return TypicalPart.all().stream();
    }

    @ParameterizedTest
    @MethodSource("all")
    void onlyWhatMustBeAskedIsMissing(TypicalPart typical) {
        Check check = new Check();
        typical.draft().check(check);
        assertThat(check.problems().stream().map(p -> p.field()))
                .as(typical.id())
                .isSubsetOf(
                        "part.vehicle",
                        "part.metal",
                        "part.reach",
                        "part.made.composite",
                        "part.made.mark",
                        "part.made",
                        "part.made.stamp",
                        "part.made.wheelXMm",
                        "part.made.use",
                        "part.made.position",
                        "part.made.treadDepthMm",
                        "part.made.speed",
                        "part.made.tyreSize",
                        "part.made.dateCode");
    }

    @ParameterizedTest
    @MethodSource("all")
    void everyFigureIsMarkedAsNotMeasuredAndNothingElse(TypicalPart typical) {
        PartDraft d = typical.draft();
        assertThat(d.assumed().contains(Assumed.WIDTH)).isEqualTo(d.widthMm() != null);
        assertThat(d.assumed().contains(Assumed.HEIGHT)).isEqualTo(d.heightMm() != null);
        assertThat(d.assumed().contains(Assumed.OUTLINE)).isEqualTo(d.outline() != null);
        assertThat(d.assumed().contains(Assumed.GAUGE)).isEqualTo(d.gaugeMm() != null);
        assertThat(d.assumed().contains(Assumed.THICKNESS)).isEqualTo(d.made().thicknessMm() != null);
        assertThat(d.assumed().contains(Assumed.COATS)).isEqualTo(!d.coats().isEmpty());
        assertThat(d.answers()).as("nobody has answered").isEmpty();
        assertThat(d.metal()).isNull();
        assertThat(d.reach()).isNull();
        assertThat(Outline.of(d.outline()).orElseThrow().materials()).contains(d.material());
    }

    @Test
    void whatIsAssumedIsSaidWithItsFigure() {
        assertThat(TypicalPart.of("door").orElseThrow().draft().assumedSaid())
                .containsExactly(
                        "width " + Text.of(1100, "mm"),
                        "height " + Text.of(720, "mm"),
                        "outline",
                        "sheet gauge " + Text.of(0.8, "mm"),
                        "coats");
        PartDraft measured = PartDraft.sheet(
                "Door",
                "Ridge, no. 3",
                Metal.Kind.MILD_STEEL,
                0.9,
                1000.0,
                700.0,
                List.of(),
                null,
                List.of(),
                Map.of());
        assertThat(measured.assumedSaid()).isEmpty();
    }

    @Test
    void aFigureThatIsNotThereIsNotAssumed() {
        PartDraft d = TypicalPart.of("door").orElseThrow().draft();
        PartDraft cleared = new PartDraft(
                d.name(),
                d.vehicle(),
                d.metal(),
                null,
                null,
                null,
                d.coats(),
                d.reach(),
                d.bodyLines(),
                d.answers(),
                d.made(),
                d.outline(),
                d.face(),
                d.back(),
                d.assumed());
        assertThat(cleared.assumed()).containsExactlyInAnyOrder(Assumed.OUTLINE, Assumed.COATS);
        assertThat(cleared.assumedSaid()).containsExactly("outline", "coats");
    }

    @Test
    void aFactoryFinishIsOfMetalOrOfTheFilmItself() {
        assertThat(TypicalPart.usualCoats(MadeOf.METAL)).hasSize(4);
        assertThat(TypicalPart.usualCoats(MadeOf.FILM)).hasSize(3);
        assertThat(TypicalPart.usualCoats(MadeOf.PLASTIC)).isEmpty();
    }
}
