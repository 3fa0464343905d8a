package vanemend.core.stack;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;
import vanemend.core.TestShop;
import vanemend.core.any.AnyRepair;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.MaterialClass.Surface;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.ShelfItem.LabelTime;
import vanemend.core.part.MadeOf;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.MethodId;

@DisplayName("matching: every family, damage and school; no pair that is forbidden")
class MatcherTest {
    private static final String CRACK = "{kind: CRACK, trace: [200, 200, 250, 200], through: THROUGH, ends: BOTH}";
    private static final String SHALLOW_CRACK =
            "{kind: CRACK, trace: [200, 200, 250, 200], through: OUTER_LAYER, ends: BOTH}";
    private static final String HOLE = "{kind: HOLE, xMm: 300, yMm: 250, lengthMm: 40, widthMm: 30}";
    private static final String MISSING = "{kind: MISSING, xMm: 300, yMm: 250, lengthMm: 40, widthMm: 30, soundMm: 60}";
    private static final String SCRATCH = "{kind: SCRATCH, trace: [200, 200, 250, 200], widthMm: 2, depthMm: 1}";
    private static final String DENT = "{kind: DENT, xMm: 300, yMm: 250, lengthMm: 90, widthMm: 80, depthMm: 2.5}";
    private static final String RUST =
            "{kind: RUST_HOLE, xMm: 300, yMm: 250, lengthMm: 40, widthMm: 30, rustPastMm: 5}";
    private static final String PITS = "{kind: RUST_PITS, xMm: 300, yMm: 250, lengthMm: 60, widthMm: 40, depthMm: 0.4}";
    private static final String SEAM = "{kind: SEAM, trace: [200, 200, 290, 200], widthMm: 8, groundBelow: true}";
    private static final String TAB = "{kind: TAB, xMm: 300, yMm: 250, lengthMm: 34, widthMm: 22}";
    private static final String STEEL_SEAM = SEAM.replace("}", ", depthMm: 1.2}");
    private static final String HAIRLINE = "{kind: HAIRLINE, trace: [200, 200, 290, 200]}";
    private static final String DIVOT = "{kind: DIVOT, xMm: 300, yMm: 250, lengthMm: 12, widthMm: 8, depthMm: 1}";
    private static final String RESIDUE = "{kind: RESIDUE, xMm: 300, yMm: 250, lengthMm: 90, widthMm: 30}";
    private static final String RUN =
            "{kind: RUN, xMm: 300, yMm: 250, lengthMm: 60, widthMm: 12, film: {peakUm: 180, totalUm: 130, underUm: 60, gauge: BOTH}}";
    private static final String CHIP =
            "{kind: CHIP, xMm: 600, yMm: 250, lengthMm: 8, chip: {type: STAR, spanMm: 10, pitMm: 3, inSweep: true}}";
    private static final String INJURY =
            "{kind: INJURY, xMm: 400, yMm: 250, lengthMm: 4, angleDeg: 10, injury: {place: CROWN}}";

    /** Parts by name, each with the damage it can have. */
    private static final Map<String, List<String>> JOBS = new LinkedHashMap<>();

    static {
        JOBS.put("{metal: MILD_STEEL, gaugeMm: 0.9}", List.of(DENT, SCRATCH, RUST, PITS, STEEL_SEAM));
        JOBS.put("{metal: GALVANISED_STEEL, gaugeMm: 0.9}", List.of(DENT, SCRATCH, RUST, PITS, STEEL_SEAM));
        JOBS.put("{metal: ALUMINIUM, gaugeMm: 1.2}", List.of(DENT, SCRATCH, STEEL_SEAM));
        for (String mark : new String[] {">PP+EPDM-TD20<", ">PE-HD<", ">ABS<", ">PC+ABS<", ">PA66-GF30<", ">PUR<"}) {
            List<String> damage =
                    new ArrayList<>(List.of(CRACK, SHALLOW_CRACK, HOLE, MISSING, SCRATCH, SEAM, TAB, DIVOT, RESIDUE));
            JOBS.put("{made: {material: PLASTIC, thicknessMm: 3, mark: '" + mark + "'}}", damage);
        }
        for (String kind : new String[] {"SMC", "HAND_LAID"}) {
            JOBS.put(
                    "{made: {material: COMPOSITE, composite: " + kind + ", thicknessMm: 4}}",
                    List.of(CRACK, HOLE, MISSING, SCRATCH, HAIRLINE));
        }
        JOBS.put(
                "{made: {material: COMPOSITE, composite: HAND_LAID, thicknessMm: 4}, face: [GELCOAT]}",
                List.of(
                        "{kind: GELCOAT_CHIP, xMm: 300, yMm: 250, lengthMm: 12, widthMm: 8, depthMm: 0.6}",
                        SCRATCH.replace("depthMm: 1", "depthMm: 0.5"),
                        SCRATCH));
        JOBS.put("{made: {material: GLASS, stamp: II, wheelXMm: 200}}", List.of(CHIP));
        JOBS.put(
                "{made: {material: TYRE, use: CAR, treadDepthMm: 5, dateCode: '1024', speed: T, position: REAR}}",
                List.of(INJURY, INJURY.replace("angleDeg: 10", "angleDeg: 30")));
        JOBS.put("{made: {material: FILM, filmOver: STEEL}}", List.of(RUN));
    }

