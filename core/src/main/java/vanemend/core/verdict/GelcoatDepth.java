package vanemend.core.verdict;

import java.util.List;
import vanemend.core.damage.Blemish;
import vanemend.core.damage.Damage;
import vanemend.core.damage.Scratch;
import vanemend.core.part.Part;
import vanemend.core.part.SurfaceState;

/** What is hurt in gelcoat and no deeper: one answer for verdict and way to mend. */
public final class GelcoatDepth {
    private GelcoatDepth() {}

    /** Whether gelcoat is the face of {@code part}: marked on it, with no paint over it. */
    public static boolean bare(Part part) {
        return part.face().contains(SurfaceState.GELCOAT) && part.coats().isEmpty();
    }

    /** Whether {@code deepMm} is no more than gelcoat is moulded. */
    public static boolean moulded(double deepMm) {
        return deepMm <= Limits.rule("composite-gelcoat").upTo().orElseThrow();
    }

    /** Whether a scratch {@code deepMm} deep ends in the gelcoat of {@code part}. */
    public static boolean within(Part part, double deepMm) {
        return bare(part) && moulded(deepMm);
    }

    /** Whether all of {@code damages} is mended with paste alone: chips in gelcoat, and scratches that end in it. */
    public static boolean alone(Part part, List<Damage> damages) {
        return bare(part)
                && damages.stream()
                        .allMatch(d -> d instanceof Blemish || d instanceof Scratch s && moulded(s.depthMm()));
    }
}
