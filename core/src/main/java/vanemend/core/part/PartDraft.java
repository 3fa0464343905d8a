package vanemend.core.part;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vanemend.core.trade.Check;
import vanemend.core.trade.Ordered;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/**
 * A part as typed so far; any field may be absent.
 *
 * @param gaugeMm mm
 * @param widthMm mm
 * @param heightMm mm
 * @param made what it is made of; sheet metal when absent
 * @param outline id of its outline; the usual one of its material when absent
 * @param face what lies on the face besides its coats
 * @param back what lies on the back
 * @param assumed fields that hold what such a part has as a rule and that nobody has measured on this one
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
        Map<String, Part.Answer> answers,
        SubstrateDraft made,
        String outline,
        Set<SurfaceState> face,
        Set<SurfaceState> back,
        Set<Assumed> assumed) {

    /** A field that may hold what is usual. */
    public enum Assumed {
        WIDTH("width"),
        HEIGHT("height"),
        OUTLINE("outline"),
        GAUGE("sheet gauge"),
        THICKNESS("wall"),
        COATS("coats");

        private final String word;

        Assumed(String word) {
            this.word = word;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }
    }

    /** A coat; without thickness the typical one is taken. */
    public record CoatDraft(Coat.Kind kind, Double thicknessUm) {}

    /** A body line as typed. */
    public record BodyLineDraft(String name, Double x1Mm, Double y1Mm, Double x2Mm, Double y2Mm) {}

    private static final double LINE_MIN_MM = 10;
    private static final double COAT_MAX_UM = 1000;

    public PartDraft {
        coats = coats == null ? List.of() : List.copyOf(coats);
        bodyLines = bodyLines == null ? List.of() : List.copyOf(bodyLines);
        answers = Ordered.copyOf(answers);
        made = made == null ? SubstrateDraft.of(MadeOf.METAL) : made;
        face = Ordered.copyOf(face);
        back = Ordered.copyOf(back);
        assumed = held(Ordered.copyOf(assumed), widthMm, heightMm, gaugeMm, made.thicknessMm());
    }

    /** Sheet metal with the usual outline and nothing but its coats on it. */
    public static PartDraft sheet(
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
        return new PartDraft(
                name, vehicle, metal, gaugeMm, widthMm, heightMm, coats, reach, bodyLines, answers, null, null, null,
                null, null);
    }

    /** What it is at first sight. */
    public MadeOf material() {
        return made.material() == null ? MadeOf.METAL : made.material();
    }

    /** Of {@code assumed} what holds a figure at all. */
    private static Set<Assumed> held(Set<Assumed> assumed, Double width, Double height, Double gauge, Double wall) {
        Set<Assumed> empty = EnumSet.noneOf(Assumed.class);
        if (width == null) {
            empty.add(Assumed.WIDTH);
        }
        if (height == null) {
            empty.add(Assumed.HEIGHT);
        }
        if (gauge == null) {
            empty.add(Assumed.GAUGE);
        }
        if (wall == null) {
            empty.add(Assumed.THICKNESS);
        }
        Set<Assumed> out = new LinkedHashSet<>(assumed);
        out.removeAll(empty);
        return Collections.unmodifiableSet(out);
    }

    /** What was not measured on this part, in words; empty where all was. */
    public List<String> assumedSaid() {
        return assumed.stream().sorted().map(this::said).toList();
    }

    private String said(Assumed field) {
        return switch (field) {
            case WIDTH -> field.word() + " " + Text.of(widthMm, "mm");
            case HEIGHT -> field.word() + " " + Text.of(heightMm, "mm");
            case GAUGE -> field.word() + " " + Text.of(gaugeMm, "mm");
            case THICKNESS -> field.word() + " " + Text.of(made.thicknessMm(), "mm");
            case OUTLINE, COATS -> field.word();
        };
    }

    /** The part, with every problem left in {@code check}. */
    public Part check(Check check) {
        double max = TradeBook.value("entry.part.max");
        String called = check.text("part.name", "The part's name", name, 80);
        String on = check.text("part.vehicle", "The vehicle", vehicle, 80);
        double width = check.range("part.widthMm", "Part width", widthMm, 30, max, "mm");
        double height = check.range("part.heightMm", "Part height", heightMm, 30, max, "mm");
        Substrate of = made.check(metal, gaugeMm, width, check);
        boolean asksReach = material() != MadeOf.GLASS && material() != MadeOf.TYRE;
        Part.Reach side = asksReach
                ? check.choice("part.reach", "Which side can be reached", reach, Part.Reach.FACE_ONLY)
                : Part.Reach.FACE_ONLY;
        return new Part(
                called,
                on,
                of,
                width,
                height,
                coats(check),
                side,
                lines(check, width, height),
                answers,
                outlineOf(check),
                states("part.face", face, check),
                states("part.back", back, check));
    }

    private Outline outlineOf(Check check) {
        if (outline == null) {
            return Outline.usual(material());
        }
        Optional<Outline> known = Outline.of(outline).filter(o -> o.materials().contains(material()));
        if (known.isEmpty()) {
            check.refuse(
                    "part.outline",
                    outline,
                    "one of the outlines for this kind of part",
                    "There is no outline " + outline + " for "
                            + material().word().toLowerCase(Locale.ROOT) + ".");
        }
        return known.orElseGet(() -> Outline.usual(material()));
    }

    private List<SurfaceState> states(String at, Set<SurfaceState> some, Check check) {
        for (SurfaceState s : some) {
            if (!s.on(material())) {
                check.refuse(
                        at,
                        s.word(),
                        "what can lie on this kind of part",
                        "There is no " + s.word() + " on " + material().word().toLowerCase(Locale.ROOT)
                                + ": take it away.");
            }
        }
        return some.stream().sorted().toList();
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
                        "at least " + Text.atLeast(10, "mm") + " long",
                        "The " + called + " is shorter than " + Text.atLeast(10, "mm") + ": give its two ends.");
            }
            out.add(new Part.BodyLine(called, x1, y1, x2, y2));
        }
        return List.copyOf(out);
    }
}
