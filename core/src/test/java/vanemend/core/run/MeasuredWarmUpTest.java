package vanemend.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.TestShop;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.Lag;
import vanemend.core.cure.MeasuredHeat;
import vanemend.core.method.Cases;
import vanemend.core.method.Conditions;
import vanemend.core.method.Gate;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Quantity;

@DisplayName("what a logged warm-up told of the shop's own lamp stands for the recalled figure in the plans after it")
class MeasuredWarmUpTest {
    private static Conditions shop(MeasuredHeat heat) {
        Conditions c = TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf());
        return new Conditions(c.air(), c.house(), c.shelf(), c.now(), c.zone(), c.spreadMlPerMin(), c.place(), heat);
    }

    private static Plan plan(String recipe, MeasuredHeat heat) {
        RepairDraft d = Cases.dried(Cases.all().get(recipe), DryingRoute.Kind.LAMP, null);
        return TestShop.workup(d, shop(heat)).plan().orElseThrow();
    }

    /** Works {@code plan} through; at its first lamp the surface warms {@code slower} times as slowly as recalled. */
    private static List<MeasuredWarmUp> worked(Plan plan, double slower, boolean byItself) {
        List<BenchEvent> events = new ArrayList<>();
        Instant at = TestShop.NOW;
        events.add(BenchEvent.start(new UUID(9, 0), at, "Tam"));
        boolean logged = false;
        while (true) {
            RunState state = Replay.of(plan, events, at);
            if (state.now().isEmpty()) {
                return MeasuredWarmUp.of(plan, state);
            }
            RunState.RunStep h = state.now().get();
            if (!logged && h.step().kind() == Step.Kind.WAIT && !h.step().mix().isEmpty()) {
                logged = true;
                DryingRoute lamp = plan.mix(h.step().mix()).route();
                double tau = lamp.lag().orElseThrow().recalledMin() * slower;
                for (int s = 0; s <= 24; s++) {
                    double min = tau * s / 8.0;
                    BenchEvent read = BenchEvent.read(
                            new UUID(9, events.size()),
                            at.plusMillis(Math.round(min * 60_000)),
                            "Tam",
                            h.id(),
                            Quantity.SURFACE_C,
                            Math.round(10 * (45 - 24 * Math.exp(-min / tau))) / 10.0,
                            "Thermometer");
                    events.add(byItself ? read.byItself() : read);
                }
            }
            at = at.plusSeconds(Math.round(60 * (h.step().waitMin() * slower + 30)));
            for (Quantity q : h.step().gate().map(Gate::reads).orElse(List.of())) {
                events.add(BenchEvent.reading(
                        new UUID(9, events.size()), at, "Tam", h.id(), q, Readings.passing(h.step(), q, plan.air())));
            }
            events.add(
                    h.step().gate().isPresent()
                            ? BenchEvent.gate(new UUID(9, events.size()), at, "Tam", h.id(), Gate.YES)
                            : BenchEvent.done(new UUID(9, events.size()), at, "Tam", h.id()));
        }
    }

    @Test
    @DisplayName(
            "steel that follows twice as slowly: measured once, and the next plan's lamp is on longer by it and says so")
    void followed() {
        Plan before = plan("dent-filler-putty", MeasuredHeat.none());
        MeasuredWarmUp told = worked(before, 2, true).getFirst();
        assertThat(told.build()).isEqualTo(Lag.Build.STEEL);
        assertThat(told.factor()).isCloseTo(2, within(0.1));
        Plan after = plan(
                "dent-filler-putty",
                new MeasuredHeat(Map.of(told.build(), new MeasuredHeat.Measured(told.factor(), 1))));
        // The lamp stays on longer; how hot it gets by then, and so how long it cools, is less.
        DryingRoute now = after.mix("filler").route();
        DryingRoute then = before.mix("filler").route();
        assertThat(now.rampMin() + now.holdMin()).isGreaterThan((then.rampMin() + then.holdMin()) * 1.1);
        assertThat(now.coolMin()).isLessThan(then.coolMin());
        assertThat(before.mix("filler").route().note()).contains("recalled");
        assertThat(after.mix("filler").route().note()).contains("measured here in 1 warm-up");
        // Of another build nothing was learned.
        assertThat(plan(
                                "plastic-adhesive-cloth",
                                new MeasuredHeat(Map.of(told.build(), new MeasuredHeat.Measured(2, 1))))
                        .waits())
                .isEqualTo(plan("plastic-adhesive-cloth", MeasuredHeat.none()).waits());
    }

    @Test
    @DisplayName("what was typed by hand, and what no lamp of the book comes near, teaches nothing")
    void notBelieved() {
        Plan p = plan("dent-filler-putty", MeasuredHeat.none());
        assertThat(worked(p, 2, false)).isEmpty();
        assertThat(worked(p, 9, true)).isEmpty();
        assertThat(worked(
                        plan(
                                "dent-filler-putty",
                                new MeasuredHeat(Map.of(Lag.Build.STEEL, new MeasuredHeat.Measured(2, 3)))),
                        2,
                        true))
                .as("told against the book, not against what was measured before")
                .allSatisfy(m -> assertThat(m.factor()).isCloseTo(2, within(0.1)));
    }
}
