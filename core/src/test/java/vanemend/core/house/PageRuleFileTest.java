package vanemend.core.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.dataformat.yaml.YAMLMapper;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Act;
import vanemend.core.method.HousePages;
import vanemend.core.method.PageChange;
import vanemend.core.method.PageRule;
import vanemend.core.trade.Check;
import vanemend.core.trade.InputProblem;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;

@DisplayName("a house's pages as a file: nothing is lost on the way, and what is wrong is named by its place")
class PageRuleFileTest {
    private static final String WORDS = "Rinse: \"salt\" # off, 'yes'\n- no ½ °C {a} [b] & * ! |";

    private static PageRule any(Random r, int i) {
        MethodId method = MethodId.values()[r.nextInt(MethodId.values().length)];
        String step = "step-" + r.nextInt(9);
        boolean first = r.nextBoolean();
        String after = first ? "" : "after-" + r.nextInt(9);
        PageChange change = switch (r.nextInt(7)) {
            case 0 ->
                new PageChange.Add(
                        "house-" + i,
                        after,
                        WORDS.replace("\n", " "),
                        r.nextBoolean() ? WORDS : "",
                        r.nextBoolean() ? Optional.of(Zone.Kind.DAMAGE) : Optional.empty(),
                        r.nextInt(100) / 4.0,
                        r.nextBoolean() ? 0 : 1 + r.nextInt(500),
                        r.nextBoolean() ? "Mind: hot" : "",
                        r.nextBoolean()
                                ? Optional.of(new PageChange.HouseGate("Dry?", "yes", "no", "Wait", 0.5))
                                : Optional.empty(),
                        r.nextBoolean() ? List.of(Act.CLEAN, Act.HEAT) : List.of());
            case 1 -> new PageChange.LeaveOut(step);
            case 2 -> new PageChange.Move(step, after);
            case 3 -> new PageChange.Words(step, r.nextBoolean() ? "1.5" : "", "true");
            case 4 -> new PageChange.Minutes(step, r.nextInt(1440));
            case 5 -> new PageChange.Reading(step, Quantity.SURFACE_C);
            default -> new PageChange.Picture(step);
        };
        boolean placed =
                !after.isEmpty() && (change.kind() == PageChange.Kind.ADD || change.kind() == PageChange.Kind.MOVE);
        return new PageRule(
                1 + i,
                method,
                change,
                change.kind() == PageChange.Kind.ADD ? "" : "null",
                placed ? "~" : "",
                WORDS,
                "Isla Renwick",
                TestShop.NOW);
    }

    private static List<PageRule> read(String file, Check check) {
        return PageRuleFile.read(
                file.getBytes(StandardCharsets.UTF_8), HousePages.none(), "Tam Okafor", TestShop.NOW, check);
    }

    @Test
    void whatIsWrittenIsReadAgain() {
        Seeds.forEach(200, (r, n) -> {
            List<PageRule> rules = new ArrayList<>();
            for (int i = 0; i < 1 + r.nextInt(6); i++) {
                rules.add(any(r, i));
            }
            Check check = new Check();
            List<PageRule> back = read(PageRuleFile.write(rules), check);
            assertThat(check.problems()).isEmpty();
            assertThat(back).hasSameSizeAs(rules);
            for (int i = 0; i < rules.size(); i++) {
                PageRule was = rules.get(i);
                PageRule is = back.get(i);
                assertThat(is.change()).isEqualTo(was.change());
                assertThat(is.method()).isEqualTo(was.method());
                assertThat(is.stepTitle()).isEqualTo(was.stepTitle());
                assertThat(is.afterTitle()).isEqualTo(was.afterTitle());
                assertThat(is.by()).isEqualTo("Tam Okafor");
                assertThat(is.reason())
                        .startsWith(was.reason())
                        .contains("from elsewhere: Isla Renwick, 2026-11-24T09:00:00Z");
                assertThat(PageRuleFile.ofKept(PageRuleFile.kept(was), was.id(), was.by(), was.at()))
                        .isEqualTo(was);
            }
        });
    }

    private static void refused(String file, String field, String part) {
        Check check = new Check();
        assertThat(read(file, check)).isEmpty();
        assertThat(check.problems()).as(file).anySatisfy(p -> {
            assertThat(p.field()).isEqualTo(field);
            assertThat(p.message() + " " + p.expected()).contains(part);
        });
    }

