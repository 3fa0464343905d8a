package vanemend.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.TestShop;
import vanemend.core.damage.DamageDraft;
import vanemend.core.method.Cases;
import vanemend.core.method.Gate;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.Plan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.record.Deviation;
import vanemend.core.record.RepairRecord;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

@DisplayName(
        "a run takes in what it meets: it is measured, judged, stopped, planned anew, ended, and never talked past")
class StopsTest {
    /** Somebody at work, under one plan after another. */
    private static final class Work {
        private final List<FrozenPlan> plans = new ArrayList<>();
        private final List<BenchEvent> events = new ArrayList<>();
        private Instant at = TestShop.NOW;

        Work(RepairDraft d) {
            plans.add(frozen(d));
            events.add(BenchEvent.start(id(), at, "Tam"));
        }

        static Work by(String recipe) {
            return new Work(Cases.all().get(recipe));
        }

        private FrozenPlan frozen(RepairDraft d) {
            return new FrozenPlan(
                    at, "Tam", d, TestShop.workup(d, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf())));
        }

        UUID id() {
            return new UUID(3, events.size() + 1);
        }

        List<Plan> all() {
            return plans.stream().map(FrozenPlan::plan).toList();
        }

        Plan plan() {
            return all().getLast();
        }

        RunState state() {
            return Replay.of(all(), events, at).getLast();
        }

        RunState.RunStep hand() {
            return state().now().orElseThrow();
        }

        UUID happens(BenchEvent e) {
            at = at.plusSeconds(30);
            events.add(e);
            return e.id();
        }

        UUID read(Quantity q, double v) {
            return happens(BenchEvent.reading(id(), at, "Tam", hand().id(), q, v));
        }

        UUID answer(String a, String said) {
            return happens(BenchEvent.gate(id(), at, "Tam", hand().id(), a).saying(said));
        }

        UUID done() {
            return happens(BenchEvent.done(id(), at, "Tam", hand().id()));
        }

        /** Passes the step in hand as planned, everything read that it asks. */
        void on() {
            RunState.RunStep h = hand();
            at = at.plusSeconds(Math.round(60 * (h.step().waitMin() + 1)));
            h.step().gate().map(Gate::reads).orElse(List.of()).forEach(q -> {
                for (int n = 0; n < 5; n++) {
                    read(q, Readings.passing(h.step(), q, plan().air()));
                }
            });
            if (h.step().gate().isPresent()) {
                answer(Gate.YES, "");
            } else {
                done();
            }
        }

        void to(String step) {
            while (!hand().step().id().equals(step)) {
                on();
            }
        }

        void finish() {
            while (state().now().isPresent()) {
                on();
            }
        }

        void anew(UnaryOperator<RepairDraft> change, String why) {
            plans.add(frozen(change.apply(plans.getLast().draft())));
            happens(BenchEvent.plan(id(), at, "Tam", why));
        }

        RepairRecord record() {
            return RepairRecord.of(plans, events, at);
        }

