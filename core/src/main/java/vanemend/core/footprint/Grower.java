package vanemend.core.footprint;

import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.Map;
import org.locationtech.jts.geom.Geometry;

/**
 * Grows shapes, each by one distance once: the ways to mend that are weighed against each other share most of their zones. A shape is known
 * by itself, not by its corners. Not for more than one thread.
 */
public final class Grower {
    private final Map<Geometry, Map<Double, Geometry>> grown = new IdentityHashMap<>();

    /** {@code g} offset by {@code mm}, as {@link Reach#grow} does. */
    Geometry grow(Geometry g, double mm) {
        return grown.computeIfAbsent(g, k -> new HashMap<>()).computeIfAbsent(mm, d -> Reach.grow(g, d));
    }
}
