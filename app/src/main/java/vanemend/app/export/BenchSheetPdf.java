package vanemend.app.export;

import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.openpdf.text.Document;
import org.openpdf.text.Font;
import org.openpdf.text.PageSize;
import org.openpdf.text.Phrase;
import org.openpdf.text.Rectangle;
import org.openpdf.text.pdf.PdfContentByte;
import org.openpdf.text.pdf.PdfPCell;
import org.openpdf.text.pdf.PdfPTable;
import org.openpdf.text.pdf.PdfWriter;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Ring;
import vanemend.core.footprint.Zone;
import vanemend.core.method.PageChange;
import vanemend.core.method.Step;
import vanemend.core.mix.Portion;
import vanemend.core.plan.Drawing;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlannedStep;
import vanemend.core.plan.Site;
import vanemend.core.plan.Workup;
import vanemend.core.section.Layer;
import vanemend.core.section.Section;
import vanemend.core.trade.Check;
import vanemend.core.trade.Text;

/** The bench sheet: two pages of A4. The first draws the repair and says how much, the second walks it step by step. */
public final class BenchSheetPdf {
    private static final float PT = TemplatePdf.PT;
    private static final float LEFT = 12;
    private static final float RIGHT = 198;
    private static final float TOP = 285;
    private static final float FOOT = 12;
    private static final float[] SIZES = {8.5f, 8, 7.5f, 7, 6.5f, 6, 5.5f, 5};

    private final Workup workup;
    private final Plan plan;

    BenchSheetPdf(Workup workup, Plan plan) {
        this.workup = workup;
        this.plan = plan;
    }

    /** The whole file; a workup without a plan has none. */
    public static byte[] of(Workup workup) {
        Plan plan = workup.plan().orElseThrow(() -> new IllegalArgumentException("no plan to print"));
        return new BenchSheetPdf(workup, plan).write();
    }

