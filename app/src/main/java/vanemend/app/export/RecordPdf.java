package vanemend.app.export;

import java.io.ByteArrayOutputStream;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.openpdf.text.Document;
import org.openpdf.text.Font;
import org.openpdf.text.PageSize;
import org.openpdf.text.Paragraph;
import org.openpdf.text.Phrase;
import org.openpdf.text.Rectangle;
import org.openpdf.text.pdf.PdfPCell;
import org.openpdf.text.pdf.PdfPTable;
import org.openpdf.text.pdf.PdfWriter;
import vanemend.core.mix.Portion;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.record.RepairRecord;
import vanemend.core.trade.Check;
import vanemend.core.trade.Text;

/** The record on A4: what was planned, what was done, with the drawing it was done by. */
public final class RecordPdf {
    private static final float MARGIN = 12 * TemplatePdf.PT;
    private static final float[] STEPS = {12, 46, 11, 11, 40, 14};
    private final FrozenPlan frozen;
    private final RepairRecord record;
    private final ZoneId zone;
    private final Font plain = new Font(Fonts.plain(), 8);
    private final Font bold = new Font(Fonts.bold(), 8);
    private final Font head = new Font(Fonts.bold(), 11);

    private final List<String> proof;

    private RecordPdf(FrozenPlan frozen, RepairRecord record, ZoneId zone, List<String> proof) {
        this.proof = proof;
        this.frozen = frozen;
        this.record = record;
        this.zone = zone;
    }

    /** The whole file, times by {@code zone}; {@code proof} says what stands behind it. */
    public static byte[] of(FrozenPlan frozen, RepairRecord record, ZoneId zone, List<String> proof) {
        return new RecordPdf(frozen, record, zone, proof).write();
    }

