package vanemend.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.cure.DryingRoute;
import vanemend.core.method.Asides;
import vanemend.core.method.Cases;
import vanemend.core.method.Gate;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.method.StepOrder;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlanEditDraft;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.record.Deviation;
import vanemend.core.record.RepairRecord;
import vanemend.core.record.Used;
import vanemend.core.sanding.FilmBudget;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

class BesideTheTechnicianTest {
    /** High sun, still to come when the plan is made. */
    private static final Instant NOON = Instant.parse("2027-06-21T12:12:00Z");

    /** A run in the making. */
    private static final class Walk {
        private final FrozenPlan frozen;
        private final List<BenchEvent> events = new ArrayList<>();
        private Instant at = TestShop.NOW;
        private int count;
        private boolean weighs = true;

        Walk(RepairDraft d) {
            Workup w = TestShop.workup(d, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
            frozen = new FrozenPlan(TestShop.NOW, "Tam", d, w);
            events.add(BenchEvent.start(id(), at, "Tam"));
        }

        static Walk of(String recipe) {
            return new Walk(Cases.all().get(recipe));
        }

        UUID id() {
            return new UUID(7, ++count);
        }

        Plan plan() {
            return frozen.plan();
        }

        RunState state() {
            return Replay.of(plan(), events, at);
        }

        Step hand() {
            return state().now().orElseThrow().step();
        }

        UUID add(BenchEvent e) {
            events.add(e);
            return e.id();
        }

        UUID read(Quantity q, double v) {
            return add(BenchEvent.reading(id(), at, "Tam", state().current().orElseThrow(), q, v));
        }

        void on() {
            String step = state().current().orElseThrow();
            add(
                    hand().gate().isPresent()
                            ? BenchEvent.gate(id(), at, "Tam", step, "yes")
                            : BenchEvent.done(id(), at, "Tam", step));
        }

        /** Done with every step before the first that {@code base} begins, each in its planned time. */
        void to(String base) {
            while (!hand().id().equals(base)) {
                step();
            }
        }

        void step() {
            Step s = hand();
            double min = s.activeMin() + s.waitMin();
            at = at.plusSeconds(Math.round(min * 60) + (s.kind() == Step.Kind.SPREAD ? -1 : 1));
            String before = state().current().orElseThrow();
            s.gate().map(Gate::reads).orElse(List.of()).forEach(q -> read(q, Readings.passing(s, q, plan().air())));
            if (s.kind() == Step.Kind.MIX && weighs) {
                MixPlan mix = plan().mix(s.mix());
                if (state().mixes().getLast().percent().isEmpty()) {
                    read(Quantity.FILLER_G, mix.pour().fillerG());
                    read(Quantity.CREAM_G, mix.pour().creamG());
                }
            }
            on();
            assertThat(state().current()).as("the run goes on").isNotEqualTo(Optional.of(before));
        }

        void finish() {
            while (state().finishedAt().isEmpty()) {
                step();
            }
        }

        RepairRecord record() {
            return RepairRecord.of(frozen, events, at);
        }

        List<Deviation.Kind> deviations() {
            return record().deviations().stream().map(Deviation::kind).toList();
        }
    }

    private static Step.Kind kindOf(Plan p, String id) {
        return p.steps().stream()
                .filter(s -> s.step().id().equals(id))
                .findFirst()
                .orElseThrow()
                .step()
                .kind();
    }

    private static String firstWith(Plan p, Quantity ask) {
        return p.steps().stream()
                .map(s -> s.step())
                .filter(s -> s.asks().contains(ask))
                .findFirst()
                .orElseThrow()
                .id();
    }

