package vanemend.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.TestShop;
import vanemend.core.damage.DamageDraft;
import vanemend.core.part.Part;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.sanding.FilmBudget;
import vanemend.core.sanding.Grains;
import vanemend.core.sanding.Rung;
import vanemend.core.trade.Air;
import vanemend.core.trade.Check;
import vanemend.core.trade.FollowedSchools;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.InputProblem;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Verdict.Outcome;

@DisplayName("limits of a run in clear coat, on one sum of its film")
class FilmLimitsTest {
    private static Workup workup(RepairDraft draft) {
        return TestShop.workup(draft, TestShop.shop(20, HouseRules.defaults(), TestShop.fullShelf()));
    }

    private static Verdict.Finding finding(Verdict v, String rule) {
        return v.findings().stream()
                .filter(f -> f.ruleId().equals(rule))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest(name = "recalled: {0} µm sound, {1} taken, total {2}: {3}")
    @CsvSource({
        "57.5,7.5,130,MEND",
        "57.4,7.5,130,LIMITS",
        "47.5,7.5,130,LIMITS",
        "47.4,7.5,130,REFER",
        "70,7.6,130,MEND",
        "70,7.7,130,LIMITS",
        "70,12.7,130,LIMITS",
        "70,12.8,130,REFER",
        "70,7,84.9,REFER",
        "70,7,85,MEND",
        "70,7,300,MEND",
        "70,7,300.1,REFER",
        "0,7,130,REFER"
    })
    void films(double sound, double take, double total, Outcome outcome) {
        RepairDraft d = run(400, total, ", underUm: " + (total - sound) + ", gauge: BOTH");
        Check check = new Check();
        Part part = d.part().check(check);
        JudgedRepair judged = new JudgedRepair(
                part,
                DamageDraft.checkAll(d.damages(), d.part(), part, check),
                new Air(21, 50),
                21,
                LocalDate.of(2026, 11, 28),
                FollowedSchools.of(HouseRules.defaults()),
                List.of(),
                take);
        assertThat(check.problems()).isEmpty();
        assertThat(Judge.of(judged).outcome()).isEqualTo(outcome);
    }

    private static RepairDraft run(double peakUm, double totalUm, String more) {
        return TestShop.job(
                "{made: {material: FILM, filmOver: STEEL}, coats: [{kind: E_COAT, thicknessUm: 20}, {kind: BASE, thicknessUm: 15}, {kind: CLEAR}]}",
                "{kind: RUN, xMm: 400, yMm: 250, lengthMm: 60, widthMm: 12, film: {peakUm: " + peakUm + ", totalUm: "
                        + totalUm + more + "}}");
    }

    @Test
    @DisplayName(
            "verdict, budget and papers speak of one sum: 130 total, 50 beneath, what the plan's own papers and polish take is what the verdict judges")
    void theFilmHasOneSum() {
        Workup w = workup(run(180, 130, ", underUm: 50, gauge: MAGNETIC"));
        FilmBudget b = w.plan().orElseThrow().budget().orElseThrow();
        assertThat(b.soundUm()).isEqualTo(80);
        assertThat(b.toLevelUm()).isEqualTo(50);
        double share = TradeBook.value("clear.scratch-share");
        double guarded = Grains.micrometres("P", (int) TradeBook.value("clear.guarded-to"));
        List<Rung> rungs = w.plan().orElseThrow().ladder().rungs();
        double taken = 0;
        for (int i = 0; i < rungs.size(); i++) {
            if (i == rungs.size() - 1 || rungs.get(i + 1).grainUm() < guarded) {
                taken += share * rungs.get(i).grainUm();
            }
        }
        assertThat(b.takenUm()).isCloseTo(taken, within(1e-9));
        assertThat(finding(w.verdict(), "film-removed").margin()).startsWith(um(taken));
        assertThat(finding(w.verdict(), "film-run").margin())
                .startsWith(um(80 - taken) + " of clear left")
                .contains(um(50) + " measured beneath it");
        assertThat(w.verdict().beside()).anyMatch(s -> s.startsWith("To level: " + um(50)));
        // Below the least as soon as the plan's own papers would take it there, not a tenth sooner.
        double edge = 40 + taken;
        assertThat(workup(run(180, 50 + edge + 0.01, ", underUm: 50, gauge: MAGNETIC"))
                        .verdict()
                        .mends())
                .isTrue();
        assertThat(workup(run(180, 50 + edge - 0.01, ", underUm: 50, gauge: MAGNETIC"))
                        .verdict()
                        .outcome())
                .isEqualTo(Outcome.REFER);
    }

    @Test
    @DisplayName("what was not read beneath the clear is the part's coats, and says so; without either it is asked")
    void whatLiesUnderTheClear() {
        Workup w = workup(run(180, 130, ", gauge: MAGNETIC"));
        assertThat(finding(w.verdict(), "film-run").margin())
                .contains(um(35) + " beneath it by the part's coats, recalled");
        assertThat(
                        problems(
                                "{made: {material: FILM, filmOver: STEEL}}",
                                "{kind: RUN, xMm: 400, yMm: 250, lengthMm: 60, widthMm: 12, film: {peakUm: 180, totalUm: 130, gauge: BOTH}}"))
                .anyMatch(p -> p.contains("Say what lies beneath the clear"));
    }

    @ParameterizedTest
    @CsvSource({
        "STEEL,MAGNETIC,true",
        "STEEL,EDDY_CURRENT,false",
        "ALUMINIUM,EDDY_CURRENT,true",
        "ALUMINIUM,MAGNETIC,false",
        "PLASTIC,MAGNETIC,false",
        "PLASTIC,BOTH,false",
        "COMPOSITE,EDDY_CURRENT,false",
        "PLASTIC,ULTRASONIC,true"
    })
    void aGaugeThatCannotReadTheFilmIsRefused(String over, String gauge, boolean reads) {
        List<String> said = problems(
                "{made: {material: FILM, filmOver: " + over + "}}",
                "{kind: RUN, xMm: 400, yMm: 250, lengthMm: 60, widthMm: 12, film: {peakUm: 180, totalUm: 130, underUm: 60, gauge: "
                        + gauge + "}}");
        assertThat(said.stream().anyMatch(p -> p.contains("gauge does not show the film on")))
                .isEqualTo(!reads);
    }

    @Test
    void aPeakThatIsNoHigherThanItsSurroundingsIsNoRun() {
        assertThat(
                        problems(
                                "{made: {material: FILM, filmOver: STEEL}}",
                                "{kind: RUN, xMm: 400, yMm: 250, lengthMm: 60, widthMm: 12, film: {peakUm: 130, totalUm: 130, underUm: 60, gauge: BOTH}}"))
                .anyMatch(p -> p.contains("a run stands higher than the film beside it"));
    }

    private static String um(double v) {
        return Text.of(Math.round(v * 10) / 10.0, "µm");
    }

    private static List<String> problems(String part, String damage) {
        RepairDraft d = TestShop.job(part, damage);
        Check check = new Check();
        DamageDraft.checkAll(d.damages(), d.part(), d.part().check(check), check);
        return check.problems().stream().map(InputProblem::message).toList();
    }
}
