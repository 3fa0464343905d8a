package vanemend.app.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import vanemend.app.access.Account;
import vanemend.app.access.Accounts;
import vanemend.app.access.Role;
import vanemend.app.bench.RepairWork;
import vanemend.app.day.BetterOrders;
import vanemend.app.day.StandingOrder;
import vanemend.app.problem.Refused;
import vanemend.app.store.DaySaid;
import vanemend.app.store.Repairs;
import vanemend.app.store.Shop;
import vanemend.app.store.ShopSettings;
import vanemend.app.web.DayView.DayBlock;
import vanemend.app.web.DayView.DayJob;
import vanemend.app.web.DayView.NotPlanned;
import vanemend.app.web.DayView.OpenView;
import vanemend.app.web.DayView.Work;
import vanemend.app.web.Views.RepairLine;
import vanemend.app.web.Views.Standing;
import vanemend.core.day.Blocks;
import vanemend.core.day.DayBook;
import vanemend.core.day.DayPlan;
import vanemend.core.day.Gated;
import vanemend.core.day.Hours;
import vanemend.core.day.Job;
import vanemend.core.day.Link;
import vanemend.core.day.Placed;
import vanemend.core.day.Promise;
import vanemend.core.day.Right;
import vanemend.core.day.Task;
import vanemend.core.day.WhatIf;
import vanemend.core.day.Why;
import vanemend.core.method.Conditions;
import vanemend.core.method.Step;
import vanemend.core.part.PartDraft;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.run.RunState;
import vanemend.core.trade.Air;

/** The day as it is planned: runs under way and repairs that are ready, by the hands, hours, lamps and ovens there are. */
@Component
class DayViews {
    /** As many repairs as a plan is made for at once: the promised first; more wait until these are done. */
    private static final int MOST = 40;

    /** As far as an answer to "can I promise" looks. */
    private static final int TURNS = 30;

    /** What a repair asks of the day, and what it was worked out from. */
    private record Known(int version, Conditions under, Asked asked) {
        boolean holds(Repairs.Stored r, Conditions today) {
            return version == r.version()
                    && under.shelf() == today.shelf()
                    && under.house() == today.house()
                    && under.air().equals(today.air());
        }
    }

    /** Tasks of a repair, what may send it back, and what its steps are called. */
    private record Asked(List<Task> tasks, List<Gated> gates, List<String> ids, Map<String, String> titles) {
        static Asked of(Blocks.Asks asks, List<Called> steps) {
            return new Asked(
                    asks.tasks(),
                    asks.gates(),
                    steps.stream().map(Called::id).toList(),
                    steps.stream().collect(Collectors.toMap(Called::id, Called::title, (a, b) -> a)));
        }
    }

    private record Called(String id, String title) {
        static Called of(String id, Step s) {
            return new Called(id, s.brief().isEmpty() ? s.title() : s.brief());
        }
    }

    /** A repair of the day. */
    private record Entry(
            long repair, String name, String vehicle, boolean begun, Optional<Instant> promised, Asked asked) {}

    /** The plan that was told last. */
    private record Shown(DayBook book, DayBook.Made made, Map<String, Entry> entries) {
        boolean plans(String id) {
            return made.faults().isEmpty() && made.plan().finishes().containsKey(id);
        }

        Map<String, List<Gated>> gates() {
            return entries.entrySet().stream()
                    .collect(Collectors.toMap(
                            Map.Entry::getKey, e -> e.getValue().asked().gates()));
        }
    }

    private final StandingOrder order;
    private final BetterOrders better;
    private final PastViews past;
    private final DayOdds odds;

    private final RepairWork work;
    private final Repairs repairs;
    private final Accounts accounts;
    private final Shop shop;
    private final ShopSettings settings;
    private final DaySaid said;
    private final Lines lines;
    private final Clock clock;
    private final AtomicReference<Optional<Shown>> shown = new AtomicReference<>(Optional.empty());
    /** Room for those of a few days: what has begun or is closed is let go. */
    private final Cache<Long, Known> known =
            Caffeine.newBuilder().maximumSize(4L * MOST).build();

