package vanemend.app.device;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import vanemend.core.trade.Measured;
import vanemend.core.trade.TradeBook;

/**
 * A surface thermometer on a panel that a lamp may warm: the surface nears what the lamp holds, or the air, as target − (target −
 * now)·e^(−t/τ), τ by panel, the same as heating is planned by.
 */
public final class SurfaceThermometer extends StandIn {
    private static final double SCATTER_K = 0.2;

    private double fromC;
    private Instant since;
    private boolean lamp;

    /** On a steel panel as warm as the air of {@code airC}, lamp off. */
    public SurfaceThermometer(long seed, Instant now, double airC) {
        super(seed);
        since = now;
        knob("air", "Air", "°C", -10, 45, airC);
        knob("plateau", "Lamp holds", "°C", 25, 110, TradeBook.value("heat.lamp-plateau"));
        knob("tau", "Panel warms in", "min", 0.5, 30, TradeBook.value("heat.tau.steel"));
        press("lamp-on", "Lamp on");
        press("lamp-off", "Lamp off");
        fromC = airC;
    }

    @Override
    public Kind kind() {
        return Kind.SURFACE;
    }

    /** The panel itself, without the device's scatter, °C. */
    double panelC(Instant now) {
        double target = lamp ? Math.max(at("plateau"), at("air")) : at("air");
        double min = Duration.between(since, now).toMillis() / 60_000.0;
        return target + (fromC - target) * Math.exp(-min / at("tau"));
    }

    @Override
    List<ShownFigure> shows(Instant now) {
        return List.of(new ShownFigure(Measured.SURFACE_C, shown(panelC(now) + SCATTER_K * noise("c", now), 1)));
    }

    @Override
    void turning(Instant now) {
        fromC = panelC(now);
        since = now;
    }

    @Override
    void pressed(String id, Instant now) {
        turning(now);
        lamp = id.equals("lamp-on");
    }
}
