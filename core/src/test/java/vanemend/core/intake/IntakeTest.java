package vanemend.core.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.damage.Damage;
import vanemend.core.intake.Intake.Field;
import vanemend.core.part.Composite;
import vanemend.core.part.MadeOf;
import vanemend.core.part.Metal;

@DisplayName("a line of plain words: what it says, from which words, and what it does not say")
class IntakeTest {
    private static final String BUMPER = "front bumper PP-EPDM crack 120 mm through, near edge";

    @Test
    void aBumper() {
        Intake.Said s = Intake.read(BUMPER);
        assertThat(s.name()).contains("Front bumper");
        assertThat(s.material()).contains(MadeOf.PLASTIC);
        assertThat(s.mark()).contains(">PP+EPDM<");
        assertThat(s.typical()).contains("bumper-cover");
        assertThat(s.damages()).singleElement().satisfies(d -> {
            assertThat(d.kind()).isEqualTo(Damage.Kind.CRACK);
            assertThat(d.lengthMm()).contains(120.0);
            assertThat(d.through()).isTrue();
        });
        assertThat(s.left()).containsExactly("near", "edge");
        assertThat(s.understood())
                .extracting(Intake.Understood::words)
                .containsExactly("front bumper", "front bumper", "PP-EPDM", "crack", "120 mm", "through");
    }

    @Test
    void aDoorWithTwoDents() {
        Intake.Said s =
                Intake.read("Ridge no. 7 steel door 0.8 mm sheet, dent 120 x 100 mm 3 mm deep and ding 4 cm across");
        assertThat(s.vehicle()).contains("Ridge, no. 7");
        assertThat(s.metal()).contains(Metal.Kind.MILD_STEEL);
        assertThat(s.thicknessMm()).contains(0.8);
        assertThat(s.typical()).contains("door");
        assertThat(s.damages()).hasSize(2);
        assertThat(s.damages().getFirst().lengthMm()).contains(120.0);
        assertThat(s.damages().getFirst().widthMm()).contains(100.0);
        assertThat(s.damages().getFirst().depthMm()).contains(3.0);
        assertThat(s.damages().getLast().lengthMm()).contains(40.0);
        assertThat(s.damages().getLast().widthMm()).contains(40.0);
        assertThat(s.left()).isEmpty();
    }

    @Test
    void aLengthBeforeItsDamageAndInInches() {
        Intake.Said s = Intake.read("2.5 in split, aluminium tailgate");
        assertThat(s.damages().getFirst().lengthMm().orElseThrow()).isCloseTo(63.5, within(1e-9));
        assertThat(s.metal()).contains(Metal.Kind.ALUMINIUM);
        assertThat(s.name()).contains("Tailgate");
    }

    @Test
    void whatIsSaidOfTheMaterialGoesBeforeWhatSuchAPartIsMadeOfAsARule() {
        Intake.Said s = Intake.read("carbon bonnet hairline");
        assertThat(s.material()).contains(MadeOf.COMPOSITE);
        assertThat(s.composite()).contains(Composite.Kind.CARBON);
        assertThat(s.typical()).as("that is one of steel").isEmpty();
    }

    @Test
    void howThickIsNotTakenWhereItIsNotAsked() {
        assertThat(Intake.read("bumper 3 mm thick").thicknessMm()).contains(3.0);
        Intake.Said s = Intake.read("windscreen 5 mm thick, star 4 mm");
        assertThat(s.thicknessMm()).isEmpty();
        assertThat(s.left()).containsExactly("5 mm thick");
    }

    @Test
    void theLongerWordsAreMeant() {
        assertThat(Intake.read("rust hole").damages().getFirst().kind()).isEqualTo(Damage.Kind.RUST_HOLE);
        assertThat(Intake.read("rust").damages().getFirst().kind()).isEqualTo(Damage.Kind.RUST_PITS);
        assertThat(Intake.read("front wing").name()).contains("Front wing");
        assertThat(Intake.read("left front wing dent").name()).contains("Left front wing");
    }

    @Test
    void nothingIsGuessed() {
        Intake.Said s = Intake.read("denture 120 ABSOLUTE doorbell 40mmx");
        assertThat(s.understood()).isEmpty();
        assertThat(s.damages()).isEmpty();
        assertThat(s.left()).containsExactly("denture", "120", "ABSOLUTE", "doorbell", "40mmx");
        assertThat(Intake.read("").left()).isEmpty();
    }

    @Test
    void whateverIsTypedEveryWordIsUnderstoodOrLeft() {
        List<String> words = List.of(
                "front",
                "bumper",
                "door",
                "ABS",
                ">PP<",
                "crack",
                "dent",
                "12",
                "12 mm",
                "3x4 cm",
                "through",
                "deep",
                "rust",
                "hole",
                "Ridge no 7",
                "no.",
                "\"",
                "\ud83d\ude42",
                "steel",
                "x",
                ",",
                ";;",
                ">",
                "<",
                "of");
        Random random = new Random(20_261_129);
        for (int i = 0; i < 5_000; i++) {
            StringBuilder line = new StringBuilder();
            for (int k = random.nextInt(9); k >= 0; k--) {
                line.append(words.get(random.nextInt(words.size()))).append(random.nextInt(5) == 0 ? "" : " ");
            }
            String typed = line.toString();
            assertThatCode(() -> Intake.read(typed)).as(typed).doesNotThrowAnyException();
            Intake.Said s = Intake.read(typed);
            String told = String.join(" ", s.left()) + s.understood();
            for (String w : typed.split("[\\s,;.]+")) {
                if (!w.equals("of") && w.length() > 1) {
                    assertThat(told).as("%s in %s", w, typed).contains(w.substring(0, 1));
                }
            }
            s.damages().forEach(d -> d.lengthMm().ifPresent(mm -> assertThat(mm).isPositive()));
            assertThat(s.understood().stream().filter(u -> u.field() == Field.PART))
                    .hasSizeLessThanOrEqualTo(1);
        }
    }
}
