package vanemend.core.house;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.TestShop;
import vanemend.core.method.Cases;
import vanemend.core.method.Gate;
import vanemend.core.method.HousePages;
import vanemend.core.method.PageChange;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.record.Deviation;
import vanemend.core.record.RepairRecord;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.Replay;
import vanemend.core.run.RunState;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;

@DisplayName("a run by the house's own page: its gate and loop, what it wants, and what the record says without it")
class HouseRunTest {
    private static final RepairDraft PITS = Cases.all().get("rust-pits");
    private static final UUID PICTURE = new UUID(3, 3);

    private static FrozenPlan frozen(PageChange... changes) {
        HousePages pages = new HousePages(List.of(changes).stream()
                .map(c -> HouseRulesOf.rule(MethodId.RUST_PITS, c))
                .toList());
        return new FrozenPlan(TestShop.NOW, "Tam", PITS, HouseRulesOf.workup(PITS, pages));
    }

    private final List<BenchEvent> events = new ArrayList<>();
    private Instant at = TestShop.NOW;

    private Instant next() {
        at = at.plusSeconds(60);
        return at;
    }

    private UUID id() {
        return new UUID(1, events.size());
    }

    private void begun(String... done) {
        events.add(BenchEvent.start(id(), at, "Tam"));
        for (String step : done) {
            events.add(BenchEvent.done(id(), next(), "Tam", step));
        }
    }

    private List<Deviation> notGiven(FrozenPlan frozen) {
        return RepairRecord.of(frozen, events, at).deviations().stream()
                .filter(d -> d.kind() == Deviation.Kind.WANTED_NOT_GIVEN)
                .toList();
    }

    @Test
    void aGateOfTheHouseIsAskedAgainAfterWhatIsDoneThen() {
        FrozenPlan f = frozen(new PageChange.Add(
                "house-drain",
                "loose",
                "Clear the drain holes",
                "",
                Optional.empty(),
                3,
                0,
                "",
                Optional.of(new PageChange.HouseGate("Air through?", "Clear", "Blocked", "Open it from below", 2)),
                List.of()));
        begun("clean", "strip-p36", "loose");
        events.add(BenchEvent.gate(id(), next(), "Tam", "house-drain", "again"));
        RunState s = Replay.of(f.plan(), events, at);
        assertThat(s.current()).contains("house-drain:again/then");
        assertThat(s.now().orElseThrow().step().title()).isEqualTo("Open it from below");
        events.add(BenchEvent.done(id(), next(), "Tam", "house-drain:again/then"));
        assertThat(Replay.of(f.plan(), events, at).current()).contains("house-drain~2");
        events.add(BenchEvent.gate(id(), next(), "Tam", "house-drain~2", Gate.YES));
        assertThat(Replay.of(f.plan(), events, at).current()).contains("probe");
    }

    @Test
    void whatWasWantedAndNotGivenStandsInTheRecord() {
        FrozenPlan f = frozen(new PageChange.Reading("clean", Quantity.SURFACE_C), new PageChange.Picture("clean"));
        begun();
        assertThat(Replay.of(f.plan(), events, at)
                        .missing(Replay.of(f.plan(), events, at).now().orElseThrow()))
                .hasValueSatisfying(w -> {
                    assertThat(w.readings()).containsExactly(Quantity.SURFACE_C);
                    assertThat(w.picture()).isTrue();
                });
        events.add(BenchEvent.done(id(), next(), "Tam", "clean"));
        assertThat(notGiven(f))
                .singleElement()
                .satisfies(d -> assertThat(d.text()).endsWith("Surface, a picture"));
    }

    @Test
    void whatWasGivenLeavesNoTraceButItself() {
        FrozenPlan f = frozen(new PageChange.Reading("clean", Quantity.SURFACE_C), new PageChange.Picture("clean"));
        begun();
        events.add(BenchEvent.reading(id(), next(), "Tam", "clean", Quantity.SURFACE_C, 19));
        events.add(BenchEvent.picture(PICTURE, next(), "Tam", "clean"));
        events.add(BenchEvent.done(id(), next(), "Tam", "clean"));
        assertThat(notGiven(f)).isEmpty();
        RepairRecord record = RepairRecord.of(f, events, at);
        assertThat(record.lines().getFirst().remarks()).contains("1 picture");
        assertThat(record.house()).hasSize(2);
        // Taken away again, it was not given.
        events.add(BenchEvent.undo(id(), next(), "Tam", PICTURE, "Shows a bystander"));
        assertThat(notGiven(f))
                .singleElement()
                .satisfies(d -> assertThat(d.text()).endsWith(": a picture"));
        assertThat(RepairRecord.of(f, events, at).takenBack())
                .singleElement()
                .satisfies(t -> assertThat(t.reason()).isEqualTo("Shows a bystander"));
    }

    @Test
    void aPictureIsNotWhatAnUndoTakesBack() {
        FrozenPlan f = frozen(new PageChange.Picture("strip-p36"));
        begun("clean");
        UUID last = events.getLast().id();
        events.add(BenchEvent.picture(PICTURE, next(), "Tam", "strip-p36"));
        assertThat(Replay.of(f.plan(), events, at).lastUndoable()).contains(last);
    }
}
