package vanemend.core.part;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import vanemend.core.trade.Check;
import vanemend.core.trade.TradeBook;

/**
 * A part as typed so far; any field may be absent.
 *
 * @param gaugeMm mm
 * @param widthMm mm
 * @param heightMm mm
 */
public record PartDraft(
        String name,
        String vehicle,
        Metal.Kind metal,
        Double gaugeMm,
        Double widthMm,
        Double heightMm,
        List<CoatDraft> coats,
        Part.Reach reach,
        List<BodyLineDraft> bodyLines,
        Map<String, Part.Answer> answers) {

    /** A coat; without thickness the typical one is taken. */
    public record CoatDraft(Coat.Kind kind, Double thicknessUm) {}

    /** A body line as typed. */
    public record BodyLineDraft(String name, Double x1Mm, Double y1Mm, Double x2Mm, Double y2Mm) {}

    private static final double LINE_MIN_MM = 10;
    private static final double COAT_MAX_UM = 1000;

    public PartDraft {
        coats = coats == null ? List.of() : List.copyOf(coats);
        bodyLines = bodyLines == null ? List.of() : List.copyOf(bodyLines);
        answers = answers == null ? Map.of() : Map.copyOf(answers);
    }

    /** The part, with every problem left in {@code check}. */
    public Part check(Check check) {
        double max = TradeBook.value("entry.part.max");
        String called = check.text("part.name", "The part's name", name, 80);
        String on = check.text("part.vehicle", "The vehicle", vehicle, 80);
        Metal.Kind kind = check.choice("part.metal", "The metal", metal, Metal.Kind.UNKNOWN);
        double gauge = check.range(
                "part.gaugeMm",
                "Sheet gauge",
                gaugeMm,
                TradeBook.value("entry.gauge.min"),
                TradeBook.value("entry.gauge.max"),
                "mm");
        double width = check.range("part.widthMm", "Part width", widthMm, 30, max, "mm");
        double height = check.range("part.heightMm", "Part height", heightMm, 30, max, "mm");
        Part.Reach side = check.choice("part.reach", "Which side can be reached", reach, Part.Reach.FACE_ONLY);
        return new Part(
                called,
                on,
                new Metal(kind, gauge),
                width,
                height,
                coats(check),
                side,
                lines(check, width, height),
                answers);
    }

    private List<Coat> coats(Check check) {
        List<Coat> out = new ArrayList<>();
        Set<Coat.Kind> seen = EnumSet.noneOf(Coat.Kind.class);
        for (int i = 0; i < coats.size(); i++) {
            CoatDraft c = coats.get(i);
            String at = "part.coats[" + i + "]";
            Coat.Kind kind = check.choice(at + ".kind", "The coat", c.kind(), Coat.Kind.BASE);
            if (!seen.add(kind)) {
                check.refuse(
                        at + ".kind",
                        kind.word(),
                        "each coat once",
                        "The coat " + kind.word() + " stands twice: take one away.");
            } else if (!out.isEmpty() && out.getLast().kind().compareTo(kind) > 0) {
                check.refuse(
                        at + ".kind",
                        kind.word(),
                        "coats from the metal up",
                        kind.word() + " cannot lie on " + out.getLast().kind().word()
                                + ": list coats from the metal up.");
            }
            Double typed = c.thicknessUm() == null ? Double.valueOf(TradeBook.value(kind.valueId())) : c.thicknessUm();
            out.add(new Coat(
                    kind,
                    check.range(at + ".thicknessUm", "Thickness of the " + kind.word(), typed, 1, COAT_MAX_UM, "µm")));
        }
        return List.copyOf(out);
    }

    private List<Part.BodyLine> lines(Check check, double width, double height) {
        List<Part.BodyLine> out = new ArrayList<>();
        for (int i = 0; i < bodyLines.size(); i++) {
            BodyLineDraft l = bodyLines.get(i);
            String at = "part.bodyLines[" + i + "]";
            String called = l.name() == null || l.name().isBlank()
                    ? "body line"
                    : l.name().strip();
            double x1 = check.range(at + ".x1Mm", "Start of the " + called + ", across", l.x1Mm(), 0, width, "mm");
            double y1 = check.range(at + ".y1Mm", "Start of the " + called + ", up", l.y1Mm(), 0, height, "mm");
            double x2 = check.range(at + ".x2Mm", "End of the " + called + ", across", l.x2Mm(), 0, width, "mm");
            double y2 = check.range(at + ".y2Mm", "End of the " + called + ", up", l.y2Mm(), 0, height, "mm");
            if (check.clean() && Math.hypot(x2 - x1, y2 - y1) < LINE_MIN_MM) {
                check.refuse(
                        at + ".x2Mm",
                        Math.hypot(x2 - x1, y2 - y1),
                        "at least 10 mm long",
                        "The " + called + " is shorter than 10 mm: give its two ends.");
            }
            out.add(new Part.BodyLine(called, x1, y1, x2, y2));
        }
        return List.copyOf(out);
    }
}