    private static Workup at(RepairDraft draft, HouseRules house, List<ShelfItem> shelf) {
        return TestShop.workup(draft, TestShop.shop(21, house, shelf));
    }

    /** The defaults, then every option of every question by itself. */
    private static List<HouseRules> houses() {
        List<HouseRules> out = new ArrayList<>(List.of(HouseRules.defaults()));
        for (HouseRules.School s : HouseRules.schools()) {
            s.options().stream()
                    .filter(HouseRules.Option::planned)
                    .forEach(o -> out.add(HouseRules.defaults().with(s.id(), o.id())));
        }
        return out;
    }

    @Test
    @DisplayName(
            "every family, damage and school: a verdict; where it mends, a whole stack from a full shelf and named gaps from a bare one")
    void matrix() {
        int mended = 0;
        Set<MethodId> methods = EnumSet.noneOf(MethodId.class);
        for (Map.Entry<String, List<String>> job : JOBS.entrySet()) {
            for (String damage : job.getValue()) {
                for (HouseRules house : houses()) {
                    RepairDraft draft = TestShop.job(job.getKey(), damage);
                    Workup full = at(draft, house, TestShop.fullShelf());
                    assertThat(full.verdict().findings()).isNotEmpty();
                    if (!full.verdict().mends()) {
                        continue;
                    }
                    mended++;
                    String name = job.getKey() + " " + damage + " " + house.chosen();
                    assertThat(full.stack().ranked()).as(name).anyMatch(RankedStack::complete);
                    assertThat(full.stack().missing()).as(name).isEmpty();
                    Workup bare = at(draft, house, List.of());
                    assertThat(bare.stack().missing())
                            .as(name)
                            .isNotEmpty()
                            .allSatisfy(m -> assertThat(m)
                                    .startsWith("Nothing on the shelf for")
                                    .contains(": put ")
                                    .doesNotContain("put  on"));
                    full.stack().ranked().forEach(s -> methods.add(s.method()));
                }
            }
        }
        assertThat(mended).isGreaterThan(1500);
        assertThat(methods).isEqualTo(EnumSet.allOf(MethodId.class));
    }

    @Test
    @DisplayName("thousands of shelves: no forbidden pair, nothing expired, used up or without a clock is ever chosen")
    void forbiddenPairsNeverMeet() {
        List<String> parts = List.copyOf(JOBS.keySet());
        Seeds.forEach(4000, (r, i) -> {
            String part = parts.get(r.nextInt(parts.size()));
            List<String> damage = JOBS.get(part);
            RepairDraft draft = TestShop.job(part, damage.get(r.nextInt(damage.size())));
            Workup w = TestShop.workup(
                    draft, TestShop.shop(Seeds.between(r, 5, 35), AnyRepair.house(r), AnyRepair.shelf(r)));
            w.stack().ranked().stream().filter(RankedStack::complete).forEach(s -> check(s, draft));
            assertThat(w.stack().ruledOut()).allSatisfy(o -> {
                assertThat(o.reason()).isNotBlank();
                assertThat(o.rule()).isNotBlank();
            });
        });
    }

