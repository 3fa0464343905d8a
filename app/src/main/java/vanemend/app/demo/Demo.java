package vanemend.app.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import vanemend.app.access.Account;
import vanemend.app.access.Accounts;
import vanemend.app.access.Role;
import vanemend.app.bench.RepairWork;
import vanemend.app.store.BenchEvents;
import vanemend.app.store.Repairs;
import vanemend.app.store.Shop;
import vanemend.app.store.ShopSettings;
import vanemend.core.day.Hours;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Conditions;
import vanemend.core.method.HousePages;
import vanemend.core.method.PageChange;
import vanemend.core.method.PageRule;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.run.BenchEvent;
import vanemend.core.trade.Air;
import vanemend.core.trade.MethodId;

/** Fills an empty store with the made-up depot: Corriebank Hill Bus Co-op. A store with people in it is left alone. */
@Component
@ConditionalOnProperty(name = "vanemend.demo", havingValue = "true")
class Demo implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(Demo.class);
    private static final Account ISLA = new Account("isla", "Isla Renwick", Role.LEAD);
    private static final Account TAM = new Account("tam", "Tam Okafor", Role.TECHNICIAN);
    private static final Account PRIYA = new Account("priya", "Priya Lindqvist", Role.TECHNICIAN);
    private static final Account JOSS = new Account("joss", "Joss Abara", Role.APPRENTICE);
    private static final int SHORTEST_PASSWORD = 8;

    /** When the depot works. */
    private static final Hours HOURS = Hours.kept(Stream.of("MONDAY", "TUESDAY", "WEDNESDAY", "THURSDAY", "FRIDAY")
            .map(d -> d + " 07:30-12:00 12:30-16:30")
            .collect(Collectors.joining("; ")));

    private final Accounts accounts;
    private final Shop shop;
    private final Repairs repairs;
    private final BenchEvents events;
    private final RepairWork work;
    private final ShopSettings settings;
    private final Clock clock;
    private final String password;

    Demo(
            Accounts accounts,
            Shop shop,
            Repairs repairs,
            BenchEvents events,
            RepairWork work,
            ShopSettings settings,
            Clock clock,
            @Value("${vanemend.demo-password}") String password) {
        if (password.length() < SHORTEST_PASSWORD) {
            throw new IllegalStateException("the demo needs VANEMEND_DEMO_PASSWORD, 8 characters or more");
        }
        this.accounts = accounts;
        this.shop = shop;
        this.repairs = repairs;
        this.events = events;
        this.work = work;
        this.settings = settings;
        this.clock = clock;
        this.password = password;
    }

    @Override
    @Transactional
    public void run(ApplicationArguments args) {
        if (!accounts.all().isEmpty()) {
            LOG.info("the store has people in it; the demo adds nothing");
            return;
        }
        List.of(ISLA, TAM, PRIYA, JOSS).forEach(a -> accounts.add(a, password));
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        shop.air(new Air(17, 58), "isla");
        settings.hours(HOURS, "isla");
        List.of(ShopSettings.Step.values()).forEach(settings::done);
        DemoShelf.on(LocalDate.ofInstant(now, shop.zone())).forEach(shop::stock);

        DemoRepairs depot = new DemoRepairs(now);
        Map<String, Account> by = Map.of("locker-lid", JOSS, "side-panel", TAM, "unmarked-flap", JOSS);
        for (String key : depot.keys()) {
            RepairDraft draft = depot.draft(key);
            switch (key) {
                case "engine-flap" -> finished(draft, now.minus(Duration.ofHours(27)));
                case "load-door" -> curing(draft, now);
                default ->
                    repairs.add(
                            UUID.randomUUID(), draft, by.getOrDefault(key, ISLA).id());
            }
        }
        houseRules(now.minus(Duration.ofDays(12)));
        LOG.info("the demo depot is in place");
    }

    /** What the depot does otherwise than the book's pages say. */
    private void houseRules(Instant at) {
        shop.sign(
                List.of(
                        new PageRule(
                                0,
                                MethodId.RUST_PITS,
                                new PageChange.Add(
                                        HousePages.OWN + "drain-holes",
                                        "loose",
                                        "Clear the drain holes below",
                                        "Probe each with a wire until air comes through.",
                                        Optional.of(Zone.Kind.CLEAN),
                                        3,
                                        0,
                                        "",
                                        Optional.of(new PageChange.HouseGate(
                                                "Air through every hole?",
                                                "Clear",
                                                "One is blocked",
                                                "Open it from below, blow it through",
                                                2)),
                                        List.of()),
                                "",
                                "Loose rust off",
                                "Two arches came back within a year: water stood behind them.",
                                ISLA.name(),
                                at),
                        new PageRule(
                                0,
                                MethodId.WELD_FINISH,
                                new PageChange.Picture("grind"),
                                "Check the weld lies below",
                                "",
                                "The insurer asks to see the weld before it is covered.",
                                ISLA.name(),
                                at)),
                ISLA.id());
    }

    /** Yesterday's repair: a low spot, pinholes at the palm test, and a dose that was off. */
    private void finished(RepairDraft draft, Instant start) {
        FrozenPlan frozen = frozen(draft, start, PRIYA);
        DemoHands hands = new DemoHands(
                frozen.plan(),
                PRIYA.name(),
                Map.of("shape-gate", "low", "palm", "pinholes"),
                Map.of("putty-mix", 1.55),
                Map.of("shape-gate", "Hollow by the hinge side, thumb wide."));
        keep(draft, frozen, hands.work(start, ""), PRIYA);
    }

    /** Filler spread six minutes ago. */
    private void curing(RepairDraft draft, Instant now) {
        String wait = "filler-wait";
        Instant first = now.minus(Duration.ofHours(5));
        FrozenPlan trial = frozen(draft, first, TAM);
        List<BenchEvent> once = hands(trial).work(first, wait);
        Instant start = first.plus(Duration.between(once.getLast().at(), now.minus(Duration.ofMinutes(6))));
        FrozenPlan frozen = frozen(draft, start, TAM);
        keep(draft, frozen, hands(frozen).work(start, wait), TAM);
    }

    private static DemoHands hands(FrozenPlan frozen) {
        return new DemoHands(frozen.plan(), TAM.name(), Map.of(), Map.of(), Map.of());
    }

    private FrozenPlan frozen(RepairDraft draft, Instant at, Account by) {
        Conditions today = shop.conditions(false);
        RepairWork.Worked worked = RepairWork.work(
                draft,
                new Conditions(
                        today.air(),
                        today.house(),
                        today.shelf(),
                        at,
                        today.zone(),
                        today.spreadMlPerMin(),
                        today.place(),
                        today.heat()));
        Workup workup = worked.workup()
                .orElseThrow(() -> new IllegalStateException("demo repair cannot be worked up: " + worked.problems()));
        return new FrozenPlan(at, by.name(), draft, workup);
    }

    private void keep(RepairDraft draft, FrozenPlan frozen, List<BenchEvent> all, Account by) {
        long id = repairs.add(UUID.randomUUID(), draft, by.id());
        repairs.freeze(id, frozen, by.id());
        all.forEach(e -> events.add(id, e, by.id()));
        work.sort(id);
    }
}