    @Test
    @DisplayName(
            "every plan walked in its planned time ends without a word of deviation, and what it used is on the shelf's list")
    void walkedAsPlannedNothingDeviates() {
        Cases.all().forEach((recipe, d) -> {
            Walk w = new Walk(d);
            w.weighs = false;
            w.finish();
            assertThat(w.record().deviations())
                    .filteredOn(x -> x.kind() != Deviation.Kind.DOSE_NOT_WEIGHED)
                    .as(recipe)
                    .isEmpty();
            assertThat(w.record().used())
                    .as(recipe)
                    .allSatisfy(u -> assertThat(u.amount()).isPositive())
                    .extracting(Used::itemId)
                    .doesNotHaveDuplicates()
                    .isSubsetOf(TestShop.fullShelf().stream().map(i -> i.id()).toList());
        });
    }

    @Test
    @DisplayName("a wait ended before its clock, on every method that has one, stands in the record")
    void endedEarlyStandsInTheRecord() {
        Cases.all().forEach((recipe, d) -> {
            Walk probe = new Walk(d);
            List<String> waits = probe.plan().steps().stream()
                    .map(s -> s.step())
                    .filter(s -> s.kind() == Step.Kind.WAIT && s.mix().isEmpty() && s.waitMin() > 2)
                    .map(Step::id)
                    .toList();
            for (String wait : waits) {
                Walk w = new Walk(d);
                List<Step> steps = w.plan().steps().stream().map(s -> s.step()).toList();
                int since = Asides.since(steps, StepOrder.index(steps, wait));
                w.to(steps.get(since + 1).id());
                // What is done in it takes no time here.
                while (!w.hand().id().equals(wait)) {
                    w.on();
                }
                w.at = w.at.plusSeconds(30);
                w.on();
                assertThat(w.deviations()).as(recipe + " " + wait).contains(Deviation.Kind.WENT_ON_EARLY);
            }
        });
    }

    @Test
    @DisplayName(
            "a reading put right counts as put right, keeps what it was and why; taken back it counts as typed again")
    void amendments() {
        Walk w = Walk.of("dent-filler-putty");
        w.to("filler-mix");
        UUID filler = w.read(Quantity.FILLER_G, 26.4);
        w.read(Quantity.CREAM_G, 1.3);
        assertThat(w.state().mixes().getLast().percent().orElseThrow()).isCloseTo(4.92, within(0.01));
        UUID amendment = w.add(BenchEvent.amend(w.id(), w.at, "Tam", filler, 62.4, "digits turned round"));
        RunState s = w.state();
        assertThat(s.mixes().getLast().fillerG()).contains(62.4);
        assertThat(s.mixes().getLast().percent().orElseThrow()).isCloseTo(2.083, within(0.001));
        assertThat(s.amended()).singleElement().satisfies(a -> {
            assertThat(a.said()).isEqualTo("Filler weighed ⟦26.4 g⟧, put right to ⟦62.4 g⟧");
            assertThat(a.reason()).isEqualTo("digits turned round");
        });
        w.add(BenchEvent.undo(w.id(), w.at, "Tam", amendment));
        assertThat(w.state().mixes().getLast().fillerG()).contains(26.4);
        assertThat(w.state().amended()).isEmpty();
        assertThat(w.state().takenBack()).hasSize(1);
        w.add(BenchEvent.amend(w.id(), w.at, "Tam", new UUID(9, 9), 1, "nothing there"));
        assertThat(w.state().ignored()).anyMatch(i -> i.why().contains("not there"));
    }

    @Test
    @DisplayName("a clock started late is put right by minutes: the deadline moves with it")
    void clockPutRight() {
        Walk w = Walk.of("dent-filler-putty");
        w.to("filler-mix");
        String step = w.state().current().orElseThrow();
        UUID clock = w.add(BenchEvent.clock(w.id(), w.at, "Tam", step));
        Instant by = w.state().clocks().getFirst().endsAt().orElseThrow();
        w.add(BenchEvent.amend(w.id(), w.at, "Tam", clock, 1.5, "had stirred already"));
        assertThat(Duration.between(w.state().clocks().getFirst().endsAt().orElseThrow(), by))
                .isEqualTo(Duration.ofSeconds(90));
    }

