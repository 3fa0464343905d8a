package vanemend.core.damage;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import vanemend.core.part.Coat;
import vanemend.core.part.PaintFilm;
import vanemend.core.part.Part;
import vanemend.core.part.PartDraft;
import vanemend.core.part.Tyre;
import vanemend.core.trade.Check;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/**
 * Damage as typed so far; any field may be absent, and each kind needs only its own. Lengths in mm, angles in degrees.
 *
 * @param kind which; a dent when absent
 * @param lengthMm of a dent, hole, missing piece, run or blemish; body of a chip; diameter of an injury
 * @param depthMm of a dent, scratch, divot, road rash or chip in paint or gelcoat; of the low along a seam in metal
 * @param trace corners of a crack, seam, scratch or hairline, x and y in turn
 * @param rustPastMm how far rust reaches past a rust hole
 * @param soundMm sound plastic all round a missing piece
 * @param raising how a dent is raised; tapped when absent
 * @param studs that a dent is pulled with
 * @param lines depths of a dent read along a straightedge, or of a sheet along a weld, the deepest among them; none where shape and depth
 *     stand for them
 */
public record DamageDraft(
        Damage.Kind kind,
        Double xMm,
        Double yMm,
        Double lengthMm,
        Double widthMm,
        Double angleDeg,
        Double depthMm,
        Dent.Profile profile,
        List<Double> trace,
        Crack.Depth through,
        Crack.Ends ends,
        Boolean fromChip,
        Double rustPastMm,
        Double soundMm,
        Boolean pieceKept,
        Boolean groundBelow,
        ChipDraft chip,
        InjuryDraft injury,
        FilmDraft film,
        Dent.Raising raising,
        Integer studs,
        List<DepthLineDraft> lines) {

    /**
     * What only a chip has.
     *
     * @param repairMm distance to the nearest other repair; absent where there is none
     * @param zoneC true where the UK standard's own drawing puts it in zone C; else it counts as B
     */
    public record ChipDraft(
            Chip.Type type, Double spanMm, Double pitMm, Double repairMm, Boolean inSweep, Boolean zoneC) {}

    /** What only a tyre injury has. */
    public record InjuryDraft(Injury.Place place, Double innerXMm) {}

    /**
     * Readings of the film gauge, µm.
     *
     * @param peakUm total film on the peak of the run
     * @param totalUm total film beside it
     * @param underUm what lies beneath the clear, measured where the clear is off; absent where the part's coats have to say it
     */
    public record FilmDraft(Double peakUm, Double totalUm, Double underUm, FilmGauge gauge) {}

    /** A copy {@code length} by {@code width}, mm. */
    public DamageDraft sized(Double length, Double width) {
        return copy(length, width, angleDeg, depthMm, injury, film);
    }

    /** A copy as deep as {@code mm}. */
    public DamageDraft deep(Double mm) {
        // What was read along it goes with its deepest place.
        double was = lines.stream().mapToDouble(DepthLineDraft::deepest).max().orElse(0);
        List<DepthLineDraft> read = mm == null || was == 0
                ? lines
                : lines.stream().map(l -> l.times(mm / was)).toList();
        return copy(lengthMm, widthMm, angleDeg, mm, injury, film, rustPastMm, read);
    }

    /** A copy at {@code deg} from square; where its inner end lies follows from it. */
    public DamageDraft slanted(Double deg) {
        return copy(
                lengthMm, widthMm, deg, depthMm, injury == null ? null : new InjuryDraft(injury.place(), null), film);
    }

    /** A copy with the total film beside it as read, µm. */
    public DamageDraft beside(Double totalUm) {
        return film == null
                ? this
                : copy(
                        lengthMm,
                        widthMm,
                        angleDeg,
                        depthMm,
                        injury,
                        new FilmDraft(film.peakUm(), totalUm, film.underUm(), film.gauge()));
    }

    /** A copy of a rust hole as it is now, cut back: {@code length} by {@code width}, with no rust past it. */
    public DamageDraft cutBack(Double length, Double width) {
        return copy(length, width, angleDeg, depthMm, injury, film, 0.0, lines);
    }

    private DamageDraft copy(
            Double length, Double width, Double angle, Double depth, InjuryDraft end, FilmDraft readings) {
        return copy(length, width, angle, depth, end, readings, rustPastMm, lines);
    }

    private DamageDraft copy(
            Double length,
            Double width,
            Double angle,
            Double depth,
            InjuryDraft end,
            FilmDraft readings,
            Double rustPast,
            List<DepthLineDraft> read) {
        return new DamageDraft(
                kind,
                xMm,
                yMm,
                length,
                width,
                angle,
                depth,
                profile,
                trace,
                through,
                ends,
                fromChip,
                rustPast,
                soundMm,
                pieceKept,
                groundBelow,
                chip,
                end,
                readings,
                raising,
                studs,
                read);
    }

    private static final int MOST = 60;
    private static final int MOST_STUDS = 200;
    private static final int MOST_CORNERS = 60;
    private static final double SMALLEST_MM = 3;

    /** What rounding may leave where damage touches the edge. */
    private static final double TOUCH_MM = 1e-6;

    public DamageDraft {
        trace = trace == null ? List.of() : List.copyOf(trace);
        lines = lines == null ? List.of() : List.copyOf(lines);
    }

    /** A dent. */
    public static DamageDraft dent(
            Double xMm,
            Double yMm,
            Double lengthMm,
            Double widthMm,
            Double angleDeg,
            Double depthMm,
            Dent.Profile profile) {
        return oval(Damage.Kind.DENT, xMm, yMm, lengthMm, widthMm, angleDeg, depthMm, profile);
    }

    private static DamageDraft oval(
            Damage.Kind kind,
            Double xMm,
            Double yMm,
            Double lengthMm,
            Double widthMm,
            Double angleDeg,
            Double depthMm,
            Dent.Profile profile) {
        return new DamageDraft(
                kind, xMm, yMm, lengthMm, widthMm, angleDeg, depthMm, profile, null, null, null, null, null, null, null,
                null, null, null, null, null, null, null);
    }

    /** All damage of {@code drafts} on {@code part}, problems left in {@code check}. */
    public static List<Damage> checkAll(List<DamageDraft> drafts, PartDraft typed, Part part, Check check) {
        if (drafts.isEmpty()) {
            check.refuse("damages", null, "at least one damage", "No damage yet: add the first one.");
        }
        if (drafts.size() > MOST) {
            check.refuse(
                    "damages",
                    drafts.size(),
                    "at most " + MOST,
                    drafts.size() + " damages on one part: split the part into fields of at most " + MOST + ".");
            return List.of();
        }
        List<Damage> out = new ArrayList<>();
        for (int i = 0; i < drafts.size(); i++) {
            Damage.Kind kind = drafts.get(i).kindOrDent();
            String called = kind.word() + " " + (i + 1);
            if (!kind.on(typed.material())) {
                check.refuse(
                        "damages[" + i + "].kind",
                        kind.word(),
                        "damage that this kind of part can have",
                        called + ": " + typed.material().word().toLowerCase(Locale.ROOT) + " has no "
                                + kind.word().toLowerCase(Locale.ROOT) + ". Choose the part or the damage anew.");
                continue;
            }
            new Checker(drafts.get(i), "damages[" + i + "]", called, part, check)
                    .check(kind)
                    .ifPresent(out::add);
        }
        if (!out.isEmpty() && out.stream().allMatch(d -> d instanceof Dent x && !x.filled())) {
            check.refuse(
                    "damages",
                    out.size(),
                    "damage that is filled here",
                    "All of it goes to pushing out without paint: nothing is left to fill.");
        }
        return List.copyOf(out);
    }

    /** Which kind. */
    public Damage.Kind kindOrDent() {
        return kind == null ? Damage.Kind.DENT : kind;
    }

    /** One draft under check; nothing comes out where anything was refused. */
    private record Checker(DamageDraft d, String at, String called, Part part, Check check) {
        Optional<Damage> check(Damage.Kind kind) {
            int before = check.problems().size();
            Optional<Damage> damage = made(kind, before);
            // A corner or a tab that is gone lies across the edge; only its middle must be on the part.
            if (check.problems().size() == before && kind != Damage.Kind.MISSING && kind != Damage.Kind.TAB) {
                damage.ifPresent(x -> inside(x.outline()));
            }
            return check.problems().size() == before ? damage : Optional.empty();
        }

        private Optional<Damage> made(Damage.Kind kind, int before) {
            return switch (kind) {
                case DENT -> dent(before);
                case RUST_HOLE ->
                    Optional.of(new RustHole(oval(), range("rustPastMm", "rust past the hole", d.rustPastMm, 0, 300)));
                case RUST_PITS -> Optional.of(new RustPits(oval(), depth(TradeBook.value("entry.depth.max"))));
                case HOLE -> Optional.of(new Hole(oval()));
                case MISSING ->
                    Optional.of(new Missing(
                            oval(),
                            range("soundMm", "sound plastic all round", d.soundMm, 0, 1000),
                            Boolean.TRUE.equals(d.pieceKept)));
                case TAB -> Optional.of(new Tab(oval(), Boolean.TRUE.equals(d.pieceKept)));
                case PAINT_CHIP -> Optional.of(new Blemish(kind, oval(), depth(TradeBook.value("entry.depth.max"))));
                case DIVOT, RASH, GELCOAT_CHIP -> Optional.of(new Blemish(kind, oval(), depth(wall())));
                case RESIDUE -> Optional.of(new Blemish(kind, oval(), 0));
                case SCRATCH -> {
                    double width = range("widthMm", "width", d.widthMm, 0.1, 200);
                    double depth = depth(TradeBook.value("entry.depth.max"));
                    yield trace().map(t -> new Scratch(t, width, depth));
                }
                case SEAM -> {
                    double width = range("widthMm", "width of the weld", d.widthMm, 1, 60);
                    yield trace().map(t -> new Seam(t, width, Boolean.TRUE.equals(d.groundBelow), sunk(t)));
                }
                case HAIRLINE -> trace().map(Hairline::new);
                case CRACK -> {
                    Crack.Depth through = part.substrate() instanceof vanemend.core.part.Glass
                            ? Crack.Depth.OUTER_LAYER
                            : choice("through", "how deep it goes", d.through, Crack.Depth.THROUGH);
                    Crack.Ends ends = part.substrate() instanceof vanemend.core.part.Glass
                            ? Crack.Ends.BOTH
                            : choice("ends", "which ends can be reached", d.ends, Crack.Ends.NONE);
                    yield trace().map(t -> new Crack(t, through, ends, Boolean.TRUE.equals(d.fromChip)));
                }
                case CHIP -> Optional.of(chip());
                case INJURY -> Optional.of(injury());
                case RUN -> Optional.of(run());
            };
        }

        /** A sheet warps where it is welded, as read along it or as deep everywhere; a plastic is bent back while it is warm. */
        private Along sunk(Trace t) {
            if (!(part.substrate() instanceof vanemend.core.part.Metal)) {
                return Along.level(t.lengthMm(), 0);
            }
            double most = TradeBook.value("entry.depth.max");
            return DepthLineDraft.along(d.lines, t.lengthMm(), most, at, called, check)
                    .orElseGet(() -> Along.level(t.lengthMm(), depth(most)));
        }

        private Optional<Damage> dent(int before) {
            Oval o = oval();
            double most = TradeBook.value("entry.depth.max");
            Optional<Readings> read = DepthLineDraft.check(d.lines, o.lengthMm(), o.widthMm(), most, at, called, check);
            double depth = read.isPresent() ? read.get().deepestMm() : depth(most);
            Dent dent = new Dent(
                    o.xMm(),
                    o.yMm(),
                    o.lengthMm(),
                    o.widthMm(),
                    o.angleDeg(),
                    depth,
                    d.profile == null ? Dent.Profile.BOWL : d.profile,
                    d.raising == null ? Dent.Raising.TAPPED : d.raising,
                    studs(),
                    read);
            if (check.problems().size() == before) {
                steepness(dent);
            }
            return Optional.of(dent);
        }

        /** A dent that is pulled says with how many: their minutes follow. */
        private int studs() {
            if (d.raising != Dent.Raising.PULLED) {
                return 0;
            }
            if (d.studs == null || d.studs < 1 || d.studs > MOST_STUDS) {
                check.refuse(
                        at + ".studs",
                        d.studs,
                        "from 1 to " + MOST_STUDS,
                        called + " is pulled: say with how many studs or rings, from 1 to " + MOST_STUDS + ".");
                return 1;
            }
            return d.studs;
        }

        private Chip chip() {
            ChipDraft c = d.chip == null ? new ChipDraft(null, null, null, null, null, null) : d.chip;
            Chip.Type type = choice("chip.type", "the shape of the break", c.type(), Chip.Type.COMBINATION);
            double pit = range("chip.pitMm", "pit", c.pitMm(), 0.2, 100);
            boolean legs = type != Chip.Type.PIT;
            double body = legs ? range("lengthMm", "body", d.lengthMm, 0.5, 600) : pit;
            double span = legs
                    ? range("chip.spanMm", "with legs", c.spanMm() == null ? d.lengthMm : c.spanMm(), 0.5, 1200)
                    : pit;
            if (legs && span < body) {
                check.refuse(
                        at + ".chip.spanMm",
                        span,
                        "at least the body, " + Text.of(body, "mm"),
                        called + ": with its legs it cannot be smaller than its body of " + Text.of(body, "mm") + ".");
            }
            double near = c.repairMm() == null
                    ? Double.POSITIVE_INFINITY
                    : range("chip.repairMm", "distance to the nearest repair", c.repairMm(), 0, 3000);
            Boolean sweep = choice("chip.inSweep", "whether the wiper passes over it", c.inSweep(), Boolean.TRUE);
            return new Chip(type, x(), y(), body, span, pit, near, sweep, Boolean.TRUE.equals(c.zoneC()));
        }

        private Injury injury() {
            InjuryDraft in = d.injury == null ? new InjuryDraft(null, null) : d.injury;
            Injury.Place place = choice("injury.place", "where it is", in.place(), Injury.Place.CROWN);
            double x = x();
            double y = y();
            double across = range("lengthMm", "diameter", d.lengthMm, 0.5, 100);
            double angle = d.angleDeg == null
                    ? 0
                    : check.range(at + ".angleDeg", called + ": angle from square", d.angleDeg, 0, 80, "°");
            double inner = in.innerXMm() == null
                    ? slanted(x, angle)
                    : range("injury.innerXMm", "inner end", in.innerXMm(), -200, part.widthMm() + 200);
            return new Injury(place, x, y, across, angle, inner, in.innerXMm() != null);
        }

        /** Where an injury that leans {@code deg} away from the middle of the tread comes out inside: the worse side. */
        private double slanted(double x, double deg) {
            if (!(part.substrate() instanceof Tyre tyre)) {
                return x;
            }
            double reach = tyre.crownMm() * Math.tan(Math.toRadians(deg));
            return x < part.widthMm() / 2 ? x - reach : x + reach;
        }

        private PaintRun run() {
            FilmDraft f = d.film == null ? new FilmDraft(null, null, null, null) : d.film;
            Oval o = oval();
            int before = check.problems().size();
            double peak = um("film.peakUm", "total film on the peak", f.peakUm());
            double total = um("film.totalUm", "total film beside the run", f.totalUm());
            if (check.problems().size() == before && peak <= total) {
                check.refuse(
                        at + ".film.peakUm",
                        peak,
                        "more than beside the run, " + Text.of(total, "µm"),
                        called
                                + ": a run stands higher than the film beside it. Read the peak again, or it is no run.");
            }
            FilmGauge gauge = choice("film.gauge", "the kind of film gauge", f.gauge(), FilmGauge.ULTRASONIC);
            if (part.substrate() instanceof PaintFilm film && !gauge.reads(film.over())) {
                check.refuse(
                        at + ".film.gauge",
                        gauge.word(),
                        "a gauge that reads film on " + film.over().word(),
                        called + ": " + (gauge == FilmGauge.EDDY_CURRENT ? "an " : "a ") + gauge.word()
                                + " gauge does not show the film on "
                                + film.over().word()
                                + ". Read it with one that does.");
            }
            return new PaintRun(o, peak, total, under(f.underUm()), f.underUm() != null);
        }

        /** What lies beneath the clear: as measured, else the part's coats. */
        private double under(Double read) {
            List<Coat> beneath = part.coats().stream()
                    .filter(c -> c.kind() != Coat.Kind.CLEAR)
                    .toList();
            if (read == null && beneath.isEmpty()) {
                check.refuse(
                        at + ".film.underUm",
                        null,
                        "a reading where the clear is off, or the coats of the part",
                        called + ": a gauge shows all film down to the panel. Say what lies beneath the clear: read it"
                                + " where the clear is off, or list the coats under Part.");
            }
            return read == null
                    ? beneath.stream().mapToDouble(Coat::thicknessUm).sum()
                    : um("film.underUm", "what lies beneath the clear", read);
        }

        private double um(String field, String name, Double given) {
            return check.range(at + "." + field, called + ": " + name, given, 0, 2000, "µm");
        }

        private double x() {
            return range("xMm", "place across", d.xMm, 0, part.widthMm());
        }

        private double y() {
            return range("yMm", "place up", d.yMm, 0, part.heightMm());
        }

        private double wall() {
            return part.substrate().wallMm().orElse(TradeBook.value("entry.depth.max"));
        }

        private double depth(double most) {
            return range("depthMm", "depth", d.depthMm, 0.1, most);
        }

        private Oval oval() {
            double most = Math.max(part.widthMm(), part.heightMm());
            return new Oval(
                    x(),
                    y(),
                    range("lengthMm", "length", d.lengthMm, SMALLEST_MM, most),
                    range("widthMm", "width", d.widthMm, SMALLEST_MM, most),
                    check.range(
                            at + ".angleDeg",
                            called + ": turn",
                            d.angleDeg == null ? Double.valueOf(0) : d.angleDeg,
                            -180,
                            180,
                            "°"));
        }

        private Optional<Trace> trace() {
            if (d.trace.size() < 4 || d.trace.size() % 2 != 0 || d.trace.size() > 2 * MOST_CORNERS) {
                check.refuse(
                        at + ".trace",
                        d.trace.isEmpty() ? null : d.trace.size() / 2 + " corners",
                        "2 to " + MOST_CORNERS + " corners",
                        called + " needs its two ends: give where it starts and where it stops.");
                return Optional.empty();
            }
            for (int i = 0; i < d.trace.size(); i++) {
                boolean across = i % 2 == 0;
                check.range(
                        at + ".trace[" + i + "]",
                        called + ": corner " + (i / 2 + 1) + (across ? ", across" : ", up"),
                        d.trace.get(i),
                        0,
                        across ? part.widthMm() : part.heightMm(),
                        "mm");
            }
            Trace t = new Trace(d.trace);
            if (t.lengthMm() < 1) {
                check.refuse(
                        at + ".trace",
                        t.lengthMm(),
                        "at least " + Text.atLeast(1, "mm") + " long",
                        called + " is shorter than " + Text.atLeast(1, "mm") + ": give its two ends.");
                return Optional.empty();
            }
            return Optional.of(t);
        }

        private double range(String field, String name, Double given, double min, double max) {
            return check.range(at + "." + field, called + ": " + name, given, min, max, "mm");
        }

        private <T> T choice(String field, String name, T given, T standIn) {
            return check.choice(at + "." + field, called + ": " + name, given, standIn);
        }

        /** Strips overhang their own line by half their width; that much may cross the edge. */
        private void inside(Geometry g) {
            Polygon shape = part.shape();
            Envelope e = g.getEnvelopeInternal();
            double over = d.trace.isEmpty() ? 0 : d.widthMm == null ? 1 : Math.max(1, d.widthMm);
            Envelope sheet = new Envelope(-over, part.widthMm() + over, -over, part.heightMm() + over);
            sheet.expandBy(TOUCH_MM);
            if (sheet.contains(e)
                    && (shape.isRectangle() || shape.buffer(over + TOUCH_MM).covers(g))) {
                return;
            }
            side(-e.getMinX(), "left", "xMm", d.xMm);
            side(e.getMaxX() - part.widthMm(), "right", "xMm", d.xMm);
            side(-e.getMinY(), "lower", "yMm", d.yMm);
            side(e.getMaxY() - part.heightMm(), "upper", "yMm", d.yMm);
            if (sheet.contains(e)) {
                check.refuse(
                        at + (d.trace.isEmpty() ? ".xMm" : ".trace"),
                        d.xMm,
                        "damage that lies on the part",
                        called + " reaches past the outline of the part ("
                                + part.outline().name().toLowerCase(Locale.ROOT)
                                + "): move it in, make it smaller, or pick another outline.");
            }
        }

        private void side(double over, String edge, String field, Double given) {
            if (over > TOUCH_MM) {
                check.refuse(
                        at + "." + (d.trace.isEmpty() ? field : "trace"),
                        given,
                        "damage that lies on the part",
                        called + " reaches " + Text.atLeast(Math.ceil(over * 10) / 10, "mm") + " past the part's "
                                + edge + " edge: move it in or make it smaller.");
            }
        }

        private void steepness(Dent dent) {
            double most = TradeBook.value("entry.steepness.max") * Math.min(dent.lengthMm(), dent.widthMm());
            if (dent.depthMm() > most) {
                check.refuse(
                        at + ".depthMm",
                        dent.depthMm(),
                        "at most " + Text.atMost(Math.floor(most * 10) / 10, "mm") + " for this width",
                        called + ": " + Text.of(dent.depthMm(), "mm") + " deep and only "
                                + Text.of(Math.min(dent.lengthMm(), dent.widthMm()), "mm")
                                + " across would have torn the sheet. Measure depth with a straightedge across the dent.");
            }
        }
    }
}
