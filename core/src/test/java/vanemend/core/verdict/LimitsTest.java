package vanemend.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.TestShop;
import vanemend.core.method.Cases;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Text;
import vanemend.core.verdict.Verdict.Outcome;

@DisplayName("limits of every family, each boundary on both sides")
class LimitsTest {
    private static Verdict of(String part, String... damages) {
        return by("both", part, damages);
    }

    private static Verdict by(String standard, String part, String... damages) {
        return workup(standard, TestShop.job(part, damages)).verdict();
    }

    private static Workup workup(String standard, RepairDraft draft) {
        return TestShop.workup(
                draft,
                TestShop.shop(20, HouseRules.defaults().with("windscreen-limits", standard), TestShop.fullShelf()));
    }

    private static Verdict.Finding finding(Verdict v, String rule) {
        return v.findings().stream()
                .filter(f -> f.ruleId().equals(rule))
                .findFirst()
                .orElseThrow(() -> new AssertionError(rule + " was not asked; "
                        + v.findings().stream().map(Verdict.Finding::ruleId).toList()));
    }

    private static final String SCREEN =
            "{widthMm: 1800, heightMm: 900, made: {material: GLASS, stamp: II, wheelXMm: 500}}";

    private static String chip(String type, double body, double span, double pit, double x, String more) {
        return "{kind: CHIP, xMm: " + x + ", yMm: 450, lengthMm: " + body + ", chip: {type: " + type + ", spanMm: "
                + span + ", pitMm: " + pit + ", inSweep: true" + more + "}}";
    }

    @ParameterizedTest(
            name =
                    "value from memory of ROLAGS 2007: {0}, body {1}, with legs {2}, pit {3} mm, away from the driver: {4}")
    @CsvSource({
        "BULLSEYE,25,25,3,MEND",
        "BULLSEYE,26,26,3,REPLACE",
        "HALF_MOON,25,25,3,MEND",
        "HALF_MOON,26,26,3,REPLACE",
        "STAR,20,75,3,MEND",
        "STAR,20,76,3,REPLACE",
        "COMBINATION,50,90,3,MEND",
        "COMBINATION,51,90,3,REPLACE",
        "STAR,20,40,9,MEND",
        "STAR,20,40,9.1,REPLACE",
        "PIT,0,0,3.2,MEND",
        "PIT,0,0,3.1,REFER",
    })
    void usSizes(String type, double body, double span, double pit, Outcome outcome) {
        assertThat(by("us", SCREEN, chip(type, Math.max(body, 0.5), Math.max(span, 0.5), pit, 1300, ""))
                        .outcome())
                .isEqualTo(outcome);
    }

    @ParameterizedTest(
            name =
                    "value from memory of ROLAGS 2007, in the driver's view: {0} mm with a pit of {1} mm, {2} mm from another: {3}")
    @CsvSource({
        "25,3,,LIMITS",
        "26,3,,REPLACE",
        "20,4.75,,LIMITS",
        "20,4.76,,REPLACE",
        "20,3,102,LIMITS",
        "20,3,99,REPLACE",
        "20,3,101.5,REPLACE"
    })
    void usDriversView(double span, double pit, Double near, Outcome outcome) {
        String more = near == null ? "" : ", repairMm: " + near;
        assertThat(by("us", SCREEN, chip("STAR", Math.min(span, 10), span, pit, 500, more))
                        .outcome())
                .isEqualTo(outcome);
    }

    @Test
    @DisplayName("a toughened pane is judged without asking where the steering wheel is; a windscreen is not")
    void toughenedWithoutAWheel() {
        Verdict v = of(
                "{widthMm: 1800, heightMm: 900, made: {material: GLASS, stamp: I}}", chip("STAR", 10, 20, 3, 300, ""));
        assertThat(finding(v, "glass-tempered").bears()).isTrue();
        assertThat(v.outcome()).isEqualTo(Verdict.Outcome.REPLACE);
    }

