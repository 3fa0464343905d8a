package vanemend.core.footprint;

import java.util.Comparator;
import java.util.Optional;
import vanemend.core.part.Part;
import vanemend.core.trade.Text;

/** How much larger a damage may turn out while it is opened, and everything planned around it still lies on ground that is ready. */
public final class Room {
    /** An edge nearer than this leaves no room worth a figure, mm. */
    private static final double NEAR_MM = 5;

    private Room() {}

    /**
     * How far all zones of {@code f} may move outwards, mm: by what was cleaned past the last of them; empty where nothing is cleaned
     * or nothing lies inside it.
     */
    public static Optional<Double> mm(Footprint f) {
        if (!f.has(Zone.Kind.CLEAN)) {
            return Optional.empty();
        }
        return outermost(f)
                .map(z -> f.zone(Zone.Kind.CLEAN).pastMm() - z.pastMm())
                .filter(mm -> mm > 0);
    }

    private static Optional<Zone> outermost(Footprint f) {
        return f.zones().values().stream()
                .filter(z -> z.kind().side() == Zone.Side.FACE && z.kind() != Zone.Kind.CLEAN && z.pastMm() > 0)
                .max(Comparator.comparingDouble(Zone::pastMm));
    }

    /** In words: how much, and where an edge of {@code part} ends it sooner. */
    public static Optional<String> said(Footprint f, Part part) {
        return mm(f).map(room -> {
            double edge = part.shape()
                    .getBoundary()
                    .distance(outermost(f).orElseThrow().shape());
            String much = "Room to grow: found " + Text.of(Math.floor(room * 10) / 10, "mm")
                    + " larger all round, everything still lies on cleaned ground";
            return edge < NEAR_MM
                    ? much + ", except towards the edge close by."
                    : edge < room
                            ? much + "; towards the nearest edge " + Text.of(Math.floor(edge), "mm") + "."
                            : much + ".";
        });
    }
}
