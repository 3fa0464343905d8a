package vanemend.app.export;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.Point2D;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.batik.parser.AWTPathProducer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import vanemend.app.Caller;
import vanemend.app.TestServer;

@DisplayName("what is printed, opened by readers that did not write it: 100 mm is 100 mm within 0.1")
class PrintTest {
    private static final double MM = 25.4 / 72;

    private final Caller tam = TestServer.as("tam");

    /** The demo's repair called {@code name}. */
    private long repair(String name) {
        for (var r : tam.get("/api/repairs").body()) {
            if (r.get("name").asString().equals(name)) {
                return r.get("id").asLong();
            }
        }
        throw new AssertionError("the demo has no " + name);
    }

    /** Lengths of every straight stretch on a page, mm. */
    private static final class Lengths extends PDFGraphicsStreamEngine {
        private final List<Double> mm = new ArrayList<>();
        private Point2D at = new Point2D.Float();
        private double minX = Double.MAX_VALUE;
        private double maxX = -Double.MAX_VALUE;

        Lengths(PDPage page) throws IOException {
            super(page);
            processPage(page);
        }

        @Override
        public void moveTo(float x, float y) {
            at = new Point2D.Float(x, y);
        }

        @Override
        public void lineTo(float x, float y) {
            mm.add(at.distance(x, y) * MM);
            at = new Point2D.Float(x, y);
            minX = Math.min(minX, x * MM);
            maxX = Math.max(maxX, x * MM);
        }

        @Override
        public void curveTo(float a, float b, float c, float d, float x, float y) {
            at = new Point2D.Float(x, y);
        }

        @Override
        public Point2D getCurrentPoint() {
            return at;
        }

        @Override
        public void appendRectangle(Point2D a, Point2D b, Point2D c, Point2D d) {}

        @Override
        public void drawImage(PDImage image) {}

        @Override
        public void clip(int rule) {}

        @Override
        public void closePath() {}

        @Override
        public void endPath() {}

        @Override
        public void strokePath() {}

        @Override
        public void fillPath(int rule) {}

        @Override
        public void fillAndStrokePath(int rule) {}

        @Override
        public void shadingFill(COSName name) {}
    }

    @Test
    void pdfTemplatesAreTrueToSizeOnBothPapersAndEveryPageHasItsRule() throws IOException {
        long id = repair("Battery-lid through-crack");
        for (String paper : List.of("A4", "LETTER")) {
            try (PDDocument doc = Loader.loadPDF(tam.bytes("/api/repairs/" + id + "/templates.pdf?paper=" + paper))) {
                assertThat(doc.getNumberOfPages()).isPositive();
                double wide = paper.equals("A4") ? 210 : 215.9;
                for (PDPage page : doc.getPages()) {
                    assertThat(page.getMediaBox().getWidth() * MM).isCloseTo(wide, within(0.1));
                    assertThat(new Lengths(page).mm)
                            .anySatisfy(l -> assertThat(l).isCloseTo(100, within(0.1)));
                }
                String words = new PDFTextStripper().getText(doc);
                assertThat(words)
                        .contains("Battery-lid through-crack")
                        .contains("Ply 1 of")
                        .contains("measure before you cut");
            }
        }
    }

    @Test
    void svgTemplatesAreMillimetresAndAsLargeAsThePieces() throws Exception {
        long id = repair("Front-skirt split");
        byte[] svg = tam.bytes("/api/repairs/" + id + "/templates.svg");
        Element root = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(svg))
                .getDocumentElement();
        String[] box = root.getAttribute("viewBox").split(" ");
        assertThat(root.getAttribute("width")).isEqualTo(box[2] + "mm");
        assertThat(root.getAttribute("height")).isEqualTo(box[3] + "mm");
        NodeList paths = root.getElementsByTagName("path");
        double widest = 0;
        boolean rule = false;
        for (int i = 0; i < paths.getLength(); i++) {
            Element p = (Element) paths.item(i);
            var shape = AWTPathProducer.createShape(
                    new java.io.StringReader(p.getAttribute("d")), java.awt.geom.PathIterator.WIND_EVEN_ODD);
            if (p.getAttribute("class").equals("cut")) {
                widest = Math.max(
                        widest,
                        Math.max(
                                shape.getBounds2D().getWidth(),
                                shape.getBounds2D().getHeight()));
            }
            rule |= Math.abs(shape.getBounds2D().getWidth() - 100) < 0.1;
        }
        var piece = tam.get("/api/repairs/" + id).at("workup.plan.pieces.0");
        double longer =
                Math.max(piece.get("widthMm").asDouble(), piece.get("heightMm").asDouble());
        assertThat(widest).isCloseTo(longer, within(0.1));
        assertThat(rule).isTrue();
    }

    @Test
    void theBenchSheetHasTwoPagesWithAmountsLadderAndGates() throws IOException {
        for (String name : List.of(
                "Battery-lid through-crack",
                "Front-skirt split",
                "Luggage-door ice dents",
                "Crown nail, rear tyre",
                "Run on the mirror arm cover")) {
            try (PDDocument doc = Loader.loadPDF(tam.bytes("/api/repairs/" + repair(name) + "/sheet.pdf"))) {
                assertThat(doc.getNumberOfPages()).as(name).isEqualTo(2);
                String words = new PDFTextStripper().getText(doc);
                assertThat(words)
                        .contains(name)
                        .contains("Section A to A")
                        .contains("Amounts")
                        .contains("Ladder")
                        .contains("Gate:")
                        .contains("licensed technician");
                if (name.equals("Front-skirt split")) {
                    assertThat(words.replaceAll("\\s+", " "))
                            .as("counted once, one said as one, minutes said as minutes")
                            .contains("850 mm; 1 mixer; Waste in purge")
                            .contains("1 cartridge")
                            .contains("on the part by 5.3 min")
                            .doesNotContain("1 pieces");
                }
            }
        }
    }

    @Test
    void whereNothingIsPlannedOrCutTheAnswerSaysSo() {
        Caller.Answer refused = tam.get("/api/repairs/" + repair("Shoulder cut, front tyre") + "/sheet.pdf");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.text("detail")).contains("no plan yet");
        Caller.Answer none = tam.get("/api/repairs/" + repair("Luggage-door ice dents") + "/templates.dxf");
        assertThat(none.status()).isEqualTo(409);
        assertThat(none.text("detail")).contains("cuts nothing");
    }
}