    @ParameterizedTest(name = "value from memory of BS AU 242a: {0} mm at {1} mm from the wheel, in the sweep {2}: {3}")
    @CsvSource({
        "10,0,true,LIMITS",
        "10.1,0,true,REPLACE",
        "10,139,true,LIMITS",
        "15,400,true,MEND",
        "15.1,400,true,REFER",
        "25,400,true,REFER",
        "25.1,400,true,REPLACE",
        "40,400,false,MEND",
        "40.1,400,false,REPLACE",
        "12,152,true,MEND",
        "12,150,true,REPLACE",
    })
    void ukZones(double span, double fromWheel, boolean sweep, Outcome outcome) {
        String c = chip("STAR", Math.min(span, 8), span, 3, 500 + fromWheel, "")
                .replace("inSweep: true", "inSweep: " + sweep);
        assertThat(by("uk", SCREEN, c).outcome()).isEqualTo(outcome);
    }

    @Test
    @DisplayName("value from memory of MOT manual 3.2: zone A is 350 mm wide for vehicles over 3.5 t")
    void heavyVehicles() {
        String c = chip("STAR", 8, 12, 3, 660, "");
        assertThat(by("uk", SCREEN, c).outcome()).isEqualTo(Outcome.MEND);
        assertThat(by("uk", SCREEN.replace("wheelXMm: 500", "wheelXMm: 500, heavy: true"), c)
                        .outcome())
                .isEqualTo(Outcome.REPLACE);
    }

    @Test
    void bothStandardsTogetherGiveTheStricter() {
        String c = chip("STAR", 10, 30, 3, 1300, "");
        assertThat(by("us", SCREEN, c).outcome()).isEqualTo(Outcome.MEND);
        assertThat(by("uk", SCREEN, c).outcome()).isEqualTo(Outcome.REPLACE);
        assertThat(by("both", SCREEN, c).outcome()).isEqualTo(Outcome.REPLACE);
        assertThat(by("uk", SCREEN, chip("STAR", 10, 12, 3, 500, "")).beside())
                .as("damage left as it is")
                .anyMatch(s -> Text.plain(s).contains("over 10 mm in zone A"));
    }

    @ParameterizedTest(name = "value from memory of ROLAGS 2007: crack of {0} mm, from a chip {1}: {2}")
    @CsvSource({
        "150,true,LIMITS",
        "150.1,true,REFER",
        "100,false,REFER",
        "350,true,REFER",
        "350.1,true,REPLACE",
    })
    void cracks(double length, boolean fromChip, Outcome outcome) {
        String k = "{kind: CRACK, trace: [1000, 400, " + (1000 + length) + ", 400], fromChip: " + fromChip + "}";
        assertThat(by("us", SCREEN, k).outcome()).isEqualTo(outcome);
    }

    @Test
    void cracksToEdgesAndThreeFromOneImpact() {
        assertThat(by("us", SCREEN, "{kind: CRACK, trace: [1000, 200, 1060, 40], fromChip: true}")
                        .outcome())
                .as("40 mm from the edge")
                .isEqualTo(Outcome.REFER);
        String across = "{kind: CRACK, trace: [900, 0, 900, 900], fromChip: false}";
        assertThat(finding(by("us", SCREEN, across), "glass-edges").bears()).isTrue();
        String[] three = {
            "{kind: CRACK, trace: [1000, 400, 1160, 400], fromChip: true}",
            "{kind: CRACK, trace: [1000, 400, 840, 400], fromChip: true}",
            "{kind: CRACK, trace: [1000, 400, 1000, 560], fromChip: true}"
        };
        assertThat(by("us", SCREEN, three).outcome()).isEqualTo(Outcome.REPLACE);
        assertThat(by("us", SCREEN, three[0], three[1]).outcome()).isEqualTo(Outcome.REFER);
    }

    @ParameterizedTest(name = "value from memory of UN R43 and ANSI Z26.1: stamp {0}: {1}")
    @CsvSource({
        "I,REPLACE",
        "II,MEND",
        "III,MEND",
        "IV,REFER",
        "V,REFER",
        "VI,REFER",
        "AS1,MEND",
        "AS2,REFER",
        "NONE,REFER"
    })
    void stamps(String stamp, Outcome outcome) {
        assertThat(by("us", SCREEN.replace("stamp: II", "stamp: " + stamp), chip("STAR", 10, 12, 3, 1300, ""))
                        .outcome())
                .isEqualTo(outcome);
    }

    private static String tyre(String use, double tread, String more) {
        return "{widthMm: 200, heightMm: 400, made: {material: TYRE, use: " + use + ", treadDepthMm: " + tread
                + ", dateCode: '1024', speed: T, position: REAR" + more + "}}";
    }

