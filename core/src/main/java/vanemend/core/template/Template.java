package vanemend.core.template;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import vanemend.core.footprint.Piece;
import vanemend.core.footprint.Ring;
import vanemend.core.footprint.Zone;
import vanemend.core.trade.Text;

/**
 * A sheet of templates 1:1, with a rule of 100 mm to check the print by. Lower left is the origin, y up, mm.
 *
 * @param title repair
 * @param widthMm sheet
 * @param heightMm sheet
 * @param lines outlines and ticks
 * @param words labels
 */
public record Template(String title, double widthMm, double heightMm, List<Line> lines, List<Word> words) {
    /** Length of the check rule, mm. */
    public static final double CHECK_MM = 100;

    private static final GeometryFactory GEOMETRY = new GeometryFactory();
    private static final double GAP_MM = 6;
    /** Width of a letter as a share of its height. */
    private static final double LETTER = 0.55;

    private static final double WIDEST_MM = 600;
    private static final double STEP_MM = 10;
    private static final double FOOT_MM = 22;
    private static final double TICK_MM = 4;

    /**
     * A line.
     *
     * @param kind outline to cut, or rule to check by
     * @param xy x and y in turn, mm
     * @param closed whether it ends where it began
     */
    public record Line(Kind kind, List<Double> xy, boolean closed) {
        /** What a line is for. */
        public enum Kind {
            CUT,
            CHECK
        }
    }

    /**
     * A label.
     *
     * @param heightMm of its letters
     */
    public record Word(double xMm, double yMm, double heightMm, String text) {
        public Word {
            // A sheet is printed 1:1 and measured in mm, whatever a shop reads on its screens.
            text = Text.plain(text);
        }
    }

    /** A piece in its place; turned a quarter where that saves sheet. */
    private record Placed(Piece piece, int copy, double x, double y, boolean turned) {
        double width() {
            return turned ? piece.heightMm() : piece.widthMm();
        }

        double height() {
            return turned ? piece.widthMm() : piece.heightMm();
        }
    }

    private record Nest(List<Placed> placed, double width, double height) {}

    /** Where a row of the nest stands. */
    private static final class Row {
        private final double y;
        private final double height;
        private double used;

        Row(double y, double height) {
            this.y = y;
            this.height = height;
        }
    }

    /** The pieces of {@code title}, nested so that the least sheet is used. */
    public static Template of(String title, List<Piece> pieces) {
        if (pieces.isEmpty()) {
            throw new IllegalArgumentException("nothing is cut to shape for " + title);
        }
        Nest best = null;
        double widest = pieces.stream()
                .mapToDouble(p -> Math.min(p.widthMm(), p.heightMm()))
                .max()
                .orElseThrow();
        for (double width = Math.max(widest, CHECK_MM); width <= Math.max(widest, WIDEST_MM); width += STEP_MM) {
            Nest n = nest(pieces, width);
            if (best == null || n.width() * n.height() < best.width() * best.height() - 1e-6) {
                best = n;
            }
        }
        return drawn(title, best);
    }

    /** A place well inside an outline, for its label. */
    private static Coordinate inside(Line outline) {
        int n = outline.xy().size() / 2;
        Coordinate[] ring = new Coordinate[n + 1];
        for (int i = 0; i < n; i++) {
            ring[i] = new Coordinate(outline.xy().get(2 * i), outline.xy().get(2 * i + 1));
        }
        ring[n] = ring[0].copy();
        return GEOMETRY.createPolygon(ring).getInteriorPoint().getCoordinate();
    }

    /** Rows of falling height, each piece in the first row with room for it. */
    private static Nest nest(List<Piece> pieces, double width) {
        List<Placed> all = new ArrayList<>();
        for (Piece p : pieces) {
            for (int c = 1; c <= p.count(); c++) {
                boolean turned = p.heightMm() > p.widthMm() && p.heightMm() <= width || p.widthMm() > width;
                all.add(new Placed(p, c, 0, 0, turned));
            }
        }
        all.sort(Comparator.comparingDouble(Placed::height).reversed());
        List<Row> rows = new ArrayList<>();
        List<Placed> out = new ArrayList<>();
        double top = 0;
        double used = 0;
        for (Placed p : all) {
            Row row = rows.stream()
                    .filter(r -> p.height() <= r.height + 1e-9 && r.used + p.width() <= width + 1e-9)
                    .findFirst()
                    .orElse(null);
            if (row == null) {
                row = new Row(top, p.height());
                rows.add(row);
                top += p.height() + GAP_MM;
            }
            out.add(new Placed(p.piece(), p.copy(), row.used, row.y, p.turned()));
            row.used += p.width() + GAP_MM;
            used = Math.max(used, row.used - GAP_MM);
        }
        return new Nest(out, used, top - GAP_MM);
    }

    private static Template drawn(String title, Nest nest) {
        List<Line> lines = new ArrayList<>();
        List<Word> words = new ArrayList<>();
        for (Placed p : nest.placed()) {
            for (Ring r : p.piece().rings()) {
                List<Double> xy = new ArrayList<>();
                for (int i = 0; i < r.xy().size(); i += 2) {
                    double x = p.turned() ? p.piece().heightMm() - r.xy().get(i + 1) : r.xy().get(i);
                    double y = p.turned() ? r.xy().get(i) : r.xy().get(i + 1);
                    xy.add(p.x() + x);
                    xy.add(p.y() + FOOT_MM + y);
                }
                lines.add(new Line(Line.Kind.CUT, List.copyOf(xy), true));
            }
            String copy =
                    p.piece().count() > 1 ? " " + p.copy() + " of " + p.piece().count() : "";
            Coordinate inside = inside(lines.getLast());
            String label = p.piece().label() + copy;
            double midX = Math.max(0, inside.x - label.length() * LETTER * 4 / 2);
            double midY = inside.y;
            words.add(new Word(midX, midY, 4, label));
            words.add(new Word(
                    midX,
                    midY - 5,
                    3,
                    p.piece().material()
                            + (p.piece().side() == Zone.Side.BACK ? ", this face up on the back" : ", this face up")));
        }
        lines.add(new Line(Line.Kind.CHECK, List.of(0.0, 6.0, CHECK_MM, 6.0), false));
        for (int i = 0; i <= 10; i++) {
            double x = i * CHECK_MM / 10;
            double tick = i % 5 == 0 ? TICK_MM * 1.5 : TICK_MM;
            lines.add(new Line(Line.Kind.CHECK, List.of(x, 6.0, x, 6.0 + tick), false));
        }
        words.add(new Word(0, 1, 3, Text.of(CHECK_MM, "mm") + ": measure it before you cut. Print at 100 %."));
        words.add(new Word(0, 14, 4, title));
        return new Template(
                title,
                Math.max(nest.width(), CHECK_MM),
                nest.height() + FOOT_MM,
                List.copyOf(lines),
                List.copyOf(words));
    }
}
