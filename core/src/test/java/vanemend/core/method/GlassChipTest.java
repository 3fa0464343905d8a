package vanemend.core.method;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vanemend.core.TestShop;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.DryingRoute.Kind;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.RepairDraft.PaneDraft;
import vanemend.core.trade.HouseRules;

@DisplayName("a windscreen chip: counted, looked at, by zone, in the light that is there")
class GlassChipTest {
    private static final Instant SUMMER_NOON = Instant.parse("2027-06-21T12:00:00Z");

    private static Plan plan(RepairDraft d, HouseRules house) {
        return TestShop.workup(d, TestShop.shop(21, house, TestShop.fullShelf()))
                .plan()
                .orElseThrow();
    }

    private static RepairDraft inSight() {
        return TestShop.job(
                "{name: Windscreen, widthMm: 2100, heightMm: 1150, made: {material: GLASS, stamp: II, wheelXMm: 700}}",
                "{kind: CHIP, xMm: 640, yMm: 520, lengthMm: 6, chip: {type: STAR, spanMm: 9, pitMm: 2.5, inSweep: true}}");
    }

    private static Step step(Plan p, String id) {
        return p.steps().stream()
                .map(PlannedStep::step)
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(strings = {"chip-vacuum", "chip-pressure"})
    @DisplayName("each fill states its own drops, the bead's are counted apart")
    void countedDown(String recipe) {
        Plan p = plan(Cases.all().get(recipe), HouseRules.defaults());
        assertThat(step(p, "load").amount()).contains("6 drops");
        assertThat(step(p, "load").kind())
                .as("no mix that is spread or scrapped")
                .isEqualTo(Step.Kind.DO);
        assertThat(step(p, "last-bead").amount()).contains("3 drops");
        assertThat(p.loops().stream().flatMap(l -> l.steps().stream()))
                .anySatisfy(s -> assertThat(s.amount()).contains("4 drops"));
        assertThat(p.ladder().rungs()).isEmpty();
    }

    @Test
    @DisplayName(
            "under vacuum the air comes in with the plunger locked, as a step of its own, before anything is pressed")
    void airIn() {
        List<String> ids = plan(Cases.all().get("chip-vacuum"), HouseRules.defaults()).steps().stream()
                .map(s -> s.step().id())
                .toList();
        assertThat(ids).containsSubsequence("seat", "seal", "load", "vacuum", "air-in", "pressure", "air");
    }

    @Test
    @DisplayName("a mark is good enough outside the driver's view; inside it, it stops the hand-over")
    void lastGateByZone() {
        assertThat(branches(Cases.all().get("chip-pressure"))).doesNotContain("mark");
        assertThat(branches(inSight())).contains("mark");
    }

    private static Stream<String> branches(RepairDraft d) {
        return step(plan(d, HouseRules.defaults()), "final").gate().orElseThrow().branches().stream()
                .map(Gate.Branch::id);
    }

    @Test
    @DisplayName("careful is the house's own; the model alone asks for the meter before the film comes off")
    void lightBySchool() {
        RepairDraft sun = Cases.dried(Cases.all().get("chip-pressure"), Kind.SUN, SUMMER_NOON);
        assertThat(minutes(sun, "careful", Kind.SUN)).isEqualTo(15);
        assertThat(minutes(sun, "label", Kind.SUN)).isEqualTo(10);
        assertThat(minutes(sun, "model", Kind.SUN)).isBetween(5.0, 10.0);
        for (String school : List.of("careful", "label", "model")) {
            assertThat(minutes(sun, school, Kind.CLOUD)).isEqualTo(60);
            Plan p = plan(sun, HouseRules.defaults().with("chip-light", school));
            assertThat(step(p, "light").gate().orElseThrow().reads().isEmpty()).isEqualTo(!school.equals("model"));
        }
    }

    @Test
    @DisplayName("a pane in its own shade is not cured in that sun, and the plan says to turn the vehicle")
    void turnTheVehicle() {
        RepairDraft sun = Cases.dried(Cases.all().get("chip-pressure"), Kind.SUN, SUMMER_NOON);
        Plan away = plan(facing(sun, 80, 0), HouseRules.defaults());
        assertThat(route(away, Kind.SUN).cures()).isFalse();
        assertThat(route(away, Kind.SUN).note()).contains("turn the vehicle");
        assertThat(away.waits().getFirst().route().kind()).isEqualTo(Kind.UV_LAMP);
        Plan to = plan(facing(sun, 30, 180), HouseRules.defaults());
        assertThat(to.waits().getFirst().route().kind()).isEqualTo(Kind.SUN);
    }

    private static RepairDraft facing(RepairDraft d, double slope, double faces) {
        return d.facing(new PaneDraft(slope, faces));
    }

    private static double minutes(RepairDraft d, String school, Kind by) {
        return route(plan(d, HouseRules.defaults().with("chip-light", school)), by)
                .minutes();
    }

    private static DryingRoute route(Plan p, Kind by) {
        return p.waits().getFirst().routes().stream()
                .filter(r -> r.kind() == by)
                .findFirst()
                .orElseThrow();
    }
}
