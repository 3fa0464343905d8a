package vanemend.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.TestShop;
import vanemend.core.method.Act;
import vanemend.core.method.Cases;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;

@DisplayName(
        "a plan as blocks of a day: all hands, all waits, nothing live cut; by itself it takes as long as the plan says")
class BlocksTest {
    private static Plan plan(String recipe) {
        return TestShop.workup(Cases.all().get(recipe), TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()))
                .plan()
                .orElseThrow();
    }

    static Stream<String> recipes() {
        return Cases.all().keySet().stream();
    }

    private static Person person(String id, Right... not) {
        Set<Right> may = EnumSet.allOf(Right.class);
        may.removeAll(List.of(not));
        return new Person(id, List.of(new Span(0, 400 * AnyDay.HOUR)), may);
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void aloneItTakesWhatThePlanSays(String recipe) {
        Plan p = plan(recipe);
        List<Task> blocks = Blocks.of(p, Right.ANY).tasks();
        double hands =
                blocks.stream().filter(Task::hands).mapToInt(Task::seconds).sum() / 60.0;
        assertThat(hands).isCloseTo(p.activeMin(), within(1 + blocks.size() / 60.0));
        Day day = new Day(
                List.of(person("Tam")),
                List.of(new Thing("LAMP", 1), new Thing("OVEN", 1)),
                List.of(new Job(recipe, 0, OptionalInt.empty(), 1, blocks)),
                AnyDay.HOUR);
        DayPlan laid = DayStart.firstCome(day);
        assertThat(DayCheck.faults(day, laid)).isEmpty();
        assertThat(laid.last() / 60.0).isCloseTo(p.totalMin(), within(1 + blocks.size() / 30.0));
        assertThat(blocks.stream().filter(t -> t.right() == Right.LIVE)).noneMatch(Task::cuttable);
    }

    @ParameterizedTest
    @MethodSource("recipes")
    @DisplayName("what covers a promoter, and what is done while something tacks, cannot be left over lunch")
    void windowsAreKept(String recipe) {
        Plan p = plan(recipe);
        List<Task> blocks = Blocks.of(p, Right.ANY).tasks();
        for (Act late : List.of(Act.UNIT, Act.TAPE_WHILE_TACKY)) {
            blockWith(p, blocks, late)
                    .ifPresent(b -> assertThat(b.links())
                            .as("%s, %s", recipe, late)
                            .anyMatch(l -> l.binds() && l.most() == l.least() && l.sameHands()));
        }
        Map<Act, Act> coats =
                Map.of(Act.PROMOTE, Act.APPLY_FACE, Act.PROMOTE_BACK, Act.APPLY_BACK, Act.PROMOTE_PATCH, Act.PATCH);
        coats.forEach((coat, covers) -> {
            if (blockWith(p, blocks, coat).isPresent()) {
                blockWith(p, blocks, covers).ifPresent(b -> {
                    assertThat(b.links()).as("%s, %s", recipe, covers).anyMatch(Link::binds);
                    // At most what the book has, by itself and with the least waits kept.
                    assertThat(b.links().stream().filter(Link::binds).mapToInt(Link::most))
                            .allMatch(most -> most <= 3600 * TradeBook.value("promoter.covered"));
                });
            }
        });
    }

    /** The first block in which a step does {@code act}. */
    private static Optional<Task> blockWith(Plan p, List<Task> blocks, Act act) {
        List<String> begins = blocks.stream().map(Task::id).toList();
        String at = "";
        for (PlannedStep s : p.steps()) {
            at = begins.contains(s.step().id()) ? s.step().id() : at;
            if (s.step().acts().contains(act)) {
                return Optional.of(blocks.get(begins.indexOf(at)));
            }
        }
        return Optional.empty();
    }

    @Test
    @DisplayName("cement that would tack at lunch is not laid before it")
    void noLunchOnTackyCement() {
        List<Task> blocks = Blocks.of(plan("tyre-one-piece"), Right.ANY).tasks();
        int unit = IntStream.range(0, blocks.size())
                .filter(i -> blocks.get(i).links().stream().anyMatch(Link::binds))
                .findFirst()
                .orElseThrow();
        Task cement = blocks.stream()
                .filter(t -> t.id().equals(blocks.get(unit).links().stream()
                        .filter(Link::binds)
                        .findFirst()
                        .orElseThrow()
                        .from()))
                .findFirst()
                .orElseThrow();
        // The morning ends a minute after the cement would be on.
        int before = DayStart.firstCome(new Day(
                        List.of(person("Tam")),
                        List.of(),
                        List.of(new Job("tyre", 0, OptionalInt.empty(), 1, blocks)),
                        0))
                .placed()
                .stream()
                .filter(p -> p.task().equals(cement.id()))
                .mapToInt(p -> p.at().to())
                .sum();
        Person tam = new Person(
                "Tam",
                List.of(new Span(0, before + 60), new Span(before + 1800, before + 40 * AnyDay.HOUR)),
                EnumSet.allOf(Right.class));
        Day day = new Day(
                List.of(tam), List.of(), List.of(new Job("tyre", 0, OptionalInt.empty(), 1, blocks)), AnyDay.HOUR);
        DayPlan laid = DayStart.firstCome(day);
        assertThat(DayCheck.faults(day, laid)).isEmpty();
        Map<String, Span> at = laid.placed().stream().collect(Collectors.toMap(Placed::task, Placed::at));
        assertThat(at.get(blocks.get(unit).id()).from() - at.get(cement.id()).to())
                .isLessThan(10 * 60);
        assertThat(at.get(cement.id()).to()).isGreaterThan(before);
    }

    @Test
    @DisplayName(
            "twelve repairs of all families with two technicians, an apprentice, a lamp and an oven: packed around their cures")
    void aMixedDay() {
        List<String> twelve = List.of(
                "dent-filler-putty",
                "dent-putty-alone",
                "seam-filler",
                "rust-pits",
                "run-machine",
                "composite-epoxy",
                "tyre-one-piece",
                "plastic-adhesive-cloth",
                "plastic-mesh",
                "weld-finish",
                "trim",
                "chip-vacuum");
        List<Job> jobs = new ArrayList<>();
        for (String recipe : twelve) {
            jobs.add(new Job(
                    recipe,
                    0,
                    OptionalInt.empty(),
                    1,
                    Blocks.of(plan(recipe), Right.ANY).tasks()));
        }
        Day day = new Day(
                List.of(person("Tam"), person("Isla"), person("Sol", Right.LIVE, Right.GLASS, Right.TYRE)),
                List.of(new Thing("LAMP", 1), new Thing("OVEN", 1)),
                jobs,
                AnyDay.HOUR);
        int inARow = DayStart.oneAfterTheOther(day).last();
        int first = DayStart.firstCome(day).last();
        DayPlan found = DayStart.of(day, 300, 20261130);
        assertThat(DayCheck.faults(day, found)).isEmpty();
        assertThat(found.left()).isEmpty();
        assertThat(found.last()).isLessThanOrEqualTo(first);
        assertThat(found.last()).isLessThanOrEqualTo(inARow * 40 / 100);
    }
}
