package vanemend.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.run.BenchEvent;
import vanemend.core.trade.Quantity;

@DisplayName("what a signature holds for: any other plan, event, figure, word, name, time or order has another digest")
class RecordDigestTest {
    private static final Instant AT = Instant.parse("2026-11-24T08:00:00.123Z");
    private static final List<String> PLANS = List.of("aa", "bb");
    private static final List<BenchEvent> EVENTS = List.of(
            BenchEvent.start(new UUID(0, 1), AT, "Tam Okafor"),
            BenchEvent.reading(new UUID(0, 2), AT, "Tam Okafor", "depth", Quantity.DEPTH_MM, 2.8),
            BenchEvent.note(new UUID(0, 3), AT, "Tam Okafor", "depth", "ab"));

    private static List<BenchEvent> with(int i, BenchEvent e) {
        List<BenchEvent> out = new ArrayList<>(EVENTS);
        out.set(i, e);
        return out;
    }

    @Test
    void anythingElseIsAnother() {
        UUID two = new UUID(0, 2);
        List<List<BenchEvent>> others = List.of(
                EVENTS.subList(0, 2),
                EVENTS.reversed(),
                with(1, BenchEvent.reading(two, AT, "Tam Okafor", "depth", Quantity.DEPTH_MM, 2.80001)),
                with(1, BenchEvent.reading(two, AT, "Tam Okafor", "depth", Quantity.FILM_UM, 2.8)),
                with(1, BenchEvent.reading(two, AT.plusMillis(1), "Tam Okafor", "depth", Quantity.DEPTH_MM, 2.8)),
                with(1, BenchEvent.reading(two, AT, "Tam Okafo", "rdepth", Quantity.DEPTH_MM, 2.8)),
                with(1, BenchEvent.reading(new UUID(0, 9), AT, "Tam Okafor", "depth", Quantity.DEPTH_MM, 2.8)),
                with(1, EVENTS.get(1).byItself()),
                with(2, BenchEvent.note(new UUID(0, 3), AT, "Tam Okafor", "deptha", "b")),
                with(2, BenchEvent.undo(new UUID(0, 3), AT, "Tam Okafor", two, "ab")));
        Set<String> all = new HashSet<>();
        all.add(RecordDigest.of(PLANS, EVENTS));
        others.forEach(o -> all.add(RecordDigest.of(PLANS, o)));
        all.add(RecordDigest.of(List.of("aab", "b"), EVENTS));
        all.add(RecordDigest.of(List.of("bb", "aa"), EVENTS));
        assertThat(all).hasSize(others.size() + 3).allMatch(d -> d.matches("[0-9a-f]{64}"));
        assertThat(RecordDigest.of(PLANS, new ArrayList<>(EVENTS))).isEqualTo(RecordDigest.of(PLANS, EVENTS));
    }

    @Test
    @DisplayName(
            "the same plans and events keep their digest in every release: a signature given today is checked by the next")
    void stays() {
        assertThat(RecordDigest.of(PLANS, EVENTS))
                .isEqualTo("b418d776caa47f6650a9713ae299eb73664c9c51f45248825918ebb1bdf26942");
    }
}
