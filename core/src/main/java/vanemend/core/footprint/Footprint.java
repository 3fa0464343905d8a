package vanemend.core.footprint;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** All zones of a repair on the part. */
public final class Footprint {
    private final Map<Zone.Kind, Zone> zones;
    private final List<String> flags;

    /** Amounts, ladder and steps ask for the same few areas over and over. */
    private final Map<Zone.Kind, Double> areas = new EnumMap<>(Zone.Kind.class);

    /**
     * @param zones inner to outer on each side, each contains the one before on its side
     * @param flags what a line or edge does to the zones, in words
     */
    public Footprint(Map<Zone.Kind, Zone> zones, List<String> flags) {
        this.zones = zones;
        this.flags = flags;
    }

    /** Inner to outer on each side. */
    public Map<Zone.Kind, Zone> zones() {
        return zones;
    }

    /** What a line or edge does to the zones, in words. */
    public List<String> flags() {
        return flags;
    }

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
        return areas.computeIfAbsent(kind, k -> zones.get(k).areaMm2());
    }
}
