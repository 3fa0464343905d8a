package vanemend.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.cure.DryingRoute;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Cases;
import vanemend.core.method.Watch;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.stack.RankedStack;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

@DisplayName("the rule book and the plan speak as one: what is judged is what is cut, asked and heated")
class OneSumTest {
    private static Workup workup(RepairDraft d) {
        return TestShop.workup(d, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
    }

    private static String margin(Workup w, String rule) {
        return w.verdict().findings().stream()
                .filter(f -> f.ruleId().equals(rule))
                .map(f -> Text.plain(f.margin()))
                .findFirst()
                .orElseThrow();
    }

    private static double past(Workup w, Zone.Kind kind) {
        return w.drawing().zones().stream()
                .filter(z -> z.kind() == kind)
                .findFirst()
                .orElseThrow()
                .pastMm();
    }

    @Test
    @DisplayName("rust: the opening that is judged is the one that the plan cuts, and mesh reaches past that one")
    void rust() {
        Seeds.forEach(25, (r, i) -> {
            double length = Math.round(Seeds.between(r, 20, 40));
            double past = Math.round(Seeds.between(r, 0, 14));
            Workup w = workup(TestShop.job(
                    "{name: Wheel arch, widthMm: 1100, heightMm: 620, gaugeMm: 0.8, made: {material: METAL}, metal: MILD_STEEL}",
                    "{kind: RUST_HOLE, xMm: 600, yMm: 330, lengthMm: " + length + ", widthMm: 18, rustPastMm: " + past
                            + "}"));
            double cut = length + 2 * past(w, Zone.Kind.RUST);
            double judged = length + 2 * (past + 3);
            assertThat(w.plan()).isPresent();
            assertThat(cut).isCloseTo(judged, within(1e-9));
            assertThat(margin(w, "metal-hole")).startsWith(Text.plain(Text.of(judged, "mm")));
            assertThat(past(w, Zone.Kind.MESH) - past(w, Zone.Kind.RUST)).isCloseTo(25, within(1e-9));
        });
    }

    @Test
    @DisplayName("depth: the gate asks for the depth that was judged, and stops at the judge's own limit")
    void depth() {
        for (double deep : new double[] {2.2, 3, 3.1, 4.2, 6}) {
            Workup w = workup(TestShop.repair(TestShop.door(), TestShop.dent(340, 240, 120, 100, deep)));
            List<Watch> watches = w.plan().orElseThrow().steps().stream()
                    .flatMap(s -> s.step().watches().stream())
                    .filter(x -> x.quantity() == Quantity.DEPTH_MM)
                    .toList();
            assertThat(watches).anySatisfy(x -> {
                assertThat(x.sense()).isEqualTo(Watch.Sense.PLANNED);
                assertThat(x.limit()).isEqualTo(deep);
            });
            assertThat(watches)
                    .filteredOn(x -> x.weight().stops())
                    .extracting(Watch::limit)
                    .containsExactly(Limits.rule("metal-depth").upTo().orElseThrow());
        }
        assertThat(workup(TestShop.repair(TestShop.door(), TestShop.dent(340, 240, 120, 100, 6.1)))
                        .plan())
                .isEmpty();
    }

    @Test
    @DisplayName("time: what a way is ranked by is what its own plan adds up to")
    void time() {
        for (Recipe r : Recipe.all()) {
            Workup w = workup(Cases.all().get(r.id()));
            w.plan().ifPresent(p -> {
                RankedStack mine = w.stack().ranked().stream()
                        .filter(s -> s.recipe().equals(p.recipe()))
                        .findFirst()
                        .orElseThrow();
                assertThat(mine.terms())
                        .filteredOn(t -> t.id().equals("hands-on"))
                        .singleElement()
                        .satisfies(t -> {
                            assertThat(t.value()).isCloseTo(45 / (45 + p.activeMin()), within(1e-9));
                            assertThat(Text.plain(t.said())).isEqualTo((long) Math.ceil(p.activeMin() - 1e-9) + " min");
                        });
                assertThat(mine.terms())
                        .filteredOn(t -> t.id().equals("elapsed"))
                        .singleElement()
                        .satisfies(t -> assertThat(t.value())
                                .isCloseTo(60 / (60 + Math.max(0, p.totalMin() - p.activeMin())), within(1e-9)));
            });
        }
    }

    @Test
    @DisplayName("heat: what is judged is the hottest of the plan's own waits, not a lamp that none of them has")
    void heatThatIsPlanned() {
        RepairDraft d = Cases.all().get("plastic-adhesive-cloth");
        Workup lamp = workup(Cases.dried(d, DryingRoute.Kind.LAMP, null));
        double hottest = lamp.plan().orElseThrow().waits().stream()
                .mapToDouble(w -> w.route().peakC())
                .max()
                .orElseThrow();
        assertThat(hottest).isGreaterThan(40);
        assertThat(margin(lamp, "plastic-heat"))
                .startsWith("surface planned at " + Text.plain(Text.underMost(hottest, "°C", false)));
        // A way that was chosen for a wait that this plan does not have warms nothing.
        Workup stale = workup(new RepairDraft(
                d.part(),
                d.damages(),
                d.pins(),
                null,
                d.houseRules(),
                null,
                null,
                d.recipe(),
                null,
                null,
                null,
                d.pane(),
                Map.of("no-such-wait", DryingRoute.Kind.LAMP),
                null));
        assertThat(margin(stale, "plastic-heat"))
                .startsWith("surface planned at " + Text.plain(Text.underMost(21, "°C", false)));
    }

    @Test
    @DisplayName("heat: no way to dry of any plan is hotter than the part stands, by the figure that the verdict has")
    void heat() {
        for (Recipe r : Recipe.all()) {
            RepairDraft d = Cases.dried(Cases.all().get(r.id()), DryingRoute.Kind.LAMP, null);
            Workup w = workup(d);
            w.identity()
                    .heatCapC()
                    .ifPresent(cap -> w.plan().orElseThrow().waits().stream()
                            .flatMap(x -> x.routes().stream())
                            .filter(x -> x.kind().heats() && x.cures())
                            .forEach(x -> assertThat(x.peakC()).as(r.id()).isLessThanOrEqualTo(cap)));
        }
    }
}
