package vanemend.core.part;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.temporal.IsoFields;
import java.time.temporal.WeekFields;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vanemend.core.trade.Check;
import vanemend.core.trade.TradeBook;

/**
 * What a part is made of, as typed so far; any field may be absent, and each kind of part needs only its own.
 *
 * @param material at first sight; metal when absent
 * @param mark moulded mark as typed
 * @param tests bench tests done, for a part without a mark
 * @param thicknessMm wall of a plastic or composite, mm
 * @param stamp of a pane
 * @param wheelXMm middle of the steering wheel from the pane's left edge, mm
 * @param heavy vehicle over 3.5 t
 * @param treadDepthMm shallowest groove, mm
 * @param dateCode week and year of a tyre, four digits
 * @param filmOver what a film that is mended lies on
 * @param crownMm thickness of a tyre over the crown, mm; the usual of its class when absent
 * @param tyreSize size and load index of a tyre as its sidewall has them
 */
public record SubstrateDraft(
        MadeOf material,
        String mark,
        List<TestDraft> tests,
        Composite.Kind composite,
        Double thicknessMm,
        Glass.Stamp stamp,
        Double wheelXMm,
        Boolean heavy,
        Tyre.Use use,
        Double treadDepthMm,
        String dateCode,
        Tyre.Speed speed,
        Tyre.Position position,
        PaintFilm.Over filmOver,
        Double crownMm,
        String tyreSize) {

    /**
     * A bench test as entered.
     *
     * @param reading absent where it was skipped
     */
    public record TestDraft(String test, String reading) {}

    private static final int CENTURY = 2000;

    public SubstrateDraft {
        tests = tests == null ? List.of() : List.copyOf(tests);
    }

    /** A draft that says nothing but {@code material}. */
    public static SubstrateDraft of(MadeOf material) {
        return walled(material, null);
    }

    /** A draft that says {@code material} and how thick its wall is, mm; null where that is not said. */
    static SubstrateDraft walled(MadeOf material, Double thicknessMm) {
        return new SubstrateDraft(
                material,
                null,
                null,
                null,
                thicknessMm,
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
    }

    Substrate check(Metal.Kind metal, Double gaugeMm, double widthMm, Check check) {
        return switch (material == null ? MadeOf.METAL : material) {
            case METAL ->
                new Metal(
                        check.choice("part.metal", "The metal", metal, Metal.Kind.UNKNOWN),
                        check.range(
                                "part.gaugeMm",
                                "Sheet gauge",
                                gaugeMm,
                                TradeBook.value("entry.gauge.min"),
                                TradeBook.value("entry.gauge.max"),
                                "mm"));
            case COMPOSITE ->
                new Composite(
                        check.choice("part.made.composite", "The composite", composite, Composite.Kind.SMC),
                        wall(check));
            case PLASTIC -> plastic(check);
            case GLASS ->
                new Glass(
                        check.choice("part.made.stamp", "The stamp on the pane", stamp, Glass.Stamp.NONE),
                        wheel(widthMm, check),
                        Boolean.TRUE.equals(heavy));
            case TYRE ->
                new Tyre(
                        check.choice("part.made.use", "The class of tyre", use, Tyre.Use.CAR),
                        widthMm,
                        check.range("part.made.treadDepthMm", "Tread depth", treadDepthMm, 0, 30, "mm"),
                        crownMm == null
                                ? TradeBook.value(use == Tyre.Use.TRUCK ? "tyre.crown-truck" : "tyre.crown")
                                : check.range("part.made.crownMm", "Thickness over the crown", crownMm, 3, 60, "mm"),
                        crownMm != null,
                        made(check),
                        check.choice("part.made.speed", "The speed symbol", speed, Tyre.Speed.T),
                        check.choice("part.made.position", "The axle", position, Tyre.Position.FRONT),
                        tyreSize == null || tyreSize.isBlank()
                                ? ""
                                : check.text("part.made.tyreSize", "The size", tyreSize.strip(), 40));
            case FILM ->
                new PaintFilm(
                        check.choice("part.made.filmOver", "What the film lies on", filmOver, PaintFilm.Over.STEEL));
        };
    }

    /** Where the driver looks through counts on a windscreen alone: of a toughened pane it is not asked. */
    private double wheel(double widthMm, Check check) {
        return wheelXMm == null && stamp != null && stamp.isToughened()
                ? widthMm / 2
                : check.range("part.made.wheelXMm", "Middle of the steering wheel", wheelXMm, 0, widthMm, "mm");
    }

    private double wall(Check check) {
        return check.range(
                "part.made.thicknessMm",
                "Wall thickness",
                thicknessMm,
                TradeBook.value("entry.wall.min"),
                TradeBook.value("entry.wall.max"),
                "mm");
    }

    private Plastic plastic(Check check) {
        double wall = wall(check);
        if (mark != null && !mark.isBlank()) {
            MarkReader.MarkReading read = MarkReader.read(mark);
            if (read.mark().isEmpty()) {
                String where = read.from() == read.to()
                        ? "character " + read.from()
                        : "characters " + read.from() + " to " + read.to();
                check.refuse(
                        "part.made.mark",
                        mark,
                        "a mark such as >PP+EPDM-TD20<",
                        "The mark cannot be read at " + where + ": " + read.says() + ".");
            }
            return new Plastic(read.mark(), Optional.empty(), wall);
        }
        return new Plastic(Optional.empty(), Optional.of(Belief.after(done(check))), wall);
    }

    private List<Belief.Done> done(Check check) {
        return done(tests, "part.made.tests", check);
    }

    /** The tests of {@code drafts}, problems left in {@code check} under {@code at}. */
    public static List<Belief.Done> done(List<TestDraft> drafts, String at, Check check) {
        List<Belief.Done> out = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < drafts.size(); i++) {
            TestDraft d = drafts.get(i);
            Optional<BenchTest> test = d.test() == null ? Optional.empty() : BenchTest.of(d.test());
            if (test.isEmpty()) {
                check.refuse(
                        at + "[" + i + "].test",
                        d.test(),
                        "one of the bench tests",
                        "There is no bench test " + d.test() + ".");
            } else if (!seen.add(d.test())) {
                check.refuse(
                        at + "[" + i + "].test",
                        d.test(),
                        "each test once",
                        test.get().title() + " is entered twice: take one back.");
            } else if (d.reading() != null && test.get().reading(d.reading()).isEmpty()) {
                check.refuse(
                        at + "[" + i + "].reading",
                        d.reading(),
                        "one of the readings of this test",
                        test.get().title() + " cannot show " + d.reading() + ".");
            } else {
                out.add(new Belief.Done(d.test(), Optional.ofNullable(d.reading())));
            }
        }
        return out;
    }

    /** Monday of the week a date code of four digits names: week 1 to 53, then the year. */
    private Optional<LocalDate> made(Check check) {
        if (dateCode == null || dateCode.isBlank()) {
            return Optional.empty();
        }
        String code = dateCode.strip();
        if (code.matches("\\d{4}")) {
            int week = Integer.parseInt(code.substring(0, 2));
            int year = CENTURY + Integer.parseInt(code.substring(2));
            try {
                LocalDate day = LocalDate.of(year, 1, 4)
                        .with(IsoFields.WEEK_OF_WEEK_BASED_YEAR, week)
                        .with(WeekFields.ISO.dayOfWeek(), 1);
                if (day.get(IsoFields.WEEK_BASED_YEAR) == year) {
                    return Optional.of(day);
                }
            } catch (DateTimeException e) {
                // Said below, with what was expected.
            }
        }
        check.refuse(
                "part.made.dateCode",
                dateCode,
                "four digits: week 01 to 53, then the year",
                "The date code " + code
                        + " names no week: expected four digits, week 01 to 53, then the year, such as 3722.");
        return Optional.empty();
    }
}