    DayViews(
            RepairWork work,
            Repairs repairs,
            Accounts accounts,
            Shop shop,
            ShopSettings settings,
            DaySaid said,
            Lines lines,
            Clock clock,
            StandingOrder order,
            BetterOrders better,
            PastViews past,
            DayOdds odds) {
        this.past = past;
        this.odds = odds;
        this.order = order;
        this.better = better;
        this.work = work;
        this.repairs = repairs;
        this.accounts = accounts;
        this.shop = shop;
        this.settings = settings;
        this.said = said;
        this.lines = lines;
        this.clock = clock;
    }

    DayView day() {
        Instant now = clock.instant();
        Hours hours = settings.hours();
        List<Account> people =
                accounts.all().stream().filter(a -> a.role().works()).toList();
        List<NotPlanned> held = new ArrayList<>();
        List<RepairWork.Live> live = work.underWay().live();
        List<Entry> entries = new ArrayList<>(underWay(live, now, people, held));
        int room = MOST - entries.size();
        List<NotPlanned> left = new ArrayList<>();
        for (RepairLine line : ready()) {
            if (room-- > 0) {
                waiting(line).ifPresent(entries::add);
            } else {
                left.add(new NotPlanned(line.id(), line.name(), "planned when others are done"));
            }
        }
        Map<Long, DayBook.Pin> pins = said.pins();
        Map<String, Hours> own = said.hours();
        List<DaySaid.Gone> gone = said.gone();
        DayBook book = new DayBook(
                now,
                shop.zone(),
                hours,
                people.stream()
                        .map(a -> new DayBook.Hand(
                                a.id(), a.role() == Role.APPRENTICE, Optional.ofNullable(own.get(a.id()))))
                        .toList(),
                settings.lamps(),
                settings.ovens(),
                entries.stream()
                        .map(e -> new DayBook.Repair(
                                String.valueOf(e.repair()),
                                e.promised(),
                                e.begun(),
                                e.asked().tasks(),
                                pins.getOrDefault(e.repair(), DayBook.Pin.NONE)))
                        .toList(),
                gone.stream()
                        .map(g -> new DayBook.Away(g.who(), g.from(), g.to()))
                        .toList());
        return view(book, people, entries, held, left, gone, past.today(live, people, now, shop.zone(), hours));
    }

    private DayView view(
            DayBook book,
            List<Account> people,
            List<Entry> entries,
            List<NotPlanned> held,
            List<NotPlanned> left,
            List<DaySaid.Gone> gone,
            List<DayView.DoneView> done) {
        Map<String, Entry> byId =
                entries.stream().collect(Collectors.toMap(e -> String.valueOf(e.repair()), Function.identity()));
        StandingOrder.Now now = order.of(book);
        DayBook.Made made = now.made();
        shown.set(Optional.of(new Shown(book, made, byId)));
        boolean sound = made.faults().isEmpty();
        DayPlan plan = sound ? made.plan() : new DayPlan(List.of(), List.of());
        for (String id : plan.left()) {
            left.add(new NotPlanned(
                    byId.get(id).repair(),
                    byId.get(id).name(),
                    "no hands, hours, lamp or oven for it in " + DayBook.DAYS + " days"));
        }
        List<DayJob> jobs = jobs(book, plan, byId);
        return new DayView(
                book.now(),
                book.zone().getId(),
                typed(book.hours()),
                book.hands().stream()
                        .filter(h -> h.own().isPresent())
                        .collect(Collectors.toMap(
                                DayBook.Hand::id, h -> typed(h.own().get()))),
                gone,
                book.hours().from(book.now(), book.zone(), DayBook.DAYS).stream()
                        .map(s -> new OpenView(at(book, s.from()), at(book, s.to())))
                        .toList(),
                people,
                jobs,
                sound ? blocks(book, made, jobs, byId) : List.of(),
                held,
                left,
                trouble(book, people, made.faults()),
                last(book, made.worth().last()),
                last(book, made.bound()),
                last(book, made.firstCome().last()),
                made.worth().late() / 60,
                made.firstCome().late() / 60,
                sound ? now.told().map(t -> moved(t, people, byId)) : Optional.empty(),
                better.state() == BetterOrders.State.GONE,
                done);
    }

