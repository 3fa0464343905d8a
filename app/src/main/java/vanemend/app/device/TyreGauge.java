package vanemend.app.device;

import java.util.List;
import vanemend.core.trade.Measured;

/** A tyre injury gauge: a probe pushed through gives how wide and how far from square, held until the next push. */
public final class TyreGauge extends HeldGauge {
    private static final double SCATTER_MM = 0.1;
    private static final double SCATTER_DEG = 0.7;

    /** Over an injury of {@code acrossMm} at {@code angleDeg} from square. */
    public TyreGauge(long seed, double acrossMm, double angleDeg) {
        super(seed);
        knob("across", "Injury across", "mm", 0.5, 60, acrossMm);
        knob("angle", "From square", "°", 0, 80, angleDeg);
        press("push", "Push the probe through");
    }

    @Override
    public Kind kind() {
        return Kind.TYRE;
    }

    @Override
    List<ShownFigure> held(long time) {
        return List.of(
                new ShownFigure(
                        Measured.INJURY_MM, Math.max(0.5, shown(at("across") + SCATTER_MM * noise("mm", time), 1))),
                new ShownFigure(
                        Measured.ANGLE_DEG, Math.max(0, shown(at("angle") + SCATTER_DEG * noise("deg", time), 0))));
    }
}