    private static String rule(String more) {
        return "format: 1\nrules:\n- {method: TRIM, kind: LEAVE_OUT, step: wash, stepTitle: Wash, reason: x}\n- {"
                + more + "}\n";
    }

    @Test
    void aBadFileIsRefusedWholeAndSaysWhere() {
        refused("{", "file", "no YAML");
        refused("- a\n- b", "file", "format and a list of rules");
        refused("format: 2\nrules: []", "format", "reads 1");
        refused("format: 1\nrules: []\nmore: x", "more", "not known");
        refused(
                rule("method: TRIMM, kind: PICTURE, step: wash, stepTitle: W, reason: x"),
                "rules.1.method",
                "TYRE_CROWN");
        refused(rule("method: TRIM, kind: SKIP, step: wash, stepTitle: W, reason: x"), "rules.1.kind", "LEAVE_OUT");
        refused(
                rule("method: TRIM, kind: PICTURE, step: 'Wash it', stepTitle: W, reason: x"),
                "rules.1.step",
                "no step");
        refused(rule("method: TRIM, kind: PICTURE, step: wash, stepTitle: W"), "rules.1.reason", "missing");
        refused(
                rule("method: TRIM, kind: PICTURE, step: wash, stepTitle: W, reason: x, tilte: y"),
                "rules.1.tilte",
                "title");
        refused(
                rule("method: TRIM, kind: MINUTES, step: wash, stepTitle: W, minutes: 'ten', reason: x"),
                "rules.1.minutes",
                "a number");
        refused(
                rule("method: TRIM, kind: MINUTES, step: wash, stepTitle: W, minutes: -1, reason: x"),
                "rules.1.minutes",
                "cannot be right");
        refused(
                rule("method: TRIM, kind: MINUTES, step: wash, stepTitle: W, minutes: .nan, reason: x"),
                "file",
                "no YAML");
        refused(
                rule("method: TRIM, kind: READING, step: wash, stepTitle: W, quantity: FILLER_G, reason: x"),
                "rules.1.quantity",
                "weighing");
        refused(
                rule("method: TRIM, kind: ADD, title: T, minutes: 1, acts: [CURE_BACK], reason: x"),
                "rules.1.acts",
                "handwork");
        refused(rule("method: TRIM, kind: ADD, step: wash, title: T, minutes: 1, reason: x"), "rules.1.step", "house-");
        refused(
                rule("method: TRIM, kind: ADD, title: T, minutes: 1, question: Dry?, reason: x"),
                "rules.1.then",
                "missing");
        refused(rule("method: TRIM, kind: WORDS, step: wash, stepTitle: W, reason: x"), "rules.1.title", "other words");
        refused(
                rule("method: TRIM, kind: WORDS, step: wash, stepTitle: W, title: 'At ⟦3 mm⟧', reason: x"),
                "rules.1.title",
                "cannot be typed");
        refused("format: 1\nrules: [" + "{kind: PICTURE},".repeat(201) + "]", "rules", "201");
        refused("#" + "x".repeat(PageRuleFile.MOST_BYTES), "file", "too large");
    }

    @Test
    void aStepOfTheHousesOwnTakesNoNameThatIsTaken() {
        PageRuleDraft draft = new YAMLMapper()
                .readValue(
                        "{method: TRIM, kind: ADD, title: 'Wash ½ – Ärger!', minutes: 2, reason: x}",
                        PageRuleDraft.class);
        Check check = new Check();
        PageRule one = draft.signed("", HousePages.none(), "Isla", TestShop.NOW, check);
        PageRule two = draft.signed("", new HousePages(List.of(one)), "Isla", TestShop.NOW, check);
        assertThat(one.change().step()).isEqualTo("house-wash-arger");
        assertThat(two.change().step()).isEqualTo("house-wash-arger-2");
        String file = PageRuleFile.write(List.of(one));
        PageRuleFile.read(
                file.getBytes(StandardCharsets.UTF_8), new HousePages(List.of(one)), "Isla", TestShop.NOW, check);
        assertThat(check.problems()).extracting(InputProblem::field).containsExactly("rules.0.step");
    }

    @Test
    void whatWasKeptAndCannotBeReadIsSaidByItsNumber() {
        assertThatThrownBy(() -> PageRuleFile.ofKept("format: 1\nrules: []\n", 12, "Isla", TestShop.NOW))
                .isInstanceOf(IllegalStateException.class)
                .hasMessageContaining("house rule 12");
    }
}