    private static DayView.MovedView moved(StandingOrder.Told t, List<Account> people, Map<String, Entry> byId) {
        Function<String, String> name =
                id -> Optional.ofNullable(byId.get(id)).map(Entry::name).orElse("");
        return new DayView.MovedView(
                t.at(),
                t.move()
                        .turned()
                        .flatMap(x -> people.stream()
                                .filter(p -> p.id().equals(x.person()))
                                .findFirst()
                                .map(p ->
                                        new DayView.TurnedView(p.name(), name.apply(x.first()), name.apply(x.then())))),
                t.move().repairs().stream()
                        .filter(r -> byId.containsKey(r.job()))
                        .map(r -> new DayView.ShiftView(
                                byId.get(r.job()).repair(),
                                name.apply(r.job()),
                                byId.get(r.job()).promised(),
                                at(t.book(), r.before()),
                                at(t.book(), r.after())))
                        .toList());
    }

    /** Goes back to the order before what was moved last; false where nothing was. */
    boolean keepOff() {
        return order.keepOff();
    }

    private static Map<DayOfWeek, String> typed(Hours hours) {
        Map<DayOfWeek, String> out = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek d : DayOfWeek.values()) {
            out.put(d, hours.said(d));
        }
        return out;
    }

    /** Whose hands the day that was told last lets begin a repair that nobody has begun, by account: the first of each. */
    Map<String, Long> next() {
        Map<String, Long> out = new HashMap<>();
        shown.get()
                .filter(s -> s.made().faults().isEmpty())
                .ifPresent(s -> s.made().plan().placed().stream()
                        .filter(p -> p.person().isPresent()
                                && !s.entries().get(p.job()).begun()
                                && s.entries()
                                        .get(p.job())
                                        .asked()
                                        .tasks()
                                        .getFirst()
                                        .id()
                                        .equals(p.task()))
                        .forEach(p -> out.putIfAbsent(
                                p.person().get(), s.entries().get(p.job()).repair())));
        return out;
    }

    /** Why {@code repair} is ready when it is in the day that was told last, and what may be promised. */
    RepairDayView of(long repair, Optional<Instant> asked) {
        String id = String.valueOf(repair);
        Shown s = shown.get()
                .filter(x -> x.plans(id))
                .orElseThrow(() ->
                        new Refused(HttpStatus.NOT_FOUND, "Day", "Repair " + repair + " has no time on the day."));
        Promise promise = s.book().promise(id, asked, TURNS, odds.of(s.made(), s.gates()));
        Job job = s.made().day().jobs().stream()
                .filter(j -> j.id().equals(id))
                .findFirst()
                .orElseThrow();
        return new RepairDayView(
                repair,
                at(s.book(), s.made().plan().finishes().get(id)),
                Why.of(s.made().day(), s.made().plan(), job).stream()
                        .map(h -> new RepairDayView.HeldView(
                                h.kind(),
                                h.by().isEmpty() ? "" : s.entries().get(h.by()).name(),
                                h.seconds() / 60.0))
                        .toList(),
                promise.soonest(),
                promise.ready(),
                asked,
                promise.answer(),
                promise.pushed().stream()
                        .map(p -> {
                            Entry e = s.entries().get(p.repair());
                            return new RepairDayView.PushedView(
                                    e.repair(), e.name(), e.promised(), p.before(), p.after());
                        })
                        .toList(),
                promise.holds(),
                OddsView.often(),
                promise.inHundred().stream().boxed().findFirst(),
                promise.falls().stream()
                        .map(f -> new RepairDayView.FallView(
                                s.entries().get(f.repair()).name(), f.before(), f.after()))
                        .toList());
    }

    /** How often the day that was told last keeps what was promised, and by when each of its repairs is ready as good as surely. */
    OddsView odds() {
        return shown.get()
                .filter(s -> s.made().faults().isEmpty())
                .map(s -> {
                    Promise.Shown shows = odds.of(s.made(), s.gates());
                    return OddsView.of(
                            shows.varies(),
                            s.made().day().jobs().stream()
                                    .filter(j -> s.plans(j.id()))
                                    .map(j -> OddsView.line(
                                            s.entries().get(j.id()).repair(), j, shows.replays(), t -> at(s.book(), t)))
                                    .toList());
                })
                .orElseGet(() -> OddsView.of(odds.varies(Map.of()), List.of()));
    }

    /**
     * The day that was told last, with something of it otherwise.
     *
     * @param air that repairs which nobody has begun are planned by; the shop's where none is given
     */
    WhatIfView whatIf(
            int lamps,
            int ovens,
            Optional<String> without,
            Optional<String> like,
            Optional<Instant> from,
            Optional<Air> air) {
        Shown s = shown.get()
                .filter(x -> x.made().faults().isEmpty())
                .orElseThrow(
                        () -> new Refused(HttpStatus.CONFLICT, "Day", "There is no plan that could be otherwise."));
        Map<String, List<Task>> asked = new HashMap<>();
        Map<String, String> unplanned = new TreeMap<>();
        air.ifPresent(a -> {
            Conditions then = shop.conditions(false).in(a);
            s.entries().forEach((id, e) -> {
                if (!e.begun()) {
                    planned(work.repair(e.repair()), then)
                            .ifPresentOrElse(x -> asked.put(id, x.tasks()), () -> unplanned.put(id, e.name()));
                }
            });
        });
        WhatIf w = WhatIf.of(
                s.book(), s.made(), new WhatIf.If(lamps, ovens, without, like, from, asked, unplanned.keySet()), TURNS);
        return new WhatIfView(
                w.last(),
                w.lateMin(),
                w.missed(),
                last(s.book(), s.made().worth().last()),
                s.made().worth().late() / 60,
                WhatIf.missed(s.made().day(), s.made().plan().finishes()),
                w.repairs().stream()
                        .map(r -> {
                            Entry e = s.entries().get(r.repair());
                            return new DayView.ShiftView(e.repair(), e.name(), e.promised(), r.before(), r.after());
                        })
                        .toList(),
                Stream.concat(
                                w.left().stream()
                                        .map(id -> Optional.ofNullable(
                                                        s.entries().get(id))
                                                .map(Entry::name)
                                                .orElse("the one brought in")),
                                unplanned.values().stream().map(name -> name + " (no plan in that air)"))
                        .toList(),
                w.another());
    }

    private static String trouble(DayBook book, List<Account> people, List<String> faults) {
        if (book.hours().unsaid()) {
            return "Nobody said yet when this shop works.";
        }
        if (people.isEmpty()) {
            return "There are no hands: add a technician.";
        }
        return faults.isEmpty()
                ? ""
                : "No plan that can be shown: " + faults.getFirst() + ". Work goes on first come, first served.";
    }

    private static Instant at(DayBook book, int seconds) {
        return book.now().plusSeconds(seconds);
    }

    private static Optional<Instant> last(DayBook book, int seconds) {
        return seconds == 0 ? Optional.empty() : Optional.of(at(book, seconds));
    }

    /** By when they are ready, numbered in that order. */
    private static List<DayJob> jobs(DayBook book, DayPlan plan, Map<String, Entry> byId) {
        List<Map.Entry<String, Integer>> ready = plan.finishes().entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .toList();
        Map<String, DayBook.Pin> pins =
                book.repairs().stream().collect(Collectors.toMap(DayBook.Repair::id, DayBook.Repair::pin));
        List<DayJob> out = new ArrayList<>();
        for (Map.Entry<String, Integer> r : ready) {
            Entry e = byId.get(r.getKey());
            out.add(new DayJob(
                    out.size() + 1,
                    e.repair(),
                    e.name(),
                    e.vehicle(),
                    e.begun(),
                    e.asked().tasks().stream()
                                    .filter(Task::hands)
                                    .mapToInt(Task::seconds)
                                    .sum()
                            / 60.0,
                    e.promised(),
                    at(book, r.getValue()),
                    pins.getOrDefault(r.getKey(), DayBook.Pin.NONE)));
        }
        return out;
    }

    private static List<DayBlock> blocks(DayBook book, DayBook.Made made, List<DayJob> jobs, Map<String, Entry> byId) {
        Map<Long, Integer> numbers = jobs.stream().collect(Collectors.toMap(DayJob::repair, DayJob::number));
        List<DayBlock> out = new ArrayList<>();
        for (Job job : made.day().jobs()) {
            Entry e = byId.get(job.id());
            Integer number = numbers.get(e.repair());
            if (number == null) {
                continue;
            }
            Map<String, Placed> placed = new HashMap<>();
            made.plan().placed().stream().filter(p -> p.job().equals(job.id())).forEach(p -> placed.put(p.task(), p));
            for (int i = 0; i < job.tasks().size(); i++) {
                Task t = job.tasks().get(i);
                Placed p = placed.get(t.id());
                out.add(new DayBlock(
                        number,
                        t.id(),
                        work(t),
                        e.asked().titles().getOrDefault(t.id(), ""),
                        steps(e.asked(), job.tasks(), i),
                        p.person(),
                        t.things(),
                        at(book, p.at().from()),
                        at(book, p.at().to())));
                for (Link l : t.links()) {
                    Placed before = placed.get(l.from());
                    if (l.least() > 0) {
                        out.add(new DayBlock(
                                number,
                                l.from(),
                                Work.WAIT,
                                "",
                                0,
                                before.person(),
                                List.of(),
                                at(book, before.at().to()),
                                at(book, before.at().to() + l.least())));
                    }
                }
            }
        }
        out.sort(Comparator.comparing(DayBlock::from).thenComparing(DayBlock::number));
        return List.copyOf(out);
    }

    private static Work work(Task t) {
        if (t.hands()) {
            return t.right() == Right.LIVE ? Work.LIVE : Work.HANDS;
        }
        return t.things().isEmpty() ? Work.WAIT : Work.HELD;
    }

    /** How many steps the block at {@code i} holds: those up to the next one's first. */
    private static int steps(Asked asked, List<Task> tasks, int i) {
        int from = asked.ids().indexOf(tasks.get(i).id());
        int to = i + 1 < tasks.size()
                ? asked.ids().indexOf(tasks.get(i + 1).id())
                : asked.ids().size();
        return tasks.get(i).hands() ? Math.max(1, to - from) : 0;
    }

    private static List<Entry> underWay(
            List<RepairWork.Live> live, Instant now, List<Account> people, List<NotPlanned> held) {
        List<Entry> out = new ArrayList<>();
        for (RepairWork.Live l : live) {
            RunState s = l.state();
            String name = l.frozen().workup().name();
            if (!s.stops().isEmpty()) {
                held.add(new NotPlanned(l.id(), name, s.stops().getFirst().title()));
                continue;
            }
            Optional<String> whose = people.stream()
                    .filter(a -> a.name().equals(s.hands()))
                    .map(Account::id)
                    .findFirst();
            Blocks.Asks asks = Blocks.left(
                    s, l.frozen().plan(), now, craft(l.frozen().draft().part()), whose);
            if (!asks.tasks().isEmpty()) {
                out.add(new Entry(
                        l.id(),
                        name,
                        l.frozen().workup().vehicle(),
                        true,
                        Optional.ofNullable(l.frozen().draft().promisedAt()),
                        Asked.of(
                                asks,
                                s.steps().stream()
                                        .map(x -> Called.of(x.id(), x.step()))
                                        .toList())));
            }
        }
        return out;
    }

    /** Repairs that can begin, by promise. */
    private List<RepairLine> ready() {
        Conditions today = shop.conditions(false);
        return repairs.open().stream()
                .map(r -> lines.of(r, today))
                .filter(l -> l.standing() == Standing.PLANNED)
                .sorted(Comparator.comparing((RepairLine l) -> l.promisedAt().orElse(Instant.MAX))
                        .thenComparing(RepairLine::id))
                .toList();
    }

    private Optional<Entry> waiting(RepairLine line) {
        Repairs.Stored r = work.repair(line.id());
        Conditions today = shop.conditions(false);
        Known k = known.getIfPresent(line.id());
        if (k == null || !k.holds(r, today)) {
            Optional<Asked> asked = planned(r, today);
            if (asked.isEmpty()) {
                return Optional.empty();
            }
            k = new Known(r.version(), today, asked.get());
            known.put(line.id(), k);
        }
        return Optional.of(new Entry(line.id(), line.name(), line.vehicle(), false, line.promisedAt(), k.asked()));
    }

    private static Optional<Asked> planned(Repairs.Stored r, Conditions under) {
        return RepairWork.work(r.draft(), under)
                .workup()
                .flatMap(w -> w.plan())
                .map(p -> asked(p, r.draft().part()));
    }

    private static Asked asked(Plan p, PartDraft part) {
        return Asked.of(
                Blocks.of(p, craft(part)),
                p.steps().stream()
                        .map(PlannedStep::step)
                        .map(s -> Called.of(s.id(), s))
                        .toList());
    }

    /** What hands must be allowed at a part like this, whatever they do there. */
    private static Right craft(PartDraft part) {
        return switch (part.material()) {
            case GLASS -> Right.GLASS;
            case TYRE -> Right.TYRE;
            default -> Right.ANY;
        };
    }
}
