package vanemend.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.TestShop;
import vanemend.core.damage.Oval;
import vanemend.core.method.Cases;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.run.FilmMap.Sign;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;

@DisplayName(
        "what lies where on the part: as thick as the hollow is deep, less what is low, and what to look at before more")
class FilmMapTest {
    /** Dent of the case: 120 by 100 mm around 340, 240, 4.2 mm deep. */
    private static final double VOLUME_MM3 = Math.PI * 60 * 50 * 4.2 / 2;

    private final FrozenPlan frozen;
    private final List<BenchEvent> events = new ArrayList<>();
    private Instant at = TestShop.NOW;

    FilmMapTest() {
        RepairDraft draft = Cases.all().get("dent-filler-putty");
        frozen = new FrozenPlan(
                TestShop.NOW,
                "Tam",
                draft,
                TestShop.workup(draft, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf())));
        events.add(BenchEvent.start(UUID.randomUUID(), at, "Tam"));
    }

    private RunState state() {
        return Replay.of(frozen.plan(), events, at);
    }

    private FilmMap map() {
        return FilmMap.of(frozen, state()).orElseThrow();
    }

    private double at(double x, double y) {
        FilmMap m = map();
        int column = (int) ((x - m.x0Mm()) / m.cellMm());
        int row = (int) ((y - m.y0Mm()) / m.cellMm());
        return m.thickMm().get(row * m.columns() + column);
    }

    private void to(String id) {
        while (!now().id().equals(id)) {
            answer(now().step().gate().isPresent() ? "yes" : "");
        }
    }

    private RunState.RunStep now() {
        return state().now().orElseThrow();
    }

    private void answer(String answer) {
        at = at.plusSeconds(60);
        String step = now().id();
        events.add(
                answer.isEmpty()
                        ? BenchEvent.done(UUID.randomUUID(), at, "Tam", step)
                        : BenchEvent.gate(UUID.randomUUID(), at, "Tam", step, answer));
    }

    private void low(double x, double y, double across, double deep) {
        events.add(BenchEvent.spot(
                UUID.randomUUID(), at, "Tam", now().id(), "low", new Oval(x, y, across, across, 0), Optional.of(deep)));
    }

    @Test
    @DisplayName(
            "nothing lies before it is spread; then it holds the dent's volume, in closed form, and is thickest where it is deepest")
    void filled() {
        assertThat(map().thickest()).isEmpty();
        assertThat(map().thickMm()).containsOnly(0.0);
        to("shape-gate");
        FilmMap m = map();
        double sum = m.thickMm().stream()
                .mapToDouble(mm -> mm * m.cellMm() * m.cellMm())
                .sum();
        assertThat(sum).isCloseTo(VOLUME_MM3, within(0.02 * VOLUME_MM3));
        FilmMap.Thickest thickest = m.thickest().orElseThrow();
        assertThat(thickest.mm()).isCloseTo(4.2, within(0.05));
        assertThat(thickest.xMm()).isCloseTo(340, within(m.cellMm()));
        assertThat(thickest.yMm()).isCloseTo(240, within(m.cellMm()));
        assertThat(at(290, 240)).as("a bowl, 50 of 60 mm out").isCloseTo(4.2 * (1 - 25.0 / 36), within(0.25));
        assertThat(m.rounds()).isEmpty();
        assertThat(m.warnings()).isEmpty();
    }

    @Test
    @DisplayName(
            "a spot that is low lacks what was read there until it is filled; beside the dent its own depth lies then")
    void lowSpots() {
        to("shape-gate");
        double level = at(340, 240);
        low(340, 240, 40, 1.2);
        low(410, 240, 16, 0.5);
        assertThat(at(340, 240)).isCloseTo(level - 1.2, within(0.11));
        assertThat(at(410, 240)).isZero();
        answer("low");
        to("shape-gate:low/wait");
        assertThat(at(340, 240)).isEqualTo(level);
        assertThat(at(410, 240)).isCloseTo(0.5, within(0.06));
        assertThat(map().rounds()).singleElement().satisfies(r -> {
            assertThat(r.answer()).isEqualTo("Low spot");
            assertThat(r.spots()).isEqualTo(2);
            assertThat(r.deepestMm()).contains(1.2);
            assertThat(Text.plain(r.laid())).matches("\\d+ g, cream [\\d.]+ g");
        });
    }

    @Test
    @DisplayName("what was measured counts over what was planned")
    void readingsCount() {
        to("depth");
        events.add(BenchEvent.reading(UUID.randomUUID(), at, "Tam", "depth", Quantity.DEPTH_MM, 3.0));
        to("shape-gate");
        assertThat(map().thickest().orElseThrow().mm()).isCloseTo(3.0, within(0.05));
    }

    @Test
    @DisplayName(
            "warned of: a spot past the sanded ground, one that makes it thicker than the limit, papers through the coats")
    void warnings() {
        to("shape-gate");
        low(440, 240, 20, 0.6);
        assertThat(map().warnings()).singleElement().satisfies(w -> {
            assertThat(w.sign()).isEqualTo(Sign.PAST_SANDED);
            // The feathered paint ends 25 mm past the dent, at 425 mm; the spot at 450 mm.
            assertThat(Text.plain(w.said())).contains("25 mm past “Feathered paint”");
        });
        low(340, 240, 30, 6.3);
        assertThat(map().warnings())
                .extracting(FilmMap.FilmWarning::sign)
                .containsExactly(Sign.TOO_THICK, Sign.PAST_SANDED);
        assertThat(Text.plain(map().warnings().getFirst().said())).contains("6.3 mm", "at most 6 mm");
        answer("low");
        to("palm");
        assertThat(map().warnings()).extracting(FilmMap.FilmWarning::sign).doesNotContain(Sign.PAST_SANDED);
        for (int n = 0; map().warnings().stream().noneMatch(w -> w.sign() == Sign.THROUGH); n++) {
            assertThat(n).as("rounds of putty until the coats are near").isLessThan(4);
            answer("low");
            answer("");
            to(n == 0 ? "palm~2" : "palm~" + (n + 2));
        }
    }
}
