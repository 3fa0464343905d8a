package vanemend.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.damage.Oval;
import vanemend.core.method.Cases;
import vanemend.core.method.Step;
import vanemend.core.mix.Again;
import vanemend.core.mix.Portion;
import vanemend.core.plan.Plan;
import vanemend.core.record.Used;
import vanemend.core.sanding.Rung;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

@DisplayName("amounts and times of rework follow the depth that was read")
class ReworkTest {
    /** A run in the making; every mix is made without weighing. */
    private static final class Hands {
        private final Plan plan;
        private final List<BenchEvent> events = new ArrayList<>();
        private Instant at = TestShop.NOW;

        Hands(String recipe) {
            this(recipe, HouseRules.defaults());
        }

        Hands(String recipe, HouseRules house) {
            plan = TestShop.workup(Cases.all().get(recipe), TestShop.shop(21, house, TestShop.fullShelf()))
                    .plan()
                    .orElseThrow();
            events.add(BenchEvent.start(UUID.randomUUID(), at, "Tam"));
        }

        RunState state() {
            return Replay.of(plan, events, at);
        }

        RunState.RunStep hand() {
            return state().now().orElseThrow();
        }

        Hands to(String id) {
            while (!hand().id().equals(id)) {
                RunState.RunStep s = hand();
                answer(s.step().gate().isPresent() ? "yes" : "");
            }
            return this;
        }

        Hands answer(String answer) {
            at = at.plusSeconds(60);
            String id = hand().id();
            events.add(
                    answer.isEmpty()
                            ? BenchEvent.done(UUID.randomUUID(), at, "Tam", id)
                            : BenchEvent.gate(UUID.randomUUID(), at, "Tam", id, answer));
            return this;
        }

        Hands depth(double mm) {
            return read(Quantity.DEPTH_MM, mm);
        }

        Hands across(double mm) {
            return read(Quantity.SPOT_MM, mm);
        }

        /** Draws a spot {@code lengthMm} by {@code widthMm}, {@code depthMm} deep where that is over 0. */
        Hands spot(String branch, double lengthMm, double widthMm, double depthMm) {
            events.add(BenchEvent.spot(
                    UUID.randomUUID(),
                    at,
                    "Tam",
                    hand().id(),
                    branch,
                    new Oval(400 + 100 * events.size(), 300, lengthMm, widthMm, 0),
                    Optional.of(depthMm).filter(d -> d > 0)));
            return this;
        }

        /** Papers that are still to come in the round that is in hand. */
        List<Integer> papers() {
            String round = hand().at().path();
            return state().steps().stream()
                    .filter(s -> s.at().path().equals(round))
                    .flatMap(s -> plan.ladder().rungs().stream()
                            .filter(r -> r.id().equals(s.step().id())))
                    .map(Rung::grade)
                    .toList();
        }

        private Hands read(Quantity q, double mm) {
            events.add(BenchEvent.reading(UUID.randomUUID(), at, "Tam", hand().id(), q, mm));
            return this;
        }

        RunState.MixDone mix() {
            return state().mixes().getLast();
        }

        RunState.RunStep step(String id) {
            return state().steps().stream()
                    .filter(s -> s.id().equals(id))
                    .findFirst()
                    .orElseThrow();
        }
    }

    private final Hands dent = new Hands("dent-filler-putty").to("shape-gate");
    private final Again again = dent.plan.mix("filler").pour().again().orElseThrow();
    private final double first = dent.plan.mix("filler").pour().fillerG();

    @Test
    @DisplayName("a low spot read at the gate: filler, cream, spreading and what the shelf loses follow its depth")
    void lowSpot() {
        dent.depth(1).answer("low").to("shape-gate:low/mix");
        double g = again.amount(1);
        assertThat(g).isLessThan(first);
        assertThat(dent.mix().fillerTargetG()).isEqualTo(g);
        assertThat(dent.mix().creamTargetG()).isCloseTo(g * 0.02, within(0.051));
        Step mix = dent.hand().step();
        assertThat(Text.plain(mix.figure())).isEqualTo(Math.round(g) + " g");
        assertThat(Text.plain(mix.amount())).startsWith(Math.round(g) + " g, cream ");
        Step spread = dent.step("shape-gate:low/spread").step();
        assertThat(spread.activeMin())
                .isCloseTo(Math.max(1, dent.plan.mix("filler").pour().spreadMin() * g / first), within(1e-9));
        dent.to("shape-gate~2");
        assertThat(Used.of(dent.plan, dent.state()).stream()
                        .filter(u ->
                                u.itemId().equals(dent.plan.mix("filler").pour().itemId()))
                        .mapToDouble(Used::amount)
                        .sum())
                .isEqualTo(first + g);
    }

