package vanemend.core.method.seam;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vanemend.core.TestShop;
import vanemend.core.damage.Damage;
import vanemend.core.footprint.Zone;
import vanemend.core.intake.Intake;
import vanemend.core.method.Cases;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.InputProblem;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Verdict;

@DisplayName(
        "a weld seam in steel: judged, its back primed, filled twice and far past it (common practice; 4 h bare recalled)")
class SeamTest {
    private static final String SKIN = "{widthMm: 900, heightMm: 640, gaugeMm: 0.8, metal: %s, made: {material: METAL},"
            + " coats: [{kind: E_COAT}, {kind: PRIMER_SURFACER}, {kind: BASE}, {kind: CLEAR}]%s}";

    private static String seam(double deep) {
        return String.format(
                Locale.ROOT,
                "{kind: SEAM, trace: [340, 300, 560, 300], widthMm: 10, groundBelow: true, depthMm: %.2f}",
                deep);
    }

    private static Workup of(String metal, String more, double deep, HouseRules house, String recipe) {
        return TestShop.workup(
                Cases.taking(recipe.isEmpty() ? null : recipe, TestShop.job(SKIN.formatted(metal, more), seam(deep))),
                TestShop.shop(21, house, TestShop.fullShelf()));
    }

    private static Workup of(double deep, String recipe) {
        return of("MILD_STEEL", "", deep, HouseRules.defaults(), recipe);
    }

    private static List<Step> steps(Workup w) {
        return w.plan().orElseThrow().steps().stream().map(PlannedStep::step).toList();
    }

    private static Step step(Workup w, String id) {
        return steps(w).stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
    }