    private static void check(RankedStack s, RepairDraft draft) {
        Set<String> classes = new java.util.HashSet<>();
        for (StackLine l : s.lines()) {
            l.chosen().ifPresent(c -> {
                ShelfItem item = c.item();
                classes.add(item.classId());
                assertThat(item.expires().orElse(TestShop.TODAY.plusDays(1))).isAfter(TestShop.TODAY);
                assertThat(item.quantity()).isPositive();
                if (item.materialClass().chemistry().isMixed()) {
                    assertThat(item.sand()).as(item.id()).isNotEmpty();
                }
            });
        }
        boolean plastic = draft.part().material() == MadeOf.PLASTIC;
        assertThat(plastic
                        && (classes.contains("body-filler")
                                || classes.contains("body-filler-rated")
                                || classes.contains("finishing-putty")
                                || classes.contains("pinhole-sealer")
                                || classes.contains("glass-fibre-filler")))
                .as("polyester or sealer on plastic")
                .isFalse();
        if (classes.contains("glass-fibre-filler")) {
            assertThat(classes)
                    .as("fibre filler is never the finish")
                    .containsAnyOf("body-filler", "body-filler-rated");
        }
        String mark = draft.part().made().mark();
        if (classes.contains("solvent-resin")) {
            assertThat(mark).isIn(">ABS<", ">ASA<");
        }
        boolean polyolefin = mark != null && (mark.startsWith(">PP") || mark.startsWith(">PE"));
        boolean adhesive = s.lines().stream().anyMatch(l -> l.role() == Role.BACK || l.role() == Role.FILL);
        if (polyolefin && adhesive) {
            assertThat(s.lines()).as("promoter before adhesive").anyMatch(l -> l.role() == Role.PROMOTE);
        }
        if (s.lines().stream()
                .anyMatch(l -> l.role() == Role.REINFORCE
                        && l.chosen().isPresent()
                        && l.chosen().get().item().classId().equals("flexible-patch"))) {
            assertThat(item(s, Role.PROMOTE_PATCH)).isNotEqualTo("polyolefin-promoter");
        }
        s.lines().stream()
                .filter(l -> l.role() == Role.PINHOLE && plastic)
                .forEach(l -> l.chosen()
                        .ifPresent(c -> assertThat(c.item().id())
                                .as("the same material into pinholes")
                                .isEqualTo(id(s, Role.FILL))));
        if (classes.contains("tyre-unit")) {
            assertThat(draft.damages().getFirst().angleDeg()).isLessThanOrEqualTo(25);
        }
    }

    private static String item(RankedStack s, Role role) {
        return chosen(s, role).map(ShelfItem::classId).orElse("");
    }

    private static String id(RankedStack s, Role role) {
        return chosen(s, role).map(ShelfItem::id).orElse("");
    }

    private static Optional<ShelfItem> chosen(RankedStack s, Role role) {
        return s.lines().stream()
                .filter(l -> l.role() == role)
                .findFirst()
                .flatMap(StackLine::chosen)
                .map(Candidate::item);
    }

    @Test
    void turningOneHouseRuleTurnsTheRanking() {
        String tpo = "{made: {material: PLASTIC, thicknessMm: 3, mark: '>PP+EPDM-TD20<'}}";
        Map<String, String> first =
                Map.of("adhesive-cloth", "plastic-adhesive-cloth", "patch", "plastic-patch", "mesh", "plastic-mesh");
        first.forEach((option, recipe) -> {
            HouseRules house = HouseRules.defaults().with("plastic-back", option);
            if (!option.equals("adhesive-cloth")) {
                house = house.with("plastic-order", option.equals("patch") ? "face-first" : "wet-in-wet");
            }
            if (option.equals("mesh")) {
                house = house.with("plastic-face", "polyester");
            }
            assertThat(at(TestShop.job(tpo, CRACK), house, TestShop.fullShelf())
                            .stack()
                            .taken())
                    .isEqualTo(recipe);
        });
        String gelcoat = "{made: {material: COMPOSITE, composite: HAND_LAID, thicknessMm: 5}, face: [GELCOAT]}";
        assertThat(at(TestShop.job(gelcoat, HAIRLINE), HouseRules.defaults(), TestShop.fullShelf())
                        .stack()
                        .taken())
                .isEqualTo("hairline-sealant");
        assertThat(at(
                                TestShop.job(gelcoat, HAIRLINE),
                                HouseRules.defaults().with("flexing-crack", "laminate"),
                                TestShop.fullShelf())
                        .stack()
                        .taken())
                .startsWith("composite-");
        String screen = "{made: {material: GLASS, stamp: II, wheelXMm: 200}}";
        assertThat(at(TestShop.job(screen, CHIP), HouseRules.defaults(), TestShop.fullShelf())
                        .stack()
                        .taken())
                .isEqualTo("chip-vacuum");
        assertThat(at(TestShop.job(screen, CHIP), HouseRules.defaults().with("chip", "pressure"), TestShop.fullShelf())
                        .stack()
                        .taken())
                .isEqualTo("chip-pressure");
    }