        List<Deviation.Kind> deviations() {
            return record().deviations().stream().map(Deviation::kind).toList();
        }
    }

    static Stream<String> recipes() {
        return Recipe.all().stream().map(Recipe::id);
    }

    @Test
    @DisplayName("two dents are read each by itself: the mix follows the one that is deeper, and its stop is its own")
    void depthOfEachDent() {
        Work w = new Work(TestShop.repair(
                TestShop.door(), TestShop.dent(200, 240, 90, 80, 4), TestShop.dent(560, 240, 60, 50, 2.5)));
        double before = w.plan().mix("filler").pour().fillerG();
        int batches = w.plan().mix("filler").pour().batches();
        double perMm = w.plan().mix("filler").pour().again().orElseThrow().perMm() / batches;
        w.to("depth-2");
        w.read(Quantity.DEPTH_MM, 7);
        assertThat(w.state().stops()).hasSize(1);
        w.read(Quantity.DEPTH_MM, 3.5);
        assertThat(w.state().stops()).isEmpty();
        w.answer(Gate.YES, "");
        // A bowl holds in proportion to its area: what a mm more of the small one takes of what the large one does.
        double share = 60.0 * 50 / (90 * 80);
        while (w.hand().step().kind() != Step.Kind.MIX) {
            w.on();
        }
        double target = w.state().mixes().getLast().fillerTargetG();
        assertThat(target).isEqualTo(Math.ceil(before + perMm * share * 1.0 - 1e-9));
        assertThat(Known.into(w.plans.getLast().draft(), w.plan(), w.state().readings())
                        .damages())
                .extracting(DamageDraft::depthMm)
                .containsExactly(4.0, 3.5);
    }

    @Test
    @DisplayName(
            "depth 3.4 mm where less was planned: the gate is green, the first mix takes more by what a millimetre of that hollow holds")
    void depthIsFollowed() {
        Work w = Work.by("dent-filler-putty");
        double before = w.plan().mix("filler").pour().fillerG();
        Watch planned = w.plan().steps().stream()
                .flatMap(s -> s.step().watches().stream())
                .filter(x -> x.sense() == Watch.Sense.PLANNED)
                .findFirst()
                .orElseThrow();
        w.to("depth");
        w.read(Quantity.DEPTH_MM, planned.limit() + 1.5);
        assertThat(w.state().stops()).isEmpty();
        assertThat(w.state().findings())
                .extracting(ReadingFinding::weight)
                .contains(Weight.OTHER)
                .doesNotContain(Weight.STOP);
        w.answer(Gate.YES, "");
        while (w.hand().step().kind() != Step.Kind.MIX) {
            w.on();
        }
        double perMm = w.plan().mix("filler").pour().again().orElseThrow().perMm()
                / w.plan().mix("filler").pour().batches();
        RunState.MixDone mix = w.state().mixes().getLast();
        double most = Math.max(
                before, w.plan().mix("filler").pour().again().orElseThrow().most());
        assertThat(mix.fillerTargetG()).isEqualTo(Math.min(most, Math.ceil(before + 1.5 * perMm - 1e-9)));
        assertThat(mix.fillerTargetG()).isGreaterThan(before);
        assertThat(w.hand().step().amount()).contains(Text.of(mix.fillerTargetG(), "g"));
        assertThat(w.deviations()).contains(Deviation.Kind.OTHER_THAN_PLANNED);
        assertThat(w.record().deviations())
                .anySatisfy(d -> assertThat(d.consequence()).contains("instead of"));
    }

    @Test
    @DisplayName(
            "9 mm stops: the gate does not open, not in a second round, not for another hand, until it is measured and passes")
    void tooDeepStands() {
        Work w = Work.by("dent-filler-putty");
        w.to("depth");
        UUID raised = w.read(Quantity.DEPTH_MM, 9);
        assertThat(w.state().stops()).singleElement().satisfies(s -> {
            assertThat(s.event()).isEqualTo(raised);
            assertThat(s.weight()).isEqualTo(Weight.STOP);
            assertThat(s.said()).contains("Too deep to fill");
        });
        w.answer(Gate.YES, "it will do");
        w.happens(BenchEvent.gate(w.id(), w.at, "Isla", w.hand().id(), Gate.YES));
        assertThat(w.hand().id()).isEqualTo("depth");
        assertThat(w.state().ignored()).hasSize(2);
        w.answer("deep", "");
        assertThat(w.hand().loop()).isEqualTo("Too deep");
        w.done();
        assertThat(w.hand().id()).isEqualTo("depth~2");
        w.answer(Gate.YES, "");
        assertThat(w.hand().id()).as("a second round without a reading").isEqualTo("depth~2");
        w.read(Quantity.DEPTH_MM, 2);
        assertThat(w.state().stops()).isEmpty();
        w.answer(Gate.YES, "");
        assertThat(w.hand().id()).isEqualTo("open");
        assertThat(w.deviations()).contains(Deviation.Kind.STOPPED).doesNotContain(Deviation.Kind.NOT_READ);
    }

    @Test
    @DisplayName("a reading that binds may be left out by a hand, and that stands in the record")
    void notRead() {
        Work w = Work.by("dent-filler-putty");
        w.to("depth");
        w.answer(Gate.YES, "");
        assertThat(w.hand().id()).isEqualTo("open");
        assertThat(w.deviations()).contains(Deviation.Kind.NOT_READ);
    }

    @Test
    @DisplayName(
            "what was done under a plan that others left meanwhile counts for nothing in the next, stands in the record, and raises its stop all the same")
    void lateUnderThePlanBefore() {
        Work w = Work.by("run-block");
        while (stopping(w).isEmpty()) {
            w.on();
        }
        String gate = w.hand().id();
        Instant offline = w.at.plusSeconds(5);
        w.at = w.at.plusSeconds(60);
        w.anew(d -> d, "wider than planned");
        assertThat(w.hand().id()).isEqualTo(gate);
        w.happens(BenchEvent.gate(w.id(), offline, "Tam", gate, Gate.YES));
        assertThat(w.hand().id()).as("the same name, another plan").isEqualTo(gate);
        assertThat(w.state().ignored()).singleElement().satisfies(i -> {
            assertThat(i.cause()).isEqualTo(RunState.Cause.PLANNED_ANEW);
            assertThat(i.said()).isEqualTo(w.hand().step().title());
        });
        assertThat(w.record().uncounted()).hasSize(1);
        w.happens(BenchEvent.gate(
                w.id(), offline, "Tam", gate, stopping(w).orElseThrow().id()));
        assertThat(w.state().stops()).as("it stops under any plan").hasSize(1);
    }

    private static Optional<Gate.Branch> stopping(Work w) {
        return w.hand().step().gate().stream()
                .flatMap(g -> g.branches().stream())
                .filter(b -> b.weight().stops())
                .findFirst();
    }

    @Test
    @DisplayName("what was done before one knew that the work was ended stands in the record, uncounted")
    void lateAfterTheEnd() {
        Work w = Work.by("dent-filler-putty");
        w.to("depth");
        Instant offline = w.at.plusSeconds(5);
        w.happens(new BenchEvent(
                w.id(),
                BenchEvent.Kind.END,
                w.at.plusSeconds(60),
                "Isla",
                "",
                RunState.Ending.WITHDRAWN.name(),
                Optional.empty(),
                Optional.empty(),
                "sold",
                Optional.empty()));
        w.happens(BenchEvent.gate(w.id(), offline, "Tam", "depth", Gate.YES));
        assertThat(w.state().ended()).isPresent();
        assertThat(w.record().uncounted())
                .singleElement()
                .satisfies(i -> assertThat(i.cause()).isEqualTo(RunState.Cause.ENDED));
    }

    @Test
    @DisplayName(
            "film too thin, then “still standing” and back: the stop is there, more sanding is not done, a lead may go against it")
    void thinFilm() {
        Work w = Work.by("run-block");
        while (!w.hand().id().endsWith("-gate")) {
            w.on();
        }
        String gate = w.hand().id();
        UUID thin = w.read(Quantity.FILM_UM, 30);
        w.answer("high", "");
        w.done();
        assertThat(w.hand().id()).as("no more paper under a stop").isEqualTo(gate);
        w.answer(Gate.YES, "");
        assertThat(w.hand().id()).isEqualTo(gate);
        w.happens(BenchEvent.against(w.id(), w.at, "Isla", thin, "the customer takes the risk, told in writing"));
        assertThat(w.state().stops()).isEmpty();
        assertThat(w.state().against())
                .singleElement()
                .satisfies(a -> assertThat(a.by()).isEqualTo("Isla"));
        w.answer(Gate.YES, "");
        assertThat(w.hand().id()).isNotEqualTo(gate);
        assertThat(w.deviations()).contains(Deviation.Kind.AGAINST_STOP, Deviation.Kind.STOPPED);
    }

    @Test
    @DisplayName(
            "base shows: no more sanding; never gone against; looked at again it takes words, or the work is ended")
    void baseShows() {
        Work w = Work.by("run-block");
        while (!w.hand().id().endsWith("-gate")) {
            w.on();
        }
        String gate = w.hand().id();
        UUID base = w.answer("thin", "");
        assertThat(w.hand().id()).isEqualTo(gate);
        assertThat(w.state().stops())
                .singleElement()
                .satisfies(s -> assertThat(s.weight()).isEqualTo(Weight.NEVER));
        w.happens(BenchEvent.against(w.id(), w.at, "Isla", base, "go on"));
        w.answer("high", "");
        w.answer(Gate.YES, "");
        assertThat(w.hand().id()).isEqualTo(gate);
        assertThat(w.state().stops()).hasSize(1);
        w.happens(BenchEvent.end(
                w.id(), w.at, "Tam", RunState.Ending.REFINISH, "base shows over two square centimetres"));
        RunState s = w.state();
        assertThat(s.current()).isEmpty();
        assertThat(s.finishedAt()).isEmpty();
        assertThat(s.ended().orElseThrow().how()).isEqualTo(RunState.Ending.REFINISH);
        assertThat(w.record().finishedAt()).isEmpty();
        assertThat(w.record().used()).isNotEmpty();
        assertThat(w.deviations()).contains(Deviation.Kind.ENDED);
        w.happens(BenchEvent.done(w.id(), w.at, "Tam", gate));
        assertThat(w.state().current()).as("ended is ended").isEmpty();
    }

    @Test
    @DisplayName("a stop by an answer is lifted by looking again, and what was seen then is kept")
    void lookedAgain() {
        Work w = Work.by("run-block");
        while (!w.hand().id().endsWith("-gate")) {
            w.on();
        }
        String gate = w.hand().id();
        w.answer("thin", "");
        w.answer(Gate.YES, "it was dust of the shield, wiped off: clear all over");
        assertThat(w.hand().id()).isNotEqualTo(gate);
        assertThat(w.record().lines())
                .anySatisfy(l ->
                        assertThat(l.remarks()).anySatisfy(r -> assertThat(r).contains("dust of the shield")));
    }

    @Test
    @DisplayName(
            "an injury at 32°: a one-piece run stands until it is planned anew for two pieces; what was done before still counts")
    void planAnew() {
        Work w = Work.by("tyre-one-piece");
        w.to("angle");
        List<String> before = w.state().steps().stream()
                .filter(s -> s.doneAt().isPresent())
                .map(RunState.RunStep::id)
                .toList();
        w.read(
                Quantity.INJURY_MM,
                Readings.passing(w.hand().step(), Quantity.INJURY_MM, w.plan().air()));
        w.read(Quantity.ANGLE_DEG, 32);
        w.answer(Gate.YES, "");
        w.answer(Gate.YES, "");
        assertThat(w.hand().id()).isEqualTo("angle");
        w.anew(d -> Known.into(d, w.plan(), w.state().readings()), "32° from square");
        RunState s = w.state();
        assertThat(w.plan().recipe()).isEqualTo("tyre-two-piece");
        assertThat(s.stops()).isEmpty();
        assertThat(s.startedAt()).contains(TestShop.NOW);
        assertThat(s.steps().stream().filter(RunState.RunStep::carried).map(RunState.RunStep::id))
                .as("marked, demounted and probed as before")
                .containsExactlyElementsOf(before);
        assertThat(s.current()).contains("angle");
        w.finish();
        RepairRecord r = w.record();
        assertThat(r.finishedAt()).isPresent();
        assertThat(r.former()).singleElement().satisfies(f -> {
            assertThat(f.why()).isEqualTo("32° from square");
            assertThat(f.lines()).hasSize(before.size());
        });
        assertThat(r.lines().stream().map(RepairRecord.Line::step)).doesNotContainAnyElementsOf(before);
    }

    @Test
    @DisplayName(
            "rust that goes further than it was planned: the run stands, is planned anew for what is open, or referred where that is too much")
    void theRustWentFurther() {
        Work w = Work.by("rust-mesh");
        w.to("opening");
        double planned = w.hand().step().watches().stream()
                .mapToDouble(Watch::limit)
                .min()
                .orElseThrow();
        w.read(Quantity.OPENING_MM, planned + 4);
        w.answer(Gate.YES, "");
        assertThat(w.hand().id()).isEqualTo("opening");
        assertThat(w.state().stops()).extracting(Stop::watch).containsExactly("wider");
        w.anew(d -> Known.into(d, w.plan(), w.state().readings()), "the rust went further");
        w.to("opening");
        assertThat(w.hand().step().watches())
                .as("the new plan is for what is open")
                .extracting(Watch::limit)
                .contains(planned + 4);
        w.read(Quantity.OPENING_MM, planned + 4);
        assertThat(w.state().stops()).isEmpty();
        w.read(Quantity.OPENING_MM, 76);
        assertThat(w.state().stops()).extracting(Stop::watch).contains("large");
    }

    @ParameterizedTest
    @CsvSource({
        "rust-mesh, opening, seam",
        "abs-solvent, bites, hard",
        "hairline-sealant, ends, longer",
        "hairline-sealant, bottom, through",
        "weld-finish, weld, open"
    })
    @DisplayName("what the part shows once it is opened stops the work, and the other answers do not lift it")
    void whatShowsStops(String recipe, String gate, String answer) {
        Work w = Work.by(recipe);
        w.to(gate);
        w.answer(answer, "");
        assertThat(w.state().stops()).singleElement().satisfies(s -> {
            assertThat(s.step()).isEqualTo(gate);
            assertThat(s.weight()).isEqualTo(Weight.STOP);
        });
        w.done();
        assertThat(w.hand().id()).isEqualTo(gate);
    }

    @Test
    @DisplayName("planned anew after a mix: what was used stays used, once, and a dent found wider is opened again")
    void planAnewAfterAMix() {
        Work w = Work.by("dent-filler-putty");
        while (w.hand().step().kind() != Step.Kind.WAIT || w.hand().step().mix().isEmpty()) {
            w.on();
        }
        double used = w.record().used().stream()
                .filter(u -> u.unit().equals("g"))
                .mapToDouble(u -> u.amount())
                .sum();
        assertThat(used).isPositive();
        w.anew(
                d -> RepairDraft.of(
                        d.part(), d.damages().stream().map(StopsTest::wider).toList()),
                "wider under the paint");
        assertThat(w.state().steps().stream().filter(RunState.RunStep::carried).map(RunState.RunStep::id))
                .contains("wash")
                .doesNotContain("open");
        assertThat(w.record().used().stream()
                        .filter(u -> u.unit().equals("g"))
                        .mapToDouble(u -> u.amount())
                        .sum())
                .isEqualTo(used);
        w.finish();
        assertThat(w.record().used().stream()
                        .filter(u -> u.unit().equals("g"))
                        .mapToDouble(u -> u.amount())
                        .sum())
                .isGreaterThan(used);
        assertThat(w.record().finishedAt()).isPresent();
    }

    private static DamageDraft wider(DamageDraft d) {
        return d.sized(d.lengthMm() * 1.3, d.widthMm() * 1.3);
    }

    @ParameterizedTest
    @MethodSource("recipes")
    @DisplayName("the same draft planned anew anywhere in a run loses nothing: every step passed still counts")
    void sameAgain(String recipe) {
        Work w = Work.by(recipe);
        int n = w.plan().steps().size();
        for (int i = 0; i < n * 2 / 3; i++) {
            w.on();
        }
        String in = w.hand().id();
        w.anew(d -> d, "only to look");
        assertThat(w.hand().id()).isEqualTo(in);
        w.finish();
        assertThat(w.record().finishedAt()).isPresent();
        assertThat(w.record().lines().size()
                        + w.record().former().getFirst().lines().size())
                .isEqualTo(n);
    }

    @Test
    @DisplayName("5.9 % of cream never starts; thrown away it counts as used, and it is weighed again")
    void scrapped() {
        Work w = Work.by("dent-filler-putty");
        while (w.hand().step().kind() != Step.Kind.MIX) {
            w.on();
        }
        String mix = w.hand().id();
        w.read(Quantity.FILLER_G, 50);
        w.read(Quantity.CREAM_G, 2.95);
        assertThat(w.state().before())
                .anySatisfy(m -> assertThat(!m.holds() && m.never()).isTrue());
        w.happens(BenchEvent.clock(w.id(), w.at, "Tam", mix));
        w.done();
        assertThat(w.hand().id()).isEqualTo(mix);
        assertThat(w.state().clocks()).isEmpty();
        w.happens(BenchEvent.scrap(w.id(), w.at, "Tam", mix, "far too much cream"));
        assertThat(w.hand().id()).isEqualTo(mix + "~2");
        assertThat(w.state().mixes()).hasSize(2);
        assertThat(w.state().mixes().getFirst().scrapped()).contains("far too much cream");
        w.read(Quantity.FILLER_G, 50);
        w.read(Quantity.CREAM_G, 1.0);
        assertThat(w.state().before().stream().filter(m -> m.said().equals("dose")))
                .allMatch(BeforeMix.Must::holds);
        w.happens(BenchEvent.clock(w.id(), w.at, "Tam", w.hand().id()));
        w.done();
        w.happens(BenchEvent.scrap(w.id(), w.at, "Tam", w.hand().id(), "dirt in it"));
        assertThat(w.hand().id()).isEqualTo(mix + "~3");
        assertThat(w.state().clocks()).as("what was thrown away has no clock").isEmpty();
        w.on();
        w.on();
        assertThat(w.hand().step().kind()).isEqualTo(Step.Kind.WAIT);
        assertThat(w.deviations())
                .filteredOn(Deviation.Kind.MIX_SCRAPPED::equals)
                .hasSize(2);
        double grams = w.record().used().stream()
                .filter(u -> u.name().equals(w.plan().mix("filler").pour().material()))
                .mapToDouble(u -> u.amount())
                .sum();
        assertThat(grams).isEqualTo(100 + w.plan().mix("filler").pour().fillerG());
    }

    @Test
    @DisplayName("low cream starts by hand with a reason only in the record; an unweighed mix too")
    void startedThough() {
        Work w = Work.by("dent-filler-putty");
        while (w.hand().step().kind() != Step.Kind.MIX) {
            w.on();
        }
        w.happens(BenchEvent.clock(w.id(), w.at, "Tam", w.hand().id()).saying("scale is broken, bead laid"));
        w.done();
        w.done();
        assertThat(w.record().deviations())
                .filteredOn(d -> d.kind() == Deviation.Kind.DOSE_NOT_WEIGHED)
                .singleElement()
                .satisfies(d -> assertThat(d.text()).contains("Dose not on record", "scale is broken"));
    }

    @Test
    @DisplayName("waiting again adds: “still wet” under light goes on from the light it had, not from none")
    void waitingAgainAdds() {
        Work w = Work.by("chip-vacuum");
        w.to("light");
        Instant began = w.hand().beganAt().orElseThrow();
        Instant end = w.state().clocks().getFirst().endsAt().orElseThrow();
        w.at = began.plusSeconds(300);
        w.answer("wet", "");
        w.at = w.at.plusSeconds(300);
        w.done();
        assertThat(w.hand().id()).isEqualTo("light~2");
        assertThat(w.state().clocks().getFirst().startedAt()).isEqualTo(began);
        assertThat(w.state().clocks().getFirst().endsAt()).contains(end);
    }

    @Test
    @DisplayName("a wait ended early by hand says what it was judged by")
    void endedEarly() {
        Work w = Work.by("chip-vacuum");
        w.to("light");
        w.answer(Gate.YES, "blade does not mark it");
        assertThat(w.record().deviations())
                .filteredOn(d -> d.kind() == Deviation.Kind.WENT_ON_EARLY)
                .anySatisfy(d -> assertThat(d.text()).contains("Judged by: blade does not mark it"));
    }

    @Test
    @DisplayName("a tyre that leaks at the repair is not finished; one that leaks at a bead is seated and tested again")
    void leak() {
        Work w = Work.by("tyre-one-piece");
        w.to("leak-test");
        w.answer("seat", "");
        w.done();
        assertThat(w.hand().id()).isEqualTo("leak-test~2");
        w.answer("unit", "");
        assertThat(w.state().stops())
                .singleElement()
                .satisfies(s -> assertThat(s.weight()).isEqualTo(Weight.NEVER));
        w.answer(Gate.YES, "");
        assertThat(w.state().finishedAt()).isEmpty();
        w.happens(BenchEvent.end(w.id(), w.at, "Tam", RunState.Ending.SCRAPPED, "leaks at the stem"));
        assertThat(w.state().finishedAt()).isEmpty();
        assertThat(w.state().ended()).isPresent();
    }

    @Test
    @DisplayName("over its cap a wait is not passed until the surface is read cooler")
    void hot() {
        Work w = Work.by("dent-filler-putty");
        while (w.hand().step().watches().stream().noneMatch(x -> x.id().equals("hot"))) {
            w.on();
        }
        String wait = w.hand().id();
        w.at = w.at.plusSeconds(7200);
        w.read(Quantity.SURFACE_C, 61);
        w.answer(Gate.YES, "");
        assertThat(w.hand().id()).isEqualTo(wait);
        w.read(Quantity.SURFACE_C, 31);
        w.answer(Gate.YES, "");
        assertThat(w.hand().id()).isNotEqualTo(wait);
    }

    @Test
    @DisplayName("over the cap while waiting once more it stops as well, on every method that waits by a law")
    void hotAgain() {
        Recipe.all().forEach(r -> {
            Plan p = Work.by(r.id()).plan();
            boolean capped =
                    p.steps().stream().flatMap(x -> x.step().watches().stream()).anyMatch(x -> x.id().equals("hot"));
            p.loops().stream()
                    .filter(l -> capped)
                    .filter(l -> l.id().equals("wait-again"))
                    .flatMap(l -> l.steps().stream())
                    .filter(s -> s.asks().contains(Quantity.SURFACE_C))
                    .forEach(s -> assertThat(s.watches())
                            .as(r.id())
                            .extracting(Watch::id)
                            .contains("hot"));
        });
    }

    @Test
    @DisplayName("the size that was planned is the injury's, not the cutter's; a stop stands for what else differs")
    void injuryAsPlanned() {
        Work w = Work.by("tyre-one-piece");
        w.to("angle");
        double entered = w.plans.getFirst().draft().damages().getFirst().lengthMm();
        w.read(Quantity.INJURY_MM, entered);
        assertThat(w.state().findings()).allMatch(f -> f.weight() == Weight.FINE);
        w.read(Quantity.ANGLE_DEG, 32);
        assertThat(w.record().deviations()).singleElement().satisfies(d -> {
            assertThat(d.kind()).isEqualTo(Deviation.Kind.STOPPED);
            assertThat(d.text()).doesNotEndWith(".");
        });
    }

    @Test
    @DisplayName("dew: the surface against the air that was read with it; 86 % and 9 °C stop as well")
    void air() {
        Work w = Work.by("plastic-adhesive-cloth");
        w.to("dew");
        w.read(Quantity.SURFACE_C, 20);
        assertThat(w.state().stops()).isEmpty();
        w.read(Quantity.RH_PERCENT, 86);
        assertThat(w.state().stops()).extracting(Stop::watch).contains("humid", "dew");
        w.read(Quantity.RH_PERCENT, 50);
        assertThat(w.state().stops()).isEmpty();
        w.read(Quantity.SURFACE_C, 9);
        assertThat(w.state().stops()).extracting(Stop::watch).contains("cold");
        w.answer("dew", "");
        w.done();
        w.read(Quantity.SURFACE_C, 18);
        w.answer(Gate.YES, "");
        assertThat(w.hand().step().id()).isNotEqualTo("dew");
    }

    @Test
    @DisplayName(
            "the beginning cannot be taken back, nor a signature; whatever comes after a signature asks for a new one")
    void stands() {
        Work w = Work.by("trim");
        UUID start = w.events.getFirst().id();
        w.happens(BenchEvent.undo(w.id(), w.at, "Tam", start));
        assertThat(w.state().startedAt()).isPresent();
        w.finish();
        UUID signed = w.happens(BenchEvent.sign(w.id(), w.at, "Isla", true, ""));
        w.happens(BenchEvent.undo(w.id(), w.at, "Tam", signed));
        assertThat(w.state().signed()).isEmpty();
        w.happens(BenchEvent.sign(w.id(), w.at, "Isla", true, ""));
        assertThat(w.state().signed()).isPresent();
        w.happens(
                BenchEvent.note(w.id(), w.at, "Tam", w.state().steps().getLast().id(), "a run at the sill"));
        assertThat(w.state().signed()).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("recipes")
    @DisplayName("every stop of every plan holds the gate it was found at, and passes when what was read passes")
    void everyStop(String recipe) {
        Work w = Work.by(recipe);
        while (w.state().now().isPresent()) {
            RunState.RunStep h = w.hand();
            for (Watch x : h.step().watches()) {
                if (x.weight().stops()) {
                    w.read(x.quantity(), Readings.failing(x, w.plan().air()));
                    assertThat(w.state().stops()).extracting(Stop::watch).contains(x.id());
                    w.at = w.at.plusSeconds(24 * 3600);
                    w.answer(Gate.YES, "never mind");
                    assertThat(w.hand().id()).isEqualTo(h.id());
                    for (int n = 0; n < x.passes(); n++) {
                        w.read(
                                x.quantity(),
                                Readings.passing(
                                        h.step(), x.quantity(), w.plan().air()));
                    }
                    assertThat(w.state().stops()).isEmpty();
                }
            }
            w.on();
        }
        assertThat(w.state().finishedAt()).isPresent();
    }
}
