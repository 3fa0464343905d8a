package vanemend.core.damage;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import vanemend.core.trade.Check;
import vanemend.core.trade.Text;

/**
 * One laying of the straightedge along a hollow as typed so far; any field may be absent. Lengths in mm.
 *
 * @param offsetMm from the middle of the hollow to its left, looking along its length; the middle when absent
 * @param places along the length from the end where it begins, 0 to the whole length
 * @param depths read there; with as many as places
 * @param beside read there too, on sound panel beside the hollow with the straightedge laid the same way: the panel's own crown, taken
 *     off again; empty where the panel is flat
 */
public record DepthLineDraft(Double offsetMm, List<Double> places, List<Double> depths, List<Double> beside) {
    private static final int MOST_LINES = 9;
    private static final int MOST_PLACES = 25;
    private static final double AT_THE_END_MM = 1;

    public DepthLineDraft {
        places = kept(places);
        depths = kept(depths);
        beside = kept(beside);
    }

    /** What is not typed yet is null. */
    private static List<Double> kept(List<Double> typed) {
        return typed == null ? List.of() : Collections.unmodifiableList(new ArrayList<>(typed));
    }

    /** The deepest over the crown, mm; 0 where nothing is read yet. */
    double deepest() {
        double most = 0;
        for (int i = 0; i < depths.size(); i++) {
            most = Math.max(most, depths.get(i) == null ? 0 : depths.get(i) - crown(i));
        }
        return most;
    }

    private double crown(int i) {
        return i < beside.size() && beside.get(i) != null ? beside.get(i) : 0;
    }

    /** A copy {@code share} times as deep over the crown. */
    DepthLineDraft times(double share) {
        List<Double> out = new ArrayList<>();
        for (int i = 0; i < depths.size(); i++) {
            out.add(depths.get(i) == null ? null : crown(i) + (depths.get(i) - crown(i)) * share);
        }
        return new DepthLineDraft(offsetMm, places, out, beside);
    }

    /** What {@code lines} say of a hollow {@code lengthMm} by {@code widthMm}; nothing without lines, problems left in {@code check}. */
    static Optional<Readings> check(
            List<DepthLineDraft> lines,
            double lengthMm,
            double widthMm,
            double mostMm,
            String at,
            String called,
            Check check) {
        if (lines.isEmpty()) {
            return Optional.empty();
        }
        int before = check.problems().size();
        if (lines.size() > MOST_LINES) {
            check.refuse(
                    at + ".lines",
                    lines.size(),
                    "at most " + MOST_LINES + " lines",
                    called + ": " + lines.size() + " lines; " + MOST_LINES + " are enough for any hollow.");
        }
        List<Readings.Line> out = new ArrayList<>();
        for (int i = 0; i < Math.min(lines.size(), MOST_LINES); i++) {
            out.add(lines.get(i)
                    .line(lengthMm, widthMm, mostMm, at + ".lines[" + i + "]", called + ", line " + (i + 1), check));
        }
        List<Double> offsets =
                out.stream().map(Readings.Line::offsetMm).distinct().toList();
        if (offsets.size() < out.size()) {
            check.refuse(
                    at + ".lines",
                    out.size(),
                    "each line at its own place",
                    called + ": two lines at the same place across. Say how far each lies from the middle.");
        }
        if (check.problems().size() > before) {
            return Optional.empty();
        }
        Readings read = new Readings(lengthMm, widthMm, out);
        if (!(read.deepestMm() > 0)) {
            check.refuse(
                    at + ".lines",
                    0,
                    "a depth over the panel beside it",
                    called + ": nothing is deeper than the panel beside it. Read it again, or take the lines out.");
            return Optional.empty();
        }
        return Optional.of(read);
    }

    /** What one line says of a weld {@code lengthMm} long; nothing without one, problems left in {@code check}. */
    static Optional<Along> along(
            List<DepthLineDraft> lines, double lengthMm, double mostMm, String at, String called, Check check) {
        if (lines.isEmpty()) {
            return Optional.empty();
        }
        int before = check.problems().size();
        if (lines.size() > 1 || lines.getFirst().offsetMm != null) {
            check.refuse(
                    at + ".lines",
                    lines.size(),
                    "one line, along the weld",
                    called + ": it is read along the weld itself, in one line.");
        }
        // From its middle, as a hollow is read; a weld counts from its start.
        List<Double> read = new ArrayList<>(lines.getFirst()
                .line(lengthMm, Double.MAX_VALUE, mostMm, at + ".lines[0]", called, check)
                .at());
        for (int i = 0; i < read.size(); i += 2) {
            double place = read.get(i) + lengthMm / 2;
            // Nobody reads nearer to an end than this: it is the end's depth.
            read.set(i, place < AT_THE_END_MM ? 0 : place > lengthMm - AT_THE_END_MM ? lengthMm : place);
        }
        // Problems stand already; what it is taken for then is never used.
        return Optional.of(check.problems().size() > before ? Along.level(lengthMm, 0) : new Along(lengthMm, read));
    }

    private Readings.Line line(double lengthMm, double widthMm, double mostMm, String at, String called, Check check) {
        double offset = offsetMm == null ? 0 : offsetMm;
        if (Math.abs(offset) >= widthMm / 2) {
            check.refuse(
                    at + ".offsetMm",
                    offset,
                    "less than half its width, " + Text.of(widthMm / 2, "mm"),
                    called + ": " + Text.of(offset, "mm") + " from the middle lies outside the hollow.");
        }
        if (places.isEmpty() || places.size() != depths.size() || places.size() > MOST_PLACES) {
            check.refuse(
                    at + ".places",
                    places.size(),
                    "1 to " + MOST_PLACES + " places, each with its depth",
                    called + ": give 1 to " + MOST_PLACES
                            + " places along the straightedge, each with the depth read there.");
            return new Readings.Line(offset, List.of());
        }
        double half = lengthMm / 2;
        List<Double> out = new ArrayList<>();
        double last = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < places.size(); i++) {
            String one = called + ", place " + (i + 1);
            double place = check.range(at + ".places[" + i + "]", one, places.get(i), 0, lengthMm, "mm");
            double depth = check.range(at + ".depths[" + i + "]", one + ": depth", depths.get(i), 0, mostMm, "mm");
            Double typed = i < beside.size() ? beside.get(i) : null;
            double crown = typed == null
                    ? 0
                    : check.range(at + ".beside[" + i + "]", one + ": beside it", typed, 0, mostMm, "mm");
            if (place <= last) {
                check.refuse(
                        at + ".places[" + i + "]",
                        place,
                        "further along than the place before it",
                        one + ": places go along the straightedge, each further than the one before.");
            }
            last = place;
            out.add(place - half);
            // A thousandth is finer than any gauge shows.
            out.add(Math.max(0, Math.round((depth - crown) * 1000) / 1000.0));
        }
        return new Readings.Line(offset, out);
    }
}
