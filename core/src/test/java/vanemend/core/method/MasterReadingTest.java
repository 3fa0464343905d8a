package vanemend.core.method;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.TestShop;
import vanemend.core.mix.Portion;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

/** What a master looks for before reading a word: a kept plan that is written anew is held against this too. */
@DisplayName(
        "every plan read as a master would: order, gates, cautions at the first step that needs them (common practice)")
class MasterReadingTest {
    /** Laid wet or sticky on the part: it goes off, and its reach ends in time. */
    private static final Set<Act> LAID =
            EnumSet.of(Act.APPLY_BACK, Act.APPLY_FACE, Act.FIBRE_FILLER, Act.BODY_FILLER, Act.FINISH_COAT, Act.SHIELD);

    static Stream<String> recipes() {
        return Stream.concat(Recipe.all().stream().map(Recipe::id), Cases.ways().keySet().stream());
    }

    private static Plan plan(String recipe) {
        Cases.Way w =
                Cases.ways().getOrDefault(recipe, new Cases.Way(Cases.all().get(recipe), HouseRules.defaults()));
        return TestShop.workup(w.draft(), TestShop.shop(21, w.house(), TestShop.fullShelf()))
                .plan()
                .orElseThrow();
    }

    private static List<Step> steps(String recipe) {
        return plan(recipe).steps().stream().map(PlannedStep::step).toList();
    }

