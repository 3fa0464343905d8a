package vanemend.core.method;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vanemend.core.TestShop;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Piece;
import vanemend.core.mix.Portion;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.sanding.Rung;
import vanemend.core.section.Layer;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.SchoolFollowed;
import vanemend.core.trade.Text;

@DisplayName(
        "a plan for every way to mend, as it reads (common practice); changed only on purpose, with -Dvanemend.write=true")
class GoldenPlansTest {
    private static final Path KEPT = Path.of("src/test/resources/plans");

    static Stream<String> recipes() {
        return Recipe.all().stream().map(Recipe::id);
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void readsAsKept(String recipe) throws IOException {
        RepairDraft draft = Cases.all().get(recipe);
        assertThat(draft).as("a case for " + recipe).isNotNull();
        Workup w = asKept(recipe, KEPT.resolve(recipe + ".txt"), draft, HouseRules.defaults());
        assertThat(w.stack().taken()).isEqualTo(recipe);
    }

    static Stream<String> ways() {
        return Cases.ways().keySet().stream();
    }

    @ParameterizedTest
    @MethodSource("ways")
    void waysReadAsKept(String way) throws IOException {
        Cases.Way w = Cases.ways().get(way);
        asKept(way, KEPT.resolve("ways").resolve(way + ".txt"), w.draft(), w.house());
    }

    private static Workup asKept(String name, Path file, RepairDraft draft, HouseRules house) throws IOException {
        Workup w = TestShop.workup(draft, TestShop.shop(21, house, TestShop.fullShelf()));
        String now = text(name, w);
        if (Boolean.getBoolean("vanemend.write")) {
            Files.createDirectories(file.getParent());
            Files.writeString(file, now);
        }
        assertThat(w.blockers()).isEmpty();
        assertThat(now).isEqualTo(Files.readString(file));
        return w;
    }

    private static String text(String recipe, Workup w) {
        StringBuilder out = new StringBuilder(recipe + ": " + w.name() + ", " + w.mark() + "\n");
        w.blockers().forEach(b -> out.append("BLOCKED ").append(b).append('\n'));
        out.append("\nzones\n");
        for (DrawnZone z : w.drawing().zones()) {
            out.append(String.format(
                    Locale.ROOT,
                    "  %-28s %6.1f mm past %8.1f cm² %s%n",
                    z.word(),
                    z.pastMm(),
                    z.areaMm2() / 100,
                    z.side()));
        }
        w.drawing().flags().forEach(f -> out.append("  ! ").append(f).append('\n'));
        out.append("\ncut\n");
        for (Layer l : w.drawing().section().orElseThrow().layers()) {
            out.append(
                    String.format(Locale.ROOT, "  %-22s %7.3f mm %9.2f mm²%n", l.word(), l.thickestMm(), l.areaMm2()));
        }
        w.plan().ifPresent(p -> plan(out, p));
        return Text.plain(out.toString().replace("\r", ""));
    }

    private static void plan(StringBuilder out, Plan p) {
        out.append(String.format(
                Locale.ROOT, "%n%s: %.0f min hands on, %.0f min in all%n", p.title(), p.activeMin(), p.totalMin()));
        for (SchoolFollowed s : p.schools()) {
            out.append("  ").append(s.question()).append(": ").append(s.label()).append('\n');
        }
        out.append("\namounts\n");
        p.mixes()
                .forEach(m -> out.append(String.format(
                        Locale.ROOT,
                        "  %-28s %.0f g, cream %.1f g, %d batches, work %.1f min%n",
                        m.title(),
                        m.pour().fillerG(),
                        m.pour().creamG(),
                        m.pour().batches(),
                        m.pour().workMin())));
        for (Portion x : p.portions()) {
            out.append(String.format(
                    Locale.ROOT,
                    "  %-28s %s %s (%s), %d go, work %.1f min%n",
                    x.title(),
                    x.needed(),
                    x.unit(),
                    x.material(),
                    x.batches(),
                    x.workMin()));
            x.figures()
                    .forEach(f -> out.append("      ")
                            .append(f.word())
                            .append(' ')
                            .append(f.value())
                            .append(' ')
                            .append(f.unit())
                            .append(f.note().isEmpty() ? "" : "; " + f.note())
                            .append('\n'));
        }
        out.append("\nwaits\n");
        p.waits().forEach(x -> {
            out.append("  ")
                    .append(x.title())
                    .append(": ")
                    .append(x.route().kind().word())
                    .append(String.format(Locale.ROOT, " %.1f min; ", x.route().minutes()))
                    .append(x.source())
                    .append('\n');
            x.routes()
                    .forEach(r -> out.append(String.format(
                            Locale.ROOT,
                            "      %s %s (%.1f + %.1f + %.1f) %s%n",
                            r.kind().word(),
                            r.sandFromMin()
                                    .map(m -> String.format(Locale.ROOT, "%.1f min", m))
                                    .orElse("does not cure"),
                            r.rampMin(),
                            r.holdMin(),
                            r.coolMin(),
                            r.note())));
        });
        out.append("\nladder, ").append(p.ladder().school()).append('\n');
        for (Rung r : p.ladder().rungs()) {
            out.append(String.format(
                    Locale.ROOT,
                    "  %-24s %-6s ×%.2f %-10s %s, %.1f min, %d%n",
                    r.stage(),
                    r.paper(),
                    r.ratio(),
                    r.zone(),
                    r.tool().word(),
                    r.minutes(),
                    r.discs()));
        }
        p.budget().ifPresent(b -> {
            out.append("\nfilm budget: ").append(b.said()).append('\n');
            b.left().forEach(l -> out.append(String.format(Locale.ROOT, "  %-6s %.1f µm%n", l.paper(), l.um())));
        });
        out.append("\nto cut\n");
        for (Piece x : p.pieces()) {
            out.append(String.format(
                    Locale.ROOT,
                    "  %s: %s × %s mm, %d of %s, %s%n",
                    x.label(),
                    x.widthMm(),
                    x.heightMm(),
                    x.count(),
                    x.material(),
                    x.side()));
        }
        out.append("\nsteps\n");
        int i = 1;
        for (PlannedStep s : p.steps()) {
            step(out, i++ + ". ", s.step());
        }
        p.loops().forEach(l -> {
            out.append("loop ").append(l.id()).append(": ").append(l.title()).append('\n');
            l.steps().forEach(s -> step(out, "  - ", s));
        });
        p.broken()
                .forEach(b -> out.append("BROKEN ")
                        .append(b.interlock())
                        .append(" at ")
                        .append(b.step())
                        .append(": ")
                        .append(b.missing())
                        .append('\n'));
    }

    private static void step(StringBuilder out, String number, Step s) {
        out.append(number)
                .append('[')
                .append(s.id())
                .append("] ")
                .append(s.title())
                .append('\n');
        out.append("     ").append(s.detail()).append('\n');
        String facts = Stream.of(
                        s.zone().map(z -> "in " + z).orElse(""),
                        s.tool(),
                        s.paper(),
                        s.material(),
                        s.amount(),
                        s.activeMin() > 0 ? String.format(Locale.ROOT, "%.1f min", s.activeMin()) : "")
                .filter(x -> !x.isEmpty())
                .reduce((a, b) -> a + " · " + b)
                .orElse("");
        out.append("     ").append(facts).append('\n');
        s.clock()
                .ifPresent(c -> out.append(
                        String.format(Locale.ROOT, "     ⏱ %s %.1f min; %s%n", c.label(), c.minutes(), c.note())));
        s.gate().ifPresent(g -> {
            out.append("     ▣ ")
                    .append(g.question())
                    .append(" → ")
                    .append(g.yes())
                    .append(": ")
                    .append(g.yesNote())
                    .append('\n');
            g.branches()
                    .forEach(b -> out.append("       ✗ ")
                            .append(b.label())
                            .append(": ")
                            .append(b.note())
                            .append(" (")
                            .append(b.weight().stops() ? b.weight() : b.loop())
                            .append(")\n"));
        });
        s.cautions().forEach(c -> out.append("     ⚠ ").append(c.text()).append('\n'));
    }
}
