package vanemend.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.method.Gate;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.RunState;
import vanemend.core.trade.TradeBook;

@DisplayName("how often gates send back: remembered first, then as the shop's own finished work shows")
class LoopOddsTest {
    private static final Gated.Way LOW = new Gated.Way("low", List.of(), 60);
    private static final Gated.Way PINHOLES = new Gated.Way("pinholes", List.of(), 60);
    private static final Gated FILL = new Gated("fill", 0, true, List.of(LOW, PINHOLES));
    private static final Gated SOFT = new Gated("cure", 60, false, List.of(new Gated.Way("soft", List.of(), 60)));

    @Test
    @DisplayName("nothing seen: what the book remembers of such a gate, its ways alike")
    void remembered() {
        assertThat(LoopOdds.REMEMBERED.of(FILL, LOW)).isCloseTo(TradeBook.value("odds.filled") / 200, within(1e-12));
        assertThat(LoopOdds.REMEMBERED.of(SOFT, SOFT.ways().getFirst()))
                .isCloseTo(TradeBook.value("odds.other") / 100, within(1e-12));
    }

    @Test
    @DisplayName("thirty fills of which six were low: by hand (6 + 10 x 0.15) / (30 + 10) = 0.1875")
    void seen() {
        LoopOdds odds = new LoopOdds(Map.of("low", new LoopOdds.Tally(30, 6)), 30, 5);
        assertThat(odds.of(FILL, LOW)).isCloseTo(0.1875, within(1e-12));
        assertThat(odds.of(FILL, PINHOLES)).isCloseTo(0.15, within(1e-12));
        LoopOdds both = LoopOdds.of(List.of(odds, odds));
        assertThat(both.seen()).containsEntry("low", new LoopOdds.Tally(60, 12));
        assertThat(both.runs()).isEqualTo(10);
    }

    @Test
    @DisplayName("a run whose fill was low once: asked twice, taken once; every other gate was asked and passed")
    void ofARun() {
        DayWalk walk = DayWalk.of("dent-filler-putty");
        int gates = 0;
        boolean low = false;
        for (RunState s = walk.state(); s.current().isPresent(); s = walk.state()) {
            RunState.RunStep at = s.now().orElseThrow();
            Optional<Gate> gate = at.step().gate();
            String answer = gate.isEmpty() ? "" : Gate.YES;
            if (!low && gate.flatMap(g -> g.branch(Gate.LOW)).isPresent()) {
                answer = Gate.LOW;
                low = true;
            }
            gates += gate.isPresent() ? 1 : 0;
            walk.add(gate.isPresent() ? BenchEvent.Kind.GATE : BenchEvent.Kind.DONE, at.id(), answer);
        }
        LoopOdds odds = LoopOdds.of(walk.state());
        assertThat(low).isTrue();
        assertThat(odds.gates()).isEqualTo(gates);
        assertThat(odds.seen().get(Gate.LOW).taken()).isEqualTo(1);
        assertThat(odds.seen().get(Gate.LOW).asked()).isGreaterThanOrEqualTo(2);
        assertThat(odds.seen().values()).allMatch(t -> t.asked() >= t.taken());
        assertThat(odds.seen().values().stream().mapToInt(LoopOdds.Tally::taken).sum())
                .isEqualTo(1);
    }
}
