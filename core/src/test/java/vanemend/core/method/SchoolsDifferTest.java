package vanemend.core.method;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.TestShop;
import vanemend.core.cure.DryingRoute;
import vanemend.core.plan.Plan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Text;

@DisplayName(
        "what each school changes in a plan, line by line; a school that changes nothing is none (common practice)")
class SchoolsDifferTest {
    private static final Path KEPT = Path.of("src/test/resources/plans/schools");

    /** Schools that are no way to mend of their own: those have a plan each. */
    static Stream<Arguments> turned() {
        List<Arguments> out = new ArrayList<>();
        for (HouseRules.School s : HouseRules.schools()) {
            boolean ways = Recipe.all().stream().anyMatch(r -> r.schools().containsKey(s.id()));
            boolean verdict = s.stations().contains("verdict");
            if (ways || verdict) {
                continue;
            }
            s.options().stream()
                    .filter(o -> o.planned() && !o.id().equals(s.defaultOption()))
                    .forEach(o -> out.add(Arguments.of(s.id(), o.id())));
        }
        return out.stream();
    }

    private static String caseFor(HouseRules.School s) {
        return s.methods().isEmpty()
                ? s.materials().contains("TYRE") ? "tyre-one-piece" : "plastic-adhesive-cloth"
                : Recipe.all().stream()
                        .filter(r -> r.method() == s.methods().getFirst())
                        .map(Recipe::id)
                        .findFirst()
                        .orElseThrow();
    }

    /** A school of light is one under the sun; under the lamp its label alone speaks. */
    private static RepairDraft where(String question, RepairDraft d) {
        return question.equals("chip-light")
                ? Cases.dried(d, DryingRoute.Kind.SUN, Instant.parse("2027-06-21T12:00:00Z"))
                : d;
    }

    private static List<String> lines(RepairDraft d, HouseRules house, double airC) {
        Workup w = TestShop.workup(d, TestShop.shop(airC, house, TestShop.fullShelf()));
        Plan p = w.plan().orElseThrow(() -> new AssertionError(w.blockers().toString()));
        assertThat(p.broken()).isEmpty();
        List<String> out = new ArrayList<>();
        p.mixes()
                .forEach(m -> out.add(m.title() + ": " + m.pour().fillerG() + " g, cream "
                        + m.pour().creamG() + " g"));
        p.ladder()
                .rungs()
                .forEach(r -> out.add(r.stage() + ", " + r.paper() + ", " + r.zone() + ", "
                        + r.tool().word()));
        Map<String, Step> all = new LinkedHashMap<>();
        p.steps().forEach(s -> all.put(s.step().id(), s.step()));
        p.loops().forEach(l -> l.steps().forEach(s -> all.put(l.id() + "/" + s.id(), s)));
        all.forEach((id, s) -> out.add("[" + id + "] " + s.title() + ": " + s.detail()
                + (s.paper().isEmpty() || s.title().contains(s.paper()) ? "" : " ▤ " + s.paper())
                + s.clock()
                        .map(c -> " ⏱ " + Math.round(c.minutes() * 10) / 10.0 + " min, " + c.note())
                        .orElse("")));
        return out.stream().map(Text::plain).toList();
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("turned")
    void changesWhatIsKept(String question, String option) throws IOException {
        String way = option.equals("whole-paint") ? "dent-putty-alone" : caseFor(HouseRules.school(question));
        RepairDraft d = where(question, Cases.all().get(way));
        // What follows the air shows where that is not the label's own.
        double airC = option.equals("by-air") ? 18 : 21;
        List<String> house = lines(d, HouseRules.defaults(), airC);
        List<String> other = lines(d, HouseRules.defaults().with(question, option), airC);
        StringBuilder now = new StringBuilder(question + ": " + option + ", on " + way + "\n");
        house.stream()
                .filter(l -> !other.contains(l))
                .forEach(l -> now.append("- ").append(l).append('\n'));
        other.stream()
                .filter(l -> !house.contains(l))
                .forEach(l -> now.append("+ ").append(l).append('\n'));
        assertThat(now.toString().lines().count()).as("lines that differ").isGreaterThan(1);
        Path file = KEPT.resolve(question + "--" + option + ".txt");
        if (Boolean.getBoolean("vanemend.write")) {
            Files.createDirectories(KEPT);
            Files.writeString(file, now);
        }
        assertThat(now).hasToString(Files.readString(file));
    }

    @ParameterizedTest
    @MethodSource("ways")
    void aSchoolThatIsAWayToMendHasAPlanOfItsOwn(String question, String option) {
        Optional<Recipe> r = Recipe.all().stream()
                .filter(x -> option.equals(x.schools().get(question)))
                .findFirst();
        assertThat(r).isPresent();
        assertThat(Cases.all()).containsKey(r.get().id());
    }

    static Stream<Arguments> ways() {
        return HouseRules.schools().stream()
                .filter(s -> Recipe.all().stream().anyMatch(r -> r.schools().containsKey(s.id())))
                .flatMap(s ->
                        s.options().stream().filter(HouseRules.Option::planned).map(o -> Arguments.of(s.id(), o.id())));
    }
}
