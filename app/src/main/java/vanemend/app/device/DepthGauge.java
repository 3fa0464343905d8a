package vanemend.app.device;

import java.util.List;
import vanemend.core.trade.Measured;

/** A dial gauge in a straight bridge: set across a hollow it gives how deep it is under its feet, held until it is set down again. */
public final class DepthGauge extends HeldGauge {
    private static final double SCATTER_MM = 0.05;

    /** Over a hollow of {@code depthMm}. */
    public DepthGauge(long seed, double depthMm) {
        super(seed);
        knob("depth", "Hollow there", "mm", 0, 25, depthMm);
        press("set", "Set it across the hollow");
    }

    @Override
    public Kind kind() {
        return Kind.DEPTH;
    }

    @Override
    List<ShownFigure> held(long time) {
        return List.of(new ShownFigure(
                Measured.DEPTH_MM, Math.max(0, shown(at("depth") + SCATTER_MM * noise("mm", time), 1))));
    }
}