    private static MixPlan mix(Workup w, String id) {
        return w.plan().orElseThrow().mixes().stream()
                .filter(m -> m.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theWeldIsJudgedBeforeItIsBaredTheBackPrimedBeforeFillerAndASecondCoatIsPlanned() {
        assertThat(steps(of(1.35, "seam-filler")).stream().map(Step::id))
                .containsSubsequence(
                        "weld",
                        "depth",
                        "strip-p80",
                        "dull-p180",
                        "prime-back",
                        "filler-wait",
                        "first-p80",
                        "second-wait",
                        "shape-gate",
                        "putty-wait",
                        "palm",
                        "prime-back-dry",
                        "seal-behind",
                        "ready");
    }

    @Test
    void pinholesStopAPlanWithoutGlassFibreFillerAndTheOtherWayClosesThemOnBareMetalFirst() {
        assertThat(stops(of(1.35, "seam-filler"))).containsExactlyInAnyOrder("pinholes", "open");
        Workup fibre = of(1.35, "seam-fibre");
        assertThat(stops(fibre)).containsExactly("open");
        assertThat(steps(fibre).stream().map(Step::id))
                .containsSubsequence("strip-p80", "fibre-wait", "fibre-level-p80", "filler-mix-1");
        assertThat(step(fibre, "fibre-level-p80").cautions())
                .extracting(c -> c.id())
                .contains("fibre-dust");
        assertThat(area(fibre, Zone.Kind.FIBRE)).isLessThan(area(fibre, Zone.Kind.STRIP));
    }

    private static List<String> stops(Workup w) {
        return step(w, "weld").gate().orElseThrow().branches().stream()
                .filter(b -> b.weight().stops())
                .map(b -> b.id())
                .toList();
    }

    private static double area(Workup w, Zone.Kind kind) {
        return w.drawing().zones().stream()
                .filter(z -> z.kind() == kind)
                .findFirst()
                .orElseThrow()
                .areaMm2();
    }

    @Test
    @DisplayName(
            "the hollow of 220 mm sunk 3 mm, straight out to nothing over 100 mm: two wedges, a ridge 10 wide, two half cones (textbook geometry)")
    void byHand() {
        Workup w = of(3, "seam-filler");
        double past = 100;
        assertThat(area(w, Zone.Kind.FILLER))
                .as("a stadium: 220 by 210 and a disc of 105")
                .isCloseTo(220 * 210 + Math.PI * 105 * 105, withinPercentage(0.6));
        // The frustum's ends: from a disc of 5 mm below to one of 105 mm at the face.
        double ends = Math.PI * 3 / 3 * (5 * 5 + 5 * 105 + 105 * 105);
        double hollowMl = (220 * 10 * 3 + 2 * 220 * past * 3 / 2 + ends) / 1000;
        MixPlan filler = mix(w, "filler");
        double perMm = filler.pour().again().orElseThrow().perMm();
        double density = 1.8;
        double loss = 1 + TradeBook.value("mix.board-loss");
        // Of a mL of mix cream has its part: 2 % of the filler.
        assertThat(perMm * 1.02 / density / loss * 3).isCloseTo(hollowMl, withinPercentage(1));
    }

    @ParameterizedTest(name = "sunk {0} mm: filler {1} mm past the seam")
    @CsvSource({"0.1,61.3", "1.5,80", "3,100", "5,100"})
    void theDeeperItSankTheFurtherItsRidgeIsDrawnOut(double deep, double past) {
        assertThat(of(deep, "seam-filler").drawing().zones().stream()
                        .filter(z -> z.kind() == Zone.Kind.FILLER)
                        .findFirst()
                        .orElseThrow()
                        .pastMm())
                .isCloseTo(past, within(0.1));
    }

    @Test
    void deeperTakesMore() {
        double before = 0;
        for (double deep : new double[] {0.2, 0.6, 1.2, 2.4, 3.2, 5.6}) {
            MixPlan m = mix(of(deep, "seam-filler"), "filler");
            double all = m.pour().fillerG() * m.pour().batches();
            assertThat(all).isGreaterThan(before);
            before = all;
        }
    }

    @Test
    void thePrimerBehindIsWaitedForOnlyAsLongAsNothingHasCuredMeanwhile() {
        Workup w = of(1.35, "seam-filler");
        Plan p = w.plan().orElseThrow();
        double cured = p.mixes().stream().mapToDouble(m -> m.route().minutes()).sum();
        double left = step(w, "prime-back-dry").clock().orElseThrow().minutes();
        assertThat(left + cured).as("label of the epoxy primer of this shelf").isCloseTo(90, within(1e-9));
    }

    @Test
    void bareSteelIsBareUnlessTheHousePrimesItAndFibreNeverLiesOnPrimer() {
        HouseRules primed = HouseRules.defaults().with("filler-base", "epoxy-primer");
        assertThat(steps(of("MILD_STEEL", "", 1.35, primed, "seam-filler")).stream()
                        .map(Step::id))
                .containsSubsequence("prime", "prime-wait", "scuff", "filler-mix-1");
        assertThat(steps(of("MILD_STEEL", "", 1.35, primed, "seam-fibre")).stream()
                        .map(Step::id))
                .doesNotContain("prime", "scuff");
        assertThat(step(of(1.35, "seam-filler"), "strip-p80").detail()).contains("4 h");
    }

    @Test
    void whatIsNotWeldedCarriesOrIsOfAluminiumIsReferred() {
        assertThat(of(1.35, "seam-filler").verdict().mends()).isTrue();
        for (String ask : List.of("metal-seam-open", "metal-seam-load", "metal-structure")) {
            assertThat(of("MILD_STEEL", ", answers: {" + ask + ": YES}", 1.35, HouseRules.defaults(), "")
                            .verdict()
                            .outcome())
                    .as(ask)
                    .isEqualTo(Verdict.Outcome.REFER);
        }
        assertThat(of("ALUMINIUM", "", 1.35, HouseRules.defaults(), "")
                        .verdict()
                        .outcome())
                .isEqualTo(Verdict.Outcome.REFER);
        assertThat(of(6.1, "").verdict().outcome()).isEqualTo(Verdict.Outcome.REFER);
    }

    @Test
    @DisplayName("a dent beside a seam is a site of its own, planned with it")
    void aDentBesideASeamIsTwoSites() {
        Workup w = TestShop.workup(
                TestShop.job(
                        SKIN.formatted("MILD_STEEL", ""),
                        seam(1.35),
                        "{kind: DENT, xMm: 200, yMm: 500, lengthMm: 90, widthMm: 80, depthMm: 2}"),
                TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
        assertThat(w.sites())
                .extracting(s -> s.said(), s -> s.method().orElseThrow())
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("Welded seam 1", MethodId.METAL_SEAM),
                        org.assertj.core.groups.Tuple.tuple("Dent 2", MethodId.METAL_DENT));
        assertThat(w.plan().orElseThrow(() -> new AssertionError(w.blockers())).broken())
                .isEmpty();
    }

    @Test
    void aLineOfWordsKnowsIt() {
        assertThat(Intake.read("steel door weld seam 220 mm").damages())
                .extracting(Intake.SaidDamage::kind)
                .containsExactly(Damage.Kind.SEAM);
    }

    private static Workup read(String places, String depths) {
        return TestShop.workup(
                Cases.taking(
                        "seam-filler",
                        TestShop.job(
                                SKIN.formatted("MILD_STEEL", ""),
                                "{kind: SEAM, trace: [340, 300, 560, 300], widthMm: 10, groundBelow: true, lines: [{places: "
                                        + places + ", depths: " + depths + "}]}")),
                TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
    }

    private static double hollowMl(Workup w) {
        return mix(w, "filler").pour().volume().hollowMl();
    }

    @Test
    @DisplayName(
            "a weld read along: as deep everywhere is the same as one depth; sunk in its middle alone it takes about half, by hand")
    void readAlong() {
        double even = hollowMl(of(1.2, "seam-filler"));
        assertThat(hollowMl(read("[0, 110, 220]", "[1.2, 1.2, 1.2]"))).isCloseTo(even, withinPercentage(0.1));
        Workup middle = read("[0, 110, 220]", "[0, 1.2, 0]");
        double past = Math.round(middle.drawing().zones().stream()
                .filter(z -> z.kind() == Zone.Kind.FILLER)
                .findFirst()
                .orElseThrow()
                .pastMm());
        // By hand: a roof of 1.2 mm over 220 mm, mean 0.6 mm, over a width of 10 mm and half of what lies past it
        // either side; no ends.
        assertThat(hollowMl(middle)).isCloseTo(220 * (10 + past) * 0.6 / 1000, withinPercentage(2));
        assertThat(mix(middle, "filler").pour().lifts())
                .isEqualTo(mix(of(1.2, "seam-filler"), "filler").pour().lifts());
    }

    private static double fillerInTheCut(Workup w) {
        return w.drawing().section().orElseThrow().layers().stream()
                .filter(l -> l.id().equals("filler"))
                .findFirst()
                .orElseThrow()
                .areaMm2();
    }

    @Test
    @DisplayName(
            "the cut along the weld shows what was read: a roof of its depth, not a trough, and nothing round its ends; by hand")
    void cutWhereItWasRead() {
        Workup even = of(1.2, "seam-filler");
        double past = even.drawing().zones().stream()
                .filter(z -> z.kind() == Zone.Kind.FILLER)
                .findFirst()
                .orElseThrow()
                .pastMm();
        double trough = 1.2 * (220 + 10 + past);
        double roof = 1.2 * 220 / 2;
        assertThat(fillerInTheCut(even) - fillerInTheCut(read("[0, 110, 220]", "[0, 1.2, 0]")))
                .isCloseTo(trough - roof, withinPercentage(3));
    }

    @ParameterizedTest(name = "a weld is read in one line along itself: {0} is refused")
    @CsvSource(
            delimiter = ';',
            value = {
                "{places: [100], depths: [1]}, {offsetMm: 2, places: [100], depths: [1]}; damages[0].lines",
                "{offsetMm: 3, places: [100], depths: [1]}; damages[0].lines",
                "{places: [100, 300], depths: [1, 1]}; damages[0].lines[0].places[1]",
                "{places: [100, 50], depths: [1, 1]}; damages[0].lines[0].places[1]",
                "{places: [100], depths: []}; damages[0].lines[0].places"
            })
    void oneLine(String lines, String field) {
        assertThat(TestShop.problems(TestShop.job(
                                SKIN.formatted("MILD_STEEL", ""),
                                "{kind: SEAM, trace: [340, 300, 560, 300], widthMm: 10, groundBelow: true, lines: ["
                                        + lines + "]}"))
                        .stream()
                        .map(InputProblem::field))
                .contains(field);
    }

    @Test
    @DisplayName(
            "over glass-fibre filler body filler goes as it comes: putty holds on steel and not on that (classes of material)")
    void notThinnedOverFibre() {
        HouseRules house = HouseRules.defaults().with("filler-thinned", "putty");
        assertThat(mix(of("MILD_STEEL", "", 1.2, house, "seam-filler"), "filler")
                        .pour()
                        .thinner())
                .isPresent();
        MixPlan over = mix(of("MILD_STEEL", "", 1.2, house, "seam-fibre"), "filler");
        assertThat(over.pour().thinner()).isEmpty();
        assertThat(over.pour().notes()).anyMatch(n -> n.startsWith("Not thinned: "));
    }
}
