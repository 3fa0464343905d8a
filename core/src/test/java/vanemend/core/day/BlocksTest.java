package vanemend.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.TestShop;
import vanemend.core.method.Cases;
import vanemend.core.plan.Plan;
import vanemend.core.trade.HouseRules;

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