    @Test
    @DisplayName("whoever takes over has it in hand, a live clock with it")
    void handOver() {
        Walk w = Walk.of("plastic-adhesive-cloth");
        assertThat(w.state().hands()).isEqualTo("Tam");
        w.add(BenchEvent.take(w.id(), w.at, "Priya"));
        assertThat(w.state().hands()).isEqualTo("Priya");
        w.step();
        assertThat(w.state().hands()).as("who acts has it").isEqualTo("Tam");
    }

    @Test
    @DisplayName("a lead signs what is finished, or sends it back; nothing is signed before")
    void signature() {
        Walk w = Walk.of("trim");
        w.add(BenchEvent.sign(w.id(), w.at, "Isla", true, ""));
        assertThat(w.state().signed()).isEmpty();
        assertThat(w.state().ignored()).anyMatch(i -> i.why().contains("before the work is finished"));
        w.finish();
        w.add(BenchEvent.sign(w.id(), w.at, "Isla", false, "Where is the shine test?"));
        assertThat(w.record().signed().orElseThrow().stands()).isFalse();
        w.add(BenchEvent.sign(w.id(), w.at, "Isla", true, ""));
        assertThat(w.record().signed().orElseThrow().stands()).isTrue();
        assertThat(w.state().hands()).as("signing is not doing").isEqualTo("Tam");
        UUID last = w.state().steps().getLast().doneEvent().orElseThrow();
        w.add(BenchEvent.amend(w.id(), w.at, "Tam", last, 600, "long before"));
        assertThat(w.record().signed())
                .as("put right after it was signed: signed anew")
                .isEmpty();
        RunState.RunStep ended = w.state().steps().getLast();
        assertThat(ended.doneAt()).as("no step ends before it began").isEqualTo(ended.beganAt());
    }

    @Test
    @DisplayName(
            "at the bench the flash runs from the promoter on: its clock shows while cloth is cut, and what is cut slowly costs no more")
    void atTheBench() {
        Walk w = Walk.of("plastic-adhesive-cloth");
        w.to("back-promoter");
        Instant ends = StillToCome.of(w.state(), w.at).getLast().to();
        w.step();
        assertThat(w.hand().id()).isEqualTo("cut-cloth");
        Instant on = w.at;
        RunState.LiveClock flash = w.state().clocks().getFirst();
        assertThat(flash.step()).isEqualTo("back-promoter-flash");
        assertThat(flash.startedAt()).isEqualTo(on);
        assertThat(StillToCome.of(w.state(), w.at).getLast().to()).isCloseTo(ends, within(2, ChronoUnit.SECONDS));
        w.step();
        assertThat(w.hand().id()).isEqualTo("back-promoter-flash");
        RunState.LiveClock still = w.state().clocks().getFirst();
        assertThat(still.startedAt()).isEqualTo(on);
        assertThat(Duration.between(on, still.endsAt().orElseThrow()).toMinutes())
                .isEqualTo(10);
    }

    @Test
    @DisplayName("before a mix goes live everything is looked over; what was cut out of the plan shows as missing")
    void beforeAMix() {
        Cases.all().forEach((recipe, d) -> {
            Walk w = new Walk(d);
            while (w.state().finishedAt().isEmpty()) {
                RunState s = w.state();
                assertThat(s.before().isEmpty())
                        .as(recipe + " " + w.hand().id())
                        .isEqualTo(!w.hand().goesLive());
                assertThat(s.before()).as(recipe + " " + w.hand().id()).allMatch(m -> m.holds() || m.dose());
                w.step();
            }
        });
        RepairDraft d = Cases.all().get("plastic-adhesive-cloth");
        Plan laid = new Walk(d).plan();
        String cloth = laid.steps().stream()
                .map(s -> s.step())
                .filter(s -> s.acts().contains(vanemend.core.method.Act.CUT_CLOTH))
                .findFirst()
                .orElseThrow()
                .id();
        Walk w = new Walk(Cases.edited(d, new PlanEditDraft(PlanEditDraft.Kind.SKIP, cloth, null, null, null)));
        while (!w.hand().goesLive()) {
            w.step();
        }
        assertThat(w.state().before()).anyMatch(m -> !m.holds() && m.said().contains("cloth or patch cut"));
        assertThat(w.deviations()).contains(Deviation.Kind.PLAN_CHANGED);
    }

