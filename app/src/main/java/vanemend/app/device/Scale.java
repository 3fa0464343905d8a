package vanemend.app.device;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import vanemend.core.trade.Measured;

/**
 * A mixing scale to 0.1 g: what is put on swings past its mass by about an eighth and settles within two seconds; it scatters, creeps
 * since it was last set to nought, and can be set to nought.
 */
public final class Scale extends StandIn {
    private static final double SWING_S = 0.25;
    private static final double SWING_PER_S = 6;
    private static final double SCATTER_G = 0.03;

    private double from;
    private Instant since = Instant.EPOCH;
    private double nought;
    private Instant noughtAt;

    /** Empty, just set to nought at {@code now}. */
    public Scale(long seed, Instant now) {
        super(seed);
        noughtAt = now;
        knob("load", "On the pan", "g", 0, 3000, 0);
        knob("creep", "Creep", "g/min", -1, 1, 0.01);
        press("nought", "Set to nought");
    }

    @Override
    public Kind kind() {
        return Kind.SCALE;
    }

    private double swinging(Instant now) {
        double s = Duration.between(since, now).toMillis() / 1000.0;
        return at("load") + (from - at("load")) * Math.exp(-s / SWING_S) * Math.cos(SWING_PER_S * s);
    }

    private double creep(Instant now) {
        return at("creep") * Duration.between(noughtAt, now).toMillis() / 60_000.0;
    }

    @Override
    List<ShownFigure> shows(Instant now) {
        double g = swinging(now) - nought + creep(now) + SCATTER_G * noise("g", now);
        return List.of(new ShownFigure(Measured.MASS_G, shown(g, 1)));
    }

    @Override
    void turning(Instant now) {
        from = swinging(now);
        since = now;
    }

    @Override
    public boolean nought(Instant now) {
        return push("nought", now);
    }

    @Override
    void pressed(String id, Instant now) {
        nought = swinging(now);
        noughtAt = now;
    }
}