    private byte[] write() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Document doc = new Document(PageSize.A4, MARGIN, MARGIN, MARGIN, MARGIN)) {
            PdfWriter writer = PdfWriter.getInstance(doc, out);
            doc.addTitle("Record: " + frozen.workup().name());
            doc.open();
            title(doc);
            deviations(doc);
            mixes(doc);
            steps(doc);
            rest(doc);
            doc.newPage();
            new BenchSheetPdf(frozen.workup(), frozen.plan()).drawings(writer.getDirectContent(), 280);
        }
        return out.toByteArray();
    }

    private void title(Document doc) {
        var w = frozen.workup();
        doc.add(new Paragraph("Record: " + w.name() + ", " + w.vehicle(), new Font(Fonts.bold(), 16)));
        line(
                doc,
                w.mark() + " | " + frozen.plan().title() + " | "
                        + w.verdict().outcome().word() + " | plan frozen " + at(record.frozen()) + " by " + frozen.by()
                        + " | rule book " + record.ruleBook());
        line(
                doc,
                "Begun " + record.startedAt().map(this::at).orElse("not yet") + " | finished "
                        + record.finishedAt().map(this::at).orElse("not yet") + " | "
                        + Math.round(record.takenMin()) + " of " + Math.round(record.plannedMin())
                        + " min planned | shop air "
                        + Check.shown(frozen.plan().air().tempC()) + " °C, "
                        + Check.shown(frozen.plan().air().rhPercent()) + " % | hands "
                        + String.join(", ", record.people()));
        List<String> assumed = frozen.draft().part().assumedSaid();
        if (!assumed.isEmpty()) {
            line(doc, "Usual, not measured on this part: " + String.join(", ", assumed));
        }
        record.ended()
                .ifPresent(e -> line(
                        doc,
                        "Ended before the last step, " + at(e.at()) + ", by " + e.by() + ": "
                                + e.how().word() + ". " + e.why()));
        line(
                doc,
                record.signed()
                        .map(s -> s.stands()
                                ? "Signed by " + s.by() + ", " + at(s.at())
                                : "Sent back by " + s.by() + ", " + at(s.at()) + ": " + s.why())
                        .orElse("Not signed yet."));
        proof.forEach(said -> line(doc, said + "."));
    }

    private void deviations(Document doc) {
        section(doc, "Deviations");
        if (record.deviations().isEmpty()) {
            line(doc, "None: done as planned.");
        }
        record.deviations().forEach(d -> line(doc, clock(d.at()) + "  " + d.text() + ". " + d.consequence()));
        record.amended()
                .forEach(a -> line(doc, at(a.at()) + "  " + a.said() + " (" + a.by() + ": " + a.reason() + ")"));
        record.takenBack()
                .forEach(
                        t -> line(doc, at(t.at()) + "  Taken back by " + t.by() + ": " + t.said() + ". " + t.reason()));
        record.uncounted()
                .forEach(u ->
                        line(doc, at(u.at()) + "  Not counted, " + u.why() + ": " + u.said() + " (" + u.by() + ")"));
    }

    private void mixes(Document doc) {
        if (record.doses().isEmpty()) {
            return;
        }
        section(doc, "Mixes");
        PdfPTable t = table(
                new float[] {40, 20, 20, 20, 20, 20}, "Material", "Lot", "Filler planned", "weighed", "Cream", "Dose");
        record.doses()
                .forEach(d -> row(
                        t,
                        d.title(),
                        d.lot(),
                        grams(d.plannedFillerG()),
                        d.fillerG().map(RecordPdf::grams).orElse("not typed"),
                        d.creamG().map(RecordPdf::grams).orElse("not typed"),
                        d.percent().map(p -> tenth(p) + " %").orElse("not known") + " of " + tenth(d.askedPercent())
                                + " %"));
        doc.add(t);
    }

    private void steps(Document doc) {
        int n = 1;
        for (RepairRecord.Former f : record.former()) {
            section(doc, "Plan " + n++ + ", " + f.title() + ": steps, planned against done");
            lines(doc, f.lines());
            line(doc, "Left for another plan " + at(f.left()) + " by " + f.by() + ": " + f.why());
        }
        section(doc, (n > 1 ? "Plan " + n + ": steps" : "Steps") + ", planned against done");
        lines(doc, record.lines());
    }

    private void lines(Document doc, List<RepairRecord.Line> lines) {
        PdfPTable t = table(STEPS, "Done", "Step", "Planned", "Taken", "Gate, readings, notes", "Hands");
        for (RepairRecord.Line l : lines) {
            List<String> said = new java.util.ArrayList<>(l.remarks());
            if (!l.answer().isEmpty()) {
                said.addFirst(l.answer());
            }
            row(
                    t,
                    clock(l.doneAt()),
                    (l.loop().isEmpty() ? "" : l.loop() + ": ") + l.title(),
                    tenth(l.plannedMin()) + " min",
                    tenth(l.takenMin()) + " min",
                    String.join("; ", said),
                    l.by());
        }
        doc.add(t);
    }

    private void rest(Document doc) {
        section(doc, "Used");
        record.used()
                .forEach(u -> line(
                        doc,
                        u.name() + (u.lot().isEmpty() ? "" : ", lot " + u.lot()) + ": "
                                + Portion.amount(Math.round(u.amount() * 10) / 10.0, u.unit())
                                + (u.read() ? "" : ", as planned")));
        section(doc, "Lots");
        record.lots().forEach(l -> line(doc, l.role() + ": " + l.name() + ", lot " + l.lot()));
        section(doc, "Schools followed");
        record.schools().forEach(s -> line(doc, s.question() + ": " + s.label()));
        if (!record.house().isEmpty()) {
            section(doc, "The house's own page");
            record.house().forEach(h -> line(doc, h.said() + ". " + h.by() + ", " + at(h.at()) + ": " + h.reason()));
        }
        record.again().forEach(a -> line(doc, "Look again " + at(a.due()) + ": " + a.what()));
        line(doc, record.closing());
    }

    private void section(Document doc, String words) {
        Paragraph p = new Paragraph(Text.plain(words), head);
        p.setSpacingBefore(7);
        p.setSpacingAfter(3);
        doc.add(p);
    }

    private void line(Document doc, String words) {
        doc.add(new Paragraph(11, Text.plain(words), plain));
    }

    private PdfPTable table(float[] widths, String... heads) {
        PdfPTable t = new PdfPTable(widths);
        t.setWidthPercentage(100);
        t.setHeaderRows(1);
        for (String h : heads) {
            t.addCell(cell(h, bold));
        }
        return t;
    }

    private void row(PdfPTable t, String... words) {
        for (String w : words) {
            t.addCell(cell(w, plain));
        }
    }

    private static PdfPCell cell(String words, Font font) {
        PdfPCell c = new PdfPCell(new Phrase(10, Text.plain(words), font));
        c.setBorder(Rectangle.BOTTOM);
        c.setBorderWidth(0.4f);
        c.setPadding(2);
        return c;
    }

    private String at(Instant t) {
        return said(t, "d MMM yyyy HH:mm");
    }

    /** Time of day, with the day where it is another than the one the work began on. */
    private String clock(Instant t) {
        LocalDate begun = LocalDate.ofInstant(record.startedAt().orElse(record.frozen()), zone);
        return said(t, LocalDate.ofInstant(t, zone).equals(begun) ? "HH:mm" : "EEE d MMM HH:mm");
    }

    private String said(Instant t, String pattern) {
        return DateTimeFormatter.ofPattern(pattern, Locale.ENGLISH)
                .withZone(zone)
                .format(t);
    }

    private static String grams(double g) {
        return tenth(g) + " g";
    }

    private static String tenth(double v) {
        return Check.shown(Math.round(v * 10) / 10.0);
    }
}