    @Test
    void aPinnedItemRanksTheStacksThatTakeItFirst() {
        String tpo = "{made: {material: PLASTIC, thicknessMm: 3, mark: '>PP+EPDM-TD20<'}}";
        RepairDraft free = TestShop.job(tpo, CRACK);
        RepairDraft pinned = new RepairDraft(
                free.part(),
                free.damages(),
                Map.of(Role.REINFORCE, "flexible-patch"),
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null);
        assertThat(at(free, HouseRules.defaults(), TestShop.fullShelf()).stack().taken())
                .isEqualTo("plastic-adhesive-cloth");
        assertThat(at(pinned, HouseRules.defaults(), TestShop.fullShelf())
                        .stack()
                        .taken())
                .isEqualTo("plastic-patch");
    }

    @Test
    void theTechnicianMayTakeAnotherStackThanTheFirst() {
        RepairDraft free = TestShop.job("{made: {material: GLASS, stamp: II, wheelXMm: 200}}", CHIP);
        RepairDraft taken = new RepairDraft(
                free.part(),
                free.damages(),
                null,
                null,
                null,
                null,
                null,
                "chip-pressure",
                null,
                null,
                null,
                null,
                null,
                null);
        StackChoice s = at(taken, HouseRules.defaults(), TestShop.fullShelf()).stack();
        assertThat(s.taken()).isEqualTo("chip-pressure");
        assertThat(s.ranked().getFirst().recipe()).isEqualTo("chip-vacuum");
    }

    @Test
    void everyRankedStackSaysWhatMakesItsScore() {
        StackChoice s = at(
                        TestShop.job("{made: {material: PLASTIC, thicknessMm: 3, mark: '>PP+EPDM-TD20<'}}", CRACK),
                        HouseRules.defaults(),
                        TestShop.fullShelf())
                .stack();
        assertThat(s.ranked()).hasSizeGreaterThan(2);
        for (RankedStack r : s.ranked()) {
            assertThat(r.terms().stream()
                            .mapToDouble(RankedStack.ScoreTerm::weight)
                            .sum())
                    .isCloseTo(1, org.assertj.core.api.Assertions.within(1e-9));
            assertThat(r.score()).isBetween(0.0, 1.0);
        }
        assertThat(s.ranked())
                .anyMatch(r -> !r.wins().isEmpty())
                .anyMatch(r -> !r.losses().isEmpty());
        assertThat(s.rejectedWays())
                .anyMatch(x -> x.id().equals("abs-solvent") && x.reason().contains("not for polyolefin"));
        assertThat(s.rejectedClasses())
                .anyMatch(x -> x.id().equals("body-filler") && x.rule().equals("no-polyester-on-plastic"))
                .anyMatch(x -> x.id().equals("glass-resin") && x.rule().equals("bond"))
                .allSatisfy(x -> assertThat(x.reason()).isNotBlank());
    }

    @Test
    void heatThatThePartCannotTakeRulesAnItemOut() {
        List<ShelfItem> shelf = TestShop.fullShelf();
        shelf.removeIf(i -> i.classId().equals("rigid-composite-epoxy"));
        shelf.add(TestShop.mix("hot", "rigid-composite-epoxy", 12, new LabelTime(82, 12)));
        Need need = new Need(
                TestShop.part(TestShop.job("{made: {material: COMPOSITE, composite: SMC, thicknessMm: 3}}", CRACK)
                        .part()),
                MadeOf.COMPOSITE,
                List.of(),
                21,
                TestShop.TODAY,
                HouseRules.defaults(),
                Map.of(),
                java.util.OptionalDouble.of(60),
                new Need.Times() {
                    @Override
                    public java.util.OptionalDouble sandMin(ShelfItem item) {
                        return java.util.OptionalDouble.of(60);
                    }

                    @Override
                    public java.util.OptionalDouble workMin(ShelfItem item) {
                        return java.util.OptionalDouble.of(12);
                    }
                });
        assertThat(new ItemFilter(need)
                        .inRole(shelf.getLast(), Role.BACK, Optional.of(Surface.COMPOSITE))
                        .orElseThrow()
                        .says())
                .contains("82 °C")
                .contains("60 °C");
    }
}
