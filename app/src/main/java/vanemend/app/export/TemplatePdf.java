package vanemend.app.export;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.openpdf.text.Document;
import org.openpdf.text.Rectangle;
import org.openpdf.text.pdf.BaseFont;
import org.openpdf.text.pdf.PdfContentByte;
import org.openpdf.text.pdf.PdfWriter;
import vanemend.core.template.Template;

/** Templates 1:1 as a PDF, tiled over pages that are joined at marks; each page has its own 100 mm rule. */
public final class TemplatePdf {
    /** Points of a PDF in a millimetre. */
    static final float PT = 72f / 25.4f;

    private static final float MARGIN_MM = 10;
    private static final float FOOT_MM = 14;
    private static final float MARK_MM = 5;

    /** Paper, mm. */
    public enum Paper {
        A4(210, 297),
        LETTER(215.9f, 279.4f);

        private final float widthMm;
        private final float heightMm;

        Paper(float widthMm, float heightMm) {
            this.widthMm = widthMm;
            this.heightMm = heightMm;
        }

        float tileWidthMm() {
            return widthMm - 2 * MARGIN_MM;
        }

        float tileHeightMm() {
            return heightMm - 2 * MARGIN_MM - FOOT_MM;
        }
    }

    private final Template template;
    private final Paper paper;
    private final BaseFont font;

    private TemplatePdf(Template template, Paper paper) {
        this.template = template;
        this.paper = paper;
        this.font = Fonts.plain();
    }

    /** The whole file. */
    public static byte[] of(Template template, Paper paper) {
        return new TemplatePdf(template, paper).write();
    }

    private byte[] write() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        int across = Math.max(1, (int) Math.ceil(template.widthMm() / paper.tileWidthMm() - 1e-6));
        int up = Math.max(1, (int) Math.ceil(template.heightMm() / paper.tileHeightMm() - 1e-6));
        try (Document doc = new Document(new Rectangle(paper.widthMm * PT, paper.heightMm * PT))) {
            PdfWriter writer = PdfWriter.getInstance(doc, out);
            doc.addTitle("Templates: " + template.title());
            doc.open();
            for (int row = up - 1; row >= 0; row--) {
                for (int column = 0; column < across; column++) {
                    doc.newPage();
                    page(writer.getDirectContent(), column, row, across, up);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private void page(PdfContentByte c, int column, int row, int across, int up) throws IOException {
        float left = MARGIN_MM;
        float bottom = MARGIN_MM + FOOT_MM;
        float w = paper.tileWidthMm();
        float h = paper.tileHeightMm();
        c.saveState();
        c.rectangle(left * PT, bottom * PT, w * PT, h * PT);
        c.clip();
        c.newPath();
        float dx = left - column * w;
        float dy = bottom - row * h;
        // Each point is scaled by itself: a scale in the file would be rounded, and the print a millimetre short in a
        // metre.
        for (Template.Line l : template.lines()) {
            c.setLineWidth(l.kind() == Template.Line.Kind.CUT ? 0.9f : 0.6f);
            for (int i = 0; i < l.xy().size(); i += 2) {
                float x = (l.xy().get(i).floatValue() + dx) * PT;
                float y = (l.xy().get(i + 1).floatValue() + dy) * PT;
                if (i == 0) {
                    c.moveTo(x, y);
                } else {
                    c.lineTo(x, y);
                }
            }
            if (l.closed()) {
                c.closePath();
            }
            c.stroke();
        }
        for (Template.Word word : template.words()) {
            text(c, word.text(), (float) word.xMm() + dx, (float) word.yMm() + dy, (float) word.heightMm());
        }
        c.restoreState();
        marks(c, left, bottom, w, h);
        foot(c, column, row, across, up);
    }

    /** Corners by which the pages are laid edge to edge. */
    private static void marks(PdfContentByte c, float left, float bottom, float w, float h) {
        c.saveState();
        c.setLineWidth(0.6f);
        for (float x : new float[] {left, left + w}) {
            for (float y : new float[] {bottom, bottom + h}) {
                line(c, x - MARK_MM, y, x + MARK_MM, y);
                line(c, x, y - MARK_MM, x, y + MARK_MM);
                c.stroke();
            }
        }
        c.restoreState();
    }

    private void foot(PdfContentByte c, int column, int row, int across, int up) throws IOException {
        c.saveState();
        c.setLineWidth(0.7f);
        line(c, MARGIN_MM, MARGIN_MM + 6, MARGIN_MM + (float) Template.CHECK_MM, MARGIN_MM + 6);
        for (int i = 0; i <= 10; i++) {
            float x = MARGIN_MM + i * (float) Template.CHECK_MM / 10;
            line(c, x, MARGIN_MM + 6, x, MARGIN_MM + (i % 5 == 0 ? 10 : 9));
        }
        c.stroke();
        text(c, "100 mm. Print at 100 %, not fitted to the page; measure before you cut.", MARGIN_MM, MARGIN_MM, 3);
        text(
                c,
                "Column " + (column + 1) + " of " + across + ", row " + (up - row) + " of " + up
                        + " from the top. Join at the crosses.",
                MARGIN_MM + 104,
                MARGIN_MM + 6,
                2.6f);
        text(c, template.title(), MARGIN_MM + 104, MARGIN_MM, 2.6f);
        c.restoreState();
    }

    private static void line(PdfContentByte c, float x1, float y1, float x2, float y2) {
        c.moveTo(x1 * PT, y1 * PT);
        c.lineTo(x2 * PT, y2 * PT);
    }

    private void text(PdfContentByte c, String words, float x, float y, float height) {
        c.beginText();
        c.setFontAndSize(font, height * 1.3f * PT);
        c.setTextMatrix(x * PT, y * PT);
        c.showText(words);
        c.endText();
    }
}
