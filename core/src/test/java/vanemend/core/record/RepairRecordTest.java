package vanemend.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.TestShop;
import vanemend.core.method.Gate;
import vanemend.core.method.Step;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.Readings;
import vanemend.core.run.Replay;
import vanemend.core.run.RunState;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

class RepairRecordTest {
    private static final FrozenPlan FROZEN = TestShop.frozen();

    /** One run; each test says how it strays. */
    private static final class Run {
        private final List<BenchEvent> events = new ArrayList<>();
        private Instant at = TestShop.NOW;
        double cream = 2;
        double share = 1;
        double waitShare = 1.1;
        double spreadMin = 1;
        double surfaceC = Double.NaN;
        boolean weigh = true;

        RepairRecord record() {
            events.add(BenchEvent.start(UUID.randomUUID(), at, "Tam"));
            for (int turn = 0; turn < 200; turn++) {
                RunState s = Replay.of(FROZEN.plan(), events, at);
                if (s.finishedAt().isPresent()) {
                    return RepairRecord.of(FROZEN, events, at);
                }
                step(s.now().orElseThrow(), s);
            }
            throw new AssertionError("never finished: "
                    + Replay.of(FROZEN.plan(), events, at).ignored().getLast());
        }

        private void step(RunState.RunStep now, RunState s) {
            String id = now.id();
            if (now.step().kind() == Step.Kind.MIX) {
                if (weigh) {
                    double filler = FROZEN.plan().mix(now.step().mix()).pour().fillerG() * share;
                    events.add(BenchEvent.reading(UUID.randomUUID(), at, "Tam", id, Quantity.FILLER_G, filler));
                    events.add(BenchEvent.reading(
                            UUID.randomUUID(), at, "Tam", id, Quantity.CREAM_G, filler * cream / 100));
                }
                events.add(BenchEvent.clock(UUID.randomUUID(), at, "Tam", id));
            }
            double min = switch (now.step().kind()) {
                case WAIT ->
                    s.clocks().stream()
                            .filter(c -> c.step().equals(id))
                            .findFirst()
                            .flatMap(RunState.LiveClock::endsAt)
                            .map(e -> (e.toEpochMilli() - at.toEpochMilli()) / 60_000.0 * waitShare)
                            .orElse(30.0);
                case SPREAD -> spreadMin;
                default -> 1;
            };
            at = at.plusMillis(Math.round(min * 60_000));
            if (now.step().kind() == Step.Kind.WAIT && id.equals("filler-wait") && !Double.isNaN(surfaceC)) {
                events.add(BenchEvent.reading(UUID.randomUUID(), at, "Tam", id, Quantity.SURFACE_C, surfaceC));
                events.add(BenchEvent.reading(UUID.randomUUID(), at, "Tam", id, Quantity.SURFACE_C, 30));
            }
            for (Quantity q : now.step().gate().map(Gate::reads).orElse(List.of())) {
                double as = Readings.passing(now.step(), q, FROZEN.plan().air());
                events.add(BenchEvent.reading(UUID.randomUUID(), at, "Tam", id, q, as));
            }
            events.add(
                    now.step().gate().isPresent()
                            ? BenchEvent.gate(UUID.randomUUID(), at, "Tam", id, "yes")
                            : BenchEvent.done(UUID.randomUUID(), at, "Tam", id));
        }
    }

    private static List<Deviation.Kind> kinds(RepairRecord r) {
        return r.deviations().stream().map(Deviation::kind).distinct().toList();
    }

    @Test
    void doneAsPlannedHasNoDeviations() {
        RepairRecord r = new Run().record();
        assertThat(r.deviations()).isEmpty();
        assertThat(r.lines()).hasSize(FROZEN.plan().steps().size());
        assertThat(r.people()).containsExactly("Tam");
        assertThat(r.doses()).hasSize(2).allSatisfy(d -> assertThat(d.percent()).contains(2.0));
        assertThat(r.ruleBook()).isEqualTo(FROZEN.workup().ruleBook());
        assertThat(r.lots()).extracting(RepairRecord.Lot::lot).contains("L-filler", "L-putty", "L-P80", "L-P320");
        assertThat(r.finishedAt()).isPresent();
    }

    @Test
    void theDoseIsNamedWithWhatItLeadsTo() {
        Run low = new Run();
        low.cream = 1.2;
        RepairRecord r = low.record();
        assertThat(kinds(r)).containsExactly(Deviation.Kind.DOSE_OFF);
        assertThat(Text.plain(r.deviations().getFirst().text())).isEqualTo("Cream 1.2 %, asked 2 %");
        assertThat(r.deviations().getFirst().consequence()).contains("Slower");
        Run near = new Run();
        near.cream = 2.2;
        assertThat(near.record().deviations()).isEmpty();
    }

    @Test
    @DisplayName("far more or less filler than was asked is a deviation by itself, with its cream in order")
    void anAmountFarOffIsSaid() {
        for (double share : new double[] {0.5, 0.79, 1.21, 2}) {
            Run r = new Run();
            r.share = share;
            assertThat(kinds(r.record())).as("" + share).containsExactly(Deviation.Kind.AMOUNT_OFF);
        }
        for (double share : new double[] {0.81, 1.19}) {
            Run r = new Run();
            r.share = share;
            assertThat(r.record().deviations()).as("" + share).isEmpty();
        }
    }

    @Test
    void aDoseNobodyTypedIsSaid() {
        Run r = new Run();
        r.weigh = false;
        assertThat(kinds(r.record())).containsExactly(Deviation.Kind.DOSE_NOT_WEIGHED);
    }

    @Test
    void sandingBeforeCureIsNamedWithTheShareReached() {
        Run early = new Run();
        early.waitShare = 0.5;
        RepairRecord r = early.record();
        assertThat(kinds(r))
                .as("the filler's, and the other wait that was cut short")
                .containsExactly(Deviation.Kind.SANDED_BEFORE_CURE, Deviation.Kind.WENT_ON_EARLY);
        assertThat(Text.plain(r.deviations().getFirst().text()))
                .contains("50 % of the cure asked")
                .contains("9 min of 18 min");
    }

    @Test
    void overFiftyDegreesIsNamedAtFiftyItIsNot() {
        Run hot = new Run();
        hot.surfaceC = 50.1;
        assertThat(kinds(hot.record())).contains(Deviation.Kind.STOPPED);
        Run warm = new Run();
        warm.surfaceC = 50;
        assertThat(kinds(warm.record())).doesNotContain(Deviation.Kind.STOPPED);
    }

    @Test
    void lateSpreadingIsNamed() {
        Run slow = new Run();
        slow.spreadMin = 4;
        RepairRecord r = slow.record();
        assertThat(kinds(r)).contains(Deviation.Kind.SPREAD_LATE);
        assertThat(Text.plain(r.deviations().getFirst().text())).contains("5:00 min, due by 4:00 min");
    }

    @Test
    void aDoseThatNeverCuresNeverStarts() {
        Run none = new Run();
        none.cream = 0.4;
        assertThatThrownBy(none::record).hasMessageContaining("a dose of", "never starts");
    }
}
