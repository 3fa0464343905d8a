package vanemend.app.device;

import java.time.Instant;
import java.util.List;
import vanemend.core.trade.Measured;

/** Air temperature and humidity: both wander slowly around what is set, as a shop's air does when a door is opened. */
public final class AirMeter extends StandIn {
    private static final double WANDER_MIN = 17;
    private static final double WANDER_K = 0.3;
    private static final double WANDER_PERCENT = 1;
    private static final double SCATTER = 0.04;

    /** Standing in {@code airC} and {@code rhPercent}. */
    public AirMeter(long seed, double airC, double rhPercent) {
        super(seed);
        knob("air", "Air", "°C", -10, 45, airC);
        knob("humidity", "Humidity", "%", 5, 100, rhPercent);
    }

    @Override
    public Kind kind() {
        return Kind.AIR;
    }

    @Override
    List<ShownFigure> shows(Instant now) {
        double turn = Math.sin(2 * Math.PI * now.toEpochMilli() / 60_000.0 / WANDER_MIN);
        double c = at("air") + WANDER_K * turn + SCATTER * noise("c", now);
        // Warmer air of the same moisture is drier.
        double rh = at("humidity") - WANDER_PERCENT * turn + SCATTER * noise("rh", now);
        return List.of(
                new ShownFigure(Measured.AIR_C, shown(c, 1)),
                new ShownFigure(Measured.RH_PERCENT, shown(Math.clamp(rh, 0, 100), 0)));
    }
}