    private static String injury(double x, double diameter, double angle) {
        return "{kind: INJURY, xMm: " + x + ", yMm: 200, lengthMm: " + diameter + ", angleDeg: " + angle
                + ", injury: {place: CROWN}}";
    }

    @ParameterizedTest(name = "value from memory of USTMA procedures, BS AU 159f: {0}, {1} mm at {2} mm, {3}°: {4}")
    @CsvSource({
        "CAR,6,100,0,MEND",
        "CAR,6.1,100,0,REPLACE",
        "CAR,5,100,25,MEND",
        "CAR,5,100,26,LIMITS",
        "CAR,4,175,0,MEND",
        "CAR,4,176,0,REPLACE",
        "TRUCK,9.5,100,0,MEND",
        "TRUCK,9.6,100,0,REFER",
        "TRUCK,9,157,0,MEND",
        "TRUCK,9,158,0,REFER",
    })
    void injuries(String use, double diameter, double x, double angle, Outcome outcome) {
        assertThat(of(tyre(use, 5, ""), injury(x, diameter, angle)).outcome()).isEqualTo(outcome);
    }

    @ParameterizedTest(name = "shoulder, sidewall, bead: {0} on {1}: {2}")
    @CsvSource({
        "SHOULDER,CAR,REPLACE",
        "SIDEWALL,CAR,REPLACE",
        "BEAD,CAR,REPLACE",
        "SHOULDER,TRUCK,REFER",
        "SIDEWALL,TRUCK,REFER"
    })
    void places(String place, String use, Outcome outcome) {
        assertThat(of(tyre(use, 5, ""), injury(100, 3, 0).replace("CROWN", place))
                        .outcome())
                .isEqualTo(outcome);
    }

    @Test
    void anInjuryThatSlantsOutOfTheCrownIsScrap() {
        String slanted = injury(150, 4, 20).replace("place: CROWN", "place: CROWN, innerXMm: 182");
        assertThat(of(tyre("CAR", 5, ""), slanted).outcome()).isEqualTo(Outcome.REPLACE);
    }

    @ParameterizedTest(name = "value from memory of 49 CFR 393.75, Directive 89/459/EEC: {0} mm left, {1}, {2}: {3}")
    @CsvSource({
        "1.6,CAR,REAR,REPLACE",
        "1.7,CAR,REAR,MEND",
        "3.1,TRUCK,FRONT,LIMITS",
        "3.2,TRUCK,FRONT,MEND",
        "3.1,TRUCK,REAR,MEND"
    })
    void tread(double depth, String use, String position, Outcome outcome) {
        assertThat(of(tyre(use, depth, "").replace("REAR", position), injury(100, 4, 0))
                        .outcome())
                .isEqualTo(outcome);
    }

    @ParameterizedTest(name = "recalled: date code {0}, speed {1}: {2}")
    @CsvSource({
        "'1024',T,MEND",
        "'4920',T,MEND",
        "'4720',T,REFER",
        "'4816',T,REFER",
        "'4616',T,REPLACE",
        "'',T,REFER",
        "'1024',H,LIMITS",
        "'1024',V,REFER"
    })
    void ageAndSpeed(String code, String speed, Outcome outcome) {
        String t = tyre("CAR", 5, "").replace("'1024'", "'" + code + "'").replace("speed: T", "speed: " + speed);
        assertThat(of(t, injury(100, 4, 0)).outcome()).isEqualTo(outcome);
    }

    private static String hole(double x, double across) {
        return "{kind: RUST_HOLE, xMm: " + x + ", yMm: 250, lengthMm: " + across + ", widthMm: " + Math.min(across, 40)
                + ", rustPastMm: 5}";
    }

