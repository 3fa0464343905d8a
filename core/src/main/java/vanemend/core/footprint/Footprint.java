package vanemend.core.footprint;

import java.util.List;
import java.util.Map;

/**
 * All zones of a repair on the part.
 *
 * @param zones inner to outer on each side, each contains the one before on its side
 * @param flags what a line or edge does to the zones, in words
 */
public record Footprint(Map<Zone.Kind, Zone> zones, List<String> flags) {
    /** The zone of {@code kind}. */
    public Zone zone(Zone.Kind kind) {
        return zones.get(kind);
    }

    /** Whether the method has such a zone. */
    public boolean has(Zone.Kind kind) {
        return zones.containsKey(kind);
    }

    /** Area of a zone, mm². */
    public double areaMm2(Zone.Kind kind) {
        return zones.get(kind).areaMm2();
    }
}
