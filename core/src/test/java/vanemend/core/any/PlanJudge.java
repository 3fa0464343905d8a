package vanemend.core.any;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Act;
import vanemend.core.method.Following;
import vanemend.core.method.Gate;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Pour;
import vanemend.core.plan.Drawing;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.Planner;
import vanemend.core.plan.Site;
import vanemend.core.plan.Workup;
import vanemend.core.section.Layer;
import vanemend.core.stack.StackChoice;
import vanemend.core.stack.StackLine;
import vanemend.core.trade.Check;
import vanemend.core.trade.Text;
import vanemend.core.words.BareFigures;

/** What has to hold of every plan, whatever was asked for. Its own code: it asks what came out, not how. */
public final class PlanJudge {
    /** Places that are not grown from the damage: a hole past its end, a tool over it. */
    private static final Set<Zone.Kind> OF_THEIR_OWN =
            EnumSet.of(Zone.Kind.STOP_HOLE, Zone.Kind.PIT, Zone.Kind.INJECTOR, Zone.Kind.FILM, Zone.Kind.CHANNEL);

    private PlanJudge() {}

    /** What came of a repair. */
    public enum Came {
        /** What was typed cannot be. */
        REFUSED,
        /** It may not be mended. */
        NOT_MENDED,
        /** Something is in the way, and it is said what. */
        BLOCKED,
        PLANNED
    }

    /** Plans {@code any} and judges what comes out; throws where something does not hold. */
    public static Came judge(AnyRepair any) {
        Check check = new Check();
        Optional<Workup> made = Planner.plan(any.draft(), any.shop(), check);
        check.problems().forEach(p -> {
            assertThat(p.message()).isNotBlank();
            assertThat(p.field()).isNotBlank();
        });
        if (made.isEmpty()) {
            assertThat(check.problems()).as("refused and nothing said").isNotEmpty();
            return Came.REFUSED;
        }
        Workup w = made.get();
        drawings(w).forEach(PlanJudge::zones);
        if (w.plan().isEmpty()) {
            assertThat(!w.verdict().mends() || !w.blockers().isEmpty())
                    .as("no plan and no reason")
                    .isTrue();
            return w.verdict().mends() ? Came.BLOCKED : Came.NOT_MENDED;
        }
        assertThat(w.verdict().mends())
                .as("planned though " + w.verdict().outcome())
                .isTrue();
        if (w.sites().isEmpty()) {
            stack(w.stack());
        }
        w.sites().forEach(s -> stack(s.stack()));
        drawings(w).forEach(PlanJudge::section);
        plan(w.plan().get());
        order(w);
        return Came.PLANNED;
    }

    /** What is drawn: each site by itself where there are several, and then the whole part besides, which holds no cut. */
    private static List<Drawing> drawings(Workup w) {
        w.drawing().zones().forEach(z -> finite(z.areaMm2(), z.word()));
        return w.sites().isEmpty()
                ? List.of(w.drawing())
                : w.sites().stream().map(Site::drawing).toList();
    }

    /** The order of steps, at each site. */
    private static void order(Workup w) {
        List<Step> steps =
                w.plan().orElseThrow().steps().stream().map(PlannedStep::step).toList();
        if (w.sites().isEmpty()) {
            order(steps);
        }
        for (Site s : w.sites()) {
            order(steps.stream()
                    .filter(x -> x.sites().isEmpty() || x.sites().contains(s.id()))
                    .toList());
        }
    }

    /** Each zone on a side holds the ones that lie nearer to the damage, and none is larger than the part. */
    private static void zones(Drawing w) {
        double sheet = w.widthMm() * w.heightMm();
        for (Zone.Side side : Zone.Side.values()) {
            double last = 0;
            for (DrawnZone z : w.zones().stream()
                    .filter(z -> z.side() == side)
                    .sorted(Comparator.comparingDouble(DrawnZone::pastMm))
                    .toList()) {
                finite(z.areaMm2(), z.word());
                finite(z.pastMm(), z.word());
                assertThat(z.areaMm2()).as(z.word() + " within the part").isLessThanOrEqualTo(sheet + 1);
                if (!OF_THEIR_OWN.contains(z.kind())) {
                    assertThat(z.areaMm2())
                            .as(z.word() + " holds what lies inside it")
                            .isGreaterThanOrEqualTo(last - 2);
                    last = z.areaMm2();
                }
            }
        }
    }

    /** What must never meet, told here once more in the trade's own words. */
    private static void stack(StackChoice w) {
        Set<String> classes = new HashSet<>();
        Set<Role> roles = new HashSet<>();
        for (StackLine l : w.lines()) {
            l.chosen().map(c -> c.item()).ifPresent(item -> {
                roles.add(l.role());
                classes.add(item.classId());
                lot(item);
            });
        }
        if (classes.contains("glass-fibre-filler")) {
            assertThat(classes).as("fibre filler is topped").containsAnyOf("body-filler", "body-filler-rated");
        }
        if (roles.contains(Role.PROMOTE)) {
            assertThat(classes)
                    .as("polyester for metal on plastic that takes a promoter")
                    .doesNotContain("body-filler", "body-filler-rated", "finishing-putty", "pinhole-sealer");
        }
        if (classes.contains("cyanoacrylate-gel")) {
            assertThat(roles).as("gel never where a promoter is asked").doesNotContain(Role.PROMOTE);
        }
    }