    @Test
    @DisplayName("cartridge adhesive follows its surface: warmer is sooner, by the label's own law; too hot is said")
    void surfaceMovesACartridgesClock() {
        Walk w = Walk.of("composite-epoxy");
        String wait = w.plan().steps().stream()
                .map(s -> s.step())
                .filter(s -> s.kind() == Step.Kind.WAIT && s.asks().contains(Quantity.SURFACE_C))
                .findFirst()
                .orElseThrow()
                .id();
        w.to(wait);
        RunState.LiveClock planned = w.state().clocks().getLast();
        assertThat(planned.neededMin()).isPositive();
        Instant was = planned.endsAt().orElseThrow();
        w.read(Quantity.SURFACE_C, 45);
        Instant warm = w.state().clocks().getLast().endsAt().orElseThrow();
        assertThat(warm).isBefore(was);
        w.at = w.at.plusSeconds(60);
        w.read(Quantity.SURFACE_C, 150);
        assertThat(w.state().clocks().getLast().warning()).contains("lamp off");
        w.on();
        assertThat(w.hand().id()).isEqualTo(wait);
        w.read(Quantity.SURFACE_C, 20);
        w.on();
        assertThat(w.hand().id()).isNotEqualTo(wait);
        assertThat(w.deviations()).contains(Deviation.Kind.STOPPED, Deviation.Kind.SANDED_BEFORE_CURE);
    }

    @Test
    @DisplayName(
            "light: dose is irradiance × time against the first reading; half the light, twice what is left; more never shortens")
    void light() {
        Walk w = Walk.of("chip-vacuum");
        w.to(firstWith(w.plan(), Quantity.UV));
        RunState.LiveClock planned = w.state().clocks().getLast();
        Duration all = Duration.between(planned.startedAt(), planned.endsAt().orElseThrow());
        w.read(Quantity.UV, 4);
        assertThat(w.state().clocks().getLast().endsAt()).isEqualTo(planned.endsAt());
        w.at = planned.startedAt().plus(all.dividedBy(2));
        w.read(Quantity.UV, 2);
        RunState.LiveClock cloud = w.state().clocks().getLast();
        assertThat(Duration.between(planned.startedAt(), cloud.endsAt().orElseThrow())
                        .toMillis())
                .isCloseTo(all.toMillis() * 3 / 2, within(1000L));
        assertThat(cloud.agedMin() / cloud.neededMin()).isCloseTo(0.5, within(0.01));
        w.at = w.at.plusSeconds(1);
        w.read(Quantity.UV, 40);
        assertThat(w.state().clocks().getLast().endsAt().orElseThrow())
                .as("more than at first counts as at first")
                .isBetween(
                        planned.endsAt().orElseThrow(),
                        planned.endsAt().orElseThrow().plusSeconds(2));
        w.at = w.at.plusSeconds(1);
        w.read(Quantity.UV, 0);
        assertThat(w.state().clocks().getLast().endsAt()).isEmpty();
        assertThat(w.state().clocks().getLast().warning()).contains("No light");
    }

