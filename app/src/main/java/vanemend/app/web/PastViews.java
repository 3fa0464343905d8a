package vanemend.app.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import vanemend.app.access.Account;
import vanemend.app.bench.RepairWork;
import vanemend.app.store.ClosedRuns;
import vanemend.app.web.DayView.DoneView;
import vanemend.core.day.Hours;
import vanemend.core.day.Past;

/** What hands did today: of runs under way, and of those that were closed today. */
@Component
class PastViews {
    /** More than a shop closes in a day. */
    private static final int MOST = 60;

    private record Closed(Instant at, Instant since, String name, List<Past> past) {}

    private final RepairWork work;
    private final ClosedRuns closed;
    private final Cache<Long, Closed> known =
            Caffeine.newBuilder().maximumSize(2L * MOST).build();

    PastViews(RepairWork work, ClosedRuns closed) {
        this.work = work;
        this.closed = closed;
    }

    /** By beginning; whoever is none of {@code people} any more is left out. What was begun before the shop opened is told from then on. */
    List<DoneView> today(List<RepairWork.Live> live, List<Account> people, Instant now, ZoneId zone, Hours hours) {
        LocalDate today = LocalDate.ofInstant(now, zone);
        Instant midnight = today.atStartOfDay(zone).toInstant();
        Optional<Instant> opened = hours.opens(today, zone);
        List<DoneView> out = new ArrayList<>();
        for (RepairWork.Live l : live) {
            add(out, l.id(), l.frozen().workup().name(), Past.of(l.state(), midnight), people, midnight, opened);
        }
        for (ClosedRuns.Closed c : closed.find(List.of(), ClosedRuns.Place.TOP, MOST)) {
            if (!c.closedAt().isBefore(midnight)) {
                Closed k = of(c, midnight);
                add(out, c.repair(), k.name(), k.past(), people, midnight, opened);
            }
        }
        out.sort(Comparator.comparing(DoneView::from).thenComparing(DoneView::repair));
        return List.copyOf(out);
    }

    private Closed of(ClosedRuns.Closed c, Instant midnight) {
        Closed k = known.getIfPresent(c.repair());
        if (k == null || !k.at().equals(c.closedAt()) || !k.since().equals(midnight)) {
            RepairWork.Running run = work.running(c.repair());
            k = new Closed(c.closedAt(), midnight, run.frozen().workup().name(), Past.of(run.state(), midnight));
            known.put(c.repair(), k);
        }
        return k;
    }

    private static void add(
            List<DoneView> out,
            long repair,
            String name,
            List<Past> past,
            List<Account> people,
            Instant midnight,
            Optional<Instant> opened) {
        for (Past p : past) {
            Instant from = p.from().equals(midnight)
                    ? opened.filter(o -> o.isBefore(p.to())).orElse(midnight)
                    : p.from();
            people.stream()
                    .filter(a -> a.name().equals(p.by()))
                    .findFirst()
                    .ifPresent(a -> out.add(new DoneView(repair, name, a.id(), from, p.to(), p.steps())));
        }
    }
}