    @Test
    @DisplayName("what is read in the rework itself counts over what was read at its gate")
    void tappedDown() {
        dent.depth(0.5).answer("high").depth(1.5).to("shape-gate:high/mix");
        assertThat(dent.mix().fillerTargetG()).isEqualTo(again.amount(1.5));
        dent.depth(2);
        assertThat(dent.mix().fillerTargetG()).isEqualTo(again.amount(2));
    }

    @Test
    @DisplayName(
            "a spot takes what its own size holds, at the gate or in the rework; unread it is as large as the damage")
    void sizeOfTheSpot() {
        dent.depth(2).across(25).answer("low").to("shape-gate:low/mix");
        double spot = again.amount(2, OptionalDouble.of(25));
        assertThat(spot).isLessThan(again.amount(2));
        assertThat(dent.mix().fillerTargetG()).isEqualTo(spot);
        dent.across(45);
        assertThat(dent.mix().fillerTargetG())
                .isEqualTo(again.amount(2, OptionalDouble.of(45)))
                .isGreaterThan(spot);
        dent.to("shape-gate~2").depth(2).answer("low").to("shape-gate~2:low/mix");
        assertThat(dent.mix().fillerTargetG()).as("each round reads its own").isEqualTo(again.amount(2));
    }

    @Test
    @DisplayName("pinholes are no hollow: a coat; a depth that was not read leaves the first amount standing")
    void pinholesAndUnread() {
        dent.answer("pinholes").to("shape-gate:pinholes/mix");
        assertThat(dent.mix().fillerTargetG())
                .isEqualTo(again.pinholes(OptionalDouble.empty()))
                .isLessThan(again.amount(0));
        dent.to("shape-gate~2").answer("low").to("shape-gate~2:low/mix");
        assertThat(dent.mix().fillerTargetG()).isEqualTo(first);
        assertThat(Text.plain(dent.hand().step().amount())).contains("for a coat", "for each 1 mm of depth");
    }

    @Test
    @DisplayName(
            "spots drawn at the gate: filler for the bowls they are, by hand; a depth read in the rework scales them")
    void spotsDrawn() {
        dent.spot("low", 40, 30, 1).spot("low", 20, 20, 0.5).answer("low").to("shape-gate:low/mix");
        // Half of area times depth: 40 by 30 by 1 holds 0.471 mL, 20 by 20 by 0.5 another 0.079 mL.
        double ml = Math.PI / 4 * (40 * 30 * 1 + 20 * 20 * 0.5) / 2 / 1000;
        assertThat(ml).isCloseTo(0.550, within(0.001));
        assertThat(dent.mix().fillerTargetG()).isEqualTo(Math.ceil(again.coat() + again.perMl() * ml));
        assertThat(dent.mix().fillerTargetG())
                .as("less than a hollow as large as the dent")
                .isLessThan(again.amount(1));
        dent.depth(2);
        assertThat(dent.mix().fillerTargetG()).isEqualTo(Math.ceil(again.coat() + again.perMl() * 2 * ml));
        assertThat(dent.state().spots()).hasSize(2);
        dent.to("shape-gate~2").answer("low").to("shape-gate~2:low/mix");
        assertThat(dent.mix().fillerTargetG())
                .as("each round has its own spots")
                .isEqualTo(first);
    }

    @Test
    @DisplayName("a spot counts only at a gate that looks for it, low only with its depth; taken back it never was")
    void spotsThatCount() {
        dent.spot("shine", 40, 30, 0).spot("low", 40, 30, 0);
        assertThat(dent.state().spots()).isEmpty();
        assertThat(dent.state().ignored())
                .extracting(RunState.Ignored::why)
                .containsExactly("no such spot is looked for at this step", "a low spot without its depth");
        dent.spot("high", 40, 30, 0);
        assertThat(dent.state().spots()).hasSize(1);
        dent.events.add(BenchEvent.undo(
                UUID.randomUUID(), dent.at, "Tam", dent.events.getLast().id()));
        assertThat(dent.state().spots()).isEmpty();
        dent.answer("low").spot("low", 40, 30, 1);
        assertThat(dent.state().spots()).as("the gate is answered").isEmpty();
    }

