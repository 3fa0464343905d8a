package vanemend.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.method.Cases;
import vanemend.core.run.RunState;
import vanemend.core.run.StillToCome;

@DisplayName("what is left of a run as blocks of a day, at every step of every way")
class LeftTest {
    private static final Person TAM =
            new Person("tam", List.of(new Span(0, 400 * AnyDay.HOUR)), EnumSet.allOf(Right.class));

    static Stream<String> recipes() {
        return Cases.all().keySet().stream();
    }

    private static Day alone(List<Task> left) {
        return new Day(
                List.of(TAM),
                List.of(new Thing("LAMP", 1), new Thing("OVEN", 1)),
                List.of(new Job("it", 0, OptionalInt.empty(), 1, left, true, false, false)),
                AnyDay.HOUR);
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void aloneItIsDoneWhenTheRunIs(String recipe) {
        DayWalk w = DayWalk.of(recipe);
        int looked = 0;
        for (RunState s = w.state(); s.current().isPresent() && s.stops().isEmpty(); s = w.state()) {
            List<Task> left = Blocks.left(s, w.plan(), w.at(), Right.ANY, Optional.of("tam"))
                    .tasks();
            Day day = alone(left);
            DayPlan plan = DayStart.firstCome(day);
            assertThat(DayCheck.faults(day, plan)).as(recipe).isEmpty();
            Instant done = StillToCome.of(s, w.at()).getLast().to();
            assertThat(plan.last() / 60.0)
                    .as("%s at %s", recipe, s.current().get())
                    .isCloseTo(Duration.between(w.at(), done).toSeconds() / 60.0, within(1.5 + left.size() / 20.0));
            looked++;
            w.next(s);
        }
        assertThat(looked).isGreaterThan(5);
    }

    @Test
    @DisplayName("hands that are at it go on with it, and nothing of another repair goes before")
    void whatIsInHandStays() {
        DayWalk w = DayWalk.of("dent-filler-putty");
        RunState s = w.state();
        List<Task> left =
                Blocks.left(s, w.plan(), w.at(), Right.ANY, Optional.of("sol")).tasks();
        assertThat(left.getFirst().only()).contains("sol");
        Person sol = new Person("sol", TAM.hours(), EnumSet.of(Right.ANY));
        Job urgent = new Job(
                "urgent",
                0,
                OptionalInt.of(10),
                9,
                List.of(new Task("a", 3_600, true, Right.ANY, true, false, List.of(), List.of())
                        .by(Optional.of("sol"))));
        Day day = new Day(
                List.of(TAM, sol),
                List.of(new Thing("LAMP", 1), new Thing("OVEN", 1)),
                List.of(urgent, new Job("it", 0, OptionalInt.empty(), 1, left, true, false, false)),
                AnyDay.HOUR);
        for (DayPlan p : List.of(DayStart.of(day, 50, 1), DayStart.firstCome(day), DayStart.oneAfterTheOther(day))) {
            assertThat(DayCheck.faults(day, p)).isEmpty();
            Map<String, Placed> first = new HashMap<>();
            p.placed().forEach(x -> first.putIfAbsent(x.job(), x));
            assertThat(first.get("it").at().from()).isZero();
            assertThat(first.get("it").person()).contains("sol");
            assertThat(first.get("urgent").at().from())
                    .isGreaterThanOrEqualTo(first.get("it").at().to());
        }
        // The checker itself sees both kinds of fault.
        DayPlan plan = DayStart.firstCome(day);
        List<Placed> turned = plan.placed().stream()
                .map(x -> x.job().equals("it")
                                && x.task().equals(left.getFirst().id())
                        ? new Placed(
                                x.job(),
                                x.task(),
                                Optional.of("tam"),
                                new Span(90_000, 90_000 + left.getFirst().seconds()))
                        : x)
                .toList();
        assertThat(DayCheck.faults(day, new DayPlan(turned, plan.left())))
                .anySatisfy(f -> assertThat(f).contains("is in the hands of sol"));
        List<Placed> later = plan.placed().stream()
                .map(x -> x.job().equals("it")
                                && x.task().equals(left.getFirst().id())
                        ? new Placed(
                                x.job(),
                                x.task(),
                                x.person(),
                                new Span(90_000, 90_000 + left.getFirst().seconds()))
                        : x)
                .toList();
        assertThat(DayCheck.faults(day, new DayPlan(later, plan.left())))
                .anySatisfy(f -> assertThat(f).contains("which is in hand"));
    }
}
