package vanemend.core.method;

import java.util.List;
import java.util.function.Function;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.damage.Damage;
import vanemend.core.footprint.Grower;

/** The damages of one part as one shape, joined once however often it is asked for. Not for more than one thread. */
public final class Together {
    private final List<Damage> damages;
    private Geometry outline;
    private Geometry core;
    private final Grower grower = new Grower();

    public Together(List<Damage> damages) {
        this.damages = damages;
    }

    /** As it is drawn, mm. */
    Geometry outline() {
        if (outline == null) {
            outline = joined(Damage::outline);
        }
        return outline;
    }

    /** As its zones are grown from it, mm. */
    Geometry core() {
        if (core == null) {
            core = joined(Damage::core);
        }
        return core;
    }

    /** Grows either of them. */
    Grower grower() {
        return grower;
    }

    private Geometry joined(Function<Damage, Geometry> shape) {
        return damages.size() == 1
                ? shape.apply(damages.getFirst())
                : OverlayNGRobust.union(damages.stream().map(shape).toList());
    }
}