    private byte[] write() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Document doc = new Document(PageSize.A4)) {
            PdfWriter writer = PdfWriter.getInstance(doc, out);
            doc.addTitle("Bench sheet: " + workup.name());
            doc.open();
            PdfContentByte c = writer.getDirectContent();
            head(c);
            float y = drawings(c, TOP - 18);
            fit(c, this::amounts, y - 4);
            doc.newPage();
            head(c);
            float under = fit(c, this::ladder, TOP - 16);
            fit(c, this::steps, under - 3);
        }
        return out.toByteArray();
    }

    private void head(PdfContentByte c) {
        text(c, workup.name(), LEFT, TOP, 16, true);
        text(
                c,
                Stream.of(
                                workup.vehicle(),
                                workup.mark(),
                                plan.title(),
                                workup.verdict().outcome().word())
                        .collect(Collectors.joining("  |  ")),
                LEFT,
                TOP - 6,
                9,
                false);
        text(
                c,
                "Times at " + Check.shown(plan.air().tempC()) + " °C, "
                        + Check.shown(plan.air().rhPercent()) + " %. "
                        + Math.round(plan.activeMin()) + " min hands on, " + Math.round(plan.totalMin())
                        + " min in all. Rule book " + workup.ruleBook() + ".",
                LEFT,
                TOP - 11,
                8,
                false);
        c.saveState();
        c.setLineWidth(1);
        c.moveTo(LEFT * PT, (TOP - 13) * PT);
        c.lineTo(RIGHT * PT, (TOP - 13) * PT);
        c.stroke();
        c.restoreState();
        text(c, plan.closing(), LEFT, FOOT - 5, 5.6f, false);
    }

    // --- drawings

    float drawings(PdfContentByte c, float top) {
        Drawing d = workup.drawing();
        boolean back = d.zones().stream().anyMatch(z -> z.side() == Zone.Side.BACK);
        float height = 84;
        float width = back ? (RIGHT - LEFT - 6) / 2 : RIGHT - LEFT;
        footprint(c, d, Zone.Side.FACE, LEFT, top - height, width, height);
        if (back) {
            footprint(c, d, Zone.Side.BACK, LEFT + width + 6, top - height, width, height);
        }
        float under = top - height - 6;
        float section = 44;
        d.section().ifPresent(s -> section(c, s, LEFT, under - section, RIGHT - LEFT - 62, section));
        return under - section - 4;
    }

    private void footprint(PdfContentByte c, Drawing d, Zone.Side side, float x, float y, float w, float h) {
        List<DrawnZone> zones = d.zones().stream()
                .filter(z -> z.kind() == Zone.Kind.DAMAGE || z.side() == side)
                .sorted(Comparator.comparingDouble(DrawnZone::areaMm2).reversed())
                .toList();
        float legend = 38;
        double[] box = box(zones.isEmpty() ? List.of() : zones.getFirst().rings(), d);
        double scale = Math.min((w - legend) / (box[2] - box[0]), h / (box[3] - box[1]));
        c.saveState();
        c.rectangle(x * PT, y * PT, w * PT, h * PT);
        c.clip();
        c.newPath();
        int i = 0;
        for (DrawnZone z : zones) {
            float grey = 0.97f - 0.09f * Math.min(i, 7);
            c.setGrayFill(grey);
            c.setLineWidth(z.kind() == Zone.Kind.DAMAGE ? 1.2f : 0.5f);
            for (Ring r : z.rings()) {
                for (int k = 0; k < r.xy().size(); k += 2) {
                    float px = (float) (x + (r.xy().get(k) - box[0]) * scale) * PT;
                    float py = (float) (y + (r.xy().get(k + 1) - box[1]) * scale) * PT;
                    if (k == 0) {
                        c.moveTo(px, py);
                    } else {
                        c.lineTo(px, py);
                    }
                }
                c.closePath();
            }
            c.eoFillStroke();
            i++;
        }
        c.restoreState();
        text(c, side == Zone.Side.FACE ? "Face" : "Back, as seen through the face", x, y + h - 3, 8, true);
        float line = y + h - 8;
        for (DrawnZone z : zones) {
            String past = z.pastMm() > 0 ? ", " + Math.round(z.pastMm()) + " mm past" : "";
            text(c, z.word() + past, x + w - legend, line, 7, false);
            text(c, z.note() + ", " + Math.round(z.areaMm2() / 100) + " cm²", x + w - legend, line - 3, 5.6f, false);
            line -= 7.5f;
        }
        text(c, "1 : " + Check.shown(Math.round(10 / scale) / 10.0), x, y + 1, 6, false);
    }

    private static double[] box(List<Ring> rings, Drawing d) {
        double[] b = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        for (Ring r : rings) {
            for (int i = 0; i < r.xy().size(); i += 2) {
                b[0] = Math.min(b[0], r.xy().get(i));
                b[1] = Math.min(b[1], r.xy().get(i + 1));
                b[2] = Math.max(b[2], r.xy().get(i));
                b[3] = Math.max(b[3], r.xy().get(i + 1));
            }
        }
        return rings.isEmpty() ? new double[] {0, 0, d.widthMm(), d.heightMm()} : b;
    }

    private void section(PdfContentByte c, Section s, float x, float y, float w, float h) {
        double across = w / (s.toXMm() - s.fromXMm());
        double up = (h - 6) / Math.max(1e-3, s.highestMm() - s.lowestMm());
        text(
                c,
                "Section A to A, " + Math.round(s.cutYMm()) + " mm up; heights × "
                        + Math.max(1, Math.round(up / across)),
                x,
                y + h - 2,
                8,
                true);
        c.saveState();
        int i = 0;
        float legend = x + w + 4;
        float line = y + h - 4;
        List<Layer> layers = new ArrayList<>(s.layers());
        for (Layer l : layers) {
            c.setGrayFill(0.95f - 0.5f * i / Math.max(1, layers.size()));
            c.setLineWidth(0.3f);
            for (int k = 0; k < l.xz().size(); k += 2) {
                float px = (float) (x + (l.xz().get(k) - s.fromXMm()) * across) * PT;
                float py = (float) (y + (l.xz().get(k + 1) - s.lowestMm()) * up) * PT;
                if (k == 0) {
                    c.moveTo(px, py);
                } else {
                    c.lineTo(px, py);
                }
            }
            c.closePathFillStroke();
            i++;
        }
        c.restoreState();
        for (Layer l : layers.reversed()) {
            if (l.kind() == Layer.Kind.BOND) {
                continue;
            }
            String thick = l.thickestMm() < 0.2
                    ? Math.round(l.thickestMm() * 1000) + " µm"
                    : String.format(Locale.ROOT, "%.1f mm", l.thickestMm());
            text(c, l.word() + ", " + thick, legend, line, 7, false);
            line -= 4;
        }
    }

    // --- tables

    private interface Table {
        PdfPTable at(float size);
    }

    /** Draws a table under {@code top}, in the largest letters with which it ends above the foot; gives where it ended. */
    private float fit(PdfContentByte c, Table table, float top) {
        PdfPTable t = null;
        for (float size : SIZES) {
            t = table.at(size);
            t.setTotalWidth((RIGHT - LEFT) * PT);
            t.setLockedWidth(true);
            if (t.getTotalHeight() <= (top - FOOT) * PT) {
                break;
            }
        }
        return t == null ? top : t.writeSelectedRows(0, -1, LEFT * PT, top * PT, c) / PT;
    }

    private PdfPTable amounts(float size) {
        PdfPTable t = new PdfPTable(new float[] {30, 20, 26, 60});
        header(t, size, "Amounts", "", "Work time", "How");
        plan.mixes()
                .forEach(m -> row(
                        t,
                        size,
                        at(s -> s.mix().equals(m.id())) + m.title() + "\n"
                                + m.pour().said() + ", lot " + m.pour().lot(),
                        Check.shown(m.pour().fillerG()) + " g + cream "
                                + String.format(Locale.ROOT, "%.1f", m.pour().creamG()) + " g",
                        clock(m.pour().workMin(), m.pour().onPartByMin()),
                        m.pour().batches() + (m.pour().batches() == 1 ? " batch" : " equal batches") + ", "
                                + m.pour().lifts() + (m.pour().lifts() == 1 ? " lift" : " lifts")
                                + "; bead " + Math.round(m.pour().beadMm()) + " mm across a puddle of "
                                + Math.round(m.pour().puddleMm()) + " mm"));
        plan.portions()
                .forEach(p -> row(
                        t,
                        size,
                        at(s -> s.portion().equals(p.id())) + p.title() + "\n" + p.material() + ", lot " + p.lot(),
                        Portion.amount(p.needed(), p.unit()),
                        p.workMin() > 0 ? clock(p.workMin(), p.onPartByMin()) : "",
                        p.figures().stream().map(Portion.Figure::said).collect(Collectors.joining("; "))));
        plan.waits()
                .forEach(w -> row(
                        t,
                        size,
                        at(s -> s.clock().filter(c -> c.waitId().equals(w.id())).isPresent()) + w.title(),
                        Math.round(w.route().minutes()) + " min",
                        w.route().kind().word(),
                        w.source() + ". " + w.sign()));
        plan.pieces()
                .forEach(p -> row(
                        t,
                        size,
                        "Cut: " + p.label(),
                        Check.shown(p.widthMm()) + " × " + Check.shown(p.heightMm()) + " mm",
                        p.count() + " of",
                        p.material()));
        return t;
    }

    private static String clock(double work, double by) {
        return String.format(Locale.ROOT, "%.1f min, on the part by %.1f min", work, by);
    }

    private PdfPTable ladder(float size) {
        PdfPTable t = new PdfPTable(new float[] {30, 16, 30, 20, 60});
        header(t, size, "Ladder", "Paper", "Stays within", "Minutes", "Tool, motion, sign");
        plan.ladder()
                .rungs()
                .forEach(r -> row(
                        t,
                        Math.min(size, 7.5f),
                        r.stage(),
                        r.paper() + (r.note().isEmpty() ? "" : " " + r.note()),
                        word(r.zone()),
                        String.format(Locale.ROOT, "%.0f", Math.ceil(r.minutes())),
                        r.tool() + "; " + r.motion() + "; " + r.sign()));
        if (plan.ladder().rungs().isEmpty()) {
            row(t, size, plan.ladder().school(), "", "", "", "");
        }
        plan.budget().ifPresent(b -> row(t, size, "Film budget", "", "", "", b.said()));
        return t;
    }

    private String word(Zone.Kind kind) {
        return workup.drawing().zones().stream()
                .filter(z -> z.kind() == kind)
                .findFirst()
                .map(DrawnZone::word)
                .orElse(kind.word());
    }

    /** That the house does a step its own way, and what it wants there. */
    private String house(Step s) {
        boolean own = plan.house().stream().anyMatch(h -> h.bears() && h.step().equals(s.id()));
        String wanted = s.wanted().map(w -> "\nThe house wants: " + w.said()).orElse("");
        return (own ? " (house rule)" : "") + wanted;
    }

    /** The sites of the first step that {@code uses} it. */
    private String at(Predicate<Step> uses) {
        return plan.steps().stream()
                .map(PlannedStep::step)
                .filter(uses)
                .findFirst()
                .map(this::site)
                .orElse("");
    }

    private String site(Step s) {
        String said = Site.said(workup.sites(), s);
        return said.isEmpty() ? "" : said + ": ";
    }

    private PdfPTable steps(float size) {
        PdfPTable t = new PdfPTable(new float[] {6, 66, 30, 34, 24});
        header(t, size, "", "Step", "Where", "With", "Time");
        int i = 1;
        for (PlannedStep p : plan.steps()) {
            var s = p.step();
            String gate = s.gate().map(g -> "\nGate: " + g.question()).orElse("");
            String mind = s.cautions().isEmpty()
                    ? ""
                    : "\nMind: " + s.cautions().stream().map(c -> c.text()).collect(Collectors.joining(" "));
            String time = Stream.of(
                            s.activeMin() > 0 ? String.format(Locale.ROOT, "%.0f min", Math.ceil(s.activeMin())) : "",
                            s.clock()
                                    .map(c -> c.label() + String.format(Locale.ROOT, " %.0f min", c.minutes()))
                                    .orElse(s.kind() == Step.Kind.WAIT ? "by test" : ""))
                    .filter(x -> !x.isEmpty())
                    .collect(Collectors.joining("\n"));
            row(
                    t,
                    size,
                    Integer.toString(i++),
                    site(s) + s.title() + house(s) + gate + mind,
                    s.zone().map(this::word).orElse(""),
                    Stream.of(s.tool(), s.paper(), s.material(), s.amount())
                            .filter(x -> !x.isEmpty())
                            .collect(Collectors.joining(", ")),
                    time);
        }
        plan.house().stream()
                .filter(h -> h.bears() && h.kind() == PageChange.Kind.LEAVE_OUT)
                .forEach(h -> row(t, size, "", "House rule: " + h.said(), "", "", ""));
        plan.broken().forEach(b -> row(t, size, "!", b.said() + " " + b.follows(), "", "", ""));
        return t;
    }

    private static void header(PdfPTable t, float size, String... words) {
        for (String w : words) {
            PdfPCell cell = cell(w, new Font(Fonts.bold(), size));
            cell.setBorder(Rectangle.BOTTOM);
            cell.setBorderWidth(0.8f);
            t.addCell(cell);
        }
    }

    private static void row(PdfPTable t, float size, String... words) {
        for (String w : words) {
            PdfPCell cell = cell(w, new Font(Fonts.plain(), size));
            cell.setBorder(Rectangle.BOTTOM);
            cell.setBorderWidth(0.2f);
            t.addCell(cell);
        }
    }

    private static PdfPCell cell(String words, Font font) {
        PdfPCell cell = new PdfPCell(new Phrase(font.getSize() * 1.12f, Text.plain(words), font));
        cell.setPadding(1.2f);
        cell.setPaddingBottom(2.2f);
        return cell;
    }

    private static void text(PdfContentByte c, String words, float xMm, float yMm, float size, boolean bold) {
        c.saveState();
        c.setGrayFill(0);
        c.beginText();
        c.setFontAndSize(bold ? Fonts.bold() : Fonts.plain(), size);
        c.setTextMatrix(xMm * PT, yMm * PT);
        c.showText(Text.plain(words));
        c.endText();
        c.restoreState();
    }
}
