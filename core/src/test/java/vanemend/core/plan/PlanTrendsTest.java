package vanemend.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.Wait;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Cases;
import vanemend.core.method.Conditions;
import vanemend.core.mix.Portion;
import vanemend.core.trade.Air;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Text;

@DisplayName("plans answer to what causes them: colder waits longer, larger takes more, an edge takes away")
class PlanTrendsTest {
    private static Conditions shop(double airC, double rh, Instant now) {
        Conditions c = TestShop.shop(airC, HouseRules.defaults(), TestShop.fullShelf());
        return new Conditions(
                new Air(airC, rh),
                c.house(),
                c.shelf(),
                now,
                c.zone(),
                c.spreadMlPerMin(),
                new Conditions.Place(50, 0),
                c.heat());
    }

    private static Plan plan(RepairDraft d, Conditions shop) {
        Workup w = TestShop.workup(d, shop);
        return w.plan().orElseThrow(() -> new AssertionError(w.blockers().toString()));
    }

    private static Plan plan(String part, String damage) {
        return plan(TestShop.job(part, damage), shop(21, 50, TestShop.NOW));
    }

    private static Wait wait(Plan p, String id) {
        return p.waits().stream().filter(w -> w.id().equals(id)).findFirst().orElseThrow();
    }

    private static Portion portion(Plan p, String id) {
        return p.portions().stream().filter(x -> x.id().equals(id)).findFirst().orElseThrow();
    }

    private static DryingRoute route(Wait w, DryingRoute.Kind kind) {
        return w.routes().stream().filter(r -> r.kind() == kind).findFirst().orElseThrow();
    }

    private static String skirt(double wall) {
        return "{widthMm: 1600, heightMm: 420, made: {material: PLASTIC, mark: '>PP+EPDM-TD20<', thicknessMm: " + wall
                + "}}";
    }

    private static String crack(double length) {
        return "{kind: CRACK, trace: [400, 200, " + (400 + length) + ", 200], through: THROUGH, ends: BOTH}";
    }

    @Test
    void colderOrDamperNeverWaitsLessAndWarmerNeverHasMoreTimeToSpread() {
        for (Map.Entry<String, RepairDraft> e : Cases.all().entrySet()) {
            Plan warm = plan(e.getValue(), shop(22, 50, TestShop.NOW));
            // Gelcoat is used from 18 °C (label).
            Plan cool = plan(e.getValue(), shop(e.getKey().equals("gelcoat-paste") ? 18 : 15, 50, TestShop.NOW));
            Plan damp = plan(e.getValue(), shop(22, 75, TestShop.NOW));
            boolean moisture = e.getKey().equals("hairline-sealant");
            for (Wait w : warm.waits()) {
                double here = w.routes().getFirst().minutes();
                assertThat(wait(cool, w.id()).routes().getFirst().minutes())
                        .as(e.getKey() + " " + w.id())
                        .isGreaterThanOrEqualTo(here - 1e-6);
                if (!moisture) {
                    assertThat(wait(damp, w.id()).routes().getFirst().minutes())
                            .as(e.getKey() + " " + w.id())
                            .isGreaterThanOrEqualTo(here - 1e-6);
                }
            }
            for (Portion x : warm.portions()) {
                assertThat(portion(cool, x.id()).workMin()).isGreaterThanOrEqualTo(x.workMin() - 1e-9);
            }
        }
    }

    @Test
    @DisplayName(
            "below 10 °C polyester and epoxy do not cure (label): the plan is refused in words, never with a long number")
    void belowTheMinimumNothingIsPlanned() {
        for (String recipe : List.of("plastic-adhesive-cloth", "composite-epoxy", "rust-mesh", "plastic-mesh")) {
            Workup w = TestShop.workup(Cases.all().get(recipe), shop(8, 50, TestShop.NOW));
            assertThat(w.plan()).as(recipe).isEmpty();
            assertThat(w.blockers()).as(recipe).isNotEmpty();
        }
    }

    @Test
    void longerAndThickerTakesMore() {
        Seeds.forEach(40, (r, i) -> {
            double length = Seeds.between(r, 20, 300);
            double wall = Seeds.between(r, 2, 4);
            Plan p = plan(skirt(wall), crack(length));
            assertThat(portion(plan(skirt(wall), crack(length + 30)), "face").needed())
                    .isGreaterThanOrEqualTo(portion(p, "face").needed());
            assertThat(portion(plan(skirt(wall + 0.6), crack(length)), "face").needed())
                    .isGreaterThanOrEqualTo(portion(p, "face").needed());
            assertThat(portion(plan(skirt(wall), crack(length + 30)), "back").needed())
                    .isGreaterThanOrEqualTo(portion(p, "back").needed());
        });
    }

