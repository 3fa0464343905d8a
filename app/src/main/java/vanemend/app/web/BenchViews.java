package vanemend.app.web;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import vanemend.app.access.Account;
import vanemend.app.access.Accounts;
import vanemend.app.access.Role;
import vanemend.app.bench.RepairWork;
import vanemend.app.store.ClosedRuns;
import vanemend.app.store.Repairs;
import vanemend.app.store.Shop;
import vanemend.app.store.ShopSettings;
import vanemend.app.web.Views.AgainView;
import vanemend.app.web.Views.BenchView;
import vanemend.app.web.Views.HandsView;
import vanemend.app.web.Views.HeatView;
import vanemend.app.web.Views.LiveView;
import vanemend.app.web.Views.RepairLine;
import vanemend.app.web.Views.ShopView;
import vanemend.app.web.Views.Standing;
import vanemend.core.method.Conditions;
import vanemend.core.plan.AirEffect;
import vanemend.core.run.RunState;
import vanemend.core.run.Sharing;
import vanemend.core.run.StillToCome;
import vanemend.core.trade.Air;

/** The bench as it stands: live clocks, and the next thing for each pair of hands. */
@Component
class BenchViews {
    private static final Duration NEAR = Duration.ofDays(60);
    private static final Duration AT_THE_BENCH = Duration.ofMinutes(30);
    private final RepairWork work;
    private final Repairs repairs;
    private final ClosedRuns closed;
    private final Accounts accounts;
    private final Shop shop;
    private final Lines lines;
    private final DayViews day;
    private final Clock clock;
    private final ShopSettings settings;

    BenchViews(
            RepairWork work,
            Repairs repairs,
            ClosedRuns closed,
            Accounts accounts,
            Shop shop,
            Lines lines,
            DayViews day,
            Clock clock,
            ShopSettings settings) {
        this.work = work;
        this.repairs = repairs;
        this.closed = closed;
        this.accounts = accounts;
        this.shop = shop;
        this.lines = lines;
        this.day = day;
        this.clock = clock;
        this.settings = settings;
    }

    ShopView shop() {
        Air air = shop.air();
        return new ShopView(
                air.tempC(),
                air.rhPercent(),
                air.dewPointC(),
                shop.airTypedAt(),
                accounts.present(AT_THE_BENCH),
                shop.zone().getId(),
                shop.place(),
                shop.heat().by().entrySet().stream()
                        .map(e -> new HeatView(
                                e.getKey(),
                                e.getKey().word(),
                                e.getValue().factor(),
                                e.getValue().warmUps()))
                        .toList(),
                settings.lamps(),
                settings.ovens(),
                settings.units(),
                settings.open());
    }

    BenchView bench(Account me) {
        Conditions today = shop.conditions(me.role() == Role.APPRENTICE);
        Instant now = clock.instant();
        List<RepairWork.Live> running = work.underWay().live();
        Sharing.Shared shared = Sharing.of(
                running.stream()
                        .map(l -> new Sharing.Run(
                                l.id(),
                                l.frozen().workup().name(),
                                Optional.ofNullable(l.frozen().draft().promisedAt()),
                                l.state(),
                                l.ahead()))
                        .toList(),
                settings.lamps(),
                settings.ovens(),
                now);
        List<LiveView> live =
                running.stream().map(l -> live(l, shared.ahead().get(l.id()))).toList();
        List<RepairLine> waiting =
                repairs.open().stream().map(r -> lines.of(r, today)).toList();
        return new BenchView(
                now,
                shop(),
                live,
                hands(live, waiting),
                waiting,
                AirEffect.of(today.shelf(), today.air()),
                again(),
                shared.waiting());
    }

    /** Later looks that were due in the last two months, or will be in the next: what is older stands with its record. */
    private List<AgainView> again() {
        Instant now = clock.instant();
        Instant from = now.minus(NEAR);
        Instant to = now.plus(NEAR);
        return closed.lookedAtAgain(from, to).stream()
                .flatMap(c -> c.line().stream()
                        .flatMap(l -> l.again().stream()
                                .filter(look -> !look.due().isBefore(from)
                                        && !look.due().isAfter(to))
                                .map(look -> new AgainView(c.repair(), l.name(), l.vehicle(), look))))
                .sorted(Comparator.comparing(a -> a.look().due()))
                .toList();
    }

    private static LiveView live(RepairWork.Live l, List<StillToCome.Stretch> ahead) {
        RunState s = l.state();
        return new LiveView(
                l.id(),
                l.frozen().workup().name(),
                l.frozen().workup().vehicle(),
                s.hands(),
                s.clocks(),
                s.now(),
                (int) s.steps().stream().filter(x -> x.doneAt().isPresent()).count(),
                s.steps().size(),
                Optional.ofNullable(l.frozen().draft().promisedAt()),
                ahead,
                s.stops());
    }

    /**
     * The next thing for each person: of the runs they have in hand the one whose next hands-on stretch comes first; whoever has
     * none gets a repair that nobody has begun: the one the day gives these hands first, else in order of promise.
     */
    private List<HandsView> hands(List<LiveView> live, List<RepairLine> waiting) {
        List<HandsView> out = new ArrayList<>();
        Map<String, Long> planned = day.next();
        Set<Long> given = new HashSet<>();
        for (Account person : accounts.all()) {
            Optional<HandsView> next = live.stream()
                    .filter(l -> l.hands().equals(person.name()))
                    .flatMap(l -> nextHandsOn(person, l).stream())
                    .min(Comparator.comparing(h -> h.from().orElse(Instant.MAX)));
            if (next.isPresent()) {
                out.add(next.get());
            } else if (person.role() == Role.TECHNICIAN || planned.containsKey(person.id())) {
                out.add(waiting.stream()
                        .filter(w -> w.standing() == Standing.PLANNED && !given.contains(w.id()))
                        .min(Comparator.comparing((RepairLine w) -> !Objects.equals(planned.get(person.id()), w.id()))
                                .thenComparing(w -> planned.containsValue(w.id()))
                                .thenComparing(w -> w.promisedAt().orElse(Instant.MAX)))
                        .map(w -> {
                            given.add(w.id());
                            return new HandsView(
                                    person, Optional.of(w.id()), w.name(), "Begin: " + w.begins(), Optional.empty());
                        })
                        .orElse(new HandsView(
                                person, Optional.empty(), "", "Nothing waits for these hands", Optional.empty())));
            }
        }
        return List.copyOf(out);
    }

    private static Optional<HandsView> nextHandsOn(Account person, LiveView l) {
        return l.ahead().stream()
                .filter(a -> a.handsOn())
                .findFirst()
                .map(a -> new HandsView(
                        person,
                        Optional.of(l.id()),
                        l.name(),
                        l.stops().isEmpty()
                                ? a.title()
                                : "Stop: " + l.stops().getFirst().title(),
                        Optional.of(a.from())));
    }
}