    private static boolean does(Step s, Set<Act> some) {
        return s.acts().stream().anyMatch(some::contains);
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void itIsCleanedOrLookedAtBeforeAnythingElse(String recipe) {
        List<Step> all = steps(recipe);
        int first = first(all, s -> does(s, EnumSet.of(Act.CLEAN, Act.MARK_OUTSIDE)) || s.kind() == Step.Kind.GATE);
        int touched =
                first(all, s -> does(s, LAID) || does(s, EnumSet.of(Act.SAND_FACE, Act.SAND_BACK, Act.DISH, Act.BUFF)));
        assertThat(first).isLessThan(3);
        assertThat(touched).as("sanded or laid").isGreaterThan(first);
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void nothingThatHandsDoIsOverInSeconds(String recipe) {
        assertThat(steps(recipe))
                .filteredOn(s -> s.activeMin() > 0)
                .allSatisfy(s -> assertThat(s.activeMin()).as(s.id()).isGreaterThanOrEqualTo(1));
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void whatIsLaidIsCuredByClockAndSignBeforePaperTouchesIt(String recipe) {
        List<Step> all = steps(recipe);
        boolean soft = false;
        for (Step s : all) {
            if (s.acts().contains(Act.PAPER)) {
                assertThat(soft).as(s.id() + " on what is not cured").isFalse();
            }
            if (does(s, EnumSet.of(Act.CURE_FACE, Act.CURE_BACK, Act.RESIN_24H))) {
                assertThat(s.gate().isPresent() || s.kind() == Step.Kind.DO)
                        .as(s.id() + " asks for its sign")
                        .isTrue();
                soft = false;
            }
            soft |= does(s, LAID) && !s.acts().contains(Act.SHIELD);
        }
        assertThat(soft).as("something is left soft at the end").isFalse();
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void whatGoesOffIsMixedOnlyOnceAllIsLaidOut(String recipe) {
        List<Step> all = steps(recipe);
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).kind() == Step.Kind.MIX) {
                Step mix = all.get(i);
                assertThat(mix.asks()).contains(Quantity.FILLER_G, Quantity.CREAM_G);
                assertThat(mix.clock().map(Step.Clock::kind)).hasValue(Step.Clock.Kind.BY);
                assertThat(all.subList(0, i)).anyMatch(s -> s.acts().contains(Act.STIR));
                assertThat(all.get(i + 1).kind()).as("spread at once").isEqualTo(Step.Kind.SPREAD);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void theCautionStandsAtTheFirstStepThatNeedsIt(String recipe) {
        Set<String> said = new HashSet<>();
        for (Step s : steps(recipe)) {
            s.cautions().forEach(c -> said.add(c.id()));
            boolean wet = s.asks().contains(Quantity.CREAM_G);
            if (wet) {
                assertThat(said).as(s.id()).contains("styrene", "peroxide");
            }
            if (s.kind() == Step.Kind.SAND) {
                assertThat(said).as(s.id()).containsAnyOf("dust", "buffing", "fibre-dust");
            }
            if (s.acts().contains(Act.EQUALISE) || s.acts().contains(Act.HAND_MIX)) {
                boolean paste = said.contains("liquid-peroxide") && said.contains("styrene");
                assertThat(paste || said.contains("epoxy")).as(s.id()).isTrue();
            }
            if (s.acts().contains(Act.HEAT)) {
                assertThat(said).as(s.id()).contains("lamp");
            }
            if (s.acts().contains(Act.OBJECT_OUT)) {
                assertThat(said).as(s.id()).contains("tyre");
            }
            if (s.acts().contains(Act.SEALANT)) {
                assertThat(said).as(s.id()).contains("isocyanate");
            }
        }
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void itIsLookedAtBeforeItIsHandedOver(String recipe) {
        List<Step> all = steps(recipe);
        Step last = all.getLast();
        assertThat(last.acts()).as("handed over last").contains(Act.READY);
        assertThat(all.stream().filter(s -> s.acts().contains(Act.READY))).hasSize(1);
        assertThat(all.stream().filter(s -> s.gate().isPresent()).count())
                .as("looks")
                .isGreaterThanOrEqualTo(2);
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void papersGoFromCoarseToFineOnEachLayer(String recipe) {
        Plan p = plan(recipe);
        String leg = "";
        double before = Double.MAX_VALUE;
        for (var r : p.ladder().rungs()) {
            before = r.leg().equals(leg) ? before : Double.MAX_VALUE;
            assertThat(r.grainUm()).as(r.id()).isLessThan(before);
            before = r.grainUm();
            leg = r.leg();
        }
    }

    private static int first(List<Step> all, java.util.function.Predicate<Step> is) {
        for (int i = 0; i < all.size(); i++) {
            if (is.test(all.get(i))) {
                return i;
            }
        }
        return all.size();
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void aSecondRoundIsMixedOrPurgedAnewToo(String recipe) {
        Plan p = plan(recipe);
        Set<String> twoPart = p.portions().stream()
                .filter(x -> EnumSet.of(Portion.Form.CARTRIDGE, Portion.Form.HAND_MIXED, Portion.Form.LAMINATE)
                        .contains(x.form()))
                .map(Portion::id)
                .collect(Collectors.toSet());
        assertThat(p.loops()).allSatisfy(loop -> {
            boolean fresh = false;
            for (Step s : loop.steps()) {
                fresh |= does(s, EnumSet.of(Act.EQUALISE, Act.HAND_MIX));
                if (s.kind() == Step.Kind.SPREAD && twoPart.contains(s.portion())) {
                    assertThat(fresh).as(loop.id() + "/" + s.id()).isTrue();
                }
            }
        });
    }

    /** What goes over a promoter, a primer or a coat of colour has its window: nobody is told to leave it as long as he likes. */
    @ParameterizedTest
    @MethodSource("recipes")
    void onlyWhatCuresMayBeLeftLonger(String recipe) {
        Plan p = plan(recipe);
        Stream.concat(
                        p.steps().stream().map(PlannedStep::step),
                        p.loops().stream().flatMap(l -> l.steps().stream()))
                .filter(s -> s.kind() == Step.Kind.WAIT)
                .filter(s -> does(s, EnumSet.of(Act.FLASH, Act.FLASH_BACK, Act.FLASH_PATCH, Act.FLASH_SEAL)))
                .flatMap(s -> s.gate().orElseThrow().branches().stream())
                .forEach(b -> assertThat(b.loop()).isNotEqualTo("wait-again"));
    }

    /** Each go on film is laid in before the next: what comes first lies at the bottom, and there the smallest plies belong. */
    @Test
    void onFilmTooTheSmallestPliesLieAtTheBottom() {
        List<String> goes = steps("composite-epoxy-film").stream()
                .filter(s -> s.id().startsWith("plies-"))
                .map(s -> Text.plain(s.detail()))
                .toList();
        assertThat(goes).hasSizeGreaterThan(1);
        assertThat(goes.getFirst()).containsPattern("Ply 1\\.|Plies \\d+ to 1\\.");
        assertThat(goes.getLast()).containsPattern("Ply 5\\.|Plies 5 to \\d+\\.");
    }
}