    @Test
    @DisplayName(
            "common practice: rust holes up to 75 mm across once they are cut back; holes whose mesh margins meet count as one")
    void rustHoles() {
        String steel = "{metal: MILD_STEEL, gaugeMm: 0.9}";
        // Rust 5 mm past each side, cut 3 mm into sound metal: 16 mm more than the hole.
        assertThat(of(steel, hole(400, 59)).outcome()).isEqualTo(Outcome.LIMITS);
        assertThat(of(steel, hole(400, 59.1)).outcome()).isEqualTo(Outcome.REFER);
        assertThat(of(steel, hole(300, 40), hole(405, 40)).outcome())
                .as("margins of 25 mm meet: 161 mm across together")
                .isEqualTo(Outcome.REFER);
        assertThat(of(steel, hole(300, 40), hole(407, 40)).outcome())
                .as("margins stay apart")
                .isEqualTo(Outcome.LIMITS);
        // Half the hole, 8 mm of cutting back and 25 mm of mesh: 53 mm from its middle to the edge of the mesh.
        assertThat(of(steel, hole(52.5, 40)).outcome())
                .as("no sound metal for the mesh inside the edge")
                .isEqualTo(Outcome.REFER);
        assertThat(of(steel, hole(53.5, 40)).outcome()).isEqualTo(Outcome.LIMITS);
        assertThat(of(
                                "{metal: MILD_STEEL, gaugeMm: 0.9, back: [RUST_SCALE]}",
                                "{kind: DENT, xMm: 400, yMm: 250, lengthMm: 90," + " widthMm: 80, depthMm: 2}")
                        .outcome())
                .isEqualTo(Outcome.LIMITS);
    }

