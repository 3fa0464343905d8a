package vanemend.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.TestShop;
import vanemend.core.footprint.Ring;
import vanemend.core.method.Act;
import vanemend.core.method.Conditions;
import vanemend.core.method.Gate;
import vanemend.core.method.Step;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.Replay;
import vanemend.core.run.RunState;
import vanemend.core.trade.Check;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.MethodId;

@DisplayName("damage of several kinds on one part is one plan: each site its own way, what all share done once")
class SitesTest {
    private static final Conditions SHOP = TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf());
    private static final String COVER =
            "{name: Front skirt, widthMm: 1600, heightMm: 420, made: {material: PLASTIC, mark: '>PP+EPDM-TD20<', thicknessMm: 3.2}}";
    private static final String CRACK =
            "{kind: CRACK, trace: [760, 180, 800, 205, 838, 244], through: THROUGH, ends: BOTH}";
    private static final String RASH =
            "{kind: RASH, xMm: 300, yMm: 160, lengthMm: 130, widthMm: 70, angleDeg: 8, depthMm: 0.7}";
    private static final String TAB =
            "{kind: TAB, xMm: 1588, yMm: 180, lengthMm: 34, widthMm: 22, angleDeg: 0, pieceKept: false}";
    private static final String DOOR =
            "{name: Wheel arch, widthMm: 1100, heightMm: 620, gaugeMm: 0.8, made: {material: METAL}, metal: MILD_STEEL}";

    private static Workup workup(String part, String... damages) {
        return TestShop.workup(TestShop.job(part, damages), SHOP);
    }

    static Stream<Workup> severalSites() {
        return Stream.of(
                workup(COVER, CRACK, RASH, TAB),
                workup(COVER, RASH, CRACK),
                workup(
                        DOOR,
                        "{kind: DENT, xMm: 300, yMm: 300, lengthMm: 120, widthMm: 90, angleDeg: 0, depthMm: 2.4}",
                        "{kind: RUST_HOLE, xMm: 800, yMm: 200, lengthMm: 30, widthMm: 22, angleDeg: 0, rustPastMm: 10}"));
    }

    private static List<Step> steps(Plan p) {
        return p.steps().stream().map(PlannedStep::step).toList();
    }

    private static List<Step> of(String site, Plan p) {
        return steps(p).stream()
                .filter(s -> s.sites().isEmpty() || s.sites().contains(site))
                .toList();
    }

    @Test
    @DisplayName(
            "while one site is typed at, the sketch of the part is what it would be with nothing kept, at any hour, house and shelf")
    void keptSitesChangeNothing() {
        KeptSites kept = new KeptSites();
        List<Conditions> shops = List.of(
                SHOP,
                SHOP.at(SHOP.now().plusSeconds(7_200)),
                SHOP.at(SHOP.now().plusSeconds(300L * 86_400)),
                TestShop.shop(14, HouseRules.defaults(), TestShop.fullShelf()),
                TestShop.shop(
                        21,
                        HouseRules.defaults()
                                .with(
                                        "plastic-back",
                                        HouseRules.school("plastic-back")
                                                .options()
                                                .getLast()
                                                .id()),
                        TestShop.fullShelf()),
                TestShop.shop(21, HouseRules.defaults(), TestShop.shelf()));
        int planned = 0;
        for (String depth : List.of("0.7", "0.9", "0.7")) {
            RepairDraft draft = TestShop.job(COVER, CRACK, RASH.replace("0.7", depth), TAB);
            RepairDraft other = TestShop.job(COVER, RASH, CRACK);
            for (Conditions shop : shops) {
                for (RepairDraft d : List.of(draft, other)) {
                    Workup fresh = Planner.sketch(d, shop, new Check()).orElseThrow();
                    assertThat(Planner.sketch(d, shop, kept, new Check())).contains(fresh);
                    planned += fresh.plan().isPresent() ? 1 : 0;
                }
            }
        }
        assertThat(planned).isPositive();
    }

    @Test
    @DisplayName("a crack, a road rash and a torn tab on one cover: three sites, each by the way it would have alone")
    void threeSites() {
        Workup w = workup(COVER, CRACK, RASH, TAB);
        assertThat(w.blockers()).isEmpty();
        assertThat(w.sites()).extracting(Site::said).containsExactly("Crack 1", "Road rash 2", "Tab or screw hole 3");
        assertThat(w.sites())
                .extracting(s -> s.method().orElseThrow(), s -> s.stack().taken())
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(MethodId.PLASTIC_TWO_SIDED, "plastic-adhesive-cloth"),
                        org.assertj.core.groups.Tuple.tuple(MethodId.PLASTIC_TWO_SIDED, "plastic-face"),
                        org.assertj.core.groups.Tuple.tuple(MethodId.PLASTIC_TAB, "plastic-tab"));
        Plan p = w.plan().orElseThrow();
        assertThat(steps(p).stream().filter(s -> s.title().equals("Wash the whole part")))
                .singleElement()
                .satisfies(s -> assertThat(s.sites()).isEmpty());
        assertThat(steps(p).stream().filter(s -> s.acts().contains(Act.PROMOTE_SEAL)))
                .as("crack and rash are sealed together; the tab is not primed")
                .singleElement()
                .satisfies(s -> assertThat(s.sites()).containsExactly("1", "2"));
        assertThat(steps(p).getLast().sites()).as("full strength comes last").containsExactly("3");
        assertThat(p.shopping().stream().map(s -> s.itemId()).toList()).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @MethodSource("severalSites")
    @DisplayName("each site keeps its steps in its own order, its amounts, and breaks no interlock")
    void eachSiteAsAlone(Workup w) {
        Plan p = w.plan().orElseThrow(() -> new AssertionError(w.blockers().toString()));
        assertThat(p.broken()).isEmpty();
        assertThat(steps(p).stream().map(Step::id)).doesNotHaveDuplicates();
        for (int k = 0; k < w.sites().size(); k++) {
            int at = k;
            Site site = w.sites().get(k);
            Plan alone = TestShop.workup(
                            w.sites().stream()
                                    .filter(s -> s == site)
                                    .map(s -> draft(w, s))
                                    .findFirst()
                                    .orElseThrow(),
                            SHOP)
                    .plan()
                    .orElseThrow();
            List<String> own = of(site.id(), p).stream()
                    .map(Step::title)
                    .filter(t -> !t.equals("Wipe spreader and board"))
                    .toList();
            List<String> there = steps(alone).stream().map(Step::title).toList();
            assertThat(own).containsExactlyInAnyOrderElementsOf(there);
            // What all share stands first; the rest is in the order of the page.
            List<String> shared = steps(p).stream()
                    .filter(s -> s.sites().isEmpty())
                    .map(Step::title)
                    .toList();
            assertThat(own.stream().filter(t -> !shared.contains(t)))
                    .containsExactlyElementsOf(
                            there.stream().filter(t -> !shared.contains(t)).toList());
            alone.mixes()
                    .forEach(m -> assertThat(p.mix(Site.named(at).apply(m.id())).pour())
                            .isEqualTo(m.pour()));
        }
    }

    /** The draft of one site by itself. */
    private static RepairDraft draft(Workup w, Site s) {
        return DRAFTS.stream()
                .filter(d -> d.part().name().equals(w.name())
                        && d.damages().size() == w.drawing().damages().size())
                .findFirst()
                .map(d -> d.damaged(s.damages().stream().map(d.damages()::get).toList()))
                .orElseThrow();
    }

    private static final List<RepairDraft> DRAFTS = List.of(
            TestShop.job(COVER, CRACK, RASH, TAB),
            TestShop.job(COVER, RASH, CRACK),
            TestShop.job(
                    DOOR,
                    "{kind: DENT, xMm: 300, yMm: 300, lengthMm: 120, widthMm: 90, angleDeg: 0, depthMm: 2.4}",
                    "{kind: RUST_HOLE, xMm: 800, yMm: 200, lengthMm: 30, widthMm: 22, angleDeg: 0, rustPastMm: 10}"));

    @ParameterizedTest
    @MethodSource("severalSites")
    @DisplayName("hands leave only what cures: never what is live, what flashes, or a lamp")
    void whatIsLeft(Workup w) {
        List<Step> all = steps(w.plan().orElseThrow());
        int left = 0;
        for (int i = 1; i < all.size(); i++) {
            Step before = all.get(i - 1);
            Step s = all.get(i);
            if (before.with(s)) {
                continue;
            }
            assertThat(before.goesLive()).as("%s is live", before.id()).isFalse();
            boolean laid = before.kind() == Step.Kind.SPREAD
                    || before.title().equals("Wipe spreader and board")
                    || all.subList(i, all.size()).stream().noneMatch(x -> x.kind() != Step.Kind.WAIT && x.with(before))
                    || all.subList(i, all.size()).stream()
                            .filter(x -> x.with(before))
                            .findFirst()
                            .filter(x -> x.kind() == Step.Kind.WAIT)
                            .isPresent()
                    || before.kind() == Step.Kind.GATE;
            assertThat(laid).as("%s is left for %s", before.id(), s.id()).isTrue();
            left++;
        }
        assertThat(left).isPositive();
    }

    @ParameterizedTest
    @MethodSource("severalSites")
    @DisplayName("shorter than one after the other, with no more hands; every name in it is found")
    void shorter(Workup w) {
        Plan p = w.plan().orElseThrow();
        double total = 0;
        double hands = 0;
        for (Site s : w.sites()) {
            Plan alone = TestShop.workup(draft(w, s), SHOP).plan().orElseThrow();
            total += alone.totalMin();
            hands += alone.activeMin();
        }
        assertThat(p.totalMin()).isLessThan(total);
        assertThat(p.activeMin()).isLessThan(hands);
        Set<String> waits = new HashSet<>();
        p.waits().forEach(x -> waits.add(x.id()));
        p.mixes().forEach(x -> waits.add(x.id()));
        Set<String> portions = new HashSet<>();
        p.portions().forEach(x -> portions.add(x.id()));
        for (Step s : steps(p)) {
            s.clock()
                    .map(Step.Clock::waitId)
                    .filter(id -> !id.isEmpty())
                    .ifPresent(id -> assertThat(waits).contains(id));
            if (!s.mix().isEmpty()) {
                assertThat(p.mix(s.mix())).isNotNull();
            }
            if (!s.portion().isEmpty()) {
                assertThat(portions).contains(s.portion());
            }
            s.gate()
                    .ifPresent(g -> g.branches().stream()
                            .filter(b -> !b.loop().isEmpty())
                            .forEach(b -> assertThat(p.loop(b.loop())).isNotNull()));
        }
    }

    @ParameterizedTest
    @MethodSource("severalSites")
    @DisplayName(
            "the run walks to its end through a fault at every gate; what cures at one site is told while hands are at another")
    void walked(Workup w) {
        Plan p = w.plan().orElseThrow();
        List<BenchEvent> events = new ArrayList<>(List.of(BenchEvent.start(UUID.randomUUID(), TestShop.NOW, "Tam")));
        Instant at = TestShop.NOW;
        Set<String> found = new HashSet<>();
        boolean elsewhere = false;
        for (int i = 0; i < 600; i++) {
            RunState s = Replay.of(p, events, at);
            if (s.current().isEmpty()) {
                break;
            }
            RunState.RunStep now = s.now().orElseThrow();
            elsewhere |= s.clocks().stream()
                    .anyMatch(c -> s.steps().stream()
                            .anyMatch(x -> x.id().equals(c.step()) && !x.step().with(now.step())));
            at = at.plusSeconds(60);
            Optional<Gate> gate = now.step().gate();
            Optional<Gate.Branch> fault = gate.stream()
                    .flatMap(g -> g.branches().stream())
                    .filter(b -> !b.weight().stops())
                    .filter(b -> found.add(now.at().step() + " " + b.id()))
                    .findFirst();
            events.add(
                    gate.isEmpty()
                            ? BenchEvent.done(UUID.randomUUID(), at, "Tam", now.id())
                            : BenchEvent.gate(
                                    UUID.randomUUID(),
                                    at,
                                    "Tam",
                                    now.id(),
                                    fault.map(Gate.Branch::id).orElse(Gate.YES)));
        }
        RunState end = Replay.of(p, events, at);
        assertThat(end.finishedAt()).isPresent();
        assertThat(end.ignored()).isEmpty();
        assertThat(elsewhere).isTrue();
    }

    @Test
    @DisplayName("zones of one kind are one on the whole part, no larger than both; each site has its own cut")
    void drawn() {
        Workup w = workup(COVER, CRACK, RASH, TAB);
        w.drawing().zones().forEach(z -> {
            double sum = w.sites().stream()
                    .flatMap(s -> s.drawing().zones().stream())
                    .filter(x -> x.kind() == z.kind())
                    .mapToDouble(x -> x.areaMm2())
                    .sum();
            assertThat(z.areaMm2()).as(z.kind().name()).isLessThanOrEqualTo(sum * 1.002 + 1);
            assertThat(Ring.shape(z.rings()).getArea()).isCloseTo(z.areaMm2(), within(z.areaMm2() * 0.01 + 1));
        });
        assertThat(w.drawing().damages()).hasSize(3);
        assertThat(w.sites()).allSatisfy(s -> assertThat(s.drawing().section()).isPresent());
    }

    @Test
    @DisplayName("damage of every site is called by its number on the part, and what is cut says for which it is")
    void numbers() {
        Workup w = workup(
                DOOR,
                "{kind: RUST_HOLE, xMm: 800, yMm: 200, lengthMm: 30, widthMm: 22, angleDeg: 0, rustPastMm: 10}",
                "{kind: DENT, xMm: 200, yMm: 300, lengthMm: 120, widthMm: 90, angleDeg: 0, depthMm: 2.4}",
                "{kind: DENT, xMm: 500, yMm: 480, lengthMm: 90, widthMm: 80, angleDeg: 0, depthMm: 1.8}");
        assertThat(w.sites()).extracting(Site::said).containsExactly("Rust hole 1", "Dent 2, Dent 3");
        Plan p = w.plan().orElseThrow();
        List<String> read = steps(p).stream()
                .filter(s -> s.id().startsWith("2-depth"))
                .map(Step::detail)
                .toList();
        assertThat(read).hasSize(2);
        assertThat(read.get(0)).startsWith("Dent 2. ");
        assertThat(read.get(1)).startsWith("Dent 3. ");
        assertThat(p.pieces())
                .isNotEmpty()
                .allSatisfy(x -> assertThat(x.label()).endsWith(", Rust hole 1"));
    }

    @Test
    @DisplayName("a site that no way mends leaves the whole without a plan and says why; one kind alone has no sites")
    void noWay() {
        Workup w =
                TestShop.workup(TestShop.job(COVER, CRACK, TAB), TestShop.shop(21, HouseRules.defaults(), List.of()));
        assertThat(w.sites()).hasSize(2);
        assertThat(w.plan()).isEmpty();
        assertThat(w.blockers()).isNotEmpty();
        assertThat(workup(COVER, CRACK).sites()).isEmpty();
        assertThat(workup(COVER, CRACK, CRACK.replace("760, 180, 800, 205, 838, 244", "300, 180, 340, 205"))
                        .sites())
                .as("two cracks are one lot")
                .isEmpty();
    }

    @Test
    @DisplayName("each site takes the way that was chosen for it; what was edited stays with its site")
    void chosen() {
        RepairDraft d = TestShop.job(COVER, CRACK, RASH);
        RepairDraft taken = new RepairDraft(
                d.part(),
                d.damages(),
                null,
                null,
                null,
                null,
                null,
                "plastic-filler",
                null,
                List.of(new PlanEditDraft(PlanEditDraft.Kind.MINUTES, "2-dish", null, 33.0, null)),
                null,
                null,
                null,
                null,
                List.of("plastic-mesh"));
        Workup w = TestShop.workup(taken, SHOP);
        assertThat(w.sites()).extracting(s -> s.stack().taken()).containsExactly("plastic-mesh", "plastic-filler");
    }
}