    @Test
    void aThickerLaminateHoldsMorePlies() {
        int last = 0;
        for (double wall : new double[] {2.4, 3.2, 4, 5, 6}) {
            Plan p = plan(
                    "{widthMm: 900, heightMm: 600, made: {material: COMPOSITE, composite: SMC, thicknessMm: " + wall
                            + "}}",
                    crack(80));
            int plies = (int)
                    p.pieces().stream().filter(x -> x.id().startsWith("ply-")).count();
            assertThat(plies).isGreaterThanOrEqualTo(Math.max(3, last));
            last = plies;
        }
    }

    @Test
    @DisplayName("composite epoxy at 82 °C hardens 10 to 15 min after reaching it (common practice; three label times)")
    void heatIsARouteBesideAir() {
        RepairDraft d = Cases.all().get("composite-epoxy");
        Wait w = wait(plan(d, shop(18, 50, TestShop.NOW)), "face");
        assertThat(w.routes())
                .extracting(DryingRoute::kind)
                .containsExactly(DryingRoute.Kind.AIR, DryingRoute.Kind.LAMP, DryingRoute.Kind.OVEN);
        assertThat(route(w, DryingRoute.Kind.LAMP).peakC()).isEqualTo(82);
        assertThat(route(w, DryingRoute.Kind.OVEN).peakC()).isEqualTo(60);
        Plan p = plan(Cases.dried(d, DryingRoute.Kind.LAMP, null), shop(18, 50, TestShop.NOW));
        assertThat(wait(p, "face").route().kind()).isEqualTo(DryingRoute.Kind.LAMP);
        assertThat(p.steps())
                .anyMatch(s -> s.step().title().equals("Cure the plies under the lamp")
                        && Text.plain(s.step().detail()).contains("cool to 30 °C"));
        assertThat(p.broken()).isEmpty();
    }

    @Test
    @DisplayName("each wait dries its own way: the filler under the lamp, the putty in the shop's air")
    void heatIsChosenForEachWait() {
        RepairDraft d = Cases.all().get("dent-filler-putty").drying("filler", DryingRoute.Kind.LAMP);
        Plan p = plan(d, shop(20, 50, TestShop.NOW));
        assertThat(p.mix("filler").route().kind()).isEqualTo(DryingRoute.Kind.LAMP);
        assertThat(p.mix("putty").route().kind()).isEqualTo(DryingRoute.Kind.AIR);
        Plan air = plan(Cases.all().get("dent-filler-putty"), shop(20, 50, TestShop.NOW));
        assertThat(p.mix("filler").route().minutes())
                .isLessThan(air.mix("filler").route().minutes());
        // One that this plan has not is let be.
        assertThat(plan(d.drying("cream", DryingRoute.Kind.OVEN), shop(20, 50, TestShop.NOW))
                        .mixes())
                .isEqualTo(p.mixes());
    }

    @Test
    @DisplayName("a plastic's lamp stays 5 K below its heat limit (55 °C for PP+EPDM, recalled): 45 °C, and no oven")
    void capsByPartAndByMaterial() {
        Wait w = wait(plan(skirt(3), crack(80)), "face");
        assertThat(route(w, DryingRoute.Kind.LAMP).peakC()).isLessThanOrEqualTo(50);
        assertThat(w.routes()).noneMatch(r -> r.kind() == DryingRoute.Kind.OVEN);
    }

    @Test
    @DisplayName(
            "glass resin, careful school: 15 min in summer sun, longer in winter, 60 under cloud and more under a low one, the lamp at night (common practice)")
    void lightByTheHour() {
        RepairDraft d = Cases.all().get("chip-vacuum");
        Wait june = wait(plan(d, shop(20, 50, Instant.parse("2026-06-21T12:00:00Z"))), "light");
        Wait december = wait(plan(d, shop(20, 50, Instant.parse("2026-12-21T12:00:00Z"))), "light");
        Wait night = wait(plan(d, shop(20, 50, Instant.parse("2026-06-21T00:00:00Z"))), "light");
        assertThat(route(june, DryingRoute.Kind.SUN).minutes()).isEqualTo(15);
        double winter = route(december, DryingRoute.Kind.SUN).minutes();
        assertThat(winter).isGreaterThan(18);
        assertThat(route(june, DryingRoute.Kind.CLOUD).minutes()).isEqualTo(60);
        assertThat(route(december, DryingRoute.Kind.CLOUD).minutes()).isCloseTo(4 * winter, within(1e-6));
        assertThat(route(night, DryingRoute.Kind.SUN).cures()).isFalse();
        assertThat(route(night, DryingRoute.Kind.SUN).note())
                .contains("the sun is down")
                .contains("take the lamp");
        assertThat(night.route().kind()).isEqualTo(DryingRoute.Kind.UV_LAMP);
    }