    private static void lot(ShelfItem item) {
        assertThat(item.quantity()).as(item.id()).isPositive();
        item.expires().ifPresent(e -> assertThat(e).as(item.id()).isAfter(vanemend.core.TestShop.TODAY));
        MaterialClass c = item.materialClass();
        if (c.chemistry().isMixed()) {
            assertThat(item.sand()).as(item.id() + " has a clock").isNotEmpty();
        }
    }

    private static void section(Drawing w) {
        for (Layer l : w.section().orElseThrow().layers()) {
            finite(l.areaMm2(), l.id());
            l.xz().forEach(v -> assertThat(v).as(l.id()).isFinite());
        }
    }

    private static void plan(Plan p) {
        assertThat(p.broken()).as("interlocks").isEmpty();
        finite(p.activeMin(), "hands on");
        finite(p.totalMin(), "in all");
        assertThat(p.totalMin()).isGreaterThanOrEqualTo(p.activeMin() - 1e-6);
        p.mixes().forEach(PlanJudge::mix);
        p.portions().forEach(PlanJudge::portion);
        Set<String> ids = new HashSet<>();
        Following.holds(p.steps().stream().map(PlannedStep::step).toList());
        for (PlannedStep s : p.steps()) {
            assertThat(ids.add(s.step().id()))
                    .as(s.step().id() + " stands once")
                    .isTrue();
            finite(s.earliestMin(), s.step().id());
            step(s.step());
        }
        List<String> loops = p.loops().stream().map(l -> l.id()).toList();
        p.steps().stream()
                .flatMap(s -> s.step().gate().stream())
                .flatMap(g -> g.branches().stream())
                .filter(b -> !b.weight().stops())
                .map(Gate.Branch::loop)
                .forEach(l -> assertThat(loops).contains(l));
        p.loops().forEach(l -> l.steps().forEach(PlanJudge::step));
    }

    /** Cleaned before anything is laid, cured before it is cut, and what was laid last is sealed or passed. */
    private static void order(List<Step> steps) {
        Set<String> wet = new HashSet<>();
        boolean cleaned = false;
        for (Step s : steps) {
            cleaned |= s.cautions().stream().anyMatch(c -> c.id().equals("solvent"))
                    || s.id().contains("clean")
                    || s.id().equals("wash")
                    || s.id().contains("wipe");
            if (s.kind() == Step.Kind.SPREAD) {
                assertThat(cleaned).as("cleaned before " + s.id()).isTrue();
                wet.add(s.mix() + s.portion());
            }
            // An activator sets gel at once.
            if (s.kind() == Step.Kind.WAIT || s.acts().contains(Act.CURE_FACE)) {
                wet.clear();
            }
            if (s.kind() == Step.Kind.SAND) {
                assertThat(wet).as("cured before " + s.id()).isEmpty();
            }
        }
    }

    private static void step(Step s) {
        finite(s.activeMin(), s.id());
        assertThat(Text.plain(s.title())).as(s.id()).isNotBlank();
        List<String> said = new ArrayList<>(List.of(s.title(), s.detail(), s.amount(), s.figure()));
        s.gate().ifPresent(g -> {
            said.add(g.question());
            g.branches().forEach(b -> said.addAll(List.of(b.label(), b.note())));
        });
        for (String t : said) {
            assertThat(BareFigures.in(t)).as("a figure with no unit in: " + t).isFalse();
            assertThat(t).doesNotContain("NaN").doesNotContain("Infinity").doesNotContain("null");
        }
    }

    private static void mix(MixPlan m) {
        Pour p = m.pour();
        FillVolume v = p.volume();
        double sum = v.hollowMl() + v.coatsMl() + v.proudMl() + v.skimMl() + v.lossMl();
        assertThat(v.totalMl()).as(m.id()).isCloseTo(sum, within(1e-6)).isPositive();
        assertThat(p.fillerG()).as(m.id()).isPositive();
        assertThat(p.creamG()).as(m.id() + " cream").isCloseTo(p.fillerG() * p.percent() / 100, within(0.051));
        assertThat(p.percent()).as(m.id() + " dose").isBetween(1.0, 3.0);
        assertThat(p.spreadMin() + p.mixMin())
                .as(m.id() + " mixed and spread before it gels")
                .isLessThanOrEqualTo(p.onPartByMin() + 1e-6);
        finite(m.route().minutes(), m.id());
    }

    private static void portion(Portion p) {
        assertThat(p.needed()).as(p.id()).isPositive().isFinite();
        assertThat(p.unit()).as(p.id()).isNotBlank();
        assertThat(p.batches()).as(p.id()).isPositive();
        assertThat(p.spreadMin())
                .as(p.id() + " laid before it gels")
                .isLessThanOrEqualTo(p.onPartByMin() > 0 ? p.onPartByMin() + 1e-6 : Double.MAX_VALUE);
    }

    private static void finite(double value, String what) {
        assertThat(value).as(what).isFinite().isNotNegative();
    }

    /** In a line, for counting. */
    public static String told(AnyRepair any, Came came) {
        return String.format(Locale.ROOT, "%s %s", any.draft().part().material(), came);
    }
}