    @Test
    @DisplayName(
            "what to do instead of mending is told where a rule refuses, not where this part gets off more lightly")
    void adviceOfARefusalStandsWithTheRefusal() {
        Cases.all()
                .forEach((recipe, d) ->
                        TestShop.workup(d, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
                                .verdict()
                                .findings()
                                .stream()
                                .filter(f -> f.outcome()
                                                .compareTo(
                                                        Limits.rule(f.ruleId()).verdict())
                                        < 0)
                                .forEach(f -> assertThat(f.change())
                                        .as(recipe + " " + f.ruleId())
                                        .isEmpty()));
        assertThat(of(
                                "{made: {material: PLASTIC, thicknessMm: 3, mark: '>PP+EPDM-TD20<'}}",
                                "{kind: CRACK, trace: [200, 200, 290, 200], through: THROUGH, ends: BOTH}")
                        .findings())
                .filteredOn(f -> f.ruleId().equals("plastic-polymer"))
                .isNotEmpty()
                .allSatisfy(f -> assertThat(f.change()).isEmpty());
    }

    @ParameterizedTest(name = "common practice: pits {0} mm deep in sheet of 0.9 mm: {1}")
    @CsvSource({"0.1,LIMITS", "0.89,LIMITS", "0.9,REFER", "1.4,REFER"})
    void rustPits(double depth, Outcome outcome) {
        String pits = "{kind: RUST_PITS, xMm: 400, yMm: 250, lengthMm: 60, widthMm: 40, depthMm: " + depth + "}";
        assertThat(of("{metal: MILD_STEEL, gaugeMm: 0.9}", pits).outcome()).isEqualTo(outcome);
    }

    @Test
    @DisplayName("pits that a scriber goes through are a hole, whatever depth was read")
    void rustPitsThatAreOpen() {
        String pits = "{kind: RUST_PITS, xMm: 400, yMm: 250, lengthMm: 60, widthMm: 40, depthMm: 0.3}";
        assertThat(of("{metal: MILD_STEEL, gaugeMm: 0.9, answers: {metal-pits-open: 'YES'}}", pits)
                        .outcome())
                .isEqualTo(Outcome.REFER);
    }

    @ParameterizedTest(name = "recalled: {0}: {1}, heat cap {2} °C")
    @CsvSource(
            delimiter = '|',
            value = {
                ">PP<|MEND|65",
                ">PP+EPDM-TD20<|MEND|55",
                ">PP-TD20<|MEND|55",
                ">TPO<|MEND|55",
                ">PE-HD<|LIMITS|40",
                ">ABS<|MEND|65",
                ">ASA<|MEND|65",
                ">PC+ABS<|LIMITS|90",
                ">PBT<|LIMITS|95",
                ">PC+PBT<|LIMITS|95",
                ">PUR<|LIMITS|60",
                ">TPU<|LIMITS|60",
                ">PET<|LIMITS|40",
                ">PC<|LIMITS|95",
                ">PVC-U<|LIMITS|40",
                ">PA66-GF30<|LIMITS|60",
                ">PVC-P<|REFER|",
                ">POM<|REFER|",
                ">PMMA<|REFER|",
                ">TPV<|REFER|",
                ">TPS<|REFER|",
                ">PE-LD<|REFER|",
                ">EPDM<|REFER|"
            })
    void polymers(String mark, Outcome outcome, Double cap) {
        Workup w = workup(
                "both",
                TestShop.job(
                        "{made: {material: PLASTIC, thicknessMm: 3, mark: '" + mark + "'}}",
                        "{kind: CRACK, trace: [200, 200, 290, 200], through: THROUGH, ends: BOTH}"));
        assertThat(w.verdict().outcome()).isEqualTo(outcome);
        assertThat(w.identity().heatCapC().orElse(null)).isEqualTo(cap);
    }

    @Test
    @DisplayName(
            "surface energy: PP, PE, PP+EPDM and POM ask for promoter; ABS, PC, PC+ABS, PA do not (handbooks, recalled)")
    void promoter() {
        Map<String, Boolean> asks = Map.of(
                ">PP<",
                true,
                ">PE-HD<",
                true,
                ">PP+EPDM<",
                true,
                ">ABS<",
                false,
                ">PC<",
                false,
                ">PC+ABS<",
                false,
                ">PA6<",
                false,
                ">PUR<",
                false);
        asks.forEach((mark, needed) -> {
            Identity i = workup(
                            "both",
                            TestShop.job(
                                    "{made: {material: PLASTIC, thicknessMm: 3, mark: '" + mark + "'}}",
                                    "{kind: SCRATCH, trace: [200, 200, 290, 200], widthMm: 2, depthMm: 1}"))
                    .identity();
            assertThat(i.promoter()).as(mark).isEqualTo(needed);
        });
    }

    @ParameterizedTest(name = "common practice: missing piece of {0} with {1} mm of sound plastic: {2}")
    @CsvSource(
            delimiter = '|',
            value = {">PP+EPDM<|38|LIMITS", ">PP+EPDM<|37.9|REPLACE", ">ABS<|5|LIMITS", ">ASA<|5|LIMITS"})
    void missingPieces(String mark, double sound, Outcome outcome) {
        assertThat(of(
                                "{made: {material: PLASTIC, thicknessMm: 3, mark: '" + mark + "'}}",
                                "{kind: MISSING, xMm: 780, yMm: 480, lengthMm: 70, widthMm: 60, soundMm: " + sound
                                        + "}")
                        .outcome())
                .isEqualTo(outcome);
    }

    @Test
    void anUnmarkedPlasticIsReferredUntilTestsSettleIt() {
        String crack = "{kind: CRACK, trace: [200, 200, 290, 200], through: THROUGH, ends: BOTH}";
        Verdict none = of("{made: {material: PLASTIC, thicknessMm: 3}}", crack);
        assertThat(none.outcome()).isEqualTo(Outcome.REFER);
        assertThat(finding(none, "any-unidentified").margin()).contains("too thin to plan on");
        assertThat(of(
                                "{made: {material: PLASTIC, thicknessMm: 3, tests: [{test: float, reading: floats}, {test: acetone, reading: unchanged},"
                                        + " {test: sand, reading: fuzzy}]}}",
                                crack)
                        .outcome())
                .isEqualTo(Outcome.LIMITS);
    }

    @Test
    void composites() {
        String smc = "{made: {material: COMPOSITE, composite: SMC, thicknessMm: 3}}";
        String crack = "{kind: CRACK, trace: [200, 200, 290, 200], through: THROUGH, ends: BOTH}";
        String hairline = "{kind: HAIRLINE, trace: [200, 200, 290, 200]}";
        assertThat(of(smc, crack).outcome()).isEqualTo(Outcome.LIMITS);
        assertThat(of(smc.replace("{made", "{reach: FACE_ONLY, made"), crack).outcome())
                .isEqualTo(Outcome.REFER);
        assertThat(of(smc, hairline).outcome()).isEqualTo(Outcome.MEND);
        assertThat(of(smc, hairline.replace("200, 200, 290", "0, 200, 290")).outcome())
                .as("meets the edge")
                .isEqualTo(Outcome.REFER);
        assertThat(of(smc.replace("SMC", "CARBON"), crack).outcome()).isEqualTo(Outcome.REFER);
    }

    @Test
    void everyQuestionBearsWithItsOwnVerdictAndRefersWhileOpen() {
        Map<String, String[]> jobs = Map.of(
                "GLASS", new String[] {SCREEN, chip("STAR", 8, 9, 3, 1300, "")},
                "TYRE", new String[] {tyre("CAR", 5, ""), injury(100, 4, 0)},
                "FILM",
                        new String[] {
                            "{made: {material: FILM, filmOver: STEEL}}",
                            "{kind: RUN, xMm: 400, yMm: 250, lengthMm: 60, widthMm: 12, film: {peakUm: 180, totalUm: 130, underUm: 60, gauge: BOTH}}"
                        },
                "COMPOSITE",
                        new String[] {
                            "{made: {material: COMPOSITE, composite: SMC, thicknessMm: 3}}",
                            "{kind: HAIRLINE, trace: [200, 200, 290, 200]}"
                        },
                "PLASTIC",
                        new String[] {
                            "{made: {material: PLASTIC, thicknessMm: 3, mark: '>ABS<'}}",
                            "{kind: CRACK, trace: [200, 200, 290, 200], through: THROUGH, ends: BOTH}"
                        });
        jobs.forEach((material, job) -> Limits.all().stream()
                .filter(Limits.Rule::asks)
                .filter(r -> r.materials().stream().anyMatch(m -> m.name().equals(material))
                        && r.only().isEmpty())
                .filter(r -> r.damages().isEmpty()
                        || r.damages().stream().anyMatch(d -> job[1].contains("kind: " + d.name())))
                .forEach(r -> {
                    String yes = job[0].substring(0, job[0].length() - 1) + ", answers: {" + r.id() + ": 'YES'}}";
                    Verdict v = of(yes, job[1]);
                    assertThat(finding(v, r.id()).outcome()).as(r.id()).isEqualTo(r.verdict());
                    assertThat(v.outcome()).as(r.id()).isGreaterThanOrEqualTo(r.verdict());
                    Verdict open = of(yes.replace("'YES'", "'UNKNOWN'"), job[1]);
                    assertThat(open.outcome()).as(r.id() + " open").isGreaterThanOrEqualTo(Outcome.REFER);
                    assertThat(finding(open, r.id()).asks()).isTrue();
                }));
    }

    @Test
    void aLeadMayOverruleALimitOfCareAndNeverARuleThatGuardsPeople() {
        String[] thin = {
            "{made: {material: FILM, filmOver: STEEL}}",
            "{kind: RUN, xMm: 400, yMm: 250, lengthMm: 60, widthMm: 12, film: {peakUm: 150, totalUm: 130, underUm: 86, gauge: BOTH}}"
        };
        RepairDraft draft = TestShop.job(thin[0], thin[1]);
        assertThat(workup("both", draft).verdict().outcome()).isEqualTo(Outcome.REFER);
        Verdict signed = workup("both", overruled(draft, "film-thin")).verdict();
        assertThat(signed.outcome()).isEqualTo(Outcome.LIMITS);
        assertThat(finding(signed, "film-thin").overruled().orElseThrow().by()).isEqualTo("Isla");
        Limits.all().stream().filter(r -> !r.care()).forEach(r -> {
            RepairDraft sill = TestShop.job(
                    "{metal: MILD_STEEL, gaugeMm: 1, answers: {metal-structure: 'YES'}}",
                    "{kind: DENT, xMm: 400, yMm: 250, lengthMm: 90, widthMm: 80, depthMm: 2}");
            assertThat(workup("both", overruled(sill, r.id())).verdict().outcome())
                    .as(r.id())
                    .isEqualTo(Outcome.REFER);
        });
    }

    private static RepairDraft overruled(RepairDraft d, String rule) {
        return new RepairDraft(
                d.part(),
                d.damages(),
                d.pins(),
                d.drying(),
                d.houseRules(),
                d.cutYMm(),
                d.promisedAt(),
                d.recipe(),
                List.of(new Overrule(rule, "customer told, refinish later", "Isla", Instant.EPOCH)),
                null,
                d.lightAt(),
                null,
                null,
                null);
    }

    @Test
    void everyRowSaysWhereItComesFromAndWhatToDoInstead() {
        Limits.all().forEach(r -> {
            assertThat(r.shown()).as(r.id()).isNotBlank();
            if (r.verdict().compareTo(Outcome.LIMITS) > 0) {
                assertThat(r.instead()).as(r.id()).isNotBlank();
            }
        });
    }
}