    @Test
    @DisplayName(
            "planned in the sun of another hour: its clock follows the sun it really stands in, and film off by the plan alone is early")
    void lightOfAnotherHour() {
        Walk w = new Walk(Cases.dried(Cases.all().get("chip-vacuum"), DryingRoute.Kind.SUN, NOON));
        w.to(firstWith(w.plan(), Quantity.UV));
        double planned = w.hand().clock().orElseThrow().minutes();
        RunState.LiveClock clock = w.state().clocks().getLast();
        assertThat(Text.plain(clock.note())).contains("at the start, planned 58° high.");
        assertThat(clock.neededMin()).isEqualTo(planned);
        Walk late = new Walk(Cases.dried(Cases.all().get("chip-vacuum"), DryingRoute.Kind.SUN, NOON));
        late.at = NOON.plus(Duration.ofHours(3));
        late.to(firstWith(late.plan(), Quantity.UV));
        RunState.LiveClock slow = late.state().clocks().getLast();
        double minutes = slow.endsAt()
                .map(e -> Duration.between(slow.startedAt(), e).toSeconds() / 60.0)
                .orElse(Double.MAX_VALUE);
        assertThat(minutes).isGreaterThan(planned * 1.2);
        late.step();
        assertThat(late.record().deviations())
                .filteredOn(d -> d.kind() == Deviation.Kind.WENT_ON_EARLY)
                .singleElement()
                .satisfies(d -> assertThat(d.text()).contains("of the light asked"));
        Walk night = new Walk(Cases.dried(Cases.all().get("chip-vacuum"), DryingRoute.Kind.SUN, NOON));
        night.at = NOON.plus(Duration.ofHours(11));
        night.to(firstWith(night.plan(), Quantity.UV));
        assertThat(night.state().clocks().getLast().endsAt()).isEmpty();
        assertThat(night.state().clocks().getLast().warning()).contains("take the UV lamp");
    }

    @Test
    void lightNeverEndsBeforeItsPlanAndLessLightNeverEndsSooner() {
        Seeds.forEach(60, (r, n) -> {
            Walk w = Walk.of("chip-vacuum");
            w.to(firstWith(w.plan(), Quantity.UV));
            Instant planned = w.state().clocks().getLast().endsAt().orElseThrow();
            Walk dim = Walk.of("chip-vacuum");
            dim.to(firstWith(dim.plan(), Quantity.UV));
            for (int i = 0; i < 5; i++) {
                double v = Seeds.between(r, 0.5, 8);
                w.read(Quantity.UV, v);
                dim.read(Quantity.UV, i == 0 ? v : v * 0.6);
                w.at = w.at.plusSeconds(30);
                dim.at = dim.at.plusSeconds(30);
            }
            Optional<Instant> end = w.state().clocks().getLast().endsAt();
            assertThat(end.orElseThrow()).isAfterOrEqualTo(planned.minusSeconds(1));
            assertThat(dim.state().clocks().getLast().endsAt().orElseThrow()).isAfterOrEqualTo(end.get());
        });
    }

    @Test
    @DisplayName(
            "clear film: under what is still to come off it stops, and stays stopped until five places in a row pass; one good place does not lift it")
    void filmStops() {
        Walk w = Walk.of("run-block");
        w.to("film");
        FilmBudget budget = w.plan().budget().orElseThrow();
        double sound = budget.shown(budget.soundUm());
        w.read(Quantity.FILM_UM, sound);
        w.read(Quantity.FILM_UM, sound + 4);
        assertThat(w.state().findings())
                .singleElement()
                .satisfies(f -> assertThat(f.stops()).isFalse());
        w.read(Quantity.FILM_UM, budget.shown(budget.leastUm()) - 1);
        assertThat(w.state().findings()).singleElement().satisfies(f -> {
            assertThat(f.stops()).isTrue();
            assertThat(f.said()).startsWith("Clear too thin");
        });
        w.on();
        assertThat(w.hand().id()).isEqualTo("film");
        for (int places = 1; places <= 4; places++) {
            w.read(Quantity.FILM_UM, sound);
            w.on();
            assertThat(w.state().stops())
                    .singleElement()
                    .satisfies(s -> assertThat(s.title()).contains("too thin"));
            assertThat(w.hand().id()).isEqualTo("film");
        }
        w.read(Quantity.FILM_UM, sound);
        assertThat(w.state().stops()).isEmpty();
        w.on();
        assertThat(w.hand().id()).isNotEqualTo("film");
        assertThat(w.deviations()).contains(Deviation.Kind.STOPPED);
    }

