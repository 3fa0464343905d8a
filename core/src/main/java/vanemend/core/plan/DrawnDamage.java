package vanemend.core.plan;

import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.damage.Crack;
import vanemend.core.damage.Damage;
import vanemend.core.damage.Dent;
import vanemend.core.damage.Hairline;
import vanemend.core.damage.RustPits;
import vanemend.core.damage.Scratch;
import vanemend.core.damage.Seam;
import vanemend.core.damage.Trace;
import vanemend.core.footprint.Ring;

/**
 * Damage as drawn.
 *
 * @param index its place in the draft, from 0
 * @param kind which
 * @param word as said, such as {@code Crack 2}
 * @param mark as it stands on the drawing, such as {@code Scratch 2}
 * @param rings what it covers, mm
 * @param trace corners of the line it follows, x and y in turn, mm; empty for damage without a line
 * @param xMm its middle
 * @param yMm its middle
 * @param depthMm of a dent or of pits; empty for the rest
 */
public record DrawnDamage(
        int index,
        Damage.Kind kind,
        String word,
        String mark,
        List<Ring> rings,
        List<Double> trace,
        double xMm,
        double yMm,
        Optional<Double> depthMm) {
    public DrawnDamage {
        rings = rings == null ? List.of() : List.copyOf(rings);
        trace = trace == null ? List.of() : List.copyOf(trace);
        depthMm = depthMm == null ? Optional.empty() : depthMm;
    }

    /** Drawn from {@code damage}. */
    public static DrawnDamage of(int index, Damage damage) {
        List<Double> trace = switch (damage) {
            case Crack c -> xy(c.trace());
            case Hairline h -> xy(h.trace());
            case Scratch s -> xy(s.trace());
            case Seam s -> xy(s.trace());
            default -> List.of();
        };
        Geometry outline = damage.outline();
        Coordinate middle = outline.getEnvelopeInternal().centre();
        return new DrawnDamage(
                index,
                damage.kind(),
                damage.kind().word() + " " + (index + 1),
                damage.kind().mark() + " " + (index + 1)
                        + (damage instanceof Dent d && !d.filled() ? ", pushed out" : ""),
                Ring.of(outline),
                trace,
                middle.x,
                middle.y,
                switch (damage) {
                    case Dent d when d.filled() -> Optional.of(d.depthMm());
                    case RustPits p -> Optional.of(p.depthMm());
                    default -> Optional.empty();
                });
    }

    private static List<Double> xy(Trace t) {
        return t.xy();
    }
}