    @Test
    @DisplayName(
            "light planned for a winter noon takes that noon's minutes, whenever it is planned; a time gone by is not planned on")
    void lightAtAnHourToCome() {
        RepairDraft chip = Cases.all().get("chip-vacuum");
        Instant planned = Instant.parse("2026-06-21T23:00:00Z");
        Instant noon = Instant.parse("2026-12-21T12:00:00Z");
        Wait then = wait(plan(Cases.dried(chip, DryingRoute.Kind.SUN, noon), shop(20, 50, planned)), "light");
        assertThat(plan(Cases.dried(chip, DryingRoute.Kind.SUN, noon), shop(20, 50, planned))
                        .steps())
                .as("the step says for which sun its minutes hold")
                .anyMatch(p -> p.step().id().equals("light")
                        && Text.plain(p.step().detail())
                                .contains(
                                        "Planned on: sun 17° high then, pane taken as level. Lower, it takes longer"));
        Wait there = wait(plan(Cases.dried(chip, DryingRoute.Kind.SUN, null), shop(20, 50, noon)), "light");
        assertThat(then.route().kind()).isEqualTo(DryingRoute.Kind.SUN);
        assertThat(then.route().minutes()).isEqualTo(there.route().minutes());
        // 50° north: 90 − 50 − 23.44 = 16.56 (textbook).
        assertThat(Text.plain(then.route().note())).contains("sun 17° high then");
        Wait late =
                wait(plan(Cases.dried(chip, DryingRoute.Kind.SUN, noon), shop(20, 50, noon.plusSeconds(60))), "light");
        assertThat(Text.plain(late.route().note())).contains("sun 17° high now (the time given is past)");
    }

    @Test
    void zonesStopAtAFeatureLineThatTheWorkDoesNotCross() {
        String lined =
                "{widthMm: 1600, heightMm: 420, made: {material: PLASTIC, mark: '>PP+EPDM-TD20<', thicknessMm: 3},"
                        + " bodyLines: [{name: styling line, x1Mm: 0, y1Mm: 290, x2Mm: 1600, y2Mm: 290}]}";
        Workup w = TestShop.workup(TestShop.job(lined, crack(80)), shop(21, 50, TestShop.NOW));
        DrawnZone fine = w.drawing().zones().stream()
                .filter(z -> z.kind() == Zone.Kind.FINE_320)
                .findFirst()
                .orElseThrow();
        double top = 0;
        for (int i = 1; i < fine.rings().getFirst().xy().size(); i += 2) {
            top = Math.max(top, fine.rings().getFirst().xy().get(i));
        }
        assertThat(top).isCloseTo(290, within(0.2));
        assertThat(w.drawing().flags()).anyMatch(f -> f.contains("stops at the styling line"));
    }

    @Test
    @DisplayName("dew point gate before the first promoter or primer: 3 K over it (ISO 8502-4's guidance)")
    void dewIsAskedOnceBeforeTheFirstCoat() {
        Plan p = plan(Cases.all().get("plastic-adhesive-cloth"), shop(20, 50, TestShop.NOW));
        List<String> ids = p.steps().stream().map(s -> s.step().id()).toList();
        assertThat(ids.stream().filter("dew"::equals).count()).isEqualTo(1);
        assertThat(ids.indexOf("dew")).isEqualTo(ids.indexOf("back-promoter") - 1);
        // 20 °C and 50 % have their dew point at 9.3 °C.
        assertThat(Text.plain(p.steps()
                        .get(ids.indexOf("dew"))
                        .step()
                        .gate()
                        .orElseThrow()
                        .question()))
                .isEqualTo("Surface at 12.3 °C or more, and dry?");
    }

    @Test
    void anApprenticeNeverNeedsFewerGoes() {
        RepairDraft d = TestShop.job(skirt(3.2), crack(400));
        Conditions fast = shop(21, 50, TestShop.NOW);
        Conditions slow = new Conditions(
                fast.air(), fast.house(), fast.shelf(), fast.now(), fast.zone(), 8, fast.place(), fast.heat());
        assertThat(portion(plan(d, slow), "face").batches())
                .isGreaterThan(portion(plan(d, fast), "face").batches());
        assertThat(plan(d, slow).steps())
                .anyMatch(s -> s.step().title().contains(", go 2 of")
                        && s.step().detail().startsWith("Fresh mixer"));
    }
}
