package vanemend.app.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import vanemend.app.bench.RepairWork;
import vanemend.app.store.ClosedRuns;
import vanemend.app.store.OneRow;
import vanemend.core.day.DayBook;
import vanemend.core.day.Gated;
import vanemend.core.day.LoopOdds;
import vanemend.core.day.Promise;
import vanemend.core.day.Replays;
import vanemend.core.trade.TradeBook;

/** A day's plan replayed, and what the shop's own finished work says of its gates. */
@Component
class DayOdds {
    /** As many finished runs are looked at, those that were closed last: how a shop worked long ago says little. */
    private static final int RUNS = 60;

    private final ClosedRuns closed;
    private final RepairWork work;

    /** What a finished run shows does not change; one that is opened again and closed is another. */
    private final Cache<ClosedRuns.Place, LoopOdds> shown =
            Caffeine.newBuilder().maximumSize(4L * RUNS).build();

    private DayBook.Made made;
    private Promise.Shown told;

    DayOdds(ClosedRuns closed, RepairWork work) {
        this.closed = closed;
        this.work = work;
    }

    /** {@code plan} and how it goes; the same as long as the same plan is asked for. */
    synchronized Promise.Shown of(DayBook.Made plan, Map<String, List<Gated>> gates) {
        if (made != plan) {
            Replays.Varies varies = varies(gates);
            told = new Promise.Shown(plan, Replays.of(plan.day(), plan.plan(), varies, Replays.TIMES, 1), varies);
            made = plan;
        }
        return told;
    }

    /** What varies where {@code gates} are asked, by what is known now. */
    Replays.Varies varies(Map<String, List<Gated>> gates) {
        return new Replays.Varies(gates, learned(), TradeBook.value("odds.spread"));
    }

    private LoopOdds learned() {
        return LoopOdds.of(closed.find(List.of(), ClosedRuns.Place.TOP, RUNS).stream()
                .flatMap(c -> Optional.ofNullable(shown.get(c.place(), this::shows)).stream())
                .toList());
    }

    /** Null where the run cannot be read: nothing is learned from it. */
    private LoopOdds shows(ClosedRuns.Place place) {
        return OneRow.of(
                        place.repair(),
                        () -> LoopOdds.of(work.running(place.repair()).legs().stream()
                                .map(LoopOdds::of)
                                .toList()))
                .map(odds -> new LoopOdds(odds.seen(), odds.gates(), 1))
                .orElse(null);
    }
}