    @Test
    @DisplayName(
            "tyre: over 25° from square a one-piece plan stops and asks for two pieces (USTMA puncture repair procedures)")
    void angle() {
        Walk w = Walk.of("tyre-one-piece");
        w.to("angle");
        w.read(Quantity.ANGLE_DEG, 25);
        assertThat(w.state().findings()).noneMatch(ReadingFinding::stops);
        w.read(Quantity.ANGLE_DEG, 26);
        assertThat(w.state().stops())
                .singleElement()
                .satisfies(s -> assertThat(s.said()).contains("two pieces", "plan anew"));
        w.on();
        w.on();
        assertThat(w.hand().id()).isEqualTo("angle");
        Walk two = Walk.of("tyre-two-piece");
        two.to("angle");
        two.read(Quantity.ANGLE_DEG, 31);
        assertThat(two.state().stops()).isEmpty();
    }

    @Test
    @DisplayName("dew: 20 °C and 50 % give 9.3 °C (Magnus, WMO-No. 8); 3 K over it holds (ISO 8502-4), under it stops")
    void dew() {
        Walk w = Walk.of("plastic-adhesive-cloth");
        w.to("dew");
        w.read(Quantity.AIR_C, 20);
        w.read(Quantity.RH_PERCENT, 50);
        w.read(Quantity.SURFACE_C, 12.3);
        assertThat(w.state().findings())
                .filteredOn(f -> f.watch().quantity() == Quantity.SURFACE_C)
                .singleElement()
                .satisfies(f -> {
                    assertThat(Text.plain(f.said())).contains("at least 12.3 °C");
                    assertThat(f.stops()).isFalse();
                });
        w.read(Quantity.SURFACE_C, 12.1);
        assertThat(w.state().findings())
                .filteredOn(f -> f.watch().quantity() == Quantity.SURFACE_C)
                .singleElement()
                .satisfies(f -> assertThat(f.stops()).isTrue());
    }

    @Test
    @DisplayName(
            "what was really used is what was read; unread it is what was planned, once however many steps name it")
    void used() {
        Walk w = Walk.of("plastic-adhesive-cloth");
        String lays = w.plan().steps().stream()
                .map(s -> s.step())
                .filter(s -> s.kind() == Step.Kind.SPREAD && s.asks().contains(Quantity.USED_ML))
                .findFirst()
                .orElseThrow()
                .id();
        assertThat(kindOf(w.plan(), lays)).isEqualTo(Step.Kind.SPREAD);
        w.to(lays);
        String item = w.plan().portions().stream()
                .filter(p -> p.id().equals(w.hand().portion()))
                .findFirst()
                .orElseThrow()
                .itemId();
        w.read(Quantity.USED_ML, 33);
        w.step();
        assertThat(w.record().used())
                .filteredOn(u -> u.itemId().equals(item))
                .singleElement()
                .satisfies(u -> {
                    assertThat(u.amount()).isEqualTo(33);
                    assertThat(u.read()).isTrue();
                });
        Walk dent = Walk.of("dent-filler-putty");
        dent.weighs = false;
        dent.finish();
        double filler = dent.plan().mix("filler").pour().fillerG();
        assertThat(dent.record().used())
                .filteredOn(
                        u -> u.itemId().equals(dent.plan().mix("filler").pour().itemId()))
                .singleElement()
                .satisfies(u -> {
                    assertThat(u.amount()).isEqualTo(filler);
                    assertThat(u.read()).isFalse();
                });
    }

    @Test
    @DisplayName(
            "a sealed hairline is looked at again after 6 and 12 months (common practice); nothing else has such a check")
    void lookAgain() {
        Cases.all().forEach((recipe, d) -> {
            Walk w = new Walk(d);
            assertThat(w.record().again()).isEmpty();
            w.finish();
            assertThat(w.record().again()).as(recipe).hasSize(recipe.startsWith("hairline") ? 2 : 0);
        });
    }
}