    @Test
    @DisplayName("papers begin as coarse as what was laid asks: pinholes take a tight coat and no 80")
    void papersOfARound() {
        dent.answer("pinholes").to("shape-gate:pinholes/mix");
        assertThat(dent.mix().fillerTargetG()).isEqualTo(again.pinholes(OptionalDouble.empty()));
        assertThat(dent.papers()).startsWith(80);
        dent.to("shape-gate:pinholes/wait");
        assertThat(dent.papers()).as("0.2 mm was laid").isNotEmpty().allMatch(g -> g >= 120);
        dent.to("shape-gate~2").depth(1).answer("low").to("shape-gate~2:low/wait");
        assertThat(dent.papers()).as("1 mm and what stands proud were laid").startsWith(80);
        dent.to("shape-gate~3").answer("low").to("shape-gate~3:low/wait");
        assertThat(dent.papers())
                .as("of what was not read nothing is too coarse")
                .startsWith(80);
    }

    @Test
    @DisplayName("where the spot alone is corrected, coat and minutes of the papers are its own area's")
    void spotAlone() {
        Hands spot =
                new Hands("dent-filler-putty", HouseRules.defaults().with("local-correction", "spot")).to("shape-gate");
        Again own = spot.plan.mix("filler").pour().again().orElseThrow();
        double whole = own.lay().orElseThrow().spotMm2();
        double share = Math.PI / 4 * 40 * 30 / whole;
        assertThat(share).isLessThan(0.5);
        spot.spot("low", 40, 30, 1).answer("low");
        Step sanded = spot.state().steps().stream()
                .filter(s -> s.at().path().equals("shape-gate:low/"))
                .map(RunState.RunStep::step)
                .filter(s -> s.kind() == Step.Kind.SAND)
                .findFirst()
                .orElseThrow();
        Step laid = spot.plan.loop("low").steps().stream()
                .filter(s -> s.id().equals(sanded.id()))
                .findFirst()
                .orElseThrow();
        assertThat(sanded.activeMin()).isCloseTo(Math.max(1, laid.activeMin() * share), within(1e-9));
        spot.to("shape-gate:low/mix");
        double ml = Math.PI / 4 * 40 * 30 / 2 / 1000;
        assertThat(spot.mix().fillerTargetG())
                .isEqualTo(Math.max(20, Math.ceil(own.coat() * share + own.perMl() * ml)));
    }

    @Test
    @DisplayName("each round has its own depth: the second asks anew")
    void roundsAreTheirOwn() {
        dent.depth(2).answer("low").to("shape-gate~2").depth(0.4).answer("low").to("shape-gate~2:low/mix");
        assertThat(dent.state().mixes().stream()
                        .map(RunState.MixDone::fillerTargetG)
                        .toList())
                .containsExactly(first, again.amount(2), again.amount(0.4));
    }

    @Test
    @DisplayName("deeper never takes less, and no round takes more than the first")
    void monotone() {
        Seeds.forEach(100, (r, i) -> {
            double d = Seeds.between(r, 0, 2.5);
            assertThat(again.amount(d)).isBetween(20.0, first);
            assertThat(again.amount(d + 0.5)).isGreaterThanOrEqualTo(again.amount(d));
        });
    }

    @Test
    @DisplayName(
            "adhesive from a cartridge: the second coat's millilitres follow the depth, waste of the fresh mixer and all")
    void secondCoat() {
        Hands h = new Hands("plastic-adhesive-cloth")
                .to("pinholes")
                .depth(1)
                .answer("low")
                .to("pinholes:low/fill");
        Portion face = h.plan.portions().stream()
                .filter(p -> p.id().equals("face"))
                .findFirst()
                .orElseThrow();
        double ml = face.again().orElseThrow().amount(1);
        assertThat(ml).isLessThan(face.needed());
        assertThat(Text.plain(h.hand().step().figure())).isEqualTo(Math.round(ml) + " mL");
        h.to("pinholes~2");
        assertThat(Used.of(h.plan, h.state()).stream()
                        .filter(u -> u.itemId().equals(face.itemId()))
                        .mapToDouble(Used::amount)
                        .sum())
                .isGreaterThanOrEqualTo(face.needed() + ml);
    }

    @Test
    @DisplayName("the gate and the answer are told from the id of a step, however deep it nests")
    void ids() {
        assertThat(Rework.of(RunStepId.parse("shape-gate"))).isEmpty();
        assertThat(Rework.of(RunStepId.parse("shape-gate~2"))).isEmpty();
        for (String gate : List.of("palm", "palm~3", "palm:low/wait~2")) {
            assertThat(Rework.of(RunStepId.parse(gate + ":soft/more")))
                    .contains(new Rework(RunStepId.parse(gate), "soft", gate + ":soft/"));
        }
    }
}
